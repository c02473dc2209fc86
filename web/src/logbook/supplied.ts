import { storage } from '../browser/storage';

const keyFor = (logbookId: string, table: string, trial: number): string =>
  `green-beam/supplied/${logbookId}/${table}/${trial}`;

/** Whether what is written next in a trial was supplied by the teacher, as its writer has said on this device. */
export const isSupplied = (logbookId: string, table: string, trial: number): boolean =>
  storage.getItem(keyFor(logbookId, table, trial)) !== null;

export function setSupplied(logbookId: string, table: string, trial: number, supplied: boolean): void {
  const key = keyFor(logbookId, table, trial);
  if (supplied) storage.setItem(key, 'yes');
  else storage.removeItem(key);
}
