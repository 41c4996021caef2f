-- Where a team works: a middle and how far from it, as the form gives them. The name is the team's.
create table area (
  id         bigint generated always as identity primary key,
  club_id    bigint not null references club,
  version    integer not null default 1,
  name       text not null,
  body       jsonb not null,
  removed    boolean not null default false,
  changed_by bigint not null references account,
  changed_at timestamptz not null default now()
);
create index area_club on area (club_id);
