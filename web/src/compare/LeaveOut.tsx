import { observationName, type Comparison, type LeftOut, type Observation } from '@green-beam/core';
import { useMemo, useState, type FormEvent } from 'react';
import { useSearchParams } from 'react-router';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';
import { Fold } from '../ui/Fold';
import { shortNumber } from './shortNumber';

/** The part of an address that says what is left out, for a comparison that is kept. */
const part = 'out';

const parsed = (text: string): LeftOut => {
  try {
    return text === '' ? {} : (JSON.parse(text) as LeftOut);
  } catch {
    return {};
  }
};

/** What an address says is left out. */
export const leftOutIn = (search: URLSearchParams): LeftOut => parsed(search.get(part) ?? '');

/** The same address with what is left out in it. */
export function searchSaying(search: string, leftOut: LeftOut): string {
  const params = new URLSearchParams(search);
  params.delete(part);
  if (Object.keys(leftOut).length > 0) params.set(part, JSON.stringify(leftOut));
  return params.size === 0 ? '' : `?${params}`;
}

/**
 * Trials that whoever compares leaves out, with a reason, always in sight: as the address of a kept comparison says; else as it was left on
 * this device.
 */
export function useLeftOut(name: string) {
  const [search, setSearch] = useSearchParams();
  const [draft, setDraft] = useDraft(`compare/${name}/left out`);
  const text = search.get(part) ?? draft;
  const leftOut = useMemo(() => parsed(text), [text]);
  return {
    leftOut,
    set: (key: string, reason: string | null) => {
      const others = Object.entries(leftOut).filter(([own]) => own !== key);
      setDraft(JSON.stringify(Object.fromEntries(reason === null ? others : [...others, [key, reason]])));
      // From now on it is one's own.
      if (search.has(part))
        setSearch(
          (before) => {
            before.delete(part);
            return before;
          },
          { replace: true },
        );
    },
  };
}

/** Every trial, to be left out or taken back. */
export function LeaveOut({
  comparison,
  leftOut,
  set,
}: {
  readonly comparison: Comparison;
  readonly leftOut: LeftOut;
  readonly set: (key: string, reason: string | null) => void;
}) {
  const [asked, setAsked] = useState<string | null>(null);
  const count = Object.keys(leftOut).length;
  return (
    <div className="no-print mt-6">
      <Fold
        title="Trials"
        aside={count === 0 ? 'leave one out, with a reason' : `${count} left out here`}
        startsOpen={false}
      >
        <p className="text-sm text-soft">
          What is left out here is left out of this comparison alone, on this device, and where it is kept;
          the logbooks stay as they are.
        </p>
        <ul className="grid gap-x-8 gap-y-1 md:grid-cols-2">
          {comparison.groups.flatMap((group) =>
            group.observations.slice(0, 60).map((own, at) => {
              const key = observationName(own);
              const called = calledOf(group.name, own);
              const reason = leftOut[key];
              return (
                <li key={`${key} ${at}`} className="flex flex-wrap items-baseline gap-x-3">
                  <span className={own.excluded || reason ? 'struck' : ''}>
                    {called}: <span className="font-mono">{shortNumber(own.value)}</span>
                  </span>
                  {reason !== undefined ? (
                    <>
                      <span className="text-sm text-soft">{reason}</span>
                      <Button look="quiet" className="text-sm" onClick={() => set(key, null)}>
                        Take it back<span className="sr-only"> {called}</span>
                      </Button>
                    </>
                  ) : own.excluded ? (
                    <span className="text-sm text-soft">{own.excluded}</span>
                  ) : asked === key ? (
                    <Reason
                      onDone={(given) => {
                        if (given !== null) set(key, given);
                        setAsked(null);
                      }}
                    />
                  ) : (
                    <Button look="quiet" className="text-sm" onClick={() => setAsked(key)}>
                      Leave out<span className="sr-only"> {called}</span>
                    </Button>
                  )}
                </li>
              );
            }),
          )}
        </ul>
      </Fold>
    </div>
  );
}

const calledOf = (group: string, { trial, bench }: Observation): string =>
  [group, trial === undefined ? '' : `trial ${trial}`, bench].filter(Boolean).join(', ');

function Reason({ onDone }: { readonly onDone: (reason: string | null) => void }) {
  const [text, setText] = useState('');
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() !== '') onDone(text.trim());
  };
  return (
    <form onSubmit={submit} className="flex flex-wrap items-end gap-2">
      <TextField label="Why is it left out?" longest={120} value={text} onChange={setText} />
      <Button type="submit" disabled={text.trim() === ''}>
        Leave it out
      </Button>
      <Button look="quiet" onClick={() => onDone(null)}>
        Keep it
      </Button>
    </form>
  );
}
