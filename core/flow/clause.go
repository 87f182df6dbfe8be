package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// clause is one verb with all that hangs on it, before it is known which lines
// and products its things are.
type clause struct {
	lemma, said string
	sense       language.Sense
	from, upto  int // words
	objects     []noun
	links       []link
	particles   []string
	minutes     *measure.Span
	temp        *float64
	cue         [2]int // words
	// verbAt, clock and degrees are the words that say what is done, how long and
	// how hot.
	verbAt, clock, degrees [2]int
	mannerAt               [][2]int
	// joint tells that what it is done to is that of the verb before, which is joined to it.
	joint    bool
	ring     string
	manner   []string
	makes    string
	parallel bool
	going    bool
	// purposeAt is where it says what it is done for: "to crisp the skin".
	purposeAt [2]int
	// outcomeAt is where it says what is to come of it, particlesAt where its particles stand.
	outcomeAt [2]int
	// shapeAt is where the word for the shape stands that things are given: "into 8 sausages".
	shapeAt     [2]int
	particlesAt [][2]int
	// per are the grams of what is worked on that take the minutes, 0 where they are for all of it.
	per float64
	// conditional tells that it only happens if something is so.
	conditional bool
	// placed tells that it says at which place: "in the middle".
	placed bool
	// shares tells that it works on what the next clause names: "peel and slice
	// the potatoes".
	shares bool
	// repeats tells that it takes its verb from the clause before: "Then the
	// cabbage".
	repeats bool
}

// link is what a preposition ties to the verb.
type link struct {
	role, word string
	// first tells that it stands right behind the verb, where "in" and "over"
	// may belong to the verb instead.
	first bool
	nouns []noun
	from  int // where the preposition stands
}

// unit is a stretch of a step: work, an aside, or what was not understood.
type unit struct {
	clause     *clause
	aside      string // kind
	question   bool
	from, upto int
}

// parser takes the sentences of one step apart.
type parser struct {
	*text
	units []unit
	// front is what stands before the verb it belongs to: "In a wide pan, ...".
	front *clause
	// brackets are asides found within the clause being read.
	brackets [][2]int
	// opening tells that nothing of the sentence has been read yet.
	opening bool
	// adding tells that the verb in -ing at hand is work of its own: "before beating
	// in the egg".
	adding bool
	// announced is what an order before a colon is about: "Cook the rice: wash it".
	announced []noun
	// leftover is where words began that nothing has claimed, -1 when none.
	leftover int
}

// parse takes a whole step apart.
func (t *text) parse() []unit {
	p := &parser{text: t, leftover: -1}
	for from := 0; from < len(t.words); {
		upto := from
		for upto < len(t.words) && !t.sentenceEnds(upto) {
			upto++
		}
		p.sentence(from, upto)
		from = upto + 1
	}
	p.shareObjects()
	return p.units
}

// shareObjects gives a verb without an object that of the verb it is joined to.
func (p *parser) shareObjects() {
	for i := len(p.units) - 2; i >= 0; i-- {
		a, b := p.units[i].clause, p.units[i+1].clause
		if a == nil || b == nil || !a.shares || len(b.objects) == 0 {
			continue
		}
		if t := p.technique(b.sense.Technique); t == nil || t.Joins == "yes" {
			continue
		}
		if t := p.technique(b.sense.Technique); t.Takes == "part" && (b.objects[0].amount[1] > 0 || b.objects[0].share > 0) {
			continue // "strain and save 2 cups of the broth"
		}
		if t := p.technique(a.sense.Technique); t != nil && (t.Takes == "none" || t.Takes == "look") {
			continue // "taste and correct the salt"
		}
		if p.technique(b.sense.Technique).Takes == "part" && a.sense.Technique == drainTechnique && p.lang.Liquors[b.objects[0].head()] {
			continue // "drain and keep the stock": it is what is drained off
		}
		if end := p.low(b.objects[0].upto - 1); !p.lang.Vessels[b.objects[0].head()] && slices.ContainsFunc(b.sense.Keys, func(key []string) bool { return slices.Contains(key, end) }) {
			continue // "peel and make slits": they are what the second verb makes
		}
		if a.objects = slices.Clone(b.objects); !p.lang.Vessels[b.objects[0].head()] {
			b.objects, b.joint = nil, true // what the first makes of it; a tin stays the tin
		}
	}
}

// longestShort is how long a unit is at most that is cut short.
const longestShort = 4

func (t *text) sentenceEnds(i int) bool {
	if t.mark(i, ";") && t.inList(i) {
		return false
	}
	if t.mark(i, "!?;") {
		return true
	}
	if i+1 < len(t.words) && t.mark(i, ".") && t.lang.TimeUnits[t.low(i-1)] > 0 && len(t.low(i-1)) <= longestShort && t.words[i+1].Kind == lex.Word && t.words[i+1].Text == strings.ToLower(t.words[i+1].Text) {
		small := t.words[0].Text == t.words[0].low // "sweat 5 min. stir in the paste", all in small letters
		return small && t.orders(i+1, true, false)
	}
	return t.mark(i, ".") && (i+1 >= len(t.words) || !t.words[i+1].Glued || t.words[i+1].Text != t.words[i+1].low)
}

// sentence reads one sentence.
func (p *parser) sentence(from, upto int) {
	if kind := p.telling(from, upto); kind != "" {
		p.units = append(p.units, unit{aside: kind, from: from, upto: upto})
		return
	}
	p.front, p.leftover = nil, -1
	first, parallel := true, false
	from = p.label(from, upto)
	for i := from; i < upto; {
		at, form := p.dinersDo(i)
		switch {
		case p.mark(i, "("):
			i = p.bracketed(i, upto)
		case p.words[i].low == "" && !p.number(i):
			i++
		case p.is(i, p.lang.Parallel):
			parallel = true
			i++
		case p.conj(i) && !p.is(i, p.lang.Negations):
			i++
		case p.is(i, p.lang.Whiles) && p.is(i+1, p.lang.Cooks) && p.addsAt(i+2):
			i, parallel, first = i+2, true, true
		case p.is(i, p.lang.Cooks) && p.orders(i+1, false, false) && p.opensThing(i+2):
			i++
		case at > 0:
			i, first = p.order(at, upto, parallel, form), false
		default:
			p.opening = first
			next := p.piece(i, upto, first, &parallel)
			first = false
			i = max(next, i+1)
		}
	}
	p.claim(upto)
}

// label reads the name of a part before a colon as what the orders behind it are for:
// "Gravy: melt the butter".
func (p *parser) label(i, upto int) int {
	n, ok := p.noun(i, upto, true)
	at := n.upto + 1
	for ok && p.adverb(at) {
		at++ // "Sauce: gently fry the garlic"
	}
	if !ok || n.pronoun || !p.mark(n.upto, ":") || !p.lang.Products[p.low(n.upto-1)] && !p.listed(n.head()) || !p.orders(at, true, false) {
		return i
	}
	p.front = &clause{from: i, links: []link{{role: "for", nouns: []noun{n}, from: i}}}
	return n.upto + 1
}

// piece reads what begins at i: an order, an aside, what stands before an
// order, or a thing.
func (p *parser) piece(i, upto int, first bool, parallel *bool) int {
	kind, n := p.phrase(i)
	if last := p.lastClause(); last != nil && !first && (!p.orders(i, false, false) || p.low(i) == p.low(i+2)) {
		if end := p.doled(i, upto); end > 0 && (p.is(i-1, p.lang.Sequence) || p.mark(i-1, ",") && p.is(i-2, p.lang.Sequence)) {
			for end < upto && !p.mark(end, ",") && !p.opensThing(end) {
				end++ // "then, drop by drop at first, the remaining oil"
			}
			p.front = &clause{from: i, manner: []string{p.slice(i, end)}, mannerAt: [][2]int{{i, end}}}
			return end
		} else if end > 0 { // "drop by drop"
			last.manner, last.mannerAt = append(last.manner, p.slice(i, end)), append(last.mannerAt, [2]int{i, end})
			last.upto = end
			return end
		}
	}
	if (p.dash(i-1) || p.mark(i-1, ":")) && p.is(i, p.lang.Subjects) {
		if kind := p.telling(i, upto); kind != "" {
			return p.asideTo(i, upto, kind) // "fry until brown - this takes 15 minutes"
		}
	}
	switch {
	case kind == language.Meanwhile:
		*parallel = true
		return i + n
	case kind == language.Negative, p.is(i, p.lang.Negations):
		return p.asideTo(i, p.boundary(i+1, upto), recipe.Remark)
	case kind == language.If, kind == language.Optional, p.is(i, p.lang.Ifs):
		return p.asideTo(i, upto, recipe.Condition)
	case kind != "" && kind != language.NoteOpener:
		return p.asideTo(i, p.subordinateEnd(i, upto), kind)
	case p.lang.Subordinators[p.low(i)] != "" && !p.orders(i, first, false):
		return p.asideTo(i, p.subordinateEnd(i, upto), p.lang.Subordinators[p.low(i)])
	case p.orders(i, first || p.front != nil, false), p.sequenced(i), p.conj(i-1) && p.onlyVerb(i, upto), p.mark(i-1, ",") && p.verbList(i, upto):
		return p.order(i, upto, *parallel, language.Base)
	case p.goes(i) && p.front == nil && p.servedBefore() && !p.bringsToTable(i, upto):
		return p.atTable(i, upto)
	case p.goes(i) && (p.front != nil || !p.foods(p.words[i].norm)):
		return p.order(i, upto, *parallel, language.Going)
	}
	if at := p.inverted(i, upto); at > i {
		return at
	}
	if next := p.heated(i, upto); first && next > i {
		return next
	}
	if next := p.goesOn(i, upto); next > i {
		return next
	}
	if next, ok := p.fronted(i, upto); ok {
		return next
	}
	if p.lang.Connectors[p.low(i)] || p.adverb(i) {
		return i + 1
	}
	return p.loose(i, upto)
}

// asideTo notes an aside; a condition on what was just said makes that
// conditional.
func (p *parser) asideTo(from, upto int, kind string) int {
	if p.dash(from - 1) {
		for k := from; k < upto; k++ { // " - it will seize - and thin it"
			if p.dash(k) {
				upto = k
			}
		}
	}
	if upto <= from {
		upto = from + 1
	}
	p.claim(from)
	p.units = append(p.units, unit{aside: kind, from: from, upto: upto})
	return upto
}

// claim turns words that nothing has claimed so far into a question.
func (p *parser) claim(at int) {
	if p.leftover >= 0 && at > p.leftover {
		p.units = append(p.units, unit{question: true, from: p.leftover, upto: at})
	}
	p.leftover = -1
	if p.front != nil && at == len(p.words) {
		p.front = nil
	}
}
