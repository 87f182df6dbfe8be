// Package store keeps a kitchen in one SQLite file: dishes as documents of
// decisions with append-only revisions. Nothing is acknowledged before it is
// committed.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"time"

	"github.com/pressly/goose/v3"
	_ "modernc.org/sqlite" // the driver
)

//go:embed migrations/*.sql
var migrations embed.FS

// Store is an open kitchen. One connection writes, a pool of others reads.
type Store struct {
	write *sql.DB
	read  *sql.DB
	now   func() time.Time
}

// fileName is the kitchen's file within its data folder.
const fileName = "kitchen.db"

// Open opens the kitchen in a folder, making it when missing, and brings its
// schema up to date. now tells the time revisions are stamped with.
func Open(ctx context.Context, folder string, now func() time.Time) (*Store, error) {
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return nil, fmt.Errorf("make the data folder: %w", err)
	}
	path := filepath.Join(folder, fileName)
	write, err := connect(path, 1)
	if err != nil {
		return nil, err
	}
	if err := migrate(ctx, write); err != nil {
		return nil, errors.Join(err, write.Close())
	}
	read, err := connect(path, readers)
	if err != nil {
		return nil, errors.Join(err, write.Close())
	}
	return &Store{write: write, read: read, now: now}, nil
}

const readers = 4

// connect opens a pool whose every connection carries the pragmas.
func connect(path string, connections int) (*sql.DB, error) {
	pragmas := url.Values{"_pragma": {"journal_mode(WAL)", "foreign_keys(1)", "busy_timeout(5000)", "synchronous(FULL)"}, "_txlock": {"immediate"}}
	db, err := sql.Open("sqlite", "file:"+(&url.URL{Path: path}).EscapedPath()+"?"+pragmas.Encode())
	if err != nil {
		return nil, fmt.Errorf("open the kitchen: %w", err)
	}
	db.SetMaxOpenConns(connections)
	db.SetMaxIdleConns(connections)
	return db, nil
}

func migrate(ctx context.Context, db *sql.DB) error {
	folder, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return fmt.Errorf("read migrations: %w", err)
	}
	p, err := goose.NewProvider(goose.DialectSQLite3, db, folder)
	if err != nil {
		return fmt.Errorf("prepare migrations: %w", err)
	}
	if _, err := p.Up(ctx); err != nil {
		return fmt.Errorf("migrate the kitchen: %w", err)
	}
	return nil
}

// Close closes both pools.
func (s *Store) Close() error { return errors.Join(s.read.Close(), s.write.Close()) }

// inTx runs work in one write transaction.
func (s *Store) inTx(ctx context.Context, work func(*sql.Tx) error) error {
	tx, err := s.write.BeginTx(ctx, nil)
	if err != nil {
		return fmt.Errorf("begin: %w", err)
	}
	if err := work(tx); err != nil {
		return errors.Join(err, tx.Rollback())
	}
	if err := tx.Commit(); err != nil {
		return fmt.Errorf("commit: %w", err)
	}
	return nil
}

// Clear removes the kitchen's file from a folder, for a demo laid out afresh.
func Clear(folder string) error {
	for _, suffix := range []string{"", "-wal", "-shm"} {
		if err := os.Remove(filepath.Join(folder, fileName) + suffix); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return fmt.Errorf("clear the demo's folder: %w", err)
		}
	}
	return nil
}
