/** A line of a list of students: a name, and a bench where one is said after a semicolon, a tab or a comma. */
export interface RosterLine {
  readonly line: number;
  readonly name: string;
  readonly bench: string;
  /** Why it cannot be taken; null where it can. */
  readonly problem: string | null;
}

const longestName = 60;
const longestBench = 40;

/** The same name, however it is written. */
export const sameName = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase();

/** A pasted list of students, line by line; empty lines and a heading of names are passed over. @param there names that are taken. */
export function rosterLines(text: string, there: readonly string[]): RosterLine[] {
  const taken = new Map(there.map((name) => [sameName(name), 'is in this class already']));
  return text.split(/\r?\n/).flatMap((raw, at): RosterLine[] => {
    const [name = '', bench = ''] = raw.split(/[;\t,]/).map((part) => part.trim().replace(/^"(.*)"$/, '$1'));
    if (raw.trim() === '' || (at === 0 && /^(full )?names?$/i.test(name))) return [];
    const key = sameName(name);
    const before = taken.get(key);
    const problem =
      name === ''
        ? 'There is no name.'
        : name.length > longestName
          ? `A name is at most ${longestName} characters long.`
          : bench.length > longestBench
            ? `The name of a bench is at most ${longestBench} characters long.`
            : before
              ? `“${name}” ${before}. Add a letter or a second name to tell them apart.`
              : null;
    if (name !== '') taken.set(key, `stands in line ${at + 1} already`);
    return [{ line: at + 1, name, bench, problem }];
  });
}
