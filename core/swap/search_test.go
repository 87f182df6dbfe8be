package swap

import (
	"math"
	"slices"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/demo"
	"yembra/knowledge"
)

// shipped is the larder as it ships, loaded once for all tests.
var shipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

func open(t testing.TB) (*Book, *flow.Reader) {
	t.Helper()
	l, err := shipped()
	require.NoError(t, err)
	return NewBook(l), flow.NewReader(l)
}

func (b *Book) benchOf(t testing.TB, d recipe.Dish, dec Decisions) *bench {
	t.Helper()
	rules, err := NewRules(b.larder, dec.HouseRules)
	require.NoError(t, err)
	x := b.prepare(d, rules, dec)
	x.ready()
	return x
}

func club(t testing.TB, r *flow.Reader, visit func(key string, pins []string, d recipe.Dish)) {
	t.Helper()
	all, err := demo.Recipes()
	require.NoError(t, err)
	for _, one := range all {
		visit(one.Key, one.Pins, r.Read(one.Text, measure.Metric))
	}
}

// What the search adds up must be what the adaptation is.
func TestTheSearchWeighsWhatTheAdaptationShows(t *testing.T) {
	b, r := open(t)
	club(t, r, func(key string, pins []string, d recipe.Dish) {
		for _, preset := range PresetsOf(b.larder) {
			dec, err := b.Propose(d, Decisions{HouseRules: HouseRules{Preset: preset.ID}, Pins: pins}, Closest)
			require.NoError(t, err)
			a, err := b.Apply(d, dec, false)
			require.NoError(t, err)
			x := b.benchOf(t, d, dec)
			choice, doses := x.decided(dec)
			st, open := x.total(choice, doses)
			x.weigh(&st, open)
			for _, th := range a.Traits {
				for i, trait := range character.Traits[:12] {
					if trait.Name == th.Trait {
						require.InDelta(t, th.Adapted, x.profile.Whole[i], 1e-6*(1+th.Adapted), "%s %s %s", key, preset.ID, th.Trait)
					}
				}
			}
			require.Equal(t, len(a.Unresolved), open)
		}
	})
}

// brute tries every combination of swaps, with up to one booster.
func (x *bench) brute(boosters bool) float64 {
	best := math.Inf(1)
	choice := make([]int, len(x.options))
	var walk func(i int)
	walk = func(i int) {
		if i == len(x.options) {
			best = min(best, x.try(choice, nil))
			if boosters {
				if pick, low := x.bestDose(found{choice: slices.Clone(choice)}, nil); pick != nil {
					best = min(best, low)
				}
			}
			return
		}
		for c := range x.options[i] {
			choice[i] = c
			walk(i + 1)
		}
	}
	walk(0)
	return best
}

var smallDishes = []string{
	"Eggs in cream\nServes 2\n\n3 eggs\n150 ml double cream\n1/2 tsp salt\n\nMethod\n1. Beat the eggs with the cream and salt and bake at 160 C for 20 minutes until set.",
	"Ragout\nServes 4\n\n500 g beef mince\n20 g butter\n1 onion, chopped\n400 g tinned tomatoes\n1 tsp salt\n\nMethod\n1. Melt the butter and fry the onion for 8 minutes.\n2. Add the mince and brown it for 8 minutes. Add the tomatoes and salt and simmer for 30 minutes.",
	"Fish soup\nServes 4\n\n400 g cod\n600 ml fish stock\n100 ml single cream\n300 g potatoes, diced\n1 tsp salt\n\nMethod\n1. Simmer the potatoes in the fish stock for 15 minutes.\n2. Add the cod and poach for 5 minutes, then flake it. Stir in the cream and the salt.",
	"Cheese toast\nServes 2\n\n4 slices sourdough bread\n120 g cheddar, grated\n20 g butter\n\nMethod\n1. Spread the bread with the butter, top with the cheddar and grill for 4 minutes until melted.",
}

func TestProposalIsTheOptimumOnSmallDishes(t *testing.T) {
	b, r := open(t)
	for _, text := range smallDishes {
		d := r.Read(text, measure.Metric)
		for _, aim := range Aims {
			for _, preset := range []string{WholeFood, "fasting-day"} {
				dec := Decisions{HouseRules: HouseRules{Preset: preset}, Pins: []string{character.Savoury}}
				x := b.benchOf(t, d, dec)
				x.aim = aim
				v := math.Inf(1)
				for _, f := range x.exact() {
					v = min(v, x.try(f.choice, nil))
				}
				require.InDelta(t, x.brute(false), v, 1e-9, "%s, %s, %s: swaps alone", d.Name, aim, preset)
				got := x.search()
				require.LessOrEqual(t, got.weight, x.brute(true)+1e-9, "%s, %s, %s: with a booster", d.Name, aim, preset)
				require.InDelta(t, got.weight, x.try(got.choice, got.doses), 1e-9, "the weight is that of the answer")
			}
		}
	}
}

func TestProposalIsNeverWorseThanGreedy(t *testing.T) {
	b, r := open(t)
	club(t, r, func(key string, pins []string, d recipe.Dish) {
		for _, preset := range PresetsOf(b.larder) {
			for _, aim := range Aims {
				x := b.benchOf(t, d, Decisions{HouseRules: HouseRules{Preset: preset.ID}, Pins: pins})
				x.aim = aim
				greedy := x.addBoosters(x.greedy())
				require.LessOrEqual(t, x.search().weight, greedy.weight+1e-9, "%s %s %s", key, preset.ID, aim)
			}
		}
	})
}

func TestBeamFindsWhatExhaustionFinds(t *testing.T) {
	b, r := open(t)
	for _, text := range smallDishes {
		d := r.Read(text, measure.Metric)
		x := b.benchOf(t, d, Decisions{HouseRules: HouseRules{Preset: WholeFood}})
		beam := math.Inf(1)
		for _, f := range x.beam() {
			beam = min(beam, x.exchangeSwaps(found{choice: f.choice, weight: f.weight}).weight)
		}
		require.InDelta(t, x.brute(false), beam, 1e-9, d.Name)
	}
}

func TestBoostersHaveAReasonAndAMoment(t *testing.T) {
	b, r := open(t)
	club(t, r, func(key string, pins []string, d recipe.Dish) {
		dec, err := b.Propose(d, Decisions{HouseRules: HouseRules{Preset: WholeFood}, Pins: pins}, Closest)
		require.NoError(t, err)
		require.LessOrEqual(t, len(dec.Boosters), mostBoosters, key)
		x := b.benchOf(t, d, dec)
		for _, dose := range dec.Boosters {
			booster := b.larder.BoosterNamed(dose.Food)
			require.NotNil(t, booster)
			require.NotEqual(t, map[bool]string{true: larder.InSavoury, false: larder.InSweet}[x.dessert], booster.In, "%s in %s", dose.Food, key)
			require.LessOrEqual(t, dose.Grams, booster.Most*x.before.Parts[dose.Component].Mass/100+0.06, "%s in %s", dose.Food, key)
			require.NotEmpty(t, dose.Why)
			require.False(t, x.shapes[dose.Component].Kneaded, "nothing is stirred into a dough")
			// Taking it out makes the dish worse.
			less := dec
			less.Boosters = slices.DeleteFunc(slices.Clone(dec.Boosters), func(o Dose) bool { return o.Food == dose.Food })
			choice, with := x.decided(dec)
			_, without := x.decided(less)
			require.Greater(t, x.try(choice, without), x.try(choice, with), "%s in %s", dose.Food, key)
		}
	})
}

func BenchmarkEvaluate(b *testing.B) {
	book, r := open(b)
	var d recipe.Dish
	club(b, r, func(key string, _ []string, one recipe.Dish) {
		if key == "moussaka" { // 25 lines
			d = one
		}
	})
	x := book.benchOf(b, d, Decisions{HouseRules: HouseRules{Preset: WholeFood}})
	f := x.greedy()
	for b.Loop() {
		x.try(f.choice, nil)
	}
}

func BenchmarkRank(b *testing.B) {
	book, r := open(b)
	club(b, r, func(key string, pins []string, d recipe.Dish) {
		if key != "pierogi" {
			return
		}
		dec, err := book.Propose(d, Decisions{HouseRules: HouseRules{Preset: "like-for-like"}, Pins: pins}, Closest)
		require.NoError(b, err)
		b.ResetTimer()
		for b.Loop() {
			if _, _, err := book.Rank(d, dec, recipe.LineRef(1, 0)); err != nil {
				b.Fatal(err)
			}
		}
	})
}

func BenchmarkProposeClub(b *testing.B) {
	book, r := open(b)
	club(b, r, func(key string, pins []string, d recipe.Dish) {
		b.Run(key, func(b *testing.B) {
			for b.Loop() {
				if _, err := book.Propose(d, Decisions{HouseRules: HouseRules{Preset: WholeFood}, Pins: pins}, Closest); err != nil {
					b.Fatal(err)
				}
			}
		})
	})
}

func TestNothingIsStirredIntoAPieceInACrust(t *testing.T) {
	b, r := open(t)
	d := r.Read("Katsu\nServes 2\n\n2 pork loin chops\n50 g plain flour\n1 egg, beaten\n100 g panko breadcrumbs\n500 ml oil\n\nMethod\n1. Dust the chops with flour, dip in the egg and coat in the panko.\n2. Deep-fry at 170 C for 6 minutes.", measure.Metric)
	dec, err := b.Propose(d, Decisions{}, Closest)
	require.NoError(t, err)
	require.Empty(t, dec.Boosters)
	s := b.larder.SwapNamed(dec.Swaps["components[0].lines[0]"])
	require.Contains(t, s.Uses, "breaded")
}
