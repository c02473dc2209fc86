import { createContext, useContext, useState, type ReactNode } from 'react';
import { get, useFormState, useWatch, type UseFormReturn } from 'react-hook-form';
import type { Investigation } from '@green-beam/core';
import { CheckField, ChoiceField, TextField } from '../../../ui/fields';
import { firstMessage, Held } from '../../../ui/Held';
import { ListField } from '../../../ui/ListField';

/** The form that the fields are of; the same object all the time, so that a key press draws its own field again and no other. */
export const EditedForm = createContext<Pick<UseFormReturn<Investigation>, 'control' | 'setValue'> | null>(
  null,
);

function useEdited() {
  const form = useContext(EditedForm);
  if (!form) throw new Error('A field of an investigation stands in its editor.');
  return form;
}

/** What stands at a place of the investigation, such as `tables.0.columns.2.formula`, and how to change it. */
export function useAt<T>(name: string): readonly [value: T, set: (value: T) => void] {
  const { control, setValue } = useEdited();
  return [
    useWatch({ control, name: name as never }) as T,
    (value) => setValue(name as never, value as never),
  ];
}

/** What is amiss at a place itself; null where only something in it is. */
export function useProblem(name: string): string | null {
  const { control } = useEdited();
  const { errors } = useFormState({ control, name: name as never });
  return firstMessage(get(errors, name));
}

interface Bound {
  readonly name: string;
  readonly label: string;
  readonly className?: string;
}

/** A line of text; one that may be left out is gone where it is empty. */
export function Text({
  name,
  className,
  optional = false,
  ...field
}: Bound & { readonly optional?: boolean; readonly long?: boolean; readonly mono?: boolean }) {
  const [value, set] = useAt<string | undefined>(name);
  return (
    <Held quiet says={useProblem(name)} className={className}>
      <TextField
        {...field}
        value={value ?? ''}
        onChange={(text) => set(optional && text === '' ? undefined : text)}
      />
    </Held>
  );
}

/** A whole number; what is none is kept as the place where one is missing. */
export function Whole({ name, className, label, least }: Bound & { readonly least?: number }) {
  const [value, set] = useAt<number | undefined>(name);
  return (
    <Held quiet says={useProblem(name)} className={className}>
      <TextField
        label={label}
        value={value === undefined ? '' : String(value)}
        onChange={(text) => {
          const digits = text.replace(/\D/g, '');
          set(digits === '' ? least : Number(digits));
        }}
      />
    </Held>
  );
}

/** One of several; the first is what is meant where none is said, if it is called ``. */
export function Choice({
  name,
  className,
  onChosen,
  ...field
}: Bound & {
  readonly choices: readonly (readonly [value: string, words: string])[];
  /** What else is to change with it. */
  readonly onChosen?: (value: string) => void;
}) {
  const [value, set] = useAt<string | undefined>(name);
  return (
    <Held quiet says={useProblem(name)} className={className}>
      <ChoiceField
        {...field}
        value={value ?? ''}
        onChange={(chosen) => {
          set(chosen === '' ? undefined : chosen);
          onChosen?.(chosen);
        }}
      />
    </Held>
  );
}

/** A choice between yes and no that is always said. */
export function YesNo({ name, label, yes, no }: Bound & { readonly yes: string; readonly no: string }) {
  const [value, set] = useAt<boolean>(name);
  return (
    <ChoiceField
      label={label}
      value={String(value)}
      choices={[
        ['true', yes],
        ['false', no],
      ]}
      onChange={(chosen) => set(chosen === 'true')}
    />
  );
}

/** Something that is so or is not said. */
export function Check({ name, label, className }: Bound) {
  const [value, set] = useAt<boolean | undefined>(name);
  return (
    <CheckField
      label={label}
      checked={value ?? false}
      onChange={(checked) => set(checked || undefined)}
      className={className}
    />
  );
}

/** A list of texts or of what is written as one line each. What is typed stands as long as it says what is there. */
export function Lines<T>({
  name,
  label,
  className,
  lineOf,
  from,
}: Bound & {
  readonly lineOf: (item: T) => string;
  readonly from: (lines: readonly string[], before: readonly T[]) => readonly T[] | undefined;
}) {
  const [value, set] = useAt<readonly T[] | undefined>(name);
  const written = (value ?? []).map(lineOf).join('\n');
  const [typed, setTyped] = useState(written);
  const readFrom = (text: string) =>
    from(
      text.split('\n').filter((line) => line.trim() !== ''),
      value ?? [],
    );
  const stands = JSON.stringify(readFrom(typed) ?? []) === JSON.stringify(value ?? []);
  return (
    <Held quiet says={useProblem(name)} className={className}>
      <TextField
        label={label}
        long
        mono
        value={stands ? typed : written}
        onChange={(text) => {
          setTyped(text);
          set(readFrom(text));
        }}
      />
    </Held>
  );
}

/** A list of parts, each with its place. */
export function List<T>({
  name,
  children,
  ...list
}: {
  readonly name: string;
  readonly title: string;
  readonly one: string;
  readonly blank: T;
  readonly copied?: (item: T, among: readonly T[]) => T;
  readonly children: (item: T, place: string, replace: (item: T) => void) => ReactNode;
}) {
  const [items, set] = useAt<readonly T[] | undefined>(name);
  return (
    <ListField<T> {...list} items={items ?? []} onChange={set}>
      {(item, _, replace, at) => children(item, `${name}.${at}`, replace)}
    </ListField>
  );
}
