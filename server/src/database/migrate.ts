import { Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { driver } from './driver';
import * as firstTables from './migrations/0001-first-tables';
import * as shows from './migrations/0002-shows';
import * as drills from './migrations/0003-drills';
import * as investigations from './migrations/0004-investigations';
import * as whoseItIs from './migrations/0005-whose-it-is';
import * as whatItIsAbout from './migrations/0006-what-it-is-about';
import * as exercises from './migrations/0007-exercises';
import * as stock from './migrations/0008-stock';
import * as freeLogbooks from './migrations/0009-free-logbooks';
import * as variations from './migrations/0010-variations';
import * as materials from './migrations/0011-materials';
import * as comparisons from './migrations/0012-comparisons';
import * as heldBack from './migrations/0013-held-back';
import * as benches from './migrations/0014-benches';
import * as reviews from './migrations/0015-reviews';
import * as tasks from './migrations/0016-tasks';
import * as calls from './migrations/0017-calls';
import * as putAway from './migrations/0018-put-away';
import * as heldBy from './migrations/0019-held-by';
import * as inOrder from './migrations/0020-in-order';
import * as reckonedAnew from './migrations/0021-reckoned-anew';

/** Every migration in order; a new one is a file and a line. */
const migrations = {
  '0001-first-tables': firstTables,
  '0002-shows': shows,
  '0003-drills': drills,
  '0004-investigations': investigations,
  '0005-whose-it-is': whoseItIs,
  '0006-what-it-is-about': whatItIsAbout,
  '0007-exercises': exercises,
  '0008-stock': stock,
  '0009-free-logbooks': freeLogbooks,
  '0010-variations': variations,
  '0011-materials': materials,
  '0012-comparisons': comparisons,
  '0013-held-back': heldBack,
  '0014-benches': benches,
  '0015-reviews': reviews,
  '0016-tasks': tasks,
  '0017-calls': calls,
  '0018-put-away': putAway,
  '0019-held-by': heldBy,
  '0020-in-order': inOrder,
  '0021-reckoned-anew': reckonedAnew,
} as const;

/** The names of all migrations, in order. */
export const migrationNames: readonly string[] = Object.keys(migrations);

/** Any number, the same in every process: who holds it migrates, or loads the demo. */
export const firstLock = 'select pg_advisory_xact_lock(7306021)';

type Migrator = ReturnType<typeof migratorOf>;

function migratorOf(sequelize: Sequelize) {
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

/**
 * Brings the database to the newest migration. It happens in one transaction, and one process at a time: a process that is
 * killed in the middle leaves nothing behind, and one that comes second finds the work done.
 * @param url a direct connection: the transaction stays on it from beginning to end.
 */
export const migrate = (url: string, act: (migrator: Migrator) => Promise<unknown> = (all) => all.up()) =>
  inOneTransaction(url, (sequelize) => act(migratorOf(sequelize)));

async function inOneTransaction(url: string, act: (sequelize: Sequelize) => Promise<unknown>): Promise<void> {
  // A pool of one connection that is never given up: whatever a migration does, it does in this transaction.
  const settings = {
    dialect: 'postgres',
    dialectModule: driver,
    logging: false,
    pool: { max: 1, min: 1, idle: 3_600_000 },
    // Asked by nobody: it would take a connection of its own.
    databaseVersion: '15.0.0',
  } as const;
  const sequelize = new Sequelize(url, settings);
  // A connection that is lost takes the transaction with it: another would go on without one.
  let connected = false;
  sequelize.addHook('beforeConnect', () => {
    if (connected) throw new Error('The connection was lost; nothing has been changed.');
    connected = true;
  });
  try {
    await sequelize.query('begin');
    await sequelize.query(firstLock);
    await act(sequelize);
    await sequelize.query('commit');
  } catch (error) {
    await sequelize.query('rollback').catch(() => undefined);
    throw error;
  } finally {
    await sequelize.close();
  }
}
