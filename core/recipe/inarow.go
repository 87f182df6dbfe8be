package recipe

import (
	"regexp"
	"slices"
	"strings"
)

// A row is a list from so many items between commas on, and from so many where all are
// foods with their amounts.
const (
	mostlyAmounts = 4
	leastAmounts  = 3
)

// longestRow is how long such a row is at most, in bytes.
const longestRow = 4000

// isRow tells whether items between commas are a list: many, or fewer that are all
// foods with their amounts.
func (l *layout) isRow(items []string) bool {
	return len(items) >= mostlyAmounts || len(items) >= leastAmounts && !slices.ContainsFunc(items, func(item string) bool { return !l.quantityFirst(item) || !l.known(item) })
}

// inARow takes a list apart that is written in one row, its items between
// semicolons, bars or, each with its amount, commas; nil when the text is no such
// list.
func (l *layout) inARow(text string) []string {
	if breaks := strings.Count(text, ",") + strings.Count(text, ";") + l.ands(text); len(text) <= longestRow && breaks+1 >= leastAmounts && l.quantityFirst(text) {
		row, more := text, ""
		if at := nextSentence.FindStringIndex(text); at != nil {
			end := at[0] + strings.IndexAny(text[at[0]:], ".!") + 1
			row, more = text[:end], strings.TrimSpace(text[end:])
		}
		items := l.commaItems(strings.TrimRight(row, "."))
		if l.isRow(items) && (more == "" || !l.methodLike(block{text: more})) {
			if more != "" { // "Sugar and lemon to finish."
				items = append(items, strings.TrimRight(more, "."))
			}
			return items
		}
	}
	if isOneOf(text, l.heads.Ingredients) {
		return l.inSentences(text)
	}
	if items := l.markedItems(text, leastAmounts, "|", ";", " / ", " • ", " · "); items != nil {
		return items
	}
	return l.inSentences(text)
}

// markedItems takes a list apart at one of some marks, where it has so many items and most begin with an amount.
func (l *layout) markedItems(text string, least int, marks ...string) []string {
	for _, mark := range marks {
		items := strings.Split(text, mark)
		if len(items) < least {
			continue
		}
		amounts := 0
		for i := range items {
			items[i] = strings.Trim(items[i], " .")
			if l.quantityFirst(items[i]) {
				amounts++
			}
		}
		if 2*amounts > len(items) {
			return items
		}
	}
	return nil
}

// sentenceEnd is where one item of a list in sentences ends.
var sentenceEnd = regexp.MustCompile(`\.\s+`)

// longestItem is of how many words an item of such a list is at most.
const longestItem = 7

// inSentences takes a list apart whose items are short sentences, the amount before the name or
// behind it: "2 carrots. 1 leek.", "Water, 2.5 l. Beetroot, 3 medium, grated."; nil where it is none.
func (l *layout) inSentences(text string) []string {
	if strings.Count(text, ". ")+1 < mostlyAmounts {
		return nil
	}
	items := sentenceEnd.Split(strings.TrimRight(text, ". "), -1)
	amounts := 0
	if l.reader.yields.says(items[0]) {
		amounts++ // "Serves 6." before it
	}
	for _, item := range items[amounts:] {
		if len(strings.Fields(item)) > longestItem || !l.known(item) && l.imperative(item) {
			return nil
		}
		if _, numbered := firstNumber(item); numbered && (strings.Contains(item, ",") || l.quantityFirst(item)) && l.known(item) {
			amounts++
		}
	}
	if len(items) < mostlyAmounts || 2*amounts <= len(items) {
		return nil
	}
	return items
}

// rowsOfSentences parts a text whose every sentence is a row behind its own name: "You want: 3 eggs, 40 g butter.
// For on top: 2 apples, 1 tbsp butter"; nil where it is none.
func (l *layout) rowsOfSentences(text string) []string {
	rows := sentenceEnd.Split(text, -1)
	if len(rows) < leastRowItems {
		return nil
	}
	for i, row := range rows {
		if i == 0 && l.quantityFirst(row) && l.isRow(l.commaItems(row)) {
			continue // what the others add to
		}
		if name, items := l.labelledRow(row); items == nil || name == "" {
			return nil
		}
	}
	return rows
}

// someOf tells whether an item says of a food that little or some of it goes in, without a figure: "a little
// nutmeg".
func (l *layout) someOf(text string) bool {
	words := strings.Fields(strings.ToLower(text))
	lang := l.reader.larder.Language()
	n := 0
	for n < len(words) && (lang.Articles[words[n]] || lang.Lines.Little[words[n]]) {
		n++
	}
	return n > 0 && n < len(words) && lang.Lines.Little[words[n-1]] && l.foodAlone(strings.Join(words[n:], " "))
}
