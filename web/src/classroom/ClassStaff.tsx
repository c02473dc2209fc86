import {
  at,
  endpoints,
  paths,
  type ClassChange,
  type NewStaff,
  type StaffAnswer,
} from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { addressFor, call, sentenceFor } from '../api';
import { sessionKey } from '../session/who';
import { Button } from '../ui/Button';
import { ChoiceField, TextField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';

const staffKey = (classId: string) => ['staff', classId] as const;

/** Who teaches a class; its name; and what becomes of it at the end of the year. */
export function ClassStaff() {
  const { classId = '' } = useParams();
  const answer = useQuery({
    queryKey: staffKey(classId),
    queryFn: () => call(endpoints.staff, { params: { classId } }),
  });
  if (answer.data === undefined)
    return answer.isError ? <Trouble error={answer.error} /> : <Loading what="who teaches it" />;
  const { class: own, staffRole, putAway } = answer.data;
  return (
    <Page title={`${own.name}, staff and keeping`} aside={putAway ? 'put away' : `class code ${own.code}`}>
      <p className="mb-5">
        <Link to={`/class/${classId}`} className="underline underline-offset-4">
          Back to the class
        </Link>
      </p>
      <div className="grid gap-x-12 gap-y-8 lg:grid-cols-2">
        <Staff answer={answer.data} />
        {staffRole === 'assistant' ? (
          <p className="text-soft">Its owner and co-teachers change the class.</p>
        ) : (
          <Keeping key={own.name} answer={answer.data} />
        )}
      </div>
    </Page>
  );
}

const parts = {
  owner: 'owner',
  'co-teacher': 'co-teacher',
  assistant: 'assistant: looks, initials and helps',
};

function Staff({
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

function Keeping({ answer: { class: own, staffRole, putAway } }: { readonly answer: StaffAnswer }) {
  const [name, setName] = useState(own.name);
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (body: ClassChange) => call(endpoints.changeClass, { params: { classId: own.id }, body }),
    // Whose classes there are is part of who is signed in.
    onSuccess: () => queries.invalidateQueries({ queryKey: sessionKey }),
    onSettled: () => queries.invalidateQueries({ queryKey: staffKey(own.id) }),
  });
  const rename = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== '') change.mutate({ name: name.trim() });
  };
  return (
    <section aria-label="The class" className="flex flex-col items-start gap-5">
      <form onSubmit={rename} className="flex flex-wrap items-end gap-3">
        <TextField label="Name of the class" longest={60} value={name} onChange={setName} />
        <Button type="submit" disabled={change.isPending || name.trim() === '' || name.trim() === own.name}>
          Rename it
        </Button>
      </form>
      <div>
        <h2 className="mb-1">All of it as one file</h2>
        <p className="mb-2 max-w-[50ch] text-soft">
          A ZIP with students, rules, investigations, every logbook with its history and photographs, readings
          and marks as tables.
        </p>
        <a
          href={addressFor(at(paths.wholeClass, { classId: own.id }))}
          download
          className="font-bold underline underline-offset-4"
        >
          Save the whole class
        </a>
      </div>
      <div>
        <h2 className="mb-1">{putAway ? 'It is put away' : 'At the end of the year'}</h2>
        <p className="mb-2 max-w-[50ch] text-soft">
          {putAway
            ? 'Its students cannot sign in; all that was written is still here.'
            : 'Put away, its students cannot sign in any more. Nothing is lost, and you can bring it back.'}
        </p>
        <Button disabled={change.isPending} onClick={() => change.mutate({ putAway: !putAway })}>
          {putAway ? 'Bring it back' : 'Put the class away'}
        </Button>
      </div>
      {change.isError && (
        <p role="alert" className="text-vermilion">
          {sentenceFor(change.error)}
        </p>
      )}
      {putAway && staffRole === 'owner' && <ForGood classId={own.id} />}
    </section>
  );
}

function ForGood({ classId }: { readonly classId: string }) {
  const [name, setName] = useState('');
  const queries = useQueryClient();
  const navigate = useNavigate();
  const forGood = useMutation({
    mutationFn: () => call(endpoints.deleteClass, { params: { classId }, body: { name } }),
    onSuccess: async () => {
      await queries.invalidateQueries({ queryKey: sessionKey });
      await navigate('/');
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== '') forGood.mutate();
  };
  return (
    <form onSubmit={submit} className="border-l-4 border-vermilion pl-4">
      <h2 className="mb-1">Delete it for good</h2>
      <p className="mb-2 max-w-[50ch]">
        Students, readings, logbooks, photographs and marks: every row of it. Nobody can bring that back. Save
        it first.
      </p>
      <div className="flex flex-wrap items-end gap-3">
        <TextField label="Write the name of the class" longest={60} value={name} onChange={setName} />
        <Button type="submit" disabled={forGood.isPending || name.trim() === ''}>
          Delete for good
        </Button>
      </div>
      {forGood.isError && (
        <p role="alert" className="mt-2 text-vermilion">
          {sentenceFor(forGood.error)}
        </p>
      )}
    </form>
  );
}
