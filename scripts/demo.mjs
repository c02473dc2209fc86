import { randomBytes } from 'node:crypto';
import { fork } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, checkNode, dataFolder, home, nodePackages, serverFlags } from './machine.mjs';
import { freePort, portIsFree, startCluster } from './postgres.mjs';
import { ended, main, Sentence } from './run.mjs';

const usualPort = 8455;
const folder = join(dataFolder, 'demo');
const lock = join(dataFolder, 'demo.json');

function options() {
  try {
    const { values } = parseArgs({
      options: { fresh: { type: 'boolean', default: false }, port: { type: 'string' } },
    });
    const port = values.port === undefined ? undefined : Number(values.port);
    if (port !== undefined && !(Number.isInteger(port) && port > 0 && port < 65536)) {
      throw new Sentence(`“${values.port}” is not a port: give a number from 1 to 65535.`);
    }
    return { fresh: values.fresh, port };
  } catch (error) {
    if (error instanceof Sentence) throw error;
    throw new Sentence('Use: npm run demo [-- --fresh] [-- --port N]');
  }
}

/** Refuses to start twice on the same data; a lock whose process is gone does not count. */
function takeLock() {
  mkdirSync(dataFolder, { recursive: true });
  if (existsSync(lock)) {
    const { pid, address } = readLock();
    const command =
      pid && existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
    if (command.includes('demo.mjs'))
      throw new Sentence(`Green Beam is running already, at ${address}. Use that, or stop it first.`);
  }
}

function readLock() {
  try {
    return JSON.parse(readFileSync(lock, 'utf8'));
  } catch {
    return {};
  }
}

async function choosePort(wanted) {
  if (wanted !== undefined) {
    if (!(await portIsFree(wanted)))
      throw new Sentence(`Port ${wanted} is taken. Choose another: npm run demo -- --port N`);
    return wanted;
  }
  return (await portIsFree(usualPort)) ? usualPort : freePort();
}

function sessionSecret() {
  const path = join(dataFolder, 'session-secret');
  if (!existsSync(path)) writeFileSync(path, randomBytes(32).toString('hex'), { mode: 0o600 });
  return readFileSync(path, 'utf8');
}

await main(async () => {
  const { fresh, port: wanted } = options();
  checkNode();
  takeLock();
  const port = await choosePort(wanted);
  nodePackages();
  build();
  if (fresh) {
    for (const part of ['', '.password', '.partial', '.elsewhere'])
      rmSync(`${folder}${part}`, { recursive: true, force: true });
  }
  const cluster = await startCluster(folder);
  const address = `http://127.0.0.1:${port}`;
  writeFileSync(lock, JSON.stringify({ pid: process.pid, address }));

  const balance = fork(join(home, 'server/dist/balance.js'), { cwd: home, detached: true, silent: true });
  const [{ port: balancePort }] = await once(balance, 'message');
  const server = fork(join(home, 'server/dist/main.js'), {
    cwd: home,
    execArgv: serverFlags,
    detached: true,
    env: {
      ...process.env,
      DATABASE_URL: cluster.urlFor('green_beam'),
      SESSION_SECRET: sessionSecret(),
      PORT: String(port),
      DEMO: 'true',
      BALANCE: `127.0.0.1:${balancePort}`,
      LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn',
    },
  });

  let stopping = false;
  const stop = async (code) => {
    if (stopping) return;
    stopping = true;
    console.log('\nStopping.');
    balance.kill('SIGTERM');
    server.kill('SIGTERM');
    if (!(await ended(server, 5_000))) server.kill('SIGKILL');
    await cluster.stop();
    rmSync(lock, { force: true });
    process.exit(code);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop(0));
  server.once('exit', () => void stop(1));
  server.once('message', () => {
    console.log(`
Green Beam is at ${address}

  Teacher   name: Ms Marrow      password: level beam 9
  Student   class code: TERN9    name: Delphi Marsh     passphrase: delphi lantern quay
  Student   class code: TERN9    name: Bastian Wren     passphrase: bastian lantern quay

  Every student of the demo class signs in alike: first name, then "lantern quay".
  Ctrl-C stops it; what was written is kept.
`);
  });
});
