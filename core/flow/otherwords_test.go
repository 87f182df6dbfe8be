package flow

import (
	"cmp"
	"fmt"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// retold is a way of telling the same method otherwise.
type retold struct {
	name  string
	steps func(steps []string) []string
	// least is the share of recipes of which every action must be read as before.
	least float64
}

// swapped tells each step with some words for others.
func swapped(pairs ...string) func([]string) []string {
	return func(steps []string) []string {
		out := slices.Clone(steps)
		for i := range out {
			for k := 0; k < len(pairs); k += 2 {
				out[i] = regexp.MustCompile(pairs[k]).ReplaceAllString(out[i], pairs[k+1])
			}
		}
		return out
	}
}

var (
	nextBegins = regexp.MustCompile(`([a-z)])\. ([A-Z][a-z]+ )`)
	figured    = regexp.MustCompile(`^\d+[.)] `)
	retellings = []retold{
		{"without articles", swapped(`\b[tT]he `, ``), 0.55},
		{"in one paragraph", func(s []string) []string { return []string{strings.Join(s, " ")} }, 0.94},
		{"a sentence a step", func(s []string) []string {
			return strings.Split(nextBegins.ReplaceAllString(strings.Join(s, "\n"), "$1.\n$2"), "\n")
		}, 0.97},
		{"sautéed", swapped(`(^|\. )Fry the`, `${1}Sauté the`, `([a-z,]) fry the`, `${1} sauté the`), 0.88},
		{"tipped in", swapped(`\bAdd the\b`, `Tip in the`, `\badd the\b`, `tip in the`), 0.9},
		{"in short minutes", swapped(`\bminutes\b`, `mins`, `\bminute\b`, `min`), 0.97},
		{"put to one side", swapped(`Set aside`, `Put to one side`, `set aside`, `put to one side`), 0.9},
	}
)

// A method is read alike however it is told: with other verbs for the same work, without articles, in one paragraph or in many.
func TestTheSameMethodInOtherWords(t *testing.T) {
	r := reader(t)
	tried, alike := map[string]float64{}, map[string]float64{}
	for _, file := range []string{"eighth.txt", "sixteenth.txt", "twentyfourth.txt", "thirtythird.txt", "thirtyfourth.txt"} {
		data, err := os.ReadFile(filepath.Join("testdata", file))
		require.NoError(t, err)
		for _, text := range strings.Split("\n"+string(data), "\n=== ")[1:] {
			_, text, _ = strings.Cut(text, "\n")
			head, steps := numberedSteps(text)
			if steps == nil {
				continue
			}
			was := worked(r.Read(head+counted(steps), measure.Metric))
			for _, x := range retellings {
				other := x.steps(steps)
				if slices.Equal(other, steps) {
					continue
				}
				tried[x.name]++
				if now := worked(r.Read(head+counted(other), measure.Metric)); slices.Equal(was, now) {
					alike[x.name]++
				}
			}
		}
	}
	for _, x := range retellings {
		t.Logf("%s: %.0f recipes, %.0f %% of them read alike", x.name, tried[x.name], 100*alike[x.name]/tried[x.name])
		require.Greater(t, tried[x.name], 2.0, x.name)
		require.GreaterOrEqual(t, alike[x.name]/tried[x.name], x.least, x.name)
	}
}

// numberedSteps parts a recipe before its numbered steps; nil where it has none, or more behind them.
func numberedSteps(text string) (head string, steps []string) {
	for row := range strings.SplitSeq(strings.TrimSpace(text), "\n") {
		switch {
		case figured.MatchString(row):
			steps = append(steps, figured.ReplaceAllString(row, ""))
		case len(steps) > 0 && strings.TrimSpace(row) != "":
			return "", nil
		default:
			head += row + "\n"
		}
	}
	return head, steps
}

func counted(steps []string) string {
	out := ""
	for i, s := range steps {
		out += fmt.Sprintf("%d. %s\n", i+1, s)
	}
	return out
}

// worked is what is done to what, in the order of the telling: the way of working and the lines by their texts.
func worked(d recipe.Dish) []string {
	var out []string
	number := map[string]int{}
	said := func(refs []recipe.Ref) (all string) {
		for _, r := range refs {
			switch {
			case r.Line != nil:
				all += " " + *r.Line
			case r.Made != nil:
				all += fmt.Sprintf(" @%d%s", number[*r.Made], r.Of)
			default:
				all += " ?"
			}
			all += fmt.Sprintf("×%.2f", cmp.Or(r.Share, 1))
		}
		return all
	}
	for _, s := range asTold(d) {
		for _, a := range s.Actions {
			number[a.ID] = len(out)
			way := strings.Replace(a.Technique, "saute", "fry", 1)
			out = append(out, way+said(a.To)+" with"+said(a.With)+" into"+said(a.Into))
		}
	}
	return out
}
