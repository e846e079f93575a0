-- Of the seats held for each group, in the order posted, those that members have claimed since they were posted.
ALTER TABLE seat_word ADD COLUMN claimed integer[] NOT NULL DEFAULT '{}';
