package swap

import (
	"math"

	"yembra/core/character"
	"yembra/core/larder"
)

// The weights of the objective; judgement, not measurement.
const (
	openPenalty      = 1000.0
	overDayPenalty   = 20.0 // a serving with more than a day should take in, and again each time as much
	extraIngredient  = 0.12 // each line a swap brings
	boosterPenalty   = 0.5  // each booster, beside its line
	newcomerPenalty  = 1.5  // each booster of a food that is nowhere in the dish otherwise
	fussPenalty      = 0.06 // each minute of preparing what comes in by the spoon
	fussGrams        = 25.0 // a serving of which is worth a preparation of its own
	fussLiquid       = 80.0 // of a stock
	saltOverPenalty  = 2.0  // each gram of salt a serving above limit or original
	handsPenalty     = 0.004
	waitShare        = 0.15 // a minute's wait is this part of a minute's work
	structurePenalty = 40.0
	simplestFactor   = 20.0
	costPenalty      = 4.8 // each unit of the price list a serving
	proteinReward    = 0.25
	unlikePenalty    = 15.0 // like lines in like use of which each gets a stand-in of its own
	blendsPenalty    = 1.5  // each pair of different nut creams, where one could be made once
	repeatPenalty    = 0.5  // each further kind of ingredient that the same swap stands in for
	samePenalty      = 0.25
	wetPenalty       = 12.0 // each tenth of water more or less in a component without broth
	wetTolerance     = 0.06
	brothy           = 0.78 // share of water from which a component is a broth
	bulkPenalty      = 25.0 // for a portion that shrinks or swells beyond a quarter
	bulkTolerance    = 0.25
	ratioPenalty     = 2.0
	strangerPenalty  = 3.0 // a taste that the original does not know, such as coconut
	strangerGrams    = 4.0 // a serving of which counts once
	foreignPenalty   = 6.0 // a food whose taste belongs to other kitchens than the dish's
	belongsFrom      = 3.5 // rating of a trait that makes its families no strangers
	strangerMost     = 4.0 // times that, beyond which more tastes no stranger
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
	p.structure = structurePenalty * float64(x.profile.Broken(x.needs))
	servings := x.original.Servings
	allowed := x.saltBefore / servings
	if limit := x.rules.House.SaltPerServing; limit > 0 {
		allowed = min(allowed, limit)
	}
	if over := total/servings - allowed; over > 0 && x.rules.preset.Weigh(larder.WeighsSalt) {
		p.soft += saltOverPenalty * over
	}
	p.soft += st.soft + x.bulk() + x.overDay(&st.daily)
	if want := x.rules.House.VegetablesPerGrain; want > 0 && st.vegetables < want*st.grains {
		p.soft += ratioPenalty * (1 - st.vegetables/(want*st.grains))
	}
	p.work = extraIngredient*st.lines + handsPenalty*st.hands
	p.cost = st.cost
	p.total = openPenalty*float64(open) + p.pinned + p.others + p.structure + p.soft + p.work
	switch x.aim {
	case Simplest:
		p.total += simplestFactor * p.work
	case Cheapest:
		p.total += costPenalty * p.cost
	case Protein:
		p.total -= proteinReward * st.protein
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
		if off := math.Abs(is/was-1) - bulkTolerance; off > 0 {
			penalty += bulkPenalty * off * off * share
		}
		if is <= 0 {
			continue
		}
		wet, wetter := x.before.Parts[i].Water, x.profile.Parts[i].Water
		if off := math.Abs(wetter-wet) - wetTolerance; off > 0 && wet < brothy {
			penalty += wetPenalty * off * share
		}
	}
	return penalty
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
				penalty += blendsPenalty
			}
			if x.slots[i].kind == x.slots[j].kind {
				if a.swap != b.swap && x.slots[i].use.Name == x.slots[j].use.Name && x.slots[i].use.Name != "season" {
					penalty += unlikePenalty
				}
				continue
			}
			switch {
			case a.swap == b.swap:
				penalty += repeatPenalty
			case a.main == b.main && x.slots[i].kind != "oil" && x.slots[j].kind != "oil":
				penalty += samePenalty
			}
		}
	}
	return penalty
}
