-- Sources that disagree, the shop's shelves, substitutes and their reasons, bolts by stretch, films tried.

ALTER TABLE source ADD COLUMN kind TEXT NOT NULL DEFAULT 'manual'
  CHECK (kind IN ('part-print', 'bulletin', 'manual', 'supplier', 'own', 'shop-report', 'hearsay'));
ALTER TABLE source ADD COLUMN rank INTEGER;
ALTER TABLE source ADD COLUMN from_year INTEGER;
ALTER TABLE source ADD COLUMN to_year INTEGER;
ALTER TABLE source ADD COLUMN from_number TEXT NOT NULL DEFAULT '';
ALTER TABLE source ADD COLUMN to_number TEXT NOT NULL DEFAULT '';
ALTER TABLE source ADD COLUMN supersedes_id TEXT REFERENCES source (id);

ALTER TABLE leaf ADD COLUMN min_mm REAL;
ALTER TABLE leaf ADD COLUMN max_mm REAL;

-- A photograph of a page: the file as given, and a small one.
CREATE TABLE photo (
  id         TEXT PRIMARY KEY,
  leaf_id    TEXT NOT NULL REFERENCES leaf (id),
  name       TEXT NOT NULL,
  type       TEXT NOT NULL,
  whole      BLOB NOT NULL,
  thumbnail  BLOB NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX photo_by_leaf ON photo (leaf_id);

-- What was substituted, set aside and decided on a joint, with its reasons; quantities in it carry their unit in the name.
ALTER TABLE joint ADD COLUMN detail TEXT NOT NULL DEFAULT '{}';

ALTER TABLE wrench ADD COLUMN calibration TEXT NOT NULL DEFAULT '[]';
ALTER TABLE wrench ADD COLUMN checked_at TEXT;

-- The engine's own practice, where it differs from the shop's.
ALTER TABLE engine ADD COLUMN practice TEXT NOT NULL DEFAULT '{}';

-- Rows that the shop added or put over a shipped one of the same id. What ships with the program is not in the file.
CREATE TABLE shelf_row (
  kind       TEXT NOT NULL CHECK (kind IN ('film', 'grade', 'metal', 'thread')),
  id         TEXT NOT NULL,
  body       TEXT NOT NULL,
  created_at TEXT NOT NULL,
  PRIMARY KEY (kind, id)
) STRICT, WITHOUT ROWID;

-- A set of fasteners that is tightened by stretch.
CREATE TABLE bolt_set (
  id             TEXT PRIMARY KEY,
  joint_id       TEXT NOT NULL REFERENCES joint (id),
  name           TEXT NOT NULL,
  bolts          INTEGER NOT NULL,
  segments       TEXT NOT NULL,
  e_gpa          REAL NOT NULL,
  min_stretch_mm REAL NOT NULL,
  max_stretch_mm REAL NOT NULL,
  ceiling_nm     REAL NOT NULL,
  max_set_mm     REAL NOT NULL,
  both_ends      INTEGER NOT NULL,
  created_at     TEXT NOT NULL
) STRICT;
CREATE INDEX bolt_set_by_joint ON bolt_set (joint_id);

-- A length as read, before, tightened, or on release. Only ever added to.
CREATE TABLE bolt_reading (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  set_id      TEXT NOT NULL REFERENCES bolt_set (id),
  bolt        INTEGER NOT NULL,
  kind        TEXT NOT NULL CHECK (kind IN ('free', 'tight', 'released')),
  length_mm   REAL NOT NULL,
  typed       TEXT NOT NULL,
  torque_nm   REAL,
  at          TEXT NOT NULL
) STRICT;
CREATE INDEX bolt_reading_by_set ON bolt_reading (set_id, seq);
CREATE TRIGGER bolt_reading_is_not_altered BEFORE UPDATE ON bolt_reading
BEGIN SELECT RAISE(ABORT, 'a reading is never altered'); END;
CREATE TRIGGER bolt_reading_is_not_removed BEFORE DELETE ON bolt_reading
BEGIN SELECT RAISE(ABORT, 'a reading is never removed'); END;

-- A trial of films: bolts of one kind, pulled to a torque in each film, their stretch read.
CREATE TABLE film_trial (
  id              TEXT PRIMARY KEY,
  name            TEXT NOT NULL,
  thread          TEXT NOT NULL,
  outer_mm        REAL NOT NULL,
  inner_mm        REAL NOT NULL,
  segments        TEXT NOT NULL,
  e_gpa           REAL NOT NULL,
  created_at      TEXT NOT NULL
) STRICT;
CREATE TABLE trial_pull (
  seq        INTEGER PRIMARY KEY AUTOINCREMENT,
  id         TEXT NOT NULL UNIQUE,
  trial_id   TEXT NOT NULL REFERENCES film_trial (id),
  bolt       TEXT NOT NULL,
  film       TEXT NOT NULL,
  torque_nm  REAL NOT NULL,
  stretch_mm REAL NOT NULL,
  typed      TEXT NOT NULL,
  strikes_id TEXT REFERENCES trial_pull (id),
  at         TEXT NOT NULL
) STRICT;
CREATE INDEX trial_pull_by_trial ON trial_pull (trial_id, seq);
CREATE TRIGGER trial_pull_is_not_altered BEFORE UPDATE ON trial_pull
BEGIN SELECT RAISE(ABORT, 'a pull is never altered'); END;
CREATE TRIGGER trial_pull_is_not_removed BEFORE DELETE ON trial_pull
BEGIN SELECT RAISE(ABORT, 'a pull is never removed'); END;
