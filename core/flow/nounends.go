package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/lex"
)

// sizesVessel tells whether a length at i is that of the vessel that the name goes on to: "a deep 22 cm square cake tin".
func (t *text) sizesVessel(i, upto int) bool {
	return t.lang.Lengths[t.low(i+1)] > 0 && t.goesOnToVessel(i+2, upto)
}

// goesOnToVessel tells whether the name at i goes on to a vessel.
func (t *text) goesOnToVessel(i, upto int) bool {
	for k := i; k <= min(upto-1, i+farthestName-1); k++ {
		switch {
		case t.lang.Vessels[t.low(k)]:
			return true
		case t.ends(k, upto), t.mark(k, ","), t.conj(k), t.lang.Prepositions[t.low(k)] != "":
			return false
		}
	}
	return false
}

// sizedVessel tells whether a comma stands between words that say how a vessel is: "a wide, heavy pan".
func (t *text) sizedVessel(start, comma, upto int) bool {
	if !t.mark(comma, ",") || start < 1 || comma-start > 2 || comma == start || !t.is(start-1, t.lang.Articles) || t.is(start-1, t.lang.Definite) || !t.goesOnToVessel(comma+1, upto) {
		return false
	}
	for i := start; i < comma; i++ {
		if t.foods(t.words[i].norm) || t.listed(t.words[i].norm) || t.lang.Products[t.low(i)] || t.lang.Vessels[t.low(i)] || t.low(i) == "" {
			return false
		}
	}
	return true
}

// stops tells whether a name ends before the word at i.
func (t *text) stops(i, start, upto int, inner bool) bool {
	if t.words[i].Kind == lex.Mark {
		return !t.mark(i, "'’-") || t.mark(i, "-") && !t.words[i].Glued
	}
	if t.words[i].Kind == lex.Number {
		return i > start && !t.adjectives(start, i) && !t.crosses(i-1) && !t.sizesVessel(i, upto)
	}
	if i > start && t.lang.Measures[t.low(i)] && t.number(i-1) {
		return false // "a greased 1.5 litre basin"
	}
	w := t.low(i)
	named := i > start
	if t.recurs(i) || t.lang.Dealt[w] && t.recurs(i+1) {
		return true // "turning the pieces now and then"
	}
	if named && t.lang.Lines.Figures.Numbers[w] > 1 {
		return true // "the seeds three times"
	}
	switch {
	case t.lang.Shapes[w] && named && t.adjectives(start, i):
		return false // "a thin round"
	case t.lang.Shapes[w] && t.lang.Vessels[t.low(i+1)]:
		return false // "a 24 cm round tin"
	case t.conj(i), t.is(i, t.lang.Until), t.lang.Subordinators[w] != "" && t.lang.Prepositions[w] != "as" && !t.foods(t.words[i].norm), t.is(i, t.lang.Negations):
		return true
	case t.lang.Prepositions[w] == "of":
		return !named
	case t.lang.Prepositions[w] != "":
		return true
	case named && t.lang.Verbless[w] != "" && (t.ends(i+1, upto) || t.mark(i+1, ",")):
		return true // "tomatoes and wine next"
	case t.lang.Modals[w] && named && !t.foods(t.words[i].norm), t.lang.Connectors[w] && named && t.lang.Purpose[t.low(i+1)]:
		return true // "the chicken next to it"
	case t.lang.Particles[w] && named, t.is(i, t.lang.Exceptions) && named:
		return true
	case t.is(i, t.lang.Pronouns) && named && !t.lang.Ones[w], t.is(i, t.lang.Articles) && named, named && t.relative(i) > 0:
		return true
	case t.adverb(i) && named && !t.foods(t.words[i].norm) && !t.modifies(i, upto):
		return true
	}
	if kind, _ := t.phrase(i); kind != "" && named {
		return true
	}
	if _, ok := t.time(i); ok && named || named && (t.sideways(i) || t.doled(i, upto) > 0) {
		return true
	}
	if named && (t.goes(i) || t.looksGoing(i)) && !t.modifies(i, upto) && !t.pair(t.words[i-1].norm, t.words[i].norm) && !(t.lang.Products[w] && (t.adjectives(start, i) || t.namesMade(start, i, upto))) {
		return true // but "the Cajun seasoning" of the list, "the warm dressing" and "the egg filling"
	}
	if inner && named && t.innerOrder(i) {
		return true
	}
	return named && t.describes(i)
}

// sideways tells whether "skin side down" or the like begins at i.
func (t *text) sideways(i int) bool { return t.sidewaysEnd(i) > 0 }

// sidewaysEnd is where "skin side down" ends that begins at i, 0 where it does not.
func (t *text) sidewaysEnd(i int) int {
	if i < 0 || i >= len(t.words) {
		return t.sidewaysFrom(i)
	}
	if t.sideEnds == nil {
		t.sideEnds = make([]int, len(t.words))
	}
	if t.sideEnds[i] == 0 {
		t.sideEnds[i] = t.sidewaysFrom(i) + 1
	}
	return t.sideEnds[i] - 1
}

func (t *text) sidewaysFrom(i int) int {
	side, word := i+1, t.low(i+1)
	if _, tail, hyphened := strings.Cut(t.low(i), "-"); hyphened {
		side, word = i, tail // "skin-side down"
	}
	if t.lang.Sides[word] && t.low(side+2) != word && (t.is(side+1, t.lang.Particles) || t.adverb(side+1)) { // but "the rice and beans side by side"
		return side + 2
	}
	if t.lang.Sides[word] && t.lang.Prepositions[t.low(side+1)] == "of" {
		for k := side + 3; k < min(side+2*farthestName, len(t.words)) && !t.mark(k, ",.;"); k++ {
			if t.is(k, t.lang.Particles) && (t.ends(k+1, k+2) || t.mark(k+1, ",") || t.adverb(k+1) || t.is(k+1, t.lang.Connectors)) {
				return k + 1 // "fat side of the meat down first"
			}
		}
	}
	if (t.lang.Places[t.low(i)] || t.lang.Fleshly[t.low(i)] && t.mark(i-1, ",")) && t.is(i+1, t.lang.Particles) && (t.ends(i+2, i+3) || t.mark(i+2, ",") || t.lang.Prepositions[t.low(i+2)] != "") {
		return i + 2
	}
	return 0
}

// doled finds where "a spoonful at a time" ends that begins at i; 0 where it is
// none.
func (t *text) doled(i, upto int) int {
	if t.is(i, t.lang.Definite) {
		return 0 // "the fritters two at a time": what is doled stands first
	}
	if t.lang.Prepositions[t.low(i+1)] == "by" && t.low(i) != "" && t.low(i+2) == t.low(i) {
		return i + 3 // "spoon by spoon"
	}
	if !t.countsSome(i) {
		return 0 // the thing itself: "the gel a little at a time"
	}
	for k := i + 1; k < min(upto, i+farthestName); k++ {
		w := t.low(k - 1)
		if t.mark(k, ",") || t.is(k-1, t.lang.Pronouns) && !t.lang.Ones[w] || t.foods(t.words[k-1].norm) || t.lang.Products[w] && !t.lang.Measures[w] && t.lang.Littles[w] == 0 {
			return 0 // the thing itself: "the milk little by little"
		}
		for _, p := range t.lang.Doling {
			if t.runs(k, p) {
				return k + len(p)
			}
		}
	}
	return 0
}

// countsSome tells whether a word can open how much is meant at a time: "a", "two", "little", "ladles".
func (t *text) countsSome(i int) bool {
	w := t.low(i)
	return t.number(i) || t.lang.Lines.Figures.Numbers[w] > 0 || t.is(i, t.lang.Articles) || t.lang.Littles[w] > 0 || t.lang.Measures[w] || t.lang.Shares[w] > 0 || t.lang.Qualifiers[w] || t.lang.Vessels[w] || t.lang.Ones[w]
}

// relative is where the words at i end that say which thing is meant by what was done to it: "the
// milk you kept back", "the onions that you fried earlier"; 0 where there are none.
func (t *text) relative(i int) int {
	if t.is(i, t.lang.Pointing) && t.lang.Pronouns[t.low(i)] {
		i++ // "that"
	}
	if !t.is(i, t.lang.Subjects) {
		return 0
	}
	if t.is(i, t.lang.Pronouns) {
		if !t.lang.Liquors[t.low(i-1)] && !t.lang.Remains[t.low(i-1)] {
			return 0
		}
		if t.lang.Being[t.low(i+1)] {
			i++ // "the fat they have released"
		}
	}
	_, n := t.verb(i+1, language.Past)
	if n == 0 {
		return 0
	}
	end := i + 1 + n
	for t.is(end, t.lang.Particles) && (t.lang.Prepositions[t.low(end)] == "" || t.ends(end+1, len(t.words)) || t.mark(end+1, ",(")) || t.adverb(end) || t.lang.TimeAfter[t.low(end)] && t.ends(end+1, len(t.words)) {
		end++
	}
	return end
}

// modifies tells whether a word belongs to the name that follows it rather than
// to what stands before: "the finely chopped onion", "the remaining hot stock".
func (t *text) modifies(i, upto int) bool {
	if t.mark(i-1, ",") && t.mixing(i) {
		return false // ", stirring egg and butter into it"
	}
	for next := i + 1; next < min(upto, i+farthestName); next++ {
		if t.ends(next, upto) || t.words[next].Kind != lex.Word || t.is(next, t.lang.Until) || t.is(next, t.lang.Articles) || t.is(next, t.lang.Pointing) || t.conj(next) || t.lang.Prepositions[t.low(next)] != "" {
			return false
		}
		if t.foods(t.words[next].norm) || t.lang.Products[t.low(next)] || t.lang.Liquors[t.low(next)] || t.lang.Vessels[t.low(next)] || t.lang.Loose[t.low(next)] {
			return true
		}
	}
	return false
}

// mixing tells whether a verb in -ing at i puts things together, which no thing does by itself.
func (t *text) mixing(i int) bool {
	lemma, n := t.verb(i, language.Going)
	return n > 0 && slices.ContainsFunc(t.lang.Orders(lemma), func(name string) bool {
		tech := t.technique(name)
		return tech != nil && (tech.Family == "mix" || tech.Joins == "yes")
	})
}

// farthestName is how many words on the name of a food may stand that a word
// belongs to.
const farthestName = 4

// innerOrder tells whether an order inside a clause begins at i: "let the dough
// rise".
func (t *text) innerOrder(i int) bool {
	lemma, n := t.verb(i, language.Base)
	return n > 0 && lemma != "" && !t.foods(t.words[i].norm)
}

// describes tells whether a past form at i says what was done to the thing named
// before it: "coconut milk thinned with water".
func (t *text) describes(i int) bool {
	_, n := t.verb(i, language.Past)
	next := i + 1
	if t.lang.Particles[t.low(next)] && t.lang.Prepositions[t.low(next)] == "" {
		next++ // "the milk topped up with water"
	}
	return n > 0 && t.lang.Prepositions[t.low(next)] != ""
}

// namesMade tells whether the word at i, which could be what goes on, ends the name of something made: it is pointed to,
// is one thing, and nothing follows that it could be done to: "divide the egg filling between the slices".
func (t *text) namesMade(start, i, upto int) bool {
	return start > 0 && t.is(start-1, t.lang.Articles) && t.words[i-1].low == t.words[i-1].norm && (t.ends(i+1, upto) || t.mark(i+1, ",") || t.conj(i+1) || t.lang.Prepositions[t.low(i+1)] != "")
}

// saysHow tells whether a word that is a verb as well says how the next of several things is that hang on a "with": "serve with
// syrup and crisp bacon".
func (t *text) saysHow(i, next int) bool {
	if !t.lang.AdjectiveVerbs[t.low(i)] || next != i+1 || next >= len(t.words) || !t.foods(t.words[next].norm) || !t.conj(i-1) && !t.mark(i-1, ",") {
		return false
	}
	for k := i - 2; k > 0 && !t.sentenceEnds(k); k-- {
		if t.lang.Prepositions[t.low(k)] == "with" {
			return true
		}
		if _, n := t.verb(k, language.Base); n > 0 && t.opensThing(k+n) && !t.foods(t.words[k].norm) && !t.lang.AdjectiveVerbs[t.low(k)] {
			return false
		}
	}
	return false
}
