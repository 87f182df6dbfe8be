package replica

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"net/url"
	"os"
	"path/filepath"
	"strings"
	"time"

	"github.com/benbjohnson/litestream"
	"github.com/benbjohnson/litestream/file"
)

// place holds copies: it keeps small notes, each written only over the one that was read,
// and has a client of the library for a line of copies.
type place interface {
	// get reads a note with a tag of its state; os.ErrNotExist where there is none.
	get(ctx context.Context, name string) ([]byte, string, error)
	// put writes a note over the one with the tag, or where there is none for an empty
	// one; errChanged where that is not what is there.
	put(ctx context.Context, name string, body []byte, over string) (string, error)
	client(line string) litestream.ReplicaClient
}

// open finds the place that a cook named: a folder, or s3://bucket/path?endpoint=...
func open(ctx context.Context, where string) (place, error) {
	if !strings.Contains(where, "://") {
		path, err := filepath.Abs(where)
		if err != nil {
			return nil, fmt.Errorf("%s: %w", where, err)
		}
		if err := os.MkdirAll(path, 0o700); err != nil {
			return nil, fmt.Errorf("make the folder of the copy: %w", err)
		}
		return folder{path}, nil
	}
	u, err := url.Parse(where)
	if err != nil {
		return nil, fmt.Errorf("where the copy goes: %w", err)
	}
	if u.Scheme != "s3" || u.Host == "" {
		return nil, fmt.Errorf("where the copy goes: %q is no folder and no s3://bucket/path", where)
	}
	return openBucket(ctx, u)
}

// attach tells a client of its replica where it asks for that.
func attach(client litestream.ReplicaClient, r *litestream.Replica) {
	if c, ok := client.(*file.ReplicaClient); ok {
		c.Replica = r
	}
}

// folder is a place on a disk or a share.
type folder struct{ path string }

func (f folder) client(line string) litestream.ReplicaClient {
	c := file.NewReplicaClient(filepath.Join(f.path, line))
	c.SetLogger(quiet())
	return c
}

func tagOf(body []byte) string {
	sum := sha256.Sum256(body)
	return hex.EncodeToString(sum[:])
}

func (f folder) get(_ context.Context, name string) ([]byte, string, error) {
	body, err := os.ReadFile(filepath.Join(f.path, name))
	if err != nil {
		return nil, "", err
	}
	return body, tagOf(body), nil
}

// A writer of notes keeps others out by a folder beside them; one that died is past after
// staleWriter.
const (
	busyName    = "writing"
	staleWriter = 5 * time.Second
)

func (f folder) put(ctx context.Context, name string, body []byte, over string) (string, error) {
	busy := filepath.Join(f.path, busyName)
	for os.Mkdir(busy, 0o700) != nil {
		if info, err := os.Stat(busy); err == nil && time.Since(info.ModTime()) > staleWriter {
			_ = os.Remove(busy) // whoever made it died
			continue
		} else if err != nil && !errors.Is(err, os.ErrNotExist) {
			return "", fmt.Errorf("write at the place of the copy: %w", err)
		}
		select {
		case <-ctx.Done():
			return "", ctx.Err()
		case <-time.After(10 * time.Millisecond):
		}
	}
	defer os.Remove(busy)
	_, tag, err := f.get(ctx, name)
	if err != nil && !errors.Is(err, os.ErrNotExist) {
		return "", err
	}
	if tag != over {
		return "", errChanged
	}
	path := filepath.Join(f.path, name)
	if err := os.WriteFile(path+".new", body, 0o600); err != nil {
		return "", fmt.Errorf("write at the place of the copy: %w", err)
	}
	if err := os.Rename(path+".new", path); err != nil {
		return "", fmt.Errorf("write at the place of the copy: %w", err)
	}
	return tagOf(body), nil
}
