-- What the rulebook has no limit for is kept too; and a spur has a frequency of its own.
alter table measurement drop constraint measurement_verdict_check;
alter table measurement add constraint measurement_verdict_check check (verdict in ('in', 'out', 'unjudged'));
alter table measurement add column spur_mhz text not null default '';
