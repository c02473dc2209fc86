import type { BenchInstrument } from '@green-beam/contract';
import { Button } from '../ui/Button';
import type { Asked, Planned } from './useWarmUp';

/** A run of several questions: what was asked and what came of it, what is still to come. */
export function WarmUp({
  planned,
  asked,
  running,
  instruments,
  onRemove,
  onClear,
}: {
  readonly planned: readonly Planned[];
  readonly asked: readonly Asked[];
  readonly running: boolean;
  readonly instruments: readonly BenchInstrument[];
  readonly onRemove: (at: number) => void;
  readonly onClear: () => void;
}) {
  if (planned.length + asked.length === 0) return null;
  const nameOf = ({ kind }: Planned) => instruments.find((own) => own.kind === kind)?.name ?? kind;
  return (
    <section aria-label="Warm-up" className="border-t border-rule pt-4">
      <h2 className="mb-1">Warm-up</h2>
      <ol className="ml-5 list-decimal">
        {asked.map(({ name, answers, right }, at) => (
          <li key={at}>
            {name}:{' '}
            <span className="text-soft">
              {right} of {answers} right
            </span>
          </li>
        ))}
        {running && <li className="font-bold">the one that is shown</li>}
        {planned.map((question, at) => (
          <li key={at}>
            {nameOf(question)}
            {question.indicates && <span className="text-soft"> at {question.indicates}</span>}
            <Button look="quiet" className="ml-3 text-sm" onClick={() => onRemove(at)}>
              Take it out<span className="sr-only">: number {asked.length + Number(running) + at + 1}</span>
            </Button>
          </li>
        ))}
      </ol>
      {planned.length === 0 && !running && (
        <Button look="quiet" className="text-sm" onClick={onClear}>
          Clear the warm-up
        </Button>
      )}
    </section>
  );
}
