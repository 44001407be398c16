-- How often each part of the log has changed: a table of it, or what was carried of one thing. A process that keeps what
-- it has read and judged is told by it what to read again.
create table changed (
  part text primary key,
  times bigint not null
);

create function tell_change() returns trigger language plpgsql as $$
begin
  insert into changed (part, times) values (tg_argv[0], 1)
  on conflict (part) do update set times = changed.times + 1;
  return null;
end $$;

create function tell_carried() returns trigger language plpgsql as $$
begin
  insert into changed (part, times) select distinct 'carry ' || item, 1 from told
  on conflict (part) do update set times = changed.times + 1;
  return null;
end $$;

create trigger told after insert or update or delete on settings for each statement execute function tell_change('settings');
create trigger told after insert or update or delete on item for each statement execute function tell_change('item');
create trigger told after insert or update or delete on trip for each statement execute function tell_change('trip');
create trigger told after insert or update or delete on leg for each statement execute function tell_change('trip');
create trigger told after insert or update or delete on entry for each statement execute function tell_change('entry');
create trigger told after insert or update or delete on ruling for each statement execute function tell_change('ruling');
create trigger told after insert or update or delete on task for each statement execute function tell_change('task');

create trigger told_in after insert on carry referencing new table as told for each statement execute function tell_carried();
create trigger told_on after update on carry referencing new table as told for each statement execute function tell_carried();
create trigger told_out after delete on carry referencing old table as told for each statement execute function tell_carried();
