import type { SettingAnswer } from '@green-beam/contract';
import type { PartVerdict } from '@green-beam/core';
import { ReadingField } from '../ui/ReadingField';

/** The parts of a reading in columns of their own, each checked by itself. */
export function PartColumns({
  parts,
  written,
  verdicts,
  readOnly,
  onWrite,
}: {
  readonly parts: SettingAnswer['parts'];
  readonly written: Readonly<Record<string, string>>;
  readonly verdicts: readonly PartVerdict[];
  readonly readOnly: boolean;
  readonly onWrite: (key: string, text: string) => void;
}) {
  const wrong = verdicts.filter(({ right }) => !right);
  return (
    <fieldset>
      <legend className="mb-2 font-bold">Its parts</legend>
      <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
        {parts.map(({ key, heading, unit }) => {
          const verdict = verdicts.find((one) => one.key === key);
          return (
            <label key={key} className="text-sm">
              {heading}
              {unit && ` in ${unit}`}
              {verdict && (
                <strong className={verdict.right ? 'ml-2 text-beam' : 'ml-2 text-vermilion'}>
                  {verdict.right ? 'right' : 'look again'}
                </strong>
              )}
              <ReadingField
                value={written[key] ?? ''}
                readOnly={readOnly}
                onChange={(event) => onWrite(key, event.target.value)}
              />
            </label>
          );
        })}
      </div>
      {wrong[0] && (
        <p role="status" className="mt-2 text-sm">
          <strong>{parts.find(({ key }) => key === wrong[0]?.key)?.heading}:</strong> {wrong[0].hint}
        </p>
      )}
    </fieldset>
  );
}
