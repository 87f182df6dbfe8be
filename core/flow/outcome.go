package flow

import (
	"slices"
	"strings"

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
	if t.Family == "coat" && len(r.inputs) == 0 && len(r.portions) > 0 && b.onlyPlaces(a.To) && b.focus != nil && b.open(b.focus) {
		r.inputs, a.On = append(r.inputs, b.focus), b.focus.id // "brush one edge with egg"
	}
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
	made := b.make(a.ID, r.inputs, r.portions, names...)
	b.cutOf(made, t, r)
	for _, in := range r.inputs {
		if r.lifted && in.fried {
			b.fatStays(made, []*thing{in}) // "lift both out and into the beans"
		}
	}
	made.solids, made.technique = solids, a.Technique
	made.dropped = b.droppedInto(t, r)
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

// cookedIn are what an action cooks in a liquid that it was given beside them; none
// where nothing listed pours.
func (b *bindings) cookedIn(t *larder.Technique, r *roles) []portion {
	if t.Medium != "liquid" || len(r.inputs) > 0 {
		return nil
	}
	poured := b.loose(r.action)
	var solids []portion
	for _, p := range r.portions {
		if larder.Pours(b.lines[p.line].food) {
			poured = true
		} else if slices.ContainsFunc(r.action.To, func(x recipe.Ref) bool { return x.Line != nil && *x.Line == b.lines[p.line].ref }) {
			solids = append(solids, p)
		}
	}
	if !poured {
		return nil
	}
	return solids
}

// joinsMade tells whether an action brings things to what was made: "crumble in the beef".
func joinsMade(a *recipe.Action) bool {
	return slices.ContainsFunc(a.Into, func(ref recipe.Ref) bool { return ref.Made != nil })
}

// stand notes in which vessel a thing stands: the one named, or that of what
// went in, unless the work takes it out of there.
func (b *bindings) stand(made *thing, t *larder.Technique, r *roles) {
	made.vessel = r.vessel
	if r.another {
		made.begun = len(b.things) + 1
	}
	if leaves := t.Leaves == "aside" || t.Family == "cut" || t.Family == "machine" || t.Family == "separate" || t.Family == "clean"; r.vessel == "" && (!leaves || joinsMade(r.action) || t.Takes == "some" && slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.liquid })) {
		for _, in := range r.inputs {
			if in.vessel != "" && !b.shared[in] {
				made.vessel, made.begun = in.vessel, in.begun
			}
		}
	}
	if made.vessel != "" {
		b.vessels[made.vessel] = made
	}
}

// receiver is what a thing is laid on, empty where that is not said.
func (b *bindings) receiver(r *roles) string {
	words := strings.Fields(strings.ToLower(r.action.Vessel))
	if len(words) == 0 {
		return r.vessel
	}
	return last(words)
}

// takenOut notes a part that leaves what it was in, which stays what others are
// added to.
func (b *bindings) takenOut(a *recipe.Action, r *roles) {
	from := b.base
	var made *thing
	if len(r.portions) > 0 {
		others := slices.DeleteFunc(slices.Clone(r.inputs), func(in *thing) bool {
			return slices.ContainsFunc(r.portions, func(p portion) bool { return in.holds[p] })
		})
		made = b.make(a.ID, others, r.portions) // "set aside with the bacon"
	} else {
		made = b.make(a.ID, r.inputs, nil)
		b.fatStays(made, r.inputs)
		b.liquidStays(made, r.inputs)
	}
	made.comp, made.putBy = b.comp, a.Technique == reserveTechnique
	made.taken = b.tech.Name == removeTechnique
	made.out = made.taken
	made.apart = made.taken && len(r.portions) > 1 // they lie side by side
	made.strained = slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.strained })
	for _, ref := range a.To {
		if ref.Named != nil {
			made.names[last(larder.Words(*ref.Named))] = true
		}
	}
	if a.Makes != "" {
		made.names[a.Makes] = true // "pull the meat off the bones into shreds"
	}
	for _, name := range r.names {
		made.names[name] = made.names[name] || r.liquor
	}
	if len(r.portions)+len(r.inputs) == 0 {
		return // skin, paper, the liquid: what was worked on stays in hand
	}
	made.several = r.several
	if b.flavoursOnly(made) && b.focus != nil && b.focus != made && b.open(b.focus) {
		return // "fish out the cinnamon and blend": what it was in stays in hand
	}
	if a.Technique != reserveTechnique || slices.Contains(r.inputs, b.focus) {
		b.stays, b.focus = b.focus, made
		if len(r.inputs) == 1 && r.inputs[0] != b.stays && b.stays != nil && b.stays.out && r.inputs[0].heated && b.open(r.inputs[0]) {
			b.stays, from = r.inputs[0], r.inputs[0] // and not the meat that lies beside the pot
			b.base = from
		}
	}
	if from != nil && !b.open(from) {
		b.base = nil
	}
}

// flavoursOnly tells whether a thing is no more than herbs, spices and the peel of fruit.
func (b *bindings) flavoursOnly(t *thing) bool {
	for p := range t.holds {
		if !larder.Flavours(b.lines[p.line].food) {
			return false
		}
	}
	return len(t.holds) > 0
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

// forTable tells whether a line is served with the dish and not worked into it.
func (b *bindings) forTable(line int) bool {
	for w := range b.r.lang.Serving {
		if b.lines[line].said[w] {
			return true
		}
	}
	return false
}
