package flow

import (
	"slices"
	"strconv"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// preparedPart is the share of a line of which a noun names those that the list has prepared so: "the halved onion", of
// "2 onions, 1 halved, 1 chopped" or of "1 onion, half left whole, half sliced", or "blend with the second onion", of "one chopped and
// one blended"; 0 for any other.
func (b *bindings) preparedPart(n noun, p portion) float64 {
	l := b.lines[p.line].line
	if !l.Counted() && !(l.Amount != nil && l.Amount.Unit == measure.Stick) || l.Amount.Low < 1 {
		return 0
	}
	words, count := strings.Fields(strings.ToLower(strings.ReplaceAll(l.Preparation, ",", " "))), 0.0
	for _, word := range words {
		of := b.r.lang.Lines.Figures.Numbers[word]
		if v, err := strconv.ParseFloat(word, 64); err == nil {
			of = v
		}
		if of > 0 {
			if count = of; of < 1 {
				count *= l.Amount.Low // half of them
			}
			continue
		}
		said := slices.ContainsFunc(n.words, func(w string) bool { return w == word || w == larder.Singular(word) }) || b.another(n) && slices.Contains(b.r.lang.Orders(word), b.tech.Name)
		if count > 0 && count < l.Amount.Low && said {
			return count / l.Amount.Low // "1 cut into strips"
		}
	}
	return 0
}

// calledAfter are the names by which the text may call what an action makes.
func (b *bindings) calledAfter(c *clause, t *larder.Technique, r *roles) []string {
	names := append(r.names, r.action.Makes)
	switch {
	case r.action.Makes != "":
	case t.Family == "cut" && b.r.lang.Shapes[c.lemma]:
		names = append(names, c.lemma) // "slice the beef", and later "the slices"
	case t.Family == "assemble" && t.Leaves != "":
		names = append(names, t.Leaves) // "roll up the beef", and later "the rolls"
	}
	return names
}

// madeBy is what stands ready by a way of working of which a noun bears the name: "the well".
func (b *bindings) madeBy(n noun) *thing {
	if b.r.larder.Technique(n.head()) == nil || !n.pointed {
		return nil
	}
	for i := len(b.things) - 1; i >= 0; i-- {
		if t := b.things[i]; t.technique == n.head() && b.open(t) {
			return t
		}
	}
	return nil
}

// halfOfIt reads a share behind what it is of: "the onion half".
func (t *text) halfOfIt(n *noun) {
	if k := len(n.words) - 1; k > 0 && n.pointed && !n.plural && n.share == 0 && n.amount[1] == 0 && t.lang.Shares[n.words[k]] > 0 && t.lang.Shares[n.words[k]] < 1 && t.foods(n.words[k-1]) && !slices.ContainsFunc(n.words[:k], func(w string) bool { return t.lang.Shares[w] > 0 }) { // but no "half-and-half"
		n.share, n.words = t.lang.Shares[n.words[k]], n.words[:k]
	}
}
