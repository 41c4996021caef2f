-- People: who looks after the installation, second factors, invitations, links to set a password.
alter table account add column administrator boolean not null default false;
alter table account add column closed boolean not null default false;
update account set administrator = true where id = (select min(id) from account);

-- A member carries a radio: which of the roster they are.
alter table membership add column party_id bigint references party;

-- The second factor of an account: in force once a code of it was given. last_step keeps a code from being used twice.
create table second_factor (
  account_id   bigint primary key references account,
  secret       bytea not null,
  confirmed_at timestamptz,
  last_step    bigint not null default 0
);

-- Codes for when the telephone is lost; each works once. Only their hashes are kept.
create table recovery_code (
  account_id bigint not null references account,
  code_hash  text not null,
  used_at    timestamptz,
  primary key (account_id, code_hash)
);

-- One-time links into a group, and to set a password. Only hashes of them are kept.
create table invitation (
  id           bigint generated always as identity primary key,
  club_id      bigint not null references club,
  role         text not null check (role in ('coordinator', 'reviewer', 'technician', 'member')),
  party_id     bigint references party,
  name         text not null,
  token_hash   text not null unique,
  made_by      bigint not null references account,
  made_at      timestamptz not null default now(),
  expires_at   timestamptz not null,
  used_by      bigint references account,
  used_at      timestamptz,
  withdrawn_at timestamptz
);
create index invitation_club on invitation (club_id);

create table password_link (
  token_hash text primary key,
  account_id bigint not null references account,
  made_by    bigint not null references account,
  expires_at timestamptz not null,
  used_at    timestamptz
);
create index password_link_account on password_link (account_id);

-- The log: who did what, when, to what; what was before and what is after. The role under which the application works may
-- add to it and read it, nothing else.
create table log (
  id         bigint generated always as identity primary key,
  at         timestamptz not null default now(),
  club_id    bigint references club,
  account_id bigint references account,
  who        text not null,
  kind       text not null,
  subject_id bigint,
  subject    text not null,
  what       text not null,
  before     jsonb,
  after      jsonb
);
create index log_club on log (club_id, id);

-- What was recorded before there was a log.
insert into log (at, club_id, account_id, who, kind, subject_id, subject, what, after)
  select list_change.at, channel_list.club_id, list_change.account_id, account.name, 'list', channel_list.id, channel_list.name,
         'changed to version ' || list_change.version, list_change.what
  from list_change join channel_list on channel_list.id = list_change.list_id join account on account.id = list_change.account_id
  order by list_change.at;
insert into log (at, club_id, account_id, who, kind, subject_id, subject, what, before, after)
  select roster_change.at, roster_change.club_id, roster_change.account_id, account.name, 'roster', party.id, party.name,
         case when roster_change.before is null then 'added' when roster_change.after is null then 'taken out' else 'changed' end,
         roster_change.before, roster_change.after
  from roster_change join party on party.id = roster_change.party_id join account on account.id = roster_change.account_id
  order by roster_change.at;
insert into log (at, club_id, account_id, who, kind, subject_id, subject, what, before, after)
  select radio_change.at, radio_change.club_id, radio_change.account_id, account.name, 'radio', radio_change.subject_id,
         coalesce(case when radio_change.what = 'model' then (select name from radio_model where id = radio_change.subject_id)
                       else (select label from radio_unit where id = radio_change.subject_id) end, ''),
         case radio_change.what when 'out' then 'handed out' when 'in' then 'taken back' else radio_change.what || ' changed' end,
         radio_change.before, radio_change.after
  from radio_change join account on account.id = radio_change.account_id
  order by radio_change.at;
insert into log (at, club_id, account_id, who, kind, subject, what, after)
  select overlay.at, overlay.club_id, overlay.account_id, account.name, 'plan', 'Band plan', 'version ' || overlay.version || ' put in force', overlay.rows
  from overlay join account on account.id = overlay.account_id
  order by overlay.at;

-- Who is on a list just now, and at which entry.
create table list_presence (
  list_id    bigint not null references channel_list,
  account_id bigint not null references account,
  page       text not null,
  entry_id   bigint,
  seen_at    timestamptz not null default now(),
  primary key (list_id, account_id, page)
);

-- A query that somebody lets stand, by name and with a reason; for a model, an entry that stays out of it. It covers the
-- finding as it was: print tells entry and finding apart from later ones.
create table waiver (
  id         bigint generated always as identity primary key,
  list_id    bigint not null references channel_list,
  entry_id   bigint not null references entry,
  kind       text not null check (kind in ('query', 'left-out')),
  rule       text not null,
  model      text not null default '',
  print      text not null,
  number     text not null,
  name       text not null,
  message    text not null,
  reason     text not null,
  until      date,
  account_id bigint not null references account,
  at         timestamptz not null default now(),
  ended_by   bigint references account,
  ended_at   timestamptz
);
create index waiver_list on waiver (list_id);

-- A second person's word that the list may go out, for the state that they looked at.
create table sign_off (
  id         bigint generated always as identity primary key,
  list_id    bigint not null references channel_list,
  state      text not null,
  account_id bigint not null references account,
  note       text not null default '',
  at         timestamptz not null default now(),
  ended_by   bigint references account,
  ended_at   timestamptz
);
create index sign_off_list on sign_off (list_id);

-- A list as it went out: frozen, with the sum over its canonical form. Only a recall is added to it later.
create table release (
  id            bigint generated always as identity primary key,
  club_id       bigint not null references club,
  list_id       bigint not null references channel_list,
  number        integer not null,
  list_version  integer not null,
  name          text not null,
  body          text not null,
  sha256        text not null,
  state         text not null,
  released_by   bigint not null references account,
  released_at   timestamptz not null,
  signed_by     bigint not null references account,
  recalled_by   bigint references account,
  recalled_at   timestamptz,
  recall_reason text,
  unique (list_id, number)
);
create index release_club on release (club_id, id);

-- Who of the roster a release is for, and in which of its lists.
create table release_carrier (
  release_id bigint not null references release,
  variant    text not null,
  party_id   bigint not null references party,
  name       text not null,
  primary key (release_id, variant, party_id)
);

-- Radios are loaded with releases; what was loaded before there were any says so by having none.
alter table bench_run add column release_id bigint references release;
alter table bench_run add column variant text not null default '';
alter table unit_load add column release_id bigint references release;
alter table unit_load add column variant text not null default '';

-- The address of a holder's card, as it is printed on the card.
create table card_link (
  token    text primary key,
  club_id  bigint not null references club,
  party_id bigint not null references party,
  made_by  bigint not null references account,
  made_at  timestamptz not null default now(),
  ended_at timestamptz
);
create unique index card_link_party on card_link (party_id) where ended_at is null;

-- The address of a group's calendar for one account. Only its hash is kept.
create table calendar_link (
  account_id bigint not null references account,
  club_id    bigint not null references club,
  token_hash text not null unique,
  made_at    timestamptz not null default now(),
  primary key (account_id, club_id)
);

-- What is only ever added to was kept so by rules, which say nothing to who tries. The role of the server may not: that is said.
drop rule list_change_keeps on list_change;
drop rule list_change_stays on list_change;
drop rule roster_change_keeps on roster_change;
drop rule roster_change_stays on roster_change;
drop rule overlay_keeps on overlay;
drop rule overlay_stays on overlay;
drop rule entry_past_keeps on entry_past;
drop rule entry_past_stays on entry_past;
drop rule entry_order_keeps on entry_order;
drop rule entry_order_stays on entry_order;
drop rule radio_change_keeps on radio_change;
drop rule radio_change_stays on radio_change;
drop rule saved_image_keeps on saved_image;
drop rule saved_image_stays on saved_image;
drop rule unit_load_stays on unit_load;
drop rule air_check_keeps on air_check;
drop rule air_check_stays on air_check;
drop rule measurement_keeps on measurement;
drop rule measurement_stays on measurement;
drop rule custody_stays on custody;
