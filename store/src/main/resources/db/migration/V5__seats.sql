-- The registrar's last word on each pool of seats. What an edition says of seats is how they stood when it was posted; a word
-- that is later holds instead.
CREATE TABLE seat_word (
  term        text NOT NULL,
  pool        text NOT NULL,
  enrolled    integer NOT NULL CHECK (enrolled >= 0),
  waiting     integer NOT NULL CHECK (waiting >= 0),
  promised    integer NOT NULL CHECK (promised >= 0),
  at          timestamptz NOT NULL,
  recorded_at timestamptz NOT NULL,
  PRIMARY KEY (term, pool)
);

CREATE INDEX seat_word_by_record ON seat_word (recorded_at);

GRANT SELECT, INSERT, UPDATE, DELETE ON seat_word TO ${app_role};
