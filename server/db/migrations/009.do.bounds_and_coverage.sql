-- A reading may be a bound (a needle at its stop); a row names the coverage state and the controls of the set.

alter table reading add column bound text check (bound in ('at-least', 'at-most'));

update job_event set body = jsonb_set(body, '{conditions}', '{"coverage": "standard", "setting": ""}' || (body -> 'conditions'))
where kind = 'row-taken' and not (body -> 'conditions') ? 'coverage';
