package store

import (
	"bytes"
	"context"
	"database/sql"
	"encoding/json"
	"fmt"
	"slices"
)

// History is a dish with all its revisions, as it is archived.
type History struct {
	ID string `json:"id"`
	// Sources are the texts of the recipe, each once; revisions point at them.
	Sources   []string   `json:"sources,omitempty"`
	Created   string     `json:"created"`
	Changed   string     `json:"changed"`
	Edit      int64      `json:"edit"`
	Revision  int64      `json:"revision"`
	Revisions []Revision `json:"revisions"`
	// Away and Gone are when it was put away, or taken away for good.
	Away string `json:"away,omitempty"`
	Gone string `json:"gone,omitempty"`
}

// Revision is one state of a dish; its body is the document as it was written,
// byte by byte.
type Revision struct {
	Number int64           `json:"number"`
	Parent *int64          `json:"parent"`
	Made   string          `json:"made"`
	What   string          `json:"what"`
	Body   json.RawMessage `json:"body"`
	// Screen is the one that made it.
	Screen string `json:"screen,omitempty"`
	// Source is the number of the text in the history, from 1, that was taken out
	// of the body; 0 where the body is whole.
	Source int `json:"source,omitempty"`
}

// sourceKey begins the text of the recipe in a body. Inside a string of JSON its
// quotes would be escaped, so that its first place is that of the field.
const sourceKey = `"source":`

// Pack takes the texts of the recipe, which most revisions repeat, out of the
// bodies.
func (h *History) Pack() {
	for i := range h.Revisions {
		r := &h.Revisions[i]
		at := bytes.Index(r.Body, []byte(sourceKey))
		if at < 0 || r.Source > 0 {
			continue
		}
		at += len(sourceKey)
		d := json.NewDecoder(bytes.NewReader(r.Body[at:]))
		var text json.RawMessage
		if d.Decode(&text) != nil || len(text) < 2 || text[0] != '"' {
			continue
		}
		known := slices.Index(h.Sources, string(text))
		if known < 0 {
			known = len(h.Sources)
			h.Sources = append(h.Sources, string(text))
		}
		r.Source = known + 1
		r.Body = slices.Concat(r.Body[:at], json.RawMessage(`""`), r.Body[at+len(text):])
	}
}

// Unpack puts the texts back where they were taken out.
func (h *History) Unpack() error {
	for i := range h.Revisions {
		r := &h.Revisions[i]
		if r.Source == 0 {
			continue
		}
		at := bytes.Index(r.Body, []byte(sourceKey+`""`))
		if at < 0 || r.Source < 0 || r.Source > len(h.Sources) {
			return fmt.Errorf("revision %d has lost its text", r.Number)
		}
		at += len(sourceKey)
		r.Body = slices.Concat(r.Body[:at], json.RawMessage(h.Sources[r.Source-1]), r.Body[at+2:])
		r.Source = 0
	}
	h.Sources = nil
	return nil
}

// EntryRow is an entry of the kitchen as it was kept, also one that a later
// one has replaced; a null body took something back.
type EntryRow struct {
	Kind string          `json:"kind"`
	Key  string          `json:"key"`
	Made string          `json:"made"`
	Body json.RawMessage `json:"body"`
	// Screen is the one that made it.
	Screen string `json:"screen,omitempty"`
}

// WholePicture is a picture as it is archived.
type WholePicture struct {
	Picture
	Full, Small []byte
}

// Taker is handed a kitchen, part by part.
type Taker struct {
	Entries func([]EntryRow) error
	Dish    func(History) error
	Picture func(WholePicture) error
}

// Export reads the whole kitchen as it is at one moment: first what it says of
// itself, then dish after dish, then picture after picture.
func (s *Store) Export(ctx context.Context, take Taker) error {
	tx, err := s.read.BeginTx(ctx, &sql.TxOptions{ReadOnly: true})
	if err != nil {
		return fmt.Errorf("begin reading: %w", err)
	}
	defer tx.Rollback() //nolint:errcheck // it only read
	rows, err := entryRows(ctx, tx)
	if err == nil {
		err = take.Entries(rows)
	}
	if err != nil {
		return err
	}
	var dishes []History
	err = each(ctx, tx, `SELECT id, created, changed, edit, revision, away, gone FROM dishes ORDER BY id`, func(scan func(...any) error) error {
		h := History{Revisions: []Revision{}}
		err := scan(&h.ID, &h.Created, &h.Changed, &h.Edit, &h.Revision, &h.Away, &h.Gone)
		dishes = append(dishes, h)
		return err
	})
	if err != nil {
		return err
	}
	for _, h := range dishes {
		if h.Revisions, err = revisions(ctx, tx, h.ID); err != nil {
			return err
		}
		if err := take.Dish(h); err != nil {
			return err
		}
	}
	list, err := pictures(ctx, tx, ` ORDER BY made, id`)
	if err != nil {
		return err
	}
	for _, p := range list {
		whole := WholePicture{Picture: p}
		if whole.Full, err = pictureBody(ctx, tx, p.ID, "body"); err != nil {
			return err
		}
		if whole.Small, err = pictureBody(ctx, tx, p.ID, "small"); err != nil {
			return err
		}
		if err := take.Picture(whole); err != nil {
			return err
		}
	}
	return nil
}

func revisions(ctx context.Context, tx *sql.Tx, dish string) ([]Revision, error) {
	var list []Revision
	err := each(ctx, tx, `SELECT number, parent, made, what, body, screen FROM revisions WHERE dish = ? ORDER BY number`, func(scan func(...any) error) error {
		var r Revision
		var body string
		err := scan(&r.Number, &r.Parent, &r.Made, &r.What, &body, &r.Screen)
		r.Body = json.RawMessage(body)
		list = append(list, r)
		return err
	}, dish)
	return list, err
}

func entryRows(ctx context.Context, tx *sql.Tx) ([]EntryRow, error) {
	list := []EntryRow{}
	err := each(ctx, tx, `SELECT kind, key, made, body, screen FROM entries ORDER BY number`, func(scan func(...any) error) error {
		var e EntryRow
		var body sql.NullString
		err := scan(&e.Kind, &e.Key, &e.Made, &body, &e.Screen)
		if body.Valid {
			e.Body = json.RawMessage(body.String)
		}
		list = append(list, e)
		return err
	})
	return list, err
}

// queryer is a database or a transaction on it.
type queryer interface {
	QueryContext(ctx context.Context, query string, args ...any) (*sql.Rows, error)
}

func each(ctx context.Context, tx queryer, query string, take func(scan func(...any) error) error, args ...any) error {
	rows, err := tx.QueryContext(ctx, query, args...)
	if err != nil {
		return fmt.Errorf("read the kitchen: %w", err)
	}
	defer rows.Close()
	for rows.Next() {
		if err := take(rows.Scan); err != nil {
			return fmt.Errorf("read the kitchen: %w", err)
		}
	}
	if err := rows.Err(); err != nil {
		return fmt.Errorf("read the kitchen: %w", err)
	}
	return nil
}
