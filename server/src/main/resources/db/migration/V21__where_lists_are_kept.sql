-- Where a list is kept: in use, put into the archive, or deleted (and kept, so that it can be brought back).
alter table channel_list add column shelf text not null default 'in-use' check (shelf in ('in-use', 'archived', 'deleted'));
update channel_list set shelf = 'deleted' where removed;
alter table channel_list drop column removed;
-- A list that follows another goes where that one goes.
create view kept_list as
  select own.id, own.club_id, own.name, own.version, own.context, own.extra_columns, own.changed_at, own.changed_by, own.parent_id, own.edition_seen, own.size_chars,
    case when 'deleted' in (own.shelf, parent.shelf) then 'deleted' when 'archived' in (own.shelf, parent.shelf) then 'archived' else own.shelf end as shelf
  from channel_list own left join channel_list parent on parent.id = own.parent_id;
