-- An owner reads his copy of the handover by an address that only he was given. Of its secret only the hash is kept.
create table handover_link (
  id          uuid primary key,
  job_id      uuid not null references job (id),
  token_hash  bytea not null unique check (length(token_hash) = 32),
  made_by     uuid references person (id),
  made_at     timestamptz not null default now(),
  expires_at  timestamptz not null,
  times_read  int not null default 0,
  check (expires_at > made_at)
);
create index handover_link_of_job on handover_link (job_id);

comment on table handover_link is 'addresses by which owners read their copy without signing in; removed when they are ended';
comment on column handover_link.token_hash is 'SHA-256 of the secret in the address';
comment on column handover_link.made_by is 'who gave it out; null where nobody signs in';
comment on column handover_link.times_read is 'how often the copy was fetched by it';
