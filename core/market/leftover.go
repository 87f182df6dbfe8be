package market

import (
	"cmp"
	"fmt"
	"math"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/texts"
)

// loose writes what is sold by weight, or by the piece where pieces are known.
func (s *shop) loose(food *larder.Food, grams float64) string {
	piece := pieceOf(food)
	if share := food.Edible.Share; share > 0 {
		piece /= share // with what is thrown away
	}
	if piece >= leastPiece && grams/piece >= 0.4 && loosely(food) {
		count := math.Ceil(grams/piece - 0.1)
		return fmt.Sprintf("%g (%s)", count, measure.ShowGrams(measure.Exactly(grams), measure.Loose))
	}
	return measure.ShowGrams(measure.Exactly(math.Max(grams, 1)), measure.Loose)
}

// leastPiece is the grams of the smallest thing that is bought by number.
const leastPiece = 35.0

// leftovers says of each rest how long it keeps and which dish of the day could
// take it.
func (s *shop) leftovers(items []Item) {
	for i := range items {
		it := &items[i]
		food := s.larder.Food(it.Food)
		if food == nil || it.PackGrams == 0 || it.Left < leastRest*it.PackGrams {
			continue
		}
		it.LeftUse = texts.Say("market.isLeft", measure.ShowGrams(measure.Exactly(it.Left), measure.Loose))
		if most := largest(it.Uses); most.Grams > 0 && it.Left <= most.Grams*0.5 {
			it.LeftUse += "; " + texts.Say("market.couldGoInto", most.Dish)
		}
		switch days := food.Storage; {
		case larder.Or(it.pack.Opened, 0) > 0:
			it.LeftUse += "; " + texts.Say("market.keepsAboutDaysOpened", *it.pack.Opened, texts.Say("market.fridge"))
		case loosely(food) && !it.pack.Closed && days.Sealed > 0:
			it.LeftUse += "; " + texts.Say("market.keepsAboutDaysWhole", days.Sealed, days.Place)
		case days.Opened > 0:
			it.LeftUse += "; " + texts.Say("market.keepsAboutDaysOpened", days.Opened, days.OpenedPlace)
		}
	}
}

func largest(uses []Need) Need {
	return slices.MaxFunc(uses, func(a, b Need) int { return cmp.Compare(a.Grams, b.Grams) })
}

// leastPeel is the grams of peel worth a word.
const leastPeel = 40.0

// spare says what else of the food can be used, and in which dish.
func (s *shop) spare(items []Item, dishes []Dish) []string {
	out := []string{}
	pot := s.stockPot(dishes)
	var peels []string
	for _, it := range items {
		food := s.larder.Food(it.Food)
		if food == nil {
			continue
		}
		waste := it.Bought * (1 - food.Edible.Share)
		if food.Edible.Share > 0 && waste >= leastPeel && food.Tagged(larder.StockPeel) {
			peels = append(peels, texts.Say("market.ofTheAbout", food.Edible.Thrown, food.Name, measure.ShowGrams(measure.Exactly(waste), measure.Loose)))
		}
		for _, u := range it.Uses {
			if strings.Contains(u.Text, "soaked") && food.Aisle == "mushrooms" {
				out = append(out, texts.Say("market.theSoakingWaterOfTheCarries", food.Name, u.Dish))
				break
			}
		}
		if food.Tagged(larder.WhippingWater) && it.Form == "" {
			out = append(out, texts.Say("market.theCookingWaterOfTheThickens", food.Name))
		}
		if food.Tagged(larder.ThickeningPot) {
			out = append(out, texts.Say("market.theCookingWaterThickensASoup", food.Name, it.Uses[0].Dish))
		}
	}
	if len(peels) > 0 {
		where := texts.Say("market.simmerThemForAStockAnd")
		if pot != "" {
			where = texts.Say("market.theyCanGoIntoThePot", pot)
		}
		out = append(out, texts.Say("market.washed", larder.Capital(strings.Join(peels, ", ")), where))
	}
	slices.Sort(out)
	return out
}

// stockPot is the first dish that strains what it has simmered, so that peels in it are lifted
// out again; empty where none does.
func (s *shop) stockPot(dishes []Dish) string {
	for _, d := range dishes {
		simmered := false
		for _, p := range d.Parts {
			for i := range p.Steps {
				for _, a := range p.Steps[i].Actions {
					t := s.larder.Technique(a.Technique)
					if simmered && a.Technique == strains {
						return d.Name
					}
					simmered = simmered || t != nil && t.Family == "wet heat"
				}
			}
		}
	}
	return ""
}

// strains is the technique that lifts solids out of a liquid that is kept.
const strains = "strain"
