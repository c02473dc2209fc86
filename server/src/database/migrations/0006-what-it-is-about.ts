import type { QueryInterface } from 'sequelize';

/** Entries are refused any change, this one apart: what they are about is written out, and nothing else of them moves. */
async function rewriting({ sequelize }: QueryInterface, statement: string): Promise<void> {
  const steps = [
    'alter table logbook_entries disable trigger only_added',
    // The owner gave the right up in 0004, and takes it for this statement alone.
    'grant update on logbook_entries to current_user',
    statement,
    'revoke update on logbook_entries from current_user',
    'alter table logbook_entries enable trigger only_added',
  ];
  for (const step of steps) await sequelize.query(step);
}

/** What an entry is about, in place of columns such as `@remark fill`. */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await sequelize.query(`alter table logbook_entries add column kind text not null default 'reading'`);
  await sequelize.query(`alter table logbook_entries rename column "column" to "of"`);
  await rewriting(
    query,
    `update logbook_entries
        set kind = split_part(substr("of", 2), ' ', 1),
            "of" = case when position(' ' in "of") > 0 then substr("of", position(' ' in "of") + 1) else '' end
      where "of" like '@%'`,
  );
  await sequelize.query('alter table logbook_entries alter column kind drop default');
  // The ± of a mean was reckoned otherwise until here: whoever has stated one is told.
  await sequelize.query('alter table logbooks add column reckoned_anew boolean not null default false');
  await sequelize.query('update logbooks set reckoned_anew = true');
}

export async function down(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await rewriting(
    query,
    `update logbook_entries set "of" = rtrim('@' || kind || ' ' || "of") where kind <> 'reading'`,
  );
  await sequelize.query(`alter table logbook_entries rename column "of" to "column"`);
  await sequelize.query('alter table logbook_entries drop column kind');
  await sequelize.query('alter table logbooks drop column if exists reckoned_anew');
}
