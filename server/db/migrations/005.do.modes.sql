-- Conditions of a row name the mode, the audio drive and the generator level. Rows taken before were all of FM sets.

update job_event set body = jsonb_set(body, '{conditions}', '{"mode": "FM", "toneV": null, "inputV": null}' || (body -> 'conditions'))
where kind = 'row-taken' and not (body -> 'conditions') ? 'mode';
