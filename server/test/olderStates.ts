import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { freshDatabase } from './harness';

/**
 * Databases as earlier versions left them, whole: their demo class, and two benches that filled their logbook of the bolt pin, one of
 * them with a trial that nobody would believe. `stated` is what that version stated; `now` is what is stated where that was not right.
 * By hand: trials of 8.694, 9.647, 8.734 and 30.657 g/cm³ have s/√4 = 5.41; each of the two readings and the maker’s tolerance adds
 * 0.5 mL times the mean of ρ/V over the trials, 1.382 g/cm³ a mL; together 5.54, so 6. Up to 0005 the ± left the last trial’s own
 * sensitivity out.
 */
export const olderStates = [
  {
    name: 'before-0004',
    stated: { 'Verity Moss': '(8.8 ± 0.3) g/cm³', 'Delphi Marsh': '(14 ± 5) g/cm³' },
    now: { 'Delphi Marsh': '(14 ± 6) g/cm³' },
  },
  {
    name: 'before-0006',
    stated: { 'Verity Moss': '(8.8 ± 0.3) g/cm³', 'Delphi Marsh': '(14 ± 5) g/cm³' },
    now: { 'Delphi Marsh': '(14 ± 6) g/cm³' },
  },
  {
    name: 'before-0019',
    stated: { 'Verity Moss': '(8.8 ± 0.3) g/cm³', 'Delphi Marsh': '(14 ± 6) g/cm³' },
    now: {},
  },
  {
    name: 'at-0019',
    stated: { 'Verity Moss': '(8.8 ± 0.3) g/cm³', 'Delphi Marsh': '(14 ± 6) g/cm³' },
    now: {},
  },
] as const;

/** PostgreSQL's own programs. */
export async function postgresProgram(name: string): Promise<string> {
  const { programs } = (await import('../../scripts/postgres.mjs' as string)) as { programs(): string };
  return join(programs(), name);
}

/** A database of an earlier state, restored by the plain owner. @returns its address */
export async function olderDatabase(name: string): Promise<string> {
  const url = await freshDatabase();
  const dump = gunzipSync(readFileSync(join(import.meta.dirname, 'older', `${name}.sql.gz`)));
  execFileSync(await postgresProgram('psql'), ['-X', '-q', '-v', 'ON_ERROR_STOP=1', url], {
    input: dump,
    stdio: ['pipe', 'ignore', 'inherit'],
  });
  return url;
}
