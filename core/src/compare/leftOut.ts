import type { Comparison, Observation } from './observation';

/** Reasons why observations do not count in a comparison, by their names. */
export type LeftOut = Readonly<Record<string, string>>;

/** An observation by its logbook and its trial: the same however it is grouped. */
export const observationName = ({ book = '', trial, value }: Observation): string =>
  `${book} ${trial ?? value}`;

/** A comparison without what was left out: it stays there, and says why. */
export const withoutLeftOut = (comparison: Comparison, leftOut: LeftOut): Comparison =>
  Object.keys(leftOut).length === 0
    ? comparison
    : {
        ...comparison,
        groups: comparison.groups.map((group) => ({
          ...group,
          observations: group.observations.map((own) => {
            const reason = leftOut[observationName(own)];
            return reason === undefined ? own : { ...own, excluded: reason };
          }),
        })),
      };
