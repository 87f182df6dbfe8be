package flow

import (
	"slices"
)

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

// namedByItself tells whether the method speaks further on of a line by a name that no other
// line ends in.
func (b *bindings) namedByItself(i, from int) bool {
	head := last(b.lines[i].name)
	if b.r.lang.Shapes[head] && len(b.lines[i].name) > 1 {
		return false // "grind the mushrooms to powder" names no chilli powder
	}
	for k := range b.lines {
		if k != i && last(b.lines[k].name) == head {
			return false
		}
	}
	return b.namedAgain(head, from) > 0
}
