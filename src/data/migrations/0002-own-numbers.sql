-- The owner's own numbers in place of the trade's (kinds, schools, limits, ground), body weight; readings taken between trips.

alter table settings add column numbers jsonb not null default '{}';

alter table entry add column condition int check (condition between 0 and 5);
alter table entry add column reading jsonb;
