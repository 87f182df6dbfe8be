package swap

import (
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// bench is an original made ready to try many decisions on. Everything that
// stays the same between two tries is worked out once, and what a swap or a
// booster brings is summed beforehand, so that a try only adds sums up.
type bench struct {
	*Book
	// work is what the search may still look at.
	work     int
	dish     recipe.Dish
	rules    Rules
	dec      Decisions
	wishes   character.Wishes
	slots    []slot
	at       map[string]int // slot by line
	original character.Dish
	// base is the original with what the cook has changed of what stays of it.
	base    character.Dish
	shapes  []character.Shape
	before  character.Profile
	needs   []character.Need
	main    int  // the heaviest component that is no dough
	dessert bool // the original is sweet, and takes no savoury boosters
	aim     Aim
	// families are the signatures that the original has.
	families map[string]bool
	// kitchen is the family of kitchens that the original is of, empty where that is not
	// clear; held are its foods.
	kitchen string
	held    map[string]bool
	// keptFoods are the foods of the lines that stay.
	keptFoods map[*larder.Food]bool

	options [][]option // by slot, in the order of its allowed swaps
	doses   [][]option // by booster, by number of kitchen doses
	kept    state      // the lines that stay, salt lines apart
	salts   []saltLine
	// saltBefore is the salt of the original in grams.
	saltBefore float64
	// limited are the nutrients with a limit for the day, dailyBefore what a serving of
	// the original holds of them.
	limited     []larder.Reference
	dailyBefore daily
	profile     character.Profile // scratch
	scratch     []character.Sums
}

// state is the running total of a try.
type state struct {
	sums                              []character.Sums
	lines, hands, cost, protein, soft float64
	salt, vegetables, grains          float64
	daily                             daily
}

// sweetDish and lightlySalted are the grams of sucrose equivalents and of salt
// in 100 g that tell a dessert.
const (
	sweetDish     = 9.0
	lightlySalted = 0.8
	// fairlySweet and hardlySalted tell one where nothing savoury is in it.
	fairlySweet  = 4.5
	hardlySalted = 0.25
)

func (b *Book) prepare(d recipe.Dish, rules Rules, dec Decisions) *bench {
	x := &bench{Book: b, dish: d, rules: rules, dec: dec, at: map[string]int{}, original: character.Of(b.larder, d, dec.Uses), aim: Closest, work: workOfSearch}
	x.slots = b.slots(d, rules, x.original)
	x.wishes = x.wishesOf(dec)
	for i, s := range x.slots {
		x.at[s.ref] = i
	}
	x.base = x.original
	if rest, changed := x.rest(dec); changed {
		x.dish, x.base = rest, character.Of(b.larder, rest, dec.Uses)
	}
	x.shapes = x.base.Shapes()
	x.before = x.original.Profile()
	x.needs = x.original.Needs()
	for _, s := range x.original.Sums() {
		x.saltBefore += s.Salt()
	}
	x.limited = b.larder.Limited()
	for _, p := range x.original.Parts {
		for _, it := range p.Items {
			one := x.dailyOf(it)
			x.dailyBefore.add(&one, 1)
		}
	}
	x.dessert = x.isDessert()
	most := -1.0
	for i, p := range x.before.Parts {
		m := p.Mass
		if x.shapes[i].Kneaded {
			m = 0
		}
		if m > most {
			x.main, most = i, m
		}
	}
	x.scratch = make([]character.Sums, len(x.shapes))
	x.families, x.held = map[string]bool{}, map[string]bool{}
	for _, p := range x.original.Parts {
		for _, it := range p.Items {
			x.families[x.larder.Signature(it.Food).Family], x.held[it.Food.ID] = true, true
		}
	}
	x.kitchen = x.larder.KitchenOf(d.Name, dec.Country, x.held)
	return x
}

// isDessert tells whether the original is sweet: by far, or without anything savoury
// beside.
func (x *bench) isDessert() bool {
	sweet, salt := x.before.Value(character.Sweet), x.before.Value(character.Salt)
	if sweet > sweetDish && salt < lightlySalted {
		return true
	}
	for _, p := range x.original.Parts {
		for _, it := range p.Items {
			if it.Food.Animal.Flesh() || it.Food.Tagged("savoury") || it.Food.Tagged("allium") {
				return false
			}
		}
	}
	return sweet > fairlySweet && salt < hardlySalted
}

// partOf is the component that a dose goes into; one that is not there gives
// way to the main one.
func (x *bench) partOf(d Dose) int {
	if d.Component < 0 || d.Component >= len(x.shapes) {
		return x.main
	}
	return d.Component
}

// item is a line of the adaptation as the model sees it. from is the line of
// the original it stands for, -1 for a booster.
func (x *bench) item(component, from int, food *larder.Food, form string, grams float64, stands bool) character.Item {
	part := &x.base.Parts[component]
	it := character.Item{Food: food, Form: food.FormNamed(form), Grams: grams, Wet: part.Wet}
	switch {
	case from < 0:
		it.Treatment = character.Treatment{Fate: x.larder.Fate("kept"), Heated: part.Heated}
	case stands:
		it.Treatment = part.Treated[from].ForSwap(x.larder)
		it.Heated = it.Heated || part.Heated
		it.Solid = x.inPieces(component, from)
	default:
		it.Treatment = part.Treated[from]
	}
	return it
}

// inPieces tells whether what stands in for a line lies in the dish in pieces, as the flesh did, and holds nothing else together.
func (x *bench) inPieces(component, line int) bool {
	at, ok := x.at[recipe.LineRef(component, line)]
	return ok && x.slots[at].animal.Flesh() && !character.DoesJob(x.slots[at].use.Name)
}

// ready sums what stays and what every swap and booster would bring, for
// search and ranking.
func (x *bench) ready() {
	x.kept, x.keptFoods = state{sums: make([]character.Sums, len(x.shapes))}, map[*larder.Food]bool{}
	for i, c := range x.dish.Components {
		for j := range c.Lines {
			line := &c.Lines[j]
			food := x.larder.Food(line.FoodID())
			at, decided := x.at[recipe.LineRef(i, j)]
			if food == nil && !decided {
				continue
			}
			if salty := x.plainSalt(i, j); salty != nil {
				one := x.item(i, j, salty, line.Form, 1, false).Sums()
				x.salts = append(x.salts, saltLine{i, j, x.saltGrams(i, j), one, x.saltsDough(i)})
				if !decided {
					continue
				}
			}
			if decided {
				x.options = append(x.options, nil)
				for _, s := range x.slots[at].allowed {
					x.options[at] = append(x.options[at], x.option(x.slots[at], s))
				}
				continue
			}
			x.keptFoods[food] = true
			it := x.item(i, j, food, line.Form, x.eaten(line, food), false)
			sums, strong := it.Sums(), x.dailyOf(it)
			x.kept.sums[i].Add(&sums, 1)
			x.kept.daily.add(&strong, 1)
			v, g := plantVolume(food, line.Mass())
			x.kept.vegetables += v
			x.kept.grains += g
		}
	}
	x.weighBoosters()
}

// add puts an option into a running total, or takes it out with a sign of -1.
func (st *state) add(o *option, sign float64) {
	st.sums[o.part].Add(&o.sums, sign)
	st.lines += sign * o.lines
	st.hands += sign * o.hands
	st.cost += sign * o.cost
	st.protein += sign * o.protein
	st.soft += sign * o.soft
	st.salt += sign * o.salt
	st.vegetables += sign * o.vegetables
	st.grains += sign * o.grains
	st.daily.add(&o.daily, sign)
}

func (st *state) clone() state {
	c := *st
	c.sums = slices.Clone(st.sums)
	return c
}
