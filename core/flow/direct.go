package flow

import (
	"slices"

	"yembra/core/larder"
)

// direct finds lines by their names.
func (b *bindings) direct(n noun) []referent {
	best, top, apart := []int{}, 0.0, b.apart(n.words)
	for i := range b.lines {
		if b.closed(i) {
			continue
		}
		s := b.likeness(n, apart, i)
		if s < leastLikeness || b.saidUncooked(n) && b.cookedUp(portion{i, ""}) {
			continue // "the raw beef" is no bones that gave a broth
		}
		if fit := b.meantForWork(i); fit >= 0 || !b.lastToServe(n, i) {
			s += fit
		}
		if b.lines[i].comp == b.ownPart() && len(b.takes) == 0 { // what is prepared for several parts is of all
			s += 0.5
		}
		s += b.fresh(n, i)
		if !n.pointed && b.extra(&b.lines[i]) && b.lines[i].comp == b.ownPart() {
			s += 0.75 // "butter the pan", of butter "plus more for the pan"
		}
		if b.onlyVessel != "" && b.tech.Family == "coat" && b.forVessel(i) {
			s += 1.5 // "dust it with sugar", of a dish that the list has sugar for
		}
		switch left := b.leftOf(portion{i, ""}); {
		case left > 0 && left < 1:
			s += 0.3
		case left == 1 && n.rest && b.lines[i].comp != b.ownPart() && !b.another(n):
			s -= 0.25 // of another part nothing was taken that could leave a rest
		case left == 1 && n.rest:
			s += 0.3 // rather than what is used up
		case left == 1:
			s += 0.25
		case n.rest:
			s -= 0.5
		}
		switch {
		case s > top, s == top && len(b.takes) == 0 && b.lines[best[0]].comp != b.ownPart() && b.lines[i].comp == b.ownPart(): // of two, the part's own
			best, top = []int{i}, s
		case s == top && (len(b.takes) > 0 || b.lines[best[0]].comp != b.ownPart() || b.lines[i].comp == b.ownPart()):
			best = append(best, i)
		}
	}
	if len(best) == 0 {
		return nil
	}
	switch {
	case len(b.takes) > 0: // one thing made for several lines
	case n.all:
		best = b.kin(n, best[0])
	case !n.plural || !n.pointed && !n.led || !b.sameHead(best) && !b.allOf(n.head(), best):
		best = best[:1]
	}
	var out []referent
	for _, i := range best {
		out = append(out, referent{portion: &portion{i, b.partOf(n, i)}})
	}
	return out
}

// fresh is what speaks for a line beside its name, or against it, by what became of it so far.
func (b *bindings) fresh(n noun, i int) (s float64) {
	if b.mixedIn(portion{i, ""}) && !(b.goingInto && n.pointed && b.held(portion{i, ""}) == b.focus) { // but "add the milk to the butter", which has vinegar in it
		s -= 0.6 // "heat the oil", of which one has gone into the filling
	}
	if b.alone(portion{i, ""}) {
		s += 0.2 // "an egg", of those that were fried, and not of that in the mince
	}
	if b.saysAmount(n, i) && (b.lines[i].comp == b.ownPart() || b.leftOf(portion{i, ""}) > 0) {
		s++ // "the 40 g butter", besides what is for the dish
	}
	if name := b.lines[i].name; len(name) > 1 && b.r.lang.Remains[last(name)] && last(name) != n.head() {
		s -= 0.75 // "the chicken" is rather its breast than its skin
	}
	if f := b.lines[i].food; n.cut && f != nil && f.Tagged(larder.GroundSpice) {
		s -= 1.5 // "slices of tomato and pepper"
	}
	if b.tech.Family == "separate" && n.pointed && !n.rest && b.liquidInHand(i) {
		s += 0.75 // "strain the milk", of what the fish was poached in
	}
	return s
}

// cookedUp tells whether all of a line has gone in and was over a fire.
func (b *bindings) cookedUp(p portion) bool {
	t := b.held(p)
	return t != nil && t.heated && b.leftOf(p) == 0
}

// saidUncooked tells whether a noun means what has not been cooked.
func (b *bindings) saidUncooked(n noun) bool {
	for i := n.from; i < n.upto; i++ {
		if b.r.lang.Uncooked[b.text.low(i)] {
			return true
		}
	}
	return false
}

// alone tells whether a line is all used, and stands by itself still, or in its fat.
func (b *bindings) alone(p portion) bool {
	t := b.held(p)
	if t == nil || b.leftOf(p) > 0 || !b.open(t) || t.spent {
		return false
	}
	for o := range t.holds {
		if o.line != p.line && !b.fat(o) {
			return false
		}
	}
	return true
}

// liquidInHand tells whether a line pours and is in something that was cooked.
func (b *bindings) liquidInHand(i int) bool {
	if !larder.Pours(b.lines[i].food) || b.leftOf(portion{i, ""}) > 0 {
		return false
	}
	t := b.held(portion{i, ""})
	if t == nil || !b.open(t) || !t.heated || t.comp != b.comp {
		return false
	}
	var in []portion
	for p := range t.holds {
		if b.holder[p] == t {
			in = append(in, p)
		}
	}
	return b.mostlyLiquid(in) // the milk that fish was lifted out of, and not that in a mash
}

// another tells whether a noun means a second thing of its name: "the other cream".
func (b *bindings) another(n noun) bool {
	for i := n.from; i < n.upto; i++ {
		if b.r.lang.Another[b.text.low(i)] {
			return true
		}
	}
	return false
}

// saysAmount tells whether a noun says the very amount of a line.
func (b *bindings) saysAmount(n noun, i int) bool {
	l := b.lines[i].line
	if n.amount[1] == 0 || l.Amount == nil {
		return false
	}
	said := b.r.Line(b.text.slice(n.amount[0], n.amount[1])+" "+l.Name, b.system())
	return said.Amount != nil && said.Amount.Unit == l.Amount.Unit && said.Amount.Low == l.Amount.Low
}

// allOf tells whether a word names a group that all of some lines are of: "the minced meats", of pork and veal.
func (b *bindings) allOf(word string, lines []int) bool {
	return !slices.ContainsFunc(lines, func(i int) bool { return !b.isOf(&b.lines[i], word) })
}

// isOf tells whether a line is of the group that a word names.
func (b *bindings) isOf(l *bound, group string) bool {
	kinds := b.r.lang.Groups[group]
	return l.food != nil && (slices.Contains(kinds, l.food.Kind) || slices.Contains(kinds, string(l.food.Animal)))
}

// closed tells whether the step at hand cannot mean a line: it is for the steps
// that prepare something of it, or they are the only ones it may be for.
func (b *bindings) closed(i int) bool {
	if len(b.takes) > 0 {
		return !slices.Contains(b.takes, b.lines[i].ref)
	}
	return b.kept[b.lines[i].ref]
}

// workSaid tells whether a line says that it is for the work at hand, and whether for another: "1 egg, beaten, for glazing".
func (b *bindings) workSaid(i int) (own, other bool) {
	if b.tech == nil {
		return false, false
	}
	l := &b.lines[i]
	words := l.prepared
	at := slices.IndexFunc(words, func(w string) bool { return b.r.lang.Prepositions[w] == "for" || b.r.lang.Purpose[w] })
	if at < 0 {
		return false, false
	}
	for _, w := range words[at+1:] {
		orders := b.r.lang.Orders(w)
		if slices.Contains(orders, b.tech.Name) || b.tech.Family == "assemble" && slices.ContainsFunc(orders, b.atTable) || b.tech.Family == "coat" && slices.ContainsFunc(orders, b.coating) || (b.tech.Family == "gentle heat" || b.tech.Medium == "fat") && slices.ContainsFunc(orders, b.inFatWork) {
			return true, false
		}
		other = other || len(orders) > 0
	}
	return false, other
}

// meantForWork is what speaks for a line, or against it, by the work that its list or the text has it for.
func (b *bindings) meantForWork(i int) float64 {
	switch own, other := b.workSaid(i); {
	case other:
		return -0.75
	case own && b.tech.Family == "coat", b.coatsWith(i):
		return 0.4
	}
	return 0
}

// coatsWith tells whether a line was what the last coat was of: "brush the edges with the beaten egg", and then all over "with egg".
func (b *bindings) coatsWith(i int) bool {
	return b.tech != nil && b.coated[b.tech.Name] == b.lines[i].ref
}

// coating tells whether a technique puts a coat on something: what is "for glazing" is
// brushed on.
func (b *bindings) coating(name string) bool {
	t := b.r.larder.Technique(name)
	return t != nil && t.Family == "coat"
}

// atTable tells whether a technique serves: what is "to serve" is what the dish is topped with.
func (b *bindings) atTable(name string) bool {
	t := b.r.larder.Technique(name)
	return t != nil && t.Closes == larder.ClosesTable
}

// mixedIn tells whether a fat has gone into something else, so that it cannot be meant by
// itself any more.
func (b *bindings) mixedIn(p portion) bool {
	if !b.fat(p) || b.leftOf(p) > 0 {
		return false
	}
	t := b.held(p)
	return t != nil && !b.holdsFat(t)
}

// forVessel tells whether a line says that it is for the vessel at hand.
func (b *bindings) forVessel(i int) bool {
	words := b.lines[i].prepared
	at := slices.IndexFunc(words, func(w string) bool { return b.r.lang.Prepositions[w] == "for" })
	return at >= 0 && slices.Contains(words[at+1:], b.onlyVessel)
}

// inFatWork tells whether a technique is done in fat that is heated for it.
func (b *bindings) inFatWork(name string) bool {
	t := b.r.larder.Technique(name)
	return t != nil && t.Medium == "fat"
}

// kin are the lines of a part that a noun means all of, as it names one of them:
// the red onion and the white by "both onions".
func (b *bindings) kin(n noun, line int) []int {
	var out []int
	for i := range b.lines {
		if i == line || b.likeness(n, b.apart(n.words), i) >= leastLikeness && b.sameHead([]int{line, i}) {
			out = append(out, i)
		}
	}
	return out
}

// sameHead tells whether lines bear the same name, so that "the peppers" may be
// both.
func (b *bindings) sameHead(lines []int) bool {
	first := b.lines[lines[0]].name
	return len(first) > 0 && !slices.ContainsFunc(lines[1:], func(i int) bool {
		name := b.lines[i].name
		return len(name) == 0 || name[len(name)-1] != first[len(first)-1] || b.lines[i].comp != b.lines[lines[0]].comp
	})
}

// partOf is the part of a line that a noun names: "yolks", "lemon zest".
func (b *bindings) partOf(n noun, i int) string {
	head := n.head()
	if f := b.lines[i].food; b.r.lang.EggParts[head] > 0 && !slices.Contains(b.lines[i].name, head) && (f == nil || f.Animal == "" || f.Animal == larder.Egg) {
		return head
	}
	if (b.r.lang.Parts[head] || b.r.lang.Fleshly[head]) && len(n.words) > 1 && !slices.Contains(b.lines[i].name, head) {
		return head
	}
	return ""
}

// part resolves "the juice of 1 lime", "the meat from the bones".
func (b *bindings) part(n noun) []referent {
	out := b.resolve(*n.owner)
	for i := range out {
		if b.r.lang.Fleshly[n.head()] && b.tech.Family == "cut" && b.tech.Takes == "" {
			continue // "snip the fat of the chops": it stays on them
		}
		if p := out[i].portion; p != nil && p.part == "" && n.owner.amount[1] == 0 && b.r.lang.Parts[n.head()] {
			p.part = n.head()
		}
	}
	return out
}
