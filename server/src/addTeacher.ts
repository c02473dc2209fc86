import { randomUUID } from 'node:crypto';
import { parseArgs } from 'node:util';
import { migrator } from './database/migrate';
import { connect } from './database/models';
import { hashSecret, makePassphrase } from './session/passphrase';

/** `npm run teacher:add -- --name "…" [--address …]`: adds a teacher and prints a first password. */
async function addTeacher(): Promise<void> {
  const { values } = parseArgs({ options: { name: { type: 'string' }, address: { type: 'string' } } });
  const databaseUrl = process.env['DATABASE_URL'];
  if (!values.name || !databaseUrl)
    throw new Error('Say who: npm run teacher:add -- --name "A. Teacher", with DATABASE_URL set.');
  const database = connect(databaseUrl);
  await migrator(database.sequelize).up();
  const password = makePassphrase();
  await database.models.people.create({
    id: randomUUID(),
    role: 'teacher',
    name: values.name.trim(),
    address: values.address?.trim() ?? null,
    secretHash: await hashSecret(password),
  });
  console.log(`${values.name} may sign in with the password: ${password}`);
  await database.sequelize.close();
}

addTeacher().catch((error: unknown) => {
  console.error(
    error instanceof Error && error.name === 'SequelizeUniqueConstraintError'
      ? 'That name or address is taken.'
      : error instanceof Error
        ? error.message
        : error,
  );
  process.exit(1);
});
