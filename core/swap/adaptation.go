package swap

import (
	"math"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// Book applies the larder's swaps. It is read-only and safe to share.
type Book struct {
	larder  *larder.Larder
	weights Weights
}

// NewBook returns the book of a larder, which weighs as is usual.
func NewBook(l *larder.Larder) *Book { return NewBookWeighing(l, UsualWeights()) }

// NewBookWeighing returns the book of a larder that weighs what speaks for and against
// swaps by a kitchen's own measure.
func NewBookWeighing(l *larder.Larder, w Weights) *Book { return &Book{l, w} }

// Larder is the larder the book was made from.
func (b *Book) Larder() *larder.Larder { return b.larder }

// ComponentOf is the component that a reference names; -1 when it is none.
func ComponentOf(ref string) int {
	component, _, ok := recipe.ParseLineRef(ref)
	if !ok {
		return -1
	}
	return component
}

// Apply puts decisions into the original and compares the two dishes. detail
// asks for what each line contributes.
func (b *Book) Apply(d recipe.Dish, dec Decisions, detail bool) (Adaptation, error) {
	rules, err := NewRules(b.larder, dec.HouseRules)
	if err != nil {
		return Adaptation{}, err
	}
	x := b.prepare(d, rules, dec)
	if slices.ContainsFunc(dec.Boosters, func(dose Dose) bool { return dose.Why == "" }) {
		dec.Boosters = x.explained(dec)
	}
	return x.apply(dec, detail), nil
}

// apply puts decisions in and compares the two dishes; detail asks for what
// each line contributes.
func (x *bench) apply(dec Decisions, detail bool) Adaptation {
	a := Nothing()
	x.dec = dec
	for i, c := range x.dish.Components {
		comp := Component{Name: c.Name, Lines: []Line{}, Steps: []Step{}}
		for j, line := range c.Lines {
			ref := recipe.LineRef(i, j)
			at, decided := x.at[ref]
			if !decided {
				if line.Origin == larder.Unknown && line.Food == nil {
					a.Unresolved = append(a.Unresolved, Open{Line: ref, Why: texts.Say("swap.isNotInTheLarderSo", line.Name)})
				}
				comp.Lines = append(comp.Lines, x.keep(line, &ref))
				continue
			}
			x.fill(&a, &comp, x.slots[at], line, dec)
		}
		a.Components = append(a.Components, comp)
	}
	x.boost(&a, dec)
	x.balanceSalt(&a)
	adapted := x.dishOf(a)
	a.Traits = character.Compare(x.original, adapted, x.wishesOf(dec), detail)
	profile := adapted.Profile()
	a.Structure = character.Hold(x.shapes, x.needs, &profile)
	a.Tally = character.Count(a.Traits)
	return a
}

// keep takes a line over. Choices that the rules forbid are left out; where one
// of them stood in its words ("oil or butter"), the line is said anew.
func (x *bench) keep(line recipe.Line, ref *string) Line {
	alternatives, also := x.plantOnly(line.Alternatives, x.rules), x.plantOnly(line.Also, x.rules)
	lost := len(alternatives) < len(line.Alternatives) || len(also) < len(line.Also)
	line.Alternatives, line.Also = alternatives, also
	if line.Alternatives == nil {
		line.Alternatives = []recipe.Alternative{}
	}
	food := x.larder.Food(line.FoodID())
	if x.dec.Amounts[*ref] > 0 && x.dec.Amounts[*ref] != 1 && line.Mass() > 0 && !lost {
		return x.resized(line, ref)
	}
	if !lost || food == nil {
		return Line{Line: line, From: ref, Change: Kept}
	}
	line.Name, line.Origin, line.Animal, line.Check, line.Hidden = food.Name, food.Origin, food.Animal, food.Check, food.Hidden
	for _, other := range also { // what stands in the same line stays
		line.Name += ", " + other.Name
	}
	line.Why = texts.Say("swap.theChoiceThatComesFromAn")
	line.Preparation, line.Text = "", line.Name
	if line.Amount != nil {
		line.Text = line.Amount.String() + " " + line.Name
	}
	return Line{Line: line, From: ref, Change: Adjusted}
}

func (x *bench) wishesOf(dec Decisions) character.Wishes {
	w := character.Wishes{Pins: map[string]bool{}, Less: x.rules.Less(), Off: x.larder.Offsets(), Scale: &x.weights.Scale}
	for _, p := range dec.Pins {
		w.Pins[p] = true
	}
	return w
}

func (b *Book) plantOnly(list []recipe.Alternative, r Rules) []recipe.Alternative {
	var kept []recipe.Alternative
	for _, alt := range list {
		if f := b.larder.Food(alt.Food); f != nil && r.Breaks(f) == "" {
			kept = append(kept, alt)
		}
	}
	return kept
}

// fill decides one slot: the chosen swap's lines, or an empty place that says
// why.
func (x *bench) fill(a *Adaptation, comp *Component, s slot, line recipe.Line, dec Decisions) {
	ref := s.ref
	chosen := x.larder.SwapNamed(dec.Swaps[ref])
	if chosen == nil || !slices.Contains(s.allowed, chosen) {
		open := Open{Line: ref, Why: texts.Say("swap.noSwapChosenYet")}
		if len(s.allowed) == 0 {
			open.Why, open.Nearest = s.noSwap(line.Name), x.nearest(s)
		}
		a.Unresolved = append(a.Unresolved, open)
		comp.Lines = append(comp.Lines, Line{Line: leftOut(line, open.Why), From: &ref, Change: Dropped})
		comp.Lines = append(comp.Lines, x.beside(line, &ref)...)
		return
	}
	c := Chosen{
		Replaces: ref, Swap: chosen.ID, Name: chosen.Name, Why: chosen.Why, Use: s.use.Name, Rule: s.use.Rule, Amount: 1,
		Limits: chosen.Limits, Cautions: chosen.Cautions, Rejected: s.rejected, Lines: []int{},
	}
	if own, ok := dec.Amounts[ref]; ok && own > 0 {
		c.Amount = own
		if why := dec.Reasons[ref]; why != "" {
			c.Why = larder.Capital(x.told(why)) + ". " + c.Why
		}
	}
	if c.Rejected == nil {
		c.Rejected = []Rejected{}
	}
	if c.Cautions == nil {
		c.Cautions = []string{}
	}
	for _, p := range chosen.Formula {
		c.Lines = append(c.Lines, len(comp.Lines))
		comp.Lines = append(comp.Lines, Line{Line: x.partLine(p, x.grams(s, chosen, p), line, len(chosen.Formula) == 1), From: &ref, Change: Swapped, Serves: x.purpose(line)})
	}
	comp.Lines = append(comp.Lines, x.beside(line, &ref)...)
	a.Swaps = append(a.Swaps, c)
}

// nearest is the barred swap that would keep the dish's character best.
func (x *bench) nearest(s slot) *Nearest {
	var best *Nearest
	low := math.Inf(1)
	for i, sw := range s.barred {
		o := x.option(s, sw)
		part := character.Profile{}
		sums := x.original.Sums()
		if food := x.larder.Food(x.dish.Components[s.component].Lines[s.line].FoodID()); food != nil {
			line := &x.dish.Components[s.component].Lines[s.line]
			replaced := x.item(s.component, s.line, food, line.Form, x.eaten(line, food), false).Sums()
			sums[s.component].Add(&replaced, -1)
		}
		sums[s.component].Add(&o.sums, 1)
		character.Evaluate(x.shapes, sums, &part)
		pinned, others := part.Distance(&x.before, x.wishes)
		if v := pinned + others; v < low-1e-9 {
			low, best = v, &Nearest{sw.ID, sw.Name, s.rejected[i].Rule}
		}
	}
	return best
}

// boost adds the boosters, each to its component.
func (x *bench) boost(a *Adaptation, dec Decisions) {
	if len(a.Components) == 0 {
		return
	}
	for _, dose := range dec.Boosters {
		f := x.rules.inPlace(dose.Food)
		if f == nil || x.rules.Breaks(f) != "" || dose.Grams <= 0 {
			continue
		}
		line := x.partLine(larder.Part{Food: dose.Food, Form: formOr(dose.Form)}, measure.RoundGrams(dose.Grams, fineAmounts(f)), recipe.Line{}, true)
		dose.Why = x.told(dose.Why)
		line.Why = dose.Why
		part := x.partOf(dose)
		a.Components[part].Lines = append(a.Components[part].Lines, Line{Line: line, Change: Booster})
		a.Boosters = append(a.Boosters, dose)
	}
}

// balanceSalt lowers the salt lines by what swaps and boosters bring beyond what
// they replace, and by what the house allows.
func (x *bench) balanceSalt(a *Adaptation) {
	brought, others := 0.0, 0.0
	for i := range a.Components {
		for _, l := range a.Components[i].Lines {
			food := x.larder.Food(l.FoodID())
			if food == nil || l.Mass() <= 0 {
				continue
			}
			from, stands := lineOf(l), l.Change == Swapped
			if from >= 0 && x.plainSalt(i, from) != nil {
				continue
			}
			sums := x.item(i, from, food, l.Form, l.Mass(), stands).Sums()
			others += sums.Salt()
			if stands || l.Change == Booster {
				brought += sums.Salt()
			}
		}
	}
	for _, c := range a.Swaps {
		s := x.slots[x.at[c.Replaces]]
		line := &x.dish.Components[s.component].Lines[s.line]
		if food := x.larder.Food(line.FoodID()); food != nil && x.plainSalt(s.component, s.line) == nil {
			replaced := x.item(s.component, s.line, food, line.Form, x.eaten(line, food), false).Sums()
			brought -= replaced.Salt()
		}
	}
	if x.salts == nil {
		x.findSalts()
	}
	for i, left := range x.lowerSalt(brought, others) {
		s := x.salts[i]
		if left >= s.grams {
			continue
		}
		for j := range a.Components[s.component].Lines {
			l := &a.Components[s.component].Lines[j]
			if lineOf(*l) != s.line || l.Change == Dropped {
				continue
			}
			span := measure.Exactly(left)
			l.Why = texts.Say("swap.loweredFromTheSwapsBringSalt", strings.TrimSpace(x.dish.Components[s.component].Lines[s.line].Text))
			l.Grams, l.Amount = &span, &measure.Amount{Low: left, High: left, Unit: measure.Gram}
			l.Text = kitchenAmount(x.larder.Food(l.FoodID()), left) + " " + l.Name
			if left == 0 {
				l.Text = texts.Say("swap.onlyToTaste", l.Name)
			}
			if l.Change == Kept {
				l.Change = Adjusted
			}
		}
	}
}

// findSalts lists the salt lines, which is all of ready that apply needs.
func (x *bench) findSalts() {
	for i, c := range x.dish.Components {
		for j := range c.Lines {
			if salty := x.plainSalt(i, j); salty != nil {
				x.salts = append(x.salts, saltLine{i, j, x.saltGrams(i, j), x.item(i, j, salty, c.Lines[j].Form, 1, false).Sums(), x.saltsDough(i)})
			}
		}
	}
}
