-- How the errors of a reading lie about it: noise (normal) counts twice its standard uncertainty, a class its half
-- width. Without this column a reading from a recording had a smaller bound once it came back from here.

alter table reading add column spread text check (spread in ('rectangular', 'normal'));

comment on column reading.spread is 'null = rectangular, as what instruments promise';
