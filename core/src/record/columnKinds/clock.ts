import { clockSeconds, Decimal } from '../../figures';
import { parseProduct } from '../../units';
import type { ClockColumn } from '../investigation';
import type { ColumnKind } from './columnKind';

/** A time of day; in formulas minutes since the zero of its row, one that is earlier being of the next day. */
export const clockKind: ColumnKind<ClockColumn> = {
  quantity(text, _, { firstClock = text }) {
    const [from, to] = [secondsOf(firstClock), secondsOf(text)];
    if (typeof from === 'string' || typeof to === 'string') return null;
    const seconds = to < from ? to - from + 86_400 : to - from;
    const toSeconds = /:\d{2}:\d{2}/.test(text);
    return {
      value: new Decimal(seconds).div(60),
      lastPlace: toSeconds ? -2 : 0,
      unit: parseProduct('min'),
      point: false,
    };
  },
  advise(text) {
    const seconds = secondsOf(text);
    return typeof seconds === 'string' ? seconds : null;
  },
  halfWidth: () => 0.5,
  audit: () => ({}),
};

/** Half of the last unit that was read, in minutes: of a minute, or of a second where that was written. */
export const clockHalfWidth = (lastPlace: number | null): number =>
  lastPlace !== null && lastPlace < 0 ? 0.5 / 60 : 0.5;

/** Seconds since midnight, or what is wrong with it as a time. */
function secondsOf(text: string): number | string {
  try {
    return clockSeconds(text);
  } catch (error) {
    if (error instanceof RangeError) return error.message;
    throw error;
  }
}
