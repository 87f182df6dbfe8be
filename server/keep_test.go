package server

import (
	"context"
	"fmt"
	"os"
	"path/filepath"
	"slices"
	"syscall"
	"testing"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/stretchr/testify/require"

	"yembra/store"
)

func TestBackupsAreKeptByAge(t *testing.T) {
	var list []time.Time
	for day := range 500 {
		at := time.Date(2026, 1, 1, 3, 0, 0, 0, time.UTC).AddDate(0, 0, day)
		list = append(list, at, at.Add(time.Hour))
		gone := outdated(list)
		list = slices.DeleteFunc(list, func(t time.Time) bool { return slices.Contains(gone, t) })
	}
	require.LessOrEqual(t, len(list), keptDays+keptWeeks+keptMonths)
	require.Greater(t, len(list), keptMonths+keptWeeks)
	last := time.Date(2026, 1, 1, 4, 0, 0, 0, time.UTC).AddDate(0, 0, 499)
	for day := range keptDays {
		require.Contains(t, list, last.AddDate(0, 0, -day), "the last of each of the last days")
	}
	require.True(t, list[0].Before(last.AddDate(0, -10, 0)))
}

func TestBackupsMakeThemselves(t *testing.T) {
	ctx := context.Background()
	k, _ := kitchenIn(t, t.TempDir())
	folder := filepath.Join(t.TempDir(), "of [mine]")
	now := time.Date(2026, 11, 25, 12, 0, 0, 0, time.UTC)
	count := func() int {
		list, err := backupsIn(folder)
		require.NoError(t, err)
		return len(list)
	}
	due := func(at time.Time, want int) {
		t.Helper()
		require.NoError(t, k.backupWhenDue(ctx, folder, at))
		require.Equal(t, want, count())
	}
	due(now, 0) // nothing is there yet
	keep(t, k, leekSoup)
	due(now, 1)
	due(now.Add(23*time.Hour), 1)
	due(now.Add(25*time.Hour), 2)
	due(now.Add(-48*time.Hour), 3) // the clock was set back
	entries, err := os.ReadDir(folder)
	require.NoError(t, err)
	require.Len(t, entries, 3, "nothing lies about beside them")

	other, _ := kitchenIn(t, t.TempDir())
	path := filepath.Join(folder, entries[0].Name())
	file, err := os.Open(path)
	require.NoError(t, err)
	defer file.Close()
	info, err := file.Stat()
	require.NoError(t, err)
	done, err := other.Restore(ctx, file, info.Size())
	require.NoError(t, err)
	require.Equal(t, 1, done.Added)

	// Where none can be written, the one there stays as it is.
	require.Error(t, k.backupWhenDue(ctx, filepath.Join(path, "no folder"), now))
	gone, stop := context.WithCancel(ctx)
	stop()
	_, err = k.BackupTo(gone, path, now)
	require.Error(t, err)
	after, err := os.Stat(path)
	require.NoError(t, err)
	require.Equal(t, info.Size(), after.Size())
}

func TestWhatIsWrongWithTheKitchensPlaceIsSaid(t *testing.T) {
	for want, err := range map[int]error{507: syscall.ENOSPC, 503: os.ErrPermission, 404: store.ErrNotFound} {
		app := fiber.New(fiber.Config{ErrorHandler: answerProblem})
		app.Get("/api/x", func(fiber.Ctx) error { return fmt.Errorf("insert revision: %w", err) })
		status, body := ask(t, app, "GET", "/api/x", "")
		require.Equal(t, want, status, body)
	}
	for _, p := range keeping {
		require.GreaterOrEqual(t, p.Status, 500)
		require.Greater(t, len(p.Detail), 30)
	}
}
