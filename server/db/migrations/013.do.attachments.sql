-- Photos and short voice notes of a job, in chunks, so that no row is larger than a page of memory can bear.
-- Nothing is deleted: a picture taken by mistake is put aside.

create table attachment (
  id         uuid primary key,
  job_id     uuid not null references job (id),
  kind       text not null check (kind in ('photo', 'voice')),
  name       text not null check (length(name) <= 200),
  mime       text not null check (length(mime) <= 60),
  about      text not null default '' check (length(about) <= 80),
  bytes      int not null check (bytes > 0),
  width      int check (width > 0),
  height     int check (height > 0),
  checksum   text not null check (checksum ~ '^[0-9a-f]{64}$'),
  rotation   smallint not null default 0 check (rotation in (0, 90, 180, 270)),
  arrows     jsonb not null default '[]' check (jsonb_typeof(arrows) = 'array' and jsonb_array_length(arrows) <= 20),
  thumbnail  bytea,
  version    int not null default 1,
  put_aside  boolean not null default false,
  created_at timestamptz not null default now()
);
create index attachment_of_job on attachment (job_id, created_at);

create table attachment_chunk (
  attachment_id uuid not null references attachment (id),
  place         int not null check (place >= 0),
  data          bytea not null check (length(data) between 1 and 262144),
  primary key (attachment_id, place)
);

alter table job add column box_note text not null default '' check (length(box_note) <= 10000);

-- The note found in the box is looked for like everything else.
create or replace function index_jobs(wanted uuid[]) returns void language sql as $$
  delete from job_search where job_id = any(wanted);
  insert into job_search (job_id, number, text)
  select j.id, j.number, lower(concat_ws(' ', 'w-' || lpad(j.number::text, greatest(4, length(j.number::text)), '0'), j.owner, j.contact, replace(j.sheet_id, '-', ' '), j.serial,
                               j.complaint, j.accessories, j.box_note, j.may_do,
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
