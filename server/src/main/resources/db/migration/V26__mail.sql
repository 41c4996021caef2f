-- What somebody wants to be told by mail, and where: only an address that they confirmed is written to.
create table mail_choice (
  account_id   bigint primary key references account,
  address      text,
  -- What a mail server said when it refused the address; nothing more is sent there.
  refused      text,
  -- An address that is not confirmed yet, and the hash of the code that was sent there.
  asked        text,
  asked_hash   text,
  asked_at     timestamptz,
  asked_tries  integer not null default 0,
  -- How many codes were sent on a day: nobody is flooded through this form.
  codes_on     date,
  codes        integer not null default 0,
  licences     text not null default 'daily' check (licences in ('never', 'at-once', 'daily')),
  signatures   text not null default 'at-once' check (signatures in ('never', 'at-once', 'daily')),
  recalls      text not null default 'at-once' check (recalls in ('never', 'at-once', 'daily')),
  digest_on    date
);

-- What somebody is told: once, whatever happens in between.
create table mail_item (
  id         bigint generated always as identity primary key,
  account_id bigint not null references account,
  club_id    bigint not null references club,
  kind       text not null check (kind in ('licences', 'signatures', 'recalls')),
  said       text not null,
  words      text not null,
  path       text not null,
  made_at    timestamptz not null default now(),
  next_try   timestamptz not null default now(),
  failures   integer not null default 0,
  sent_at    timestamptz,
  unique (account_id, club_id, said)
);
create index mail_item_waiting on mail_item (account_id) where sent_at is null;

-- Where an invitation was mailed to.
alter table invitation add column mailed_to text;
