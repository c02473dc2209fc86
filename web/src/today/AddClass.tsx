import { endpoints } from '@green-beam/contract';
import { presets } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useId, useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { sessionKey } from '../session/who';
import { Button } from '../ui/Button';
import { ChoiceField } from '../ui/fields';

/** A new class with its house rules; its students come next. */
export function AddClass() {
  const [name, setName] = useState('');
  const [preset, setPreset] = useState('Chemistry bench');
  const id = useId();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const add = useMutation({
    mutationFn: () => call(endpoints.newClass, { body: { name, preset } }),
    onSuccess: async (made) => {
      await queries.invalidateQueries({ queryKey: sessionKey });
      await navigate(`/class/${made.id}/roster`);
    },
  });
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (name.trim() !== '') add.mutate();
  };
  return (
    <form onSubmit={submit} className="flex flex-wrap items-end gap-3">
      <div>
        <label htmlFor={id} className="mb-1 block">
          Another class
        </label>
        <input
          id={id}
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          className="rounded-sm border border-edge bg-white px-3 py-2"
        />
      </div>
      <ChoiceField
        label="House rules to begin with"
        className="w-56"
        value={preset}
        choices={presets.map((one) => [one.preset, one.preset] as const)}
        onChange={setPreset}
      />
      <Button type="submit" disabled={add.isPending || name.trim() === ''}>
        Make the class
      </Button>
      {add.isError && <p role="alert">{sentenceFor(add.error)}</p>}
    </form>
  );
}
