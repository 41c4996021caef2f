-- What was measured is written as every other constant is: with hyphens.
update measurement set kind = replace(kind, '_', '-');
