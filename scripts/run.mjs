import { spawn, spawnSync } from 'node:child_process';

/** A failure that is told in one plain sentence, without a stack. */
export class Sentence extends Error {}

/** Runs a command to its end, its output shown. Throws a sentence when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { stdio: 'inherit', ...options });
  if (error) throw new Sentence(`“${command}” could not be started: ${error.message}`);
  if (status !== 0)
    throw new Sentence(`“${[command, ...args].join(' ')}” failed; what it said stands above.`);
}

/** Runs commands side by side, their output shown as it comes. Throws a sentence when one of them fails. */
export async function runTogether(commands, options = {}) {
  const failed = await Promise.all(
    commands.map(
      ([command, ...args]) =>
        new Promise((resolve) => {
          const child = spawn(command, args, { stdio: 'inherit', ...options });
          child.once('error', () => resolve(command));
          child.once('exit', (status) => resolve(status === 0 ? null : [command, ...args].join(' ')));
        }),
    ),
  );
  const first = failed.find((own) => own !== null);
  if (first) throw new Sentence(`“${first}” failed; what it said stands above.`);
}

/** Runs a command and gives what it printed, or null when it failed. */
export function ask(command, args, options = {}) {
  const { status, stdout } = spawnSync(command, args, { encoding: 'utf8', ...options });
  return status === 0 ? stdout.trim() : null;
}

/** Starts a command that goes on, in a process group of its own, so that Ctrl-C does not reach it before us. */
export const start = (command, args, options = {}) => spawn(command, args, { detached: true, ...options });

/** Waits until a child process has ended, or until the time is up. */
export const ended = (child, milliseconds) =>
  new Promise((resolve) => {
    if (child.exitCode !== null || child.signalCode !== null) return resolve(true);
    const timer = setTimeout(() => resolve(false), milliseconds);
    child.once('exit', () => {
      clearTimeout(timer);
      resolve(true);
    });
  });

/** Runs the main part of a script; a sentence is printed plainly, anything else with its stack. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    console.error(error instanceof Sentence ? `\n${error.message}` : error);
    process.exit(1);
  }
}
