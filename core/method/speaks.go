package method

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
)

// speaksOfGone tells whether an aside, behind what is written of the step so far, speaks of what was replaced; but juice is
// that of the tomatoes where some are in the pot.
func (w *writer) speaksOfGone(text string, before []*clause) bool {
	if len(w.animalWords(text)) > 0 {
		return true
	}
	words := larder.Words(text)
	lang := w.l.Language()
	if at := slices.IndexFunc(before, func(c *clause) bool { return c.node >= 0 }); at >= 0 && w.givesJuice(w.inHandAt(before[at].node)) {
		words = slices.DeleteFunc(words, func(x string) bool { return lang.Liquors[x] })
	}
	for _, s := range w.stand {
		if signs := lang.GoneSigns[string(s.class)]; s.component == w.component && (s.flesh() || s.is(larder.LiquidFat)) && slices.ContainsFunc(words, func(x string) bool { return signs[x] || lang.Fleshly[x] }) {
			return true
		}
		own := larder.Words(s.was.Name)
		if len(own) > 0 && slices.Contains(words, own[len(own)-1]) && !slices.Contains(larder.Words(s.name), own[len(own)-1]) {
			return true
		}
	}
	return false
}

// asideNow names in an aside what stands for the one piece of flesh of its kind that it names: "let everyone fill a leaf with
// rice and mushroom slices"; unchanged where it would still name an animal's.
func (w *writer) asideNow(text string) string {
	lang, words := w.l.Language(), larder.Words(text)
	if len(w.animalWords(text)) == 0 || lang.Whiles[words[0]] || slices.ContainsFunc(words, func(x string) bool { return lang.DoneWords[x] }) {
		return text // "while the chicken cooks", which cooks no more
	}
	var out strings.Builder
	parts := strings.SplitAfter(text, " ")
	for i, word := range parts {
		bare := strings.TrimRight(word, " ,;.!")
		if s := w.onlyOfWord(bare); s != nil && !(i+1 < len(parts) && w.agrees(parts[i+1])) {
			word = s.name + strings.TrimPrefix(word, bare)
		}
		out.WriteString(word)
	}
	if w.namesAnimal(out.String()) {
		return text
	}
	return out.String()
}

// agrees tells whether a word is a verb that agrees in number with what stands before it: "the chicken simmers".
func (w *writer) agrees(word string) bool {
	word = strings.ToLower(strings.TrimRight(word, " ,;.!"))
	return w.l.Language().Being[word] || slices.ContainsFunc(w.l.Language().Verb(word), func(r language.Reading) bool { return r.Form == language.Third })
}

// onlyOfWord is what stands for the only piece of flesh that a word can mean, by its own name or as that of its animal.
func (w *writer) onlyOfWord(word string) *standIn {
	norm := larder.Words(word)
	if len(norm) != 1 {
		return nil
	}
	class := w.l.Words().AnimalWords[norm[0]]
	var found []*standIn
	for _, s := range w.inOrder() {
		own := larder.Words(s.was.Name)
		if s.flesh() && !s.gone && !s.bare && (class == s.class || len(own) > 0 && own[len(own)-1] == norm[0]) {
			found = append(found, s)
		}
	}
	if len(found) != 1 {
		return nil
	}
	return found[0]
}

// givesJuice tells whether a liquid is in what an action works on, or vegetables of the cook's own that are little else.
func (p *plan) givesJuice(i int) bool {
	n := &p.graph.Nodes[i]
	return p.wetAt(i) || slices.ContainsFunc(n.Holds, func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		return p.stand[line] == nil && p.there(line, i) && f != nil && f.Aisle == "vegetables" && larder.Or(f.Per100.Water, 0) >= juicyWater && p.line(line).Mass() >= leastRoasted
	})
}

// juicyWater is the water in 100 g of vegetables from which they let juice; an estimate.
const juicyWater = 92.0

// inHandAt is the action, or the last before it, that works on something listed.
func (w *writer) inHandAt(i int) int {
	for i > 0 && len(w.graph.Nodes[i].Holds) == 0 && w.graph.Nodes[i-1].At.Component == w.graph.Nodes[i].At.Component {
		i--
	}
	return i
}

// pointsToGone tells whether a remark points back to what was said right before it, which is not done any more, with its first
// word or by what it says of the doing: "brown the beef on all sides; this takes about 15 minutes", "you may need to do this in
// batches".
func (w *writer) pointsToGone(text string, from int, before []*clause) bool {
	lang, words := w.l.Language(), larder.Words(text)
	if len(words) == 0 || len(before) == 0 {
		return false
	}
	last := before[len(before)-1]
	if !last.gone || last.node < 0 {
		return false
	}
	opens := lang.Pointing[words[0]] || lang.Pronouns[words[0]]
	doing := slices.ContainsFunc(words[1:], func(x string) bool { return lang.Pointing[x] && lang.Pronouns[x] && lang.Shares[x] == 0 })
	return doing || opens && !strings.ContainsAny(w.slice(last.upto, from), ".!?")
}

// worksOnJuicy tells whether an action is done to nothing but lines of the cook's own that give juice: "the tomatoes, pressing
// so that they give up some juice".
func (w *writer) worksOnJuicy(n *node) bool {
	lines := n.Named
	if len(lines) == 0 {
		lines = n.To // "slice out the segments, catching the juice", of peeled oranges
	}
	return len(lines) > 0 && !slices.ContainsFunc(lines, func(line int) bool {
		f := w.l.Food(w.line(line).FoodID())
		return w.stand[line] != nil || f == nil || f.Aisle != "fruit" && (f.Aisle != "vegetables" || larder.Or(f.Per100.Water, 0) < juicyWater)
	})
}
