package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// otherNameOf tells whether a noun is another word for flesh that was cooked with no more than a
// coat on it: no word for what a method makes, and the name of no other food.
func (w *writer) otherNameOf(noun recipe.Noun, lines []int) bool {
	lang := w.l.Language()
	words := larder.Words(w.slice(noun.Name, noun.Upto))
	if len(words) == 0 || len(lines) == 0 {
		return false
	}
	head := words[len(words)-1]
	if lang.Products[head] || lang.Shapes[head] || lang.Parts[head] || lang.Remains[head] || lang.Vessels[head] || lang.Whole[head] || lang.Ingredients[head] || lang.Groups[head] != nil || lang.ProductHolds[head] != nil || slices.Contains(larder.Words(w.dish.Name), head) {
		return false
	}
	if _, food := w.l.Index().At(words[len(words)-1:], 0, true); food {
		return false
	}
	flesh, mass, coat := 0, 0.0, 0.0
	for _, line := range lines {
		s := w.stand[line]
		switch {
		case s != nil && s.flesh() && s.is(larder.Prepared):
			flesh++
			mass += w.line(line).Mass()
		case s == nil && !w.dusts(line):
			coat += w.line(line).Mass()
		case s != nil && s.class != larder.Egg:
			return false
		}
	}
	return flesh == 1 && coat <= mostCoat*mass
}

// cutNoMore tells whether a noun is what something was cut into by work that is not done any
// more.
func (w *writer) cutNoMore(noun recipe.Noun) bool {
	name := w.slice(noun.Name, noun.Upto)
	words := larder.Words(name)
	lang := w.l.Language()
	if len(words) == 0 || len(words) > 1 && len(w.animalWords(name)) == 0 || !lang.Shapes[words[len(words)-1]] && !lang.Products[endWord(name)] || len(noun.Refs) != 1 || noun.Refs[0].Made == nil {
		return false
	}
	at := w.nodeOf(*noun.Refs[0].Made)
	if at >= 0 && slices.ContainsFunc(w.graph.Nodes[at].Holds, func(line int) bool { return w.stand[line] != nil && w.filledIn(at+1, line) }) {
		return false // "the dough", into which the pork was filled
	}
	for at >= 0 && !lang.Shapes[words[len(words)-1]] && w.graph.Nodes[at].Action.Makes != words[len(words)-1] {
		at = w.cameFrom(at) // "the cutlets", that a breast was sliced into
	}
	for at >= 0 && w.graph.Nodes[at].Technique.Family != "cut" && w.graph.Nodes[at].Action.Makes == "" {
		at = w.cameFrom(at) // "the fish pieces", that were salted or coated since
	}
	return at >= 0 && w.deeds[at].drop && w.graph.Nodes[at].Technique.Family == "cut"
}

// endWord is the last word of a name as it is written.
func endWord(name string) string {
	words := strings.Fields(strings.ToLower(name))
	return strings.Join(words[max(len(words)-1, 0):], "")
}

// cameFrom is the action before one that had what stands for flesh in hand; -1 where there is none.
func (p *plan) cameFrom(at int) int {
	inputs := p.graph.Nodes[at].Inputs
	k := slices.IndexFunc(inputs, func(in int) bool {
		return slices.ContainsFunc(p.graph.Nodes[in].Holds, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() })
	})
	if k < 0 {
		return -1
	}
	return inputs[k]
}

// thrownAway tells whether a line was discarded by its name before an action.
func (p *plan) thrownAway(line, at int) bool {
	for k := range p.graph.Nodes[:at] {
		if n := &p.graph.Nodes[k]; n.Is("discard") && !p.deeds[k].drop && slices.Contains(n.Named, line) {
			return true
		}
	}
	return false
}

// partMade is what a part of the dish is called now of which something was made that a noun means by the part's whole
// name; empty for any other.
func (w *writer) partMade(noun recipe.Noun) string {
	name := w.slice(noun.Name, noun.Upto)
	if !slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool { return r.Made != nil }) || !slices.ContainsFunc(w.dish.Components, func(c recipe.Component) bool { return strings.EqualFold(c.Name, name) }) {
		return ""
	}
	return w.ofPart(name)
}

// placeOfKin tells whether a noun says a place of something for which another of its name stands: "the centre of
// each wrapper", of wonton wrappers.
func (w *writer) placeOfKin(noun recipe.Noun, lines []int) bool {
	words := larder.Words(w.slice(noun.From, noun.Upto))
	if len(lines) != 1 || w.stand[lines[0]] == nil || len(words) == 0 || len(w.animalWords(w.slice(noun.From, noun.Upto))) > 0 {
		return false
	}
	kin := larder.Words(w.stand[lines[0]].name)
	return len(kin) > 0 && kin[len(kin)-1] == words[len(words)-1] && slices.ContainsFunc(words, func(x string) bool { return w.l.Language().Places[x] })
}

// calledAfter tells whether a name of what was made of several things is that of no animal and
// stands in the name of one of them without being what that is.
func (w *writer) calledAfter(noun recipe.Noun, lines []int, at int) bool {
	name := w.slice(noun.Name, noun.Upto)
	words := larder.Words(name)
	if len(words) == 0 || len(w.animalWords(name)) > 0 || w.fleshly(name) || !slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool {
		return r.Made != nil && w.nodeOf(*r.Made) >= 0 && w.several(w.graph.Nodes[w.nodeOf(*r.Made)].Holds, at)
	}) {
		return false
	}
	last, within := words[len(words)-1], false
	for _, line := range lines {
		s := w.stand[line]
		if s == nil {
			continue
		}
		own := larder.Words(s.was.Name)
		if len(own) > 0 && own[len(own)-1] == last {
			return false
		}
		if m, known := w.l.Index().At(words, 0, true); known && len(m.Food.ID) > 0 && m.Food.ID == s.was.FoodID() {
			return false // "the bulgur", of bulgur wheat
		}
		within = within || slices.Contains(own, last)
	}
	return within
}

// ofPart is what a part of the dish is called now whose name a noun says; empty where none is.
func (w *writer) ofPart(name string) string {
	for i := range w.dish.Components {
		was := strings.ToLower(w.dish.Components[i].Name)
		if before, ok := strings.CutSuffix(strings.ToLower(name), was); ok && was != "" && (before == "" || strings.HasSuffix(before, " ")) {
			if animals := w.c.reader.Animals(was, nil); len(animals) > 0 && calledWith(strings.Fields(was), w.standsOf(i, animals[0].Animal)) {
				return "" // "stir the onion through the chicken", and not through what it is cooked with as well
			}
			return put(name[:len(before)], lowered(w.c.heading(w.plan, i))) // "a thin layer of meat sauce"
		}
	}
	return ""
}

// put puts a name behind words, which may say its first word already: "8 thin" and "thin pancakes".
func put(before, name string) string {
	said := strings.Fields(before)
	if first, rest, ok := strings.Cut(name, " "); ok && len(said) > 0 && strings.EqualFold(said[len(said)-1], first) {
		return before + rest
	}
	return before + name
}

// alsoListed tells whether a name is that of something plant that stands in one line with what was
// replaced: the coriander of "soured cream and coriander, to serve".
func (p *plan) alsoListed(name string, lines []int) bool {
	words := larder.Words(name)
	if len(lines) != 1 || len(words) == 0 || p.stand[lines[0]] == nil {
		return false
	}
	l, last := p.line(lines[0]), words[len(words)-1]
	main := p.l.Food(l.FoodID())
	return main != nil && !slices.Contains(larder.Words(main.Name), last) && slices.ContainsFunc(l.Also, func(a recipe.Alternative) bool {
		f := p.l.Food(a.Food)
		return f != nil && f.Origin != larder.FromAnimal && slices.Contains(larder.Words(a.Name), last)
	})
}

// alsoGone tells whether what a name means stood in one line with something else and is left out, as the house rules have
// it: the bread of "brown bread and butter, to serve", where no grain is eaten.
func (p *plan) alsoGone(name string, lines []int) bool {
	if len(lines) != 1 || name == "" {
		return false
	}
	l, last := p.line(lines[0]), larder.Singular(endWord(name))
	main := p.l.Food(l.FoodID())
	k := slices.IndexFunc(l.Also, func(a recipe.Alternative) bool { return slices.Contains(larder.Words(a.Name), last) })
	if k < 0 || main == nil || slices.Contains(larder.Words(main.Name), last) {
		return false
	}
	at := p.graph.Lines[lines[0]]
	ref := recipe.LineRef(at.Component, at.Line)
	return slices.ContainsFunc(p.a.Components[at.Component].Lines, func(now swap.Line) bool {
		if now.From == nil || *now.From != ref {
			return false
		}
		dropped := now.Change == swap.Dropped && now.Food == nil && now.Name == l.Also[k].Name
		kept := now.Change == swap.Adjusted && now.FoodID() == l.FoodID() && !slices.ContainsFunc(now.Also, func(a recipe.Alternative) bool { return a.Food == l.Also[k].Food })
		return dropped || kept
	})
}

// calledBy tells whether a name ends in a word of that of a line that was replaced.
func (p *plan) calledBy(name string, line int) bool {
	words, s := larder.Words(name), p.stand[line]
	if s == nil || len(words) == 0 {
		return false
	}
	own, last := larder.Words(s.was.Name), words[len(words)-1]
	return slices.Contains(own, last) && !(s.class == extract && own[len(own)-1] != last) // "the fish" is no fish sauce
}

// ownName tells whether a name is that of a line that was replaced.
func (p *plan) ownName(name string, lines []int) bool {
	words := larder.Words(name)
	return slices.ContainsFunc(lines, func(line int) bool {
		s := p.stand[line]
		if s == nil || len(words) == 0 {
			return false
		}
		own := larder.Words(s.was.Name)
		last := words[len(words)-1]
		if s.class == larder.Egg && p.l.Language().EggParts[larder.Singular(last)] > 0 {
			return true // "the whites"
		}
		return slices.Contains(own, last) && !(p.l.Language().Products[last] && len(own) > 1)
	})
}

// fatOfNoName tells whether words speak of a fat by its look, and name none that is bought: "red oil", but not
// "olive oil".
func (w *writer) fatOfNoName(words []string) bool {
	if len(words) < 2 {
		return false
	}
	m, ok := w.l.Index().At(words, 0, true)
	return !ok || m.End < len(words)
}

// groupOfName tells whether a name of several is that in which the names of its lines end, and something stands for one
// of them whose name does not: "the sauces", of fish sauce and soy sauce.
func (p *plan) groupOfName(name string, lines []int) bool {
	words := larder.Words(name)
	if len(words) == 0 || len(lines) < 2 {
		return false
	}
	head := words[len(words)-1]
	ends := func(other string) bool {
		own := larder.Words(other)
		return len(own) > 0 && larder.Singular(own[len(own)-1]) == larder.Singular(head)
	}
	return slices.ContainsFunc(lines, func(line int) bool {
		s := p.stand[line]
		return s != nil && !s.gone && ends(s.was.Name) && !ends(s.name)
	})
}

// besideName tells whether words name a food that stands in one line with what is
// replaced, and stays.
func (p *plan) besideName(name string, lines []int) bool {
	said := larder.Words(name)
	if len(said) > 1 && p.l.Language().Writing.DoneWith[said[0]] != "" {
		said = said[1:] // "buttered rye bread"
	}
	if len(said) == 0 {
		return false
	}
	m, ok := p.l.Index().At(said, 0, true)
	return ok && slices.ContainsFunc(lines, func(line int) bool {
		l := p.line(line)
		return p.stand[line] != nil && l.FoodID() != m.Food.ID && slices.ContainsFunc(l.Also, func(o recipe.Alternative) bool {
			if !p.stays(line, o.Food) {
				return false
			}
			words := larder.Words(o.Name)
			return o.Food == m.Food.ID || larder.Singular(words[len(words)-1]) == larder.Singular(said[len(said)-1])
		})
	})
}
