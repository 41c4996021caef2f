-- The stage of a radio's work was kept in words for people; it is kept as the constant that it is.
update bench_job set stage = case stage
  when 'looking who is there' then 'identify'
  when 'reading what is in it' then 'read'
  when 'setting its lock' then 'lock'
  when 'writing' then 'write'
  when 'closing' then 'close'
  when 'reading back' then 'read-back'
  when 'comparing' then 'compare'
  when 'key check' then 'key-check'
  else '' end;
