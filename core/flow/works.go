package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// works tells whether an action leaves what is being made as it is: it greases
// a tin, or lets the excess drip off.
func (b *bindings) works(a *recipe.Action, r *roles) bool {
	if len(a.To) == 0 || !b.coatsVessel(a) && slices.ContainsFunc(r.inputs, func(in *thing) bool { return !b.shared[in] }) {
		return false
	}
	vessels := true
	for _, ref := range a.To {
		if ref.Named == nil {
			return false
		}
		w := last(strings.Fields(*ref.Named))
		vessels = vessels && b.r.lang.Vessels[w]
		if !b.r.lang.Vessels[w] && !b.r.lang.Remains[w] && !b.r.lang.Places[w] && !(b.r.lang.Fats[w] && b.r.lang.Fleshly[w] && b.tech.Family == "rest") || b.r.lang.Loose[w] && b.tech.Heat != "" || b.r.lang.Remains[w] && !b.r.lang.Places[w] && b.tech.Family == "wet heat" { // "simmer the shells" that were kept
			return false
		}
	}
	if t := b.tech; vessels && (len(r.portions)+len(r.inputs) == 0 || t.Family == "coat") {
		if b.onlyVessel = last(strings.Fields(*a.To[len(a.To)-1].Named)); b.r.lang.Tools[b.onlyVessel] {
			b.onlyVessel = "" // "pull a spatula through the pan"
		}
		return true
	}
	return !vessels && len(r.portions)+len(r.inputs) == 0
}

// coatsVessel tells whether an action brushes nothing but a vessel: "brush a tin with the melted butter", of which
// there is more than that takes.
func (b *bindings) coatsVessel(a *recipe.Action) bool {
	return b.tech.Family == "coat" && !slices.ContainsFunc(a.To, func(ref recipe.Ref) bool {
		return ref.Named == nil || !b.r.lang.Vessels[last(strings.Fields(*ref.Named))]
	})
}

// goesOnAgain makes a repetition of a clause that only says to go on, where what was done last was done over no fire:
// "continue until all the wrappers are filled".
func (b *bindings) goesOnAgain(c *clause) {
	if !b.r.lang.Continuing[c.lemma] || b.last == nil || c.minutes != nil || len(c.objects)+len(c.links) > 0 || c.sense.Technique != cookTechnique {
		return
	}
	if t := b.r.larder.Technique(b.last.Technique); t != nil && t.Heat == "" {
		c.sense.Technique = repeatTechnique
	}
}

// addTechnique puts something to what is there.
const addTechnique = "add"

// onInHand notes that an action is done to what is in hand, though its words do not say so.
func (b *bindings) onInHand(a *recipe.Action) {
	if b.focus != nil && b.open(b.focus) {
		a.On = b.focus.id
	}
}

// namesInHand gives what is in hand the name of what work on its places makes of it: "pinch the ends together to make a boat".
func (b *bindings) namesInHand(a *recipe.Action) {
	if a.Makes != "" && b.focus != nil && b.open(b.focus) {
		b.focus.names[a.Makes] = true
	}
}

// makesNothing notes what work without an outcome leaves.
func (b *bindings) makesNothing(c *clause, t *larder.Technique, a *recipe.Action) {
	if t.Name == repeatTechnique {
		b.onInHand(a) // "continue cooking"
	}
	if t.Family == "separate" && len(a.To) == 1 && a.To[0].Made != nil && a.To[0].Of == "" && a.To[0].Share < nearlyAll {
		if left := b.byID(*a.To[0].Made); left != nil && b.open(left) {
			b.focus, b.base = left, left // "pour off all but a spoonful of the fat and soften the onion in it"
		}
	}
	if t.Family == "clean" && onlyNamed(a.To) {
		b.onlyVessel = last(strings.Fields(*a.To[0].Named)) // "wipe a pan and heat it"
	} else if t.Name == washTechnique {
		b.onlyVessel = b.text.vesselIn(c.from, c.upto) // "wipe out the pot and melt the butter in it"
	}
}

// vesselIn is the vessel that words name; empty where they name none.
func (t *text) vesselIn(from, upto int) string {
	for k := from; k < upto; k++ {
		if w := t.low(k); t.lang.Vessels[w] {
			return w
		}
	}
	return ""
}
