package swap

import (
	"cmp"
	"math"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// Way is one change that moves a trait: a booster dosed otherwise, more or less of
// a line, or a step that takes longer. What it changes stands in one of Dose, Line
// and Step.
type Way struct {
	Dose *Dose `json:"dose" jsonschema:"nullable"`
	// Line is the original's line of which Factor times the amount is taken.
	Line   string  `json:"line"`
	Factor float64 `json:"factor"`
	// Step is the original's step that takes Minutes.
	Step    string        `json:"step"`
	Minutes *measure.Span `json:"minutes" jsonschema:"nullable"`
	Say     string        `json:"say"`
	// Steps is by how many the trait moves, by the model; Also what else does.
	Steps float64 `json:"steps"`
	Also  []Move  `json:"also"`
}

// mostWays is how many ways are told for one fault, mostTried how many of each kind
// are worked out for it.
const (
	mostWays  = 3
	mostTried = 6
)

// A line is changed by a quarter, and only one that brings at least a tenth of the
// trait, to no more than so many times the original's. What boils lasts half as long
// again; what bakes or fries would burn, and what is done in a few minutes spoil.
const (
	moreOf      = 1.25
	lessOf      = 0.75
	leastBrings = 0.1
	mostAmount  = 3.0
	longer      = 1.5
	wholeTime   = 5.0
	leastTime   = 10.0
	boiling     = "wet heat"
)

// Ways are the changes that would move a trait of an adapted dish up, or down, by
// the model. Each is worked out in the whole dish; those that move the trait most
// beside all else come first. None of them breaks what holds, or takes more of a food
// than may be eaten; none cooks anything shorter.
func (b *Book) Ways(d recipe.Dish, dec Decisions, trait string, up bool) ([]Way, error) {
	before, err := b.Apply(d, dec, true)
	if err != nil {
		return nil, err
	}
	tried, err := b.otherDoses(d, dec, trait, up)
	if err != nil {
		return nil, err
	}
	tried = append(tried, b.otherAmounts(&d, dec, &before, trait, up)...)
	tried = append(tried, b.otherTimes(&d, dec)...)
	ways := []Way{}
	for _, w := range tried {
		after, err := b.Apply(d, dec.With(w), false)
		if err != nil {
			return nil, err
		}
		w.Also = []Move{}
		for _, m := range shifts(before, after) {
			if m.Trait == trait && w.Steps == 0 {
				w.Steps = m.Steps
			} else {
				w.Also = append(w.Also, m)
			}
		}
		if toward(w.Steps, up) < shownMove || !holdsAsWell(before.Structure, after.Structure) {
			continue
		}
		moves := []string{texts.Say("swap.traitBySteps", trait, w.Steps)}
		for _, m := range w.Also {
			moves = append(moves, texts.Say("swap.byTrait", m.Trait, m.Steps))
		}
		w.Say = texts.Say("swap.wayAndWhatItMoves", w.Say, strings.Join(moves, ", "))
		ways = append(ways, w)
	}
	slices.SortStableFunc(ways, func(x, y Way) int { return cmp.Compare(y.worth(), x.worth()) })
	return ways[:min(len(ways), mostWays)], nil
}

func toward(steps float64, up bool) float64 {
	if up {
		return steps
	}
	return -steps
}

// holdsAsWell tells whether nothing that held before no longer does.
func holdsAsWell(before, after []character.Holding) bool {
	for i := range after {
		if i < len(before) && before[i].Verdict == character.Holds && after[i].Verdict != character.Holds {
			return false
		}
	}
	return true
}

// otherDoses are a dose more of the boosters that bring a trait most, or a dose less
// of those that are in.
func (b *Book) otherDoses(d recipe.Dish, dec Decisions, trait string, up bool) ([]Way, error) {
	items, err := b.Tray(d, dec)
	if err != nil {
		return nil, err
	}
	brings := func(i *TrayItem) float64 {
		if at := slices.IndexFunc(i.Moves, func(m Move) bool { return m.Trait == trait }); at >= 0 {
			return i.Moves[at].Steps
		}
		return 0
	}
	slices.SortStableFunc(items, func(x, y TrayItem) int { return cmp.Compare(brings(&y), brings(&x)) })
	var out []Way
	for i := range items {
		item := &items[i]
		grams, how := item.Grams+item.Step, "swap.moreOf"
		if !up {
			grams, how = item.Grams-item.Step, "swap.lessOf"
		}
		switch {
		case up && (brings(item) <= 0 || item.Barred != "" || grams > item.Most), !up && !inOnce(dec, item.Food), grams < 0, len(out) >= mostTried:
			continue
		}
		out = append(out, Way{
			Dose: &Dose{Food: item.Food, Form: item.Form, Grams: grams, Component: item.Component},
			Say:  texts.Say(how, kitchenAmount(b.larder.Food(item.Food), item.Step), item.Name),
		})
	}
	return out, nil
}

// otherAmounts are a quarter more, or less, of the lines that bring a trait.
func (b *Book) otherAmounts(d *recipe.Dish, dec Decisions, before *Adaptation, trait string, up bool) []Way {
	factor, how := moreOf, "swap.aQuarterMore"
	if !up {
		factor, how = lessOf, "swap.aQuarterLess"
	}
	servings := 1.0
	if d.Serves != nil {
		servings = max(1, d.Serves.Mid())
	}
	var out []Way
	tried := map[string]bool{}
	for i := range before.Traits {
		t := &before.Traits[i]
		if t.Trait != trait {
			continue
		}
		for _, from := range t.To {
			l := before.line(from.Line)
			if from.Share < leastBrings || len(out) >= mostTried || l == nil || l.From == nil || tried[*l.From] {
				continue
			}
			food := b.larder.Food(l.FoodID())
			now, set := dec.Amounts[*l.From]
			if !set || now <= 0 {
				now = 1
			}
			next := math.Round(now*factor*100) / 100
			if food == nil || next > mostAmount || up && l.Mass()*factor > b.larder.MostServed(food, l.Form).Most*servings {
				continue
			}
			tried[*l.From] = true
			grams := measure.RoundGrams(l.Mass()*factor, fineAmounts(food))
			out = append(out, Way{Line: *l.From, Factor: next, Say: texts.Say(how, food.Name, kitchenAmount(food, grams), kitchenAmount(food, l.Mass()))})
		}
	}
	return out
}

// line is a line of the adaptation by its place.
func (a *Adaptation) line(ref string) *Line {
	part, line, ok := recipe.ParseLineRef(ref)
	if !ok || part >= len(a.Components) || line >= len(a.Components[part].Lines) {
		return nil
	}
	return &a.Components[part].Lines[line]
}

// otherTimes are steps that boil water away and last half as long again, the longest
// first.
func (b *Book) otherTimes(d *recipe.Dish, dec Decisions) []Way {
	type lasting struct {
		way     Way
		minutes float64
	}
	var all []lasting
	for i := range d.Components {
		for j := range d.Components[i].Steps {
			s := &d.Components[i].Steps[j]
			name := stepName(s.ID, i, j)
			at := slices.IndexFunc(s.Actions, func(a recipe.Action) bool { return a.Minutes != nil })
			if at < 0 || dec.Wording[name] != "" {
				continue
			}
			a := &s.Actions[at]
			now := a.Minutes.Mid()
			if own := dec.Figures[name].Minutes; own != nil {
				now = own.Mid()
			}
			next := measure.Exactly(max(now+wholeTime, math.Round(now*longer/wholeTime)*wholeTime))
			if t := b.larder.Technique(a.Technique); t == nil || t.Lost <= 0 || t.Family != boiling || now < leastTime || next.Mid() > float64(measure.MostMinutes) {
				continue
			}
			all = append(all, lasting{Way{Step: name, Minutes: &next, Say: texts.Say("swap.forMinutesInsteadOf", larder.Capital(a.Verb), next.Mid(), now)}, now})
		}
	}
	slices.SortStableFunc(all, func(x, y lasting) int { return cmp.Compare(y.minutes, x.minutes) })
	var out []Way
	for _, x := range all[:min(len(all), mostTried)] {
		out = append(out, x.way)
	}
	return out
}
