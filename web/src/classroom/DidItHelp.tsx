import type { BoardAnswer, HelpedLine } from '@green-beam/contract';
import { Headings } from '../ui/Headings';
import { dayOfWeek } from '../ui/clock';
import { inTheirWords } from './inTheirWords';

/** What became of those who misread when the class was asked: their next settings aim at that misreading. */
export function DidItHelp({ helped, instruments }: Pick<BoardAnswer, 'helped' | 'instruments'>) {
  if (helped.length === 0) return null;
  const nameOf = (kind: string) => instruments.find((own) => own.kind === kind)?.name ?? kind;
  return (
    <section aria-label="Did it help?" className="mb-6">
      <h2>Did it help?</h2>
      <p className="mb-1 text-sm text-soft">
        The next settings of those who misread aim at that misreading; two weeks on, one more does.
      </p>
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Before and after">
        <table className="border-collapse">
          <Headings of={['Asked', 'What they misread', 'Before', 'Since', 'Two weeks on']} />
          <tbody>
            {helped.map((line) => (
              <tr key={line.questionId} className="border-b border-rule align-top">
                <td className="py-1 pr-4 whitespace-nowrap">{dayOfWeek(line.at)}</td>
                <td className="py-1 pr-4">
                  {inTheirWords(line.title)} <span className="text-soft">({nameOf(line.kind)})</span>
                </td>
                <td className="py-1 pr-4 whitespace-nowrap">{line.misread} misread it</td>
                <td className="py-1 pr-4">{tally(line.soon)}</td>
                <td className="py-1">
                  {line.later ? tally(line.later) : <span className="text-soft">–</span>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

const tally = ({ right, again, notYet }: HelpedLine['soon']): string =>
  [
    right > 0 && `${right} read it right`,
    again > 0 && `${again} misread it again`,
    notYet > 0 && `${notYet} not yet`,
  ]
    .filter(Boolean)
    .join(', ');
