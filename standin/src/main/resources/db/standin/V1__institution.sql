-- The demo's clock: what it showed last. It stands while the program does not run.
CREATE TABLE clock (
    one boolean PRIMARY KEY DEFAULT true CHECK (one),
    shows timestamptz NOT NULL
);

-- The last word on each thing that has changed. A later word on one thing takes the place of the earlier.
CREATE SEQUENCE change;

CREATE TABLE seats (
    term text NOT NULL,
    pool text NOT NULL,
    enrolled integer NOT NULL CHECK (enrolled >= 0),
    waiting integer NOT NULL CHECK (waiting >= 0),
    promised integer NOT NULL CHECK (promised >= 0),
    at timestamptz NOT NULL,
    change bigint NOT NULL,
    PRIMARY KEY (term, pool)
);

CREATE INDEX seats_change ON seats (change);
