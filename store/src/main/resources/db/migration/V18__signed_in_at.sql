-- When a student signed in last: by it is known whose things have been kept for as long as the institution wants.
ALTER TABLE person ADD COLUMN signed_in_at timestamptz NOT NULL DEFAULT now();
