import { DataTypes, type QueryInterface } from 'sequelize';

/** An investigation may be one person’s own; a class says whether its students may begin one. */
export async function up(query: QueryInterface): Promise<void> {
  await query.addColumn('investigations', 'person_id', {
    type: DataTypes.UUID,
    allowNull: true,
    references: { model: 'people', key: 'id' },
  });
  await query.addIndex('investigations', ['person_id']);
  await query.addColumn('classes', 'free_logbooks', {
    type: DataTypes.BOOLEAN,
    allowNull: false,
    defaultValue: false,
  });
}

export async function down(query: QueryInterface): Promise<void> {
  // What is one person's own would be the whole class's without it.
  await query.sequelize.query('update investigations set retired = true where person_id is not null');
  await query.removeColumn('classes', 'free_logbooks');
  await query.removeColumn('investigations', 'person_id');
}
