package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/assert"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// verbsLikeFoods are words of a method that are names of foods elsewhere.
var verbsLikeFoods = []string{"mash", "toast", "roll", "spread", "wrap", "sprinkle", "paste", "powder", "crumb"}

// What the preparation of a swap names is in its formula or in the dish it goes
// into, and everything in the formula is named by it.
func TestThePreparationsOfTheBookNameWhatIsThere(t *testing.T) {
	r, b, _ := open(t)
	l := b.Larder()
	for _, s := range l.Swaps() {
		if len(s.Prepare) == 0 {
			continue
		}
		known := larder.Words(strings.ToLower(s.Name + " " + s.Short + " water flour salt"))
		lines := make([]recipe.Line, len(s.Formula))
		for i, p := range s.Formula {
			f := l.Food(p.Food)
			lines[i] = recipe.Line{Food: &s.Formula[i].Food, Name: f.Name, Form: p.Form, Preparation: p.Preparation, Origin: f.Origin}
			known = append(known, larder.Words(f.Name+" "+p.Preparation)...)
			for _, name := range f.Aliases {
				known = append(known, larder.Words(name)...)
			}
		}
		used := map[int]bool{}
		for _, p := range s.Prepare {
			for _, n := range r.Step(p.Text, lines).Lines {
				used[n] = true
			}
			words := larder.Words(strings.Replace(p.Text, p.Cue, "", 1)) // what a cue likens it to is not used
			for i := 0; i < len(words); i++ {
				m, ok := l.Index().At(words, i, true)
				if !ok {
					continue
				}
				named := words[i:m.End]
				strange := !slices.ContainsFunc(named, func(w string) bool { return slices.Contains(known, w) || slices.Contains(verbsLikeFoods, w) })
				assert.False(t, strange, "%s: %q is not in the formula: %s", s.ID, strings.Join(named, " "), p.Text)
				i = m.End - 1
			}
		}
		for n, p := range s.Formula {
			assert.True(t, used[n], "%s: nothing is done with %s", s.ID, p.Food)
		}
	}
}

// What the list calls a thing the preparation calls it too: at least by its last word.
func TestThePreparationsOfTheBookUseTheNamesOfTheList(t *testing.T) {
	_, b, _ := open(t)
	l := b.Larder()
	for _, s := range l.Swaps() {
		var said []string
		for _, p := range s.Prepare {
			said = append(said, larder.Words(p.Text)...)
		}
		for _, p := range s.Formula {
			if name := larder.Words(l.Food(p.Food).Name); len(said) > 0 {
				assert.Contains(t, said, name[len(name)-1], "%s: the list says %s", s.ID, l.Food(p.Food).Name)
			}
		}
	}
}

// Water that stays in what is made is in the formula; water from the tap is only for
// soaking, boiling and rinsing, and is thrown away.
func TestThePreparationsOfTheBookListTheirWater(t *testing.T) {
	r, b, _ := open(t)
	l := b.Larder()
	for _, s := range l.Swaps() {
		if slices.ContainsFunc(s.Formula, func(p larder.Part) bool { return p.Food == "water" }) {
			continue
		}
		lines := make([]recipe.Line, len(s.Formula))
		for i, p := range s.Formula {
			f := l.Food(p.Food)
			lines[i] = recipe.Line{Food: &s.Formula[i].Food, Name: f.Name, Form: p.Form, Preparation: p.Preparation, Origin: f.Origin}
		}
		for _, p := range s.Prepare {
			actions := r.Step(p.Text, lines).Actions
			for k, a := range actions {
				way := l.Technique(a.Technique)
				if slices.ContainsFunc(actions[k:], func(a recipe.Action) bool { return a.Technique == "drain" }) {
					continue
				}
				for _, ref := range slices.Concat(a.To, a.With) {
					if ref.Named != nil && way != nil && (way.Family == "mix" || way.Family == "machine") {
						assert.NotContains(t, larder.Words(*ref.Named), "water", "%s: “%s” takes water that is not listed: %s", s.ID, a.Verb, p.Text)
					}
				}
			}
		}
	}
}

// What several foods are mixed to before they go into a liquid of the dish speaks of no liquid that it does not list.
func TestThePreparationsOfTheBookListTheirLiquid(t *testing.T) {
	_, b, _ := open(t)
	for _, s := range b.Larder().Swaps() {
		pours := false
		for _, p := range s.Formula {
			pours = pours || larder.Pours(b.Larder().Food(p.Food))
		}
		for _, p := range s.Prepare {
			if len(s.Formula) > 1 && !pours {
				assert.NotContains(t, strings.ToLower(p.Text), "cold liquid", s.ID)
			}
		}
	}
}

// A preparation lists the kit that its work needs, so that a house without it is not
// asked for it.
func TestThePreparationsOfTheBookListTheirKit(t *testing.T) {
	r, b, _ := open(t)
	l := b.Larder()
	for _, s := range l.Swaps() {
		lines := make([]recipe.Line, len(s.Formula))
		for i, p := range s.Formula {
			f := l.Food(p.Food)
			lines[i] = recipe.Line{Food: &s.Formula[i].Food, Name: f.Name, Form: p.Form, Preparation: p.Preparation, Origin: f.Origin}
		}
		for _, p := range s.Prepare {
			step := r.Step(p.Text, lines)
			for _, a := range step.Actions {
				way := l.Technique(a.Technique)
				if way == nil {
					continue
				}
				needs := slices.DeleteFunc(slices.Clone(way.Kit), func(k string) bool { return k == "ring" })
				if way.Name == "deep-fry" {
					needs = append(needs, "deep-fryer")
				}
				for _, k := range needs {
					assert.Contains(t, p.Kit, k, "%s: “%s” needs it: %s", s.ID, a.Verb, p.Text)
				}
			}
		}
	}
}

// What a formula lists as soaked, boiled, baked or pressed is so by a step of the preparation:
// what takes time is nothing to be taken from a shelf. Pulses, grains and nuts cooked beforehand
// are bought so or listed by their dry weight.
func TestThePreparationsOfTheBookDoWhatTakesTime(t *testing.T) {
	r, b, _ := open(t)
	l := b.Larder()
	takesTime := func(way *larder.Technique) bool {
		return way != nil && way.Name != "cook" && (way.Family == "wet heat" || way.Family == "oven" || way.Family == "rest" || way.Name == "press")
	}
	alike := func(way *larder.Technique) string {
		if way.Family == "rest" && way.Name != "rest" && way.Medium == "" {
			return way.Name // chilling is no soaking
		}
		return way.Family
	}
	for _, s := range l.Swaps() {
		lines := make([]recipe.Line, len(s.Formula))
		for i, p := range s.Formula {
			lines[i] = recipe.Line{Food: &s.Formula[i].Food, Name: l.Food(p.Food).Name, Form: p.Form, Preparation: p.Preparation, Origin: l.Food(p.Food).Origin}
		}
		done := map[string]bool{}
		for _, p := range s.Prepare {
			for _, a := range r.Step(p.Text, lines).Actions {
				done[alike(l.Technique(a.Technique))] = true
			}
		}
		for _, p := range s.Formula {
			for _, w := range larder.Words(p.Preparation) {
				for _, v := range l.Language().Verb(w) {
					for _, name := range l.Language().Orders(v.Lemma) {
						if way := l.Technique(name); len(s.Prepare) > 0 && v.Form == language.Past && takesTime(way) && v.Lemma != "leave" {
							assert.True(t, done[alike(way)], "%s: no step makes the %s %s", s.ID, p.Food, w)
						}
					}
				}
			}
		}
	}
}

// A swap with raw flour, raw pulses or raw starch that its own preparation does not cook says that the dish has to.
func TestWhatIsNotEatenRawSaysThatItIsCooked(t *testing.T) {
	r, b, _ := open(t)
	l := b.Larder()
	heated := 0
	for _, s := range l.Swaps() {
		lines := make([]recipe.Line, len(s.Formula))
		raw := false
		for i, p := range s.Formula {
			f := l.Food(p.Food)
			lines[i] = recipe.Line{Food: &s.Formula[i].Food, Name: f.Name, Form: p.Form, Preparation: p.Preparation, Origin: f.Origin}
			raw = raw || f.Tagged(larder.CookedFirst)
		}
		hot := slices.ContainsFunc(s.Prepare, func(p larder.Preparation) bool {
			return slices.ContainsFunc(r.Step(p.Text, lines).Actions, func(a recipe.Action) bool { return l.Technique(a.Technique) != nil && l.Technique(a.Technique).Hot() })
		})
		assert.Equal(t, raw && !hot, s.Heat, "%s: raw %v, cooked beforehand %v", s.ID, raw, hot)
		if s.Heat {
			heated++
		}
	}
	assert.Greater(t, heated, 30)
}

// What is simmered in the water of the dish is not simmered before, and strained of a water that nobody lists.
func TestWhatABrothIsMadeOfIsNotStrainedBefore(t *testing.T) {
	_, b, _ := open(t)
	l := b.Larder()
	for _, s := range l.Swaps() {
		if !slices.Contains(s.Serves, "bones") {
			continue
		}
		assert.False(t, slices.ContainsFunc(s.Formula, func(p larder.Part) bool { return larder.Pours(l.Food(p.Food)) && p.Grams > 20 }), "%s is made with a liquid", s.ID)
		for _, p := range s.Prepare {
			assert.NotContains(t, larder.Words(p.Text), "strain", s.ID)
		}
	}
}
