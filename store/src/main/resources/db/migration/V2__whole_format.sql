-- Version 2 of the bundle's format. Editions posted in version 1 stay, and say nothing of what it could not say.

ALTER TABLE edition ADD COLUMN institution text NOT NULL DEFAULT '';
UPDATE edition SET institution = institution.code FROM institution WHERE institution.edition_id = edition.edition_id;
ALTER TABLE edition ALTER COLUMN institution DROP DEFAULT;

ALTER TABLE institution
  ADD COLUMN language      text NOT NULL DEFAULT 'en',
  ADD COLUMN course_joint  text NOT NULL DEFAULT 'space',
  ADD COLUMN section_joint text NOT NULL DEFAULT 'space';
ALTER TABLE institution
  ALTER COLUMN language DROP DEFAULT,
  ALTER COLUMN course_joint DROP DEFAULT,
  ALTER COLUMN section_joint DROP DEFAULT;

ALTER TABLE terms
  ADD COLUMN season      text,
  ADD COLUMN season_name text;
UPDATE terms SET season = term, season_name = name;
ALTER TABLE terms
  ALTER COLUMN season SET NOT NULL,
  ALTER COLUMN season_name SET NOT NULL;

ALTER TABLE spans ADD COLUMN mark text;

ALTER TABLE sections
  ADD COLUMN language        text,
  ADD COLUMN free_materials  boolean NOT NULL DEFAULT false,
  ADD COLUMN kind_mark       text,
  ADD COLUMN status_mark     text,
  ADD COLUMN attribute_marks text;
ALTER TABLE sections ALTER COLUMN free_materials DROP DEFAULT;

ALTER TABLE held_seats
  ADD COLUMN about  text,
  ADD COLUMN any_of text;

ALTER TABLE subjects ADD COLUMN department text;

ALTER TABLE restrictions RENAME TO restrictions_in_version_1;
CREATE TABLE restrictions (
  edition_id  bigint NOT NULL REFERENCES edition,
  posted_row  integer NOT NULL,
  restriction integer NOT NULL,
  subject     text NOT NULL,
  number      text NOT NULL,
  entry       text,
  rule        text,
  about       text,
  any_of      text,
  until       date,
  sentence    text NOT NULL,
  PRIMARY KEY (edition_id, restriction)
);
INSERT INTO restrictions (edition_id, posted_row, restriction, subject, number, sentence)
SELECT edition_id, posted_row, posted_row, subject, number, sentence FROM restrictions_in_version_1;
DROP TABLE restrictions_in_version_1;

CREATE TABLE binding_dates (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  rule       text NOT NULL,
  term       text NOT NULL,
  span       text,
  purpose    text NOT NULL,
  name       text NOT NULL,
  reckoned   text NOT NULL,
  days       integer,
  share      numeric,
  date       date,
  PRIMARY KEY (edition_id, rule)
);

CREATE TABLE openings (
  edition_id    bigint NOT NULL REFERENCES edition,
  posted_row    integer NOT NULL,
  opening       text NOT NULL,
  term          text NOT NULL,
  name          text NOT NULL,
  least_credits integer NOT NULL,
  most_credits  integer,
  date          date NOT NULL,
  time          time NOT NULL,
  PRIMARY KEY (edition_id, opening)
);

CREATE TABLE departments (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  department text NOT NULL,
  name       text NOT NULL,
  PRIMARY KEY (edition_id, department)
);

CREATE TABLE programmes (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  programme  text NOT NULL,
  name       text NOT NULL,
  department text,
  PRIMARY KEY (edition_id, programme)
);

CREATE TABLE credit_shares (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  subject    text NOT NULL,
  number     text NOT NULL,
  term       text NOT NULL,
  credits    numeric NOT NULL,
  PRIMARY KEY (edition_id, subject, number, term)
);

CREATE TABLE course_programmes (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  subject    text NOT NULL,
  number     text NOT NULL,
  programme  text NOT NULL,
  PRIMARY KEY (edition_id, subject, number, programme)
);

CREATE TABLE corequisites (
  edition_id   bigint NOT NULL REFERENCES edition,
  posted_row   integer NOT NULL,
  subject      text NOT NULL,
  number       text NOT NULL,
  with_subject text NOT NULL,
  with_number  text NOT NULL,
  sentence     text NOT NULL,
  PRIMARY KEY (edition_id, subject, number, with_subject, with_number)
);

CREATE TABLE equivalents (
  edition_id    bigint NOT NULL REFERENCES edition,
  posted_row    integer NOT NULL,
  subject       text NOT NULL,
  number        text NOT NULL,
  other_subject text NOT NULL,
  other_number  text NOT NULL,
  effect        text NOT NULL,
  sentence      text NOT NULL,
  PRIMARY KEY (edition_id, subject, number, other_subject, other_number)
);

CREATE TABLE cross_listings (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  listing    text NOT NULL,
  entry      text NOT NULL,
  home       boolean NOT NULL,
  PRIMARY KEY (edition_id, entry)
);
INSERT INTO cross_listings (edition_id, posted_row, listing, entry, home)
SELECT edition_id, row_number() OVER (PARTITION BY edition_id ORDER BY posted_row), pool, entry, entry = first_entry
FROM (
  SELECT *, count(*) OVER sharing AS sharing, min(entry) OVER sharing AS first_entry
  FROM sections WINDOW sharing AS (PARTITION BY edition_id, pool)
) AS section
WHERE sharing > 1;

CREATE TABLE exams (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  entry      text NOT NULL,
  exam       integer NOT NULL,
  date       date NOT NULL,
  starts     time NOT NULL,
  ends       time NOT NULL,
  place      text NOT NULL,
  building   text,
  room       text,
  words      text,
  PRIMARY KEY (edition_id, entry, exam)
);

GRANT SELECT, INSERT ON ALL TABLES IN SCHEMA ${flyway:defaultSchema} TO ${app_role};
REVOKE ALL ON ${flyway:table} FROM ${app_role};
