package replica_test

import (
	"context"
	"database/sql"
	"fmt"
	"net/http/httptest"
	"os"
	"path/filepath"
	"testing"
	"time"

	"github.com/johannesboyne/gofakes3"
	"github.com/johannesboyne/gofakes3/backend/s3mem"
	"github.com/stretchr/testify/require"
	_ "modernc.org/sqlite"

	"yembra/replica"
)

// places gives a folder and a store that speaks S3, both of this test alone.
func places(t *testing.T) map[string]string {
	t.Helper()
	backend := s3mem.New()
	require.NoError(t, backend.CreateBucket("kitchens"))
	server := httptest.NewServer(gofakes3.New(backend).Server())
	t.Cleanup(server.Close)
	t.Setenv("AWS_CA_BUNDLE", "")
	t.Setenv("AWS_ACCESS_KEY_ID", "tidewater")
	t.Setenv("AWS_SECRET_ACCESS_KEY", "supper")
	return map[string]string{"folder": filepath.Join(t.TempDir(), "copy"), "s3": "s3://kitchens/harbour?endpoint=" + server.URL}
}

// kitchen opens a small kitchen's file as the store does.
func kitchen(t *testing.T, folder string) *sql.DB {
	t.Helper()
	require.NoError(t, os.MkdirAll(folder, 0o700))
	db, err := sql.Open("sqlite", "file:"+filepath.Join(folder, "kitchen.db")+"?_pragma=journal_mode(WAL)&_pragma=busy_timeout(5000)")
	require.NoError(t, err)
	db.SetMaxOpenConns(1)
	_, err = db.Exec("CREATE TABLE IF NOT EXISTS dish (n INTEGER PRIMARY KEY, name TEXT)")
	require.NoError(t, err)
	return db
}

func cook(t *testing.T, db *sql.DB, from, upto int) {
	t.Helper()
	for n := from; n < upto; n++ {
		_, err := db.Exec("INSERT INTO dish VALUES (?, ?)", n, fmt.Sprintf("dish %d", n))
		require.NoError(t, err)
	}
}

func dishes(t *testing.T, db *sql.DB) (n int) {
	t.Helper()
	require.NoError(t, db.QueryRow("SELECT count(*) FROM dish").Scan(&n))
	return n
}

func never(t *testing.T) func(error) {
	return func(err error) { t.Errorf("the kitchen was lost: %v", err) }
}

func TestAKitchenGoesOnElsewhere(t *testing.T) {
	for name, where := range places(t) {
		t.Run(name, func(t *testing.T) {
			ctx, first, second := context.Background(), filepath.Join(t.TempDir(), "first"), filepath.Join(t.TempDir(), "second")
			require.ErrorIs(t, replica.TakeOver(ctx, second, where, false), replica.ErrNothingThere)

			s, err := replica.Start(ctx, first, where, never(t))
			require.NoError(t, err)
			db := kitchen(t, first)
			cook(t, db, 0, 200)
			require.NoError(t, db.Close())
			require.NoError(t, s.Close())

			require.ErrorIs(t, replica.TakeOver(ctx, first, where, false), replica.ErrKitchenHere)
			require.NoError(t, replica.TakeOver(ctx, second, where, false))
			s, err = replica.Start(ctx, second, where, never(t))
			require.NoError(t, err)
			db = kitchen(t, second)
			require.Equal(t, 200, dishes(t, db))
			cook(t, db, 200, 300)
			require.NoError(t, db.Close())
			require.NoError(t, s.Close())

			// Back on its feet, the first machine must not mix its work into the second's.
			_, err = replica.Start(ctx, first, where, never(t))
			require.ErrorIs(t, err, replica.ErrElsewhere)
			// The second goes on after a restart, and a third takes all of it over.
			s, err = replica.Start(ctx, second, where, never(t))
			require.NoError(t, err)
			db = kitchen(t, second)
			cook(t, db, 300, 310)
			require.NoError(t, db.Close())
			require.NoError(t, s.Close())
			// So does a fourth, though the third died before it had copied anything.
			third, fourth := filepath.Join(t.TempDir(), "third"), filepath.Join(t.TempDir(), "fourth")
			require.NoError(t, replica.TakeOver(ctx, third, where, false))
			require.NoError(t, replica.TakeOver(ctx, fourth, where, false))
			_, err = replica.Start(ctx, third, where, never(t))
			require.ErrorIs(t, err, replica.ErrElsewhere)
			db = kitchen(t, fourth)
			require.Equal(t, 310, dishes(t, db))
			require.NoError(t, db.Close())
		})
	}
}

func TestASecondWriterIsKeptOut(t *testing.T) {
	for name, where := range places(t) {
		t.Run(name, func(t *testing.T) {
			ctx, first, second := context.Background(), filepath.Join(t.TempDir(), "first"), filepath.Join(t.TempDir(), "second")
			gone := make(chan error, 1)
			s, err := replica.Start(ctx, first, where, func(err error) { gone <- err })
			require.NoError(t, err)
			db := kitchen(t, first)
			cook(t, db, 0, 20)
			require.Eventually(t, func() bool { return s.Behind() < time.Second }, 5*time.Second, 20*time.Millisecond)

			_, err = replica.Start(ctx, second, where, never(t))
			require.ErrorIs(t, err, replica.ErrHeld)
			require.ErrorContains(t, err, "process")
			require.ErrorIs(t, replica.TakeOver(ctx, second, where, false), replica.ErrHeld)

			// Taken by force, the first hears of it and lets go.
			time.Sleep(time.Second)
			require.NoError(t, replica.TakeOver(ctx, second, where, true))
			select {
			case err := <-gone:
				require.ErrorIs(t, err, replica.ErrElsewhere)
			case <-time.After(10 * time.Second):
				t.Fatal("the first writer was not told")
			}
			require.NoError(t, db.Close())
			require.NoError(t, s.Close())
			db = kitchen(t, second)
			require.Equal(t, 20, dishes(t, db))
			require.NoError(t, db.Close())
		})
	}
}

func TestPlacesThatCannotBeAreNamed(t *testing.T) {
	t.Setenv("AWS_ACCESS_KEY_ID", "")
	for where, says := range map[string]string{"ftp://harbour/kitchen": "no folder and no s3", "s3:///kitchen": "no folder and no s3", "s3://kitchens/harbour": "AWS_ACCESS_KEY_ID", filepath.Join(os.DevNull, "copy"): "make the folder of the copy"} {
		_, err := replica.Start(context.Background(), t.TempDir(), where, never(t))
		require.ErrorContains(t, err, says, where)
	}
}
