-- The record of version 2: several troubles a mark, exits apart from trouble, symptoms, complaints, where it happened; legs with
-- an identity, dates, nights and conditions of their own; one weight history, ratings, parts, needs; a ruling's ground.
-- Columns are named as the model names its fields, so that one list serves reading and writing.

alter table leg add column id text;
update leg set id = 'leg-' || n;
alter table leg alter column id set not null;
alter table leg add constraint leg_id unique (trip, id);
alter table leg add column starts date;
alter table leg add column ends date;
alter table leg add column nights int check (nights >= 0);
alter table leg add column conditions jsonb not null default '{}';
alter table leg add column offers jsonb not null default '{}';

alter table trip add column offers jsonb not null default '{}';
alter table trip add column waved text[] not null default '{}';

alter table item add column weights jsonb not null default '[]';
update item set weights = jsonb_build_array(jsonb_build_object('weight', weight, 'how', weighed)) where weight is not null;
alter table item drop column weight;
alter table item drop column weight_g;
alter table item drop column weighed;
alter table item alter column warranty type text using warranty::text;
alter table item add column "warrantyCovers" text not null default 'defects';
alter table item add column altered jsonb;
alter table item add column model text;
alter table item add column "set" text;
alter table item add column needs text[] not null default '{}';
alter table item add column parts jsonb not null default '[]';
alter table item add column ratings jsonb not null default '{}';
-- Everything was new unless it was said otherwise; now it is known, unless a date says that it was new.
update item set past = 'known' where past = 'new' and acquired is null;

drop index carry_told;
alter table carry drop column plain;
alter table carry add column troubles text[] not null default '{}';
alter table carry add column symptoms text[] not null default '{}';
alter table carry add column complaints jsonb not null default '[]';
alter table carry add column exit jsonb;
alter table carry add column at jsonb;
alter table carry add column enough int check (enough >= 0);
alter table carry add column "left" float8 check ("left" between 0 and 1);
alter table carry add column frost text;
update carry set troubles = array[trouble] where trouble in ('nuisance', 'damaged', 'failed');
update carry set exit = jsonb_build_object('how', trouble, 'for', null) where trouble in ('lost', 'given away', 'sent home', 'worn out', 'thrown out');
update carry set frost = case when froze then 'froze' else 'kept' end where froze is not null;
alter table carry drop column trouble;
alter table carry drop column froze;
alter table carry rename column place to "where";
alter table carry add column carried_legs text[];
update carry set carried_legs = (select array_agg('leg-' || n order by n) from unnest(legs) n) where legs is not null;
alter table carry drop column legs;
alter table carry rename column carried_legs to legs;
-- One letter for what says nothing beyond its use, or "no call for it" (capitals); null where there is more to say.
-- Nearly all marks are plain: read packed by this letter, 60 000 of them take a fraction of the time of as many rows.
alter table carry add column plain text generated always as (
  case when legs is null and troubles = '{}' and symptoms = '{}' and complaints = '[]' and exit is null and at is null and enough is null and "left" is null and frost is null
        and (why is null or (why = 'no call for it' and use is not null)) and cause is null and "where" = ''
        and fix is null and cost is null and condition is null and reading is null and days is null and pieces is null and call is null and note = ''
    then case coalesce(use, '') when '' then '-'
           when 'used' then case when why is null then 's' else 'S' end
           when 'hardly' then case when why is null then 'a' else 'A' end
           else case when why is null then 'n' else 'N' end end
  end
) stored;
create index carry_told on carry (item, trip) where plain is null;

alter table entry rename column happened to "on";
alter table entry drop column distance_m;
alter table entry add column symptoms text[] not null default '{}';
alter table entry add column frost text;

alter table ruling rename column ruled to "on";
alter table ruling add column ground text;
