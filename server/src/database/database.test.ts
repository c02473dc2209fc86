import { checkInvestigationFile, readStored, storedExercise } from '@green-beam/contract';
import { boltPin, drillOf, makeItem, presetNamed } from '@green-beam/core';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createServer, type AddressInfo } from 'node:net';
import type { Model, ModelStatic } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { freshDatabase } from '../../test/harness';
import { migrate } from './migrate';
import { connect } from './models';

describe('a connection', () => {
  const plansOf = async (pooled: boolean) => {
    const { sequelize } = connect(await freshDatabase(), { pooled, connections: 1 });
    for (const value of [1, 2, 3]) {
      const [rows] = await sequelize.query('select $1::int + 1 as next', { bind: [value] });
      expect(rows).toEqual([{ next: value + 1 }]);
    }
    const [plans] = await sequelize.query(
      `select (generic_plans + custom_plans)::int as used from pg_prepared_statements`,
    );
    await sequelize.close();
    return plans;
  };

  it('plans a statement once, however often it is used', async () => {
    expect(await plansOf(false)).toEqual([{ used: 3 }]);
  });

  it('plans nothing ahead where the next transaction may run on another', async () => {
    expect(await plansOf(true)).toEqual([]);
  });
});

it('a database that ends as soon as it is reached is told of, and takes nothing with it', async () => {
  const part = (kind: string, body: string) => {
    const length = Buffer.alloc(4);
    length.writeInt32BE(4 + Buffer.byteLength(body));
    return Buffer.concat([Buffer.from(kind), length, Buffer.from(body)]);
  };
  // Let in, ready, and ended: in one piece.
  const ending = Buffer.concat([
    part('R', '\0\0\0\0'),
    part('Z', 'I'),
    part('E', 'SFATAL\0C57P01\0Mterminating connection due to unexpected postmaster exit\0\0'),
  ]);
  const fake = createServer((socket) =>
    socket.on('data', () => socket.end(ending)).on('error', () => undefined),
  );
  await once(fake.listen(0, '127.0.0.1'), 'listening');
  const { sequelize } = connect(`postgres://a:b@127.0.0.1:${(fake.address() as AddressInfo).port}/none`);
  await expect(sequelize.query('select 1')).rejects.toThrow();
  await sequelize.close();
  fake.close();
});

describe('migrations', () => {
  it('make exactly the columns that the models know, and can be taken back', async () => {
    const url = await freshDatabase();
    const { sequelize, models } = connect(url);
    await migrate(url);
    for (const model of Object.values(models) as unknown as ModelStatic<Model>[]) {
      const table = await sequelize.getQueryInterface().describeTable(model.tableName);
      const attributes = Object.values(model.getAttributes());
      expect([model.tableName, Object.keys(table).sort()]).toEqual([
        model.tableName,
        attributes.map(({ field }) => field).sort(),
      ]);
      for (const { field = '', allowNull, primaryKey } of attributes) {
        expect([model.tableName, field, table[field]?.allowNull]).toEqual([
          model.tableName,
          field,
          primaryKey ? false : allowNull !== false,
        ]);
      }
    }
    await migrate(url, (all) => all.down({ to: 0 }));
    expect(await sequelize.getQueryInterface().showAllTables()).toEqual(['SequelizeMeta']);
    await migrate(url);
    await sequelize.close();
  });

  it('leave no column that names another row without an index', async () => {
    const url = await freshDatabase();
    await migrate(url);
    const { sequelize } = connect(url);
    const [unindexed] = await sequelize.query(
      `select c.conrelid::regclass::text || '.' || a.attname as line
         from pg_constraint c
         join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
        where c.contype = 'f'
          and not exists (select 1 from pg_index i where i.indrelid = c.conrelid and i.indkey[0] = c.conkey[1])`,
    );
    expect(unindexed).toEqual([]);
    await sequelize.close();
  });

  it('turn an investigation of the first kind into tables and formulas that can be used', async () => {
    const url = await freshDatabase();
    const { sequelize, models } = connect(url);
    await migrate(url, (all) => all.up({ to: '0003-drills' }));
    const id = randomUUID();
    const read = (key: string, heading: string, unit: string, tag: string) => ({
      key,
      heading,
      symbol: key,
      unit,
      tag,
    });
    const first = {
      title: 'A bolt pin',
      aim: 'Find its density.',
      object: 'bolt pin',
      method: 'displacement',
      kit: boltPin.kit,
      steps: [{ text: 'Weigh it.' }],
      columns: [
        read('mass', 'Mass', 'g', 'B-02'),
        read('before', 'Volume before', 'mL', 'C-07'),
        read('after', 'Volume after', 'mL', 'C-07'),
      ],
      trials: 3,
      accepted: { value: '8.80', unit: 'g/cm³', source: 'a reference piece' },
    };
    await sequelize.query(
      `insert into classes (id, code, name, created_at) values ($1, 'TERN', 'Tern', now())`,
      { bind: [id] },
    );
    await sequelize.query(
      `insert into investigations (id, class_id, body, created_at) values ($1, $1, $2::jsonb, now())`,
      { bind: [id, JSON.stringify(first)] },
    );
    await migrate(url);
    const row = await models.investigations.findByPk(id);
    expect(row).toMatchObject({ familyId: id, version: 1, retired: false });
    expect(checkInvestigationFile(row?.body)).toMatchObject({
      ok: true,
      investigation: { tables: [{ trials: 3 }], results: [{ accepted: first.accepted }] },
    });
    await sequelize.close();
  });

  it('write out what old entries are about, and lose nothing either way', async () => {
    const url = await freshDatabase();
    const { sequelize } = connect(url);
    await migrate(url, (all) => all.up({ to: '0005-whose-it-is' }));
    const id = randomUUID();
    const made = async (statement: string) => sequelize.query(statement, { bind: [id] });
    await made(
      `insert into people (id, role, name, secret_hash, created_at) values ($1, 'student', 'Ada Lind', 'x', now())`,
    );
    await made(`insert into classes (id, code, name, created_at) values ($1, 'TERN', 'Tern', now())`);
    await made(
      `insert into class_conventions (id, class_id, version, body, created_at) values ($1, $1, 1, '{}', now())`,
    );
    await made(
      `insert into investigations (id, class_id, body, family_id, version, retired, created_at)
       values ($1, $1, '{}', $1, 1, false, now())`,
    );
    await made(
      'insert into logbooks (id, investigation_id, conventions_id, created_at) values ($1, $1, $1, now())',
    );
    const columns = [
      'mass',
      '@standing pin',
      '@remark pin',
      '@photo pin',
      '@run pin',
      '@mean rho',
      '@answer why not',
      '@prediction guess',
      '@hand-in',
    ];
    for (const column of columns)
      await sequelize.query(
        `insert into logbook_entries
           (id, logbook_id, trial, "column", text, tag, reader_id, origin, written_at, created_at)
         values ($1, $2, 1, $3, 'x', '', $2, 'own', now(), now())`,
        { bind: [randomUUID(), id, column] },
      );
    const rows = async (what: string) => {
      const [found] = await sequelize.query(`select ${what} as line from logbook_entries order by seq`);
      return (found as { line: string }[]).map(({ line }) => line);
    };
    await migrate(url);
    expect(await rows(`kind || '|' || "of"`)).toEqual([
      'reading|mass',
      'standing|pin',
      'remark|pin',
      'photo|pin',
      'run|pin',
      'mean|rho',
      'answer|why not',
      'prediction|guess',
      'hand-in|',
    ]);
    // What was refused any change before is so still.
    await expect(made(`update logbook_entries set text = 'y' where logbook_id = $1`)).rejects.toThrow();
    await migrate(url, (all) => all.down({ to: '0006-what-it-is-about' }));
    expect(await rows('"column"')).toEqual(columns);
    await sequelize.close();
  });

  it('bring settings, drills and tries into one table each, whole, and lose nothing either way', async () => {
    const url = await freshDatabase();
    const { sequelize, models } = connect(url);
    await migrate(url, (all) => all.up({ to: '0006-what-it-is-about' }));
    const id = randomUUID();
    const [setting, drill] = [randomUUID(), randomUUID()];
    const made = async (statement: string, ...rest: unknown[]) =>
      sequelize.query(statement, { bind: [id, ...rest] });
    await made(
      `insert into people (id, role, name, secret_hash, created_at) values ($1, 'student', 'Ada Lind', 'x', now())`,
    );
    await made(`insert into classes (id, code, name, created_at) values ($1, 'TERN', 'Tern', now())`);
    await made(
      `insert into class_conventions (id, class_id, version, body, created_at) values ($1, $1, 1, $2, now())`,
      JSON.stringify(presetNamed('Half-division')),
    );
    await made(
      `insert into practice_settings (id, person_id, conventions_id, kind, model, mode, seed, setting, created_at)
       values ($2, $1, $1, 'ruler', 'ruler-mm', 'read', 5, '{"kind": "ruler", "model": "ruler-mm", "tipMm": 7}', now())`,
      setting,
    );
    await made(
      `insert into attempts (id, setting_id, person_id, ordinal, text, unit, hands, verdict, divisions_off, value, created_at)
       values ($1, $2, $1, 1, '12.4', 'mm', null, '{"outcome": "right", "remarks": []}', 0.1, 12.4, now())`,
      setting,
    );
    await made(
      `insert into drill_items (id, person_id, conventions_id, kind, level, seed, created_at)
       values ($2, $1, $1, 'sums', 1, 77, now())`,
      drill,
    );
    await made(
      `insert into drill_attempts (id, item_id, person_id, ordinal, text, unit, verdict, created_at)
       values ($2, $2, $1, 1, '9.9', 'g', '{"outcome": "wrong", "causes": [], "remarks": []}', now())`,
      drill,
    );
    const older = async () =>
      Promise.all(
        ['practice_settings', 'attempts', 'drill_items', 'drill_attempts'].map(async (table) => {
          const [rows] = await sequelize.query(`select to_jsonb(t) as line from ${table} t order by id`);
          return rows;
        }),
      );
    const before = await older();
    await migrate(url);
    const rows = await models.exercises.findAll({ order: ['kind'] });
    const [read, sums] = rows.map(({ item }) => readStored(storedExercise, item, 'exercise'));
    expect(read).toMatchObject({ of: 'setting', mode: 'read', setting: { model: 'ruler-mm', tipMm: 7 } });
    // The same item that its seed made under the rules of that class.
    const item = makeItem(drillOf('sums'), presetNamed('Half-division'), 1, 77);
    expect(sums).toEqual({ format: 1, of: 'drill', kind: 'sums', level: 1, item });
    const tries = await models.tries.findAll({ order: ['exerciseId'] });
    const answers = Object.fromEntries(tries.map(({ exerciseId, answer }) => [exerciseId, answer]));
    expect(answers).toEqual({
      [setting]: { text: '12.4', unit: 'mm', hands: null, parts: null },
      [drill]: { text: '9.9', unit: 'g' },
    });
    await migrate(url, (all) => all.down({ to: '0007-exercises' }));
    expect(await older()).toEqual(before);
    await sequelize.close();
  });
});
