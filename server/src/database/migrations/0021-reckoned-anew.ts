import type { QueryInterface } from 'sequelize';

/** Databases that came past 0006 before it marked the logbooks whose ± is reckoned otherwise since. */
export async function up({ sequelize }: QueryInterface): Promise<void> {
  await sequelize.query(
    'alter table logbooks add column if not exists reckoned_anew boolean not null default false',
  );
}

/** The column goes with 0006. */
export async function down(): Promise<void> {}
