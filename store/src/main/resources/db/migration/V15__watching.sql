-- What of what is posted concerns a student, so that whoever has to be told of a change is found by an index: "kept" follows from the plans
-- and watches in the student's document and is written with it, "registrar" from what the institution says that the student has.
CREATE TABLE concern (
  owner        text NOT NULL,
  source       text NOT NULL CHECK (source IN ('kept', 'registrar')),
  term         text NOT NULL,
  -- An entry number, the code of a course, or * for whatever may fit a watched brief.
  about        text NOT NULL,
  -- How many seats the student waits for; 0 for none.
  seats        integer NOT NULL CHECK (seats >= 0),
  -- Whether so many were open when it was last looked at, and the number of the last change of seats known then; -1 before the first look.
  seats_open   boolean NOT NULL DEFAULT false,
  seats_change bigint NOT NULL DEFAULT -1,
  -- The last day, by the calendar of the institution, for which it was looked through what time brings; empty before the first.
  told_day     date,
  PRIMARY KEY (owner, source, term, about)
);

CREATE INDEX concern_by_about ON concern (term, about, owner);
CREATE INDEX concern_by_day ON concern (coalesce(told_day, '-infinity'));
CREATE INDEX concern_not_looked_at ON concern (owner) WHERE seats > 0 AND seats_change < 0;

-- An edition that became current, until everybody whom it concerns has their notices: written with the edition, and removed with the last notice.
CREATE TABLE edition_to_tell (
  id      bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  term    text NOT NULL,
  before  bigint NOT NULL,
  now     bigint NOT NULL,
  -- Students up to this one, in the order of their names, have theirs.
  told_to text NOT NULL DEFAULT ''
);

-- What the institution said last of a student who has signed in here: what is different the next time makes a notice.
CREATE TABLE person (
  owner        text PRIMARY KEY,
  -- What it said last; nothing of somebody who has signed in and of whom it was not asked yet.
  file         jsonb,
  registration jsonb,
  -- How often the institution has said that something is different, and how often of these it was asked what.
  changes      bigint NOT NULL DEFAULT 0,
  asked        bigint NOT NULL DEFAULT 0,
  -- By the clock of the database: when somebody last set out to ask, so that two instances do not ask at once.
  asked_at     timestamptz NOT NULL DEFAULT now()
);

CREATE INDEX person_changed ON person (asked_at) WHERE changes > asked;

CREATE TABLE notice (
  id        bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  owner     text NOT NULL,
  -- The same for what is one notice: written twice, it is there once.
  key       text NOT NULL,
  kind      text NOT NULL,
  term      text NOT NULL,
  about     text NOT NULL,
  content   jsonb NOT NULL,
  made_at   timestamptz NOT NULL,
  -- From when on it is of no use any more; never where it is empty.
  past_at   timestamptz,
  seen_at   timestamptz,
  -- From when on a letter may tell it; empty once one does, or none is to.
  letter_at timestamptz,
  letter    text,
  UNIQUE (owner, key)
);

CREATE INDEX notice_of_owner ON notice (owner, id);
CREATE INDEX notice_unseen ON notice (owner) WHERE seen_at IS NULL;
CREATE INDEX notice_for_letters ON notice (letter_at) WHERE letter_at IS NOT NULL;

-- Letters to be handed to the mail server, and those that were. What they say follows from their notices at the moment they are sent. The id is
-- part of the Message-ID: a letter that is handed over twice, because a program died before it could note the first time, can be known as one.
CREATE TABLE letter (
  id       text PRIMARY KEY,
  owner    text NOT NULL,
  tries    integer NOT NULL DEFAULT 0,
  next_try timestamptz NOT NULL DEFAULT now(),
  state    text NOT NULL DEFAULT 'waiting' CHECK (state IN ('waiting', 'sent', 'refused', 'needless'))
);

CREATE INDEX letter_waiting ON letter (next_try) WHERE state = 'waiting';
CREATE INDEX notice_of_letter ON notice (letter) WHERE letter IS NOT NULL;

-- Secrets in addresses by which something of a student is reached without signing in: their letters stopped, their notices read.
CREATE TABLE private_address (
  owner   text NOT NULL,
  purpose text NOT NULL CHECK (purpose IN ('stop', 'feed')),
  token   text NOT NULL UNIQUE,
  PRIMARY KEY (owner, purpose)
);

GRANT SELECT, INSERT, UPDATE, DELETE ON concern, edition_to_tell, person, notice, letter, private_address TO ${app_role};
