-- The order of a build: its steps, the tray of parts, and what was done, a line each.

CREATE TABLE step (
  id         TEXT PRIMARY KEY,
  engine_id  TEXT NOT NULL REFERENCES engine (id),
  -- Where it stands in the line: the lower comes first where nothing else decides.
  place      REAL NOT NULL,
  kind       TEXT NOT NULL,
  name       TEXT NOT NULL,
  -- The sub-assembly that it belongs to; empty on the line itself.
  branch     TEXT NOT NULL DEFAULT '',
  joint_id   TEXT REFERENCES joint (id),
  purpose    TEXT,
  fit_id     TEXT REFERENCES fit (id),
  leaf_id    TEXT REFERENCES leaf (id),
  -- Steps that come before it, and steps after which it can be done no more: ["id", …], each of the same engine.
  after      TEXT NOT NULL DEFAULT '[]',
  not_until  TEXT NOT NULL DEFAULT '[]',
  detail     TEXT NOT NULL DEFAULT '{}',
  version    INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX step_by_engine ON step (engine_id, place, created_at, id);
CREATE INDEX step_by_joint ON step (joint_id);
CREATE INDEX step_by_fit ON step (fit_id);
CREATE INDEX step_by_leaf ON step (leaf_id);
CREATE TRIGGER stamp_step_added AFTER INSERT ON step BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_step_altered AFTER UPDATE ON step BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_step_removed AFTER DELETE ON step BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = OLD.engine_id;
END;

-- What was taken off, bought, made or substituted, and where it goes.
CREATE TABLE part (
  id         TEXT PRIMARY KEY,
  engine_id  TEXT NOT NULL REFERENCES engine (id),
  -- The step that uses it up; empty where nobody said.
  step_id    TEXT REFERENCES step (id),
  name       TEXT NOT NULL,
  -- How many its step needs, and how many lay there when it was written down; more come by lines.
  need       INTEGER NOT NULL,
  here       INTEGER NOT NULL,
  mark       TEXT NOT NULL DEFAULT '',
  -- A number of its own, that no other part of the shop has.
  serial     TEXT NOT NULL DEFAULT '',
  bag        TEXT NOT NULL DEFAULT '',
  origin     TEXT NOT NULL,
  condition  TEXT NOT NULL,
  detail     TEXT NOT NULL DEFAULT '{}',
  version    INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX part_by_engine ON part (engine_id, created_at, id);
CREATE INDEX part_by_step ON part (step_id);
CREATE INDEX part_by_serial ON part (serial) WHERE serial <> '';
CREATE TRIGGER stamp_part_added AFTER INSERT ON part BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_part_altered AFTER UPDATE ON part BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_part_removed AFTER DELETE ON part BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = OLD.engine_id;
END;

-- A note, with its photographs, may be of a step or of a part of the tray.
ALTER TABLE note ADD COLUMN step_id TEXT REFERENCES step (id);
ALTER TABLE note ADD COLUMN part_id TEXT REFERENCES part (id);
CREATE INDEX note_by_step ON note (step_id);
CREATE INDEX note_by_part ON note (part_id);

-- What was done in the order of the build. Only ever added to.
CREATE TABLE build_line (
  seq         INTEGER PRIMARY KEY AUTOINCREMENT,
  id          TEXT NOT NULL UNIQUE,
  engine_id   TEXT NOT NULL REFERENCES engine (id),
  kind        TEXT NOT NULL,
  step_id     TEXT REFERENCES step (id),
  part_id     TEXT REFERENCES part (id),
  body        TEXT NOT NULL DEFAULT '{}',
  strikes_id  TEXT REFERENCES build_line (id),
  at          TEXT NOT NULL,
  recorded_at TEXT NOT NULL,
  who         TEXT NOT NULL DEFAULT ''
) STRICT;
CREATE INDEX build_line_by_engine ON build_line (engine_id, seq);
CREATE INDEX build_line_by_step ON build_line (step_id);
CREATE INDEX build_line_by_part ON build_line (part_id);
CREATE INDEX build_line_by_struck ON build_line (strikes_id);
CREATE TRIGGER build_line_is_not_altered BEFORE UPDATE ON build_line
BEGIN SELECT RAISE(ABORT, 'a line of the build is never altered'); END;
CREATE TRIGGER build_line_is_not_removed BEFORE DELETE ON build_line
BEGIN SELECT RAISE(ABORT, 'a line of the build is never removed'); END;
CREATE TRIGGER stamp_build_line_added AFTER INSERT ON build_line BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
