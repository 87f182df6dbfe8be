package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// referent is what a noun turned out to mean, before shares.
type referent struct {
	portion *portion
	made    *thing
	named   string
	vessel  string
}

// resolve finds what a noun means.
func (b *bindings) resolve(n noun) []referent {
	lang := b.r.lang
	switch {
	case n.owner != nil && lang.Places[n.head()]:
		return b.resolve(*n.owner)
	case n.own, lang.Subjects[n.head()] && !n.pronoun, n.possessive && (lang.Remains[n.head()] || lang.Parts[n.head()]) && b.called(n) == nil:
		return nil
	case len(n.words) == 1 && lang.Whole[n.words[0]], len(n.words) > 0 && lang.Ingredients[n.head()] && !b.kindOfIngredient(n):
		return b.whole(n)
	case n.pronoun:
		return b.pronoun(n)
	}
	if vessel := b.vessel(n); vessel != "" {
		t := b.content(vessel)
		if t != nil && n.pointed && lang.Holding[vessel] && b.open(t) {
			return []referent{{made: t, vessel: vessel}}
		}
		return []referent{{vessel: vessel}}
	}
	if b.keptLiquor(n) {
		return []referent{{named: b.words(n)}}
	}
	if t := b.called(n); t != nil {
		return []referent{{made: t}}
	}
	if t := b.madeOfPart(n); t != nil {
		return []referent{{made: t}}
	}
	if found := b.direct(n); len(found) > 0 {
		if b.besides(n, found) {
			return []referent{{named: b.words(n)}}
		}
		if all := b.group(n); len(all) > 1 && len(n.words) == 1 && n.pointed && !slices.Contains(b.lines[found[0].portion.line].name, n.head()) {
			return all // "the fish", of which none is called so
		}
		return found
	}
	if n.owner != nil {
		if found := b.part(n); len(found) > 0 {
			return found
		}
	}
	if lang.Loose[n.head()] || lang.Remains[n.head()] && !n.rest && (b.takesAway() || b.tech.Family == "cut" || b.tech.Family == "clean" || !b.anyLeft(b.group(n))) {
		return []referent{{named: b.words(n)}}
	}
	if b.ranOut(n) {
		return []referent{{named: b.words(n)}}
	}
	if found := b.group(n); len(found) > 0 {
		if just := b.justNamed(n); just != nil {
			return []referent{*just}
		}
		return found
	}
	if lang.Ones[n.head()] {
		return b.described(n)
	}
	if t := b.product(n); t != nil {
		return []referent{{made: t}}
	}
	if found := b.unmade(n); len(found) > 0 {
		return found
	}
	if found := b.animal(n); len(found) > 0 {
		return found
	}
	if found := b.byUnit(n); len(found) > 0 {
		return found
	}
	if found := b.byKind(n); len(found) > 0 {
		return found
	}
	if t := b.ownWord(n); t != nil {
		return []referent{{made: t}}
	}
	return []referent{{named: b.words(n)}}
}

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
		if !b.mentioned[i] || !b.isOf(&b.lines[i], n.head()) || b.r.lang.Extracts[b.lines[i].food.Kind] || b.closed(i) {
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

// byUnit resolves the pieces in which the list counts a line: "each slice" of "8
// slices of bread".
func (b *bindings) byUnit(n noun) []referent {
	unit, ok := measure.ParseUnit(n.head())
	if !ok || len(n.words) != 1 || !n.pointed && !n.all {
		return nil
	}
	for i := range b.lines {
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

// ranOut tells whether "the fat" is what ran out of flesh that was fried before any
// listed fat went in.
func (b *bindings) ranOut(n noun) bool {
	if !b.r.lang.Fats[n.head()] || !n.pointed || len(n.words) != 1 {
		return false
	}
	fried := false
	for i := range b.lines {
		f := b.lines[i].food
		if f == nil || !b.touched(i) || b.lines[i].comp != b.comp {
			continue
		}
		if larder.Or(f.Per100.Fat, 0) >= mostlyFat {
			return false
		}
		t := b.held(portion{i, ""})
		fried = fried || t != nil && t.fried && (f.Animal == larder.Meat || f.Animal == larder.Poultry)
	}
	return fried
}

// keptLiquor tells whether a noun is what stays behind where something was
// lifted or drained out of it: "keep the liquid".
func (b *bindings) keptLiquor(n noun) bool {
	if !b.takesAway() || !b.r.lang.Liquors[n.head()] && !b.r.lang.Fats[n.head()] || b.last == nil {
		return false
	}
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && (t.Family == "separate" || t.Family == "cut" || t.Name == "press")
}

// kindOfIngredient tells "the dry ingredients", "the filling ingredients".
func (b *bindings) kindOfIngredient(n noun) bool {
	return slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool {
		return b.r.lang.Groups[w] != nil || b.componentNamed(w) >= 0
	})
}

// words is how the text names a thing, without articles and shares.
func (b *bindings) words(n noun) string {
	return strings.ToLower(b.text.slice(b.nameFrom(n), n.upto))
}

// nameFrom is where the name of a thing begins behind articles and shares.
func (b *bindings) nameFrom(n noun) int {
	from := n.from
	t := b.text
	for from < n.upto-1 && (t.is(from, t.lang.Articles) || t.is(from, t.lang.Pointing) || t.lang.Rests[t.low(from)] || t.lang.Prepositions[t.low(from)] == "of" ||
		t.lang.Shares[t.low(from)] > 0 || t.lang.Littles[t.low(from)] > 0 || t.number(from) || t.crosses(from) || t.lang.Measures[t.low(from)] || t.adverb(from)) {
		from++
	}
	return from
}

// pronoun resolves "it", "them", "both", "the rest".
func (b *bindings) pronoun(n noun) []referent {
	if n.all && !n.rest && n.share == 0 {
		var open []referent
		for i := len(b.things) - 1; i >= 0 && len(open) < 2; i-- {
			if b.open(b.things[i]) && b.things[i].title == nil {
				open = append(open, referent{made: b.things[i]})
			}
		}
		if len(n.words) == 0 || n.words[0] == "both" {
			slices.Reverse(open)
			return open
		}
	}
	if (n.rest || n.share > 0) && len(n.words) == 0 {
		if p := b.partlyUsed(); p != nil {
			return []referent{{portion: p}}
		}
		if t := b.begun(); n.rest && t != nil && t.held(b) {
			return []referent{{made: t}}
		}
	}
	if b.onlyVessel != "" && !n.rest {
		return []referent{{vessel: b.onlyVessel}}
	}
	if b.focus == nil {
		if n.rest {
			return b.whole(n)
		}
		return nil
	}
	if (b.tech.Medium == "fat" || b.tech.Joins == "yes" && (n.little || n.amount[1] > 0)) && b.holdsFat(b.focus) { // "heat the butter and brown them"
		if t := b.latest(func(x *thing) bool { return x.comp == b.comp && !x.putBy && !b.holdsFat(x) && b.open(x) }); t != nil {
			return []referent{{made: t}}
		}
	}
	return []referent{{made: b.focus}}
}

// partlyUsed is the line of which a share went in last and something is left.
func (b *bindings) partlyUsed() *portion {
	if b.last == nil {
		return nil
	}
	for i := range b.lines {
		for part, left := range b.lines[i].left {
			if left > 0 && left < 1 && slices.ContainsFunc(slices.Concat(b.last.To, b.last.With), func(r recipe.Ref) bool { return r.Line != nil && *r.Line == b.lines[i].ref }) {
				return &portion{i, part}
			}
		}
	}
	return nil
}

// whole resolves "everything", "all the ingredients", "the remaining
// ingredients": what of the component has not gone in, or all that is being
// worked on.
func (b *bindings) whole(n noun) []referent {
	if b.tech.Takes == "back" && b.base != nil {
		return []referent{{made: b.base}} // "return everything": what was there before
	}
	if b.goingInto && b.base != nil {
		return []referent{{made: b.base}} // "pour the sauce over everything"
	}
	var out []referent
	untouched := true
	for i := range b.lines {
		if b.closed(i) || len(b.takes) == 0 && b.lines[i].comp != b.comp || b.excepted(n, i) || b.lines[i].line.Amount == nil && b.touched(i) {
			continue
		}
		if b.leftOf(portion{i, ""}) == 1 {
			out = append(out, referent{portion: &portion{i, ""}})
		} else {
			untouched = false
		}
	}
	if untouched {
		for _, t := range b.things { // what was made aside goes in with the rest
			if t.title != nil && t.comp == b.comp && b.open(t) {
				out = append(out, referent{made: t})
			}
		}
	}
	if len(out) > 0 && (untouched || n.rest || b.r.lang.Ingredients[n.head()]) {
		return out
	}
	if alike := b.alike(); len(alike) > 1 && len(out) == 0 || len(alike) > 1 && !untouched {
		return alike // "refresh everything", of three things blanched one by one
	}
	if b.base != nil && b.besideOthers {
		return []referent{{made: b.base}} // "grind everything with the garlic": what else goes in is said
	}
	if b.base != nil {
		fresh := slices.DeleteFunc(out, func(r referent) bool {
			l := &b.lines[r.portion.line]
			return b.forTable(r.portion.line) || l.line.ToTaste || b.comesLater(l, n.upto)
		})
		return append([]referent{{made: b.base}}, fresh...)
	}
	return out
}

// alike are the last things that were made one by one in the same way.
func (b *bindings) alike() []referent {
	var out []referent
	for i := len(b.things) - 1; i >= 0 && b.things[i].technique == b.things[len(b.things)-1].technique && b.things[i].technique != ""; i-- {
		if t := b.things[i]; b.open(t) && !t.putBy {
			out = append(out, referent{made: t})
		}
	}
	slices.Reverse(out)
	return out
}

// comesLater tells whether the method speaks of a line further on.
func (b *bindings) comesLater(l *bound, from int) bool {
	for _, w := range l.name {
		if !b.r.larder.Words().Neutral[w] && b.namedAgain(w, from) > 0 {
			return true
		}
	}
	return false
}

func (b *bindings) excepted(n noun, line int) bool {
	return slices.ContainsFunc(n.except, func(x noun) bool {
		found := b.direct(x)
		if len(found) == 0 {
			found = append(b.group(x), b.animal(x)...)
		}
		return slices.ContainsFunc(found, func(r referent) bool { return r.portion != nil && r.portion.line == line })
	})
}

// besides tells whether a noun names matter that is not the listed one: water
// from the tap that is not pointed at, or a little more of what is used up
// though the line says "plus more".
func (b *bindings) besides(n noun, found []referent) bool {
	l := &b.lines[found[0].portion.line]
	if b.extra(l) {
		return true
	}
	if b.r.lang.Loose[n.head()] && !n.pointed && n.amount[1] == 0 && b.leftOf(*found[0].portion) == 1 && b.namedAgain(n.head(), n.upto) > 0 && b.tech.Family == "assemble" {
		return true // "cover with plenty of water", and later "4 cups of the water"
	}
	if b.r.lang.Loose[n.head()] && !n.pointed && n.amount[1] == 0 && !(b.tech.Medium == "" && (b.tech.Family == "machine" || b.tech.Family == "mix" || b.tech.Family == "dough") && b.leftOf(*found[0].portion) > 0) {
		return slices.ContainsFunc(n.words, func(w string) bool { return !l.said[w] && !b.r.lang.Qualifiers[w] })
	}
	if b.leftOf(*found[0].portion) > 0 {
		return false
	}
	if !n.pointed && (n.amount[1] > 0 || n.little) && l.comp != b.comp && l.line.Mass() <= mostSeasoning {
		return true // "a teaspoon of salt" that only another part lists
	}
	for w := range b.r.lang.Extras {
		if l.said[w] {
			return !n.pointed
		}
	}
	return false
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
		if slices.Contains(b.r.lang.Orders(w), b.tech.Name) {
			return true
		}
	}
	return false
}

func (b *bindings) anyLeft(found []referent) bool {
	return slices.ContainsFunc(found, func(r referent) bool { return r.portion != nil && b.leftOf(*r.portion) > 0 })
}

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
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		if len(b.takes) > 0 && !b.ofTaken(t) {
			continue // something else is made of what this step takes
		}
		if t.title != nil && b.lineHere(n) {
			continue // a line that is still whole goes by its name before what was made aside
		}
		if t.names[head] && b.open(t) && (len(n.words) == 1 || !slices.ContainsFunc(b.direct(n), func(r referent) bool { return r.portion != nil && b.leftOf(*r.portion) > 0 })) {
			return t
		}
	}
	return nil
}

// lineHere tells whether a noun names a line of the part at hand of which nothing
// has gone in.
func (b *bindings) lineHere(n noun) bool {
	return slices.ContainsFunc(b.direct(n), func(r referent) bool {
		return r.portion != nil && b.lines[r.portion.line].comp == b.comp && b.leftOf(*r.portion) == 1
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
	if len(n.words) != 1 || len(b.dish.Components) < 2 {
		return nil
	}
	c := b.componentNamed(n.head())
	if c < 0 || b.wholeName(n, larder.Words(b.dish.Components[c].Name)) || !n.pointed && last(larder.Words(b.dish.Components[c].Name)) != n.head() {
		return nil
	}
	kinds := b.r.lang.ProductHolds[n.head()]
	ofPart := func(t *thing, p portion) bool { return b.lines[p.line].comp == c && b.holder[p] == t }
	if t := b.heaviest(ofPart, func(t *thing) bool { return t.title == nil && kinds != nil && b.holdsKind(t, kinds) }); t != nil {
		return t
	}
	return b.heaviest(ofPart, func(t *thing) bool { return t.title == nil })
}

// wholeName tells whether a noun means a line rather than what was made of the part
// that bears the name.
func (b *bindings) wholeName(n noun, part []string) bool {
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

// mostSeasoning is how many grams of a line are at most a pinch that a cook takes from the
// shelf again; an estimate.
const mostSeasoning = 30.0

// shortestPart is the shortest end of a word that may name the whole.
const shortestPart = 5

// leastLikeness is how alike a noun and a line must be named.
const leastLikeness = 3.0

// anyDry stands for foods that hold next to no water.
const (
	anyDry   = "#dry"
	dryWater = 16.0
)

// anyLiquid stands for things that pour in the table of what products hold.
const anyLiquid = "#liquid"
