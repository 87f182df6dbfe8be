package flow

import (
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/recipe"
)

// restWords are the words that stand behind "the rest of" or "remaining" somewhere in the method, and those
// listed with them: "the remaining thyme, curry powder and stock cube".
func (r *Reader) restWords(steps []scanned) (rests, measured map[string]bool) {
	rests, measured = map[string]bool{}, map[string]bool{}
	for _, step := range steps {
		words := step.words
		for i, w := range words {
			if !r.lang.Rests[w.low] || r.lang.IsVerb(w.low) && i+1 < len(words) && r.lang.Prepositions[words[i+1].low] == "" {
				continue // or "rest the pork"
			}
			for k := i + 1; k < len(words) && k < i+farthestName && words[k].Kind != lex.Mark; k++ {
				if words[k].norm != "" && !r.lang.Articles[words[k].low] && r.lang.Prepositions[words[k].low] == "" {
					r.namesListed(words[k:], rests)
					break
				}
			}
			k := i + 1
			for k < len(words) && (words[k].Kind == lex.Number || r.lang.Measures[words[k].low]) {
				k++
			}
			if k > i+1 && k < len(words) {
				r.namesListed(words[k:], measured) // "the remaining 2 tbsp oil"
			}
		}
	}
	return rests, measured
}

// namesListed puts the last words of the names that words list into a set.
func (r *Reader) namesListed(words []word, into map[string]bool) {
	for len(words) > 0 && words[0].norm != "" && !r.lang.Articles[words[0].low] {
		name, width := r.lastOfName(words)
		into[name] = true
		words = words[width:]
		joined := 0
		for joined < len(words) && (words[joined].Text == "," || r.lang.Lines.And[words[joined].low]) {
			joined++
		}
		if joined == 0 {
			return
		}
		words = words[joined:]
	}
}

// lastOfName is the last word of the name that words begin with, and how many words that name has: "sauce" of "fish
// sauce and chilli".
func (r *Reader) lastOfName(words []word) (string, int) {
	var norms []string
	for _, w := range words[:min(len(words), farthestName)] {
		if w.norm == "" {
			break
		}
		norms = append(norms, w.norm)
	}
	if m, ok := r.larder.Index().At(norms, 0, true); ok && m.Used == m.End {
		return norms[m.End-1], m.End
	}
	return norms[0], 1
}

// namedAgain counts how often a word is said behind the words at hand, as a thing or as
// what is done with it: "buttering".
func (b *bindings) namedAgain(name string, from int) int {
	count := func(words []word, from int) (n int) {
		for i := from; i < len(words); i++ {
			if i+1 < len(words) && b.r.lang.Sides[words[i+1].low] {
				continue // "butter side up"
			}
			if b.r.lang.Loose[name] && i+1 < len(words) && b.text.pair(words[i].norm, words[i+1].norm) && words[i+1].norm != name {
				continue // "water spinach"
			}
			said := words[i].norm == name && words[i].Kind == lex.Word && !(i > from && b.r.lang.Additional[words[i-1].low]) // "serve with more dill"
			for _, v := range b.r.lang.Verb(words[i].low) {
				said = said || v.Lemma == name && (v.Form == language.Base || v.Form == language.Going)
			}
			if said {
				n++
			}
		}
		return n
	}
	n := count(b.text.words, from)
	for words := range b.laterWords() {
		n += count(words, 0)
	}
	return n
}

// pointedAgain tells whether the method points at a thing by its name behind the words at hand: "of the
// stock".
func (b *bindings) pointedAgain(name string, from int) bool {
	return b.saidLater(from, func(words []word, from int) bool {
		for i := max(from, 1); i < len(words); i++ {
			if words[i].norm == name && b.r.lang.Pointing[words[i-1].low] {
				return true
			}
		}
		return false
	})
}

// saidLater tells whether the words behind those at hand, or those of a later step, say something.
func (b *bindings) saidLater(from int, says func(words []word, from int) bool) bool {
	if says(b.text.words, from) {
		return true
	}
	for words := range b.laterWords() {
		if says(words, 0) {
			return true
		}
	}
	return false
}

// foodWords tell which words name foods of the list, or foods at all.
// pair tells which two words stand beside each other in a name of the list, or name a food that neither
// does by itself, or another than the second where the first describes it, sort which word only says of what sort a listed food is that goes by the other: "white chocolate".
type foodWords struct {
	listed, known func(string) bool
	pair, sort    func(a, b string) bool
}

func (r *Reader) foodWords(d *recipe.Dish) foodWords {
	listed, ends, pairs := map[string]bool{}, map[string]bool{}, map[[2]string]bool{}
	for _, c := range d.Components {
		for _, l := range c.Lines {
			words := larder.Words(l.Name)
			ends[strings.Join(words[max(len(words)-1, 0):], "")] = true
			for k, w := range words {
				if k > 0 {
					pairs[[2]string{words[k-1], w}] = true
				}
				if k == len(words)-1 || !r.larder.Words().Neutral[w] {
					listed[w] = true
				}
			}
			if f := r.larder.Food(l.FoodID()); f != nil && r.lang.NounVerbs[f.Kind] {
				listed[f.Kind] = true // "the mince", of minced pork
			}
			r.saidBeside(l, words, listed, pairs)
		}
	}
	pairsMade(d, pairs)
	known := map[string]bool{}
	endOf := func(norm string) bool { // "the crumbs" of breadcrumbs
		for w := range listed {
			if len(norm) >= shortestPart && strings.HasSuffix(w, norm) {
				return true
			}
		}
		return false
	}
	pair := func(a, b string) bool {
		if pairs[[2]string{a, b}] {
			return true
		}
		one, alone := r.larder.Index().At([]string{b}, 0, true)
		if listed[b] || alone && !r.lang.AdjectiveVerbs[a] {
			return false
		}
		m, ok := r.larder.Index().At([]string{a, b}, 0, true)
		return ok && m.End == 2 && m.Used == 2 && m.Food != one.Food // "brown sauce", "brown bread"
	}
	sort := func(a, b string) bool { return pairs[[2]string{a, b}] && !ends[a] }
	return foodWords{pair: pair, sort: sort, listed: func(norm string) bool { return listed[norm] || endOf(norm) }, known: func(norm string) bool {
		if norm == "" {
			return false
		}
		if listed[norm] {
			return true
		}
		hit, seen := known[norm]
		if !seen {
			_, hit = r.larder.Index().At([]string{norm}, 0, true)
			hit = hit && !r.larder.Words().ListOnly[norm]
			known[norm] = hit
		}
		return hit
	}}
}

// saidBeside notes what the text of a line says besides its name: parts of it, and a word before the name that could be
// an order ("brown crabmeat", beside the white).
func (r *Reader) saidBeside(l recipe.Line, name []string, listed map[string]bool, pairs map[[2]string]bool) {
	text := larder.Words(l.Text)
	for k, w := range text {
		if r.lang.Lines.Parts[w] != "" {
			listed[w] = true // "zest and juice of 3 lemons"
		}
		if k > 0 && len(name) > 0 && w == name[0] && r.lang.AdjectiveVerbs[text[k-1]] {
			pairs[[2]string{text[k-1], w}] = true
		}
	}
}

// pairsMade are the words that stand beside each other in the names of what steps make: "mushroom seasoning".
func pairsMade(d *recipe.Dish, into map[[2]string]bool) {
	for _, c := range d.Components {
		for _, s := range c.Steps {
			for words := larder.Words(s.Makes); len(words) > 1; words = words[1:] {
				into[[2]string{words[0], words[1]}] = true
			}
		}
	}
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
