package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
)

// groups are words that steps use for several lines at once, with the shelves
// of the larder whose foods they mean.
var groups = map[string][]string{
	"herb": {"herbs"}, "spice": {"spices"}, "vegetable": {"vegetables", "mushrooms"}, "veg": {"vegetables", "mushrooms"}, "fruit": {"fruit"}, "nut": {"nuts"},
	"bean": {"pulses"}, "lentil": {"pulses"}, "pulse": {"pulses"}, "mushroom": {"mushrooms"}, "fish": {"fish"}, "seafood": {"shellfish", "fish"},
	"meat": {"meat", "poultry"}, "aromatic": {"vegetables", "herbs"}, "cheese": {"dairy"}, "seasoning": {"spices"}, "flour": {"grains"}, "noodle": {"bakery"},
}

// dry and wet ingredients, by shelf.
var (
	dryShelves = []string{"grains", "baking", "sweet", "spices", "nuts"}
	wetShelves = []string{"dairy", "plant-dairy", "eggs", "oils", "drinks", "stocks", "condiments"}
)

// everything means all lines of the component.
var everything = [][]string{{"everything"}, {"all", "ingredient"}, {"all", "the", "ingredient"}, {"ingredient", "together"}, {"remaining", "ingredient"}, {"rest", "of", "the", "ingredient"}, {"other", "ingredient"}}

// pronouns stand for what the step before worked on.
var pronouns = map[string]bool{"it": true, "them": true, "they": true, "these": true, "this": true}

// referred adds the lines that a step means without naming them: a group ("the
// spices"), all of them ("everything"), what is left ("the remaining
// ingredients"), or by a pronoun what the step before used.
func (r *Reader) referred(words []string, lines []Line, named, before []int) []int {
	used := slices.Clone(named)
	take := func(shelves []string) {
		for i, l := range lines {
			if f := r.larder.Food(l.FoodID()); f != nil && slices.Contains(shelves, f.Aisle) {
				used = append(used, i)
			}
		}
	}
	for i, w := range words {
		shelves, group := groups[w]
		if group && !slices.ContainsFunc(lines, func(l Line) bool { return slices.Contains(larder.Words(l.Name), w) }) && pointedAt(words, i) {
			take(shelves)
		}
		if w == "ingredient" && i > 0 {
			switch words[i-1] {
			case "dry":
				take(dryShelves)
			case "wet", "liquid":
				take(wetShelves)
			}
		}
	}
	if slices.ContainsFunc(everything, func(phrase []string) bool { return holds(words, phrase) }) {
		rest := holds(words, []string{"remaining", "ingredient"}) || holds(words, []string{"rest", "of", "the", "ingredient"}) || holds(words, []string{"other", "ingredient"})
		for i := range lines {
			if !rest || !slices.Contains(before, i) {
				used = append(used, i)
			}
		}
	}
	if len(used) == 0 && slices.ContainsFunc(words, func(w string) bool { return pronouns[w] }) {
		used = append(used, before...)
	}
	slices.Sort(used)
	return slices.Compact(used)
}

// pointedAt tells whether a word two or one before says that listed things are
// meant: "the spices", "half the chopped herbs", "remaining vegetables".
func pointedAt(words []string, i int) bool {
	for j := max(0, i-3); j < i; j++ {
		switch words[j] {
		case "the", "all", "remaining", "half", "both", "rest", "ground", "whole":
			return true
		}
	}
	return false
}

// holds tells whether the phrase stands somewhere in the words.
func holds(words, phrase []string) bool {
	return strings.Contains(" "+strings.Join(words, " ")+" ", " "+strings.Join(phrase, " ")+" ")
}
