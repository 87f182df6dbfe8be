package recipe

import (
	"slices"
	"strings"
	"unicode"

	"yembra/core/larder"
)

func isOneOf(text string, heads []string) bool {
	t := strings.ToLower(strings.Trim(text, " :.*#_-–—="))
	if _, second, ok := strings.Cut(t, " / "); ok && isOneOf(second, heads) {
		return true // said in two languages
	}
	for _, h := range heads {
		rest, ok := strings.CutPrefix(t, h)
		rest = strings.TrimPrefix(rest, ",") // "You will need, for five"
		if ok && (rest == "" || rest[0] == ':' || strings.HasPrefix(rest, " (") || (strings.HasPrefix(rest, " for ") || strings.HasPrefix(rest, " to ")) && len(t) < 60) {
			return true
		}
	}
	return false
}

// labelled tells whether a text opens with a heading and a colon and goes on
// behind it: "Ingredients: 500 g cod; 8 limes".
func (l *layout) labelled(text string, heads []string) bool {
	label, rest, ok := strings.Cut(text, ":")
	label = strings.ToLower(strings.TrimSpace(label))
	if !ok || strings.TrimSpace(rest) == "" || l.reader.lines().Times[label] {
		return false // "Prep: 20 mins" gives times
	}
	for _, h := range heads {
		if label == h {
			return true
		}
	}
	return false
}

// givesTimes tells whether a text says how long something takes: "Prep: 20 minutes".
func (l *layout) givesTimes(text string) bool {
	label, rest, ok := strings.Cut(text, ":")
	_, numbered := firstNumber(rest)
	return ok && numbered && l.reader.lines().Times[strings.ToLower(strings.TrimSpace(label))]
}

// partName reads the part out of "Ingredients for the topping".
func partName(text string) string {
	lower := strings.ToLower(text)
	if i := strings.Index(lower, " for the "); i > 0 {
		return larder.Capital(strings.Trim(text[i+len(" for the "):], " :.*"))
	}
	if i := strings.Index(lower, " to "); i > 0 {
		return larder.Capital(strings.Trim(text[i+1:], " :.*"))
	}
	return ""
}

// partHeading tells whether a block names a part of the dish.
func (l *layout) partHeading(b block) bool {
	text := strings.TrimRight(b.text, ": ")
	lower := strings.ToLower(text)
	if len(text) > 60 || text == "" {
		return false
	}
	if b.leads {
		return true
	}
	if b.heading {
		_, hasNumber := firstNumber(text)
		return !hasNumber || strings.HasPrefix(lower, "for ")
	}
	if l.opensPart(text) || l.forWork(text) {
		return len(strings.Fields(text)) <= 7 && !strings.Contains(text, ".")
	}
	if capitalName(b) && (b.blank || l.capitals) {
		return true // "DOUGH", though dough is a food as well
	}
	return inCapitals(text) && !b.bullet && !l.ingredientLike(b)
}

// forWork tells whether a few words say what the lines under them are for and nothing else: "To serve",
// "to cook and serve", "To finish the dish".
func (l *layout) forWork(text string) bool {
	lang := l.reader.larder.Language()
	words := larder.Words(text)
	if len(words) < 2 || len(words) > mostForWork || !lang.Purpose[words[0]] || !lang.IsVerb(words[1]) || slices.Contains(l.reader.lines().ToTaste, strings.Join(words, " ")) {
		return false
	}
	return !slices.ContainsFunc(words[2:], func(w string) bool {
		return !lang.IsVerb(w) && !lang.Conjunctions[w] && !lang.Articles[w] && !lang.Serves[w] && !lang.Pronouns[w]
	})
}

// mostForWork is of how many words such a name is at most.
const mostForWork = 5

// inCapitals tells whether a text of some length is all in capitals.
func inCapitals(text string) bool {
	return text == strings.ToUpper(text) && strings.ContainsFunc(text, unicode.IsUpper) && len(text) > 2
}

// capitalName tells whether a block is a few words in capitals, as names of parts
// are set.
func capitalName(b block) bool {
	text := strings.TrimRight(b.text, ": ")
	_, numbered := firstNumber(text)
	return inCapitals(text) && !b.bullet && !b.numbered && !numbered && len(strings.Fields(text)) <= 4
}

// setInCapitals tells whether a recipe sets the names of its parts in capitals:
// several are, the title apart, and most of the rest is not.
func setInCapitals(blocks []block) bool {
	names, others := 0, 0
	for i, b := range blocks {
		switch {
		case i == 0:
		case capitalName(b):
			names++
		case !inCapitals(b.text):
			others++
		}
	}
	return names > 1 && others > names
}

// partTitle is the name of a part without what opens it: "Sauce" of "For the sauce".
func (l *layout) partTitle(text string) string {
	t := strings.Trim(text, " :*#_-–—=")
	lower := strings.ToLower(t)
	for _, p := range l.heads.PartOf {
		if strings.HasPrefix(lower, p+" ") {
			t = t[len(p)+1:]
			break
		}
	}
	if t == strings.ToUpper(t) {
		t = strings.ToLower(t)
	}
	return larder.Capital(strings.TrimSpace(t))
}

// leads tells whether a block reads as the name of the part listed below it: a
// few words without an amount, set off by a blank line, right above an amount.
func (l *layout) leads(b, next block) bool {
	if (l.mode == listing || l.mode == before && !b.blank && len(l.waiting) > 0) && (l.calledProduct(b.text) && (b.blank || !l.bottled(b.text)) || l.setOff(b)) && !b.bullet && !b.numbered && (l.quantityFirst(next.text) || b.blank && l.measureFirst(next.text)) && !l.methodLike(next) {
		return true
	}
	if b.text == "" || !b.blank && (l.mode != listing || l.known(b.text)) || next.blank && l.mode != listing || b.bullet || b.numbered || len(strings.Fields(b.text)) > 5 || strings.ContainsAny(b.text, ",.;") {
		return false
	}
	if _, hasNumber := firstNumber(b.text); hasNumber || !unicode.IsUpper([]rune(b.text)[0]) {
		return false
	}
	return (l.quantityFirst(next.text) || l.partOfSome(next.text)) && !l.methodLike(next)
}

// measureFirst tells whether a line opens with a measure without a figure: "large bunch mint".
func (l *layout) measureFirst(text string) bool {
	lang, words := l.reader.larder.Language(), larder.Words(text)
	for len(words) > 1 && (lang.Articles[words[0]] || lang.Qualifiers[words[0]]) {
		words = words[1:]
	}
	return len(words) > 1 && lang.Measures[words[0]] && l.known(text)
}

// partOfSome tells whether a line gives its amount behind what it takes of something: "juice of 2
// lemons".
func (l *layout) partOfSome(text string) bool {
	words := strings.Fields(larder.Fold(text))
	if len(words) > 1 && l.reader.larder.Language().Articles[words[0]] && l.reader.larder.Language().Parts[words[1]] {
		words = words[1:] // "the juice of half a lemon"
	}
	_, numbered := firstNumber(text)
	numbered = numbered || len(words) > 2 && l.line(text).Amount != nil // "juice of half a lemon"
	return numbered && len(words) > 2 && l.reader.larder.Language().Parts[words[0]] && l.known(text)
}

// setOff tells whether a block stands under a blank line in a list of which each line so far gives
// an amount, as a name of what is made without a capital does: "peanut sauce".
func (l *layout) setOff(b block) bool {
	if !b.blank || l.current == nil || len(l.current.Lines) == 0 || !l.endsInProduct(b.text) {
		return false
	}
	for _, s := range l.source.Sections {
		if slices.ContainsFunc(s.Lines, func(line string) bool { return !l.quantityFirst(line) }) {
			return false
		}
	}
	return true
}

// calledProduct tells whether a few words, the first in a capital, end in what
// methods call their own makings: "Gravy", "Yoghurt sauce".
func (l *layout) calledProduct(text string) bool {
	return l.endsInProduct(text) && unicode.IsUpper([]rune(text)[0])
}

// bottled tells whether a text is the whole name of a sauce that is bought: "Worcestershire sauce" among the
// lines of a list is one of them.
func (l *layout) bottled(text string) bool {
	words := larder.Words(strings.TrimRight(text, ": "))
	found := l.reader.match.name(words, false)
	return found.food != nil && found.start == 0 && found.end == len(words) && found.food.Tagged(larder.Bottled)
}

func (l *layout) endsInProduct(text string) bool {
	words := strings.Fields(strings.TrimRight(text, ": "))
	if len(words) == 0 || len(words) > 3 || strings.ContainsAny(text, ",.;") {
		return false
	}
	_, hasNumber := firstNumber(text)
	return !hasNumber && l.reader.larder.Language().Products[larder.Fold(words[len(words)-1])]
}

// listsFood tells whether a name is followed by amounts of food, so that it is no method that begins there: "To cook: 3 tbsp oil".
func (l *layout) listsFood(text string) bool {
	_, rest, ok := strings.Cut(text, ":")
	rest = strings.TrimSpace(rest)
	if !ok || !l.quantityFirst(rest) {
		return false
	}
	items := l.commaItems(strings.TrimRight(rest, "."))
	return len(items) > 0 && !slices.ContainsFunc(items, func(item string) bool { return !l.isFood(item) })
}
