package swap

import (
	"fmt"
	"maps"
	"slices"
	"sort"
	"strings"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Candidate is one swap for one line, tried in the whole dish.
type Candidate struct {
	Swap *larder.Swap `json:"swap"`
	// Lines are what it would bring.
	Lines []recipe.Line `json:"lines"`
	// Moves are the traits it moves against leaving the line open.
	Moves  []Move          `json:"moves"`
	Tally  character.Tally `json:"tally"`
	Hands  float64         `json:"hands"`
	Wait   float64         `json:"wait"`
	Kit    []string        `json:"kit"`
	Grade  larder.Grade    `json:"grade"`
	Holds  []string        `json:"allergens"`
	Reason string          `json:"reason"`
	score  float64
}

// Move is how far a trait stands from the original with the candidate in.
type Move struct {
	Trait     string            `json:"trait"`
	Component string            `json:"component"`
	Steps     float64           `json:"steps"`
	Verdict   character.Verdict `json:"verdict"`
	Pinned    bool              `json:"pinned"`
}

// Rank tries every allowed swap for one line in the whole dish and orders them:
// fewest pinned traits short, then unpinned ones, then what the soft rules
// dislike, then time.
func (b *Book) Rank(d recipe.Dish, dec Decisions, ref string) ([]Candidate, []Rejected, error) {
	rules, err := NewRules(dec.HouseRules)
	if err != nil {
		return nil, nil, err
	}
	x := b.prepare(d, rules)
	at, ok := x.at[ref]
	if !ok {
		return nil, nil, FieldError{"line", fmt.Sprintf("%q is no line that needs a swap", ref)}
	}
	e := newEvaluator(x, dec)
	out := []Candidate{}
	for _, s := range x.slots[at].allowed {
		try := dec
		try.Swaps = maps.Clone(dec.Swaps)
		if try.Swaps == nil {
			try.Swaps = map[string]string{}
		}
		try.Swaps[ref] = s.ID
		a := x.apply(try, false)
		c := Candidate{Swap: s, Tally: a.Tally, Kit: []string{}, Holds: []string{}, Lines: []recipe.Line{}, Moves: []Move{}, score: e.score(try.Swaps, a)}
		c.Hands, c.Wait = s.Minutes()
		b.describe(&c, a, ref)
		out = append(out, c)
	}
	sort.SliceStable(out, func(i, j int) bool { return out[i].score < out[j].score })
	rejected := x.slots[at].rejected
	if rejected == nil {
		rejected = []Rejected{}
	}
	return out, rejected, nil
}

// describe fills in what a candidate brings, says and moves.
func (b *Book) describe(c *Candidate, a Adaptation, ref string) {
	c.Grade = larder.Whole
	for _, comp := range a.Components {
		for _, l := range comp.Lines {
			if l.From == nil || *l.From != ref {
				continue
			}
			c.Lines = append(c.Lines, l.Line)
			f := b.larder.Food(l.FoodID())
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
			off = append(off, fmt.Sprintf("%s %+.1f steps", t.Trait, t.Steps))
		}
	}
	c.Reason = "everything kept or near"
	if off != nil {
		c.Reason = strings.Join(off, ", ")
	}
}
