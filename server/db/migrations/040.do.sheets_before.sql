-- A better sheet that was given up again: what was entered by the one before counts by that one, as core/run/modelChange has it.
create function sheets_before(job uuid, sheet text) returns setof text language sql stable as $$
  with recursive line (id, seq) as (
    select sheet, null::bigint
    union
    select m.body #>> '{from,sheetId}', m.seq from line
    join job_event m on m.job_id = job and m.kind = 'model-changed' and m.body ->> 'because' = 'own-sheet'
      and m.body #>> '{to,sheetId}' = line.id and (line.seq is null or m.seq < line.seq))
  select id from line
$$;

create or replace function sheet_at(job uuid, entry bigint, now_sheet text) returns text language sql stable as $$
  select coalesce(
    (select m.body #>> '{to,sheetId}' from job_event m
      where m.job_id = job and m.kind = 'model-changed' and m.seq < entry order by m.seq desc limit 1),
    (select m.body #>> '{from,sheetId}' from job_event m
      where m.job_id = job and m.kind = 'model-changed' order by m.seq limit 1),
    now_sheet)
$$;

create or replace function sheet_as_found(job uuid, now_sheet text) returns text language sql stable as $$
  select coalesce((select m.body #>> '{from,sheetId}' from job_event m
    where m.job_id = job and m.kind = 'model-changed' and m.body ->> 'because' = 'conversion'
    order by m.seq limit 1), now_sheet)
$$;

drop function better_sheet(uuid, text);

create or replace function index_jobs(wanted uuid[]) returns void language sql as $$
  delete from job_search where job_id = any(wanted);
  insert into job_search (job_id, number, text)
  select j.id, j.number, lower(concat_ws(' ', 'w-' || lpad(j.number::text, greatest(4, length(j.number::text)), '0'), j.owner, j.contact, replace(j.sheet_id, '-', ' '), j.serial,
                               j.complaint, j.accessories, j.box_note, j.may_do,
                               (select string_agg(event_text(e.body), ' ' order by e.seq) from job_event e where e.job_id = j.id and e.kind <> 'row-taken')))
  from job j where j.id = any(wanted);

  delete from found_value where job_id = any(wanted);
  insert into found_value (sheet_id, point_id, quantity, job_number, job_id, value_si)
  select distinct on (j.id, e.body ->> 'pointId', r.quantity) sheet_as_found(j.id, j.sheet_id), e.body ->> 'pointId', r.quantity, j.number, j.id, r.value_si
  from job j
  join counted_event e on e.job_id = j.id and e.kind = 'row-taken' and e.body ->> 'phase' = 'as-found' and e.body ->> 'stepId' is null
  join reading r on r.event_id = e.id and r.bound is null
  where j.id = any(wanted) and j.withdrawn_at is null
    and sheet_at(j.id, e.seq, j.sheet_id) in (select sheets_before(j.id, sheet_as_found(j.id, j.sheet_id)))
    and not exists (select from practice_session p where p.job_id = j.id)
    and not exists (select from counted_event s where s.job_id = j.id and s.kind = 'reading-struck' and s.body ->> 'readingId' = r.id::text)
  order by j.id, e.body ->> 'pointId', r.quantity, e.seq desc;

  delete from confirmed_cause where job_id = any(wanted);
  insert into confirmed_cause (sheet_id, cause_id, job_id)
  select distinct sheet_as_found(j.id, j.sheet_id), e.body ->> 'causeId', j.id
  from job j join counted_event e on e.job_id = j.id and e.kind = 'cause-confirmed'
  where j.id = any(wanted) and j.withdrawn_at is null
    and not exists (select from practice_session p where p.job_id = j.id);
$$;
