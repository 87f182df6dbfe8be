package flow

import (
	"fmt"
	"os"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// written is one recipe of the corpus with its marks, one for an action.
type written struct {
	slug, text string
	marks      []mark
}

// mark is what a careful reader says of one action: "sweat | onions | 'fat | |
// 8 | until soft". A thing is a word of a line's name (with ".1" for the second
// component), "@" for what the mark before made, "@3" for what the third made, or
// "'water" for what only the words name; a share stands before it.
type mark struct {
	technique      string
	to, with, into []string
	minutes, cue   string
}

func corpus(t testing.TB, file string) []written {
	t.Helper()
	raw, err := os.ReadFile("testdata/" + file)
	require.NoError(t, err)
	var out []written
	for _, part := range strings.Split(string(raw), "=== ")[1:] {
		slug, body, _ := strings.Cut(part, "\n")
		text, marks, _ := strings.Cut(body, "--- marks\n")
		w := written{slug: slug, text: text}
		for _, line := range strings.Split(strings.TrimSpace(marks), "\n") {
			if line == "" {
				continue
			}
			f := strings.Split(line, "|")
			for len(f) < 6 {
				f = append(f, "")
			}
			list := func(s string) (out []string) {
				for _, x := range strings.Split(s, ",") {
					if x = strings.TrimSpace(x); x != "" {
						out = append(out, x)
					}
				}
				return out
			}
			w.marks = append(w.marks, mark{strings.TrimSpace(f[0]), list(f[1]), list(f[2]), list(f[3]), strings.TrimSpace(f[4]), strings.TrimSpace(f[5])})
		}
		out = append(out, w)
	}
	return out
}

func (m mark) lines() (out []string) {
	for _, x := range slices.Concat(m.to, m.with, m.into) {
		if _, x = shareIn(x); !strings.HasPrefix(x, "@") && !strings.HasPrefix(x, "'") {
			out = append(out, x)
		}
	}
	return out
}

// shareIn splits "1/2 butter" into its share and the thing; -1 means some, 0
// none said.
func shareIn(x string) (float64, string) {
	first, rest, ok := strings.Cut(x, " ")
	if !ok || strings.HasPrefix(x, "'") {
		return 0, x
	}
	if first == "rest" {
		return -1, rest
	}
	if a, b, ok := strings.Cut(first, "/"); ok {
		top, _ := strconv.ParseFloat(a, 64)
		bottom, err := strconv.ParseFloat(b, 64)
		if err != nil {
			return -1, rest
		}
		return top / bottom, rest
	}
	return 0, x
}

type marked struct {
	d          recipe.Dish
	want       []mark
	got        []recipe.Action
	techniques *Reader
}

// named is the technique that a mark's first column means: the table's name or
// a verb of the language.
func (m marked) named(technique string) string {
	if m.techniques.larder.Technique(technique) != nil {
		return technique
	}
	for _, s := range m.techniques.lang.Senses(technique) {
		if len(s.Keys) == 0 {
			return s.Technique
		}
	}
	return technique
}

// align pairs marks with actions in order, the likest with the likest.
func (m marked) align() []int {
	n, k := len(m.want), len(m.got)
	best := make([][]float64, n+1)
	for i := range best {
		best[i] = make([]float64, k+1)
	}
	for i := n - 1; i >= 0; i-- {
		for j := k - 1; j >= 0; j-- {
			best[i][j] = max(best[i+1][j], best[i][j+1], best[i+1][j+1]+m.alike(i, j))
		}
	}
	pair := make([]int, n)
	i, j := 0, 0
	for i < n {
		switch {
		case j < k && m.alike(i, j) > 0 && best[i][j] == best[i+1][j+1]+m.alike(i, j):
			pair[i] = j
			i, j = i+1, j+1
		case j < k && best[i][j] == best[i][j+1]:
			j++
		default:
			pair[i] = -1
			i++
		}
	}
	return pair
}

func (m marked) alike(i, j int) float64 {
	s := 0.0
	if m.named(m.want[i].technique) == m.got[j].Technique {
		s += 3
	}
	for _, x := range m.want[i].lines() {
		if m.holds(slices.Concat(m.got[j].To, m.got[j].With, m.got[j].Into), x) {
			s++
		}
	}
	return s
}

func (m marked) line(x string) string {
	word, comp, _ := strings.Cut(x, ".")
	words := larder.Words(word)
	found := ""
	for c := range m.d.Components {
		for l, line := range m.d.Components[c].Lines {
			have := larder.Words(line.Name + " " + line.Text)
			if !slices.ContainsFunc(words, func(w string) bool { return !slices.Contains(have, w) }) {
				if comp == "" || comp == strconv.Itoa(c) {
					if found == "" || comp != "" {
						found = recipe.LineRef(c, l)
					}
				}
			}
		}
	}
	return found
}

func (m marked) holds(refs []recipe.Ref, x string) bool {
	at := m.line(x)
	return slices.ContainsFunc(refs, func(r recipe.Ref) bool { return r.Line != nil && *r.Line == at })
}

// holdsMade tells whether what stands for a line that went in before is there: the pot
// out of which the bay leaf is lifted.
func (m marked) holdsMade(refs []recipe.Ref, keeper int, pair []int) bool {
	return keeper >= 0 && pair[keeper] >= 0 && slices.ContainsFunc(refs, func(r recipe.Ref) bool { return r.Made != nil && *r.Made == m.got[pair[keeper]].ID })
}

func (m marked) check(s *score, slug string, i int, want mark, got recipe.Action, pair []int) {
	fail := func(what string) {
		s.wrong = append(s.wrong, fmt.Sprintf("%s %d %s: %s; read %s", slug, i+1, want.technique, what, show(got)))
	}
	field := func(ok bool, what string) {
		s.fields++
		if ok {
			s.right++
		} else {
			fail(what)
		}
	}
	field(m.named(want.technique) == got.Technique, "technique")
	field(m.same(want.to, got.To, i, pair), fmt.Sprintf("to %v", want.to))
	field(m.same(want.with, got.With, i, pair), fmt.Sprintf("with %v", want.with))
	field(m.same(want.into, got.Into, i, pair), fmt.Sprintf("into %v", want.into))
	field(sameMinutes(want.minutes, got.Minutes), "minutes "+want.minutes)
	field(want.cue == got.Cue, "cue "+want.cue)
	for _, x := range want.lines() {
		s.lines++
		if _, name := shareIn(x); m.holds(slices.Concat(got.To, got.With, got.Into), name) || m.holdsMade(slices.Concat(got.To, got.With, got.Into), m.keeper(name, i), pair) {
			s.placed++
		} else {
			s.wrong = append(s.wrong, fmt.Sprintf("%s %d %s: does not take %s", slug, i+1, want.technique, name))
		}
	}
}

func sameMinutes(want string, got *measure.Span) bool {
	if want == "" || got == nil {
		return want == "" && got == nil
	}
	low, high, ranged := strings.Cut(want, "-")
	a, _ := strconv.ParseFloat(low, 64)
	b := a
	if ranged {
		b, _ = strconv.ParseFloat(high, 64)
	}
	return near(a, got.Low) && near(b, got.High)
}

func near(a, b float64) bool { return a-b < 0.02 && b-a < 0.02 }

// show writes an action on one line.
func show(a recipe.Action) string {
	refs := func(list []recipe.Ref) string {
		var out []string
		for _, r := range list {
			one := ""
			switch {
			case r.Line != nil:
				one = strings.NewReplacer("components[", "", "].lines[", ".", "]", "").Replace(*r.Line)
			case r.Made != nil:
				one = "@" + *r.Made
			case r.Named != nil:
				one = "'" + *r.Named
			}
			if r.Share != 1 {
				one = fmt.Sprintf("%g×%s", r.Share, one)
			}
			out = append(out, one)
		}
		return strings.Join(out, ", ")
	}
	s := fmt.Sprintf("%s %s/%s(%s", a.ID, a.Verb, a.Technique, refs(a.To))
	if len(a.With) > 0 {
		s += "; with " + refs(a.With)
	}
	if len(a.Into) > 0 {
		s += "; into " + refs(a.Into)
	}
	if a.Minutes != nil {
		s += fmt.Sprintf("; %g-%g min", a.Minutes.Low, a.Minutes.High)
	}
	if a.Celsius != nil {
		s += fmt.Sprintf("; %g C", *a.Celsius)
	}
	if a.Cue != "" {
		s += "; " + a.Cue
	}
	if a.Makes != "" {
		s += "; makes " + a.Makes
	}
	if len(a.Manner) > 0 {
		s += "; how: " + strings.Join(a.Manner, " / ")
	}
	return s + ")"
}
