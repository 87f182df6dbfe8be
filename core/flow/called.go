package flow

import (
	"slices"
	"strings"
	"sync"

	"yembra/core/language"
)

// called finds a thing by a name that the text has given it.
func (b *bindings) called(n noun) *thing {
	head := n.head()
	if head == "" || n.owner != nil {
		return nil
	}
	if t := b.latest(func(t *thing) bool {
		return t.title != nil && slices.Equal(n.words, t.title) && (len(b.takes) == 0 || b.ofTaken(t))
	}); t != nil {
		return t
	}
	if t := b.byWholeName(n); t != nil {
		return t
	}
	here := sync.OnceValue(func() bool { return b.lineHere(n) })
	whole := sync.OnceValue(func() bool {
		return slices.ContainsFunc(b.direct(n), func(r referent) bool {
			return r.portion != nil && b.leftOf(*r.portion) > 0 && !b.otherHead(n, r.portion.line)
		})
	})
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		if !t.names[head] || !b.open(t) {
			continue
		}
		if len(b.takes) > 0 && !b.ofTaken(t) || b.ofOtherPart(n, t) || t.comp != b.comp && b.otherMatter(n, head, t.comp) {
			continue // something else is made of what this step takes, or it is another sauce
		}
		if (t.title != nil || t.comp != b.comp) && here() {
			continue // a line that is still whole goes by its name before what was made aside
		}
		if len(n.words) == 1 || !whole() {
			return t
		}
	}
	return nil
}

// otherHead tells whether a noun is the word for a liquid that a line only begins with: "the meat stock", beside stock
// cubes.
func (b *bindings) otherHead(n noun, line int) bool {
	own := b.lines[line].name
	return b.r.lang.Liquors[n.head()] && len(own) > 1 && own[0] == n.head() && last(own) != n.head()
}

// byWholeName finds what the text has given the very words of a noun as a name, else what goes by its
// last word and holds what the others name: "the white sauce", "the tomato sauce".
func (b *bindings) byWholeName(n noun) *thing {
	if len(n.words) < 2 || !b.r.lang.Products[n.head()] || len(b.dish.Components) > 1 {
		return nil
	}
	if slices.ContainsFunc(b.lines, func(l bound) bool { return slices.Equal(l.name, n.words) }) {
		return nil // "the soy sauce" of the list
	}
	full := strings.Join(n.words, " ")
	if t := b.latest(func(t *thing) bool { return t.names[full] }); t != nil {
		return t
	}
	if found := b.direct(n); len(found) > 0 && b.leftOf(*found[0].portion) == 0 {
		if t := b.latest(func(t *thing) bool { return t.names[n.head()] && t.holds[*found[0].portion] }); t != nil {
			return t
		}
	}
	return b.latest(func(t *thing) bool {
		return t.names[n.head()] && slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool {
			for p := range t.holds {
				if l := &b.lines[p.line]; l.said[w] || l.food != nil && slices.Contains(l.food.NameWords()[0], w) {
					return true
				}
			}
			return false
		})
	})
}

// ofOtherPart tells whether a noun says of which part of the dish a thing is, and that is another:
// "the meat sauce", beside a white one.
func (b *bindings) ofOtherPart(n noun, t *thing) bool {
	if len(b.dish.Components) < 2 {
		return false
	}
	for _, w := range n.words[:len(n.words)-1] {
		for c, name := range b.partNames {
			if slices.Contains(name, w) && slices.Contains(name, n.head()) {
				return t.comp != c
			}
		}
	}
	return false
}

// lineHere tells whether a noun names a line of the part at hand of which nothing
// has gone in.
func (b *bindings) lineHere(n noun) bool {
	return slices.ContainsFunc(b.direct(n), func(r referent) bool {
		return r.portion != nil && b.lines[r.portion.line].comp == b.comp && b.leftOf(*r.portion) == 1
	})
}

// listedWhole tells whether a noun is the last word of a line of the part at hand of which nothing has gone in.
func (b *bindings) listedWhole(n noun) bool {
	return slices.ContainsFunc(b.direct(n), func(r referent) bool {
		l := &b.lines[r.portion.line]
		return l.comp == b.comp && len(l.name) > 0 && last(l.name) == n.head() && b.leftOf(*r.portion) == 1
	})
}

// ofTaken tells whether a thing holds what the step at hand takes.
func (b *bindings) ofTaken(t *thing) bool {
	for p := range t.holds {
		if slices.Contains(b.takes, b.lines[p.line].ref) {
			return true
		}
	}
	return false
}

// madeOfPart finds what was made of the part of the dish that a noun names: "the
// kofta" of the list that bears the name.
func (b *bindings) madeOfPart(n noun) *thing {
	if len(n.words) > 1 {
		return b.madeOfNamed(n)
	}
	if len(n.words) != 1 || len(b.dish.Components) < 2 {
		return nil
	}
	c := b.componentNamed(n.head())
	if c < 0 || b.wholeName(n, c, b.partNames[c]) || !n.pointed && last(b.partNames[c]) != n.head() {
		return nil
	}
	if _, flesh := b.r.larder.Words().AnimalWords[n.head()]; flesh && c == b.comp && !b.r.lang.Products[n.head()] && (b.lineHere(n) || b.tech.Takes == "part" && len(b.animal(n)) == 1) {
		return nil // "add the chicken", that waits in the list of the part "Chicken", and "lift out the fish" of it
	}
	kinds := b.r.lang.ProductHolds[n.head()]
	ofPart := func(t *thing, p portion) bool { return b.lines[p.line].comp == c && b.holder[p] == t }
	if t := b.heaviest(ofPart, func(t *thing) bool { return t.title == nil && kinds != nil && b.holdsKind(t, kinds) }); t != nil {
		return t
	}
	made := b.heaviest(ofPart, func(t *thing) bool { return t.title == nil })
	if made != nil && c == b.comp && !b.r.lang.Products[n.head()] && b.pours(made) && b.listedWhole(n) {
		return nil // "whisk in the grits" of the part "Grits", in which only water has boiled so far
	}
	return made
}

// madeOfNamed finds what was made of another part of the dish that bears the very name of a noun, which no line has: "the
// chicken oil" of the list of that name.
func (b *bindings) madeOfNamed(n noun) *thing {
	c := slices.IndexFunc(b.partNames, func(name []string) bool { return slices.Equal(name, n.words) })
	if c < 0 || c == b.comp || len(b.takes) > 0 || slices.ContainsFunc(b.lines, func(l bound) bool { return slices.Equal(l.name, n.words) }) {
		return nil
	}
	return b.heaviest(func(t *thing, p portion) bool { return b.lines[p.line].comp == c && b.holder[p] == t }, func(t *thing) bool { return t.title == nil })
}

// goneAll tells whether all of what a noun names by a line has gone into something.
func (b *bindings) goneAll(n noun) bool {
	found := b.direct(n)
	return len(found) > 0 && !slices.ContainsFunc(found, func(r referent) bool { return b.leftOf(*r.portion) > 0 })
}

// wholeName tells whether a noun means a line rather than what was made of the part
// that bears the name, and was perhaps made just before.
func (b *bindings) wholeName(n noun, c int, part []string) bool {
	just := b.focus != nil && b.focus.comp == c && c != b.comp
	if n.pointed && (!n.rest || b.goneAll(n)) && b.r.lang.Products[n.head()] && last(part) == n.head() && (just || !b.lineHere(n)) && !slices.ContainsFunc(b.direct(n), func(r referent) bool { return len(b.lines[r.portion.line].name) == len(n.words) }) {
		return false // "the sauce" of the part "Peanut sauce", beside a line of fish sauce
	}
	return slices.ContainsFunc(b.direct(n), func(r referent) bool {
		l := &b.lines[r.portion.line]
		return !slices.Equal(part, n.words) || len(b.takes) > 0 || !n.pointed || len(l.name) == len(n.words) || n.rest
	})
}

// heaviest is the thing that holds most of some portions; of those that hold nearly as
// much, the last.
func (b *bindings) heaviest(counts func(*thing, portion) bool, fits func(*thing) bool) *thing {
	var best *thing
	most := 0.0
	for i := len(b.things) - 1; i >= 0; i-- {
		t, mass := b.things[i], 0.0
		if !b.open(t) || !fits(t) {
			continue
		}
		for p := range t.holds {
			if counts(t, p) {
				mass += max(b.lines[p.line].line.Mass(), leastLeft)
			}
		}
		if mass > muchHeavier*most {
			best, most = t, mass
		}
	}
	return best
}

// muchHeavier is how many times as heavy an earlier thing must be to be meant before a
// later one; an estimate.
const muchHeavier = 1.2

// listedMadeTo is the one line, still untouched, that the list says is cut or ground to what a noun means: "the crumbs", of
// bread blitzed to crumbs, though what is fried for the crumbs goes by that name too. Where the list says of lines below each
// other that they are to be it, it is all of them: "the glaze", of a yolk and milk to glaze.
func (b *bindings) listedMadeTo(n noun) []referent {
	var found []referent
	head, aimed := n.head(), true
	for i := range b.lines {
		l := &b.lines[i]
		at := slices.IndexFunc(l.prepared, func(w string) bool { return w == head || b.doing(w, head) })
		if at < 1 || b.r.lang.Prepositions[l.prepared[at-1]] == "for" && l.prepared[at] == head || !n.pointed || len(n.words) != 1 || !b.r.lang.Shapes[head] && !b.r.lang.Products[head] || slices.Contains(l.name, head) ||
			l.comp != b.ownPart() || b.leftOf(portion{i, ""}) < 1 || b.closed(i) || b.listedForAnother(i) && at != 1 {
			continue
		}
		aimed = aimed && (b.r.lang.Purpose[l.prepared[at-1]] || l.prepared[at] != head) && (len(found) == 0 || found[len(found)-1].portion.line == i-1)
		found = append(found, referent{portion: &portion{i, ""}})
	}
	if len(found) > 1 && !aimed {
		return nil
	}
	return found
}

// doing tells whether a word says that something is done by which a thing is called: "glazing", of a glaze.
func (b *bindings) doing(word, called string) bool {
	return slices.ContainsFunc(b.r.lang.Verb(word), func(r language.Reading) bool { return r.Form == language.Going && r.Lemma == called })
}

// byOwnName is what goes by a name that the text has given it.
func (b *bindings) byOwnName(n noun) []referent {
	if b.justPutOn(n) {
		return []referent{{made: b.focus}}
	}
	if found := b.listedMadeTo(n); found != nil {
		return found
	}
	if t := b.byItsName(n); t != nil {
		return []referent{{made: t}}
	}
	if found := b.ofTitle(n); found != nil {
		return found
	}
	if p, ok := b.usedOf(n); ok {
		return []referent{b.nowOf(p)}
	}
	if t := b.justLeft(n); t != nil {
		return []referent{{made: t}}
	}
	return b.untouchedPart(n)
}
