-- A radio that was typed by hand, or loaded elsewhere: somebody says so. It is told apart from what was read back.
alter table unit_load alter column job_id drop not null;
alter table unit_load
  add column declared text check (declared in ('by-hand', 'elsewhere')),
  add column note text not null default '',
  add column checked jsonb not null default '[]',
  add column holds text not null default '',
  add constraint unit_load_whence check ((declared is null) = (job_id is not null));

-- What shows it: a photograph, or what the radio's own program gave out, with what differs in it. Only ever added to.
create table load_file (
  id         bigint generated always as identity primary key,
  load_id    bigint not null references unit_load,
  name       text not null,
  media      text not null check (media in ('image/jpeg', 'image/png', 'application/octet-stream')),
  content    bytea not null,
  compared   jsonb,
  account_id bigint not null references account,
  at         timestamptz not null default now()
);
create index load_file_load on load_file (load_id, id);

-- Checks that somebody made on a real radio and ticked.
alter table air_check drop constraint air_check_kind_check;
alter table air_check add constraint air_check_kind_check check (kind in ('pair', 'repeater', 'inhibit', 'key', 'lock', 'limits'));
alter table air_check add column by_hand boolean not null default false;
