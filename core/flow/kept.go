package flow

import (
	"cmp"
	"slices"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// stayedBehind is what a noun means that stayed in the pan: a liquor, or fat that ran out.
func (b *bindings) stayedBehind(n noun) []referent {
	if t := b.liquorLeft(n); t != nil {
		return []referent{{made: t}}
	}
	if b.ranOut(n) || b.pressedOut(n) {
		return []referent{{named: b.words(n)}}
	}
	return nil
}

// takenFrom notes out of what an action takes something, and by which words.
func (b *bindings) takenFrom(n noun, r *roles) {
	b.outOf, b.outBy, b.outFrom = n, r.action.ID, nil
	if len(r.inputs) == 1 {
		b.outFrom = r.inputs[0]
	}
}

// outOfWhich is what something was taken out of by the name at hand, where that is left: "lift the meat from its sauce,
// chop it and moisten it with a spoonful of the sauce", whatever part of the dish goes by that name too.
func (b *bindings) outOfWhich(n noun) []referent {
	if t := b.outFrom; t != nil && b.open(t) && n.pointed && b.outOf.words != nil && slices.Equal(b.outOf.words, n.words) && b.r.lang.Products[n.head()] && len(b.takes) == 0 {
		return []referent{{made: t}}
	}
	return nil
}

// ifAny tells whether a noun is what may have run out of flesh that goes back: "return the beef with any juices".
func (b *bindings) ifAny(n noun) bool {
	return b.working != nil && b.tech.Name == returnTechnique && b.r.lang.Liquors[n.head()] && b.r.lang.Whatever[b.text.low(n.from)]
}

// cookedInIt is what a liquid is of by the name of the work that was done in it: "pour the cooking liquid into a pan", of fish
// that was baked in wine.
func (b *bindings) cookedInIt(n noun) *thing {
	if !b.r.lang.Liquors[n.head()] || !b.r.lang.Remains[n.head()] || b.r.lang.Loose[n.head()] || b.goingInto || b.takesAway() || !n.pointed || n.rest || len(n.words) < 2 {
		return nil
	}
	if !b.byItsWork(n) {
		return nil
	}
	return b.latest(func(t *thing) bool { return t.comp == b.comp && t.heated && (t.liquid || b.holdsPoured(t)) })
}

// byItsWork tells whether a liquid goes by the name of the work that was done in it over a fire: "the poaching liquid".
func (b *bindings) byItsWork(n noun) bool {
	if len(n.words) < 2 {
		return false
	}
	lemma, k := b.text.verb(n.upto-2, language.Going)
	if k == 0 {
		return false
	}
	t := b.r.larder.Technique(b.text.senseOf(lemma, n.upto-2, n.upto-1).Technique)
	return t != nil && t.Heat != ""
}

// pressedOut tells whether a noun is the liquid that was just pressed out of something dry: "squeeze the potato over a
// bowl, leave the liquid to stand".
func (b *bindings) pressedOut(n noun) bool {
	return b.r.lang.Liquors[n.head()] && n.pointed && len(n.words) == 1 && b.last != nil && b.last.Technique == pressTechnique && b.focus != nil && !b.holdsPoured(b.focus)
}

// intoItsLiquid is what "add the mussels to the cooking liquid" adds them to: what simmers, where the list has no such thing.
func (b *bindings) intoItsLiquid(n noun) []referent {
	if !b.goingInto || !n.pointed || !b.r.lang.Liquors[n.head()] || b.r.lang.Loose[n.head()] || b.base == nil || b.liquorLeft(n) != nil {
		return nil
	}
	if b.base.heated && (b.base.liquid || b.holdsPoured(b.base)) && b.open(b.base) {
		return []referent{{made: b.notLadled(n, b.base)}}
	}
	return nil
}

// liesIn is what a thing was cooked in, where it is left to lie in it: "let it cool in the liquid".
func (b *bindings) liesIn(n noun) []referent {
	if b.tech.Family != "rest" || !b.r.lang.Liquors[n.head()] || !n.pointed || b.working == nil {
		return nil
	}
	lies := []*thing{b.focus}
	if len(b.working.To) > 0 {
		lies = nil
	}
	for _, r := range b.working.To {
		if r.Made != nil {
			lies = append(lies, b.byID(*r.Made))
		}
	}
	if slices.ContainsFunc(lies, func(t *thing) bool { return t != nil && t.heated && (t.liquid || b.holdsPoured(t)) }) {
		return []referent{{named: b.words(n)}}
	}
	return nil
}

// holdsPoured tells whether something that pours and is no fat is in a thing.
func (b *bindings) holdsPoured(t *thing) bool {
	for p := range t.holds {
		if larder.Pours(b.lines[p.line].food) && !b.fat(p) {
			return true
		}
	}
	return false
}

// itsLiquor is what a thing that goes in lay in, where that is said to go in with it: "the fish with
// its marinade".
func (b *bindings) itsLiquor(n noun) *thing {
	if !n.possessive || len(n.words) != 1 || !b.r.lang.Liquors[n.head()] || b.working == nil {
		return nil
	}
	for _, r := range b.working.To {
		if r.Made == nil {
			continue
		}
		if t := b.byID(*r.Made); t != nil && len(t.holds) > 1 && !t.heated {
			return t
		}
	}
	return nil
}

// itsTin tells whether a noun means what the very line that the order takes came packed in: "flake in the tuna with some of its
// oil".
func (b *bindings) itsTin(n noun) bool {
	if !n.possessive || len(n.words) != 1 || !b.r.lang.Fats[n.head()] && !b.r.lang.Liquors[n.head()] || b.working == nil {
		return false
	}
	return slices.ContainsFunc(b.working.To, func(r recipe.Ref) bool {
		return r.Line != nil && slices.ContainsFunc(b.lines, func(l bound) bool { return l.ref == *r.Line && l.said[n.head()] && last(l.name) != n.head() })
	})
}

// unlisted is what no line has, such as water: only its words name it, but the fat that is in
// a pan.
func (b *bindings) unlisted(n noun) []referent {
	lang := b.r.lang
	if t := cmp.Or(b.withFat(n), b.sameWater(n), b.strainsIt(n)); t != nil {
		return []referent{{made: t}}
	}
	if lang.Loose[n.head()] || lang.Remains[n.head()] && !n.rest && (b.takesAway() || b.tech.Family == "cut" || b.tech.Family == "clean" || !b.anyLeft(b.group(n)) && b.liquorLeft(n) == nil) {
		return []referent{{named: b.words(n)}}
	}
	return nil
}

// withFat is what "the hot fat" is where no line goes by that name: what was made last with a
// fat of the list in it.
func (b *bindings) withFat(n noun) *thing {
	if !b.r.lang.Fats[n.head()] || !n.pointed || b.takesAway() || b.ranOut(n) || len(n.words) > 1 && !b.r.lang.HeatWords[n.words[0]] && !b.r.lang.AdjectiveVerbs[n.words[0]] {
		return nil
	}
	return b.latest(func(t *thing) bool {
		if t.comp != b.comp || t.putBy || t.taken {
			return false
		}
		for p := range t.holds {
			if b.fat(p) && b.holder[p] == t {
				return true
			}
		}
		return false
	})
}

// liquorLeft is what "the juices" are where something was lifted out of what it cooked in:
// what stayed behind, and not what was stirred together since.
func (b *bindings) liquorLeft(n noun) *thing {
	if !b.r.lang.Liquors[n.head()] || !n.pointed || !b.byItsWork(n) && !b.ranOutOf(n) && slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool { return b.text.foods(w) }) {
		return nil // "the cooking liquid", "the haddock poaching liquid", but not "the fish stock"
	}
	return b.latest(func(t *thing) bool {
		if t.comp != b.comp && !b.tookFrom(t) || t == b.focus || t.taken || b.ladledFrom(t) != nil {
			return false
		}
		liquid, gone := t.liquid, b.liftedOut(t) || t.putBy && t.strained
		for p := range t.holds {
			liquid = liquid || b.holder[p] == t && larder.Pours(b.lines[p.line].food) && !b.fat(p)
		}
		return liquid && gone
	})
}

// ranOutOf tells whether a noun means what flesh of the list gave: "the mussel juices".
func (b *bindings) ranOutOf(n noun) bool {
	return b.r.lang.Fleshly[n.head()] && len(n.words) > 1 && slices.ContainsFunc(b.lines, func(l bound) bool {
		return l.food != nil && l.food.Origin == larder.FromAnimal && !larder.Pours(l.food) && len(l.name) > 0 && last(l.name) == n.words[len(n.words)-2]
	})
}

// liftedOut tells whether a thing is what stayed behind where something was lifted out of it.
func (b *bindings) liftedOut(t *thing) bool {
	for p := range t.holds {
		if b.holder[p] != t {
			return true
		}
	}
	return t.liquor
}

// tookFrom tells whether what is in hand was taken out of a thing, of whatever part of the dish.
func (b *bindings) tookFrom(t *thing) bool {
	for p := range t.holds {
		if b.focus != nil && t != b.focus && b.holder[p] == b.focus {
			return true
		}
	}
	return false
}

// ranOut tells whether "the fat" is what ran out of flesh that was fried before any
// listed fat went in.
func (b *bindings) ranOut(n noun) bool {
	if !b.r.lang.Fats[n.head()] || !n.pointed || len(n.words) != 1 {
		return false
	}
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		if t.comp != b.comp || len(t.holds) == 0 {
			continue
		}
		flesh := true
		for p := range t.holds {
			if b.fat(p) {
				return false
			}
			f := b.lines[p.line].food
			flesh = flesh && f != nil && (f.Animal == larder.Meat || f.Animal == larder.Poultry)
		}
		if tech := b.r.larder.Technique(t.technique); flesh && !t.liquid && b.latest(b.friedInFat) == nil && (t.fried || tech != nil && tech.Heat != "" && tech.Family != "oven") {
			return true
		}
	}
	return false
}

// fatOfTaken tells whether a noun means the fat that ran out of a piece of flesh which has been taken out of the
// pan: "the chorizo fat".
func (b *bindings) fatOfTaken(n noun, found []referent) bool {
	if !b.r.lang.Fats[n.head()] || len(n.words) < 2 || len(found) != 1 || found[0].portion == nil {
		return false
	}
	p := portion{found[0].portion.line, ""}
	t := b.holder[p]
	return !b.fat(p) && t != nil && t.taken && t.comp == b.comp
}

// friedInFat tells whether a thing was fried and holds a fat of the list.
func (b *bindings) friedInFat(t *thing) bool {
	for p := range t.holds {
		if t.fried && b.fat(p) && b.holder[p] == t {
			return true
		}
	}
	return false
}

// keptLiquor tells whether a noun is what stays behind where something was
// lifted or drained out of it: "keep the liquid".
func (b *bindings) keptLiquor(n noun) bool {
	if !b.takesAway() || !b.r.lang.Liquors[n.head()] && !b.r.lang.Fats[n.head()] || b.last == nil {
		return false
	}
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && (t.Family == "separate" || t.Family == "cut" || t.Name == pressTechnique)
}

// keeps is what a kept liquor is: what stays behind where something was drained out of it, else
// only what its name says.
func (b *bindings) keeps(n noun) []referent {
	if b.colouredFat(n, b.direct(n)) {
		return []referent{{named: b.words(n)}} // "keep the red oil"
	}
	if t := b.latest(b.friedInFat); t != nil && b.r.lang.Fats[n.head()] {
		return []referent{{made: t}} // "drain the onions, keeping the oil"
	}
	if t := b.liquorLeft(n); t != nil && (b.last.Technique == drainTechnique || b.last.Technique == removeTechnique || t.heated && t.liquid || b.holdsPoured(t)) {
		return []referent{{made: t}} // "drain the chicken, reserving the marinade"
	}
	if t := b.focus; t != nil && t.strained && b.open(t) && b.tech.Name == reserveTechnique && (b.pours(t) || len(t.holds) == 0) {
		return []referent{{made: t}} // "strain, discard the shells and keep 500 ml of the stock"
	}
	if pot := b.drainedOff(); pot != nil {
		return []referent{{made: pot}}
	}
	return []referent{{named: b.words(n)}}
}
