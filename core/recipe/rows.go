package recipe

import (
	"regexp"
	"slices"
	"strings"

	"yembra/core/larder"
)

// labelledRow takes a list apart that stands in one row behind its name or
// behind words that announce it: "Filling: 250 g minced beef, 1 onion, grated",
// "You need 3 bananas, 100 g flour and 1 egg". The name is empty where the words
// only announce.
func (l *layout) labelledRow(text string) (name string, items []string) {
	label, rest, ok := strings.Cut(text, ":")
	if at := dashAfter.FindStringIndex(text); at != nil && (!ok || at[1] < len(label)) {
		label, rest, ok = strings.TrimRight(text[:at[1]], " -–—"), text[at[1]:], l.quantityFirst(text[at[1]:]) // "TARE - 60 ml soy sauce, 1 tbsp mirin"
	}
	if at := stopAfter.FindStringIndex(text); at != nil && !ok && l.quantityFirst(text[at[1]:]) {
		label, rest, ok = strings.TrimRight(text[:at[1]], " ."), text[at[1]:], true // "Dough. 400 g rye flour, 1 tsp salt"
	}
	if label = strings.TrimSpace(label); !ok || len(strings.Fields(label)) > mostLabelWords && !l.allAmounts(rest) && !l.reader.yields.people.MatchString(label) && !isOneOf(label, l.heads.Ingredients) || l.quantityFirst(label) && !l.reader.yields.after.MatchString(label) || isOneOf(label, l.heads.Method) && !l.listsFood(text) {
		label, rest, ok = "", "", false
		for _, head := range l.heads.Ingredients {
			if tail, found := strings.CutPrefix(strings.ToLower(text), head+" "); found {
				rest, ok = text[len(text)-len(tail):], true
			}
		}
	}
	if !ok {
		label, rest, ok = l.announced(text)
	}
	if !ok || l.orders(strings.TrimSpace(rest)) {
		return "", nil // "Make the sauce: melt the butter; grate in nutmeg"
	}
	rest = strings.TrimRight(strings.TrimSpace(rest), ".")
	if items = l.markedItems(rest, leastRowItems, "|", " / ", " • ", " · "); items == nil {
		items = l.commaItems(rest)
	}
	if items == nil && (l.opensPart(label) || l.forWork(label)) {
		items = l.namedItems(rest)
	}
	if len(items) == 0 || !slices.ContainsFunc(items, l.isFood) || len(items) < leastRowItems && !l.partOfOne(label, items[0]) {
		return "", nil
	}
	if isOneOf(label, l.heads.Ingredients) {
		_, tail, _ := strings.Cut(label, ",")
		if label = strings.TrimSpace(tail); !l.reader.yields.people.MatchString(label) {
			label = ""
		}
	}
	return label, items
}

// allAmounts tells whether all items of a row are foods with their amounts, so that it is a list however long its name is:
// "shortcrust for a 25 cm tin: 225 g flour, 110 g butter, 1 egg yolk".
func (l *layout) allAmounts(row string) bool {
	items := l.commaItems(strings.TrimRight(strings.TrimSpace(row), "."))
	return len(items) >= leastAmounts && l.isRow(items) && !slices.ContainsFunc(items, func(item string) bool { return !l.quantityFirst(item) || !l.known(item) })
}

// isFood tells whether an item of a row names a food, or begins a part of its own.
func (l *layout) isFood(item string) bool { return strings.HasPrefix(item, partMark) || l.known(item) }

// namedItems takes a row apart that stands behind the name of a part and opens with a food without
// an amount: "To serve: white rice, 500 g spring greens".
func (l *layout) namedItems(row string) []string {
	first, rest, ok := strings.Cut(row, ",")
	if first = strings.TrimSpace(first); !ok || !l.known(first) || strings.Contains(row, ";") {
		return nil
	}
	items := []string{first}
	for part := range strings.SplitSeq(rest, ",") {
		if part = l.behindAnd(part); !l.known(part) && !l.quantityFirst(part) {
			return nil
		}
		items = append(items, part)
	}
	return items
}

// partOfOne tells whether a label and one item are a part of the dish with a single line:
// "Rice: 200 g jasmine rice", but not "Prep: 20 minutes" or "Makes: 12".
func (l *layout) partOfOne(label, item string) bool {
	return label != "" && !l.reader.yields.start.MatchString(label) && !l.serves(block{text: label}) && l.quantityFirst(item) && l.line(item).Food != nil
}

// stopAfter is the full stop behind a name that a list follows.
var stopAfter = regexp.MustCompile(`^\p{L}+(?: \p{L}+){0,3}\. `)

// dashAfter is the dash behind a name that a list follows.
var dashAfter = regexp.MustCompile(`^\S+(?: \S+){0,3} [-–—] `)

// announced finds a list behind words that ask for it within a sentence: "For two
// people you want 300 g potatoes, 2 eggs and 1 tin of tuna". The label is for how many
// it is, where that stands before them.
func (l *layout) announced(text string) (label, rest string, ok bool) {
	lower := strings.ToLower(text)
	for _, head := range l.heads.Announcing {
		at := strings.Index(lower, head+" ")
		if at < 0 || at > farthestHead || at > 0 && lower[at-1] != ' ' {
			continue
		}
		if rest = text[at+len(head)+1:]; l.quantityFirst(rest) {
			if before := strings.Trim(text[:at], " ,"); l.reader.yields.people.MatchString(before) {
				label = before
			}
			return label, rest, true
		}
	}
	return "", "", false
}

// farthestHead is how far into a sentence a list may be announced, in bytes.
const farthestHead = 60

// A label is at most this many words; a row holds at least this many items.
const (
	mostLabelWords = 4
	leastRowItems  = 2
)

// commaItems splits a row at the commas and semicolons before an amount; what has
// none belongs to the item before it ("1 onion, grated"). The last may hang on
// "and".
func (l *layout) commaItems(row string) []string {
	if strings.Contains(row, ";") {
		var items []string
		for part := range strings.SplitSeq(row, ";") {
			if part = l.behindAnd(part); part == "" {
				continue
			}
			if name, inner := l.forPart(part); inner != nil {
				items = append(append(items, partMark+name), inner...)
				continue
			}
			if inner := l.commaItems(part); inner != nil {
				items = append(items, inner...)
			} else {
				items = append(items, part)
			}
		}
		return items
	}
	var items []string
	for part := range strings.SplitSeq(row, ",") {
		part = strings.TrimSpace(part)
		bare := l.behindAnd(part)
		switch {
		case bare == "":
		case len(items) > 0 && strings.Count(items[len(items)-1], "(") > strings.Count(items[len(items)-1], ")"):
			items[len(items)-1] += ", " + part // "a spice mix (cumin, coriander, fennel)"
		case l.quantityFirst(bare), len(items) == 0 && l.line(bare).Amount != nil && l.known(bare): // "juice of 1 lemon"
			items = append(items, bare)
		case len(items) > 0 && (l.saysFor(bare) || l.foodAlone(bare) || l.partOfSome(bare) || l.someOf(bare)):
			items = append(items, bare)
		case len(items) > 0:
			items[len(items)-1] += ", " + part
		default:
			return nil // it opens with something that is no amount
		}
	}
	if n := len(items); n > 0 {
		if left, right, ok := l.cutAtAnd(items[n-1]); ok && l.known(left) && l.known(right) && (l.quantityFirst(left) || l.partOfSome(left) || !l.quantityFirst(right)) {
			items = append(items[:n-1], left, right)
		}
	}
	return items
}

// behindAnd is an item without the word that ties it to the one before.
func (l *layout) behindAnd(item string) string {
	item = strings.TrimSpace(item)
	if first, rest, ok := strings.Cut(item, " "); ok && l.reader.lines().And[first] {
		return strings.TrimSpace(rest)
	}
	return item
}

// cutAtAnd parts an item at the word that ties two.
func (l *layout) cutAtAnd(item string) (left, right string, ok bool) {
	for w := range l.reader.lines().And {
		if left, right, ok = strings.Cut(item, " "+w+" "); ok && bracketsClosed(left) {
			return left, right, true
		}
	}
	return item, "", false
}

// ands counts the words in a text that tie two things.
func (l *layout) ands(text string) (n int) {
	for w := range l.reader.lines().And {
		n += strings.Count(text, " "+w+" ")
	}
	return n
}

// partMark stands before the name of a part among the items of a row.
const partMark = "\x00"

// forPart takes a part apart that a row names within: "for the dressing 1 tbsp vinegar,
// 4 tbsp oil".
func (l *layout) forPart(text string) (name string, items []string) {
	lower := strings.ToLower(text)
	for _, opening := range l.heads.PartOf { // "for the", but not "for frying"
		if !strings.Contains(opening, " ") || !strings.HasPrefix(lower, opening+" ") {
			continue
		}
		rest := text[len(opening)+1:]
		for words := range mostPartWords {
			fields := strings.SplitN(rest, " ", words+2)
			if last := len(fields) - 1; last == words+1 && l.quantityFirst(fields[last]) {
				return strings.TrimRight(strings.Join(fields[:last], " "), ":"), l.commaItems(fields[last])
			}
		}
	}
	return "", nil
}

// mostPartWords is of how many words the name of a part within a row is at most.
const mostPartWords = 2

// rowItems takes in the items of a row, and the parts it names.
func (l *layout) rowItems(items []string) {
	for _, item := range items {
		if name, ok := strings.CutPrefix(item, partMark); ok {
			l.openPart(name)
			continue
		}
		l.block(block{text: item, bullet: true})
	}
}

// saysFor tells whether an item without an amount names a food and what it is
// for: "oil for frying".
func (l *layout) saysFor(text string) bool {
	lang := l.reader.larder.Language()
	words := strings.Fields(strings.ToLower(text))
	for _, w := range words[1:] {
		if lang.Prepositions[w] == "for" || lang.Purpose[w] {
			return l.known(text)
		}
	}
	return false
}

// foodAlone tells whether an item without an amount is a food by its whole name,
// and no word on the one before it: "1 tsp mustard, lemon juice, parsley" but
// "1 onion, grated", "1 chicken, skin on".
func (l *layout) foodAlone(text string) bool {
	line := l.line(text)
	words := larder.Words(text)
	return line.Food != nil && line.Preparation == "" && strings.EqualFold(line.Name, text) &&
		(len(words) > 1 || len(words) == 1 && !l.reader.larder.Language().Parts[words[0]])
}

// openPart begins a part by its name, inside the list or before it.
func (l *layout) openPart(name string) {
	if l.mode == before {
		l.mode = listing
	}
	l.section(l.partTitle(name))
}

// wholePart takes in a part whose list stands in one row with its name; what is
// listed behind it is of the part before.
func (l *layout) wholePart(name string, items []string) {
	l.beginSingle()
	before := slices.IndexFunc(l.source.Sections, func(s Section) bool { return l.current != nil && s.Name == l.current.Name })
	if l.row != nil && l.current == l.row {
		before = l.beforeRow // of several rows, that before the first
	}
	order := ""
	if words := strings.Fields(name); len(words) > 1 && l.opensWithVerb(name) && l.reader.larder.Language().Products[strings.ToLower(words[len(words)-1])] {
		order, name = name, larder.Capital(words[len(words)-1]) // "Grind to a paste: 15 chillies, 6 shallots"
	}
	l.openPart(name)
	l.rowItems(items)
	if order != "" {
		l.steps++
		l.current.Steps, l.current.Order = append(l.current.Steps, order+"."), append(l.current.Order, l.steps)
	}
	l.row, l.beforeRow = l.current, before
}

// behindRow leaves the part of a row for the one before it, or for one without a
// name where there is none.
func (l *layout) behindRow() {
	if l.row == nil || l.current != l.row {
		return
	}
	l.row = nil
	if l.beforeRow < 0 {
		l.section("")
		return
	}
	l.current = &l.source.Sections[l.beforeRow]
}
