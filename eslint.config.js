import js from '@eslint/js';
import tseslint from 'typescript-eslint';
import reactHooks from 'eslint-plugin-react-hooks';

const ours = (...rooms) => rooms.map((room) => `@green-beam/${room}`);

/** The arrows of docs/architecture.md: which rooms a room may not import. */
const forbidden = {
  core: {
    rooms: ['drawing', 'contract', 'server', 'web', 'e2e'],
    extra: ['react', 'express', 'sequelize', 'node:*'],
  },
  drawing: { rooms: ['contract', 'server', 'web', 'e2e'], extra: ['express', 'sequelize', 'node:*'] },
  contract: {
    rooms: ['drawing', 'server', 'web', 'e2e'],
    extra: ['react', 'express', 'sequelize', 'node:*'],
  },
  server: { rooms: ['web', 'e2e'], extra: [] },
  web: { rooms: ['server', 'e2e'], extra: ['express', 'sequelize', 'node:*'] },
};

const arrows = Object.entries(forbidden).map(([room, { rooms, extra }]) => ({
  files: [`${room}/src/**/*.{ts,tsx}`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [
              ...ours(...rooms),
              ...rooms.flatMap((other) => [
                `**/../${other}/src/**`,
                `../../${other}/**`,
                `../../../${other}/**`,
              ]),
              ...extra,
            ],
            message: `${room} must not import this: arrows point down (docs/architecture.md).`,
          },
        ],
      },
    ],
  },
}));

export default tseslint.config(
  { ignores: ['**/dist/**', 'node_modules/**', 'data/**', 'test-results/**', 'playwright-report/**'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/no-non-null-assertion': 'error',
      // What is taken out of an object so that the rest of it stays.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true }],
      '@typescript-eslint/consistent-type-imports': 'error',
      'no-duplicate-imports': 'error',
    },
  },
  {
    // What comes back from an endpoint is typed by its row; nobody says otherwise.
    files: ['web/src/**/*.{ts,tsx}', 'server/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/*.test.tsx'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'TSAsExpression > TSTypeReference > Identifier[name=/(Answer|ArrivedEntries)$/]',
          message: 'An answer is typed by its row in contract/src/endpoints.ts.',
        },
        {
          selector: 'CallExpression[callee.name="fetch"]',
          message: 'Call an endpoint: web/src/api.ts.',
        },
      ],
    },
  },
  { files: ['web/src/api.ts'], rules: { 'no-restricted-syntax': 'off' } },
  {
    files: ['**/*.test.ts', '**/*.test.tsx', 'e2e/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'Chance is passed in as a seed.' },
        { object: 'Date', property: 'now', message: 'Time is passed in.' },
      ],
    },
  },
  { files: ['web/src/**/*.{ts,tsx}', 'drawing/src/**/*.tsx'], ...reactHooks.configs.flat.recommended },
  {
    files: ['scripts/**/*.mjs'],
    languageOptions: {
      globals: {
        process: 'readonly',
        console: 'readonly',
        setTimeout: 'readonly',
        clearTimeout: 'readonly',
        fetch: 'readonly',
        performance: 'readonly',
        Buffer: 'readonly',
        URL: 'readonly',
      },
    },
  },
  ...arrows,
);
