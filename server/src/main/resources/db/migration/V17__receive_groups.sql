-- The groups for which a DMR radio opens beside the one that it calls.
alter table entry add column receive_group text not null default '';
alter table entry_past add column receive_group text not null default '';

create or replace function entry_remembered() returns trigger language plpgsql as $$
begin
  insert into entry_past (entry_id, list_id, version, number, name, rx_mhz, tx_mhz, mode, emission, power_w, tx_tone, rx_tone,
    use, service, scan, timeout_s, note, zone, extras, colour_code, time_slot, talk_group, contact, access_code, receive_group)
  values (new.id, new.list_id, new.version, new.number, new.name, new.rx_mhz, new.tx_mhz, new.mode, new.emission,
    new.power_w, new.tx_tone, new.rx_tone, new.use, new.service, new.scan, new.timeout_s, new.note, new.zone, new.extras,
    new.colour_code, new.time_slot, new.talk_group, new.contact, new.access_code,
    new.receive_group);
  return null;
end $$;
