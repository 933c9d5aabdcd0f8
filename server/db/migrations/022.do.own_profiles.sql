-- How one instrument is asked and told, where the shipped profile does not fit it: the whole profile as data.
alter table instrument add column own_profile jsonb;
