-- An engine on a stand, its book, its joints, and the lines written at the bench.
-- Quantities are SI, with the unit in the column's name, beside the text as printed.

CREATE TABLE engine (
  id             TEXT PRIMARY KEY,
  name           TEXT NOT NULL,
  kind           TEXT NOT NULL CHECK (kind IN ('car', 'motorcycle')),
  year           INTEGER,
  engine_number  TEXT NOT NULL DEFAULT '',
  head_metal     TEXT NOT NULL CHECK (head_metal IN ('iron', 'aluminium')),
  block_metal    TEXT NOT NULL CHECK (block_metal IN ('iron', 'aluminium')),
  preferred_unit TEXT NOT NULL,
  created_at     TEXT NOT NULL
) STRICT;

CREATE TABLE source (
  id         TEXT PRIMARY KEY,
  title      TEXT NOT NULL,
  edition    TEXT NOT NULL DEFAULT '',
  year       INTEGER,
  created_at TEXT NOT NULL
) STRICT;

CREATE TABLE engine_source (
  engine_id TEXT NOT NULL REFERENCES engine (id),
  source_id TEXT NOT NULL REFERENCES source (id),
  PRIMARY KEY (engine_id, source_id)
) STRICT, WITHOUT ROWID;

-- One printed figure. A leaf is never altered: a correction is a new leaf that replaces it.
CREATE TABLE leaf (
  id             TEXT PRIMARY KEY,
  engine_id      TEXT NOT NULL REFERENCES engine (id),
  source_id      TEXT NOT NULL REFERENCES source (id),
  page           TEXT NOT NULL,
  subject        TEXT NOT NULL,
  printed_text   TEXT NOT NULL,
  condition_text TEXT,
  kind           TEXT NOT NULL CHECK (kind IN ('torque', 'lever-pull', 'turn', 'stretch', 'clearance', 'end-float', 'order', 'note')),
  reading_index  INTEGER NOT NULL DEFAULT 0,
  min_nm         REAL,
  max_nm         REAL,
  min_deg        REAL,
  max_deg        REAL,
  agreed_notes   TEXT NOT NULL DEFAULT '[]',
  replaces_id    TEXT REFERENCES leaf (id),
  created_at     TEXT NOT NULL
) STRICT;
CREATE INDEX leaf_by_engine ON leaf (engine_id);
CREATE INDEX leaf_by_replaced ON leaf (replaces_id) WHERE replaces_id IS NOT NULL;

CREATE TRIGGER leaf_is_not_altered BEFORE UPDATE ON leaf
BEGIN SELECT RAISE(ABORT, 'a leaf is never altered'); END;

CREATE TABLE wrench (
  id           TEXT PRIMARY KEY,
  name         TEXT NOT NULL,
  unit         TEXT NOT NULL,
  scale_min    REAL NOT NULL,
  scale_max    REAL NOT NULL,
  graduation   REAL NOT NULL,
  accuracy_pct REAL NOT NULL,
  created_at   TEXT NOT NULL
) STRICT;

CREATE TABLE joint (
  id                   TEXT PRIMARY KEY,
  engine_id            TEXT NOT NULL REFERENCES engine (id),
  leaf_id              TEXT NOT NULL REFERENCES leaf (id),
  name                 TEXT NOT NULL,
  pattern              TEXT NOT NULL CHECK (pattern IN ('rows', 'ring', 'caps')),
  fasteners            INTEGER NOT NULL,
  thread               TEXT NOT NULL,
  bearing_outer_mm     REAL NOT NULL,
  bearing_inner_mm     REAL NOT NULL,
  bearing_measured     INTEGER NOT NULL,
  original_film        TEXT NOT NULL,
  original_film_reason TEXT NOT NULL,
  today_film           TEXT NOT NULL,
  range_school         TEXT NOT NULL CHECK (range_school IN ('low', 'middle', 'top', 'bottom-then-middle')),
  stage_scheme         TEXT NOT NULL,
  order_school         TEXT NOT NULL CHECK (order_school IN ('centre-out', 'spiral', 'star')),
  unit_of_work         TEXT NOT NULL CHECK (unit_of_work IN ('row', 'each')),
  turn_shaft           INTEGER NOT NULL,
  wrench_id            TEXT NOT NULL REFERENCES wrench (id),
  retorque_school      TEXT NOT NULL CHECK (retorque_school IN ('slacken', 'straight', 'warm', 'none')),
  created_at           TEXT NOT NULL
) STRICT;
CREATE INDEX joint_by_engine ON joint (engine_id);

-- A going-round: the plan as it stood when the first nut was touched.
CREATE TABLE tightening (
  id         TEXT PRIMARY KEY,
  joint_id   TEXT NOT NULL REFERENCES joint (id),
  purpose    TEXT NOT NULL CHECK (purpose IN ('final', 'trial', 'retorque')),
  plan       TEXT NOT NULL,
  started_at TEXT NOT NULL
) STRICT;
CREATE INDEX tightening_by_joint ON tightening (joint_id, started_at);

CREATE TRIGGER tightening_is_not_altered BEFORE UPDATE ON tightening
BEGIN SELECT RAISE(ABORT, 'a tightening is never altered'); END;

-- What was done at the bench, a line an act. Only ever added to.
CREATE TABLE bench_event (
  seq           INTEGER PRIMARY KEY AUTOINCREMENT,
  id            TEXT NOT NULL UNIQUE,
  tightening_id TEXT NOT NULL REFERENCES tightening (id),
  kind          TEXT NOT NULL CHECK (kind IN ('pull', 'shaft', 'strike')),
  step          INTEGER,
  position      INTEGER,
  torque_nm     REAL,
  outcome       TEXT CHECK (outcome IN ('pulled', 'did-not-move', 'already-past', 'went-over')),
  strikes_id    TEXT REFERENCES bench_event (id),
  at            TEXT NOT NULL,
  recorded_at   TEXT NOT NULL
) STRICT;
CREATE INDEX bench_event_by_tightening ON bench_event (tightening_id, seq);

CREATE TRIGGER bench_event_is_not_altered BEFORE UPDATE ON bench_event
BEGIN SELECT RAISE(ABORT, 'a bench line is never altered'); END;
CREATE TRIGGER bench_event_is_not_removed BEFORE DELETE ON bench_event
BEGIN SELECT RAISE(ABORT, 'a bench line is never removed'); END;

-- Runs of the engine and readings at the head while it cools. Only ever added to.
CREATE TABLE heat_event (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  engine_id   TEXT NOT NULL REFERENCES engine (id),
  kind        TEXT NOT NULL CHECK (kind IN ('cycle', 'reading', 'strike')),
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
CREATE INDEX heat_event_by_engine ON heat_event (engine_id, seq);

CREATE TRIGGER heat_event_is_not_altered BEFORE UPDATE ON heat_event
BEGIN SELECT RAISE(ABORT, 'a heat line is never altered'); END;
CREATE TRIGGER heat_event_is_not_removed BEFORE DELETE ON heat_event
BEGIN SELECT RAISE(ABORT, 'a heat line is never removed'); END;

CREATE TABLE setting (
  key   TEXT PRIMARY KEY,
  value TEXT NOT NULL
) STRICT, WITHOUT ROWID;
