-- A search that somebody wants again, by name.

create table saved_view (
  id         uuid primary key,
  name       text not null check (length(name) between 1 and 60),
  query      jsonb not null check (jsonb_typeof(query) = 'object'),
  created_at timestamptz not null default now()
);
create unique index saved_view_name on saved_view (lower(name));
