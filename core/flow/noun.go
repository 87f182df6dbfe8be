package flow

import (
	"slices"

	"yembra/core/language"
	"yembra/core/lex"
)

// noun is the name of one thing as a step has it: "half of the butter", "the
// rest of it", "2 tbsp of the oil".
type noun struct {
	from, upto int
	// words name the thing itself, normalised, without articles and shares;
	// head is the last of them.
	words []string
	// share is a part said in figures, 0 when none; rest means what is left,
	// little an unmeasured small part; amount is one said in measures, as the
	// span of words that say it.
	share        float64
	rest, little bool
	// heaps tells of a measure in the plural that nobody counts: "spoonfuls".
	heaps bool
	// remains tells that it is what a pan still holds: "what is left".
	remains bool
	// enough tells of as much as is wanted there: "enough of the stock to cover".
	enough bool
	// but tells that what it says is left out: "all but a handful of the cheese".
	but bool
	// between are the first and the last of the list that "everything from the pork down to the pepper" means.
	between []noun
	amount  [2]int
	pronoun bool
	pointed bool // "the", "both", "all"
	led     bool // named in the plural behind such a word before the first of its list: "the corn and beans"
	all     bool // "both", "all", "each"
	plural  bool
	// owner is what the thing is part of: "the juice of 1 lime"; except what
	// "everything" leaves out.
	owner  *noun
	except []noun
	// own tells of "its own juice".
	own, possessive bool
	// again tells of "the same water": it was there before.
	again bool
	// one tells of "a sliced onion": a single one; cut of "slices of tomato".
	one, cut bool
	// bare is how many words at the end say how the thing gets: "the dough thin".
	bare int
	// behind are the words behind a comma that say what was done with it: ", chopped".
	behind [2]int
}

func (n noun) head() string {
	if len(n.words) == 0 {
		return ""
	}
	return n.words[len(n.words)-1]
}

// lastOf is the last word of a name as the text has it.
func (t *text) lastOf(n noun) string { return t.low(n.upto - n.bare - 1) }

// noun reads the name of a thing that begins at i. inner tells that an order may
// follow it without a mark, as after "let".
func (t *text) noun(i, upto int, inner bool) (noun, bool) {
	n := noun{from: i}
	sidesOf := t.lang.Sides[t.low(i+1)] && t.lang.Prepositions[t.low(i+2)] == "of" // "all sides of the tuna"
	if t.adverb(i) && !t.modifies(i, upto) && !t.foods(t.words[i].norm) && !t.opensThing(i+1) && !sidesOf {
		return n, false
	}
	if of, said, ok := t.stillHeld(n, i, upto, inner); said {
		return of, ok
	}
	at := t.amounts(&n, i, upto)
	if n.pronoun && t.lang.Prepositions[t.low(at)] == "of" {
		return t.eachOf(i, at, upto, inner)
	}
	if n.pronoun {
		if t.lang.Shares[t.low(at)] == 1 && (t.ends(at+1, upto) || t.mark(at+1, ",") || t.lang.Prepositions[t.low(at+1)] != "") && !(t.is(at+1, t.lang.Lapping) && !t.opensThing(at+2)) {
			n.all = true // "add it all to the pot"
			at++
		}
		n.upto = at
		return n, true
	}
	start := at
	if k := t.titled(at, upto); k > 0 {
		return t.byTitle(n, at, k), true
	}
	for at < upto && (!t.stops(at, start, upto, inner) || t.mark(at, ",") && t.adjectives(start, at) && t.words[at-1].low == t.words[at-1].norm && t.describesNext(at+1) || t.sizedVessel(start, at, upto)) { // a plural is a name: "the whites, chopped"
		w := &t.words[at]
		if at > start && t.orders(at, false, false) && (t.is(at-1, t.lang.Vessels) || inner) && t.opensThing(at+1) {
			break // "in a bowl knead the mince"
		}
		if len(n.words) == 0 && (t.is(at, t.lang.Particles) && (n.share > 0 || n.all) || n.rest && (t.is(at, t.lang.Particles) || t.adverb(at) && !t.modifies(at, upto))) {
			break // "keep a quarter back"
		}
		if w.low == "" || t.crosses(at) || t.mark(at, "'’") || at > start && t.lang.Measures[w.low] && t.number(at-1) {
			at++
			continue
		}
		if t.lang.Prepositions[w.low] == "of" {
			return t.of(n, at, upto, inner)
		}
		if at > start && (t.leftAt(at) || t.is(at, t.lang.Particles) && t.lang.Prepositions[t.low(at+1)] == "into") {
			break // "the fat left behind", "out of the bones back into the pot"
		}
		n.words = w.Words(n.words)
		n.plural = w.low != w.norm
		at++
	}
	at += t.eachGets(&n, at, upto)
	n.upto = at
	if t.comesOffMilk(&n, at, upto, inner) {
		return n, true
	}
	t.trimDescribing(&n, start)
	t.halfOfIt(&n)
	t.leftBehind(&n, at)
	if len(n.words) == 0 && (n.share > 0 || n.rest || n.little || n.all || n.amount[1] > 0) {
		n.pronoun = true // "the rest", "half", "both"
	}
	return n, at > i && (len(n.words) > 0 || n.pronoun)
}

// leftBehind takes in the words behind a name that say its rest is meant: "the fat that is left".
func (t *text) leftBehind(n *noun, at int) {
	for _, left := range t.lang.Lefts {
		if n.upto == at && t.runs(at, left) {
			n.rest, n.upto = true, at+len(left)
		}
	}
}

// leftAt tells whether "that is left" or the like begins at i.
func (t *text) leftAt(i int) bool {
	return slices.ContainsFunc(t.lang.Lefts, func(left language.List) bool { return t.runs(i, left) })
}

// amounts reads what stands before a name: a measure, articles, shares.
func (t *text) amounts(n *noun, i, upto int) int {
	if n.but = t.allBut(i); n.but {
		i += 2
	}
	if end := t.oneOfEach(i, upto); end > 0 {
		n.little, n.share = true, littleOfIt
		return end
	}
	at := t.pointers(n, t.measure(n, i, upto), upto)
	if n.pointed && n.amount[1] == 0 && at < upto && t.words[at].Kind == lex.Number {
		at = t.pointers(n, t.measure(n, at, upto), upto) // "the 40 g of butter"
	}
	if t.terse && !n.one && n.amount[1] == 0 && !n.little && n.share == 0 && !n.pronoun && at < upto && !t.plain(at) {
		n.pointed = true // "add onion", where nothing has an article, but not "boil in salted water"
	}
	return t.pastOtherSize(i, at, upto)
}

// allBut tells whether what follows is left out of a thing: "all but a handful of the cheese".
func (t *text) allBut(i int) bool {
	return t.lang.Shares[t.low(i)] == 1 && t.is(i+1, t.lang.Exceptions) && (t.opensThing(i+2) || t.is(i+2, t.lang.Articles))
}

// trimDescribing takes off the end of a name what says how the thing gets: "the
// dough thin", "the onions brown", "the slices thin".
func (t *text) trimDescribing(n *noun, start int) {
	names := func(i int) bool {
		return t.foods(t.words[i].norm) || t.lang.Products[t.low(i)] || t.lang.Groups[t.words[i].norm] != nil || t.lang.Parts[t.low(i)] || t.lang.Shapes[t.words[i].norm] ||
			i > start && t.low(i) != t.words[i].norm && t.foods(t.words[i-1].norm) // "the squid tubes"
	}
	for last := n.upto - 1; last > start && t.lang.AdjectiveVerbs[t.low(last)] && len(n.words) > 1 && names(last-1); last-- {
		n.words, n.bare = n.words[:len(n.words)-1], n.bare+1
		n.plural = t.low(last-1) != t.words[last-1].norm
	}
}

// adjectives tells whether a run of words only describes: "a soft" in "a soft,
// sticky dough".
func (t *text) adjectives(from, upto int) bool {
	for i := from; i < upto; i++ {
		if !t.plain(i) {
			return false
		}
	}
	return upto > from
}

// describesNext tells whether a word behind a comma goes on describing: "soft,
// sticky dough".
func (t *text) describesNext(i int) bool {
	if t.plain(i) {
		return true
	}
	_, n := t.verb(i, language.Base)
	next := t.low(i + 1)
	return n == 0 && t.low(i) != "" && !t.foods(t.words[i].norm) && (t.lang.Products[next] || t.lang.Shapes[next])
}

// shared notes a share said in words; "all the ingredients" are all that is left of them, and no share.
func (n *noun) shared(share float64, pointed bool) {
	if n.all = n.all || share == 1; share < 1 || !pointed {
		n.share = share
	}
}

// plain tells whether a word describes and names no food, vessel or order.
func (t *text) plain(i int) bool {
	w := t.low(i)
	if w == "" || t.lang.AdjectiveVerbs[w] || t.lang.HeatWords[w] || t.lang.Qualifiers[w] {
		return w != ""
	}
	if _, n := t.verb(i, language.Past); n > 0 {
		return true
	}
	_, n := t.verb(i, language.Base)
	return n == 0 && t.describing(t.words[i].norm) && !t.opensThing(i) && !(t.listed(t.words[i].norm) && t.mark(i+1, ","))
}

// pointers reads articles, pointing words, shares and rests before a name.
func (t *text) pointers(n *noun, at, upto int) int {
	for at < upto {
		w := t.low(at)
		switch {
		case t.lang.Shares[w] > 0 && n.all && at > n.from && t.lang.Pronouns[t.low(at-1)]: // "each half"
			n.pronoun, n.all = true, false
			return at + 1
		case t.lang.Shares[w] > 0 && n.rest && t.lang.Shares[w] < 1: // "the other half"
		case t.halfMeasure(at) > 0: // "half a teaspoon of the filling" is little of it, and no half
			n.little, n.share = true, t.halfMeasure(at)
			at += 2
		case t.lang.Shares[w] > 0 && !t.lang.Vessels[t.low(at+1)]:
			v := t.lang.Shares[w]
			if num := t.lang.Lines.Figures.Numbers[t.low(at-1)]; at > n.from && num > 1 && v < 1 {
				v *= num // "two thirds"
			}
			n.shared(v, t.is(at+1, t.lang.Pointing))
		case t.lang.Rests[w]:
			n.rest, n.pointed = true, true
		case t.lang.Qualifiers[w] && n.little && at > n.from && t.lang.Littles[t.low(at-1)] > 0 && !t.ends(at+1, upto): // "a little more dripping"
		case t.lang.Qualifiers[w] && (t.lang.Littles[t.low(at+1)] > 0 || t.lang.Measures[t.low(at+1)]):
		case t.lang.Qualifiers[w] && t.lang.Qualifiers[t.low(at+1)] && t.lang.Littles[t.low(at+2)] > 0: // "a generous slotted spoonful of"
		case t.lang.Littles[w] > 0 && t.lang.Vessels[w] && n.amount[1] == 0 && t.countsVessels(at, upto):
			return at // "in a ladle"
		case t.lang.Littles[w] > 0:
			n.little, n.heaps = true, t.words[at].norm != w && n.amount[1] == 0
			if n.share == 0 {
				n.share = t.lang.Littles[w]
			}
		case t.lang.Measures[w] && t.lang.Prepositions[t.low(at+1)] == "of":
			n.enough, n.cut = n.enough || t.lang.Enough[w], n.cut || t.lang.Shapes[w]
			at++
		case t.is(at, t.lang.Articles):
			n.enough = n.enough || t.lang.Enough[w]
			n.pointed = n.pointed || t.lang.Pointing[w]
			n.one = n.one || !t.lang.Pointing[w] && !t.lang.Measures[w]
		case t.lang.Lines.Figures.Numbers[w] > 0 && t.lang.Shares[t.low(at+1)] > 0:
		case t.lang.Pronouns[w] && t.pronounHere(at, upto):
			n.pronoun = true
			n.words = append(n.words, t.words[at].norm)
			if t.lang.Whole[w] && t.adverb(at+1) && (t.conj(at+2) || t.mark(at+2, ",") || t.ends(at+2, upto) || t.lang.Prepositions[t.low(at+2)] != "") {
				return at + 2 // "everything else"
			}
			return at + 1
		case t.is(at, t.lang.Own):
			n.own = true
		case t.lang.Pointing[w] && t.lang.Relatives[t.low(at+1)] && t.says(at+2, upto):
			n.pronoun, n.little, n.share = true, true, someFew // "any that stay open"
			return t.clauseEnd(at, upto)
		case t.is(at, t.lang.Pointing):
			n.pointed, n.possessive, n.again = true, n.possessive || t.lang.Possessives[w], n.again || t.lang.Again[w]
			n.all = n.all || t.lang.Pronouns[w]
		case t.lang.Prepositions[w] == "of" && (n.share > 0 || n.rest || n.little || n.all || n.amount[1] > 0):
		default:
			return at
		}
		at++
	}
	return at
}

// someFew is the share that "any that ..." means; an estimate.
const someFew = 0.1

// says tells whether something is said of a thing from i on: "that stay open".
func (t *text) says(i, upto int) bool {
	return i < upto && !t.opensThing(i) && t.words[i].low != ""
}

// pronounHere tells whether a pronoun stands for a thing and does not point at
// one: "it", "both" but not "both kinds".
func (t *text) pronounHere(at, upto int) bool {
	w := t.low(at)
	if !t.lang.Pointing[w] {
		return true
	}
	next := at + 1
	return t.ends(next, upto) || t.mark(next, ",") || t.lang.Prepositions[t.low(next)] != "" || t.conj(next) ||
		t.is(next, t.lang.Until) || t.is(next, t.lang.Particles) || t.adverb(next) && !t.foods(t.words[next].norm)
}
