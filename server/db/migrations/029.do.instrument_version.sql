-- What two people change at the same time is not overwritten without a word.
alter table instrument add column version int not null default 1;

comment on column instrument.version is 'counts changes; one is made from the version that was seen';
