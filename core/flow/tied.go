package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// tied binds what a preposition ties to the verb, by the role it plays and by
// what the technique makes of it.
func (b *bindings) tied(c *clause, t *larder.Technique, l link, r *roles) {
	n := l.nouns[0]
	if n.owner != nil && len(l.nouns) == 1 && (l.role == "in" || l.role == "into" && !b.r.lang.Sides[n.head()]) && b.r.lang.Places[n.head()] && b.vessel(*n.owner) != "" {
		n = *n.owner // "in the bottom of a dish"
		n.from = max(n.from, n.upto-len(n.words))
		l.nouns = []noun{n}
	}
	vessel := b.vessel(n)
	if n.pronoun && !n.rest && n.share == 0 && b.onlyVessel != "" {
		vessel = b.onlyVessel // "grease a dish, lay the fish in it"
	}
	if n.pronoun && !n.rest && len(c.links) > 1 && !l.first && b.onlyVessels(c) || b.runsAlong(c, t, l, r) || b.onEachVessel(c, l) || b.liesInIt(c, l, r) {
		return // "heat the oven with a stone in it"
	}
	if vessel != "" && n.pointed && b.vessels[vessel] == nil && b.r.lang.Particles[l.word] && l.role == "into" && t.Joins == "yes" && b.r.lang.Serves[vessel] {
		if main := b.otherBase(r); main != nil {
			b.opened(r, main)
			return // "pour it over the dish"
		}
	}
	if main := b.underTop(c, t, l, r); main != nil {
		b.opened(r, main)
		return
	}
	role := l.role
	if b.r.lang.Places[n.head()] && !(vessel != "" && len(n.words) > 1) && role != "with" && (!l.first || role == "into" && n.owner == nil && (l.word != "over" || t.Name == foldTechnique)) && len(b.direct(n)) == 0 {
		r.placed = l.role == "in" || l.role == "into" && (t.Family == "assemble" || t.Name == pressTechnique) || b.r.lang.Particles[l.word]
		r.lapped = r.lapped || t.Name == foldTechnique && b.r.lang.Lapping[l.word]
		if (role == "into" || role == "in") && n.owner != nil && !n.owner.pronoun && b.vessel(*n.owner) == "" && (b.tech.Family == "cut" || b.tech.Family == "coat" || b.tech.Name == placeTechnique || b.tech.Joins != "") {
			b.refs([]noun{ofEach(*n.owner)}, r, &r.action.Into) // "cut a pocket into the side of each breast", "in the middle of each wrapper"
		}
		return // "in the middle", "on top"
	}
	role = b.roleOfLink(c, t, l, role, vessel)
	if role == "from" && vessel == "" && (t.Family == "separate" && t.Takes == "" || b.takesOffBody(t, r.action.To) || b.partOfWhole(t, n)) && onlyNamed(r.action.To) && len(b.resolve(n)) > 0 && b.resolve(n)[0].named == "" {
		role, r.action.To = "to", []recipe.Ref{} // "squeeze the water out of the leaves", "peel the skin off the mackerel"
	}
	if role == "from" && vessel == "" && b.clings(c, t, l) {
		b.wipedOff(l, r)
		return
	}
	b.tiedBy(role, c, t, l, r, vessel)
}

// tiedBy binds what a link names by its role.
func (b *bindings) tiedBy(role string, c *clause, t *larder.Technique, l link, r *roles, vessel string) {
	n := l.nouns[0]
	switch role {
	case "to":
		r.several = r.several || len(r.action.To) == 0 && n.plural
		b.refs(l.nouns, r, &r.action.To)
	case "with":
		b.accompanied(l, t, r, vessel)
	case "in", "within":
		b.inside(l, t, r, vessel)
	case "into":
		if b.onlyHow(l, t, vessel) {
			r.action.Manner = append(r.action.Manner, b.howWith(l))
			return
		}
		b.linkInto(l, t, r, &r.action.Into, vessel, true)
	case "from":
		b.takenFrom(n, r)
		b.offBody(n, t, vessel)
	case "for":
		if b.componentNamed(n.head()) < 0 && vessel == "" && (len(b.direct(n)) == 0 || b.r.lang.Products[n.head()]) {
			r.names = append(r.names, n.head(), strings.Join(n.words, " "))
		}
	}
}

// roleOfLink is the role in which a preposition ties things: what stands behind a particle of the verb, or
// behind a verb without an object, is worked on.
func (b *bindings) roleOfLink(c *clause, t *larder.Technique, l link, role, vessel string) string {
	n := l.nouns[0]
	if role == "" && n.owner != nil && b.r.lang.Places[n.head()] {
		role = "into" // "up the sides of the tin"
	}
	switch {
	case l.first && vessel == "" && b.particle(l, t):
		return "to"
	case role == "" && len(c.objects) == 0, role == "from" && vessel == "" && t.Family == "cut" && len(c.objects) == 0:
		return "to" // "cut six rounds from the pastry"
	case vessel == "" && (role == "from" && (l.first && len(c.objects) == 0 || b.r.lang.Announcing[c.lemma]) || role == "with" && b.r.lang.Announcing[c.lemma] && c.makes != "" && len(c.objects) == 0):
		return "to"
	}
	return role
}

// skimmed takes the liquid that something is skimmed off into hand: "skim the fat from the juices and boil
// them down".
func (b *bindings) skimmed(n noun) {
	found := b.resolve(n)
	b.spoken(n, found, nil)
	for _, x := range found {
		in := x.made
		if in == nil && x.portion != nil {
			in = b.held(*x.portion)
		}
		if in != nil && b.open(in) {
			b.focus, b.base = in, in
		}
	}
}

// accompanied binds what "with" leads to; tools and places are how it is done.
func (b *bindings) accompanied(l link, t *larder.Technique, r *roles, vessel string) {
	n := l.nouns[0]
	switch {
	case vessel != "" && t.Medium == "with", b.otherPieces(n, r):
		named := b.words(n)
		r.action.With = append(r.action.With, recipe.Ref{Named: &named, Share: 1})
	case vessel != "" && b.r.lang.Tools[vessel], n.pronoun && (n.amount[1] > 0 || n.little) && b.r.lang.Tools[b.text.lastOf(n)], slices.ContainsFunc(n.words, func(w string) bool { return b.r.lang.Tools[w] && vessel == "" && len(b.direct(n)) == 0 }), b.r.lang.Places[n.head()], b.r.lang.Places[b.text.lastOf(n)]:
		r.action.Manner = append(r.action.Manner, b.howWith(l))
	default:
		b.linkInto(l, t, r, &r.action.With, vessel, false)
	}
}

// howWith says with what tool, or with which lid on or off, something is done.
func (b *bindings) howWith(l link) string {
	n := l.nouns[0]
	upto := n.upto
	if b.text.is(upto, b.r.lang.Particles) && !b.text.opensThing(upto+1) || b.text.is(upto, b.r.lang.Uncovered) {
		upto++
	}
	if at := b.passes(l); at > l.from {
		return b.text.slice(at, upto) // "in through a fork"
	}
	return l.word + " " + b.text.slice(n.from, upto)
}

// particle tells whether a preposition behind a verb belongs to the verb: "stir
// in the cream", "pour over the stock".
func (b *bindings) particle(l link, t *larder.Technique) bool {
	if !b.r.lang.Particles[l.word] {
		return false
	}
	if l.role == "in" {
		return t.Joins != "" || t.Family == "assemble" && t.Medium != "with"
	}
	if b.pouredOver(l, t) {
		return false
	}
	if b.flowsOver(l.nouns[0]) && t.Joins == "yes" {
		return true
	}
	if l.role != "into" || t.Joins == "" && t.Family != "assemble" && t.Family != "cut" {
		return false
	}
	if t.Closes == larder.ClosesTable && b.focus != nil && b.open(b.focus) {
		return false // "slice the chicken and serve on the rice"
	}
	n := l.nouns[0]
	found := b.resolve(n)
	if len(found) > 0 && found[0].portion != nil && b.forTable(found[0].portion.line) {
		return false
	}
	if b.r.lang.Places[n.head()] && n.owner == nil && len(b.direct(n)) == 0 {
		return false
	}
	if n.little || n.amount[1] > 0 || n.share > 0 && n.share < 1 {
		return true
	}
	return len(found) > 0 && (b.strewnLast(t, found[0]) || found[0].portion != nil && b.leftOf(*found[0].portion) > 0 || found[0].named != "" && t.Joins == "yes" || b.r.lang.Through[l.word] && b.standsBy(found[0]))
}

// flowsOver tells whether a noun means a liquid that is not what is being worked
// on: "ladle over the soup".
func (b *bindings) flowsOver(n noun) bool {
	return slices.ContainsFunc(b.resolve(n), func(x referent) bool {
		in := x.made
		if in == nil && x.portion != nil && b.leftOf(*x.portion) == 0 {
			in = b.held(*x.portion) // "the reserved milk", by its line
		}
		return in != nil && in != b.base && !in.taken && (in.liquid || b.tech.Name == "pour" && in.heated && b.holdsAnyFat(in) || b.tech.Name == "pour" && b.componentNamed(n.head()) >= 0 || b.tech.Name == "pour" && b.r.lang.Products[n.head()] && b.focus != nil && !b.pours(b.focus))
	})
}

// pouredOver tells whether a liquid in hand is poured over something solid: "pour over
// the meat", or a sauce over what was made and stands by itself: "bring to the boil and pour over the balls".
func (b *bindings) pouredOver(l link, t *larder.Technique) bool {
	if t.Name != "pour" || l.role != "into" || b.focus == nil || !b.open(b.focus) {
		return false
	}
	return slices.ContainsFunc(b.resolve(l.nouns[0]), func(x referent) bool {
		if x.made != nil {
			n := l.nouns[0]
			return n.share == 0 && !b.r.lang.Liquors[n.head()] && (b.focus.liquid || b.focus.heated && b.holdsPoured(b.focus)) && x.made != b.focus && !x.made.liquid && !b.pours(x.made)
		}
		return x.portion != nil && b.runs(b.focus) && !larder.Pours(b.lines[x.portion.line].food)
	})
}

// inside binds what "in" leads to: a medium, a coat, a place.
func (b *bindings) inside(l link, t *larder.Technique, r *roles, vessel string) {
	switch {
	case vessel != "" && (t.Joins == "yes" || t.Family == "assemble" && t.Medium != "with"):
		b.linkInto(l, t, r, &r.action.Into, vessel, true)
	case vessel != "":
		b.isIn(l, r)
		b.seen(l.nouns[0], vessel, r)
	case t.Joins == "yes" || t.Name == "place":
		b.refs(l.nouns, r, &r.action.Into)
	case t.Medium == "with":
		b.refs(l.nouns, r, &r.action.With)
	case len(r.action.To) == 0 && (t.Family == "assemble" || t.Family == "cut") && b.made(l.nouns[0]):
		b.refs(l.nouns, r, &r.action.To)
	case t.Medium == "liquid" && !l.nouns[0].little && b.pot(l.nouns[0]):
		b.refs(l.nouns, r, &r.action.Into)
	default:
		b.refs(l.nouns, r, &r.action.With)
	}
}

// made tells whether a noun means something that has been made.
func (b *bindings) made(n noun) bool {
	return slices.ContainsFunc(b.resolve(n), func(x referent) bool { return x.made != nil })
}

// pot tells whether a noun means the pot and all in it: several things boil
// there already.
func (b *bindings) pot(n noun) bool {
	for _, x := range b.resolve(n) {
		if x.made != nil && len(x.made.holds) > 1 {
			return true
		}
	}
	return false
}

// linkInto binds a place or a thing that something goes to.
func (b *bindings) linkInto(l link, t *larder.Technique, r *roles, into *[]recipe.Ref, vessel string, goes bool) {
	before := r.vessel
	known := len(*into)
	if vessel != "" && l.role == "in" && slices.ContainsFunc(*into, func(x recipe.Ref) bool { return x.Made != nil }) {
		b.isIn(l, r) // "to the fat in the pan": where that is
		return
	}
	b.goingInto = goes
	b.refs(l.nouns, r, into)
	b.goingInto = false
	if n := l.nouns[0]; vessel == "" && (n.pronoun || n.owner != nil) && goes && r.bare && len(*into) == known {
		named := r.vessel
		*into = append(*into, recipe.Ref{Named: &named, Share: 1}) // "turn it onto it", of a plate
	}
	if vessel == "" {
		return
	}
	if b.r.lang.Receiving[vessel] && t.Family != "assemble" && t.Joins == "" {
		goes = false
	}
	b.isIn(l, r)
	if goes && r.vessel != before && len(*into) == 0 {
		named := r.action.Vessel
		*into = append(*into, recipe.Ref{Named: &named, Share: 1})
	}
}

// across is the width of a vessel in centimetres: "a 28 cm pan".
func (b *bindings) across(n noun) float64 {
	for i := n.from; i < n.upto; i++ {
		if per := b.r.lang.Lengths[b.text.low(i)]; per > 0 && b.text.number(i-1) {
			return b.text.words[i-1].Value * per
		}
	}
	return 0
}

// seen makes the content of a pointed-at vessel what is worked on: "in the same
// pan".
func (b *bindings) seen(n noun, vessel string, r *roles) {
	r.vessel, r.another = vessel, !n.pointed
	if t := b.vessels[vessel]; t != nil && n.pointed && b.open(t) && b.holdsFat(t) {
		b.base = t
	}
}

// onlyVessels tells whether an order is done to nothing but vessels.
func (b *bindings) onlyVessels(c *clause) bool {
	return len(c.objects) > 0 && !slices.ContainsFunc(c.objects, func(n noun) bool { return !b.r.lang.Vessels[n.head()] })
}
