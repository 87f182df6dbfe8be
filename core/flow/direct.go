package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
)

// direct finds lines by their names.
func (b *bindings) direct(n noun) []referent {
	best, top := []int{}, 0.0
	for i := range b.lines {
		if b.closed(i) {
			continue
		}
		s := b.likeness(n, i)
		if s < leastLikeness {
			continue
		}
		if b.otherWork(i) {
			s -= 0.75
		}
		if b.lines[i].comp == b.comp && len(b.takes) == 0 { // what is prepared for several parts is of all
			s += 0.5
		}
		if b.mixedIn(portion{i, ""}) {
			s -= 0.6 // "heat the oil", of which one has gone into the filling
		}
		if b.saysAmount(n, i) {
			s++ // "the 40 g butter", besides what is for the dish
		}
		if b.onlyVessel != "" && b.tech.Family == "coat" && b.forVessel(i) {
			s += 1.5 // "dust it with sugar", of a dish that the list has sugar for
		}
		switch left := b.leftOf(portion{i, ""}); {
		case left > 0 && left < 1:
			s += 0.3
		case left == 1:
			s += 0.25
		case n.rest:
			s -= 0.5
		}
		switch {
		case s > top, s == top && len(b.takes) == 0 && b.lines[best[0]].comp != b.comp && b.lines[i].comp == b.comp: // of two, the part's own
			best, top = []int{i}, s
		case s == top:
			best = append(best, i)
		}
	}
	if len(best) == 0 {
		return nil
	}
	switch {
	case len(b.takes) > 0: // one thing made for several lines
	case n.all:
		best = b.kin(n, best[0])
	case !n.plural || !n.pointed || !b.sameHead(best):
		best = best[:1]
	}
	var out []referent
	for _, i := range best {
		out = append(out, referent{portion: &portion{i, b.partOf(n, i)}})
	}
	return out
}

// saysAmount tells whether a noun says the very amount of a line.
func (b *bindings) saysAmount(n noun, i int) bool {
	l := b.lines[i].line
	if n.amount[1] == 0 || l.Amount == nil {
		return false
	}
	said := b.r.Line(b.text.slice(n.amount[0], n.amount[1])+" "+l.Name, b.system())
	return said.Amount != nil && said.Amount.Unit == l.Amount.Unit && said.Amount.Low == l.Amount.Low
}

// isOf tells whether a line is of the group that a word names.
func (b *bindings) isOf(l *bound, group string) bool {
	kinds := b.r.lang.Groups[group]
	return l.food != nil && (slices.Contains(kinds, l.food.Kind) || slices.Contains(kinds, string(l.food.Animal)))
}

// closed tells whether the step at hand cannot mean a line: it is for the steps
// that prepare something of it, or they are the only ones it may be for.
func (b *bindings) closed(i int) bool {
	if len(b.takes) > 0 {
		return !slices.Contains(b.takes, b.lines[i].ref)
	}
	return b.kept[b.lines[i].ref]
}

// otherWork tells whether a line says that it is for other work than is at hand:
// "1 egg, beaten, for glazing".
func (b *bindings) otherWork(i int) bool {
	if b.tech == nil {
		return false
	}
	l := &b.lines[i]
	words := larder.Words(l.line.Preparation)
	at := slices.IndexFunc(words, func(w string) bool { return b.r.lang.Prepositions[w] == "for" || b.r.lang.Purpose[w] })
	if at < 0 {
		return false
	}
	other := false
	for _, w := range words[at+1:] {
		orders := b.r.lang.Orders(w)
		if slices.Contains(orders, b.tech.Name) || b.tech.Family == "coat" && slices.ContainsFunc(orders, b.coating) || b.tech.Name == heatTechnique && slices.ContainsFunc(orders, b.inFatWork) {
			return false
		}
		other = other || len(orders) > 0
	}
	return other
}

// coating tells whether a technique puts a coat on something: what is "for glazing" is
// brushed on.
func (b *bindings) coating(name string) bool {
	t := b.r.larder.Technique(name)
	return t != nil && t.Family == "coat"
}

// mixedIn tells whether a fat has gone into something else, so that it cannot be meant by
// itself any more.
func (b *bindings) mixedIn(p portion) bool {
	if !b.fat(p) || b.leftOf(p) > 0 {
		return false
	}
	t := b.held(p)
	return t != nil && !b.holdsFat(t)
}

// forVessel tells whether a line says that it is for the vessel at hand.
func (b *bindings) forVessel(i int) bool {
	words := larder.Words(b.lines[i].line.Preparation)
	at := slices.IndexFunc(words, func(w string) bool { return b.r.lang.Prepositions[w] == "for" })
	return at >= 0 && slices.Contains(words[at+1:], b.onlyVessel)
}

// inFatWork tells whether a technique is done in fat that is heated for it.
func (b *bindings) inFatWork(name string) bool {
	t := b.r.larder.Technique(name)
	return t != nil && t.Medium == "fat"
}

// kin are the lines of a part that a noun means all of, as it names one of them:
// the red onion and the white by "both onions".
func (b *bindings) kin(n noun, line int) []int {
	var out []int
	for i := range b.lines {
		if i == line || b.likeness(n, i) >= leastLikeness && b.sameHead([]int{line, i}) {
			out = append(out, i)
		}
	}
	return out
}

// sameHead tells whether lines bear the same name, so that "the peppers" may be
// both.
func (b *bindings) sameHead(lines []int) bool {
	first := b.lines[lines[0]].name
	return len(first) > 0 && !slices.ContainsFunc(lines[1:], func(i int) bool {
		name := b.lines[i].name
		return len(name) == 0 || name[len(name)-1] != first[len(first)-1] || b.lines[i].comp != b.lines[lines[0]].comp
	})
}

// likeness weighs how well a noun names a line.
func (b *bindings) likeness(n noun, i int) float64 {
	l := &b.lines[i]
	words := n.words
	vocab := b.r.larder.Words()
	shaped := false
	for len(words) > 1 && (vocab.Parts[words[len(words)-1]] || b.r.lang.Parts[words[len(words)-1]] || b.r.lang.Shapes[words[len(words)-1]]) && !slices.Contains(l.name, words[len(words)-1]) {
		shaped = shaped || b.r.lang.Shapes[words[len(words)-1]]
		words = words[:len(words)-1]
	}
	if len(words) == 0 || shaped && b.onlyPart(l) {
		return 0 // "lime slices" are not cut of its juice
	}
	head := words[len(words)-1]
	if _, animal := vocab.AnimalWords[head]; animal && len(words) == 1 && !n.pointed && !b.r.lang.StandIns[head] && (l.line.Origin == larder.FromPlant || l.line.Origin == larder.FromFungus) {
		return 0 // a knob of butter is no peanut butter
	}
	score := 0.0
	if m, ok := b.r.larder.Index().At(words, 0, n.plural || n.one); ok && m.End == len(words) && l.food != nil && m.Food.ID == l.food.ID {
		score = 5
	}
	if len(words) < len(n.words) && l.food != nil {
		if m, ok := b.r.larder.Index().At(n.words, 0, n.plural || n.one); ok && m.End == len(n.words) && m.Food.ID == l.food.ID {
			score = 5.5 // "the lemon zest", beside a lemon
		}
	}
	for _, name := range append([][]string{l.name}, l.also...) {
		at := slices.Index(name, head)
		switch {
		case at < 0:
		case !slices.ContainsFunc(name[at+1:], func(w string) bool { return !vocab.Parts[w] && !b.r.lang.Parts[w] }):
			score = max(score, 4.5)
		case !b.otherFood(name, at, l):
			score = max(score, 3.5)
		}
		if len(name) > 0 && at < 0 && len(head) >= shortestPart && strings.HasSuffix(name[len(name)-1], head) {
			score = max(score, 3.2) // "the sprouts" of beansprouts
		}
	}
	if len(n.words) > 1 && slices.ContainsFunc(l.gloss, func(g []string) bool { return len(g) >= len(n.words) && slices.Equal(g[len(g)-len(n.words):], n.words) }) {
		score = max(score, 4.5) // "the chilli paste", of "nam prik pao (roasted chilli paste)"
	}
	if len(words) == 1 && b.r.lang.Parts[head] && l.said[head] && !slices.Contains(l.name, head) && l.food != nil && l.food.Aisle == "fruit" {
		score = max(score, 3.5)
	}
	if b.r.lang.EggParts[head] > 0 && l.food != nil && l.food.Kind == "egg" && !slices.Contains(l.name, head) {
		score = max(score, 4)
	}
	if score == 0 && l.said[head] && n.pointed && !b.r.lang.Products[head] && l.food != nil && !vocab.Neutral[head] && b.inPreparation(head, l) {
		score = leastLikeness // "cut into chips"
	}
	if score == 0 {
		return 0
	}
	for _, w := range words[:len(words)-1] {
		switch comp := b.componentNamed(w); {
		case comp >= 0 && len(b.dish.Components) > 1 && !slices.Contains(l.name, w):
			if comp == l.comp {
				score += 1.5 // "the filling butter"
			}
		case slices.Contains(l.name, w), l.said[w]:
			score++
		case b.isOf(l, w): // "the fish steaks" of kingfish
		case !vocab.Neutral[w] && !b.describes(w) && !b.r.lang.AdjectiveVerbs[w] && !b.r.lang.HeatWords[w]:
			score -= 2
		}
	}
	return score
}

// onlyPart tells whether a line is a part that a food gives and not the food: the
// juice or the zest of a lime.
func (b *bindings) onlyPart(l *bound) bool {
	return len(l.name) > 1 && b.r.lang.Given[l.name[len(l.name)-1]]
}

// describes tells whether a word only says what was done to a thing: "the seasoned
// chicken".
func (b *bindings) describes(w string) bool {
	return slices.ContainsFunc(b.r.lang.Verb(w), func(r language.Reading) bool { return r.Form == language.Past })
}

// inPreparation tells whether a word says what a line is cut or made into.
func (b *bindings) inPreparation(w string, l *bound) bool {
	return slices.Contains(larder.Words(l.line.Preparation), w)
}

// otherFood tells whether a word inside a line's name would mean another food by
// itself: "butter" in "butter beans".
func (b *bindings) otherFood(name []string, at int, l *bound) bool {
	m, ok := b.r.larder.Index().At(name[at:at+1], 0, true)
	if l.food == nil && l.line.Origin == larder.FromAnimal {
		return false // "the mutton" of a cut that no table knows
	}
	if ok && l.food != nil && b.r.lang.Extracts[l.food.Kind] && m.Food.Animal != "" {
		return true // "the fish" is not its stock
	}
	if ok && l.food != nil && (m.Food.Animal != "" && m.Food.Animal == l.food.Animal || m.Food.Kind != "" && m.Food.Kind == l.food.Kind) {
		return false
	}
	return ok && (l.food == nil || m.Food.ID != l.food.ID) && at < len(name)-1
}

// partOf is the part of a line that a noun names: "yolks", "lemon zest".
func (b *bindings) partOf(n noun, i int) string {
	head := n.head()
	if b.r.lang.EggParts[head] > 0 && !slices.Contains(b.lines[i].name, head) {
		return head
	}
	if (b.r.lang.Parts[head] || b.r.lang.Fleshly[head]) && len(n.words) > 1 && !slices.Contains(b.lines[i].name, head) {
		return head
	}
	return ""
}

// part resolves "the juice of 1 lime", "the meat from the bones".
func (b *bindings) part(n noun) []referent {
	out := b.resolve(*n.owner)
	for i := range out {
		if b.r.lang.Fleshly[n.head()] && b.tech.Family == "cut" && b.tech.Takes == "" {
			continue // "snip the fat of the chops": it stays on them
		}
		if p := out[i].portion; p != nil && p.part == "" && n.owner.amount[1] == 0 && b.r.lang.Parts[n.head()] {
			p.part = n.head()
		}
	}
	return out
}
