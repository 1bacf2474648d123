-- A length that was read wrong is taken back by a line of its own, as every other line is.
ALTER TABLE bolt_reading ADD COLUMN strikes_id TEXT REFERENCES bolt_reading (id);
CREATE INDEX bolt_reading_by_struck ON bolt_reading (strikes_id) WHERE strikes_id IS NOT NULL;

-- Why a set of bolts is set aside; empty of one that is worked with.
ALTER TABLE bolt_set ADD COLUMN aside TEXT NOT NULL DEFAULT '';
