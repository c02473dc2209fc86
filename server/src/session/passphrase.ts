import { sameName } from '@green-beam/core';
import { hash } from '@node-rs/argon2';
import { randomInt } from 'node:crypto';
import { Piscina } from 'piscina';
import { workerFile } from '../threads/workers';

/** Short plain words that are hard to mishear and hard to misspell: 123 of them, so four make 27 bits. */
const words = (
  'amber anchor apple april arrow autumn bacon badge baker basin beach berry birch bonus bread brick bridge broom ' +
  'butter cabin camel candle canvas carbon cedar chalk cherry circle clock cloud clover cobalt coffee comet copper coral ' +
  'corner cotton crane cream crisp cycle daisy delta desert dinner dollar dragon eagle east echo ember engine fabric ' +
  'falcon feather fern finger flint forest fossil garden garlic ginger glider globe golden granite gravel guitar hammer ' +
  'harbor hazel helmet honey indigo island ivory jacket jungle kettle ladder lagoon lantern lemon linen lobster magnet ' +
  'maple marble meadow melon mirror monday moss needle north oasis ocean olive onion orange orbit oyster paddle palm ' +
  'paper parrot pebble pepper pilot planet plum pocket poplar quartz rabbit radio raven ribbon river robin rocket'
).split(' ');

/** A new passphrase for a slip: four words. */
export const makePassphrase = (): string =>
  Array.from({ length: 4 }, () => words[randomInt(words.length)]).join(' ');

/** What somebody typed from a slip, without the differences that do not matter. */
export const plainPassphrase = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, ' ');

/** How a name is compared at sign-in. */
export const nameKey = sameName;

/** One thread for what strangers try at sign-in, for as long as there is something to do. */
const thread = new Piscina({
  filename: workerFile(),
  name: 'verifying',
  minThreads: 0,
  maxThreads: 1,
  idleTimeout: 60_000,
});

/** A new secret is made by somebody who is signed in: it does not wait behind those who guess. */
export const hashSecret = (secret: string): Promise<string> => hash(secret);

/** Verifies against a hash; without one it spends the same time and says no. */
export async function verifySecret(secretHash: string | undefined, secret: string): Promise<boolean> {
  standIn ??= hashSecret('nobody signs in with this');
  const matches = Boolean(await thread.run({ secret, against: secretHash ?? (await standIn) }));
  return secretHash !== undefined && matches;
}
let standIn: Promise<string> | undefined;
