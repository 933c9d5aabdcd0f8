-- What was handed over, frozen: the whole record as it stood, with a checksum over it. A later correction is a new issue.

create table handover_issue (
  job_id     uuid not null references job (id),
  number     int not null check (number > 0),
  event_id   uuid not null unique references job_event (id),
  checksum   text not null check (checksum ~ '^[0-9a-f]{64}$'),
  record     text not null,
  created_at timestamptz not null default now(),
  primary key (job_id, number)
);

create function refuse_change() returns trigger language plpgsql as $$
begin
  raise exception 'a handover is frozen';
end $$;

create trigger handover_issue_is_frozen before update or delete on handover_issue
  for each row execute function refuse_change();
