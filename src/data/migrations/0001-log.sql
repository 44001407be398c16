-- The log of one owner: what is owned, where it went, what happened to it. Weights in grams, lengths in metres;
-- the text beside each is what was typed, kept exactly. A null says "as the kind says" or "nobody said".

create table settings (
  one boolean primary key default true check (one),
  units jsonb not null,
  school text not null,
  currency text not null
);

create table item (
  id text primary key,
  position serial,
  name text not null,
  kind text not null,
  jobs text[],
  triggers text[],
  stow text,
  bag text references item (id) on delete set null deferrable initially deferred,
  weight text,
  weight_g float8 check (weight_g >= 0),
  weighed text not null,
  load text,
  cover boolean,
  consequence text,
  wears text,
  pieces int not null check (pieces > 0),
  past text not null,
  opening jsonb,
  acquired date,
  price float8 check (price >= 0),
  warranty date,
  expires date,
  state text not null,
  since date,
  slot text,
  note text not null
);

create table trip (
  id text primary key,
  name text not null,
  starts date not null,
  ends date not null check (ends >= starts),
  nights int check (nights >= 0),
  planned boolean not null,
  cut boolean not null,
  conditions jsonb not null,
  felt jsonb not null,
  supplies jsonb not null,
  missed jsonb not null,
  made text[] not null,
  stay text[] not null,
  note text not null
);
create index trip_by_date on trip (starts, ends, id);

create table leg (
  trip text not null references trip (id) on delete cascade,
  n int not null check (n > 0),
  name text not null,
  distance text not null,
  distance_m float8 not null check (distance_m >= 0),
  ascent text,
  ascent_m float8 check (ascent_m >= 0),
  terrain text not null,
  primary key (trip, n)
);

-- One item on one trip, and its mark once it has been debriefed (use is not null).
create table carry (
  trip text not null references trip (id) on delete cascade,
  item text not null references item (id) on delete cascade,
  legs int[],
  use text,
  trouble text,
  why text,
  cause text,
  place text not null default '',
  fix text,
  cost text,
  condition int check (condition between 0 and 5),
  reading jsonb,
  days float8 check (days >= 0),
  pieces int check (pieces >= 0),
  froze boolean,
  call text,
  note text not null default '',
  -- One letter for what says nothing beyond its use, or "no call for it" (capitals); null where there is more to say.
  -- Nearly all marks are plain: read packed by this letter, 60 000 of them take a fraction of the time of as many rows.
  plain text generated always as (
    case when legs is null and trouble is null and (why is null or (why = 'no call for it' and use is not null)) and cause is null and place = '' and fix is null
          and cost is null and condition is null and reading is null and days is null and pieces is null and froze is null and call is null and note = ''
      then case coalesce(use, '') when '' then '-'
             when 'used' then case when why is null then 's' else 'S' end
             when 'hardly' then case when why is null then 'a' else 'A' end
             else case when why is null then 'n' else 'N' end end
    end
  ) stored,
  primary key (item, trip)
);
create index carry_by_trip on carry (trip);

create table entry (
  id text primary key,
  item text not null references item (id) on delete cascade,
  happened date not null,
  what text not null,
  distance text,
  distance_m float8 check (distance_m >= 0),
  nights float8 not null check (nights >= 0),
  cost float8 check (cost >= 0),
  note text not null
);
create index entry_by_item on entry (item);

create table ruling (
  id text primary key,
  item text not null references item (id) on delete cascade,
  verb text not null,
  decision text not null,
  reason text not null,
  again int check (again > 0),
  ruled date not null,
  trips int not null,
  troubles int not null
);
create index ruling_by_item on ruling (item);
