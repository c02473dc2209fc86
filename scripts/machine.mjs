import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { ask, run, Sentence } from './run.mjs';

/** The repository. */
export const home = resolve(import.meta.dirname, '..');
/** Everything that is made at run time; git ignores it. */
export const dataFolder = join(home, 'data');

/**
 * How the server is run: with room for what lives only as long as a request, so that it is cleared less often, and room to grow,
 * so that the whole of it is: everybody waits for that.
 */
export const serverFlags = ['--max-semi-space-size=64', '--heap-growing-percent=300'];

export const isRoot = process.getuid?.() === 0;

/** Installs Debian packages. Asks for nothing; says plainly when it may not. */
export function installDebianPackages(why, ...packages) {
  const apt = ask('sh', ['-c', 'command -v apt-get']);
  if (!apt)
    throw new Sentence(
      `${why} is missing, and this machine has no apt-get to install it with. Install it and try again.`,
    );
  const asRoot = isRoot ? [] : ask('sudo', ['-n', 'true']) === null ? null : ['sudo', '-n'];
  if (!asRoot) {
    throw new Sentence(
      `${why} is missing and this account may not install it. Ask someone who may to run: apt-get install ${packages.join(' ')}`,
    );
  }
  console.log(`${why} is missing: installing ${packages.join(' ')} from Debian.`);
  const environment = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const install = (...words) => {
    const [command, ...rest] = [...asRoot, 'apt-get', '-qq', ...words];
    run(command, rest, { env: environment, stdio: ['ignore', 'ignore', 'inherit'] });
  };
  install('update');
  install('install', '-y', '--no-install-recommends', ...packages);
}

/** The path of a browser that Playwright can drive; installs Debian's Chromium when there is none. */
export function chromium() {
  const find = () => ask('sh', ['-c', 'command -v chromium || command -v chromium-browser']);
  if (!find()) installDebianPackages('Chromium', 'chromium', 'fonts-liberation');
  const found = find();
  if (!found) throw new Sentence('Chromium was installed but cannot be found.');
  return found;
}

/** Refuses a Node.js that is too old. */
export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    throw new Sentence(`Green Beam needs Node.js 20.19 or later; this is ${process.versions.node}.`);
  }
}

/** Installs the node packages if they are missing or older than the lockfile. */
export function nodePackages() {
  const lock = fingerprint([join(home, 'package-lock.json')]);
  const stamp = join(home, 'node_modules', '.green-beam-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing node packages.');
  run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: home });
  writeFileSync(stamp, lock);
}

/** Builds the pages and the server, unless nothing has changed since the last build. */
export function build() {
  const sources = ['core/src', 'drawing/src', 'contract/src', 'server', 'web', 'package-lock.json'].map(
    (part) => join(home, part),
  );
  const stamp = join(dataFolder, 'built');
  const now = fingerprint(sources);
  const built = ['web/dist/index.html', 'server/dist/main.js'].every((part) => existsSync(join(home, part)));
  if (built && existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  console.log('Building.');
  run('npm', ['run', '--silent', 'build'], { cwd: home });
  mkdirSync(dataFolder, { recursive: true });
  writeFileSync(stamp, now);
}

/** One text that changes when any of the files does. */
function fingerprint(paths) {
  const hash = createHash('sha256');
  const visit = (path) => {
    const stat = statSync(path);
    if (!stat.isDirectory()) return hash.update(path).update(readFileSync(path));
    for (const name of readdirSync(path).sort()) {
      if (name !== 'dist' && name !== 'node_modules') visit(join(path, name));
    }
  };
  paths.forEach(visit);
  return hash.digest('hex');
}
