package flow

import (
	"cmp"
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// washTechnique cleans a pan for what comes next.
const washTechnique = "wash-pan"

// outcome notes what the action made.
func (b *bindings) outcome(c *clause, t *larder.Technique, r *roles) {
	a := r.action
	if t.Name == washTechnique {
		b.base, b.cleaned = nil, len(b.things) // what was in the pan is out of it
	}
	if t.Takes == "none" || t.Takes == "look" && onlyNamed(a.To) {
		b.makesNothing(c, t, a)
		return
	}
	names := b.calledAfter(c, t, r)
	b.onlyVessel = ""
	b.coatsPlace(t, r)
	if a.Technique != reserveTechnique && !b.r.lang.Liquors[a.Makes] && b.works(a, r) {
		if c.going {
			b.onlyVessel = "" // "scraping the tin"
		}
		b.namesInHand(a)
		if t.Family == "separate" && b.onlyVessel == "" && b.focus != nil && b.focus.comp == b.comp {
			b.onInHand(a) // "drain off any liquid"
		}
		return // but "make a stock from the bones", which is there then
	}
	if t.Takes == "part" || b.partedByName(t, r) {
		b.takenOut(a, r)
		b.waterStays(t, r.inputs)
		return
	}
	b.whereItIs(t, r)
	solids := slices.Concat(b.slippedIn(t, r), b.cookedIn(t, r))
	laid := b.laidBy(t, r, c.going)
	liquor := len(r.inputs) == 1 && len(r.portions) == 0 && (r.liquor || b.liftedOut(r.inputs[0]))
	b.coatedFirst(t, r)
	b.restsOf = r.rests
	made := b.make(a.ID, r.inputs, r.portions, names...)
	b.restsOf = nil
	b.cutOf(made, t, r)
	b.fatOfLifted(made, r)
	made.solids, made.technique = solids, a.Technique
	if t.Family == "rest" && len(r.inputs) == 1 && len(r.portions) == 0 {
		made.solids, made.cooked = r.inputs[0].solids, cmp.Or(r.inputs[0].cooked, r.inputs[0].technique)
	}
	made.dropped = b.droppedInto(t, r)
	made.dough = t.Family == "dough" || slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.dough })
	made.heated = t.Heat != "" || slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.heated })
	made.liquor = liquor
	made.taken = (t.Family == "rest" || t.Name == coverTechnique) && len(r.inputs) == 1 && r.inputs[0].taken || b.restsOutside(t, r) || laid != nil && len(r.portions)+len(r.inputs) > 1
	made.strained = t.Family == "separate"
	made.apart, made.fried = b.staysApart(t, r), made.fried || t.Family == "dry heat" || t.Name == "render"
	made.out = made.taken || t.Heat == "" && t.Joins != "yes" && len(r.inputs) == 1 && r.inputs[0].out
	made.liquid = (made.liquid || b.loose(a)) && t.Leaves != "drained"
	b.waterStays(t, r.inputs)
	if a.Celsius != nil && b.holdsFat(made) {
		made.hot = *a.Celsius
	}
	if t.Name == heatTechnique && onlyNamed(a.To) {
		made.names[last(larder.Words(*a.To[0].Named))] = true // "heat half an inch of oil"
	}
	b.inHandNow(made, laid, t, r)
	b.stand(made, t, r)
}

// coatsPlace takes what is in hand for what is coated, where only a place of it is named: "brush one edge with egg".
func (b *bindings) coatsPlace(t *larder.Technique, r *roles) {
	if t.Family == "coat" && len(r.inputs)+len(r.portions) > 0 && b.onlyPlaces(r.action.To) && b.focus != nil && b.open(b.focus) && !slices.Contains(r.inputs, b.focus) {
		r.inputs, r.action.On = append(r.inputs, b.focus), b.focus.id
	}
}

// fatOfLifted leaves in the pan the fat in which something fried that is lifted out and goes into something else: "lift both out
// and into the beans".
func (b *bindings) fatOfLifted(made *thing, r *roles) {
	for _, in := range r.inputs {
		if r.lifted && in.fried {
			b.fatStays(made, []*thing{in})
		}
	}
}

// inHandNow takes what was made into hand; what others are added to stays behind it where it is out of the pan.
func (b *bindings) inHandNow(made, laid *thing, t *larder.Technique, r *roles) {
	b.focus, b.base = made, made
	switch {
	case b.restsOutside(t, r):
		b.base = r.inputs[0]
	case made.taken && len(r.inputs) == 1 && len(r.portions) == 0:
		b.base = nil // what lies on a board, and rests there, is out of the tin
	}
	if t.Name == drainTechnique {
		b.fatStays(made, r.inputs)
	}
	if laid != nil {
		b.fatStays(made, []*thing{laid})
		b.base = nil // what was fried and lies on a plate is out of the pan
		if b.open(laid) {
			b.base = laid
		}
	} else if t.Leaves == "aside" || t.Family == "separate" && b.r.lang.Receiving[b.receiver(r)] {
		b.base = nil // what lies on paper, or is kept warm, is out of the pan
	}
}

// restsOutside tells whether something rests by itself that lay in what is there still: "rest the pork", of a tin with juices.
func (b *bindings) restsOutside(t *larder.Technique, r *roles) bool {
	return t.Name == restTechnique && len(r.inputs) == 1 && len(r.portions) > 0 && b.open(r.inputs[0])
}

// laidBy is what was fried and is laid on a plate, by itself or with what lies there already: "put it with
// the bacon"; or what is moved out of the pan as it is fried, batch by batch.
func (b *bindings) laidBy(t *larder.Technique, r *roles, moving bool) *thing {
	if t.Name != placeTechnique {
		return nil
	}
	others := slices.DeleteFunc(slices.Clone(r.inputs), b.away)
	if len(others) != 1 || !others[0].fried || slices.ContainsFunc(r.portions, func(p portion) bool { return !b.away(b.held(p)) }) {
		return nil
	}
	if len(r.portions) == 0 && len(r.inputs) == 1 && !moving && !b.r.lang.Receiving[b.receiver(r)] {
		return nil
	}
	return others[0]
}

// joinsMade tells whether an action brings things to what was made: "crumble in the beef".
func joinsMade(a *recipe.Action) bool {
	return slices.ContainsFunc(a.Into, func(ref recipe.Ref) bool { return ref.Made != nil })
}

// flavoursOnly tells whether a thing is no more than herbs, spices and the peel of fruit.
func (b *bindings) flavoursOnly(t *thing) bool {
	for p := range t.holds {
		if l := &b.lines[p.line]; !larder.Flavours(l.food) && !steeps(l) {
			return false
		}
	}
	return len(t.holds) > 0
}

// steeps tells whether a line by its form only gives its taste to a liquid: the kelp of a stock.
func steeps(l *bound) bool {
	if l.food == nil {
		return false
	}
	form, known := l.food.Forms[l.line.Form]
	return known && form.Yield == 0
}

// takesAway tells whether the action at hand takes something out of the rest.
func (b *bindings) takesAway() bool { return b.tech.Takes == "part" || b.tech.Takes == "none" }

// whereItIs keeps a thing whole of which only some is worked on where it
// stands: "mash a third of them in the pot".
func (b *bindings) whereItIs(t *larder.Technique, r *roles) {
	if t.Takes != "some" || len(r.inputs) != 1 || len(r.portions)+len(r.action.Into) > 0 {
		return
	}
	if in := r.inputs[0]; b.r.lang.Pots[in.vessel] && (r.vessel == "" || r.vessel == in.vessel) {
		delete(b.shared, in)
	}
}

// reserveTechnique keeps what its words name for later: "keep the liquid".
const (
	reserveTechnique = "reserve"
	// returnTechnique puts back what was taken out.
	returnTechnique = "return"
)

// discardTechnique throws something away.
const discardTechnique = "discard"

// serveTechnique brings something to the table.
const serveTechnique = "serve"

// greaseTechnique is done to a vessel and not to what is in it.
const greaseTechnique = "grease"

// removeTechnique takes out of the pot what its words name.
const removeTechnique = "remove"

// loose tells whether water that nobody lists goes in.
func (b *bindings) loose(a *recipe.Action) bool {
	return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool {
		return r.Named != nil && b.r.lang.Loose[last(larder.Words(*r.Named))]
	})
}

// lastToServe tells whether a line is to be served, waits still, and is the only one by its word that does: "whip the cream", where
// the other has gone in; but not "whisk in the hot cream".
func (b *bindings) lastToServe(n noun, i int) bool {
	l := &b.lines[i]
	hot := slices.ContainsFunc(n.words, func(w string) bool { return b.r.lang.HeatWords[w] })
	if b.tech.Family != "mix" || hot || !b.forTable(i) || b.leftOf(portion{i, ""}) < 1 || len(l.name) == 0 {
		return false
	}
	used := false
	for k := range b.lines {
		if o := &b.lines[k]; k != i && o.comp == l.comp && len(o.name) > 0 && last(o.name) == last(l.name) {
			if b.leftOf(portion{k, ""}) > 0 {
				return false
			}
			used = true
		}
	}
	return used
}

// forTable tells whether a line is served with the dish and not worked into it.
func (b *bindings) forTable(line int) bool {
	for w := range b.r.lang.Serving {
		if b.lines[line].said[w] {
			return true
		}
	}
	return false
}
