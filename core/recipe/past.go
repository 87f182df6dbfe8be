package recipe

import "yembra/core/larder"

// past is what a step follows: the lines that the last step used, for its
// pronouns, and what the steps so far have made of which lines ("to a smooth
// paste"), so that "the paste" is that and not the tamarind paste of the list.
type past struct {
	lines []int
	made  map[string][]int
}

// makings are what a step can make that is also the last word of a food's name.
var makings = map[string]bool{"paste": true, "sauce": true, "cream": true, "stock": true, "broth": true, "syrup": true, "powder": true, "custard": true, "puree": true}

// makingVerbs come before what is made, with an article between.
var makingVerbs = map[string]bool{"to": true, "into": true, "form": true, "make": true, "have": true, "get": true}

// madeNow tells whether the word at i is what the step makes: "to a smooth
// paste".
func madeNow(words []string, i int) bool {
	if !makings[words[i]] {
		return false
	}
	for j := i - 1; j > 0 && j >= i-4; j-- {
		if words[j] == "a" || words[j] == "an" {
			return makingVerbs[words[j-1]]
		}
		if words[j] == "of" || words[j] == stop {
			return false
		}
	}
	return false
}

// add notes what a step used and made.
func (p *past) add(s Step) {
	if len(s.Lines) == 0 {
		return
	}
	p.lines = s.Lines
	words := larder.Words(s.Text)
	for i, w := range words {
		if madeNow(words, i) {
			p.made[w] = s.Lines
		}
	}
}

// ownMake tells whether the word at i is what the recipe itself makes or has
// made, and then counts the lines it was made of as used.
func (s *stepNames) ownMake(words []string, i int) bool {
	lines, made := s.before.made[words[i]]
	if made {
		s.used = append(s.used, lines...)
	}
	return made || madeNow(words, i)
}
