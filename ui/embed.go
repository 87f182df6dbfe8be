// Package ui carries the built interface inside the program.
package ui

import (
	"embed"
	"io/fs"
)

//go:embed all:dist
var dist embed.FS

// Files returns the built interface: index.html and assets/. Before the
// interface is built it holds a placeholder only.
func Files() (fs.FS, error) { return fs.Sub(dist, "dist") }
