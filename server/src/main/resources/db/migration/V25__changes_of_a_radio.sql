-- When a radio was changed last is asked for each radio in somebody's hands.
create index radio_change_subject on radio_change (subject_id, at);
