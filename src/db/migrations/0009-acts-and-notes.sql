-- What was done, an act a line, and what it changed of each row, so that it can be taken back. An act that takes
-- another back says which; the list shows the other as taken back. Old ones may be thrown away at any time.
CREATE TABLE act (
  seq       INTEGER PRIMARY KEY AUTOINCREMENT,
  id        TEXT NOT NULL UNIQUE,
  -- No reference: the engine itself may have been taken away by it.
  engine_id TEXT,
  words     TEXT NOT NULL,
  who       TEXT NOT NULL DEFAULT '',
  at        TEXT NOT NULL,
  undoes_id TEXT REFERENCES act (id) ON DELETE CASCADE
) STRICT;
CREATE INDEX act_by_engine ON act (engine_id, seq);
CREATE INDEX act_by_undone ON act (undoes_id);

-- A row before and after, as JSON by column; before is empty where it was added, after where it was taken away. A
-- picture is there as hexadecimal before, and by its length after.
CREATE TABLE act_change (
  seq       INTEGER PRIMARY KEY,
  act_id    TEXT NOT NULL REFERENCES act (id) ON DELETE CASCADE,
  tbl       TEXT NOT NULL,
  before    TEXT,
  after     TEXT
) STRICT;
CREATE INDEX act_change_by_act ON act_change (act_id, seq);

-- What somebody wrote down of an engine, a joint, a fit or one fastener of a joint.
CREATE TABLE note (
  id         TEXT PRIMARY KEY,
  engine_id  TEXT NOT NULL REFERENCES engine (id),
  joint_id   TEXT REFERENCES joint (id),
  fit_id     TEXT REFERENCES fit (id),
  -- Of a fastener: its number in the turn.
  fastener   INTEGER,
  words      TEXT NOT NULL,
  who        TEXT NOT NULL DEFAULT '',
  version    INTEGER NOT NULL DEFAULT 1,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX note_by_engine ON note (engine_id, created_at, id);
CREATE INDEX note_by_joint ON note (joint_id);
CREATE INDEX note_by_fit ON note (fit_id);
CREATE TRIGGER stamp_note_added AFTER INSERT ON note BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_note_altered AFTER UPDATE ON note BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_note_removed AFTER DELETE ON note BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = OLD.engine_id;
END;

CREATE TABLE note_photo (
  id         TEXT PRIMARY KEY,
  note_id    TEXT NOT NULL REFERENCES note (id),
  name       TEXT NOT NULL,
  type       TEXT NOT NULL,
  whole      BLOB NOT NULL,
  thumbnail  BLOB NOT NULL,
  created_at TEXT NOT NULL
) STRICT;
CREATE INDEX note_photo_by_note ON note_photo (note_id, created_at, id);
CREATE TRIGGER stamp_note_photo_added AFTER INSERT ON note_photo BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM note WHERE id = NEW.note_id);
END;
CREATE TRIGGER stamp_note_photo_altered AFTER UPDATE ON note_photo BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM note WHERE id = NEW.note_id);
END;
CREATE TRIGGER stamp_note_photo_removed AFTER DELETE ON note_photo BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM note WHERE id = OLD.note_id);
END;

-- Joints, fits and entries that are no longer worked with although something hangs on them; brought back at any time.
CREATE TABLE set_aside (
  kind      TEXT NOT NULL,
  id        TEXT NOT NULL,
  engine_id TEXT NOT NULL REFERENCES engine (id),
  reason    TEXT NOT NULL,
  who       TEXT NOT NULL DEFAULT '',
  at        TEXT NOT NULL,
  PRIMARY KEY (kind, id)
) STRICT, WITHOUT ROWID;
CREATE INDEX set_aside_by_engine ON set_aside (engine_id, at);
CREATE TRIGGER stamp_set_aside_added AFTER INSERT ON set_aside BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_set_aside_altered AFTER UPDATE ON set_aside BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_set_aside_removed AFTER DELETE ON set_aside BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = OLD.engine_id;
END;

-- Who wrote a line, by initials.
ALTER TABLE bench_event ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE heat_event ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE fit_line ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE bolt_reading ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE trial_pull ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE engine_sheet ADD COLUMN who TEXT NOT NULL DEFAULT '';
ALTER TABLE leaf ADD COLUMN who TEXT NOT NULL DEFAULT '';

-- The language a source is printed in, so that it is read out as what it is; empty where nobody said.
ALTER TABLE source ADD COLUMN language TEXT NOT NULL DEFAULT '';
