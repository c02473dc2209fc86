import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, BOOLEAN, BIGINT, INTEGER, DATE, STRING, JSON } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });
const to = (table: string, rest: object = {}) => ({
  ...needed(UUID),
  references: { model: table, key: 'id' },
  ...rest,
});
const created = needed(DATE);

/** Columns that name another row and had no index. */
const unindexed = [
  ['class_staff', 'person_id'],
  ['class_students', 'person_id'],
  ['bench_groups', 'class_id'],
  ['bench_group_members', 'person_id'],
  ['practice_settings', 'conventions_id'],
  ['shows', 'person_id'],
  ['drill_items', 'person_id'],
  ['drill_items', 'conventions_id'],
  ['investigations', 'class_id'],
  ['logbooks', 'investigation_id'],
  ['logbooks', 'conventions_id'],
  ['logbook_members', 'person_id'],
  ['logbook_entries', 'reader_id'],
  ['logbook_photos', 'person_id'],
  ['kept_calculations', 'person_id'],
] as const;

/**
 * Sessions that can be ended from elsewhere, limits and claims that several processes share, and entries whose order is the
 * order in which they were committed. Everybody signs in once more.
 */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await query.dropTable('session');
  await query.createTable('sessions', {
    id: { type: TEXT, primaryKey: true },
    person_id: to('people'),
    own_device: needed(BOOLEAN),
    started_at: created,
    seen_at: created,
    created_at: created,
  });
  await query.addIndex('sessions', ['person_id']);
  await query.addColumn('people', 'must_change', { ...needed(BOOLEAN), defaultValue: false });
  await query.addColumn('people', 'seal_key', {
    ...needed(UUID),
    defaultValue: sequelize.literal('gen_random_uuid()'),
  });
  await query.createTable('sign_in_limits', {
    key: { type: STRING(255), primaryKey: true },
    points: { ...needed(INTEGER), defaultValue: 0 },
    expire: BIGINT,
  });
  await query.createTable('known_devices', {
    person_id: to('people', { primaryKey: true }),
    device_id: { ...needed(UUID), primaryKey: true },
    created_at: created,
  });
  await query.createTable('balance_readings', {
    id: { type: UUID, primaryKey: true },
    person_id: to('people'),
    text: needed(TEXT),
    unit: needed(TEXT),
    entry_id: { type: UUID, unique: true },
    created_at: created,
  });
  await query.addIndex('balance_readings', ['person_id']);
  for (const [table, column] of unindexed) await query.addIndex(table, [column]);
  await query.addColumn('logbook_entries', 'block_id', { type: UUID });
  await query.addColumn('logbook_entries', 'timed_by', { ...needed(TEXT), defaultValue: 'writer' });
  await query.addColumn('logbook_entries', 'prior', { type: BIGINT });
  await sequelize.query('alter table logbook_photos alter column bytes set storage external');
  // One writer of a logbook at a time takes its numbers: who reads on after a number misses nothing.
  await sequelize.query(`
    create function number_in_order() returns trigger language plpgsql as $$
    begin
      perform pg_advisory_xact_lock(hashtextextended(new.logbook_id::text, 0));
      new.prior := coalesce((select max(seq) from logbook_entries where logbook_id = new.logbook_id), 0);
      new.seq := nextval('logbook_entries_seq_seq');
      return new;
    end $$`);
  await sequelize.query(
    'create trigger in_order before insert on logbook_entries for each row execute function number_in_order()',
  );
}

export async function down(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await sequelize.query('drop trigger in_order on logbook_entries');
  await sequelize.query('drop function number_in_order()');
  await sequelize.query('alter table logbook_photos alter column bytes set storage extended');
  for (const column of ['prior', 'timed_by', 'block_id']) await query.removeColumn('logbook_entries', column);
  for (const [table, column] of unindexed) await query.removeIndex(table, [column]);
  for (const table of ['balance_readings', 'known_devices', 'sign_in_limits', 'sessions'])
    await query.dropTable(table);
  await query.removeColumn('people', 'seal_key');
  await query.removeColumn('people', 'must_change');
  await query.createTable('session', {
    sid: { type: TEXT, primaryKey: true },
    sess: needed(JSON),
    expire: created,
  });
  await query.addIndex('session', ['expire']);
}
