package recipe

import (
	"regexp"
	"slices"
	"strings"
	"unicode"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
)

// Layout finds the parts of a recipe in plain text: its name, for how many it
// is, the named parts with their ingredient lines, and the method. Text around
// the recipe (a memoir before, notes after) is left out.
func (r *Reader) Layout(text string) Source {
	l := layout{reader: r, heads: &r.larder.Language().Headings, read: map[string]Line{}}
	blocks := paragraphs(text)
	if len(blocks) > mostBlocks {
		blocks = blocks[:mostBlocks]
		l.source.Cut = true
	}
	l.counted(blocks)
	l.stepsFromTheFirst(blocks)
	l.capitals, l.named = setInCapitals(blocks), l.namedFirst(blocks)
	for i, b := range blocks {
		b.leads = i+1 < len(blocks) && l.leads(b, blocks[i+1])
		l.block(b)
	}
	return l.finish()
}

// mostBlocks is how many paragraphs, list items and headings of a text are
// looked at; a page with a recipe on it has some hundreds.
const mostBlocks = 10_000

// block is one line of the text after unwrapping, with what its look says.
type block struct {
	text     string
	bullet   bool
	numbered bool
	number   int    // its figure, where it is numbered
	step     bool   // it comes before a step in a numbered list
	heading  bool   // marked as one by #, underline, bold or a final colon
	blank    bool   // a blank line stood before it
	alone    bool   // and one behind it
	next     string // the line right below it
	leads    bool   // stands alone above a list, as the name of a part does
}

type mode int

const (
	before mode = iota // nothing of the recipe yet
	listing
	method
	after // notes; nothing counts until the next heading
)

type layout struct {
	reader *Reader
	heads  *language.Headings
	// read are lines that were read to see what they are.
	read    map[string]Line
	source  Source
	mode    mode
	waiting []block // blocks before the first heading, to find the name in
	current *Section
	// row is the part whose list stood in one row just before, beforeRow the part
	// before it, -1 for none.
	row       *Section
	beforeRow int
	// capitals tells that names of parts are set in capitals.
	capitals bool
	// named tells that the list has the foods before their amounts, behind a colon.
	named bool
	// close tells that the lines of a part stand right under its name.
	close bool
	// steps counts the steps found so far.
	steps int
	// methodNamed tells that a heading opened the method.
	methodNamed bool
}

var (
	numberedLine = regexp.MustCompile(`^\(?(?:step\s*)?(\d{1,2})\s*[.):]\s+`)
	stepWord     = regexp.MustCompile(`(?i)^step\s*\d{1,2}\s*[.):\-–]*\s*`)
)

// line reads a text as a line, once.
func (l *layout) line(text string) Line {
	if line, known := l.read[text]; known {
		return line
	}
	line := l.reader.Line(text, measure.US)
	l.read[text] = line
	return line
}

// known tells whether a text names a food or animal matter.
func (l *layout) known(text string) bool {
	line := l.line(text)
	return line.Food != nil || line.Origin != larder.Unknown
}

func (l *layout) section(name string) {
	l.source.Sections = append(l.source.Sections, Section{Name: name})
	l.current = &l.source.Sections[len(l.source.Sections)-1]
}

func (l *layout) block(b block) {
	if b.text == "" {
		return
	}
	if (l.mode == before || l.mode == listing) && !l.labelled(b.text, l.heads.Ingredients) {
		if l.inOneRow(b) {
			return
		}
	}
	switch {
	case isOneOf(b.text, l.heads.Ingredients) && len(b.text) < 70 || l.labelled(b.text, l.heads.Ingredients):
		l.mode = listing
		if name := partName(b.text); name != "" {
			l.section(name)
		}
		l.inline(b, l.heads.Ingredients)
		return
	case isOneOf(b.text, l.heads.Method) && (b.heading || len(b.text) < 24) && !l.givesTimes(b.text) || l.labelled(b.text, l.heads.Method) && !l.listsFood(b.text):
		l.startMethod()
		l.methodNamed = true
		l.inline(b, l.heads.Method)
		return
	case isOneOf(b.text, l.heads.After) && len(b.text) < 40 && (l.mode == method || b.heading):
		if l.mode != before {
			l.mode = after
			return
		}
	}
	if l.mode == before {
		b.text = l.withoutYield(b.text)
	}
	if l.serves(b) {
		alone := len(l.waiting) == 1 && !(l.quantityFirst(l.waiting[0].text) && unicode.IsNumber([]rune(l.waiting[0].text)[0]))
		if l.mode == before && (alone || len(l.waiting) == 2 && !l.amounts(l.waiting) && namesAPart(l.waiting[0]) && namesAPart(l.waiting[1])) {
			l.waiting[0].heading = true // what stands above the servings is the name of the dish
		}
		return
	}
	switch l.mode {
	case before:
		l.beforeRecipe(b)
	case listing:
		l.inListing(b)
	case method:
		l.inMethod(b)
	}
}

// withoutYield takes what says for how many it is off a text that begins otherwise: "Pierogi (makes
// about 30)", "Fishcakes — serves 4".
func (l *layout) withoutYield(text string) string {
	y := &l.reader.yields
	for _, mark := range []string{"(", " — ", " – ", " - ", ". "} {
		title, yield, ok := strings.Cut(text, mark)
		if ok && strings.TrimSpace(title) != "" && !y.start.MatchString(title) && slices.ContainsFunc(strings.Split(yield, ","), y.says) {
			l.source.Yield = strings.TrimSuffix(strings.TrimSpace(yield), ")")
			return strings.TrimSpace(title)
		}
	}
	return text
}

// inOneRow takes in a list that stands in one row, behind its name or without.
func (l *layout) inOneRow(b block) bool {
	if lines := l.namedLines(b.text); len(lines) > 0 {
		if len(lines) == 1 {
			return false
		}
		for _, line := range lines {
			l.block(block{text: line, bullet: b.bullet, blank: b.blank})
		}
		return true
	}
	if rows := l.rowsOfSentences(b.text); rows != nil {
		for _, row := range rows {
			l.block(block{text: row, bullet: b.bullet, blank: b.blank})
		}
		return true
	}
	if name, parts := l.labelledRow(b.text); parts != nil && (!b.numbered || slices.ContainsFunc(parts, l.quantityFirst)) { // no step: "3. Set out plates: flour; beaten egg; crumbs"
		switch {
		case name != "" && (l.serves(block{text: name}) || l.reader.yields.people.MatchString(name) || l.reader.yields.after.MatchString(name)): // "For 4: 500 g beef, 1 onion"
			l.mode = listing
			if l.source.Yield == "" {
				l.source.Yield = name
			}
		case name != "":
			l.wholePart(name, parts)
			return true
		}
		l.rowItems(parts)
		return true
	}
	if parts := l.inARow(b.text); parts != nil {
		for _, p := range parts {
			l.block(block{text: p, bullet: true})
		}
		return true
	}
	return false
}

// inline takes text that stands on the line of its heading ("Method: Boil ...").
func (l *layout) inline(b block, heads []string) {
	_, rest, ok := strings.Cut(b.text, ":")
	if rest = strings.TrimSpace(rest); ok && rest != "" && !isOneOf(rest, heads) {
		l.block(block{text: rest})
	}
}

// startMethod turns to the steps. Where several parts were listed, steps are
// gathered apart until a heading says whose they are.
func (l *layout) startMethod() {
	l.beginSingle()
	l.mode = method
	if len(l.source.Sections) > 1 {
		l.current = nil
	}
}

// beginSingle takes the list to begin with a single line, or with parts of a single
// line each.
func (l *layout) beginSingle() {
	if n := len(l.waiting); l.mode == before && n > 0 && l.quantityFirst(l.waiting[n-1].text) && l.listLike(l.waiting[n-1]) {
		l.begin(l.reachBack(n - 1))
	}
}

func (l *layout) inMethod(b block) {
	if b.heading && len(b.text) < 60 && !b.numbered {
		// A part heading inside the method chooses the part its steps belong to;
		// followed by a list, it opens a new part.
		l.choose(l.partTitle(b.text))
		return
	}
	if l.namesPart(b) {
		l.choose(l.partTitle(b.text))
		return
	}
	if l.current == nil {
		l.section("")
	}
	if (b.bullet || !b.numbered) && !l.methodNamed && l.ingredientLike(b) && l.quantityFirst(b.text) && len(strings.Fields(b.text)) < 12 {
		l.current.Lines = append(l.current.Lines, b.text)
		return
	}
	if b.text != "" {
		target := l.current
		l.steps++
		target.Steps, target.Order = append(target.Steps, b.text), append(target.Order, l.steps)
	}
}

// namesPart tells whether a block in the method is no more than the name of a
// part that was listed.
func (l *layout) namesPart(b block) bool {
	if b.bullet || b.numbered || strings.HasSuffix(b.text, ".") || len(strings.Fields(b.text)) > 6 {
		return false
	}
	name := l.partTitle(b.text)
	for _, s := range l.source.Sections {
		if s.Name != "" && strings.EqualFold(s.Name, name) {
			return true
		}
	}
	return false
}

// choose makes the section of a name current, opening it when there is none.
func (l *layout) choose(name string) {
	for i := range l.source.Sections {
		if strings.EqualFold(l.source.Sections[i].Name, name) {
			l.current = &l.source.Sections[i]
			return
		}
	}
	key := larder.Words(name)
	for i := range l.source.Sections {
		have := larder.Words(l.source.Sections[i].Name)
		if len(have) > 0 && len(key) > 0 && have[len(have)-1] == key[len(key)-1] {
			l.current = &l.source.Sections[i]
			return
		}
	}
	l.section(name)
}
