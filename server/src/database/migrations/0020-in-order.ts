import type { QueryInterface } from 'sequelize';

/**
 * What counts is taken in order, one after another: each exercise has its place in its task, and no two of a person have the same one.
 * Answers that came after what was right had been told are kept as late.
 */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await sequelize.query('alter table tasks add column in_order boolean not null default false');
  await sequelize.query('alter table exercises add column place integer');
  await sequelize.query(
    'create unique index exercises_place on exercises (person_id, task_id, kind, place) where place is not null',
  );
  await sequelize.query('alter table tries add column late boolean not null default false');
}

export async function down(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await sequelize.query('alter table tries drop column late');
  await sequelize.query('drop index exercises_place');
  await sequelize.query('alter table exercises drop column place');
  await sequelize.query('alter table tasks drop column in_order');
}
