-- What a set was here for before: found by model and serial, however the serial was capitalised.

create index job_of_set on job (sheet_id, lower(serial));
