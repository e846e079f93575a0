-- The day that an institution's weeks begin with, and what must be read before one chooses in a subject. Editions posted before say neither.
ALTER TABLE institution ADD COLUMN week_begins text;

CREATE TABLE subject_notes (
  edition_id bigint NOT NULL,
  posted_row integer NOT NULL,
  note       integer NOT NULL,
  department text,
  subject    text,
  text       text NOT NULL,
  PRIMARY KEY (edition_id, posted_row)
);

GRANT SELECT, INSERT ON subject_notes TO ${app_role};
