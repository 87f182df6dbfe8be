package flow

import "slices"

// again gives a clause without a verb that of the clause before: "Then the cabbage".
func (b *bindings) again(c *clause) {
	last := b.last
	if t := b.r.larder.Technique(last.Technique); b.lastAdded != nil && (b.meantTo || b.byPronoun) && t != nil && t.Joins != "yes" && len(last.With) == 0 {
		last = b.lastAdded // "Cook for 10 minutes. Then the cabbage"
	}
	c.lemma, c.said, c.sense.Technique, c.particles = last.Verb, last.Verb, last.Technique, b.particles
	if (b.meantTo || b.coatsAgain(c) || b.mixesAgain(c)) && len(b.last.With) > 0 && len(c.objects) > 0 && !slices.ContainsFunc(c.links, func(l link) bool { return l.role == "with" }) {
		c.links = append(c.links, link{role: "with", word: "with", nouns: c.objects, from: c.objects[0].from}) // "cover with rice, then mint"
		c.objects = nil
	}
}

// coatsAgain tells whether a clause without a verb names another coat of what was coated: "dip
// each cake in flour, then the egg".
func (b *bindings) coatsAgain(c *clause) bool {
	t := b.r.larder.Technique(b.last.Technique)
	return t != nil && t.Family == "coat" && t.Medium == "with" && !slices.ContainsFunc(c.objects, func(n noun) bool { return b.r.lang.Places[n.head()] || n.pronoun })
}
