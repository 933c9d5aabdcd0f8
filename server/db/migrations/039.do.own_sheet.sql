-- The same model by a better sheet, its own or a newer revision: what was entered by the one before counts by it.
create function better_sheet(job uuid, sheet text) returns text language sql stable as $$
  with recursive line (id, seq) as (
    select sheet, 0::bigint
    union
    select m.body #>> '{to,sheetId}', m.seq from line
    join job_event m on m.job_id = job and m.kind = 'model-changed' and m.body ->> 'because' = 'own-sheet'
      and m.body #>> '{from,sheetId}' = line.id and m.seq > line.seq)
  select id from line order by seq desc limit 1
$$;

create or replace function sheet_at(job uuid, entry bigint, now_sheet text) returns text language sql stable as $$
  select better_sheet(job, coalesce(
    (select m.body #>> '{to,sheetId}' from job_event m
      where m.job_id = job and m.kind = 'model-changed' and m.seq < entry order by m.seq desc limit 1),
    (select m.body #>> '{from,sheetId}' from job_event m
      where m.job_id = job and m.kind = 'model-changed' order by m.seq limit 1),
    now_sheet))
$$;

create or replace function sheet_as_found(job uuid, now_sheet text) returns text language sql stable as $$
  select coalesce((select better_sheet(job, m.body #>> '{from,sheetId}') from job_event m
    where m.job_id = job and m.kind = 'model-changed' and m.body ->> 'because' = 'conversion'
    order by m.seq limit 1), now_sheet)
$$;
