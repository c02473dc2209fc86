import type { RateLimiterRes } from 'rate-limiter-flexible';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { Problem } from '../http/problem';

/** Failed sign-ins are limited per account and address; per account; and, far more widely, per address: a whole
 * classroom sits behind one. */
export interface SignInLimits {
  /** @throws Problem when there were too many failures. */
  check(account: string, address: string): Promise<void>;
  failed(account: string, address: string): Promise<void>;
  succeeded(account: string, address: string): Promise<void>;
}

export function createSignInLimits(): SignInLimits {
  const limits = [
    {
      limiter: new RateLimiterMemory({ points: 8, duration: 600, keyPrefix: 'both' }),
      key: (account: string, address: string) => `${account}|${address}`,
    },
    {
      limiter: new RateLimiterMemory({ points: 40, duration: 3600, keyPrefix: 'account' }),
      key: (account: string) => account,
    },
    {
      limiter: new RateLimiterMemory({ points: 300, duration: 600, keyPrefix: 'address' }),
      key: (_: string, address: string) => address,
    },
  ] as const;
  return {
    check: async (account, address) => {
      for (const { limiter, key } of limits) {
        const spent = await limiter.get(key(account, address));
        if (spent && spent.remainingPoints <= 0) throw refusal(spent);
      }
    },
    failed: async (account, address) => {
      await Promise.allSettled(limits.map(({ limiter, key }) => limiter.consume(key(account, address))));
    },
    succeeded: async (account, address) => {
      await limits[0].limiter.delete(limits[0].key(account, address));
    },
  };
}

function refusal({ msBeforeNext }: RateLimiterRes): Problem {
  const minutes = Math.max(1, Math.ceil(msBeforeNext / 60_000));
  return new Problem(
    'too-many-tries',
    `Too many tries for this name. Wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'}, or ask your teacher for a new slip.`,
    { 'retry-after': String(Math.ceil(msBeforeNext / 1000)) },
  );
}
