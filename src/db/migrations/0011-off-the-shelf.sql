-- Wrenches, sources and trials that are no longer worked with although something hangs on them: why; empty of the rest.
ALTER TABLE wrench ADD COLUMN aside TEXT NOT NULL DEFAULT '';
ALTER TABLE source ADD COLUMN aside TEXT NOT NULL DEFAULT '';
ALTER TABLE film_trial ADD COLUMN aside TEXT NOT NULL DEFAULT '';
