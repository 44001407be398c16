-- How many days of a trip had rain, frost and so on, where that was counted: part of a walk is not all of it.
alter table trip add column if not exists counted jsonb not null default '{}';
-- How far a walk that goes on had come when it was unpacked half way.
alter table trip add column if not exists sofar jsonb;
