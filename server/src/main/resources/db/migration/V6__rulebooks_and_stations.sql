-- What an administrator added to the rulebooks that ship: editions and private services, as the texts they were given as.
create table rulebook_addition (
  id         bigint generated always as identity primary key,
  rulebook   text not null,
  kind       text not null check (kind in ('edition', 'service')),
  name       text not null,
  title      text not null,
  body       text not null,
  note       text not null,
  put_by     bigint not null references account,
  put_at     timestamptz not null default now(),
  taken_by   bigint references account,
  taken_at   timestamptz,
  taken_note text not null default ''
);
create unique index rulebook_addition_in_force on rulebook_addition (rulebook, kind, name) where taken_at is null;

-- The rulebook of a group: what its new lists are held against, and whose licences its roster knows.
alter table club add column rulebook text not null default 'us';

-- Base and mobile stations of a group; the figures as the form gives them.
create table station (
  id         bigint generated always as identity primary key,
  club_id    bigint not null references club,
  version    integer not null default 1,
  name       text not null,
  body       jsonb not null,
  removed    boolean not null default false,
  changed_by bigint not null references account,
  changed_at timestamptz not null default now()
);
create index station_club on station (club_id);
