package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// standIn is the swap that brought a line, nil for what the original has.
func standIn(l *larder.Larder, a swap.Adaptation, line swap.Line) (*larder.Swap, string) {
	for _, c := range a.Swaps {
		if line.From != nil && c.Replaces == *line.From {
			s := l.SwapNamed(c.Swap)
			return s, s.CalledFor(c.Use)
		}
	}
	return nil, ""
}

// Read aloud, the words of each part say what is done with everything it
// lists: by its own name, by that of the swap it belongs to, or as one of a
// group.
func TestTheWordsSayWhatIsDoneWithEverything(t *testing.T) {
	t.Parallel()
	r, b, _ := open(t)
	l := b.Larder()
	every(t, func(where string, _ recipe.Dish, a swap.Adaptation) {
		parts := method.Parts(l, a)
		var all []string
		for _, p := range parts {
			for _, s := range p.Steps {
				all = append(all, larder.Words(s.Text)...)
			}
		}
		spoken := " " + strings.Join(all, " ") + " "
		says := func(name string) bool { return strings.Contains(spoken, " "+strings.Join(larder.Words(name), " ")+" ") }
		for _, p := range parts {
			var lines []recipe.Line
			for _, x := range p.Lines {
				lines = append(lines, x.Line)
			}
			said := map[int]bool{}
			card := recipe.Dish{Components: []recipe.Component{{Lines: lines}}}
			for _, s := range p.Steps {
				card.Components[0].Steps = append(card.Components[0].Steps, recipe.Step{Text: s.Text})
				for _, n := range r.Step(s.Text, lines).Lines {
					said[n] = true
				}
			}
			r.Dish(&card)
			for _, s := range card.Components[0].Steps {
				for _, n := range s.Lines {
					said[n] = true
				}
			}
			for n, x := range p.Lines {
				if said[n] || len(p.Steps) == 0 {
					continue
				}
				book, short := standIn(l, a, x)
				made := strings.HasSuffix(x.Text, ", from above") && says(x.Name)
				asWhole := book != nil && len(book.Prepare) == 0 && says(short)
				byWord := slices.ContainsFunc(larder.Words(x.Name), func(w string) bool { return slices.Contains(all, w) })
				require.True(t, made || asWhole || byWord, "%s, %s: no words for %q", where, p.Name, x.Text)
			}
		}
	})
}
