package store

import (
	"context"
	"crypto/rand"
	"crypto/sha256"
	"database/sql"
	"encoding/base64"
	"encoding/hex"
	"errors"
	"fmt"
	"time"

	"github.com/google/uuid"
)

// Session is a screen that has signed in.
type Session struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	// Made and Seen are in milliseconds since 1970.
	Made int64  `json:"made"`
	Seen int64  `json:"seen"`
	CSRF string `json:"-"`
}

// Link is a guest's link: it opens one thing, until a time.
type Link struct {
	ID    string `json:"id"`
	Kind  string `json:"kind"`
	About string `json:"about"`
	Name  string `json:"name"`
	Made  int64  `json:"made"`
	Until int64  `json:"until"`
	// Used is how often it was opened.
	Used int64 `json:"used"`
}

// SessionFor is how long a screen stays signed in that is not seen.
const SessionFor = 30 * 24 * time.Hour

// seenEvery is how often it is written down that a screen was seen.
const seenEvery = time.Minute

// tokenBytes is how long a token is.
const tokenBytes = 32

// drawToken draws a token; the store keeps only its hash.
func drawToken() (token, hash string, err error) {
	raw := make([]byte, tokenBytes)
	if _, err := rand.Read(raw); err != nil {
		return "", "", fmt.Errorf("draw a token: %w", err)
	}
	token = base64.RawURLEncoding.EncodeToString(raw)
	return token, hashed(token), nil
}

func hashed(token string) string {
	sum := sha256.Sum256([]byte(token))
	return hex.EncodeToString(sum[:])
}

type screenKey struct{}

// WithScreen tells which screen works in a context.
func WithScreen(ctx context.Context, name string) context.Context {
	return context.WithValue(ctx, screenKey{}, name)
}

// ScreenOf is the screen that works in a context, empty on the machine itself.
func ScreenOf(ctx context.Context) string {
	name, _ := ctx.Value(screenKey{}).(string)
	return name
}

// SignIn makes a session for a screen and returns its token, which is kept
// nowhere.
func (s *Store) SignIn(ctx context.Context, name string) (Session, string, error) {
	id, err := uuid.NewV7()
	if err != nil {
		return Session{}, "", fmt.Errorf("make an id: %w", err)
	}
	token, hash, err := drawToken()
	if err != nil {
		return Session{}, "", err
	}
	csrf, _, err := drawToken()
	if err != nil {
		return Session{}, "", err
	}
	now := s.now().UnixMilli()
	made := Session{ID: id.String(), Name: name, Made: now, Seen: now, CSRF: csrf}
	err = s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM sessions WHERE seen < ?`, now-SessionFor.Milliseconds()); err != nil {
			return fmt.Errorf("forget old sessions: %w", err)
		}
		if _, err := tx.ExecContext(ctx, `INSERT INTO sessions (id, token, csrf, name, made, seen) VALUES (?, ?, ?, ?, ?, ?)`, made.ID, hash, csrf, name, now, now); err != nil {
			return fmt.Errorf("keep the session: %w", err)
		}
		return nil
	})
	return made, token, err
}

// SessionOf is the session of a token; ErrNoEntry when there is none, or it is
// too old.
func (s *Store) SessionOf(ctx context.Context, token string) (Session, error) {
	var x Session
	err := s.read.QueryRowContext(ctx, `SELECT id, csrf, name, made, seen FROM sessions WHERE token = ?`, hashed(token)).Scan(&x.ID, &x.CSRF, &x.Name, &x.Made, &x.Seen)
	now := s.now().UnixMilli()
	switch {
	case errors.Is(err, sql.ErrNoRows), err == nil && x.Seen < now-SessionFor.Milliseconds():
		return Session{}, ErrNoEntry
	case err != nil:
		return Session{}, fmt.Errorf("read the session: %w", err)
	}
	if now-x.Seen > seenEvery.Milliseconds() {
		if _, err := s.write.ExecContext(ctx, `UPDATE sessions SET seen = ? WHERE id = ?`, now, x.ID); err != nil {
			return Session{}, fmt.Errorf("keep the session: %w", err)
		}
	}
	return x, nil
}

// Sessions lists the screens that are signed in, the newest first.
func (s *Store) Sessions(ctx context.Context) ([]Session, error) {
	list := []Session{}
	err := each(ctx, s.read, `SELECT id, name, made, seen FROM sessions WHERE seen >= ? ORDER BY made DESC, id DESC`, func(scan func(...any) error) error {
		var x Session
		err := scan(&x.ID, &x.Name, &x.Made, &x.Seen)
		list = append(list, x)
		return err
	}, s.now().UnixMilli()-SessionFor.Milliseconds())
	return list, err
}

// SignOut ends a session; all of them where id is empty.
func (s *Store) SignOut(ctx context.Context, id string) error {
	return s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM sessions WHERE id = ? OR ? = ''`, id, id); err != nil {
			return fmt.Errorf("sign out: %w", err)
		}
		return nil
	})
}

// MakeLink makes a guest's link and returns its token, which is kept nowhere.
func (s *Store) MakeLink(ctx context.Context, kind, about, name string, lasts time.Duration) (Link, string, error) {
	id, err := uuid.NewV7()
	if err != nil {
		return Link{}, "", fmt.Errorf("make an id: %w", err)
	}
	token, hash, err := drawToken()
	if err != nil {
		return Link{}, "", err
	}
	now := s.now()
	l := Link{ID: id.String(), Kind: kind, About: about, Name: name, Made: now.UnixMilli(), Until: now.Add(lasts).UnixMilli()}
	err = s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `INSERT INTO links (id, token, kind, about, name, made, until) VALUES (?, ?, ?, ?, ?, ?, ?)`, l.ID, hash, kind, about, name, l.Made, l.Until); err != nil {
			return fmt.Errorf("keep the link: %w", err)
		}
		return nil
	})
	return l, token, err
}

// LinkOf is the link of a token; ErrNoEntry when there is none or its time is up.
// opened counts it.
func (s *Store) LinkOf(ctx context.Context, token string, opened bool) (Link, error) {
	var l Link
	err := s.read.QueryRowContext(ctx, `SELECT id, kind, about, name, made, until, used FROM links WHERE token = ?`, hashed(token)).Scan(&l.ID, &l.Kind, &l.About, &l.Name, &l.Made, &l.Until, &l.Used)
	if errors.Is(err, sql.ErrNoRows) || err == nil && l.Until <= s.now().UnixMilli() {
		return Link{}, ErrNoEntry
	}
	if err != nil {
		return l, fmt.Errorf("read the link: %w", err)
	}
	if opened {
		if _, err := s.write.ExecContext(ctx, `UPDATE links SET used = used + 1 WHERE id = ?`, l.ID); err != nil {
			return l, fmt.Errorf("count the link: %w", err)
		}
	}
	return l, nil
}

// Links lists the links that still open something, the newest first.
func (s *Store) Links(ctx context.Context) ([]Link, error) {
	list := []Link{}
	err := each(ctx, s.read, `SELECT id, kind, about, name, made, until, used FROM links WHERE until > ? ORDER BY made DESC, id DESC`, func(scan func(...any) error) error {
		var l Link
		err := scan(&l.ID, &l.Kind, &l.About, &l.Name, &l.Made, &l.Until, &l.Used)
		list = append(list, l)
		return err
	}, s.now().UnixMilli())
	return list, err
}

// TakeLinkBack makes a link open nothing any more.
func (s *Store) TakeLinkBack(ctx context.Context, id string) error {
	return s.inTx(ctx, func(tx *sql.Tx) error {
		if _, err := tx.ExecContext(ctx, `DELETE FROM links WHERE id = ?`, id); err != nil {
			return fmt.Errorf("take the link back: %w", err)
		}
		return nil
	})
}

// Past is one revision of a dish, as its history tells of it.
type Past struct {
	Number int64  `json:"number"`
	Made   string `json:"made"`
	What   string `json:"what"`
	Screen string `json:"screen"`
	// Now tells that it is the one that counts.
	Now bool `json:"now"`
}

// mostPast is how many revisions a history tells of.
const mostPast = 200

// Past lists the revisions of a dish, the newest first.
func (s *Store) Past(ctx context.Context, dish string) ([]Past, error) {
	list := []Past{}
	err := each(ctx, s.read, `SELECT r.number, r.made, r.what, r.screen, r.number = d.revision FROM revisions r JOIN dishes d ON d.id = r.dish WHERE r.dish = ? ORDER BY r.number DESC LIMIT ?`, func(scan func(...any) error) error {
		var p Past
		err := scan(&p.Number, &p.Made, &p.What, &p.Screen, &p.Now)
		list = append(list, p)
		return err
	}, dish, mostPast)
	return list, err
}
