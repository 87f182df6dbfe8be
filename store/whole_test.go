package store

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

func opened(t *testing.T, folder string) *Store {
	t.Helper()
	s, err := Open(context.Background(), folder, time.Now)
	require.NoError(t, err)
	t.Cleanup(func() { _ = s.Close() })
	return s
}

func stew(n int) Document {
	return Document{Name: fmt.Sprint("Stew ", n), Source: strings.Repeat("a long page ", 2000), Original: recipe.Dish{Components: []recipe.Component{{Lines: []recipe.Line{{Name: "leek"}}}}}}
}

func TestAKitchenIsOpenInOneProgram(t *testing.T) {
	folder := t.TempDir()
	s := opened(t, folder)
	_, err := s.Create(context.Background(), stew(1))
	require.NoError(t, err)
	_, err = Open(context.Background(), folder, time.Now)
	require.ErrorIs(t, err, ErrInUse)
	require.Contains(t, err.Error(), fmt.Sprint("process ", os.Getpid()))
	require.ErrorIs(t, Clear(folder), ErrInUse, "nobody clears a kitchen that is open")

	reading, err := OpenToRead(context.Background(), folder, time.Now)
	require.NoError(t, err)
	list, err := reading.Dishes(context.Background())
	require.NoError(t, err)
	require.Len(t, list, 1)
	_, err = reading.Create(context.Background(), stew(2))
	require.ErrorIs(t, Cause(err), ErrReadOnly)
	require.NoError(t, reading.Close())

	require.NoError(t, s.Close())
	again := opened(t, folder)
	list, err = again.Dishes(context.Background())
	require.NoError(t, err)
	require.Len(t, list, 1)
	require.NoError(t, again.Close())
	require.True(t, Holds(folder))
	require.NoError(t, Clear(folder))
	require.False(t, Holds(folder))
	_, err = OpenToRead(context.Background(), folder, time.Now)
	require.ErrorIs(t, err, fs.ErrNotExist)
}

func TestANewerKitchenIsLeftAlone(t *testing.T) {
	folder := t.TempDir()
	s := opened(t, folder)
	_, err := s.write.Exec(`INSERT INTO goose_db_version (version_id, is_applied) VALUES (99999, 1)`)
	require.NoError(t, err)
	require.NoError(t, s.Close())
	before, err := os.ReadFile(filepath.Join(folder, fileName))
	require.NoError(t, err)
	for _, open := range []func(context.Context, string, func() time.Time) (*Store, error){Open, OpenToRead} {
		_, err = open(context.Background(), folder, time.Now)
		require.ErrorIs(t, err, ErrNewer)
		require.ErrorIs(t, Cause(err), ErrNewer)
	}
	after, err := os.ReadFile(filepath.Join(folder, fileName))
	require.NoError(t, err)
	require.Equal(t, before, after)

	empty := t.TempDir()
	require.NoError(t, os.WriteFile(filepath.Join(empty, fileName), nil, 0o600))
	_, err = OpenToRead(context.Background(), empty, time.Now)
	require.ErrorIs(t, err, ErrOlder)
}

// A full disk is said, loses nothing that was accepted, and is no longer in the
// way when there is room again.
func TestAFullDiskLosesNothing(t *testing.T) {
	ctx := context.Background()
	s := opened(t, t.TempDir())
	for round := range 10 {
		var pages int
		require.NoError(t, s.write.QueryRow(`PRAGMA page_count`).Scan(&pages))
		_, err := s.write.Exec(fmt.Sprintf(`PRAGMA max_page_count = %d`, pages+20))
		require.NoError(t, err)
		have, err := s.Dishes(ctx)
		require.NoError(t, err)
		kept := len(have)
		for n := range 40 {
			if _, err = s.Create(ctx, stew(n)); err != nil {
				break
			}
			kept++
		}
		require.ErrorIs(t, Cause(err), ErrFull, "round %d", round)
		have, err = s.Dishes(ctx)
		require.NoError(t, err, "reading goes on")
		require.Len(t, have, kept, "all that was accepted is there, and nothing half")
		_, err = s.write.Exec(`PRAGMA max_page_count = 1000000`)
		require.NoError(t, err)
		_, err = s.Create(ctx, stew(round))
		require.NoError(t, err, "it works again when there is room")
	}
	wrong, err := s.Check(ctx)
	require.NoError(t, err)
	require.Empty(t, wrong)
}

func TestCausesAreTold(t *testing.T) {
	require.ErrorIs(t, Cause(fmt.Errorf("write: %w", syscall.ENOSPC)), ErrFull)
	require.ErrorIs(t, Cause(fmt.Errorf("write: %w", syscall.EROFS)), ErrReadOnly)
	require.ErrorIs(t, Cause(fmt.Errorf("open: %w", os.ErrPermission)), ErrReadOnly)
	require.NoError(t, Cause(errors.New("something else")))
	require.NoError(t, Cause(nil))

	// Two that write at once: the second is told that it is busy.
	folder := t.TempDir()
	s := opened(t, folder)
	other, err := connect(filepath.Join(folder, fileName), 1)
	require.NoError(t, err)
	defer other.Close()
	_, err = other.Exec(`PRAGMA busy_timeout = 50`)
	require.NoError(t, err)
	tx, err := s.write.Begin()
	require.NoError(t, err)
	_, err = tx.Exec(`DELETE FROM entries`)
	require.NoError(t, err)
	_, err = other.Exec(`INSERT INTO entries (kind, key, made, body) VALUES ('food', 'x', '', '')`)
	require.ErrorIs(t, Cause(err), ErrBusy)
	require.NoError(t, tx.Rollback())
}

func TestDamageIsFound(t *testing.T) {
	ctx := context.Background()
	folder := t.TempDir()
	s := opened(t, folder)
	for n := range 30 {
		_, err := s.Create(ctx, stew(n))
		require.NoError(t, err)
	}
	wrong, err := s.Check(ctx)
	require.NoError(t, err)
	require.Empty(t, wrong)
	for _, statement := range []string{
		`DROP TRIGGER revisions_are_kept`,
		`UPDATE revisions SET body = '{"name":' WHERE dish = (SELECT min(id) FROM dishes)`,
		`DELETE FROM revisions WHERE dish = (SELECT max(id) FROM dishes)`,
		`INSERT INTO entries (kind, key, made, body) VALUES ('day', 'supper', '', '{')`,
	} {
		_, err := s.write.Exec(statement)
		require.NoError(t, err)
	}
	wrong, err = s.Check(ctx)
	require.NoError(t, err)
	require.Len(t, wrong, 3)
	for i, words := range []string{"lost its current state", "cannot be read", "day supper"} {
		require.Contains(t, wrong[i], words)
	}
	require.NoError(t, s.Close())

	// A file of which pages are overwritten.
	path := filepath.Join(folder, fileName)
	f, err := os.OpenFile(path, os.O_RDWR, 0o600)
	require.NoError(t, err)
	info, err := f.Stat()
	require.NoError(t, err)
	for at := int64(8 << 10); at < info.Size(); at += 16 << 10 {
		_, err = f.WriteAt([]byte(strings.Repeat("\xff", 4096)), at)
		require.NoError(t, err)
	}
	require.NoError(t, f.Close())
	reading, err := OpenToRead(ctx, folder, time.Now)
	if err == nil {
		wrong, err = reading.Check(ctx)
		require.NoError(t, reading.Close())
	}
	require.True(t, len(wrong) > 3 || errors.Is(Cause(err), ErrBroken), "%v %v", wrong, err)

	require.NoError(t, os.WriteFile(path, []byte(strings.Repeat("no kitchen ", 1000)), 0o600))
	_, err = Open(ctx, folder, time.Now)
	require.ErrorIs(t, Cause(err), ErrBroken)
}
