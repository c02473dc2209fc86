import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, BOOLEAN, JSONB, DATE } = DataTypes;

/** What a teacher shows to a class, the parts of a reading, and who may have the scale described. */
export async function up(query: QueryInterface): Promise<void> {
  const to = (table: string, allowNull = false) => ({
    type: UUID,
    allowNull,
    references: { model: table, key: 'id' },
  });
  await query.createTable('shows', {
    id: { type: UUID, primaryKey: true },
    class_id: to('classes'),
    person_id: to('people'),
    kind: { type: TEXT, allowNull: false },
    model: { type: TEXT, allowNull: false },
    setting: { type: JSONB, allowNull: false },
    created_at: { type: DATE, allowNull: false },
  });
  await query.addIndex('shows', ['class_id', 'created_at']);
  await query.createTable('show_ends', {
    show_id: { ...to('shows'), primaryKey: true },
    created_at: { type: DATE, allowNull: false },
  });
  await query.addColumn('practice_settings', 'show_id', to('shows', true));
  await query.addIndex('practice_settings', ['show_id']);
  await query.addIndex('practice_settings', ['person_id', 'model']);
  await query.addColumn('attempts', 'value', { type: DataTypes.DOUBLE, allowNull: true });
  await query.addColumn('attempts', 'parts', { type: JSONB, allowNull: true });
  await query.addColumn('class_students', 'spoken', {
    type: BOOLEAN,
    allowNull: false,
    defaultValue: false,
  });
}

export async function down(query: QueryInterface): Promise<void> {
  await query.removeColumn('class_students', 'spoken');
  await query.removeColumn('attempts', 'parts');
  await query.removeColumn('attempts', 'value');
  await query.removeIndex('practice_settings', ['person_id', 'model']);
  await query.removeColumn('practice_settings', 'show_id');
  await query.dropTable('show_ends');
  await query.dropTable('shows');
}
