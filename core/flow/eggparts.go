package flow

import "yembra/core/recipe"

// partsEgg tells whether a portion is the yolk or the white of eggs that were worked whole, so that the other part stays
// where it was: "mash the yolks", of boiled eggs.
func (b *bindings) partsEgg(p portion, held *thing) bool {
	if b.r.lang.EggParts[p.part] == 0 || held.holds[p] && b.holder[p] == held && !b.holdsOtherPart(p, held) {
		return false
	}
	return len(held.holds) == 1 || b.holdsOtherPart(p, held)
}

// egg notes which part of eggs that were worked whole a reference means; of both, the whole is.
func (b *bindings) egg(p portion, held *thing, ref *recipe.Ref) {
	if ref.Part != "" && ref.Part != p.part {
		ref.Part, ref.Share = "", 1
		delete(b.shared, held)
		return
	}
	ref.Part = p.part
	for q, t := range b.holder {
		if q.line == p.line && q.part != p.part && b.r.lang.EggParts[q.part] > 0 && t != held {
			b.hold(portion{p.line, ""}, nil) // none is whole any more
			return
		}
	}
}

// holdsOtherPart tells whether a thing holds the other part of the eggs too, by its own name.
func (b *bindings) holdsOtherPart(p portion, held *thing) bool {
	for q := range held.holds {
		if q.line == p.line && q.part != p.part && b.r.lang.EggParts[q.part] > 0 && b.holder[q] == held {
			return true
		}
	}
	return false
}
