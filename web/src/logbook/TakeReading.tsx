import type { TakenReading } from '@green-beam/contract';
import { sentenceFor } from '../api';
import { useFeed, useTake } from '../bench/feed';
import { Button } from '../ui/Button';

/** Takes what a connected balance shows straight into a cell; there is no button where none is connected. */
export function TakeReading({
  unit,
  division,
  onTaken,
}: {
  readonly unit: string;
  /** The last digit that the piece of the kit shows. */
  readonly division: string;
  readonly onTaken: (reading: TakenReading) => void;
}) {
  const feed = useFeed(true).data;
  const take = useTake(onTaken);
  if (!feed || feed.state === 'none') return null;
  // Another unit, or more digits or fewer than the plan's balance shows: it is another balance.
  if ('text' in feed && (feed.unit !== unit || decimals(feed.text) !== decimals(division))) return null;
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

const decimals = (text: string): number => text.trim().split('.')[1]?.length ?? 0;
