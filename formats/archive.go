package formats

import (
	"archive/zip"
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
// Version 2 holds the text of a recipe once for all revisions of a dish.
const (
	ArchiveFormat  = "yembra-kitchen"
	ArchiveVersion = 2
	oldestArchive  = 1
	manifestName   = "manifest.json"
)

// Limits on an archive that is read, far above any kitchen's.
const (
	mostArchiveFiles = 100_000
	mostArchiveFile  = 64 << 20
	mostArchiveBytes = 4 << 30
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

// ErrArchive is wrapped by every refusal of an archive.
var ErrArchive = errors.New("the archive is refused")

func refuse(format string, a ...any) error {
	return fmt.Errorf("%w: %s", ErrArchive, fmt.Sprintf(format, a...))
}

// ArchiveWriter writes an archive file by file, so that none of it need be held;
// the manifest comes last.
type ArchiveWriter struct {
	zip      *zip.Writer
	manifest Manifest
}

// NewArchive begins an archive.
func NewArchive(w io.Writer, m Manifest) *ArchiveWriter {
	m.Format, m.Version, m.Files = ArchiveFormat, ArchiveVersion, []ManifestFile{}
	return &ArchiveWriter{zip.NewWriter(w), m}
}

// Add writes a file.
func (a *ArchiveWriter) Add(name string, data []byte) error {
	sum := sha256.Sum256(data)
	a.manifest.Files = append(a.manifest.Files, ManifestFile{name, int64(len(data)), hex.EncodeToString(sum[:])})
	return a.write(name, data)
}

func (a *ArchiveWriter) write(name string, data []byte) error {
	part, err := a.zip.CreateHeader(&zip.FileHeader{Name: name, Method: zip.Deflate, Modified: a.manifest.Made})
	if err == nil {
		_, err = part.Write(data)
	}
	if err != nil {
		return fmt.Errorf("write %s: %w", name, err)
	}
	return nil
}

// Close writes the manifest and ends the archive. One without it is refused.
func (a *ArchiveWriter) Close() error {
	head, err := json.MarshalIndent(a.manifest, "", "  ")
	if err != nil {
		return fmt.Errorf("write the manifest: %w", err)
	}
	if err := a.write(manifestName, head); err != nil {
		return err
	}
	if err := a.zip.Close(); err != nil {
		return fmt.Errorf("close the archive: %w", err)
	}
	return nil
}

// archiveName is what a file in an archive may be called: plain words in at
// most three folders.
var archiveName = regexp.MustCompile(`^[a-z0-9][a-z0-9.-]*(/[a-z0-9][a-z0-9.-]*){0,2}$`)

// Archive is an archive opened to be read file by file.
type Archive struct {
	Manifest Manifest
	files    map[string]*zip.File
}

// OpenArchive opens what an ArchiveWriter wrote and refuses anything else with a
// reason that wraps ErrArchive: names that climb out of a folder, links, files
// too many or too long, files that the manifest does not name or that are
// missing.
func OpenArchive(r io.ReaderAt, size int64) (*Archive, error) {
	z, err := zip.NewReader(r, size)
	if err != nil {
		return nil, refuse("it is no zip file")
	}
	if len(z.File) > mostArchiveFiles {
		return nil, refuse("it holds %d files; %d is the most", len(z.File), mostArchiveFiles)
	}
	a := &Archive{files: map[string]*zip.File{}}
	for _, f := range z.File {
		if !archiveName.MatchString(f.Name) || strings.Contains(f.Name, "..") {
			return nil, refuse("the file name %q is not one that this program writes", f.Name)
		}
		if !f.Mode().IsRegular() {
			return nil, refuse("%s is no plain file", f.Name)
		}
		if _, twice := a.files[f.Name]; twice {
			return nil, refuse("%s stands twice", f.Name)
		}
		a.files[f.Name] = f
	}
	if err := a.readManifest(); err != nil {
		return nil, err
	}
	named, total := map[string]bool{manifestName: true}, int64(0)
	for _, f := range a.Manifest.Files {
		if a.files[f.Name] == nil {
			return nil, refuse("%s is named in the manifest and missing", f.Name)
		}
		if f.Bytes < 0 || f.Bytes > mostArchiveFile {
			return nil, refuse("%s is said to hold %d bytes; %d is the most", f.Name, f.Bytes, int64(mostArchiveFile))
		}
		if total += f.Bytes; total > mostArchiveBytes {
			return nil, refuse("it unpacks to more than %d MiB", mostArchiveBytes>>20)
		}
		named[f.Name] = true
	}
	for _, f := range z.File {
		if !named[f.Name] {
			return nil, refuse("%s is not named in the manifest", f.Name)
		}
	}
	return a, nil
}

// Read unpacks a file of the manifest, which must be as that says.
func (a *Archive) Read(f ManifestFile) ([]byte, error) {
	body, err := unpack(a.files[f.Name])
	if err != nil {
		return nil, err
	}
	if sum := sha256.Sum256(body); int64(len(body)) != f.Bytes || hex.EncodeToString(sum[:]) != f.SHA256 {
		return nil, refuse("%s is not as the manifest says; the archive is damaged or was changed", f.Name)
	}
	return body, nil
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

func (a *Archive) readManifest() error {
	f := a.files[manifestName]
	if f == nil {
		return refuse("it has no %s", manifestName)
	}
	head, err := unpack(f)
	if err != nil {
		return err
	}
	if err := json.Unmarshal(head, &a.Manifest); err != nil || a.Manifest.Format != ArchiveFormat {
		return refuse("its manifest is not that of a kitchen")
	}
	if v := a.Manifest.Version; v < oldestArchive || v > ArchiveVersion {
		return refuse("it is of version %d; this program reads versions %d to %d", v, oldestArchive, ArchiveVersion)
	}
	return nil
}
