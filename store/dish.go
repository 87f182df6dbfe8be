package store

import (
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"time"

	"github.com/google/uuid"

	"yembra/core/recipe"
	"yembra/core/swap"
)

// Document is what a cook has entered and decided about one dish; profiles,
// methods and cards are computed from it.
type Document struct {
	Name string `json:"name"`
	// Place is where the dish is from, in the cook's words.
	Place string `json:"place"`
	// Country is the ISO 3166-1 numeric code, empty when not set.
	Country string `json:"country"`
	// Source is the recipe text as it came.
	Source    string         `json:"source"`
	Original  recipe.Dish    `json:"original"`
	Decisions swap.Decisions `json:"decisions"`
	// LastID is the last number that named a part, line or step of the original.
	// None is used twice, so that what was decided of a line that is gone never
	// falls to another.
	LastID int `json:"lastId"`
	// Base is the trial that the cook went back to and goes on from.
	Base *Base `json:"base,omitempty" jsonschema:"nullable"`
	// Variant tells that it is another school of a dish.
	Variant *Variant `json:"variant,omitempty" jsonschema:"nullable"`
	// From says whose recipe it was; Labels are the cook's own.
	From   string   `json:"from,omitempty"`
	Labels []string `json:"labels,omitempty"`
	// Notes are the cook's words on the dish, under "", and on lines and steps by their
	// lasting names.
	Notes map[string]string `json:"notes,omitempty"`
	// Disputed are points on which cooks of the dish disagree, and what was chosen here.
	Disputed []Disputed `json:"disputed,omitempty"`
	// Settled tells that nothing more is to be changed.
	Settled bool `json:"settled,omitempty"`
}

// Disputed is a point on which cooks disagree: what is asked, what this kitchen chose,
// and why.
type Disputed struct {
	Point  string `json:"point"`
	Chosen string `json:"chosen"`
	Why    string `json:"why"`
}

// Base is a trial gone back to, and when.
type Base struct {
	Trial string `json:"trial"`
	At    int64  `json:"at"`
}

// Variant is a school of a dish: of which dish, under what name.
type Variant struct {
	Of   string `json:"of"`
	Name string `json:"name"`
}

// Settle gives what has none yet a lasting name in the original and hangs the
// decisions on these names. A document of a time before there were names, in
// which all hung on places, is brought over by this when it is read.
func (d *Document) Settle() {
	d.LastID = d.Original.Identify(d.LastID)
	d.Decisions = d.Decisions.Kept(&d.Original)
	names := d.Original.Names()
	for i := range d.Original.Components {
		for j := range d.Original.Components[i].Steps {
			mends := d.Original.Components[i].Steps[j].Mends
			for k := range mends {
				if id, ok := names.ID(mends[k].Line); ok {
					mends[k].Line = id
				}
			}
		}
	}
	notices := []recipe.Notice{}
	for _, n := range d.Original.Notices {
		id, there := names.ID(n.Where)
		if there {
			n.Where = id
		}
		if there || !recipe.IsID(n.Where) {
			notices = append(notices, n)
		}
	}
	d.Original.Notices = notices
}

// Placed are the decisions by the places that the lines have now.
func (d *Document) Placed() swap.Decisions { return d.Decided(d.Decisions) }

// Decided is what is decided of the dish by the places that its lines have now, with what it is known to be besides.
func (d *Document) Decided(dec swap.Decisions) swap.Decisions {
	dec = dec.Placed(&d.Original)
	dec.Country = d.Country
	return dec
}

// Dish is a stored dish at its current revision.
type Dish struct {
	ID       string
	Created  time.Time
	Changed  time.Time
	Edit     int64
	Revision int64
	What     string
	// Screen is the one that made this revision.
	Screen  string
	CanUndo bool
	CanRedo bool
	// Away tells that it was put away, Gone that it was taken away for good.
	Away, Gone bool
	Document   Document
	// Damage says why the document cannot be read; empty where it can.
	Damage string
}

// Errors a caller decides on.
var (
	ErrNotFound = errors.New("no such dish")
	// ErrChanged tells that the dish was changed since the caller read it.
	ErrChanged = errors.New("the dish was changed meanwhile")
	ErrNothing = errors.New("nothing to undo or redo")
	// ErrDamaged tells that a dish is there and cannot be read.
	ErrDamaged = errors.New("the dish is damaged")
)

// readTheRecipe is what is kept of how a dish began: the key of a text, and no sentence.
const readTheRecipe = "@readTheRecipe"

// Create stores a new dish and returns it.
func (s *Store) Create(ctx context.Context, doc Document) (Dish, error) {
	id, err := uuid.NewV7()
	if err != nil {
		return Dish{}, fmt.Errorf("make an id: %w", err)
	}
	now := s.stamp()
	err = s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `INSERT INTO dishes (id, created, changed, edit, revision) VALUES (?, ?, ?, 1, 1)`, id.String(), now, now); err != nil {
			return fmt.Errorf("insert dish: %w", err)
		}
		if err := s.revise(ctx, tx, id.String(), 1, nil, readTheRecipe, doc); err != nil {
			return err
		}
		return s.shelve(ctx, tx, id.String(), doc)
	})
	if err != nil {
		return Dish{}, err
	}
	s.reread(ctx, id.String())
	s.tell(DishKept, id.String())
	return s.Dish(ctx, id.String())
}

func (s *Store) stamp() string { return s.now().UTC().Format(time.RFC3339Nano) }

func (s *Store) revise(ctx context.Context, tx *sql.Tx, id string, number int64, parent *int64, what string, doc Document) error {
	doc.Settle()
	doc.Original = doc.Original.Bare()
	body, err := json.Marshal(doc)
	if err != nil {
		return fmt.Errorf("encode document: %w", err)
	}
	_, err = tx.ExecContext(ctx, `INSERT INTO revisions (dish, number, parent, made, what, body, screen) VALUES (?, ?, ?, ?, ?, ?, ?)`, id, number, parent, s.stamp(), what, string(body), ScreenOf(ctx))
	if err != nil {
		return fmt.Errorf("insert revision: %w", err)
	}
	return nil
}

const selectDish = `SELECT d.id, d.created, d.changed, d.edit, d.revision, r.what, r.body, r.parent IS NOT NULL,
  EXISTS (SELECT 1 FROM revisions c WHERE c.dish = d.id AND c.parent = d.revision)
  , r.screen, d.away <> '', d.gone <> ''
  FROM dishes d JOIN revisions r ON r.dish = d.id AND r.number = d.revision`

func scan(row interface{ Scan(...any) error }) (Dish, error) {
	var d Dish
	var created, changed, body string
	if err := row.Scan(&d.ID, &created, &changed, &d.Edit, &d.Revision, &d.What, &body, &d.CanUndo, &d.CanRedo, &d.Screen, &d.Away, &d.Gone); err != nil {
		return Dish{}, err
	}
	var err1, err2 error
	d.Created, err1 = time.Parse(time.RFC3339Nano, created)
	d.Changed, err2 = time.Parse(time.RFC3339Nano, changed)
	if err := errors.Join(err1, err2, json.Unmarshal([]byte(body), &d.Document)); err != nil {
		d.Damage = fmt.Sprintf("What is kept of dish %s cannot be read: %v", d.ID, err)
		return d, nil
	}
	d.Document.Settle()
	d.Document.Original = d.Document.Original.Bare()
	return d, nil
}

// Dish returns a dish at its current revision; one that was taken away is not there.
func (s *Store) Dish(ctx context.Context, id string) (Dish, error) {
	d, err := scan(s.read.QueryRowContext(ctx, selectDish+` WHERE d.id = ? AND d.gone = ''`, id))
	if errors.Is(err, sql.ErrNoRows) {
		return Dish{}, ErrNotFound
	}
	if err == nil && d.Damage != "" {
		return d, fmt.Errorf("%w: %s", ErrDamaged, d.Damage)
	}
	return d, err
}

// RevisionOf is the document of a dish as it was at a revision.
func (s *Store) RevisionOf(ctx context.Context, id string, number int64) (Document, error) {
	var doc Document
	var body string
	err := s.read.QueryRowContext(ctx, `SELECT body FROM revisions WHERE dish = ? AND number = ?`, id, number).Scan(&body)
	if errors.Is(err, sql.ErrNoRows) {
		return doc, ErrNotFound
	}
	if err == nil {
		err = json.Unmarshal([]byte(body), &doc)
	}
	if err != nil {
		return doc, fmt.Errorf("read revision %d of dish %s: %w", number, id, err)
	}
	doc.Settle()
	doc.Original = doc.Original.Bare()
	return doc, nil
}

// Dishes lists all dishes but those that were taken away, the last changed first.
func (s *Store) Dishes(ctx context.Context) ([]Dish, error) {
	return s.query(ctx, selectDish+` WHERE d.gone = '' ORDER BY d.changed DESC, d.id`)
}

func (s *Store) query(ctx context.Context, query string, args ...any) ([]Dish, error) {
	rows, err := s.read.QueryContext(ctx, query, args...)
	if err != nil {
		return nil, fmt.Errorf("list dishes: %w", err)
	}
	defer rows.Close()
	var out []Dish
	for rows.Next() {
		d, err := scan(rows)
		if err != nil {
			return nil, err
		}
		out = append(out, d)
	}
	return out, rows.Err()
}
