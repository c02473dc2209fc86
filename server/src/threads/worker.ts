import { hashSync, verifySync } from '@node-rs/argon2';
import { setPriority } from 'node:os';
import { doJob, type JobName, type Jobs } from './jobs';

/** Whoever writes a reading goes first: a thread is content with what they leave. On Linux 0 is the calling thread alone. */
if (process.platform === 'linux') setPriority(0, 19);

/** What a thread of the pool does: one job at a time. */
export default <Name extends JobName>({
  name,
  given,
}: {
  readonly name: Name;
  readonly given: Parameters<Jobs[Name]>[0];
}) => doJob(name, given);

/** What the thread for passwords does: a hash of a secret, or whether one is of it. */
export const hashing = ({ secret, against }: { readonly secret: string; readonly against?: string }) =>
  against === undefined ? hashSync(secret) : verifySync(against, secret);
