package flow

import (
	"strings"

	"yembra/core/language"
)

// nouns reads a list of things from i.
func (b *body) nouns(i int) ([]noun, int) {
	var out []noun
	inner := b.lang.Causatives[b.lemma] && b.lang.Prepositions[b.low(i-1)] == "" || b.start < 0
	for {
		n, ok := b.noun(i, b.upto, inner)
		if !ok || len(out) > 0 && n.pronoun && len(n.words) == 0 && !n.rest && !n.all {
			return out, i // ", a spoonful at a time"
		}
		if len(out) > 0 && out[0].pointed && !n.pointed && len(n.words) == 1 && n.amount[1] == 0 && b.lang.Products[n.head()] && !b.text.listed(n.head()) {
			n.pointed = true // "the pasta, tuna and sauce"
		}
		n.led = len(out) > 0 && (out[0].pointed || out[0].led) && n.plural && n.amount[1] == 0        // "the corn and beans"
		n.cut = n.cut || len(out) > 0 && out[len(out)-1].cut && len(n.words) == 1 && n.amount[1] == 0 // "slices of tomato and pepper"
		out, i = append(b.withHead(out, n), n), n.upto
		if at := b.exception(i); at > i && (n.pronoun || n.plural) {
			out[len(out)-1].except, i = b.nouns(at)
			return out, i
		}
		if end := b.between(&out[len(out)-1], i); end > i {
			return out, end
		}
		i = b.pastBracket(i)
		if end := b.pastDescription(i); end > i {
			out[len(out)-1].behind, i = [2]int{i, end}, end
		}
		i = b.pastPlace(b.pastTaste(b.pastManner(i)))
		if end := b.doled(i, b.upto); end > 0 && b.followed(end) > end {
			b.how(i, end)
			i = end // "the yolks one at a time followed by the cheese"
		}
		if at := b.beatenWith(i); at > i {
			i = at // "the yolk beaten with the milk" are both
			continue
		}
		next := b.followed(i)
		for next < b.upto && (b.mark(next, ",/+&") || b.conj(next) || next > i && b.is(next, b.lang.Connectors)) {
			if b.is(next, b.lang.Sequence) || b.whenWhat(next) {
				return out, i
			}
			next++
		}
		if next == i || next >= b.upto || !b.listed(next) || b.leavesVessel(out[len(out)-1], next) || b.eachOf(next) > 0 || b.sign(next) || b.whenWhat(next) {
			return out, i
		}
		i = next
	}
}

// beatenWith finds where another thing begins with which the one just named was mixed or is
// topped: "the yolk beaten with the milk", "the yoghurt, drizzled with the honey". It returns i
// where there is none that is listed.
func (b *body) beatenWith(i int) int {
	at := i
	if b.mark(at, ",") {
		at++
	}
	lemma, n := b.verb(at, language.Past)
	if n == 0 || b.start < 0 {
		return i
	}
	t := b.technique(b.senseOf(lemma, at+1, b.upto).Technique)
	if t == nil || t.Family != "mix" && t.Family != "coat" && t.Joins == "" || b.lang.Prepositions[b.low(at+1)] != "with" {
		return i
	}
	thing, ok := b.text.noun(at+2, b.upto, false)
	if !ok || thing.pronoun || thing.owner != nil || !b.text.listed(thing.head()) {
		return i
	}
	return at + 2
}

// pastBracket notes what stands in brackets behind one thing of a list, and goes on behind
// it: "the ginger (grated) and the salt".
func (b *body) pastBracket(i int) int {
	if !b.mark(i, "(") {
		return i
	}
	end := b.closing(i, b.upto)
	next := end + 1
	for next < b.upto && (b.mark(next, ",") || b.conj(next)) {
		next++
	}
	if !b.mark(end, ")") || next == end+1 || next >= b.upto || !b.listed(next) || b.orders(next, false, false) {
		return i
	}
	return b.bracket(i)
}

// pastDescription skips what describes the thing just named behind a comma: "the
// eggs, quartered, and".
func (b *body) pastDescription(i int) int {
	if end := b.relative(i); end > 0 {
		return end
	}
	if !b.mark(i, ",") {
		return i
	}
	at := i + 1
	if end := b.compared(at); end > at {
		return end // "two patties, a little wider than the muffins"
	}
	for b.adverb(at) {
		at++
	}
	if _, n := b.verb(at, language.Past); n > 0 && (b.mark(at+1, ",") || b.conj(at+1) || b.ends(at+1, b.upto)) && !b.opensThing(at+1) {
		return max(at+1, b.cutInto(at+2)) // "the potatoes, peeled and cut into dice, the garlic"
	}
	if end := b.cutInto(at); end > 0 {
		return end
	}
	return i
}

// between reads from which to which thing of the list everything is: "everything from the pork down to the
// pepper". It returns i where that is not said.
func (b *body) between(n *noun, i int) int {
	if !n.pronoun && !n.all || b.lang.Prepositions[b.low(i)] != "from" {
		return i
	}
	first, ok := b.noun(i+1, b.upto, false)
	if !ok {
		return i
	}
	at := first.upto
	for b.adverb(at) && !b.lang.Purpose[b.low(at)] {
		at++
	}
	last, ok := b.noun(at+1, b.upto, false)
	if !b.lang.Purpose[b.low(at)] || !ok {
		return i
	}
	n.between, n.upto = []noun{first, last}, last.upto
	return last.upto
}

// pastPlace skips what says where one thing of a list lies, if another follows it: "with the meatballs on
// top and the rest of the cheese", "the powder on top and the leaves beside".
func (b *body) pastPlace(i int) int {
	if b.lang.Prepositions[b.low(i)] == "" || b.lang.Purpose[b.low(i)] {
		return i
	}
	end := i + 1
	for b.is(end, b.lang.Articles) && b.is(end+1, b.lang.Places) {
		end++
	}
	if b.is(end, b.lang.Places) {
		end++
	}
	if !b.conj(end) || !b.listed(end+1) || b.orders(end+1, false, false) {
		return i
	}
	b.how(i, end)
	return end
}

// followed skips the words before the last thing of a list: ", followed by the cream".
func (b *body) followed(i int) int {
	at := i
	if b.mark(at, ",") {
		at++
	}
	for _, p := range b.lang.Followed {
		if b.runs(at, p) {
			return at + len(p)
		}
	}
	return i
}

// followedBy are the things behind "followed by" at i.
func (b *body) followedBy(i int) ([]noun, int) {
	at := b.followed(i)
	if at == i {
		return nil, i
	}
	return b.nouns(at)
}

// pastTaste skips "to taste" within a list: "the lemon juice to taste and the parsley".
func (b *body) pastTaste(i int) int {
	for _, words := range b.lang.Lines.ToTaste {
		if says := strings.Fields(words); b.runs(i, says) && b.conj(i+len(says)) && b.opensThing(i+len(says)+1) {
			b.how(i, i+len(says))
			return i + len(says)
		}
	}
	return i
}

// pastManner skips what says within a list how one of its things is: "the sausage in
// one piece and".
func (b *body) pastManner(i int) int {
	role := b.lang.Prepositions[b.low(i)]
	if role != "in" || b.start < 0 {
		return i
	}
	end := b.manners(i+1, role, false)
	next := end
	for next > 0 && next < b.upto && (b.mark(next, ",") || b.conj(next)) {
		next++
	}
	if end == 0 || next == end || next >= b.upto || !b.listed(next) || !b.opensThing(next) {
		return i
	}
	b.how(i, end)
	return end
}

// listed tells whether another thing of a list begins at i.
func (b *body) listed(i int) bool {
	if _, ok := b.time(i); ok || b.sideways(i) || b.doled(i, b.upto) > 0 {
		return false
	}
	if kind, _ := b.phrase(i); kind != "" {
		return false
	}
	if (b.number(i) || b.lang.Lines.Figures.Numbers[b.low(i)] > 1) && b.is(i+1, b.lang.Manner) || b.start >= 0 && b.oneForEach(i) {
		return false // ", five times", or ", an egg in each"
	}
	at := i
	for b.is(at, b.lang.Articles) {
		at++
	}
	if b.lang.Places[b.low(at)] && (b.lang.Particles[b.low(at+1)] || b.ends(at+1, b.upto) || b.mark(at+1, ",")) {
		return false // ", seam down"
	}
	if b.describes(i) && !b.foods(b.words[i].norm) || b.inTurn(i) > 0 || b.eachDone(i) {
		return false // ", topped with the onion", or ", largest first"
	}
	if b.is(i, b.lang.Until) || b.lang.Prepositions[b.low(i)] != "" || b.lang.Subordinators[b.low(i)] != "" || b.wordless(i) || b.is(i, b.lang.Negations) {
		return false
	}
	if b.adverb(i) && !b.modifies(i, b.upto) {
		return false
	}
	if (b.text.listed(b.words[i].norm) || b.lang.Groups[b.words[i].norm] != nil) && (b.ends(i+1, b.upto) || b.mark(i+1, ",") || b.conj(i+1) || b.is(i+1, b.lang.Until)) {
		return true // "the egg and seasoning"
	}
	return !b.goes(i) && !b.looksGoing(i) || b.modifies(i, b.upto)
}

// thing puts nouns where they belong: what is worked on, or what it is for.
func (b *body) thing(nouns []noun) {
	switch {
	case len(nouns) == 1 && !(nouns[0].pointed && b.lang.Products[nouns[0].head()]) && b.shapes("into", nouns[0]) && b.cuts() && (b.lang.Shapes[nouns[0].head()] || (nouns[0].amount[1] > 0 || nouns[0].plural && !nouns[0].pointed && b.sense.Technique == shapeTechnique) && b.lang.Products[nouns[0].head()] && !b.text.listed(nouns[0].head())) && !b.foods(nouns[0].head()):
		b.gives(nouns[0])
	case b.purpose != "":
		b.clause.purposeAt = [2]int{b.purposeAt, nouns[len(nouns)-1].upto}
		if b.lang.Outcomes[b.purpose] {
			b.clause.purposeAt = [2]int{}
			b.clause.makes, b.clause.outcomeAt = nouns[0].head(), [2]int{b.purposeAt, nouns[len(nouns)-1].upto}
		}
	case len(nouns) == 1 && len(b.clause.objects) == 0 && b.lang.Announcing[b.lemma] && !nouns[0].pointed && (b.lang.Products[nouns[0].head()] || b.lang.Shapes[nouns[0].head()]):
		b.clause.makes, b.clause.outcomeAt = nouns[0].head(), [2]int{nouns[0].from, nouns[0].upto} // "make a firm dough from"
	default:
		b.clause.objects = append(b.clause.objects, nouns...)
	}
}

// gives notes the shape that things are given, and where it is said.
func (b *body) gives(shape noun) {
	b.clause.makes, b.clause.shapeAt = shape.head(), [2]int{shape.upto - 1, shape.upto}
}

// doneBefore tells whether a name says what was done to its thing before, so that
// the thing is there already: "into the cooled crust".
func (b *body) doneBefore(n noun) bool {
	for i := n.from; i < n.upto-1; i++ {
		if _, width := b.verb(i, language.Past); width > 0 && b.lang.Products[b.low(n.upto-1)] {
			return true
		}
	}
	return false
}
