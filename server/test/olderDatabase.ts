import { sql0004 } from './older/class';
import { migrate } from '../src/database/migrate';
import pg from 'pg';

/** `tsx olderDatabase.ts URL`: a database as it was before sessions were rows, with what a class wrote then. */
const [, , url = ''] = process.argv;
await migrate(url, (all) => all.up({ to: '0004-investigations' }));
const client = new pg.Client({ connectionString: url });
await client.connect();
await client.query(sql0004);
await client.end();
