import { DataTypes, type QueryInterface } from 'sequelize';

/** Which of the variations of its investigation a logbook is of; null where there are none. */
export async function up(query: QueryInterface): Promise<void> {
  await query.addColumn('logbooks', 'variation', { type: DataTypes.INTEGER, allowNull: true });
}

export const down = (query: QueryInterface): Promise<void> => query.removeColumn('logbooks', 'variation');
