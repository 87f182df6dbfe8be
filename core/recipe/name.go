package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/core/texts"
)

// nameRead is the name part of a line, understood.
type nameRead struct {
	name, preparation string
	words             []string // all words of name and preparation
	finding           finding
	unit              measure.Unit // a unit that stands behind the name ("garlic cloves")
	alternatives      []Alternative
	also              []Alternative
	partEach          *measure.Span // grams of the part meant, of one piece
	each              *measure.Span // grams of one piece, said behind the name
	brackets          [][]lex.Token
	tinned            bool
}

// counts tells whether an amount counts pieces and says nothing else.
func (q *quantity) counts() bool {
	return q.amount != nil && q.amount.Unit == measure.Piece && q.each == nil && q.ml == nil && q.grams == nil
}

// severalNamed tells whether a name without an amount ends in the plural, so that it means
// pieces: "peppers" is no ground pepper.
func severalNamed(name []lex.Token) bool {
	if len(name) == 0 {
		return false
	}
	words := strings.ToLower(name[len(name)-1].Text)
	return larder.Singular(words) != words
}

// nameParts splits what follows the amount into name and preparation and
// matches the name.
func (r *Reader) nameParts(text string, tokens []lex.Token, part string, q quantity) nameRead {
	segments, brackets := split(tokens)
	n := nameRead{brackets: brackets, tinned: q.amount != nil && q.amount.Unit == measure.Can}
	if len(segments) == 0 {
		segments = [][]lex.Token{nil}
	}
	counted := q.counts() || q.amount == nil && severalNamed(segments[0])
	at := max(slices.IndexFunc(segments, func(s []lex.Token) bool { return r.match.name(normalised(s), counted).origin != larder.Unknown }), 0)
	main, tail := r.cutPhrase(segments[at], counted)
	n.each, n.finding = r.weightOf(tail), r.resolve(&n, main, tail, counted)
	if n.finding.food == nil && n.finding.origin == larder.Unknown && tail != nil && r.lines().Examples[strings.ToLower(tail[0].Text)] {
		// "firm white fillets such as cod"
		if f := r.match.name(normalised(tail), counted); f.food != nil {
			n.finding = f
		}
	}
	if n.finding.food == nil && n.finding.origin == larder.Unknown || r.halfNamed(n.finding, normalised(main)) {
		r.glossed(&n, brackets, counted)
	}
	r.inverted(&n, main, segments, at, counted)
	r.orInstead(&n, main, append(slices.Clone(brackets), segments[at+1:]...))
	lead, name := r.stripPreparation(main, n.finding)
	n.name = slice(text, name)
	var preparation []string
	add := func(ts []lex.Token) {
		if s := strings.Trim(slice(text, ts), " ,;:()[]-–—*"); s != "" {
			preparation = append(preparation, s)
		}
	}
	for _, s := range segments[:at] {
		add(s)
	}
	add(lead)
	add(tail)
	for _, s := range segments[at+1:] {
		add(s)
	}
	for _, b := range brackets {
		add(b)
	}
	for _, run := range segments[at+1:] {
		if r.massLike(run) {
			n.brackets = append(n.brackets, run)
		}
	}
	n.preparation = strings.Join(preparation, ", ")
	n.words = append(normalised(main), larder.Words(n.preparation)...)
	r.trailingUnit(&n, main)
	if q.amount == nil {
		r.listed(&n, segments[at+1:])
	}
	r.hiddenInTail(&n, tail, segments[at+1:], brackets)
	r.ofPart(&n, part)
	return n
}

// orInstead takes in the foods that brackets and what stands behind commas offer instead: "(or olive
// oil)", ", or more oil".
func (r *Reader) orInstead(n *nameRead, name []lex.Token, runs [][]lex.Token) {
	if n.finding.food == nil {
		return
	}
	for _, run := range runs {
		if len(run) < 2 || !r.lines().Or[strings.ToLower(run[0].Text)] {
			continue
		}
		main, _ := r.cutPhrase(run[1:], false)
		words := normalised(main)
		if k := len(name) - 1; k >= 0 && name[k].Start > run[0].Start {
			words = append(words, normalised(name[k:])...) // "chicken (or vegetable) stock"
		}
		f := r.match.name(words, false)
		if f.food == nil || f.end != len(words) || f.food == n.finding.food || slices.ContainsFunc(words[:f.start], func(w string) bool {
			return !r.larder.Language().Rests[w] && !r.larder.Language().TimeTails[w] && !r.larder.Words().Neutral[w]
		}) {
			continue
		}
		if !slices.ContainsFunc(n.alternatives, func(a Alternative) bool { return a.Food == f.food.ID }) {
			n.alternatives = append(n.alternatives, Alternative{f.food.ID, f.food.Name})
		}
	}
}

// halfNamed tells whether a name is of two foods of which only one was understood: "potato noodles", "rice cakes".
func (r *Reader) halfNamed(f finding, words []string) bool {
	return f.food != nil && (f.start > 0 && r.match.name(words[:f.start], false).food != nil || f.end < len(words) && r.match.name(words[f.end:], false).food != nil)
}

// glossed takes the food that a bracket says a name is that is unknown, or understood by half: "garrofón (butter beans)".
// The bracket must name it whole, and never makes a plant of what was understood as an animal's.
func (r *Reader) glossed(n *nameRead, brackets [][]lex.Token, counted bool) {
	for _, b := range brackets {
		words := normalised(b)
		if f := r.match.name(words, counted); f.food != nil && f.start == 0 && f.end == len(words) && (n.finding.origin != larder.FromAnimal || f.origin == larder.FromAnimal) {
			n.finding = f
			return
		}
	}
}

// listed takes in the foods that a line without an amount lists behind commas:
// "cucumber and tomato slices, prawn crackers to serve".
func (r *Reader) listed(n *nameRead, segments [][]lex.Token) {
	if n.finding.food == nil {
		return
	}
	for _, s := range segments {
		main, _ := r.cutPhrase(s, false)
		words := normalised(main)
		f := r.match.name(words, false)
		known := f.food != nil && f.food.ID != n.finding.food.ID && f.start == 0 && !slices.ContainsFunc(words[f.end:], func(w string) bool { return !r.larder.Language().Shapes[w] && !r.larder.Words().Parts[w] })
		if known && !r.larder.Words().Parts[words[0]] && !slices.ContainsFunc(n.also, func(a Alternative) bool { return a.Food == f.food.ID }) {
			n.also = append(n.also, Alternative{f.food.ID, f.food.Name})
		}
	}
}

// massLike tells whether a run after a comma opens with an amount: "about
// 1.2 kg".
func (r *Reader) massLike(run []lex.Token) bool {
	c := cursorOver(r.lines(), run, "")
	c.Skip(c.words.Hedges)
	_, ok := c.Span()
	return ok
}

// resolve matches the name, splitting "x or y" into alternatives and "x and
// y" into foods that stand together.
func (r *Reader) resolve(n *nameRead, main, tail []lex.Token, counted bool) finding {
	words := normalised(main)
	whole := r.match.name(words, counted)
	if n.tinned {
		// "2 tins sardines" are not fresh ones
		if t := r.match.name(append([]string{tinnedForm}, words...), counted); t.food != nil && t.start == 0 && t.food != whole.food {
			t.end--
			whole = t
		}
	}
	if parts := splitOn(main, r.lines().Or, "/"); len(parts) > 1 {
		return r.alternatives(n, parts, counted, whole)
	}
	parts := splitOn(main, r.lines().And, "&+")
	if len(parts) == 1 || whole.food != nil && whole.end-whole.start == len(words) {
		return whole
	}
	var foods []finding
	for i, p := range parts {
		c := cursorOver(r.lines(), p, "")
		c.quantity()
		own := normalised(p[min(c.At, len(p)):])
		f := r.match.name(own, counted)
		if head := r.lentHead(parts); i < len(parts)-1 && head != "" && cursorOver(r.lines(), parts[i+1], "").quantity().amount == nil {
			f = r.withHead(f, own, head, counted)
		}
		if f.food != nil {
			foods = append(foods, f)
		}
	}
	if len(foods) < 2 {
		return whole
	}
	// The animal one leads, so that it is never overlooked.
	first := 0
	if i := slices.IndexFunc(foods, func(f finding) bool { return f.origin == larder.FromAnimal }); i > 0 {
		first = i
	}
	for i, f := range foods {
		if i != first {
			n.also = append(n.also, Alternative{f.food.ID, f.food.Name})
		}
	}
	return foods[first]
}

func (r *Reader) alternatives(n *nameRead, parts [][]lex.Token, counted bool, whole finding) finding {
	var foods []finding
	for i, p := range parts {
		c := cursorOver(r.lines(), p, "")
		if i > 0 {
			if q := c.quantity(); q.amount == nil {
				c.At = 0
			}
		}
		words := normalised(p[c.At:])
		f := r.match.name(words, counted)
		if head := r.lentHead(parts); i < len(parts)-1 && head != "" && cursorOver(r.lines(), parts[len(parts)-1], "").quantity().amount == nil { // no "egg tofu" of "2 eggs or 100 g tofu"
			f = r.withHead(f, words, head, counted)
		}
		if f.food != nil || f.origin != larder.Unknown {
			foods = append(foods, f)
		}
	}
	if len(foods) == 0 {
		return whole
	}
	f := foods[0]
	for _, other := range foods[1:] {
		if other.food != nil && (f.food == nil || other.food.ID != f.food.ID) {
			n.alternatives = append(n.alternatives, Alternative{other.food.ID, other.food.Name})
		}
		if other.origin == larder.FromAnimal && f.origin != larder.FromAnimal && f.origin != larder.Mixed {
			f.origin, f.animal, f.check = larder.Mixed, other.animal, true
			f.why = texts.Say("recipe.oneOfTheChoicesIs", classNames[other.animal])
		}
	}
	return f
}

// lentHead is the word that the last of several names may lend the others, "mince" of "lamb or beef mince"; empty where it is all of
// that name: "mushrooms and bacon".
func (r *Reader) lentHead(parts [][]lex.Token) string {
	last := normalised(parts[len(parts)-1])
	if len(last) < 2 {
		return ""
	}
	return last[len(last)-1]
}

// withHead lends a part the head of the last one where that makes a longer
// name: "lamb or beef mince" means lamb mince.
func (r *Reader) withHead(f finding, words []string, head string, counted bool) finding {
	joined := append(slices.Clone(words), head)
	g := r.match.name(joined, counted)
	if g.food != nil && (f.food == nil || g.end-g.start > f.end-f.start) && g.end == len(joined) && g.start < len(words) {
		return g
	}
	return f
}

// inverted tries the preparation before the name, so that "sugar, brown" and
// "coriander (ground)" are found under their full names.
func (r *Reader) inverted(n *nameRead, main []lex.Token, segments [][]lex.Token, at int, counted bool) {
	if n.finding.food == nil || at+1 >= len(segments) {
		return
	}
	first := normalised(segments[at+1])
	if len(first) == 0 || len(first) > 2 || slices.ContainsFunc(first, func(w string) bool { return r.lines().Cut[w] }) {
		return
	}
	words := append(slices.Clone(first), normalised(main)...)
	f := r.match.name(words, counted)
	if f.food != nil && f.start == 0 && f.food.ID != n.finding.food.ID && f.end-f.start > n.finding.end-n.finding.start {
		f.start, f.end = 0, len(normalised(main))
		n.finding = f
	}
}
