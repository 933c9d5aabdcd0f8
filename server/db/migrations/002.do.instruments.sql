-- What is connected to this bench. port null = an instrument that does not talk; its readings are typed.

create table instrument (
  id         uuid primary key,
  name       text not null unique check (length(name) between 1 and 100),
  profile_id text not null,
  host       text not null default '127.0.0.1' check (length(host) between 1 and 253),
  port       int check (port between 1 and 65535),
  created_at timestamptz not null default now()
);

create function tell_instrument_changed() returns trigger language plpgsql as $$
begin
  perform pg_notify('instrument_changed', '');
  return null;
end $$;

create trigger instrument_changed after insert or update or delete on instrument
  for each statement execute function tell_instrument_changed();
