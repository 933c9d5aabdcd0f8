-- The language that the owner reads: his paper is written in it. Empty = that of whoever prints it.

alter table job
  add column owner_language text not null default '' check (owner_language in ('', 'en', 'es'));
