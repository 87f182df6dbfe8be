package method_test

import (
	"fmt"
	"slices"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func open(t testing.TB) (*flow.Reader, *swap.Book, *method.Carrier) {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	r, b := flow.NewReader(l), swap.NewBook(l)
	return r, b, method.NewCarrier(b, r)
}

func ExampleCarrier_Adapt() {
	l, _ := larder.Load(knowledge.Shipped())
	r, b := flow.NewReader(l), swap.NewBook(l)
	d := r.Read("Ragout\n\n500 g beef mince\n1 onion\n\nMethod\n1. Brown the mince for 10 minutes until no pink is left. Skim off the fat.", measure.Metric)
	a, _ := method.NewCarrier(b, r).Adapt(d, swap.Decisions{Swaps: map[string]string{"components[0].lines[0]": "ready-mince"}, HouseRules: swap.HouseRules{Preset: "like-for-like"}}, false)
	fmt.Println(a.Components[0].Steps[0].Change, a.Components[0].Steps[0].Text)
	// Output: changed Heat the vegetable oil and brown the plant mince for 10 minutes.
}

// tried is a demo dish with its adaptation under one preset and aim.
type tried struct {
	where string
	dish  recipe.Dish
	a     swap.Adaptation
}

// everyTried adapts all demo dishes under all presets and aims, once.
var everyTried = sync.OnceValues(func() ([]tried, error) {
	l, err := shipped()
	if err != nil {
		return nil, err
	}
	r, b := flow.NewReader(l), swap.NewBook(l)
	c := method.NewCarrier(b, r)
	recipes, err := demo.Recipes()
	if err != nil {
		return nil, err
	}
	var out []tried
	for _, x := range recipes {
		d := r.Read(x.Text, measure.Metric)
		for _, preset := range swap.PresetsOf(l) {
			for _, aim := range swap.Aims {
				dec, err := b.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: preset.ID}, Pins: x.Pins}, aim)
				if err != nil {
					return nil, err
				}
				a, err := c.Adapt(d, dec, false)
				if err != nil {
					return nil, err
				}
				out = append(out, tried{fmt.Sprintf("%s under %s, %s", x.Key, preset.ID, aim), d, a})
			}
		}
	}
	return out, nil
})

// every visits them.
func every(t *testing.T, visit func(where string, d recipe.Dish, a swap.Adaptation)) {
	t.Helper()
	all, err := everyTried()
	require.NoError(t, err)
	for _, x := range all {
		visit(x.where, x.dish, x.a)
	}
}

func TestNoAdaptedStepNamesAnimalMatter(t *testing.T) {
	r, book, _ := open(t)
	every(t, func(where string, _ recipe.Dish, a swap.Adaptation) {
		for _, comp := range a.Components {
			var lines []recipe.Line
			for _, l := range comp.Lines {
				lines = append(lines, l.Line)
			}
			for _, s := range comp.Steps {
				require.Empty(t, s.Animals)
				require.Empty(t, r.Step(s.Text, lines).Animals, "%s: %s", where, s.Text)
				for with := range book.Larder().Language().Writing.DoneWith {
					require.NotContains(t, " "+strings.ToLower(s.Text), " "+with, where)
				}
				for _, n := range s.Lines {
					require.Less(t, n, len(comp.Lines))
				}
			}
		}
	})
}

func TestNoListedIngredientIsLeftUnused(t *testing.T) {
	every(t, func(where string, _ recipe.Dish, a swap.Adaptation) {
		elsewhere := map[string]bool{}
		for _, comp := range a.Components {
			for _, s := range comp.Steps {
				for _, x := range s.Actions {
					for _, r := range slices.Concat(x.To, x.With, x.Into) {
						if r.Line != nil && s.Change != swap.Dropped {
							elsewhere[*r.Line] = true
						}
					}
				}
			}
		}
		for i, comp := range a.Components {
			used := map[int]bool{}
			for _, s := range comp.Steps {
				for _, n := range s.Lines {
					used[n] = used[n] || s.Change != swap.Dropped
				}
			}
			for n, l := range comp.Lines {
				require.True(t, used[n] || elsewhere[recipe.LineRef(i, n)] || l.Change == swap.Dropped || len(comp.Steps) == 0, "%s: nothing is done with %s", where, l.Text)
			}
		}
	})
}

// A step names no food that was replaced, neither animal matter nor a plant food
// that a house rule leaves out.
func TestNoStepMentionsWhatIsNotThere(t *testing.T) {
	l, err := shipped()
	require.NoError(t, err)
	named := func(text string) map[string]string { // food and the last word it is called by
		out := map[string]string{}
		words := larder.Words(text)
		for i := 0; i < len(words); i++ {
			if m, ok := l.Index().At(words, i, true); ok {
				out[m.Food.ID] = words[m.End-1]
				i = m.End - 1
			}
		}
		return out
	}
	every(t, func(where string, d recipe.Dish, a swap.Adaptation) {
		gone, there := map[string]bool{}, map[string]bool{}
		heads := map[string]bool{} // last words of what is there
		for i, comp := range a.Components {
			for _, line := range comp.Lines {
				if line.Change == swap.Dropped {
					continue
				}
				there[line.FoodID()] = true
				words := larder.Words(line.Name)
				heads[words[len(words)-1]] = true
			}
			for _, line := range d.Components[i].Lines {
				gone[line.FoodID()] = true
			}
		}
		for _, comp := range a.Components {
			for _, s := range comp.Steps {
				if s.Change == swap.Dropped || s.Change == swap.Added {
					continue
				}
				text := strings.ReplaceAll(s.Text, "in its own oil", "") // the coconut's
				for _, put := range a.Swaps {
					text = strings.ReplaceAll(text, l.SwapNamed(put.Swap).CalledFor(put.Use), "it")
				}
				for id, head := range named(text) {
					require.False(t, gone[id] && !there[id] && !heads[head], "%s: %q is named, which was replaced: %s", where, id, s.Text)
				}
				for i := range d.Components {
					for j, line := range d.Components[i].Lines {
						words := larder.Words(line.Name)
						head := words[len(words)-1]
						replaced := slices.ContainsFunc(a.Swaps, func(c swap.Chosen) bool { return c.Replaces == recipe.LineRef(i, j) })
						if replaced && !heads[head] && line.Origin != larder.FromAnimal {
							require.NotContains(t, larder.Words(text), head, "%s: %s was replaced: %s", where, line.Name, s.Text)
						}
					}
				}
			}
		}
	})
}

func TestHeadingsNameNoAnimal(t *testing.T) {
	r, _, c := open(t)
	every(t, func(where string, d recipe.Dish, a swap.Adaptation) {
		for i, comp := range a.Components {
			require.Empty(t, r.Step(comp.Name, nil).Animals, "%s: %q", where, comp.Name)
			if len(r.Step(d.Components[i].Name, nil).Animals) == 0 {
				require.Equal(t, d.Components[i].Name, comp.Name, where)
			}
		}
	})
	d := r.Read("Pie\n\nMeat filling\n\n500 g beef mince\n\nCrust\n\n200 g flour\n\nMethod\n1. Brown the mince for 10 minutes.\n2. Roll out the flour with water.", measure.Metric)
	a, err := c.Adapt(d, swap.Decisions{}, false)
	require.NoError(t, err)
	at := slices.IndexFunc(a.Components, func(p swap.Component) bool { return strings.HasSuffix(strings.ToLower(p.Name), "filling") })
	require.NotEqual(t, -1, at)
	require.Equal(t, "Filling", a.Components[at].Name, "nothing chosen yet, so nothing to name it after")
}

func TestTheCooksOwnWordingStands(t *testing.T) {
	r, b, c := open(t)
	d := r.Read("Ragout\n\n500 g beef mince\n1 onion\n\nMethod\n1. Fry the onion for 10 minutes.\n2. Add the mince and brown it for 10 minutes.", measure.Metric)
	dec, err := b.Propose(d, swap.Decisions{}, swap.Closest)
	require.NoError(t, err)
	plain, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	dec.Wording = map[string]string{"components[0].steps[1]": "Stir the crumbs in and let them crackle for 4 minutes until they smell of nuts."}
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	at := slices.IndexFunc(a.Components[0].Steps, func(s swap.Step) bool { return s.Own })
	require.Positive(t, at)
	own, before := a.Components[0].Steps[at], plain.Components[0].Steps[at]
	require.Equal(t, dec.Wording["components[0].steps[1]"], own.Text)
	require.Equal(t, before.Text, own.Written, "what was written can be given back")
	require.InDelta(t, 4, own.Minutes.Mid(), 1e-9, "times are read from the cook's words")
	require.Equal(t, before.Lines, own.Lines)
	// Another swap leaves the wording alone.
	dec.Swaps["components[0].lines[0]"] = "soy-mince-rehydrated"
	a, err = c.Adapt(d, dec, false)
	require.NoError(t, err)
	require.True(t, slices.ContainsFunc(a.Components[0].Steps, func(s swap.Step) bool { return s.Own && s.Text == own.Text }))
	keys := map[string]bool{}
	for _, s := range a.Components[0].Steps {
		require.False(t, keys[s.Key], "every step has a key of its own: %s", s.Key)
		keys[s.Key] = true
	}
}

func TestWordsAroundAStandInAreMended(t *testing.T) {
	r, _, c := open(t)
	for _, x := range []struct{ line, step, swap, want, not string }{
		{"4 hard-boiled eggs", "Add the hard-boiled eggs and simmer for 5 minutes.", "potato-piece-egg", "Add the black-salt potatoes", "hard-boiled"},
		{"4 eggs", "Crack an egg into each hollow and bake until the white is just set.", "pumpkin-yolk-pool", "potato and pumpkin rounds into each hollow", "white is"},
		{"50 g butter", "Melt the butter and fry the onion for 5 minutes.", "oil-for-butter", "Heat the oil", "Melt"},
		{"50 g butter", "Melt the butter in a large pot and sweat the onion for 5 minutes.", "dry-saute", "Sweat the onion in a large pot", "butter"},
		{"50 g butter", "Melt the butter in a large pot and sweat the onion in a pan for 5 minutes.", "dry-saute", "in a pan", "large pot"},
		{"50 g butter", "Melt the butter and fry the onion for 5 minutes.", "plant-butter", "Melt the plant butter", ""},
		{"800 g stewing beef", "Add the beef and stew, covered, for 2 hours until the beef is tender.", "mushroom-chestnut-braise", "for 30 minutes", "2 hours"},
		{"800 g stewing beef", "Add the beef and stew, uncovered, for 2 hours until thick.", "mushroom-chestnut-braise", "stew for 30 minutes more until thick", "2 hours"},
		{"800 g stewing beef", "Fry the onion for 5 minutes. Add the beef and sear for 10 minutes. Pour in 500 ml water and stew, covered, for 2 hours.", "tempeh-braise", "add the tempeh", "ear for"},
		{"500 ml beef stock", "Pour in the beef stock and simmer for 20 minutes.", "vegetable-stock-plain", "Pour in the vegetable stock", "beef"},
	} {
		d := r.Read("Dish\nServes 4\n\n"+x.line+"\n1 onion\n\nMethod\n1. Chop the onion.\n2. "+x.step, measure.Metric)
		dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: map[string]string{"components[0].lines[0]": x.swap}}
		a, err := c.Adapt(d, dec, false)
		require.NoError(t, err)
		require.Len(t, a.Swaps, 1, x.line)
		text := ""
		for _, s := range a.Components[0].Steps {
			if len(s.From) > 0 && s.From[0] == 1 {
				text = s.Text
			}
		}
		require.Contains(t, text, x.want)
		if x.not != "" {
			require.NotContains(t, text, x.not)
		}
	}
}

func TestStepsSayWhatBecameOfThem(t *testing.T) {
	r, _, c := open(t)
	d := r.Read("Chowder\n\n400 g smoked haddock\n2 potatoes\n\nMethod\n1. Boil the potatoes for 15 minutes until tender.\n2. Add the haddock and poach for 5 minutes until the fish flakes.\n3. Brush with beaten egg.", measure.Metric)
	a, err := c.Adapt(d, swap.Decisions{Swaps: map[string]string{"components[0].lines[0]": "smoked-tofu-flakes"}}, false)
	require.NoError(t, err)
	steps := a.Components[0].Steps
	require.Equal(t, swap.Added, steps[0].Change, "the tofu waits long and is prepared before the cooking begins")
	require.NotNil(t, steps[0].Minutes)
	require.Equal(t, swap.Kept, steps[1].Change)
	require.Equal(t, swap.Changed, steps[2].Change)
	require.Contains(t, steps[2].Text, "smoked tofu")
	require.NotContains(t, strings.ToLower(steps[2].Text), "haddock")
	require.NotContains(t, steps[2].Text, "flakes.", "the cue of fish is gone")
	require.Equal(t, []int{1}, steps[2].From)
	require.NotEmpty(t, steps[2].Why)
	require.NotContains(t, steps[3].Text, "egg", "matter that only the step names gives way too")
}
