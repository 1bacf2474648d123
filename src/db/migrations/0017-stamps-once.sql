-- A stamp is never given twice, nor one below another that was given: what is kept by stamps would pass for what stands
-- there now. Engines are stamped one above the highest there is, which may be that of an engine that is taken away: the
-- next below it is raised above it then, and where there is none, the last that went is remembered (one row).
CREATE TABLE stamp_gone (stamp INTEGER NOT NULL) STRICT;
INSERT INTO stamp_gone SELECT coalesce(max(stamp), 0) FROM engine_stamp;

CREATE TRIGGER stamp_gone_with_engine AFTER DELETE ON engine_stamp BEGIN
  UPDATE stamp_gone SET stamp = OLD.stamp WHERE stamp < OLD.stamp;
  UPDATE engine_stamp SET stamp = OLD.stamp + 1
  WHERE stamp = (SELECT max(stamp) FROM engine_stamp) AND stamp < OLD.stamp;
END;
CREATE TRIGGER stamp_of_first_engine AFTER INSERT ON engine_stamp
WHEN NEW.stamp <= (SELECT stamp FROM stamp_gone) BEGIN
  UPDATE engine_stamp SET stamp = 1 + (SELECT stamp FROM stamp_gone) WHERE engine_id = NEW.engine_id;
END;
