-- The seed of each wish round's lottery. It is drawn before anything is wished, and never changes.
CREATE TABLE round_seed (
    term text NOT NULL,
    round text NOT NULL,
    seed text NOT NULL,
    PRIMARY KEY (term, round)
);

-- What students have said that they wish, in its order; the last word of each counts. It is only added to.
CREATE TABLE wish (
    number bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
    at timestamptz NOT NULL,
    term text NOT NULL,
    round text NOT NULL,
    student text NOT NULL,
    -- Codes of groups with blanks between them, the most wished first; empty for no wish.
    groups text NOT NULL
);

CREATE INDEX wish_of_round ON wish (term, round, student, number DESC);

CREATE FUNCTION wishes_stay() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    RAISE EXCEPTION 'What was wished and what came of it is only added to';
END $$;

CREATE TRIGGER wishes_stay BEFORE UPDATE OR DELETE ON wish FOR EACH STATEMENT EXECUTE FUNCTION wishes_stay();

-- How the places of a round were distributed: one row, once.
CREATE TABLE round_result (
    term text NOT NULL,
    round text NOT NULL,
    at timestamptz NOT NULL,
    -- The number of the last fact in the journal before it; those that registered students because of it come after.
    after bigint NOT NULL,
    -- All that it came of, and what came of it.
    file text NOT NULL,
    PRIMARY KEY (term, round)
);

CREATE TRIGGER results_stay BEFORE UPDATE OR DELETE ON round_result FOR EACH STATEMENT EXECUTE FUNCTION wishes_stay();
CREATE TRIGGER seeds_stay BEFORE UPDATE OR DELETE ON round_seed FOR EACH STATEMENT EXECUTE FUNCTION wishes_stay();
