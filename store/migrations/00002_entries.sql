-- +goose Up
-- What a cook says about the kitchen itself: foods corrected or added, and
-- the kitchen's settings. The newest row of a kind and key counts; a row
-- without a body takes what stood before back.
CREATE TABLE entries (
  number INTEGER PRIMARY KEY AUTOINCREMENT,
  kind   TEXT NOT NULL,   -- 'food' or 'kitchen'
  key    TEXT NOT NULL,   -- the food's id, or 'settings'
  made   TEXT NOT NULL,
  body   TEXT             -- JSON
) STRICT;

CREATE INDEX entries_by_key ON entries (kind, key, number);

-- +goose StatementBegin
CREATE TRIGGER entries_are_kept BEFORE UPDATE ON entries
BEGIN
  SELECT RAISE(ABORT, 'entries are append-only');
END;
-- +goose StatementEnd

-- +goose Down
DROP TABLE entries;
