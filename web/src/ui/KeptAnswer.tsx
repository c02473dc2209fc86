import { Stated } from './Figure';

/** An answer of which nothing is told yet. */
export function KeptAnswer({ text, unit }: { readonly text: string; readonly unit: string }) {
  return (
    <p role="status" className="border-l-4 border-beam pl-3">
      <Stated text={`${text.trim()} ${unit}`} className="mr-3" />
      Your answer is kept. What is right appears here when your teacher reveals it.
    </p>
  );
}
