package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/recipe"
)

// namedPart counts for more than any number of lines: "for the marinade".
const namedPart = 1000

// goingOn is what it counts that a step begins with what is in hand: as much as a line that it names.
const goingOn = 2

// farthestFor is within how many words a step must say for which part it is.
const farthestFor = 8

// placeSteps gives steps that stand under no heading to the part whose lines
// they name most, or else to the part of the step before.
func (r *Reader) placeSteps(src recipe.Source, d *recipe.Dish) recipe.Source {
	loose := slices.IndexFunc(src.Sections, func(s recipe.Section) bool { return s.Name == "" && len(s.Lines) == 0 && len(s.Steps) > 0 })
	at := slices.IndexFunc(src.Sections, func(s recipe.Section) bool { return len(s.Lines) > 0 })
	if loose < 0 || at < 0 {
		return src
	}
	sections := slices.Clone(src.Sections)
	used := make([]map[int]bool, len(sections))
	steps, order, from := inOrder(&src.Sections[loose], sections)
	for k, text := range steps {
		before := at
		at = r.belongs(text, sections, d, loose, at, used)
		s := &sections[at]
		if k > 0 && at == before && from[k] == from[k-1] {
			s.Steps[len(s.Steps)-1] += " " + text
			continue
		}
		s.Steps = append(slices.Clone(s.Steps), text)
		if k < len(order) {
			s.Order = append(slices.Clone(s.Order), order[k])
		}
	}
	src.Sections = slices.Delete(sections, loose, loose+1)
	d.Components = slices.Delete(d.Components, loose, loose+1)
	return src
}

// inOrder are the loose steps of a method with their order, and of which paragraph each was: where there are fewer paragraphs than
// parts, as when all is told in one, sentence by sentence, since a paragraph then goes through several parts.
func inOrder(loose *recipe.Section, sections []recipe.Section) (steps []string, order, from []int) {
	parts, apart := 0, true
	for i := range sections {
		if len(sections[i].Lines) > 0 {
			parts++
			apart = apart && len(sections[i].Steps) == 0
		}
	}
	for k, text := range loose.Steps {
		said := []string{text}
		if apart && len(loose.Steps) < parts {
			if all := sentencesOf(text); len(all) <= mostSentences {
				said = all
			}
		}
		for range said {
			from = append(from, k)
		}
		steps = append(steps, said...)
	}
	if order = loose.Order; len(order) > 0 && len(steps) > len(loose.Steps) {
		order = make([]int, len(steps))
		for k := range order {
			order[k] = k + 1
		}
	}
	return steps, order, from
}

// mostSentences is how many sentences a paragraph has at most of which each is asked for its part; a method has some dozens.
const mostSentences = 200

// sentencesOf parts a text where one sentence ends and the next begins with a capital.
func sentencesOf(text string) []string {
	var out []string
	begin, words := 0, lex.Scan(text)
	for i := 1; i+1 < len(words); i++ {
		next := words[i+1]
		if words[i].Is(".") && !next.Glued && next.Kind == lex.Word && next.Text != strings.ToLower(next.Text) {
			out, begin = append(out, text[begin:words[i].End]), next.Start
		}
	}
	return append(out, text[begin:])
}

// belongs chooses the part that a loose step is about; last is where the step
// before went, used are the lines of each part that steps before it took: of two parts of which a step names as many lines, it is
// about that of which more are fresh.
func (r *Reader) belongs(text string, sections []recipe.Section, d *recipe.Dish, loose, last int, used []map[int]bool) int {
	best, at, mostFresh := 0, last, 0
	takes := make([][]int, len(sections))
	together := r.namedTogether(text, d, used)
	for i := range sections {
		if i == loose {
			continue
		}
		alone := recipe.Dish{Terse: d.Terse, Components: []recipe.Component{{Lines: d.Components[i].Lines, Steps: []recipe.Step{{Text: text}}}}}
		r.read(&alone, nil)
		takes[i] = r.named(text, &alone.Components[0])
		fresh := len(slices.DeleteFunc(slices.Clone(takes[i]), func(line int) bool { return used[i][line] }))
		n := 2*len(takes[i]) + together[i]
		if r.isFor(text, sections[i].Name) || r.isForLast(text, sections, i) {
			n += namedPart
		}
		if i == last && r.goesOn(&alone.Components[0].Steps[0]) {
			n += goingOn
		}
		if n == 0 && r.speaksOf(text, sections[i].Name) {
			n = 1
		}
		if n > best || n == best && n > 0 && (fresh > mostFresh || fresh == mostFresh && i == last) {
			best, at, mostFresh = n, i, fresh
		}
	}
	for _, line := range takes[at] {
		if used[at] == nil {
			used[at] = map[int]bool{}
		}
		used[at][line] = true
	}
	return at
}

// goesOn tells whether a step begins with an order that names nothing it is done to, and so goes on with what is in hand:
// "shape into flat cakes".
func (r *Reader) goesOn(step *recipe.Step) bool {
	if len(step.Actions) == 0 {
		return false
	}
	a := &step.Actions[0]
	t := r.larder.Technique(a.Technique)
	return t != nil && t.Needs == "object" && len(a.Words.Phrases) == 0 && len(a.To) == 0
}

// namedTogether counts for each part the lines that a step takes where it may choose among
// those of all: "the whites" are the egg whites of one and no yolks of another. Of a food that several parts have, it is that of a
// part which no step before took, where there is one.
func (r *Reader) namedTogether(text string, d *recipe.Dish, used []map[int]bool) []int {
	var part []int
	var taken []bool
	one := recipe.Component{Steps: []recipe.Step{{Text: text}}}
	for i := range d.Components {
		for k, l := range d.Components[i].Lines {
			one.Lines, part, taken = append(one.Lines, l), append(part, i), append(taken, used[i][k])
		}
	}
	all := recipe.Dish{Terse: d.Terse, Components: []recipe.Component{one}}
	r.read(&all, nil)
	count := make([]int, len(d.Components))
	for _, at := range r.named(text, &all.Components[0]) {
		for k := range one.Lines {
			if food := one.Lines[at].FoodID(); taken[at] && !taken[k] && food != "" && food == one.Lines[k].FoodID() {
				at = k
			}
		}
		count[part[at]]++
	}
	return count
}

// named are the lines of a part that a step takes by a word of their own, or by that of a
// group they are of: "the pieces" are those of what is in hand, and no sign of a part.
func (r *Reader) named(text string, c *recipe.Component) []int {
	said, animals, group := map[string]bool{}, map[larder.Animal]bool{}, false
	for _, w := range larder.Words(text) {
		said[w] = true
		group = group || r.lang.Groups[w] != nil || r.lang.Ingredients[w]
		animals[r.larder.Words().AnimalWords[w]] = true
	}
	var out []int
	for _, at := range c.Steps[0].Lines {
		if of := c.Lines[at].Animal; group || of != "" && animals[of] || slices.ContainsFunc(larder.Words(c.Lines[at].Text), func(w string) bool { return said[w] && !r.lang.Articles[w] && r.lang.Prepositions[w] == "" }) {
			out = append(out, at)
		}
	}
	return out
}

// speaksOf tells whether a step names what a part is called by: "the dough". Where it works on everything, no part is what it is
// about: "arrange everything on a platter, pour over the sauce".
func (r *Reader) speaksOf(text, part string) bool {
	want, said := larder.Words(part), larder.Words(text)
	for i := 1; len(want) > 0 && i < len(said) && !r.lang.Whole[said[i-1]]; i++ {
		if said[i] == want[len(want)-1] && r.lang.Articles[said[i-1]] {
			return true
		}
	}
	return false
}

// isForLast tells whether a step says for which part it is by the last word of the name of that, where no other ends so: "the
// sauce", of a garlic sauce.
func (r *Reader) isForLast(text string, sections []recipe.Section, i int) bool {
	ends := func(part string) string {
		words := larder.Words(part)
		if len(words) == 0 {
			return ""
		}
		return words[len(words)-1]
	}
	last := ends(sections[i].Name)
	return r.lang.Products[last] && !slices.ContainsFunc(sections, func(s recipe.Section) bool { return s.Name != sections[i].Name && ends(s.Name) == last }) && r.isFor(text, last)
}

// isFor tells whether a step says for which part it is: "for the sauce", "the
// filling ingredients".
func (r *Reader) isFor(text, part string) bool {
	want, said := larder.Words(part), larder.Words(text)
	if len(want) == 0 {
		return false
	}
	if label, _, ok := strings.Cut(text, ":"); ok && slices.Equal(larder.Words(label), want) {
		return true // "Curd: whisk everything in a bowl"
	}
	opening, _, _ := strings.Cut(text, ". ")
	first := len(larder.Words(opening))
	for i := range said {
		if i+len(want) > len(said) || !slices.Equal(said[i:i+len(want)], want) {
			continue
		}
		if after := i + len(want); (i <= farthestFor || i < first) && after < len(said) && r.lang.Ingredients[said[after]] {
			return true // "squeeze the water out of the grated onion, then mix all the kofta ingredients"
		}
		if i >= 2 && (i <= farthestFor || i > 2 && r.lang.Ingredients[said[i-3]]) && r.lang.Prepositions[said[i-2]] == "for" && r.lang.Articles[said[i-1]] {
			return true
		}
	}
	return false
}
