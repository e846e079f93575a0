-- What students have handed over and the registrar has not answered yet. It is asked again until it is answered: a submission has a name, and is
-- decided once.
CREATE TABLE submission_asked (
  student  text NOT NULL,
  id       text NOT NULL,
  requests text NOT NULL,
  asked_at timestamptz NOT NULL,
  tried_at timestamptz NOT NULL DEFAULT clock_timestamp(),
  PRIMARY KEY (student, id)
);

GRANT SELECT, INSERT, UPDATE, DELETE ON submission_asked TO ${app_role};
