import { endpoints } from '@green-beam/contract';
import { findingWeight, initials } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { arrive } from '../answers/logbook';
import { call, sentenceFor } from '../api';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { clock } from '../ui/clock';
import { useOpenBook } from './book';
import { ReportReadings } from './ReportReadings';
import { Findings, useFindings } from './SecondLook';

/** For the staff beside a bench: what was read, what is found in it, and one's initials under it. */
export function CheckPage() {
  const book = useOpenBook();
  const { id, investigation } = book.answer;
  const { name } = useWho();
  const queries = useQueryClient();
  const findings = [...(useFindings(book) ?? [])].sort((a, b) => findingWeight(b) - findingWeight(a));
  const last = book.entries.findLast(({ receivedAt }) => receivedAt !== undefined);
  const { initialled } = book;
  const fresh = initialled !== null && initialled.since.length === 0;
  const sign = useMutation({
    mutationFn: (seen: string) =>
      call(endpoints.initial, { params: { logbookId: id }, body: { id: crypto.randomUUID(), seen } }),
    onSuccess: (arrived) => {
      arrive(queries, id, arrived);
      void queries.invalidateQueries({ queryKey: ['calls'] });
    },
  });
  return (
    <div className="flex max-w-[52rem] flex-col gap-6">
      <p aria-live="polite">
        {initialled === null
          ? 'Nobody has looked these data through yet.'
          : `${initialled.by} looked them through at ${clock(initialled.at)}. ${
              fresh
                ? 'Nothing was written since.'
                : `Since then: ${initialled.since.length === 1 ? 'one thing' : `${initialled.since.length} things`}, marked below.`
            }`}
      </p>
      <Findings book={book} findings={findings} />
      <section aria-label="Readings">
        {investigation.tables.map((table) => (
          <ReportReadings key={table.key} book={book} table={table} />
        ))}
      </section>
      <div className="flex flex-wrap items-center gap-4">
        <Button
          look="main"
          disabled={!last || fresh || sign.isPending}
          onClick={() => last && sign.mutate(last.id)}
        >
          Put {initials(name)} under the data
        </Button>
        {!last && <span className="text-soft">Nothing is written yet.</span>}
        {sign.isError && <p role="alert">{sentenceFor(sign.error)}</p>}
      </div>
    </div>
  );
}
