import type { ReadingsAnswer } from '@green-beam/contract';
import {
  digitHabit,
  farthestOff,
  isSlip,
  leastForDigits,
  readingGroupings,
  type DigitHabit,
  type ReadingGrouping,
  type ReadOnce,
} from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { wholeDay } from '../ui/clock';
import { CheckField, ChoiceField } from '../ui/fields';
import { Headings } from '../ui/Headings';
import { Loading, Trouble } from '../ui/Notice';
import { readingsChosen, readingsOf } from './sources/readings';
import { Whole } from './Whole';

const words: Readonly<Record<ReadingGrouping, string>> = {
  reader: 'readers',
  bench: 'benches',
  make: 'makes',
  day: 'days',
};

/** How a class reads: all first readings on one kind of instrument, or at one question that everybody read. */
export function ReadingsCompare() {
  const { classId = '' } = useParams();
  const [search] = useSearchParams();
  const [kind, question] = [search.get('kind'), search.get('question')];
  const readings = useQuery(readingsOf(classId, kind, question));
  if (readings.data === undefined)
    return readings.isError ? (
      <Trouble error={readings.error} again={() => void readings.refetch()} />
    ) : (
      <Loading what="the class’s readings" />
    );
  return <Compared answer={readings.data} />;
}

function Compared({ answer }: { readonly answer: ReadingsAnswer }) {
  const [search, setSearch] = useSearchParams();
  const set = (name: string, value: string | null) =>
    setSearch(
      (before) => {
        // Other groups have other names.
        if (name === 'by') before.delete('only');
        if (value === null) before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  const { asked, kind, by, slipsCount, readings, comparison } = useMemo(
    () => readingsChosen(answer, search),
    [answer, search],
  );
  const slips = readings.filter(isSlip);
  const name = asked ? asked.instrumentName : (kind?.name ?? 'Readings');
  return (
    <Whole
      title={`Compare: ${name}`}
      aside={
        asked
          ? `${answer.class.name} · asked ${wholeDay(asked.at)}, ${asked.answers} first answers`
          : `${answer.class.name} · ${readings.length} first readings, in divisions off`
      }
      back={{ to: `/class/${answer.class.id}/compare`, name: 'Back to Compare' }}
      name={name}
      place={`readings/${answer.class.id}/${asked?.id ?? kind?.kind ?? ''}`}
      comparison={comparison}
      conventions={answer.conventions}
      wanted={false}
      classId={answer.class.id}
      choice={
        <div className="no-print mb-5 flex flex-wrap items-end gap-x-6 gap-y-2">
          <ChoiceField
            label="Between"
            value={by}
            choices={readingGroupings.map((own) => [own, words[own]] as const)}
            onChange={(value) => set('by', value)}
            className="w-52"
          />
          {slips.length > 0 && (
            <CheckField
              label={`Count ${slips.length === 1 ? 'the one' : `the ${slips.length}`} more than ${farthestOff} divisions off: a misreading, not scatter`}
              checked={slipsCount}
              onChange={(checked) => set('slips', checked ? 'counted' : null)}
            />
          )}
        </div>
      }
    >
      {!asked && <Digits readings={readings} />}
    </Whole>
  );
}

/** Whose last digits are not those of the scale. */
function Digits({ readings }: { readonly readings: readonly ReadOnce[] }) {
  const habits = useMemo(
    () =>
      [...new Set(readings.map(({ who }) => who))].flatMap((who) => {
        const habit = digitHabit(readings.filter((own) => own.who === who));
        return habit ? [{ who, habit }] : [];
      }),
    [readings],
  );
  const carried = habits.filter(({ habit }) => habit.carried);
  return (
    <section aria-label="Last digits" className="mt-6">
      <h2 className="mb-1">Last digits</h2>
      {habits.length === 0 ? (
        <p className="text-soft">
          Nobody has read this {leastForDigits} times yet: fewer say nothing of a habit.
        </p>
      ) : carried.length === 0 ? (
        <p>
          Of {habits.length} who have read this {leastForDigits} times or more, nobody prefers a digit beyond
          chance.
        </p>
      ) : (
        carried.map(({ who, habit }) => <Habit key={who} who={who} habit={habit} />)
      )}
    </section>
  );
}

function Habit({ who, habit }: { readonly who: string; readonly habit: DigitHabit }) {
  const { counts, favoured, n, test } = habit;
  return (
    <div className="my-2 border-l-4 border-brass-line pl-3">
      <p>
        {who} writes {favoured.length === 0 ? 'some digits' : listed(favoured)} more often than the scale has
        them: χ² = {test.statistic.toFixed(1)}, ν = {test.df}, {n} readings. Worth a look.
      </p>
      <table className="mt-1 font-mono text-sm">
        <Headings of={['Last digit', ...counts.map(({ digit }) => String(digit))]} />
        <tbody>
          {(['written', 'true'] as const).map((part) => (
            <tr key={part}>
              <th scope="row" className="pr-4 text-left font-normal">
                {part}
              </th>
              {counts.map((count) => (
                <td key={count.digit} className="px-2 text-right">
                  {count[part]}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** `0 and 5`. */
const listed = (digits: readonly number[]): string =>
  [...digits]
    .sort((a, b) => a - b)
    .join(', ')
    .replace(/, (\d)$/, ' and $1');
