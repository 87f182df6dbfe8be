package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// roles gathers what a clause's nouns turned out to be while it is bound.
type roles struct {
	action   *recipe.Action
	inputs   []*thing
	portions []portion
	vessel   string
	another  bool     // the vessel was not there before: "in a large pan"
	fresh    bool     // something goes in that was not worked on before
	names    []string // what the text says it is for
	bare     bool     // a vessel stands among the objects
	several  bool     // the first thing it is done to is named as more than one
	placed   bool     // a place of what is there is said: "in the middle"
	lapped   bool     // it is folded over what is there: "over the top"
	liquor   bool     // what goes in is called by the word for what stays behind
	lifted   bool     // it is lifted out of one thing and goes into another
	loose    bool     // what it goes into is called no more than "it" or "the mixture"
	rests    []*thing // of these only what a noun means by "any leftover flour"
	pot      bool     // it is done to a vessel with all that is in it: "take the casserole from the oven"
}

// bind turns a clause into an action.
func (b *bindings) bind(c *clause, id string) (*recipe.Action, string) {
	b.clause = c
	if c.repeats && b.last == nil {
		return nil, ""
	}
	if c.repeats {
		b.again(c)
	}
	b.goesOnAgain(c)
	a := &recipe.Action{ID: id, Verb: c.said, Technique: c.sense.Technique, To: []recipe.Ref{}, With: []recipe.Ref{}, Into: []recipe.Ref{}, Minutes: c.minutes, Celsius: c.temp, Heat: c.ring, Makes: c.makes, Parallel: c.parallel, Manner: c.manner}
	if c.cue[1] > 0 {
		a.Cue = b.text.slice(c.cue[0], c.cue[1])
	}
	t := b.techniqueOf(c, a)
	r := &roles{action: a, placed: c.placed}
	b.working, b.tech, b.shared = nil, t, map[*thing]bool{}
	c.dropKeys(b.text, t)
	b.forWhat(c, a)
	b.dealing, a.Sided, b.besideOthers = b.deals(c), b.sided(c), slices.ContainsFunc(c.links, func(l link) bool { return l.role == "with" && b.vessel(l.nouns[0]) == "" })
	if b.announcesPart(c) || b.announcesProduct(c) {
		return nil, ""
	}
	b.objects(c, t, r)
	b.besideOthers = false
	if b.r.lang.Announcing[c.lemma] && onlyNamed(a.To) && len(c.links) == 0 && c.minutes == nil && b.r.lang.Products[c.objects[len(c.objects)-1].head()] {
		b.phrases, b.phrase = nil, nil
		return nil, "" // "First make the base."
	}
	b.seasons(t, a)
	b.verbMatter(c, t, r)
	b.verbVessel(c, t, a)
	b.working, b.hand = a, b.comp
	if len(r.inputs) == 1 && len(r.portions) == 0 {
		b.hand = b.partOfThing(r.inputs[0]) // "boil it with the spices", of the part that it is
	}
	for _, l := range c.links {
		b.opensPhrase(l.role, l.from)
		b.tied(c, t, l, r)
	}
	b.hand, b.phrase = b.comp, nil
	t = b.movesInto(b.spreads(b.rubs(t, r), r), r)
	if (t.Family == "cut" && t.Joins == "" || t.Family == "separate" && b.ontoPlace(c)) && len(a.To) == 0 && len(a.Into) > 0 && len(c.objects) == 0 {
		a.To, a.Into = a.Into, []recipe.Ref{} // "make slits all over the lamb", "press down the middle of the pastry"
	}
	a.To = append(a.To, b.several...) // "lift out the fish", of two kinds
	b.several = nil
	b.said(c, a)
	b.meantTo, b.byPronoun = len(a.To) == 0, c.onlyPronouns() && len(c.objects) > 0
	b.takesWhatLies(t, r)
	question := b.meant(c, t, r)
	b.leftOpen[a.ID] = b.leavesOpen(c, t, r)
	b.medium(t, r)
	b.becomes(t, r)
	b.meantFor(t, r)
	b.byWeight(c, r)
	b.outcome(c, t, r)
	b.keepsName(a)
	b.remember(c, t, a)
	return a, question
}

// forWhat notes what links say an action is for: each of several, or another part of the dish.
func (b *bindings) forWhat(c *clause, a *recipe.Action) {
	for _, l := range c.links {
		a.Each = a.Each || (l.role == "for" || l.role == "into") && l.nouns[0].all && !l.nouns[0].plural && !l.nouns[0].pronoun
		if at := b.componentOf(l.nouns[0]); l.role == "for" && at >= 0 {
			b.comp = at // "put the cream for the sauce in a pan"
		}
	}
}

// remember keeps an action for what comes after it.
func (b *bindings) remember(c *clause, t *larder.Technique, a *recipe.Action) {
	for _, refs := range [][]recipe.Ref{a.To, a.With, a.Into} {
		for i := range refs {
			if refs[i].Of == manyOf {
				refs[i].Of = ""
			}
		}
	}
	b.last, b.particles = a, c.particles
	if b.saidIn(c) {
		b.particles = append(slices.Clone(c.particles), c.links[0].word)
	}
	if t.Joins == "yes" {
		b.lastAdded = a
	}
	if t.Family == "coat" && len(a.With) == 1 && a.With[0].Line != nil {
		b.coated[t.Name] = *a.With[0].Line
	}
}

// partOfThing is the component that lists all that a thing holds, else the one at hand.
func (b *bindings) partOfThing(t *thing) int {
	comp := -1
	for p := range t.holds {
		if c := b.lines[p.line].comp; comp >= 0 && comp != c {
			return b.comp
		}
		comp = b.lines[p.line].comp
	}
	if comp < 0 {
		return b.comp
	}
	return comp
}

// refs resolves nouns and takes their shares; the role keeps the outcome.
func (b *bindings) refs(nouns []noun, r *roles, into *[]recipe.Ref) {
	for i, n := range nouns {
		n = b.sharing(nouns[0], n, i)
		if n.owner != nil && b.r.lang.Parts[n.head()] {
			r.names = append(r.names, n.head()) // the zest of a lemon goes by that name
		}
		before, found := len(*into), b.resolve(n)
		if b.fatOfBody(n, *into) {
			found = []referent{{named: b.words(n)}}
		}
		b.mention(n, found)
		for _, x := range found {
			if made := b.looseFor(n, x, r, into); made != nil {
				b.refMade(made, 1, r, into)
				continue
			}
			switch other := b.elseInto(n, x, r); {
			case other != nil:
				b.refMade(other, 1, r, into)
			case x.made != nil:
				r.liquor, r.pot = b.r.lang.Liquors[n.head()] && n.owner == nil, r.pot || x.vessel != ""
				b.namesAfter(n, r, into == &r.action.To)
				if x.portion == nil && !n.pronoun && n.share == 0 {
					widened(*into, x.made) // "the sausage and the meat", that lie together
				}
				share := b.shareSaid(n, x)
				if x.some {
					share = someOfIt
				}
				whole := b.refMade(x.made, share, r, into)
				if n.rest && n.share == 0 {
					delete(b.shared, x.made) // nothing stays
				}
				if x.portion != nil {
					b.onlyRest(n, x.made, *x.portion, r)
				}
				if x.portion != nil && !whole { // but "the cooking liquor and the bay leaf" in it
					b.of(*x.portion, share, *into)
					if share == 1 || b.takesAway() {
						r.portions = append(r.portions, *x.portion) // but of two thirds of the fish, the rest is where it was
					}
				}
			case x.portion != nil:
				b.refPortion(n, *x.portion, r, into)
			case x.vessel != "":
				r.vessel, r.bare = x.vessel, true
			case x.named != "":
				named := x.named
				*into = append(*into, recipe.Ref{Named: &named, Share: 1})
			}
		}
		b.spoken(n, found, (*into)[before:])
		b.spreadOn(n, r)
	}
}

// mention notes which lines a noun speaks of.
func (b *bindings) mention(n noun, found []referent) {
	named := b.mentioned
	if n.pronoun && len(named) > 0 && slices.ContainsFunc(found, func(x referent) bool { return x.made != nil }) {
		named = b.meantLines // "fry the bacon and tip everything into the beans"
	}
	for _, x := range found {
		switch {
		case x.portion != nil:
			named[x.portion.line] = true
		case x.made != nil && x.vessel == "":
			into := b.mentioned
			if n.pronoun {
				into = b.meantLines
			}
			for p := range x.made.holds {
				into[p.line] = true
			}
		}
	}
}

// refMade refers to what was made, and tells whether it was referred to as a whole before.
func (b *bindings) refMade(t *thing, share float64, r *roles, into *[]recipe.Ref) (whole bool) {
	if k := slices.IndexFunc(*into, func(o recipe.Ref) bool { return o.Made != nil && *o.Made == t.id }); k >= 0 {
		return (*into)[k].Of == ""
	}
	id := t.id
	*into = append(*into, recipe.Ref{Made: &id, Share: round(share)})
	r.inputs = append(r.inputs, t)
	if share < 1 {
		b.shared[t] = true
	}
	return false
}

func (b *bindings) refPortion(n noun, p portion, r *roles, into *[]recipe.Ref) {
	share := b.shareOf(n, p)
	left := b.leftOf(p)
	if kept := b.reserved(p); kept != nil && n.rest && !slices.Contains(r.inputs, kept) && (left == 0 || len(kept.holds) == 1) {
		if b.onlyRest(n, kept, p, r); slices.Contains(r.rests, kept) {
			r.portions = append(r.portions, p)
		}
		b.refMade(kept, 1, r, into)
		b.of(p, 1, *into)
		return
	}
	if held := b.held(p); held != nil && (left == 0 || n.rest && left == 1 || left < 1 && b.tech.Name == removeTechnique || b.lines[p.line].line.Amount == nil && b.fat(p) && b.holdsFat(held) || b.justMeasured(n, p, held, left) || n.rest && b.byOwnWork(n, held)) {
		share := 1.0
		if n.rest || n.share > 0 && n.share < 1 || n.amount[1] > 0 && b.tech.Name == reserveTechnique {
			share = b.shareMade(n, held) // "keep 3 tbsp of the milk"
		} else if n.amount[1] > 0 && left == 0 && (held.strained || !held.heated && larder.Wets(b.lines[p.line].food) || b.holdsFat(held) && !held.fried && b.byMeasure(n)) {
			share = b.measured(n, p, 1) // "150 ml of the milk", that was strained; "3 tbsp of the buttermilk", that something lies in
		} else if left == 0 && b.ladled(n, held) {
			share = b.shareMade(n, held) // "two ladles of the beans"
		}
		egg := share == 1 && b.partsEgg(p, held)
		if egg {
			share = b.r.lang.EggParts[p.part]
		}
		b.onlyRest(n, held, p, r)
		if b.refMade(held, share, r, into) {
			return // "the cooking liquor and the bay leaf" that is in it
		}
		if n.rest && n.share == 0 {
			delete(b.shared, held)
		}
		b.of(p, share, *into)
		if egg && len(*into) > 0 {
			b.egg(p, held, &(*into)[len(*into)-1])
		}
		if share == 1 || egg {
			r.portions = append(r.portions, p)
		}
		return
	}
	if left == 0 {
		share = max(share, 1)
	}
	ref := b.lines[p.line].ref
	if slices.ContainsFunc(*into, func(o recipe.Ref) bool { return o.Line != nil && *o.Line == ref }) {
		return
	}
	*into = append(*into, recipe.Ref{Line: &ref, Share: round(share), Part: p.part})
	b.take(p, share)
	b.noteShare(n, p, r.action.ID)
	r.portions = append(r.portions, p)
	r.fresh = true
}

func round(share float64) float64 { return float64(int(share*1000+0.5)) / 1000 }
