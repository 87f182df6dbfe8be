package flow

import (
	"slices"
	"strings"

	"yembra/core/recipe"
)

// moreOfIt is the thing of which some has been measured off and as much again is meant: "soften the leek in a further 25 g".
func (b *bindings) moreOfIt(n noun) []referent {
	if len(n.words) > 0 || n.amount[1] == 0 || !b.r.lang.TimeMore[b.text.low(n.amount[0]-1)] {
		return nil
	}
	p := b.partlyUsed()
	if p == nil {
		return nil
	}
	return []referent{{portion: p}}
}

// justKept is what was kept just before, of which an amount is measured off: "drain the tuna, keeping the oil; whisk 3
// tablespoons of it".
func (b *bindings) justKept(n noun) []referent {
	if n.amount[1] == 0 || n.rest || b.last == nil || b.last.Technique != reserveTechnique || !onlyNamed(b.last.To) {
		return nil
	}
	t := b.byID(b.last.ID)
	if t == nil {
		return nil
	}
	return []referent{{made: t}}
}

// justCooked is what was cooked in a liquid just before, where that is taken out: "simmer the
// breasts in the water with the onion; take them out".
func (b *bindings) justCooked(n noun) []referent {
	if b.tech.Name != removeTechnique || n.rest || n.all || n.share > 0 || b.focus == nil {
		return nil
	}
	solids := b.solidsIn(b.focus)
	if len(solids) == len(b.focus.holds) {
		return nil
	}
	var out []referent
	for _, p := range solids {
		if b.holder[p] == b.focus {
			out = append(out, referent{portion: &p, made: b.focus})
		}
	}
	return out
}

// justSlippedIn is what went into the pot last, in the same step, where that is taken out: "slip in
// the breasts and poach for 15 minutes; take them out".
func (b *bindings) justSlippedIn(n noun) []referent {
	if b.tech.Name != removeTechnique || n.rest || n.all || n.share > 0 || len(n.words) != 1 || b.lastAdded == nil || b.last == nil || b.focus == nil || len(b.lastAdded.To) != 1 || b.lastAdded.To[0].Line == nil {
		return nil
	}
	if b.last != b.lastAdded && slices.ContainsFunc(b.last.To, func(r recipe.Ref) bool { return r.Line != nil }) {
		return nil // "add the oil and sear the beef; lift it out"
	}
	step, _, _ := strings.Cut(b.last.ID, ".a")
	for i := range b.lines {
		p := portion{i, ""}
		if !b.fat(p) && b.lines[i].ref == *b.lastAdded.To[0].Line && strings.HasPrefix(b.lastAdded.ID, step+".a") && b.focus.holds[p] && len(b.focus.holds) > 1 {
			return []referent{{portion: &p, made: b.focus}}
		}
	}
	return nil
}

// justWarmed is the one thing that gives its taste to the fat it was heated in, where it is taken out of that: "heat the oil with the
// garlic until golden; fish it out".
func (b *bindings) justWarmed(n noun) []referent {
	if b.tech.Name != removeTechnique || n.rest || n.all || n.share > 0 || len(n.words) != 1 || b.focus == nil || !b.focus.heated || len(b.focus.holds) < 2 {
		return nil
	}
	var found []referent
	for p := range b.focus.holds {
		if b.holder[p] != b.focus {
			return nil
		}
		if !b.fat(p) {
			found = append(found, referent{portion: &p, made: b.focus})
		}
	}
	if len(found) != 1 || b.lines[found[0].portion.line].line.Mass() > mostSeasoning {
		return nil
	}
	return found
}

// justTakenOut tells whether what is in hand was taken out of something in the same step, which
// is there still.
func (b *bindings) justTakenOut() bool {
	if b.stays == nil || b.focus == nil || b.stays == b.focus || !b.open(b.stays) || b.last == nil {
		return false
	}
	step, _, _ := strings.Cut(b.last.ID, ".a")
	for i := len(b.things) - 1; i >= 0 && strings.HasPrefix(b.things[i].id, step+".a"); i-- {
		if b.things[i].taken {
			return true
		}
	}
	return false
}
