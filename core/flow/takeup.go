package flow

import (
	"cmp"
	"maps"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// role is what an action does with a thing that its words leave open.
type role int

const (
	// goesInto is what it goes into besides what the words say: "poke holes", "pour over".
	goesInto role = iota
	// goesWith is what it is done with: "fill the cases".
	goesWith
	// addsTo is what it goes into, where the words say no more than a pronoun or a product.
	addsTo
)

// opening is what an action leaves open: near, for what was made last; far, for what was made and set down before.
type opening struct {
	role role
	far  bool
}

// claim is a thing that an action takes up, by the id of the action that made it.
type claim struct {
	opening
	made string
}

// claims say of actions, by their ids, what they take up that their words leave open.
type claims map[string][]claim

// with is the claims with one more.
func (t claims) with(action string, one claim) claims {
	out := maps.Clone(t)
	if out == nil {
		out = claims{}
	}
	out[action] = append(slices.Clone(t[action]), one)
	return out
}

// has tells whether an action takes up something in a role.
func (t claims) has(action string, as role) bool {
	return slices.ContainsFunc(t[action], func(c claim) bool { return c.role == as })
}

// takeUp reads a method again where it leaves something lying: what is made goes on into something, and where an order leaves open
// what it pours over, spreads on or cuts a hole in, that is what would be left lying otherwise. Of such readings one is kept that
// leaves less lying and nothing else.
func (r *Reader) takeUp(d *recipe.Dish, opens map[string][]opening) {
	size := len(opens) // every action is among them, whether it leaves anything open or not
	for _, c := range d.Components {
		size += len(c.Lines)
	}
	if size > mostSize {
		return
	}
	var kept claims
	g := Trace(r.larder, d)
	left := g.lying(d)
	tried := false
	for tries, better := 0, true; better && len(left.by) > 0; {
		better = false
		for _, try := range g.openFor(opens, left) {
			if kept.has(try.action, try.role) {
				continue
			}
			if tries += size; tries > mostTries {
				break
			}
			tried = true
			more := kept.with(try.action, try.claim)
			open := r.read(d, more)
			was := Trace(r.larder, d)
			if now := was.lying(d); now.lessThan(left) {
				kept, g, left, opens, better = more, was, now, open, true
				break
			}
		}
	}
	if tried {
		r.read(d, kept)
	}
}

// mostSize is how many actions and lines a recipe has at most whose method is read again: one has some dozens.
const mostSize = 200

// mostTries is how many actions and lines are read in other readings of a method: thirty readings of one that is usual.
const mostTries = 1_500

// leftover is what nothing takes up, by the id of the action that made it, and how much that is in grams.
type leftover struct {
	by   map[string]float64
	mass float64
}

// lessThan tells whether less lies about, and nothing that did not before.
func (l leftover) lessThan(was leftover) bool {
	for id := range l.by {
		if _, lay := was.by[id]; !lay {
			return false
		}
	}
	return len(l.by) < len(was.by) && l.mass < was.mass
}

// lying is what a method makes and takes up nowhere, though it goes on.
func (g *Graph) lying(d *recipe.Dish) leftover {
	out := leftover{by: map[string]float64{}}
	for i := range g.Nodes[:max(len(g.Nodes)-1, 0)] {
		n := &g.Nodes[i]
		if !n.makes() || len(n.Users) > 0 || n.Technique.Closes == larder.ClosesTable || n.Is("discard") {
			continue
		}
		if slices.ContainsFunc(g.Nodes[i+1:], func(x Node) bool { return slices.ContainsFunc(n.Holds, x.Reaches) }) {
			continue
		}
		mass := 0.0
		for _, line := range n.Holds {
			at := g.Lines[line]
			mass += d.Components[at.Component].Lines[at.Line].Mass()
		}
		if out.mass += mass; mass >= leastLying {
			out.by[n.Action.ID] = mass
		}
	}
	return out
}

// makes tells whether something comes of an action.
func (n *Node) makes() bool {
	return len(n.Holds) > 0 && n.Technique.Takes != "none" && n.Technique.Takes != "look"
}

// leastLying is how much lies about that is looked at, in grams: less may be a spoonful of flour on a board.
const leastLying = 50.0

// attempt is a thing that an action might take up.
type attempt struct {
	action string
	claim
}

// openFor are the things that lie about with what might take them up: what was made last first, and what words leave open before
// what they say loosely.
func (g *Graph) openFor(opens map[string][]opening, left leftover) []attempt {
	var out []attempt
	for i := len(g.Nodes) - 1; i >= 0; i-- {
		made := g.Nodes[i].Action.ID
		if left.by[made] == 0 {
			continue
		}
		for j := i + 1; j < len(g.Nodes); j++ {
			for _, o := range opens[g.Nodes[j].Action.ID] {
				if o.far || g.inHandAt(i, j) && !g.Nodes[i].Is(reserveTechnique) {
					out = append(out, attempt{g.Nodes[j].Action.ID, claim{o, made}})
				}
			}
		}
	}
	slices.SortStableFunc(out, func(a, b attempt) int { return cmp.Compare(a.role, b.role) })
	return out
}

// inHandAt tells whether what an action made is what was made last when another begins.
func (g *Graph) inHandAt(made, at int) bool {
	return !slices.ContainsFunc(g.Nodes[made+1:at], func(n Node) bool { return n.makes() })
}

// leavesOpen tells what an action does not say, or says by a word that names nothing that is there.
func (b *bindings) leavesOpen(c *clause, t *larder.Technique, r *roles) []opening {
	a, lang := r.action, b.r.lang
	nameless := func(x recipe.Ref) bool {
		if x.Named == nil {
			return false
		}
		words := strings.Fields(*x.Named)
		return len(words) > 0 && !lang.Vessels[last(words)] && !lang.Fats[last(words)] && !b.text.foods(last(words))
	}
	var out []opening
	if t.Takes != "" || t.Family == "separate" {
		return out
	}
	if t.Closes == larder.ClosesTable {
		if slices.ContainsFunc(a.To, nameless) {
			out = append(out, opening{goesInto, false})
		}
		return out
	}
	if r.loose {
		out = append(out, opening{addsTo, true})
	}
	switch {
	case t.Name == stuffTechnique && len(a.With)+len(a.Into) == 0:
		out = append(out, opening{goesWith, true})
	case t.Joins != "" && slices.ContainsFunc(a.Into, nameless):
		out = append(out, opening{goesInto, true})
	case len(a.With)+len(a.Into) == 0 && b.joins(c, t, r):
		far := len(r.inputs) > 0 || slices.ContainsFunc(c.particles, func(p string) bool { return lang.Prepositions[p] != "in" })
		out = append(out, opening{goesInto, far})
	case len(a.With)+len(a.Into) == 0 && t.Name == placeTechnique && a.Vessel == "":
		out = append(out, opening{goesInto, false})
	}
	switch {
	case t.Heat == "" && slices.ContainsFunc(c.objects, func(n noun) bool { return len(n.words) == 1 && lang.Whole[n.words[0]] }):
		out = append(out, opening{goesInto, true})
	case slices.ContainsFunc(a.To, nameless), (t.Joins == "yes" || t.Name == placeTechnique) && slices.ContainsFunc(c.links, b.pointsAtVessel):
		out = append(out, opening{goesInto, false})
	}
	return out
}

// pointsAtVessel tells whether a link leads to a vessel that was there before: "into the dish".
func (b *bindings) pointsAtVessel(l link) bool {
	return slices.ContainsFunc(l.nouns, func(n noun) bool { return n.pointed && b.vessel(n) != "" })
}

// stuffTechnique fills what it is done to.
const stuffTechnique = "stuff"

// lies is what lies about that an action takes up in a role; nil for nothing. What was taken out or put by is none of what is in hand.
func (b *bindings) lies(a *recipe.Action, as role) *thing {
	for _, one := range b.claims[a.ID] {
		made := b.byID(one.made)
		if one.role != as || made == nil || !b.open(made) || made.putBy && slices.Index(b.things, made) < b.cleaned || !one.far && (made.taken || made.putBy) {
			continue
		}
		return made
	}
	return nil
}

// takesWhatLies lets an action take up what another reading left lying.
func (b *bindings) takesWhatLies(t *larder.Technique, r *roles) {
	a := r.action
	for _, as := range []role{goesInto, goesWith} {
		refs := &a.Into
		if as == goesWith {
			refs = &a.With
		}
		made := b.lies(a, as)
		if made == nil || slices.Contains(r.inputs, made) {
			continue
		}
		if len(a.To) == 0 && t.Needs == "object" && t.Joins == "" && as == goesInto {
			refs = &a.To // "Roll into an oblong", of the dough and not of the filling that the part lists
		}
		b.refMade(made, 1, r, refs)
	}
}

// looseFor is what lies about, where a noun that says of what something goes into no more than "it" or "the mixture" means something
// else; nil where it does not.
func (b *bindings) looseFor(n noun, x referent, r *roles, refs *[]recipe.Ref) *thing {
	if x.made == nil || x.portion != nil || n.owner != nil || n.rest || n.all || refs != &r.action.Into {
		return nil
	}
	if !n.pronoun && !slices.Contains(r.inputs, x.made) && (!b.r.lang.Products[n.head()] || b.saysOf(n, x.made)) {
		return nil
	}
	r.loose = true
	made := b.lies(r.action, addsTo)
	if made != nil && b.away(made) && (x.made.liquid || b.cameOutOf([]*thing{made}, x.made)) {
		return nil // "add to the broth", out of which it was taken
	}
	return made
}

// saysOf tells whether a product is named by a food that it holds: "the aquafaba sauce".
func (b *bindings) saysOf(n noun, t *thing) bool {
	for p := range t.holds {
		if slices.ContainsFunc(n.words[:max(len(n.words)-1, 0)], func(w string) bool { return slices.Contains(b.lines[p.line].name, w) }) {
			return true
		}
	}
	return false
}
