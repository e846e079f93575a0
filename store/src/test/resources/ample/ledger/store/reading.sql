-- What the conditions of a brief talk about, drawn up from the posted tables by SQL alone.

-- Each timed meeting on each of its days of the week.
CREATE TEMP TABLE met AS
SELECT m.entry, d.day, m.starts, m.ends
FROM meetings m,
     unnest(coalesce(string_to_array(m.days, ' '), ARRAY[lower(to_char(m.date, 'dy'))])) d(day)
WHERE m.starts IS NOT NULL;

-- Each timed meeting on each date on which it is held.
CREATE TEMP TABLE held AS
SELECT m.entry, g.date::date AS date, m.starts, m.ends, m.place, m.building
FROM meetings m
JOIN sections s USING (entry)
JOIN spans p ON (p.term, p.span) = (s.term, s.span),
     generate_series(coalesce(m.first_day, p.first_day)::timestamp, coalesce(m.last_day, p.last_day), '1 day') g(date)
LEFT JOIN calendar_days c ON c.date = g.date::date
WHERE m.starts IS NOT NULL
  AND m.days IS NOT NULL
  AND CASE WHEN c.date IS NULL THEN lower(to_char(g.date, 'dy')) ELSE c.follows END = ANY (string_to_array(m.days, ' '))
  AND (m.pattern = 'weekly'
       OR extract(day FROM date_trunc('week', g.date)
                           - date_trunc('week', coalesce(m.first_day, p.first_day)::timestamp))::int / 7 % 2 = 0)
UNION ALL
SELECT entry, date, starts, ends, place, building FROM meetings WHERE date IS NOT NULL;

-- Each section with what it has one of.
CREATE TEMP TABLE fact AS
SELECT f.*,
       -- To nobody in particular, on a day on which registration has opened for some and adding has not ended.
       CASE WHEN asks OR free <= 0 THEN 0
            WHEN free - held > 0 THEN free - held
            ELSE least(free, held) END AS open,
       CASE WHEN cancelled THEN 'cancelled'
            WHEN free > 0 AND asks THEN 'by-permission'
            WHEN free - held > 0 AND NOT restricted THEN 'open'
            WHEN free > 0 AND (held > 0 OR restricted) THEN 'open-to-some'
            WHEN waiting < waitlist_capacity THEN 'full-waitlist-open'
            ELSE 'full' END AS status
FROM (SELECT s.entry, s.campus, s.span, s.cancelled, n.first_day, n.last_day, p.*, h.held,
             p.capacity - p.enrolled - p.promised AS free,
             EXISTS (SELECT FROM prerequisites q WHERE (q.subject, q.number) = (s.subject, s.number)
                     AND q.expression LIKE '%permission%' AND q.expression NOT LIKE '% or %') AS asks,
             EXISTS (SELECT FROM restrictions r WHERE r.rule IS NOT NULL
                     AND coalesce(r.until, date '2031-06-17') >= date '2031-06-17'
                     AND (r.entry = s.entry OR r.entry IS NULL AND (r.subject, r.number) = (s.subject, s.number)))
                 AS restricted,
             coalesce(s.language, i.language) AS language,
             CASE WHEN s.free_materials THEN 'free' ELSE 'paid' END AS materials,
             CASE WHEN m.meetings = 0 THEN s.delivery
                  WHEN m.online = 0 THEN 'on-site'
                  WHEN m.online < m.meetings THEN 'mixed'
                  WHEN m.timed > 0 THEN 'online-timed'
                  ELSE 'online-untimed' END AS delivery
      FROM sections s
      JOIN spans n ON (n.term, n.span) = (s.term, s.span)
      JOIN seat_pools p ON p.pool = s.pool
      CROSS JOIN institution i
      CROSS JOIN LATERAL (SELECT coalesce(sum(seats), 0)::int AS held FROM held_seats h
                          WHERE h.pool = s.pool AND h.until >= date '2031-06-17') h
      CROSS JOIN LATERAL (SELECT count(*) AS meetings, count(*) FILTER (WHERE place = 'online') AS online,
                                 count(starts) AS timed FROM meetings m WHERE m.entry = s.entry) m) f;

-- Each section in each of its complete, clash-free sets.
CREATE TEMP TABLE member AS
WITH RECURSIVE option AS (
    SELECT l.entry AS lead, c.entry AS companion, dense_rank() OVER (PARTITION BY l.entry ORDER BY c.choice) AS choice
    FROM sections l
    JOIN sections s USING (subject, number)
    JOIN companions c ON c.entry = s.entry AND coalesce(c.bound_to, l.entry) = l.entry
    WHERE NOT EXISTS (SELECT FROM companions WHERE entry = l.entry)
), begun AS (
    SELECT entry AS lead, ARRAY[entry] AS members, 0::bigint AS choices
    FROM sections s
    WHERE NOT EXISTS (SELECT FROM companions c WHERE c.entry = s.entry)
    UNION ALL
    SELECT b.lead, b.members || o.companion, b.choices + 1
    FROM begun b
    JOIN option o ON o.lead = b.lead AND o.choice = b.choices + 1
    WHERE NOT EXISTS (SELECT FROM held one JOIN held other ON one.date = other.date
                      WHERE one.entry = ANY (b.members) AND other.entry = o.companion
                        AND one.starts < other.ends AND other.starts < one.ends)
), complete AS (
    SELECT row_number() OVER () AS set, members
    FROM begun b
    WHERE choices = (SELECT count(DISTINCT choice) FROM option o WHERE o.lead = b.lead)
)
SELECT set, entry FROM complete, unnest(members) entry;

-- For each section the sections that can fill each place of its sets, itself in its own.
CREATE TEMP TABLE alternative AS
SELECT DISTINCT x.entry, y.entry AS filled_by,
       CASE WHEN x.entry = y.entry THEN 'itself' ELSE coalesce(c.choice, 'lead') END AS place
FROM member x
JOIN member y USING (set)
LEFT JOIN companions c ON c.entry = y.entry;

-- Each meeting and exam on each date on which it is held, and where somebody has to be.
CREATE TEMP TABLE stay AS
SELECT t.entry, t.date, t.starts, t.ends, t.exam, c.campus, b.building, b.latitude, b.longitude
FROM (SELECT h.entry, h.date, h.starts, h.ends, false AS exam, h.place, h.building FROM held h
      UNION ALL
      SELECT entry, date, starts, ends, true, place, building FROM exams) t
JOIN sections s USING (entry)
LEFT JOIN buildings b USING (building)
LEFT JOIN campuses c ON NOT c.remote AND t.place <> 'online' AND c.campus = coalesce(b.campus, s.campus);

-- The two sections of which a plan cannot have both, each way round.
CREATE TEMP TABLE apart AS
SELECT one.entry AS planned, other.entry
FROM sections one
JOIN sections other ON one.entry <> other.entry
LEFT JOIN companions c ON c.entry = one.entry
LEFT JOIN companions d ON d.entry = other.entry
CROSS JOIN LATERAL (SELECT (one.subject, one.number) = (other.subject, other.number) AS course) same
WHERE (same.course AND c.choice IS NOT DISTINCT FROM d.choice)
   OR (one.pool = other.pool AND NOT same.course)
   OR (c.entry IS NULL AND d.entry IS NULL AND EXISTS (
        SELECT FROM equivalents e
        WHERE (e.subject, e.number, e.other_subject, e.other_number)
              IN ((one.subject, one.number, other.subject, other.number), (other.subject, other.number, one.subject, one.number))))
   OR EXISTS (
        SELECT FROM stay x JOIN stay y USING (date)
        LEFT JOIN journeys j ON (j.from_campus, j.to_campus) IN ((x.campus, y.campus), (y.campus, x.campus))
        WHERE x.entry = one.entry AND y.entry = other.entry
          AND (x.starts < y.ends AND y.starts < x.ends AND NOT (same.course AND x.exam <> y.exam)
               OR x.campus IS NOT NULL AND y.campus IS NOT NULL AND x.building IS DISTINCT FROM y.building
                  AND greatest(y.starts - x.ends, x.starts - y.ends) >= interval '0'
                  AND greatest(y.starts - x.ends, x.starts - y.ends) < interval '1 minute' * coalesce(
                      j.minutes,
                      -- No way is known where only one of the buildings is.
                      ceil(6371008.8 / 64.008 * acos(least(1, sind(x.latitude) * sind(y.latitude)
                           + cosd(x.latitude) * cosd(y.latitude) * cosd(x.longitude - y.longitude)))), 0)));

CREATE INDEX ON apart (planned, entry);
CREATE INDEX ON member (entry);
CREATE INDEX ON member (set);
CREATE INDEX ON fact (entry);
CREATE INDEX ON met (entry);
CREATE INDEX ON held (entry);
CREATE INDEX ON alternative (entry);
ANALYZE;
