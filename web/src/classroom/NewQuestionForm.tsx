import type { BenchInstrument, NewClassQuestion, NewStationQuestion } from '@green-beam/contract';
import { useId, useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { ReadingField } from '../ui/ReadingField';

/** Choose an instrument, set it by hand or by chance; or enter what really stands in the room. */
export function NewQuestionForm({
  instruments,
  busy,
  onShow,
  onLater,
  onStation,
}: {
  readonly instruments: readonly BenchInstrument[];
  readonly busy: boolean;
  /** Told what was written, and what to do once it is shown: what is refused stays in its fields. */
  readonly onShow: (question: Omit<NewClassQuestion, 'id'>, shown: () => void) => void;
  /** It is to be shown in the warm-up. */
  readonly onLater: (question: Omit<NewClassQuestion, 'id'>) => void;
  readonly onStation: (station: Omit<NewStationQuestion, 'id'>, shown: () => void) => void;
}) {
  const [kind, setKind] = useState(instruments[0]?.kind ?? '');
  const [model, setModel] = useState('');
  const [indicates, setIndicates] = useState('');
  const [options, setOptions] = useState<Readonly<Record<string, string>>>({});
  const [station, setStation] = useState({ tag: '', reading: '', tolerance: '' });
  const headingId = useId();
  const chosen = instruments.find((instrument) => instrument.kind === kind);
  const models = chosen?.models ?? [];
  const modelId = models.some(({ id }) => id === model) ? model : (models[0]?.id ?? '');
  const unit = models.find(({ id }) => id === modelId)?.unit ?? '';
  const written = {
    kind,
    model: modelId,
    aim: null,
    indicates: indicates.trim() === '' ? null : indicates,
    options,
  };
  // Left standing it would tell the class what to read.
  const clear = () => {
    setIndicates('');
    setOptions({});
  };
  const question = (event: FormEvent) => {
    event.preventDefault();
    onShow(written, clear);
  };
  const later = () => {
    onLater(written);
    clear();
  };
  const real = (event: FormEvent) => {
    event.preventDefault();
    onStation({ kind, model: modelId, ...station }, () =>
      setStation({ tag: '', reading: '', tolerance: '' }),
    );
  };
  const select = 'block w-full rounded-sm border-2 border-rule bg-white px-2 py-2';
  return (
    <section aria-labelledby={headingId} className="flex flex-col gap-4 border-t border-rule pt-4">
      <h2 id={headingId}>Show another</h2>
      <div className="grid gap-3 sm:grid-cols-2">
        <label>
          Instrument
          <select
            value={kind}
            onChange={(event) => {
              setKind(event.target.value);
              setOptions({});
            }}
            className={select}
          >
            {instruments.map(({ kind: id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <label>
          Make
          <select value={modelId} onChange={(event) => setModel(event.target.value)} className={select}>
            {models.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      </div>
      <form onSubmit={question} className="flex flex-wrap items-end gap-3">
        <label>
          Set it to, in {unit} (empty: by chance)
          <ReadingField
            value={indicates}
            onChange={(event) => setIndicates(event.target.value)}
            className="w-44"
          />
        </label>
        {(chosen?.options ?? []).map(({ key, name, inItsUnit, choices }) => {
          const set = (value: string) => setOptions({ ...options, [key]: value });
          return (
            <label key={key}>
              {choices.length > 0 ? name : `${name}, in ${inItsUnit ? unit : 'mm'}`}
              {choices.length > 0 ? (
                <select
                  value={options[key] ?? ''}
                  onChange={(event) => set(event.target.value)}
                  className="block w-44 rounded-sm border-2 border-rule bg-white px-2 py-2"
                >
                  <option value="">by chance</option>
                  {choices.map((choice) => (
                    <option key={choice.value} value={choice.value}>
                      {choice.name}
                    </option>
                  ))}
                </select>
              ) : (
                <ReadingField
                  value={options[key] ?? ''}
                  onChange={(event) => set(event.target.value)}
                  className="w-44"
                />
              )}
            </label>
          );
        })}
        <Button look="main" type="submit" disabled={busy}>
          Show it to the class
        </Button>
        <Button onClick={later}>Put it into the warm-up</Button>
      </form>
      <details>
        <summary className="cursor-pointer font-bold">A real station in the room</summary>
        <form onSubmit={real} className="mt-3 flex flex-wrap items-end gap-3">
          {(
            [
              ['tag', 'Its label', 'w-32'],
              ['reading', 'Your reading', 'w-32'],
              ['tolerance', 'May be off by ±', 'w-32'],
            ] as const
          ).map(([key, name, width]) => (
            <label key={key}>
              {name}
              {key === 'tag' ? (
                <input
                  value={station.tag}
                  maxLength={40}
                  required
                  onChange={(event) => setStation({ ...station, tag: event.target.value })}
                  className={`block ${width} rounded-sm border-2 border-rule bg-white px-2 py-2`}
                />
              ) : (
                <ReadingField
                  value={station[key]}
                  required
                  onChange={(event) => setStation({ ...station, [key]: event.target.value })}
                  className={width}
                />
              )}
            </label>
          ))}
          <Button type="submit" disabled={busy}>
            Have everyone read it
          </Button>
        </form>
      </details>
    </section>
  );
}
