//go:build unix

package store

import (
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"strings"
	"syscall"
)

// lockName is the file by which a program keeps a kitchen for itself. The
// system lets go of it when the program ends, however it ends.
const lockName = "kitchen.lock"

// lock keeps a folder's kitchen for this program.
func lock(folder string) (*os.File, error) {
	f, err := os.OpenFile(filepath.Join(folder, lockName), os.O_RDWR|os.O_CREATE, 0o600)
	if err != nil {
		return nil, fmt.Errorf("keep the kitchen for this program: %w", err)
	}
	if err := syscall.Flock(int(f.Fd()), syscall.LOCK_EX|syscall.LOCK_NB); err != nil {
		who, _ := io.ReadAll(io.LimitReader(f, 200))
		_ = f.Close() // it holds nothing
		if errors.Is(err, syscall.EWOULDBLOCK) {
			return nil, fmt.Errorf("%w: %s", ErrInUse, strings.TrimSpace(string(who)))
		}
		return nil, fmt.Errorf("keep the kitchen for this program: %w", err)
	}
	_, err = f.WriteAt(fmt.Appendf(nil, "%-40s process %d\n", filepath.Base(os.Args[0]), os.Getpid()), 0)
	if err != nil {
		return nil, errors.Join(fmt.Errorf("keep the kitchen for this program: %w", err), f.Close())
	}
	return f, nil
}
