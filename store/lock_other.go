//go:build !unix

package store

import (
	"fmt"
	"os"
	"path/filepath"
)

// lock opens the kitchen's own file; where the system knows no locks that end
// with a program, two programs on one kitchen are not told apart.
func lock(folder string) (*os.File, error) {
	f, err := os.OpenFile(filepath.Join(folder, "kitchen.lock"), os.O_RDWR|os.O_CREATE, 0o600)
	if err != nil {
		return nil, fmt.Errorf("keep the kitchen for this program: %w", err)
	}
	return f, nil
}
