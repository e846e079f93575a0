-- What is kept for a visitor, signed in or not: plans, briefs and record together, as JSON. A guest is named by a digest of their
-- cookie, so that who reads this table cannot pass for them. The version counts the changes.
CREATE TABLE visitor (
  owner      text PRIMARY KEY CHECK (owner ~ '^(student|guest):.'),
  version    bigint NOT NULL,
  content    jsonb NOT NULL,
  changed_at timestamptz NOT NULL,
  came_back  boolean NOT NULL,
  expires_at timestamptz
);

CREATE INDEX visitor_by_expiry ON visitor (expires_at);

GRANT SELECT, INSERT, UPDATE, DELETE ON visitor TO ${app_role};

INSERT INTO visitor (owner, version, content, changed_at, came_back)
SELECT 'student:' || student, 1, jsonb_build_object('plans', content), changed_at, true FROM plan_book;

DROP TABLE plan_book;

-- Whoever shows a plan says whether their notes go with it. Nobody was asked so far, so that they do not.
ALTER TABLE plan_share ADD COLUMN with_notes boolean NOT NULL DEFAULT false;
ALTER TABLE plan_share ALTER COLUMN with_notes DROP DEFAULT;
UPDATE plan_share SET content = content || '{"notes": ""}',
  owner = CASE WHEN owner LIKE 'guest:%' THEN owner ELSE 'student:' || owner END;

-- What a guest shows goes when the guest does. Guests of before lived in sessions; what they show is shown on for as long as a guest is kept.
INSERT INTO visitor (owner, version, content, changed_at, came_back, expires_at)
SELECT DISTINCT owner, 1, '{}'::jsonb, now(), true, CASE WHEN owner LIKE 'guest:%' THEN now() + interval '60 days' END
FROM plan_share
ON CONFLICT DO NOTHING;

ALTER TABLE plan_share ADD FOREIGN KEY (owner) REFERENCES visitor ON DELETE CASCADE;

-- Sessions hold nothing any more but who has signed in. What they held before is read by nobody.
DELETE FROM spring_session;

-- Words on seats are numbered in the order in which they were committed, the same for every instance of the application.
CREATE SEQUENCE seat_change;
ALTER TABLE seat_word ADD COLUMN change bigint;
UPDATE seat_word SET change = nextval('seat_change');
ALTER TABLE seat_word ALTER COLUMN change SET NOT NULL, DROP COLUMN recorded_at;

CREATE INDEX seat_word_by_change ON seat_word (change);

GRANT USAGE ON SEQUENCE seat_change TO ${app_role};

-- Who posted an edition: the name of an account, or how else it was posted.
ALTER TABLE edition ADD COLUMN posted_by text NOT NULL DEFAULT '';
ALTER TABLE edition ALTER COLUMN posted_by DROP DEFAULT;
