package formats

import (
	"archive/zip"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"regexp"
	"strings"
	"time"
)

// ArchiveFormat and ArchiveVersion name what an archive's manifest must say.
const (
	ArchiveFormat  = "yembra-kitchen"
	ArchiveVersion = 1
	manifestName   = "manifest.json"
)

// Limits on an archive that is read, far above any kitchen's.
const (
	mostArchiveFiles = 20_000
	mostArchiveFile  = 64 << 20
	mostArchiveBytes = 512 << 20
	// mostArchiveRatio bounds how far a file may be packed; text of recipes
	// packs some ten to twenty times.
	mostArchiveRatio = 200
	leastBombBytes   = 1 << 20
)

// Manifest says what an archive is and what it holds.
type Manifest struct {
	Format    string         `json:"format"`
	Version   int            `json:"version"`
	Made      time.Time      `json:"made"`
	Program   string         `json:"program"`
	Knowledge string         `json:"knowledge"`
	Files     []ManifestFile `json:"files"`
}

// ManifestFile is one file with its length and its SHA-256.
type ManifestFile struct {
	Name   string `json:"name"`
	Bytes  int64  `json:"bytes"`
	SHA256 string `json:"sha256"`
}

// ArchiveFile is a file of an archive.
type ArchiveFile struct {
	Name string
	Data []byte
}

// ErrArchive is wrapped by every refusal of an archive.
var ErrArchive = errors.New("the archive is refused")

func refuse(format string, a ...any) error {
	return fmt.Errorf("%w: %s", ErrArchive, fmt.Sprintf(format, a...))
}

// WriteArchive writes files with a manifest before them as a zip file.
func WriteArchive(w io.Writer, m Manifest, files []ArchiveFile) error {
	m.Format, m.Version = ArchiveFormat, ArchiveVersion
	m.Files = make([]ManifestFile, len(files))
	for i, f := range files {
		sum := sha256.Sum256(f.Data)
		m.Files[i] = ManifestFile{f.Name, int64(len(f.Data)), hex.EncodeToString(sum[:])}
	}
	head, err := json.MarshalIndent(m, "", "  ")
	if err != nil {
		return fmt.Errorf("write the manifest: %w", err)
	}
	z := zip.NewWriter(w)
	for _, f := range append([]ArchiveFile{{manifestName, head}}, files...) {
		part, err := z.CreateHeader(&zip.FileHeader{Name: f.Name, Method: zip.Deflate, Modified: m.Made})
		if err != nil {
			return fmt.Errorf("write %s: %w", f.Name, err)
		}
		if _, err := part.Write(f.Data); err != nil {
			return fmt.Errorf("write %s: %w", f.Name, err)
		}
	}
	if err := z.Close(); err != nil {
		return fmt.Errorf("close the archive: %w", err)
	}
	return nil
}

// archiveName is what a file in an archive may be called: plain words in at
// most three folders.
var archiveName = regexp.MustCompile(`^[a-z0-9][a-z0-9.-]*(/[a-z0-9][a-z0-9.-]*){0,2}$`)

// ReadArchive reads an archive that WriteArchive wrote and refuses anything
// else with a reason that wraps ErrArchive: names that climb out of a folder,
// links, files too many, too long or packed too densely, files that the
// manifest does not name or that differ from what it says.
func ReadArchive(data []byte) (Manifest, []ArchiveFile, error) {
	z, err := zip.NewReader(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return Manifest{}, nil, refuse("it is no zip file")
	}
	if len(z.File) > mostArchiveFiles {
		return Manifest{}, nil, refuse("it holds %d files; %d is the most", len(z.File), mostArchiveFiles)
	}
	content := map[string][]byte{}
	var names []string
	total := 0
	for _, f := range z.File {
		if !archiveName.MatchString(f.Name) || strings.Contains(f.Name, "..") {
			return Manifest{}, nil, refuse("the file name %q is not one that this program writes", f.Name)
		}
		if !f.Mode().IsRegular() {
			return Manifest{}, nil, refuse("%s is no plain file", f.Name)
		}
		if _, twice := content[f.Name]; twice {
			return Manifest{}, nil, refuse("%s stands twice", f.Name)
		}
		body, err := unpack(f)
		if err != nil {
			return Manifest{}, nil, err
		}
		if total += len(body); total > mostArchiveBytes {
			return Manifest{}, nil, refuse("it unpacks to more than %d MiB", mostArchiveBytes>>20)
		}
		content[f.Name] = body
		names = append(names, f.Name)
	}
	m, err := readManifest(content)
	if err != nil {
		return Manifest{}, nil, err
	}
	files := make([]ArchiveFile, 0, len(m.Files))
	for _, f := range m.Files {
		body, ok := content[f.Name]
		sum := sha256.Sum256(body)
		switch {
		case !ok:
			return Manifest{}, nil, refuse("%s is named in the manifest and missing", f.Name)
		case int64(len(body)) != f.Bytes || hex.EncodeToString(sum[:]) != f.SHA256:
			return Manifest{}, nil, refuse("%s is not as the manifest says; the archive is damaged or was changed", f.Name)
		}
		delete(content, f.Name)
		files = append(files, ArchiveFile{f.Name, body})
	}
	delete(content, manifestName)
	for _, name := range names {
		if _, left := content[name]; left {
			return Manifest{}, nil, refuse("%s is not named in the manifest", name)
		}
	}
	return m, files, nil
}

// unpack reads a file, never more than it may hold, whatever its header says.
func unpack(f *zip.File) ([]byte, error) {
	r, err := f.Open()
	if err != nil {
		return nil, refuse("%s cannot be unpacked", f.Name)
	}
	defer r.Close()
	most := int64(mostArchiveFile)
	if packed := int64(f.CompressedSize64)*mostArchiveRatio + leastBombBytes; packed < most {
		most = packed
	}
	body, err := io.ReadAll(io.LimitReader(r, most+1))
	if err != nil {
		return nil, refuse("%s cannot be unpacked", f.Name)
	}
	if int64(len(body)) > most {
		return nil, refuse("%s unpacks to more than it may hold", f.Name)
	}
	return body, nil
}

func readManifest(content map[string][]byte) (Manifest, error) {
	var m Manifest
	head, ok := content[manifestName]
	if !ok {
		return m, refuse("it has no %s", manifestName)
	}
	if err := json.Unmarshal(head, &m); err != nil || m.Format != ArchiveFormat {
		return m, refuse("its manifest is not that of a kitchen")
	}
	if m.Version != ArchiveVersion {
		return m, refuse("it is of version %d; this program reads version %d", m.Version, ArchiveVersion)
	}
	return m, nil
}
