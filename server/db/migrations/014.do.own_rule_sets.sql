-- Rule sets of one's own. What was applied at a handover is frozen with it, so that a correction here changes nothing signed.

create table own_rule_set (
  id         text primary key check (id ~ '^OWN-[0-9A-F]{8}$'),
  version    int not null default 1 check (version > 0),
  body       jsonb not null check (jsonb_typeof(body) = 'object'),
  created_at timestamptz not null default now()
);
