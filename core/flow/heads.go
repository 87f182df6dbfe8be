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
