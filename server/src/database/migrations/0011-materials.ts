import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, JSONB, DATE } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });

/** The school's own materials, a row each: no name twice, however it is written. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('school_materials', {
    id: { type: UUID, primaryKey: true },
    name: needed(TEXT),
    body: needed(JSONB),
    created_at: needed(DATE),
  });
  await query.sequelize.query('create unique index school_materials_name on school_materials (lower(name))');
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('school_materials');
}
