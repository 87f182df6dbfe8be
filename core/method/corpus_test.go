package method_test

import (
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// recipesIn reads the texts of one file of the corpus of recipes.
func recipesIn(t testing.TB, file string) []string {
	t.Helper()
	data, err := os.ReadFile(filepath.Join("..", "flow", "testdata", file))
	require.NoError(t, err)
	var out []string
	for _, part := range strings.Split("\n"+string(data), "\n=== ")[1:] {
		_, text, _ := strings.Cut(part, "\n")
		text, _, _ = strings.Cut(text, "\n---")
		out = append(out, text)
	}
	return out
}

// tally counts what reading cards back has found.
type tally struct {
	cards int
	kinds map[swap.FindingKind]int
	texts []string
}

func (x *tally) add(where string, a swap.Adaptation) {
	x.cards++
	for _, c := range a.Components {
		for _, s := range c.Steps {
			for _, f := range s.Findings {
				x.kinds[f.Kind]++
				x.texts = append(x.texts, fmt.Sprintf("%s: %s: %s: %s", where, f.Kind, f.Text, s.Text))
			}
		}
	}
}

func (x *tally) perCard() float64 {
	n := 0
	for _, k := range x.kinds {
		n += k
	}
	return float64(n) / float64(x.cards)
}

// Every card of the corpus reads back as it was meant, with nothing left to look at: the first lots under each of the
// presets, the many after them in turn under one, and under each where CARDS is set.
func TestCardsOfTheCorpusReadBack(t *testing.T) {
	t.Parallel()
	r, b, c := open(t)
	presets, all := []string{swap.WholeFood, "whole-food-no-oil", "fasting-day"}, os.Getenv("CARDS") != ""
	said := sums{}
	for lot, half := range [][]string{{"first.txt", "first_marked.txt"}, {"second.txt", "second_marked.txt"}, {"eighth.txt", "ninth.txt", "tenth.txt", "eleventh.txt", "twelfth.txt", "thirteenth.txt", "fourteenth.txt", "fifteenth.txt", "sixteenth.txt", "seventeenth.txt", "eighteenth.txt", "nineteenth.txt", "twentieth.txt", "twentyfirst.txt", "twentysecond.txt", "twentythird.txt", "twentyfourth.txt", "twentyfifth.txt", "twentysixth.txt", "twentyseventh.txt", "twentyeighth.txt", "twentyninth.txt", "thirtieth.txt", "thirtyfirst.txt", "thirtysecond.txt", "thirtythird.txt", "thirtyfourth.txt", "thirtyfifth.txt", "thirtysixth.txt", "thirtyseventh.txt", "thirtyeighth.txt", "thirtyninth.txt"}} {
		found := tally{kinds: map[swap.FindingKind]int{}}
		for _, file := range half {
			for k, text := range recipesIn(t, file) {
				d := r.Read(text, measure.Metric)
				said.read(t, fmt.Sprintf("%s %d, %s", file, k, d.Name), d)
				for n, preset := range presets {
					if lot > 1 && !all && n != k%len(presets) {
						continue
					}
					dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}}, swap.Closest)
					require.NoError(t, err)
					a, err := c.Adapt(d, dec, false)
					require.NoError(t, err)
					found.add(d.Name+" under "+preset, a)
					if lot < 2 || n == k%len(presets) {
						said.add(fmt.Sprintf("%s %d %s, %s", file, k, preset, d.Name), a)
					}
					wellFormed(t, d.Name, a)
					servable(t, b.Larder(), &d, a)
				}
			}
		}
		t.Logf("%v: %d cards, %.2f to look at a card, %v\n%s", half, found.cards, found.perCard(), found.kinds, strings.Join(found.texts, "\n"))
		require.Empty(t, found.kinds)
	}
	said.asBefore(t)
}

// wellFormed holds what no sentence of a card may be: mangled by what was taken
// out of it.
func wellFormed(t *testing.T, where string, a swap.Adaptation) {
	t.Helper()
	for _, comp := range a.Components {
		for _, s := range comp.Steps {
			if s.Change != swap.Changed && s.Change != swap.Added {
				continue
			}
			assert.NotRegexp(t, `  | [,.;:]|,,|\.\.|\bthe the\b|\band and\b|\bthe (?:a|an) |,\.|\( *\)|[a-z]\. [a-z]{4,} `, s.Text, where)
			assert.NotRegexp(t, `\b(?:and|or|the|of|into|an)[.;]`, s.Text, where)
			assert.Regexp(t, `^[\p{Lu}0-9(“"'½¼¾⅓⅔⅛]`, s.Text, where)
			assert.Equal(t, strings.Count(s.Text, "("), strings.Count(s.Text, ")"), s.Text)
		}
	}
}

// servable holds that nothing strong comes in by more than a cook would use.
func servable(t *testing.T, l *larder.Larder, d *recipe.Dish, a swap.Adaptation) {
	t.Helper()
	servings := 4.0
	if d.Serves != nil && d.Serves.Mid() > 0 {
		servings = d.Serves.Mid()
	}
	brought, boosts := map[string]float64{}, map[string]float64{} // what swaps and boosters bring of a food, and what it may come to
	defer func() {
		for id, most := range boosts {
			assert.LessOrEqual(t, brought[id], most*(1+measure.MaxFineError)+0.5, "%s: %s beside what swaps bring of it", d.Name, id)
		}
	}()
	for _, comp := range a.Components {
		for _, line := range comp.Lines {
			f := l.Food(line.FoodID())
			if f != nil && (line.Change == swap.Swapped || line.Change == swap.Booster) {
				brought[f.ID] += line.Mass()
				if line.Change == swap.Booster {
					boosts[f.ID] = l.MostServed(f, line.Form).Most * servings
				}
			}
			if f == nil || line.Change != swap.Swapped && line.Change != swap.Booster {
				continue
			}
			most := l.MostServed(f, line.Form).Most * servings
			assert.LessOrEqual(t, line.Mass(), most+measure.MaxFineError*most+0.5, "%s: %s", d.Name, line.Text)
		}
	}
}

// mixed is a dish of lines and steps taken at random from the corpus.
func mixed(r *rand.Rand, lines []string, steps []string) string {
	var b strings.Builder
	b.WriteString("Mixed dish\nServes 4\n\n")
	for range 6 + r.IntN(55) {
		b.WriteString(lines[r.IntN(len(lines))] + "\n")
	}
	b.WriteString("\nMethod\n")
	for n := range 1 + r.IntN(12) {
		fmt.Fprintf(&b, "%d. %s\n", n+1, steps[r.IntN(len(steps))])
	}
	return b.String()
}

// Dishes mixed at random are carried over without a fault: whatever cannot be
// written is told. MIXES sets how many are tried.
func TestMixedDishesNeverFail(t *testing.T) {
	t.Parallel()
	r, b, c := open(t)
	tries := 150
	if n, err := strconv.Atoi(os.Getenv("MIXES")); err == nil {
		tries = n
	}
	var lines, steps []string
	for _, file := range []string{"first.txt", "first_marked.txt", "second.txt", "second_marked.txt"} {
		for _, text := range recipesIn(t, file) {
			d := r.Read(text, measure.Metric)
			for _, comp := range d.Components {
				for _, l := range comp.Lines {
					lines = append(lines, l.Text)
				}
				for _, s := range comp.Steps {
					steps = append(steps, s.Text)
				}
			}
		}
	}
	random := rand.New(rand.NewPCG(7, 11))
	presets := swap.PresetsOf(b.Larder())
	findings := tally{kinds: map[swap.FindingKind]int{}}
	for i := range tries {
		text := mixed(random, lines, steps)
		d := r.Read(text, measure.Metric)
		preset := presets[i%len(presets)].ID
		dec := decidedAtRandom(b, d, preset, random)
		var a swap.Adaptation
		require.NotPanics(t, func() {
			var err error
			a, err = c.Adapt(d, dec, false)
			require.NoError(t, err)
		}, text)
		for _, comp := range a.Components {
			for _, s := range comp.Steps {
				require.Empty(t, s.Animals)
				require.False(t, slices.ContainsFunc(s.Findings, func(f swap.Finding) bool { return f.Kind == swap.NamesAnimal }), "%s %v\n%s", s.Text, s.Findings, text)
			}
		}
		findings.add("mix "+strconv.Itoa(i), a)
	}
	t.Logf("%d mixes, %.2f to look at a card, %v", tries, findings.perCard(), findings.kinds)
}

// decidedAtRandom chooses any allowed swap for each line, which is quicker than a
// proposal and goes further astray.
func decidedAtRandom(b *swap.Book, d recipe.Dish, preset string, r *rand.Rand) swap.Decisions {
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}, Swaps: map[string]string{}}
	for i, comp := range d.Components {
		for j := range comp.Lines {
			f := b.Larder().Food(comp.Lines[j].FoodID())
			if f == nil {
				continue
			}
			var fit []string
			for _, s := range b.Larder().Swaps() {
				if s.ServesFood(f.Kind, f) {
					fit = append(fit, s.ID)
				}
			}
			if len(fit) > 0 {
				dec.Swaps[recipe.LineRef(i, j)] = fit[r.IntN(len(fit))]
			}
		}
	}
	return dec
}
