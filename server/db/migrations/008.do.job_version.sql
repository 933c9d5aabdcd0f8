-- Two people may edit one intake: a change names the version it was made from, and one made from an older version is refused.

alter table job add column version int not null default 1 check (version > 0);
