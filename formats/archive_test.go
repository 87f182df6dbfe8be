package formats

import (
	"archive/zip"
	"bytes"
	"crypto/sha256"
	"encoding/hex"
	"encoding/json"
	"io/fs"
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// ArchiveFile is a file of an archive.
type ArchiveFile struct {
	Name string
	Data []byte
}

// readAll reads an archive through.
func readAll(data []byte) (Manifest, []ArchiveFile, error) {
	a, err := OpenArchive(bytes.NewReader(data), int64(len(data)))
	if err != nil {
		return Manifest{}, nil, err
	}
	var files []ArchiveFile
	for _, f := range a.Manifest.Files {
		body, err := a.Read(f)
		if err != nil {
			return Manifest{}, nil, err
		}
		files = append(files, ArchiveFile{f.Name, body})
	}
	return a.Manifest, files, nil
}

func archived(t *testing.T, files ...ArchiveFile) []byte {
	t.Helper()
	var out bytes.Buffer
	a := NewArchive(&out, Manifest{Made: time.Date(2026, 12, 5, 0, 0, 0, 0, time.UTC), Program: "test"})
	for _, f := range files {
		require.NoError(t, a.Add(f.Name, f.Data))
	}
	require.NoError(t, a.Close())
	return out.Bytes()
}

func TestAnArchiveGoesOutAndIn(t *testing.T) {
	files := []ArchiveFile{{"entries.json", []byte("[]")}, {"dishes/a/dish.json", []byte(`{"name": "Phở"}`)}}
	m, got, err := readAll(archived(t, files...))
	require.NoError(t, err)
	require.Equal(t, files, got)
	require.Equal(t, "test", m.Program)
	require.Equal(t, ArchiveVersion, m.Version)
}

// zipped writes a zip with a manifest that names every file as it is.
func zipped(t *testing.T, manifest func(*Manifest), files []ArchiveFile, headers ...func(*zip.FileHeader)) []byte {
	t.Helper()
	m := Manifest{Format: ArchiveFormat, Version: ArchiveVersion}
	for _, f := range files {
		sum := sha256.Sum256(f.Data)
		m.Files = append(m.Files, ManifestFile{f.Name, int64(len(f.Data)), hex.EncodeToString(sum[:])})
	}
	if manifest != nil {
		manifest(&m)
	}
	head, err := json.Marshal(m)
	require.NoError(t, err)
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, f := range append([]ArchiveFile{{manifestName, head}}, files...) {
		h := &zip.FileHeader{Name: f.Name, Method: zip.Deflate}
		if f.Name != manifestName {
			for _, change := range headers {
				change(h)
			}
		}
		w, err := z.CreateHeader(h)
		require.NoError(t, err)
		_, err = w.Write(f.Data)
		require.NoError(t, err)
	}
	require.NoError(t, z.Close())
	return out.Bytes()
}

func TestHostileArchivesAreRefusedWithAReason(t *testing.T) {
	good := ArchiveFile{"entries.json", []byte("[]")}
	cases := map[string]struct {
		data  []byte
		words string
	}{
		"no zip":          {[]byte("PK not really"), "no zip file"},
		"bomb":            {zipped(t, nil, []ArchiveFile{{"entries.json", make([]byte, 40<<20)}}), "more than it may hold"},
		"climbs":          {zipped(t, nil, []ArchiveFile{{"../../entries.json", []byte("[]")}}), "file name"},
		"climbs inside":   {zipped(t, nil, []ArchiveFile{{"dishes/../entries.json", []byte("[]")}}), "file name"},
		"absolute":        {zipped(t, nil, []ArchiveFile{{"/etc/passwd", []byte("x")}}), "file name"},
		"backslash":       {zipped(t, nil, []ArchiveFile{{`dishes\\x`, []byte("x")}}), "file name"},
		"link":            {zipped(t, nil, []ArchiveFile{good}, func(h *zip.FileHeader) { h.SetMode(fs.ModeSymlink | 0o777) }), "no plain file"},
		"twice":           {zipped(t, nil, []ArchiveFile{good, good}), "twice"},
		"other version":   {zipped(t, func(m *Manifest) { m.Version = 99 }, []ArchiveFile{good}), "version 99"},
		"other format":    {zipped(t, func(m *Manifest) { m.Format = "zip" }, []ArchiveFile{good}), "manifest"},
		"changed":         {zipped(t, func(m *Manifest) { m.Files[0].SHA256 = "00" }, []ArchiveFile{good}), "not as the manifest says"},
		"missing":         {zipped(t, func(m *Manifest) { m.Files = append(m.Files, ManifestFile{Name: "gone.json"}) }, []ArchiveFile{good}), "missing"},
		"not named":       {zipped(t, func(m *Manifest) { m.Files = nil }, []ArchiveFile{good}), "not named"},
		"only a manifest": {zipped(t, func(m *Manifest) { m.Format = "" }, nil), "manifest"},
	}
	for name, c := range cases {
		_, _, err := readAll(c.data)
		require.ErrorIs(t, err, ErrArchive, name)
		require.ErrorContains(t, err, c.words, name)
	}
}
