import { evaporatingPan } from '../../src/record/readyMade';
import { against, along, byLine, readersDoBetter, rising, same, type Case, worstOfTolerance } from './case';
import { byMinutes, ruler, tenths } from './pieces';

/** The pan dries by 0.2 mm and 0.9 g a minute, and is looked at when somebody comes by. */
const pan: Pick<Case, 'truth'> = {
  truth: (random) => {
    const t = [0, ...rising(10, 10, 5).map((time) => time + random.between(-1, 1))];
    return { t, depth: t.map((time) => 24.3 - 0.2 * time), mass: t.map((time) => 612.4 - 0.9 * time) };
  },
};
/** Its surface trembles. */
const surface = { of: { depth: same(1, 6) }, size: 0.3 };
export const evaporatingPanCases: readonly Case[] = [
  {
    name: 'Evaporating pan, when it stands at 12 mm',
    investigation: evaporatingPan,
    plan: 'when',
    value: (24.3 - 12) / 0.2,
    pieces: { clock: byMinutes, 'R-01': ruler },
    readOn: { t: 'clock', depth: 'R-01' },
    tolerances: along('R-01', 'depth'),
    ...pan,
    ...byLine(against('depth'), (b, a) => (12 - a) / b, { scatter: surface }),
    asks: 'height',
    why: worstOfTolerance,
  },
  {
    name: 'Evaporating pan, sinking',
    investigation: evaporatingPan,
    plan: 'sinking',
    value: -0.2,
    pieces: { clock: byMinutes, 'R-01': ruler },
    readOn: { t: 'clock', depth: 'R-01' },
    tolerances: along('R-01', 'depth'),
    ...pan,
    ...byLine(against('depth'), (b) => b, { scatter: surface }),
    why: readersDoBetter,
  },
  {
    name: 'Evaporating pan, drying',
    investigation: evaporatingPan,
    plan: 'drying',
    value: -0.9,
    pieces: { clock: byMinutes, 'E-01': tenths },
    readOn: { t: 'clock', mass: 'E-01' },
    tolerances: along('E-01', 'mass'),
    ...pan,
    ...byLine(against('mass'), (b) => b),
  },
];
