import { endpoints } from '@green-beam/contract';
import { useMutation } from '@tanstack/react-query';
import { call, sentenceFor } from '../api';
import { Button } from '../ui/Button';
import type { Hands } from './apparatus/apparatus';

/** The scale near the pointer in words, for a reader who needs it: what stands there now, not what it amounts to. */
export function InWords({
  settingId,
  handsNow,
}: {
  readonly settingId: string;
  readonly handsNow: () => Hands | null;
}) {
  const ask = useMutation({
    mutationFn: () => call(endpoints.words, { params: { settingId }, body: { hands: handsNow() } }),
  });
  return (
    <div>
      <Button look="quiet" onClick={() => ask.mutate()}>
        The scale in words
      </Button>
      <ul role="status" className="ml-5 list-disc">
        {ask.data?.words.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ul>
      {ask.isError && <p role="alert">{sentenceFor(ask.error)}</p>}
    </div>
  );
}
