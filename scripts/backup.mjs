import { mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import pg from 'pg';
import { main, run, Sentence } from './run.mjs';

/**
 * `make` dumps the database, and writes beside it how many rows each table had and their checksum, of the very same moment.
 * `check` restores the newest dump into a scratch database and compares.
 */
const [what] = process.argv.slice(2);
const folder = resolve(process.env['BACKUPS'] ?? 'backups');

function needed(name) {
  const value = process.env[name];
  if (!value)
    throw new Sentence(`The environment variable ${name} is missing; docs/operations.md says what it holds.`);
  return value;
}

async function connected(url, work) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    await client.query(`set timezone to 'UTC'`);
    return await work(client);
  } finally {
    await client.end();
  }
}

/** Of every table: how many rows, and a sum over them in whatever order they come. */
async function sums(client) {
  const { rows } = await client.query(
    `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
  );
  const told = {};
  for (const { name } of rows) {
    const counted = await client.query(
      `select count(*), coalesce(sum(('x' || left(md5(t::text), 15))::bit(60)::bigint), 0) as sum from "${name}" t`,
    );
    told[name] = `${counted.rows[0].count} rows, checksum ${counted.rows[0].sum}`;
  }
  return told;
}

async function make() {
  const url = process.env['DIRECT_DATABASE_URL'] || needed('DATABASE_URL');
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const name = `green-beam-${new Date().toISOString().replace(/[:.]/g, '-')}`;
  const part = join(folder, `${name}.part`);
  await connected(url, async (client) => {
    await client.query('begin isolation level repeatable read read only');
    const { rows } = await client.query('select pg_export_snapshot() as snapshot');
    const told = await sums(client);
    run('pg_dump', ['-Fc', `--snapshot=${rows[0].snapshot}`, '-f', part, url]);
    writeFileSync(join(folder, `${name}.json`), `${JSON.stringify(told, null, 2)}\n`, { mode: 0o600 });
    renameSync(part, join(folder, `${name}.dump`));
    await client.query('rollback');
  });
  console.log(`${name}.dump is made.`);
}

async function check() {
  const scratch = needed('SCRATCH_DATABASE_URL');
  // What stands in it is thrown away: it must be nobody's.
  if (!new URL(scratch).pathname.endsWith('_check'))
    throw new Sentence(
      'SCRATCH_DATABASE_URL has to name a database whose name ends in “_check”: all that is in it is thrown away.',
    );
  let files = [];
  try {
    files = readdirSync(folder).filter((file) => file.endsWith('.dump'));
  } catch {
    // Told below: there is none.
  }
  const newest = files.sort().at(-1);
  if (!newest) throw new Sentence(`There is no backup in the folder that BACKUPS names.`);
  const wanted = JSON.parse(readFileSync(join(folder, newest.replace(/\.dump$/, '.json')), 'utf8'));
  const found = await connected(scratch, async (client) => {
    await client.query('drop owned by current_user cascade');
    await client.query('create schema if not exists public');
    run('pg_restore', ['--no-owner', '--exit-on-error', '-d', scratch, join(folder, newest)]);
    return sums(client);
  });
  const wrong = [...new Set([...Object.keys(wanted), ...Object.keys(found)])].filter(
    (table) => wanted[table] !== found[table],
  );
  if (wrong.length > 0)
    throw new Sentence(
      `${newest} does not give back what was saved:\n${wrong
        .map(
          (table) => `  ${table}: saved ${wanted[table] ?? 'nothing'}; restored ${found[table] ?? 'nothing'}`,
        )
        .join('\n')}`,
    );
  console.log(`${newest} is restored: ${Object.keys(found).length} tables, every row as it was saved.`);
}

await main(async () => {
  if (what === 'make') await make();
  else if (what === 'check') await check();
  else throw new Sentence('Say “make” or “check”.');
});
