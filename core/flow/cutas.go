package flow

import (
	"yembra/core/language"
	"yembra/core/larder"
)

// cutAs is what a noun means that says how it was cut, of something of which some was cut in this way and some in another:
// "the diced cheese", beside what was grated.
func (b *bindings) cutAs(n noun, found []referent) []referent {
	if len(found) == 1 && found[0].portion == nil && b.shareCut(found[0].made) {
		for p := range found[0].made.holds {
			found[0].portion = &p
		}
		return found
	}
	if len(found) != 1 || found[0].portion == nil || b.leftOf(*found[0].portion) > 0 {
		return found
	}
	p := *found[0].portion
	var cut []*thing
	for _, t := range b.things {
		if t.holds[p] && b.onlyCut(t) {
			cut = append(cut, t)
		}
	}
	if len(cut) < 2 {
		return found
	}
	for i := n.from; i < n.upto-1; i++ {
		lemma, width := b.text.verb(i, language.Past)
		if width == 0 {
			continue
		}
		way := b.text.senseOf(lemma, i, n.upto).Technique
		for _, t := range cut {
			if b.open(t) && (t.technique == way || t.shape == lemma) {
				return []referent{{portion: &p, made: t}}
			}
		}
	}
	return found
}

// cutsRest tells whether what is cut of a line is what is left of it, as the rest is mixed with other things: "grate a handful of
// the cheese and mix with the oil. Shave the cheese".
func (b *bindings) cutsRest(p portion) bool {
	held := b.held(p)
	return b.tech != nil && b.tech.Family == "cut" && b.leftOf(p) > 0 && held != nil && len(held.holds) > 1
}

// onlyCut tells whether a thing is one line, or some of it, that was cut.
func (b *bindings) onlyCut(t *thing) bool {
	made := b.r.larder.Technique(t.technique)
	return len(t.holds) == 1 && made != nil && made.Family == "cut"
}

// shareCut tells whether a thing is some of a line that was cut, and the rest of it in another way.
func (b *bindings) shareCut(t *thing) bool { return t != nil && t.ofShare && b.onlyCut(t) }

// isFlesh tells whether a line is a piece of an animal, which is coated and coats nothing.
func (b *bindings) isFlesh(p portion) bool {
	f := b.lines[p.line].food
	return f != nil && f.Animal.Flesh()
}

// cutOf notes of some of a line that was cut into which shape: it lies there when the rest is cut in another way.
func (b *bindings) cutOf(made *thing, t *larder.Technique, r *roles) {
	if t.Family == "cut" && len(r.inputs) == 0 && len(r.portions) == 1 && b.leftOf(r.portions[0]) > 0 {
		made.ofShare, made.shape = true, r.action.Makes
	}
}

// cutJustNow tells whether a noun for pieces means what was cut just before in the same step: "peel the oranges and slice out the
// segments".
func (b *bindings) cutJustNow(n noun) bool {
	if b.last == nil || b.focus == nil || b.focus.id != b.last.ID || !b.open(b.focus) || len(n.words) != 1 || b.tech.Family != "cut" || !b.r.lang.Shapes[n.head()] {
		return false
	}
	made := b.r.larder.Technique(b.last.Technique)
	return made != nil && made.Family == "cut"
}

// shapeTechnique gives a mass a form that it keeps.
const shapeTechnique = "shape"
