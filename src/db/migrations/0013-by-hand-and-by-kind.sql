-- Which of its joint's kinds of fasteners a set of bolts is of, by the kind's name; empty of the joint's own.
ALTER TABLE bolt_set ADD COLUMN kind TEXT NOT NULL DEFAULT '';

-- Pulls by feel, and what they were then read to be. Lines are added; a wrong one is cancelled by another.
CREATE TABLE hand_pull (
  seq        INTEGER PRIMARY KEY AUTOINCREMENT,
  id         TEXT NOT NULL UNIQUE,
  hand       TEXT NOT NULL,
  thread     TEXT NOT NULL,
  meant_nm   REAL NOT NULL,
  read_nm    REAL NOT NULL,
  typed      TEXT NOT NULL,
  strikes_id TEXT REFERENCES hand_pull (id),
  at         TEXT NOT NULL,
  who        TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX hand_pull_by_struck ON hand_pull (strikes_id) WHERE strikes_id IS NOT NULL;
CREATE TRIGGER hand_pull_is_not_altered BEFORE UPDATE ON hand_pull
BEGIN SELECT RAISE(ABORT, 'a pull is never altered'); END;
CREATE TRIGGER hand_pull_is_not_removed BEFORE DELETE ON hand_pull
BEGIN SELECT RAISE(ABORT, 'a pull is never removed'); END;
