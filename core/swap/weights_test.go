package swap

import (
	"math/rand/v2"
	"reflect"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// tried are what many sets of swaps and doses weigh, drawn the same for every book.
func (b *Book) tried(t *testing.T, dishes []recipe.Dish) []float64 {
	t.Helper()
	var out []float64
	for n, d := range dishes {
		for _, house := range []HouseRules{{Preset: WholeFood, SaltPerServing: 0.5}, {Preset: "like-for-like", VegetablesPerGrain: 9}, {Preset: "grain-bean-sea"}} {
			x := b.benchOf(t, d, Decisions{HouseRules: house, Pins: []string{"savoury"}})
			r := rand.New(rand.NewPCG(7, uint64(n)))
			for _, aim := range Aims {
				x.aim = aim
				for range 12 {
					choice := make([]int, len(x.options))
					for i := range choice {
						choice[i] = r.IntN(len(x.options[i])+1) - 1
					}
					var doses []*option
					for i := range x.doses {
						if k := len(x.doses[i]); k > 0 && r.IntN(8) == 0 {
							doses = append(doses, &x.doses[i][r.IntN(k)])
						}
					}
					x.work = workOfSearch
					total := x.try(choice, doses)
					for _, trait := range []string{character.Savoury, character.Richness, character.Salt, character.Dairy} {
						if x.profile.Short(&x.before, x.wishes, trait, 0) {
							total++
						}
					}
					for i, c := range choice {
						if c >= 0 {
							total += x.unfit(&x.slots[i], &x.options[i][c])
						}
					}
					out = append(out, total)
				}
			}
		}
	}
	return out
}

// Every weight is handed in and counts: a book that weighs one of them otherwise weighs some
// dish otherwise.
func TestEveryWeightCounts(t *testing.T) {
	b, r := open(t)
	var dishes []recipe.Dish
	club(t, r, func(_ string, _ []string, d recipe.Dish) { dishes = append(dishes, d) })
	dishes = append(dishes[:5], r.Read("Beef soup\nServes 1\n\n2 kg beef mince\n2 litres beef stock\n100 g butter\n200 ml double cream\n200 g anchovies\n300 g rice\n1 leek\n\nMethod\n1. Fry the mince in the butter. Add the stock, anchovies, rice and leek and simmer for 30 minutes. Stir in the cream.", measure.Metric),
		r.Read("Cake\nServes 8\n\n100 g butter\n100 ml milk\n3 eggs\n200 ml whipping cream\n200 g flour\n150 g sugar\n2 tbsp honey\n\nMethod\n1. Cream the butter with the sugar and honey, beat in the eggs, fold in the flour and milk and bake for 30 minutes. Whip the cream and spread it over.", measure.Metric),
		r.Read("Bread\nServes 4\n\n4 slices rye bread\n1 tsp butter\n200 g radishes\n\nMethod\n1. Toast the bread, spread it with the butter and lay the radishes on.", measure.Metric))
	usual := b.tried(t, dishes)
	require.Equal(t, usual, NewBookWeighing(b.larder, UsualWeights()).tried(t, dishes))
	var change func(of reflect.Value, name string, w *Weights)
	change = func(of reflect.Value, name string, w *Weights) {
		for i := range of.NumField() {
			f, called := of.Field(i), name+of.Type().Field(i).Name
			if f.Kind() == reflect.Struct {
				change(f, called+".", w)
				continue
			}
			if f.Kind() == reflect.Map {
				f.Set(reflect.ValueOf(map[string]character.Threshold{character.Richness: {Detect: 5, Weber: 2}, character.Savoury: {Detect: 1, Weber: 2}}))
				require.NotEqual(t, usual, NewBookWeighing(b.larder, *w).tried(t, dishes), "%s count nowhere", called)
				f.SetZero()
				continue
			}
			was := f.Float()
			f.SetFloat(was*3 + 0.07)
			require.NotEqual(t, usual, NewBookWeighing(b.larder, *w).tried(t, dishes), "%s counts nowhere", called)
			f.SetFloat(was)
		}
	}
	w := UsualWeights()
	change(reflect.ValueOf(&w).Elem(), "", &w)
}
