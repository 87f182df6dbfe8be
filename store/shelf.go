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
	Stamp       string
	Region      string
	Swaps, Open int
	// Allergens and Rules are those of the adaptation, the rules those that it keeps;
	// Uses are the foods of the original, Needs those of the adaptation.
	Allergens, Rules, Uses, Needs []string
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
	_, err := tx.ExecContext(ctx, `UPDATE shelf SET region = ?, swaps = ?, open = ?, allergens = ?, rules = ?, uses = ?, needs = ?, stamp = ?, body = ? WHERE dish = ? AND edit = ?`,
		m.Region, m.Swaps, m.Open, barred(m.Allergens), barred(m.Rules), barred(m.Uses), barred(m.Needs), m.Stamp, string(m.Body), id, edit)
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
	return s.inTx(ctx, func(tx *sql.Tx) error {
		for i := range dishes {
			if err := keepSummary(ctx, tx, dishes[i].ID, dishes[i].Edit, of[i]); err != nil {
				return err
			}
		}
		return nil
	})
}

// SaveTables keeps what the tables say of every dish; of those that are not named they
// say nothing.
func (s *Store) SaveTables(ctx context.Context, of map[string]AtTable) error {
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

// Shelved is a dish as it stands on the shelf.
type Shelved struct {
	Number                                  int64
	ID, Name, Place, Country, Region, State string
	Changed                                 string
	Family, Variant                         string
	Labels                                  []string
	Swaps, Open, Trials                     int
	Liking                                  *float64
	Allergens, Needs                        []string
	Picture                                 string
	Stale, Away                             bool
	Body                                    json.RawMessage
}

// Wanted is what is looked for on the shelf; what is empty does not count.
type Wanted struct {
	Words                          string
	Country, Region, State, Family string
	// Without are allergens that it must not hold, Rules those that it must keep.
	Without, Rules, Labels []string
	Eater, Uses            string
	// Away asks for what was put away, instead of all else; Gone for what was taken
	// away for good and can still be brought back.
	Away, Gone bool
	Sort       Sorting
	From, Most int
	// Stamp names the present knowledge.
	Stamp string
}

// Sorting is the order of a shelf.
type Sorting string

// The orders of a shelf. A search without one is by how well its words fit.
const (
	ByChanged Sorting = "changed"
	ByName    Sorting = "name"
	ByPlace   Sorting = "place"
	ByLiking  Sorting = "liking"
)

var orders = map[Sorting]string{
	ByChanged: "s.changed DESC, s.number DESC", ByName: "s.folded, s.number", ByPlace: "s.place = '', s.place COLLATE NOCASE, s.folded, s.number", ByLiking: "s.liking IS NULL, s.liking DESC, s.changed DESC, s.number",
}

// Sorted tells whether there is such an order.
func Sorted(by Sorting) bool { return orders[by] != "" }

const shelfColumns = `s.number, s.dish, s.name, s.place, s.country, s.region, s.state, s.changed, s.family, s.variant, s.labels, s.swaps, s.open, s.trials, s.liking, s.allergens, s.needs, s.picture, s.stamp, s.away, s.body`

// where is what a shelf is narrowed down by, as SQL with its values.
func (w *Wanted) where() (string, []any) {
	conditions, values := []string{"s.gone = ?", "s.away = ?"}, []any{w.Gone, w.Away}
	if w.Gone {
		conditions, values = conditions[:1], values[:1]
	}
	is := func(column, value string) {
		if value != "" {
			conditions, values = append(conditions, column+" = ?"), append(values, value)
		}
	}
	is("s.country", w.Country)
	is("s.region", w.Region)
	is("s.state", w.State)
	holds := func(column, name string, yes bool) {
		condition := "instr(" + column + ", ?) > 0"
		if !yes {
			condition = "instr(" + column + ", ?) = 0 AND s.stamp <> ''"
		}
		conditions, values = append(conditions, condition), append(values, "|"+name+"|")
	}
	for _, a := range w.Without {
		holds("s.allergens", a, false)
	}
	for _, r := range w.Rules {
		holds("s.rules", r, true)
	}
	for _, l := range w.Labels {
		holds("s.labels", l, true)
	}
	if w.Eater != "" {
		holds("s.eaters", w.Eater, true)
	}
	if w.Uses != "" {
		holds("s.uses", w.Uses, true)
	}
	if w.Family != "" {
		conditions, values = append(conditions, "(s.family = ? OR s.dish = ?)"), append(values, w.Family, w.Family)
	}
	return strings.Join(conditions, " AND "), values
}

// terms are the words of a search as they are looked up: each may be the beginning of
// one.
func terms(text string) string {
	var out []string
	for _, w := range strings.FieldsFunc(text, func(r rune) bool { return unicode.IsSpace(r) || unicode.IsControl(r) }) {
		if len(out) == mostTerms {
			break
		}
		out = append(out, `"`+strings.ReplaceAll(w, `"`, `""`)+`"*`)
	}
	return strings.Join(out, " ")
}

// mostTerms is how many words of a search count.
const mostTerms = 20

// Shelf lists dishes, a page of them, and how many there are in all.
func (s *Store) Shelf(ctx context.Context, w Wanted) ([]Shelved, int, error) {
	where, values := w.where()
	from := ` FROM shelf s`
	order := orders[w.Sort]
	if order == "" {
		order = orders[ByChanged]
	}
	if match := terms(w.Words); match != "" {
		from = ` FROM shelf_search f JOIN shelf s ON s.number = f.rowid`
		where, values = "shelf_search MATCH ? AND "+where, append([]any{match}, values...)
		if w.Sort == "" {
			order = "bm25(shelf_search, 10, 4, 1), s.number"
		}
	}
	var all int
	if err := s.read.QueryRowContext(ctx, `SELECT count(*)`+from+` WHERE `+where, values...).Scan(&all); err != nil {
		return nil, 0, fmt.Errorf("count the shelf: %w", err)
	}
	// The rows are found first, and what is drawn of them fetched for the page alone.
	list := []Shelved{}
	numbers := `SELECT s.number` + from + ` WHERE ` + where + ` ORDER BY ` + order + ` LIMIT ? OFFSET ?`
	rows := []int64{}
	err := each(ctx, s.read, numbers, func(scan func(...any) error) error {
		var n int64
		err := scan(&n)
		rows = append(rows, n)
		return err
	}, append(values, w.Most, w.From)...)
	if err != nil {
		return nil, 0, err
	}
	for _, n := range rows {
		x, err := s.shelved(ctx, `s.number = ?`, w.Stamp, n)
		if errors.Is(err, ErrNotFound) {
			continue // it went meanwhile
		}
		if err != nil {
			return nil, 0, err
		}
		list = append(list, x)
	}
	return list, all, nil
}

// ShelvedDish is what the shelf shows of one dish.
func (s *Store) ShelvedDish(ctx context.Context, id, stamp string) (Shelved, error) {
	return s.shelved(ctx, `s.dish = ?`, stamp, id)
}

func (s *Store) shelved(ctx context.Context, where, stamp string, value any) (Shelved, error) {
	var x Shelved
	var labels, allergens, needs, own, body string
	row := s.read.QueryRowContext(ctx, `SELECT `+shelfColumns+` FROM shelf s WHERE `+where, value)
	err := row.Scan(&x.Number, &x.ID, &x.Name, &x.Place, &x.Country, &x.Region, &x.State, &x.Changed, &x.Family, &x.Variant, &labels, &x.Swaps, &x.Open, &x.Trials, &x.Liking, &allergens, &needs, &x.Picture, &own, &x.Away, &body)
	if errors.Is(err, sql.ErrNoRows) {
		return x, ErrNotFound
	}
	if err != nil {
		return x, fmt.Errorf("read the shelf: %w", err)
	}
	x.Labels, x.Allergens, x.Needs, x.Stale, x.Body = listed(labels), listed(allergens), listed(needs), own != stamp, json.RawMessage(body)
	return x, nil
}

func listed(bars string) []string {
	if bars = strings.Trim(bars, "|"); bars == "" {
		return []string{}
	}
	return strings.Split(bars, "|")
}

// Needed are the foods that every dish of a shelf needs, to be held against what is in
// the house: by its number.
func (s *Store) Needed(ctx context.Context, w Wanted) (map[int64][]string, error) {
	where, values := w.where()
	out := map[int64][]string{}
	err := each(ctx, s.read, `SELECT s.number, s.needs FROM shelf s WHERE `+where, func(scan func(...any) error) error {
		var n int64
		var needs string
		err := scan(&n, &needs)
		out[n] = listed(needs)
		return err
	}, values...)
	return out, err
}

// Numbered is the shelf's row of a number.
func (s *Store) Numbered(ctx context.Context, number int64, stamp string) (Shelved, error) {
	return s.shelved(ctx, `s.number = ?`, stamp, number)
}

// Count is how many dishes there are of a value of a column, away and gone left out:
// "country", "region", "state".
func (s *Store) Count(ctx context.Context, column string) (map[string]map[string]int, error) {
	if column != "country" && column != "region" {
		return nil, fmt.Errorf("count the shelf by %q: no such column", column)
	}
	out := map[string]map[string]int{}
	err := each(ctx, s.read, `SELECT `+column+`, state, count(*) FROM shelf WHERE gone = 0 AND away = 0 GROUP BY 1, 2`, func(scan func(...any) error) error {
		var value, state string
		var n int
		err := scan(&value, &state, &n)
		if out[value] == nil {
			out[value] = map[string]int{}
		}
		out[value][state] = n
		return err
	})
	return out, err
}

// Names that dishes carry, with how often: labels, or those who ate.
func (s *Store) Names(ctx context.Context, column string) ([]string, error) {
	if column != "labels" && column != "eaters" {
		return nil, fmt.Errorf("list the names of the shelf by %q: no such column", column)
	}
	seen := map[string]bool{}
	out := []string{}
	err := each(ctx, s.read, `SELECT DISTINCT `+column+` FROM shelf WHERE gone = 0 AND `+column+` <> ''`, func(scan func(...any) error) error {
		var bars string
		err := scan(&bars)
		for _, name := range listed(bars) {
			if !seen[name] {
				seen[name] = true
				out = append(out, name)
			}
		}
		return err
	})
	return out, err
}

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
				`DELETE FROM shelf_search WHERE rowid = (SELECT number FROM shelf WHERE dish = ?)`, `DELETE FROM shelf WHERE dish = ?`, `DELETE FROM pictures WHERE kind = 'dish' AND about = ?`,
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
