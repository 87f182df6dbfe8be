package flow

import (
	"slices"

	"yembra/core/language"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// shareOf is the share of a portion that a noun means.
func (b *bindings) shareOf(n noun, p portion) float64 {
	left := b.leftOf(p)
	if n.but {
		n.but = false
		return max(left-b.shareOf(n, p), 0)
	}
	if b.lines[p.line].line.Amount == nil && b.r.lang.EggParts[p.part] == 0 {
		return 1 // as much as it takes
	}
	switch {
	case (n.share == 0 || n.little && b.spoon(n) == 0) && n.amount[1] == 0 && !n.rest && b.preparedPart(n, p) > 0:
		return min(b.preparedPart(n, p), left)
	case b.dealt(n) && !b.pointedAgain(n.head(), n.upto):
		return left
	case n.amount[1] > 0:
		return b.measured(n, p, left)
	case n.rest && b.another(n) && b.preparedPart(n, p) > 0:
		return min(b.preparedPart(n, p), left)
	case n.rest && (n.share == 0 || n.pronoun && b.restOfUnit(n) != nil):
		return left
	case n.share > 0 && n.rest:
		return n.share * left
	case n.share > 0 && n.one && !n.plural && b.lines[p.line].line.Counted() && b.lines[p.line].line.Amount.Low > 1:
		return n.share / b.lines[p.line].line.Amount.Low // "half an onion", of two
	case n.little && b.spoon(n) > 0:
		return b.measuredBy(p, left, "1 "+b.text.low(b.spoon(n)), n.share) // "another tablespoon of oil"
	case n.share > 0:
		return n.share
	case n.enough && left == 1 && p.part == "" && !b.r.lang.Loose[n.head()] && b.pointedAgain(n.head(), n.upto):
		return enoughOfIt
	case n.owner != nil && b.r.lang.StandIns[n.head()]:
		return creamOfIt * left
	case n.owner != nil:
		return b.shareOf(*n.owner, p)
	case left == 1 && b.rests[n.head()] && p.part == "" && n.one && !n.plural && b.lines[p.line].line.Counted() && b.lines[p.line].line.Amount.Low > 1:
		return 1 / b.lines[p.line].line.Amount.Low // "a sliced onion", and later "the other onion"
	case left == 1 && b.rests[n.head()] && p.part == "" && b.tech.Family == "coat" && !b.isFlesh(p):
		return halfOfIt // the rest goes in later
	case p.part == "" && b.tech.Family == "coat" && b.fat(p) && len(n.words) > 0:
		again := min(b.namedAgain(n.head(), n.upto), mostCoats)
		if b.twin(p.line) {
			again = 0 // the next mention means the other
		} else if again == 0 && b.tech.Name == greaseTechnique && b.allLater(n.upto) {
			again = 1 // "butter a tin. Beat all the ingredients together"
		}
		share := left / float64(1+again)
		l := &b.lines[p.line]
		if grams := l.line.Mass(); again > 0 && b.tech.Name == greaseTechnique && grams > 0 {
			if little := b.r.larder.SmallUseFor(b.tech, l.food.Kind, l.food.Animal); little != nil && little.Grams > 0 {
				share = min(share, little.Grams/grams) // as much as greases
			}
		}
		return share
	}
	return left
}

// justMeasured tells whether a bare name means what the action before measured off a line, of which the rest is asked for later:
// "sprinkle over 2 tbsp of the oil and rub the oil in".
func (b *bindings) justMeasured(n noun, p portion, held *thing, left float64) bool {
	if left <= 0 || left >= 1 || n.rest || n.share > 0 || n.amount[1] > 0 || n.little || !n.pointed || held != b.focus || b.last == nil || !b.restsMeasured[n.head()] {
		return false
	}
	ref := b.lines[p.line].ref
	return slices.ContainsFunc(slices.Concat(b.last.To, b.last.With), func(r recipe.Ref) bool { return r.Line != nil && *r.Line == ref && r.Share < 1 })
}

// allLater tells whether the step goes on with all the ingredients.
func (b *bindings) allLater(from int) bool {
	return slices.ContainsFunc(b.text.words[min(max(from, 0), len(b.text.words)):], func(w word) bool { return b.r.lang.Ingredients[w.norm] })
}

// twin tells whether another line of the part goes by the same name, of which nothing has
// gone in yet.
func (b *bindings) twin(line int) bool {
	for i := range b.lines {
		if i != line && b.lines[i].comp == b.lines[line].comp && slices.Equal(b.lines[i].name, b.lines[line].name) && b.leftOf(portion{i, ""}) == 1 {
			return true
		}
	}
	return false
}

// halfOfIt is taken where a step does not say how much of a line it wants though
// a later one takes the rest; an estimate.
const halfOfIt = 0.5

// creamOfIt is the share of a milk that stands on it as its cream; an estimate.
const creamOfIt = 0.25

// enoughOfIt is what "enough of" a line amounts to of which more is wanted later; an estimate.
const enoughOfIt = 0.75

// mostCoats bounds among how many coats a fat is shared that is named again; an
// estimate.
const mostCoats = 3

// measured is the share that an amount said in the step is of the line.
func (b *bindings) measured(n noun, p portion, left float64) float64 {
	return b.measuredBy(p, left, b.text.slice(n.amount[0], n.amount[1]), b.spoonfuls(n))
}

// measuredBy is the share that an amount is of a line; other is what stands for it where the two cannot be compared.
func (b *bindings) measuredBy(p portion, left float64, said string, other float64) float64 {
	l := b.lines[p.line].line
	got := b.r.Line(said+" "+l.Name, b.system())
	share := 0.0
	switch {
	case got.Amount != nil && l.Amount != nil && got.Amount.Unit == l.Amount.Unit && l.Amount.Low > 0:
		share = mid(got.Amount.Low, got.Amount.High) / mid(l.Amount.Low, l.Amount.High)
	case got.Amount != nil && b.cutTo(p.line, string(got.Amount.Unit)):
		return left // "3 slices" of beef that the list has sliced: nobody knows how many there are
	case got.Grams != nil && l.Mass() > 0:
		share = got.Mass() / l.Mass()
	case other > 0:
		share = min(other, left)
	default:
		return left
	}
	if share >= nearlyAll {
		return min(1, max(left, 0.01))
	}
	return share
}

// spoonfuls is the share that a number of measures stands for of which nobody knows the
// size: "2 ladlefuls".
func (b *bindings) spoonfuls(n noun) float64 {
	t := b.text
	for i := n.amount[0] + 1; i < n.amount[1]; i++ {
		if part := t.lang.Littles[t.low(i)]; part > 0 && t.number(i-1) {
			return part * t.words[i-1].Value
		}
	}
	return 0
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

// ladled tells whether a noun takes some of what is in a pot of liquid by a measure that holds it.
func (b *bindings) ladled(n noun, held *thing) bool {
	if !held.liquid || !held.heated || len(held.holds) < 2 || n.amount[1] == 0 && !n.little {
		return false
	}
	if n.little || b.byLittle(n) {
		return true
	}
	unit, ok := b.r.lang.Lines.Unit(b.text.low(n.amount[1] - 1))
	kind, known := measure.DimensionOf(unit)
	return ok && known && kind != measure.Mass
}

// byLittle tells whether the amount of a noun is counted in what takes a little: "two ladles".
func (b *bindings) byLittle(n noun) bool {
	return n.amount[1] > 0 && b.r.lang.Littles[b.text.low(n.amount[1]-1)] > 0
}

// someOfIt stands for an amount of what has been made, which nobody has
// weighed, littleOfIt for some ladles of it; estimates.
const (
	someOfIt   = 0.5
	littleOfIt = 0.2
)

// noteShare remembers of which lines an action has taken a share that the text says.
func (b *bindings) noteShare(n noun, p portion, id string) {
	if n.share <= 0 || n.share >= 1 || n.rest {
		return
	}
	if b.partsBy != id {
		b.parts, b.partsBy = nil, id
	}
	b.parts = append(b.parts, p)
}

// otherShares are what is left of several lines of which a share was taken together: "half the vegetables", and
// later "the other half".
func (b *bindings) otherShares(n noun) []referent {
	if said := b.r.lang.Shares[b.text.low(n.upto-1)]; !n.rest || said <= 0 || said >= 1 || len(n.words) > 0 || len(b.parts) < 2 {
		return nil
	}
	var out []referent
	for _, p := range b.parts {
		if left := b.leftOf(p); left > 0 && left < 1 && !b.closed(p.line) {
			out = append(out, referent{portion: &portion{p.line, p.part}})
		}
	}
	return out
}

// deals tells whether a clause gives each of several things its part: "put two halves in each bowl".
func (b *bindings) deals(c *clause) bool {
	each := func(n noun) bool {
		for i := n.from; i < n.upto; i++ {
			if b.r.lang.Dealt[b.text.low(i)] && !b.r.lang.Places[b.text.low(i+1)] {
				return true
			}
		}
		return false
	}
	return slices.ContainsFunc(c.objects, each) || slices.ContainsFunc(c.links, func(l link) bool { return slices.ContainsFunc(l.nouns, each) })
}

// dealt tells whether what a noun says of how much is only what one of several gets, so that all of them
// take all of it.
func (b *bindings) dealt(n noun) bool {
	if n.one && !n.plural && !n.rest && n.amount[1] == 0 && !n.little && n.share == 0 && b.repeatsLater() {
		return true // "lay a slice of ham on it and repeat with the rest"
	}
	if b.inHeaps(n) {
		return true
	}
	return b.dealing && !n.all && !n.rest && (n.amount[1] > 0 || n.little || n.one && !n.plural || n.share > 0 && n.share < 1)
}

// coatsOne tells whether one of several is coated with something, and all of them in the end: "brush a strip with butter ...
// repeat with the rest".
func (b *bindings) coatsOne(n noun) bool {
	return b.tech != nil && b.tech.Family == "coat" && n.share == 0 && n.amount[1] == 0 && !n.rest && b.repeatsLater()
}

// repeatsLater tells whether the step goes on to say that all is done again.
func (b *bindings) repeatsLater() bool {
	return slices.ContainsFunc(b.ahead, func(u unit) bool { return u.clause != nil && u.clause.sense.Technique == repeatTechnique })
}

// cookTechnique says no more than that something is cooked.
const cookTechnique = "cook"

// repeatTechnique does again what was done.
const repeatTechnique = "repeat"

// doled tells whether the words behind a noun say that it is what is taken at a time: "4 drumsticks at a time".
func (b *bindings) doled(n noun) bool {
	return slices.ContainsFunc(b.r.lang.Doling, func(words language.List) bool { return b.text.runs(n.upto, words) })
}

// sided tells whether a clause says how it is done on each side of what it works on: "2 minutes a side", "on both
// sides".
func (b *bindings) sided(c *clause) bool {
	ends := func(at [2]int) bool {
		w := b.text.low(at[1] - 1)
		return at[1] > at[0] && b.r.lang.Sides[w] && b.r.lang.Places[w]
	}
	return ends(c.clock) || slices.ContainsFunc(c.mannerAt, ends)
}

// sharing is a noun of a list with the share that the first of them says for all: "half the prawns, squid and chilli",
// of which no more is said, or as much as of the first.
func (b *bindings) sharing(first, n noun, i int) noun {
	if i == 0 || first.share <= 0 || first.share >= 1 || first.rest || first.one && !first.little || !first.pointed && !first.little || first.pronoun || first.amount[1] > 0 {
		return n
	}
	if n.share > 0 || n.rest || n.all || n.pronoun || n.little || n.pointed || n.owner != nil || n.amount[1] > 0 || len(n.words) == 0 {
		return n
	}
	if b.namedAgain(first.head(), n.upto) == 0 || b.namedAgain(n.head(), n.upto) > 0 {
		n.share = first.share
	}
	return n
}
