// Package larder knows the foods: what they are called, where they come from,
// what is in them, how they weigh and how they taste; and the book of swaps
// and boosters made from them. All of it is data handed in by a Source.
package larder

import (
	"yembra/core/measure"
)

// Food is one thing a cook can buy or pick.
type Food struct {
	ID      string   `json:"id"`
	Name    string   `json:"name"`
	Aliases []string `json:"aliases"`
	// measuredNames are aliases that hold only beside a measure.
	measuredNames []string
	// spelled are the words of its name and of each alias, as Words gives them.
	spelled [][]string
	Aisle   string `json:"aisle"`
	Origin  Origin `json:"origin"`
	Animal  Animal `json:"animal"`
	Hidden  bool   `json:"hidden"`
	Check   bool   `json:"checkLabel"`
	Why     string `json:"why"`
	Grade   Grade  `json:"grade"`
	// Kind says what part the food plays in a dish ("mince", "stock"), which
	// is what swaps are looked up by.
	Kind     string   `json:"kind"`
	Allergen []string `json:"allergens"`
	// Tags are what rules call it together with others, sorted.
	Tags []string `json:"tags"`
	// Matter converts amounts of the food as bought.
	Matter measure.Matter `json:"-"`
	// Per100 is what 100 g of the food as bought hold.
	Per100 Composition `json:"per100"`
	// Taste holds the free taste-active substances, g per 100 g.
	Taste Taste `json:"taste"`
	// Forms are the ways the food is used, by name; "raw" stands for as bought.
	Forms map[string]Form `json:"forms"`
	// Aromas are the rated traits the food carries in any form.
	Aromas []Aroma `json:"aromas"`
	// Roles are structural capacities per gram: see Role.
	Roles []Role `json:"roles"`
	// Acids, Sugars and Heat are what sour, sweet and hot are worked out from.
	Acids  Acids  `json:"acids"`
	Sugars Sugars `json:"sugars"`
	Heat   Heat   `json:"heat"`
	// Packs are the sizes shops sell.
	Packs []Pack `json:"packs"`
	// Homes are the families of kitchens that its taste belongs to; none where it
	// goes everywhere.
	Homes []string `json:"homes"`
	// Washed is the share of its salt that is left once it was soaked or rinsed, 0
	// where nobody washes it.
	Washed float64 `json:"washed"`
	// Edible is what of the food as bought is eaten.
	Edible  Edible  `json:"edible"`
	Storage Storage `json:"storage"`
	// Confusables are look-alikes that act differently in a dish.
	Confusables []Confusable `json:"confusables"`
	// Own tells whether the cook's kitchen corrected or added the food.
	Own Ownership `json:"own"`
}

// Origin is where matter comes from.
type Origin string

// The origins of the contract.
const (
	FromAnimal  Origin = "animal"
	FromPlant   Origin = "plant"
	FromFungus  Origin = "fungus"
	FromMineral Origin = "mineral"
	Mixed       Origin = "mixed"
	Unknown     Origin = "unknown"
)

// Animal is the class of animal matter, empty for none.
type Animal string

// The animal classes of the contract.
const (
	Meat      Animal = "meat"
	Poultry   Animal = "poultry"
	Fish      Animal = "fish"
	Shellfish Animal = "shellfish"
	Dairy     Animal = "dairy"
	Egg       Animal = "egg"
	Honey     Animal = "honey"
	Gelatine  Animal = "gelatine"
	Fat       Animal = "fat"
	Insect    Animal = "insect"
)

// Grade says how far a food stands from whole.
type Grade string

// The grades, from whole outwards.
const (
	Whole    Grade = "whole"    // as grown, dried, milled whole
	Plain    Grade = "plain"    // plainly processed: tofu, tinned pulses, miso, vinegar
	Refined  Grade = "refined"  // oil, white flour, sugar, isolated starch
	Analogue Grade = "analogue" // ready-made stand-in
)

// Steps counts the grades away from whole: 0 to 3.
func (g Grade) Steps() int {
	switch g {
	case Plain:
		return 1
	case Refined:
		return 2
	case Analogue:
		return 3
	}
	return 0
}

// Figure is one value with where it comes from; a nil *Figure is a missing
// one, which is never zero.
type Figure = *float64

// Composition holds grams (energy in kcal, minerals in mg, B12, vitamin D and
// iodine in µg) per 100 g of the food as bought. ALA is alpha-linolenic acid,
// Marine the long-chain omega-3 fatty acids EPA and DHA together.
type Composition struct {
	Energy    Figure `json:"energy" jsonschema:"nullable"`
	Protein   Figure `json:"protein" jsonschema:"nullable"`
	Fat       Figure `json:"fat" jsonschema:"nullable"`
	Saturated Figure `json:"saturated" jsonschema:"nullable"`
	Carbs     Figure `json:"carbohydrate" jsonschema:"nullable"`
	Sugars    Figure `json:"sugars" jsonschema:"nullable"`
	Fibre     Figure `json:"fibre" jsonschema:"nullable"`
	Water     Figure `json:"water" jsonschema:"nullable"`
	Sodium    Figure `json:"sodium" jsonschema:"nullable"`
	Potassium Figure `json:"potassium" jsonschema:"nullable"`
	Calcium   Figure `json:"calcium" jsonschema:"nullable"`
	Iron      Figure `json:"iron" jsonschema:"nullable"`
	Zinc      Figure `json:"zinc" jsonschema:"nullable"`
	B12       Figure `json:"b12" jsonschema:"nullable"`
	VitaminD  Figure `json:"vitaminD" jsonschema:"nullable"`
	Iodine    Figure `json:"iodine" jsonschema:"nullable"`
	ALA       Figure `json:"ala" jsonschema:"nullable"`
	Marine    Figure `json:"epaDha" jsonschema:"nullable"`
	Source    string `json:"source"`
	Estimate  bool   `json:"estimate"`
	// Further is the source of B12, vitamin D and iodine where Source does not
	// give them; empty where it does.
	Further string `json:"further"`
}

// Or returns the figure, or the given value when it is missing.
func Or(f Figure, missing float64) float64 {
	if f == nil {
		return missing
	}
	return *f
}

// SaltPerSodium is grams of NaCl per gram of sodium.
const SaltPerSodium = 2.54

// Salt is grams of NaCl per 100 g; missing sodium counts as none.
func (c Composition) Salt() float64 { return Or(c.Sodium, 0) / 1000 * SaltPerSodium }

// Taste holds free amino acids and 5'-nucleotides, g per 100 g.
type Taste struct {
	Glutamate float64 `json:"glutamate"`
	Aspartate float64 `json:"aspartate"`
	IMP       float64 `json:"imp"`
	GMP       float64 `json:"gmp"`
	AMP       float64 `json:"amp"`
	Source    string  `json:"source"`
	Estimate  bool    `json:"estimate"`
}

// Form is a way a food is used: what is left of it and how its pieces feel.
type Form struct {
	Name string `json:"name"`
	// Base is how many grams of the food as bought one gram of this form
	// holds: 0.45 for cooked chickpeas, 1.1 for pressed tofu.
	Base float64 `json:"base"`
	// Yield is finished grams per gram of this form once its dish is cooked:
	// 0.5 for mushrooms browned dry, 2.4 for dry lentils simmered.
	Yield float64 `json:"yield"`
	// Gives is the share of what dissolves and smells that the form gives to
	// the dish, below 1 where the food itself is lifted out again; its yield is
	// then 0.
	Gives float64 `json:"gives"`
	// Density in g/ml, 0 when as the food's own.
	Density float64 `json:"density"`
	// Grade replaces the food's own where the form was processed, as tinned
	// pulses are; empty when it is the food's.
	Grade Grade `json:"grade"`
	// Feel rates the pieces 0-10 by felt trait (chew, flake, crumble, crisp,
	// juicy, melt); nil when the form leaves nothing to bite on.
	Feel     map[string]float64 `json:"feel" jsonschema:"nullable"`
	Source   string             `json:"source"`
	Estimate bool               `json:"estimate"`
}

// Aroma is one rated trait with its dose for clear: the grams per 100 g of
// finished component at which a panel would rate it 5 of 10.
type Aroma struct {
	Trait    string  `json:"trait"`
	Form     string  `json:"form"`
	Dose     float64 `json:"dose"`
	Source   string  `json:"source"`
	Estimate bool    `json:"estimate"`
}

// Role is a structural capacity: one gram of the food binds, sets or thickens
// PerGram of the unit that Kind is counted in (see the model's document).
type Role struct {
	Kind     string  `json:"kind"`
	PerGram  float64 `json:"perGram"`
	Form     string  `json:"form"`
	Source   string  `json:"source"`
	Estimate bool    `json:"estimate"`
}

// RawForm is the name of a food's form as bought.
const RawForm = "raw"

// FormNamed returns a form of the food; an unknown name gives the raw form.
func (f *Food) FormNamed(name string) Form {
	if form, ok := f.Forms[name]; ok {
		return form
	}
	if form, ok := f.Forms[RawForm]; ok {
		return form
	}
	return Form{Name: RawForm, Base: 1, Yield: 1, Gives: 1}
}

// MatterOf returns what is needed to convert amounts of the food in a form.
func (f *Food) MatterOf(form string) measure.Matter {
	m := f.Matter
	if fm, ok := f.Forms[form]; ok && fm.Density > 0 {
		m.Density, m.Source, m.Estimate = fm.Density, fm.Source, fm.Estimate
	}
	return m
}

// Flesh tells whether a class is that of pieces of an animal: meat, poultry, fish or shellfish.
func (a Animal) Flesh() bool { return a == Meat || a == Poultry || a == Fish || a == Shellfish }
