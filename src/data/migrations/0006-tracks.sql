-- Large, and read only where it is drawn: a table of its own, so that no other page reads it.
create table track (trip text primary key references trip (id) on delete cascade, track jsonb not null);
-- What was written on the way, as typed.
alter table trip add column lines jsonb not null default '[]';
