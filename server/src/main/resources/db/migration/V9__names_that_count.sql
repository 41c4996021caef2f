-- Every account has them now (migration 8 worked them out).
alter table account alter column login_key set not null, alter column login_looks set not null;
create unique index account_spelled on account (login_key);
create index account_looks on account (login_looks);
