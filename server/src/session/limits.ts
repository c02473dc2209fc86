import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import type { Pool } from 'pg';
import { Problem } from '../http/problem';

/** Who is guessed at, and from which device. */
export interface Guess {
  /** `student:TERN9:ivo brack` or `teacher:ms marrow`. */
  readonly account: string;
  readonly device: string;
  /** True where this account was entered from this device before. */
  readonly known: boolean;
  /** What helps who is refused. */
  readonly help: string;
}

/**
 * Failed sign-ins are counted per account and device, exactly, however many come at once. An account that is guessed at from
 * ever new devices is closed to new devices only, and only after more guesses than anybody makes by hand: who shares an
 * address with a prankster gets in, and who signed in on this device before gets in whatever others do.
 */
export interface SignInLimits {
  /** Counts a try before it is looked at. @throws Problem when there were too many. */
  count(guess: Guess): Promise<void>;
  /** The try was right: what was counted for it does not count. */
  right(guess: Guess): Promise<void>;
  /** Forgets every failure of an account. */
  forgive(account: string): Promise<void>;
}

export const guessesPerDevice = 8;
const deviceSeconds = 600;
/** A passphrase is one of 123⁴: at this pace it is found in some ten thousand days. */
export const guessesPerAccount = 1000;
const accountSeconds = 3600;

const table = 'sign_in_limits';

export function createSignInLimits(pool: Pool): SignInLimits {
  const limiter = (points: number, duration: number, keyPrefix: string) =>
    new RateLimiterPostgres({
      storeClient: pool,
      tableName: table,
      tableCreated: true,
      points,
      duration,
      keyPrefix,
    });
  const byDevice = limiter(guessesPerDevice, deviceSeconds, 'device');
  const byAccount = limiter(guessesPerAccount, accountSeconds, 'account');
  const consume = async (
    from: RateLimiterPostgres,
    key: string,
    told: (spent: RateLimiterRes) => Problem,
  ) => {
    try {
      await from.consume(key);
    } catch (spent) {
      throw spent instanceof RateLimiterRes ? told(spent) : spent;
    }
  };
  return {
    count: async ({ account, device, known, help }) => {
      await consume(byDevice, `${account}|${device}`, (spent) =>
        refusal(`Too many tries for this name on this device.`, spent, help),
      );
      if (!known)
        await consume(byAccount, account, (spent) =>
          refusal(
            'This name was tried too often from devices that it never signed in on. On a device where you signed in before, you still can.',
            spent,
            help,
          ),
        );
    },
    right: async ({ account, device, known }) => {
      await byDevice.delete(`${account}|${device}`);
      if (!known) await byAccount.reward(account);
    },
    forgive: async (account) => {
      await pool.query(`delete from ${table} where starts_with(key, $1) or key = $2`, [
        `device:${account}|`,
        `account:${account}`,
      ]);
    },
  };
}

function refusal(what: string, { msBeforeNext }: RateLimiterRes, help: string): Problem {
  const minutes = Math.max(1, Math.ceil(msBeforeNext / 60_000));
  return new Problem(
    'too-many-tries',
    `${what} Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, or ${help}`,
    { 'retry-after': String(Math.ceil(msBeforeNext / 1000)) },
  );
}
