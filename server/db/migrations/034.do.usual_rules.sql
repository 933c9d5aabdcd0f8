-- Under which rule set the sets of this workshop are used as a rule; null = each model's sheet says it.
alter table workshop add column rule_set_id text check (length(rule_set_id) between 1 and 20);
comment on column workshop.rule_set_id is 'offered for a new job where it covers the channels of the model; null = as the sheet says';
