import { DataTypes, type QueryInterface } from 'sequelize';

const { DATE, JSONB, UUID } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });

/** Logbooks as they were handed back: rows are only ever added. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('reviews', {
    id: { type: UUID, primaryKey: true },
    logbook_id: { ...needed(UUID), references: { model: 'logbooks', key: 'id' }, onDelete: 'cascade' },
    person_id: { ...needed(UUID), references: { model: 'people', key: 'id' } },
    marks: needed(JSONB),
    remarks: needed(JSONB),
    created_at: needed(DATE),
  });
  await query.addIndex('reviews', ['logbook_id', 'created_at']);
  await query.addIndex('reviews', ['person_id']);
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('reviews');
}
