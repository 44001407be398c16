-- Whose a thing is and who has it, services of the owner's own, how long a wish takes to come, and what had been planned of a trip.
alter table item add column owner text;
alter table item add column "lentTo" text;
alter table item add column services jsonb not null default '[]';
alter table item add column delivery int check (delivery between 0 and 365);
alter table entry add column service text;
alter table trip add column intended jsonb;
