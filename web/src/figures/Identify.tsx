import { parseNumber } from '@green-beam/core';
import { useDraft } from '../outbox/useDraft';
import { TextField } from '../ui/fields';
import { Candidates } from '../ui/Candidates';
import { FiguresPage } from './Figures';

/** A density and its ±, against the table of materials. */
export function Identify() {
  const [value, setValue] = useDraft('identify/value');
  const [uncertainty, setUncertainty] = useDraft('identify/uncertainty');
  const [found, spread] = [numberIn(value), numberIn(uncertainty)];
  const trouble =
    found === null || spread === null
      ? null
      : found <= 0
        ? 'A density is more than nothing.'
        : spread <= 0
          ? 'A ± is more than nothing: without it, any two materials would do.'
          : null;
  return (
    <FiguresPage title="Identify">
      <p className="mb-4 max-w-[70ch]">
        A density and how sure it is: which materials fit, which do not, and what would part those that do.
      </p>
      <div className="mb-6 grid max-w-md grid-cols-2 gap-4">
        <TextField label="Density in g/cm³" mono value={value} onChange={setValue} longest={20} />
        <TextField label="± in g/cm³" mono value={uncertainty} onChange={setUncertainty} longest={20} />
      </div>
      {trouble && (
        <p role="alert" className="text-vermilion">
          {trouble}
        </p>
      )}
      {found !== null && spread !== null && !trouble && (
        <Candidates density={found} u={spread} expanded={spread} value={value.trim()} unit="g/cm³" />
      )}
    </FiguresPage>
  );
}

/** A number that is written; null while it is not, or cannot be read. */
function numberIn(text: string): number | null {
  if (text.trim() === '') return null;
  const parsed = parseNumber(text);
  return parsed.ok ? parsed.number.value.toNumber() : null;
}
