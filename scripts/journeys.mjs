import { build, checkNode, chromium, home, nodePackages } from './machine.mjs';
import { main, run } from './run.mjs';

/** Some journeys alone, by the names of their files. */
await main(async () => {
  checkNode();
  nodePackages();
  build();
  run(
    'npx',
    [
      'playwright',
      'test',
      '--config',
      'e2e/playwright.config.ts',
      '--reporter=list',
      ...process.argv.slice(2),
    ],
    { cwd: home, env: { ...process.env, CHROMIUM: chromium() } },
  );
});
