-- What was entered stays as it was entered: a reading is struck out by another entry, never changed. Each entry
-- carries a hash over itself and the one before it on its job, so that a change behind the back of this rule shows
-- (npm run check). Entries of versions before this one have none.

alter table job_event add column chain bytea check (length(chain) = 32);

create function refuse_change_of_record() returns trigger language plpgsql as $$
begin
  raise exception 'what was entered is never changed or removed: %', tg_table_name;
end $$;

create trigger job_event_is_append_only before update or delete on job_event
  for each row execute function refuse_change_of_record();
create trigger job_event_is_never_emptied before truncate on job_event
  for each statement execute function refuse_change_of_record();
create trigger reading_is_append_only before update or delete on reading
  for each row execute function refuse_change_of_record();
create trigger reading_is_never_emptied before truncate on reading
  for each statement execute function refuse_change_of_record();
create trigger sheet_revision_is_append_only before update or delete on sheet_revision
  for each row execute function refuse_change_of_record();

-- Each was part of another index, or of none that a query asks.
drop index job_of_sheet;
drop index line_confirmed;

comment on table job is 'a set in the shop: intake, who owns it, where it stands';
comment on table job_event is 'what happened on a job, in order; append only';
comment on column job_event.chain is
  'SHA-256 over the entry and the chain of the entry before it on this job; null before version 027';
comment on table reading is 'readings of the entries of kind row-taken, SI; append only';
comment on table handover_issue is 'the record of a job as it was handed over, frozen';
comment on table instrument is 'instruments of the bench: address, profile, attenuation, class';
comment on table attachment is 'photos and voice notes of jobs';
comment on table attachment_chunk is 'their bytes';
comment on table recording is 'recordings of signals, with what was measured in them';
comment on table recording_chunk is 'their bytes';
comment on table sheet_revision is
  'revisions of model sheets that were written, corrected or imported here; append only';
comment on table sheet_picture is 'photos of boards, of sheets';
comment on table own_rule_set is 'rule sets of the workshop';
comment on table shop_choice is 'choices between schools of practice, for jobs that begin from then on';
comment on table saved_view is 'searches that were kept';
comment on table blocked_period is 'days on which other work takes the bench';
comment on table drawer_part is 'tests of parts that belong to no job';
comment on table practice_session is 'cases of the simulated sets and how they were worked';
comment on table job_search is 'text of each job for the search; made from the others';
comment on table found_value is 'as-found values for the spread of a model; made from the others';
comment on table confirmed_cause is 'confirmed causes by model; made from the others';
comment on table index_pending is 'jobs whose search text is to be made again';
