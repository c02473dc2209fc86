import { build, checkNode, chromium, home, nodePackages } from './machine.mjs';
import { main, run } from './run.mjs';

/** Remakes docs/screenshots from the demo data. */
await main(async () => {
  checkNode();
  nodePackages();
  build();
  run('npx', ['playwright', 'test', '--config', 'e2e/screenshots.config.ts'], {
    cwd: home,
    env: { ...process.env, CHROMIUM: chromium() },
  });
});
