-- What a group's lists are judged by: each change of it is a new version, so that an audit that is kept is never stale.
alter table club add column roster_version integer not null default 1;
alter table club add column overlay_version integer not null default 0;

-- A person, a family or a firm, with their licences in the form of a context file (wache-context/1, "licences").
create table party (
  id       bigint generated always as identity primary key,
  club_id  bigint not null references club,
  kind     text not null check (kind in ('person', 'family', 'firm')),
  name     text not null,
  note     text not null default '',
  teams    text[] not null default '{}',
  licences jsonb not null default '[]',
  version  integer not null default 1,
  removed  boolean not null default false
);
create index party_club on party (club_id);
create unique index party_name on party (club_id, lower(name)) where not removed;

-- What was changed in a roster, by whom, in which version: the party before and after. Only ever added to.
create table roster_change (
  club_id    bigint not null references club,
  version    integer not null,
  party_id   bigint not null references party,
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  before     jsonb,
  after      jsonb,
  primary key (club_id, version)
);
create rule roster_change_keeps as on update to roster_change do instead nothing;
create rule roster_change_stays as on delete to roster_change do instead nothing;

-- Who carries a list, chosen from the roster: a party, or everyone of a team.
create table list_carrier (
  list_id  bigint not null references channel_list,
  party_id bigint references party,
  team     text,
  check ((party_id is null) <> (team is null))
);
create unique index list_carrier_party on list_carrier (list_id, party_id) where party_id is not null;
create unique index list_carrier_team on list_carrier (list_id, team) where team is not null;

-- A group's own rows of the band plan, every version of them. Only ever added to.
create table overlay (
  club_id    bigint not null references club,
  version    integer not null,
  rows       jsonb not null,
  note       text not null,
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  primary key (club_id, version)
);
create rule overlay_keeps as on update to overlay do instead nothing;
create rule overlay_stays as on delete to overlay do instead nothing;

-- A variant follows its parent: its entries are those of the parent, with what its carriers may not key made listening.
alter table channel_list add column parent_id bigint references channel_list;
-- The edition of the rulebook under which somebody last looked at the list.
alter table channel_list add column edition_seen text;
