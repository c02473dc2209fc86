import { endpoints, type NewDrill } from '@green-beam/contract';
import type { practisedOnPages } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Loading, Trouble } from '../ui/Notice';
import { FiguresPage } from './Figures';

/** Puts a new item before the reader. */
export function useDrill() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (wanted: Pick<NewDrill, 'kind' | 'task'>) =>
      call(endpoints.newDrillItem, { body: { id: crypto.randomUUID(), ...wanted } }),
    onSuccess: (item) => {
      queries.setQueryData(['drill', item.id], item);
      void navigate(`/figures/drills/${item.id}`);
    },
  });
}

/** What is practised on a page of its own. */
const pages: Readonly<Record<(typeof practisedOnPages)[number]['kind'], string>> = {
  rearranging: '/figures/rearrange',
  'spot-the-fault': '/figures/spot',
};

/** Every drill, with what one can do with each. */
export function Drills() {
  const drills = useQuery({ queryKey: ['drills'], queryFn: () => call(endpoints.drills) });
  const take = useDrill();
  const navigate = useNavigate();
  if (drills.data === undefined)
    return drills.isError ? (
      <Trouble error={drills.error} again={() => void drills.refetch()} />
    ) : (
      <Loading what="the drills" />
    );
  return (
    <FiguresPage title="Drills" aside="One item at a time; a slip is named, and you try again.">
      {take.isError && (
        <p role="alert" className="mb-3 border-l-4 border-vermilion pl-3">
          {sentenceFor(take.error)}
        </p>
      )}
      <ul className="grid gap-x-12 md:grid-cols-2">
        {drills.data.drills.map(({ kind, name, about, skill }) => (
          <li key={kind} className="flex items-center justify-between gap-4 border-b border-rule py-3.5">
            <div>
              <h2>{name}</h2>
              <p className="text-soft">{about}</p>
              <p className="text-sm">
                <strong>{skill.state}</strong>
                {skill.tries > 0 && <span className="text-soft">: {skill.reason}</span>}
              </p>
            </div>
            <Button
              look="main"
              disabled={take.isPending}
              onClick={() => {
                const page = Object.hasOwn(pages, kind) ? pages[kind as keyof typeof pages] : null;
                if (page === null) take.mutate({ kind });
                else void navigate(page);
              }}
            >
              Practise<span className="sr-only"> {name}</span>
            </Button>
          </li>
        ))}
      </ul>
    </FiguresPage>
  );
}
