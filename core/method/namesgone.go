package method

import (
	"cmp"
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/swap"
)

// namesGone finds steps that still call a piece of flesh by the cut that its line was named by,
// which is no animal's name by itself: "each breast".
func (c *Carrier) namesGone(p *plan) {
	for _, s := range p.inOrder() {
		cut := p.cutName(s)
		if cut == "" {
			continue
		}
		for i := range p.a.Components {
			for n := range p.a.Components[i].Steps {
				step := &p.a.Components[i].Steps[n]
				if step.Change == swap.Changed && !step.Own && c.reader.Says(step.Text, cut) {
					c.tell(step, swap.NamesAnimal, cut)
				}
			}
		}
	}
}

// cutName is the word by which a line called the cut of flesh that it was; empty where that is an animal's own name,
// which the reader finds, and knows where it is a verb.
func (p *plan) cutName(s *standIn) string {
	own := larder.Words(s.was.Name)
	if at := slices.IndexFunc(own, func(w string) bool { return p.l.Language().Prepositions[w] != "" }); at > 0 {
		own = own[:at] // "sardines in oil"
	}
	if !s.flesh() || len(own) == 0 || p.l.Words().AnimalWords[own[len(own)-1]] != "" || p.listsWord(own[len(own)-1]) {
		return ""
	}
	return own[len(own)-1]
}

// cutsByName names what stands for flesh where words that say how something is done call it by its cut: "turning the
// shanks halfway".
func (w *writer) cutsByName(from, upto int) []edit {
	var out []edit
	at := from
	for _, word := range strings.SplitAfter(w.slice(from, upto), " ") {
		long := utf8.RuneCountInString(word)
		norm := larder.Words(word)
		for _, s := range w.inOrder() {
			if cut := w.cutName(s); cut != "" && !s.gone && len(norm) == 1 && norm[0] == cut {
				out = append(out, edit{at, at + utf8.RuneCountInString(strings.TrimRight(word, " ,")), s.name})
				break
			}
		}
		at += long
	}
	return out
}

// renamedIn names what stands in where words that say how something is done name what it stands for: "ending with the last
// of the cream". It is nil where they would still name an animal's.
func (w *writer) renamedIn(n *node, at [2]int) []edit {
	said := w.slice(at[0], at[1])
	if len(w.animalWords(said)) == 0 {
		return nil
	}
	var out []edit
	now, from := []string{}, []int{at[0]}
	for _, word := range strings.SplitAfter(said, " ") {
		from = append(from, from[len(from)-1]+utf8.RuneCountInString(word))
		bare := strings.TrimRight(word, " ,;")
		if side := w.sideOf(n, bare); side != "" {
			out = append(out, edit{from[len(now)], from[len(now)] + utf8.RuneCountInString(bare), side})
			word = side + strings.TrimPrefix(word, bare)
		} else if s := w.standsForWord(n, bare); s != nil {
			first := len(now)
			for own := larder.Words(s.was.Name); first > 0 && now[first-1] != "" && slices.Contains(own, strings.Join(larder.Words(now[first-1]), " ")); first-- {
				now[first-1] = "" // the whole name goes: "soured cream"
			}
			out = append(out, edit{from[first], from[len(now)] + utf8.RuneCountInString(bare), s.name})
			word = s.name + strings.TrimPrefix(word, bare)
		}
		now = append(now, word)
	}
	if w.namesAnimal(strings.Join(now, "")) {
		return nil
	}
	return out
}

// sideOf names by what stands in a side that is named by what it stands for: "mushroom-side", of "prawn-side down"; empty
// where a word does not.
func (w *writer) sideOf(n *node, word string) string {
	of, side, joined := strings.Cut(word, "-")
	if !joined || !w.l.Language().Sides[side] {
		return ""
	}
	s := w.standsForWord(n, of)
	if s == nil || s.book == nil {
		return ""
	}
	own := larder.Words(s.name)
	parts := slices.SortedStableFunc(slices.Values(s.book.Formula), func(a, b larder.Part) int { return cmp.Compare(b.Grams, a.Grams) })
	for _, part := range parts { // by what there is most of
		for _, name := range w.l.Food(part.Food).NameWords() {
			for _, x := range name {
				if slices.ContainsFunc(own, func(o string) bool { return larder.Singular(o) == x }) {
					return x + "-" + side
				}
			}
		}
	}
	return ""
}

// standsForWord is what stands in an action for the thing whose name ends with a word.
func (w *writer) standsForWord(n *node, word string) *standIn {
	norm := larder.Words(word)
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		s := w.stand[line]
		if s == nil || s.gone || s.bare || len(norm) != 1 {
			continue
		}
		if own := larder.Words(s.was.Name); len(own) > 0 && own[len(own)-1] == norm[0] {
			return s
		}
	}
	return nil
}

// listsWord tells whether a line or what stands for one has a word in its name, or the language
// uses it for what a method makes or works with.
func (p *plan) listsWord(word string) bool {
	lang := p.l.Language()
	if lang.Products[word] || lang.Shapes[word] || lang.Vessels[word] || lang.Measures[word] || lang.Parts[word] {
		return true
	}
	for i := range p.a.Components {
		for _, l := range p.a.Components[i].Lines {
			if l.Change != swap.Dropped && slices.Contains(larder.Words(l.Text+" "+l.Name), word) {
				return true
			}
		}
	}
	return slices.ContainsFunc(p.inOrder(), func(s *standIn) bool { return s.book != nil && slices.Contains(larder.Words(s.name), word) })
}

// partsOfEggsGone tells whether words say how the white or the yolk of eggs gets for which something stands: "so the whites
// turn milky".
func (w *writer) partsOfEggsGone(n *node, text string) bool {
	eggs := slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool { s := w.stand[line]; return s != nil && s.class == larder.Egg })
	return eggs && slices.ContainsFunc(larder.Words(text), func(word string) bool { return w.l.Language().EggParts[word] > 0 })
}

// anotherFood tells whether what is left of a name is by itself that of a plant food which is none of some lines: the "olives"
// of beef olives.
func (w *writer) anotherFood(rest string, lines []int) bool {
	words := larder.Words(rest)
	m, ok := w.l.Index().At(words, 0, true)
	return ok && m.End == len(words) && m.Food.Origin != larder.FromAnimal && !w.l.Language().Products[words[len(words)-1]] && !w.l.Language().Liquors[words[len(words)-1]] &&
		!slices.ContainsFunc(lines, func(line int) bool { return w.line(line).FoodID() == m.Food.ID })
}
