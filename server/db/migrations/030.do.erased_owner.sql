-- On request of an owner what names him is erased, and the technical record stays. A frozen record is then another
-- text: its checksum is made anew, and the one that was printed stays beside it.
alter table job add column owner_erased_at timestamptz;
alter table handover_issue add column printed_checksum text check (printed_checksum ~ '^[0-9a-f]{64}$');

comment on column job.owner_erased_at is 'when the data of the owner were erased on request';
comment on column handover_issue.printed_checksum is 'as it was handed over, before the owner was erased from the record';
