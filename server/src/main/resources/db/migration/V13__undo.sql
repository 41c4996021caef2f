-- A change of a list says what it did, by name; what it replaced, where that is not kept with the entries; and which change it undoes.
alter table list_change
  add column words  text not null default '',
  add column back   jsonb,
  add column undoes integer;
-- A list that was taken out again, such as a variant whose making was undone.
alter table channel_list add column removed boolean not null default false;
