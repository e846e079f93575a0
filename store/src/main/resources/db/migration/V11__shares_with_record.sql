-- Whether who shows a plan shows their record with it, to advisers alone.
ALTER TABLE plan_share ADD COLUMN with_record boolean NOT NULL DEFAULT false;
