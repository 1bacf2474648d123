-- What was read at a pull: torque at the wrench, the angle it turned through, the instrument that told it and its own
-- name of the reading. Empty where nothing was read.
ALTER TABLE bench_event ADD COLUMN read_nm REAL;
ALTER TABLE bench_event ADD COLUMN turned_deg REAL;
ALTER TABLE bench_event ADD COLUMN instrument TEXT;
ALTER TABLE bench_event ADD COLUMN reading_id TEXT;

-- One reading is one pull of its round, also where the instrument sends it again after the program was started anew; and
-- it is looked for in all of them, for a wrench may be heard at two benches.
CREATE UNIQUE INDEX bench_event_by_reading ON bench_event (reading_id, tightening_id) WHERE reading_id IS NOT NULL;
