-- Finding a job by anything that stands in it, and a set against the others of its model, among a hundred thousand jobs.
-- The three tables hold nothing of their own: index_jobs makes them from jobs and events, for any job, at any time.

create extension if not exists pg_trgm;

create table job_search (
  job_id uuid primary key references job (id),
  number int not null,
  text   text not null
);
-- A word that many jobs hold is found from the newest on, a rare one through its trigrams.
create index job_search_newest on job_search (number desc);
create index job_search_trigrams on job_search using gin (text gin_trgm_ops);

-- What counts as found of every cell: the last reading of the as-found matrix that was not struck out.
create table found_value (
  sheet_id   text not null,
  point_id   text not null,
  quantity   text not null,
  job_number int not null,
  job_id     uuid not null references job (id),
  value_si   float8 not null
);
create unique index found_value_newest on found_value (sheet_id, point_id, quantity, job_number desc) include (value_si);
create index found_value_of_job on found_value (job_id);

create table confirmed_cause (
  sheet_id text not null,
  cause_id text not null,
  job_id   uuid not null references job (id),
  primary key (sheet_id, cause_id, job_id)
);
create index confirmed_cause_of_job on confirmed_cause (job_id);

create index job_newest on job (on_bench desc, number desc);
create index job_of_model on job (sheet_id, number desc);
create index job_event_of_kind on job_event (job_id, kind);

-- Words of an event that somebody may look for.
create function event_text(body jsonb) returns text language sql immutable parallel safe as $$
  select concat_ws(' ', body ->> 'text', body ->> 'reason', body ->> 'designator', body ->> 'partOut', body ->> 'partIn', body ->> 'part',
                   body ->> 'boughtAt', body ->> 'what', body ->> 'where', body ->> 'price', body ->> 'consequence', replace(body ->> 'causeId', '-', ' '))
$$;

create function index_jobs(wanted uuid[]) returns void language sql as $$
  delete from job_search where job_id = any(wanted);
  insert into job_search (job_id, number, text)
  select j.id, j.number, lower(concat_ws(' ', 'w-' || lpad(j.number::text, greatest(4, length(j.number::text)), '0'), j.owner, j.contact, replace(j.sheet_id, '-', ' '), j.serial,
                               j.complaint, j.accessories, j.may_do,
                               (select string_agg(event_text(e.body), ' ' order by e.seq) from job_event e where e.job_id = j.id and e.kind <> 'row-taken')))
  from job j where j.id = any(wanted);

  delete from found_value where job_id = any(wanted);
  insert into found_value (sheet_id, point_id, quantity, job_number, job_id, value_si)
  select distinct on (j.id, e.body ->> 'pointId', r.quantity) j.sheet_id, e.body ->> 'pointId', r.quantity, j.number, j.id, r.value_si
  from job j
  join job_event e on e.job_id = j.id and e.kind = 'row-taken' and e.body ->> 'phase' = 'as-found' and e.body ->> 'stepId' is null
  join reading r on r.event_id = e.id and r.bound is null
  where j.id = any(wanted)
    and not exists (select from job_event s where s.job_id = j.id and s.kind = 'reading-struck' and s.body ->> 'readingId' = r.id::text)
  order by j.id, e.body ->> 'pointId', r.quantity, e.seq desc;

  delete from confirmed_cause where job_id = any(wanted);
  insert into confirmed_cause (sheet_id, cause_id, job_id)
  select distinct j.sheet_id, e.body ->> 'causeId', j.id from job j join job_event e on e.job_id = j.id and e.kind = 'cause-confirmed' where j.id = any(wanted);
$$;

select index_jobs(array(select id from job));
