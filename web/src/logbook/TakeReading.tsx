import type { TakenReading } from '@green-beam/contract';
import { sentenceFor } from '../api';
import { useFeed, useTake } from '../bench/feed';
import { Button } from '../ui/Button';

/** Takes what a connected balance shows straight into a cell; there is no button where none is connected. */
export function TakeReading({
  unit,
  onTaken,
}: {
  readonly unit: string;
  readonly onTaken: (reading: TakenReading) => void;
}) {
  const feed = useFeed(true).data;
  const take = useTake(onTaken);
  if (!feed || feed.state === 'none') return null;
  return (
    <>
      <Button
        look="quiet"
        className="text-sm"
        tabIndex={-1}
        disabled={take.isPending}
        onClick={() => take.mutate()}
      >
        Take reading{'text' in feed && feed.unit === unit ? ` (${feed.text} ${unit})` : ''}
      </Button>
      {take.isError && (
        <p role="alert" className="text-sm text-vermilion">
          {sentenceFor(take.error)}
        </p>
      )}
    </>
  );
}
