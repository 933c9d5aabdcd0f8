-- Where a job lies: on a bench or on the shelf (null), and in which order. Moving it is no change of its intake.

alter table job
  add column bench smallint check (bench between 1 and 9),
  add column place int not null default 0;
