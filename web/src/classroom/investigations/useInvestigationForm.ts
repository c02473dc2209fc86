import type { Investigation } from '@green-beam/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { useDraft } from '../../outbox/useDraft';
import { resolver } from './editor/resolver';

/** Changes that follow each other so fast are one. */
const oneWordMs = 900;

/** An investigation that is being written: kept on every key press, looked at as it stands, undone change by change. */
export function useInvestigationForm(name: string, start: Investigation) {
  const [draft, setDraft] = useDraft(name);
  const form = useForm<Investigation>({ defaultValues: (bodyOf(draft) ?? start) as never, resolver });
  const { control, setValue, reset, subscribe, trigger } = form;
  const body = useWatch({ control }) as Investigation;
  const startText = JSON.stringify(start);
  const latest = useRef(draft === '' ? startText : draft);
  const past = useRef<{ readonly text: string; readonly at: number }[]>([]);
  const [undoable, setUndoable] = useState(false);
  /** How often the whole was put in place of another: fields that hold what was typed begin again then. */
  const [puts, setPuts] = useState(0);

  const keep = (text: string) => {
    latest.current = text;
    setDraft(text === startText ? '' : text);
  };
  /** What stood before, unless it is the same word that is being typed. */
  const remember = () => {
    const at = Date.now();
    const last = past.current.at(-1);
    if (!last || at - last.at > oneWordMs) past.current.push({ text: latest.current, at });
    else past.current[past.current.length - 1] = { ...last, at };
    setUndoable(true);
  };
  const changed = useRef<((values: Investigation) => void) | null>(null);
  useEffect(() => {
    changed.current = (values) => {
      const text = JSON.stringify(values);
      if (text === latest.current) return;
      remember();
      keep(text);
      void trigger();
    };
  });
  useEffect(() => {
    void trigger();
    return subscribe({
      formState: { values: true },
      callback: ({ values }) => changed.current?.(values as Investigation),
    });
  }, [subscribe, trigger]);

  const show = (text: string) => {
    keep(text);
    reset(JSON.parse(text) as never);
    setPuts((before) => before + 1);
    void trigger();
  };
  return {
    form: useMemo(() => ({ control, setValue }), [control, setValue]),
    body,
    begun: draft !== '',
    undoable,
    puts,
    put: (whole: Investigation) => {
      remember();
      show(JSON.stringify(whole));
    },
    undo: () => {
      const last = past.current.pop();
      setUndoable(past.current.length > 0);
      if (last) show(last.text);
    },
    forget: () => setDraft(''),
  };
}

function bodyOf(draft: string): Investigation | null {
  try {
    return draft === '' ? null : (JSON.parse(draft) as Investigation);
  } catch {
    return null;
  }
}
