-- A complaint with numbers: each claim is settled by the as-found readings, computed and never stored.

alter table job add column claims jsonb not null default '[]' check (jsonb_typeof(claims) = 'array' and jsonb_array_length(claims) <= 20);
