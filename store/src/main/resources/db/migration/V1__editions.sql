-- Editions of terms and, for each, the tables of the schedule bundle as they were posted: one database table for each
-- table of the format, with the same columns, so that what was posted can be taken out again unchanged.
--
-- An edition never changes. The application's role can therefore add and read, but not alter or delete; the one thing
-- it may alter is which edition of a term is current.

CREATE TABLE edition (
  edition_id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  term       text NOT NULL,
  number     integer NOT NULL CHECK (number > 0),
  posted_at  timestamptz NOT NULL,
  note       text NOT NULL,
  checksum   text NOT NULL,
  UNIQUE (term, number)
);

CREATE TABLE current_edition (
  term       text PRIMARY KEY,
  edition_id bigint NOT NULL REFERENCES edition
);

CREATE TABLE institution (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  code       text NOT NULL,
  name       text NOT NULL,
  zone       text NOT NULL,
  PRIMARY KEY (edition_id, code)
);

CREATE TABLE terms (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  term       text NOT NULL,
  name       text NOT NULL,
  first_day  date NOT NULL,
  last_day   date NOT NULL,
  PRIMARY KEY (edition_id, term)
);

CREATE TABLE calendar_days (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  term       text NOT NULL,
  date       date NOT NULL,
  follows    text,
  label      text NOT NULL,
  PRIMARY KEY (edition_id, term, date),
  FOREIGN KEY (edition_id, term) REFERENCES terms (edition_id, term)
);

CREATE TABLE spans (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  term       text NOT NULL,
  span       text NOT NULL,
  name       text NOT NULL,
  first_day  date NOT NULL,
  last_day   date NOT NULL,
  PRIMARY KEY (edition_id, term, span),
  FOREIGN KEY (edition_id, term) REFERENCES terms (edition_id, term)
);

CREATE TABLE campuses (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  campus     text NOT NULL,
  name       text NOT NULL,
  remote     boolean NOT NULL,
  PRIMARY KEY (edition_id, campus)
);

CREATE TABLE buildings (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  building   text NOT NULL,
  campus     text NOT NULL,
  name       text NOT NULL,
  latitude   numeric NOT NULL,
  longitude  numeric NOT NULL,
  PRIMARY KEY (edition_id, building),
  FOREIGN KEY (edition_id, campus) REFERENCES campuses (edition_id, campus)
);

CREATE TABLE subjects (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  subject    text NOT NULL,
  name       text NOT NULL,
  PRIMARY KEY (edition_id, subject)
);

CREATE TABLE requirements (
  edition_id  bigint NOT NULL REFERENCES edition,
  posted_row  integer NOT NULL,
  requirement text NOT NULL,
  name        text NOT NULL,
  PRIMARY KEY (edition_id, requirement)
);

CREATE TABLE courses (
  edition_id  bigint NOT NULL REFERENCES edition,
  posted_row  integer NOT NULL,
  subject     text NOT NULL,
  number      text NOT NULL,
  title       text NOT NULL,
  description text NOT NULL,
  credits     numeric NOT NULL,
  level       integer NOT NULL,
  PRIMARY KEY (edition_id, subject, number),
  FOREIGN KEY (edition_id, subject) REFERENCES subjects (edition_id, subject)
);

CREATE TABLE course_requirements (
  edition_id  bigint NOT NULL REFERENCES edition,
  posted_row  integer NOT NULL,
  subject     text NOT NULL,
  number      text NOT NULL,
  requirement text NOT NULL,
  PRIMARY KEY (edition_id, subject, number, requirement),
  FOREIGN KEY (edition_id, subject, number) REFERENCES courses (edition_id, subject, number),
  FOREIGN KEY (edition_id, requirement) REFERENCES requirements (edition_id, requirement)
);

CREATE TABLE prerequisites (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  subject    text NOT NULL,
  number     text NOT NULL,
  sentence   text NOT NULL,
  expression text,
  PRIMARY KEY (edition_id, subject, number, sentence),
  FOREIGN KEY (edition_id, subject, number) REFERENCES courses (edition_id, subject, number)
);

CREATE TABLE restrictions (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  subject    text NOT NULL,
  number     text NOT NULL,
  sentence   text NOT NULL,
  PRIMARY KEY (edition_id, subject, number, sentence),
  FOREIGN KEY (edition_id, subject, number) REFERENCES courses (edition_id, subject, number)
);

CREATE TABLE instructors (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  instructor text NOT NULL,
  name       text NOT NULL,
  PRIMARY KEY (edition_id, instructor)
);

CREATE TABLE seat_pools (
  edition_id        bigint NOT NULL REFERENCES edition,
  posted_row        integer NOT NULL,
  pool              text NOT NULL,
  capacity          integer NOT NULL,
  waitlist_capacity integer NOT NULL,
  enrolled          integer NOT NULL,
  waiting           integer NOT NULL,
  promised          integer NOT NULL,
  PRIMARY KEY (edition_id, pool)
);

CREATE TABLE held_seats (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  pool       text NOT NULL,
  held_for   text NOT NULL,
  seats      integer NOT NULL,
  until      date NOT NULL,
  PRIMARY KEY (edition_id, pool, held_for),
  FOREIGN KEY (edition_id, pool) REFERENCES seat_pools (edition_id, pool)
);

CREATE TABLE sections (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  entry      text NOT NULL,
  term       text NOT NULL,
  subject    text NOT NULL,
  number     text NOT NULL,
  section    text NOT NULL,
  kind       text NOT NULL,
  campus     text NOT NULL,
  delivery   text NOT NULL,
  span       text NOT NULL,
  pool       text NOT NULL,
  cancelled  boolean NOT NULL,
  PRIMARY KEY (edition_id, entry),
  FOREIGN KEY (edition_id, term) REFERENCES terms (edition_id, term),
  FOREIGN KEY (edition_id, subject, number) REFERENCES courses (edition_id, subject, number),
  FOREIGN KEY (edition_id, campus) REFERENCES campuses (edition_id, campus),
  FOREIGN KEY (edition_id, term, span) REFERENCES spans (edition_id, term, span),
  FOREIGN KEY (edition_id, pool) REFERENCES seat_pools (edition_id, pool)
);

CREATE TABLE section_instructors (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  entry      text NOT NULL,
  instructor text NOT NULL,
  PRIMARY KEY (edition_id, entry, instructor),
  FOREIGN KEY (edition_id, entry) REFERENCES sections (edition_id, entry),
  FOREIGN KEY (edition_id, instructor) REFERENCES instructors (edition_id, instructor)
);

CREATE TABLE meetings (
  edition_id     bigint NOT NULL REFERENCES edition,
  posted_row     integer NOT NULL,
  entry          text NOT NULL,
  meeting        integer NOT NULL,
  kind           text NOT NULL,
  pattern        text NOT NULL,
  days           text,
  date           date,
  starts         time,
  ends           time,
  first_day      date,
  last_day       date,
  hours_per_week numeric,
  place          text NOT NULL,
  building       text,
  room           text,
  words          text,
  PRIMARY KEY (edition_id, entry, meeting),
  FOREIGN KEY (edition_id, entry) REFERENCES sections (edition_id, entry),
  FOREIGN KEY (edition_id, building) REFERENCES buildings (edition_id, building)
);

CREATE TABLE companions (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  entry      text NOT NULL,
  choice     text NOT NULL,
  bound_to   text,
  PRIMARY KEY (edition_id, entry),
  FOREIGN KEY (edition_id, entry) REFERENCES sections (edition_id, entry),
  FOREIGN KEY (edition_id, bound_to) REFERENCES sections (edition_id, entry)
);

CREATE TABLE notes (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  note       integer NOT NULL,
  subject    text NOT NULL,
  number     text NOT NULL,
  entry      text,
  text       text NOT NULL,
  PRIMARY KEY (edition_id, note),
  FOREIGN KEY (edition_id, subject, number) REFERENCES courses (edition_id, subject, number),
  FOREIGN KEY (edition_id, entry) REFERENCES sections (edition_id, entry)
);

CREATE TABLE code_key (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  sort       text NOT NULL,
  position   integer NOT NULL,
  value      text NOT NULL,
  segment    text NOT NULL,
  times      text NOT NULL,
  meaning    text,
  PRIMARY KEY (edition_id, sort, position, value)
);

CREATE INDEX meetings_by_section ON meetings (edition_id, entry);

GRANT USAGE ON SCHEMA ${flyway:defaultSchema} TO ${app_role};
GRANT SELECT, INSERT ON ALL TABLES IN SCHEMA ${flyway:defaultSchema} TO ${app_role};
GRANT UPDATE ON current_edition TO ${app_role};
REVOKE ALL ON ${flyway:table} FROM ${app_role};
