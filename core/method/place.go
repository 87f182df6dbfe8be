package method

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// overnight is the waiting in minutes from which a preparation is for the
// evening before.
const overnight = 240.0

func lowered(text string) string {
	r, n := utf8.DecodeRuneInString(text)
	return string(unicode.ToLower(r)) + text[n:]
}

// earliest puts what is for the evening before in front.
func earliest(steps []swap.Step) []swap.Step {
	slices.SortStableFunc(steps, func(a, b swap.Step) int {
		early := func(s swap.Step) int {
			if s.Prepares != "" && s.Wait >= overnight {
				return 0
			}
			return 1
		}
		return early(a) - early(b)
	})
	return steps
}

// bring adds the line that a small use wants, the first food that the house rules
// allow, and names it; not ok where the dish does without.
func (c *Carrier) bring(p *plan, i int, u *larder.SmallUse, house swap.HouseRules) (string, bool) {
	rules, err := swap.NewRules(c.book.Larder(), house)
	if err != nil {
		return "", false
	}
	comp := &p.a.Components[i]
	for _, id := range u.Foods {
		f := c.book.Larder().Food(id)
		if f == nil || rules.Breaks(f) != "" {
			continue
		}
		name := lowered(f.Name)
		for _, l := range comp.Lines {
			if l.Change != swap.Dropped && l.FoodID() == f.ID {
				return c.words().The + " " + name, true
			}
		}
		comp.Lines = append(comp.Lines, swap.Small(f, u.Grams, u.Why))
		return c.words().The + " " + name, true
	}
	return "", false
}

// boosters adds one step for each booster of the component at its moment: with the
// first frying, or while what it goes into is still open to it.
func (c *Carrier) boosters(p *plan, parts []part, i int, own bool) []part {
	comp := &p.a.Components[i]
	home := p.mainPot(i)
	for at, l := range comp.Lines {
		if l.Change != swap.Booster {
			continue
		}
		b := c.book.Larder().BoosterNamed(l.FoodID())
		text, moment := fmt.Sprintf("%s %s %s.", larder.Capital(c.words().Add), c.words().The, l.Name), larder.AtEnd
		if b != nil {
			text, moment = b.When, b.Moment
		}
		where, ok := p.moment(parts, moment, home)
		if !ok && b != nil && b.Plain != "" {
			text = b.Plain
			where, _ = p.moment(parts, larder.AtEnd, home)
		}
		step := swap.Step{Step: recipe.Step{Text: text}, From: []int{}, Change: swap.Added, Why: l.Why}
		if own {
			step.Lines = []int{at}
		}
		parts = slices.Insert(parts, where, added(step)...)
	}
	return parts
}

// mainPot is the line of a component in place of which most goes in, of flesh if
// there is any: what is to taste of it belongs into the pot that holds it. It is
// -1 where nothing was replaced.
func (p *plan) mainPot(i int) int {
	best := -1
	for _, s := range p.inOrder() {
		if s.component != i || s.gone {
			continue
		}
		if best < 0 || s.flesh() && !p.stand[best].flesh() || s.flesh() == p.stand[best].flesh() && s.was.Mass() > p.stand[best].was.Mass() {
			best = s.node
		}
	}
	return best
}

// moment is where among the parts of a component something goes in: after the
// first frying in fat, once the liquid is there, before what is made is closed or
// served, at the table. Of several pots it is that which holds the line that is
// home, where there is one. It says no where there is no such moment.
func (p *plan) moment(parts []part, moment string, home int) (int, bool) {
	closing := p.closing(parts)
	fried, wet, aromatic := -1, -1, false
	for k := range parts {
		if k >= closing || parts[k].added != nil {
			continue
		}
		for _, at := range parts[k].nodes {
			n := &p.graph.Nodes[at]
			switch {
			case n.Technique.Family == "dry heat" && n.Technique.Medium == "fat" && !n.Is("deep-fry", "scramble") && (fried < 0 || !aromatic && p.friesAromatics(n)):
				fried, aromatic = k, p.friesAromatics(n)
			case n.Technique.Family == "wet heat" && n.Liquid && p.atHome(n, home):
				wet = k
			}
		}
	}
	switch {
	case moment == larder.WithAromatics:
		return fried + 1, fried >= 0 && !p.takesUp(parts, fried+1)
	case moment == larder.AtTable:
		return p.served(parts), true
	case moment == larder.InLiquid && wet >= 0:
		return wet + 1, true
	}
	return p.stirred(parts, closing, home), true
}

// friesAromatics tells whether a frying is that of what a dish gets its base from: onions,
// garlic, spices.
func (p *plan) friesAromatics(n *flow.Node) bool {
	return slices.ContainsFunc(slices.Concat(n.To, n.With), func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return f != nil && (f.Tagged("allium") || f.Aisle == "spices")
	})
}

// takesUp tells whether a part begins with a word for what was worked on just before:
// "add them to the pot".
func (p *plan) takesUp(parts []part, k int) bool {
	if k >= len(parts) || len(parts[k].nodes) == 0 {
		return false
	}
	phrases := p.graph.Nodes[parts[k].nodes[0]].Action.Words.Phrases
	return len(phrases) > 0 && len(phrases[0].Nouns) > 0 && phrases[0].Nouns[0].Pronoun
}

// atHome tells whether an action is on the pot that holds a line; any where there
// is none.
func (p *plan) atHome(n *flow.Node, home int) bool { return home < 0 || n.Reaches(home) }

// served is the place behind all work and before what is only brought to the table
// and eaten.
func (p *plan) served(parts []part) int {
	at := len(parts)
	for k := len(parts) - 1; k >= 0; k-- {
		if parts[k].added != nil || len(parts[k].nodes) == 0 {
			break
		}
		if slices.ContainsFunc(parts[k].nodes, func(node int) bool { return p.graph.Nodes[node].Technique.Closes != larder.ClosesTable }) {
			break
		}
		at = k
	}
	return at
}

// stirred is the place before the closing of a dish behind the last part in which
// something is cooked or mixed, at home if there is one: a tin that is brushed has
// nothing to stir into.
func (p *plan) stirred(parts []part, closing, home int) int {
	for k := closing - 1; k >= 0; k-- {
		for _, at := range parts[k].nodes {
			n := &p.graph.Nodes[at]
			switch n.Technique.Family {
			case "mix", "wet heat", "gentle heat", "dry heat", "machine", "control":
				if p.atHome(n, home) && !n.Is("repeat", "steam", "deep-fry") && !p.shutBefore(at) {
					return k + 1
				}
			}
		}
	}
	if home >= 0 {
		return p.stirred(parts, closing, -1)
	}
	return closing
}

// shutBefore tells whether what an action works on was shaped, filled or coated before: its
// pieces take nothing in any more.
func (p *plan) shutBefore(at int) bool {
	n := &p.graph.Nodes[at]
	if n.Technique.Joins == "yes" || n.Technique.Family == "wet heat" {
		return false
	}
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		t := p.graph.Nodes[in].Technique
		return t.Closes == larder.ClosesAlways && t.Family != "coat" || p.l.Language().Shapes[p.graph.Nodes[in].Action.Makes] && t.Family == "dough" || p.shutBefore(in)
	})
}

// closing is the first part after which nothing can be added any more: where what
// is made is shaped, filled or served, or finished by heat with nothing cooked or
// mixed behind it.
func (p *plan) closing(parts []part) int {
	closing := len(parts)
	for k := len(parts) - 1; k >= 0; k-- {
		for _, at := range parts[k].nodes {
			t := p.graph.Nodes[at].Technique
			switch {
			case t.Shuts(), t.Closes == larder.ClosesLast && !p.cooksAfter(parts, k) && (closing == len(parts) || t.Family == "oven" && p.holdsMost(at) && !p.mixedAfter(at)):
				closing = k
			}
		}
	}
	return closing
}

// mixedAfter tells whether what an action made is mixed or ground later.
func (p *plan) mixedAfter(at int) bool {
	for _, k := range p.graph.Nodes[at].Users {
		if f := p.graph.Nodes[k].Technique.Family; f == "mix" || f == "machine" || f == "dough" || p.mixedAfter(k) {
			return true
		}
	}
	return false
}

// holdsMost tells whether what an action makes holds most of its part of the dish.
func (p *plan) holdsMost(at int) bool {
	n := &p.graph.Nodes[at]
	return 2*len(n.Holds) >= len(p.dish.Components[n.At.Component].Lines)
}

// cooksAfter tells whether something is cooked in a pot or pan behind a part.
func (p *plan) cooksAfter(parts []part, k int) bool {
	for _, x := range parts[k+1:] {
		for _, at := range x.nodes {
			if t := p.graph.Nodes[at].Technique; t.Family == "wet heat" || t.Family == "dry heat" && !p.graph.Nodes[at].Is("deep-fry") {
				return true
			}
		}
	}
	return false
}

// heading is the name of a component without the animal in it: "Celeriac and
// walnut mince sauce" for "Meat sauce".
func (c *Carrier) heading(p *plan, i int) string {
	name := p.dish.Components[i].Name
	if name == "" {
		return name
	}
	if len(c.reader.Animals(name, nil)) == 0 {
		return name
	}
	name = c.renamed(name)
	animals := c.reader.Animals(name, nil)
	if len(animals) == 0 {
		return name
	}
	var stands, others []*standIn
	for _, s := range p.inOrder() {
		switch {
		case s.gone || s.was.Animal != animals[0].Animal:
		case s.component == i:
			stands = append(stands, s)
		default:
			others = append(others, s)
		}
	}
	if len(stands) == 0 {
		stands = others[:min(len(others), 1)]
	}
	slices.SortStableFunc(stands, func(a, b *standIn) int { return cmp.Compare(b.was.Mass(), a.was.Mass()) })
	words := strings.Fields(name)
	gone := larder.Words(animals[0].Name)
	if len(words) == 1 && len(stands) > 1 && stands[0].flesh() {
		return c.words().Pieces
	}
	var out []string
	said := false
	for _, w := range words {
		norm := larder.Words(w)
		if len(norm) != 1 || !slices.Contains(gone, norm[0]) {
			out = append(out, w)
			continue
		}
		if len(stands) > 0 && !said && stands[0].was.Animal == animals[0].Animal {
			out, said = append(out, strings.Fields(stands[0].name)...), true
		}
	}
	text := larder.Capital(strings.Join(slices.CompactFunc(out, strings.EqualFold), " "))
	if text == "" || len(c.reader.Animals(text, nil)) > 0 {
		return c.words().Pieces
	}
	return text
}
