import { type Trial } from '@green-beam/core';
import { useId, useState, type FormEvent } from 'react';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { Button } from '../ui/Button';
import { CheckField, TextField } from '../ui/fields';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Hanging } from '../ui/Hanging';
import type { Book } from './book';
import type { Sheet } from './sheet';
import { smallerPhoto } from './photo';
import { isSupplied, setSupplied } from './supplied';

/**
 * What can be said of a trial besides its readings: that it does not count, a remark, a photograph. The arrow to the left of the
 * first cell leads here; Tab goes from cell to cell.
 */
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
      aside
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
  readonly addPhoto: Book['addPhoto'];
  readonly table: string;
  readonly number: number;
  readonly onDone: () => void;
}

/** Only a person leaves a trial out, and says why; it stays readable. */
function StandingForm({ sheet, say, table, number, trial, onDone }: Part & { readonly trial: Trial }) {
  const [keep, trouble] = useKeeping();
  const [reason, setReason] = useDraft(`${sheet.id}/${table}/${number}/standing`);
  const put = async (standing: 'abandoned' | 'excluded' | 'counts') => {
    if (reason.trim() === '') return;
    if (!(await keep(say({ kind: 'standing', trial: number, table: table }, standing, reason.trim()))))
      return;
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
      <FieldTrouble says={trouble} />
      <div className="flex flex-wrap gap-2">
        {trial.standing === 'counts' ? (
          <>
            <Button disabled={missing} onClick={() => void put('abandoned')}>
              Abandon it
            </Button>
            <Button disabled={missing} onClick={() => void put('excluded')}>
              Exclude it
            </Button>
          </>
        ) : (
          <Button disabled={missing} onClick={() => void put('counts')}>
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
  const [keep, trouble] = useKeeping();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    if (text.trim() === '') return;
    if (!(await keep(say({ kind: 'remark', trial: number, table: table }, text.trim())))) return;
    setText('');
    onDone();
  };
  return (
    <form onSubmit={(event) => void submit(event)}>
      {before !== '' && <p className="mb-1 text-sm text-soft">So far: {before}</p>}
      <TextField label="Remark" long longest={2000} value={text} onChange={setText} className="mb-2" />
      <FieldTrouble says={trouble} />
      <Button type="submit" disabled={text.trim() === ''}>
        Keep the remark
      </Button>
    </form>
  );
}

function PhotoForm({ addPhoto, table, number }: Omit<Part, 'onDone'>) {
  const [state, setState] = useState<'idle' | 'working' | 'kept' | 'no picture'>('idle');
  const [keep, trouble] = useKeeping();
  const inputId = useId();
  const take = async (file: File | undefined) => {
    if (!file) return;
    setState('working');
    const photo = await smallerPhoto(file);
    if (!photo) return setState('no picture');
    setState((await keep(addPhoto({ kind: 'photo', trial: number, table: table }, photo))) ? 'kept' : 'idle');
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
        disabled={state === 'working'}
        onChange={(event) => void take(event.target.files?.[0])}
        className="w-full text-sm"
      />
      {state === 'working' && <p role="status">Making it smaller …</p>}
      {state === 'kept' && <p role="status">Kept; it is sent as soon as that can be.</p>}
      {state === 'no picture' && <p role="alert">This file could not be read as a picture.</p>}
      <FieldTrouble says={trouble} />
    </div>
  );
}
