package recipe

import (
	"slices"
	"strings"
)

// beforeRecipe waits for the list to begin: two lines in a row that look like
// ingredients, or one under a part heading.
func (l *layout) beforeRecipe(b block) {
	l.waiting = append(l.waiting, b)
	n := len(l.waiting)
	if prev := l.waiting[max(n-2, 0)]; n < 2 || !l.listLike(b) || !l.listLike(prev) || !l.ingredientLike(b) && (b.blank || !l.ingredientLike(prev)) || b.blank && !l.ingredientLike(prev) {
		return
	}
	if b.blank && !l.quantityFirst(l.waiting[n-2].text) {
		return // a title that is a food's name, then the first ingredient
	}
	if n == 2 && !l.amounts(l.waiting) {
		return // a title that is a food's name, then a place that is one too
	}
	first := n - 2
	for first > 0 && !l.waiting[first].blank && (l.listLike(l.waiting[first-1]) || first > 1 && l.countsFood(l.waiting[first-1])) {
		first--
	}
	for k := first - 1; k >= 0 && !l.waiting[k+1].blank; k-- {
		if w := l.waiting[k]; l.quantityFirst(w.text) && l.ingredientLike(w) || k > 0 && l.listedBare(w) {
			first = k // with what no one knows in between; "pastry for a double crust" is one of them
		}
	}
	if first == 0 && l.titles(l.waiting) {
		first = 1
	}
	l.begin(l.reachBack(first))
}

// listedBare tells whether a block that gives no amount names something to buy all the same.
func (l *layout) listedBare(b block) bool {
	return !b.heading && !b.leads && !namesAPart(b) && !strings.ContainsAny(b.text, ":;") && !strings.HasSuffix(b.text, ".") && len(strings.Fields(b.text)) <= mostUnmeasured && l.line(b.text).Food != nil
}

// mostUnmeasured is of how many words a line without an amount is at most.
const mostUnmeasured = 14

// countsFood tells whether a block right above a list names a food with its amount behind it, though
// a remark in it reads as an order: "lamb kidneys 2, cored (leave out if you like)".
func (l *layout) countsFood(b block) bool {
	_, numbered := firstNumber(b.text)
	return numbered && !b.heading && !b.leads && len(strings.Fields(b.text)) <= longestUnknown && l.line(b.text).Food != nil
}

// amounts tells whether any of some blocks gives an amount, or stands in a list.
func (l *layout) amounts(run []block) bool {
	return slices.ContainsFunc(run, func(b block) bool { return b.bullet || b.numbered || l.quantityFirst(b.text) })
}

// titles tells whether the first block of a text is the name of the dish though
// it reads as a food ("Fish pie"): it has no amount, and what follows has.
func (l *layout) titles(run []block) bool {
	b := run[0]
	return len(run) > 1 && !l.quantityFirst(b.text) && !b.bullet && !b.numbered && l.quantityFirst(run[1].text)
}

// begin takes the list to begin at a waiting block, the name of its part above.
func (l *layout) begin(first int) {
	run := l.waiting[first:]
	l.waiting = l.waiting[:first]
	l.mode = listing
	if first > 1 && (l.partHeading(l.waiting[first-1]) || namesAPart(l.waiting[first-1]) && len(run) > 1 && namesAPart(run[1])) {
		l.section(l.partTitle(l.waiting[first-1].text))
		l.waiting = l.waiting[:first-1]
	}
	for _, w := range run {
		w.leads = w.leads || namesAPart(w) && !l.ingredientLike(w)
		l.inListing(w)
	}
}

// reachBack finds parts of a single ingredient each above the run that begins
// at first: amounts with no more between them than the names of parts.
func (l *layout) reachBack(first int) int {
	at := first
	for i := first - 1; i > 0; i-- {
		switch w := l.waiting[i]; {
		case l.quantityFirst(w.text) && (l.ingredientLike(w) || !l.waiting[i+1].blank && l.listLike(w)):
			at = i
		case l.ingredientLike(w) && !l.waiting[i+1].blank:
			// "Sour cream and hot peppers for the table", among others
		case !namesAPart(w):
			return at
		}
	}
	return at
}

// namesAPart tells whether a block is short enough, and without an amount, to
// be the name of a part.
func namesAPart(b block) bool {
	_, hasNumber := firstNumber(b.text)
	return !hasNumber && !b.bullet && !b.numbered && len(strings.Fields(b.text)) <= 5 && !strings.ContainsAny(b.text, ",.;")
}

// behindPart ends a part with the blank line under it: its name stood right above
// its lines, so what is set off from them without a name is the dish itself.
func (l *layout) behindPart(b block) {
	if b.blank && l.close && l.current.Name != "" && len(l.current.Lines) > 0 {
		l.choose("")
	}
	if len(l.current.Lines) == 0 {
		l.close = !b.blank
	}
}

func (l *layout) inListing(b block) {
	switch {
	case l.methodLike(b):
		l.startMethod()
		l.inMethod(b)
	case l.partHeading(b):
		l.section(l.partTitle(b.text))
	default:
		if l.current == nil {
			l.section("")
		}
		l.behindRow()
		l.behindPart(b)
		l.current.Lines = append(l.current.Lines, l.bothParts(b.text)...)
	}
}
