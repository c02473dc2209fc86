import type { Conventions } from '../conventions';
import type { PercentError } from '../density/percentError';
import { agreement } from '../statistics';
import { effectiveDegrees } from '../uncertainty';
import { asStandard } from './modelInputs';
import type { Outcome } from './outcome';
import type { Result } from './result';

/** A cause of error: what it does to the result, what kind it is, and how to test for it. */
export interface ErrorCause {
  readonly code: string;
  readonly cause: string;
  readonly effect: string;
  readonly kind: 'systematic' | 'random' | 'either';
  readonly test: string;
  /** Which way it pushes the result: up, down, or either way. */
  readonly pushes: 'up' | 'down' | 'either';
  /** Findings of a second look that make it likely. */
  readonly findings: readonly string[];
}

const row = (
  code: string,
  cause: string,
  effect: string,
  kind: ErrorCause['kind'],
  pushes: ErrorCause['pushes'],
  test: string,
  ...findings: string[]
): ErrorCause => ({ code, cause, effect, kind, pushes, test, findings });

/** Causes of error of the methods in a school laboratory; an investigation names those that belong to its own. */
export const errorCauses: readonly ErrorCause[] = [
  row(
    'wet-when-weighed',
    'The object was wet when it was weighed',
    'the mass is too large',
    'systematic',
    'up',
    'Dry it and weigh again.',
  ),
  row(
    'bubble',
    'A bubble clung to the object',
    'the volume is too large',
    'either',
    'down',
    'Tap, look, repeat.',
    'outlier',
  ),
  row(
    'splash',
    'Water splashed out as it went in',
    'the volume is too small',
    'systematic',
    'up',
    'Slide it in; read the start again afterwards.',
    'outlier',
  ),
  row(
    'soaks',
    'The object soaks up water',
    'the mass grows and the volume comes out too small',
    'systematic',
    'either',
    'Weigh it afterwards; seal it.',
  ),
  row(
    'not-covered',
    'The object was not covered',
    'the volume is too small',
    'systematic',
    'up',
    'Take more liquid.',
  ),
  row(
    'curve-top',
    'The top of the curve was read',
    'it cancels in a difference, and stays in a single reading',
    'systematic',
    'either',
    'Read the bottom of the curve, the eye level.',
  ),
  row(
    'eye-height',
    'The eye was at another height before and after',
    'the volume is off either way',
    'random',
    'either',
    'Bring the eye level each time.',
    'outlier',
  ),
  row(
    'zero-error-left',
    'A zero error was left in',
    'all lengths are shifted',
    'systematic',
    'either',
    'Close the jaws on nothing and read.',
  ),
  row(
    'balance-changed',
    'The balance was changed between weighings',
    'its offset no longer cancels',
    'systematic',
    'either',
    'Use the balance with the same tag.',
    'other-balance',
  ),
  row(
    'outside-wet',
    'Fingerprints or drips on the outside',
    'the mass is too large',
    'either',
    'up',
    'Wipe it; use tongs.',
  ),
  row(
    'bulb-on-base',
    'The bulb lay on the base, or there was too little ice',
    'the temperature is off',
    'systematic',
    'either',
    'Clamp it; take more ice.',
  ),
  row(
    'gripped',
    'A soft object was squeezed',
    'the length is too small',
    'systematic',
    'up',
    'Find the thickness from the density.',
  ),
  row(
    'film',
    'A film stayed in the measuring vessel',
    'less was delivered than was read',
    'systematic',
    'up',
    'Use glass that is marked to deliver, drain it, weigh.',
  ),
  row(
    'left-on-holder',
    'Material stayed on the holder',
    'the loss of mass is too large',
    'systematic',
    'up',
    'Weigh it with its tray.',
  ),
  row(
    'evaporated',
    'Some of it evaporated between the readings',
    'the mass is too small later on',
    'systematic',
    'down',
    'Cover it, and read at once.',
  ),
  row(
    'miscounted',
    'Some were missed or counted twice',
    'the share of one is off',
    'either',
    'either',
    'Count them in rows of ten.',
    'outlier',
  ),
  row(
    'drops-uneven',
    'The drops were not alike',
    'the volume of a drop scatters',
    'random',
    'either',
    'Hold it upright; press slowly and evenly.',
    'outlier',
  ),
  row(
    'not-square',
    'It was not measured square across, or is not of that shape',
    'a length is too large',
    'either',
    'down',
    'Measure at several places and turns.',
    'outlier',
  ),
  row(
    'air-moves',
    'Moving air or a warm thing near',
    'the loss is not even in time',
    'random',
    'either',
    'Plot it: is it a straight line?',
  ),
  row(
    'jaws-askew',
    'The jaws were out of square',
    'a length is off, most where it is gripped at the tips',
    'systematic',
    'either',
    'Measure a known block at the tips and at the root of the jaws.',
  ),
  row(
    'slide-loose',
    'The slide is loose on its beam',
    'a length is off, one way or the other',
    'either',
    'either',
    'Measure a known block at both ends of the scale; take another piece.',
  ),
  row(
    'lines-worn',
    'The lines are worn or uneven',
    'readings are off in some places of the scale',
    'systematic',
    'either',
    'Lay it beside another scale.',
  ),
  row(
    'rod-zero',
    'The depth rod has a zero of its own',
    'depths are shifted',
    'systematic',
    'either',
    'Set the rod on a flat plate and read.',
  ),
  row(
    'glass-warped',
    'The glass was warped by heat',
    'its marks no longer fit what it holds',
    'systematic',
    'either',
    'Weigh the water that it holds.',
  ),
  row(
    'edges-not-square',
    'Edges are not square, or the piece is not straight',
    'length, area or volume are off',
    'either',
    'either',
    'Measure at several places.',
  ),
  row(
    'poured-beside',
    'Some was poured beside, or a drop stayed hanging',
    'less arrived than was read',
    'either',
    'up',
    'Pour along a rod, touch off the drop, weigh the receiver.',
  ),
  row(
    'thread-touches',
    'Thread or hook touched something',
    'the hanging mass is off',
    'random',
    'either',
    'Let it hang free; a small swing frees it.',
  ),
];

/** Which way the main result lies from the accepted value; null where it agrees with it, or where there is none. */
export function leanOf(
  { results }: Pick<Outcome, 'results'>,
  conventions: Conventions,
): 'up' | 'down' | null {
  const [first] = results;
  const result = first?.state === 'reckoned' ? first.result : null;
  const error = result?.percentError;
  if (!result || !error || error.percent.isZero()) return null;
  if (result.uncertainty !== null && againstAccepted(result, error, conventions).verdict === 'agree')
    return null;
  return error.percent.gt(0) ? 'up' : 'down';
}

/** How a result that has an uncertainty agrees with its accepted value, whose own tolerance belongs to the comparison. */
export function againstAccepted(
  { uncertainty, contributions, plan }: Pick<Result, 'uncertainty' | 'contributions' | 'plan'>,
  { error }: PercentError,
  conventions: Conventions,
): ReturnType<typeof agreement> {
  const own = asStandard(Number((plan.accepted?.tolerance ?? '0').replace(',', '.')), conventions);
  const degrees = effectiveDegrees([...contributions, { contribution: own }]);
  return agreement(error.value.toNumber(), Math.hypot(uncertainty ?? NaN, own), degrees);
}

/** The causes of an investigation; those that a finding or the direction of its error speaks for come first. */
export function likelyCauses(
  codes: readonly string[],
  found: ReadonlySet<string>,
  leans: 'up' | 'down' | null,
): { readonly cause: ErrorCause; readonly why: string | null }[] {
  return errorCauses
    .filter(({ code }) => codes.includes(code))
    .map((cause) => {
      const finding = cause.findings.some((code) => found.has(code));
      const fits = leans !== null && cause.pushes === leans;
      const why = finding
        ? 'The second look found something that fits.'
        : fits
          ? `It would push the result ${leans}, the way yours lies.`
          : null;
      return { cause, why, rank: finding ? 0 : fits ? 1 : 2 };
    })
    .sort((a, b) => a.rank - b.rank)
    .map(({ cause, why }) => ({ cause, why }));
}
