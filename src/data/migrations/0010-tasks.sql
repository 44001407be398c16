-- The owner's own jobs for the bench.
create table task (
  id text primary key,
  item text references item (id) on delete cascade,
  what text not null,
  place text not null default 'home',
  due date,
  done date,
  note text not null default ''
);
