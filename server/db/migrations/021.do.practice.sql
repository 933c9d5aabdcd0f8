-- One case or lesson of a trainee. The record of hands and set, and the review made of it, are kept whole once it is finished.
create table practice_session (
  id uuid primary key,
  trainee text not null check (length(trainee) between 1 and 60),
  design_id text not null,
  lesson_id text,
  kit_id text not null,
  scenario jsonb not null,
  job_id uuid references job (id),
  started_at timestamptz not null default now(),
  finished_at timestamptz,
  named jsonb not null default '[]',
  record jsonb,
  review jsonb
);
create index practice_session_of_trainee on practice_session (trainee, started_at desc);
