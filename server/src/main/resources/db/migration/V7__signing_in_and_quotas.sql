-- Tries to sign in, counted before anything is looked at: by name, by address, by browser that is known, by account where a
-- code is asked. A row is forgotten when nothing was tried for a day.
drop table sign_in_failure;
create table sign_in_try (
  key           text primary key,
  tries         integer not null,
  blocked_until timestamptz not null,
  last_at       timestamptz not null
);
create index sign_in_try_last on sign_in_try (last_at);

-- Browsers from which somebody has signed in before: who guesses elsewhere does not slow them down. Only hashes are kept.
create table known_browser (
  token_hash text not null,
  account_id bigint not null references account,
  used_at    timestamptz not null default now(),
  primary key (token_hash, account_id)
);
create index known_browser_account on known_browser (account_id);

-- A name to sign in with in the one spelling that counts, and what it looks like.
alter table account add column login_key text;
alter table account add column login_looks text;
