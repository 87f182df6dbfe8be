package store

import (
	"context"
	"database/sql"
	"errors"
	"fmt"
)

// Picture is a photograph that is kept of a dish or a trial, without its points.
type Picture struct {
	ID     string `json:"id"`
	Kind   string `json:"kind"`
	About  string `json:"about"`
	Made   string `json:"made"`
	Width  int    `json:"width"`
	Height int    `json:"height"`
	// Gone tells that it was taken away.
	Gone bool `json:"gone"`
}

// PictureKept is told of a picture that came or went.
const PictureKept = "picture"

// SavePicture keeps a picture, large and small.
func (s *Store) SavePicture(ctx context.Context, p Picture, full, small []byte) error {
	if p.Made == "" {
		p.Made = s.stamp()
	}
	_, err := s.write.ExecContext(ctx, `INSERT INTO pictures (id, kind, about, made, width, height, gone, body, small) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`, p.ID, p.Kind, p.About, p.Made, p.Width, p.Height, p.Gone, full, small)
	if err != nil {
		return fmt.Errorf("keep a picture: %w", err)
	}
	s.tell(PictureKept, p.ID)
	return nil
}

const selectPictures = `SELECT id, kind, about, made, width, height, gone FROM pictures`

func pictures(ctx context.Context, from queryer, where string, args ...any) ([]Picture, error) {
	out := []Picture{}
	err := each(ctx, from, selectPictures+where, func(scan func(...any) error) error {
		var p Picture
		err := scan(&p.ID, &p.Kind, &p.About, &p.Made, &p.Width, &p.Height, &p.Gone)
		out = append(out, p)
		return err
	}, args...)
	return out, err
}

// Pictures are those of one thing, the oldest first, without what was taken away.
func (s *Store) Pictures(ctx context.Context, kind, about string) ([]Picture, error) {
	return pictures(ctx, s.read, ` WHERE kind = ? AND about = ? AND gone = 0 ORDER BY made, id`, kind, about)
}

// PictureBody is a picture as JPEG, small or large; also of one that was taken away,
// so that it can be looked at before it is brought back.
func (s *Store) PictureBody(ctx context.Context, id string, small bool) ([]byte, error) {
	column := "body"
	if small {
		column = "small"
	}
	return pictureBody(ctx, s.read, id, column)
}

func pictureBody(ctx context.Context, from interface {
	QueryRowContext(context.Context, string, ...any) *sql.Row
}, id, column string) ([]byte, error) {
	var body []byte
	err := from.QueryRowContext(ctx, `SELECT `+column+` FROM pictures WHERE id = ?`, id).Scan(&body)
	if errors.Is(err, sql.ErrNoRows) {
		return nil, ErrNoEntry
	}
	if err != nil {
		return nil, fmt.Errorf("read a picture: %w", err)
	}
	return body, nil
}

// TakePicture takes a picture away, or brings it back.
func (s *Store) TakePicture(ctx context.Context, id string, gone bool) error {
	done, err := s.write.ExecContext(ctx, `UPDATE pictures SET gone = ? WHERE id = ?`, gone, id)
	if err != nil {
		return fmt.Errorf("take a picture away: %w", err)
	}
	if n, err := done.RowsAffected(); err != nil || n == 0 {
		return errors.Join(err, ErrNoEntry)
	}
	s.tell(PictureKept, id)
	return nil
}

// FirstPictures are the first picture of each thing of a kind, by its id.
func (s *Store) FirstPictures(ctx context.Context, kind string) (map[string]string, error) {
	list, err := pictures(ctx, s.read, ` WHERE kind = ? AND gone = 0 ORDER BY made DESC, id DESC`, kind)
	out := map[string]string{}
	for _, p := range list {
		out[p.About] = p.ID
	}
	return out, err
}
