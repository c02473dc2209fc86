import { DataTypes, type QueryInterface } from 'sequelize';

/**
 * What counts is taken in order, one after another: each exercise has its place in its task, and no two of a person have the same one.
 * Answers that came after what was right had been told are kept as late. A logbook keeps what it stated when it was handed in, and how
 * results are worked out has a number, so that it can say why it states something else now.
 */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await sequelize.query('alter table tasks add column in_order boolean not null default false');
  await sequelize.query('alter table exercises add column place integer');
  await sequelize.query(
    'create unique index exercises_place on exercises (person_id, task_id, kind, place) where place is not null',
  );
  await sequelize.query('alter table tries add column late boolean not null default false');
  await query.createTable('handed_in', {
    entry_id: { type: DataTypes.UUID, primaryKey: true },
    logbook_id: {
      type: DataTypes.UUID,
      allowNull: false,
      references: { model: 'logbooks', key: 'id' },
      onDelete: 'cascade',
    },
    stated: { type: DataTypes.JSONB, allowNull: false },
    method: { type: DataTypes.INTEGER, allowNull: false },
    created_at: { type: DataTypes.DATE, allowNull: false },
  });
  await query.addIndex('handed_in', ['logbook_id']);
}

export async function down(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await query.dropTable('handed_in');
  await sequelize.query('alter table tries drop column late');
  await sequelize.query('drop index exercises_place');
  await sequelize.query('alter table exercises drop column place');
  await sequelize.query('alter table tasks drop column in_order');
}
