package recipe

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
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
	brackets          [][]lex.Token
	tinned            bool
}

// nameParts splits what follows the amount into name and preparation and
// matches the name.
func (r *Reader) nameParts(text string, tokens []lex.Token, part string, q quantity) nameRead {
	segments, brackets := split(tokens)
	counted := q.amount != nil && q.amount.Unit == measure.Piece && q.each == nil && q.ml == nil && q.grams == nil
	n := nameRead{brackets: brackets, tinned: q.amount != nil && q.amount.Unit == measure.Can}
	if len(segments) == 0 {
		segments = [][]lex.Token{nil}
	}
	at := 0
	for i, s := range segments {
		if f := r.match.name(normalised(s), counted); f.origin != larder.Unknown {
			at = i
			break
		}
	}
	main, tail := r.cutPhrase(segments[at], counted)
	n.finding = r.resolve(&n, main, tail, counted)
	if n.finding.food == nil && n.finding.origin == larder.Unknown && tail != nil && exampleWords[strings.ToLower(tail[0].Text)] {
		// "firm white fillets such as cod"
		if f := r.match.name(normalised(tail), counted); f.food != nil {
			n.finding = f
		}
	}
	if n.finding.food == nil && n.finding.origin == larder.Unknown {
		r.glossed(&n, brackets, counted)
	}
	r.inverted(&n, main, segments, at, counted)
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
		if massLike(run) {
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

// glossed takes the food that a bracket says an unknown name is: "garrofón (butter
// beans)". The bracket must name it whole.
func (r *Reader) glossed(n *nameRead, brackets [][]lex.Token, counted bool) {
	for _, b := range brackets {
		words := normalised(b)
		if f := r.match.name(words, counted); f.food != nil && f.start == 0 && f.end == len(words) {
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
func massLike(run []lex.Token) bool {
	c := cursorOver(run, "")
	c.SkipWords(hedges...)
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
		if t := r.match.name(append([]string{"tinned"}, words...), counted); t.food != nil && t.start == 0 && t.food != whole.food {
			t.end--
			whole = t
		}
	}
	if parts := splitOn(main, "or"); len(parts) > 1 {
		return r.alternatives(n, parts, counted, whole)
	}
	parts := splitOn(main, "and")
	if len(parts) == 1 || whole.food != nil && whole.end-whole.start == len(words) {
		return whole
	}
	var foods []finding
	for i, p := range parts {
		c := cursorOver(p, "")
		c.quantity()
		own := normalised(p[min(c.At, len(p)):])
		f := r.match.name(own, counted)
		if i < len(parts)-1 && len(words) > 0 && (cursorOver(parts[i+1], "")).quantity().amount == nil {
			f = r.withHead(f, own, words[len(words)-1], counted)
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
	last := normalised(parts[len(parts)-1])
	var foods []finding
	for i, p := range parts {
		c := cursorOver(p, "")
		if i > 0 {
			if q := c.quantity(); q.amount == nil {
				c.At = 0
			}
		}
		words := normalised(p[c.At:])
		f := r.match.name(words, counted)
		if i < len(parts)-1 && len(last) > 0 {
			f = r.withHead(f, words, last[len(last)-1], counted)
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
			f.why = "One of the choices is " + classNames[other.animal] + "; take the plant one."
		}
	}
	return f
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
	if len(first) == 0 || len(first) > 2 || slices.ContainsFunc(first, func(w string) bool { return cutWords[w] }) {
		return
	}
	words := append(slices.Clone(first), normalised(main)...)
	f := r.match.name(words, counted)
	if f.food != nil && f.start == 0 && f.food.ID != n.finding.food.ID && f.end-f.start > n.finding.end-n.finding.start {
		f.start, f.end = 0, len(normalised(main))
		n.finding = f
	}
}

// CutWord tells whether a word says how a food is cut or worked.
func CutWord(w string) bool { return cutWords[w] }

// cutWords say how a food is cut or worked; before a name they never make it
// another food.
var cutWords = map[string]bool{
	"chopped": true, "diced": true, "crushed": true, "sliced": true, "grated": true, "minced": true, "peeled": true, "cubed": true,
	"shredded": true, "beaten": true, "melted": true, "softened": true, "separated": true, "boiled": true, "mashed": true, "rinsed": true,
}

// stripPreparation parts leading words such as "finely chopped" from the name.
func (r *Reader) stripPreparation(main []lex.Token, f finding) (lead, name []lex.Token) {
	if f.food == nil {
		return nil, main
	}
	neutral := r.larder.Words().Neutral
	position := 0
	for i, t := range main {
		if t.Kind != lex.Word {
			continue
		}
		words := larder.Words(t.Text)
		if position >= f.start {
			return main[:i], main[i:]
		}
		for _, w := range words {
			if !neutral[w] {
				return main[:i], main[i:]
			}
		}
		position += len(words)
	}
	return nil, main
}

// trailingUnit reads the unit out of "garlic cloves" and "celery stalks",
// unless the food's own name holds it ("bay leaf").
func (r *Reader) trailingUnit(n *nameRead, main []lex.Token) {
	if n.finding.food == nil || len(main) < 2 {
		return
	}
	for i := len(main) - 1; i > 0; i-- {
		if main[i].Kind != lex.Word {
			continue
		}
		u, ok := measure.ParseUnit(main[i].Text)
		if !ok || !trailing[u] || slices.Contains(larder.Words(n.finding.food.Name), main[i].Norm) {
			return
		}
		n.unit = u
		return
	}
}

var trailing = map[measure.Unit]bool{
	measure.Clove: true, measure.Stalk: true, measure.Sprig: true, measure.Leaf: true, measure.Slice: true, measure.Sheet: true,
	measure.Head: true, measure.Bunch: true, measure.Stick: true, measure.Knob: true,
}

// hiddenInTail looks for animal matter in what stands behind the name: beans
// "with bacon", potatoes "fried in butter".
func (r *Reader) hiddenInTail(n *nameRead, tail []lex.Token, segments, brackets [][]lex.Token) {
	if n.finding.origin == larder.FromAnimal || n.finding.origin == larder.Mixed {
		return
	}
	for _, run := range slices.Concat([][]lex.Token{tail}, segments, brackets) {
		at := slices.IndexFunc(run, func(t lex.Token) bool {
			w := strings.ToLower(t.Text)
			return w == "with" || w == "in" || w == "and" || w == "plus" || w == "containing" || w == "made"
		})
		if at < 0 || slices.ContainsFunc(run, func(t lex.Token) bool {
			w := strings.ToLower(t.Text)
			return w == "for" || w == "serve" || w == "serving" || w == "to" || w == "without" || w == "no"
		}) {
			continue
		}
		f := r.match.name(normalised(run[at+1:]), false)
		if f.origin == larder.FromAnimal {
			n.finding.origin, n.finding.animal = larder.FromAnimal, f.animal
			n.finding.why = fmt.Sprintf("Comes with %s (%s).", strings.ToLower(f.label()), classNames[f.animal])
			return
		}
	}
}

func (f finding) label() string {
	if f.food != nil {
		return f.food.Name
	}
	return string(f.animal)
}

// ofPart turns "juice of 1 lemon" into lemon juice.
func (r *Reader) ofPart(n *nameRead, part string) {
	if n.finding.food == nil {
		return
	}
	if part == "" {
		switch {
		case slices.Contains(n.words, "juiced"), slices.Contains(n.words, "juice") && n.finding.food.Matter.Pieces["juice"].Low > 0:
			part = "juice"
		case slices.Contains(n.words, "zested"):
			part = "zest"
		default:
			return
		}
	}
	if n.finding.food.Matter.Pieces[part].Low == 0 {
		return
	}
	ids := []string{n.finding.food.ID + "-" + part}
	if part == "juice" || part == "zest" {
		ids = append(ids, "lemon-"+part)
	}
	for _, id := range ids {
		if f := r.larder.Food(id); f != nil {
			each := n.finding.food.Matter.Pieces[part]
			n.finding.food = f
			n.finding.why = reason(f.Name, f.Origin, f.Animal)
			n.preparation = strings.TrimPrefix(n.preparation+fmt.Sprintf(", %s only", part), ", ")
			n.partEach = &each
			return
		}
	}
}
