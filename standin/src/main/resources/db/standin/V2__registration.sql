-- Everything that has happened to a seat or a place on a waitlist, in its order. It is only added to: all else here can be made again from it.
CREATE TABLE journal (
    number bigint PRIMARY KEY,
    at timestamptz NOT NULL,
    -- The student's submission that it came of; empty for what time or other people brought.
    submission text NOT NULL,
    kind text NOT NULL,
    student text NOT NULL,
    term text NOT NULL,
    entry text NOT NULL,
    pool text NOT NULL,
    held_for text NOT NULL,
    -- The sections that are wanted in the end: term/number, with blanks between them.
    wanted text NOT NULL,
    until timestamptz
);

CREATE FUNCTION journal_stays() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    RAISE EXCEPTION 'The journal is only added to';
END $$;

CREATE TRIGGER journal_stays BEFORE UPDATE OR DELETE ON journal FOR EACH STATEMENT EXECUTE FUNCTION journal_stays();

-- What students asked, and what they were answered: the same identifier always gets the same answers.
CREATE TABLE submission (
    student text NOT NULL,
    id text NOT NULL,
    at timestamptz NOT NULL,
    asked text NOT NULL,
    answered text NOT NULL,
    PRIMARY KEY (student, id)
);

-- Words on seats from before there was a journal are not in it.
TRUNCATE seats;
ALTER TABLE seats
    ADD COLUMN claimed integer[] NOT NULL DEFAULT '{}',
    -- As many as the pool holds, or as were in it when it was posted.
    ADD COLUMN most integer NOT NULL,
    ADD CONSTRAINT seats_not_oversold CHECK (enrolled + promised <= most);

-- Who is registered in what.
CREATE TABLE registered (
    term text NOT NULL,
    entry text NOT NULL,
    student text NOT NULL,
    PRIMARY KEY (term, entry, student)
);
