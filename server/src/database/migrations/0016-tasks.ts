import { DataTypes, type QueryInterface } from 'sequelize';

const { BOOLEAN, DATE, JSONB, UUID } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });

/** What is set to be practised. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('tasks', {
    id: { type: UUID, primaryKey: true },
    class_id: { ...needed(UUID), references: { model: 'classes', key: 'id' }, onDelete: 'cascade' },
    body: needed(JSONB),
    withdrawn: { ...needed(BOOLEAN), defaultValue: false },
    created_at: needed(DATE),
  });
  await query.addIndex('tasks', ['class_id', 'created_at']);
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('tasks');
}
