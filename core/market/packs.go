package market

import (
	"math"
	"strings"

	"yembra/core/larder"
)

// looseBelow is the part of a pack below which what is also sold loose is
// bought so.
const looseBelow = 0.6

// loosely says whether a food is sold loose as well as packed.
func loosely(food *larder.Food) bool { return food.Aisle == "vegetables" || food.Aisle == "fruit" }

// roundingSlack lets a pack stretch by a fiftieth.
const roundingSlack = 0.02

// whole is how many packs or fruits hold so many of them, at least one.
func whole(n float64) float64 { return math.Max(math.Ceil(n-roundingSlack), 1) }

// packOf is the pack that is bought and what of it counts.
func (s *shop) packOf(food *larder.Food, form string) (larder.Pack, float64) {
	for _, p := range food.Packs {
		drained := larder.Or(p.Drained, 0)
		switch {
		case larder.Or(p.Opened, 0) > 0 && form == "":
			continue // bought dry, not out of a tin
		case drained > 0:
			return p, drained
		case p.Grams > 0:
			return p, p.Grams
		}
	}
	return larder.Pack{}, 0
}

func plural(word string, n float64) string {
	if n == 1 {
		return word
	}
	if strings.HasSuffix(word, "x") || strings.HasSuffix(word, "ch") {
		return word + "es"
	}
	return word + "s"
}
