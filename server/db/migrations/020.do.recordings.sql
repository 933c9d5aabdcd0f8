-- Recordings that figures were read from, whole, with the figures. Chunks come one by one; what is not complete is not shown.
create table recording (
  id          uuid primary key,
  job_id      uuid references job (id),
  name        text not null check (length(name) between 1 and 200),
  bytes       bigint not null check (bytes > 0),
  checksum    text check (checksum ~ '^[0-9a-f]{64}$'),
  options     jsonb not null,
  measurement jsonb not null,
  phase       text not null default '' check (phase in ('', 'as-found', 'adjusting', 'as-left', 'soak')),
  point_id    text not null default '' check (length(point_id) <= 40),
  complete    boolean not null default false,
  created_at  timestamptz not null default now()
);
create index recording_of_job on recording (job_id, created_at);

create table recording_chunk (
  recording_id uuid not null references recording (id),
  place        int not null check (place >= 0),
  data         bytea not null check (length(data) between 1 and 1048576),
  primary key (recording_id, place)
);
