-- What a going-round was planned by: packed, and kept once however many rounds were gone by it; told by the digest of
-- its text, which is unpacked(body). What is asked of all rounds of an engine stands beside it.
CREATE TABLE plan (
  digest  TEXT PRIMARY KEY,
  clamp_n REAL,
  body    BLOB NOT NULL
) STRICT;
INSERT INTO plan
  SELECT digest(text), CASE WHEN json_valid(text) THEN json_extract(text, '$.ladder.band.p50_N') END, packed(text)
  FROM (SELECT DISTINCT plan AS text FROM tightening);
CREATE TRIGGER plan_is_not_altered BEFORE UPDATE ON plan
BEGIN SELECT RAISE(ABORT, 'a plan is never altered'); END;
CREATE TRIGGER plan_is_not_removed BEFORE DELETE ON plan
BEGIN SELECT RAISE(ABORT, 'a plan is never removed'); END;

DROP TRIGGER tightening_is_not_altered;
-- Filled at once: the empty one is nobody's plan, and a round with it is refused.
ALTER TABLE tightening ADD COLUMN plan_digest TEXT NOT NULL DEFAULT '' REFERENCES plan (digest);
UPDATE tightening SET plan_digest = digest(plan);
ALTER TABLE tightening DROP COLUMN plan;
CREATE TRIGGER tightening_is_not_altered BEFORE UPDATE ON tightening
BEGIN SELECT RAISE(ABORT, 'a tightening is never altered'); END;
CREATE INDEX tightening_by_plan ON tightening (plan_digest);

-- An act that began or dropped a round can still be taken back.
INSERT INTO plan
  SELECT digest(text), CASE WHEN json_valid(text) THEN json_extract(text, '$.ladder.band.p50_N') END, packed(text) FROM (
    SELECT json_extract(before, '$.plan') AS text FROM act_change WHERE tbl = 'tightening'
    UNION SELECT json_extract(after, '$.plan') FROM act_change WHERE tbl = 'tightening'
  ) WHERE text IS NOT NULL ON CONFLICT (digest) DO NOTHING;
UPDATE act_change SET
  before = json_set(json_remove(before, '$.plan'), '$.plan_digest', digest(json_extract(before, '$.plan'))),
  after = json_set(json_remove(after, '$.plan'), '$.plan_digest', digest(json_extract(after, '$.plan')))
WHERE tbl = 'tightening';
