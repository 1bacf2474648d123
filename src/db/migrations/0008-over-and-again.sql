-- Why a fastener that went over at its final figure was left so.
ALTER TABLE bench_event ADD COLUMN words TEXT;
