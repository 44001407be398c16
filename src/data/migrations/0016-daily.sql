-- The weather of single days of a trip, where it was told.
alter table trip add column if not exists daily jsonb not null default '[]';
