package flow

import (
	"iter"

	"yembra/core/lex"
	"yembra/core/recipe"
)

// scanned is a step taken apart into words, once for all that ask for them.
type scanned struct {
	tokens []lex.Token
	words  []word
	// prepares tells of a step that prepares something of lines of its own.
	prepares bool
}

// scan takes apart the steps of a whole method, in its order.
func scan(d *recipe.Dish) []scanned {
	var out []scanned
	for _, at := range d.Method() {
		step := &d.Components[at.Component].Steps[at.Step]
		tokens := lex.Scan(step.Text)
		out = append(out, scanned{tokens, wordsOf(tokens), len(step.Takes) > 0})
	}
	return out
}

// A method leaves out the articles where of so many words at most one is one that points, from some words on; estimates.
const (
	wordsAnArticle = 50
	wordsOfTerse   = 30
)

// Terse tells whether the method of a dish leaves out the articles.
func (r *Reader) Terse(d *recipe.Dish) bool { return d.Terse || r.leavesOutArticles(scan(d)) }

// leavesOutArticles tells whether a method is told as notes are: "add onion to pan, simmer until tender". What it names is then
// meant as what another calls "the onion" is.
func (r *Reader) leavesOutArticles(steps []scanned) bool {
	words, pointing := 0, 0
	for _, s := range steps {
		for _, w := range s.words {
			switch {
			case s.prepares || w.Kind != lex.Word:
			case r.lang.Articles[w.low] && r.lang.Pointing[w.low]:
				pointing++
				words++
			default:
				words++
			}
		}
	}
	return words >= wordsOfTerse && pointing*wordsAnArticle <= words
}

// told are the steps of a recipe that is only taken apart so far.
func told(src recipe.Source) []scanned {
	var out []scanned
	for _, s := range src.Sections {
		for _, text := range s.Steps {
			out = append(out, scanned{words: wordsOf(lex.Scan(text))})
		}
	}
	return out
}

// laterWords are the words of each step behind the one at hand, but for preparations, which mean their own.
func (b *bindings) laterWords() iter.Seq[[]word] {
	return func(yield func([]word) bool) {
		for k := b.stepNo + 1; k < len(b.scanned); k++ {
			if !b.scanned[k].prepares && !yield(b.scanned[k].words) {
				return
			}
		}
	}
}

// textOf is the step at hand under the parser; cut tells that not all of its words are read.
func (r *Reader) textOf(b *bindings, source string, foods foodWords, cut bool) *text {
	words := b.scanned[b.stepNo]
	if cut {
		words.tokens = lex.Scan(source)
		words.words = wordsOf(words.tokens)
	}
	return &text{source: source, lang: r.lang, tokens: words.tokens, words: words.words, foods: foods.known, listed: foods.listed, pair: foods.pair, sort: foods.sort, titles: b.titles, describing: func(w string) bool { return r.larder.Words().Neutral[w] }, technique: r.larder.Technique, terse: b.terse}
}
