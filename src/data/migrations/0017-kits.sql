-- Lists kept by name, with the season and the weather that they are for.
create table if not exists kit (
  id text primary key,
  name text not null,
  months jsonb not null default '[]',
  low double precision,
  weather jsonb not null default '[]',
  items jsonb not null default '[]',
  note text not null default ''
);
create or replace trigger told after insert or update or delete on kit for each statement execute function tell_change('kit');
