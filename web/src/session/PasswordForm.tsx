import { endpoints, shortestPassword } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Field } from './SignInFields';
import { sessionKey } from './who';

/** A teacher's own password, chosen anew. Sessions on other devices end with the old one. */
export function PasswordForm({ onDone }: { readonly onDone?: () => void }) {
  const [current, setCurrent] = useState('');
  const [next, setNext] = useState('');
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: () => call(endpoints.changePassword, { body: { current, next } }),
    onSuccess: (answer) => {
      queries.setQueryData(sessionKey, answer);
      setCurrent('');
      setNext('');
      onDone?.();
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate();
  };
  return (
    <form onSubmit={submit} className="flex max-w-sm flex-col gap-4">
      <Field
        label="Password that you have now"
        type="password"
        autoComplete="current-password"
        value={current}
        onChange={setCurrent}
      />
      <Field
        label="New password"
        type="password"
        autoComplete="new-password"
        hint={`At least ${shortestPassword} characters. Four plain words are easy to remember and hard to guess.`}
        value={next}
        onChange={setNext}
      />
      {change.isError && (
        <p role="alert" className="border-l-4 border-vermilion pl-3">
          {sentenceFor(change.error)}
        </p>
      )}
      <Button look="main" type="submit" disabled={change.isPending || next.length < shortestPassword}>
        Change the password
      </Button>
    </form>
  );
}
