-- Models of radio of a group, and the radios themselves. A later version of any of them makes another audit.
alter table club add column radios_version integer not null default 0;

create table radio_model (
  id       bigint generated always as identity primary key,
  club_id  bigint not null references club,
  version  integer not null default 1,
  name     text not null,
  body     jsonb not null,
  removed  boolean not null default false
);
create unique index radio_model_name on radio_model (club_id, lower(name)) where not removed;

create table radio_unit (
  id         bigint generated always as identity primary key,
  club_id    bigint not null references club,
  version    integer not null default 1,
  model_id   bigint not null references radio_model,
  serial     text not null,
  label      text not null,
  lock       text not null default '',
  inhibited  boolean not null default false,
  owner      text not null default '',
  removed    boolean not null default false
);
create unique index radio_unit_serial on radio_unit (club_id, lower(serial)) where not removed;

-- Every change of models and units. Only ever added to.
create table radio_change (
  club_id    bigint not null references club,
  version    integer not null,
  what       text not null,
  subject_id bigint not null,
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  before     jsonb,
  after      jsonb,
  primary key (club_id, version)
);
create rule radio_change_keeps as on update to radio_change do instead nothing;
create rule radio_change_stays as on delete to radio_change do instead nothing;

-- The models that a list is meant for: its audit holds it against them too.
create table list_model (
  list_id  bigint not null references channel_list,
  model_id bigint not null references radio_model,
  primary key (list_id, model_id)
);

-- What the simulated radios remember.
create table simulated_radio (
  unit_id   bigint primary key references radio_unit,
  image     bytea not null,
  lock      text not null,
  inhibited boolean not null
);

-- A list put into radios, and what became of it in each.
create table bench_run (
  id           bigint generated always as identity primary key,
  club_id      bigint not null references club,
  list_id      bigint not null references channel_list,
  list_name    text not null,
  list_version integer not null,
  account_id   bigint not null references account,
  call_sign    text not null,
  started_at   timestamptz not null default now()
);
create index bench_run_club on bench_run (club_id, id);

create table bench_job (
  id         bigint generated always as identity primary key,
  run_id     bigint not null references bench_run,
  unit_id    bigint not null references radio_unit,
  unit_version integer not null,
  wanted     bytea not null,
  entries    integer not null,
  left_out   jsonb not null,
  state      text not null check (state in ('waiting', 'running', 'good', 'differs', 'failed', 'stopped')),
  stage      text not null default '',
  done       integer not null default 0,
  total      integer not null default 0,
  attempts   integer not null default 0,
  broken_off integer not null default 0,
  worker     text,
  heartbeat  timestamptz,
  kept       boolean not null default false,
  message    text not null default '',
  cure       text not null default '',
  outcome    jsonb,
  started_at timestamptz,
  ended_at   timestamptz
);
create index bench_job_run on bench_job (run_id);
create index bench_job_open on bench_job (state) where state in ('waiting', 'running');
-- A radio is on one cable at a time.
create unique index bench_job_unit on bench_job (unit_id) where state in ('waiting', 'running');

-- What was in a radio before it was written. Kept for good.
create table saved_image (
  id       bigint generated always as identity primary key,
  unit_id  bigint not null references radio_unit,
  job_id   bigint references bench_job,
  at       timestamptz not null default now(),
  lock     text not null,
  sha256   text not null,
  image    bytea not null
);
create index saved_image_unit on saved_image (unit_id, id);
create rule saved_image_keeps as on update to saved_image do instead nothing;
create rule saved_image_stays as on delete to saved_image do instead nothing;

-- What was put into a radio, since when and by whom. The newest row is what is in it.
create table unit_load (
  id           bigint generated always as identity primary key,
  unit_id      bigint not null references radio_unit,
  job_id       bigint not null references bench_job,
  list_id      bigint not null references channel_list,
  list_name    text not null,
  list_version integer not null,
  entries      integer not null,
  sha256       text not null,
  account_id   bigint not null references account,
  at           timestamptz not null default now(),
  verified     boolean not null default false
);
create index unit_load_unit on unit_load (unit_id, id);
create rule unit_load_stays as on delete to unit_load do instead nothing;

-- Checks of radios on the air: pairs and repeaters. Only ever added to.
create table air_check (
  id         bigint generated always as identity primary key,
  unit_id    bigint not null references radio_unit,
  other_id   bigint references radio_unit,
  kind       text not null check (kind in ('pair', 'repeater', 'inhibit')),
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  good       boolean not null,
  result     jsonb not null
);
create index air_check_unit on air_check (unit_id, id);
create rule air_check_keeps as on update to air_check do instead nothing;
create rule air_check_stays as on delete to air_check do instead nothing;

-- Measurements. Only ever added to; limits are those of the day.
create table measurement (
  id         bigint generated always as identity primary key,
  unit_id    bigint not null references radio_unit,
  kind       text not null,
  mhz        text not null,
  nominal    text not null,
  measured   text not null,
  verdict    text not null check (verdict in ('in', 'out')),
  sum        jsonb not null,
  message    text not null,
  source     text not null,
  account_id bigint not null references account,
  at         timestamptz not null default now()
);
create index measurement_unit on measurement (unit_id, id);
create rule measurement_keeps as on update to measurement do instead nothing;
create rule measurement_stays as on delete to measurement do instead nothing;

-- Who has which radio, with what in it.
create table custody (
  id           bigint generated always as identity primary key,
  unit_id      bigint not null references radio_unit,
  party_id     bigint not null references party,
  load_id      bigint references unit_load,
  note         text not null default '',
  out_by       bigint not null references account,
  out_at       timestamptz not null default now(),
  in_by        bigint references account,
  in_at        timestamptz,
  in_note      text not null default ''
);
create unique index custody_out on custody (unit_id) where in_at is null;
create rule custody_stays as on delete to custody do instead nothing;
