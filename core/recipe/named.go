package recipe

import "strings"

// leastNamed are the lines from which a list has each food before its amount: "Flour: 200 g".
const leastNamed = 3

// namedFirst tells whether a list has the foods before their amounts, behind a colon, so that what stands
// before one there is no name of a part.
func (l *layout) namedFirst(blocks []block) bool {
	named := 0
	for _, b := range blocks {
		if food, amount, ok := strings.Cut(b.text, ":"); ok && l.known(food) && l.quantityFirst(strings.TrimSpace(amount)) && !strings.ContainsAny(amount, ":;") && l.line(strings.TrimSpace(amount)).Food == nil {
			named++
		}
	}
	return named >= leastNamed
}

// namedLines are the lines that a block of such a list holds, each a food with its amount behind a colon:
// "Cardamoms: 6; cloves: 5; cinnamon: 1 stick". It is nil where it is no such block.
func (l *layout) namedLines(text string) []string {
	if !l.named {
		return nil
	}
	var out []string
	for part := range strings.SplitSeq(text, ";") {
		food, amount, ok := strings.Cut(part, ":")
		if !ok || !l.known(food) || !l.quantityFirst(strings.TrimSpace(amount)) {
			return nil
		}
		out = append(out, strings.TrimSpace(part))
	}
	return out
}
