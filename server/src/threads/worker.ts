import { doJob, type JobName, type Jobs } from './jobs';

/** What a thread of the pool does: one job at a time. */
export default <Name extends JobName>({
  name,
  given,
}: {
  readonly name: Name;
  readonly given: Parameters<Jobs[Name]>[0];
}) => doJob(name, given);
