// Package replica keeps a running copy of a kitchen's file at another place, a folder or
// a store that speaks S3, and opens the newest copy on another machine. The copying is
// done by the Litestream library; this package adds who may write there, and from which
// state a copy goes on.
//
// At a place lie: lease.json, who writes there and until when; current.json, where the
// newest copy is; and a folder for each line of copies. A line begins anew when a kitchen
// is taken over, so that a machine that comes back cannot mix its work into another's.
package replica

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"os"
	"path/filepath"
	"time"

	"github.com/benbjohnson/litestream"
	"github.com/superfly/ltx"
)

// How often changes are looked for and sent on, how often lines of copies are compacted,
// and how long a lease holds that nobody renews.
const (
	syncEvery    = 250 * time.Millisecond
	compactEvery = 30 * time.Second
	leaseHolds   = 10 * time.Second
	renewEvery   = leaseHolds / 4
	finalSync    = 8 * time.Second
)

// Faults that a cook is told in other words.
var (
	// ErrNothingThere: the place holds no copy.
	ErrNothingThere = errors.New("there is no copy of a kitchen there")
	// ErrElsewhere: another machine has gone on with the kitchen since.
	ErrElsewhere = errors.New("another machine has gone on with this kitchen")
	// ErrKitchenHere: a kitchen stands where one was to be put.
	ErrKitchenHere = errors.New("there is a kitchen in this folder already")
)

// current names the newest line of copies, and the one it goes on from: until the first
// state lies in the new line, the newest copy is still in the one before.
type current struct {
	Line   string    `json:"line"`
	Before string    `json:"before,omitempty"`
	By     string    `json:"by"`
	Since  time.Time `json:"since"`
}

const (
	currentName = "current.json"
	// noteName lies in the kitchen's folder and says which line it writes.
	noteName   = ".replica.json"
	fileName   = "kitchen.db"
	beforeName = "kitchen.db.before"
)

// Stream copies a kitchen while it is open.
type Stream struct {
	lease  *lease
	db     *litestream.DB
	store  *litestream.Store
	cancel context.CancelFunc
	done   chan struct{}
	began  time.Time
}

// Start begins to copy the kitchen in a folder to a place, and calls lost once another
// machine has taken it over. It must begin before the kitchen's file is written to, and
// waits for a lease that is about to end.
func Start(ctx context.Context, folder, where string, lost func(error)) (*Stream, error) {
	at, err := open(ctx, where)
	if err != nil {
		return nil, err
	}
	held, err := acquire(ctx, at, false)
	if err != nil {
		return nil, err
	}
	s := &Stream{lease: held, done: make(chan struct{}), began: time.Now()}
	line, err := lineFor(ctx, at, held, folder)
	if err == nil {
		err = s.copy(ctx, at, folder, line)
	}
	if err != nil {
		return nil, errors.Join(err, held.release(context.WithoutCancel(ctx)))
	}
	watching, cancel := context.WithCancel(context.WithoutCancel(ctx))
	s.cancel = cancel
	go func() {
		defer close(s.done)
		if err := held.keep(watching); err != nil {
			lost(fmt.Errorf("%w, and its copy at %s is not written to any more: %w", ErrElsewhere, where, err))
		}
	}()
	return s, nil
}

// lineFor is the line of copies that a folder goes on with: its own while nobody began
// another, a new one where there is none yet.
func lineFor(ctx context.Context, at place, held *lease, folder string) (string, error) {
	newest, err := readCurrent(ctx, at)
	if err != nil && !errors.Is(err, ErrNothingThere) {
		return "", err
	}
	own, err := readNote(folder)
	if err != nil {
		return "", err
	}
	switch {
	case newest.Line == "":
	case own.Line == newest.Line:
		return own.Line, nil
	default:
		return "", fmt.Errorf("%w: %s has written its copy since %s; open the newest one with take-over in a folder of its own", ErrElsewhere, newest.By, newest.Since.Format(time.DateTime))
	}
	return begin(ctx, at, held, folder, "")
}

// begin opens a new line of copies that goes on from another, and notes it in the folder
// and at the place.
func begin(ctx context.Context, at place, held *lease, folder, before string) (string, error) {
	c := current{Line: fmt.Sprintf("line-%06d", held.now.Generation), Before: before, By: held.now.Owner, Since: time.Now().UTC().Truncate(time.Second)}
	body, err := json.Marshal(c)
	if err != nil {
		return "", err
	}
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return "", fmt.Errorf("make the data folder: %w", err)
	}
	if err := os.WriteFile(filepath.Join(folder, noteName), body, 0o600); err != nil {
		return "", fmt.Errorf("note where the copy is: %w", err)
	}
	_, tag, err := at.get(ctx, currentName)
	if err != nil && !errors.Is(err, os.ErrNotExist) {
		return "", err
	}
	if _, err := at.put(ctx, currentName, body, tag); err != nil {
		return "", fmt.Errorf("note where the newest copy is: %w", err)
	}
	return c.Line, nil
}

func readCurrent(ctx context.Context, at place) (current, error) {
	var c current
	body, _, err := at.get(ctx, currentName)
	if errors.Is(err, os.ErrNotExist) {
		return c, ErrNothingThere
	}
	if err != nil {
		return c, err
	}
	if err := json.Unmarshal(body, &c); err != nil || c.Line == "" {
		return c, fmt.Errorf("%s says nothing that can be read: %w", currentName, err)
	}
	return c, nil
}

func readNote(folder string) (current, error) {
	var c current
	body, err := os.ReadFile(filepath.Join(folder, noteName))
	if errors.Is(err, os.ErrNotExist) {
		return c, nil
	}
	if err != nil {
		return c, fmt.Errorf("read where the copy is: %w", err)
	}
	if err := json.Unmarshal(body, &c); err != nil {
		return c, fmt.Errorf("read where the copy is (%s): %w", noteName, err)
	}
	return c, nil
}

// quiet drops what the library tells of its work; what goes wrong is told by its state.
func quiet() *slog.Logger { return slog.New(slog.DiscardHandler) }

// copy starts the library on the kitchen's file.
func (s *Stream) copy(ctx context.Context, at place, folder, line string) error {
	client := at.client(line)
	s.db = litestream.NewDB(filepath.Join(folder, fileName))
	s.db.MonitorInterval = syncEvery
	s.db.SetLogger(quiet())
	r := litestream.NewReplicaWithClient(s.db, client)
	r.SyncInterval = syncEvery
	s.db.Replica = r
	attach(client, r)
	s.store = litestream.NewStore([]*litestream.DB{s.db}, litestream.CompactionLevels{{Level: 0}, {Level: 1, Interval: compactEvery}})
	s.store.Logger = quiet()
	s.store.SetShutdownSyncTimeout(finalSync)
	s.db.SetLogger(quiet()) // the store gives it its own
	if err := s.store.Open(context.WithoutCancel(ctx)); err != nil {
		return fmt.Errorf("begin to copy the kitchen: %w", err)
	}
	return nil
}

// Behind is how long ago the copy last had everything, since it began where it never had.
func (s *Stream) Behind() time.Duration {
	if last := s.db.LastSuccessfulSyncAt(); last.After(s.began) {
		return time.Since(last)
	}
	return time.Since(s.began)
}

// Close copies what is left and lets go of the place. The kitchen is closed before.
func (s *Stream) Close() error {
	s.cancel()
	<-s.done
	ctx, cancel := context.WithTimeout(context.Background(), 2*finalSync)
	defer cancel()
	err := s.db.SyncAndWait(ctx)
	return errors.Join(err, s.store.Close(ctx), s.lease.release(ctx))
}

// TakeOver puts the newest copy of a kitchen into a folder that has none, and makes this
// machine the one that goes on with it. force takes it from a machine that still writes.
func TakeOver(ctx context.Context, folder, where string, force bool) error {
	path := filepath.Join(folder, fileName)
	if _, err := os.Stat(path); err == nil {
		return fmt.Errorf("%w: %s", ErrKitchenHere, path)
	}
	at, err := open(ctx, where)
	if err != nil {
		return err
	}
	if _, err := readCurrent(ctx, at); err != nil {
		return fmt.Errorf("%w: %s", err, where)
	}
	held, err := acquire(ctx, at, force)
	if err != nil {
		return err
	}
	return errors.Join(goOn(ctx, at, held, folder, path), held.release(context.WithoutCancel(ctx)))
}

// goOn brings the newest state back aside, begins a new line from it, and puts it in place.
func goOn(ctx context.Context, at place, held *lease, folder, path string) error {
	newest, err := readCurrent(ctx, at)
	if err != nil {
		return err
	}
	line := newest.Line
	if empty, err := holdsNothing(ctx, at.client(line)); err != nil {
		return err
	} else if empty && newest.Before != "" {
		line = newest.Before
	}
	aside := filepath.Join(folder, beforeName)
	if err := restore(ctx, at, line, folder, aside); err != nil {
		return err
	}
	if _, err := begin(ctx, at, held, folder, line); err != nil {
		return err
	}
	if err := os.Rename(aside, path); err != nil {
		return fmt.Errorf("put the copy in place: %w", err)
	}
	return nil
}

// holdsNothing tells that no state was ever copied to a line.
func holdsNothing(ctx context.Context, client litestream.ReplicaClient) (bool, error) {
	for level := range litestream.SnapshotLevel + 1 {
		files, err := litestream.FindLTXFiles(ctx, client, level, false, func(*ltx.FileInfo) (bool, error) { return true, nil })
		if err != nil {
			return false, fmt.Errorf("look for the newest copy: %w", err)
		}
		if len(files) > 0 {
			return false, nil
		}
	}
	return true, nil
}

// restore writes the newest state of a line aside, checked.
func restore(ctx context.Context, at place, line, folder, aside string) error {
	if err := os.MkdirAll(folder, 0o700); err != nil {
		return fmt.Errorf("make the data folder: %w", err)
	}
	for _, left := range []string{aside, aside + "-wal", aside + "-shm", aside + ".tmp"} {
		_ = os.Remove(left) // what an earlier attempt left
	}
	client := at.client(line)
	r := litestream.NewReplicaWithClient(nil, client)
	attach(client, r)
	opt := litestream.NewRestoreOptions()
	opt.OutputPath, opt.IntegrityCheck = aside, litestream.IntegrityCheckQuick
	if err := r.Restore(ctx, opt); err != nil {
		return fmt.Errorf("bring the copy back: %w", err)
	}
	return nil
}
