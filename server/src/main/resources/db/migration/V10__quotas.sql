-- How much text a list came in with, for the quota of its group.
alter table channel_list add column size_chars bigint not null default 0;
update channel_list set size_chars = coalesce((select sum(length(entry::text)) from entry where entry.list_id = channel_list.id), 0);
create index intake_made on intake (made_at);
