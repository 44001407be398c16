-- What was advised as the list of a trip was made: it is kept as it was said, and never judged anew.
alter table trip add column if not exists advised jsonb;
