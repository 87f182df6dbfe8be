package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
)

// apart are the words of a name, parted where a food of two words is written as one:
// "the sausagemeat".
func (b *bindings) apart(words []string) []string {
	if len(words) != 1 {
		return words
	}
	m, ok := b.r.larder.Index().At(words, 0, false)
	if !ok {
		return words
	}
	name := m.Food.NameWords()[0]
	if len(name) > 1 && strings.Join(name, "") == words[0] {
		return name
	}
	return words
}

// likeness weighs how well a noun, its words written apart, names a line.
func (b *bindings) likeness(n noun, words []string, i int) float64 {
	l := &b.lines[i]
	if bySpoon, only := b.bySpoon(n, l); only {
		return bySpoon
	}
	vocab, shaped := b.r.larder.Words(), false
	for len(words) > 1 && (vocab.Parts[words[len(words)-1]] || b.r.lang.Parts[words[len(words)-1]] || b.r.lang.Shapes[words[len(words)-1]]) && !slices.Contains(l.name, words[len(words)-1]) {
		shaped = shaped || b.r.lang.Shapes[words[len(words)-1]]
		words = words[:len(words)-1]
	}
	if len(words) == 0 || len(words) < len(n.words) && b.r.lang.HeatWords[words[0]] && len(words) == 1 || b.onlyPart(l) && (shaped || n.plural && n.owner == nil && len(n.words) == 1 && b.r.lang.Liquors[n.head()]) || l.food != nil && l.food.Aisle == "vegetables" && b.besideSalt(n) || b.ofTheTap(n, l) {
		return 0 // "lime slices" are not cut of its juice, nor are "any juices" of the meat; "the hot fat" is of no hot sauce; "salt and pepper" are no red peppers
	}
	head := words[len(words)-1]
	if _, animal := vocab.AnimalWords[head]; animal && len(words) == 1 && !n.pointed && !b.r.lang.StandIns[head] && (l.line.Origin == larder.FromPlant || l.line.Origin == larder.FromFungus) {
		return 0 // a knob of butter is no peanut butter
	}
	score := 0.0
	if m, ok := b.foodOf(words, n.plural || n.one); ok && m.End == len(words) && l.food != nil && m.Food.ID == l.food.ID {
		score = 5
	}
	if len(words) < len(n.words) {
		score = max(score, b.partByName(n, l))
	}
	if score > 0 && slices.Equal(words, l.name) && (len(words) > 1 || b.alsoByMore(l)) {
		score += wholeName // "the cumin seeds", beside ground cumin
	}
	score = max(score, b.nameLikeness(n, l, head), b.toldApartBy(n, i))
	if len(n.words) > 1 && slices.ContainsFunc(l.gloss, func(g []string) bool { return len(g) >= len(n.words) && slices.Equal(g[len(g)-len(n.words):], n.words) }) {
		score = max(score, 4.5) // "the chilli paste", of "nam prik pao (roasted chilli paste)"
	}
	if len(words) == 1 && b.r.lang.Parts[head] && l.said[head] && !slices.Contains(l.name, head) && l.food != nil && l.food.Aisle == "fruit" {
		score = max(score, 3.5)
	}
	if b.r.lang.EggParts[head] > 0 && l.food != nil && l.food.Kind == "egg" && !slices.Contains(l.name, head) && (n.owner == nil || vocab.AnimalWords[n.owner.head()] == larder.Egg) {
		score = max(score, 4) // but not "the white of the spring onions"
	}
	if score == 0 && (b.glossed(n, l) || l.said[head] && n.pointed && !b.r.lang.Products[head] && l.food != nil && !vocab.Neutral[head] && b.inPreparation(head, l)) {
		score = leastLikeness // "cut into chips"
	}
	if score == 0 {
		return 0
	}
	for _, w := range words[:len(words)-1] {
		switch comp := b.componentNamed(w); {
		case comp >= 0 && len(b.dish.Components) > 1 && !slices.Contains(l.name, w):
			if comp == l.comp {
				score += 1.5 // "the filling butter"
			}
		case slices.Contains(l.name, w), l.said[w]:
			score++
		case b.isOf(l, w): // "the fish steaks" of kingfish
		case !vocab.Neutral[w] && !b.describes(w) && !b.r.lang.AdjectiveVerbs[w] && !b.r.lang.HeatWords[w]:
			score -= 2
		}
	}
	return score
}

// partByName weighs how well a noun names a line that is listed as a part of something: "the lemon zest", beside a lemon. It is as
// good as the name where the line says the part: "the lemon juice", of "juice of 1 lemon".
func (b *bindings) partByName(n noun, l *bound) float64 {
	m, ok := b.foodOf(n.words, n.plural || n.one)
	switch {
	case !ok || l.food == nil || m.End != len(n.words) || m.Food.ID != l.food.ID:
		return 0
	case l.said[n.head()]:
		return 6
	}
	return 5.5
}

// foodOf finds the food that words begin with; what was asked last is known, as each line of a list asks it of the same words.
func (b *bindings) foodOf(words []string, counted bool) (larder.Match, bool) {
	for i := range b.asked {
		if a := &b.asked[i]; a.words != nil && a.counted == counted && slices.Equal(a.words, words) {
			return a.match, a.ok
		}
	}
	m, ok := b.r.larder.Index().At(words, 0, counted)
	b.asked[1] = b.asked[0]
	b.asked[0] = askedFood{words, counted, m, ok}
	return m, ok
}

// askedFood is a food that was asked for by words, and what was found.
type askedFood struct {
	words   []string
	counted bool
	match   larder.Match
	ok      bool
}

// wholeName is by how much a line that goes by just the words of a noun is meant sooner than one that says more: "the oil",
// of oil and not of vegetable oil.
const wholeName = 0.1

// alsoByMore tells whether the part of a line has its oil also by a name that says more, as it has where oil stands for butter.
func (b *bindings) alsoByMore(l *bound) bool {
	return larder.IsFat(l.food) && l.food.Origin == larder.FromPlant && slices.ContainsFunc(b.lines, func(o bound) bool {
		return o.comp == l.comp && o.food == l.food && len(o.name) > len(l.name) && o.name[len(o.name)-1] == l.name[len(l.name)-1]
	})
}

// glossed tells whether a noun is the word for an animal's food in which a line's brackets end: "the sausage", of "Mettwurst
// (smoked sausages)".
func (b *bindings) glossed(n noun, l *bound) bool {
	return len(n.words) == 1 && n.pointed && b.r.larder.Words().AnimalWords[n.head()] != "" && slices.ContainsFunc(l.gloss, func(g []string) bool { return last(g) == n.head() })
}

// besideSalt tells whether a bare noun stands right behind salt: what is meant there seasons too.
func (b *bindings) besideSalt(n noun) bool {
	k := n.from - 1
	if len(n.words) != 1 || n.plural || n.pointed || k < 1 || !b.text.conj(k) && !b.text.mark(k, ",") {
		return false
	}
	m, ok := b.r.larder.Index().At([]string{b.text.words[k-1].norm}, 0, false)
	return ok && m.Food.Kind == "salt"
}

// nameLikeness weighs how well a word is the last of a line's name, or of what stands in it
// besides.
func (b *bindings) nameLikeness(n noun, l *bound, head string) float64 {
	vocab, score := b.r.larder.Words(), 0.0
	if b.dishOfItsOwn(n, l, head) {
		return score
	}
	for _, name := range append([][]string{l.name}, l.also...) {
		at := slices.Index(name, head)
		switch {
		case at < 0:
		case !slices.ContainsFunc(name[at+1:], func(w string) bool { return !vocab.Parts[w] && !b.r.lang.Parts[w] }):
			score = max(score, 4.5)
		case !b.otherFood(name, at, l):
			score = max(score, 3.5)
		}
		if len(name) > 0 && at < 0 && len(head) >= shortestPart && strings.HasSuffix(name[len(name)-1], head) {
			score = max(score, 3.2) // "the sprouts" of beansprouts
		}
	}
	return score
}

// onlyPart tells whether a line is a part that a food gives and not the food: the
// juice or the zest of a lime.
func (b *bindings) onlyPart(l *bound) bool {
	return len(l.name) > 1 && b.r.lang.Given[l.name[len(l.name)-1]]
}

// describes tells whether a word only says what was done to a thing: "the seasoned
// chicken".
func (b *bindings) describes(w string) bool {
	return slices.ContainsFunc(b.r.lang.Verb(w), func(r language.Reading) bool { return r.Form == language.Past })
}

// inPreparation tells whether a word says what a line is cut or made into.
func (b *bindings) inPreparation(w string, l *bound) bool {
	return slices.Contains(l.prepared, w)
}

// otherFood tells whether a word inside a line's name would mean another food by
// itself: "butter" in "butter beans".
func (b *bindings) otherFood(name []string, at int, l *bound) bool {
	m, ok := b.r.larder.Index().At(name[at:at+1], 0, true)
	if l.food == nil && l.line.Origin == larder.FromAnimal {
		return false // "the mutton" of a cut that no table knows
	}
	if ok && l.food != nil && (b.r.lang.Extracts[l.food.Kind] || l.food.Tagged(larder.NoPiece)) && m.Food.Animal != "" {
		return true // "the fish" is not its stock
	}
	if ok && l.food != nil && (m.Food.Animal != "" && m.Food.Animal == l.food.Animal || m.Food.Kind != "" && m.Food.Kind == l.food.Kind) {
		return false
	}
	return ok && (l.food == nil || m.Food.ID != l.food.ID) && at < len(name)-1
}

// noneSlight leaves out what only seasons beside what a word in the singular means: "season the
// fish" is the cod and not three anchovies.
func (b *bindings) noneSlight(n noun, found []referent) []referent {
	most := 0.0
	for _, r := range found {
		if n.plural || n.all || r.portion == nil {
			return found
		}
		l := &b.lines[r.portion.line]
		if l.food == nil || l.food.Origin != larder.FromAnimal {
			return found
		}
		most = max(most, l.line.Mass())
	}
	return slices.DeleteFunc(found, func(r referent) bool { return b.lines[r.portion.line].line.Mass() < most*slightShare })
}

// slightShare is how little beside another of its kind is not meant by the kind's word; an estimate.
const slightShare = 0.1

// wholeNameAt tells whether the words of a text are the whole name of a line, such as "hot sauce".
func (b *bindings) wholeNameAt(from, upto int) bool {
	return slices.ContainsFunc(b.lines, func(l bound) bool {
		if len(l.name) != upto-from || len(l.name) < 2 {
			return false
		}
		for k, w := range l.name {
			if b.text.words[from+k].norm != w {
				return false
			}
		}
		return true
	})
}

// inGroup tells whether a food is one of those that a word means: of a shelf, a kind, a tag, or dry. Fat
// of an animal goes by its kind alone, and an extract is not one of its kind's shelf unless that is meant.
func (b *bindings) inGroup(f *larder.Food, kinds []string) bool {
	if f == nil {
		return false
	}
	byKind := slices.Contains(kinds, f.Kind)
	if f.Animal == larder.Fat && !byKind || b.r.lang.Extracts[f.Kind] && !byKind && !slices.Contains(kinds, f.Aisle) {
		return false
	}
	if slices.Contains(kinds, anyDry) && larder.Or(f.Per100.Water, 100) <= dryWater && !larder.IsFat(f) {
		return true
	}
	return byKind || slices.Contains(kinds, f.Aisle) || slices.Contains(kinds, f.ID) || slices.Contains(kinds, string(f.Animal)) ||
		slices.ContainsFunc(f.Tags, func(tag string) bool { return slices.Contains(kinds, tagged+tag) })
}

// fromTheTap tells whether a little of what every kitchen has is meant, and not what another part of the dish lists of
// it: "a splash of water", beside the water of the dumplings; or once more what the list has for once: "the same water".
func (b *bindings) fromTheTap(n noun, found []referent) bool {
	if n.again && !slices.ContainsFunc(found, func(r referent) bool {
		return r.portion == nil || b.leftOf(*r.portion) < 1 && (b.lines[r.portion.line].comp == b.comp || !b.r.lang.Loose[n.head()])
	}) {
		return true
	}
	if !n.little || n.pointed || len(b.takes) > 0 {
		return false
	}
	if !b.r.lang.Loose[n.head()] {
		return b.seasonsWater(found)
	}
	return !slices.ContainsFunc(found, func(r referent) bool { return r.portion == nil || b.lines[r.portion.line].comp == b.ownPart() })
}

// seasonsWater tells whether something all of which has gone in elsewhere is added to water that was made hot just before: "add a
// dash of vinegar", for eggs, of vinegar that is in a dressing.
func (b *bindings) seasonsWater(found []referent) bool {
	if b.tech.Joins != "yes" || len(b.things) == 0 || len(found) == 0 {
		return false
	}
	x := b.things[len(b.things)-1]
	return x.liquid && x.heated && len(x.holds) == 0 && b.open(x) && !slices.ContainsFunc(found, func(r referent) bool { return r.portion == nil || b.leftOf(*r.portion) > 0 })
}

// bySpoon is how like a noun is to a line that is only taken by a small measure, "spoonfuls of water" to fry in, and
// whether it is one: it is meant where that measure is said, and nothing else is called so.
func (b *bindings) bySpoon(n noun, l *bound) (like float64, only bool) {
	if l.line.OnlyBy == "" {
		return 0, false
	}
	for k := n.from; k < n.upto; k++ {
		if b.text.words[k].norm == l.line.OnlyBy && len(n.words) > 0 && n.head() == last(l.name) {
			return wholeLikeness, true
		}
	}
	return 0, true
}

// wholeLikeness is how like a noun is to a line that it names word for word.
const wholeLikeness = 6.0
