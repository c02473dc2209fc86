import { besides, type Trial } from '@green-beam/core';
import { useId, useState, type FormEvent } from 'react';
import { sentenceFor } from '../api';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { CheckField, TextField } from '../ui/fields';
import { Hanging } from '../ui/Hanging';
import type { Book, Sheet } from './book';
import { sendPhoto } from './photo';
import { isSupplied, setSupplied } from './supplied';

/** What can be said of a trial besides its readings: that it does not count, a remark, a photograph. */
export function TrialMenu({
  trial,
  remark,
  ...of
}: Omit<Part, 'onDone'> & { readonly trial: Trial | undefined; readonly remark: string }) {
  const { sheet, number } = of;
  if (!sheet.mayWrite) return null;
  return (
    <Hanging
      label={`More about trial ${number}`}
      called={`About trial ${number}`}
      button="…"
      buttonLook="ml-2 rounded-sm border border-rule bg-white px-1.5 text-sm text-soft hover:border-ink hover:text-ink"
      look="flex w-80 flex-col gap-5"
    >
      {(onDone) => (
        <>
          {trial && <StandingForm {...of} trial={trial} onDone={onDone} />}
          {sheet.investigation.supplied && <SuppliedBox {...of} />}
          <RemarkForm {...of} before={remark} onDone={onDone} />
          <PhotoForm {...of} />
        </>
      )}
    </Hanging>
  );
}

interface Part {
  readonly sheet: Sheet;
  readonly say: Book['say'];
  readonly add: Book['add'];
  readonly table: string;
  readonly number: number;
  readonly onDone: () => void;
}

/** Only a person leaves a trial out, and says why; it stays readable. */
function StandingForm({ sheet, say, table, number, trial, onDone }: Part & { readonly trial: Trial }) {
  const [reason, setReason] = useDraft(`${sheet.id}/${table}/${number}/standing`);
  const put = (standing: 'abandoned' | 'excluded' | 'counts') => {
    if (reason.trim() === '') return;
    say(number, besides.standing(table), standing, reason.trim());
    setReason('');
    onDone();
  };
  const missing = reason.trim() === '';
  return (
    <div>
      <TextField
        label={trial.standing === 'counts' ? 'Leave it out, because' : 'Count it again, because'}
        longest={200}
        value={reason}
        onChange={setReason}
        className="mb-2"
      />
      <div className="flex flex-wrap gap-2">
        {trial.standing === 'counts' ? (
          <>
            <Button disabled={missing} onClick={() => put('abandoned')}>
              Abandon it
            </Button>
            <Button disabled={missing} onClick={() => put('excluded')}>
              Exclude it
            </Button>
          </>
        ) : (
          <Button disabled={missing} onClick={() => put('counts')}>
            Count it again
          </Button>
        )}
      </div>
    </div>
  );
}

/** A number that the teacher supplied says so; it is set before it is written. */
function SuppliedBox({ sheet, table, number }: Omit<Part, 'onDone'>) {
  const [supplied, set] = useState(() => isSupplied(sheet.id, table, number));
  return (
    <CheckField
      label="What I write next in this trial was supplied by the teacher"
      checked={supplied}
      onChange={(checked) => {
        setSupplied(sheet.id, table, number, checked);
        set(checked);
      }}
    />
  );
}

function RemarkForm({ sheet, say, table, number, before, onDone }: Part & { readonly before: string }) {
  const [text, setText] = useDraft(`${sheet.id}/${table}/${number}/remark`);
  const keep = (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === '') return;
    say(number, besides.remark(table), text.trim());
    setText('');
    onDone();
  };
  return (
    <form onSubmit={keep}>
      {before !== '' && <p className="mb-1 text-sm text-soft">So far: {before}</p>}
      <TextField label="Remark" long longest={2000} value={text} onChange={setText} className="mb-2" />
      <Button type="submit" disabled={text.trim() === ''}>
        Keep the remark
      </Button>
    </form>
  );
}

function PhotoForm({ sheet, add, table, number }: Omit<Part, 'onDone'>) {
  const [state, setState] = useState<'idle' | 'sending' | { readonly failed: string }>('idle');
  const inputId = useId();
  const take = async (file: File | undefined) => {
    if (!file) return;
    setState('sending');
    try {
      const id = await sendPhoto(sheet.id, file);
      if (id === null) return setState({ failed: 'This file could not be read as a picture.' });
      add(number, besides.photo(table), id);
      setState('idle');
    } catch (error) {
      setState({ failed: sentenceFor(error) });
    }
  };
  return (
    <div>
      <label htmlFor={inputId} className="mb-1 block font-bold">
        Photograph
      </label>
      <input
        id={inputId}
        type="file"
        accept="image/*"
        capture="environment"
        disabled={state === 'sending'}
        onChange={(event) => void take(event.target.files?.[0])}
        className="w-full text-sm"
      />
      {state === 'sending' && <p role="status">Sending …</p>}
      {typeof state === 'object' && <p role="alert">{state.failed}</p>}
    </div>
  );
}
