import { DataTypes, type QueryInterface } from 'sequelize';

/**
 * What was read or worked for set work says so, with how often it may be answered there, and whether its answers are held back. What holds
 * them back, a question or a task, has one name, and is told of in one table.
 */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await query.createTable('reveals', {
    of_id: { type: DataTypes.UUID, primaryKey: true },
    created_at: { type: DataTypes.DATE, allowNull: false },
  });
  await sequelize.query(
    'insert into reveals (of_id, created_at) select question_id, created_at from class_question_reveals',
  );
  await sequelize.query('drop index exercises_person_asked');
  await query.dropTable('class_question_reveals');
  await sequelize.query(`
    alter table exercises
      add column task_id uuid references tasks (id) on delete set null,
      add column tries_allowed integer,
      add column held_by uuid`);
  await sequelize.query('update exercises set held_by = question_id where question_id is not null');
  await sequelize.query(
    'create index exercises_person_held on exercises (person_id, held_by) where held_by is not null',
  );
  await query.addIndex('exercises', ['person_id', 'created_at']);
  await sequelize.query(
    'create index exercises_of_task on exercises (task_id, person_id) where task_id is not null',
  );
}

export async function down(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await query.removeIndex('exercises', ['person_id', 'created_at']);
  await sequelize.query(`
    alter table exercises drop column held_by, drop column tries_allowed, drop column task_id`);
  await query.createTable('class_question_reveals', {
    question_id: {
      type: DataTypes.UUID,
      primaryKey: true,
      references: { model: 'class_questions', key: 'id' },
      onDelete: 'cascade',
    },
    created_at: { type: DataTypes.DATE, allowNull: false },
  });
  await sequelize.query(`
    insert into class_question_reveals (question_id, created_at)
      select of_id, created_at from reveals where of_id in (select id from class_questions)`);
  await sequelize.query(
    'create index exercises_person_asked on exercises (person_id, question_id) where question_id is not null',
  );
  await query.dropTable('reveals');
}
