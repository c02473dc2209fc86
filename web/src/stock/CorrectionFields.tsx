import { isoDay, type Correction } from '@green-beam/core';
import { ChoiceField, LinesField, TextField } from '../ui/fields';
import { plainMinus, pointFrom, pointLine } from './pieceLines';

/** What was found of a piece: nothing, a zero error, or what is to be added. */
export function CorrectionFields({
  correction,
  unit,
  onChange,
}: {
  readonly correction: Correction | null;
  readonly unit: string;
  readonly onChange: (correction: Correction | null) => void;
}) {
  const found = {
    plusMinus: correction?.plusMinus ?? '',
    on: correction?.on ?? isoDay(new Date()),
    by: correction?.by ?? '',
  };
  return (
    <div className="grid gap-4">
      <ChoiceField
        label="What was found"
        className="max-w-xs"
        value={correction?.kind ?? 'none'}
        choices={[
          ['none', 'Nothing'],
          ['zero', 'A zero error'],
          ['points', 'What is to be added, at one reading or more'],
        ]}
        onChange={(kind) =>
          onChange(
            kind === 'zero'
              ? { kind, error: '', ...found }
              : kind === 'points'
                ? { kind, points: [], ...found }
                : null,
          )
        }
      />
      {correction && (
        <div className="grid gap-4 sm:grid-cols-[1fr_8rem_9rem_1fr]">
          {correction.kind === 'zero' ? (
            <TextField
              label={`Shown with nothing to show, in ${unit}`}
              mono
              value={correction.error}
              onChange={(error) => onChange({ ...correction, error: plainMinus(error) })}
            />
          ) : (
            <LinesField
              label={`A line each: shown, what is added, in ${unit}`}
              lines={correction.points.map(pointLine)}
              onChange={(lines) => onChange({ ...correction, points: lines.map(pointFrom) })}
            />
          )}
          <TextField
            label={`± in ${unit}`}
            mono
            value={correction.plusMinus}
            onChange={(plusMinus) => onChange({ ...correction, plusMinus: plainMinus(plusMinus) })}
          />
          <TextField
            label="Found on"
            mono
            longest={10}
            value={correction.on}
            onChange={(on) => onChange({ ...correction, on })}
          />
          <TextField
            label="By"
            longest={80}
            value={correction.by}
            onChange={(by) => onChange({ ...correction, by })}
          />
        </div>
      )}
    </div>
  );
}
