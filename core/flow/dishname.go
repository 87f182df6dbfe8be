package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// dishCalled are the words of the dish's name that say what it is, and not what comes with it:
// "Spaghetti with meatballs".
func (b *bindings) dishCalled() []string { return b.r.dishCalled(b.dish) }

func (r *Reader) dishCalled(d *recipe.Dish) []string {
	words := larder.Words(d.Name)
	for i, w := range words {
		if i > 0 && r.lang.Prepositions[w] == "with" {
			return words[:i]
		}
	}
	return words
}

// OwnWord is the word that says what the dish is where by itself it is the name of a food too that the dish is not made
// of: the pâté that a smoked fish is beaten to. Empty for most dishes, where the word is that of an animal, and where a
// step speaks of such a food that nothing was made to: the pesto that pasta is tossed with.
func (r *Reader) OwnWord(d *recipe.Dish) string {
	called := r.dishCalled(d)
	if len(called) < 2 {
		return ""
	}
	word := last(called)
	m, ok := r.larder.Index().At([]string{word}, 0, false)
	if !ok || m.Food.Animal == "" {
		return ""
	}
	for animal := range r.larder.Words().AnimalWords {
		if strings.HasPrefix(word, animal) {
			return "" // "fishcakes"
		}
	}
	for _, c := range d.Components {
		if slices.ContainsFunc(c.Lines, func(l recipe.Line) bool {
			return l.FoodID() == m.Food.ID || slices.Contains(larder.Words(l.Name), word)
		}) {
			return ""
		}
		for _, s := range c.Steps {
			for _, a := range s.Actions {
				if slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(ref recipe.Ref) bool {
					return ref.Named != nil && slices.Contains(larder.Words(*ref.Named), word)
				}) {
					return ""
				}
			}
		}
	}
	return word
}

// mainThing is what the dish is named by: of what is there, the heaviest.
func (b *bindings) mainThing() *thing {
	return b.heaviest(func(t *thing, p portion) bool { return b.holder[p] == t || t.ofShare }, func(t *thing) bool { return b.working == nil || t != b.focus })
}

// endsAs tells whether a word ends in a name of a thing.
func (t *thing) endsAs(word string) bool {
	for name := range t.names {
		if len(name) >= shortestEnd && len(name) < len(word) && strings.HasSuffix(word, name) {
			return true
		}
	}
	return false
}

// rawBatter is what pancakes are cooked of: the last batter that has not been over a fire.
func (b *bindings) rawBatter(head string) *thing {
	if !b.r.lang.OfBatter[head] || b.tech.Heat == "" {
		return nil
	}
	return b.latest(func(t *thing) bool {
		return !t.heated && len(t.holds) > 1 && t.liquid && b.holdsKind(t, b.r.lang.ProductHolds[batter])
	})
}

// madeHere is what a noun means that names a food which no list has and which is made of a dough: "the spaetzle", of
// a batter.
func (b *bindings) madeHere(n noun) *thing {
	if !n.pointed { // "serve with naan"
		return nil
	}
	from := b.r.lang.MadeHere[bakery]
	if !b.r.lang.Loaves[n.head()] {
		m, known := b.r.larder.Index().At(n.words, 0, true)
		if !known || m.End < len(n.words) {
			return nil
		}
		from = b.r.lang.MadeHere[m.Food.Aisle]
	}
	if t := b.latest(func(t *thing) bool {
		return slices.ContainsFunc(from, func(name string) bool { return t.names[name] && t.title == nil })
	}); t != nil || b.focus == nil {
		return t
	}
	for _, name := range from {
		doughy := func(t *thing) bool { return b.holdsKind(t, b.r.lang.ProductHolds[name]) && b.kneaded(t) }
		if t := b.latest(doughy); t != nil && !doughy(b.focus) {
			return t // "open the buns", of what was shaped and steamed before the filling
		}
	}
	return nil
}

// kneaded tells whether a thing is what a dough became.
func (b *bindings) kneaded(t *thing) bool {
	return slices.ContainsFunc(b.things, func(x *thing) bool {
		if x.technique != kneadTechnique {
			return false
		}
		for p := range x.holds {
			if !t.holds[p] {
				return false
			}
		}
		return len(x.holds) > 0
	})
}

// kneadTechnique makes a dough, and what it becomes stands on the shelf of bread.
const (
	kneadTechnique = "knead"
	bakery         = "bakery"
)

// batter is the product that pancakes are made of.
const batter = "batter"

// componentOf is the part of the dish that a noun names by its last word, and of several that of
// whose name it says most: "the white sauce", beside a meat sauce.
func (b *bindings) componentOf(n noun) int {
	best, most := -1, 0
	for c, name := range b.partNames {
		said := 0
		for _, w := range n.words {
			if slices.Contains(name, w) {
				said++
			}
		}
		if said > most && b.componentNamed(n.head()) >= 0 && slices.Contains(name, n.head()) {
			best, most = c, said
		}
	}
	return best
}

func (b *bindings) componentNamed(w string) int {
	if b.r.lang.Articles[w] || b.r.lang.Prepositions[w] != "" {
		return -1
	}
	return slices.IndexFunc(b.partNames, func(name []string) bool { return slices.Contains(name, w) })
}

// OwnNames are the names, by their words, of what the dish itself makes that are those of a food made with milk or eggs too: its
// own word, its parts, and what its steps say that they are for, where no line is such a food and several go in: "for the shortbread".
func (r *Reader) OwnNames(d *recipe.Dish) [][]string {
	var out [][]string
	if word := r.OwnWord(d); word != "" {
		out = append(out, []string{word})
	}
	add := func(name string) {
		words := larder.Words(name)
		for len(words) > 0 && (r.lang.Prepositions[words[0]] != "" || r.lang.Articles[words[0]]) {
			words = words[1:]
		}
		if r.madeHere(d, words) {
			out = append(out, words)
		}
	}
	for _, c := range d.Components {
		if len(c.Lines) >= leastMade {
			add(c.Name)
		}
		for _, s := range c.Steps {
			if takesLines(&s) < leastMade {
				continue // "for the brioche, slice and toast it", which is bought
			}
			text := []rune(s.Text)
			for i := range s.Actions {
				if at := s.Actions[i].Words.Aim; at[1] > at[0] && at[1] <= len(text) {
					add(string(text[at[0]:at[1]]))
				}
			}
		}
	}
	return out
}

// leastMade is of how many lines a thing is made at least that goes by the name of a food made with milk or eggs.
const leastMade = 2

// takesLines counts the lines that a step takes in.
func takesLines(s *recipe.Step) int {
	lines := map[string]bool{}
	for _, a := range s.Actions {
		for r := range a.Refs() {
			if r.Line != nil {
				lines[*r.Line] = true
			}
		}
	}
	return len(lines)
}

// madeHere tells whether words are the name of a food made with milk or eggs that the list does not have, and that is not said
// by another name on cards.
func (r *Reader) madeHere(d *recipe.Dish, words []string) bool {
	m, ok := r.larder.Index().At(words, 0, false)
	if !ok || m.End != len(words) || m.Food.Animal != larder.Dairy && m.Food.Animal != larder.Egg {
		return false
	}
	for _, word := range words {
		if r.lang.Writing.Renames[word] != "" || r.lang.StandIns[word] {
			return false
		}
		for animal := range r.larder.Words().AnimalWords {
			if word == animal {
				return false
			}
		}
	}
	return !slices.ContainsFunc(d.Components, func(c recipe.Component) bool {
		return slices.ContainsFunc(c.Lines, func(l recipe.Line) bool {
			return l.FoodID() == m.Food.ID || slices.Contains(larder.Words(l.Name), last(words))
		})
	})
}
