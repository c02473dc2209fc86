import { DataTypes, type QueryInterface } from 'sequelize';

const { DATE, TEXT, UUID } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });
const of = (model: string) => ({ references: { model, key: 'id' }, onDelete: 'cascade' });

/** What benches call their teacher for. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('calls', {
    id: { type: UUID, primaryKey: true },
    class_id: { ...needed(UUID), ...of('classes') },
    person_id: { ...needed(UUID), ...of('people') },
    logbook_id: { type: UUID, ...of('logbooks') },
    reason: needed(TEXT),
    ended_at: DATE,
    created_at: needed(DATE),
  });
  await query.addIndex('calls', ['class_id', 'created_at']);
  await query.addIndex('calls', ['person_id']);
  await query.addIndex('calls', ['logbook_id']);
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('calls');
}
