package flow

// announcesPart tells whether a sentence only says what is made next, of lines that what follows names one by one or as
// the ingredients: "First, make the meatballs. Tip all of the ingredients into a bowl".
func (b *bindings) announcesPart(c *clause) bool {
	if !b.r.lang.Announcing[c.lemma] || len(c.objects) != 1 || len(c.links) > 0 || c.minutes != nil || c.cue[1] > 0 || !b.text.mark(c.upto, ".:") {
		return false
	}
	found := b.unmade(c.objects[0])
	if len(found) < 2 {
		return false
	}
	for i := c.upto; i < len(b.text.words); i++ {
		if b.r.lang.Ingredients[b.text.words[i].norm] {
			return true
		}
	}
	later := 0
	for _, r := range found {
		if r.portion != nil && b.comesLater(&b.lines[r.portion.line], c.upto) {
			later++
		}
	}
	return 2*later > len(found)
}

// announcesProduct tells whether a sentence only says what is made next, where nothing is there yet that could be it:
// "Make the batter. Tip the flour into a bowl".
func (b *bindings) announcesProduct(c *clause) bool {
	if !b.r.lang.Announcing[c.lemma] || len(c.objects) != 1 || len(c.links) > 0 || c.minutes != nil || c.cue[1] > 0 || !b.text.mark(c.upto, ".:") {
		return false
	}
	n := c.objects[0]
	kinds := b.r.lang.ProductHolds[n.head()]
	return kinds != nil && n.pointed && b.latest(func(t *thing) bool { return b.holdsKind(t, kinds) }) == nil
}
