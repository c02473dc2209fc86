import { cardsFor } from '@green-beam/core';
import { Button } from '../ui/Button';
import { Figure } from '../ui/Figure';
import { Loading, Trouble } from '../ui/Notice';
import { FiguresPage } from './Figures';
import { useConventions } from '../answers/conventions';

/** The rules on one page that can be printed, in the class's own conventions. */
export function Cards() {
  const own = useConventions();
  if (own.data === undefined)
    return own.isError ? (
      <Trouble error={own.error} again={() => void own.refetch()} />
    ) : (
      <Loading what="the rules" />
    );
  const { conventions } = own.data;
  return (
    <FiguresPage
      title="Rules of written numbers"
      aside={`as ${conventions.preset} does it, version ${conventions.version}`}
    >
      <Button className="no-print mb-4" onClick={() => print()}>
        Print
      </Button>
      <div className="grid gap-x-10 gap-y-5 sm:grid-cols-2 lg:grid-cols-3 print:grid-cols-2">
        {cardsFor(conventions).map(({ title, rule, examples }) => (
          <section key={title} aria-label={title} className="border-t-2 border-beam pt-2">
            <h2>{title}</h2>
            <p>{rule}</p>
            {examples.length > 0 && (
              <table className="mt-1">
                <caption className="sr-only">Examples for {title}</caption>
                <tbody>
                  {examples.map(([given, result]) => (
                    <tr key={given}>
                      <td className="pr-4 font-mono">{given}</td>
                      <td className="font-mono">
                        {/figures?$/.test(result) ? result : <Figure text={result} />}
                      </td>
                    </tr>
                  ))}
                </tbody>
              </table>
            )}
          </section>
        ))}
      </div>
    </FiguresPage>
  );
}
