import type { Entry } from './table';

/** How Green Beam reckons a ±. A new version is a line here, with what it changed. */
export const modelVersions = [
  {
    version: 1,
    until: '2026-11-26',
    says: 'each reading of a column as one input, lines by their scatter alone',
  },
  {
    version: 2,
    until: null,
    says: 'each result as one function of all its readings: what they share acts once, what repeats counts once',
  },
] as const;

/** The version by which everything is reckoned now. */
export const modelVersion = modelVersions[modelVersions.length - 1] as (typeof modelVersions)[1];

/** For a logbook that was begun under an earlier version: that its ± may have been another. */
export function earlierModel(entries: Iterable<Pick<Entry, 'writtenAt'>>): string | null {
  const first = [...entries].reduce(
    (least, { writtenAt }) => (writtenAt < least ? writtenAt : least),
    '9999',
  );
  const earlier = modelVersions.find(({ until }) => until !== null && first < until);
  return earlier
    ? `Before ${earlier.until} a ± was reckoned by version ${earlier.version} (${earlier.says}); where it was printed then, it may differ. The readings are the same.`
    : null;
}
