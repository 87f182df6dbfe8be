package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// meant fills in what the text leaves to the reader: what is worked on, and
// what is added to. It returns a question where nothing can be meant.
func (b *bindings) meant(c *clause, t *larder.Technique, r *roles) string {
	a := r.action
	if len(a.To) == 0 && t.Needs == "object" {
		target := b.inHandFor(c, t)
		switch {
		case target != nil && t.Takes == "part" && t.Name != reserveTechnique && !b.outOfOven(c) && len(b.solidsIn(target)) > 0 && b.open(target):
			b.liftSolids(target, r)
		case target != nil && !slices.Contains(r.inputs, target):
			b.refMade(target, 1, r, &a.To)
		case target != nil:
		case len(c.objects) > 0 && c.objects[0].pronoun && b.last != nil && onlyNamed(b.last.To):
			a.To = append(a.To, b.last.To...) // "trim off the fat and save it"
		case len(a.With)+len(a.Into) == 0:
			return b.r.asks("object", c.said)
		}
	}
	if t.Medium == "with" && !setOut(t, a) && len(a.To) > 0 && len(a.With)+len(a.Into) == 0 && b.last != nil {
		// "Mix the coffee and the wine. Dip the biscuits"
		if just := b.byID(b.last.ID); just != nil && just.comp == b.comp && b.open(just) && (len(b.takes) == 0 || b.ofTaken(just)) && !slices.Contains(r.inputs, just) {
			b.refMade(just, 1, r, &a.With)
		}
	}
	if c.repeats && len(a.Into) == 0 && b.focus != nil && b.goesOnIn(t) && b.open(b.focus) && !slices.Contains(r.inputs, b.focus) {
		b.refMade(b.focus, 1, r, &a.Into) // "fry the bacon, then the sausage", "boil the potatoes, then the cabbage"
	}
	if len(a.Into) == 0 && b.joins(c, t, r) && !b.onlyPlaces(a.To) {
		b.meantInto(c, t, r)
	}
	return ""
}

// joins tells whether an order brings what it is done to to other things.
func (b *bindings) joins(c *clause, t *larder.Technique, r *roles) bool {
	particle := func(role string) bool {
		_, own, _ := strings.Cut(c.lemma, " ") // "cut in"
		return b.r.lang.Prepositions[own] == role || slices.ContainsFunc(c.particles, func(p string) bool { return b.r.lang.Prepositions[p] == role })
	}
	switch {
	case t.Joins == "", r.lapped, t.Joins == "yes" && (particle("from") || b.firstLink(c, "from")): // nothing goes in that is poured off
		return false
	case t.Joins == "yes":
		return true
	}
	inOther := t.Closes != "" && slices.ContainsFunc(c.links, func(l link) bool { return l.nouns[0].owner != nil }) // "in the base of a casserole"
	return r.placed && !inOther && (t.Family != "cut" || t.Joins == "in") || (t.Joins == "on" || t.Family == "cut") && particle("into") ||
		t.Joins == "in" && (particle("in") || b.saidIn(c)) || c.repeats && b.inPlace()
}

// firstLink tells whether a word of a role stood right behind the verb: "pour off all but a spoonful".
func (b *bindings) firstLink(c *clause, role string) bool {
	return slices.ContainsFunc(c.links, func(l link) bool { return l.first && l.role == role && b.r.lang.Particles[l.word] })
}

// inPlace tells whether the last action put something where more of the same goes: "put the beans
// in the pot, then the rice".
func (b *bindings) inPlace() bool {
	return b.last != nil && (b.last.Vessel != "" || len(b.last.Into) > 0) && b.base != nil && b.base.id == b.last.ID
}

// onlyIt tells whether an order adds nothing but what was worked on alone, which cannot go into
// itself: "beat the yoghurt and add it", "split the pod and add the pod too".
func (b *bindings) onlyIt(c *clause, r *roles) bool {
	return len(c.objects) == 1 && len(r.inputs) == 1 && len(r.action.To) == 1 && r.action.To[0].Made != nil && len(r.inputs[0].holds) <= 1
}

// potBeside is the pot of liquid that stands beside what was fried and is all that is in hand.
func (b *bindings) potBeside(r *roles) *thing {
	if len(r.inputs) != 1 || len(r.portions) > 0 || !r.inputs[0].fried {
		return nil
	}
	return b.latest(func(x *thing) bool {
		return x != r.inputs[0] && x.comp == b.comp && x.liquid && !x.taken && !x.putBy && x.title == nil
	})
}

// seasons turns what a step only names to be put right into what it is done with:
// "correct the salt".
func (b *bindings) seasons(t *larder.Technique, a *recipe.Action) {
	onlyLines := !slices.ContainsFunc(a.To, func(r recipe.Ref) bool { return r.Line == nil })
	if (t.Name == "season" && onlyNamed(a.To) || t.Name == tasteTechnique && len(a.To) > 0 && onlyLines) && len(a.With) == 0 && b.focus != nil {
		a.With, a.To = a.To, []recipe.Ref{} // "check the seasoning", which the list has
	}
}

// verbVessel takes the vessel that stands for the verb: "Oven to 200 C".
func (b *bindings) verbVessel(c *clause, t *larder.Technique, a *recipe.Action) {
	if t.Name == "preheat" && len(a.To) == 0 && len(c.objects) == 0 && b.r.lang.Vessels[c.lemma] {
		named := c.lemma
		a.To = append(a.To, recipe.Ref{Named: &named, Share: 1})
	}
}

// outOfOven tells whether a clause names an oven, a fridge or the like, out of which a thing comes as a whole.
func (b *bindings) outOfOven(c *clause) bool {
	return slices.ContainsFunc(c.links, func(l link) bool {
		return slices.ContainsFunc(l.nouns, func(n noun) bool { return b.r.lang.VerblessIn[n.head()] != "" })
	})
}

// liftSolids takes what was cooked in a liquid out of it: "poach the fish in the milk,
// lift out".
func (b *bindings) liftSolids(from *thing, r *roles) {
	for _, p := range b.solidsIn(from) {
		if b.holder[p] == from {
			id := from.id
			r.action.To = append(r.action.To, recipe.Ref{Made: &id, Share: 1, Of: b.lines[p.line].ref})
			r.portions = append(r.portions, p)
		}
	}
}

// onlyNamed tells whether references are to matter that only the words name.
func onlyNamed(refs []recipe.Ref) bool {
	return len(refs) > 0 && !slices.ContainsFunc(refs, func(r recipe.Ref) bool { return r.Named == nil })
}

// onlyPlaces tells whether an action only works on places of what is there:
// "fold in the sides".
func (b *bindings) onlyPlaces(refs []recipe.Ref) bool {
	return len(refs) > 0 && !slices.ContainsFunc(refs, func(r recipe.Ref) bool {
		return r.Named == nil || !b.r.lang.Places[last(strings.Fields(*r.Named))]
	})
}

// inTin tells what work is in a vessel that stands in the oven: "cook for 15 minutes", of what
// lies in a tin.
func (b *bindings) inTin(t *larder.Technique, r *roles) {
	if t.InTin == "" {
		return
	}
	in := r.vessel
	if words := larder.Words(r.action.Vessel); len(words) > 0 {
		in = last(words)
	}
	if in == "" && len(r.inputs) == 1 {
		in = r.inputs[0].vessel
	}
	if b.r.lang.Ovenware[in] {
		r.action.Technique = t.InTin
	}
}

// medium links what is fried to fat that was heated for it, and tells deep frying
// by its heat.
func (b *bindings) medium(t *larder.Technique, r *roles) {
	a := r.action
	if water := b.hotWater(t, r); water != nil {
		b.refMade(water, 1, r, &a.With)
		return
	}
	fat := b.base
	for _, in := range r.inputs {
		if b.holdsFat(in) {
			fat = in
		}
	}
	if t.InHot != "" && (fat == nil || !b.holdsFat(fat)) {
		fat = b.latest(func(x *thing) bool { return b.holdsFat(x) && x.hot >= fryingHeat })
	}
	if t.Medium == "fat" && (fat == nil || !b.holdsFat(fat)) && !slices.ContainsFunc(r.inputs, b.inFat) {
		fat = b.latest(b.standsHot) // "heat the oil; season the chops and fry them"
	}
	if fat == nil || !b.holdsFat(fat) || !b.open(fat) {
		return
	}
	if t.InHot != "" && fat.hot >= fryingHeat {
		a.Technique = t.InHot
	}
	if (t.Medium == "fat" || t.Name == cookTechnique || t.Name == "deep-fry") && b.onlyDry(a.With) && !slices.Contains(r.inputs, fat) {
		b.refMade(fat, 1, r, &a.With)
	}
}

// hotWater is the water that was made hot just before, in which something is cooked that lies in no liquid yet: "bring a pan of
// water to a simmer and poach the eggs". It is nil where there is none.
func (b *bindings) hotWater(t *larder.Technique, r *roles) *thing {
	if t.Family != "wet heat" || t.Medium != "liquid" || t.Name == steamTechnique || len(r.action.Into)+len(r.action.With) > 0 || len(r.portions)+len(r.inputs) == 0 || len(b.things) == 0 {
		return nil
	}
	x := b.things[len(b.things)-1]
	if !x.liquid || !x.heated || !b.open(x) || x.comp != b.comp || x.putBy || x.title != nil || slices.ContainsFunc(r.portions, func(p portion) bool { return larder.Wets(b.lines[p.line].food) }) || slices.ContainsFunc(r.inputs, func(in *thing) bool { return in == x || in.liquid }) {
		return nil
	}
	for p := range x.holds {
		if f := b.lines[p.line].food; f != nil && b.lines[p.line].line.Mass() > aSplash {
			return nil
		}
	}
	return x
}

// aSplash is how much of a thing only seasons the water that it goes into; an estimate.
const aSplash = 40.0

// steamTechnique cooks over water and not in it.
const steamTechnique = "steam"

// standsHot tells whether a thing is fat of the part at hand that was heated and in which nothing fries yet.
func (b *bindings) standsHot(x *thing) bool {
	return x.technique == heatTechnique && b.holdsFat(x) && x.comp == b.comp && !x.putBy
}

// onlyDry tells whether what goes along are lines that neither wet nor grease, so that
// the fat in the pan is still what it is done in: "fry the cumin with the bay leaf".
func (b *bindings) onlyDry(refs []recipe.Ref) bool {
	return !slices.ContainsFunc(refs, func(r recipe.Ref) bool {
		if r.Named != nil { // "with a pinch of salt"
			words := larder.Words(*r.Named)
			m, known := b.r.larder.Index().At(words[max(len(words)-1, 0):], 0, true)
			return !known || larder.IsFat(m.Food) || larder.Wets(m.Food)
		}
		i := slices.IndexFunc(b.lines, func(l bound) bool { return r.Line != nil && l.ref == *r.Line })
		return i < 0 || larder.IsFat(b.lines[i].food) || larder.Wets(b.lines[i].food)
	})
}

// inFat tells whether a thing has been put into fat already.
func (b *bindings) inFat(t *thing) bool {
	if !t.fried && t.technique != heatTechnique && !b.joined(t) {
		return false
	}
	for p := range t.holds {
		if b.fat(p) {
			return true
		}
	}
	return false
}

// joined tells whether a thing came of adding to what was there.
func (b *bindings) joined(t *thing) bool {
	tech := b.r.larder.Technique(t.technique)
	return tech != nil && tech.Joins == "yes"
}

// foldTechnique folds things into others, or over them.
const foldTechnique = "fold"

// heatTechnique makes something hot, such as fat to fry in.
const heatTechnique = "heat"

// verbMatter takes in the food that a verb itself names: "flour the veal", "salt
// the slices".
func (b *bindings) verbMatter(c *clause, t *larder.Technique, r *roles) {
	n := noun{from: c.from, upto: c.from + 1, words: larder.Words(c.lemma), pointed: true}
	if len(c.objects) == 0 && !c.joint && t.Name != "season" || !b.text.foods(n.head()) || t.Family == "cut" || t.Family == "machine" || t.Name == "beat" {
		return
	}
	for _, x := range b.direct(n) {
		if b.leftOf(*x.portion) > 0 && !(b.lines[x.portion.line].comp != b.ownPart() && b.moreOfOwn(n)) {
			b.refPortion(n, *x.portion, r, &r.action.With)
			return
		}
	}
	if t.Name == "season" || t.Name == "grease" || t.Name == "coat" {
		named := c.lemma
		r.action.With = append(r.action.With, recipe.Ref{Named: &named, Share: 1})
	}
}

// fryingHeat is the least temperature in Celsius at which fat is there to fry
// pieces in.
const fryingHeat = 140

// saidIn tells whether "in" stood right behind the verb.
func (b *bindings) saidIn(c *clause) bool {
	return slices.ContainsFunc(c.links, func(l link) bool {
		return l.first && (l.role == "in" || l.role == "into" && b.r.lang.Particles[l.word])
	})
}

// tasteTechnique tries how something tastes.
const tasteTechnique = "taste"
