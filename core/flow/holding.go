package flow

import (
	"cmp"
	"maps"
	"slices"

	"yembra/core/language"
	"yembra/core/larder"
)

// leftOf is the share of a portion that has not gone in yet.
func (b *bindings) leftOf(p portion) float64 {
	l := &b.lines[p.line]
	if v, known := l.left[p.part]; known {
		return v
	}
	whole, known := l.left[""]
	if !known {
		whole = 1
	}
	if egg := b.r.lang.EggParts[p.part]; egg > 0 {
		return egg * whole
	}
	if p.part == "" {
		for part := range l.left {
			whole -= b.r.lang.EggParts[part]
		}
	}
	return max(whole, 0)
}

// take notes that a share of a portion has gone in.
func (b *bindings) take(p portion, share float64) {
	left := b.leftOf(p) - share
	if b.lines[p.line].line.Amount == nil {
		left = 1
	}
	if left < leastLeft {
		left = 0
	}
	b.lines[p.line].left[p.part] = left
}

// leastLeft is a share so small that nothing is left.
const leastLeft = 0.03

// touched tells whether any of a line has gone in.
func (b *bindings) touched(line int) bool { return len(b.lines[line].left) > 0 }

// held finds the thing that holds a portion now.
func (b *bindings) held(p portion) *thing {
	if t := b.holder[p]; t != nil {
		return t
	}
	if t := b.holder[portion{p.line, ""}]; t != nil {
		return t
	}
	if p.part != "" {
		return nil
	}
	for i := len(b.things) - 1; i >= 0; i-- {
		for q := range b.things[i].holds {
			if q.line == p.line && b.holder[q] == b.things[i] {
				return b.things[i]
			}
		}
	}
	return nil
}

// reserved finds what was put by of a portion and has not been used.
func (b *bindings) reserved(p portion) *thing {
	for i := len(b.things) - 1; i >= 0; i-- {
		if t := b.things[i]; t.putBy && !t.spent && t.holds[p] {
			return t
		}
	}
	return nil
}

// make adds what an action made: it holds all that its inputs held, and goes by
// the names of the first.
func (b *bindings) make(id string, inputs []*thing, portions []portion, names ...string) *thing {
	kept, own := map[portion]bool{}, map[portion]bool{} // what stays where it is, as only a share goes
	apart := map[*thing]bool{}
	t := &thing{id: id, holds: map[portion]bool{}, names: map[string]bool{}, comp: b.comp, left: 1}
	for _, in := range inputs {
		t.fried = t.fried || in.fried
		if named := slices.DeleteFunc(slices.Clone(portions), func(p portion) bool { return !in.holds[p] }); len(named) > 0 && (in.apart || slices.Contains(b.restsOf, in) || (in.strained || b.liftsOut()) && b.besideLiquid(in, named) || b.takesLiquor() && b.onlyLiquid(in, named)) {
			apart[in] = true
			for _, p := range named {
				if b.shareCut(in) && b.holder[p] != in {
					kept[p], in.spent = true, true // the rest of it lies by, cut in another way
				}
			}
			continue // only what is named goes
		}
		t.liquid, t.ladled = t.liquid || in.liquid, cmp.Or(b.ladle(in), t.ladled)
		if b.shared[in] {
			for p := range in.holds {
				t.holds[p], kept[p], t.ofShare = true, true, true
			}
			continue
		}
		in.spent, t.ofShare = true, t.ofShare || in.ofShare
		for p := range in.holds {
			switch {
			case b.holder[p] == in:
				t.holds[p], own[p] = true, true
			case in.ofShare:
				t.holds[p], kept[p] = true, true
			}
		}
	}
	b.keepNames(t, slices.DeleteFunc(slices.Clone(inputs), func(in *thing) bool { return apart[in] }), len(portions))
	for _, p := range portions {
		t.holds[p] = true
	}
	t.liquid = t.liquid || b.mostlyLiquid(portions)
	for p := range t.holds {
		if own[p] || !kept[p] {
			b.hold(p, t)
		}
	}
	for _, n := range names {
		if n != "" {
			t.names[n] = true
		}
	}
	b.things = append(b.things, t)
	return t
}

// onlyRest notes that a noun means no more than a little that lies by among other things: "any leftover flour", "the cooking liquor and
// bay leaf", of which the fish was taken out with the leaf.
func (b *bindings) onlyRest(n noun, t *thing, p portion, r *roles) {
	least := amongOthers
	if n.rest {
		least = restOfCoat
	}
	if (t.putBy || t.taken || t.out) && b.tech.Joins != "" && b.massOf(t) > least*b.weigh(map[int]bool{p.line: true}) {
		r.rests = append(r.rests, t)
	}
}

// amongOthers is how many times as much as something a thing weighs in which it is a little among others, restOfCoat where only its rest
// is said; estimates.
const (
	amongOthers = 10.0
	restOfCoat  = 2.0
)

// keepNames gives a thing the names and the part of the first thing that goes into it as a whole, and its title where nothing else does.
func (b *bindings) keepNames(t *thing, inputs []*thing, portions int) {
	if len(inputs) == 0 || len(inputs) > 1 && b.shared[inputs[0]] { // "stir in a ladle of the broth" makes no broth
		return
	}
	t.comp = inputs[0].comp
	if alone := len(inputs) == 1 && portions == 0; alone || inputs[0].title == nil {
		maps.Copy(t.names, inputs[0].names)
		if alone {
			t.title = inputs[0].title
		}
	}
}

// liftsOut tells whether the action at hand is done to what it names outside of the pot:
// "transfer the chicken to a plate", "shred the chicken", "drain the chicken".
func (b *bindings) liftsOut() bool {
	return b.tech != nil && (b.tech.Name == placeTechnique || b.tech.Name == drainTechnique || b.tech.Name == restTechnique || b.tech.Family == "cut")
}

// placeTechnique puts something where it is said, drainTechnique takes it out of a liquid; what rests lies out of it.
const (
	placeTechnique = "place"
	drainTechnique = "drain"
	pressTechnique = "press"
	restTechnique  = "rest"
	soakTechnique  = "soak"
)

// besideLiquid tells whether portions are solids of a thing that holds a liquid too:
// the clams of their broth.
func (b *bindings) besideLiquid(t *thing, named []portion) bool {
	liquid := func(p portion) bool { return larder.Pours(b.lines[p.line].food) && !b.fat(p) }
	if slices.ContainsFunc(named, liquid) {
		return false
	}
	for p := range t.holds {
		if liquid(p) {
			return true
		}
	}
	return t.strained && t.liquid // with water from the tap
}

// open tells whether a thing still is something by itself: it holds something
// that has not gone on into another.
func (b *bindings) open(t *thing) bool {
	return t.keeps > 0 || (len(t.holds) == 0 || t.ofShare) && !t.spent
}

// hold notes what holds a portion now; nil where nothing does any more.
func (b *bindings) hold(p portion, t *thing) {
	if was := b.holder[p]; was != nil && was.holds[p] {
		was.keeps--
	}
	if t == nil {
		delete(b.holder, p)
		return
	}
	b.holder[p] = t
	if t.holds[p] {
		t.keeps++
	}
}

func (b *bindings) byID(id string) *thing {
	for i := len(b.things) - 1; i >= 0; i-- { // mostly one of the last is meant
		if b.things[i].id == id {
			return b.things[i]
		}
	}
	return nil
}

// mostlyLiquid tells whether what goes in is more liquid than not.
func (b *bindings) mostlyLiquid(portions []portion) bool {
	liquid, all := 0.0, 0.0
	for _, p := range portions {
		mass := b.lines[p.line].line.Mass()
		all += mass
		if larder.Pours(b.lines[p.line].food) {
			liquid += mass
		}
	}
	return liquid > all/2
}

// holdsFat tells whether a thing is nothing but fat.
func (b *bindings) holdsFat(t *thing) bool {
	if t == nil || len(t.holds) == 0 {
		return t != nil && t.technique == heatTechnique && t.namesAny(b.r.lang.Fats)
	}
	left := false
	for p := range t.holds {
		if b.holder[p] != t && !t.ofShare {
			continue // it has been lifted out
		}
		if left = true; !b.fat(p) {
			return false
		}
	}
	return left
}

// holdsAnyFat tells whether some fat is in a thing.
func (b *bindings) holdsAnyFat(t *thing) bool {
	for p := range t.holds {
		if b.fat(p) {
			return true
		}
	}
	return false
}

// namesAny tells whether a thing goes by one of some names.
func (t *thing) namesAny(names language.Set) bool {
	for n := range t.names {
		if names[n] {
			return true
		}
	}
	return false
}

// fat tells whether a portion is next to nothing but fat.
func (b *bindings) fat(p portion) bool {
	return larder.IsFat(b.lines[p.line].food)
}

// assembled tells whether a thing was only laid out or shared into vessels.
func (b *bindings) assembled(t *thing) bool {
	if t == nil {
		return false
	}
	tech := b.r.larder.Technique(t.technique)
	return tech != nil && tech.Family == "assemble"
}
