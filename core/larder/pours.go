package larder

import (
	"slices"
	"strings"
)

// Pours tells whether a food is a liquid: it is mostly water, or a drink that alcohol and sugar make less watery and no less
// liquid.
func Pours(f *Food) bool {
	return f != nil && (Or(f.Per100.Water, 0) > liquidWater && !slices.Contains(solidShelves, f.Aisle) || f.Aisle == drinks && f.Matter.Density >= spirit)
}

// drinks is the shelf of what is drunk, and spirit what the lightest of it weighs in grams a millilitre; powders weigh less.
const (
	drinks = "drinks"
	spirit = 0.9
)

// IsFat tells whether a food is next to nothing but fat to fry, grease and rub with: an oil, a butter, what an animal's
// fat was rendered to, or its raw fat. Nuts, mayonnaise and cured jowls hold as much and are none.
func IsFat(f *Food) bool {
	return f != nil && Or(f.Per100.Fat, 0) >= mostlyFat && (f.Aisle == "oils" || f.Animal == Fat || f.Kind == "butter" || f.Kind == "fat")
}

// Wets tells whether things simmer in a food: it pours, or is a cream or a milk of nuts, which
// fat makes less watery and no less liquid.
func Wets(f *Food) bool {
	return Pours(f) || f != nil && strings.HasSuffix(f.Aisle, "dairy") && f.Matter.Density > 0 && Or(f.Per100.Water, 0) > creamWater
}

// Bathes tells whether what lies in a food takes its taste: it is as heavy as water, mostly is water, and
// tastes of something.
func Bathes(f *Food) bool {
	return f != nil && f.Matter.Density >= 1 && Or(f.Per100.Water, 0) > creamWater && (f.Taste != (Taste{}) || f.Acids != (Acids{}) || len(f.Aromas) > 0)
}

// Flavours tells whether a food gives a liquid its taste and is not eaten for itself: a herb, a spice, a strip of peel.
func Flavours(f *Food) bool {
	return f != nil && (f.Aisle == "herbs" || f.Aisle == "spices" || f.Tagged(FlavouringPeel))
}

// creamWater is the water in 100 g of a rich cream.
const creamWater = 45.0

// GivesWater tells whether the water of a food boils away from a pan: that of a liquid, a sauce or a
// vegetable, not that of what is cooked in pieces.
func GivesWater(f *Food) bool {
	return f != nil && (Wets(f) || !slices.Contains(solidShelves, f.Aisle) || f.Aisle == "vegetables" || f.Aisle == "fruit")
}

// solidShelves hold what keeps its water: no food on them pours.
var solidShelves = []string{"vegetables", "fruit", "fish", "shellfish", "mushrooms", "soy", "sea-vegetables", "herbs", "meat", "poultry", "pulses", "bakery", "analogues"}

// liquidWater is the water in 100 g from which a food that is no fruit or
// vegetable pours.
const liquidWater = 80.0

// mostlyFat is the fat in 100 g from which a fat is one.
const mostlyFat = 60.0

// Measured tells whether a food is measured as a liquid: it pours, or is an oil or
// a juice.
func Measured(f *Food) bool {
	return Pours(f) && f.Aisle != "soy" && f.Aisle != "eggs" || f != nil && f.Kind == "oil" && f.Matter.Density > 0 && f.ID != "coconut-oil" && f.ID != "vegan-butter" || f != nil && strings.HasSuffix(f.ID, "-juice")
}
