package swap

import (
	"cmp"
	"maps"
	"math"
	"slices"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// Candidate is one swap for one line, tried in the whole dish.
type Candidate struct {
	Swap *larder.Swap `json:"swap"`
	// Fit says whether it does the same work there or only holds the place.
	Fit Fit `json:"fit"`
	// Lines are what it would bring.
	Lines []recipe.Line `json:"lines"`
	// Moves are the traits with the candidate in.
	Moves []Move          `json:"moves"`
	Tally character.Tally `json:"tally"`
	Hands float64         `json:"hands"`
	Wait  float64         `json:"wait"`
	Kit   []string        `json:"kit"`
	Grade larder.Grade    `json:"grade"`
	Holds []string        `json:"allergens"`
	// Cost is a serving's, in the units of the price list; Protein in grams.
	Cost    float64 `json:"cost"`
	Protein float64 `json:"protein"`
	Reason  string  `json:"reason"`
	// Homes are the families of kitchens in which all of it is at home, none where it
	// goes everywhere; Stranger tells that the dish's own is none of them, First that a
	// cook of that kitchen takes it first.
	Homes    []string `json:"homes"`
	Stranger bool     `json:"stranger"`
	First    bool     `json:"first"`
	// Parts are what the order rests on, one after the other.
	Parts Parts `json:"parts"`
}

// Parts are what candidates are ordered by: how far pinned traits and others
// are off (sums of squared steps beyond one), how many structures would not
// hold, what the soft rules dislike, minutes of work, and cost.
type Parts struct {
	Pinned float64 `json:"pinned"`
	Others float64 `json:"others"`
	Broken int     `json:"broken"`
	Soft   float64 `json:"soft"`
	Hands  float64 `json:"hands"`
	Cost   float64 `json:"cost"`
}

// Move is how far a trait stands from the original with the candidate in.
type Move struct {
	Trait     string            `json:"trait"`
	Component string            `json:"component"`
	Steps     float64           `json:"steps"`
	Verdict   character.Verdict `json:"verdict"`
	Pinned    bool              `json:"pinned"`
}

// Two candidates count as alike in a part when they differ by less than this,
// so that the next part decides.
const (
	likePinned = 0.5
	likeOthers = 0.75
	likeSoft   = 0.5
)

func (p Parts) compare(o Parts) int {
	return cmp.Or(cmp.Compare(math.Round(p.Pinned/likePinned), math.Round(o.Pinned/likePinned)), cmp.Compare(p.Broken, o.Broken),
		cmp.Compare(math.Round(p.Others/likeOthers), math.Round(o.Others/likeOthers)), cmp.Compare(math.Round(p.Soft/likeSoft), math.Round(o.Soft/likeSoft)),
		cmp.Compare(p.Hands, o.Hands), cmp.Compare(p.Cost, o.Cost))
}

// Rank tries every allowed swap for one line in the whole dish and orders them: what
// is right for the use and taken first, then pinned traits off, structure that does not hold, then unpinned traits, then
// what the soft rules dislike, then work and cost.
func (b *Book) Rank(d recipe.Dish, dec Decisions, ref string) ([]Candidate, []Rejected, error) {
	rules, err := NewRules(b.larder, dec.HouseRules)
	if err != nil {
		return nil, nil, err
	}
	x := b.prepare(d, rules, dec)
	at, ok := x.at[ref]
	if !ok {
		return nil, nil, FieldError{"line", texts.Say("swap.isNoLineThatNeedsA", ref)}
	}
	x.ready()
	out := []Candidate{}
	choice, doses := x.decided(dec)
	for i, s := range x.slots[at].allowed {
		choice[at] = i
		st, open := x.total(choice, doses)
		p := x.weigh(&st, open)
		try := dec
		if try.Swaps = maps.Clone(dec.Swaps); try.Swaps == nil {
			try.Swaps = map[string]string{}
		}
		try.Swaps[ref] = s.ID
		a := x.apply(try, false)
		o := &x.options[at][i]
		c := Candidate{Swap: s, Fit: fitOf(&x.slots[at], s), Tally: a.Tally, Kit: []string{}, Holds: []string{}, Lines: []recipe.Line{}, Moves: []Move{}, Cost: o.cost, Protein: o.protein}
		c.Hands, c.Wait = s.Minutes()
		c.Parts = Parts{p.pinned, p.others, x.profile.Broken(x.needs), p.soft, c.Hands, o.cost}
		b.describe(&c, a, ref)
		c.First = slices.Contains(x.takenFirst(&x.slots[at]), s.ID)
		c.Homes = b.larder.HomesOf(s)
		c.Stranger = x.kitchen != "" && len(c.Homes) > 0 && !slices.Contains(c.Homes, x.kitchen)
		out = append(out, c)
	}
	slices.SortStableFunc(out, func(p, q Candidate) int {
		return cmp.Or(cmp.Compare(q.Fit, p.Fit), foremost(q)-foremost(p), p.Parts.compare(q.Parts))
	})
	rejected := x.slots[at].rejected
	if rejected == nil {
		rejected = []Rejected{}
	}
	return out, rejected, nil
}

// foremost is 1 for what a cook of the dish's kitchen takes first.
func foremost(c Candidate) int {
	if c.First {
		return 1
	}
	return 0
}

// describe fills in what a candidate brings, says and moves.
func (b *Book) describe(c *Candidate, a Adaptation, ref string) {
	c.Grade = larder.Whole
	for _, comp := range a.Components {
		for _, l := range comp.Lines {
			if l.From == nil || *l.From != ref || l.Change == Dropped {
				continue
			}
			c.Lines = append(c.Lines, l.Line)
			f := b.larder.Food(l.FoodID())
			if f == nil {
				continue
			}
			if f.Grade.Steps() > c.Grade.Steps() && l.Mass() > 5 {
				c.Grade = f.Grade
			}
			for _, x := range f.Allergen {
				if !slices.Contains(c.Holds, x) {
					c.Holds = append(c.Holds, x)
				}
			}
		}
	}
	slices.Sort(c.Holds)
	for _, p := range c.Swap.Prepare {
		for _, k := range p.Kit {
			if !slices.Contains(c.Kit, k) {
				c.Kit = append(c.Kit, k)
			}
		}
	}
	var off []string
	for _, t := range a.Traits {
		c.Moves = append(c.Moves, Move{t.Trait, t.Component, t.Steps, t.Verdict, t.Pinned})
		if t.Verdict == character.Short || t.Verdict == character.Over {
			off = append(off, texts.Say("swap.traitBySteps", t.Trait, t.Steps))
		}
	}
	c.Reason = texts.Say("swap.everythingKeptOrNear")
	if off != nil {
		c.Reason = strings.Join(off, ", ")
	}
}
