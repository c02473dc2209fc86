import type { Conventions, QuestionGroup } from '@green-beam/core';
import { TextField } from '../ui/fields';
import { ListField } from '../ui/ListField';

interface Props {
  readonly group: QuestionGroup;
  readonly rules: Conventions;
  readonly mayChange: boolean;
  readonly onChange: (part: Partial<Conventions>) => void;
}

/** What a class answers by a number, beside the questions of the same group. */
export function RuleNumbers({ group, rules, mayChange, onChange }: Props) {
  const number = (label: string, key: 'strictness' | 'zeroClosings' | 'fixedFigures') => (
    <TextField
      key={key}
      label={label}
      mono
      className="w-72"
      value={String(rules[key])}
      onChange={(text) => {
        const value = Number(text.replace(',', '.'));
        if (text.trim() !== '' && Number.isFinite(value)) onChange({ [key]: value });
      }}
    />
  );
  const fields = {
    reading: [
      number('An estimate may be off by so much of a division', 'strictness'),
      number('How often a caliper’s zero is checked', 'zeroClosings'),
    ],
    writing: [number('Figures of a result, where they are fixed', 'fixedFigures')],
    uncertainty: [],
    judging: [<Bands key="bands" bands={rules.bands} onChange={(bands) => onChange({ bands })} />],
    glass: [],
  }[group];
  if (fields.length === 0) return null;
  return (
    <fieldset disabled={!mayChange} className="flex flex-wrap gap-5">
      <legend className="sr-only">In numbers</legend>
      {fields}
    </fieldset>
  );
}

function Bands({
  bands,
  onChange,
}: {
  readonly bands: Conventions['bands'];
  readonly onChange: (bands: Conventions['bands']) => void;
}) {
  return (
    <ListField
      title="What is a good percent error?"
      one="band"
      items={bands}
      blank={{ upToPercent: 20, word: '' }}
      onChange={onChange}
    >
      {(band, change) => (
        <div className="flex flex-wrap gap-4">
          <TextField
            label="Up to, in percent"
            mono
            className="w-36"
            value={String(band.upToPercent)}
            onChange={(text) => change({ upToPercent: Number(text.replace(',', '.')) || 0 })}
          />
          <TextField
            label="is called"
            className="w-44"
            value={band.word}
            onChange={(word) => change({ word })}
          />
        </div>
      )}
    </ListField>
  );
}
