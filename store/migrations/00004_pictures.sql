-- +goose Up
-- Photographs of dishes and trials, as JPEG: shrunk and freed of hidden data before
-- they come here. One that was taken away stays, so that it can be brought back.
CREATE TABLE pictures (
  id     TEXT PRIMARY KEY,
  kind   TEXT NOT NULL,    -- 'dish' or 'trial'
  about  TEXT NOT NULL,    -- its id
  made   TEXT NOT NULL,
  width  INTEGER NOT NULL,
  height INTEGER NOT NULL,
  gone   INTEGER NOT NULL DEFAULT 0,
  body   BLOB NOT NULL,
  small  BLOB NOT NULL
) STRICT;

CREATE INDEX pictures_of ON pictures (kind, about, made);

-- +goose Down
DROP TABLE pictures;
