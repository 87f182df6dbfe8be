package main

import (
	"context"
	"errors"
	"fmt"
	"log/slog"
	"os"
	"os/signal"
	"path/filepath"
	"sync"
	"syscall"
	"time"

	"yembra/replica"
	"yembra/server"
	"yembra/store"
	"yembra/ui"
)

func (s serveCommand) Run() error {
	folder, err := dataFolder(s.Data)
	if err != nil {
		return err
	}
	return serve(s.serving(folder))
}

func (s serveCommand) serving(folder string) serving {
	backups := s.Backups
	if backups == "" {
		backups = filepath.Join(folder, "backups")
	}
	return serving{addr: s.Addr, folder: folder, backups: backups, names: s.Name, cert: s.Cert, key: s.Key, replica: s.Replica}
}

func (t takeOverCommand) Run() error {
	folder, err := dataFolder(t.Data)
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	err = replica.TakeOver(ctx, folder, t.From, t.Force)
	stop()
	if err != nil {
		return err
	}
	fmt.Printf("The newest copy at %s is in %s, checked.\n", t.From, folder)
	if t.Only {
		return nil
	}
	if t.Replica == "" {
		t.Replica = t.From
	}
	return serve(t.serving(folder))
}

// serve opens the kitchen and serves it until it is told to stop.
func serve(s serving) error {
	k, err := core()
	if err != nil {
		return err
	}
	ctx, stop := signal.NotifyContext(context.Background(), os.Interrupt, syscall.SIGTERM)
	defer stop()
	network, err := s.guard(k)
	if err != nil {
		return err
	}
	if s.fresh {
		if err := store.Clear(s.folder); err != nil {
			return err
		}
	}
	if k.Store, err = store.Open(ctx, s.folder, time.Now); err != nil {
		return err
	}
	ctx, lost := context.WithCancelCause(ctx)
	defer lost(nil)
	stream, err := s.stream(ctx, lost)
	if err == nil {
		err = s.open(ctx, k, network)
	}
	stop()
	err = errors.Join(err, k.Store.Close())
	if stream != nil {
		err = errors.Join(err, stream.Close())
	}
	if cause := context.Cause(ctx); errors.Is(cause, replica.ErrElsewhere) {
		err = errors.Join(err, cause)
	}
	return err
}

// open serves a kitchen whose store is open, with all that is minded beside it.
func (s serving) open(ctx context.Context, k *server.Kitchen, n *network) error {
	if err := k.Refresh(ctx); err != nil {
		return err
	}
	if s.fresh {
		if err := layOut(ctx, k); err != nil {
			return err
		}
	}
	files, err := ui.Files()
	if err != nil {
		return err
	}
	app := server.New(k, server.Pages{Files: files})
	ctx, stop := context.WithCancel(ctx)
	var keeping sync.WaitGroup
	keeping.Go(func() { k.MindStove(ctx) })
	keeping.Go(func() { k.MindShelf(ctx) })
	if s.backups != "" {
		keeping.Go(func() { k.KeepBackups(ctx, s.backups, time.Now) })
	}
	err = s.listen(ctx, app, n)
	stop()
	keeping.Wait()
	return err
}

// How far a copy may stay behind before it is said, and how often that is looked at.
const (
	tellBehind = 15 * time.Second
	lookBehind = 5 * time.Second
)

// stream copies the kitchen to another place where that is asked for. When another machine
// takes it over, lost is called with why.
func (s serving) stream(ctx context.Context, lost func(error)) (*replica.Stream, error) {
	if s.replica == "" {
		return nil, nil
	}
	stream, err := replica.Start(ctx, s.folder, s.replica, lost)
	if err != nil {
		return nil, err
	}
	go func() {
		for {
			select {
			case <-ctx.Done():
				return
			case <-time.After(lookBehind):
			}
			if behind := stream.Behind(); behind > tellBehind {
				slog.Warn("the copy of the kitchen is behind", "place", s.replica, "by", behind.Round(time.Second))
			}
		}
	}()
	return stream, nil
}
