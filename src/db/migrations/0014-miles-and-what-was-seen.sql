-- Of a run: how far it went, in the unit it was told in, what was seen, and its temperatures where they were recorded.
ALTER TABLE heat_event ADD COLUMN went REAL;
ALTER TABLE heat_event ADD COLUMN seen TEXT NOT NULL DEFAULT '';
ALTER TABLE heat_event ADD COLUMN series TEXT;
-- What the odometer or the hour meter read, and how far it had come where it was exchanged or turned over in between.
ALTER TABLE heat_event ADD COLUMN reads REAL;
ALTER TABLE heat_event ADD COLUMN unit TEXT;
ALTER TABLE heat_event ADD COLUMN jump_from REAL;
ALTER TABLE heat_event ADD COLUMN jump_to REAL;
-- At which figure a nut broke away when it was gone over again.
ALTER TABLE bench_event ADD COLUMN broke_nm REAL;
