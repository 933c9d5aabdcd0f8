-- What searches and spreads read is made behind the answer to a press, never within it: a reading must be kept at once.
-- One row a change, without a unique key: a change that commits while the index is being made keeps its own row.
create table index_pending (
  id     bigint generated always as identity primary key,
  job_id uuid not null references job (id) on delete cascade
);
