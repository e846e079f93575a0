-- What a date that binds means in money or on the record, in the institution's own words. Editions posted before have none.
ALTER TABLE binding_dates ADD COLUMN meaning text;
