package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// ingredient is the word by which methods mean lines as such.
const ingredient = "ingredient"

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
	case n.own, lang.Subjects[n.head()] && !n.pronoun, n.possessive && lang.Remains[n.head()] && b.called(n) == nil:
		return nil
	case len(n.words) == 1 && lang.Whole[n.words[0]], len(n.words) > 0 && n.head() == ingredient && !b.kindOfIngredient(n):
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
	if found := b.direct(n); len(found) > 0 && !b.besides(n, found) {
		return found
	}
	if n.owner != nil {
		if found := b.part(n); len(found) > 0 {
			return found
		}
	}
	if lang.Loose[n.head()] || lang.Remains[n.head()] && !n.rest && (b.takesAway() || !b.anyLeft(b.group(n))) {
		return []referent{{named: b.words(n)}}
	}
	if found := b.group(n); len(found) > 0 {
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
	return []referent{{named: b.words(n)}}
}

// keptLiquor tells whether a noun is what stays behind where something was
// lifted or drained out of it: "keep the liquid".
func (b *bindings) keptLiquor(n noun) bool {
	if !b.takesAway() || !b.r.lang.Liquors[n.head()] || b.last == nil {
		return false
	}
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && (t.Family == "separate" || t.Family == "cut" || t.Name == "press")
}

// content is what a vessel holds: what was put there by that name, or what stands
// in any pot, or what is being worked on when no pot has been named.
func (b *bindings) content(vessel string) *thing {
	if t := b.vessels[vessel]; t != nil && b.open(t) {
		return t
	}
	pots := b.r.lang.Pots
	if !pots[vessel] {
		return nil
	}
	named := false
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		named = named || pots[t.vessel]
		if pots[t.vessel] && b.open(t) && !b.goesIn(t) {
			return t
		}
	}
	if named || b.base == nil || b.goesIn(b.base) {
		return nil
	}
	return b.base
}

// goesIn tells whether a thing is what the action being bound puts somewhere.
func (b *bindings) goesIn(t *thing) bool {
	if b.working == nil {
		return false
	}
	if len(b.working.To) == 0 {
		return t == b.focus
	}
	return slices.ContainsFunc(b.working.To, func(r recipe.Ref) bool { return r.Made != nil && *r.Made == t.id })
}

// kindOfIngredient tells "the dry ingredients", "the filling ingredients".
func (b *bindings) kindOfIngredient(n noun) bool {
	return slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool {
		return b.r.lang.Groups[w] != nil || b.componentNamed(w) >= 0
	})
}

// words is how the text names a thing, without articles and shares.
func (b *bindings) words(n noun) string {
	from := n.from
	t := b.text
	for from < n.upto-1 && (t.is(from, t.lang.Articles) || t.is(from, t.lang.Pointing) || t.lang.Rests[t.low(from)] || t.lang.Prepositions[t.low(from)] == "of" ||
		t.lang.Shares[t.low(from)] > 0 || t.lang.Littles[t.low(from)] > 0 || t.number(from) || t.lang.Measures[t.low(from)] || t.adverb(from)) {
		from++
	}
	return strings.ToLower(t.slice(from, n.upto))
}

// vessel is the vessel or tool that a noun names, empty when it is none.
func (b *bindings) vessel(n noun) string {
	if n.owner != nil && b.text.lang.Measures[n.head()] {
		return ""
	}
	if len(n.words) == 0 || len(b.direct(n)) > 0 && len(n.words) > 1 {
		return ""
	}
	head := n.head()
	raw := head
	if n.upto > 0 && n.owner == nil {
		raw = b.text.low(n.upto - 1)
	}
	if b.r.lang.Vessels[raw] || b.r.lang.Vessels[head] {
		if b.r.lang.Products[head] && b.called(n) != nil {
			return ""
		}
		return head
	}
	return ""
}

// pronoun resolves "it", "them", "both", "the rest".
func (b *bindings) pronoun(n noun) []referent {
	if n.all && !n.rest && n.share == 0 {
		var open []referent
		for i := len(b.things) - 1; i >= 0 && len(open) < 2; i-- {
			if b.open(b.things[i]) {
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
	var out []referent
	untouched := true
	for i := range b.lines {
		if b.lines[i].comp != b.comp || b.excepted(n, i) {
			continue
		}
		if b.leftOf(portion{i, ""}) == 1 {
			out = append(out, referent{portion: &portion{i, ""}})
		} else {
			untouched = false
		}
	}
	if len(out) > 0 && (untouched || n.rest || n.head() == ingredient) {
		return out
	}
	if b.base != nil {
		fresh := slices.DeleteFunc(out, func(r referent) bool { return b.forTable(r.portion.line) || b.lines[r.portion.line].line.ToTaste })
		return append([]referent{{made: b.base}}, fresh...)
	}
	return out
}

func (b *bindings) excepted(n noun, line int) bool {
	return slices.ContainsFunc(n.except, func(x noun) bool {
		return slices.ContainsFunc(b.direct(x), func(r referent) bool { return r.portion.line == line })
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
	if b.r.lang.Loose[n.head()] && !n.pointed && n.amount[1] == 0 && !(b.tech.Medium == "" && (b.tech.Family == "machine" || b.tech.Family == "mix" || b.tech.Family == "dough") && b.leftOf(*found[0].portion) > 0) {
		return slices.ContainsFunc(n.words, func(w string) bool { return !l.said[w] && !b.r.lang.Qualifiers[w] })
	}
	if b.leftOf(*found[0].portion) > 0 {
		return false
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
		if b.r.lang.Orders(w, b.tech.Name) {
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
	for i := len(b.things) - 1; i >= 0; i-- {
		t := b.things[i]
		if t.names[head] && b.open(t) && (len(n.words) == 1 || !slices.ContainsFunc(b.direct(n), func(r referent) bool { return r.portion != nil && b.leftOf(*r.portion) > 0 })) {
			return t
		}
	}
	return nil
}

// direct finds lines by their names.
func (b *bindings) direct(n noun) []referent {
	best, top := []int{}, 0.0
	for i := range b.lines {
		s := b.likeness(n, i)
		if s < leastLikeness {
			continue
		}
		if b.lines[i].comp == b.comp {
			s += 0.5
		}
		switch left := b.leftOf(portion{i, ""}); {
		case left > 0 && left < 1:
			s += 0.3
		case left == 1:
			s += 0.25
		case n.rest:
			s -= 0.5
		}
		switch {
		case s > top:
			best, top = []int{i}, s
		case s == top:
			best = append(best, i)
		}
	}
	if len(best) == 0 {
		return nil
	}
	if !n.all && !(n.plural && n.pointed && b.sameHead(best)) {
		best = best[:1]
	}
	var out []referent
	for _, i := range best {
		out = append(out, referent{portion: &portion{i, b.partOf(n, i)}})
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

// shortestPart is the shortest end of a word that may name the whole.
const shortestPart = 5

// leastLikeness is how alike a noun and a line must be named.
const leastLikeness = 3.0

// likeness weighs how well a noun names a line.
func (b *bindings) likeness(n noun, i int) float64 {
	l := &b.lines[i]
	words := n.words
	vocab := b.r.larder.Words()
	for len(words) > 1 && (vocab.Parts[words[len(words)-1]] || b.r.lang.Parts[words[len(words)-1]] || b.r.lang.Shapes[words[len(words)-1]]) && !slices.Contains(l.name, words[len(words)-1]) {
		words = words[:len(words)-1]
	}
	if len(words) == 0 {
		return 0
	}
	head := words[len(words)-1]
	if _, animal := vocab.AnimalWords[head]; animal && len(words) == 1 && !n.pointed && !b.r.lang.StandIns[head] && (l.line.Origin == larder.FromPlant || l.line.Origin == larder.FromFungus) {
		return 0 // a knob of butter is no peanut butter
	}
	score := 0.0
	if m, ok := b.r.larder.Index().At(words, 0, true); ok && m.End == len(words) && l.food != nil && m.Food.ID == l.food.ID {
		score = 5
	}
	for _, name := range append([][]string{l.name}, l.also...) {
		at := slices.Index(name, head)
		switch {
		case at < 0:
		case at == len(name)-1 || vocab.Parts[name[len(name)-1]] || b.r.lang.Parts[name[len(name)-1]]:
			score = max(score, 4.5)
		case !b.otherFood(name, at, l):
			score = max(score, 3.5)
		}
		if len(name) > 0 && at < 0 && len(head) >= shortestPart && strings.HasSuffix(name[len(name)-1], head) {
			score = max(score, 3.2) // "the sprouts" of beansprouts
		}
	}
	if len(words) == 1 && b.r.lang.Parts[head] && l.said[head] && !slices.Contains(l.name, head) && l.food != nil && l.food.Aisle == "fruit" {
		score = max(score, 3.5)
	}
	if b.r.lang.EggParts[head] > 0 && l.food != nil && l.food.Kind == "egg" && !slices.Contains(l.name, head) {
		score = max(score, 4)
	}
	if score == 0 && l.said[head] && n.pointed && !b.r.lang.Products[head] && l.food != nil && !vocab.Neutral[head] && b.inPreparation(head, l) {
		score = leastLikeness // "cut into chips"
	}
	if score == 0 {
		return 0
	}
	for _, w := range words[:len(words)-1] {
		switch {
		case slices.Contains(l.name, w), l.said[w]:
			score++
		case !vocab.Neutral[w]:
			score -= 2
		}
	}
	return score
}

// inPreparation tells whether a word says what a line is cut or made into.
func (b *bindings) inPreparation(w string, l *bound) bool {
	return slices.Contains(larder.Words(l.line.Preparation), w)
}

// otherFood tells whether a word inside a line's name would mean another food by
// itself: "butter" in "butter beans".
func (b *bindings) otherFood(name []string, at int, l *bound) bool {
	m, ok := b.r.larder.Index().At(name[at:at+1], 0, true)
	if ok && l.food != nil && (m.Food.Animal != "" && m.Food.Animal == l.food.Animal || m.Food.Kind != "" && m.Food.Kind == l.food.Kind) {
		return false
	}
	return ok && (l.food == nil || m.Food.ID != l.food.ID) && at < len(name)-1
}

// partOf is the part of a line that a noun names: "yolks", "lemon zest".
func (b *bindings) partOf(n noun, i int) string {
	head := n.head()
	if b.r.lang.EggParts[head] > 0 && !slices.Contains(b.lines[i].name, head) {
		return head
	}
	if b.r.lang.Parts[head] && len(n.words) > 1 && !slices.Contains(b.lines[i].name, head) {
		return head
	}
	return ""
}

// part resolves "the juice of 1 lime", "the meat from the bones".
func (b *bindings) part(n noun) []referent {
	out := b.resolve(*n.owner)
	for i := range out {
		if p := out[i].portion; p != nil && p.part == "" && n.owner.amount[1] == 0 && b.r.lang.Parts[n.head()] {
			p.part = n.head()
		}
	}
	return out
}

// group resolves a word that means several lines: "the spices".
func (b *bindings) group(n noun) []referent {
	key := n.head()
	if key == ingredient {
		for _, w := range n.words {
			if c := b.componentNamed(w); c >= 0 {
				return b.component(c)
			}
			if b.r.lang.Groups[w] != nil {
				key = w
			}
		}
	}
	kinds := b.r.lang.Groups[key]
	if kinds == nil {
		return nil
	}
	var fresh, used []referent
	own := false
	for i := range b.lines {
		f := b.lines[i].food
		if f == nil || b.r.lang.Extracts[f.Kind] && !slices.Contains(kinds, f.Kind) && !slices.Contains(kinds, f.Aisle) || !(slices.Contains(kinds, anyDry) && larder.Or(f.Per100.Water, 100) <= dryWater && larder.Or(f.Per100.Fat, 0) < mostlyFat) && !slices.Contains(kinds, f.Aisle) && !slices.Contains(kinds, f.Kind) && !slices.Contains(kinds, f.ID) && !slices.Contains(kinds, string(f.Animal)) {
			continue
		}
		r := referent{portion: &portion{i, ""}}
		switch {
		case b.leftOf(*r.portion) == 0, b.touched(i) && !n.rest:
			r.made = b.held(*r.portion)
			used = append(used, r)
			own = own || b.lines[i].comp == b.comp
		case b.lines[i].comp == b.comp:
			fresh = append(fresh, r)
		}
	}
	if len(fresh) > 0 {
		return fresh
	}
	if own {
		used = slices.DeleteFunc(used, func(r referent) bool { return b.lines[r.portion.line].comp != b.comp })
	}
	return used
}

func (b *bindings) component(c int) []referent {
	var out []referent
	for i := range b.lines {
		if b.lines[i].comp == c {
			out = append(out, referent{portion: &portion{i, ""}})
		}
	}
	return out
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

// unmade resolves the name of a part of which nothing has been made yet: "blend
// the paste".
func (b *bindings) unmade(n noun) []referent {
	c := b.componentNamed(n.head())
	if c < 0 || len(b.dish.Components) < 2 {
		return nil
	}
	return b.component(c)
}

// animal resolves the word of an animal ("the beef") to the only line of its
// class that is named by a cut.
func (b *bindings) animal(n noun) []referent {
	class, ok := b.r.larder.Words().AnimalWords[n.head()]
	if !ok {
		return nil
	}
	var found []referent
	for i := range b.lines {
		if f := b.lines[i].food; f != nil && f.Animal == class && b.lines[i].line.Origin == larder.FromAnimal && f.Kind != "stock" && f.Kind != "fish-stock" {
			found = append(found, referent{portion: &portion{i, ""}})
		}
	}
	if len(found) > 1 {
		return nil
	}
	return found
}

func (b *bindings) componentNamed(w string) int {
	if b.r.lang.Articles[w] || b.r.lang.Prepositions[w] != "" {
		return -1
	}
	return slices.IndexFunc(b.dish.Components, func(c recipe.Component) bool { return slices.Contains(larder.Words(c.Name), w) })
}

// product resolves what a method calls its own makings: by the name of a
// component, by what the name asks for, or what is being worked on.
func (b *bindings) product(n noun) *thing {
	lang := b.r.lang
	head := n.head()
	if len(b.dish.Components) > 1 {
		for _, w := range n.words {
			if c := b.componentNamed(w); c >= 0 {
				if t := b.latest(func(t *thing) bool { return t.comp == c }); t != nil {
					return t
				}
			}
		}
	}
	raw := b.text.low(n.upto - 1)
	if lang.Products[head] || lang.Products[raw] {
		if t := b.madeOf(n); t != nil {
			return t
		}
	}
	if n.rest && lang.Products[head] {
		if t := b.begun(); t != nil {
			return t
		}
	}
	if kinds := lang.ProductHolds[head]; kinds != nil {
		c := -1
		if len(b.dish.Components) > 1 {
			c = b.componentNamed(head)
		}
		if t := b.latest(func(t *thing) bool { return b.holdsKind(t, kinds) && (c < 0 || t.comp == c) && !b.goesIn(t) }); t != nil {
			return t
		}
	}
	if slices.Contains(larder.Words(b.dish.Name), head) && n.pointed {
		return b.latest(func(t *thing) bool { return t != b.focus || b.working == nil })
	}
	if !lang.Products[head] && !lang.Products[raw] {
		return nil
	}
	if n.pointed || n.little || n.share > 0 || n.amount[1] > 0 {
		if t := b.latest(func(t *thing) bool { return len(t.holds) > 1 }); t != nil {
			return t
		}
		return b.latest(func(t *thing) bool { return true })
	}
	return nil
}

// madeOf finds what was made of the food that a name says it is of: "the pepper
// mix".
func (b *bindings) madeOf(n noun) *thing {
	if len(n.words) < 2 {
		return nil
	}
	of := noun{from: n.from, upto: n.upto - 1, words: n.words[:len(n.words)-1]}
	for _, x := range b.direct(of) {
		if t := b.held(*x.portion); t != nil && b.leftOf(*x.portion) == 0 {
			return t
		}
	}
	return nil
}

// begun is the last thing of which a part has gone on, for "the rest of the
// batter".
func (b *bindings) begun() *thing {
	for i := len(b.things) - 1; i >= 0; i-- {
		if b.things[i].left < 1 {
			return b.things[i]
		}
	}
	return nil
}

// latest is the last thing made that is still something by itself and fits.
func (b *bindings) latest(fits func(*thing) bool) *thing {
	for i := len(b.things) - 1; i >= 0; i-- {
		if t := b.things[i]; b.open(t) && fits(t) {
			return t
		}
	}
	return nil
}

func (b *bindings) holdsKind(t *thing, kinds []string) bool {
	if slices.Contains(kinds, anyLiquid) && t.liquid {
		return true
	}
	for p := range t.holds {
		if f := b.lines[p.line].food; f != nil && (slices.Contains(kinds, f.Aisle) || slices.Contains(kinds, f.Kind)) {
			return true
		}
	}
	return false
}

// anyDry stands for foods that hold next to no water.
const (
	anyDry   = "#dry"
	dryWater = 16.0
)

// anyLiquid stands for things that pour in the table of what products hold.
const anyLiquid = "#liquid"

// shareOf is the share of a portion that a noun means.
func (b *bindings) shareOf(n noun, p portion) float64 {
	left := b.leftOf(p)
	if b.lines[p.line].line.Amount == nil && b.r.lang.EggParts[p.part] == 0 {
		return 1 // as much as it takes
	}
	switch {
	case n.amount[1] > 0:
		return b.measured(n, p, left)
	case n.rest && n.share == 0:
		return left
	case n.share > 0 && n.rest:
		return n.share * left
	case n.share > 0:
		return n.share
	case n.owner != nil:
		return b.shareOf(*n.owner, p)
	case left == 1 && b.rests[n.head()] && p.part == "" && b.tech.Family == "coat":
		return halfOfIt // the rest goes in later
	}
	return left
}

// halfOfIt is taken where a step does not say how much of a line it wants though
// a later one takes the rest; an estimate.
const halfOfIt = 0.5

// measured is the share that an amount said in the step is of the line.
func (b *bindings) measured(n noun, p portion, left float64) float64 {
	l := b.lines[p.line].line
	said := b.text.slice(n.amount[0], n.amount[1])
	got := b.r.Line(said+" "+l.Name, b.system())
	share := 0.0
	switch {
	case got.Amount != nil && l.Amount != nil && got.Amount.Unit == l.Amount.Unit && l.Amount.Low > 0:
		share = mid(got.Amount.Low, got.Amount.High) / mid(l.Amount.Low, l.Amount.High)
	case got.Grams != nil && l.Mass() > 0:
		share = got.Mass() / l.Mass()
	default:
		return left
	}
	if share >= nearlyAll {
		return min(1, max(left, 0.01))
	}
	return share
}

// nearlyAll is the share from which rounding of measures stands for all of it.
const nearlyAll = 0.95

func mid(a, b float64) float64 { return (a + b) / 2 }

func (b *bindings) system() measure.System {
	if b.dish.Measures == "" {
		return measure.US
	}
	return b.dish.Measures
}
