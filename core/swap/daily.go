package swap

import (
	"yembra/core/character"
	"yembra/core/larder"
)

// mostLimited is how many nutrients have a limit for the day at most.
const mostLimited = 6

// daily are the amounts a serving of the nutrients of which a day should not take
// more than so much, in the order of the larder's list.
type daily [mostLimited]float64

func (d *daily) add(o *daily, sign float64) {
	for k := range d {
		d[k] += sign * o[k]
	}
}

// dailyOf is what a food brings of them, a serving.
func (x *bench) dailyOf(it character.Item) daily {
	var d daily
	for k := range x.limited {
		d[k] = it.Eaten(x.limited[k].Dissolves) * larder.Or(it.Food.Per100.Named(x.limited[k].Nutrient), 0) / 100 / x.original.Servings
	}
	return d
}

// overDay weighs servings that hold more than a day should take in, and more than the
// original held.
func (x *bench) overDay(d *daily) float64 {
	penalty := 0.0
	for k := range x.limited {
		if over := (d[k] - max(x.limited[k].Most, x.dailyBefore[k])) / x.limited[k].Most; over > 0 {
			penalty += x.weights.OverDayPenalty * (1 + over)
		}
	}
	return penalty
}
