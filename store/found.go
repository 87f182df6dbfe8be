package store

import (
	"cmp"
	"context"
	"fmt"
	"slices"
	"unique"
)

// found are the numbers of the dishes whose words fit, nil where none are asked for.
func (s *Store) found(ctx context.Context, match string) (map[int64]bool, error) {
	out := map[int64]bool{}
	err := each(ctx, s.read, `SELECT rowid FROM shelf_search WHERE shelf_search MATCH ?`, func(scan func(...any) error) error {
		var n int64
		err := scan(&n)
		out[n] = true
		return err
	}, match)
	return out, err
}

// numbers are all dishes that are wanted, in their order.
func (s *Store) numbers(ctx context.Context, w Wanted) ([]*row, error) {
	list, err := s.sorted(ctx, cmp.Or(w.Sort, ByChanged))
	if err != nil {
		return nil, err
	}
	match := terms(w.Words)
	var among map[int64]bool
	if match != "" {
		if among, err = s.found(ctx, match); err != nil {
			return nil, err
		}
	}
	if w.Uses != "" {
		uses := map[int64]bool{}
		err := each(ctx, s.read, `SELECT number FROM shelf_more WHERE instr(uses, ?) > 0`, func(scan func(...any) error) error {
			var n int64
			err := scan(&n)
			uses[n] = match == "" || among[n]
			return err
		}, "|"+w.Uses+"|")
		if err != nil {
			return nil, err
		}
		among = uses
	}
	var out []*row
	for _, r := range list {
		if (among == nil || among[r.number]) && w.fits(r) {
			out = append(out, r)
		}
	}
	if match == "" || w.Sort != "" {
		return out, nil
	}
	return s.ranked(ctx, match, out)
}

// mostRanked is up to how many finds are ranked by how well the words fit them; of
// more, those that are so called come first.
const mostRanked = 400

func (s *Store) ranked(ctx context.Context, match string, list []*row) ([]*row, error) {
	place := map[int64]int{}
	query, values := `SELECT rowid FROM shelf_search WHERE shelf_search MATCH ? ORDER BY bm25(shelf_search, 10, 4, 1)`, []any{match}
	if len(list) > mostRanked {
		query, values = `SELECT rowid FROM shelf_search WHERE shelf_search MATCH ?`, []any{"name : (" + match + ")"}
	}
	err := each(ctx, s.read, query, func(scan func(...any) error) error {
		var n int64
		err := scan(&n)
		if place[n] = 1; len(list) <= mostRanked {
			place[n] = len(place)
		}
		return err
	}, values...)
	if err != nil {
		return nil, err
	}
	slices.SortStableFunc(list, func(a, b *row) int {
		x, named := place[a.number]
		y, other := place[b.number]
		return cmp.Or(first(named, other), cmp.Compare(x, y))
	})
	return list, nil
}

// Shelf lists dishes, a page of them, and how many there are in all.
func (s *Store) Shelf(ctx context.Context, w Wanted) ([]Shelved, int, error) {
	list, err := s.numbers(ctx, w)
	if err != nil {
		return nil, 0, fmt.Errorf("look through the shelf: %w", err)
	}
	var page []int64
	for _, r := range list[min(w.From, len(list)):min(w.From+w.Most, len(list))] {
		page = append(page, r.number)
	}
	out, err := s.Numbered(ctx, page, w.Stamp)
	return out, len(list), err
}

// Needed are the foods that the dishes that are wanted need, to be held against what
// is in the house: by their number.
func (s *Store) Needed(ctx context.Context, w Wanted) (map[int64][]string, error) {
	list, err := s.numbers(ctx, w)
	out := map[int64][]string{}
	for _, r := range list {
		needs := make([]string, len(r.needs))
		for i, id := range r.needs {
			needs[i] = id.Value()
		}
		out[r.number] = needs
	}
	return out, err
}

// Facets are what the dishes of a shelf can be narrowed down by: how many there are of
// a country, region or kitchen by their state, and the names they carry.
type Facets struct {
	Countries, Regions, Kitchens map[string]map[string]int
	Labels, Eaters               []string
}

// Facets counts the shelf, without what was put or taken away.
func (s *Store) Facets(ctx context.Context) (Facets, error) {
	f := Facets{map[string]map[string]int{}, map[string]map[string]int{}, map[string]map[string]int{}, []string{}, []string{}}
	list, err := s.sorted(ctx, ByChanged)
	labels, eaters := map[string]bool{}, map[string]bool{}
	for _, r := range list {
		if r.away || r.gone {
			continue
		}
		for _, x := range []struct {
			value unique.Handle[string]
			in    map[string]map[string]int
		}{{r.country, f.Countries}, {r.region, f.Regions}, {r.kitchen, f.Kitchens}} {
			if x.in[x.value.Value()] == nil {
				x.in[x.value.Value()] = map[string]int{}
			}
			x.in[x.value.Value()][r.state.Value()]++
		}
		if bars := r.labels.Value(); bars != "" {
			for _, l := range listed(bars) {
				labels[l] = true
			}
		}
		for _, e := range listed(r.eaters) {
			eaters[e] = true
		}
	}
	for l := range labels {
		f.Labels = append(f.Labels, l)
	}
	for e := range eaters {
		f.Eaters = append(f.Eaters, e)
	}
	slices.Sort(f.Labels)
	slices.Sort(f.Eaters)
	return f, err
}
