-- What a trip's numbers are made of: the packed bag on a scale, water boiled; things wished for, and prices in other money.
alter table trip add column boiled float8 check (boiled >= 0);
alter table trip add column scale jsonb;
alter table item add column instead text;
alter table item add column currency text;
