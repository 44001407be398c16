-- What was carried in turn, or split, with a companion: who, and which part of it was the owner's.
alter table carry add column shared jsonb;
-- As in 0005, and what is shared is not plain.
drop index carry_told;
alter table carry drop column plain;
alter table carry add column plain text generated always as (
  case when legs is null and shared is null and troubles = '{}' and symptoms = '{}' and complaints = '[]' and exit is null and at is null and enough is null and "left" is null and frost is null
        and (why is null or (why = 'no call for it' and use is not null)) and cause is null and "where" = ''
        and fix is null and cost is null and condition is null and reading is null and days is null and pieces is null and call is null and note = ''
    then case coalesce(use, '') when '' then '-'
           when 'used' then case when why is null then 's' else 'S' end
           when 'hardly' then case when why is null then 'a' else 'A' end
           else case when why is null then 'n' else 'N' end end
  end
) stored;
create index carry_told on carry (item, trip) where plain is null;
