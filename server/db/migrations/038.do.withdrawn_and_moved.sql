-- A job that was begun by mistake: kept with all its entries, and counted nowhere.
alter table job add column withdrawn_at timestamptz;
comment on column job.withdrawn_at is 'begun by mistake, as its entry says; null = it counts';

-- A model is changed back, not struck out: entries made under it would belong to no sheet. As core/run/validEvents has it.
create or replace view counted_event as
  select e.* from job_event e
  where not exists (select from job_event s where s.job_id = e.job_id and s.kind = 'event-struck'
      and s.body ->> 'eventId' = e.id::text
      and e.kind not in ('row-taken', 'reading-struck', 'handed-over', 'event-struck', 'model-changed'))
    and (not e.body ? 'unreleased' or coalesce((select (r.body ->> 'released')::boolean from job_event r
      where r.job_id = e.job_id and r.kind = 'entries-reviewed' and r.body -> 'eventIds' ? e.id::text
        and not exists (select from job_event s where s.job_id = r.job_id and s.kind = 'event-struck'
          and s.body ->> 'eventId' = r.id::text)
      order by r.seq desc limit 1), false));

-- By which sheet a job was measured when an entry was made.
create function sheet_at(job uuid, entry bigint, now_sheet text) returns text language sql stable as $$
  select coalesce(
    (select m.body #>> '{to,sheetId}' from job_event m
      where m.job_id = job and m.kind = 'model-changed' and m.seq < entry order by m.seq desc limit 1),
    (select m.body #>> '{from,sheetId}' from job_event m
      where m.job_id = job and m.kind = 'model-changed' order by m.seq limit 1),
    now_sheet)
$$;

-- What a set came as: before it was converted, if it was.
create function sheet_as_found(job uuid, now_sheet text) returns text language sql stable as $$
  select coalesce((select m.body #>> '{from,sheetId}' from job_event m
    where m.job_id = job and m.kind = 'model-changed' and m.body ->> 'because' = 'conversion'
    order by m.seq limit 1), now_sheet)
$$;

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
    and sheet_at(j.id, e.seq, j.sheet_id) = sheet_as_found(j.id, j.sheet_id)
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
