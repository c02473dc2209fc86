import { clockMinutes, Decimal } from '../figures';
import { ask, writtenAt, type Drill } from './drill';

/** Two clock times to decimal minutes. */
export const clockTimes: Drill = {
  kind: 'clock-times',
  name: 'Clock times',
  about: 'from two clock times to decimal minutes',
  make: (random, conventions, level) => {
    const start = random.whole(9 * 60, 22 * 60) * 60 + random.whole(1, 9) * 6 + 30 * random.whole(0, 0);
    const long =
      random.whole(level > 0 ? 70 : 12, level > 0 ? 190 : 55) * 60 +
      random.pick([6, 12, 18, 24, 36, 42, 48, 54]);
    const [from, to] = [clock(start), clock(start + long)];
    const value = clockMinutes(from, to);
    const asDecimal = (text: string) => {
      const [h = 0, m = 0, s = 0] = text.split(':').map(Number);
      return new Decimal(h * 60 + m).plus(new Decimal(s).div(100));
    };
    const naive = asDecimal(to).minus(asDecimal(from));
    const [minutes, seconds] = [Math.floor(long / 60), long % 60];
    const row = (code: string, title: string, hint: string, exact: Decimal, place: number) => ({
      code,
      skill: 'unit' as const,
      title,
      hint,
      text: writtenAt(exact, place, conventions),
    });
    return ask(
      {
        prompt: 'The pan was read at these two times. How many minutes lie between, as a decimal to 0.1 min?',
        given: [from, to],
        unit: 'min',
        unitChoices: ['s', 'min', 'h'],
        result: { value, lastPlace: -1 },
        mistakes: [
          row(
            'seconds-as-decimals',
            'The seconds were written as decimals of a minute.',
            'A minute has 60 seconds: divide the seconds by 60.',
            new Decimal(minutes).plus(new Decimal(seconds).div(100)),
            -2,
          ),
          row(
            'clock-subtracted-as-decimals',
            'The clock times were subtracted as decimal numbers.',
            'A minute has 60 seconds and an hour 60 minutes: turn both into seconds first.',
            naive,
            -2,
          ),
          row(
            'seconds-dropped',
            'The seconds were left out.',
            'The seconds are part of the time too.',
            new Decimal(minutes),
            0,
          ),
        ],
        working: [
          `${minutes} min and ${seconds} s: ${seconds} ÷ 60 = ${new Decimal(seconds).div(60).toString()} min.`,
        ],
      },
      conventions,
    );
  },
};

const clock = (seconds: number): string => {
  const part = (value: number) => String(value).padStart(2, '0');
  const day = ((seconds % 86_400) + 86_400) % 86_400;
  return `${Math.floor(day / 3600)}:${part(Math.floor(day / 60) % 60)}:${part(day % 60)}`;
};
