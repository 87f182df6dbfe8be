package replica

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"os"
	"time"

	"github.com/benbjohnson/litestream"
)

const leaseName = "lease.json"

// ErrHeld: another program writes at the place.
var ErrHeld = errors.New("another program writes this kitchen's copy")

// errChanged: what was to be written over is not there any more.
var errChanged = errors.New("somebody else wrote there first")

// lease says who may write at a place.
type lease struct {
	at  place
	now litestream.Lease
}

func owner() string {
	host, err := os.Hostname()
	if err != nil || host == "" {
		host = "a machine"
	}
	return fmt.Sprintf("%s, process %d", host, os.Getpid())
}

// acquire takes the lease, waiting for one that nobody renews to end; force takes it from
// whoever has it.
func acquire(ctx context.Context, at place, force bool) (*lease, error) {
	until := time.Now().Add(leaseHolds + renewEvery)
	var seen *litestream.Lease
	for {
		had, err := readLease(ctx, at)
		if err != nil {
			return nil, err
		}
		if had == nil || had.IsExpired() || force {
			l := &lease{at: at, now: litestream.Lease{Generation: 1, Owner: owner(), ExpiresAt: time.Now().Add(leaseHolds)}}
			if had != nil {
				l.now.Generation, l.now.ETag = had.Generation+1, had.ETag
			}
			if err = l.write(ctx); err == nil {
				return l, nil
			}
			if !errors.Is(err, errChanged) {
				return nil, err
			}
		} else if seen != nil && had.ETag != seen.ETag || time.Now().After(until) {
			// It was renewed while we looked: whoever has it is alive.
			return nil, fmt.Errorf("%w: %s; stop it first", ErrHeld, had.Owner)
		} else {
			seen = had
		}
		select {
		case <-ctx.Done():
			return nil, ctx.Err()
		case <-time.After(renewEvery / 5):
		}
	}
}

func readLease(ctx context.Context, at place) (*litestream.Lease, error) {
	body, tag, err := at.get(ctx, leaseName)
	if errors.Is(err, os.ErrNotExist) {
		return nil, nil
	}
	if err != nil {
		return nil, err
	}
	var l litestream.Lease
	if err := json.Unmarshal(body, &l); err != nil {
		return nil, fmt.Errorf("%s says nothing that can be read: %w", leaseName, err)
	}
	l.ETag = tag
	return &l, nil
}

// write puts the lease in the place of the one it knew.
func (l *lease) write(ctx context.Context) error {
	body, err := json.Marshal(l.now)
	if err != nil {
		return err
	}
	tag, err := l.at.put(ctx, leaseName, body, l.now.ETag)
	if err != nil {
		return err
	}
	l.now.ETag = tag
	return nil
}

// keep renews the lease until it is told to stop, and ends with why it lost it. While the
// place cannot be reached it goes on trying: the kitchen stays open, and whoever takes it
// over meanwhile is found out as soon as the place answers.
func (l *lease) keep(ctx context.Context) error {
	for {
		select {
		case <-ctx.Done():
			return nil
		case <-time.After(renewEvery):
		}
		had, err := readLease(ctx, l.at)
		switch {
		case err != nil:
			continue
		case had == nil || had.ETag != l.now.ETag:
			return errChanged
		}
		l.now.ExpiresAt = time.Now().Add(leaseHolds)
		if err := l.write(ctx); errors.Is(err, errChanged) {
			return err
		}
	}
}

// release lets whoever comes next write at once; a lease that was lost is left alone.
func (l *lease) release(ctx context.Context) error {
	l.now.ExpiresAt = time.Now().Add(-time.Second)
	if err := l.write(ctx); err != nil && !errors.Is(err, errChanged) {
		return fmt.Errorf("let go of the copy: %w", err)
	}
	return nil
}
