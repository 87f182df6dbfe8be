package swap

import (
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Fit says how well a swap suits what an ingredient does in a dish.
type Fit string

// The two fits: Right does the same work there, Possible holds the place.
const (
	Right    Fit = "right"
	Possible Fit = "possible"
)

// fitOf is how well a swap suits a slot.
func fitOf(s *slot, sw *larder.Swap) Fit {
	if s.use.Name == "" && len(sw.Uses) == 0 || slices.Contains(sw.Rightly(), s.use.Name) {
		return Right
	}
	return Possible
}

// unfit is what speaks against a swap in a slot, before the dish is looked at:
// that it only holds the place where another is right, that it lacks what the
// replaced food is known by, or that it tastes of the stock pot in a dessert.
func (x *bench) unfit(s *slot, o *option) float64 {
	penalty := 0.0
	if fitOf(s, o.swap) == Possible && slices.ContainsFunc(s.allowed, func(sw *larder.Swap) bool { return fitOf(s, sw) == Right }) {
		penalty += x.weights.PossiblePenalty * x.matters(o)
	}
	if first := x.takenFirst(s); x.aim == Closest && !slices.Contains(first, o.swap.ID) && slices.ContainsFunc(s.allowed, func(sw *larder.Swap) bool { return slices.Contains(first, sw.ID) }) {
		penalty += x.weights.LaterPenalty * x.matters(o)
	}
	if x.dessert && !x.dish.Components[s.component].Lines[s.line].Animal.Flesh() && slices.ContainsFunc(o.swap.Formula, func(p larder.Part) bool {
		f := x.larder.Food(p.Food)
		return f != nil && f.Tagged("savoury")
	}) {
		penalty += x.weights.StrayPenalty
	}
	if x.again(s, o) {
		penalty += x.weights.AgainPenalty
	}
	return penalty + x.lacks(s, o) + x.fuss(o)
}

// again tells whether what would stand for flesh is a pulse of which the dish has as much itself: a loaf of lentils on lentils.
func (x *bench) again(s *slot, o *option) bool {
	if o.main == nil || o.main.Aisle != "pulses" || s.use.Name == sausageUse || !x.dish.Components[s.component].Lines[s.line].Animal.Flesh() {
		return false
	}
	words := larder.Words(o.main.Name)
	for c := range x.dish.Components {
		for i := range x.dish.Components[c].Lines {
			line := &x.dish.Components[c].Lines[i]
			f := x.larder.Food(line.FoodID())
			if f == nil || f.Aisle != o.main.Aisle || len(words) == 0 || line.Mass() < o.grams*muchOfIt {
				continue
			}
			if own := larder.Words(f.Name); len(own) > 0 && own[len(own)-1] == words[len(words)-1] {
				return true
			}
		}
	}
	return false
}

// sausageUse is that of what is known by its shape, whatever it is of.
const sausageUse = "sausage"

// muchOfIt is the share of a stand-in that a dish holds of its pulse to be one of it; an estimate.
const muchOfIt = 0.2

// takenFirst lists what a cook of the dish's kitchen takes first in a slot: what the recipe itself
// offers instead, else what the table knows.
func (x *bench) takenFirst(s *slot) []string {
	line := &x.dish.Components[s.component].Lines[s.line]
	if own := x.offered(s, line); len(own) > 0 {
		return own
	}
	return x.larder.TakenFirst(x.larder.Food(line.FoodID()), s.kind, s.use.Name, x.kitchen)
}

// offered are the swaps of a slot that bring what its line names as another choice: "lard (or oil)".
func (x *bench) offered(s *slot, line *recipe.Line) []string {
	var out []string
	for _, sw := range s.allowed {
		main := x.larder.MainFood(sw)
		if main != nil && slices.ContainsFunc(line.Alternatives, func(a recipe.Alternative) bool {
			f := x.larder.Food(a.Food)
			return f != nil && (f == main || f.Kind != "" && f.Kind == main.Kind)
		}) {
			out = append(out, sw.ID)
		}
	}
	return out
}

// lacks weighs by how much a swap, taken by itself, falls short of the traits that
// the replaced food is known by.
func (x *bench) lacks(s *slot, o *option) float64 {
	traits := x.larder.KnownBy(s.kind)
	line := &x.dish.Components[s.component].Lines[s.line]
	food := x.larder.Food(line.FoodID())
	if len(traits) == 0 || food == nil || line.Mass() <= 0 {
		return 0
	}
	shapes := []character.Shape{{}}
	var was, is character.Profile
	character.Evaluate(shapes, []character.Sums{x.item(s.component, s.line, food, line.Form, x.eaten(line, food), false).Sums()}, &was)
	character.Evaluate(shapes, []character.Sums{o.sums}, &is)
	penalty := 0.0
	for _, trait := range traits {
		if short := -x.tasted().Apart(&was, &is, trait, 0) - x.weights.OwnLeast; short > 0 {
			penalty += x.weights.OwnPenalty * min(short, x.weights.OwnMost)
		}
	}
	return penalty
}

// tasted compares as this kitchen tastes, without what its tables have found of whole dishes.
func (x *bench) tasted() character.Wishes { return character.Wishes{Scale: &x.weights.Scale} }

// matters is how much it matters that a swap is right: a liquid of which only
// spoonfuls go in does not.
func (x *bench) matters(o *option) float64 {
	if o.swap.Per != larder.PerLitre {
		return 1
	}
	share := min(1, o.grams/x.original.Servings/x.worthOf(o.swap))
	return share * share
}

// worthOf are the grams a serving from which a swap is worth making.
func (x *bench) worthOf(sw *larder.Swap) float64 {
	if sw.Per == larder.PerLitre {
		return x.weights.FussLiquid
	}
	return x.weights.FussGrams
}

// fuss weighs the work of making something of which only spoonfuls go in.
func (x *bench) fuss(o *option) float64 {
	fuss := x.weights.FussPenalty * o.hands * max(0, 1-o.grams/x.original.Servings/x.worthOf(o.swap))
	if least := x.larder.BladeNeeds(); o.grams < least && o.main != nil && o.main.Tagged(larder.Blade) && slices.ContainsFunc(o.swap.Prepare, func(s larder.Preparation) bool { return slices.Contains(s.Kit, blender) }) {
		fuss += x.weights.BladePenalty * (1 - o.grams/least)
	}
	return fuss
}

// blender is the tool that some swaps are ground or blended with.
const blender = "blender"

// boosterCost weighs boosters: each for itself, and more where its food is nowhere
// else in the dish.
func (x *bench) boosterCost(choice []int, doses []*option) float64 {
	cost := 0.0
	for _, d := range doses {
		cost += x.weights.BoosterPenalty
		if d.main != nil && !x.keptFoods[d.main] && !x.brings(choice, d.main) {
			cost += x.weights.NewcomerPenalty
		}
	}
	return cost
}

// brings tells whether one of the chosen swaps brings a food.
func (x *bench) brings(choice []int, food *larder.Food) bool {
	for i, c := range choice {
		if c >= 0 && slices.ContainsFunc(x.options[i][c].swap.Formula, func(p larder.Part) bool { return p.Food == food.ID }) {
			return true
		}
	}
	return false
}

// strange tells whether the taste of a food belongs to other kitchens than the dish's, which has none of it.
func (x *bench) strange(f *larder.Food) bool { return !x.held[f.ID] && !x.larder.AtHome(f, x.kitchen) }

// pinned tells whether a booster gives a trait that the cook wants kept, whatever else it is.
func (x *bench) pinned(b *larder.Booster) bool {
	return slices.ContainsFunc(b.Traits, func(trait string) bool { return x.wishes.Pins[trait] })
}
