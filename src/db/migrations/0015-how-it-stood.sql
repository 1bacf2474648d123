-- How an engine was left to cool after a run: in a closed shed, in the open, before a fan. Empty where nobody said.
ALTER TABLE heat_event ADD COLUMN stood TEXT;
