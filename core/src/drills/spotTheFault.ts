import { seeded } from '../chance/random';
import { decimals } from '../record/auditTable';
import { secondLook, type AuditTable, type Finding, type Place } from '../record/secondLook';
import { cleanTable, withMean } from './cleanTables';
import { injectedFaults } from './injectedFaults';

/** A results table of the scenario with two or three faults planted in it; the same for the same seed. */
export function faultyTable(seed: number): AuditTable {
  const random = seeded(seed);
  let table = cleanTable(random);
  const wanted = random.whole(2, 3);
  const planted = new Set<string>();
  for (let attempt = 0; attempt < 150 && planted.size < wanted; attempt += 1) {
    const plant = random.pick(injectedFaults);
    if (planted.has(plant.code)) continue;
    const put = plant.put(table, random);
    if (!put) continue;
    // A planted value is not to contradict the mean as well: that is written after it.
    const held = [...planted, plant.code].includes('mean-holds-excluded');
    const faulty = put.mean
      ? withMean(put, put.mean.column, decimals(put.mean.text), held ? put.rows : undefined)
      : put;
    // One fault at a time: it has to be found, the earlier ones still, and nothing else with them.
    const found = new Set(secondLook(faulty).map(({ code }) => code));
    if (found.size !== planted.size + 1 || ![...planted, plant.code].every((code) => found.has(code)))
      continue;
    table = faulty;
    planted.add(plant.code);
  }
  return table;
}

const samePlace = (a: Place, b: Place): boolean => a.trial === b.trial && a.column === b.column;

/** What a reader marked: a place, and what they say is wrong with it. */
export interface Mark {
  readonly place: Place;
  readonly code: string;
}

export interface MarkVerdict {
  readonly mark: Mark;
  /** Right; the right place for another reason; or nothing to find there. */
  readonly is: 'right' | 'another reason' | 'nothing';
}

/** Judges marks by the same second look that logbooks are read with. */
export function judgeMarks(
  table: AuditTable,
  marks: readonly Mark[],
): { readonly verdicts: readonly MarkVerdict[]; readonly missed: readonly Finding[] } {
  const findings = secondLook(table);
  const verdicts = marks.map((mark): MarkVerdict => {
    const here = findings.filter(({ place }) => samePlace(place, mark.place));
    return {
      mark,
      is: here.some(({ code }) => code === mark.code)
        ? 'right'
        : here.length > 0
          ? 'another reason'
          : 'nothing',
    };
  });
  const missed = findings.filter(
    ({ place, code }) => !marks.some((mark) => samePlace(mark.place, place) && mark.code === code),
  );
  return { verdicts, missed };
}
