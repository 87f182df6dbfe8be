package server

import (
	"fmt"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
)

// Bounds of what a cook decides, far beyond any kitchen.
const (
	mostBoosterGrams = 5000
	mostFactor       = 10
	mostSentence     = 1000
)

// Letters that names may have.
const (
	mostNameLetters  = 300
	mostPlaceLetters = 200
	mostWhatLetters  = 300
	countryLetters   = 3
)

// checkNames refuses names longer than any.
func checkNames(name, place, country, what *string) error {
	for _, x := range []struct {
		field string
		text  *string
		most  int
	}{{"name", name, mostNameLetters}, {"place", place, mostPlaceLetters}, {"country", country, countryLetters}, {"what", what, mostWhatLetters}} {
		if x.text != nil && utf8.RuneCountInString(*x.text) > x.most {
			return unprocessable(fmt.Sprintf("The %s is too long.", x.field), fieldError{x.field, fmt.Sprintf("may have %d letters", x.most)})
		}
	}
	return nil
}

// checkDecisions refuses what this program cannot carry out.
func checkDecisions(l *larder.Larder, d swap.Decisions) error {
	for ref, id := range d.Swaps {
		if l.SwapNamed(id) == nil {
			return unprocessable("A swap is not in the book.", fieldError{fmt.Sprintf("decisions.swaps[%s]", ref), fmt.Sprintf("%q is not known", id)})
		}
	}
	return checkBounds(l, d)
}

// checkBounds refuses rules that are not known and figures that no kitchen has.
func checkBounds(l *larder.Larder, d swap.Decisions) error {
	if _, err := swap.NewRules(l, d.HouseRules); err != nil {
		return err
	}
	if err := checkPins(d.Pins); err != nil {
		return err
	}
	for i, b := range d.Boosters {
		if l.Food(b.Food) == nil || b.Grams < 0 || b.Grams > mostBoosterGrams {
			return unprocessable("A booster cannot be used so.", fieldError{fmt.Sprintf("decisions.boosters[%d]", i), "must be a food of the larder, in 0 to 5,000 g"})
		}
	}
	for ref, factor := range d.Amounts {
		if factor <= 0 || factor > mostFactor {
			return unprocessable("An amount cannot be used so.", fieldError{fmt.Sprintf("decisions.amounts[%s]", ref), "must lie above 0 and up to 10 times the book's"})
		}
	}
	for key, f := range d.Figures {
		if f.Minutes != nil && !f.Minutes.Within(0, measure.MostMinutes) || f.Celsius != nil && (*f.Celsius < measure.LeastCelsius || *f.Celsius > measure.MostCelsius) {
			return unprocessable("A time or a heat is not possible.", fieldError{fmt.Sprintf("decisions.figures[%s]", key), fmt.Sprintf("must be 0 to %d minutes and %d to %d °C", int(measure.MostMinutes), measure.LeastCelsius, measure.MostCelsius)})
		}
	}
	if pot := d.SidePot; pot != nil && (pot.Guests < 0 || pot.Guests > measure.MostServings) {
		return unprocessable("A number of guests is not possible.", fieldError{"decisions.sidePot.guests", fmt.Sprintf("must be 0 to %g", float64(measure.MostServings))})
	}
	if len(d.LivesFrom) > mostSentence {
		return unprocessable("The sentence is too long.", fieldError{"decisions.livesFrom", "may hold 1,000 letters"})
	}
	return nil
}
