package tasting

import (
	"cmp"
	"math"
	"slices"

	"yembra/core/texts"
)

// Lesson is what one table found of one trait of one trial, beside what was
// foreseen. Food brings Share of the trait's rating in the trial, where one food
// brings most of it by a dose.
type Lesson struct {
	// Key names the lesson, so that it can be taken back.
	Key           string
	Trait, Food   string
	Share, Rating float64
	Tasted
}

// Learned is what a kitchen has learned of a trait, or of a food that brings it.
type Learned struct {
	Correction
	// Food is empty where the whole trait is corrected; Times is how many times as
	// strongly it is found to bring the trait.
	Food  string
	Times float64
	// Keys are the lessons that taught it.
	Keys []string
}

// Bounds of what tables can make of a food: a rating that is full tells nothing of
// how strong it is, and nothing is taken for more than so many times as strong.
const (
	leastRating  = 0.1
	mostRating   = 9.5
	mostStronger = 4.0
)

// LeastBrought is the share of a trait from which one food is taken to bring it.
const LeastBrought = 0.6

// Learn works out what a kitchen has learned. A trait is corrected by the lessons
// in which no single food brings it; a food by its own, against what is foreseen
// once the trait itself is corrected, so that nothing is counted twice.
func Learn(lessons []Lesson) []Learned {
	type of struct{ trait, food string }
	groups := map[of][]Lesson{}
	var order []of
	for _, l := range lessons {
		key := of{l.Trait, ""}
		if l.Share > LeastBrought {
			key.food = l.Food
		}
		if groups[key] == nil {
			order = append(order, key)
		}
		groups[key] = append(groups[key], l)
	}
	slices.SortFunc(order, func(a, b of) int { return cmp.Or(cmp.Compare(a.trait, b.trait), cmp.Compare(a.food, b.food)) })
	out := []Learned{}
	offsets := map[string]float64{} // "" comes before every food
	for _, key := range order {
		x := Learned{Food: key.food, Times: 1, Keys: []string{}}
		var tasted []Tasted
		for _, l := range groups[key] {
			l.Foretold += offsets[key.trait]
			tasted = append(tasted, l.Tasted)
			x.Keys = append(x.Keys, l.Key)
		}
		x.Correction = Correct(key.trait, tasted)
		if key.food == "" {
			offsets[key.trait] = x.Correction.Correction
		} else {
			x.Times = stronger(groups[key], x.Correction.Correction)
		}
		out = append(out, x)
	}
	return out
}

// stronger is how many times as strong a food must be for the trait to move by so
// many steps, at the rating that it had in the lessons.
func stronger(lessons []Lesson, by float64) float64 {
	rating, share, sheets := 0.0, 0.0, 0.0
	for _, l := range lessons {
		n := float64(l.Sheets)
		rating += n * l.Rating
		share += n * l.Share
		sheets += n
	}
	held := func(rating float64) float64 { return min(mostRating, max(leastRating, rating)) }
	dose := func(rating float64) float64 { return rating / (fullRating - rating) }
	rating = held(rating / sheets)
	times := 1 + (dose(held(rating+by))-dose(rating))/(dose(rating)*share/sheets)
	return min(mostStronger, max(1/mostStronger, times))
}

// fullRating is where ratings of smell and colour saturate.
const fullRating = 10.0

// Spread is the standard deviation of a correction, in steps.
func (c Correction) Spread() float64 { return (c.High - c.Low) / 2 / twoSided95 }

// Say tells what was learned, with what it came from.
func (l Learned) Say(food string) string {
	from := texts.Say("tasting.sheetsOfTastings", texts.Say("tasting.sheets", l.Sheets), texts.Say("tasting.tastings", l.Tastings))
	range95 := texts.Say("tasting.fromLowToHigh", l.Low, l.High)
	if food != "" {
		return texts.Say("tasting.bringsTimesAsStronglyAsThe", capital(food), l.Trait, l.Times, l.Correction.Correction, range95, from)
	}
	if math.Abs(l.Correction.Correction) < sameStep {
		return texts.Say("tasting.isTastedAsForeseenStepsFrom", capital(l.Trait), l.Correction.Correction, range95, from)
	}
	return texts.Say("tasting.isTastedStepsThanForeseenFrom", capital(l.Trait), math.Abs(l.Correction.Correction), more(l.Correction.Correction), range95, from)
}

// sameStep is how little a correction is not worth a direction.
const sameStep = 0.05
