import { houseRules, readStored } from '@green-beam/contract';
import { drillOf, exerciseFormat, makeItem, presetNamed, type Conventions } from '@green-beam/core';
import { QueryTypes, type QueryInterface } from 'sequelize';
import { createDrills } from './0003-drills';

/** One table for what was asked, whole, and one for what was answered, whatever it was. */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  const run = async (...statements: readonly string[]) => {
    for (const statement of statements) await sequelize.query(statement);
  };
  await run(
    'alter table shows rename to class_questions',
    'alter table show_ends rename to class_question_ends',
    'alter table class_question_ends rename column show_id to question_id',
    'alter table practice_settings rename to exercises',
    'alter table exercises rename column show_id to question_id',
    'alter table exercises alter column seed drop not null',
    'alter table exercises add column item jsonb',
    `update exercises set item = jsonb_build_object(
       'format', ${exerciseFormat}, 'of', 'setting', 'mode', mode,
       'setting', setting || jsonb_build_object('kind', kind, 'model', model))`,
    'alter table exercises alter column item set not null',
    'alter table exercises drop column setting, drop column mode, drop column model',
    'alter table attempts rename to tries',
    'alter table tries rename column setting_id to exercise_id',
    'alter table tries add column answer jsonb',
    `update tries set answer = jsonb_build_object('text', text, 'unit', unit, 'hands', hands, 'parts', parts)`,
    'alter table tries alter column answer set not null',
    'alter table tries drop column text, drop column unit, drop column hands, drop column parts',
  );
  await query.addIndex('exercises', ['person_id', 'kind']);
  await bringDrills(query);
  await query.dropTable('drill_attempts');
  await query.dropTable('drill_items');
}

const together = 500;

/** Drills were kept by their seed alone: each is made once more, by the rules that it was given under, and kept whole. */
async function bringDrills({ sequelize }: QueryInterface): Promise<void> {
  const rules = new Map<string | null, Conventions>([[null, presetNamed('Chemistry bench')]]);
  const kept = await sequelize.query<{ id: string; body: unknown }>(
    'select id, body from class_conventions where id in (select conventions_id from drill_items)',
    { type: QueryTypes.SELECT },
  );
  for (const { id, body } of kept) rules.set(id, readStored(houseRules, body, 'house rules'));
  const items = await sequelize.query<{
    id: string;
    conventions_id: string | null;
    kind: string;
    level: number;
    seed: number;
  }>('select id, conventions_id, kind, level, seed from drill_items', { type: QueryTypes.SELECT });
  for (let at = 0; at < items.length; at += together) {
    const some = items.slice(at, at + together);
    const whole = some.map(({ conventions_id, kind, level, seed }) => ({
      format: exerciseFormat,
      of: 'drill',
      kind,
      level,
      item: makeItem(drillOf(kind), rules.get(conventions_id) ?? presetNamed('Chemistry bench'), level, seed),
    }));
    await sequelize.query(
      `insert into exercises (id, person_id, conventions_id, kind, seed, item, created_at)
       select d.id, d.person_id, d.conventions_id, d.kind, d.seed, n.item, d.created_at
         from unnest($1::uuid[], $2::jsonb[]) as n(id, item) join drill_items d on d.id = n.id`,
      { bind: [some.map(({ id }) => id), whole.map((item) => JSON.stringify(item))] },
    );
  }
  await sequelize.query(
    `insert into tries (id, exercise_id, person_id, ordinal, answer, verdict, created_at)
     select id, item_id, person_id, ordinal, jsonb_build_object('text', text, 'unit', unit), verdict, created_at
       from drill_attempts`,
  );
}

/** What there was no table for before, formulas and tables with faults, goes. */
export async function down(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  const run = async (...statements: readonly string[]) => {
    for (const statement of statements) await sequelize.query(statement);
  };
  await createDrills(query);
  for (const column of ['person_id', 'conventions_id']) await query.addIndex('drill_items', [column]);
  await query.removeIndex('exercises', ['person_id', 'kind']);
  await run(
    `insert into drill_items (id, person_id, conventions_id, kind, level, seed, created_at)
     select id, person_id, conventions_id, kind, (item->>'level')::int, seed, created_at
       from exercises where item->>'of' = 'drill'`,
    `insert into drill_attempts (id, item_id, person_id, ordinal, text, unit, verdict, created_at)
     select t.id, t.exercise_id, t.person_id, t.ordinal, t.answer->>'text', t.answer->>'unit', t.verdict, t.created_at
       from tries t join exercises e on e.id = t.exercise_id where e.item->>'of' = 'drill'`,
    `delete from tries where exercise_id in (select id from exercises where item->>'of' <> 'setting')`,
    `delete from exercises where item->>'of' <> 'setting'`,
    'alter table tries add column text text, add column unit text, add column hands jsonb, add column parts jsonb',
    `update tries set text = answer->>'text', unit = answer->>'unit',
       hands = nullif(answer->'hands', 'null'::jsonb), parts = nullif(answer->'parts', 'null'::jsonb)`,
    'alter table tries alter column text set not null, alter column unit set not null, drop column answer',
    'alter table tries rename column exercise_id to setting_id',
    'alter table tries rename to attempts',
    'alter table exercises add column model text, add column mode text, add column setting jsonb',
    `update exercises set model = item->'setting'->>'model', mode = item->>'mode', setting = item->'setting'`,
    `alter table exercises alter column model set not null, alter column mode set not null,
       alter column setting set not null, alter column seed set not null, drop column item`,
    'alter table exercises rename column question_id to show_id',
    'alter table exercises rename to practice_settings',
    'alter table class_question_ends rename column question_id to show_id',
    'alter table class_question_ends rename to show_ends',
    'alter table class_questions rename to shows',
  );
  await query.addIndex('practice_settings', ['person_id', 'model']);
}
