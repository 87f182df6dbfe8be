package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// product names what was made: by the words of the text where no animal is in
// them, else by what stands for it.
func (w *writer) product(noun recipe.Noun, lines []int, at int, kept []named) ([]named, bool) {
	name := w.slice(noun.Name, noun.Upto)
	if head := w.beforeOwner(noun); head < noun.Upto {
		return w.ofOwner(noun, head, lines, at, kept)
	}
	if w.cutNoMore(noun) {
		return w.listedOrAll(lines, at), true // "lay the slices on a dish"
	}
	if come := w.comesInstead(noun, lines, at); come != nil {
		return []named{w.c.stand(come, 1, false)}, true
	}
	if len(w.animalWords(name)) == 0 && !w.fleshly(name) && !w.ownName(name, lines) {
		return w.byOtherName(noun, lines, at, kept)
	}
	if heading := w.ofPart(name); heading != "" {
		return []named{{text: w.slice(noun.From, noun.Name) + heading, plural: noun.Plural}}, true // "the lentil mince sauce"
	}
	if shape := w.shapedAs(noun); shape != "" {
		return []named{{text: w.beforeShape(noun) + shape, plural: noun.Plural}}, true
	}
	if other := w.renamedNow(noun, name, lines); other != nil {
		return other, true
	}
	if rest := w.withoutAnimal(name, lines); rest != "" && w.isLiquor(rest) && !w.lost(noun) && w.l.Language().Liquors[strings.ToLower(rest)] {
		return []named{{text: w.slice(noun.From, noun.Name) + rest, plural: noun.Plural}}, true // "the broth" of what stands for the clams
	}
	if w.isLiquor(name) && w.fromPlate(&w.graph.Nodes[at]) {
		return nil, true // "any juices from the board"
	}
	if w.isLiquor(name) {
		if poured := w.poured(lines, at); len(poured) > 0 {
			return poured, true // "the wine" of "the mussel juices"
		}
		if text, ok := w.otherLiquor(at, w.meansGone(noun.Refs), w.saidMass(w.slice(noun.From, noun.Upto))); ok {
			return []named{{text: text}}, true
		}
	}
	if rest := w.withoutAnimal(name, lines); rest != "" {
		return []named{{text: w.beforeProduct(noun, rest) + rest, plural: noun.Plural}}, true // "the sauce"
	}
	lines = w.ofBody(name, lines, at)
	if w.groupOf(name, lines, at) {
		return []named{{text: w.slice(noun.From, noun.Name) + w.c.words().Mixture}}, true // "a quarter of the cheese", of two that were mixed
	}
	if own := slices.DeleteFunc(slices.Clone(lines), func(line int) bool { return !w.calledBy(name, line) }); len(own) == 1 && (noun.Rest || w.mostly(own[0], lines, name)) {
		lines = own // "the yoghurt", into which garlic was beaten
	}
	if last := larder.Words(name); len(last) > 0 && w.several(lines, at) && (w.l.Language().Products[last[len(last)-1]] || w.l.Language().ProductHolds[last[len(last)-1]] != nil) {
		return []named{{text: w.slice(noun.From, noun.Name) + w.mixtureOf(name)}}, true // "half of the cream", of all that was beaten
	}
	if part := w.eggPart(noun, lines, at); part != nil {
		return part, true
	}
	return w.inPieces(noun, w.inState(noun, lines, at, w.muchOf(noun, w.listedOrAll(lines, at)))), true
}

// byOtherName is what goes by a name that holds no animal: what stands for a liquid by work that is not done, "the strained stock",
// for flesh under another word, "the cutlets" of pork chops, else the name itself.
func (w *writer) byOtherName(noun recipe.Noun, lines []int, at int, kept []named) ([]named, bool) {
	for _, line := range lines {
		if s := w.stand[line]; s != nil && s.enters == at && w.strainedGone(noun, s) {
			return w.named([]*standIn{s}), true
		}
	}
	if w.otherNameOf(noun, lines) {
		return w.listedOrAll(lines, at), true
	}
	return kept, false
}

// beforeProduct is what stands before what is left of a name: an article where that has none, "fill with beef mixture".
func (w *writer) beforeProduct(noun recipe.Noun, rest string) string {
	before := w.slice(noun.From, noun.Name)
	if w.l.Language().Products[strings.ToLower(rest)] && strings.TrimSpace(before) == "" && !noun.Plural && !w.listedBehind(noun) {
		return w.c.words().The + " "
	}
	return before
}

// listedBehind tells whether a noun stands behind others that it is listed with: "the onion and bacon mixture".
func (w *writer) listedBehind(noun recipe.Noun) bool {
	before := strings.Fields(string(w.text[:min(noun.From, len(w.text))]))
	return len(before) > 0 && (strings.HasSuffix(before[len(before)-1], ",") || w.l.Language().Conjunctions[strings.ToLower(before[len(before)-1])])
}

// muchOf says how much is meant of a single thing that stands in, where the text says so: by its
// measure where there is as much, else by its share.
func (w *writer) muchOf(noun recipe.Noun, things []named) []named {
	if len(things) != 1 || things[0].stand == nil || things[0].stand.bare || !noun.Measured && !noun.Rest || len(noun.Refs) != 1 || noun.Refs[0].Share >= nearlyAll {
		return things
	}
	s := things[0].stand
	if noun.Rest {
		return []named{w.c.stand(s, noun.Refs[0].Share, true)}
	}
	if measure := w.ownMeasure(noun); measure != "" && !w.fewOfOne(noun, s) && (noun.Dealt || w.asMuch(s, measure)) {
		things[0].text = w.measureOf(measure, w.c.words().The+" "+s.name)
		return things
	}
	return []named{w.c.stand(s, noun.Refs[0].Share, false)}
}

// withoutAnimal takes the words of an animal off the front of a name: "sauce" of
// "meat sauce"; empty where nothing is left of it.
func (w *writer) withoutAnimal(name string, lines []int) string {
	words := strings.Fields(name)
	for len(words) > 1 {
		words = words[1:]
		rest := strings.Join(words, " ")
		if w.l.Language().Prepositions[strings.ToLower(words[0])] != "" {
			return "" // "pigs in blankets"
		}
		if len(w.animalWords(rest)) == 0 && !w.fleshly(rest) && !w.ownName(rest, lines) {
			if w.anotherFood(rest, lines) {
				return ""
			}
			return rest
		}
	}
	return ""
}

// stays tells whether a food that stood in one line with another is still listed.
func (p *plan) stays(line int, food string) bool {
	at := p.graph.Lines[line]
	return slices.ContainsFunc(p.a.Components[at.Component].Lines, func(l swap.Line) bool {
		return l.Change == swap.Adjusted && l.FoodID() == food && l.From != nil && *l.From == recipe.LineRef(at.Component, at.Line)
	})
}

// listedOrAll names the stand-ins among lines that are there, or everything.
func (w *writer) listedOrAll(lines []int, at int) []named {
	var out []named
	for _, line := range lines {
		if s := w.stand[line]; s != nil && w.there(line, at) && !w.thrownAway(line, at) && !s.Dissolves && !w.c.fatLine(s.was) {
			if t := w.c.stand(s, 1, false); !slices.ContainsFunc(out, func(o named) bool { return o.text == t.text }) {
				out = append(out, t) // what stands for several is named once
			}
		}
	}
	if len(out) > 0 && len(out) <= mostNamed {
		return out
	}
	out = nil
	for _, line := range lines {
		if !w.there(line, at) {
			continue
		}
		if t, ok := w.ofLine(line, 1); ok {
			out = append(out, t)
		}
	}
	if len(out) > mostNamed {
		return []named{{text: w.c.words().Everything}}
	}
	return out
}

// onlySaid says what becomes of matter that only the words name: animal matter
// gives way to what the table of small uses has for it, what only a body gives
// goes with the body.
func (w *writer) onlySaid(n *node, p recipe.Phrase, name string, kept []named) ([]named, bool) {
	at := w.nodeOf(n.Action.ID)
	lang := w.l.Language()
	words := larder.Words(name)
	last := strings.Join(words[max(len(words)-1, 0):], "")
	table := n.Technique.Closes == larder.ClosesTable && p.Role == "with" && (lang.Fats[last] || len(words) > 1) // "eat with butter", "with whipped cream", besides what is in it
	if t, ok := w.listedAs(last, at); ok && !table && !((n.Technique.Family == "coat" || n.Technique.Heat != "" && n.Technique.Family != "wet heat") && lang.Fats[last] && t.stand != nil && !w.fries(t.stand.node)) {
		t.text = w.asMuchOf(p, name, kept, t.text)
		return []named{t}, true // "keep the ghee"
	}
	s := w.fleshBefore(at)
	if lang.Fats[last] && s != nil {
		if things, changed, said := w.fatOfGone(n, p, name, kept); said {
			return things, changed
		}
	}
	if w.isLiquor(name) && (!w.l.Language().Loose[last] || len(w.animalWords(name)) > 0) {
		measured := w.measured(p, name)
		if text, ok := w.otherLiquor(at, false, w.saidMass(measured+" "+name)); ok {
			return []named{{text: measured + text}}, true
		}
	}
	if w.isLiquor(name) && len(w.animalWords(name)) > 0 && s != nil && !w.cookingGone(at) {
		return []named{{text: w.c.words().The + " " + last}}, true // "the clam liquor", in which something else was cooked
	}
	if w.fleshly(name) && (w.ofPlants(n, w.slice(p.From, p.Upto)) || w.hollowed(at) || s != nil && w.juiceOfPan(n, p, name)) {
		return kept, false // "boil the potatoes in their skins"
	}
	if w.fleshly(name) && (s != nil || p.Role == "from" && w.worksOnFlesh(n)) {
		if poured := w.poured(w.namedBefore(at), at); p.Role == "to" && n.Technique.Family == "wet heat" && len(poured) > 0 {
			return poured, true // "boil down the juices", of what was poured round it
		}
		return nil, true
	}
	if p.Role == "to" && s != nil && w.outOfBody(n) {
		return nil, true // "the marrow", knocked out of the bones
	}
	animals := w.animalWords(name)
	if len(animals) == 0 && len(p.Nouns) == 1 {
		animals = w.animalWords(w.slice(p.Nouns[0].From, p.Upto))
	}
	if len(animals) == 0 {
		return kept, false
	}
	if beside := n.Technique.Closes == larder.ClosesTable && p.Role == "with" && len(words) == 1; len(kept) == 1 && !beside { // "serve with raita", which the dish does not make
		if other := w.c.renamed(kept[0].text); other != kept[0].text && len(w.animalWords(other)) == 0 {
			return []named{{text: other, plural: kept[0].plural}}, true // "make 8 thin pancakes in this way"
		}
	}
	u := w.l.SmallUseFor(n.Technique, w.kindOf(name), animals[0].Animal, w.foodIDOf(name))
	if u == nil || w.small == nil {
		return nil, true
	}
	text, ok := w.small(u, n.Action)
	if !ok {
		return nil, true
	}
	w.saysOil(n, p, last)
	return []named{{text: w.afterWords(n.Action, p, name, text)}}, true
}

// stockKind and fatKind are the kinds of what stands for the liquid that an animal was
// cooked in, and for the fat it gave.
const (
	stockKind = "stock"
	fatKind   = "fat"
)

// fryTechnique is the work that a fat in a pan is for.
const fryTechnique = "fry"

// measured is how much of a thing the text says, in its own words: "a ladle of ".
func (w *writer) measured(p recipe.Phrase, name string) string {
	for _, n := range p.Nouns {
		if len(n.Refs) == 1 && n.Refs[0].Named != nil && *n.Refs[0].Named == name && n.Measured {
			words := w.slice(n.From, n.Name)
			the := w.c.words().The + " "
			return strings.TrimSuffix(words, the)
		}
	}
	return ""
}

// measuredOff puts a measure before a thing, which keeps its article behind "of": "a little oil", "a splash of
// the oil".
func (w *writer) measuredOff(measured, thing string) string {
	words := strings.Fields(measured)
	if w.l.Language().Prepositions[strings.ToLower(words[len(words)-1])] != "of" {
		thing = strings.TrimPrefix(thing, w.c.words().The+" ")
	}
	return measured + thing
}

// otherFat names the fat that is in the pan in place of what an animal gave: one
// that came along or was used there before, or none by name.
func (w *writer) otherFat(n *node, at int, kept []named) ([]named, bool) {
	if along := w.deeds[at].along; len(along) > 0 {
		for k, line := range along {
			if t, ok := w.ofLine(line, 1); ok && w.fries(line) {
				w.deeds[at].along = slices.Delete(slices.Clone(along), k, k+1)
				return []named{t}, true
			}
		}
	}
	for k := at - 1; k >= 0; k-- {
		if w.deeds[k].drop || w.graph.Nodes[k].At.Component != n.At.Component {
			continue
		}
		for _, line := range slices.Concat(w.graph.Nodes[k].With, w.graph.Nodes[k].To) {
			if t, ok := w.ofLine(line, 1); ok && w.fries(line) && w.there(line, at) {
				return []named{t}, true
			}
		}
	}
	t := n.Technique
	if t.Heat == "" {
		t = w.l.Technique(fryTechnique) // it goes in to fry others
	}
	if u := w.l.SmallUseFor(t, fatKind, ""); u != nil && w.small != nil {
		if text, ok := w.small(u, n.Action); ok {
			return []named{{text: text}}, true
		}
	}
	return nil, true
}
