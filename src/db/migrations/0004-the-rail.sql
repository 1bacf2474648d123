-- Which engines were worked on, the latest with the highest stamp; and what each waits for, as it was worked out at a stamp.

CREATE TABLE engine_stamp (
  engine_id TEXT PRIMARY KEY REFERENCES engine (id) ON DELETE CASCADE,
  stamp     INTEGER NOT NULL UNIQUE
) STRICT;
INSERT INTO engine_stamp SELECT id, row_number() OVER (ORDER BY created_at, id) FROM engine;

-- May be thrown away at any time; it is worked out anew where its stamp or the program's edition is another.
CREATE TABLE engine_wait (
  engine_id TEXT PRIMARY KEY REFERENCES engine (id) ON DELETE CASCADE,
  stamp     INTEGER NOT NULL,
  edition   TEXT NOT NULL,
  body      TEXT NOT NULL
) STRICT;

-- The engine that a row belongs to is stamped by the file itself, whoever writes the row.
CREATE TRIGGER stamp_engine_added AFTER INSERT ON engine BEGIN
  INSERT INTO engine_stamp VALUES (NEW.id, (SELECT coalesce(max(stamp), 0) + 1 FROM engine_stamp));
END;
CREATE TRIGGER stamp_engine_altered AFTER UPDATE ON engine BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.id;
END;
CREATE TRIGGER stamp_leaf AFTER INSERT ON leaf BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_joint_added AFTER INSERT ON joint BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_joint_altered AFTER UPDATE ON joint BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_tightening AFTER INSERT ON tightening BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = NEW.joint_id);
END;
CREATE TRIGGER stamp_bench_event AFTER INSERT ON bench_event BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT joint.engine_id FROM tightening JOIN joint ON joint.id = joint_id WHERE tightening.id = NEW.tightening_id);
END;
CREATE TRIGGER stamp_heat_event AFTER INSERT ON heat_event BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_fit_added AFTER INSERT ON fit BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_fit_altered AFTER UPDATE ON fit BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_fit_line AFTER INSERT ON fit_line BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM fit WHERE id = NEW.fit_id);
END;
CREATE TRIGGER stamp_engine_sheet AFTER INSERT ON engine_sheet BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp) WHERE engine_id = NEW.engine_id;
END;
CREATE TRIGGER stamp_bolt_set AFTER INSERT ON bolt_set BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT engine_id FROM joint WHERE id = NEW.joint_id);
END;
CREATE TRIGGER stamp_bolt_reading AFTER INSERT ON bolt_reading BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = (SELECT joint.engine_id FROM bolt_set JOIN joint ON joint.id = joint_id WHERE bolt_set.id = NEW.set_id);
END;
