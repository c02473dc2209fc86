import { verifySync } from '@node-rs/argon2';
import { setPriority } from 'node:os';
import { doJob, type JobName, type Jobs } from './jobs';

/** How far a thread lets others go before it, of 19: a busy machine leaves it a third of what they get, not nothing. */
const niceness = 5;

// Whoever writes a reading goes first. On Linux 0 is the calling thread alone.
if (process.platform === 'linux') setPriority(0, niceness);

/** What a thread of the pool does: one job at a time. */
export default <Name extends JobName>({
  name,
  given,
}: {
  readonly name: Name;
  readonly given: Parameters<Jobs[Name]>[0];
}) => doJob(name, given);

/** What the thread for passwords does: whether a hash is of a secret. */
export const verifying = ({ secret, against }: { readonly secret: string; readonly against: string }) =>
  verifySync(against, secret);
