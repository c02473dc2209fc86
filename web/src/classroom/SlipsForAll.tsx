import { useState } from 'react';
import { Button } from '../ui/Button';

/** Asks once, because the slips in the students' hands stop working. */
export function SlipsForAll({
  busy,
  count,
  onMake,
}: {
  readonly busy: boolean;
  readonly count: number;
  readonly onMake: () => void;
}) {
  const [asked, setAsked] = useState(false);
  return (
    <section aria-label="Slips for everyone" className="flex flex-col items-start gap-2">
      <h2>Slips for everyone</h2>
      <p className="text-sm text-soft">
        A passphrase is shown only when its slip is made. New slips replace the old ones.
      </p>
      {asked ? (
        <div className="flex gap-3">
          <Button
            look="main"
            disabled={busy}
            onClick={() => {
              setAsked(false);
              onMake();
            }}
          >
            Replace all {count}
          </Button>
          <Button onClick={() => setAsked(false)}>Keep the old ones</Button>
        </div>
      ) : (
        <Button disabled={busy} onClick={() => setAsked(true)}>
          Make new slips for everyone
        </Button>
      )}
    </section>
  );
}
