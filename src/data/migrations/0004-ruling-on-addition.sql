-- A ruling may be on something to add, which is no item yet.
alter table ruling alter column item drop not null;
alter table ruling add column what text;
alter table ruling add constraint ruling_on_one check ((item is null) <> (what is null));
