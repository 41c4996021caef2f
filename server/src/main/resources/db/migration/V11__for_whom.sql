-- For whom a radio is written, with which part of the release, and what was decided about entries that they may not key.
alter table bench_job
  add column party_id   bigint references party,
  add column variant    text not null default '',
  add column not_theirs text not null default '' check (not_theirs in ('', 'listen', 'leave-out')),
  add column talks      integer[],
  add column listens    integer[];
update bench_job set variant = bench_run.variant from bench_run where bench_run.id = bench_job.run_id;

-- The places in the list of the entries that a radio talks and only listens on; null for what was loaded before this was kept.
alter table unit_load
  add column party_id bigint references party,
  add column talks    integer[],
  add column listens  integer[];
