package recipe

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// Reader reads recipes with the knowledge of a larder. It keeps no state
// between calls and may be used by many goroutines.
type Reader struct {
	larder *larder.Larder
	match  matcher
}

// NewReader returns a reader over the larder.
func NewReader(l *larder.Larder) *Reader { return &Reader{l, matcher{l}} }

// LineAs reads a line whose food the cook has named: amount and preparation
// come from the text, everything about the food from the larder.
func (r *Reader) LineAs(text string, food *larder.Food, sys measure.System) Line {
	text = stripBullet(text)
	line := r.Line(text, sys)
	f := found(food)
	line.Food, line.Form = &food.ID, larder.RawForm
	line.Origin, line.Animal, line.Hidden, line.Check = f.origin, f.animal, f.hidden, f.check
	line.Why = "Named by the cook. " + f.why
	c := &cursor{tokens: lex(text), system: sys}
	q := c.quantity()
	if q.amount == nil {
		q, _, _ = lateQuantity(c.tokens, sys)
	}
	line.Grams, line.Basis = gramsOf(food, line.Form, q, sys)
	return line
}

// mostLineBytes is how much of an ingredient line is looked at; the rest stays
// in its text.
const mostLineBytes = 600

// Line reads one ingredient line. Cups, spoons and pints are of the system.
func (r *Reader) Line(text string, sys measure.System) Line {
	text = stripBullet(text)
	line := Line{Text: text, Form: larder.RawForm, Alternatives: []Alternative{}, Origin: larder.Unknown}
	tokens := lex(text[:min(len(text), mostLineBytes)])
	c := &cursor{tokens: tokens, system: sys}
	part := c.partOf()
	q := c.quantity()
	rest := c.tokens[c.at:]
	if q.amount == nil && !q.toTake {
		if late, cut, ok := lateQuantity(tokens, sys); ok {
			q, rest = late, slices.Concat(tokens[:cut[0]], tokens[cut[1]:])
		}
	} else if part == "" {
		inner := &cursor{tokens: rest, system: sys}
		if part = inner.partOf(); part != "" {
			rest = rest[inner.at:]
		}
	}
	n := r.nameParts(text, rest, part, q)
	for _, b := range n.brackets {
		q.bracketMass(b, sys)
	}
	line.Name, line.Preparation = n.name, n.preparation
	r.flags(&line, text)
	f := n.finding
	line.Origin, line.Animal, line.Hidden, line.Check, line.Why = f.origin, f.animal, f.hidden, f.check, f.why
	line.Alternatives = append(line.Alternatives, n.alternatives...)
	line.Also = n.also
	line.Amount = q.amount
	if f.food != nil {
		line.Food = &f.food.ID
		line.Form = formOf(f.food, q, n)
		if line.Amount != nil && line.Amount.Unit == measure.Piece && n.unit != "" {
			line.Amount.Unit = n.unit
		}
	} else if line.Why == "" {
		line.Why = "Not in the larder yet: name it by hand or choose one of the suggestions."
	}
	if n.partEach != nil && q.amount != nil && q.amount.Unit == measure.Piece {
		q.each = n.partEach
	}
	line.Grams, line.Basis = gramsOf(f.food, line.Form, q, sys)
	return line
}

var bullets = "•◦▪▫‣⁃*·▢□☐■●○–—-+>✓✔"

func stripBullet(text string) string {
	text = strings.TrimSpace(text)
	for {
		trimmed := strings.TrimLeft(text, bullets+" \t\u00a0")
		if rest, ok := strings.CutPrefix(trimmed, "[ ]"); ok {
			trimmed = strings.TrimSpace(rest)
		}
		if rest, ok := strings.CutPrefix(trimmed, "[x]"); ok {
			trimmed = strings.TrimSpace(rest)
		}
		if trimmed == text || trimmed == "" {
			return text
		}
		text = trimmed
	}
}

// partOf reads "juice of", "grated zest and juice of", "the yolks of" before
// the amount; it returns the part meant.
func (c *cursor) partOf() string {
	start := c.at
	part := ""
	for n := 0; n < 8; n++ {
		t := c.peek(0)
		switch {
		case c.wordIs(0, "juice", "zest", "rind", "peel"):
			if part == "" || c.wordIs(0, "juice") {
				part = strings.ToLower(t.text)
			}
		case c.wordIs(0, "the", "grated", "finely", "freshly", "squeezed", "strained", "fresh", "and", "thinly", "pared"), t.is("&"), t.is("+"):
		case c.wordIs(0, "of", "from") && part != "":
			c.at++
			if part == "rind" || part == "peel" {
				part = "zest"
			}
			return part
		default:
			c.at = start
			return ""
		}
		c.at++
	}
	c.at = start
	return ""
}

// lateQuantity finds an amount that stands behind the name: "Flour: 200 g",
// "Onion - 2 medium", "Chicken stock 500 ml". cut is the token range it takes.
func lateQuantity(tokens []token, sys measure.System) (quantity, [2]int, bool) {
	for i, t := range tokens {
		if t.kind != numberToken || i == 0 {
			continue
		}
		start := i
		before := tokens[i-1]
		sign := before.is("-") || before.is(":") || before.is("(") || before.is("=") || before.is(",")
		if sign {
			start = i - 1
		}
		c := &cursor{tokens: tokens, at: i, system: sys}
		q := c.quantity()
		if q.amount == nil {
			return quantity{}, [2]int{}, false
		}
		measured := q.amount.Unit != measure.Piece
		if before.is("(") {
			if !measured || !c.peek(0).is(")") {
				return quantity{}, [2]int{}, false
			}
			c.at++
		} else if !measured && !sign && c.at < len(tokens) {
			return quantity{}, [2]int{}, false
		}
		return q, [2]int{start, c.at}, true
	}
	return quantity{}, [2]int{}, false
}

// nameRead is the name part of a line, understood.
type nameRead struct {
	name, preparation string
	words             []string // all words of name and preparation
	finding           finding
	unit              measure.Unit // a unit that stands behind the name ("garlic cloves")
	alternatives      []Alternative
	also              []Alternative
	partEach          *measure.Span // grams of the part meant, of one piece
	brackets          [][]token
	tinned            bool
}

// nameParts splits what follows the amount into name and preparation and
// matches the name.
func (r *Reader) nameParts(text string, tokens []token, part string, q quantity) nameRead {
	segments, brackets := split(tokens)
	counted := q.amount != nil && q.amount.Unit == measure.Piece && q.each == nil && q.ml == nil && q.grams == nil
	n := nameRead{brackets: brackets, tinned: q.amount != nil && q.amount.Unit == measure.Can}
	if len(segments) == 0 {
		segments = [][]token{nil}
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
	if n.finding.food == nil && n.finding.origin == larder.Unknown && tail != nil && exampleWords[strings.ToLower(tail[0].text)] {
		// "firm white fillets such as cod"
		if f := r.match.name(normalised(tail), counted); f.food != nil {
			n.finding = f
		}
	}
	r.inverted(&n, main, segments, at, counted)
	lead, name := r.stripPreparation(main, n.finding)
	n.name = slice(text, name)
	var preparation []string
	add := func(ts []token) {
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
	n.preparation = strings.Join(preparation, ", ")
	n.words = append(normalised(main), larder.Words(n.preparation)...)
	r.trailingUnit(&n, main)
	r.hiddenInTail(&n, tail, segments[at+1:], brackets)
	r.ofPart(&n, part)
	return n
}

// resolve matches the name, splitting "x or y" into alternatives and "x and
// y" into foods that stand together.
func (r *Reader) resolve(n *nameRead, main, tail []token, counted bool) finding {
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
		c := &cursor{tokens: p}
		c.quantity()
		own := normalised(p[min(c.at, len(p)):])
		f := r.match.name(own, counted)
		if i < len(parts)-1 && len(words) > 0 && (&cursor{tokens: parts[i+1]}).quantity().amount == nil {
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

func (r *Reader) alternatives(n *nameRead, parts [][]token, counted bool, whole finding) finding {
	last := normalised(parts[len(parts)-1])
	var foods []finding
	for i, p := range parts {
		c := &cursor{tokens: p}
		if i > 0 {
			if q := c.quantity(); q.amount == nil {
				c.at = 0
			}
		}
		words := normalised(p[c.at:])
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
func (r *Reader) inverted(n *nameRead, main []token, segments [][]token, at int, counted bool) {
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

// cutWords say how a food is cut or worked; before a name they never make it
// another food.
var cutWords = map[string]bool{
	"chopped": true, "diced": true, "crushed": true, "sliced": true, "grated": true, "minced": true, "peeled": true, "cubed": true,
	"shredded": true, "beaten": true, "melted": true, "softened": true, "separated": true, "boiled": true, "mashed": true, "rinsed": true,
}

// stripPreparation parts leading words such as "finely chopped" from the name.
func (r *Reader) stripPreparation(main []token, f finding) (lead, name []token) {
	if f.food == nil {
		return nil, main
	}
	neutral := r.larder.Words().Neutral
	position := 0
	for i, t := range main {
		if t.kind != wordToken {
			continue
		}
		words := larder.Words(t.text)
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
func (r *Reader) trailingUnit(n *nameRead, main []token) {
	if n.finding.food == nil || len(main) < 2 {
		return
	}
	for i := len(main) - 1; i > 0; i-- {
		if main[i].kind != wordToken {
			continue
		}
		u, ok := measure.ParseUnit(main[i].text)
		if !ok || !trailing[u] || slices.Contains(larder.Words(n.finding.food.Name), main[i].norm) {
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
func (r *Reader) hiddenInTail(n *nameRead, tail []token, segments, brackets [][]token) {
	if n.finding.origin == larder.FromAnimal || n.finding.origin == larder.Mixed {
		return
	}
	for _, run := range slices.Concat([][]token{tail}, segments, brackets) {
		at := slices.IndexFunc(run, func(t token) bool {
			w := strings.ToLower(t.text)
			return w == "with" || w == "in" || w == "and" || w == "plus" || w == "containing" || w == "made"
		})
		if at < 0 || slices.ContainsFunc(run, func(t token) bool {
			w := strings.ToLower(t.text)
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
	for _, id := range []string{n.finding.food.ID + "-" + part, "lemon-" + part} {
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

// flags reads "to taste", "optional" and the like from the whole line.
func (r *Reader) flags(line *Line, text string) {
	folded := larder.Fold(text)
	line.Optional = strings.Contains(folded, "optional") || strings.Contains(folded, "if you like") || strings.Contains(folded, "if liked") || strings.Contains(folded, "if desired") || strings.Contains(folded, "if using")
	line.ToTaste = strings.Contains(folded, "to taste") || strings.Contains(folded, "as needed") || strings.Contains(folded, "as required") || strings.Contains(folded, "to your taste") || strings.Contains(folded, "to season")
}

// formOf chooses the form of the food that the words or the pack call for.
func formOf(food *larder.Food, q quantity, n nameRead) string {
	tinned := q.amount != nil && q.amount.Unit == measure.Can
	best := larder.RawForm
	for _, w := range n.words {
		w = strings.TrimSuffix(w, ".")
		if slices.Contains(n.finding.nameWords(), w) && w == food.ID {
			continue
		}
		switch w {
		case "tinned", "canned", "tin", "can", "jarred":
			tinned = true
		case "boiled":
			if _, ok := food.Forms["boiled"]; ok {
				return "boiled"
			}
		case "uncooked", "dried", "dry", "raw":
			tinned = false
			if _, ok := food.Forms["cooked"]; ok {
				return larder.RawForm
			}
		}
		if _, ok := food.Forms[w]; ok && w != larder.RawForm {
			best = w
		}
	}
	if _, ok := food.Forms["cooked"]; ok && tinned {
		return "cooked"
	}
	return best
}

func (f finding) nameWords() []string {
	if f.food == nil {
		return nil
	}
	return larder.Words(f.food.Name)
}

// gramsOf works the mass of a line out: stated grams first, then pack sizes,
// then the measure itself.
func gramsOf(food *larder.Food, form string, q quantity, sys measure.System) (*measure.Span, *measure.Basis) {
	if q.grams != nil {
		return q.grams, &measure.Basis{Text: "as the recipe states", Source: measure.SourceUnits}
	}
	if q.amount == nil {
		return nil, nil
	}
	var m measure.Matter
	if food != nil {
		m = food.MatterOf(form)
	}
	density := m.Density
	if q.each != nil {
		g := q.amount.Span().Over(*q.each)
		text := "pack size as the recipe states"
		if drained := m.Pieces["can"]; drained.Low > 0 && q.amount.Unit == measure.Can && food != nil && drainedPack(food, form, *q.each) {
			share := drainedShare
			g = g.Times(share)
			text = fmt.Sprintf("pack size less the liquid (%.0f %% drained)", share*100)
		}
		return &g, &measure.Basis{Text: text, Source: measure.SourceUnits}
	}
	if q.ml != nil && density > 0 {
		g := q.amount.Span().Over(*q.ml).Times(density)
		return &g, &measure.Basis{Text: "pack volume as the recipe states", Source: m.Source, Estimate: m.Estimate}
	}
	if q.inches > 0 && food != nil {
		if each, ok := m.Pieces["thumb"]; ok {
			g := q.amount.Span().Over(each).Times(q.inches)
			return &g, &measure.Basis{Text: fmt.Sprintf("an inch = %g-%g g", each.Low, each.High), Source: m.Source, Estimate: m.Estimate}
		}
	}
	amount := *q.amount
	if amount.Unit == measure.Stick && (food == nil || food.Kind != "butter" && food.Kind != "fat" && food.Kind != "oil") {
		for _, u := range []string{"stick", "stalk", "piece"} {
			if each, ok := m.Pieces[u]; ok {
				g := amount.Span().Over(each)
				return &g, &measure.Basis{Text: fmt.Sprintf("1 %s = %g g", u, each.Low), Source: m.Source, Estimate: m.Estimate}
			}
		}
		return nil, nil
	}
	if countUnit(amount.Unit) && q.volume != nil && density > 0 {
		g := q.volume.Times(density)
		return &g, &measure.Basis{Text: "volume as the recipe states", Source: m.Source, Estimate: m.Estimate}
	}
	if food == nil {
		d, _ := measure.DimensionOf(amount.Unit)
		if d != measure.Mass {
			return nil, nil
		}
	}
	g, basis, err := measure.Grams(amount, q.size, m, sys)
	if err != nil {
		return nil, nil
	}
	return &g, &basis
}

// drainedShare is what a tin of pulses or fruit holds without its liquid:
// 240 g of a 400 g tin.
const drainedShare = 0.6

// drainedPack tells whether a stated pack size counts liquid that is poured off.
func drainedPack(food *larder.Food, form string, each measure.Span) bool {
	return food.Aisle == "pulses" && form == "cooked" && each.Mid() > 300
}

// split cuts tokens at commas, semicolons and spaced dashes, and takes
// bracketed parts out.
func split(tokens []token) (segments, brackets [][]token) {
	var run []token
	depth := 0
	var inside []token
	flush := func() {
		if len(run) > 0 {
			segments = append(segments, run)
			run = nil
		}
	}
	for i, t := range tokens {
		switch {
		case t.is("(") || t.is("["):
			depth++
		case t.is(")") || t.is("]"):
			if depth > 0 {
				depth--
			}
			if depth == 0 && inside != nil {
				brackets = append(brackets, inside)
				inside = nil
			}
		case depth > 0:
			inside = append(inside, t)
		case t.is(",") || t.is(";") || t.is(":"):
			flush()
		case t.is("-") && !t.glued && i > 0:
			flush()
		case t.is("."):
			if i+1 < len(tokens) && !tokens[i+1].glued {
				flush()
			}
		case t.is("*"):
		default:
			run = append(run, t)
		}
	}
	if inside != nil {
		brackets = append(brackets, inside)
	}
	flush()
	return segments, brackets
}

// exampleWords begin examples of what is meant: "firm fillets such as cod".
var exampleWords = map[string]bool{"such": true, "like": true, "preferably": true, "ideally": true}

// phraseWords begin what is said about a food rather than what it is.
var phraseWords = map[string]bool{
	"with": true, "in": true, "for": true, "from": true, "such": true, "like": true, "to": true, "plus": true, "on": true, "if": true,
	"cut": true, "about": true, "preferably": true, "ideally": true, "left": true, "at": true, "until": true, "without": true, "per": true, "as": true,
	"including": true, "depending": true, "according": true, "each": true, "into": true, "by": true, "that": true, "which": true, "soaked": true,
}

// cutPhrase parts "beans in brine" into name and tail, unless a known name
// runs on over the word ("tuna in olive oil").
func (r *Reader) cutPhrase(tokens []token, counted bool) (main, tail []token) {
	matches := r.larder.Index().All(normalised(tokens), counted)
	position := 0
	for i, t := range tokens {
		inside := slices.ContainsFunc(matches, func(m larder.Match) bool { return position > m.Start && position < m.End })
		if i > 0 && t.kind == wordToken && phraseWords[strings.ToLower(t.text)] && !inside {
			return tokens[:i], tokens[i:]
		}
		if t.kind == wordToken {
			position += len(larder.Words(t.text))
		}
	}
	return tokens, nil
}

func splitOn(tokens []token, word string) [][]token {
	var parts [][]token
	start := 0
	for i, t := range tokens {
		if t.kind == wordToken && strings.EqualFold(t.text, word) || word == "and" && (t.is("&") || t.is("+")) || word == "or" && t.is("/") {
			if i > start {
				parts = append(parts, tokens[start:i])
			}
			start = i + 1
		}
	}
	if start < len(tokens) {
		parts = append(parts, tokens[start:])
	}
	return parts
}

// slice returns the text that a run of tokens spans.
func slice(text string, tokens []token) string {
	if len(tokens) == 0 {
		return ""
	}
	return strings.TrimSpace(text[tokens[0].start:tokens[len(tokens)-1].end])
}
