package server

import (
	"fmt"

	"github.com/gofiber/fiber/v3"

	"yembra/core/balance"
	"yembra/core/swap"
	"yembra/store"
)

// CandidatesView lists what could stand in for one line.
type CandidatesView struct {
	Line       string           `json:"line"`
	Candidates []swap.Candidate `json:"candidates"`
	Rejected   []swap.Rejected  `json:"rejected"`
}

func (k *Kitchen) candidates(c fiber.Ctx) error {
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	line := c.Query("line")
	if place, ok := d.Document.Original.Names().Place(line); ok {
		line = place
	}
	ranked, rejected, err := k.Core().Book.Rank(d.Document.Original, d.Document.Placed(), line)
	if err != nil {
		return err
	}
	return c.JSON(CandidatesView{c.Query("line"), ranked, rejected})
}

// Proposal is one of the four answers to choose from.
type Proposal struct {
	Aim        swap.Aim        `json:"aim"`
	Decisions  swap.Decisions  `json:"decisions"`
	Adaptation swap.Adaptation `json:"adaptation"`
}

func (k *Kitchen) proposals(c fiber.Ctx) error {
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	out, err := once(k.flights, "proposals", fmt.Sprintf("%p %s %d", k.Core(), d.ID, d.Edit), func() ([]Proposal, error) { return k.propose(d.Document) })
	if err != nil {
		return err
	}
	return c.JSON(out)
}

// propose works out the answers of all aims.
func (k *Kitchen) propose(doc store.Document) ([]Proposal, error) {
	out := []Proposal{}
	for _, aim := range swap.Aims {
		dec, err := k.Core().Book.Propose(doc.Original, doc.Placed(), aim)
		if err != nil {
			return nil, err
		}
		a, err := k.Core().Book.Apply(doc.Original, dec, false)
		if err != nil {
			return nil, err
		}
		out = append(out, Proposal{aim, dec.Kept(&doc.Original), a})
	}
	return out, nil
}

// PreviewRequest asks what a dish would be under other decisions, without
// keeping them.
type PreviewRequest struct {
	Decisions swap.Decisions `json:"decisions"`
}

func (k *Kitchen) preview(c fiber.Ctx) error {
	var r PreviewRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	if err := checkDecisions(k.Core().Larder, r.Decisions); err != nil {
		return err
	}
	a, err := k.Core().Book.Apply(d.Document.Original, d.Document.Decided(r.Decisions), true)
	if err != nil {
		return err
	}
	return c.JSON(a)
}

func (k *Kitchen) tray(c fiber.Ctx) error {
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	items, err := k.Core().Book.Tray(d.Document.Original, d.Document.Placed())
	if err != nil {
		return err
	}
	return c.JSON(items)
}

// BalanceView is the balance of a dish with the check of its house rules.
type BalanceView struct {
	balance.Sheet
	Rules []RuleCheck `json:"rules"`
	// Preferences are the soft rules, with figures.
	Preferences []swap.Preference `json:"preferences"`
}

// RuleCheck says whether a hard rule holds, and what breaks it.
type RuleCheck struct {
	Rule   string   `json:"rule"`
	Broken []string `json:"broken"`
}

func (k *Kitchen) balance(c fiber.Ctx) error {
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	core := k.Core()
	original, adapted, a, err := core.Book.Dishes(d.Document.Original, d.Document.Placed())
	if err != nil {
		return err
	}
	rules, err := swap.NewRules(core.Larder, d.Document.Decisions.HouseRules)
	if err != nil {
		return err
	}
	v := BalanceView{Sheet: balance.Of(core.Larder, original, adapted), Rules: []RuleCheck{}, Preferences: rules.Preferences(original, adapted)}
	for _, name := range rules.Names() {
		check := RuleCheck{Rule: name, Broken: []string{}}
		for _, comp := range a.Components {
			for _, l := range comp.Lines {
				if f := core.Larder.Food(l.FoodID()); f != nil && l.Change != swap.Dropped && rules.Breaks(f) == name {
					check.Broken = append(check.Broken, l.Name)
				}
			}
		}
		for _, open := range a.Unresolved {
			if name == swap.NoAnimal {
				check.Broken = append(check.Broken, open.Line+" is open")
			}
		}
		v.Rules = append(v.Rules, check)
	}
	return c.JSON(v)
}
