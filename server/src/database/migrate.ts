import { SequelizeStorage, Umzug } from 'umzug';
import type { Sequelize } from 'sequelize';
import * as firstTables from './migrations/0001-first-tables';
import * as shows from './migrations/0002-shows';
import * as drills from './migrations/0003-drills';
import * as investigations from './migrations/0004-investigations';

/** Every migration in order; a new one is a file and a line. */
const migrations = {
  '0001-first-tables': firstTables,
  '0002-shows': shows,
  '0003-drills': drills,
  '0004-investigations': investigations,
} as const;

export function migrator(sequelize: Sequelize) {
  return new Umzug({
    migrations: Object.entries(migrations).map(([name, { up, down }]) => ({
      name,
      up: () => up(sequelize.getQueryInterface()),
      down: () => down(sequelize.getQueryInterface()),
    })),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
}
