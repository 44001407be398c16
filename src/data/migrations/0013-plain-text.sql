-- Control characters, which no XML can hold and earlier versions kept, are taken out of what was typed (what was nothing else
-- is "?"); and a track's times that lie beyond any calendar are unsaid.
do $$
declare
  col record;
  stray constant text := '[\x01-\x08\x0b\x0c\x0e-\x1f\ufffe\uffff]';
  -- As JSON has them: escaped, and not behind a backslash that is itself a letter.
  escaped constant text := '(?<!\\)((?:\\\\)*)(?:\\u00(?:0[1-8be]|1[0-9a-f])|\\[bf])';
begin
  for col in
    select table_name as of, column_name as name, data_type as type from information_schema.columns
     where table_schema = current_schema() and is_generated = 'NEVER' and data_type in ('text', 'jsonb')
       and table_name in ('carry', 'entry', 'item', 'leg', 'ruling', 'settings', 'task', 'trip')
       and column_name not in ('id', 'item', 'trip', 'bag', 'instead')
  loop
    if col.type = 'text' then
      execute format(
        'update %1$I set %2$I = coalesce(nullif(btrim(regexp_replace(%2$I, $1, '''', ''g'')), ''''), ''?'') where %2$I ~ $1',
        col.of, col.name) using stray;
    else
      execute format('update %1$I set %2$I = regexp_replace(%2$I::text, $1, ''\1'', ''g'')::jsonb where %2$I::text ~ $1',
        col.of, col.name) using escaped;
    end if;
  end loop;
end $$;

update track set track = jsonb_set(track, '{points}', (
    select jsonb_agg(case when abs((point ->> 4)::float8) > 1e11 then jsonb_set(point, '{4}', 'null') else point end order by n)
      from jsonb_array_elements(track -> 'points') with ordinality as told (point, n)))
 where exists (select 1 from jsonb_array_elements(track -> 'points') point where abs((point ->> 4)::float8) > 1e11);
