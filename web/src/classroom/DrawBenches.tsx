import { drawBenches } from '@green-beam/core';
import { useState } from 'react';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/fields';
import { nextName, type SeatedStudent, type Seats } from './seats';

/** Draws the benches among who is there; those that there are keep their names. */
export function DrawBenches({
  students,
  apart,
  benches,
  onDrawn,
}: {
  readonly students: readonly SeatedStudent[];
  readonly apart: Seats['apart'];
  readonly benches: Seats['benches'];
  readonly onDrawn: (benches: Seats['benches']) => void;
}) {
  const [size, setSize] = useState('3');
  const [by, setBy] = useState<'chance' | 'explaining'>('chance');
  const [refused, setRefused] = useState(false);
  const draw = () => {
    const here = students.filter(({ absent }) => !absent);
    const seed = crypto.getRandomValues(new Uint32Array(1))[0] ?? 0;
    const drawn = drawBenches(here, { size: Number(size), apart, by }, seed);
    setRefused(drawn === null);
    if (!drawn) return;
    const names: Seats['benches'] = [];
    for (const [at, members] of drawn.entries()) {
      const old = benches[at];
      names.push({
        id: old?.id ?? crypto.randomUUID(),
        name: old?.name ?? nextName([...benches, ...names]),
        members,
      });
    }
    onDrawn(names);
  };
  return (
    <div className="mb-3 flex flex-wrap items-end gap-4">
      <ChoiceField
        label="At a bench"
        value={size}
        choices={['2', '3', '4', '5', '6'].map((own) => [own, `${own} students`] as const)}
        onChange={setSize}
        className="w-36"
      />
      <ChoiceField
        label="Together"
        value={by}
        choices={[
          ['chance', 'by chance'],
          ['explaining', 'who can explain what another misreads'],
        ]}
        onChange={(own) => setBy(own === 'explaining' ? 'explaining' : 'chance')}
        className="w-80 max-w-full"
      />
      <Button look="main" disabled={students.length === 0} onClick={draw}>
        Draw the benches
      </Button>
      {refused && (
        <p role="alert" className="basis-full border-l-4 border-vermilion pl-3">
          With so many at a bench these pairs cannot be kept apart. Try fewer at a bench.
        </p>
      )}
    </div>
  );
}
