import type { Arrangement, BenchesAnswer } from '@green-beam/contract';
import { useState } from 'react';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/fields';
import { Fold } from '../ui/Fold';

type Pairs = Arrangement['apart'];

/** Who does not sit together when benches are drawn. */
export function KeptApart({
  students,
  apart,
  onChange,
}: {
  readonly students: BenchesAnswer['students'];
  readonly apart: Pairs;
  readonly onChange: (apart: Pairs) => void;
}) {
  const [pair, setPair] = useState<readonly [string, string]>(['', '']);
  const [one, other] = pair;
  const nameOf = (id: string) =>
    students.find((student) => student.id === id)?.name ?? 'somebody who has left';
  const names = [['', '–'] as const, ...students.map(({ id, name }) => [id, name] as const)];
  const ready = one !== '' && other !== '' && one !== other;
  return (
    <div className="mt-6">
      <Fold
        title="Kept apart"
        aside={
          apart.length === 0
            ? 'when benches are drawn'
            : `${apart.length} ${apart.length === 1 ? 'pair' : 'pairs'}`
        }
        startsOpen={false}
      >
        <ul>
          {apart.map(([a = '', b = ''], at) => (
            <li key={`${a} ${b}`} className="flex items-baseline gap-3">
              {nameOf(a)} and {nameOf(b)}
              <Button
                look="quiet"
                className="text-sm"
                onClick={() => onChange(apart.filter((_, nth) => nth !== at))}
              >
                Let them sit together
              </Button>
            </li>
          ))}
        </ul>
        <div className="flex flex-wrap items-end gap-3">
          <ChoiceField
            label="One"
            value={one}
            choices={names}
            onChange={(id) => setPair([id, other])}
            className="w-56"
          />
          <ChoiceField
            label="The other"
            value={other}
            choices={names}
            onChange={(id) => setPair([one, id])}
            className="w-56"
          />
          <Button
            disabled={!ready}
            onClick={() => {
              onChange([...apart, [one, other]]);
              setPair(['', '']);
            }}
          >
            Keep apart
          </Button>
        </div>
      </Fold>
    </div>
  );
}
