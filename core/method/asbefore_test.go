package method_test

import (
	"bufio"
	"encoding/json"
	"fmt"
	"hash/fnv"
	"maps"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
)

// Cards change on purpose only: what each said when it was last read is kept, of the club's as it reads and of the
// corpus as sums. UPDATE=cards keeps what they say now, once the change has been looked at.
var (
	clubCards = filepath.Join("testdata", "club.txt")
	cardSums  = filepath.Join("testdata", "cards.sum")
	keepCards = os.Getenv("UPDATE") == "cards"
)

// cardText is a card as its cook reads it, with what became of each line and step.
func cardText(a swap.Adaptation) string {
	var b strings.Builder
	for _, c := range a.Components {
		if c.Name != "" {
			fmt.Fprintf(&b, "-- %s\n", c.Name)
		}
		for _, l := range c.Lines {
			fmt.Fprintf(&b, "   [%s] %s\n", l.Change, l.Text)
		}
		for n, s := range c.Steps {
			fmt.Fprintf(&b, "%4d (%s) %s\n", n+1, s.Change, s.Text)
			for _, x := range s.Cautions {
				fmt.Fprintf(&b, "     caution: %s\n", x.ID)
			}
		}
	}
	return b.String()
}

// sums are what cards said, and what recipes were read as, by name, each in one figure.
type sums map[string]string

func (s sums) add(name string, a swap.Adaptation) { s.of(name, []byte(cardText(a))) }

// read keeps all that was read of a recipe: its amounts, foods and forms, its notices, its actions.
func (s sums) read(t *testing.T, name string, d recipe.Dish) {
	t.Helper()
	all, err := json.Marshal(d)
	require.NoError(t, err)
	s.of("read "+name, all)
}

func (s sums) of(name string, what []byte) {
	h := fnv.New64a()
	_, _ = h.Write(what)
	s[name] = fmt.Sprintf("%016x", h.Sum64())
}

// asBefore holds cards to what they said.
func (s sums) asBefore(t *testing.T) {
	t.Helper()
	if keepCards {
		var b strings.Builder
		for _, name := range slices.Sorted(maps.Keys(s)) {
			fmt.Fprintf(&b, "%s %s\n", s[name], name)
		}
		require.NoError(t, os.WriteFile(cardSums, []byte(b.String()), 0o644))
	}
	file, err := os.Open(cardSums)
	require.NoError(t, err)
	defer func() { _ = file.Close() }()
	kept := sums{}
	for lines := bufio.NewScanner(file); lines.Scan(); {
		sum, name, _ := strings.Cut(lines.Text(), " ")
		kept[name] = sum
	}
	var other []string
	for name, sum := range s {
		if kept[name] != sum {
			other = append(other, name)
		}
	}
	slices.Sort(other)
	assert.Empty(t, other, "these cards or recipes read otherwise than before, or are new: read them, and keep them with UPDATE=cards")
	assert.Len(t, s, len(kept))
}

func TestTheClubsCardsReadAsBefore(t *testing.T) {
	t.Parallel()
	r, b, c := open(t)
	recipes, err := demo.Recipes()
	require.NoError(t, err)
	var now strings.Builder
	for _, preset := range []string{swap.WholeFood, "fasting-day"} {
		for _, recipe := range recipes {
			d := r.Read(recipe.Text, measure.Metric)
			dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}}, swap.Closest)
			require.NoError(t, err)
			a, err := c.Adapt(d, dec, false)
			require.NoError(t, err)
			fmt.Fprintf(&now, "=== %s under %s\n%s\n", d.Name, preset, cardText(a))
		}
	}
	if keepCards {
		require.NoError(t, os.WriteFile(clubCards, []byte(now.String()), 0o644))
	}
	before, err := os.ReadFile(clubCards)
	require.NoError(t, err)
	require.Equal(t, string(before), now.String(), "read what has changed, and keep it with UPDATE=cards")
}
