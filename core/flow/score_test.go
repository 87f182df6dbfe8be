package flow

import (
	"fmt"
	"slices"
	"strconv"
	"strings"
	"testing"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// score counts what of the marks the reader got right.
type score struct {
	fields, right, lines, placed, actions, surplus int
	wrong                                          []string
}

func (s *score) add(o score) {
	s.fields, s.right, s.lines, s.placed = s.fields+o.fields, s.right+o.right, s.lines+o.lines, s.placed+o.placed
	s.actions, s.surplus = s.actions+o.actions, s.surplus+o.surplus
	s.wrong = append(s.wrong, o.wrong...)
}

func (s score) String() string {
	return fmt.Sprintf("fields %d of %d (%.1f %%), lines placed %d of %d (%.1f %%), surplus %d of %d actions (%.1f %%)", s.right, s.fields, 100*float64(s.right)/float64(s.fields),
		s.placed, s.lines, 100*float64(s.placed)/float64(s.lines), s.surplus, s.actions, 100*float64(s.surplus)/float64(s.actions))
}

// compare holds a reading against the marks of a recipe.
func compare(t testing.TB, w written) score {
	d := read(t, w.text)
	var got []recipe.Action
	for _, at := range d.Method() {
		got = append(got, d.Components[at.Component].Steps[at.Step].Actions...)
	}
	m := marked{d: d, want: w.marks, got: got, techniques: reader(t)}
	pair := m.align()
	s := score{actions: len(got)}
	used := map[int]bool{}
	for i, want := range w.marks {
		if g := pair[i]; g >= 0 {
			used[g] = true
			m.check(&s, w.slug, i, want, got[g], pair)
			continue
		}
		s.fields += 6
		s.lines += len(want.lines())
		s.wrong = append(s.wrong, fmt.Sprintf("%s %d: missing %s %v", w.slug, i+1, want.technique, want.to))
	}
	for g := range got {
		if !used[g] {
			s.surplus++
			s.wrong = append(s.wrong, fmt.Sprintf("%s: surplus %s", w.slug, show(got[g])))
		}
	}
	return s
}

// same holds the things of a role against its marks.
func (m marked) same(want []string, got []recipe.Ref, i int, pair []int) bool {
	if len(want) != len(got) {
		return false
	}
	taken := map[int]bool{}
	for _, x := range want {
		at := slices.IndexFunc(got, func(r recipe.Ref) bool { return m.is(x, r, i, pair) })
		for at >= 0 && taken[at] {
			next := slices.IndexFunc(got[at+1:], func(r recipe.Ref) bool { return m.is(x, r, i, pair) })
			if next < 0 {
				return false
			}
			at += 1 + next
		}
		if at < 0 {
			return false
		}
		taken[at] = true
	}
	return true
}

func (m marked) is(x string, r recipe.Ref, i int, pair []int) bool {
	share, name := shareIn(x)
	switch {
	case strings.HasPrefix(name, "@"):
		at := i - 1
		if n, err := strconv.Atoi(name[1:]); err == nil {
			at = n - 1
		}
		return r.Made != nil && at >= 0 && pair[at] >= 0 && *r.Made == m.got[pair[at]].ID && (share == 0) == (r.Share == 1)
	case strings.HasPrefix(name, "'"):
		return r.Named != nil && slices.Contains(larder.Words(*r.Named), last(larder.Words(name[1:])))
	}
	if r.Made != nil && share == 0 {
		at := m.keeper(name, i)
		return at >= 0 && pair[at] >= 0 && *r.Made == m.got[pair[at]].ID
	}
	if r.Line == nil || *r.Line != m.line(name) {
		return false
	}
	switch {
	case share < 0:
		return r.Share < 1
	case share > 0:
		return near(share, r.Share) || r.Share > share-0.02 && r.Share < share+0.02
	}
	return r.Share == 1
}

// keeper is the last mark before i that holds a line which has gone in already,
// -1 when it has not: what an action made stands for the line then.
func (m marked) keeper(name string, i int) int {
	keep, holds := -1, map[int]bool{}
	for k := 0; k < i; k++ {
		for _, x := range slices.Concat(m.want[k].to, m.want[k].with, m.want[k].into) {
			_, x = shareIn(x)
			at := k - 1
			if n, err := strconv.Atoi(strings.TrimPrefix(x, "@")); err == nil {
				at = n - 1
			}
			if !strings.HasPrefix(x, "'") && !strings.HasPrefix(x, "@") && m.line(x) == m.line(name) || strings.HasPrefix(x, "@") && holds[at] {
				keep, holds[k] = k, true
			}
		}
	}
	return keep
}
