package swap

import (
	"math"

	"yembra/core/character"
	"yembra/core/larder"
)

// parts are the parts of the objective, to be shown.
type parts struct {
	pinned, others, structure, soft, work, cost, total float64
}

// weigh finishes a try: it lowers the salt lines, works the traits out into
// x.profile and weighs everything. Lower is better.
func (x *bench) weigh(st *state, open int) parts {
	copy(x.scratch, st.sums)
	total := 0.0
	for i := range x.scratch {
		total += x.scratch[i].Salt()
	}
	for i, left := range x.lowerSalt(st.salt, total) {
		s := x.salts[i]
		one := s.perGram
		one.Scale(left)
		x.scratch[s.component].Add(&one, 1)
		total += one.Salt()
	}
	character.Evaluate(x.shapes, x.scratch, &x.profile)
	var p parts
	p.pinned, p.others = x.profile.Distance(&x.before, x.wishes)
	p.structure = x.weights.StructurePenalty * float64(x.profile.Broken(x.needs))
	servings := x.original.Servings
	allowed := x.saltBefore / servings
	if limit := x.rules.House.SaltPerServing; limit > 0 {
		allowed = min(allowed, limit)
	}
	if over := total/servings - allowed; over > 0 && x.rules.preset.Weigh(larder.WeighsSalt) {
		p.soft += x.weights.SaltOverPenalty * over
	}
	p.soft += st.soft + x.bulk() + x.overDay(&st.daily)
	if want := x.rules.House.VegetablesPerGrain; want > 0 && st.vegetables < want*st.grains {
		p.soft += x.weights.RatioPenalty * (1 - st.vegetables/(want*st.grains))
	}
	p.work = x.weights.ExtraIngredient*st.lines + x.weights.HandsPenalty*st.hands
	p.cost = st.cost
	p.total = x.weights.OpenPenalty*float64(open) + p.pinned + p.others + p.structure + p.soft + p.work
	switch x.aim {
	case Simplest:
		p.total += x.weights.SimplestFactor * p.work
	case Cheapest:
		p.total += x.weights.CostPenalty * p.cost
	case Protein:
		p.total -= x.weights.ProteinReward * st.protein
	}
	return p
}

// bulk minds portions that shrink or swell and fillings that turn wet.
func (x *bench) bulk() float64 {
	penalty := 0.0
	if x.before.Mass <= 0 {
		return 0
	}
	for i := range x.profile.Parts {
		was, is := x.before.Parts[i].Mass, x.profile.Parts[i].Mass
		if was <= 0 {
			continue
		}
		share := was / x.before.Mass
		if off := math.Abs(is/was-1) - x.weights.BulkTolerance; off > 0 {
			penalty += x.weights.BulkPenalty * off * off * share
		}
		if is <= 0 {
			continue
		}
		wet, wetter := x.before.Parts[i].Water, x.profile.Parts[i].Water
		if off := math.Abs(wetter-wet) - x.weights.WetTolerance; off > 0 && wet < x.weights.Brothy {
			penalty += x.weights.WetPenalty * off * share
		}
	}
	return penalty
}

// alike tells whether two lines are of one kind, as eggs and yolks are that do the same in a dish.
func (x *bench) alike(i, j int) bool {
	a, b := &x.slots[i], &x.slots[j]
	return a.kind == b.kind || a.animal == larder.Egg && b.animal == larder.Egg && a.use.Name == b.use.Name
}

// repeats counts how often one swap, or one main food, stands in for
// ingredients of different kinds: a table tires of the same thing in every
// place.
func (x *bench) repeats(choice []int) float64 {
	penalty := 0.0
	for i, c := range choice {
		if c < 0 || x.options[i][c].main == nil {
			continue
		}
		for j := range i {
			d := choice[j]
			if d < 0 {
				continue
			}
			a, b := &x.options[i][c], &x.options[j][d]
			if a.swap != b.swap && a.blends && b.blends {
				penalty += x.weights.BlendsPenalty
			}
			if x.alike(i, j) {
				if a.swap != b.swap && x.slots[i].use.Name == x.slots[j].use.Name && x.slots[i].use.Name != "season" {
					penalty += x.weights.UnlikePenalty
				}
				continue
			}
			switch {
			case a.swap == b.swap:
				penalty += x.weights.RepeatPenalty
			case a.main == b.main && x.slots[i].kind != "oil" && x.slots[j].kind != "oil":
				penalty += x.weights.SamePenalty
			}
		}
	}
	return penalty
}
