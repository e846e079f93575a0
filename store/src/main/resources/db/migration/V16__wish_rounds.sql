-- Wish rounds as they are posted: what can be wished, by which rule places are distributed, and who comes first.
CREATE TABLE wish_rounds (
  edition_id   bigint NOT NULL REFERENCES edition,
  posted_row   integer NOT NULL,
  round        text NOT NULL,
  term         text NOT NULL,
  name         text NOT NULL,
  opens        date NOT NULL,
  opens_time   time NOT NULL,
  closes       date NOT NULL,
  closes_time  time NOT NULL,
  rule         text NOT NULL,
  even         boolean NOT NULL,
  shows_wishes boolean NOT NULL,
  meaning      text,
  PRIMARY KEY (edition_id, round)
);

CREATE TABLE wish_groups (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  round      text NOT NULL,
  wish_group text NOT NULL,
  name       text NOT NULL,
  places     integer NOT NULL,
  least      integer NOT NULL,
  PRIMARY KEY (edition_id, round, wish_group)
);

CREATE TABLE wish_group_sections (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  round      text NOT NULL,
  wish_group text NOT NULL,
  entry      text NOT NULL,
  PRIMARY KEY (edition_id, round, wish_group, entry)
);

CREATE TABLE wish_criteria (
  edition_id bigint NOT NULL REFERENCES edition,
  posted_row integer NOT NULL,
  round      text NOT NULL,
  position   integer NOT NULL,
  wish_group text,
  name       text NOT NULL,
  about      text NOT NULL,
  any_of     text NOT NULL,
  PRIMARY KEY (edition_id, round, position)
);

GRANT SELECT, INSERT ON wish_rounds, wish_groups, wish_group_sections, wish_criteria TO ${app_role};
