-- Revisions of model sheets that were written, corrected or imported here. Those that ship with the application stay in it;
-- a correction of one of them is its next revision, here. A revision is never changed: jobs refer to it.

create table sheet_revision (
  sheet_id   text not null check (sheet_id ~ '^[a-z0-9][a-z0-9-]{0,59}$'),
  revision   int not null check (revision > 0),
  body       jsonb not null check (jsonb_typeof(body) = 'object'),
  who        text not null default '' check (length(who) <= 60),
  reason     text not null default '' check (length(reason) <= 10000),
  changes    jsonb not null default '[]' check (jsonb_typeof(changes) = 'array'),
  job_id     uuid references job (id),
  event_id   uuid unique,
  revised_at timestamptz not null default now(),
  primary key (sheet_id, revision)
);

-- Photos of boards belong to sheets, not to jobs: the next job of the model needs them too.
create table sheet_picture (
  id         uuid primary key,
  mime       text not null check (length(mime) <= 60),
  width      int not null check (width > 0),
  height     int not null check (height > 0),
  data       bytea not null check (length(data) between 1 and 8388608),
  created_at timestamptz not null default now()
);

create index job_of_sheet on job (sheet_id);
create index line_confirmed on job_event (job_id) where kind = 'line-confirmed';
