-- Zones are a field of an entry.
alter table entry add column zone text not null default '';
-- The entry of the list that this one was copied from.
alter table entry add column origin_entry bigint;

-- A copy of a list knows what it was copied from, and which version of it.
alter table channel_list add column copied_from bigint references channel_list;
alter table channel_list add column copied_version integer;

-- Every text that an entry ever had, by the version of the list in which it came. Only ever added to.
create table entry_past (
  entry_id  bigint not null references entry,
  list_id   bigint not null references channel_list,
  version   integer not null,
  number    text not null,
  name      text not null,
  rx_mhz    text not null,
  tx_mhz    text not null,
  mode      text not null,
  emission  text not null,
  power_w   text not null,
  tx_tone   text not null,
  rx_tone   text not null,
  use       text not null,
  service   text not null,
  scan      text not null,
  timeout_s text not null,
  note      text not null,
  zone      text not null,
  extras    text[] not null
);
create index entry_past_list on entry_past (list_id, version);
create rule entry_past_keeps as on update to entry_past do instead nothing;
create rule entry_past_stays as on delete to entry_past do instead nothing;

create function entry_remembered() returns trigger language plpgsql as $$
begin
  insert into entry_past select new.id, new.list_id, new.version, new.number, new.name, new.rx_mhz, new.tx_mhz, new.mode,
    new.emission, new.power_w, new.tx_tone, new.rx_tone, new.use, new.service, new.scan, new.timeout_s, new.note, new.zone,
    new.extras;
  return null;
end $$;
create trigger entry_made after insert on entry for each row execute function entry_remembered();
create trigger entry_changed after update on entry for each row when (old.version <> new.version)
  execute function entry_remembered();

-- Which entries a list has, in their order, from a version on. Only ever added to.
create table entry_order (
  list_id bigint not null references channel_list,
  version integer not null,
  entries bigint[] not null,
  primary key (list_id, version)
);
create rule entry_order_keeps as on update to entry_order do instead nothing;
create rule entry_order_stays as on delete to entry_order do instead nothing;

-- What is there already is remembered as it is now; earlier versions are not told.
insert into entry_past
  select id, list_id, (select version from channel_list where channel_list.id = entry.list_id), number, name, rx_mhz, tx_mhz,
    mode, emission, power_w, tx_tone, rx_tone, use, service, scan, timeout_s, note, zone, extras
  from entry;
insert into entry_order (list_id, version, entries)
  select id, version, (
    select coalesce(array_agg(entry.id order by entry.position, entry.id), '{}') from entry
    where entry.list_id = channel_list.id and not entry.removed)
  from channel_list;
insert into list_change (list_id, version, account_id, at, what)
  select id, version, changed_by, changed_at, '{"made": true}' from channel_list
  where not exists (select 1 from list_change where list_id = channel_list.id);

-- A table that was brought in and is not yet a list. Gone after a week.
create table intake (
  id         bigint generated always as identity primary key,
  club_id    bigint not null references club,
  account_id bigint not null references account,
  name       text not null,
  sheets     bytea not null,
  made_at    timestamptz not null default now()
);
create index intake_club on intake (club_id);

-- How tables with these headings were last read in a group.
create table column_mapping (
  club_id    bigint not null references club,
  headings   text not null,
  mapping    jsonb not null,
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  primary key (club_id, headings)
);

-- Rows of a table that made no entry, with the reason; settled when somebody made an entry of it or set it aside for good.
create table row_aside (
  id       bigint generated always as identity primary key,
  list_id  bigint not null references channel_list,
  source   text not null,
  line     integer not null,
  cells    text[] not null,
  reason   text not null,
  settled  boolean not null default false
);
create index row_aside_list on row_aside (list_id);

-- The directory's line that an entry was added from, as it was then.
create table entry_origin (
  entry_id  bigint primary key references entry,
  directory text not null,
  line      jsonb not null,
  at        timestamptz not null default now()
);

-- What a group knows of tones: those that neighbours use, and the tables of its radio models.
create table tone_knowledge (
  club_id    bigint primary key references club,
  version    integer not null,
  body       jsonb not null,
  account_id bigint not null references account,
  at         timestamptz not null default now()
);
