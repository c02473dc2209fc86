import { houseRules, readStored, storedInvestigation } from '@green-beam/contract';
import { presetNamed, type Conventions, type DrawnPicture } from '@green-beam/core';
import { LRUCache } from 'lru-cache';
import type { Database } from '../database/models';
import { Problem } from '../http/problem';
import type { Workers } from '../threads/workers';
import { Books } from './books';
import type { KeptInvestigation, OpenBook } from './keptRows';
import type { Station } from './station';
import { Practices } from './practices';

/**
 * What this process keeps of the database, so that it is not read and reckoned again at every call: rows that never change, and
 * what was gathered from rows that are only ever added. All of it can be thrown away at any moment.
 */
export interface Kept {
  /** @param id null for the standard preset, which who belongs to no class goes by. @throws Problem */
  conventions(id: string | null): Promise<Conventions>;
  /** The newest version of a class's conventions. @throws Problem for a class that has none. */
  conventionsInForce(classId: string): Promise<{ readonly id: string; readonly body: Conventions }>;
  /** @throws Problem for one that there is not. */
  investigation(id: string): Promise<KeptInvestigation>;
  /** Settings on the bench: what was laid out stays as it is. */
  readonly settings: LRUCache<string, Station>;
  /** Pictures of settings that count, as shapes. */
  readonly drawn: LRUCache<string, Promise<DrawnPicture>>;
  /** Logbooks with who writes in them. */
  readonly openBooks: LRUCache<string, OpenBook>;
  readonly practices: Practices;
  readonly books: Books;
}

export function createKept(database: Database, workers: Workers): Kept {
  const { models } = database;
  const conventions = new LRUCache<string, Conventions>({ max: 2_000 });
  const investigations = new LRUCache<string, KeptInvestigation>({ max: 2_000 });
  const kept: Kept = {
    conventions: async (id) => {
      if (id === null) return presetNamed('Chemistry bench');
      const before = conventions.get(id);
      if (before) return before;
      const row = await models.classConventions.findByPk(id);
      if (!row) throw new Problem('not-found', 'This class has no conventions.');
      // What was kept before a question was asked has no answer to it yet.
      const known = readStored(houseRules, row.body, 'set of house rules');
      conventions.set(id, known);
      return known;
    },
    conventionsInForce: async (classId) => {
      const row = await models.classConventions.findOne({
        attributes: ['id'],
        where: { classId },
        order: [['version', 'desc']],
      });
      if (!row) throw new Problem('not-found', 'This class has no conventions.');
      return { id: row.id, body: await kept.conventions(row.id) };
    },
    investigation: async (id) => {
      const before = investigations.get(id);
      if (before) return before;
      const row = await models.investigations.findByPk(id);
      if (!row) throw new Problem('not-found');
      const { classId, familyId, version, personId = null } = row;
      const body = readStored(storedInvestigation, row.body, 'investigation');
      const line = { id, classId, personId, familyId, version, body };
      investigations.set(id, line);
      return line;
    },
    settings: new LRUCache({ max: 5_000 }),
    drawn: new LRUCache({ max: 300 }),
    openBooks: new LRUCache({ max: 5_000 }),
    practices: new Practices(database),
    books: new Books(database, workers, {
      conventions: (id) => kept.conventions(id),
      investigation: (id) => kept.investigation(id),
    }),
  };
  return kept;
}
