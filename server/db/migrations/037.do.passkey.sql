-- A key that a device keeps for a person, and by which he signs in under one name of this server. Of the key only the
-- public half is here: who reads this table cannot sign in by it.
create table passkey (
  id            uuid primary key,
  person_id     uuid not null references person (id),
  name          text not null check (length(name) between 1 and 60),
  host          text not null check (length(host) between 1 and 253),
  credential_id text not null unique check (length(credential_id) between 1 and 1400),
  public_key    bytea not null check (length(public_key) <= 4096),
  counter       bigint not null check (counter >= 0),
  transports    text[] not null default '{}',
  added_at      timestamptz not null default now(),
  used_at       timestamptz
);
create index passkey_of_person on passkey (person_id);

-- What a device is asked to sign: answered once, and soon.
create table passkey_challenge (
  challenge text primary key check (length(challenge) <= 200),
  person_id uuid references person (id),
  asked_at  timestamptz not null default now()
);

comment on table passkey is 'keys of devices by which people sign in, by their public half';
comment on column passkey.host is 'name of this server under which the browser keeps the key';
comment on column passkey.credential_id is 'as the device calls it, base64url';
comment on column passkey.counter is 'how often it signed, where the device counts: a copy of the key falls behind';
comment on table passkey_challenge is 'questions to devices that were not answered yet';
comment on column passkey_challenge.person_id is 'who adds a passkey; null = somebody signs in';
