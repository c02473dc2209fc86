import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, DATE } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });

/** Comparisons that a class keeps under a name: the address says which groups of what. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('comparisons', {
    id: { type: UUID, primaryKey: true },
    class_id: { ...needed(UUID), references: { model: 'classes', key: 'id' }, onDelete: 'cascade' },
    name: needed(TEXT),
    address: needed(TEXT),
    created_at: needed(DATE),
  });
  await query.addIndex('comparisons', ['class_id']);
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('comparisons');
}
