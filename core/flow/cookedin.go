package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

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
		if !r.pot {
			b.liquidStays(made, r.inputs)
		}
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

// cookedIn are what an action cooks in a liquid that it was given beside them; none
// where nothing listed pours.
func (b *bindings) cookedIn(t *larder.Technique, r *roles) []portion {
	if t.Medium == "liquid" && len(r.inputs) == 1 && r.inputs[0].title != nil && !b.pours(r.inputs[0]) && !b.shared[r.inputs[0]] && onlyTo(r.action, r.inputs[0]) && slices.ContainsFunc(r.portions, func(p portion) bool { return larder.Pours(b.lines[p.line].food) }) {
		return b.allIn(r.inputs[0]) // what has a name of its own, poached in milk
	}
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

// onlyTo tells whether an action is done to a thing and to nothing else.
func onlyTo(a *recipe.Action, t *thing) bool {
	return len(a.To) == 1 && a.To[0].Made != nil && *a.To[0].Made == t.id && len(a.Into) == 0
}

// allIn are what a thing holds still, in the order of the list.
func (b *bindings) allIn(t *thing) (out []portion) {
	for p := range t.holds {
		if b.holder[p] == t {
			out = append(out, p)
		}
	}
	slices.SortFunc(out, func(x, y portion) int { return x.line - y.line })
	return out
}

// standsIn are the things in whose vessel stands what comes of an action: that into which others go, where there is one.
func (b *bindings) standsIn(r *roles) []*thing {
	for _, ref := range r.action.Into {
		if ref.Made != nil {
			if in := b.byID(*ref.Made); in != nil {
				return []*thing{in}
			}
		}
	}
	return r.inputs
}

// receiver is what a thing is laid on, empty where that is not said.
func (b *bindings) receiver(r *roles) string {
	words := strings.Fields(strings.ToLower(r.action.Vessel))
	if len(words) == 0 {
		return r.vessel
	}
	return last(words)
}

// stand notes in which vessel a thing stands: the one named, or that of what
// went in, unless the work takes it out of there.
func (b *bindings) stand(made *thing, t *larder.Technique, r *roles) {
	made.vessel = r.vessel
	if r.another {
		made.begun = len(b.things) + 1
	}
	if leaves := t.Leaves == "aside" || t.Family == "cut" || t.Family == "machine" || t.Family == "separate" || t.Family == "clean"; r.vessel == "" && (!leaves || joinsMade(r.action) || t.Takes == "some" && slices.ContainsFunc(r.inputs, func(in *thing) bool { return in.liquid })) {
		for _, in := range b.standsIn(r) {
			if in.vessel != "" && !b.shared[in] {
				made.vessel, made.begun = in.vessel, in.begun
			}
			if t.Name == placeTechnique && b.away(in) {
				break // "put the prawns with the egg", that lies on a plate
			}
		}
	}
	if made.vessel != "" {
		b.vessels[made.vessel] = made
	}
}
