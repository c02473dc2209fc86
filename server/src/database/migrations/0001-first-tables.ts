import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, INTEGER, BIGINT, DOUBLE, JSONB, DATE, JSON } = DataTypes;
const id = { type: UUID, primaryKey: true };
const needed = <T>(type: T) => ({ type, allowNull: false });
const created = { type: DATE, allowNull: false };
const to = (table: string, rest: object = {}) => ({
  type: UUID,
  allowNull: false,
  references: { model: table, key: 'id' },
  ...rest,
});
const keyTo = (table: string) => to(table, { primaryKey: true });

export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('people', {
    id,
    role: needed(TEXT),
    name: needed(TEXT),
    address: TEXT,
    secret_hash: needed(TEXT),
    created_at: created,
  });
  await query.sequelize.query(
    `create unique index teacher_names on people (lower(name)) where role = 'teacher'`,
  );
  await query.sequelize.query(
    'create unique index addresses on people (lower(address)) where address is not null',
  );
  await query.createTable('classes', {
    id,
    code: { type: TEXT, allowNull: false, unique: true },
    name: needed(TEXT),
    created_at: created,
  });
  await query.createTable('class_conventions', {
    id,
    class_id: to('classes'),
    version: needed(INTEGER),
    body: needed(JSONB),
    created_at: created,
  });
  await query.addIndex('class_conventions', ['class_id', 'version'], { unique: true });
  await query.createTable('class_staff', {
    class_id: keyTo('classes'),
    person_id: keyTo('people'),
    role: needed(TEXT),
    created_at: created,
  });
  await query.createTable('class_students', {
    class_id: keyTo('classes'),
    person_id: keyTo('people'),
    name_key: needed(TEXT),
    created_at: created,
  });
  await query.addIndex('class_students', ['class_id', 'name_key'], { unique: true });
  await query.createTable('bench_groups', {
    id,
    class_id: to('classes'),
    name: needed(TEXT),
    created_at: created,
  });
  await query.createTable('bench_group_members', {
    group_id: keyTo('bench_groups'),
    person_id: keyTo('people'),
    created_at: created,
  });
  await query.createTable('practice_settings', {
    id,
    person_id: to('people'),
    conventions_id: to('class_conventions', { allowNull: true }),
    kind: needed(TEXT),
    model: needed(TEXT),
    mode: needed(TEXT),
    seed: needed(INTEGER),
    setting: needed(JSONB),
    created_at: created,
  });
  await query.createTable('attempts', {
    id,
    setting_id: to('practice_settings'),
    person_id: to('people'),
    ordinal: needed(INTEGER),
    text: needed(TEXT),
    unit: needed(TEXT),
    hands: JSONB,
    verdict: needed(JSONB),
    divisions_off: DOUBLE,
    created_at: created,
  });
  await query.addIndex('attempts', ['person_id', 'created_at']);
  await query.addIndex('attempts', ['setting_id', 'ordinal'], { unique: true });
  await query.createTable('investigations', {
    id,
    class_id: to('classes'),
    body: needed(JSONB),
    created_at: created,
  });
  await query.createTable('logbooks', {
    id,
    investigation_id: to('investigations'),
    conventions_id: to('class_conventions'),
    created_at: created,
  });
  await query.createTable('logbook_members', {
    logbook_id: keyTo('logbooks'),
    person_id: keyTo('people'),
    created_at: created,
  });
  await query.createTable('logbook_entries', {
    id,
    seq: { type: BIGINT, allowNull: false, autoIncrement: true },
    logbook_id: to('logbooks'),
    trial: needed(INTEGER),
    column: needed(TEXT),
    text: needed(TEXT),
    tag: needed(TEXT),
    reader_id: to('people'),
    origin: needed(TEXT),
    replaces: UUID,
    reason: TEXT,
    written_at: needed(DATE),
    created_at: created,
  });
  await query.addIndex('logbook_entries', ['logbook_id', 'seq']);
  // The table that connect-pg-simple keeps sessions in.
  await query.createTable('session', {
    sid: { type: TEXT, primaryKey: true },
    sess: needed(JSON),
    expire: needed(DATE),
  });
  await query.addIndex('session', ['expire']);
}

export async function down(query: QueryInterface): Promise<void> {
  for (const table of [
    'session',
    'logbook_entries',
    'logbook_members',
    'logbooks',
    'investigations',
    'attempts',
    'practice_settings',
    'bench_group_members',
    'bench_groups',
    'class_students',
    'class_staff',
    'class_conventions',
    'classes',
    'people',
  ]) {
    await query.dropTable(table);
  }
}
