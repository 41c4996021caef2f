-- Who reaches whom is answered for before a list goes out: about a team or a person there is no entry.
alter table waiver alter column entry_id drop not null;
alter table waiver drop constraint waiver_kind_check;
alter table waiver add constraint waiver_kind_check check (kind in ('query', 'left-out', 'reach'));
alter table waiver add constraint waiver_about check (entry_id is not null or kind = 'reach');
