package larder

import (
	"fmt"
	"slices"
	"strings"

	"golang.org/x/sync/errgroup"
)

// Swap is one way to carry over an ingredient: a list of real foods in real
// amounts. What it does to the dish is computed, never written here.
type Swap struct {
	ID   string `json:"id" yaml:"id"`
	Name string `json:"name" yaml:"name"`
	// Short is how steps refer to it: "the lentil mince".
	Short string `json:"short" yaml:"short"`
	// Parts are what stands by itself for a part of what is replaced: what for the yolk, what for the white.
	Parts map[string]string `json:"-" yaml:"parts"`
	// Serves lists the kinds of food it can stand in for: a kind ("mince"), one
	// food ("food:onion"), a shelf ("shelf:pulses") or all that hold an allergen
	// ("holds:nuts").
	Serves []string `json:"serves" yaml:"serves"`
	// Uses narrows it to what the ingredient does; empty means any use.
	Uses []string `json:"uses" yaml:"uses"`
	// Right lists the uses in which it does the same work as what it replaces; where
	// it has none, all of Uses.
	Right []string `json:"right" yaml:"right"`
	// Per says what the formula's grams are for: 100 g of the replaced food
	// ("100 g"), one egg, yolk or white ("egg"), or a litre ("litre").
	Per string `json:"per" yaml:"per"`
	// Formula holds what goes in; empty means the line is left out.
	Formula []Part `json:"formula" yaml:"formula"`
	// Prepare lists what is done before the swap goes into the dish.
	Prepare []Preparation `json:"prepare" yaml:"prepare"`
	// Pan stands in the words of a step where the swap cannot fry as the
	// original did ("spoonfuls of water"); Finish is then the step after it.
	Pan    string `json:"pan" yaml:"pan"`
	Finish string `json:"finish" yaml:"finish"`
	// CookMinutes are what it takes in liquid, where that is its own time; 0
	// leaves the original's.
	CookMinutes float64 `json:"cookMinutes" yaml:"minutes"`
	// Rolls says how it is rolled out where the method does not, as it stands for what is bought rolled.
	Rolls string `json:"-" yaml:"rolls"`
	// Heat tells that the dish has to cook it: what it holds is not eaten raw, and starch sets nothing cold.
	Heat bool `json:"-" yaml:"heat"`
	// Carved tells that it is one piece that is cut when it is done.
	Carved bool `json:"-" yaml:"carved"`
	// Bare tells that its short name takes no article: "spoonfuls of water".
	Bare bool `json:"bare" yaml:"bare"`
	// Verb is what is said for the work that is done with it, where that is not the
	// original's: a tin is lined with paper, not greased.
	Verb string `json:"verb" yaml:"verb"`
	// Bears are the minutes in liquid after which it spoils, where that is not
	// what its main food bears.
	Bears float64 `json:"bears" yaml:"bears"`
	// Cook says how the original's own steps change, When at what moment the
	// swap goes in.
	Cook     string   `json:"cook" yaml:"cook"`
	When     string   `json:"when" yaml:"when"`
	Why      string   `json:"why" yaml:"why"`
	Limits   string   `json:"limits" yaml:"limits"`
	Cautions []string `json:"cautions" yaml:"cautions"`
	// Ahead says what can be made ahead and how long it keeps.
	Ahead string `json:"ahead" yaml:"ahead"`
	// Next are the swaps to fall back on, in order, when this one's foods
	// cannot be had.
	Next   []string `json:"next" yaml:"next"`
	Source string   `json:"source" yaml:"source"`
}

// The prefixes by which a swap serves more or less than a kind.
const (
	servesFood  = "food:"
	servesShelf = "shelf:"
	servesHolds = "holds:"
)

// ServesFood tells whether the swap can stand in for a food of a kind; food is nil where only its kind is known. What stands in
// for all that holds an allergen does so for plants: of a sauce of cheese, nuts are the least.
func (s *Swap) ServesFood(kind string, food *Food) bool {
	for _, what := range s.Serves {
		id, one := strings.CutPrefix(what, servesFood)
		shelf, all := strings.CutPrefix(what, servesShelf)
		allergen, holds := strings.CutPrefix(what, servesHolds)
		switch {
		case one, all, holds:
			if food != nil && (one && food.ID == id || all && food.Aisle == shelf || holds && food.Origin != FromAnimal && food.Origin != Mixed && slices.Contains(food.Allergen, allergen)) {
				return true
			}
		case what == kind:
			return true
		}
	}
	return false
}

// Rightly lists the uses in which the swap does the same work as what it replaces:
// all, where the book does not say, and none, where it says so.
func (s *Swap) Rightly() []string {
	if s.Right != nil {
		return s.Right
	}
	return s.Uses
}

// MainFood is the food that a swap is mostly made of, water apart; nil when it
// adds nothing.
func (l *Larder) MainFood(s *Swap) *Food {
	var heaviest *Food
	most := 0.0
	for _, p := range s.Formula {
		if f := l.foods[p.Food]; f != nil && p.Food != "water" && p.Grams > most {
			heaviest, most = f, p.Grams
		}
	}
	return heaviest
}

// Part is one food of a formula.
type Part struct {
	Food        string  `json:"food" yaml:"food"`
	Form        string  `json:"form" yaml:"form"`
	Grams       float64 `json:"grams" yaml:"grams"`
	Preparation string  `json:"preparation" yaml:"preparation"`
}

// What a swap's formula is counted by.
const (
	PerHundred = "100 g"
	PerEgg     = "egg"
	PerLitre   = "litre"
)

// GramsPer is how many grams of the replaced food one formula stands for.
func (s *Swap) GramsPer() float64 {
	switch s.Per {
	case PerEgg:
		return 50 // one large egg without shell
	case PerLitre:
		return 1000
	}
	return 100
}

// CalledFor is how the steps speak of the swap in one use.
func (s *Swap) CalledFor(use string) string {
	if s.friesDry(use) {
		return s.Pan
	}
	return s.Short
}

// FinishFor is the step that follows the one the swap is used in, empty for
// most.
func (s *Swap) FinishFor(use string) string {
	if s.friesDry(use) {
		return s.Finish
	}
	return ""
}

func (s *Swap) friesDry(use string) bool { return use == "fry" && s.Pan != "" }

// Minutes sums the hands-on and waiting time of the preparation.
func (s *Swap) Minutes() (hands, wait float64) {
	for _, p := range s.Prepare {
		hands += p.Hands
		wait += p.Wait
	}
	return hands, wait
}

// Booster is a food form that may be added in small doses to close a trait.
type Booster struct {
	Food   string   `json:"food" yaml:"food"`
	Form   string   `json:"form" yaml:"form"`
	Traits []string `json:"traits" yaml:"traits"`
	// Most is the greatest dose in grams per 100 g of the finished dish.
	Most float64 `json:"most" yaml:"most"`
	// Step is one kitchen dose in grams (a quarter teaspoon, a sheet).
	Step float64 `json:"step" yaml:"step"`
	When string  `json:"when" yaml:"when"`
	// Moment is when it goes in; Plain is how, where that moment never comes.
	Moment string `json:"moment" yaml:"moment"`
	Plain  string `json:"plain" yaml:"plain"`
	// Strewn is how, where there is nothing to stir into and it must be made ready for that; empty
	// for what is strewn as it is.
	Strewn string `json:"-" yaml:"strewn"`
	// Cooked tells that it goes only into what is cooked, at whatever moment.
	Cooked bool `json:"cooked" yaml:"cooked"`
	// Piece are the classes of which the original held a piece, and no sauce or stock alone, where it
	// belongs; empty for any.
	Piece []string `json:"-" yaml:"piece"`
	// In says in what dishes it belongs: savoury, sweet or any.
	In     string `json:"in" yaml:"in"`
	Source string `json:"source" yaml:"source"`
}

// NeedsHeat tells that it has no place in what is never heated.
func (b *Booster) NeedsHeat() bool {
	return b.Cooked || b.Moment == WithAromatics || b.Moment == InLiquid
}

// The moments at which a booster goes in: with the first frying in fat, into the
// liquid, before what is made is closed, baked or served, over it at the table.
const (
	WithAromatics = "aromatics"
	InLiquid      = "liquid"
	AtEnd         = "end"
	AtTable       = "table"
)

// The dishes a booster belongs in.
const (
	InSavoury = "savoury"
	InSweet   = "sweet"
	InAny     = "any"
)

func (l *Larder) loadSwaps(src Source) error {
	files, err := src.List("swaps")
	if err != nil {
		return err
	}
	pages := make([][]*Swap, len(files))
	var decoding errgroup.Group // the greater part of loading all
	for i, file := range files {
		decoding.Go(func() error {
			if err := src.Decode("swaps/"+file, &pages[i]); err != nil {
				return fmt.Errorf("swaps/%s: %w", file, err)
			}
			return nil
		})
	}
	if err := decoding.Wait(); err != nil {
		return err
	}
	for _, page := range pages {
		for _, s := range page {
			if s.Per == "" {
				s.Per = PerHundred
			}
			s.Uses, s.Cautions, s.Next = orEmpty(s.Uses), orEmpty(s.Cautions), orEmpty(s.Next)
			for i := range s.Formula {
				if s.Formula[i].Form == "" {
					s.Formula[i].Form = RawForm
				}
			}
		}
		l.swaps = append(l.swaps, page...)
	}
	for _, s := range l.swaps {
		if l.swapByID[s.ID] != nil {
			return fmt.Errorf("swap %q stands twice", s.ID)
		}
		l.swapByID[s.ID] = s
	}
	if err := src.Decode("boosters.yaml", &l.boosters); err != nil {
		return err
	}
	for _, b := range l.boosters {
		if b.Form == "" {
			b.Form = RawForm
		}
		if b.In == "" {
			b.In = InSavoury
		}
	}
	return nil
}

func orEmpty(list []string) []string {
	if list == nil {
		return []string{}
	}
	return list
}

// SwapNamed returns a swap by id, nil when there is none.
func (l *Larder) SwapNamed(id string) *Swap { return l.swapByID[id] }

// BoosterNamed returns the booster of a food, nil when there is none.
func (l *Larder) BoosterNamed(food string) *Booster {
	for _, b := range l.boosters {
		if b.Food == food {
			return b
		}
	}
	return nil
}
