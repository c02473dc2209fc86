import type { TakenReading } from '@green-beam/contract';
import { useState } from 'react';
import { Link } from 'react-router';
import { sentenceFor } from '../api';
import { Button } from '../ui/Button';
import { Figure } from '../ui/Figure';
import { Page } from '../ui/Notice';
import { feedWords, useFeed, useTake } from './feed';

/** A balance that is connected to the server: what it shows, and readings taken from it. */
export function ConnectedBalance() {
  const feed = useFeed(true).data;
  const [taken, setTaken] = useState<readonly TakenReading[]>([]);
  const take = useTake((reading) => setTaken((before) => [reading, ...before]));
  const shows = feed && 'text' in feed ? feed : null;
  return (
    <Page title="Connected balance" aside={feedWords(feed)}>
      <div className="grid gap-8 md:grid-cols-[3fr_2fr]">
        <div className="on-bench bg-bench p-10 text-center">
          <p className="font-mono text-6xl text-chalk" aria-label="The display">
            {shows ? `${shows.text} ${shows.unit}` : '– – – –'}
          </p>
          <p className="mt-4 text-chalk">{feedWords(feed)}</p>
        </div>
        <div>
          <Button look="main" disabled={take.isPending} onClick={() => take.mutate()}>
            Take reading
          </Button>
          {take.isError && (
            <p role="alert" className="mt-3 border-l-4 border-vermilion pl-3">
              {sentenceFor(take.error)}
            </p>
          )}
          <h2 className="mt-6 mb-2">Taken</h2>
          {taken.length === 0 ? (
            <p className="text-soft">
              Nothing yet. In the{' '}
              <Link to="/logbook" className="underline">
                logbook
              </Link>{' '}
              a reading goes straight into its cell.
            </p>
          ) : (
            <ol className="divide-y divide-rule border-y border-rule">
              {taken.map(({ id, text, unit }) => (
                <li key={id} className="py-2 text-lg">
                  <Figure text={text} /> {unit}
                </li>
              ))}
            </ol>
          )}
        </div>
      </div>
    </Page>
  );
}
