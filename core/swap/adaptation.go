package swap

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// Book applies the larder's swaps. It is read-only and safe to share.
type Book struct{ larder *larder.Larder }

// NewBook returns the book of a larder.
func NewBook(l *larder.Larder) *Book { return &Book{l} }

// Larder is the larder the book was made from.
func (b *Book) Larder() *larder.Larder { return b.larder }

// Ref names a line by its place.
func Ref(component, line int) string { return fmt.Sprintf("components[%d].lines[%d]", component, line) }

// Apply puts decisions into the original and compares the two dishes. detail
// asks for what each line contributes.
func (b *Book) Apply(d recipe.Dish, dec Decisions, detail bool) (Adaptation, error) {
	rules, err := NewRules(dec.HouseRules)
	if err != nil {
		return Adaptation{}, err
	}
	return b.prepare(d, rules).apply(dec, detail), nil
}

// bench is an original made ready to try many decisions on: what stays the
// same between two tries is worked out once.
type bench struct {
	*Book
	dish     recipe.Dish
	rules    Rules
	slots    []slot
	at       map[string]int // slot by line
	original character.Dish
	values   []character.Value
	main     int // the heaviest component that is no dough, which takes the boosters
	// quick leaves out the words of new lines, for tries nobody reads.
	quick bool
}

func (b *Book) prepare(d recipe.Dish, rules Rules) *bench {
	x := &bench{Book: b, dish: d, rules: rules, slots: b.slots(d, rules), at: map[string]int{}, original: character.Of(b.larder, d)}
	for i, s := range x.slots {
		x.at[s.ref] = i
	}
	x.values = x.original.Values()
	most := -1.0
	for i, p := range x.original.Parts {
		m := p.Mass()
		if kneaded(d.Components[i]) {
			m = 0
		}
		if m > most {
			x.main, most = i, m
		}
	}
	return x
}

// kneaded tells whether a component is a dough, into which nothing more can be
// stirred.
func kneaded(c recipe.Component) bool {
	return slices.ContainsFunc(c.Steps, func(s recipe.Step) bool {
		return slices.Contains(s.Techniques, "knead") || slices.Contains(s.Techniques, "rub-in") || slices.Contains(s.Techniques, "laminate")
	})
}

func (b *bench) apply(dec Decisions, detail bool) Adaptation {
	d, rules := b.dish, b.rules
	a := Adaptation{Components: []Component{}, Swaps: []Chosen{}, Boosters: []Dose{}, Structure: []character.Holding{}, Unresolved: []Open{}}
	for i, c := range d.Components {
		comp := Component{Name: c.Name, Lines: []Line{}, Steps: []Step{}}
		for j, line := range c.Lines {
			ref := Ref(i, j)
			at, decided := b.at[ref]
			if !decided {
				if line.Origin == larder.Unknown && line.Food == nil {
					a.Unresolved = append(a.Unresolved, Open{ref, fmt.Sprintf("%q is not in the larder, so nobody can say whether it is animal", line.Name)})
				}
				comp.Lines = append(comp.Lines, b.keep(line, &ref))
				continue
			}
			b.fill(&a, &comp, b.slots[at], line, dec)
		}
		a.Components = append(a.Components, comp)
	}
	b.boost(&a, dec)
	b.balanceSalt(&a, d)
	adapted := b.dishOf(a)
	a.Traits = character.Compare(b.original, b.values, adapted, wishes(dec, rules), detail)
	if a.Traits == nil {
		a.Traits = []character.Thread{}
	}
	if holdings := character.Hold(b.original, adapted); holdings != nil {
		a.Structure = holdings
	}
	a.Tally = character.Count(a.Traits)
	return a
}

// keep takes a line over. Choices that the rules forbid are left out; where one
// of them stood in its words ("oil or butter"), the line is said anew.
func (b *bench) keep(line recipe.Line, ref *string) Line {
	alternatives, also := b.plantOnly(line.Alternatives, b.rules), b.plantOnly(line.Also, b.rules)
	lost := len(alternatives) < len(line.Alternatives) || len(also) < len(line.Also)
	line.Alternatives, line.Also = alternatives, also
	if line.Alternatives == nil {
		line.Alternatives = []recipe.Alternative{}
	}
	food := b.larder.Food(line.FoodID())
	if !lost || food == nil {
		return Line{line, ref, Kept}
	}
	line.Name, line.Origin, line.Animal, line.Check, line.Hidden = food.Name, food.Origin, food.Animal, food.Check, food.Hidden
	line.Why = "The choice that comes from an animal or breaks a house rule is left out."
	line.Text = food.Name
	if line.Amount != nil {
		line.Text = line.Amount.String() + " " + food.Name
	}
	return Line{line, ref, Adjusted}
}

func wishes(dec Decisions, r Rules) character.Wishes {
	w := character.Wishes{Pins: map[string]bool{}, Less: r.Less()}
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
func (b *bench) fill(a *Adaptation, comp *Component, s slot, line recipe.Line, dec Decisions) {
	ref := s.ref
	chosen := b.larder.SwapNamed(dec.Swaps[ref])
	if chosen != nil && !slices.Contains(s.allowed, chosen) {
		chosen = nil
	}
	if chosen == nil {
		why := "no swap chosen yet"
		if len(s.allowed) == 0 {
			why = s.noSwap(line.Name)
		}
		a.Unresolved = append(a.Unresolved, Open{ref, why})
		comp.Lines = append(comp.Lines, Line{leftOut(line, why), &ref, Dropped})
		return
	}
	c := Chosen{
		Replaces: ref, Swap: chosen.ID, Name: chosen.Name, Why: chosen.Why, Use: s.use.Name, Rule: s.use.Rule,
		Limits: chosen.Limits, Cautions: chosen.Cautions, Rejected: s.rejected, Lines: []int{},
	}
	if c.Rejected == nil {
		c.Rejected = []Rejected{}
	}
	if c.Cautions == nil {
		c.Cautions = []string{}
	}
	factor := line.Mass() / chosen.GramsPer()
	if line.Grams == nil {
		factor = assumedMass / chosen.GramsPer()
	}
	for _, p := range chosen.Formula {
		c.Lines = append(c.Lines, len(comp.Lines))
		comp.Lines = append(comp.Lines, Line{b.partLine(p, factor, line), &ref, Swapped})
	}
	a.Swaps = append(a.Swaps, c)
}

// assumedMass stands in for a line without a known mass ("butter for the
// tin"): 10 g.
const assumedMass = 10.0

// leftOut keeps the place of a line that has no stand-in. It holds nothing, so
// it has no origin.
func leftOut(line recipe.Line, why string) recipe.Line {
	return recipe.Line{
		Text: line.Name + " (left open)", Form: larder.RawForm, Name: line.Name, Preparation: "", Optional: line.Optional,
		Alternatives: []recipe.Alternative{}, Origin: larder.Unknown, Why: why,
	}
}

// fineAmounts tells whether rounding must not move a food much: spices, salt,
// leavening and setting agents.
func fineAmounts(f *larder.Food) measure.Care {
	switch f.Aisle {
	case "spices", "baking", "sea-vegetables", "herbs":
		return measure.Fine
	}
	return measure.Loose
}

// spoonGrams is the mass below which an amount is shown by the spoon, with the
// grams beside it.
const spoonGrams = 12.0

// kitchenAmount writes grams as a cook measures them.
func kitchenAmount(f *larder.Food, grams float64) string {
	care := fineAmounts(f)
	shown := measure.ShowGrams(measure.Exactly(grams), care)
	if f.Matter.Density <= 0 || grams >= spoonGrams {
		return shown
	}
	spoons := measure.ShowMillilitres(grams/f.Matter.Density, measure.Metric, measure.Loose)
	return fmt.Sprintf("%s (%s)", spoons, shown)
}

func (b *bench) partLine(p larder.Part, factor float64, original recipe.Line) recipe.Line {
	f := b.larder.Food(p.Food)
	grams := measure.RoundGrams(p.Grams*factor, fineAmounts(f))
	span := measure.Exactly(grams)
	if b.quick {
		return recipe.Line{Grams: &span, Food: &f.ID, Form: p.Form, Origin: f.Origin}
	}
	why := f.Why
	if why == "" {
		why = fmt.Sprintf("Stands in for %s.", original.Name)
	}
	text := kitchenAmount(f, grams) + " " + f.Name
	if p.Preparation != "" {
		text += ", " + p.Preparation
	}
	return recipe.Line{
		Text: text, Amount: &measure.Amount{Low: grams, High: grams, Unit: measure.Gram}, Grams: &span, Food: &f.ID, Form: p.Form,
		Name: f.Name, Preparation: p.Preparation, Alternatives: []recipe.Alternative{}, Optional: original.Optional,
		Origin: f.Origin, Check: f.Check, Hidden: false, Why: why,
	}
}

// boost adds the boosters to the main component.
func (b *bench) boost(a *Adaptation, dec Decisions) {
	if len(a.Components) == 0 {
		return
	}
	for _, dose := range dec.Boosters {
		f := b.larder.Food(dose.Food)
		if f == nil || b.rules.Breaks(f) != "" || dose.Grams <= 0 {
			continue
		}
		line := b.partLine(larder.Part{Food: dose.Food, Form: formOr(dose.Form), Grams: dose.Grams}, 1, recipe.Line{})
		line.Why = dose.Why
		if booster := b.larder.BoosterNamed(dose.Food); booster != nil && line.Why == "" {
			line.Why = fmt.Sprintf("Small dose for %s.", strings.Join(booster.Traits, " and "))
		}
		a.Components[b.main].Lines = append(a.Components[b.main].Lines, Line{line, nil, Booster})
		a.Boosters = append(a.Boosters, dose)
	}
}

func formOr(form string) string {
	if form == "" {
		return larder.RawForm
	}
	return form
}

// balanceSalt lowers the salt line by what swaps and boosters bring beyond
// what they replace.
func (b *bench) balanceSalt(a *Adaptation, d recipe.Dish) {
	saltOf := func(l recipe.Line) float64 {
		f := b.larder.Food(l.FoodID())
		if f == nil {
			return 0
		}
		return l.Mass() * f.FormNamed(l.Form).Base * f.Per100.Salt() / 100
	}
	extra := 0.0
	for i := range a.Components {
		for _, l := range a.Components[i].Lines {
			if l.Change == Swapped || l.Change == Booster {
				extra += saltOf(l.Line)
			}
		}
	}
	for _, c := range a.Swaps {
		s := b.slots[b.at[c.Replaces]]
		extra -= saltOf(d.Components[s.component].Lines[s.line])
	}
	if extra < leastSaltMoved {
		return
	}
	for i := range a.Components {
		for j := range a.Components[i].Lines {
			l := &a.Components[i].Lines[j]
			if l.Change != Kept || l.FoodID() != "salt" || l.Mass() <= 0 {
				continue
			}
			left := measure.RoundGrams(math.Max(0, l.Mass()-extra), measure.Fine)
			extra -= l.Mass() - left
			span := measure.Exactly(left)
			l.Grams, l.Amount = &span, &measure.Amount{Low: left, High: left, Unit: measure.Gram}
			l.Why = fmt.Sprintf("Lowered from %s: the swaps bring salt of their own.", strings.TrimSpace(l.Text))
			l.Text = measure.ShowGrams(span, measure.Fine) + " " + l.Name
			l.Change = Adjusted
			if extra < leastSaltMoved {
				return
			}
		}
	}
}

// leastSaltMoved is the salt in grams below which nothing is adjusted.
const leastSaltMoved = 0.3

// dishOf makes the adapted lines ready for evaluation, with the steps' losses
// taken over from the original.
func (b *bench) dishOf(a Adaptation) character.Dish {
	out := character.Dish{Servings: b.original.Servings, Parts: make([]character.Part, len(a.Components))}
	for i, c := range a.Components {
		part := character.Part{Name: c.Name, Evaporated: b.original.Parts[i].Evaporated, Wet: b.original.Parts[i].Wet, Items: make([]character.Item, 0, len(c.Lines))}
		for j := range c.Lines {
			l := &c.Lines[j]
			food := b.larder.Food(l.FoodID())
			if food == nil || l.Mass() <= 0 {
				continue
			}
			it := character.Item{Label: l.Name, Food: food, Form: food.FormNamed(l.Form), Grams: l.Mass()}
			if !b.quick {
				it.Ref = Ref(i, j)
			}
			part.Items = append(part.Items, it)
		}
		out.Parts[i] = part
	}
	return out
}
