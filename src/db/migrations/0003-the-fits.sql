-- What is measured before it is closed up: fits, their readings, the shop's shims, and what is known of the whole engine.

CREATE TABLE fit (
  id         TEXT PRIMARY KEY,
  engine_id  TEXT NOT NULL REFERENCES engine (id),
  kind       TEXT NOT NULL,
  name       TEXT NOT NULL,
  -- Where it is measured: ["1", "2", "3"].
  places     TEXT NOT NULL,
  methods    TEXT NOT NULL,
  stations   INTEGER NOT NULL,
  angles     INTEGER NOT NULL,
  -- The joint whose caps or cover must be tight for it.
  joint_id   TEXT REFERENCES joint (id),
  leaf_id    TEXT REFERENCES leaf (id),
  -- What is wanted, and how it is read; quantities in them carry their unit in the name.
  wanted     TEXT NOT NULL DEFAULT '{}',
  detail     TEXT NOT NULL DEFAULT '{}',
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX fit_by_engine ON fit (engine_id, created_at);

-- The joints that close a fit up: they are not pulled for good while it is out.
CREATE TABLE fit_hold (
  fit_id   TEXT NOT NULL REFERENCES fit (id),
  joint_id TEXT NOT NULL REFERENCES joint (id),
  PRIMARY KEY (fit_id, joint_id)
) STRICT, WITHOUT ROWID;

-- Readings and what was decided on them, a line each. Only ever added to.
CREATE TABLE fit_line (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  fit_id      TEXT NOT NULL REFERENCES fit (id),
  kind        TEXT NOT NULL CHECK (kind IN ('reading', 'felt', 'affirm', 'change', 'accept', 'remedy', 'order', 'strip-in', 'strip-out', 'strike')),
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
CREATE INDEX fit_line_by_fit ON fit_line (fit_id, seq);
CREATE TRIGGER fit_line_is_not_altered BEFORE UPDATE ON fit_line
BEGIN SELECT RAISE(ABORT, 'a reading is never altered'); END;
CREATE TRIGGER fit_line_is_not_removed BEFORE DELETE ON fit_line
BEGIN SELECT RAISE(ABORT, 'a reading is never removed'); END;

-- Shims in the drawer; a family fits one place.
CREATE TABLE shim (
  id           TEXT PRIMARY KEY,
  family       TEXT NOT NULL,
  thickness_mm REAL NOT NULL,
  typed        TEXT NOT NULL,
  count        INTEGER NOT NULL,
  created_at   TEXT NOT NULL
) STRICT;
CREATE INDEX shim_by_family ON shim (family, thickness_mm);

-- Weights, balance, volumes, ring clocking, bearing sizes, match numbers: the last sheet of a kind holds, earlier ones stay beneath.
CREATE TABLE engine_sheet (
  seq       INTEGER PRIMARY KEY AUTOINCREMENT,
  id        TEXT NOT NULL UNIQUE,
  engine_id TEXT NOT NULL REFERENCES engine (id),
  kind      TEXT NOT NULL CHECK (kind IN ('volumes', 'weights', 'balance', 'clocking', 'bearings', 'marks')),
  body      TEXT NOT NULL,
  at        TEXT NOT NULL
) STRICT;
CREATE INDEX engine_sheet_by_engine ON engine_sheet (engine_id, kind, seq);
CREATE TRIGGER engine_sheet_is_not_altered BEFORE UPDATE ON engine_sheet
BEGIN SELECT RAISE(ABORT, 'a sheet is never altered'); END;
