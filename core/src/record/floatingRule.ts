import { decimalOf } from '../figures';
import { floatsIn, perGramCube } from '../density';
import { waterDensity } from '../reference';
import type { AskedQuestion } from './investigation';
import type { Found, LogbookRule } from './logbookLook';
import { subjectKey } from './subject';

/** What is written of whether a thing floats. */
export const floatAnswers = ['It floats', 'It sinks'] as const;

/** A density that contradicts whether the thing was seen to float. */
export const contradictsFloating: LogbookRule = {
  code: 'contradicts-floating',
  find: ({ cells, outcome, investigation }) =>
    investigation.questions.filter(asksWhetherItFloats).flatMap(({ key, liquid }) => {
      const floats = saysThatItFloats(cells.get(subjectKey({ kind: 'answer', question: key }))?.current.text);
      if (floats === null) return [];
      const name = liquid?.name ?? 'water';
      const density = liquid ? decimalOf(liquid.density).toNumber() : waterDensity(20) / 1000;
      return outcome.results.flatMap((state): Found[] => {
        const per = perGramCube(state.plan.unit);
        if (state.state !== 'reckoned' || per === null) return [];
        const { value, expanded, uncertainty } = state.result;
        const foretold = floatsIn(
          value.value.toNumber() * per,
          (expanded?.size ?? uncertainty ?? 0) * per,
          density,
        );
        return foretold === 'cannot tell' || (foretold === 'floats') === floats
          ? []
          : [
              {
                code: 'contradicts-floating',
                table: investigation.tables[0]?.key ?? '',
                place: { trial: 'mean', column: state.plan.key },
                sentence: `You wrote that it ${floats ? 'floats on' : 'sinks in'} ${name}, and ${state.result.text} says the opposite.`,
                sure: 'likely',
              },
            ];
      });
    }),
};

/** Older files ask it in words, under this key. */
const asksWhetherItFloats = ({ kind, key }: AskedQuestion): boolean => kind === 'floats' || key === 'float';

/** Whether a student wrote that it floats; null where they did not say, or said both. */
function saysThatItFloats(text = ''): boolean | null {
  const plainly = text.replace(/(\bnot|n[’']t|\bnever)\s+float(s|ed)?\b/gi, ' sinks');
  const [floats, sinks] = [/\b(yes|floats?|floated)\b/i, /\b(no|sinks?|sank)\b/i].map((words) =>
    words.test(plainly),
  );
  return floats === sinks ? null : floats === true;
}
