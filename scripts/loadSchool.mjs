import { createHash, createHmac, randomBytes, randomUUID } from 'node:crypto';
import pg from 'pg';

const perBench = 3;
const perClass = 30;

/**
 * Classes of thirty with their benches, logbooks and sessions, put straight into a database that holds the demo class.
 * @returns the students and the classes, each with the cookie of a session
 */
export async function makeSchool({ students, direct, secret }) {
  const client = new pg.Client({ connectionString: direct });
  await client.connect();
  const q = async (sql, values) => (await client.query(sql, values)).rows;
  const [demo] = await q(
    `select id, (select id from class_conventions where class_id = c.id) as conventions from classes c`,
  );
  const [pin] = await q(`select body from investigations where class_id = $1 order by created_at limit 1`, [
    demo.id,
  ]);
  const [conventions] = await q(`select body from class_conventions where id = $1`, [demo.conventions]);
  const people = [];
  const sessions = [];
  const session = (person) => {
    const sid = randomBytes(24).toString('base64url');
    const signature = createHmac('sha256', secret).update(sid).digest('base64').replace(/=+$/, '');
    sessions.push([createHash('sha256').update(sid).digest('hex'), person]);
    return `green-beam=${encodeURIComponent(`s:${sid}.${signature}`)}`;
  };
  const classes = [];
  for (let nth = 0; nth * perClass < students; nth += 1) {
    const [classId, conventionsId, investigationId, teacher] = [
      randomUUID(),
      randomUUID(),
      randomUUID(),
      randomUUID(),
    ];
    await q(`insert into classes (id, code, name, created_at) values ($1, $2, $3, now())`, [
      classId,
      `LOAD${nth}`,
      `Class ${nth}`,
    ]);
    await q(
      `insert into class_conventions (id, class_id, version, body, created_at) values ($1, $2, 1, $3, now())`,
      [conventionsId, classId, conventions.body],
    );
    await q(
      `insert into investigations (id, class_id, body, family_id, version, retired, created_at) values ($1, $2, $3, $1, 1, false, now())`,
      [investigationId, classId, pin.body],
    );
    await q(
      `insert into people (id, role, name, secret_hash, created_at) values ($1, 'teacher', $2, 'x', now())`,
      [teacher, `Teacher ${nth}`],
    );
    await q(
      `insert into class_staff (class_id, person_id, role, created_at) values ($1, $2, 'owner', now())`,
      [classId, teacher],
    );
    classes.push({ id: classId, teacher, cookie: session(teacher) });
    for (let bench = 0; bench < perClass / perBench; bench += 1) {
      const [groupId, logbookId] = [randomUUID(), randomUUID()];
      await q(`insert into bench_groups (id, class_id, name, created_at) values ($1, $2, $3, now())`, [
        groupId,
        classId,
        `Bench ${bench + 1}`,
      ]);
      await q(
        `insert into logbooks (id, investigation_id, conventions_id, created_at) values ($1, $2, $3, now())`,
        [logbookId, investigationId, conventionsId],
      );
      for (let seat = 0; seat < perBench; seat += 1) {
        const id = randomUUID();
        const name = `Student ${nth}-${bench}-${seat}`;
        await q(
          `insert into people (id, role, name, secret_hash, created_at) values ($1, 'student', $2, 'x', now())`,
          [id, name],
        );
        await q(
          `insert into class_students (class_id, person_id, name_key, created_at) values ($1, $2, $3, now())`,
          [classId, id, name.toLowerCase()],
        );
        await q(`insert into bench_group_members (group_id, person_id, created_at) values ($1, $2, now())`, [
          groupId,
          id,
        ]);
        await q(`insert into logbook_members (logbook_id, person_id, created_at) values ($1, $2, now())`, [
          logbookId,
          id,
        ]);
        people.push({
          id,
          cookie: session(id),
          logbookId,
          seat,
          trial: 1,
          setting: null,
          tries: 0,
          entries: seat % 2 === 0,
        });
      }
    }
  }
  for (let at = 0; at < sessions.length; at += 500)
    await q(
      `insert into sessions (id, person_id, own_device, started_at, seen_at, created_at)
       select id, person, false, now(), now(), now() from unnest($1::text[], $2::uuid[]) as s(id, person)`,
      [
        sessions.slice(at, at + 500).map(([id]) => id),
        sessions.slice(at, at + 500).map(([, person]) => person),
      ],
    );
  await client.query('analyze');
  await client.end();
  return { people, classes };
}
