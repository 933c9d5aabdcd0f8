-- One word per meaning: the order of things of one parent is their ordinal; a place on the bench is another.
alter table reading rename column place to ordinal;
alter table attachment_chunk rename column place to ordinal;
alter table recording_chunk rename column place to ordinal;
alter table job rename column place to bench_order;

comment on column reading.ordinal is 'order within the entry';
comment on column attachment_chunk.ordinal is 'order of the pieces';
comment on column recording_chunk.ordinal is 'order of the pieces';
comment on column job.bench_order is 'order on its bench, as the technician put it';
