package flow

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
)

// referent is what a noun turned out to mean, before shares.
type referent struct {
	portion *portion
	made    *thing
	named   string
	vessel  string
	some    bool // no more than some of what was made is meant
}

// resolve finds what a noun means; a step that prepares something means nothing that was made
// for anything else.
func (b *bindings) resolve(n noun) []referent {
	found := b.cutAs(n, b.meaning(n))
	if b.toItself(n, found) {
		return []referent{{named: b.words(n)}}
	}
	for i, r := range found {
		if len(b.takes) > 0 && r.made != nil && len(r.made.holds) > 0 && !b.ofTaken(r.made) {
			if own := b.direct(n); len(own) > 0 {
				return own // "the mushroom pieces", beside what is made under that name
			}
			found[i] = referent{named: b.words(n)}
		}
	}
	return found
}

func (b *bindings) meaning(n noun) []referent {
	lang := b.r.lang
	switch {
	case n.owner != nil && lang.Places[n.head()]:
		return b.resolve(*n.owner)
	case n.own, lang.Subjects[n.head()] && !n.pronoun, n.possessive && (lang.Remains[n.head()] || lang.Parts[n.head()] || lang.Parts[b.text.lastOf(n)]) && b.called(n) == nil:
		return nil
	case len(n.words) == 1 && lang.Whole[n.words[0]], len(n.words) > 0 && lang.Ingredients[n.head()] && !b.kindOfIngredient(n):
		return b.whole(n)
	case b.fatOfFlesh(n), b.ifAny(n), b.itsWater(n), b.itsTin(n):
		return []referent{{named: b.words(n)}}
	case n.pronoun:
		return b.pronounOrRest(n)
	}
	if t := b.itsLiquor(n); t != nil {
		return []referent{{made: t}}
	}
	if vessel := b.vessel(n); vessel != "" {
		return b.inVessel(n, vessel)
	} else if b.keptLiquor(n) {
		return b.keeps(n)
	}
	for _, find := range []func(noun) []referent{b.outOfWhich, b.fewOfThem, b.restByUnit, b.soaked, b.counted, b.workedShare, b.backByTitle} {
		if found := find(n); len(found) > 0 {
			return found
		}
	}
	if found := b.byOwnName(n); found != nil {
		return found
	}
	if t := b.cookedInIt(n); t != nil && b.liquorLeft(n) == nil {
		return []referent{{made: t, some: true}}
	}
	if found := b.direct(n); len(found) > 0 {
		if b.fromTheTap(n, found) {
			return []referent{{named: b.words(n)}}
		}
		return b.ofLines(n, found)
	}
	if n.owner != nil {
		if found := b.part(n); len(found) > 0 {
			return found
		}
	}
	for _, find := range []func(noun) []referent{b.piecesOf, b.partInHand, b.piecesForFat, b.intoItsLiquid, b.unlisted, b.liesIn, b.stayedBehind} {
		if found := find(n); found != nil {
			return found
		}
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
	return b.ofKindOrMade(n)
}

// mixtureOf is what holds a line that a noun calls a product of: "the egg mixture", "the sauce"
// into which the fish sauce went.
func (b *bindings) mixtureOf(n noun, found []referent) *thing {
	if len(n.words) == 0 || !b.r.lang.Products[n.head()] || len(found) != 1 || found[0].portion == nil || found[0].made != nil {
		return nil
	}
	p := *found[0].portion
	if left := b.leftOf(p); n.rest && left > 0 && left < 1 && (len(n.words) > 1 || b.r.lang.Liquors[n.head()]) {
		return nil // "the rest of the fish sauce", of which some went over the chicken
	}
	t := b.held(p)
	if k := slices.IndexFunc(b.things, func(x *thing) bool { return x.holds[p] && len(x.holds) > 1 }); n.rest && k >= 0 && !b.open(b.things[k]) {
		return b.things[k] // "what is left of the egg mixture", of which enough went into the dough
	}
	l := &b.lines[p.line]
	if l.food != nil && l.food.Origin == larder.FromAnimal && !b.r.lang.Extracts[l.food.Kind] && !larder.Pours(l.food) && last(l.name) == n.head() && !n.rest {
		return nil // "the sausages" are themselves
	}
	if t == nil || len(t.holds) < 2 || b.leftOf(p) > 0 || l.said[n.head()] && (len(n.words) > 1 || len(l.name) < 2 || n.rest) || b.lines[p.line].comp != b.comp || !b.open(t) {
		return nil
	}
	return t
}

// allSaid tells whether a noun is of several of a kind, and says of them what all their lines do.
func (b *bindings) allSaid(n noun, all []referent) bool {
	return n.plural && n.pointed && len(n.words) > 1 && len(all) > 1 && !slices.ContainsFunc(all, func(r referent) bool {
		return r.portion == nil || r.made != nil || slices.ContainsFunc(n.words[:len(n.words)-1], func(w string) bool { return !b.lines[r.portion.line].said[w] })
	})
}

// ofLines is what a noun means that names lines: these, what was made of them, or all of their kind.
func (b *bindings) ofLines(n noun, found []referent) []referent {
	if b.fatOfTaken(n, found) || b.colouredFat(n, found) {
		return []referent{{named: b.words(n)}}
	}
	b.uses(n, found)
	b.takesFrom(found)
	if squeezed := b.squeezedOut(n, found); squeezed != nil {
		return squeezed
	}
	if t := cmp.Or(b.shareAside(n, found), b.shareInPan(n, found)); t != nil {
		return []referent{{made: t}}
	}
	if t := b.mixtureOf(n, found); t != nil {
		return []referent{{made: t}}
	}
	if b.besides(n, found) {
		return []referent{{named: b.words(n)}}
	}
	if all := b.group(n); len(found) == 1 && b.allSaid(n, all) {
		return all // "the minced meats", of pork and beef
	} else if len(all) > 1 && len(n.words) == 1 && n.pointed && b.allTogether(all) {
		return all // "lift out the fish", of white fish and haddock
	} else if len(all) > 1 && len(n.words) == 1 && n.pointed && (!slices.Contains(b.lines[found[0].portion.line].name, n.head()) || n.plural && len(found) == 1 && !b.pluralName(found[0])) {
		return all // "the fish", of which none is called so
	} else if len(all) > 0 && len(n.words) == 1 && b.onlyExtract(n, found) {
		return all // "the fish" is the catfish, beside fish sauce
	}
	return found
}

// allTogether tells whether several lines are in one thing that is there, of which they are taken or
// which is nothing else.
func (b *bindings) allTogether(found []referent) bool {
	if found[0].portion == nil {
		return false
	}
	t := b.held(*found[0].portion)
	return t != nil && b.open(t) && (b.takesAway() || len(t.holds) == len(found)) && !slices.ContainsFunc(found, func(r referent) bool {
		return r.portion == nil || b.leftOf(*r.portion) > 0 || b.held(*r.portion) != t
	})
}

// onlyExtract tells whether a noun was found in no more than the name of what is made of the animal
// that it names: a sauce, a stock.
func (b *bindings) onlyExtract(n noun, found []referent) bool {
	if len(found) != 1 || found[0].portion == nil {
		return false
	}
	l := &b.lines[found[0].portion.line]
	return l.food != nil && b.r.lang.Extracts[l.food.Kind] && last(l.name) != n.head()
}

// byItsName finds what was made and goes by a name: one that the text gave it, that of what it
// was boiled as, or that of its part.
func (b *bindings) byItsName(n noun) *thing {
	t := b.called(n)
	if t == nil && len(n.words) > 1 && !b.r.lang.HeatWords[n.words[0]] && !b.lineHere(n) {
		t = b.liquorLeft(n)
	}
	if t == nil {
		t = b.madeOfPart(n)
	}
	return t
}

// pluralName tells whether a line's own name is that of several: "the tomatoes".
func (b *bindings) pluralName(r referent) bool {
	words := strings.Fields(larder.Fold(b.lines[r.portion.line].line.Name))
	return len(words) > 0 && larder.Singular(words[len(words)-1]) != words[len(words)-1]
}

// peelTechnique scrapes off what clings: of a vessel it takes nothing that is in it.
const peelTechnique = "peel"

// inVessel is what a vessel means: itself, or what is in it.
func (b *bindings) inVessel(n noun, vessel string) []referent {
	t := b.content(vessel)
	if f := b.focus; b.working == nil && t != nil && t != f && f != nil && t.comp != b.comp && f.comp == b.comp && f.heated && f.vessel == "" && b.open(f) && b.r.lang.Pots[vessel] {
		t = f // "take the pan off the heat" in which the sauce is, beside a pan of another part
	}
	if t != nil && n.pointed && b.r.lang.Holding[vessel] && b.open(t) && b.tech.Name != greaseTechnique && b.tech.Name != peelTechnique {
		return []referent{{made: t, vessel: vessel}}
	}
	return []referent{{vessel: vessel}}
}

// ofKindOrMade finds what a noun means that names no line and no group: what was made, or a
// line by another word than its own. Else only the words name it.
func (b *bindings) ofKindOrMade(n noun) []referent {
	if found := b.liftedByTitle(n); found != nil {
		return found
	}
	if t := b.doneTo(n); t != nil {
		return []referent{{made: t}}
	}
	if found := b.byFoodName(n); len(found) > 0 && b.leftOf(*found[0].portion) == 1 {
		return found // "the bread", of sourdough of which nothing has gone in
	}
	if found := b.animal(n); len(found) == 1 && b.leftOf(*found[0].portion) == 1 && (slices.Contains(b.lines[found[0].portion.line].food.NameWords()[0], n.head()) || n.pointed && slices.Contains(b.dishCalled(), n.head())) {
		return found // "the raw beef", of steak that waits, and not the broth; "the cheese", of Stilton, in a blue cheese tart
	}
	if t := b.latest(func(t *thing) bool { return n.pointed && len(n.words) == 1 && t.endsAs(n.head()) }); t != nil {
		return []referent{{made: t}} // "the meatballs", of what was rolled into balls
	}
	if t := b.notLadled(n, b.product(n)); t != nil && len(b.takes) > 0 && !b.ofTaken(t) && b.focus != nil && b.ofTaken(b.focus) {
		return []referent{{made: b.focus}} // what a preparation has made so far
	} else if t != nil {
		return []referent{{made: t}}
	}
	if t := b.justCut(n); t != nil {
		return []referent{{made: t}}
	}
	if found := b.animalBeside(n); found != nil {
		return found
	}
	for _, find := range []func(noun) []referent{b.unmade, b.cutShort, b.animal, b.byUnit, b.byKind, b.byFoodName} {
		if found := find(n); len(found) > 0 {
			return found
		}
	}
	if t := b.ownWord(n); t != nil {
		return []referent{{made: t}}
	}
	if t := b.madeBy(n); t != nil {
		return []referent{{made: t}}
	}
	return []referent{{named: b.words(n)}}
}

// words is how the text names a thing, without articles and shares.
func (b *bindings) words(n noun) string {
	return strings.ToLower(b.text.slice(b.nameFrom(n), n.upto-n.bare))
}

// nameFrom is where the name of a thing begins behind articles and shares.
func (b *bindings) nameFrom(n noun) int {
	from, t := n.from, b.text
	if k := t.remnant(from); k > 0 {
		from += k + 1 // "what is left of the egg mixture"
	}
	for from < n.upto-n.bare-1 && !b.wholeNameAt(from, n.upto) && (t.mark(from, "-") || t.crossed(from) > 0 || t.is(from, t.lang.Articles) || t.is(from, t.lang.Pointing) || t.lang.Rests[t.low(from)] || t.lang.Prepositions[t.low(from)] == "of" ||
		t.lang.Shares[t.low(from)] > 0 || t.lang.Littles[t.low(from)] > 0 || t.number(from) || t.crosses(from) || t.lang.Measures[t.low(from)] || t.adverb(from) || t.goodMeasure(from)) {
		from++
	}
	return from
}

// goodMeasure tells whether a word says how well a measure is filled: "a generous teaspoon of".
func (t *text) goodMeasure(i int) bool {
	next := t.low(i + 1)
	return t.lang.Qualifiers[t.low(i)] && (t.lang.Measures[next] || t.lang.Littles[next] > 0)
}

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
