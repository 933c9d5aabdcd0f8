-- Weeks in which other work takes the bench: what is not finished before waits to the end of it.
create table blocked_period (
  id       uuid primary key,
  from_day date not null,
  to_day   date not null check (to_day >= from_day),
  why      text not null check (length(why) between 1 and 200)
);
