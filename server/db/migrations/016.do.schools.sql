-- Between two schools the shop chooses; a job keeps the choices that were in force when it began.

create table shop_choice (
  school_id text primary key check (school_id ~ '^S[0-9]{2}$'),
  option_id text not null check (option_id ~ '^[a-z]$')
);
alter table job add column schools jsonb not null default '{}' check (jsonb_typeof(schools) = 'object');
