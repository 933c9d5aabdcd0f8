-- A serial number is read off a set before its model is chosen: sets are found by it alone, too.

drop index job_of_set;
create index job_of_set on job (lower(serial), sheet_id);
