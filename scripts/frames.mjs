import { build, checkNode, chromium, home, nodePackages } from './machine.mjs';
import { main, run } from './run.mjs';

/** Prints the main-thread work of each frame while a part of each instrument is dragged, at a quarter of the speed. */
await main(async () => {
  checkNode();
  nodePackages();
  build();
  run('npx', ['playwright', 'test', '--config', 'e2e/frames.config.ts'], {
    cwd: home,
    env: { ...process.env, CHROMIUM: chromium() },
  });
});
