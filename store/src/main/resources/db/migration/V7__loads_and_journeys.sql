-- What a number of credits means, and how long it takes between campuses. Editions posted before say neither.
CREATE TABLE loads (
  edition_id bigint NOT NULL,
  posted_row integer NOT NULL,
  load       text NOT NULL,
  term       text NOT NULL,
  credits    numeric NOT NULL,
  meaning    text,
  PRIMARY KEY (edition_id, posted_row)
);

CREATE TABLE journeys (
  edition_id  bigint NOT NULL,
  posted_row  integer NOT NULL,
  from_campus text NOT NULL,
  to_campus   text NOT NULL,
  minutes     integer NOT NULL,
  means       text NOT NULL,
  PRIMARY KEY (edition_id, posted_row)
);

GRANT SELECT, INSERT ON loads, journeys TO ${app_role};
