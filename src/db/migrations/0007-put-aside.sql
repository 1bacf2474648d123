-- An engine that is not looked at for now: off the rail and out of the list of stands until it is brought back.
CREATE TABLE engine_aside (
  engine_id TEXT PRIMARY KEY REFERENCES engine (id) ON DELETE CASCADE,
  reason TEXT NOT NULL,
  at TEXT NOT NULL
);

CREATE TRIGGER stamp_engine_aside_added AFTER INSERT ON engine_aside BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_engine_aside_removed AFTER DELETE ON engine_aside BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.engine_id;
END;
CREATE TRIGGER stamp_engine_aside_altered AFTER UPDATE ON engine_aside BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.engine_id;
END;
