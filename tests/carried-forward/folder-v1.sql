-- What a data folder of version 1 held, after its fourth migration.
insert into settings (units, school, currency, numbers) values ('{"weight":"oz","distance":"mi","temperature":"F"}', 'lean', '£', '{"body":"150 lb"}');
insert into item (id, name, kind, weight, weight_g, weighed, pieces, past, acquired, warranty, state, note) values
  ('mug', 'Mug', 'mug', '1.8 oz', 51.03, 'claimed', 1, 'new', null, null, 'active', ''),
  ('tent', 'Tent', 'tent', '2 lb 3 oz', 992.2, 'measured', 1, 'new', '2024-04-20', '2026-05-01', 'active', 'two poles'),
  ('filter', 'Filter', 'filter', null, null, 'measured', 1, 'unknown', null, null, 'active', '');
insert into trip (id, name, starts, ends, planned, cut, conditions, felt, supplies, missed, made, stay, note) values
  ('t', 'Old walk', '2024-05-01', '2024-05-12', false, false, '{"freezing":"some"}', '[]', '[]', '[]', '{}', '{mug}', '');
insert into leg (trip, n, name, distance, distance_m, terrain) values
  ('t', 1, 'Out', '30 km', 30000, 'mixed'), ('t', 2, 'Over', '20 km', 20000, 'rock'), ('t', 3, 'Back', '18 mi', 28968.192, 'road');
insert into carry (trip, item, legs, use, trouble, why, cause, place, condition, froze, note) values
  ('t', 'mug', null, 'unused', null, 'no call for it', null, '', null, null, ''),
  ('t', 'tent', '{1,3}', 'used', 'damaged', null, 'weather', 'the saddle', 3, null, 'Pole split.'),
  ('t', 'filter', '{2}', 'used', 'given away', null, null, '', null, true, '');
insert into entry (id, item, happened, what, nights, note) values ('e', 'tent', '2024-06-01', 'repair', 0, 'splinted');
insert into ruling (id, item, verb, decision, reason, ruled, trips, troubles) values ('r', 'mug', 'drop', 'overrule', 'tea', '2024-06-02', 1, 0);
