-- The plans of students who signed in, all of one student together, as JSON. The version guards against two windows that change
-- them at once.
CREATE TABLE plan_book (
  student    text PRIMARY KEY,
  version    bigint NOT NULL,
  content    jsonb NOT NULL,
  changed_at timestamptz NOT NULL
);

-- Plans that are shown to others at an address that only who was given it knows: to be read, or as a calendar. The owner is a
-- student, or a guest by the secret of their session. The plan is what it was at its last change.
CREATE TABLE plan_share (
  token      text PRIMARY KEY,
  owner      text NOT NULL,
  purpose    text NOT NULL CHECK (purpose IN ('reading', 'calendar')),
  season     text NOT NULL,
  plan_id    text NOT NULL,
  content    jsonb NOT NULL,
  created_at timestamptz NOT NULL
);

CREATE INDEX plan_share_by_owner ON plan_share (owner);

GRANT SELECT, INSERT, UPDATE, DELETE ON plan_book, plan_share TO ${app_role};
