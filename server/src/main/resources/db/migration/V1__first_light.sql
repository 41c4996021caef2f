create table account (
  id            bigint generated always as identity primary key,
  login         text not null unique,
  name          text not null,
  password_hash text not null,
  created_at    timestamptz not null default now()
);

create table club (
  id         bigint generated always as identity primary key,
  name       text not null,
  created_at timestamptz not null default now()
);

create table membership (
  account_id bigint not null references account,
  club_id    bigint not null references club,
  role       text not null check (role in ('coordinator', 'reviewer', 'technician', 'member')),
  primary key (account_id, club_id)
);

-- Failures to sign in, by login; slows down guessing. One row a login that failed.
create table sign_in_failure (
  login         text primary key,
  failures      integer not null,
  blocked_until timestamptz not null
);

-- The one-time link that makes the first account: only its hash is kept.
create table first_account_link (
  token_hash text primary key,
  made_at    timestamptz not null default now(),
  used_at    timestamptz
);

create table channel_list (
  id            bigint generated always as identity primary key,
  club_id       bigint not null references club,
  name          text not null,
  version       integer not null default 1,
  context       jsonb not null,
  extra_columns text[] not null default '{}',
  changed_at    timestamptz not null default now(),
  changed_by    bigint not null references account
);
create index channel_list_club on channel_list (club_id);

-- One entry of a list: the texts as typed. version is the list's version at which the entry last changed.
create table entry (
  id        bigint generated always as identity primary key,
  list_id   bigint not null references channel_list,
  position  integer not null,
  version   integer not null,
  removed   boolean not null default false,
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
  extras    text[] not null default '{}'
);
create index entry_list on entry (list_id, position);

-- What was changed, by whom, in which version. Only ever added to.
create table list_change (
  list_id    bigint not null references channel_list,
  version    integer not null,
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  what       jsonb not null,
  primary key (list_id, version)
);
create rule list_change_keeps as on update to list_change do instead nothing;
create rule list_change_stays as on delete to list_change do instead nothing;

-- The tables of spring-session-jdbc.
create table spring_session (
  primary_id            char(36) not null primary key,
  session_id            char(36) not null unique,
  creation_time         bigint not null,
  last_access_time      bigint not null,
  max_inactive_interval int not null,
  expiry_time           bigint not null,
  principal_name        varchar(100)
);
create index spring_session_expiry on spring_session (expiry_time);
create index spring_session_principal on spring_session (principal_name);

create table spring_session_attributes (
  session_primary_id char(36) not null references spring_session (primary_id) on delete cascade,
  attribute_name     varchar(200) not null,
  attribute_bytes    bytea not null,
  primary key (session_primary_id, attribute_name)
);
