// Package knowledge holds the facts of the kitchen as files that a cook can
// read and mend, and hands them over as tables and decoded records. It knows
// nothing of what they mean.
package knowledge

import (
	"bytes"
	"embed"
	"encoding/csv"
	"fmt"
	"hash/crc32"
	"io/fs"

	"github.com/goccy/go-yaml"
)

//go:embed *.csv *.yaml foods composition swaps language
var files embed.FS

// Shipped is the knowledge built into the program.
func Shipped() Files { return Files{files} }

// Files reads knowledge from a file system laid out like this folder.
type Files struct{ fs.FS }

// Table returns the rows of a CSV file, header first. Lines that begin with #
// are remarks.
func (f Files) Table(name string) ([][]string, error) {
	file, err := f.Open(name)
	if err != nil {
		return nil, fmt.Errorf("open knowledge: %w", err)
	}
	defer file.Close()
	r := csv.NewReader(file)
	r.Comment = '#'
	r.FieldsPerRecord = -1
	rows, err := r.ReadAll()
	if err != nil {
		return nil, fmt.Errorf("read %s: %w", name, err)
	}
	return rows, nil
}

// List names the files in a folder, sorted.
func (f Files) List(folder string) ([]string, error) {
	entries, err := fs.ReadDir(f, folder)
	if err != nil {
		return nil, fmt.Errorf("list knowledge: %w", err)
	}
	var names []string
	for _, e := range entries {
		if !e.IsDir() {
			names = append(names, e.Name())
		}
	}
	return names, nil
}

// Decode reads a YAML file into a Go value; unknown fields are errors.
func (f Files) Decode(name string, into any) error {
	data, err := fs.ReadFile(f, name)
	if err != nil {
		return fmt.Errorf("open knowledge: %w", err)
	}
	if err := yaml.NewDecoder(bytes.NewReader(data), yaml.Strict()).Decode(into); err != nil {
		return fmt.Errorf("read %s: %w", name, err)
	}
	return nil
}

// Version is a short mark of the knowledge as a whole: it changes whenever
// any file does, so that a frozen card can say which facts made it.
func (f Files) Version() (string, error) {
	sum := crc32.NewIEEE()
	err := fs.WalkDir(f, ".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() {
			return err
		}
		data, err := fs.ReadFile(f, path)
		if err != nil {
			return err
		}
		fmt.Fprintf(sum, "%s\x00%d\x00", path, len(data))
		sum.Write(data)
		return nil
	})
	if err != nil {
		return "", fmt.Errorf("version of knowledge: %w", err)
	}
	return fmt.Sprintf("%08x", sum.Sum32()), nil
}
