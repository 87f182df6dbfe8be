package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
)

// unmade resolves the name of a part of which nothing has been made yet: "blend
// the paste".
func (b *bindings) unmade(n noun) []referent {
	c := b.componentNamed(n.head())
	for k := 0; c < 0 && b.r.lang.Products[n.head()] && k < len(n.words)-1; k++ {
		c = b.componentNamed(n.words[k]) // "the pancake batter"
	}
	if c < 0 || len(b.dish.Components) < 2 {
		return nil
	}
	if t := b.spoonOfPot(n, c); t != nil {
		return []referent{{made: t, some: true}}
	}
	return b.component(c)
}

// spoonOfPot is what cooked last in the part at hand, where a spoonful is taken of something by the name of a part that comes
// later, of which nothing is made: "moisten it with a spoonful of the sauce".
func (b *bindings) spoonOfPot(n noun, part int) *thing {
	if part <= b.comp || gathers(b.tech) || !n.little && n.amount[1] == 0 {
		return nil
	}
	for i := range b.lines {
		if b.lines[i].comp == part && b.touched(i) {
			return nil
		}
	}
	return b.latest(func(t *thing) bool { return t.comp == b.comp && t.heated && len(t.holds) > 1 })
}

// untouchedPart are the lines of a part that bears a product's name and nothing more, and of which
// nothing has been made: "the paste" of the part "Paste", beside tomato paste in another.
func (b *bindings) untouchedPart(n noun) []referent {
	if len(n.words) != 1 || !n.pointed || n.rest || !b.r.lang.Products[n.head()] || len(b.dish.Components) < 2 {
		return nil
	}
	c := b.componentNamed(n.head())
	if c < 0 || c == b.comp || !slices.Equal(b.partNames[c], n.words) {
		return nil
	}
	if t := b.spoonOfPot(n, c); t != nil {
		return []referent{{made: t, some: true}}
	}
	for i := range b.lines {
		if b.lines[i].comp == c && b.touched(i) {
			return nil
		}
	}
	return b.component(c)
}

func (b *bindings) component(c int) []referent {
	var out []referent
	for i := range b.lines {
		if b.lines[i].comp == c && !b.forOtherWork(i) {
			out = append(out, b.nowOf(portion{i, ""}))
		}
	}
	return out
}

// unbegun tells whether work mixes what a part of the dish is made of, of which more lines
// are untouched than not.
func (b *bindings) unbegun(c int) bool {
	if b.tech == nil || !gathers(b.tech) {
		return false
	}
	whole, begun := 0, 0
	for i := range b.lines {
		switch {
		case b.lines[i].comp != c || b.forOtherWork(i):
		case b.touched(i):
			begun++
		default:
			whole++
		}
	}
	return whole > 1 && whole >= begun
}

// gathers tells whether a way of working mixes what it is done to into one, and adds it to nothing.
func gathers(t *larder.Technique) bool {
	return (t.Family == "mix" || t.Family == "dough" || t.Family == "machine") && t.Joins != "yes"
}

// allOfPart lets an order that opens a part with a name, and says nothing of what it is done to, mean all that the part
// lists: "Grind to a paste.", of the spices.
func (b *bindings) allOfPart(c *clause, t *larder.Technique, id string) {
	if len(c.objects)+len(c.links) > 0 || len(b.claims[id]) > 0 || !strings.HasSuffix(id, ".a0") || c.repeats || c.going || t.Needs != "object" || len(b.takes) > 0 || len(b.dish.Components) < 2 || b.dish.Components[b.comp].Name == "" {
		return
	}
	if !gathers(t) && (t.Family != "cut" || t.Joins == "yes" || c.makes == "") {
		return
	}
	whole := 0
	for i := range b.lines {
		if b.lines[i].comp != b.comp {
			continue
		}
		if !b.touched(i) {
			whole++
		} else if t := b.held(portion{i, ""}); t == nil || t.title == nil || !b.open(t) {
			return // but what is prepared aside waits for this
		}
	}
	if whole > 1 {
		c.objects = []noun{{from: c.from, upto: c.from, words: []string{b.r.lang.Writing.Everything}, pointed: true}}
	}
}

// forOtherWork tells whether a line says that it is for a work of its own: "butter for frying".
func (b *bindings) forOtherWork(i int) bool {
	words := larder.Words(b.lines[i].line.Text)
	for k := 0; k+1 < len(words); k++ {
		if b.r.lang.Prepositions[words[k]] == "for" && slices.ContainsFunc(b.r.lang.Verb(words[k+1]), func(r language.Reading) bool { return r.Form == language.Going }) {
			return true
		}
	}
	return false
}

// described resolves "the floury ones": the line that its list describes so, or
// what is being worked on.
func (b *bindings) described(n noun) []referent {
	for i := range b.lines {
		if len(n.words) > 1 && b.lines[i].said[n.words[0]] {
			return []referent{{portion: &portion{i, ""}}}
		}
	}
	if b.focus != nil {
		return []referent{{made: b.focus}}
	}
	return nil
}

// fewOfThem is piecesOf where a few are meant, which goes before a line that has the word in its name: "scoop out a few pieces",
// of the chorizo in the pan, and not of the pieces of cod that come later.
func (b *bindings) fewOfThem(n noun) []referent {
	if !n.little || b.working != nil && len(b.working.To) > 0 {
		return nil
	}
	return b.piecesOf(n)
}

// piecesOf is what is in hand where some of it is taken out by its shape alone: "scoop out a few slices", of
// the sausage that was fried.
func (b *bindings) piecesOf(n noun) []referent {
	if !b.takesAway() || len(n.words) != 1 || !n.plural || !b.r.lang.Shapes[n.head()] || b.focus == nil || !b.open(b.focus) {
		return nil
	}
	var found []referent
	for p := range b.focus.holds {
		if !b.fat(p) && b.holder[p] == b.focus {
			found = append(found, referent{made: b.focus, portion: &p})
		}
	}
	if len(found) != 1 {
		return nil
	}
	return found
}

// partInHand is the plant in hand where a part is named that plants have too, and no line of an animal goes by it:
// "put the whole head in a pan of water", of a cabbage that was cored.
func (b *bindings) partInHand(n noun) []referent {
	if !b.r.lang.PlantParts[n.head()] || !n.pointed || n.owner != nil || b.focus == nil || !b.open(b.focus) || len(b.focus.holds) != 1 || slices.ContainsFunc(b.lines, func(l bound) bool { return bodyCalled(l.line, n.head()) }) {
		return nil
	}
	for p := range b.focus.holds {
		if b.lines[p.line].line.Origin != larder.FromPlant {
			return nil
		}
	}
	return []referent{{made: b.focus}}
}

// piecesForFat are "the pieces" where only fat is in hand, which has none: what was worked on before it
// melted, of one thing.
func (b *bindings) piecesForFat(n noun) []referent {
	if !n.pointed || len(n.words) != 1 || !n.plural || !b.r.lang.Shapes[n.head()] || b.focus == nil || !b.onlyFat(b.focus) {
		return nil
	}
	t := b.latest(func(t *thing) bool { return b.open(t) && t.comp == b.comp && !b.onlyFat(t) })
	if t == nil {
		return nil
	}
	var found []referent
	for p := range t.holds {
		if !b.fat(p) && b.holder[p] == t {
			found = append(found, referent{made: t, portion: &p})
		}
	}
	if len(found) != 1 {
		return nil
	}
	return found
}

// onlyFat tells whether a thing holds nothing but fat.
func (b *bindings) onlyFat(t *thing) bool {
	for p := range t.holds {
		if !b.fat(p) {
			return false
		}
	}
	return len(t.holds) > 0
}
