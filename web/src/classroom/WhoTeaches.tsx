import { endpoints, type NewStaff, type StaffAnswer } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { ChoiceField, TextField } from '../ui/fields';
import { staffKey } from './staffKey';

const parts = {
  owner: 'owner',
  'co-teacher': 'co-teacher',
  assistant: 'assistant: looks, initials and helps',
};

/** Its owner, co-teachers and assistants; the owner invites and takes off. */
export function WhoTeaches({
  answer: { class: own, staff, staffRole, firstPassword },
}: {
  readonly answer: StaffAnswer;
}) {
  const queries = useQueryClient();
  const [name, setName] = useState('');
  const [role, setRole] = useState<NewStaff['role']>('assistant');
  const kept = { onSuccess: (now: StaffAnswer) => queries.setQueryData(staffKey(own.id), now) };
  const invite = useMutation({
    mutationFn: (body: NewStaff) => call(endpoints.addStaff, { params: { classId: own.id }, body }),
    ...kept,
  });
  const takeOff = useMutation({
    mutationFn: (personId: string) => call(endpoints.removeStaff, { params: { classId: own.id, personId } }),
    ...kept,
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== '') invite.mutate({ name: name.trim(), role }, { onSuccess: () => setName('') });
  };
  return (
    <section aria-label="Who teaches it">
      <h2 className="mb-2">Who teaches it</h2>
      <ul className="mb-4 divide-y divide-rule border-y border-rule">
        {staff.map((one) => (
          <li key={one.id} className="flex flex-wrap items-center gap-x-4 py-2">
            {one.name} <span className="text-soft">{parts[one.role]}</span>
            {staffRole === 'owner' && one.role !== 'owner' && (
              <Button
                look="quiet"
                className="ml-auto text-sm"
                disabled={takeOff.isPending}
                onClick={() => takeOff.mutate(one.id)}
              >
                Take off<span className="sr-only"> {one.name}</span>
              </Button>
            )}
          </li>
        ))}
      </ul>
      {firstPassword && (
        <p role="status" className="mb-4 border-l-4 border-brass-line pl-3">
          {invite.variables?.name} had no account yet. The first password, told this once:{' '}
          <strong className="font-mono">{firstPassword}</strong>. They choose their own when they sign in.
        </p>
      )}
      {staffRole === 'owner' && (
        <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
          <TextField label="Name of a colleague" longest={60} value={name} onChange={setName} />
          <ChoiceField
            label="As"
            value={role}
            choices={[
              ['assistant', 'assistant'],
              ['co-teacher', 'co-teacher'],
            ]}
            onChange={(now) => setRole(now as NewStaff['role'])}
          />
          <Button type="submit" disabled={invite.isPending || name.trim() === ''}>
            Invite
          </Button>
        </form>
      )}
      {(invite.isError || takeOff.isError) && (
        <p role="alert" className="mt-2 text-vermilion">
          {sentenceFor(invite.error ?? takeOff.error)}
        </p>
      )}
    </section>
  );
}
