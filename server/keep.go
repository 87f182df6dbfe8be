package server

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"time"

	"yembra/store"
)

// How long backups are kept: the last of each of so many days, weeks and months.
const (
	keptDays   = 7
	keptWeeks  = 5
	keptMonths = 12
	// backupEvery is how often one is made while the kitchen is open, lookEvery
	// how often it is looked whether it is time.
	backupEvery = 24 * time.Hour
	lookEvery   = 10 * time.Minute
)

// A backup is called after the moment it was made at.
const (
	backupName = "yembra-2006-01-02-150405.zip"
	backupGlob = "yembra-????-??-??-??????.zip"
)

// KeepBackups makes a backup of the kitchen every day, and at once where the
// last is older, until the context ends. Each is written aside and read back
// before it counts; what is old goes by age.
func (k *Kitchen) KeepBackups(ctx context.Context, folder string, now func() time.Time) {
	tick := time.NewTicker(lookEvery)
	defer tick.Stop()
	for {
		if err := k.backupWhenDue(ctx, folder, now()); err != nil && ctx.Err() == nil {
			slog.Error("no backup could be made; the kitchen goes on", "folder", folder, "cause", err)
		}
		select {
		case <-ctx.Done():
			return
		case <-tick.C:
		}
	}
}

// backupWhenDue makes a backup where the last one is a day old, or lies in the
// future since the clock was set back.
func (k *Kitchen) backupWhenDue(ctx context.Context, folder string, now time.Time) error {
	have, err := backupsIn(folder)
	if err != nil {
		return err
	}
	if n := len(have); n > 0 && now.Sub(have[n-1]) < backupEvery && !have[n-1].After(now) {
		return nil
	}
	_, dishes, err := k.Store.Shelf(ctx, store.Wanted{Most: 1})
	if err != nil || dishes == 0 {
		return err // there is nothing yet that could be lost
	}
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return fmt.Errorf("make the folder of backups: %w", err)
	}
	if _, err := k.BackupTo(ctx, filepath.Join(folder, now.UTC().Format(backupName)), now); err != nil {
		return err
	}
	if have, err = backupsIn(folder); err != nil {
		return err
	}
	var errs []error
	for _, old := range outdated(have) {
		errs = append(errs, os.Remove(filepath.Join(folder, old.Format(backupName))))
	}
	return errors.Join(errs...)
}

// backupsIn lists the moments of a folder's backups, oldest first.
func backupsIn(folder string) ([]time.Time, error) {
	names, err := filepath.Glob(filepath.Join(strings.NewReplacer("*", "\\*", "?", "\\?", "[", "\\[").Replace(folder), backupGlob))
	if err != nil {
		return nil, fmt.Errorf("list backups: %w", err)
	}
	var list []time.Time
	for _, name := range names {
		if at, err := time.Parse(backupName, filepath.Base(name)); err == nil {
			list = append(list, at)
		}
	}
	slices.SortFunc(list, time.Time.Compare)
	return list, nil
}

// outdated are the backups, of those given oldest first, that need not be kept.
func outdated(list []time.Time) []time.Time {
	kept := map[time.Time]bool{}
	keep := func(most int, period func(time.Time) string) {
		seen := map[string]bool{}
		for _, at := range slices.Backward(list) {
			if p := period(at); !seen[p] && len(seen) < most {
				seen[p], kept[at] = true, true
			}
		}
	}
	keep(keptDays, func(t time.Time) string { return t.Format(time.DateOnly) })
	keep(keptWeeks, func(t time.Time) string { year, week := t.ISOWeek(); return fmt.Sprint(year, week) })
	keep(keptMonths, func(t time.Time) string { return t.Format("2006-01") })
	return slices.DeleteFunc(slices.Clone(list), func(t time.Time) bool { return kept[t] })
}
