-- What is usual at an institution: its weekend, what a credit is worth, its grades and kinds, and everyday words for its subjects. Editions posted
-- before say nothing of it.
ALTER TABLE institution
  ADD COLUMN weekend text,
  ADD COLUMN credit text,
  ADD COLUMN credit_hours numeric;

ALTER TABLE subjects ADD COLUMN known_as text;

CREATE TABLE grades (
  edition_id bigint NOT NULL,
  posted_row integer NOT NULL,
  grade      text NOT NULL,
  position   integer NOT NULL,
  passes     boolean NOT NULL,
  PRIMARY KEY (edition_id, posted_row)
);

CREATE TABLE kinds (
  edition_id bigint NOT NULL,
  posted_row integer NOT NULL,
  kind       text NOT NULL,
  name       text NOT NULL,
  stands_for text NOT NULL,
  PRIMARY KEY (edition_id, posted_row)
);

GRANT SELECT, INSERT ON grades, kinds TO ${app_role};
