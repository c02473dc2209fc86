import { randomUUID } from 'node:crypto';
import { parseArgs } from 'node:util';
import pg from 'pg';
import { migrate } from './database/migrate';
import { connect } from './database/models';
import { createSignInLimits } from './session/limits';
import { hashSecret, makePassphrase } from './session/passphrase';
import { teacherAccount } from './session/service';

/**
 * `npm run teacher:add -- --name "…" [--address …]`: adds a teacher and prints a first password. With `--again`, a teacher who
 * is there gets a new one, and is signed out everywhere.
 */
async function addTeacher(): Promise<void> {
  const { values } = parseArgs({
    options: {
      name: { type: 'string' },
      address: { type: 'string' },
      again: { type: 'boolean', default: false },
    },
  });
  const databaseUrl = process.env['DIRECT_DATABASE_URL'] || process.env['DATABASE_URL'];
  if (!values.name || !databaseUrl)
    throw new Error('Say who: npm run teacher:add -- --name "A. Teacher", with DATABASE_URL set.');
  await migrate(databaseUrl);
  const { models, sequelize } = connect(databaseUrl);
  const name = values.name.trim();
  const password = makePassphrase();
  const secretHash = await hashSecret(password);
  if (values.again) {
    const person = await models.people.findOne({ where: { role: 'teacher', name } });
    if (!person) throw new Error(`There is no teacher “${name}”.`);
    await person.update({ secretHash, mustChange: true });
    await models.sessions.destroy({ where: { personId: person.id } });
    const limits = new pg.Pool({ connectionString: databaseUrl, max: 1 });
    await createSignInLimits(limits).forgive(teacherAccount(name));
    await limits.end();
  } else {
    await models.people.create({
      id: randomUUID(),
      role: 'teacher',
      name,
      address: values.address?.trim() ?? null,
      secretHash,
      mustChange: true,
    });
  }
  console.log(`${name} may sign in with the password: ${password}`);
  console.log('It is asked for once; then they choose their own.');
  await sequelize.close();
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
