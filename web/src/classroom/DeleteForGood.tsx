import { endpoints } from '@green-beam/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { sessionKey } from '../session/who';
import { Button } from '../ui/Button';
import { TextField } from '../ui/fields';

/** Deletes a class that was put away, by its name. */
export function DeleteForGood({ classId }: { readonly classId: string }) {
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
