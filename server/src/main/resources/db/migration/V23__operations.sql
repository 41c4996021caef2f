-- An operation of a group: teams, lists, place and hours as the form gives them.
create table operation (
  id         bigint generated always as identity primary key,
  club_id    bigint not null references club,
  version    integer not null default 1,
  name       text not null,
  body       jsonb not null,
  removed    boolean not null default false,
  changed_by bigint not null references account,
  changed_at timestamptz not null default now()
);
create index operation_club on operation (club_id);
-- Which radios are in whose hands is asked by people.
create index custody_of_party on custody (party_id) where in_at is null;
