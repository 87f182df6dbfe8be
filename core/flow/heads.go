package flow

import "slices"

// withHead gives the things named before a last one its head where they go by it on the list and say only what sort they are:
// "the white and milk chocolate", of white chocolate and milk chocolate.
func (b *body) withHead(before []noun, n noun) []noun {
	if len(n.words) < 2 || n.owner != nil {
		return before
	}
	for k := len(before) - 1; k >= 0; k-- {
		one := &before[k]
		if len(one.words) != 1 || one.owner != nil || one.pronoun {
			break
		}
		at := slices.IndexFunc(n.words[1:], func(head string) bool { return b.sort(one.words[0], head) })
		if at < 0 {
			break
		}
		one.words = append(one.words, n.words[at+1:]...)
	}
	return before
}

// onlyVesselOf are the nouns of a link, of which those behind a vessel that something is taken from are worked on too: "pour
// over the brine from the tins and the cream".
func (b *body) onlyVesselOf(role string, nouns []noun) []noun {
	c := b.clause
	led := len(c.objects) == 0 && len(c.links) > 0 && c.links[0].first
	if role != "from" || len(c.objects) == 0 && !led || !b.lang.Vessels[nouns[0].head()] {
		return nouns
	}
	more := nouns[1:]
	if slices.ContainsFunc(more, func(n noun) bool { return b.lang.Vessels[n.head()] || !b.text.listed(n.head()) }) {
		return nouns
	}
	if led {
		c.links[0].nouns = append(c.links[0].nouns, more...)
	} else {
		c.objects = append(c.objects, more...)
	}
	return nouns[:1]
}

// heads gives the nouns of a list the last word of the last of them, in the plural, where a line goes by the two: "the tomato and
// pepper pastes", beside tomatoes.
func (b *bindings) heads(list []noun) {
	if len(list) < 2 || !list[len(list)-1].plural || len(list[len(list)-1].words) < 2 {
		return
	}
	head := list[len(list)-1].head()
	for i := range list[:len(list)-1] {
		n := &list[i]
		words := append(slices.Clone(n.words), head)
		if !n.plural && n.owner == nil && slices.ContainsFunc(b.lines, func(l bound) bool { return l.comp == b.comp && slices.Equal(l.name, words) }) {
			n.words = words
		}
	}
}
