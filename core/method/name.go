package method

import (
	"maps"
	"math"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// words are those by which a method is written.
func (c *Carrier) words() *language.Writing { return &c.book.Larder().Language().Writing }

// named is one thing as a sentence names it, with what it is.
type named struct {
	text   string
	plural bool
	stand  *standIn
}

// listing puts things into a list: "the onions, the garlic and the stock". A
// thing named twice is said once.
func (c *Carrier) listing(things []named) string {
	var texts []string
	said := map[string]bool{}
	for _, t := range things {
		if t.stand != nil && t.stand.book != nil {
			if said[t.stand.name] {
				continue
			}
			said[t.stand.name] = true
		}
		the := c.words().The + " "
		if !slices.ContainsFunc(texts, func(o string) bool {
			return strings.EqualFold(strings.TrimPrefix(o, the), strings.TrimPrefix(t.text, the))
		}) {
			texts = append(texts, t.text) // "the oil", of two that are oil
		}
	}
	switch n := len(texts); n {
	case 0:
		return ""
	case 1:
		return texts[0]
	default:
		return strings.Join(texts[:n-1], ", ") + " " + c.words().And + " " + texts[n-1]
	}
}

// stand names a stand-in, or the share of it that is meant.
func (c *Carrier) stand(s *standIn, share float64, rest bool) named {
	if s.bare {
		return named{s.name, s.plural, s}
	}
	return named{c.shared(share, rest) + c.words().The + " " + s.name, s.plural, s}
}

// shared says how much of a thing is meant, with a blank behind; empty for all.
func (c *Carrier) shared(share float64, rest bool) string {
	w := c.words()
	if rest && share < nearlyAll {
		return w.Rest + " "
	}
	if share <= 0 || share >= nearlyAll {
		return ""
	}
	best, near := w.Some, shareError
	for _, say := range slices.Sorted(maps.Keys(w.Shares)) {
		if off := math.Abs(w.Shares[say] - share); off < near {
			best, near = say, off
		}
	}
	return best + " "
}

// How near a share must be to what it is called.
const (
	nearlyAll  = 0.95
	shareError = 0.06
)

// ofLine names a line of the dish, or what stands for it; nothing for what is
// not there.
func (p *plan) ofLine(line int, share float64) (named, bool) {
	if s := p.stand[line]; s != nil {
		if s.gone {
			return named{}, false
		}
		return p.c.stand(s, share, false), true
	}
	l := p.line(line)
	name := p.lowered(l)
	if f := p.l.Food(l.FoodID()); f != nil && (strings.HasPrefix(f.Name, name+" ") || p.juiceOf(l, f)) {
		name = f.Name // "the lime juice", listed as the juice of a lime
	}
	return named{p.c.shared(share, false) + p.c.words().The + " " + name, p.c.plural(name), nil}, true
}

// juiceOf tells whether a food goes by the name of a line and a word more, as that is of several: "orange juice", of
// 2 oranges.
func (p *plan) juiceOf(l *recipe.Line, f *larder.Food) bool {
	own, all := larder.Words(l.Name), larder.Words(f.Name)
	return len(own) > 0 && len(all) == len(own)+1 && slices.Equal(all[:len(own)], own)
}

// lowered is the name of a line as it stands in a sentence: a capital stays where the
// list does not give one to every name ("English mustard").
func (p *plan) lowered(l *recipe.Line) string {
	if !p.capitals && strings.Contains(l.Text, " "+l.Name) {
		return l.Name
	}
	first, size := utf8.DecodeRuneInString(l.Name)
	return string(unicode.ToLower(first)) + l.Name[size:]
}

// capitalised tells whether most names of a list begin with a capital, so that none
// means anything.
func capitalised(d *recipe.Dish) bool {
	capitals, all := 0, 0
	for c := range d.Components {
		for i := range d.Components[c].Lines {
			l := &d.Components[c].Lines[i]
			first, _ := utf8.DecodeRuneInString(l.Name)
			if all++; unicode.IsUpper(first) {
				capitals++
			}
		}
	}
	return 2*capitals > all
}

// meant are the lines that a noun means: itself, one of what was made, or all
// that was made holds.
func (p *plan) meant(n recipe.Noun) (lines []int, made bool) {
	for _, r := range n.Refs {
		switch {
		case r.Line != nil:
			if at := p.graph.Named(*r.Line); at >= 0 {
				lines = append(lines, at)
			}
		case r.Of != "":
			if at := p.graph.Named(r.Of); at >= 0 {
				lines = append(lines, at)
			}
		case r.Made != nil:
			made = true
			if at := p.nodeOf(*r.Made); at >= 0 {
				lines = append(lines, p.graph.Nodes[at].Holds...)
			}
		}
	}
	return lines, made
}

// nodeOf finds an action by its id, -1 when there is none.
func (p *plan) nodeOf(id string) int {
	return p.graph.Node(id)
}

// animalWords tells whether words name animal matter.
func (p *plan) animalWords(text string) []recipe.Animal {
	found, known := p.animals[text]
	if !known {
		found = p.c.besidesParts(p.dish, p.own, p.c.reader.Animals(text, nil))
		p.animals[text] = found
	}
	return found
}

// kindOf is the kind of food that words name, empty when they name none.
func (p *plan) kindOf(name string) string {
	if f := p.animalFood(name); f != nil {
		return f.Kind
	}
	return ""
}

// foodIDOf is the food of an animal that words name, empty when they name none.
func (p *plan) foodIDOf(name string) string {
	if f := p.animalFood(name); f != nil {
		return f.ID
	}
	return ""
}

// animalFood is the first food of an animal that words name.
func (p *plan) animalFood(name string) *larder.Food {
	words := larder.Words(name)
	for i := range words {
		if m, ok := p.l.Index().At(words, i, true); ok && m.Food.Origin == larder.FromAnimal {
			return m.Food
		}
	}
	return nil
}

// renamed gives what the dish makes itself a name without an animal where the
// language has one: "the pale sauce" for a bechamel.
func (c *Carrier) renamed(name string) string {
	if other := c.words().Renames[larder.Fold(name)]; other != "" {
		if name != strings.ToLower(name) {
			other = larder.Capital(other)
		}
		return other // "the white sauce"
	}
	words := strings.Fields(name)
	for i := 0; i+1 < len(words); i++ {
		if other := c.words().Renames[larder.Fold(words[i]+" "+words[i+1])]; other != "" {
			words = slices.Concat(words[:i], strings.Fields(other), words[i+2:]) // "a thick white sauce"
		}
	}
	for i, w := range words {
		for _, norm := range larder.Words(w) {
			if other := c.words().Renames[norm]; other != "" {
				if many := c.words().RenamesMany[norm]; many != "" && larder.Singular(larder.Fold(w)) != larder.Fold(w) {
					other = many
				}
				if first, rest, ok := strings.Cut(other, " "); ok && i > 0 && strings.EqualFold(words[i-1], first) {
					other = rest // "thin crêpes" are thin pancakes
				}
				words[i] = other
				if w != strings.ToLower(w) {
					words[i] = larder.Capital(other)
				}
			}
		}
	}
	return strings.Join(words, " ")
}

// ofItself tells whether a noun names a line that is called so, such as beef dripping, and
// not what a body gave.
func (p *plan) ofItself(noun recipe.Noun, name string) bool {
	return slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		ref := r.Of // "the breasts", that have been filled since
		if r.Line != nil {
			ref = *r.Line
		}
		line := p.graph.Named(ref)
		return line >= 0 && p.ownName(name, []int{line})
	})
}
