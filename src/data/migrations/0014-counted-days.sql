-- How many days of a trip had rain, frost and so on, where that was counted: part of a walk is not all of it.
alter table trip add column if not exists counted jsonb not null default '{}';
