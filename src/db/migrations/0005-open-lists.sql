-- Lists of kinds and schools stand in the program alone: a new one is a new entry there, not a table made anew.
-- What a person may change gets a version, so that a stale writer is seen; a leaf keeps the reading that was chosen
-- as what it is. Lists are read from their index, foreign keys have theirs.
-- The tables are copied with foreign keys off (the program checks them after); rows keep their rowid and their text.

DROP TRIGGER stamp_engine_added;
DROP TRIGGER stamp_engine_altered;
DROP TRIGGER stamp_leaf;
DROP TRIGGER stamp_joint_added;
DROP TRIGGER stamp_joint_altered;
DROP TRIGGER stamp_tightening;
DROP TRIGGER stamp_bench_event;
DROP TRIGGER stamp_heat_event;
DROP TRIGGER stamp_fit_added;
DROP TRIGGER stamp_fit_altered;
DROP TRIGGER stamp_fit_line;
DROP TRIGGER stamp_engine_sheet;
DROP TRIGGER stamp_bolt_set;
DROP TRIGGER stamp_bolt_reading;
DROP TABLE engine_wait;

CREATE TABLE new_engine (
  id             TEXT PRIMARY KEY,
  name           TEXT NOT NULL,
  kind           TEXT NOT NULL,
  year           INTEGER,
  engine_number  TEXT NOT NULL DEFAULT '',
  head_metal     TEXT NOT NULL,
  block_metal    TEXT NOT NULL,
  preferred_unit TEXT NOT NULL,
  practice       TEXT NOT NULL DEFAULT '{}',
  version        INTEGER NOT NULL DEFAULT 1,
  created_at     TEXT NOT NULL
) STRICT;
INSERT INTO new_engine (rowid, id, name, kind, year, engine_number, head_metal, block_metal, preferred_unit, practice, created_at)
  SELECT rowid, id, name, kind, year, engine_number, head_metal, block_metal, preferred_unit, practice, created_at FROM engine;
DROP TABLE engine;
ALTER TABLE new_engine RENAME TO engine;
CREATE INDEX engine_in_order ON engine (created_at, id);

CREATE TABLE new_source (
  id            TEXT PRIMARY KEY,
  title         TEXT NOT NULL,
  edition       TEXT NOT NULL DEFAULT '',
  year          INTEGER,
  kind          TEXT NOT NULL DEFAULT 'manual',
  rank          INTEGER,
  from_year     INTEGER,
  to_year       INTEGER,
  from_number   TEXT NOT NULL DEFAULT '',
  to_number     TEXT NOT NULL DEFAULT '',
  supersedes_id TEXT REFERENCES source (id),
  version       INTEGER NOT NULL DEFAULT 1,
  created_at    TEXT NOT NULL
) STRICT;
INSERT INTO new_source (rowid, id, title, edition, year, kind, rank, from_year, to_year, from_number, to_number, supersedes_id, created_at)
  SELECT rowid, id, title, edition, year, kind, rank, from_year, to_year, from_number, to_number, supersedes_id, created_at FROM source;
DROP TABLE source;
ALTER TABLE new_source RENAME TO source;
CREATE INDEX source_by_superseded ON source (supersedes_id) WHERE supersedes_id IS NOT NULL;
CREATE INDEX engine_source_by_source ON engine_source (source_id);

-- figure is the reading that was chosen, with its unit and figures as printed; unknown in rows of before, where the
-- figure in SI says which it was.
CREATE TABLE new_leaf (
  id             TEXT PRIMARY KEY,
  engine_id      TEXT NOT NULL REFERENCES engine (id),
  source_id      TEXT NOT NULL REFERENCES source (id),
  page           TEXT NOT NULL,
  subject        TEXT NOT NULL,
  printed_text   TEXT NOT NULL,
  condition_text TEXT,
  kind           TEXT NOT NULL,
  figure         TEXT,
  min_nm         REAL,
  max_nm         REAL,
  min_deg        REAL,
  max_deg        REAL,
  min_mm         REAL,
  max_mm         REAL,
  agreed_notes   TEXT NOT NULL DEFAULT '[]',
  replaces_id    TEXT REFERENCES leaf (id),
  created_at     TEXT NOT NULL
) STRICT;
INSERT INTO new_leaf (rowid, id, engine_id, source_id, page, subject, printed_text, condition_text, kind,
    min_nm, max_nm, min_deg, max_deg, min_mm, max_mm, agreed_notes, replaces_id, created_at)
  SELECT rowid, id, engine_id, source_id, page, subject, printed_text, condition_text, kind,
    min_nm, max_nm, min_deg, max_deg, min_mm, max_mm, agreed_notes, replaces_id, created_at FROM leaf;
DROP TABLE leaf;
ALTER TABLE new_leaf RENAME TO leaf;
CREATE INDEX leaf_in_order ON leaf (engine_id, created_at, id);
CREATE INDEX leaf_by_replaced ON leaf (replaces_id) WHERE replaces_id IS NOT NULL;
CREATE INDEX leaf_by_source ON leaf (source_id);
CREATE TRIGGER leaf_is_not_altered BEFORE UPDATE ON leaf
BEGIN SELECT RAISE(ABORT, 'a leaf is never altered'); END;

ALTER TABLE wrench ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
CREATE INDEX wrench_in_order ON wrench (created_at, id);
ALTER TABLE shim ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
ALTER TABLE setting ADD COLUMN version INTEGER NOT NULL DEFAULT 1;

CREATE TABLE new_joint (
  id                   TEXT PRIMARY KEY,
  engine_id            TEXT NOT NULL REFERENCES engine (id),
  leaf_id              TEXT NOT NULL REFERENCES leaf (id),
  name                 TEXT NOT NULL,
  pattern              TEXT NOT NULL,
  fasteners            INTEGER NOT NULL,
  thread               TEXT NOT NULL,
  bearing_outer_mm     REAL NOT NULL,
  bearing_inner_mm     REAL NOT NULL,
  bearing_measured     INTEGER NOT NULL,
  original_film        TEXT NOT NULL,
  original_film_reason TEXT NOT NULL,
  today_film           TEXT NOT NULL,
  range_school         TEXT NOT NULL,
  stage_scheme         TEXT NOT NULL,
  order_school         TEXT NOT NULL,
  unit_of_work         TEXT NOT NULL,
  turn_shaft           INTEGER NOT NULL,
  wrench_id            TEXT NOT NULL REFERENCES wrench (id),
  retorque_school      TEXT NOT NULL,
  detail               TEXT NOT NULL DEFAULT '{}',
  version              INTEGER NOT NULL DEFAULT 1,
  created_at           TEXT NOT NULL
) STRICT;
INSERT INTO new_joint (rowid, id, engine_id, leaf_id, name, pattern, fasteners, thread, bearing_outer_mm, bearing_inner_mm,
    bearing_measured, original_film, original_film_reason, today_film, range_school, stage_scheme, order_school, unit_of_work,
    turn_shaft, wrench_id, retorque_school, detail, created_at)
  SELECT rowid, id, engine_id, leaf_id, name, pattern, fasteners, thread, bearing_outer_mm, bearing_inner_mm,
    bearing_measured, original_film, original_film_reason, today_film, range_school, stage_scheme, order_school, unit_of_work,
    turn_shaft, wrench_id, retorque_school, detail, created_at FROM joint;
DROP TABLE joint;
ALTER TABLE new_joint RENAME TO joint;
CREATE INDEX joint_in_order ON joint (engine_id, created_at, id);
CREATE INDEX joint_by_leaf ON joint (leaf_id);
CREATE INDEX joint_by_wrench ON joint (wrench_id);

CREATE TABLE new_tightening (
  id         TEXT PRIMARY KEY,
  joint_id   TEXT NOT NULL REFERENCES joint (id),
  purpose    TEXT NOT NULL,
  plan       TEXT NOT NULL,
  started_at TEXT NOT NULL
) STRICT;
INSERT INTO new_tightening (rowid, id, joint_id, purpose, plan, started_at)
  SELECT rowid, id, joint_id, purpose, plan, started_at FROM tightening;
DROP TABLE tightening;
ALTER TABLE new_tightening RENAME TO tightening;
CREATE INDEX tightening_by_joint ON tightening (joint_id, started_at);
CREATE TRIGGER tightening_is_not_altered BEFORE UPDATE ON tightening
BEGIN SELECT RAISE(ABORT, 'a tightening is never altered'); END;

CREATE TABLE new_bench_event (
  seq           INTEGER PRIMARY KEY AUTOINCREMENT,
  id            TEXT NOT NULL UNIQUE,
  tightening_id TEXT NOT NULL REFERENCES tightening (id),
  kind          TEXT NOT NULL,
  step          INTEGER,
  position      INTEGER,
  torque_nm     REAL,
  outcome       TEXT,
  strikes_id    TEXT REFERENCES bench_event (id),
  at            TEXT NOT NULL,
  recorded_at   TEXT NOT NULL
) STRICT;
INSERT INTO new_bench_event SELECT seq, id, tightening_id, kind, step, position, torque_nm, outcome, strikes_id, at, recorded_at FROM bench_event;
DROP TABLE bench_event;
ALTER TABLE new_bench_event RENAME TO bench_event;
CREATE INDEX bench_event_by_tightening ON bench_event (tightening_id, seq);
CREATE INDEX bench_event_by_struck ON bench_event (strikes_id) WHERE strikes_id IS NOT NULL;
CREATE TRIGGER bench_event_is_not_altered BEFORE UPDATE ON bench_event
BEGIN SELECT RAISE(ABORT, 'a bench line is never altered'); END;
CREATE TRIGGER bench_event_is_not_removed BEFORE DELETE ON bench_event
BEGIN SELECT RAISE(ABORT, 'a bench line is never removed'); END;

CREATE TABLE new_heat_event (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  engine_id   TEXT NOT NULL REFERENCES engine (id),
  kind        TEXT NOT NULL,
  cycle_id    TEXT REFERENCES heat_event (id),
  ran_from    TEXT,
  ran_to      TEXT,
  highest_c   REAL,
  ambient_c   REAL,
  head_c      REAL,
  strikes_id  TEXT REFERENCES heat_event (id),
  at          TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
INSERT INTO new_heat_event SELECT seq, id, engine_id, kind, cycle_id, ran_from, ran_to, highest_c, ambient_c, head_c, strikes_id, at, recorded_at FROM heat_event;
DROP TABLE heat_event;
ALTER TABLE new_heat_event RENAME TO heat_event;
CREATE INDEX heat_event_by_engine ON heat_event (engine_id, seq);
CREATE INDEX heat_event_by_cycle ON heat_event (cycle_id) WHERE cycle_id IS NOT NULL;
CREATE INDEX heat_event_by_struck ON heat_event (strikes_id) WHERE strikes_id IS NOT NULL;
CREATE TRIGGER heat_event_is_not_altered BEFORE UPDATE ON heat_event
BEGIN SELECT RAISE(ABORT, 'a heat line is never altered'); END;
CREATE TRIGGER heat_event_is_not_removed BEFORE DELETE ON heat_event
BEGIN SELECT RAISE(ABORT, 'a heat line is never removed'); END;

CREATE TABLE new_shelf_row (
  kind       TEXT NOT NULL,
  id         TEXT NOT NULL,
  body       TEXT NOT NULL,
  version    INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL,
  PRIMARY KEY (kind, id)
) STRICT, WITHOUT ROWID;
INSERT INTO new_shelf_row (kind, id, body, created_at) SELECT kind, id, body, created_at FROM shelf_row;
DROP TABLE shelf_row;
ALTER TABLE new_shelf_row RENAME TO shelf_row;

CREATE TABLE new_bolt_reading (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  set_id      TEXT NOT NULL REFERENCES bolt_set (id),
  bolt        INTEGER NOT NULL,
  kind        TEXT NOT NULL,
  length_mm   REAL NOT NULL,
  typed       TEXT NOT NULL,
  torque_nm   REAL,
  at          TEXT NOT NULL
) STRICT;
INSERT INTO new_bolt_reading SELECT seq, id, set_id, bolt, kind, length_mm, typed, torque_nm, at FROM bolt_reading;
DROP TABLE bolt_reading;
ALTER TABLE new_bolt_reading RENAME TO bolt_reading;
CREATE INDEX bolt_reading_by_set ON bolt_reading (set_id, seq);
CREATE TRIGGER bolt_reading_is_not_altered BEFORE UPDATE ON bolt_reading
BEGIN SELECT RAISE(ABORT, 'a reading is never altered'); END;
CREATE TRIGGER bolt_reading_is_not_removed BEFORE DELETE ON bolt_reading
BEGIN SELECT RAISE(ABORT, 'a reading is never removed'); END;
DROP INDEX bolt_set_by_joint;
CREATE INDEX bolt_set_in_order ON bolt_set (joint_id, created_at, id);
CREATE INDEX trial_pull_by_struck ON trial_pull (strikes_id) WHERE strikes_id IS NOT NULL;
CREATE INDEX film_trial_in_order ON film_trial (created_at DESC, id);
DROP INDEX photo_by_leaf;
CREATE INDEX photo_in_order ON photo (leaf_id, created_at, id);

ALTER TABLE fit ADD COLUMN version INTEGER NOT NULL DEFAULT 1;
DROP INDEX fit_by_engine;
CREATE INDEX fit_in_order ON fit (engine_id, created_at, id);
CREATE INDEX fit_by_joint ON fit (joint_id) WHERE joint_id IS NOT NULL;
CREATE INDEX fit_by_leaf ON fit (leaf_id) WHERE leaf_id IS NOT NULL;
CREATE INDEX fit_hold_by_joint ON fit_hold (joint_id);

CREATE TABLE new_fit_line (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  fit_id      TEXT NOT NULL REFERENCES fit (id),
  kind        TEXT NOT NULL,
  place       INTEGER,
  part        TEXT,
  station     INTEGER,
  angle       INTEGER,
  value_mm    REAL,
  typed       TEXT,
  body        TEXT NOT NULL DEFAULT '{}',
  strikes_id  TEXT REFERENCES fit_line (id),
  at          TEXT NOT NULL,
  recorded_at TEXT NOT NULL
) STRICT;
INSERT INTO new_fit_line SELECT seq, id, fit_id, kind, place, part, station, angle, value_mm, typed, body, strikes_id, at, recorded_at FROM fit_line;
DROP TABLE fit_line;
ALTER TABLE new_fit_line RENAME TO fit_line;
CREATE INDEX fit_line_by_fit ON fit_line (fit_id, seq);
CREATE INDEX fit_line_by_struck ON fit_line (strikes_id) WHERE strikes_id IS NOT NULL;
CREATE TRIGGER fit_line_is_not_altered BEFORE UPDATE ON fit_line
BEGIN SELECT RAISE(ABORT, 'a reading is never altered'); END;
CREATE TRIGGER fit_line_is_not_removed BEFORE DELETE ON fit_line
BEGIN SELECT RAISE(ABORT, 'a reading is never removed'); END;

CREATE TABLE new_engine_sheet (
  seq       INTEGER PRIMARY KEY AUTOINCREMENT,
  id        TEXT NOT NULL UNIQUE,
  engine_id TEXT NOT NULL REFERENCES engine (id),
  kind      TEXT NOT NULL,
  body      TEXT NOT NULL,
  at        TEXT NOT NULL
) STRICT;
INSERT INTO new_engine_sheet SELECT seq, id, engine_id, kind, body, at FROM engine_sheet;
DROP TABLE engine_sheet;
ALTER TABLE new_engine_sheet RENAME TO engine_sheet;
CREATE INDEX engine_sheet_by_engine ON engine_sheet (engine_id, kind, seq);
CREATE TRIGGER engine_sheet_is_not_altered BEFORE UPDATE ON engine_sheet
BEGIN SELECT RAISE(ABORT, 'a sheet is never altered'); END;

-- What each engine's tag and order strip say, as worked out at a stamp; may be thrown away at any time.
CREATE TABLE engine_summary (
  engine_id TEXT PRIMARY KEY REFERENCES engine (id) ON DELETE CASCADE,
  stamp     INTEGER NOT NULL,
  build     TEXT NOT NULL,
  body      TEXT NOT NULL
) STRICT;

-- The engine that a row belongs to is stamped by the file itself, whoever writes, alters or removes the row.
CREATE TRIGGER stamp_engine_added AFTER INSERT ON engine BEGIN
  INSERT INTO engine_stamp VALUES (NEW.id, (SELECT coalesce(max(stamp), 0) + 1 FROM engine_stamp));
END;
CREATE TRIGGER stamp_engine_altered AFTER UPDATE ON engine BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.id;
END;
-- A source may stand in the books of several engines: each gets a stamp of its own.
CREATE TRIGGER stamp_source_altered AFTER UPDATE ON source BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) FROM engine_stamp) + (
    SELECT count(*) FROM engine_source near WHERE near.source_id = NEW.id AND near.engine_id <= engine_stamp.engine_id)
  WHERE engine_id IN (SELECT engine_id FROM engine_source WHERE source_id = NEW.id);
END;
CREATE TRIGGER stamp_engine_source_added AFTER INSERT ON engine_source BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_engine_source_altered AFTER UPDATE ON engine_source BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_engine_source_removed AFTER DELETE ON engine_source BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.engine_id;
END;
CREATE TRIGGER stamp_leaf_added AFTER INSERT ON leaf BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_leaf_removed AFTER DELETE ON leaf BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.engine_id;
END;
CREATE TRIGGER stamp_photo_added AFTER INSERT ON photo BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM leaf WHERE id = NEW.leaf_id);
END;
CREATE TRIGGER stamp_photo_altered AFTER UPDATE ON photo BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM leaf WHERE id = NEW.leaf_id);
END;
CREATE TRIGGER stamp_photo_removed AFTER DELETE ON photo BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM leaf WHERE id = OLD.leaf_id);
END;
CREATE TRIGGER stamp_joint_added AFTER INSERT ON joint BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_joint_altered AFTER UPDATE ON joint BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_joint_removed AFTER DELETE ON joint BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.engine_id;
END;
CREATE TRIGGER stamp_tightening_added AFTER INSERT ON tightening BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = NEW.joint_id);
END;
CREATE TRIGGER stamp_tightening_removed AFTER DELETE ON tightening BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = OLD.joint_id);
END;
CREATE TRIGGER stamp_bench_event_added AFTER INSERT ON bench_event BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT joint.engine_id FROM tightening JOIN joint ON joint.id = joint_id WHERE tightening.id = NEW.tightening_id);
END;
CREATE TRIGGER stamp_heat_event_added AFTER INSERT ON heat_event BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_fit_added AFTER INSERT ON fit BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_fit_altered AFTER UPDATE ON fit BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_fit_removed AFTER DELETE ON fit BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.engine_id;
END;
CREATE TRIGGER stamp_fit_hold_added AFTER INSERT ON fit_hold BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM fit WHERE id = NEW.fit_id);
END;
CREATE TRIGGER stamp_fit_hold_altered AFTER UPDATE ON fit_hold BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM fit WHERE id = NEW.fit_id);
END;
CREATE TRIGGER stamp_fit_hold_removed AFTER DELETE ON fit_hold BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM fit WHERE id = OLD.fit_id);
END;
CREATE TRIGGER stamp_fit_line_added AFTER INSERT ON fit_line BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM fit WHERE id = NEW.fit_id);
END;
CREATE TRIGGER stamp_engine_sheet_added AFTER INSERT ON engine_sheet BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_engine_sheet_removed AFTER DELETE ON engine_sheet BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.engine_id;
END;
CREATE TRIGGER stamp_bolt_set_added AFTER INSERT ON bolt_set BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = NEW.joint_id);
END;
CREATE TRIGGER stamp_bolt_set_altered AFTER UPDATE ON bolt_set BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = NEW.joint_id);
END;
CREATE TRIGGER stamp_bolt_set_removed AFTER DELETE ON bolt_set BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = OLD.joint_id);
END;
CREATE TRIGGER stamp_bolt_reading_added AFTER INSERT ON bolt_reading BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT joint.engine_id FROM bolt_set JOIN joint ON joint.id = joint_id WHERE bolt_set.id = NEW.set_id);
END;
