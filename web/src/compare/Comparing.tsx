import {
  byPrecision,
  byTrueness,
  compared,
  shownWords,
  type Comparison,
  type Conventions,
  type Shown,
} from '@green-beam/core';
import { ComparePlot, type CompareMode, type DrawnGroup } from '@green-beam/drawing';
import { useMemo, useState, type ReactNode } from 'react';
import { SavedPlot } from '../ui/SavedPlot';
import { Carried } from './Carried';
import { GroupNumbers } from './GroupNumbers';
import { LikelyCauses } from './LikelyCauses';
import { Outliers } from './Outliers';
import { Ranks } from './Ranks';
import { useWidth } from './useWidth';
import { Wanted } from './Wanted';

/** A comparison whole: the same trials as dots or as rings, their numbers, what they show and what they can carry. */
export function Comparing({
  name,
  comparison,
  conventions,
  causes = [],
  covered = null,
  enlarged = false,
  wanted = true,
}: {
  readonly name: string;
  readonly comparison: Comparison;
  readonly conventions: Conventions;
  /** Codes of the causes of error that belong to the method. */
  readonly causes?: readonly string[];
  /** What stands in place of the sentences while a claim is still to be written. */
  readonly covered?: ReactNode;
  /** For the last row of a class. */
  readonly enlarged?: boolean;
  /** Whether a wanted ± is asked for: what is compared is a vessel or a way, and no reader. */
  readonly wanted?: boolean;
}) {
  const all = useMemo(() => compared(comparison), [comparison]);
  const [mode, setMode] = useState<CompareMode>('dots');
  const [place, width] = useWidth();
  const { unit, groups } = comparison;
  const [order, setOrder] = useState<Order>('as they come');
  const shown = useMemo(() => orders[order](all.shown), [order, all]);
  // Sorted anew they are the same groups: so they can be followed by eye.
  const known = useMemo(() => drawnGroups(comparison, all.shown), [comparison, all]);
  const drawn = useMemo(() => shown.flatMap(({ key }) => known.get(key) ?? []), [shown, known]);
  if (all.shown.length === 0)
    return (
      <p className="text-soft">
        There is nothing to compare yet: it appears here with the first trial that counts.
      </p>
    );
  return (
    <div className="flex flex-col gap-7">
      <section aria-label="Every trial" ref={place}>
        <div
          className="no-print on-projector mb-1 flex flex-wrap items-center gap-2"
          role="group"
          aria-label="Drawn as"
        >
          {(['dots', 'rings'] as const).map((own) => (
            <button
              key={own}
              type="button"
              aria-pressed={mode === own}
              onClick={() => setMode(own)}
              className="rounded-sm border border-edge bg-white px-3 py-1.5 aria-pressed:border-ink aria-pressed:font-bold"
            >
              {own === 'dots' ? 'Dots on one scale' : 'Rings'}
            </button>
          ))}
          <span className="mr-auto text-sm text-soft">The same trials, turned.</span>
          {all.shown.length > 2 && (
            <label className="flex items-center gap-2 text-sm">
              In order
              <select
                value={order}
                onChange={(event) => setOrder(event.target.value as Order)}
                className="rounded-sm border border-edge bg-white px-2 py-1.5"
              >
                {Object.keys(orders).map((own) => (
                  <option key={own}>{own}</option>
                ))}
              </select>
            </label>
          )}
        </div>
        <SavedPlot name={`${name} ${mode}`} wide>
          <ComparePlot
            groups={drawn}
            unit={unit}
            mode={mode}
            width={enlarged ? Math.round(width / larger) : width}
            enlarged={enlarged}
          />
        </SavedPlot>
      </section>
      <GroupNumbers shown={shown} unit={unit} conventions={conventions} />
      <Outliers comparison={comparison} />
      {covered ?? (
        <div className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
          <section aria-label="What these trials show">
            <h2 className="mb-1">What these trials show</h2>
            {shownWords(all, unit).map((sentence) => (
              <p key={sentence}>{sentence}</p>
            ))}
            <Ranks shown={all.shown} />
          </section>
          <Carried all={all} comparison={comparison} conventions={conventions} />
        </div>
      )}
      {covered === null && wanted && !enlarged && <Wanted shown={all.shown} unit={unit} />}
      {!enlarged && <LikelyCauses codes={causes} />}
      {groups.length > all.shown.length && (
        <p className="text-soft">
          Nothing counts of{' '}
          {groups
            .filter(({ key }) => !all.shown.some((own) => own.key === key))
            .map(({ name: own }) => own)
            .join(', ')}
          .
        </p>
      )}
    </div>
  );
}

/** In what order groups stand; those of which there is nothing to say come last. */
const orders = {
  'as they come': (shown: readonly Shown[]) => shown,
  'from the least error': (shown: readonly Shown[]) => withOthers(byTrueness(shown), shown),
  'from the least spread': (shown: readonly Shown[]) => withOthers(byPrecision(shown), shown),
} as const;
type Order = keyof typeof orders;

const withOthers = (ranked: readonly Shown[], shown: readonly Shown[]): readonly Shown[] => [
  ...ranked,
  ...shown.filter((one) => !ranked.includes(one)),
];

/** The groups as they are drawn, by their keys. */
const drawnGroups = ({ groups }: Comparison, shown: readonly Shown[]): ReadonlyMap<string, DrawnGroup> =>
  new Map(
    shown.flatMap(({ key, name, mean, interval, sd, tolerance }) => {
      const group = groups.find((own) => own.key === key);
      if (!group) return [];
      const drawn: DrawnGroup = {
        ...{ key, name, mean, interval, sd, tolerance },
        reference: group.reference ? Number(group.reference.value) : null,
        values: group.observations.slice(0, mostDots).map(({ value, trial, excluded }) => ({
          value: Number(value),
          trial: trial ?? null,
          excluded: Boolean(excluded),
        })),
      };
      return [[key, drawn]];
    }),
  );

/** How much larger a plot is on the projector. */
const larger = 1.6;
/** Dots of a group that are drawn; all of them count. */
const mostDots = 200;
