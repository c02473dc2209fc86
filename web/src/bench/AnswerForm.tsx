import type { AttemptAnswer, SettingAnswer } from '@green-beam/contract';
import { useEffect, useId, useRef, useState, type FormEvent, type RefObject } from 'react';
import { sentenceFor } from '../api';
import { useDraft } from '../outbox/useDraft';
import { useKeeping } from '../outbox/useKeeping';
import { useKeys } from '../ui/useKeys';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Button } from '../ui/Button';
import { ReadingField } from '../ui/ReadingField';
import { UnitChoice } from '../ui/UnitChoice';
import { useWriting } from '../ui/useWriting';
import { useNavigate } from 'react-router';
import type { Hands } from './apparatus/apparatus';
import { useCarry } from './carried';
import { InWords } from './InWords';
import { OtherRules } from './OtherRules';
import { PartColumns } from './PartColumns';
import { useLayOut, useTries } from './setting';
import { VerdictPanel } from './VerdictPanel';

/** Where the reader writes the figure, chooses the unit, and is told what is to be said of it. */
export function AnswerForm({
  setting,
  handsNow,
}: {
  readonly setting: SettingAnswer;
  readonly handsNow: () => Hands | null;
}) {
  const [text, setText, , unkept] = useDraft(`${setting.id}/text`);
  const [unit, setUnit] = useDraft(`${setting.id}/unit`);
  const [partsText, setPartsText] = useDraft(`${setting.id}/parts`);
  const parts = readParts(partsText);
  const tries = useTries(setting.id);
  const [keep, trouble] = useKeeping();
  const layOut = useLayOut();
  const navigate = useNavigate();
  const writing = useWriting();
  const hintId = useId();
  const field = useRef<HTMLInputElement>(null);
  useFieldKey(field, setting.mode === 'read');
  const latest = tries.unread ?? setting.attempts.at(-1);
  const finished = setting.triesLeft === 0;

  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (finished)
      return setting.shown
        ? void navigate('/bench')
        : layOut.mutate({
            kind: setting.kind,
            mode: setting.mode,
            ...(setting.task ? { task: setting.task } : {}),
          });
    if (text.trim() === '' || tries.waiting) return field.current?.focus();
    void keep(tries.check(text, unit, handsNow(), setting.parts.length > 0 ? parts : null));
    field.current?.select();
  };

  return (
    <form onSubmit={submit} className="flex flex-col gap-5">
      <div>
        <h1 className="mb-1 text-2xl">{setting.question}</h1>
        <p className="text-soft">
          {setting.mode === 'handle'
            ? 'Take it in hand first, then write what you read.'
            : 'Write it as your class writes readings, with its unit.'}
        </p>
      </div>
      {setting.mayHear && <InWords settingId={setting.id} handsNow={handsNow} />}
      {setting.parts.length > 0 && (
        <PartColumns
          parts={setting.parts}
          written={parts}
          verdicts={latest?.parts ?? []}
          readOnly={finished}
          onWrite={(key, part) => setPartsText(JSON.stringify({ ...parts, [key]: part }))}
        />
      )}
      <FieldTrouble says={trouble ?? unkept} />
      <div className="flex flex-wrap items-end gap-4">
        <ReadingField
          ref={field}
          size="large"
          className="min-w-52 flex-1"
          aria-label="Your reading"
          aria-describedby={hintId}
          readOnly={finished}
          value={text}
          onChange={(event) => setText(event.target.value)}
        />
        <UnitChoice choices={setting.unitChoices} unit={unit} disabled={finished} onChoose={setUnit} />
      </div>
      <p id={hintId} className="-mt-3 text-sm text-soft">
        {text.trim() === '' ? whatToWrite(setting.estimated) : writing?.described(text)}
        {unit === '' && writing?.lacksUnit(text) && ' Choose the unit.'}
      </p>
      {latest && !tries.waiting && <VerdictPanel attempt={latest} />}
      {tries.waiting && <p role="status">Your reading is kept, and checked as soon as the server answers.</p>}
      {tries.refused && (
        <p role="alert" className="border-l-4 border-vermilion pl-3">
          {tries.refused.refused}{' '}
          <Button look="quiet" onClick={() => tries.refused && void tries.discard(tries.refused.id)}>
            Put it aside
          </Button>
        </p>
      )}
      {layOut.isError && (
        <p role="alert" className="border-l-4 border-vermilion pl-3">
          {sentenceFor(layOut.error)}
        </p>
      )}
      <div className="flex flex-wrap items-center gap-4">
        <Button look="main" type="submit" disabled={tries.waiting || layOut.isPending}>
          {!finished
            ? setting.held
              ? 'Give the answer'
              : 'Check reading'
            : setting.shown
              ? 'To the bench'
              : 'Next setting'}
        </Button>
        {!finished && setting.attempts.length > 0 && (
          <span className="text-sm text-soft">
            {setting.triesLeft === 1
              ? 'One more try; then the answer is shown.'
              : `${setting.triesLeft} tries left.`}
          </span>
        )}
      </div>
      {finished && latest?.verdict.outcome === 'right' && <TakeAlong setting={setting} attempt={latest} />}
      {finished && !setting.held && <OtherRules settingId={setting.id} />}
    </form>
  );
}

/**
 * `r` goes to the field. Where only reading is asked it is there from the start, if there is room beside the bench: on
 * a narrow screen it would cover the instrument.
 */
function useFieldKey(field: RefObject<HTMLInputElement | null>, atOnce: boolean): void {
  useEffect(() => {
    if (atOnce && innerWidth >= 768) field.current?.focus({ preventScroll: true });
  }, [field, atOnce]);
  useKeys((event) => {
    if (event.key !== 'r') return;
    event.preventDefault();
    field.current?.focus();
  });
}

/** What to write, while nothing is written. */
const whatToWrite = (estimated: boolean): string =>
  estimated
    ? 'Write every digit that you can see, and the one that you estimate.'
    : 'Write every digit that counts, zeros at the end too; nothing is estimated here.';

/** A right reading can be written into a logbook; there it says where it came from. */
function TakeAlong({
  setting,
  attempt,
}: {
  readonly setting: SettingAnswer;
  readonly attempt: AttemptAnswer;
}) {
  const carry = useCarry();
  const [taken, setTaken] = useState(false);
  if (taken)
    return <p role="status">It is offered in your logbook, in a cell of the same make of instrument.</p>;
  return (
    <Button
      look="quiet"
      className="self-start"
      onClick={() => {
        carry({
          attemptId: attempt.id,
          kind: setting.kind,
          model: setting.picture.model,
          text: attempt.text.trim(),
          unit: attempt.unit,
        });
        setTaken(true);
      }}
    >
      Take it along to the logbook
    </Button>
  );
}

/** The parts as they were typed, out of the draft that keeps them. */
function readParts(text: string): Readonly<Record<string, string>> {
  try {
    return text === '' ? {} : (JSON.parse(text) as Record<string, string>);
  } catch {
    return {};
  }
}
