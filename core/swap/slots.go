package swap

import (
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// slot is one line of the original that needs a decision.
type slot struct {
	component, line int
	ref             string
	kind            string // of the food it holds
	animal          larder.Animal
	use             character.Use
	why             string // the hard rule it breaks
	allowed         []*larder.Swap
	rejected        []Rejected
	barred          []*larder.Swap // the swaps of rejected
}

// mixedKinds are matter of plant and animal kind for which the book knows
// better than a label to be checked.
var mixedKinds = []string{"stock", "stock-cube", "noodles", "table-sauce", "butter", "cream", "gelatine", "colour", "sweet"}

// slots finds the lines that cannot stay: animal matter, mixed matter that the
// book knows better for, and plants that a hard rule forbids, here or anywhere.
func (b *Book) slots(d recipe.Dish, r Rules, original character.Dish) []slot {
	var out []slot
	uses := map[string]character.Use{}
	for _, p := range original.Parts {
		for _, it := range p.Items {
			uses[it.Ref] = it.Use
		}
	}
	for i, c := range d.Components {
		for j := range c.Lines {
			line := &c.Lines[j]
			food := b.larder.Food(line.FoodID())
			s := slot{component: i, line: j, ref: recipe.LineRef(i, j)}
			raw := false
			switch {
			case line.Origin == larder.FromAnimal && (food == nil || food.Origin != larder.FromAnimal && !b.knowsBetter(food)):
				food, s.why = nil, NoAnimal
			case food == nil:
				continue
			default:
				var weighed bool
				if s.use, weighed = uses[s.ref]; !weighed {
					s.use = character.UseOf(b.larder, d, i, j, "")
				}
				if s.why = r.Breaks(food); s.why == "" && line.Origin == larder.FromAnimal {
					s.why = NoAnimal // what may hold an animal, and here does
				}
				if off := r.breaksHere(food, s.use.Name, original.Parts[i].Treated[j]); off != nil && s.why == "" {
					s.why, raw = off.Rule, off.Raw
				}
			}
			s.kind, s.animal = usualKind[line.Animal], line.Animal
			if food != nil {
				s.kind = food.Kind
			}
			if minced := (s.use.Name == "crumble" || s.use.Name == "shape") && food != nil && (food.Animal == larder.Meat || food.Animal == larder.Poultry) && !b.doesRight(food, s.use.Name); minced {
				s.kind = "mince"
			}
			if s.why == "" && (food.Origin != larder.Mixed || !slices.Contains(mixedKinds, food.Kind)) {
				continue
			}
			use := s.use.Name
			if raw {
				use = "raw"
			}
			s.allowed, s.rejected, s.barred = b.candidates(s.kind, use, food, r)
			if !line.Animal.Flesh() && b.servedRaw(c.Lines, original.Parts[i].Treated, j) {
				s.allowed = b.eatenRaw(s.allowed, s.kind, food, r)
			}
			if s.why == "" && len(s.allowed) == 0 {
				continue
			}
			out = append(out, s)
		}
	}
	return out
}

// doesRight tells whether the book has something that is right for a food's own kind in a use: smoked sausage that is
// crumbled, which is more than mince.
func (b *Book) doesRight(f *larder.Food, use string) bool {
	return slices.ContainsFunc(b.larder.Swaps(), func(s *larder.Swap) bool {
		return slices.Contains(s.Serves, f.Kind) && slices.Contains(s.Rightly(), use)
	})
}

// knowsBetter tells whether the book has something for a food that may hold an animal: a curry
// paste without the shrimp.
func (b *Book) knowsBetter(f *larder.Food) bool {
	return f.Origin == larder.Mixed && slices.ContainsFunc(b.larder.Swaps(), func(s *larder.Swap) bool { return s.ServesFood(f.Kind, f) && !holdsItself(s, f) })
}

// usualKind is what animal matter is taken for when only its class is known:
// "wagyu slices" are braised or fried pieces of meat. Dairy is too many things.
var usualKind = map[larder.Animal]string{
	larder.Meat: "chunks", larder.Poultry: "poultry-pieces", larder.Fish: "white-fish", larder.Shellfish: "shellfish",
	larder.Egg: "egg", larder.Honey: "honey", larder.Gelatine: "gelatine", larder.Fat: "fat", larder.Insect: "insect",
}

// candidates lists the swaps for a food of a kind in a use: those made for the
// use and those for any use; when the rules leave none of them, any for the
// food, since something that holds is better than nothing.
func (b *Book) candidates(kind, use string, food *larder.Food, r Rules) (allowed []*larder.Swap, rejected []Rejected, barred []*larder.Swap) {
	consider := func(fits func(*larder.Swap) bool) {
		for _, s := range b.larder.Swaps() {
			if !s.ServesFood(kind, food) || !fits(s) || slices.Contains(barred, s) || holdsItself(s, food) {
				continue
			}
			if why := r.BreaksSwap(s); why != "" {
				rejected, barred = append(rejected, Rejected{s.ID, why}), append(barred, s)
			} else {
				allowed = append(allowed, s)
			}
		}
	}
	if b.larder.OwnFirst(use) {
		consider(func(s *larder.Swap) bool { return slices.Contains(s.Uses, use) })
	}
	if len(allowed) == 0 {
		consider(func(s *larder.Swap) bool { return len(s.Uses) == 0 || slices.Contains(s.Uses, use) })
	}
	if len(allowed) == 0 && !b.larder.StrictUse(use) {
		consider(func(s *larder.Swap) bool { return !b.strict(s) })
	}
	return allowed, rejected, barred
}

// servedRaw tells whether a line is eaten without having been cooked, but for the heat of what it goes into. A method that leaves flour raw beside it only does not
// say how it is cooked.
func (b *Book) servedRaw(lines []recipe.Line, treated []character.Treatment, line int) bool {
	if !treated[line].OnlyWarmed {
		return false
	}
	for k := range lines {
		if f := b.larder.Food(lines[k].FoodID()); f != nil && f.Tagged(larder.CookedFirst) && treated[k].OnlyWarmed {
			return false
		}
	}
	return true
}

// eatenRaw are the swaps that need no heat, for what the dish does not cook: of those for its use, else of any for the
// food; where there is none, all of them.
func (b *Book) eatenRaw(allowed []*larder.Swap, kind string, food *larder.Food, r Rules) []*larder.Swap {
	warm := func(s *larder.Swap) bool { return s.Heat }
	cold := slices.DeleteFunc(slices.Clone(allowed), warm)
	if len(cold) == 0 && len(allowed) > 0 {
		cold = slices.DeleteFunc(slices.Clone(b.larder.Swaps()), func(s *larder.Swap) bool {
			return warm(s) || !s.ServesFood(kind, food) || b.strict(s) || holdsItself(s, food) || r.BreaksSwap(s) != ""
		})
	}
	if len(cold) == 0 {
		return allowed
	}
	return cold
}

// strict tells whether a swap is only for uses for which nothing else will do.
func (b *Book) strict(s *larder.Swap) bool {
	return len(s.Uses) > 0 && !slices.ContainsFunc(s.Uses, func(u string) bool { return !b.larder.StrictUse(u) })
}

// holdsItself tells whether a swap would put in the very food it replaces.
func holdsItself(s *larder.Swap, food *larder.Food) bool {
	return food != nil && len(s.Uses) == 0 && slices.ContainsFunc(s.Formula, func(p larder.Part) bool { return p.Food == food.ID })
}

// Slot tells a caller about one line to decide.
type Slot struct {
	Ref      string        `json:"ref"`
	Use      character.Use `json:"use"`
	Rule     string        `json:"rule"`
	Allowed  int           `json:"allowed"`
	Rejected []Rejected    `json:"rejected"`
}

// Slots lists the lines of the original that need a decision under the rules.
func (b *Book) Slots(d recipe.Dish, r Rules, dec Decisions) []Slot {
	out := []Slot{}
	for _, s := range b.slots(d, r, character.Of(b.larder, d, dec.Uses)) {
		if s.rejected == nil {
			s.rejected = []Rejected{}
		}
		if s.use.Others == nil {
			s.use.Others = []string{}
		}
		out = append(out, Slot{s.ref, s.use, s.why, len(s.allowed), s.rejected})
	}
	return out
}

func (s slot) noSwap(name string) string {
	if len(s.rejected) == 0 {
		return texts.Say("swap.theBookHasNoSwapFor", name)
	}
	rules := []string{}
	for _, r := range s.rejected {
		head, _, _ := strings.Cut(r.Rule, ":")
		if !slices.Contains(rules, head) {
			rules = append(rules, head)
		}
	}
	return texts.Say("swap.noSwapAllowedBy", strings.Join(rules, ", "))
}

// brothUses are those of bones that are boiled for what they give.
var brothUses = []string{"stock", "pale-stock", "jelly"}

// picked is the share of a bone that is eaten, where the meat is picked off it and it is not only boiled for what it gives.
func (x *bench) picked(s *slot, line *recipe.Line) float64 {
	f := x.larder.Food(line.FoodID())
	if f == nil || f.Edible.When != larder.EatenStock || slices.Contains(brothUses, s.use.Name) {
		return 1
	}
	return f.Edible.Share
}
