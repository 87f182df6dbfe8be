package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/recipe"
)

// mentions finds the animal matter that a step names, listed or not.
type mentions struct {
	reader  *Reader
	tokens  []lex.Token
	lines   []recipe.Line
	names   [][]string // of the lines, by word
	animals []recipe.Animal
	// named holds, by word, the food of the longer name it is part of; made are
	// the words by which the recipe calls what it has made itself.
	named map[int]string
	made  map[string]bool
}

// Animals finds the animal matter that words name, read against lines if there are
// any, without reading what is done.
func (r *Reader) Animals(text string, lines []recipe.Line) []recipe.Animal {
	m := mentions{reader: r, tokens: lex.Scan(text), lines: lines, names: namesOf(lines), made: map[string]bool{}}
	m.read()
	return m.animals
}

// namesOf splits the names of lines into words.
func namesOf(lines []recipe.Line) [][]string {
	out := make([][]string, len(lines))
	for i := range lines {
		out[i] = larder.Words(lines[i].Name)
	}
	return out
}

// Says tells whether a text says a word, in any of its forms.
func (r *Reader) Says(text, word string) bool { return slices.Contains(larder.Words(text), word) }

// stop stands for a mark between words, so that no name runs across it.
const stop = "\x00"

func (s *mentions) read() {
	words := make([]string, 0, len(s.tokens))
	for i := range s.tokens {
		if s.tokens[i].Kind != lex.Word {
			words = append(words, stop)
			continue
		}
		words = s.tokens[i].Words(words)
	}
	s.named = map[int]string{}
	x := s.reader.larder.Index()
	vocab := s.reader.larder.Words()
	for i := 0; i < len(words); {
		if s.whites(words, i) {
			i++
			continue
		}
		m, ok := x.At(words, i, true)
		if (!ok || m.Used == 1) && s.made[words[i]] {
			i++
			continue
		}
		if !ok || s.runsOn(words, m) {
			s.loose(words, i)
			i++
			continue
		}
		s.food(words, m, vocab)
		for at := m.Start; m.Used > 1 && at < m.End; at++ {
			s.named[at] = m.Food.ID
		}
		i = m.End
	}
	s.listed(words)
}

// whites notes the parts of a listed egg ("whisk the whites until stiff").
func (s *mentions) whites(words []string, i int) bool {
	part := words[i]
	if s.reader.lang.EggParts[part] == 0 || i == 0 || !s.reader.lang.Articles[words[i-1]] {
		return false
	}
	if m, ok := s.reader.larder.Index().At(words, i, true); ok && m.Used > 1 {
		return false // "the white wine"
	}
	egg := slices.ContainsFunc(s.lines, func(l recipe.Line) bool { return l.Animal == larder.Egg })
	for k, name := range s.names {
		egg = egg && !(slices.Contains(name, part) && s.lines[k].Animal == "")
	}
	if !egg {
		return false
	}
	s.animal(words, i, i+1, part, larder.Egg)
	return true
}

// food notes a food named in the step.
func (s *mentions) food(words []string, m larder.Match, vocab *larder.Vocabulary) {
	line := s.lineOf(m.Food)
	if line < 0 && m.Food.Animal == larder.Egg {
		// The yolks of "4 eggs, separated".
		line = slices.IndexFunc(s.lines, func(l recipe.Line) bool { return l.Animal == larder.Egg && l.FoodID() == "egg" })
	}
	if m.Food.Origin != larder.FromAnimal {
		return
	}
	word := words[m.End-1]
	if m.Used == 1 && vocab.ListOnly[word] && line < 0 {
		return
	}
	if m.Used == 1 && s.plantLine(word) && s.standsFor(words, m.Start) {
		return
	}
	s.animal(words, m.Start, m.End, strings.Join(words[m.Start:m.End], " "), m.Food.Animal)
}

// loose notes an animal word that no food name took in.
func (s *mentions) loose(words []string, i int) {
	class, ok := s.reader.larder.Words().AnimalWords[words[i]]
	if ok && !(s.plantLine(words[i]) && s.standsFor(words, i)) {
		s.animal(words, i, i+1, words[i], class)
	}
}

func (s *mentions) animal(words []string, start, end int, name string, class larder.Animal) {
	if end < len(words) && s.reader.lang.Utensils[words[end]] || s.aTool(words, start) {
		return
	}
	if end-start == 1 && end < len(words) && s.reader.lang.EggParts[words[start]] > 0 && s.reader.larder.Words().AnimalWords[words[start]] == "" && s.reader.lang.Products[words[end]] {
		return // "white sauce", but not "yolk mixture"
	}
	for i := max(0, start-4); i < start; i++ {
		if s.reader.lang.Likeness[words[i]] && !s.reader.lang.Definite[words[i+1]] && !s.ordersWithin(words[i+1:start]) && !(s.reader.lang.Prepositions[words[i]] == "as" && i > 0 && s.reader.lang.Wishing[words[i-1]]) {
			return
		}
		if i >= start-2 && s.reader.Clears(words[i], class) {
			return
		}
	}
	if s.measuredBy(words, start) || s.reader.lang.PlantParts[words[end-1]] && (s.ofPlant(words, end) || s.inHand(words, end-1)) || s.offPlantMilk(words, end) {
		return
	}
	if s.verbHere(words, start, end) || s.goingHere(words, start, end) || s.shapeHere(words, start, end) {
		return // "cream the sugar", "shape the dough into two long sausages"
	}
	if start > 0 {
		if prev, ok := s.plantBefore(words, start); ok && recipe.GivesMilk(prev) && s.reader.larder.Words().PlantHeads[words[end-1]] {
			return
		}
	}
	if class == larder.Meat && s.reader.lang.AnyMeat[words[end-1]] {
		class = s.meatClass()
	}
	for first, rest, more := strings.Cut(name, " "); more && s.reader.lang.Lines.Cut[first]; first, rest, more = strings.Cut(name, " ") {
		name = rest
	}
	if slices.ContainsFunc(s.animals, func(a recipe.Animal) bool { return a.Name == name }) {
		return
	}
	s.animals = append(s.animals, recipe.Animal{Name: name, Animal: class})
}

// verbHere tells whether a word that is animal matter as a noun is the verb of an
// order here: it opens one, and what it works on follows.
func (s *mentions) verbHere(words []string, start, end int) bool {
	lang := s.reader.lang
	if !lang.AnimalVerbs[words[end-1]] || end >= len(words) {
		return false
	}
	opens := start == 0 || words[start-1] == stop || lang.Connectors[words[start-1]] || lang.Conjunctions[words[start-1]]
	if lang.Particles[words[end]] && end+1 < len(words) && opens {
		return lang.Articles[words[end+1]] || lang.Pointing[words[end+1]] // "fish out the bay leaf"
	}
	return opens && (lang.Definite[words[end]] || lang.Adverbs[words[end]] || lang.Until[words[end]])
}

// goingHere tells whether a word that is animal matter as a noun is what something else does here: "when they stop crackling".
func (s *mentions) goingHere(words []string, start, end int) bool {
	return start > 0 && end == start+1 && s.reader.lang.Aspects[words[start-1]] && slices.ContainsFunc(s.reader.lang.Verb(words[start]), func(r language.Reading) bool { return r.Form == language.Going })
}

// shapeHere tells whether a word that is animal matter as a noun is the shape that
// something is given: it stands last behind "into".
func (s *mentions) shapeHere(words []string, start, end int) bool {
	lang := s.reader.lang
	if !lang.Shapes[words[end-1]] || end < len(words) && words[end] != stop && !lang.Conjunctions[words[end]] && lang.Prepositions[words[end]] == "" {
		return false
	}
	for i := start - 1; i >= max(0, start-farthestName) && words[i] != stop; i-- {
		if lang.Becoming[words[i]] || lang.Purpose[words[i]] && lang.Articles[words[i+1]] {
			return true // "into two sausages", "to a thick cream"
		}
	}
	return false
}

func (s *mentions) plantBefore(words []string, i int) (*larder.Food, bool) {
	m, ok := s.reader.larder.Index().At(words, i-1, true)
	return m.Food, ok && m.End == i
}

// meatClass is what "the meat" means in this dish: poultry when the list has
// no other.
func (s *mentions) meatClass() larder.Animal {
	class := larder.Meat
	for _, l := range s.lines {
		switch l.Animal {
		case larder.Meat:
			return larder.Meat
		case larder.Poultry:
			class = larder.Poultry
		}
	}
	return class
}

// lineOf finds the line that holds a food, by id.
func (s *mentions) lineOf(f *larder.Food) int {
	return slices.IndexFunc(s.lines, func(l recipe.Line) bool {
		return l.FoodID() == f.ID || slices.ContainsFunc(l.Also, func(a recipe.Alternative) bool { return a.Food == f.ID })
	})
}

// standsFor tells whether a bare animal word may stand for a listed plant food
// that bears it: milk and cream do, other words only where the text points at
// something listed ("the butter", but not "a knob of butter").
func (s *mentions) standsFor(words []string, i int) bool {
	return s.reader.lang.StandIns[words[i]] || i > 0 && s.reader.lang.Definite[words[i-1]]
}

// plantLine tells whether the word stands for a listed plant food and for no
// listed animal one: "the milk" where only coconut milk is listed.
func (s *mentions) plantLine(word string) bool {
	plant := false
	for k := range s.lines {
		l, own := &s.lines[k], s.names[k]
		if len(own) == 0 || own[len(own)-1] != word {
			continue // the word must be the head of the name: not butter in butter beans
		}
		if l.Origin == larder.FromAnimal {
			return false
		}
		plant = plant || l.Origin == larder.FromPlant || l.Origin == larder.FromFungus
	}
	return plant
}

// ownWord tells whether the first word of a line's name stands for the line by
// itself: not a common word, and not the name of another food.
func (s *mentions) ownWord(word string, l *recipe.Line) bool {
	if len(word) < 4 || s.reader.larder.Words().Neutral[word] {
		return false
	}
	m, ok := s.reader.larder.Index().At([]string{word}, 0, true)
	return !ok || m.Food.ID == l.FoodID()
}

// find returns where a word of the line's name stands by itself, not inside
// the name of another food; -1 when nowhere.
func (s *mentions) find(words []string, word string, l *recipe.Line) int {
	for i, w := range words {
		if id := s.named[i]; w == word && (id == "" || id == l.FoodID()) && !s.made[w] {
			return i
		}
	}
	return -1
}

// listed finds animal matter known only through lines that a text names by the last word of their own name: "the stock", "the whites".
func (s *mentions) listed(words []string) {
	for k := range s.lines {
		l, own := &s.lines[k], s.names[k]
		if len(own) == 0 || l.Origin != larder.FromAnimal {
			continue
		}
		head := own[len(own)-1]
		for j := len(own) - 1; j > 0 && s.reader.larder.Words().Parts[head]; j-- {
			head = own[j-1]
		}
		at := s.find(words, head, l)
		if at < 0 && len(own) > 1 && s.ownWord(own[0], l) {
			at = s.find(words, own[0], l)
		}
		if at >= 0 && !slices.ContainsFunc(s.animals, func(a recipe.Animal) bool { return strings.Contains(a.Name, words[at]) || a.Animal == l.Animal }) && !s.plantLine(words[at]) && words[at] == head && !s.verbHere(words, at, at+1) {
			s.animals = append(s.animals, recipe.Animal{Name: words[at], Animal: l.Animal})
		}
	}
}
