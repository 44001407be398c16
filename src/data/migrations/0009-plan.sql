-- What a trip to come will be like, and where its owner moved things on its list.
alter table trip add column foreseen jsonb not null default '{}';
alter table trip add column picks jsonb not null default '{}';
