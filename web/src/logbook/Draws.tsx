import { Histogram } from '@green-beam/drawing';
import { Button } from '../ui/Button';
import type { Book } from './book';
import { SavedPlot } from '../ui/SavedPlot';
import { useMonteCarlo } from './useMonteCarlo';
import type { OfModel } from './Ways';

const draws = 1_000_000;

/** Many draws of the inputs, made beside the page. */
export function Draws({ book, result: { model, plan } }: { readonly book: Book; readonly result: OfModel }) {
  const [drawing, start, stop] = useMonteCarlo();
  const standard = book.answer.conventions.plusMinus === 'standard';
  return (
    <div>
      <h3 className="mb-1 font-bold">A million draws</h3>
      <div className="mb-2 flex items-center gap-4">
        {drawing.state === 'drawing' ? (
          <>
            <progress
              aria-label="Draws made"
              className="h-2 w-48 accent-[#1d7f58]"
              max={drawing.of}
              value={drawing.drawn}
            />
            <Button onClick={stop}>Stop</Button>
          </>
        ) : (
          <Button onClick={() => start({ ...model, draws, seed: 1, standard })}>Draw</Button>
        )}
      </div>
      {drawing.state === 'drawn' && (
        <>
          <SavedPlot name={`${plan.name} draws`}>
            <Histogram {...drawing.result} words={`${plan.name} in ${plan.unit}`} />
          </SavedPlot>
          <p>
            Mean {drawing.result.mean.toPrecision(5)}, standard deviation{' '}
            {drawing.result.standardDeviation.toPrecision(3)} {plan.unit}; 95 of 100 lie between{' '}
            {drawing.result.low.toPrecision(4)} and {drawing.result.high.toPrecision(4)}.
          </p>
        </>
      )}
      <p className="text-sm text-soft">
        Readings and instruments are drawn anew a million times, always with the same seed; the scatter of the
        trials is not drawn again.
      </p>
    </div>
  );
}
