package swap

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// slot is one line of the original that needs a decision.
type slot struct {
	component, line int
	ref             string
	kind            string // of the food it holds
	use             character.Use
	why             string // the hard rule it breaks
	allowed         []*larder.Swap
	rejected        []Rejected
}

// slots finds the lines that cannot stay: animal matter, mixed matter that the
// book knows better for, and plants that a hard rule forbids.
func (b *Book) slots(d recipe.Dish, r Rules) []slot {
	var out []slot
	for i, c := range d.Components {
		for j := range c.Lines {
			line := &c.Lines[j]
			food := b.larder.Food(line.FoodID())
			s := slot{component: i, line: j, ref: Ref(i, j)}
			switch {
			case line.Origin == larder.FromAnimal && food == nil:
				s.why = "no animal matter"
			case line.Origin == larder.FromAnimal && food.Origin != larder.FromAnimal:
				food, s.why = nil, "no animal matter"
			case food == nil:
				continue
			default:
				s.why = r.Breaks(food)
			}
			if food != nil && food.Kind != "" {
				s.kind = food.Kind
				s.use = character.UseOf(b.larder, d, i, j)
			} else {
				s.kind = usualKind[line.Animal]
			}
			s.allowed, s.rejected = b.candidates(s.kind, s.use.Name, r)
			if s.why == "" && (food == nil || food.Origin != larder.Mixed || len(s.allowed) == 0) {
				continue
			}
			out = append(out, s)
		}
	}
	return out
}

// usualKind is what animal matter is taken for when only its class is known:
// "wagyu slices" are braised or fried pieces of meat. Dairy is too many things.
var usualKind = map[larder.Animal]string{
	larder.Meat: "chunks", larder.Poultry: "poultry-pieces", larder.Fish: "white-fish", larder.Shellfish: "shellfish",
	larder.Egg: "egg", larder.Honey: "honey", larder.Gelatine: "gelatine", larder.Fat: "fat", larder.Insect: "insect",
}

// candidates lists the swaps for a kind of food in a use: those made for the very use
// first, then those for any use; when a use has none, any for the food's kind.
func (b *Book) candidates(kind, use string, r Rules) (allowed []*larder.Swap, rejected []Rejected) {
	consider := func(fits func(*larder.Swap) bool) {
		for _, s := range b.larder.Swaps() {
			if !slices.Contains(s.Serves, kind) || !fits(s) {
				continue
			}
			if why := r.BreaksSwap(b.larder, s); why != "" {
				rejected = append(rejected, Rejected{s.ID, why})
			} else {
				allowed = append(allowed, s)
			}
		}
	}
	consider(func(s *larder.Swap) bool { return len(s.Uses) == 0 || slices.Contains(s.Uses, use) })
	if len(allowed) == 0 && len(rejected) == 0 {
		consider(func(*larder.Swap) bool { return true })
	}
	return allowed, rejected
}

// Slot tells a caller about one line to decide.
type Slot struct {
	Ref      string        `json:"ref"`
	Use      character.Use `json:"use"`
	Rule     string        `json:"rule"`
	Rejected []Rejected    `json:"rejected"`
}

// Slots lists the lines of the original that need a decision under the rules.
func (b *Book) Slots(d recipe.Dish, r Rules) []Slot {
	out := []Slot{}
	for _, s := range b.slots(d, r) {
		out = append(out, Slot{s.ref, s.use, s.why, s.rejected})
	}
	return out
}

func (s slot) noSwap(name string) string {
	if len(s.rejected) == 0 {
		return fmt.Sprintf("the book has no swap for %s yet", name)
	}
	rules := []string{}
	for _, r := range s.rejected {
		head, _, _ := strings.Cut(r.Rule, ":")
		if !slices.Contains(rules, head) {
			rules = append(rules, head)
		}
	}
	return "no swap allowed by: " + strings.Join(rules, ", ")
}
