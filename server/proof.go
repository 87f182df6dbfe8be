package server

import (
	"fmt"
	"io"
	"strings"

	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/swap"
)

// Proof reads a recipe, adapts it and writes the card as a cook would read it,
// with what reading it back has found. It returns how many findings there are.
func (k *Kitchen) Proof(w io.Writer, text, measures string, rules swap.HouseRules) (int, error) {
	d := k.Core().Reader.Read(text, measure.System(measures))
	a, err := k.Adapt(AdaptRequest{Original: &d, HouseRules: rules})
	if err != nil {
		return 0, err
	}
	fmt.Fprintf(w, "# %s\n", d.Name)
	found := 0
	for _, c := range method.Parts(k.Core().Larder, a) {
		if c.Name != "" {
			fmt.Fprintf(w, "\n%s\n", c.Name)
		}
		fmt.Fprintln(w)
		for _, l := range c.Lines {
			if l.Change != swap.Dropped {
				fmt.Fprintf(w, "  %s%s%s\n", mark(l.Change), l.Text, k.bought(l.Line))
			}
		}
		fmt.Fprintln(w)
		number := 0
		for _, s := range c.Steps {
			if s.Change == swap.Dropped {
				fmt.Fprintf(w, "  - left out: %s\n", s.Why)
				continue
			}
			number++
			fmt.Fprintf(w, "%s%d. %s\n", mark(s.Change), number, s.Text)
			if s.Quote != "" {
				fmt.Fprintf(w, "     the original: “%s”\n", strings.TrimSpace(s.Quote))
			}
			for _, f := range s.Findings {
				found++
				fmt.Fprintf(w, "     to look at (%s): %s\n", f.Kind, f.Text)
			}
		}
	}
	for _, o := range a.Unresolved {
		fmt.Fprintf(w, "  open: %s, %s\n", o.Line, o.Why)
	}
	fmt.Fprintf(w, "\n%d to look at\n", found)
	return found, nil
}

// bought says behind a line how much of it is bought, where it swells or shrinks: as the card does.
func (k *Kitchen) bought(l recipe.Line) string {
	f := k.Core().Larder.Food(l.FoodID())
	if f == nil {
		return ""
	}
	if said := sizing.AsBought(l, f); said != "" {
		return " (" + said + ")"
	}
	return ""
}

// mark sets apart what is new from what is as it was.
func mark(c swap.Change) string {
	switch c {
	case swap.Kept, swap.Adjusted:
		return "  "
	case swap.Changed:
		return "~ "
	}
	return "+ "
}
