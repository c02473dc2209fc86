import { Decimal } from '../decimal/decimal';
import { suspectOutlier } from '../statistics';
import type { Comparison, Group, Observation } from './observation';
import { counting } from './sample';

/** An observation that lies apart from its group; only ever suggested. */
export interface Apart {
  readonly group: Group;
  readonly observation: Observation;
  readonly test: string;
}

/** Beyond so many one always lies apart. */
const most = 200;

/** At most one for each group. */
export const outliersIn = ({ groups }: Comparison): Apart[] =>
  groups.flatMap((group) => {
    const own = counting(group);
    const suspect = own.length > most ? null : suspectOutlier(own.map(({ value }) => new Decimal(value)));
    const observation = suspect && own[suspect.at];
    return observation ? [{ group, observation, test: suspect.test }] : [];
  });
