package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/lex"
)

// word is a token of a step with what the parser asks of it.
type word struct {
	lex.Token
	low  string // lower case, without accents
	norm string // as the index of names has it
}

func wordsOf(tokens []lex.Token) []word {
	out := make([]word, len(tokens))
	for i, t := range tokens {
		out[i] = word{Token: t, norm: t.Norm}
		if t.Kind == lex.Word {
			out[i].low = larder.Fold(t.Text)
		}
	}
	return out
}

// text is one step under the parser: its words and what the language and the
// ingredient list say of them.
type text struct {
	source string
	lang   *language.Language
	tokens []lex.Token
	words  []word
	// foods are the words by which listed or known foods go.
	foods func(norm string) bool
	// listed tells which words name foods of this recipe's own list.
	listed func(norm string) bool
	// pair tells which two words stand beside each other in a name of the list.
	pair func(a, b string) bool
	// sort tells which word only says of what sort a listed food is that goes by another.
	sort func(a, b string) bool
	// titles are the names with a joining word that steps have given to what they made.
	titles [][]string
	// describing tells which words only say how a food is.
	describing func(norm string) bool
	// sideEnds are where words end that say which side is where, one more than the place and 0 where nobody asked; cueless is
	// between which words a cue was looked for last, and where it begins.
	sideEnds []int
	cueless  [3]int
	// terse tells that the method leaves out the articles.
	terse bool
	// runes are where words begin in the source, in letters; nil until asked for.
	runes []int
	// technique finds a row of the table of techniques.
	technique func(name string) *larder.Technique
}

func (t *text) low(i int) string {
	if i < 0 || i >= len(t.words) {
		return ""
	}
	return t.words[i].low
}

func (t *text) is(i int, set language.Set) bool {
	return i >= 0 && i < len(t.words) && t.words[i].low != "" && set[t.words[i].low]
}

func (t *text) mark(i int, marks string) bool {
	return i >= 0 && i < len(t.words) && t.words[i].Kind == lex.Mark && strings.Contains(marks, t.words[i].Text)
}

// conj tells whether a word joins: "and", "&".
func (t *text) conj(i int) bool {
	return t.is(i, t.lang.Conjunctions) && !t.recurs(i-1) && !t.recurs(i-2) || t.mark(i, "&+")
}

// recurs tells whether words that say how often begin at i, of which others could join: "now and then".
func (t *text) recurs(i int) bool {
	return i >= 0 && i+2 < len(t.words) && t.lang.Lines.And[t.low(i+1)] && t.lang.Recurring[t.low(i)+"-"+t.low(i+1)+"-"+t.low(i+2)]
}

func (t *text) number(i int) bool { return i >= 0 && i < len(t.words) && t.words[i].Kind == lex.Number }

// phrase finds a phrase of the language that begins at i.
func (t *text) phrase(i int) (kind string, n int) {
	for _, p := range t.lang.Phrases[t.low(i)] {
		if len(p.Words) > n && t.runs(i, p.Words) {
			kind, n = p.Kind, len(p.Words)
		}
	}
	return kind, n
}

func (t *text) runs(i int, words []string) bool {
	for k, w := range words {
		if t.low(i+k) != w {
			return false
		}
	}
	return true
}

// ends tells whether i is past a clause: the end of the text or a mark that
// ends or parts clauses.
func (t *text) ends(i, upto int) bool { return i >= upto || t.mark(i, ".;:!?()") || t.dash(i) }

// dash tells whether a dash stands between words and not within one.
func (t *text) dash(i int) bool {
	return t.mark(i, "-") && i > 0 && i+1 < len(t.words) && t.words[i].Start > t.words[i-1].End && t.words[i+1].Start > t.words[i].End
}

// adverb tells whether a word only says how.
func (t *text) adverb(i int) bool {
	w := t.low(i)
	if t.lang.Adverbs[w] && i > 0 && t.is(i-1, t.lang.Articles) && t.lang.Pointing[t.low(i-1)] && (t.ends(i+1, len(t.words)) || t.mark(i+1, ",") || t.conj(i+1)) {
		return false // "pour into the well"
	}
	if t.allBut(i) || t.lang.Shares[w] == 1 && (t.lang.Prepositions[t.low(i+1)] == "of" || t.is(i+1, t.lang.Pointing) && !t.lang.Manner[t.low(i+2)] && !t.lang.Whiles[t.low(i+2)]) {
		return false // "all of the ingredients", "all the meat", but "all the time"
	}
	return t.lang.Adverbs[w] || strings.HasSuffix(w, t.lang.AdverbEnd) && len(w) > 2+len(t.lang.AdverbEnd) && !t.lang.NoAdverbs[w]
}

// opensThing tells whether a word can only begin the name of a thing.
func (t *text) opensThing(i int) bool {
	return t.is(i, t.lang.Articles) || t.is(i, t.lang.Pointing) || t.is(i, t.lang.Pronouns) || t.number(i) ||
		t.lang.Shares[t.low(i)] > 0 || t.lang.Littles[t.low(i)] > 0 && t.lang.Prepositions[t.low(i+1)] == "of"
}

// verb reads the verb at i in a form; n is how many words it spans.
func (t *text) verb(i int, form language.Form) (lemma string, n int) {
	if i < 0 || i >= len(t.words) || t.words[i].low == "" {
		return "", 0
	}
	if form == language.Base {
		for _, long := range t.lang.Longer(t.words[i].low) {
			if len(long) > n && t.runs(i, long) {
				lemma, n = strings.Join(long, " "), len(long)
			}
		}
		if n > 0 {
			return lemma, n
		}
	}
	for _, r := range t.lang.Verb(t.words[i].low) {
		if r.Form == form {
			return r.Lemma, 1
		}
	}
	return "", 0
}

// orders tells whether an order begins at i, by what stands there and behind
// it. first tells that a sentence begins there, cue that a cue runs before it,
// where "and set" and "and brown" describe.
func (t *text) orders(i int, first, cue bool) bool {
	_, n := t.verb(i, language.Base)
	if n == 0 {
		return false
	}
	next := i + n
	if t.cutInto(i) > 0 || t.sideways(i) || t.lang.Rests[t.low(i)] && t.lang.Prepositions[t.low(next)] == "of" || !first && n == 1 && next < len(t.words) && t.pair(t.words[i].norm, t.words[next].norm) {
		return false // "cut side down", "rest of the cheese on top", "the mustard, sour cream"
	}
	if !first && t.saysHow(i, next) {
		return false
	}
	if t.opensThing(next) || n > 1 {
		return true
	}
	if t.terse && next < len(t.words) && !t.foods(t.words[i].norm) && t.listed(t.words[next].norm) && (first || t.conj(i-1) || t.mark(i-1, ",")) {
		return true // "remove string, slice pork", where nothing has an article
	}
	moves := t.is(next, t.lang.Particles)
	if moves && t.lang.Prepositions[t.low(next)] == "" {
		return first || t.meantBy(i, next) || !t.listed(t.words[i].norm) || !t.lang.NounVerbs[t.words[i].low] || !t.conj(i-1) || i < 2 || !t.listed(t.words[i-2].norm) // "roll up", but "stir the flour and salt together"
	}
	if t.lang.NounVerbs[t.words[i].low] && !t.foods(t.words[i].norm) && t.lang.Shapes[t.low(next)] && (t.conj(next+1) || t.mark(next+1, ",") || t.ends(next+1, len(t.words))) {
		return true // "shape patties and fry"
	}
	if t.preparesVessel(next) || t.takesShape(next) {
		return true
	}
	if i > 0 && t.mark(i-1, ",") && t.lang.Prepositions[t.low(next)] == "with" && t.opensThing(next+1) && !t.foods(t.words[i].norm) {
		return true // "until pink, cover with the water"
	}
	if t.amongOrders(i, next) {
		return true // "cool, peel, and halve"
	}
	if t.seasoning(i) {
		return false // "bring milk, nutmeg, salt and pepper to the boil"
	}
	if i > 2 && t.lang.Parts[t.low(i)] && t.conj(i-1) && t.foods(t.words[i-2].norm) && t.lang.Rests[t.low(i-3)] {
		return false // "the remaining oil and juice"
	}
	if t.lang.NounVerbs[t.words[i].low] || t.foods(t.words[i].norm) {
		return first && !t.ends(next, len(t.words)) && !t.mark(next, ",") && !t.conj(next) || moves && first ||
			!cue && !t.listed(t.words[i].norm) && !(t.foods(t.words[i].norm) && t.ends(next, len(t.words))) && (t.opensManner(next) || t.conj(i-1) && t.sideways(next) && !t.foods(t.words[i].norm) || t.mark(next, ",") && !t.foods(t.words[i].norm) && !t.lang.Parts[t.words[i].low])
	}
	if t.lang.AdjectiveVerbs[t.words[i].low] {
		return !t.sign(i) && (!cue || moves && !t.is(next, t.lang.Articles) || t.adverb(next) && t.lang.Prepositions[t.low(next+1)] != "" && t.opensThing(next+2))
	}
	return true
}

// meantBy tells whether a verb has a meaning of its own with the particle behind it: "roll up".
func (t *text) meantBy(i, particle int) bool {
	lemma, _ := t.verb(i, language.Base)
	return slices.ContainsFunc(t.lang.Senses(lemma), func(s language.Sense) bool {
		return slices.ContainsFunc(s.Keys, func(key []string) bool { return len(key) == 1 && key[0] == t.low(particle) })
	})
}

// amongOrders tells whether a word that could name a thing stands in a row of bare orders, of which one opens the
// sentence and another ends the row: "cool, peel, and halve".
func (t *text) amongOrders(i, next int) bool {
	opens := i == 2 || i > 2 && (t.sentenceEnds(i-3) || t.is(i-3, t.lang.Sequence))
	if !opens || !t.mark(i-1, ",") || !t.bareOrder(i-2) || t.foods(t.words[i-2].norm) {
		return false
	}
	if t.mark(next, ",") {
		next++
	}
	return t.bareOrder(next) || t.conj(next) && t.bareOrder(next+1)
}

// bareOrder tells whether a word is an order by its form and names no food of the list.
func (t *text) bareOrder(i int) bool {
	_, n := t.verb(i, language.Base)
	return n == 1 && !t.listed(t.words[i].norm)
}

// seasoning tells whether a word that could be an order stands in a list of foods, with one before it and
// another tied to it: ", salt and pepper".
func (t *text) seasoning(i int) bool {
	food := func(k int) bool { return k >= 0 && k < len(t.words) && t.foods(t.words[k].norm) }
	if !food(i) {
		return false
	}
	if t.conj(i - 1) {
		i -= 2 // the last of them
	}
	return i > 1 && food(i) && food(i-2) && t.mark(i-1, ",") && t.conj(i+1) && food(i+2)
}

// opensManner tells whether what stands at i can follow a verb that has no
// object: "and chill for an hour", but not "skin side up".
func (t *text) opensManner(i int) bool {
	if t.conj(i) && t.orders(i+1, false, false) {
		return true // "cover and simmer"
	}
	if t.ends(i, len(t.words)) || t.is(i, t.lang.Particles) || t.is(i, t.lang.Until) || t.adverb(i) {
		return true
	}
	if t.lang.Subordinators[t.low(i)] != "" {
		return true
	}
	if role := t.lang.Prepositions[t.low(i)]; role != "" {
		return role != "of"
	}
	_, ok := t.time(i)
	return ok
}

// goes tells whether a verb in -ing begins at i.
func (t *text) goes(i int) bool {
	_, n := t.verb(i, language.Going)
	return n > 0
}

// looksGoing tells whether a word has the shape of a verb in -ing that no table
// knows: "ending with potatoes".
func (t *text) looksGoing(i int) bool {
	w := t.low(i)
	return strings.HasSuffix(w, t.lang.GoingEnd) && len(w) > len(t.lang.GoingEnd)+2 && !t.foods(t.words[i].norm) && !t.lang.Products[w] && !t.lang.Vessels[w] && !t.lang.Pointing[w] && !t.lang.Pronouns[w]
}
