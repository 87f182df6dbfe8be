package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/lex"
)

// senseOf chooses the meaning of a verb by the words of its clause: the sense
// that asks for most of them.
func (t *text) senseOf(lemma string, from, upto int) language.Sense {
	best, most := language.Sense{}, -1
	for _, s := range t.lang.Senses(lemma) {
		asked := 0
		if len(s.Keys) > 0 {
			for _, key := range s.Keys {
				if len(key) > asked && t.holds(from, upto, key) {
					asked = len(key)
				}
			}
			if asked == 0 {
				continue
			}
		}
		if asked > most {
			best, most = s, asked
		}
	}
	return best
}

// beforeCue is where the words of a clause end that say what is done, before its cue.
func (t *text) beforeCue(from, upto int) int {
	for i := from; i < upto; i++ {
		if t.is(i, t.lang.Until) || t.lang.Prepositions[t.low(i)] == "without" || t.lang.Subordinators[t.low(i)] != "" && t.is(i+1, t.lang.Subjects) || t.is(i, t.lang.Whiles) && t.lang.Prepositions[t.low(i)] == "" && (t.opensThing(i+1) || t.is(i+1, t.lang.Cooks)) {
			return i // "let sit while the beans cook", "while you cook the beans"
		}
	}
	return upto
}

// holds tells whether all words of a key stand in a clause before its cue; a
// particle must stand by itself and lead to nothing.
func (t *text) holds(from, upto int, key []string) bool {
	if t.cueless[0] != from || t.cueless[1] != upto {
		t.cueless = [3]int{from, upto, t.beforeCue(from, upto)}
	}
	upto = t.cueless[2]
	return !slices.ContainsFunc(key, func(w string) bool {
		if w == anyObject {
			return !t.foodNext(from+1, upto)
		}
		if first, ok := strings.CutPrefix(w, firstThing); ok {
			return !t.firstNamed(from+1, upto, first)
		}
		if w == anyTime || w == anyDegrees || w == anyFood {
			return !t.measured(from, upto, w)
		}
		for i := from; i < upto; i++ {
			if t.mark(i, "(") {
				i = t.closing(i, upto)
			}
			if end := t.sidewaysEnd(i); end > i && end <= upto {
				i = end - 1 // "cook skin side down"
				continue
			}
			if t.low(i) == w && t.lang.AdjectiveVerbs[w] && t.nameNext(i+1, upto) {
				continue // "put in 300 ml cold water"
			}
			if t.low(i) == w && !t.lang.Pots[w] && t.lang.Pots[t.low(i-1)+"-"+w] {
				continue // "cook the bacon in a Dutch oven"
			}
			if (t.low(i) == w || t.words[i].norm == w && t.words[i].Kind == lex.Word) && (len(key) > 1 || !t.is(i, t.lang.Particles) || t.alone(i, from, upto)) {
				return false
			}
		}
		return true
	})
}

// nameNext tells whether the name of a thing goes on at i.
func (t *text) nameNext(i, upto int) bool {
	return i < upto && (t.foods(t.words[i].norm) || t.lang.Loose[t.low(i)] || t.lang.Products[t.low(i)] || t.is(i, t.lang.Vessels) || i+1 < upto && t.is(i+1, t.lang.Vessels))
}

// anyTime, anyDegrees and anyFood stand in the table of verbs for a time, a
// temperature and the name of a food of the clause, anyObject for one right behind the verb; firstThing stands
// before a word of the first thing that is named.
const (
	firstThing = "^"
	anyObject  = "#object"
	anyTime    = "#time"
	anyDegrees = "#degrees"
	anyFood    = "#food"
)

// foodNext tells whether the first thing named from i on is a food.
func (t *text) foodNext(i, upto int) bool {
	for ; i < upto && !t.mark(i, ",") && !t.conj(i) && t.lang.Prepositions[t.low(i)] == ""; i++ {
		if t.foods(t.words[i].norm) {
			return true
		}
	}
	return false
}

// firstNamed tells whether a word is of the first thing named from i on: "divide the eggs", but not "divide the
// beans, eggs and rice", nor "divide the egg filling".
func (t *text) firstNamed(i, upto int, word string) bool {
	for ; i < upto && !t.mark(i, ",") && !t.conj(i) && t.lang.Prepositions[t.low(i)] == ""; i++ {
		if t.words[i].norm == word {
			return !t.nameNext(i+1, upto) || t.lang.EggParts[t.words[i+1].norm] > 0
		}
	}
	return false
}

func (t *text) measured(from, upto int, what string) bool {
	for i := from; i < upto; i++ {
		if c, ok := t.time(i); what == anyTime && ok && !c.aside {
			return true
		}
		if _, _, ok := t.celsius(i); what == anyDegrees && ok {
			return true
		}
		if what == anyFood && t.foods(t.words[i].norm) {
			return true
		}
	}
	return false
}

// closing finds the bracket that closes one at i.
func (t *text) closing(i, upto int) int {
	for i < upto-1 && !t.mark(i, ")") {
		i++
	}
	return i
}

// alone tells whether a particle belongs to the verb: it stands before it or follows it right
// away, or nothing that it could lead to follows it.
func (t *text) alone(i, from, upto int) bool {
	next := i + 1
	return i == from || i == from+1 || t.ends(next, upto) || t.mark(next, ",") || t.lang.Prepositions[t.low(next)] != "" || t.conj(next) || t.is(next, t.lang.Until) || t.adverb(next) && (t.ends(next+1, upto) || t.mark(next+1, ",") || t.conj(next+1) || t.lang.Prepositions[t.low(next+1)] != "")
}
