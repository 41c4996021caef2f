-- The radios that a list is for: a model as it is set, or one radio. Before, it was every setting that radios of a model had.
create table list_radio (
  list_id   bigint not null references channel_list,
  model_id  bigint not null references radio_model,
  lock      text not null default '',
  inhibited boolean not null default false,
  unit_id   bigint references radio_unit
);
create unique index list_radio_setting on list_radio (list_id, model_id, lock, inhibited) where unit_id is null;
create unique index list_radio_unit on list_radio (list_id, unit_id) where unit_id is not null;
insert into list_radio (list_id, model_id, lock, inhibited)
  select distinct list_model.list_id, list_model.model_id, coalesce(radio_unit.lock, ''), coalesce(radio_unit.inhibited, false)
  from list_model left join radio_unit on radio_unit.model_id = list_model.model_id and not radio_unit.removed;
drop table list_model;
