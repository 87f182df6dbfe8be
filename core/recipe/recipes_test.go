package recipe_test

import (
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// judge counts what came out right of a file of recipes with what is expected
// of each behind a line of equal signs.
type judge struct {
	t              *testing.T
	name           string
	checks, rights int
}

func (j *judge) check(ok bool, what string, got any) {
	j.t.Helper()
	j.checks++
	if ok {
		j.rights++
		return
	}
	j.t.Logf("%s: %s: got %v", j.name, what, got)
}

func index(t *testing.T, text string) int {
	n, err := strconv.Atoi(text)
	require.NoError(t, err)
	return n
}

func stepAt(t *testing.T, d recipe.Dish, part, step string) recipe.Step {
	p, s := index(t, part), index(t, step)
	if p >= len(d.Components) || s >= len(d.Components[p].Steps) {
		return recipe.Step{}
	}
	return d.Components[p].Steps[s]
}

func (j *judge) recipe(r *flow.Reader, text, expected string) {
	d := r.Read(text, measure.Metric)
	j.name, _, _ = strings.Cut(strings.TrimSpace(text), "\n")
	parts := 0
	animals := map[string]string{}
	for _, row := range strings.Split(strings.TrimSpace(expected), "\n") {
		key, value, _ := strings.Cut(row, ":")
		value = strings.TrimSpace(value)
		words := strings.Fields(value)
		switch key {
		case "name":
			j.check(d.Name == value, row, d.Name)
		case "serves":
			j.check(d.Serves != nil && strconv.FormatFloat(d.Serves.Low, 'g', -1, 64) == value, row, d.Serves)
		case "part":
			n := len(words)
			name, lines, steps := strings.Join(words[:n-2], " "), index(j.t, words[n-2]), index(j.t, words[n-1])
			if parts >= len(d.Components) {
				j.check(false, row, "no such part")
			} else {
				c := d.Components[parts]
				j.check(c.Name == name, row+" (name)", c.Name)
				j.check(len(c.Lines) == lines, row+" (lines)", len(c.Lines))
				j.check(len(c.Steps) == steps, row+" (steps)", len(c.Steps))
			}
			parts++
		case "animal":
			animals[strings.Join(words[:len(words)-1], " ")] = words[len(words)-1]
		case "minutes":
			s := stepAt(j.t, d, words[0], words[1])
			j.check(s.Minutes != nil && s.Minutes.Low == float64(index(j.t, words[2])) && s.Minutes.High == float64(index(j.t, words[3])), row, s.Minutes)
		case "celsius":
			s := stepAt(j.t, d, words[0], words[1])
			j.check(s.Celsius != nil && *s.Celsius == float64(index(j.t, words[2])), row, s.Celsius)
		case "cue":
			s := stepAt(j.t, d, words[0], words[1])
			j.check(strings.Contains(s.Cue, strings.Join(words[2:], " ")), row, s.Cue)
		case "step":
			s := stepAt(j.t, d, words[0], words[1])
			named := false
			for _, a := range s.Animals {
				named = named || strings.Contains(a.Name, words[2])
			}
			j.check(named, row, s.Animals)
		default:
			j.t.Fatalf("unknown expectation %q", row)
		}
	}
	j.check(parts == len(d.Components), "parts", len(d.Components))
	j.animals(d, animals)
}

// animals compares the lines marked animal with those expected: each named one
// must be found, and none beside them.
func (j *judge) animals(d recipe.Dish, want map[string]string) {
	for _, c := range d.Components {
		for _, l := range c.Lines {
			for fragment, class := range want {
				if strings.Contains(l.Text, fragment) {
					require.Contains(j.t, []larder.Origin{larder.FromAnimal, larder.Mixed}, l.Origin, "an animal line called %s: %s", l.Origin, l.Text)
					j.check(string(l.Animal) == class, fragment+" is "+class, l.Animal)
					delete(want, fragment)
					l.Origin = ""
				}
			}
			j.check(l.Origin != larder.FromAnimal, "no animal line", l.Text)
		}
	}
	j.check(len(want) == 0, "all animal lines found", want)
}

func judged(t *testing.T, file string) *judge {
	data, err := os.ReadFile(file)
	require.NoError(t, err)
	r := reader(t)
	j := &judge{t: t}
	recipes := strings.Split(string(data), "%%%%\n")
	require.GreaterOrEqual(t, len(recipes), 15)
	for _, one := range recipes {
		text, expected, ok := strings.Cut(one, "=====\n")
		require.True(t, ok)
		j.recipe(r, text, expected)
	}
	t.Logf("%d of %d checks right (%.1f %%)", j.rights, j.checks, 100*float64(j.rights)/float64(j.checks))
	return j
}

func TestRecipesOfTheFirstHalf(t *testing.T) {
	j := judged(t, "testdata/recipes_first.txt")
	require.GreaterOrEqual(t, float64(j.rights), shareRight*float64(j.checks))
}

// The second half was written before it was first read; what it showed has
// been mended since.
func TestRecipesOfTheSecondHalf(t *testing.T) {
	j := judged(t, "testdata/recipes_second.txt")
	require.GreaterOrEqual(t, float64(j.rights), shareRight*float64(j.checks))
}
