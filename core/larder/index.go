package larder

import (
	"slices"
	"sort"
	"strings"
)

// Index finds foods by the words of their names.
type Index struct {
	root             *node
	neutral, joining map[string]bool
	entries          []searchEntry
}

// node is one word on the way through the names; food is set where a name ends.
type node struct {
	next map[string]*node
	food *Food
	// measured is the food meant beside a measure and not beside a bare count:
	// "400 g chopped tomatoes" are tinned, "3 chopped tomatoes" are not.
	measured *Food
}

// at returns the food a name means beside a measure or a bare count.
func (n *node) at(counted bool) *Food {
	if n.measured != nil && !counted {
		return n.measured
	}
	return n.food
}

type searchEntry struct {
	text string
	food *Food
}

// measuredMark ends an alias that holds only beside a measure.
const measuredMark = "#"

func buildIndex(foods []*Food, words *Vocabulary) *Index {
	x := &Index{root: &node{}, neutral: words.Neutral, joining: words.Joining}
	for _, f := range foods {
		known := f.spelled
		for i, name := range append([]string{f.Name}, f.Aliases...) {
			bare, measured := strings.CutSuffix(name, measuredMark)
			if measured {
				f.Aliases[i-1] = bare
				f.measuredNames = append(f.measuredNames, bare)
			}
			measured = measured || slices.Contains(f.measuredNames, bare)
			var words []string
			if known != nil {
				words = known[i]
			} else {
				words = Words(bare)
				f.spelled = append(f.spelled, words)
			}
			if len(words) == 0 {
				continue
			}
			n := x.root
			for _, w := range words {
				if n.next == nil {
					n.next = map[string]*node{}
				}
				if n.next[w] == nil {
					n.next[w] = &node{}
				}
				n = n.next[w]
			}
			switch {
			case measured && n.measured == nil:
				n.measured = f
			case !measured && n.food == nil:
				n.food = f
			}
			x.entries = append(x.entries, searchEntry{Fold(bare), f})
		}
	}
	sort.SliceStable(x.entries, func(i, j int) bool { return x.entries[i].text < x.entries[j].text })
	return x
}

// NameWords are the words of its name and of each of its aliases, as Words gives them; they
// are not to be changed.
func (f *Food) NameWords() [][]string {
	if f.spelled != nil {
		return f.spelled
	}
	out := make([][]string, 0, 1+len(f.Aliases))
	for _, name := range append([]string{f.Name}, f.Aliases...) {
		out = append(out, Words(name))
	}
	return out
}

// Match is one food found in a run of words, which it spans from Start up to
// but not including End. Used counts the words of its name.
type Match struct {
	Food       *Food
	Start, End int
	Used       int
}

// maxSkips is how many neutral words may stand inside a name ("smoked skinned
// haddock").
const maxSkips = 2

// At returns the longest name that begins at word i, if any. Names bound to a
// measure are passed over when counted is true.
func (x *Index) At(words []string, i int, counted bool) (Match, bool) {
	best := Match{}
	if i >= len(words) || x.root.next[words[i]] == nil {
		return best, false // as of most words
	}
	var walk func(n *node, at, used, skipped int)
	walk = func(n *node, at, used, skipped int) {
		if f := n.at(counted); f != nil && used > best.Used {
			best = Match{f, i, at, used}
		}
		if at >= len(words) {
			return
		}
		if next := n.next[words[at]]; next != nil {
			walk(next, at+1, used+1, skipped)
		}
		if used > 0 && skipped < maxSkips && x.neutral[words[at]] && !x.joining[words[at]] {
			walk(n, at+1, used, skipped+1)
		}
	}
	walk(x.root, i, 0, 0)
	return best, best.Food != nil
}

// All returns the leftmost-longest matches in a run of words. Where two names share
// words, of two kinds of the same the one that reaches the last has it when it is as long:
// "roast duck legs" are legs.
func (x *Index) All(words []string, counted bool) []Match {
	var found []Match
	for i := 0; i < len(words); {
		if m, ok := x.At(words, i, counted); ok {
			for k := i + 1; k < m.End; k++ {
				if further, ok := x.At(words, k, counted); ok && further.End > m.End && further.Used >= m.Used && further.Food.Kind == m.Food.Kind && further.Food.Kind != "" {
					m = further
					break
				}
			}
			found = append(found, m)
			i = m.End
			continue
		}
		i++
	}
	return found
}

// Search lists foods with a name that has a word beginning with the prefix:
// names that begin with it first, then by length, at most limit of them.
func (x *Index) Search(prefix string, limit int) []*Food {
	prefix = strings.TrimSpace(Fold(prefix))
	if prefix == "" || limit <= 0 {
		return nil
	}
	type hit struct {
		food *Food
		rank int
	}
	best := map[*Food]int{}
	for _, e := range x.entries {
		at := 0
		if !strings.HasPrefix(e.text, prefix) {
			if at = strings.Index(e.text, " "+prefix); at < 0 {
				continue
			}
			at = 1000
		}
		rank := at + len(e.text)
		if old, seen := best[e.food]; !seen || rank < old {
			best[e.food] = rank
		}
	}
	hits := make([]hit, 0, len(best))
	for f, rank := range best {
		hits = append(hits, hit{f, rank})
	}
	sort.Slice(hits, func(i, j int) bool {
		if hits[i].rank != hits[j].rank {
			return hits[i].rank < hits[j].rank
		}
		return hits[i].food.ID < hits[j].food.ID
	})
	foods := make([]*Food, 0, min(limit, len(hits)))
	for _, h := range hits[:min(limit, len(hits))] {
		foods = append(foods, h.food)
	}
	return foods
}

// Nearest suggests foods for a name that was not understood: those sharing
// its last word first, then those within two letters of one of its words.
func (x *Index) Nearest(name string, limit int) []*Food {
	words := Words(name)
	if len(words) == 0 {
		return nil
	}
	scores := map[*Food]int{}
	for _, e := range x.entries {
		for _, have := range strings.Fields(e.text) {
			have = Normal(have)
			for i, want := range words {
				score := 0
				switch {
				case have == want && i == len(words)-1:
					score = 3
				case have == want:
					score = 2
				case len(want) > 3 && distanceWithin(have, want, 2):
					score = 1
				}
				scores[e.food] = max(scores[e.food], score)
			}
		}
	}
	var foods []*Food
	for f, s := range scores {
		if s > 0 {
			foods = append(foods, f)
		}
	}
	sort.Slice(foods, func(i, j int) bool {
		a, b := foods[i], foods[j]
		if scores[a] != scores[b] {
			return scores[a] > scores[b]
		}
		if len(a.Name) != len(b.Name) {
			return len(a.Name) < len(b.Name)
		}
		return a.ID < b.ID
	})
	return foods[:min(limit, len(foods))]
}

// distanceWithin tells whether at most limit letters must be inserted,
// deleted or replaced to turn a into b.
func distanceWithin(a, b string, limit int) bool {
	if len(a)-len(b) > limit || len(b)-len(a) > limit {
		return false
	}
	previous := make([]int, len(b)+1)
	current := make([]int, len(b)+1)
	for j := range previous {
		previous[j] = j
	}
	for i := 1; i <= len(a); i++ {
		current[0] = i
		for j := 1; j <= len(b); j++ {
			cost := 1
			if a[i-1] == b[j-1] {
				cost = 0
			}
			current[j] = min(previous[j]+1, current[j-1]+1, previous[j-1]+cost)
		}
		previous, current = current, previous
	}
	return previous[len(b)] <= limit
}
