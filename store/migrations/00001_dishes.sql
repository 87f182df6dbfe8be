-- +goose Up
CREATE TABLE dishes (
  id       TEXT PRIMARY KEY,
  created  TEXT NOT NULL,
  changed  TEXT NOT NULL,
  edit     INTEGER NOT NULL,  -- grows with every change; what optimistic locking compares
  revision INTEGER NOT NULL   -- number of the revision that is current
) STRICT;

CREATE TABLE revisions (
  dish    TEXT NOT NULL REFERENCES dishes (id),
  number  INTEGER NOT NULL,
  parent  INTEGER,            -- the revision it was made from; NULL for the first
  made    TEXT NOT NULL,
  what    TEXT NOT NULL,      -- in a few words, what the cook did
  body    TEXT NOT NULL,      -- the document as JSON
  PRIMARY KEY (dish, number)
) STRICT;

CREATE VIRTUAL TABLE dish_search USING fts5 (dish UNINDEXED, name, place, body, tokenize = 'unicode61 remove_diacritics 2');

-- +goose StatementBegin
CREATE TRIGGER revisions_are_kept BEFORE UPDATE ON revisions
BEGIN
  SELECT RAISE(ABORT, 'revisions are append-only');
END;
-- +goose StatementEnd

-- +goose Down
DROP TABLE dish_search;
DROP TABLE revisions;
DROP TABLE dishes;
