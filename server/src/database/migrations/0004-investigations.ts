import { DataTypes, type QueryInterface } from 'sequelize';

const { UUID, TEXT, INTEGER, BOOLEAN, BLOB, DATE } = DataTypes;
const needed = <T>(type: T) => ({ type, allowNull: false });

/** Rows of these are only ever added. */
const appendOnly = ['logbook_entries', 'logbook_photos'] as const;

/**
 * Investigations of any make, in versions; photographs; and entries that the database itself refuses to change: the right
 * is taken from the app’s own user, and a trigger stops everybody else.
 */
export async function up(query: QueryInterface): Promise<void> {
  const { sequelize } = query;
  await query.addColumn('investigations', 'family_id', { type: UUID, allowNull: true });
  await query.addColumn('investigations', 'version', { ...needed(INTEGER), defaultValue: 1 });
  await query.addColumn('investigations', 'retired', { ...needed(BOOLEAN), defaultValue: false });
  await sequelize.query('update investigations set family_id = id');
  await query.changeColumn('investigations', 'family_id', needed(UUID));
  await query.addIndex('investigations', ['family_id', 'version'], { unique: true });
  await convertBodies(query);
  await query.createTable('logbook_photos', {
    id: { type: UUID, primaryKey: true },
    logbook_id: { ...needed(UUID), references: { model: 'logbooks', key: 'id' } },
    person_id: { ...needed(UUID), references: { model: 'people', key: 'id' } },
    media_type: needed(TEXT),
    bytes: needed(BLOB),
    created_at: needed(DATE),
  });
  await query.addIndex('logbook_photos', ['logbook_id']);
  await sequelize.query(`
    create function refuse_change() returns trigger language plpgsql as $$
    begin
      raise exception 'Rows of % are only ever added.', tg_table_name using errcode = 'insufficient_privilege';
    end $$`);
  for (const table of appendOnly) {
    await sequelize.query(
      `create trigger only_added before update or delete or truncate on ${table} for each statement execute function refuse_change()`,
    );
    await sequelize.query(`revoke update, delete, truncate on ${table} from current_user, public`);
  }
}

export async function down(query: QueryInterface): Promise<void> {
  await query.dropTable('logbook_photos');
  await query.sequelize.query('drop trigger only_added on logbook_entries');
  await query.sequelize.query('grant update, delete, truncate on logbook_entries to current_user');
  await query.sequelize.query('drop function refuse_change()');
  await query.removeIndex('investigations', ['family_id', 'version']);
  for (const column of ['retired', 'version', 'family_id'])
    await query.removeColumn('investigations', column);
}

interface FirstBody {
  readonly columns: readonly { readonly key: string }[];
  readonly trials: number;
  readonly accepted: object | null;
}

/** The first investigations knew one method; they become tables with formulas. */
async function convertBodies({ sequelize }: QueryInterface): Promise<void> {
  const [rows] = (await sequelize.query(
    `select id, body from investigations where body ->> 'method' = 'displacement'`,
  )) as [{ id: string; body: FirstBody & Record<string, unknown> }[], unknown];
  for (const { id, body } of rows) {
    const { columns, trials, accepted } = body;
    const rest = Object.fromEntries(
      ['title', 'aim', 'object', 'kit', 'steps'].map((key) => [key, body[key]]),
    );
    const derived = (
      key: string,
      heading: string,
      symbol: string,
      unit: string,
      formula: string,
      more: object = {},
    ) => ({
      kind: 'derived',
      key,
      heading,
      symbol,
      unit,
      formula,
      by: 'app',
      ...more,
    });
    const converted = {
      format: 1,
      ...rest,
      route: '',
      tables: [
        {
          key: 'trials',
          title: 'Trials',
          trials,
          columns: [
            ...columns.map((column) => ({ kind: 'measured', ...column })),
            derived('V', 'Volume', 'V', 'mL', 'after - before', { rises: true }),
            derived('rho', 'Density', 'ρ', 'g/cm³', 'mass / V'),
          ],
        },
      ],
      results: [
        { kind: 'mean', key: 'rho', name: 'Density', symbol: 'ρ', unit: 'g/cm³', column: 'rho', accepted },
      ],
      predictions: [],
      questions: [],
      causes: [],
      bands: null,
      supplied: true,
      secondLook: 'students',
      model: null,
    };
    await sequelize.query('update investigations set body = $1::jsonb where id = $2', {
      bind: [JSON.stringify(converted), id],
    });
  }
}
