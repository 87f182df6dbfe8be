package swap_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// A dish of two parts as it is kept, and decisions of every kind on it.
func keptDish() (recipe.Dish, swap.Decisions) {
	d := recipe.Dish{Components: []recipe.Component{
		{Lines: []recipe.Line{{Name: "beef"}, {Name: "lard"}}, Steps: []recipe.Step{{Text: "Fry."}, {Text: "Simmer."}}},
		{Name: "Crust", Lines: []recipe.Line{{Name: "egg"}}, Steps: []recipe.Step{{Text: "Brush."}}},
	}}
	ref := recipe.LineRef
	return d, swap.Decisions{
		Swaps:    map[string]string{ref(0, 0): "tofu", ref(1, 0): "flax"},
		Uses:     map[string]string{ref(0, 1): "fry"},
		Amounts:  map[string]float64{ref(0, 0): 1.5},
		Wording:  map[string]string{recipe.StepRef(0, 1): "Mine.", "components[1].added flax stir (2)": "Stir."},
		Figures:  map[string]swap.Figures{recipe.StepRef(0, 0) + " (2)": {Minutes: &measure.Span{Low: 5, High: 5}}},
		Order:    map[string][]string{"0": {recipe.StepRef(0, 1), recipe.StepRef(0, 0)}},
		Boosters: []swap.Dose{{Food: "miso", Component: 1}},
	}
}

func TestDecisionsStayWithWhatTheyAreAbout(t *testing.T) {
	d, by := keptDish()
	d.Identify(0)
	kept := by.Kept(&d)
	require.Equal(t, map[string]string{"l2": "tofu", "l7": "flax"}, kept.Swaps)
	require.Equal(t, map[string]string{"s5": "Mine.", "p6.added flax stir (2)": "Stir."}, kept.Wording)
	require.Contains(t, kept.Figures, "s4 (2)")
	require.Equal(t, map[string][]string{"p1": {"s5", "s4"}}, kept.Order)
	require.Equal(t, "p6", kept.Boosters[0].Part)
	require.Equal(t, kept, kept.Kept(&d), "kept twice is kept once")
	require.Equal(t, by.Swaps, kept.Placed(&d).Swaps)

	// The parts change places, and so do the lines of one.
	stew := d.Components[0]
	stew.Lines = []recipe.Line{stew.Lines[1], stew.Lines[0]}
	moved := recipe.Dish{Components: []recipe.Component{d.Components[1], stew}}
	now := kept.Placed(&moved)
	require.Equal(t, map[string]string{"components[1].lines[1]": "tofu", "components[0].lines[0]": "flax"}, now.Swaps)
	require.Equal(t, map[string]string{"components[1].lines[0]": "fry"}, now.Uses)
	require.Equal(t, map[string]float64{"components[1].lines[1]": 1.5}, now.Amounts)
	require.Equal(t, 0, now.Boosters[0].Component)
	require.Contains(t, now.Order, "1")

	// What is gone takes its decisions along; nothing falls to another.
	fewer := recipe.Dish{Components: []recipe.Component{stew}}
	fewer.Components[0].Lines = stew.Lines[:1]
	left := kept.Kept(&fewer)
	require.Empty(t, left.Swaps)
	require.Equal(t, map[string]string{"l3": "fry"}, left.Uses)
	require.Equal(t, map[string]string{"s5": "Mine."}, left.Wording)
}

// What is kept of a dose is no sentence: what it brings is worked out when it is asked for, and why it
// was taken stands as a key.
func TestNoSentenceOfADoseIsKept(t *testing.T) {
	k := open(t)
	d := k.reader.Read("Soup\nServes 4\n\n1 kg potatoes\n2 onions\n100 g smoked bacon\n1 l water\n\n1. Fry the bacon with the onions.\n2. Add the potatoes and the water and simmer for 20 minutes.", measure.Metric)
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}, Boosters: []swap.Dose{{Food: "smoked-paprika", Grams: 3, Why: "smoked paprika 3 g: smoke +1.0 steps."}, {Food: "miso", Grams: 6, Why: swap.WantedMore("savoury")}}}
	kept := dec.Kept(&d)
	require.Empty(t, kept.Boosters[0].Why)
	require.Equal(t, swap.WantedMore("savoury"), kept.Boosters[1].Why)
	a, err := k.book.Apply(d, kept, false)
	require.NoError(t, err)
	require.Regexp(t, `^smoked paprika 3 g: .*smoke \+\d`, a.Boosters[0].Why)
	require.Equal(t, "the table wanted more savoury", a.Boosters[1].Why)
}
