import { build, checkNode, chromium, home, nodePackages } from './machine.mjs';
import { main, run, runTogether } from './run.mjs';

/** Everything that must hold before a change lands: lint, types, unit and server tests, browser tests. */
await main(async () => {
  checkNode();
  nodePackages();
  const step = (name, command, ...args) => {
    console.log(`\n— ${name}`);
    run(command, args, { cwd: home, env: { ...process.env, CHROMIUM: chromium() } });
  };
  console.log('\n— lint, types and build');
  const checked = runTogether(
    ['lint', 'types'].map((script) => ['npm', 'run', '--silent', script]),
    { cwd: home },
  );
  build();
  await checked;
  step('unit and server tests', 'npx', 'vitest', 'run');
  step('browser tests', 'npx', 'playwright', 'test', '--config', 'e2e/playwright.config.ts');
});
