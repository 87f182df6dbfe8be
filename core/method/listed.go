package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// withoutUnsaid takes off the end of a list what was brought for words that were not written in the end.
func (p *plan) withoutUnsaid(comp *swap.Component, parts []part) {
	said := func(text, name string) bool {
		for _, s := range p.inOrder() {
			if len(s.name) > len(name) {
				text = strings.ReplaceAll(text, s.name, "") // "the golden vegetable stock" is no vegetable stock
			}
		}
		return strings.Contains(strings.ToLower(text), name)
	}
	for n := len(comp.Lines) - 1; n >= 0 && comp.Lines[n].Change == swap.Adjusted && comp.Lines[n].From == nil; n-- {
		name := strings.ToLower(comp.Lines[n].Name)
		if slices.ContainsFunc(parts, func(x part) bool { return said(x.text, name) }) {
			return
		}
		comp.Lines = comp.Lines[:n]
	}
}

// unlisted are the foods that a step names though no list has them and the
// original's own words do not speak of them either; what comes from the tap is
// listed nowhere.
func (c *Carrier) unlisted(d *recipe.Dish, a *swap.Adaptation, component int, s *swap.Step) []string {
	l := c.book.Larder()
	var out []string
	for _, action := range s.Actions {
		for _, r := range slices.Concat(action.To, action.With, action.Into) {
			if r.Named == nil {
				continue
			}
			words := larder.Words(*r.Named)
			if len(words) == 0 || l.Language().Loose[words[len(words)-1]] || l.Language().Vessels[words[len(words)-1]] {
				continue
			}
			m, ok := l.Index().At(words, 0, true)
			if !ok || m.End != len(words) || m.Food.ID == waterFood || saidIn(d, component, s, words) || c.standsFor(a, words) || c.stillOpen(d, a, m.Food.ID, words) {
				continue
			}
			listed := slices.ContainsFunc(a.Components, func(comp swap.Component) bool {
				return slices.ContainsFunc(comp.Lines, func(x swap.Line) bool {
					return x.Change != swap.Dropped && (x.FoodID() == m.Food.ID || slices.Contains(larder.Words(x.Text), words[len(words)-1]))
				})
			})
			if !listed && !slices.Contains(out, *r.Named) {
				out = append(out, *r.Named)
			}
		}
	}
	return out
}

// stillOpen tells whether words mean a line for which nothing is chosen, also by the word for its group: that is told there.
func (c *Carrier) stillOpen(d *recipe.Dish, a *swap.Adaptation, food string, words []string) bool {
	return slices.ContainsFunc(a.Unresolved, func(o swap.Open) bool {
		component, line, ok := recipe.ParseLineRef(o.Line)
		if !ok {
			return false
		}
		l := &d.Components[component].Lines[line]
		group := c.book.Larder().Language().Groups[words[len(words)-1]]
		return l.FoodID() == food || slices.Contains(larder.Words(l.Name), words[len(words)-1]) || slices.Contains(group, l.FoodID())
	})
}

// standsFor tells whether words are of the name of something that was put in.
func (c *Carrier) standsFor(a *swap.Adaptation, words []string) bool {
	return slices.ContainsFunc(a.Swaps, func(x swap.Chosen) bool {
		s := c.book.Larder().SwapNamed(x.Swap)
		if s == nil {
			return false
		}
		short := larder.Words(s.Short)
		return !slices.ContainsFunc(words, func(w string) bool { return !slices.Contains(short, w) })
	})
}

// saidIn tells whether the steps of the original that a step comes from name the
// same matter.
func saidIn(d *recipe.Dish, component int, s *swap.Step, words []string) bool {
	return slices.ContainsFunc(s.From, func(n int) bool {
		return slices.ContainsFunc(d.Components[component].Steps[n].Actions, func(a recipe.Action) bool {
			return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool {
				return r.Named != nil && slices.Contains(larder.Words(*r.Named), words[len(words)-1])
			})
		})
	})
}

// whole is a thing of the cook's own by its whole name where what stands in goes by the word that
// the text has for it: "the olive oil", beside vegetable oil for the lard.
func (w *writer) whole(noun recipe.Noun, lines []int, kept []named) ([]named, bool) {
	words := larder.Words(w.slice(noun.Name, noun.Upto))
	if len(lines) != 1 || noun.Pronoun || len(words) != 1 || len(noun.Refs) != 1 || noun.Refs[0].Line == nil {
		return kept, false
	}
	own := larder.Words(w.line(lines[0]).Name)
	if len(own) < 2 || own[len(own)-1] != words[0] || !slices.ContainsFunc(w.inOrder(), func(s *standIn) bool {
		name := larder.Words(s.name)
		return !s.gone && !s.bare && len(name) > 1 && name[len(name)-1] == words[0]
	}) {
		return kept, false
	}
	return []named{{text: w.slice(noun.From, noun.Name) + w.lowered(w.line(lines[0])), plural: noun.Plural}}, true
}

// hotFat tells whether a noun means the fat that is in a pan or tin, and one of the card's is.
func (w *writer) hotFat(noun recipe.Noun, lines []int, at int) bool {
	name := w.slice(noun.Name, noun.Upto)
	words := larder.Words(name)
	return len(words) > 0 && w.l.Language().Fats[words[len(words)-1]] && len(w.animalWords(name)) == 0 && !w.ownName(name, lines) &&
		slices.ContainsFunc(lines, func(line int) bool { return w.fries(line) && w.there(line, at) && w.begun(line, at) })
}

// oneFat says two fats of a phrase as one where what stands for one of them is the other: "half of the oil", of the
// oil for half of the butter and the oil of the list.
func (w *writer) oneFat(p recipe.Phrase, objects []named) []named {
	if len(objects) != 2 || len(p.Nouns) != 2 {
		return objects
	}
	taken, all, stands := 0.0, 0.0, 0
	for _, noun := range p.Nouns {
		lines, made := w.meant(noun)
		if made || len(lines) != 1 || len(noun.Refs) != 1 || !w.fries(lines[0]) {
			return objects
		}
		mass := w.line(lines[0]).Mass()
		if s := w.stand[lines[0]]; s != nil {
			mass, stands = w.massOf(s), stands+1
		}
		taken, all = taken+mass*noun.Refs[0].Share, all+mass
	}
	name, other := w.bareName(objects[0].text), w.bareName(objects[1].text)
	if stands != 1 || all == 0 || name != other {
		return objects
	}
	one := objects[0]
	if one.stand == nil {
		one = objects[1]
	}
	one.text = w.c.shared(taken/all, false) + w.c.words().The + " " + name
	return []named{one}
}

// bareName is how a thing is called behind its article.
func (w *writer) bareName(text string) string {
	the := w.c.words().The + " "
	if at := strings.LastIndex(text, the); at >= 0 {
		return text[at+len(the):]
	}
	return text
}

// massOf is what is listed of a stand-in.
func (p *plan) massOf(s *standIn) float64 {
	mass := 0.0
	for _, line := range s.lines {
		mass += p.a.Components[s.component].Lines[line].Mass()
	}
	return mass
}

// listedAs names what stands for a line that goes by a word, once it is there.
func (w *writer) listedAs(word string, at int) (named, bool) {
	for _, s := range w.inOrder() {
		own := larder.Words(s.was.Name)
		if len(own) > 0 && (own[len(own)-1] == word || slices.Contains(own, word) && w.foodIDOf(word) == s.was.FoodID()) && !s.gone && w.there(s.node, at) && len(w.animalWords(larder.Capital(w.c.words().The+" "+word)+".")) > 0 {
			return w.c.stand(s, 1, false), true
		}
	}
	return named{}, false
}

// asMuchOf is the name of what stands for something that only words name, with how much of it they say.
func (w *writer) asMuchOf(p recipe.Phrase, name string, kept []named, text string) string {
	if measured := w.measured(p, name); measured != "" {
		return w.measuredOff(measured, text) // "the splash of milk"
	}
	if len(kept) == 1 && w.saysExtra(kept[0].text) {
		return w.c.words().LittleMore + " " + w.c.words().Of + " " + text // "the extra pecorino"
	}
	return text
}

// saysExtra tells whether words speak of more of a thing than the dish itself took: "the extra pecorino".
func (w *writer) saysExtra(text string) bool {
	return slices.ContainsFunc(larder.Words(text), func(word string) bool { return w.l.Language().Extras[word] })
}
