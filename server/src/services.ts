import type { Logger } from 'pino';
import type { Database } from './database/models';
import type { Feed } from './feed/feed';
import type { Kept } from './kept/kept';
import type { Publish } from './publish/publish';
import type { Callers } from './access/callers';
import type { Metrics } from './http/metrics';
import type { Paces } from './http/pace';
import type { Hashes } from './session/hashes';
import type { SignInLimits } from './session/limits';
import type { Workers } from './threads/workers';

/** What routes and services work with. Time and chance come from here, so that tests can fix them. */
export interface Services {
  readonly database: Database;
  readonly callers: Callers;
  readonly publish: Publish;
  readonly kept: Kept;
  readonly feed: Feed;
  readonly limits: SignInLimits;
  readonly hashes: Hashes;
  readonly paces: Paces;
  /** Threads for work whose length depends on what somebody sent. */
  readonly workers: Workers;
  readonly metrics: Metrics;
  readonly log: Logger;
  readonly now: () => Date;
  readonly seed: () => number;
}
