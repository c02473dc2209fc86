import { at, endpoints, paths, type ClassChange, type StaffAnswer } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useParams } from 'react-router';
import { addressFor, call, sentenceFor } from '../api';
import { sessionKey } from '../session/who';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';
import { Loading, Page, Trouble } from '../ui/Notice';
import { DeleteForGood } from './DeleteForGood';
import { staffKey } from './staffKey';
import { WhoTeaches } from './WhoTeaches';

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
        <WhoTeaches answer={answer.data} />
        {staffRole === 'assistant' ? (
          <p className="text-soft">Its owner and co-teachers change the class.</p>
        ) : (
          <Keeping key={own.name} answer={answer.data} />
        )}
      </div>
    </Page>
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
      {putAway && staffRole === 'owner' && <DeleteForGood classId={own.id} />}
    </section>
  );
}
