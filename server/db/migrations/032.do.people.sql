-- The workshop, who works in it, and who is signed in where. Without a workshop, or with sign_in false, whoever sits
-- at this machine is let in; the server then listens on this machine only.
create table workshop (
  only_one   boolean primary key default true check (only_one),
  name       text not null check (length(name) between 1 and 120),
  sign_in    boolean not null,
  set_up_at  timestamptz not null default now()
);

create table person (
  id            uuid primary key,
  name          text not null check (length(name) between 1 and 60),
  role          text not null check (role in ('owner', 'technician', 'trainee', 'reader')),
  password_hash text not null,
  pin_hash      text,
  active        boolean not null default true,
  version       int not null default 1,
  added_at      timestamptz not null default now()
);
create unique index person_name_key on person (lower(name));

-- Of a cookie only its hash is kept: who reads this table cannot sign in by it.
create table session (
  token_hash bytea primary key check (length(token_hash) = 32),
  person_id  uuid not null references person (id),
  begun_at   timestamptz not null default now(),
  seen_at    timestamptz not null default now()
);
create index session_of_person on session (person_id);

-- A browser in which somebody signed in by password: there, and only there, a PIN is enough.
create table known_browser (
  token_hash bytea not null check (length(token_hash) = 32),
  person_id  uuid not null references person (id),
  seen_at    timestamptz not null default now(),
  primary key (token_hash, person_id)
);

create table audit_entry (
  id        bigint generated always as identity primary key,
  at        timestamptz not null default now(),
  action    text not null check (length(action) <= 40),
  person_id uuid references person (id),
  name      text not null check (length(name) <= 120),
  about     text not null default '' check (length(about) <= 200),
  role      text check (role in ('owner', 'technician', 'trainee', 'reader'))
);
create trigger audit_entry_is_append_only before update or delete on audit_entry
  for each row execute function refuse_change_of_record();
create trigger audit_entry_is_never_emptied before truncate on audit_entry
  for each statement execute function refuse_change_of_record();

comment on table workshop is 'name of the workshop, and whether people sign in; one row, none before the first start';
comment on table person is 'who works here; nobody is removed, since entries carry their names';
comment on table session is 'who is signed in, by the hash of a cookie';
comment on table known_browser is 'browsers in which a PIN is enough, by the hash of a cookie';
comment on table audit_entry is 'who signed in, was added or changed; append only';
comment on column audit_entry.name is 'as the person was called, or what was typed as a name';
comment on column audit_entry.role is 'what somebody may do from then on';
