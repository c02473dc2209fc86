import { endpoints } from '@green-beam/contract';
import type { LeftOut } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { Link, useLocation } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';
import { Fold } from '../ui/Fold';
import { searchSaying } from './LeaveOut';
import { keptKey } from './useKept';

/** Keeps a comparison with its class, under a name: what is compared, by what, which groups, and what is left out. */
export function KeepIt({
  classId,
  suggested,
  leftOut,
}: {
  readonly classId: string;
  readonly suggested: string;
  readonly leftOut: LeftOut;
}) {
  const { pathname, search } = useLocation();
  const [name, setName] = useState(suggested);
  const queries = useQueryClient();
  const keep = useMutation({
    mutationFn: () =>
      call(endpoints.keepComparison, {
        params: { classId },
        body: { id: crypto.randomUUID(), name, address: `${pathname}${searchSaying(search, leftOut)}` },
      }),
    onSuccess: (kept) => queries.setQueryData(keptKey(classId), kept),
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== '') keep.mutate();
  };
  return (
    <Fold title="Keep this comparison" aside="under a name, with these groups" startsOpen={false}>
      <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
        <TextField label="Name" longest={80} value={name} onChange={setName} className="w-80 max-w-full" />
        <Button type="submit" disabled={name.trim() === '' || keep.isPending}>
          Keep it
        </Button>
      </form>
      {keep.isSuccess && (
        <p role="status">
          Kept; it stands under{' '}
          <Link to={`/class/${classId}/compare`} className="underline underline-offset-4">
            Compare
          </Link>
          .
        </p>
      )}
      {keep.isError && (
        <p role="alert" className="text-vermilion">
          {sentenceFor(keep.error)}
        </p>
      )}
    </Fold>
  );
}
