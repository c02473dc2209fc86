/** A class, a bench and what they wrote, in the tables as they were after 0004. */
export const sql0004 = `
  insert into people (id, role, name, secret_hash, created_at)
    select gen_random_uuid(), 'student', 'Older ' || n, 'x', now() from generate_series(1, 30) n;
  insert into classes (id, code, name, created_at) values (gen_random_uuid(), 'OLDER', '9 Older', now());
  insert into class_students (class_id, person_id, name_key, created_at)
    select c.id, p.id, lower(p.name), now() from classes c, people p;
  insert into class_conventions (id, class_id, version, body, created_at)
    select gen_random_uuid(), id, 1, '{}', now() from classes;
  insert into investigations (id, class_id, body, family_id, version, retired, created_at)
    select i.id, c.id, '{"tables": [], "results": [], "title": "Older", "object": "pin"}', i.id, 1, false, now()
      from classes c, (select gen_random_uuid() as id) i;
  insert into logbooks (id, investigation_id, conventions_id, created_at)
    select gen_random_uuid(), i.id, v.id, now() from investigations i, class_conventions v;
  insert into logbook_members (logbook_id, person_id, created_at) select l.id, p.id, now() from logbooks l, people p;
  insert into logbook_entries (id, logbook_id, trial, "column", text, tag, reader_id, origin, written_at, created_at)
    select gen_random_uuid(), l.id, n % 200 + 1, 'mass', (200 + n % 97 / 10.0)::text, 'B-02', p.id, 'own', now(), now()
      from logbooks l, (select id from people limit 1) p, generate_series(1, 3000) n;
  insert into practice_settings (id, person_id, conventions_id, kind, model, mode, seed, setting, created_at)
    select gen_random_uuid(), p.id, v.id, 'ruler', 'ruler-mm', 'read', 1, '{"kind": "ruler", "model": "ruler-mm"}', now() from people p, class_conventions v;
  insert into attempts (id, setting_id, person_id, ordinal, text, unit, verdict, created_at)
    select gen_random_uuid(), s.id, s.person_id, 1, '1.0', 'cm', '{"outcome": "right"}', now() from practice_settings s;
`;
