package store

import (
	"cmp"
	"context"
	"slices"
	"strings"
	"sync"
	"unique"
)

// rows are the shelf's rows in memory, without what is fetched for a page alone, so
// that it is narrowed down, sorted and counted in a moment however long it is. They
// are read when they are wanted; whatever changes many has them be read again, what
// changes one has that one be.
type rows struct {
	mu   sync.Mutex
	all  map[int64]*row
	at   map[string]int64
	sort map[Sorting][]*row
}

// row is a dish of the shelf as it is narrowed down by.
type row struct {
	number                   int64
	dish, folded, place      string
	country, region, kitchen unique.Handle[string]
	state, family            unique.Handle[string]
	changed                  string
	labels, allergens, rules unique.Handle[string]
	eaters                   string
	liking                   *float64
	away, gone, worked       bool
	needs                    []unique.Handle[string]
}

const selectRows = `SELECT s.number, s.dish, s.folded, s.place, s.country, s.region, s.kitchen, s.state, s.family, s.changed, s.labels, s.allergens, s.rules, s.eaters, s.liking, s.away, s.gone, s.stamp <> '', coalesce(m.needs, '')
  FROM shelf s LEFT JOIN shelf_more m ON m.number = s.number`

func scanRow(scan func(...any) error) (*row, error) {
	r := &row{}
	var country, region, kitchen, state, family, labels, allergens, rules, needs string
	err := scan(&r.number, &r.dish, &r.folded, &r.place, &country, &region, &kitchen, &state, &family, &r.changed, &labels, &allergens, &rules, &r.eaters, &r.liking, &r.away, &r.gone, &r.worked, &needs)
	r.country, r.region, r.kitchen, r.state, r.family = unique.Make(country), unique.Make(region), unique.Make(kitchen), unique.Make(state), unique.Make(family)
	r.labels, r.allergens, r.rules = unique.Make(labels), unique.Make(allergens), unique.Make(rules)
	for _, id := range listed(needs) {
		r.needs = append(r.needs, unique.Make(id))
	}
	return r, err
}

// OnShelf tells which dishes are there, put away or not, without reading any.
func (s *Store) OnShelf(ctx context.Context) (map[string]bool, error) {
	list, err := s.sorted(ctx, ByChanged)
	out := map[string]bool{}
	for _, r := range list {
		if !r.gone {
			out[r.dish] = true
		}
	}
	return out, err
}

// forget has the rows be read again.
func (r *rows) forget() {
	r.mu.Lock()
	r.all = nil
	r.mu.Unlock()
}

// reread reads one dish's row again.
func (s *Store) reread(ctx context.Context, dish string) {
	r := &s.rows
	r.mu.Lock()
	defer r.mu.Unlock()
	if r.all == nil {
		return
	}
	var fresh *row
	err := each(ctx, s.read, selectRows+` WHERE s.dish = ?`, func(scan func(...any) error) (err error) {
		fresh, err = scanRow(scan)
		return err
	}, dish)
	if err != nil {
		r.all = nil
		return
	}
	if fresh == nil {
		delete(r.all, r.at[dish])
		delete(r.at, dish)
	} else {
		r.all[fresh.number], r.at[dish] = fresh, fresh.number
	}
	r.sort = map[Sorting][]*row{}
}

// sorted are all rows in an order.
func (s *Store) sorted(ctx context.Context, by Sorting) ([]*row, error) {
	r := &s.rows
	r.mu.Lock()
	defer r.mu.Unlock()
	if r.all == nil {
		all, at := map[int64]*row{}, map[string]int64{}
		err := each(ctx, s.read, selectRows, func(scan func(...any) error) error {
			x, err := scanRow(scan)
			all[x.number], at[x.dish] = x, x.number
			return err
		})
		if err != nil {
			return nil, err
		}
		r.all, r.at, r.sort = all, at, map[Sorting][]*row{}
	}
	if list, done := r.sort[by]; done {
		return list, nil
	}
	list := make([]*row, 0, len(r.all))
	for _, x := range r.all {
		list = append(list, x)
	}
	slices.SortFunc(list, func(a, b *row) int { return cmp.Or(orders[by](a, b), cmp.Compare(b.number, a.number)) })
	r.sort[by] = list
	return list, nil
}

var orders = map[Sorting]func(a, b *row) int{
	ByChanged: func(a, b *row) int { return cmp.Compare(b.changed, a.changed) },
	ByName:    func(a, b *row) int { return cmp.Compare(a.folded, b.folded) },
	ByPlace: func(a, b *row) int {
		return cmp.Or(first(a.place != "", b.place != ""), cmp.Compare(Folded(a.place), Folded(b.place)), cmp.Compare(a.folded, b.folded))
	},
	ByLiking: func(a, b *row) int {
		if a.liking != nil && b.liking != nil {
			return cmp.Or(cmp.Compare(*b.liking, *a.liking), cmp.Compare(b.changed, a.changed))
		}
		return cmp.Or(first(a.liking != nil, b.liking != nil), cmp.Compare(b.changed, a.changed))
	},
}

// first puts what has something before what has not.
func first(a, b bool) int {
	switch {
	case a && !b:
		return -1
	case b && !a:
		return 1
	}
	return 0
}

// Sorted tells whether there is such an order.
func Sorted(by Sorting) bool { return orders[by] != nil }

func holds(bars, name string) bool { return strings.Contains(bars, "|"+name+"|") }

// fits tells whether a row is wanted, but for the words and the foods it uses.
func (w *Wanted) fits(r *row) bool {
	if r.gone != w.Gone || !w.Gone && r.away != w.Away {
		return false
	}
	is := func(have unique.Handle[string], want string) bool { return want == "" || have.Value() == want }
	if !is(r.country, w.Country) || !is(r.region, w.Region) || !is(r.kitchen, w.Kitchen) || !is(r.state, w.State) || w.Family != "" && r.family.Value() != w.Family && r.dish != w.Family || w.Eater != "" && !holds(r.eaters, w.Eater) {
		return false
	}
	for _, a := range w.Without {
		if !r.worked || holds(r.allergens.Value(), a) {
			return false
		}
	}
	for _, x := range w.Rules {
		if !holds(r.rules.Value(), x) {
			return false
		}
	}
	for _, l := range w.Labels {
		if !holds(r.labels.Value(), l) {
			return false
		}
	}
	return true
}
