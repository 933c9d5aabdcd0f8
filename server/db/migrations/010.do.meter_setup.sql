-- What stands in front of an instrument, which range it is on, what kind it is, when it was last calibrated.

alter table instrument
  add column meter_kind text check (length(meter_kind) <= 20),
  add column calibrated_on date,
  add column attenuation_db float8 not null default 0 check (attenuation_db between 0 and 120),
  add column path text not null default '' check (length(path) <= 200),
  add column full_scale float8 check (full_scale > 0 and full_scale <= 5000);
