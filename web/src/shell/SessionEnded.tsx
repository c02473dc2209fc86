import { endpoints, type Who } from '@green-beam/contract';
import { useQueryClient } from '@tanstack/react-query';
import { useLayoutEffect, useState, type FormEvent } from 'react';
import { sentenceFor } from '../api';
import { useOutbox } from '../outbox/OutboxContext';
import { Button } from '../ui/Button';
import { Field } from '../session/SignInFields';
import { useSignIn } from '../session/useSignIn';

/**
 * Says, wherever on the page one is, that the session has ended, and lets the same person go on without leaving it. The page
 * stays as it is, and what is written meanwhile is kept.
 */
export function SessionEnded({ of, onLeave }: { readonly of: Who; readonly onLeave: () => void }) {
  const [secret, setSecret] = useState('');
  const outbox = useOutbox();
  const queries = useQueryClient();
  const student = of.role === 'student';
  const enter = useSignIn(student ? endpoints.signInStudent : endpoints.signInTeacher, () => {
    // What was locked when the session ended is there again.
    void outbox.refresh().then(() => outbox.again());
    void queries.invalidateQueries();
  });
  // What one writes in stays in sight above the bar, and so does what one goes to next.
  useLayoutEffect(() => {
    const page = document.documentElement.classList;
    page.add('above-bar');
    document.activeElement?.scrollIntoView({ block: 'nearest' });
    return () => page.remove('above-bar');
  }, []);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    enter.mutate(
      student
        ? { classCode: of.classes[0]?.code ?? '', name: of.name, passphrase: secret }
        : { name: of.name, password: secret },
    );
  };
  return (
    <section
      aria-label="Your session has ended"
      className="no-print fixed inset-x-0 bottom-0 z-50 border-t-4 border-vermilion bg-white px-4 py-3 sm:px-7"
    >
      <div className="flex flex-wrap items-end gap-x-6 gap-y-2">
        <p role="alert" className="max-w-[34rem] flex-1 basis-72">
          <strong>Your session has ended.</strong> What you write is kept on this device. Sign in again,{' '}
          {of.name}, and it is sent; you stay where you are.
        </p>
        <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
          <Field
            label={student ? 'Passphrase' : 'Password'}
            type="password"
            autoComplete="current-password"
            value={secret}
            onChange={setSecret}
          />
          <Button look="main" type="submit" disabled={enter.isPending}>
            Sign in again
          </Button>
          <Button look="quiet" onClick={onLeave}>
            I am not {of.name}
          </Button>
        </form>
      </div>
      {enter.isError && (
        <p role="alert" className="mt-2 border-l-4 border-vermilion pl-3">
          {sentenceFor(enter.error)}
        </p>
      )}
    </section>
  );
}
