import { DataTypes, type QueryInterface } from 'sequelize';

const { JSONB, TEXT } = DataTypes;

/** Who is absent on which day, and who is kept apart when benches are drawn. */
export async function up(query: QueryInterface): Promise<void> {
  await query.addColumn('class_students', 'absent_on', { type: TEXT, allowNull: true });
  await query.addColumn('classes', 'apart', { type: JSONB, allowNull: false, defaultValue: [] });
}

export async function down(query: QueryInterface): Promise<void> {
  await query.removeColumn('classes', 'apart');
  await query.removeColumn('class_students', 'absent_on');
}
