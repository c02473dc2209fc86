import {
  observationName,
  withoutLeftOut,
  type Comparison,
  type Gathered,
  type LeftOut,
} from '@green-beam/core';
import { queryOptions } from '@tanstack/react-query';
import { matchPath } from 'react-router';
import { stockQuery } from '../../stock/useStock';
import { leftOutIn, searchSaying } from '../LeaveOut';
import { logbooksSeen, poolOf } from '../sources/logbooks';
import { piecesSeen } from '../sources/pieces';
import { readingsOf, readingsSeen } from '../sources/readings';
import type { Seen } from '../sources/seen';

/** The address of a comparison that shows one group alone, without what is left out of it. */
export function addressOf(
  { pathname, search }: { readonly pathname: string; readonly search: string },
  { groups }: Comparison,
  key: string,
  leftOut: LeftOut,
): string {
  const params = new URLSearchParams(search);
  params.delete('only');
  params.append('only', key);
  const own = new Set(groups.find((group) => group.key === key)?.observations.map(observationName));
  const left = Object.fromEntries(Object.entries(leftOut).filter(([name]) => own.has(name)));
  return `${pathname}${searchSaying(params.toString(), left)}`;
}

/** A group that was picked: the comparison in which it stands, and its key there. */
export interface Picked {
  readonly address: string;
  readonly pathname: string;
  readonly search: URLSearchParams;
  readonly key: string;
}

const ofClass = '/class/:classId/compare/:place';
const ofStock = '/stock/compare';

/** What an address leads to; null where it names no group of a comparison. */
export function pickedIn(address: string): Picked | null {
  const { pathname, searchParams: search } = new URL(address, 'http://page');
  const key = search.get('only');
  const place = matchPath(ofStock, pathname) ?? matchPath(ofClass, pathname);
  if (key === null || place === null || pathname.endsWith('/together')) return null;
  return { address, pathname, search, key };
}

/** The same for picks for which the same has to be asked. */
export const askedFor = ({ pathname, search }: Picked): string =>
  pathname.endsWith('/readings') ? `${pathname} ${search.get('kind')} ${search.get('question')}` : pathname;

/** What has to be asked for picks of which the same is asked, and what is then seen for each. */
export function askFor(picks: readonly [Picked, ...Picked[]]) {
  const [{ pathname, search: first }] = picks;
  const each = (seen: (search: URLSearchParams) => Seen) => picks.map(({ search }) => seen(search));
  if (matchPath(ofStock, pathname))
    return queryOptions({
      ...stockQuery,
      select: (answer) => each((search) => piecesSeen(answer, search)),
    });
  const { classId = '', place = '' } = matchPath(ofClass, pathname)?.params ?? {};
  if (place === 'readings')
    return queryOptions({
      ...readingsOf(classId, first.get('kind'), first.get('question')),
      select: (answer) => each((search) => readingsSeen(answer, search)),
    });
  return queryOptions({
    ...poolOf(classId, place),
    select: (answer) => each((search) => logbooksSeen(answer, search)),
  });
}

/** The group of a pick, with where it comes from; null where it is there no more. */
export function gatheredFrom(
  { search, key }: Picked,
  { comparison, name, trials }: Seen,
  nth: number,
): (Gathered & { readonly from: string }) | null {
  const left = leftOutIn(search);
  const group = withoutLeftOut(comparison, left).groups.find((own) => own.key === key);
  return group
    ? { unit: comparison.unit, group: { ...group, key: String(nth) }, source: trials, from: name }
    : null;
}
