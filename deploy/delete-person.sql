-- Deletes one person for good: psql "$DATABASE_URL" -v ON_ERROR_STOP=1 -v person=… -f deploy/delete-person.sql
-- The account is the one that owns the tables; the id is the one in the table people. All or nothing.
begin;
select pg_advisory_xact_lock(hashtextextended('green beam for good', 2));
set local green_beam.for_good = 'yes';
grant update, delete on logbook_entries, logbook_photos to current_user;

create temporary table their_own on commit drop as
  select l.id from logbooks l join investigations i on i.id = l.investigation_id where i.person_id = :'person';
create temporary table their_settings on commit drop as
  select id from exercises where person_id = :'person';

delete from balance_readings where person_id = :'person'
    or entry_id in (select id from logbook_entries where reader_id = :'person' or logbook_id in (select id from their_own));
delete from logbook_entries where reader_id = :'person' or logbook_id in (select id from their_own);
delete from logbook_photos where person_id = :'person' or logbook_id in (select id from their_own);
delete from kept_calculations where person_id = :'person' or logbook_id in (select id from their_own);
delete from calls where person_id = :'person' or logbook_id in (select id from their_own);
update reviews set marks = (select coalesce(jsonb_agg(mark), '[]') from jsonb_array_elements(marks) mark where mark::text not like '%' || :'person' || '%')
 where marks::text like '%' || :'person' || '%';
delete from reviews where person_id = :'person';
delete from logbook_members where person_id = :'person' or logbook_id in (select id from their_own);
delete from logbooks where id in (select id from their_own);
delete from investigations where person_id = :'person';
delete from tries where person_id = :'person' or exercise_id in (select id from their_settings);
delete from exercises where id in (select id from their_settings);
update classes set apart = (select coalesce(jsonb_agg(pair), '[]') from jsonb_array_elements(apart) pair where not pair ? :'person')
 where apart::text like '%' || :'person' || '%';
delete from bench_group_members where person_id = :'person';
delete from sign_in_limits l using class_students s join classes c on c.id = s.class_id
 where s.person_id = :'person' and strpos(l.key, 'student:' || c.code || ':' || left(s.name_key, 120)) > 0;
delete from class_students where person_id = :'person';
delete from class_staff where person_id = :'person';
delete from known_devices where person_id = :'person';
delete from sessions where person_id = :'person';
delete from people where id = :'person';

revoke update, delete on logbook_entries, logbook_photos from current_user;
commit;
