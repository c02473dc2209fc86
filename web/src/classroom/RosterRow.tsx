import type { BoardStudent, StudentChange } from '@green-beam/contract';
import { useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';

/** A student of the roster, with what can be done about them. */
export function RosterRow({
  student: { name, group, spoken, absent },
  manages,
  busy,
  onChange,
  onSlip,
  onRemove,
}: {
  readonly student: Pick<BoardStudent, 'name' | 'group' | 'spoken' | 'absent'>;
  readonly manages: boolean;
  readonly busy: boolean;
  readonly onChange: (change: StudentChange) => void;
  readonly onSlip: () => void;
  readonly onRemove: () => void;
}) {
  const [doing, setDoing] = useState<'leaving' | 'renaming' | null>(null);
  const small = { look: 'quiet', className: 'text-sm' } as const;
  return (
    <li className="flex flex-wrap items-center gap-x-4 py-2">
      <span className="basis-full sm:flex-1 sm:basis-40">
        {doing === 'renaming' ? (
          <Renamed
            name={name}
            onDone={(now) => {
              setDoing(null);
              if (now !== null) onChange({ name: now });
            }}
          />
        ) : (
          <>
            {name} <span className="text-sm text-soft">{group}</span>
          </>
        )}
      </span>
      {manages && (
        <>
          <Mark label="absent today" of={name} on={absent} onChange={(on) => onChange({ absent: on })} />
          {doing !== 'renaming' && (
            <Button {...small} onClick={() => setDoing('renaming')}>
              Rename<span className="sr-only"> {name}</span>
            </Button>
          )}
          <Mark label="scale in words" of={name} on={spoken} onChange={(on) => onChange({ spoken: on })} />
          <Button {...small} disabled={busy} onClick={onSlip}>
            New slip<span className="sr-only"> for {name}</span>
          </Button>
          {doing === 'leaving' ? (
            <span className="flex flex-wrap items-center gap-x-3 text-sm">
              Access ends at once; the record stays.
              <Button
                {...small}
                disabled={busy}
                onClick={() => {
                  setDoing(null);
                  onRemove();
                }}
              >
                Take {name} out
              </Button>
              <Button {...small} autoFocus onClick={() => setDoing(null)}>
                Keep
              </Button>
            </span>
          ) : (
            <Button {...small} onClick={() => setDoing('leaving')}>
              Take out<span className="sr-only"> {name}</span>
            </Button>
          )}
        </>
      )}
    </li>
  );
}

function Mark({
  label,
  of,
  on,
  onChange,
}: {
  readonly label: string;
  readonly of: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}) {
  return (
    <label className="flex items-center gap-2 text-sm">
      <input
        type="checkbox"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
        className="size-5 accent-[#1d7f58]"
      />
      {label}
      <span className="sr-only"> for {of}</span>
    </label>
  );
}

function Renamed({
  name,
  onDone,
}: {
  readonly name: string;
  readonly onDone: (name: string | null) => void;
}) {
  const [text, setText] = useState(name);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() !== '') onDone(text.trim() === name ? null : text.trim());
  };
  return (
    <form onSubmit={submit} className="flex items-end gap-2">
      <TextField label={`New name of ${name}`} longest={60} value={text} onChange={setText} />
      <Button type="submit">Keep it</Button>
      <Button look="quiet" onClick={() => onDone(null)}>
        Leave it
      </Button>
    </form>
  );
}
