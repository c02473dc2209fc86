import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, DATE } = DataTypes;

/** Answers to a question to a class are told of only once it is revealed; those that were asked before were told at once. */
export async function up(query: QueryInterface): Promise<void> {
  await query.createTable('class_question_reveals', {
    question_id: {
      type: UUID,
      primaryKey: true,
      references: { model: 'class_questions', key: 'id' },
      onDelete: 'cascade',
    },
    created_at: { type: DATE, allowNull: false },
  });
  await query.sequelize.query(
    'create index exercises_person_asked on exercises (person_id, question_id) where question_id is not null',
  );
  await query.sequelize.query(
    'insert into class_question_reveals (question_id, created_at) select id, created_at from class_questions',
  );
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('drop index exercises_person_asked');
  await query.dropTable('class_question_reveals');
}
