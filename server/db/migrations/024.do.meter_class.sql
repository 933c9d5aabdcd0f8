-- The class of a meter that is read by eye, and the scale that was in use when a reading was typed.

alter table instrument
  add column class_ratio float8 check (class_ratio > 0 and class_ratio <= 0.5),
  add column class_unknown boolean not null default false;

alter table reading
  add column full_scale float8 check (full_scale > 0);
