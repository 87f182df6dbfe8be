package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// ownWord is what is in hand where a text points at it by a word of its own that names
// no food: "the stiff ragout".
func (b *bindings) ownWord(n noun) *thing {
	lang := b.r.lang
	head := n.head()
	if !n.pointed || n.owner != nil || n.possessive || b.takesAway() || b.base == nil || !b.open(b.base) || lang.Remains[head] || lang.Places[head] || lang.Parts[head] || lang.Tools[head] || lang.Fleshly[head] || lang.Heats[head] || lang.Groups[head] != nil {
		return nil
	}
	if _, known := b.r.larder.Index().At(n.words[len(n.words)-1:], 0, true); known || b.r.larder.Words().AnimalWords[head] != "" || len(b.base.holds) < 2 {
		return nil
	}
	if t := b.tech; t.Family != "dough" && t.Family != "cut" && t.Medium == "" && t.Heat == "" {
		return nil
	}
	return b.base
}

// justNamed finds what a step has named before and speaks of again by its group: "the
// beef ... the meat".
func (b *bindings) justNamed(n noun) *referent {
	if !n.pointed || n.plural || n.all || len(n.words) != 1 {
		return nil
	}
	var found *referent
	for i := range b.lines {
		if !b.mentioned[i] || b.inPhrase(i) || !b.isOf(&b.lines[i], n.head()) || b.r.lang.Extracts[b.lines[i].food.Kind] || b.closed(i) {
			continue
		}
		if found != nil {
			return nil
		}
		p := portion{i, ""}
		if t := b.held(p); t != nil && b.leftOf(p) == 0 {
			found = &referent{made: t, portion: &p}
		}
	}
	return found
}

// inPhrase tells whether the list at hand has named a line already: "the sausage and the meat" are two things.
func (b *bindings) inPhrase(line int) bool {
	return b.phrase != nil && slices.ContainsFunc(b.phrase.Nouns, func(noun recipe.Noun) bool {
		return slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
			return r.Of == b.lines[line].ref || r.Line != nil && *r.Line == b.lines[line].ref
		})
	})
}

// byKind resolves the name of another food of a kind of which one line is: "the ham" of
// prosciutto.
func (b *bindings) byKind(n noun) []referent {
	m, ok := b.r.larder.Index().At(n.words, 0, true)
	if !ok || !n.pointed || m.End != len(n.words) || m.Food.Kind == "" {
		return nil
	}
	var found []referent
	for i := range b.lines {
		if f := b.lines[i].food; f != nil && f.Kind == m.Food.Kind && f.Animal == m.Food.Animal && !b.closed(i) {
			found = append(found, referent{portion: &portion{i, ""}})
		}
	}
	if len(found) != 1 {
		return nil
	}
	return found
}

// byFoodName resolves the wider name of a food of which the list gives the narrower: "the
// lettuce" of romaine, "the bread" of sourdough.
func (b *bindings) byFoodName(n noun) []referent {
	lang, vocab := b.r.lang, b.r.larder.Words()
	if head := n.head(); !n.pointed || n.owner != nil || lang.Shapes[head] || lang.Measures[head] || lang.Parts[head] || vocab.Parts[head] || vocab.AnimalWords[head] != "" {
		return nil
	}
	var found []referent
	for i := range b.lines {
		f := b.lines[i].food
		if f == nil || b.closed(i) || b.dishOfItsOwn(n, &b.lines[i], n.head()) {
			continue
		}
		for _, words := range f.NameWords() {
			if len(words) > 1 && last(words) == n.head() {
				found = append(found, referent{portion: &portion{i, ""}})
				break
			}
		}
	}
	if len(found) != 1 {
		return nil
	}
	return found
}

// cutShort resolves the name of a sauce of which the last word is left out: "soy" of dark
// soy sauce.
func (b *bindings) cutShort(n noun) []referent {
	if len(n.words) != 1 {
		return nil
	}
	if m, ok := b.r.larder.Index().At(n.words, 0, true); ok && n.pointed && m.Food.Animal != "" {
		return nil // "the fish" is not its sauce
	}
	best := -1
	for i := range b.lines {
		l := &b.lines[i]
		if k := len(l.name); k > 1 && l.name[k-2] == n.head() && l.food != nil && b.r.lang.Products[l.name[k-1]] && b.leftOf(portion{i, ""}) == 1 && !b.closed(i) && (best < 0 || l.comp == b.comp && b.lines[best].comp != b.comp) {
			best = i
		}
	}
	if best < 0 {
		return nil
	}
	return []referent{{portion: &portion{best, ""}}}
}

// byUnit resolves the pieces in which the list counts a line: "each slice" of "8
// slices of bread".
func (b *bindings) byUnit(n noun) []referent {
	unit, ok := b.r.lang.Lines.Unit(n.head())
	counted := !n.pointed && !n.all && n.amount[1] > 0 // "two slices", of the bread in hand
	if !ok || len(n.words) != 1 || !n.pointed && !n.all && !counted {
		return nil
	}
	for i := range b.lines {
		if counted && (b.focus == nil || b.held(portion{i, ""}) != b.focus) {
			continue
		}
		l := b.lines[i].line
		if b.closed(i) || l.Amount == nil || l.Amount.Unit != unit || b.lines[i].comp != b.comp {
			continue
		}
		p := portion{i, ""}
		if t := b.held(p); t != nil && b.leftOf(p) == 0 {
			return []referent{{made: t}}
		}
		return []referent{{portion: &p}}
	}
	return nil
}

// restByUnit resolves the pieces that are left of a line of which some have gone in:
// "the other slices".
func (b *bindings) restByUnit(n noun) []referent {
	if !n.rest {
		return nil
	}
	return slices.DeleteFunc(b.byUnit(n), func(r referent) bool {
		return r.portion == nil || b.leftOf(*r.portion) == 1
	})
}

// restOfUnit resolves what is left of a line by no more than its measure: "the other tablespoon".
func (b *bindings) restOfUnit(n noun) []referent {
	if !n.rest || n.upto < 1 {
		return nil
	}
	unit, ok := b.r.lang.Lines.Unit(b.text.lastOf(n))
	if !ok {
		return nil
	}
	for i := range b.lines {
		p := portion{i, ""}
		if l := b.lines[i].line; !b.closed(i) && l.Amount != nil && l.Amount.Unit == unit && b.lines[i].comp == b.comp && b.leftOf(p) > 0 && b.leftOf(p) < 1 {
			return []referent{{portion: &p}}
		}
	}
	return nil
}

// besides tells whether a noun names matter that is not the listed one: water
// from the tap that is not pointed at, or a little more of what is used up
// though the line says "plus more".
func (b *bindings) besides(n noun, found []referent) bool {
	l := &b.lines[found[0].portion.line]
	if b.extra(l) || b.goneIn(n, found[0]) {
		return true
	}
	if b.r.lang.Loose[n.head()] && !n.pointed && n.amount[1] == 0 && b.leftOf(*found[0].portion) == 1 && b.namedAgain(n.head(), n.upto) > 0 && b.tech.Family == "assemble" && !b.text.conj(n.from-1) {
		return true // "cover with plenty of water", and later "4 cups of the water", but not "the fish, lemongrass and water"
	}
	if b.r.lang.Loose[n.head()] && !n.pointed && n.amount[1] == 0 && !(b.tech.Medium == "" && (b.tech.Family == "machine" || b.tech.Family == "mix" || b.tech.Family == "dough") && b.leftOf(*found[0].portion) > 0) {
		return slices.ContainsFunc(n.words, func(w string) bool { return !l.said[w] && !b.r.lang.Qualifiers[w] })
	}
	if b.leftOf(*found[0].portion) > 0 {
		return false
	}
	if !n.pointed && b.tech.Closes == larder.ClosesTable && slices.ContainsFunc(b.text.words[n.from:n.upto], func(w word) bool { return b.r.lang.Additional[w.low] }) {
		return true // "serve with more dill", of which all is in the meatballs
	}
	if t := b.held(*found[0].portion); b.tech.Name == greaseTechnique && !n.pointed && !n.rest && n.share == 0 && t != nil && len(t.holds) > 1 {
		return true // "grease the pan with lard", of which all is in the dough
	}
	if b.forTheTable(n, *found[0].portion) {
		return true // "eat with butter", of which all is in the bread
	}
	if !n.pointed && !n.rest && (n.amount[1] > 0 || n.little || b.tech.Name == "season" && l.comp != b.comp) && (l.comp != b.comp || b.workedIn(found[0])) && l.line.Mass() <= mostSeasoning {
		return true // "a teaspoon of salt" that only another part lists, "a spoonful of starch" beside that in the dough, "season with salt"
	}
	for w := range b.r.lang.Extras {
		if l.said[w] {
			return !n.pointed
		}
	}
	return false
}

// goneIn tells whether a noun means more from the tap, as what the list has of it is in
// something else by now: "a splash of water", when the dough holds the listed water.
func (b *bindings) goneIn(n noun, found referent) bool {
	if !b.r.lang.Loose[n.head()] || n.pointed || n.rest || b.leftOf(*found.portion) > 0 {
		return false
	}
	t := b.held(*found.portion)
	return t != nil && len(t.holds) > 1
}

// extra tells whether a line sets something more aside for just this work: "120 g
// flour, plus extra for dusting".
func (b *bindings) extra(l *bound) bool {
	more := false
	for w := range b.r.lang.Extras {
		more = more || l.said[w]
	}
	if !more {
		return false
	}
	for w := range l.said {
		if slices.Contains(b.r.lang.Orders(w), b.tech.Name) || b.tech.Name == greaseTechnique && b.r.lang.Vessels[w] {
			return true // "plus more for the pan"
		}
	}
	return false
}

func (b *bindings) anyLeft(found []referent) bool {
	return slices.ContainsFunc(found, func(r referent) bool { return r.portion != nil && b.leftOf(*r.portion) > 0 })
}

// mostSeasoning is how many grams of a line are at most a pinch that a cook takes from the
// shelf again; an estimate.
const mostSeasoning = 30.0

// counted are so many lines of one part as a noun says, where the part has just as many that go
// by its name and are untouched: "the three milks".
func (b *bindings) counted(n noun) []referent {
	if !n.plural || !n.pointed || len(n.words) == 0 || len(n.words) > 2 {
		return nil
	}
	count := b.r.lang.Lines.Figures.Numbers[n.words[0]]
	for c := range b.dish.Components {
		var found []referent
		called := slices.Contains(b.partNames[c], n.head()) // "the three milks", of which one is a cream in the part "Milks"
		for i := range b.lines {
			if l := &b.lines[i]; l.comp == c && len(l.name) > 0 && (called || last(l.name) == n.head()) && b.leftOf(portion{i, ""}) == 1 {
				found = append(found, referent{portion: &portion{i, ""}})
			}
		}
		if count > 1 && float64(len(found)) == count {
			return found
		}
	}
	return nil
}

// forTheTable tells whether a fat or something of milk is eaten with a dish that holds all of what the
// list has of it, worked in with other things.
func (b *bindings) forTheTable(n noun, p portion) bool {
	f := b.lines[p.line].food
	if f == nil || b.tech.Closes != larder.ClosesTable || n.pointed || n.rest || n.share > 0 || n.owner != nil || !b.fat(p) && f.Animal != larder.Dairy {
		return false
	}
	t := b.held(p)
	return t != nil && len(t.holds) > 1
}
