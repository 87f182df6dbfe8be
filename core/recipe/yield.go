package recipe

import (
	"cmp"
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
)

// yields are patterns of how recipes say for how many they are, put together from the words
// of a language.
type yields struct {
	line, people, start, anywhere, after, cut, alone, numbers, title, told *regexp.Regexp
	words                                                                  *language.Lines
}

func yieldsIn(words *language.Lines) yields {
	number := `\d+|` + language.Alternation(words.Figures.WholeNumbers())
	opens, for_ := language.Alternation(words.OpensYield), language.Alternation(words.ForPeople)
	eaters, upto := language.Alternation(words.Eaters), language.Alternation(words.Figures.Upto)
	pattern := func(format string, args ...any) *regexp.Regexp {
		return regexp.MustCompile("(?i)" + fmt.Sprintf(format, args...))
	}
	return yields{
		line:     pattern(`\b(?:%s|^(?:%s))\b[^\d]{0,14}?\b(%s)\b`, language.Alternation(words.Yields), for_, number),
		people:   pattern(`^(?:%s) (?:%s)\b`, for_, number),
		start:    pattern(`^(?:%s)\b`, opens),
		anywhere: pattern(`\b(?:%s)\b.*\d`, opens),
		after:    pattern(`^\W*(\d+)\s*(?:-|–|%s)?\s*(\d+)?\s*(?:%s)\b`, upto, eaters),
		cut:      pattern(`^\W*(?:%s) (?:(?:%s) )?(?:%s)\W*$`, number, language.Alternation(words.SizeWords()), language.Alternation(words.CutInto)),
		alone:    pattern(`^\W*(?:%s)\W+(?:%s)(?:\s*(?:-|–|%s)\s*\d+)?\W*$`, language.Alternation(words.AloneYield), number, upto),
		numbers:  pattern(`\b(\d+(?:\.\d+)?|%s)(?:\s*(?:-|–|%s)\s*(\d+))?`, language.Alternation(words.Figures.WholeNumbers()), upto),
		title:    pattern(`[\s,–—-]+(?:(?:%s|%s) (%s)(?: (?:%s))?|(%s) (?:%s))\s*$`, for_, language.Alternation(words.EndsYield), number, eaters, number, eaters),
		told:     pattern(`\b(?:%s) (%s)(?: (?:\p{L}+ )?(?:%s)\b|[^\s\p{L}\d]*$)`, for_, number, eaters),
		words:    words,
	}
}

// says tells whether words behind a title say no more than for how many it is: "makes about 30",
// "8 pieces".
func (y *yields) says(text string) bool {
	return y.start.MatchString(text) || y.people.MatchString(text) || y.cut.MatchString(text)
}

// serves takes a line that says for how many the dish is.
func (l *layout) serves(b block) bool {
	y := &l.reader.yields
	if row := strings.Split(b.text, "|"); len(row) > 1 && l.mode == before {
		// "Time: 3 hours | For six"
		for _, cell := range row {
			if l.serves(block{text: strings.TrimSpace(cell)}) {
				return true
			}
		}
		return false
	}
	if len(b.text) > 60 || b.bullet && !y.start.MatchString(b.text) || b.numbered && l.mode == method || l.mode == after {
		return false
	}
	if l.mode == before && b.heading && strings.HasSuffix(b.text, ":") && y.people.MatchString(b.text) && !strings.ContainsAny(b.text, ",.;") {
		l.source.Yield = cmp.Or(l.source.Yield, strings.TrimSuffix(b.text, ":")) // "for four hungry students:"
		return true
	}
	if !l.countsTitle(b) && !y.after.MatchString(b.text) && !y.alone.MatchString(b.text) && !(l.mode == before && y.cut.MatchString(b.text)) && !(y.line.MatchString(b.text) && (l.mode != method || l.onlyYield(b)) && !l.opensPart(b.text)) {
		return false
	}
	if l.amongLines(b) || l.opensList(b) || l.portionsOf(b.text) {
		return false // "4 buns", among the things to buy
	}
	if first, rest, _ := strings.Cut(strings.ToLower(b.text), " "); y.words.ForPeople[first] && !y.onlyFor(rest) {
		return false
	}
	if l.source.Yield == "" {
		l.source.Yield = b.text
	}
	return true
}

// countsTitle tells whether a paragraph under the title says no more than how many it makes of what the title calls the
// dish: "about 8 waffles", of "Sunday waffles".
func (l *layout) countsTitle(b block) bool {
	words := larder.Words(b.text)
	if !b.alone || l.mode != before || len(l.waiting) != 1 || l.source.Yield != "" {
		return false
	}
	for len(words) > 1 && l.reader.lines().Hedges[words[0]] {
		words = words[1:]
	}
	if n, _ := firstNumber(b.text); len(words) < 2 || len(words) > mostYield || n <= 0 || !l.quantityFirst(b.text) {
		return false
	}
	called := slices.ContainsFunc(larder.Words(l.waiting[0].text), func(w string) bool { return larder.Singular(w) == larder.Singular(words[len(words)-1]) })
	line := l.line(b.text)
	return called && line.Counted()
}

// amongLines tells whether a block is a food behind others of a list.
func (l *layout) amongLines(b block) bool {
	behind := l.mode == listing && len(l.current.Lines) > 0
	if n := len(l.waiting); l.mode == before && n > 0 && !b.blank {
		behind = l.quantityFirst(l.waiting[n-1].text) && l.line(l.waiting[n-1].text).Food != nil
	}
	return behind && l.quantityFirst(b.text) && l.line(b.text).Food != nil
}

// opensList tells whether a block is a food with more of a list right below it: "4 crumpets" above "2 eggs".
func (l *layout) opensList(b block) bool {
	food := func(text string) bool { return l.quantityFirst(text) && l.line(text).Food != nil }
	return b.blank && l.mode == before && b.next != "" && food(b.text) && food(b.next)
}

// portionsOf tells whether a text is of so many portions of a food to buy: "2 portions frozen udon".
func (l *layout) portionsOf(text string) bool {
	at := l.reader.yields.after.FindStringIndex(text)
	return at != nil && strings.TrimSpace(text[at[1]:]) != "" && l.line(text).Food != nil
}

// opensPart tells whether a text opens as the name of a part does: "For the sauce".
func (l *layout) opensPart(text string) bool {
	lower := strings.ToLower(text)
	for _, head := range l.reader.lines().PartHeads {
		if strings.HasPrefix(lower, head+" ") {
			return true
		}
	}
	return false
}

// onlyYield tells whether a block below the method gives no more than for how many the
// dish is: "Makes 6".
func (l *layout) onlyYield(b block) bool {
	return l.reader.yields.start.MatchString(b.text) && len(strings.Fields(b.text)) <= mostYield && l.source.Yield == "" && l.steps > 0
}

// mostYield is of how many words such a block is at most: "Serves 4 to 6".
const mostYield = 4

// yieldInSteps finds for how many a dish is where only the last sentence of a step says it:
// "Cut into squares. Serves 8-10."
func (l *layout) yieldInSteps() string {
	for i := len(l.source.Sections) - 1; i >= 0; i-- {
		steps := l.source.Sections[i].Steps
		for k := len(steps) - 1; k >= 0; k-- {
			text := strings.TrimRight(steps[k], " .!")
			if at := strings.LastIndexAny(text, ".!"); at >= 0 && l.reader.yields.alone.MatchString(text[at+1:]) {
				return strings.TrimSpace(text[at+1:])
			}
		}
	}
	return ""
}

// yieldTold finds for how many a dish is where only what is told of it above the list says it: "A soupy rice for four.",
// "enough for six hungry people".
func (l *layout) yieldTold() string {
	for i, w := range l.waiting {
		if m := l.reader.yields.told.FindStringSubmatch(w.text); m != nil && i > 0 {
			return m[1]
		}
	}
	return ""
}

// onlyFor tells whether what stands behind "for" is for how many and nothing else: "4",
// "six people".
func (y *yields) onlyFor(rest string) bool {
	fields := strings.FieldsFunc(rest, func(r rune) bool { return strings.ContainsRune(" .:-–0123456789", r) })
	for i, w := range fields {
		if f := y.words.Figures; f.Numbers[w] == 0 && !f.Upto[w] && !y.words.EatersOnly[w] && !(y.words.Eaters[w] && i == len(fields)-1) {
			return false
		}
	}
	return true
}

// titleOf is a name without its yield: "Stroganoff for 4", "Carbonara — 4 portions".
func (l *layout) titleOf(text string) string {
	return l.reader.yields.title.ReplaceAllString(text, "")
}

// serves is for how many a dish is by what it says of that.
func (y *yields) serves(text string) *measure.Span {
	if at := y.anywhere.FindStringIndex(text); at != nil {
		text = text[at[0]:] // "Cook: 90 min | Serves: 6"
	}
	m := y.numbers.FindStringSubmatch(text)
	if m == nil {
		return nil
	}
	low, err := strconv.ParseFloat(m[1], 64)
	if err != nil {
		low = y.words.Figures.Numbers[strings.ToLower(m[1])]
	}
	if low <= 0 || low > mostServed {
		return nil
	}
	high := low
	if h, err := strconv.ParseFloat(m[2], 64); err == nil && h > low {
		high = h
	}
	return &measure.Span{Low: low, High: high}
}

// mostServed is for how many a recipe can be at most.
const mostServed = 500
