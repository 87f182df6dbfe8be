package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"strings"
	"unicode"

	"golang.org/x/text/runes"
	"golang.org/x/text/transform"
	"golang.org/x/text/unicode/norm"
)

// Summary is what is worked out of a dish for the shelf.
type Summary struct {
	// Stamp names the knowledge that it was worked out with.
	Stamp              string
	Region, Kitchen    string
	Lines, Swaps, Open int
	// Allergens and Rules are those of the adaptation, the rules those that it keeps;
	// Uses are the foods of the original, Needs those of the adaptation.
	Allergens, Rules, Uses, Needs []string
	// Chosen are the swaps that were chosen, each after the food it stands for, with = between.
	Chosen []string
	// Lives are the traits that are strong in the original.
	Lives []string
	// Body is what a shelf draws of it.
	Body json.RawMessage
}

// AtTable is what the tables of a kitchen say of a dish.
type AtTable struct {
	Trials  int
	Liking  *float64
	Eaters  []string
	Picture string
}

// Summarise has the store work out what a shelf shows of a dish; it is set before the
// store is used. What is worked out is kept with the revision, all or nothing.
func (s *Store) Summarise(of func(Dish) Summary) { s.summarise = of }

// barred is a list of names as it is kept: |milk|nuts|.
func barred(names []string) string {
	if len(names) == 0 {
		return ""
	}
	return "|" + strings.Join(names, "|") + "|"
}

// Folded is a name as it is sorted: small letters without their marks.
func Folded(name string) string {
	out, _, err := transform.String(transform.Chain(norm.NFD, runes.Remove(runes.In(unicode.Mn)), norm.NFC), strings.ToLower(name))
	if err != nil {
		return strings.ToLower(name)
	}
	return out
}

// shelve keeps what the shelf shows of a dish that was just written.
func (s *Store) shelve(ctx context.Context, tx *sql.Tx, id string, doc Document) error {
	edit, err := shelveNamed(ctx, tx, id, doc)
	if err != nil || s.summarise == nil {
		return err
	}
	return keepSummary(ctx, tx, id, edit, s.summarise(Dish{ID: id, Edit: edit, Document: doc}))
}

// shelveNamed keeps what a document itself says, and leaves the rest to be worked out.
func shelveNamed(ctx context.Context, tx *sql.Tx, id string, doc Document) (edit int64, err error) {
	var changed string
	if err := tx.QueryRowContext(ctx, `SELECT changed, edit FROM dishes WHERE id = ?`, id).Scan(&changed, &edit); err != nil {
		return 0, fmt.Errorf("shelve dish: %w", err)
	}
	family, variant := "", ""
	if v := doc.Variant; v != nil {
		family, variant = v.Of, v.Name
	}
	var number int64
	err = tx.QueryRowContext(ctx, `INSERT INTO shelf (dish, name, folded, place, country, changed, edit, family, variant, labels, settled) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
		ON CONFLICT (dish) DO UPDATE SET name = excluded.name, folded = excluded.folded, place = excluded.place, country = excluded.country, changed = excluded.changed, edit = excluded.edit,
		family = excluded.family, variant = excluded.variant, labels = excluded.labels, settled = excluded.settled RETURNING number`,
		id, doc.Name, Folded(doc.Name), doc.Place, doc.Country, changed, edit, family, variant, barred(doc.Labels), doc.Settled).Scan(&number)
	if err != nil {
		return 0, fmt.Errorf("shelve dish: %w", err)
	}
	var words []string
	for _, c := range doc.Original.Components {
		for _, l := range c.Lines {
			words = append(words, l.Text)
		}
	}
	if _, err := tx.ExecContext(ctx, `INSERT OR REPLACE INTO shelf_search (rowid, name, place, body) VALUES (?, ?, ?, ?)`, number, doc.Name+" "+strings.Join(doc.Labels, " "), doc.Place, strings.Join(words, "\n")); err != nil {
		return 0, fmt.Errorf("index dish: %w", err)
	}
	if _, err := tx.ExecContext(ctx, `UPDATE shelf SET stamp = '' WHERE dish = ?`, id); err != nil {
		return 0, fmt.Errorf("shelve dish: %w", err)
	}
	return edit, nil
}

func keepSummary(ctx context.Context, tx *sql.Tx, id string, edit int64, m Summary) error {
	var number int64
	err := tx.QueryRowContext(ctx, `UPDATE shelf SET region = ?, kitchen = ?, lines = ?, swaps = ?, open = ?, allergens = ?, rules = ?, stamp = ? WHERE dish = ? AND edit = ? RETURNING number`,
		m.Region, m.Kitchen, m.Lines, m.Swaps, m.Open, barred(m.Allergens), barred(m.Rules), m.Stamp, id, edit).Scan(&number)
	if errors.Is(err, sql.ErrNoRows) {
		return nil // it was changed meanwhile, and is worked out again
	}
	if err == nil {
		_, err = tx.ExecContext(ctx, `INSERT OR REPLACE INTO shelf_more (number, uses, needs, swaps, lives, body) VALUES (?, ?, ?, ?, ?, ?)`, number, barred(m.Uses), barred(m.Needs), barred(m.Chosen), barred(m.Lives), string(m.Body))
	}
	if err != nil {
		return fmt.Errorf("keep what the shelf shows of dish %s: %w", id, err)
	}
	return nil
}

// Stale are dishes whose summaries were worked out with other knowledge than a stamp
// names, at most so many, and how many there are in all.
func (s *Store) Stale(ctx context.Context, stamp string, most int) ([]Dish, int, error) {
	var all int
	if err := s.read.QueryRowContext(ctx, `SELECT count(*) FROM shelf WHERE stamp <> ?`, stamp).Scan(&all); err != nil || all == 0 {
		return nil, all, err
	}
	list, err := s.query(ctx, selectDish+` JOIN shelf s ON s.dish = d.id WHERE s.stamp <> ? ORDER BY s.gone, s.away, s.changed DESC LIMIT ?`, stamp, most)
	return list, all, err
}

// Refreshed keeps summaries that were worked out anew, where the dish is still as it
// was.
func (s *Store) Refreshed(ctx context.Context, dishes []Dish, of []Summary) error {
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		for i := range dishes {
			if err := keepSummary(ctx, tx, dishes[i].ID, dishes[i].Edit, of[i]); err != nil {
				return err
			}
		}
		return nil
	})
	for i := range dishes {
		s.reread(ctx, dishes[i].ID)
	}
	return err
}

// SaveTables keeps what the tables say of every dish; of those that are not named they
// say nothing.
func (s *Store) SaveTables(ctx context.Context, of map[string]AtTable) error {
	defer s.rows.forget()
	return s.inTx(ctx, func(tx *sql.Tx) error {
		said := []string{}
		err := each(ctx, tx, `SELECT dish FROM shelf WHERE trials > 0 OR liking IS NOT NULL OR eaters <> '' OR picture <> ''`, func(scan func(...any) error) error {
			var id string
			err := scan(&id)
			said = append(said, id)
			return err
		})
		if err != nil {
			return err
		}
		for id := range of {
			said = append(said, id)
		}
		for _, id := range said {
			t := of[id]
			if _, err := tx.ExecContext(ctx, `UPDATE shelf SET trials = ?, liking = ?, eaters = ?, picture = ? WHERE dish = ?`, t.Trials, t.Liking, barred(t.Eaters), t.Picture, id); err != nil {
				return fmt.Errorf("keep what the tables say of dish %s: %w", id, err)
			}
		}
		return nil
	})
}

// The orders of a shelf. A search without one is by how well its words fit.
const (
	ByChanged Sorting = "changed"
	ByName    Sorting = "name"
	ByPlace   Sorting = "place"
	ByLiking  Sorting = "liking"
)

// PutAway puts dishes away, or back; Take takes them away for good, or brings them
// back, which can be done until they are Cleared.
func (s *Store) PutAway(ctx context.Context, ids []string, away bool) error {
	return s.mark(ctx, ids, "away", away)
}

// Take takes dishes away for good, or brings them back.
func (s *Store) Take(ctx context.Context, ids []string, gone bool) error {
	return s.mark(ctx, ids, "gone", gone)
}

func (s *Store) mark(ctx context.Context, ids []string, column string, on bool) error {
	at := ""
	if on {
		at = s.stamp()
	}
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		for _, id := range ids {
			done, err := tx.ExecContext(ctx, `UPDATE dishes SET `+column+` = ? WHERE id = ?`, at, id)
			if err != nil {
				return fmt.Errorf("put a dish away: %w", err)
			}
			if n, err := done.RowsAffected(); err != nil || n == 0 {
				return errors.Join(err, ErrNotFound)
			}
			if _, err := tx.ExecContext(ctx, `UPDATE shelf SET `+column+` = ? WHERE dish = ?`, on, id); err != nil {
				return fmt.Errorf("put a dish away: %w", err)
			}
		}
		return nil
	})
	s.rows.forget()
	for _, id := range ids {
		if err == nil {
			s.tell(DishKept, id)
		}
	}
	return err
}

// Cleared takes dishes that were taken away before a moment out of the file, with all
// their revisions, and counts them.
func (s *Store) Cleared(ctx context.Context, before string) (int, error) {
	defer s.rows.forget()
	n := 0
	err := s.inTx(ctx, func(tx *sql.Tx) error {
		n = 0
		var ids []string
		err := each(ctx, tx, `SELECT id FROM dishes WHERE gone <> '' AND gone < ?`, func(scan func(...any) error) error {
			var id string
			err := scan(&id)
			ids = append(ids, id)
			return err
		}, before)
		if err != nil {
			return err
		}
		for _, id := range ids {
			for _, query := range []string{
				`DELETE FROM shelf_search WHERE rowid = (SELECT number FROM shelf WHERE dish = ?)`, `DELETE FROM shelf_more WHERE number = (SELECT number FROM shelf WHERE dish = ?)`, `DELETE FROM shelf WHERE dish = ?`, `DELETE FROM pictures WHERE kind = 'dish' AND about = ?`,
				`DELETE FROM revisions WHERE dish = ?`, `DELETE FROM dishes WHERE id = ?`,
			} {
				if _, err := tx.ExecContext(ctx, query, id); err != nil {
					return fmt.Errorf("clear dish %s: %w", id, err)
				}
			}
			n++
		}
		return nil
	})
	return n, err
}
