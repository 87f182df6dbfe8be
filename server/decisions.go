package server

import (
	"fmt"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/server/texts"
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
	mostWhatLetters  = 600
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
			return unprocessable(texts.Say("theIsTooLong", x.field), fieldError{x.field, texts.Say("mayHaveLetters", x.most)})
		}
	}
	return nil
}

// checkDecisions refuses what this program cannot carry out.
func checkDecisions(l *larder.Larder, d swap.Decisions) error {
	for ref, id := range d.Swaps {
		if l.SwapNamed(id) == nil {
			return unprocessable(texts.Say("aSwapIsNotInThe"), fieldError{fmt.Sprintf("decisions.swaps[%s]", ref), texts.Say("isNotKnown", id)})
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
			return unprocessable(texts.Say("aBoosterCannotBeUsedSo"), fieldError{fmt.Sprintf("decisions.boosters[%d]", i), texts.Say("mustBeAFoodOfThe")})
		}
	}
	for ref, factor := range d.Amounts {
		if factor <= 0 || factor > mostFactor {
			return unprocessable(texts.Say("anAmountCannotBeUsedSo"), fieldError{fmt.Sprintf("decisions.amounts[%s]", ref), texts.Say("mustLieAbove0AndUp")})
		}
	}
	for key, f := range d.Figures {
		if f.Minutes != nil && !f.Minutes.Within(0, measure.MostMinutes) || f.Celsius != nil && (*f.Celsius < measure.LeastCelsius || *f.Celsius > measure.MostCelsius) {
			return unprocessable(texts.Say("aTimeOrAHeatIs"), fieldError{fmt.Sprintf("decisions.figures[%s]", key), texts.Say("mustBe0ToMinutesAnd", int(measure.MostMinutes), measure.LeastCelsius, measure.MostCelsius)})
		}
	}
	if pot := d.SidePot; pot != nil && (pot.Guests < 0 || pot.Guests > measure.MostServings) {
		return unprocessable(texts.Say("aNumberOfGuestsIsNot"), fieldError{"decisions.sidePot.guests", texts.Say("mustBe0To", float64(measure.MostServings))})
	}
	if len(d.LivesFrom) > mostSentence {
		return unprocessable(texts.Say("theSentenceIsTooLong"), fieldError{"decisions.livesFrom", texts.Say("mayHold1000Letters")})
	}
	return nil
}
