import { DataTypes, type QueryInterface } from 'sequelize';

/**
 * Classes that are put away; and what is only ever added may be deleted where a whole class is deleted for good, in a transaction that
 * says so.
 */
export async function up(query: QueryInterface): Promise<void> {
  await query.addColumn('classes', 'put_away_at', { type: DataTypes.DATE });
  await query.sequelize.query(`
    create or replace function refuse_change() returns trigger language plpgsql as $$
    begin
      if tg_op = 'DELETE' and current_setting('green_beam.for_good', true) = 'yes' then
        return null;
      end if;
      raise exception 'Rows of % are only ever added.', tg_table_name using errcode = 'insufficient_privilege';
    end $$`);
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query(`
    create or replace function refuse_change() returns trigger language plpgsql as $$
    begin
      raise exception 'Rows of % are only ever added.', tg_table_name using errcode = 'insufficient_privilege';
    end $$`);
  await query.removeColumn('classes', 'put_away_at');
}
