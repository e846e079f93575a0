-- Keys of an edition's tables that cost little to load: the rows are numbered as they were posted, and read in that order.
--
-- That rows name only rows that are there, and that none stands twice, is checked before anything is loaded, and nobody
-- can alter what is loaded; see docs/decisions/006. Foreign keys made loading some twenty times as slow.
DO $$
DECLARE
  loaded text[] := ARRAY(
    SELECT table_name FROM information_schema.columns
    WHERE table_schema = current_schema() AND column_name = 'posted_row');
  name text;
  key record;
BEGIN
  FOR key IN
    SELECT conrelid::regclass AS owner, conname FROM pg_constraint
    WHERE contype = 'f' AND conrelid = ANY (loaded::regclass[])
  LOOP
    EXECUTE format('ALTER TABLE %s DROP CONSTRAINT %I', key.owner, key.conname);
  END LOOP;
  FOR key IN
    SELECT conrelid::regclass AS owner, conname FROM pg_constraint
    WHERE contype = 'p' AND conrelid = ANY (loaded::regclass[])
  LOOP
    EXECUTE format('ALTER TABLE %s DROP CONSTRAINT %I', key.owner, key.conname);
    EXECUTE format('ALTER TABLE %s ADD PRIMARY KEY (edition_id, posted_row)', key.owner);
  END LOOP;
END $$;

DROP INDEX meetings_by_section;
