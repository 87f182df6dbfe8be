-- +goose Up
-- Dishes can be put away, and taken away for good; the latter can be brought back for
-- a while. Empty where neither was done.
ALTER TABLE dishes ADD COLUMN away TEXT NOT NULL DEFAULT '';
ALTER TABLE dishes ADD COLUMN gone TEXT NOT NULL DEFAULT '';

-- What a shelf shows of a dish, kept beside it so that no list computes anything. The
-- stamp names the knowledge it was worked out with; another than the present one is
-- stale. Lists of names stand between bars: |milk|nuts|.
CREATE TABLE shelf (
  number    INTEGER PRIMARY KEY,
  dish      TEXT NOT NULL UNIQUE,
  name      TEXT NOT NULL,
  folded    TEXT NOT NULL,           -- the name as it is sorted
  place     TEXT NOT NULL,
  country   TEXT NOT NULL,
  region    TEXT NOT NULL DEFAULT '',
  kitchen   TEXT NOT NULL DEFAULT '', -- the family of kitchens
  changed   TEXT NOT NULL,
  edit      INTEGER NOT NULL,
  family    TEXT NOT NULL DEFAULT '', -- the dish of which it is a variant
  variant   TEXT NOT NULL DEFAULT '',
  labels    TEXT NOT NULL DEFAULT '',
  swaps     INTEGER NOT NULL DEFAULT 0,
  open      INTEGER NOT NULL DEFAULT 0,
  lines     INTEGER NOT NULL DEFAULT 0,
  settled   INTEGER NOT NULL DEFAULT 0,
  allergens TEXT NOT NULL DEFAULT '',
  rules     TEXT NOT NULL DEFAULT '', -- house rules that it keeps
  stamp     TEXT NOT NULL DEFAULT '',
  trials    INTEGER NOT NULL DEFAULT 0,
  liking    REAL,
  eaters    TEXT NOT NULL DEFAULT '',
  picture   TEXT NOT NULL DEFAULT '',
  away      INTEGER NOT NULL DEFAULT 0,
  gone      INTEGER NOT NULL DEFAULT 0,
  state     TEXT NOT NULL GENERATED ALWAYS AS (CASE
    WHEN settled THEN 'settled' WHEN trials > 0 THEN 'tried' WHEN lines = 0 THEN 'original'
    WHEN open = 0 THEN 'decided' WHEN swaps > 0 THEN 'adapting' ELSE 'original' END) STORED
) STRICT;

-- What is fetched for a page alone stands apart, so that the shelf itself stays narrow.
CREATE TABLE shelf_more (
  number INTEGER PRIMARY KEY,
  uses   TEXT NOT NULL, -- foods of the original
  needs  TEXT NOT NULL, -- foods of the adaptation
  swaps  TEXT NOT NULL, -- the swaps that were chosen, each after the food it stands for: |butter=olive-oil|
  lives  TEXT NOT NULL, -- the traits that are strong in the original
  body   TEXT NOT NULL
) STRICT;

CREATE INDEX shelf_by_stamp ON shelf (stamp);
CREATE INDEX shelf_with_tables ON shelf (dish) WHERE trials > 0 OR liking IS NOT NULL OR eaters <> '' OR picture <> '';

INSERT INTO shelf (dish, name, folded, place, country, changed, edit, settled)
  SELECT d.id, coalesce(json_extract(r.body, '$.name'), ''), lower(coalesce(json_extract(r.body, '$.name'), '')), coalesce(json_extract(r.body, '$.place'), ''),
    coalesce(json_extract(r.body, '$.country'), ''), d.changed, d.edit, 0
  FROM dishes d JOIN revisions r ON r.dish = d.id AND r.number = d.revision WHERE json_valid(r.body);
INSERT INTO shelf (dish, name, folded, place, country, changed, edit, settled)
  SELECT d.id, '', '', '', '', d.changed, d.edit, 0 FROM dishes d WHERE d.id NOT IN (SELECT dish FROM shelf);

CREATE VIRTUAL TABLE shelf_search USING fts5 (name, place, body, prefix = '1 2 3', tokenize = 'unicode61 remove_diacritics 2');
INSERT INTO shelf_search (rowid, name, place, body)
  SELECT s.number, f.name, f.place, f.body FROM dish_search f JOIN shelf s ON s.dish = f.dish;
DROP TABLE dish_search;

-- +goose Down
CREATE VIRTUAL TABLE dish_search USING fts5 (dish UNINDEXED, name, place, body, tokenize = 'unicode61 remove_diacritics 2');
INSERT INTO dish_search (dish, name, place, body)
  SELECT s.dish, f.name, f.place, f.body FROM shelf_search f JOIN shelf s ON s.number = f.rowid;
DROP TABLE shelf_search;
DROP TABLE shelf_more;
DROP TABLE shelf;
ALTER TABLE dishes DROP COLUMN gone;
ALTER TABLE dishes DROP COLUMN away;
