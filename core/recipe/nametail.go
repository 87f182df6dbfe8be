package recipe

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/core/texts"
)

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
			if !neutral[w] && !(i > 0 && i+1 < len(main) && r.lines().And[w] && neutral[larder.Singular(main[i+1].Norm)]) { // "boned and rolled"
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
		u, ok := r.lines().Unit(main[i].Text)
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
	if n.finding.food != nil {
		for _, b := range brackets {
			if f, ok := r.kindInBracket(n.finding.food, b); ok {
				n.finding = f
				return
			}
		}
	}
	if n.finding.origin == larder.FromAnimal {
		return // what may hold an animal does where the line says so: "curry paste (with shrimp paste)"
	}
	for _, run := range slices.Concat([][]lex.Token{tail}, segments, brackets) {
		at := slices.IndexFunc(run, func(t lex.Token) bool {
			return r.lines().Comes[strings.ToLower(t.Text)]
		})
		if at < 0 || slices.ContainsFunc(run, func(t lex.Token) bool {
			return r.lines().Apart[strings.ToLower(t.Text)]
		}) {
			continue
		}
		f := r.match.name(normalised(run[at+1:]), false)
		if f.origin == larder.FromAnimal {
			n.finding.origin, n.finding.animal = larder.FromAnimal, f.animal
			n.finding.why = texts.Say("recipe.comesWith", strings.ToLower(f.label()), classNames[f.animal])
			return
		}
	}
}

// kindInBracket is the kind of a food that a bracket says it is: "puff pastry (all-butter)", "pasta (egg)". Of what was
// understood as an animal's it makes a plant only where every word of the bracket is of one name with it: "milk (oat)", but
// not "milk (soy-free)".
func (r *Reader) kindInBracket(food *larder.Food, bracket []lex.Token) (finding, bool) {
	said := normalised(bracket)
	if len(said) == 0 || slices.ContainsFunc(bracket, func(t lex.Token) bool { return r.lines().Apart[strings.ToLower(t.Text)] }) {
		return finding{}, false
	}
	words := append(slices.Clone(said), larder.Words(food.Name)...)
	f := r.match.name(words, false)
	if f.food == nil || f.food == food || f.end != len(words) || f.start >= len(said) {
		return f, false
	}
	whole := f.start == 0 && !slices.ContainsFunc(said, func(w string) bool { return r.larder.Words().Neutral[w] }) // which names may skip
	return f, f.origin == larder.FromAnimal || whole && f.origin == larder.FromPlant && food.Origin == larder.FromAnimal
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
		if part = r.partSaid(n); part == "" {
			return
		}
	}
	if n.finding.food.Matter.Pieces[part].Low == 0 {
		return
	}
	ids := []string{n.finding.food.ID + "-" + part}
	if juicePart == part || zestPart == part {
		ids = append(ids, "lemon-"+part)
	}
	for _, id := range ids {
		if f := r.larder.Food(id); f != nil {
			each := n.finding.food.Matter.Pieces[part]
			n.finding.food = f
			n.finding.why = reason(f.Name, f.Origin, f.Animal)
			n.preparation = strings.TrimPrefix(n.preparation+", "+texts.Say("recipe.only", part), ", ")
			n.partEach = &each
			return
		}
	}
}

// The parts of citrus fruit that the larder keeps as foods of their own.
const (
	juicePart = "juice"
	zestPart  = "zest"
)

// partSaid is the part that the words of a line ask for: "1 lemon, juiced".
func (r *Reader) partSaid(n *nameRead) string {
	for _, w := range n.words {
		part, says := r.lines().Juiced[w]
		if says || r.lines().Strongest[w] && n.finding.food.Matter.Pieces[w].Low > 0 {
			return cmp.Or(part, w)
		}
	}
	return ""
}
