import { join } from 'node:path';
import { checkNode, dataFolder, home, nodePackages } from './machine.mjs';
import { startCluster } from './postgres.mjs';
import { ended, main, start } from './run.mjs';

/** Pages at http://127.0.0.1:5173 with hot reload, the API behind them restarted on change, demo data. */
await main(async () => {
  checkNode();
  nodePackages();
  const cluster = await startCluster(join(dataFolder, 'dev'));
  const environment = {
    ...process.env,
    DATABASE_URL: cluster.urlFor('green_beam'),
    SESSION_SECRET: 'only for development, never for a school',
    PORT: '3456',
    DEMO: 'true',
  };
  const children = [
    start('npx', ['tsx', 'watch', '--clear-screen=false', 'server/src/main.ts'], {
      cwd: home,
      env: environment,
      stdio: 'inherit',
    }),
    start('npx', ['vite', '--host', '127.0.0.1'], {
      cwd: join(home, 'web'),
      env: environment,
      stdio: 'inherit',
    }),
  ];
  const stop = async () => {
    for (const child of children) process.kill(-child.pid, 'SIGTERM');
    await Promise.all(children.map((child) => ended(child, 5_000)));
    await cluster.stop();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM']) process.once(signal, () => void stop());
});
