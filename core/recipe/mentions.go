package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
)

// stepNames finds the lines and the animal matter that a step names.
type stepNames struct {
	reader  *Reader
	tokens  []lex.Token
	lines   []Line
	used    []int
	animals []Animal
	// named holds, by word, the food of the longer name it is part of.
	named  map[int]string
	before past
}

// utensils after an animal word make it a thing: "fish slice", "egg timer".
var utensils = map[string]bool{
	"slice": true, "pan": true, "dish": true, "kettle": true, "timer": true, "thermometer": true, "knife": true, "hammer": true,
	"mallet": true, "board": true, "tenderiser": true, "tenderizer": true, "fork": true, "whisk": true, "cup": true, "spatula": true,
	"sized": true, "size": true, "grinder": true, "cleaver": true, "cloth": true, "grater": true, "poacher": true, "coloured": true, "colored": true,
}

// verbs are animal words that are also what cooks do.
var verbs = map[string]bool{"cream": true, "mince": true}

// likeness before an animal word means that only its looks are meant.
var likeness = map[string]bool{"like": true, "consistency": true, "thickness": true, "resemble": true, "resembling": true, "size": true, "shape": true, "texture": true}

// wishing words before "like" make it a wish: "if you like, add bacon".
var wishing = map[string]bool{"you": true, "they": true, "would": true, "guest": true, "some": true}

// stop stands for a mark between words, so that no name runs across it.
const stop = "\x00"

func (s *stepNames) read() {
	var words []string
	for _, t := range s.tokens {
		if t.Kind != lex.Word {
			words = append(words, stop)
			continue
		}
		words = append(words, larder.Words(t.Text)...)
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
		if (!ok || m.Used == 1) && s.ownMake(words, i) {
			i++
			continue
		}
		if !ok {
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
	slices.Sort(s.used)
	s.used = slices.Compact(s.used)
}

// whites notes the whites of a listed egg ("whisk the whites until stiff").
func (s *stepNames) whites(words []string, i int) bool {
	if words[i] != "white" || i == 0 || words[i-1] != "the" || i+1 < len(words) && (words[i+1] == "wine" || words[i+1] == "sauce") {
		return false
	}
	egg := slices.IndexFunc(s.lines, func(l Line) bool { return l.Animal == larder.Egg })
	if egg < 0 || slices.ContainsFunc(s.lines, func(l Line) bool { return slices.Contains(larder.Words(l.Name), "white") && l.Animal == "" }) {
		return false
	}
	if own := slices.IndexFunc(s.lines, func(l Line) bool { return l.Animal == larder.Egg && slices.Contains(larder.Words(l.Name), "white") }); own >= 0 {
		egg = own
	}
	s.used = append(s.used, egg)
	s.animal(words, i, i+1, "white", larder.Egg)
	return true
}

// food notes a food named in the step.
func (s *stepNames) food(words []string, m larder.Match, vocab *larder.Vocabulary) {
	line := s.lineOf(m.Food)
	if line < 0 && m.Food.Animal == larder.Egg {
		// The yolks of "4 eggs, separated".
		line = slices.IndexFunc(s.lines, func(l Line) bool { return l.Animal == larder.Egg && l.FoodID() == "egg" })
	}
	if line >= 0 {
		s.used = append(s.used, line)
	}
	if m.Food.Origin != larder.FromAnimal {
		return
	}
	word := words[m.End-1]
	if m.Used == 1 && vocab.ListOnly[word] && line < 0 {
		return
	}
	if m.Used == 1 && s.plantLine(word) && standsFor(words, m.Start) {
		return
	}
	s.animal(words, m.Start, m.End, strings.Join(words[m.Start:m.End], " "), m.Food.Animal)
}

// loose notes an animal word that no food name took in.
func (s *stepNames) loose(words []string, i int) {
	class, ok := s.reader.larder.Words().AnimalWords[words[i]]
	if ok && !(s.plantLine(words[i]) && standsFor(words, i)) {
		s.animal(words, i, i+1, words[i], class)
	}
}

func (s *stepNames) animal(words []string, start, end int, name string, class larder.Animal) {
	m := matcher{s.reader.larder}
	if end < len(words) && utensils[words[end]] {
		return
	}
	for i := max(0, start-4); i < start; i++ {
		if likeness[words[i]] && !(words[i] == "like" && i > 0 && wishing[words[i-1]]) {
			return
		}
		if i >= start-2 && m.clears(words[i], class) {
			return
		}
	}
	if verbs[words[end-1]] && end < len(words) && (words[end] == "the" || words[end] == "together" || words[end] == "until") && (start == 0 || words[start-1] == stop || words[start-1] == "then" || words[start-1] == "and") {
		return // the verb: "cream the sugar", "mince the garlic"
	}
	if start > 0 {
		if prev, ok := s.plantBefore(words, start); ok && givesMilk(prev) && s.reader.larder.Words().PlantHeads[words[end-1]] {
			return
		}
	}
	if class == larder.Meat && (words[end-1] == "meat") {
		class = s.meatClass()
	}
	for first, rest, more := strings.Cut(name, " "); more && cutWords[first]; first, rest, more = strings.Cut(name, " ") {
		name = rest
	}
	if slices.ContainsFunc(s.animals, func(a Animal) bool { return a.Name == name }) {
		return
	}
	s.animals = append(s.animals, Animal{name, class})
}

func (s *stepNames) plantBefore(words []string, i int) (*larder.Food, bool) {
	m, ok := s.reader.larder.Index().At(words, i-1, true)
	return m.Food, ok && m.End == i
}

// meatClass is what "the meat" means in this dish: poultry when the list has
// no other.
func (s *stepNames) meatClass() larder.Animal {
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
func (s *stepNames) lineOf(f *larder.Food) int {
	return slices.IndexFunc(s.lines, func(l Line) bool {
		return l.FoodID() == f.ID || slices.ContainsFunc(l.Also, func(a Alternative) bool { return a.Food == f.ID })
	})
}

// standsFor tells whether a bare animal word may stand for a listed plant food
// that bears it: milk and cream do, other words only where the text points at
// something listed ("the butter", but not "a knob of butter").
func standsFor(words []string, i int) bool {
	if words[i] == "milk" || words[i] == "cream" || words[i] == "yoghurt" {
		return true
	}
	return i > 0 && (words[i-1] == "the" || words[i-1] == "remaining" || words[i-1] == "reserved")
}

// plantLine tells whether the word stands for a listed plant food and for no
// listed animal one: "the milk" where only coconut milk is listed.
func (s *stepNames) plantLine(word string) bool {
	plant := false
	for _, l := range s.lines {
		own := larder.Words(l.Name)
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
func (s *stepNames) ownWord(word string, l Line) bool {
	if len(word) < 4 || s.reader.larder.Words().Neutral[word] {
		return false
	}
	m, ok := s.reader.larder.Index().At([]string{word}, 0, true)
	return !ok || m.Food.ID == l.FoodID()
}

// find returns where a word of the line's name stands by itself, not inside
// the name of another food; -1 when nowhere.
func (s *stepNames) find(words []string, word string, l Line) int {
	for i, w := range words {
		if id := s.named[i]; w == word && (id == "" || id == l.FoodID()) && !madeNow(words, i) && s.before.made[w] == nil {
			return i
		}
	}
	return -1
}

// listed finds lines named by the last word of their own name ("the stock",
// "the whites") and animal matter known only through them.
func (s *stepNames) listed(words []string) {
	for i, l := range s.lines {
		own := larder.Words(l.Name)
		if len(own) == 0 {
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
		if at < 0 {
			continue
		}
		if s.reader.larder.Words().AnimalWords[words[at]] != "" && l.Origin != larder.FromAnimal && !standsFor(words, at) {
			continue // a knob of butter is no peanut butter
		}
		s.used = append(s.used, i)
		if l.Origin == larder.FromAnimal && !slices.ContainsFunc(s.animals, func(a Animal) bool { return strings.Contains(a.Name, words[at]) || a.Animal == l.Animal }) && !s.plantLine(words[at]) && words[at] == head {
			s.animals = append(s.animals, Animal{words[at], l.Animal})
		}
	}
}
