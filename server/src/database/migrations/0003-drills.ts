import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, INTEGER, JSONB, DATE } = DataTypes;

const to = (table: string, allowNull = false) => ({
  type: UUID,
  allowNull,
  references: { model: table, key: 'id' },
});
const needed = <T>(type: T) => ({ type, allowNull: false });

/** Drills of the written-number workshop, and calculations that are kept in a logbook. */
export async function up(query: QueryInterface): Promise<void> {
  await createDrills(query);
  await query.createTable('kept_calculations', {
    id: { type: UUID, primaryKey: true },
    logbook_id: to('logbooks'),
    person_id: to('people'),
    expression: needed(TEXT),
    result: needed(TEXT),
    created_at: needed(DATE),
  });
  await query.addIndex('kept_calculations', ['logbook_id']);
}

/** The tables of drills, for here and for whoever goes back behind the tables that took their place. */
export async function createDrills(query: QueryInterface): Promise<void> {
  await query.createTable('drill_items', {
    id: { type: UUID, primaryKey: true },
    person_id: to('people'),
    conventions_id: to('class_conventions', true),
    kind: needed(TEXT),
    level: needed(INTEGER),
    seed: needed(INTEGER),
    created_at: needed(DATE),
  });
  await query.createTable('drill_attempts', {
    id: { type: UUID, primaryKey: true },
    item_id: to('drill_items'),
    person_id: to('people'),
    ordinal: needed(INTEGER),
    text: needed(TEXT),
    unit: needed(TEXT),
    verdict: needed(JSONB),
    created_at: needed(DATE),
  });
  await query.addIndex('drill_attempts', ['item_id', 'ordinal'], { unique: true });
  await query.addIndex('drill_attempts', ['person_id', 'created_at']);
}

export async function down(query: QueryInterface): Promise<void> {
  for (const table of ['kept_calculations', 'drill_attempts', 'drill_items']) await query.dropTable(table);
}
