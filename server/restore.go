package server

import (
	"context"
	"fmt"
	"io"
	"iter"
	"slices"
	"strings"
	"time"

	"yembra/formats"
	"yembra/store"
)

// Restore brings an archive into the kitchen. Anything wrong with it is
// refused with a reason that wraps formats.ErrArchive, and nothing is changed.
func (k *Kitchen) Restore(ctx context.Context, archive io.ReaderAt, size int64) (store.Restored, error) {
	checked, err := k.checkArchive(ctx, archive, size)
	if err != nil {
		return store.Restored{}, err
	}
	done, err := k.Store.Restore(ctx, store.Brought{
		Dishes: eachOf(&checked, checked.dishes, k.telling("brought in", len(checked.dishes))), Pictures: eachOf(&checked, checked.pictures, picture), Entries: checked.entries,
	})
	if err != nil {
		return done, err
	}
	return done, k.Refresh(ctx)
}

// checkedArchive is an archive of which every file has been looked at.
type checkedArchive struct {
	archive *formats.Archive
	dishes  []formats.ManifestFile
	entries []store.EntryRow
	// pictures are what is known of each.
	pictures []formats.ManifestFile
}

// eachOf reads things of an archive one after the other.
func eachOf[T any](a *checkedArchive, files []formats.ManifestFile, read func(*formats.Archive, formats.ManifestFile) (T, error)) iter.Seq2[T, error] {
	return func(yield func(T, error) bool) {
		for _, f := range files {
			v, err := read(a.archive, f)
			if !yield(v, err) || err != nil {
				return
			}
		}
	}
}

// picture reads a picture of an archive, with its points.
func picture(a *formats.Archive, f formats.ManifestFile) (store.WholePicture, error) {
	var p store.WholePicture
	data, err := a.Read(f)
	if err != nil {
		return p, err
	}
	if err := strict(data, &p.Picture); err != nil || p.Kind != dishPicture && p.Kind != trialPicture || !dishID.MatchString(p.About) {
		return p, badFile(f.Name, "does not hold what it should")
	}
	if _, err := time.Parse(time.RFC3339Nano, p.Made); err != nil || f.Name != picturesDir+p.ID+pictureFile || !dishID.MatchString(p.ID) {
		return p, badFile(f.Name, "holds another picture, or no time")
	}
	for name, into := range map[string]*[]byte{fullFile: &p.Full, smallFile: &p.Small} {
		at := slices.IndexFunc(a.Manifest.Files, func(x formats.ManifestFile) bool { return x.Name == picturesDir+p.ID+name })
		if at < 0 {
			return p, badFile(f.Name, "has no picture beside it")
		}
		if *into, err = a.Read(a.Manifest.Files[at]); err != nil {
			return p, err
		}
		if err := formats.CheckPicture(*into); err != nil {
			return p, badFile(a.Manifest.Files[at].Name, "cannot be taken: %v", err)
		}
	}
	return p, nil
}

func badFile(name, format string, a ...any) error {
	return fmt.Errorf("%w: %s %s", formats.ErrArchive, name, fmt.Sprintf(format, a...))
}

// telling reads dishes of an archive, and tells every screen how far it is.
func (k *Kitchen) telling(phase string, of int) func(*formats.Archive, formats.ManifestFile) (store.History, error) {
	done, told := 0, time.Now()
	return func(a *formats.Archive, f formats.ManifestFile) (store.History, error) {
		if done++; time.Since(told) > archiveTold {
			told = time.Now()
			k.hearth.broadcast("archive", map[string]any{"phase": phase, "done": done, "of": of})
		}
		return history(a, f)
	}
}

// archiveTold is how often screens are told how far an archive is.
const archiveTold = 300 * time.Millisecond

// history reads a dish of an archive.
func history(a *formats.Archive, f formats.ManifestFile) (store.History, error) {
	var h store.History
	data, err := a.Read(f)
	if err != nil {
		return h, err
	}
	if err := strict(data, &h); err != nil {
		return h, badFile(f.Name, "does not hold what it should: %v", err)
	}
	if err := h.Unpack(); err != nil {
		return h, badFile(f.Name, "does not hold what it should: %v", err)
	}
	if f.Name != dishesDir+h.ID+dishFile {
		return h, badFile(f.Name, "holds another dish")
	}
	return h, nil
}

// checkArchive reads an archive through, one dish after the other, and refuses
// what this program would not have written.
func (k *Kitchen) checkArchive(ctx context.Context, archive io.ReaderAt, size int64) (checkedArchive, error) {
	var out checkedArchive
	a, err := formats.OpenArchive(archive, size)
	if err != nil {
		return out, err
	}
	out.archive = a
	for _, f := range a.Manifest.Files {
		ofDish, rest := within(f.Name, dishesDir)
		ofPicture, part := within(f.Name, picturesDir)
		switch {
		case f.Name == entriesFile:
			data, err := a.Read(f)
			if err != nil {
				return out, err
			}
			if err := strict(data, &out.entries); err != nil {
				return out, badFile(f.Name, "does not hold what it should: %v", err)
			}
		case ofDish && rest == dishFile:
			out.dishes = append(out.dishes, f)
		case ofDish && rest == recipeFile: // for other programs
			if _, err := a.Read(f); err != nil {
				return out, err
			}
		case ofPicture && part == pictureFile:
			out.pictures = append(out.pictures, f)
			if _, err := picture(a, f); err != nil {
				return out, err
			}
		case ofPicture && (part == fullFile || part == smallFile): // looked at with what is known of it
		default:
			return out, badFile(f.Name, "is not a file of a kitchen")
		}
	}
	l, err := k.larderWith(ctx, out.entries)
	if err != nil {
		return out, badFile(entriesFile, "cannot be taken: %v", err)
	}
	read := k.telling("looked at", len(out.dishes))
	for _, f := range out.dishes {
		if err := ctx.Err(); err != nil {
			return out, err
		}
		h, err := read(a, f)
		if err != nil {
			return out, err
		}
		if err := checkHistory(l, h); err != nil {
			return out, badFile(f.Name, "cannot be taken: %v", err)
		}
	}
	return out, nil
}

// within tells whether a file stands in the folder of a thing, and where in it.
func within(name, folder string) (bool, string) {
	rest, in := strings.CutPrefix(name, folder)
	if !in || len(rest) <= idLength || !dishID.MatchString(rest[:idLength]) {
		return false, ""
	}
	return true, rest[idLength:]
}

// idLength is that of an id as it is written.
const idLength = 36
