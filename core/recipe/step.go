package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// Step reads one paragraph of the method against the lines of its component.
func (r *Reader) Step(text string, lines []Line) Step {
	text = strings.TrimSpace(text)
	tokens := lex(text)
	step := Step{Text: text, Techniques: []string{}, Lines: []int{}, Animals: []Animal{}, Cue: Cue(text)}
	step.Minutes = minutes(tokens)
	step.Celsius = celsius(tokens)
	step.Techniques, step.HandsOn = r.techniques(tokens)
	sp := stepNames{reader: r, tokens: tokens, lines: lines}
	sp.read()
	if sp.used != nil {
		step.Lines = sp.used
	}
	if sp.animals != nil {
		step.Animals = sp.animals
	}
	return step
}

// techniques lists the techniques named, in order of first mention.
func (r *Reader) techniques(tokens []token) (names []string, hands bool) {
	names = []string{}
	vocab := r.larder.Words().Techniques
	for i := 0; i < len(tokens); i++ {
		if tokens[i].kind != wordToken {
			continue
		}
		phrase := ""
		var hit *larder.Technique
		for n := 0; n < 6 && i+n < len(tokens) && tokens[i+n].kind == wordToken; n++ {
			if n > 0 {
				phrase += " "
			}
			phrase += larder.Fold(tokens[i+n].text)
			if t, ok := vocab[phrase]; ok {
				hit = &t
			}
		}
		if hit == nil || strings.HasSuffix(strings.ToLower(tokens[i].text), "ing") && i+1 < len(tokens) && vessels[strings.ToLower(tokens[i+1].text)] {
			continue
		}
		hands = hands || hit.HandsOn
		if !slices.Contains(names, hit.Name) {
			names = append(names, hit.Name)
		}
	}
	return names, hands
}

// vessels after a word in -ing make it a thing: "baking dish", "frying pan".
var vessels = map[string]bool{
	"dish": true, "dishes": true, "tray": true, "trays": true, "sheet": true, "sheets": true, "pan": true, "pans": true, "tin": true, "tins": true,
	"paper": true, "parchment": true, "powder": true, "soda": true, "stone": true, "bowl": true, "bowls": true, "pin": true, "rack": true, "board": true,
	"plate": true, "plates": true, "liquid": true, "juices": true, "platter": true, "spoon": true, "water": true, "stock": true, "oil": true, "bag": true,
	"temperature": true, "point": true, "time": true, "times": true, "cup": true, "basket": true, "mat": true, "foil": true, "machine": true,
}

var timeUnits = map[string]float64{
	"minute": 1, "minutes": 1, "min": 1, "mins": 1, "m": 1, "hour": 60, "hours": 60, "hr": 60, "hrs": 60, "h": 60,
	"second": 1.0 / 60, "seconds": 1.0 / 60, "sec": 1.0 / 60, "secs": 1.0 / 60, "day": 1440, "days": 1440,
}

// overnight is how long "overnight" is taken to be, in minutes.
const overnight = 480

// minutes sums the times that a step names, leaving out "every 5 minutes" and
// times said a second way in brackets.
func minutes(tokens []token) *measure.Span {
	var total measure.Span
	found := false
	depth := 0
	add := func(s measure.Span) {
		total.Low += s.Low
		total.High += s.High
		found = true
	}
	for i := 0; i < len(tokens); i++ {
		t := tokens[i]
		switch {
		case t.is("("):
			depth++
			continue
		case t.is(")"):
			depth = max(0, depth-1)
			continue
		}
		if t.kind == wordToken && strings.EqualFold(t.text, "overnight") {
			if !found || total.High < overnight {
				add(measure.Exactly(overnight))
			}
			continue
		}
		c := &cursor{tokens: tokens, at: i}
		s, ok := c.span()
		if !ok {
			continue
		}
		if c.peek(0).is("-") {
			c.at++
		}
		c.skipWords("of", "an", "a", "further", "more", "another", "full", "extra", "additional", "good")
		unit, ok := timeUnits[strings.ToLower(c.peek(0).text)]
		if !ok || c.peek(0).kind != wordToken {
			continue
		}
		c.at++
		s = s.Times(unit)
		if unit == 60 {
			c.restOfHour(&s)
		}
		skip := i > 0 && (wordAt(tokens, i-1, "every", "each", "per") || wordAt(tokens, i-1, "or", "to") && i > 1 && false)
		if !skip && !(depth > 0 && found) {
			add(s)
		}
		i = c.at - 1
	}
	if !found {
		return nil
	}
	return &total
}

// restOfHour reads "and a half" and "30 minutes" after whole hours.
func (c *cursor) restOfHour(s *measure.Span) {
	start := c.at
	c.skipWords("and")
	if c.wordIs(0, "a") && c.wordIs(1, "half", "quarter") {
		add := 30.0
		if c.wordIs(1, "quarter") {
			add = 15
		}
		c.at += 2
		s.Low, s.High = s.Low+add, s.High+add
		return
	}
	if more, ok := c.span(); ok {
		if unit, ok := timeUnits[strings.ToLower(c.peek(0).text)]; ok && unit == 1 {
			c.at++
			s.Low, s.High = s.Low+more.Low, s.High+more.High
			return
		}
	}
	c.at = start
}

func wordAt(tokens []token, i int, words ...string) bool {
	c := cursor{tokens: tokens, at: i}
	return i >= 0 && c.wordIs(0, words...)
}

// celsius finds the first temperature, turning Fahrenheit, gas marks and fan
// settings into conventional Celsius. A Celsius figure is preferred.
func celsius(tokens []token) *float64 {
	var fallback *float64
	var fan *float64
	for i, t := range tokens {
		if t.kind == numberToken {
			scale, n := degreeMark(tokens, i+1)
			switch {
			case scale == 'c' && t.value >= 30:
				v := t.value
				if isFan(tokens, i, n) {
					if fan == nil {
						fan = &v
					}
					continue
				}
				return &v
			case scale == 'f' && fallback == nil && t.value >= 90:
				v := roundTo(measure.CelsiusFromFahrenheit(t.value), 5)
				if t.value < 212 {
					v = roundTo(measure.CelsiusFromFahrenheit(t.value), 1)
				}
				fallback = &v
			case scale == 'd' && fallback == nil && t.value >= 100:
				v := t.value // "180 degrees": above 260 it can only be Fahrenheit
				if v > 260 {
					v = roundTo(measure.CelsiusFromFahrenheit(v), 5)
				}
				fallback = &v
			}
		}
		if wordAt(tokens, i, "gas") {
			j := i + 1
			if wordAt(tokens, j, "mark") {
				j++
			}
			if j < len(tokens) && tokens[j].kind == numberToken && fallback == nil {
				if v, ok := measure.CelsiusFromGasMark(tokens[j].value); ok {
					fallback = &v
				}
			}
		}
	}
	if fan != nil {
		v := *fan + measure.FanOffset
		return &v
	}
	return fallback
}

func roundTo(v, step float64) float64 { return float64(int(v/step+0.5)) * step }

// degreeMark reads what follows a number: 'c', 'f', 'd' for bare degrees or 0;
// n is the index after it.
func degreeMark(tokens []token, i int) (scale rune, n int) {
	bare := false
	for i < len(tokens) && (tokens[i].is("°") || tokens[i].is("º") || tokens[i].is("-") || wordAt(tokens, i, "degrees", "degree", "deg")) {
		if !tokens[i].is("-") {
			bare = true
		} else if i+1 < len(tokens) && tokens[i+1].kind == numberToken {
			return degreeMark(tokens, i+2) // "180-200 C"
		}
		i++
	}
	switch {
	case wordAt(tokens, i, "c", "celsius", "centigrade"):
		return 'c', i + 1
	case wordAt(tokens, i, "f", "fahrenheit"):
		return 'f', i + 1
	case i < len(tokens) && (tokens[i].is("℃")):
		return 'c', i + 1
	case i < len(tokens) && tokens[i].is("℉"):
		return 'f', i + 1
	case bare:
		return 'd', i
	}
	return 0, i
}

func isFan(tokens []token, i, n int) bool {
	return wordAt(tokens, n, "fan", "convection") || n < len(tokens) && tokens[n].is("(") && wordAt(tokens, n+1, "fan") ||
		wordAt(tokens, i-1, "fan", "convection")
}

// Cue returns the clause that tells when the step is done: "until the onions
// are translucent".
func Cue(text string) string {
	folded := strings.ToLower(text)
	best := -1
	for _, mark := range []string{"until ", "till ", "or until "} {
		if i := strings.Index(folded, mark); i >= 0 && (best < 0 || i < best) && (i == 0 || folded[i-1] == ' ' || folded[i-1] == '(') {
			best = i
		}
	}
	if best < 0 || len(folded) != len(text) {
		return ""
	}
	clause := text[best:]
	if end := strings.IndexAny(clause, ".;!()"); end > 0 {
		clause = clause[:end]
	}
	for _, stop := range []string{", then ", ", stirring", ", about ", ", turning", ", around "} {
		if end := strings.Index(strings.ToLower(clause), stop); end > 0 {
			clause = clause[:end]
		}
	}
	return strings.TrimRight(strings.TrimPrefix(clause, "or "), ", ")
}

// stepNames finds the lines and the animal matter that a step names.
type stepNames struct {
	reader  *Reader
	tokens  []token
	lines   []Line
	used    []int
	animals []Animal
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

// stop stands for a mark between words, so that no name runs across it.
const stop = "\x00"

func (s *stepNames) read() {
	var words []string
	for _, t := range s.tokens {
		if t.kind != wordToken {
			words = append(words, stop)
			continue
		}
		words = append(words, larder.Words(t.text)...)
	}
	x := s.reader.larder.Index()
	vocab := s.reader.larder.Words()
	for i := 0; i < len(words); {
		m, ok := x.At(words, i, true)
		if !ok {
			s.loose(words, i)
			i++
			continue
		}
		s.food(words, m, vocab)
		i = m.End
	}
	s.listed(words)
	slices.Sort(s.used)
	s.used = slices.Compact(s.used)
}

// food notes a food named in the step.
func (s *stepNames) food(words []string, m larder.Match, vocab *larder.Vocabulary) {
	line := s.lineOf(m.Food)
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
	if m.Used == 1 && s.plantLine(word) {
		return
	}
	s.animal(words, m.Start, m.End, strings.Join(words[m.Start:m.End], " "), m.Food.Animal)
}

// loose notes an animal word that no food name took in.
func (s *stepNames) loose(words []string, i int) {
	class, ok := s.reader.larder.Words().AnimalWords[words[i]]
	if ok && !s.plantLine(words[i]) {
		s.animal(words, i, i+1, words[i], class)
	}
}

func (s *stepNames) animal(words []string, start, end int, name string, class larder.Animal) {
	m := matcher{s.reader.larder}
	if end < len(words) && utensils[words[end]] {
		return
	}
	for i := max(0, start-4); i < start; i++ {
		if likeness[words[i]] {
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

// plantLine tells whether the word stands for a listed plant food and for no
// listed animal one: "the milk" where only coconut milk is listed.
func (s *stepNames) plantLine(word string) bool {
	plant := false
	for _, l := range s.lines {
		if !slices.Contains(larder.Words(l.Name), word) {
			continue
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
		at := slices.Index(words, head)
		if at < 0 && len(own) > 1 && s.ownWord(own[0], l) {
			at = slices.Index(words, own[0])
		}
		if at < 0 {
			continue
		}
		s.used = append(s.used, i)
		if l.Origin == larder.FromAnimal && !slices.ContainsFunc(s.animals, func(a Animal) bool { return strings.Contains(a.Name, words[at]) || a.Animal == l.Animal }) && !s.plantLine(words[at]) && words[at] == head {
			s.animals = append(s.animals, Animal{words[at], l.Animal})
		}
	}
}
