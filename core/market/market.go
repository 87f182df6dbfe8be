// Package market writes the shopping list of a day: what its dishes need, summed
// by food and form, as it is bought, in packs, minus what is in the house, with
// what is left over and what else of it can be used.
package market

import (
	"cmp"
	"maps"
	"math"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/core/texts"
)

// Dish is an adapted dish of the day with its lines at the size of the table.
type Dish struct {
	Name  string
	Parts []swap.Component
	// Chosen are the swaps put in, for what to fall back on.
	Chosen []swap.Chosen
}

// Need is what one dish needs of an item.
type Need struct {
	Dish  string  `json:"dish"`
	Text  string  `json:"text"`
	Grams float64 `json:"grams"`
	// soaked tells that its soaking water can be used.
	soaked bool
}

// Item is one thing to buy.
type Item struct {
	// Key names it for what is in the house and what is ticked off.
	Key   string `json:"key"`
	Food  string `json:"food"`
	Form  string `json:"form"`
	Name  string `json:"name"`
	Aisle string `json:"aisle"`
	// Needed grams are as used, Bought as bought: with what is peeled off.
	Needed float64 `json:"needed"`
	Bought float64 `json:"bought"`
	Have   float64 `json:"have"`
	// Packs of PackName, PackGrams each; 0 when it is sold loose. Left is what
	// remains of them.
	Packs     float64 `json:"packs"`
	PackName  string  `json:"packName"`
	PackGrams float64 `json:"packGrams"`
	Left      float64 `json:"left"`
	LeftUse   string  `json:"leftUse"`
	// Shown is the amount to buy as one says it in a shop.
	Shown       string   `json:"shown"`
	Label       string   `json:"label"`
	Substitutes []string `json:"substitutes"`
	Uses        []Need   `json:"uses"`
	// Cost of what is bought, on the kitchen's price list.
	Cost float64 `json:"cost"`
	// Unknown lines could not be weighed; their words stand in Uses.
	Unknown bool `json:"unknown"`
	// counted tells that a dish asks for whole pieces.
	counted bool
	// pack is what it is bought in.
	pack larder.Pack
}

// List is what to buy, by aisle, and what comes of it besides.
type List struct {
	Items []Item `json:"items"`
	// Spare says where peels, stalks, cooking water and rests can go.
	Spare []string `json:"spare"`
	Cost  float64  `json:"cost"`
}

// aisles in the order in which a shop is walked.
var aisles = []string{"vegetables", "fruit", "herbs", "mushrooms", "bakery", "soy", "plant-dairy", "analogues", "pulses", "grains", "nuts", "baking", "spices", "condiments", "sweet", "oils", "sea-vegetables", "stocks", "drinks"}

// free needs no shop.
var free = []string{"water"}

// forms that are bought as such and not as the raw food.
var boughtAs = []string{"tinned", "cooked"}

// soaked is the form of what has lain in water.
const soaked = "soaked"

// leastRest is the part of a pack from which a rest is worth a word.
const leastRest = 0.15

// Of sums what the dishes need. have is what is in the house, in grams by key.
func Of(l *larder.Larder, dishes []Dish, have map[string]float64) List {
	s := shop{larder: l, items: map[string]*Item{}}
	for _, d := range dishes {
		for _, p := range d.Parts {
			for i := range p.Lines {
				s.line(d, &p.Lines[i])
			}
		}
	}
	s.squeeze(have)
	out := List{Items: []Item{}, Spare: []string{}}
	for _, key := range slices.Sorted(maps.Keys(s.items)) {
		it := s.items[key]
		s.buy(it, have[it.Key])
		out.Cost += it.Cost
		out.Items = append(out.Items, *it)
	}
	slices.SortFunc(out.Items, func(a, b Item) int {
		return cmp.Or(cmp.Compare(aisleRank(a.Aisle), aisleRank(b.Aisle)), cmp.Compare(a.Name, b.Name), cmp.Compare(a.Form, b.Form))
	})
	s.leftovers(out.Items)
	out.Spare = s.spare(out.Items, dishes)
	return out
}

func aisleRank(aisle string) int {
	if at := slices.Index(aisles, aisle); at >= 0 {
		return at
	}
	return len(aisles)
}

type shop struct {
	larder *larder.Larder
	items  map[string]*Item
}

func (s *shop) line(d Dish, line *swap.Line) {
	food := s.larder.Food(line.FoodID())
	if line.Change == swap.Dropped || food != nil && slices.Contains(free, food.ID) {
		return
	}
	if food == nil && line.From != nil && strings.HasPrefix(line.Text, "the ") {
		return // what another part of the dish makes
	}
	key, form := "?"+line.Name, ""
	if food != nil {
		if slices.Contains(boughtAs, line.Form) && len(food.Packs) > 0 {
			form = line.Form
		}
		key = food.ID
		if form != "" {
			key += " " + form
		}
	}
	it := s.items[key]
	if it == nil {
		it = &Item{Key: key, Form: form, Name: line.Name, Substitutes: []string{}, Uses: []Need{}}
		if food != nil {
			it.Food, it.Name, it.Aisle = food.ID, food.Name, food.Aisle
			if food.Check {
				it.Label = food.Why
			}
		}
		s.items[key] = it
	}
	if line.Mass() <= 0 {
		it.Unknown = true
	}
	grams := line.Mass()
	if food != nil && form == "" {
		if f, ok := food.Forms[line.Form]; ok && f.Base > 0 {
			grams *= f.Base // as bought, when it is used soaked or cooked
		}
	}
	it.Needed += line.Mass()
	it.Bought += grams
	it.counted = it.counted || line.Counted() && line.Amount.Unit != measure.Can
	it.Uses = append(it.Uses, Need{Dish: d.Name, Text: line.Text, Grams: line.Mass(), soaked: line.Form == soaked})
	for _, text := range s.substitutes(d, line) {
		if !slices.Contains(it.Substitutes, text) {
			it.Substitutes = append(it.Substitutes, text)
		}
	}
}

// substitutes are the next of the swap that brought a line.
func (s *shop) substitutes(d Dish, line *swap.Line) []string {
	var out []string
	if line.From == nil || line.Change != swap.Swapped {
		return nil
	}
	for _, c := range d.Chosen {
		book := s.larder.SwapNamed(c.Swap)
		if c.Replaces != *line.From || book == nil {
			continue
		}
		if main := s.larder.MainFood(book); main == nil || main.ID != line.FoodID() {
			continue
		}
		for _, id := range book.Next {
			if next := s.larder.SwapNamed(id); next != nil {
				out = append(out, next.Name)
			}
		}
	}
	return out
}

// squeeze buys juice and zest as the fruit they come from: a lemon gives both,
// and zest is taken before the fruit is squeezed. What is in the house of them
// is used first.
func (s *shop) squeeze(have map[string]float64) {
	pieces := map[string]float64{} // by whole, the most that one of its parts asks for
	for _, key := range slices.Sorted(maps.Keys(s.items)) {
		it := s.items[key]
		food := s.larder.Food(it.Food)
		if food == nil {
			continue
		}
		from, ok := s.larder.FromWhole(food)
		if !ok || from.Grams <= 0 || have[key] >= it.Bought {
			continue
		}
		whole := from.Whole
		pieces[whole.ID] = max(pieces[whole.ID], (it.Bought-have[key])/from.Grams)
		into := s.items[whole.ID]
		if into == nil {
			into = &Item{Key: whole.ID, Food: whole.ID, Name: whole.Name, Aisle: whole.Aisle, Substitutes: []string{}, Uses: []Need{}}
			s.items[whole.ID] = into
		}
		into.Uses = append(into.Uses, it.Uses...)
		into.Needed += it.Needed
		delete(s.items, key)
	}
	for id, n := range pieces {
		s.items[id].Bought += whole(n) * pieceOf(s.larder.Food(id))
	}
}

// pieceOf is the edible weight of a medium piece, 0 where none is known.
func pieceOf(food *larder.Food) float64 {
	if medium := food.Matter.Pieces["medium"].Mid(); medium > 0 {
		return medium
	}
	return food.Matter.Pieces["piece"].Mid()
}

// buy works out packs, what is left of them and what they cost.
func (s *shop) buy(it *Item, have float64) {
	food := s.larder.Food(it.Food)
	if food == nil {
		it.Shown = texts.Say("market.asTheRecipeSays")
		return
	}
	pack, holds := s.packOf(food, it.Form)
	if it.counted && pack.Closed && loosely(food) && food.Edible.Share < 1 {
		pack, holds = larder.Pack{}, 0 // ears of corn, not kernels
	}
	if share := food.Edible.Share; share > 0 && share < 1 && it.Form == "" && food.Edible.When == "" && !pack.Closed {
		it.Bought /= share
	}
	it.Have = min(have, it.Bought)
	missing := max(it.Bought-have, 0)
	cost := missing
	if missing > 0 && holds > 0 && (!loosely(food) || pack.Closed || missing >= looseBelow*holds) {
		it.Packs = whole(missing / holds)
		it.PackName, it.PackGrams, it.pack = pack.Name, pack.Grams, pack
		it.Left = math.Max(it.Packs*holds-missing, 0)
		cost = it.Packs * pack.Grams
	}
	it.Cost = cost / 1000 * s.larder.Price(food)
	switch {
	case missing == 0 && it.Bought > 0:
		it.Shown = texts.Say("market.inTheHouse")
	case it.Packs > 0:
		it.Shown = texts.Say("market.of", it.Packs, plural(it.PackName, it.Packs), measure.ShowGrams(measure.Exactly(it.PackGrams), measure.Loose))
	case it.Bought == 0:
		it.Shown = texts.Say("market.aLittle")
	default:
		it.Shown = s.loose(food, missing)
	}
}
