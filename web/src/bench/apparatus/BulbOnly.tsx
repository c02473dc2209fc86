import { useState } from 'react';
import { Button } from '../../ui/Button';

/** What a pipette is drawn up with. Any other wish than a bulb or a pump is met by a caution. */
export function BulbOnly() {
  const [wish, setWish] = useState<'bulb' | 'mouth'>('bulb');
  return (
    <>
      <div role="group" aria-label="Draw up with" className="flex gap-2">
        <Button look="bench" aria-pressed={wish === 'bulb'} onClick={() => setWish('bulb')}>
          Bulb
        </Button>
        <Button look="bench" aria-pressed={false} onClick={() => setWish('mouth')}>
          Mouth
        </Button>
      </div>
      {wish === 'mouth' && (
        <p
          role="alert"
          className="absolute inset-x-4 bottom-24 z-10 border border-brass-line bg-bench p-3 text-sm"
        >
          <strong>Caution.</strong> Never draw up by mouth, water included: what was in it before may be
          poisonous. Use the bulb or the pump.
        </p>
      )}
    </>
  );
}
