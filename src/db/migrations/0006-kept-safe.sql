-- Says whose file this is: UnSp.
PRAGMA application_id = 1433293680;

-- What each migration said when it was applied: one that says something else later is another.
ALTER TABLE migration ADD COLUMN digest TEXT;

-- A wrench that came with somebody's build serves that engine alone, until it is hung on the shelf here.
ALTER TABLE wrench ADD COLUMN came_with TEXT REFERENCES engine (id) ON DELETE CASCADE;
CREATE INDEX wrench_came_with ON wrench (came_with);

CREATE TRIGGER stamp_wrench_added AFTER INSERT ON wrench WHEN NEW.came_with IS NOT NULL BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = NEW.came_with;
END;
CREATE TRIGGER stamp_wrench_altered AFTER UPDATE ON wrench WHEN OLD.came_with IS NOT NULL BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.came_with;
END;
CREATE TRIGGER stamp_wrench_removed AFTER DELETE ON wrench WHEN OLD.came_with IS NOT NULL BEGIN
  UPDATE engine_stamp SET stamp = (SELECT max(stamp) + 1 FROM engine_stamp)
  WHERE engine_id = OLD.came_with;
END;

-- 1: without what the camera wrote beside the picture (where it was taken, with what). What was kept before is made so
-- when it is shown first.
ALTER TABLE photo ADD COLUMN plain INTEGER NOT NULL DEFAULT 0;
