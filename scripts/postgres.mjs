import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { isRoot, installDebianPackages } from './machine.mjs';
import { administrator, Roles } from './roles.mjs';
import { ask, ended, Sentence, start } from './run.mjs';

/** A port on loopback that nobody listens on. */
export const freePort = () =>
  new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });

/** True when nobody listens on this port of loopback. */
export const portIsFree = (port) =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(true)));
  });

/** The folder of PostgreSQL's programs, newest version first; installs Debian's server when there is none. */
export function programs() {
  const find = () => {
    const base = '/usr/lib/postgresql';
    const versions = existsSync(base)
      ? readdirSync(base)
          .map(Number)
          .filter(Boolean)
          .sort((a, b) => b - a)
      : [];
    return versions
      .map((version) => join(base, String(version), 'bin'))
      .find((bin) => existsSync(join(bin, 'initdb')));
  };
  if (!find()) installDebianPackages('PostgreSQL', 'postgresql');
  const found = find();
  if (!found) throw new Sentence('PostgreSQL was installed but its programs cannot be found.');
  return found;
}

/** PostgreSQL refuses to run as root; then it runs as the account that Debian's package made for it. */
function unprivileged() {
  if (!isRoot) return {};
  const [uid, gid] = [ask('id', ['-u', 'postgres']), ask('id', ['-g', 'postgres'])].map(Number);
  if (!uid)
    throw new Sentence('PostgreSQL may not run as root, and there is no account “postgres” to run it as.');
  return { uid, gid };
}

/** A folder for the cluster that its account can reach: the wanted one, or one beside the temporary files. */
function reachable(folder) {
  const { uid, gid } = unprivileged();
  mkdirSync(dirname(folder), { recursive: true });
  if (uid === undefined || ask('test', ['-x', dirname(folder)], { uid, gid }) !== null) return folder;
  const note = `${folder}.elsewhere`;
  if (existsSync(note) && existsSync(readFileSync(note, 'utf8')))
    return join(readFileSync(note, 'utf8'), 'cluster');
  const elsewhere = mkdtempSync(join(tmpdir(), 'green-beam-'));
  if (uid !== undefined) chownSync(elsewhere, uid, gid);
  writeFileSync(note, elsewhere);
  return join(elsewhere, 'cluster');
}

/** Makes a cluster if there is none: beside its place first, then moved, so that a half-made one never counts. */
function make(folder, bin) {
  if (existsSync(join(folder, 'PG_VERSION'))) return;
  const { uid, gid } = unprivileged();
  const partial = `${folder}.partial`;
  rmSync(partial, { recursive: true, force: true });
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(partial, { recursive: true });
  const passwordFile = `${folder}.password`;
  writeFileSync(passwordFile, randomBytes(24).toString('hex'), { mode: 0o600 });
  if (uid !== undefined) [partial, passwordFile].forEach((path) => chownSync(path, uid, gid));
  const made = ask(
    join(bin, 'initdb'),
    [
      '-D',
      partial,
      '-U',
      administrator,
      '--auth=scram-sha-256',
      `--pwfile=${passwordFile}`,
      '-E',
      'UTF8',
      '--locale=C.UTF-8',
      '--no-sync',
      '--no-instructions',
    ],
    { uid, gid, cwd: '/' },
  );
  if (made === null)
    throw new Sentence(
      `PostgreSQL could not make its files in ${folder}. Is the disk full, or the folder not writable?`,
    );
  chmodSync(partial, 0o700);
  renameSync(partial, folder);
}

/** Clears what a crash left: ends a server of this cluster that nobody looks after, removes a lock that nobody holds. */
async function clear(folder, bin) {
  const lock = join(folder, 'postmaster.pid');
  if (!existsSync(lock)) return;
  const pid = Number(readFileSync(lock, 'utf8').split('\n')[0]);
  const command = existsSync(`/proc/${pid}/cmdline`) ? readFileSync(`/proc/${pid}/cmdline`, 'utf8') : '';
  if (command.includes(folder)) {
    ask(join(bin, 'pg_ctl'), ['stop', '-D', folder, '-m', 'fast', '-w', '-t', '20'], {
      ...unprivileged(),
      cwd: '/',
    });
  }
  rmSync(lock, { force: true });
}

/**
 * Starts the cluster in a folder, making it first if need be, on a free port of loopback with password
 * authentication.
 * @param folder where it is kept
 * @param options throwaway: true for tests, where nothing has to survive a power cut
 * @returns urlFor(database), which makes the database if it is missing, and stop()
 */
export async function startCluster(folder, { throwaway = false } = {}) {
  const bin = programs();
  const place = reachable(folder);
  make(place, bin);
  await clear(place, bin);
  const port = await freePort();
  const settings = {
    listen_addresses: '127.0.0.1',
    port,
    unix_socket_directories: '',
    ...(throwaway ? { fsync: 'off', synchronous_commit: 'off', full_page_writes: 'off' } : {}),
  };
  const flags = Object.entries(settings).flatMap(([name, value]) => ['-c', `${name}=${value}`]);
  const said = [];
  const server = start(join(bin, 'postgres'), ['-D', place, ...flags], {
    ...unprivileged(),
    cwd: '/',
    stdio: ['ignore', 'ignore', 'pipe'],
  });
  server.stderr.on('data', (text) => said.push(String(text)));
  const password = readFileSync(`${place}.password`, 'utf8');
  await answering(bin, port, server, said);
  const roles = new Roles(bin, port, password);
  roles.make();
  return {
    urlFor: (database) => roles.ownedDatabase(database),
    /** The administrator's: for what the app itself may not do, such as making databases. */
    administratorUrl: () => roles.url(administrator, 'postgres'),
    stop: async () => {
      server.kill('SIGINT');
      if (!(await ended(server, 15_000))) server.kill('SIGQUIT');
    },
    pid: server.pid,
    pids: () => [server.pid, ...childrenOf(server.pid)],
  };
}

/** The processes that a process has started. */
const childrenOf = (parent) =>
  readdirSync('/proc')
    .filter((name) => /^\d+$/.test(name))
    .filter((name) => {
      try {
        return Number(readFileSync(`/proc/${name}/stat`, 'utf8').split(') ')[1].split(' ')[1]) === parent;
      } catch {
        return false;
      }
    })
    .map(Number);

async function answering(bin, port, server, said) {
  for (let waited = 0; waited < 60_000; waited += 100) {
    if (ask(join(bin, 'pg_isready'), ['-q', '-h', '127.0.0.1', '-p', String(port)]) !== null) return;
    if (server.exitCode !== null)
      throw new Sentence(`PostgreSQL did not start. It said:\n${said.join('').trim()}`);
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Sentence('PostgreSQL did not answer within a minute.');
}

/** A cluster for one run of tests, gone afterwards. */
export async function throwawayCluster() {
  const folder = mkdtempSync(join(tmpdir(), 'green-beam-test-'));
  const { uid, gid } = unprivilegedOrInstalled();
  if (uid !== undefined) chownSync(folder, uid, gid);
  const cluster = await startCluster(join(folder, 'cluster'), { throwaway: true });
  return {
    urlFor: cluster.urlFor,
    administratorUrl: cluster.administratorUrl,
    pids: cluster.pids,
    stop: async () => {
      await cluster.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

/** The account exists only once the package is installed. */
function unprivilegedOrInstalled() {
  programs();
  return unprivileged();
}
