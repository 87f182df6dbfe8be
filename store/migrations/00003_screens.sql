-- +goose Up
-- Which screen made a revision or an entry; empty on the machine itself.
ALTER TABLE revisions ADD COLUMN screen TEXT NOT NULL DEFAULT '';
ALTER TABLE entries ADD COLUMN screen TEXT NOT NULL DEFAULT '';

-- Screens that have signed in. A session is known by the hash of its token only.
CREATE TABLE sessions (
  id    TEXT PRIMARY KEY,
  token TEXT NOT NULL UNIQUE, -- SHA-256 of the token, hexadecimal
  csrf  TEXT NOT NULL,
  name  TEXT NOT NULL,
  made  INTEGER NOT NULL,     -- milliseconds since 1970
  seen  INTEGER NOT NULL
) STRICT;

-- Links for guests: each opens one thing until a time.
CREATE TABLE links (
  id    TEXT PRIMARY KEY,
  token TEXT NOT NULL UNIQUE, -- SHA-256 of the token, hexadecimal
  kind  TEXT NOT NULL,        -- 'card', 'day' or 'shopping'
  about TEXT NOT NULL,        -- the dish or day
  name  TEXT NOT NULL,
  made  INTEGER NOT NULL,
  until INTEGER NOT NULL,
  used  INTEGER NOT NULL DEFAULT 0
) STRICT;

-- +goose Down
DROP TABLE links;
DROP TABLE sessions;
ALTER TABLE entries DROP COLUMN screen;
ALTER TABLE revisions DROP COLUMN screen;
