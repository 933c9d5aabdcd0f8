-- A job is more than readings: first power, inspection, questions, waits, repairs, soak, conclusions.
-- Kinds are checked by the schema that forms and requests share; here only their form.

alter table job_event drop constraint job_event_kind_check;
alter table job_event add constraint job_event_kind_form check (kind ~ '^[a-z]+(-[a-z]+)*$' and length(kind) <= 40);
