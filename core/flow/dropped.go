package flow

import (
	"cmp"
	"slices"

	"yembra/core/larder"
)

// droppedInto is the mixture that an action puts into a liquid, or that was put into it before and only cooks in it now:
// balls in a stock.
func (b *bindings) droppedInto(t *larder.Technique, r *roles) *thing {
	if len(r.inputs) == 1 && len(r.portions) == 0 {
		if in := r.inputs[0]; in.dropped != nil || !in.dough || in.heated || t.Family != "wet heat" || b.pours(in) {
			return in.dropped
		}
		return r.inputs[0] // "boil in salted water", of dumplings that were rolled and filled
	}
	if t.Joins != "yes" || len(r.inputs) != 2 || len(r.action.To) != 1 || len(r.action.Into) != 1 {
		return nil
	}
	in, around := r.inputs[0], r.inputs[1]
	if slices.ContainsFunc(r.portions, func(p portion) bool { return !around.holds[p] }) { // "the stock", by its line
		return nil
	}
	if len(in.holds) < 2 || b.pours(in) || !b.pours(around) || b.shared[in] || b.shared[around] {
		return nil
	}
	return in
}

// liquidStays leaves a liquid in the pot out of which a mixture is taken that was put into it.
func (b *bindings) liquidStays(made *thing, inputs []*thing) {
	if b.tech.Name != removeTechnique || len(inputs) != 1 || inputs[0].dropped == nil || b.shared[inputs[0]] {
		return
	}
	pot := inputs[0]
	for name := range pot.dropped.names {
		delete(pot.names, name)
	}
	for p := range made.holds {
		if !pot.dropped.holds[p] {
			b.hold(p, pot)
			delete(made.holds, p)
			pot.spent = false
		}
	}
}

// waterStays leaves in the pot the water from the tap in which a thing was cooked that is taken out
// of it: "lift out the tongue, keep a cup of the broth".
func (b *bindings) waterStays(t *larder.Technique, inputs []*thing) {
	if t.Name != removeTechnique && t.Family != "cut" || len(inputs) != 1 || b.shared[inputs[0]] {
		return
	}
	b.leavesWater(inputs[0])
}

// drainedOff is the broth that was just drained off something, where that is kept: "drain, keeping the stock".
func (b *bindings) drainedOff() *thing {
	if b.last.Technique != drainTechnique || len(b.last.To) != 1 || b.last.To[0].Made == nil {
		return nil
	}
	pot := b.byID(*b.last.To[0].Made)
	if pot == nil || b.shared[pot] || !b.gaveTaste(pot) || !b.leavesWater(pot) {
		return nil
	}
	return pot
}

// leavesWater leaves nothing in a pot out of which everything was taken but the water from the tap in which it was cooked; not so
// where there is none.
func (b *bindings) leavesWater(pot *thing) bool {
	if !pot.heated || !pot.liquid || b.holdsPoured(pot) || len(pot.holds) == 0 || b.open(pot) {
		return false
	}
	pot.holds, pot.spent, pot.liquor = map[portion]bool{}, false, true
	pot.title = nil
	if b.base == pot {
		b.base = nil // only what is said of it is done to it
	}
	return true
}

// gaveTaste tells whether flesh or a potherb was in a thing, wherever that is now: its water is a broth.
func (b *bindings) gaveTaste(t *thing) bool {
	for p := range t.holds {
		if f := b.lines[p.line].food; f != nil && (f.Animal.Flesh() || f.Tagged(larder.Potherb)) {
			return true
		}
	}
	return false
}

// solidsIn are what comes out of a liquid in which it was cooked where that is lifted out and nobody says what: what was
// cooked in it, else the pieces of flesh in it. The liquid stays.
func (b *bindings) solidsIn(t *thing) []portion {
	if len(t.solids) > 0 {
		return t.solids
	}
	cooked := b.r.larder.Technique(cmp.Or(t.cooked, t.technique))
	if t.dropped != nil || cooked == nil || cooked.Family != "wet heat" && cooked.Family != "oven" || !t.liquid && !b.holdsPoured(t) {
		return nil
	}
	flesh := b.fleshIn(t)
	if cooked.Family == "oven" && (len(flesh) != 1 || b.besideIt(t, flesh[0])) {
		return nil // a bake comes out as a whole, a joint out of its stock
	}
	return flesh
}

// besideIt tells whether a thing holds more to eat than flesh and what that was cooked in: the potatoes round a roast.
func (b *bindings) besideIt(t *thing, flesh portion) bool {
	others := 0.0
	for p := range t.holds {
		if l := &b.lines[p.line]; p != flesh && b.holder[p] == t && !b.fat(p) && !larder.Pours(l.food) {
			others += l.line.Mass()
		}
	}
	return others > b.lines[flesh.line].line.Mass()*mostBeside
}

// mostBeside is how much of its weight lies with a joint that is lifted out of its liquid by itself; an estimate.
const mostBeside = 0.5

// slippedIn is the one thing that an action puts into a hot liquid, or that was put into it before and only cooks in it now:
// "slip the scallops into the wine and poach".
func (b *bindings) slippedIn(t *larder.Technique, r *roles) []portion {
	if len(r.inputs) != 1 {
		return nil
	}
	around := r.inputs[0]
	goesIn := t.Joins == "yes" && len(r.action.Into) == 1 || t.Heat != "" && len(r.action.With) == 1 && len(r.action.Into) == 0 // "heat the sausages in the soup"
	switch {
	case len(r.portions) == 0 && len(around.solids) > 0 && (t.Family == "wet heat" || t.Name == coverTechnique) && len(r.action.Into) == 0:
		return around.solids
	case !goesIn || len(r.portions) != 1 || !around.heated || !b.holdsPoured(around) || b.shared[around]:
		return nil
	}
	f := b.lines[r.portions[0].line].food
	if f == nil || f.Animal == "" || larder.Pours(f) || b.fat(r.portions[0]) {
		return nil
	}
	return r.portions
}

// movesInto tells adding from taking out, where what is lifted out goes into something else in the same breath: "lift
// both out and into the beans".
func (b *bindings) movesInto(t *larder.Technique, r *roles) *larder.Technique {
	if t.Name != removeTechnique || onlyNamed(r.action.Into) || len(r.action.Into) == 0 {
		return t
	}
	add := b.r.larder.Technique(addTechnique)
	if add == nil {
		return t
	}
	r.action.Technique, b.tech, r.lifted = add.Name, add, true
	return add
}

// fatStays leaves in the pan the fat in which was fried what is taken out of it.
func (b *bindings) fatStays(made *thing, inputs []*thing) {
	if len(inputs) != 1 || !inputs[0].fried || b.shared[inputs[0]] {
		return
	}
	var fat []portion
	for p := range made.holds {
		if b.fat(p) {
			fat = append(fat, p)
		}
	}
	if len(fat) == 0 || len(fat) == len(made.holds) {
		return
	}
	pan := inputs[0]
	pan.spent = false
	for _, p := range fat {
		b.hold(p, pan)
		delete(made.holds, p)
	}
}

// shutIn tells whether a portion was filled into others, or shaped with them, and is no piece of its own any more: the pork
// of dumplings.
func (b *bindings) shutIn(p portion) bool {
	return slices.ContainsFunc(b.things, func(t *thing) bool {
		tech := b.r.larder.Technique(t.technique)
		return t.holds[p] && len(t.holds) > 1 && tech != nil && tech.Closes == larder.ClosesAlways
	})
}
