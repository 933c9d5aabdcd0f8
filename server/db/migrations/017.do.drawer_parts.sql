-- Tests of parts that belong to no job: what lies in a drawer, where it was bought, whether RF has accepted it.

create table drawer_part (
  id         uuid primary key,
  tested_at  timestamptz not null,
  body       jsonb not null check (jsonb_typeof(body) = 'object'),
  created_at timestamptz not null default now()
);
create index drawer_part_newest on drawer_part (tested_at desc);
