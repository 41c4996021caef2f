-- How the radios of a team, or of the whole group, shall be set besides their channels: a file of the format wache-profile/1.
create table settings_profile (
  id       bigint generated always as identity primary key,
  club_id  bigint not null references club,
  version  integer not null default 1,
  team     text not null default '',
  body     jsonb not null,
  removed  boolean not null default false
);
create unique index settings_profile_team on settings_profile (club_id, lower(team)) where not removed;

-- What one radio is to be set to otherwise than its profile says.
alter table radio_unit add column settings jsonb not null default '{}';
-- What it really has in its slots for band edges: pairs of MHz, in the order of the slots.
alter table radio_unit add column edges jsonb not null default '[]';
alter table simulated_radio add column settings jsonb not null default '{}';
-- What shall be set in a radio on the bench, and how it was found afterwards; nothing where nobody looked.
alter table bench_job add column settings jsonb not null default '{}';
alter table unit_load add column settings jsonb;
