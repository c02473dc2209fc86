import {
  instruments,
  instrumentOf,
  type Conventions,
  type InstrumentKind,
  type StepOverride,
} from '@green-beam/core';
import { ChoiceField, TextField } from '../ui/fields';
import { ListField } from '../ui/ListField';

const kinds = instruments.map(({ kind, name }) => [kind, name] as const);

const written = [
  ['division', 'Divided in'],
  ['tag', 'Tag'],
  ['step', 'Read to'],
] as const;

/** Rules of their own: for a kind of instrument, one make of it, or one piece with its tag. */
export function OwnSteps({
  rules,
  mayChange,
  onChange,
}: {
  readonly rules: Conventions;
  readonly mayChange: boolean;
  readonly onChange: (part: Partial<Conventions>) => void;
}) {
  return (
    <fieldset disabled={!mayChange}>
      <legend className="sr-only">Instruments with a rule of their own</legend>
      <ListField<StepOverride>
        title="Instruments that are read by a rule of their own"
        one="rule of its own"
        items={rules.overrides}
        blank={{ kind: 'burette', step: '0.05' }}
        onChange={(overrides) => onChange({ overrides })}
      >
        {(own, change, replace) => (
          <div className="flex flex-wrap gap-3">
            <ChoiceField
              label="Instrument"
              className="w-48"
              value={own.kind}
              choices={kinds}
              onChange={(kind) => replace({ kind: kind as InstrumentKind, step: own.step })}
            />
            <ChoiceField
              label="Make"
              className="w-56"
              value={own.model ?? ''}
              choices={[
                ['', 'any'],
                ...instrumentOf(own.kind).models.map(({ id, name }) => [id, name] as const),
              ]}
              onChange={(model) => replace(withOr(own, 'model', model))}
            />
            {written.map(([part, label]) => (
              <TextField
                key={part}
                label={label}
                mono
                className="w-24"
                value={own[part] ?? ''}
                onChange={(text) =>
                  part === 'step' ? change({ step: text }) : replace(withOr(own, part, text))
                }
              />
            ))}
          </div>
        )}
      </ListField>
    </fieldset>
  );
}

/** With one part, or without it where it was left empty. */
function withOr(own: StepOverride, key: 'model' | 'division' | 'tag', text: string): StepOverride {
  const rest = Object.fromEntries(
    Object.entries(own).filter(([name]) => name !== key),
  ) as unknown as StepOverride;
  return text.trim() === '' ? rest : { ...rest, [key]: text.trim() };
}
