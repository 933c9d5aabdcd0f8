-- The owner's copy of a handover, word for word as it was handed over: texts, language, decimal sign and all.
-- What is printed later is this, whatever the catalogue, the sheet or the choices of the workshop say by then.

create table handover_paper (
  job_id     uuid not null,
  number     int not null,
  language   text not null check (language in ('en', 'es')),
  paper      bytea not null,
  created_at timestamptz not null default now(),
  primary key (job_id, number),
  foreign key (job_id, number) references handover_issue (job_id, number)
);

comment on table handover_paper is 'the owner''s copy of a handover as PDF, as it was handed over';

create trigger handover_paper_is_frozen before update or delete on handover_paper
  for each row execute function refuse_change();
