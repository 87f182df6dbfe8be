package recipe

import (
	"regexp"
	"strconv"
	"strings"
	"unicode"

	"yembra/core/larder"
)

// paragraphs splits text into lines and joins hard-wrapped ones again.
func paragraphs(text string) []block {
	text = strings.ReplaceAll(text, "\r\n", "\n")
	text = strings.ReplaceAll(text, "\r", "\n")
	text = strings.ReplaceAll(text, "\u2028", "\n")
	lines := strings.Split(text, "\n")
	width := wrapWidth(lines)
	var blocks []block
	blank := true
	for i := 0; i < len(lines); i++ {
		raw := strings.TrimRightFunc(lines[i], unicode.IsSpace)
		line := strings.TrimSpace(raw)
		if line == "" {
			blank = true
			continue
		}
		if strings.Trim(line, "=-_*~ ") == "" {
			if len(blocks) > 0 && !blank && (line[0] == '=' || line[0] == '-') {
				blocks[len(blocks)-1].heading = true
			}
			continue
		}
		b := look(line)
		b.blank = blank
		// A line that is as wide as the widest ones and goes on in lower case
		// was wrapped by the writer's editor.
		for width > 0 && len([]rune(raw)) > width-18 && i+1 < len(lines) {
			next := strings.TrimSpace(lines[i+1])
			if next == "" || b.heading || !continues(next) || figureFirst(line) && figureFirst(next) || endsSentence(raw) && !unicode.IsLower([]rune(next)[0]) {
				break
			}
			b.text += " " + next
			i++
			raw = lines[i]
		}
		for (b.numbered || b.bullet) && i+1 < len(lines) && hangs(raw, lines[i+1], b.numbered) {
			i++
			b.text += " " + strings.TrimSpace(lines[i])
		}
		if i+1 < len(lines) {
			b.next = strings.TrimSpace(lines[i+1])
		}
		b.alone = b.blank && b.next == ""
		blocks = append(blocks, b)
		blank = false
	}
	return blocks
}

// bareNumber is the figure of a step without a stop and a space behind it: "1 Cover the fish",
// "2 - Fry the onions", "3/ Bake", "4.Serve". What stands between tells that it counts.
var bareNumber = regexp.MustCompile(`^(\d{1,2})(\s+|\s*[-–—/|>»]+\s*|[.):])(\p{Lu}.*)$`)

// opensWithVerb tells whether the first word of a text orders something: "Fork through
// the fish", "Hard-boil the eggs".
func (l *layout) opensWithVerb(text string) bool {
	lang := l.reader.larder.Language()
	words := strings.FieldsFunc(larder.Fold(strings.Fields(text)[0]), func(r rune) bool { return r == '-' || r == ',' })
	return len(words) > 0 && lang.IsVerb(words[len(words)-1])
}

// leastCounted is how many lines must count up for their figures to be numbers of steps.
const leastCounted = 2

// counted takes the figures off lines that count up from one and each open with an
// order: they are steps.
func (l *layout) counted(blocks []block) {
	for i := 0; i < len(blocks); i++ {
		run := 0
		for k := i; k < len(blocks); k++ {
			if m := bareNumber.FindStringSubmatch(blocks[k].text); m == nil || m[1] != strconv.Itoa(run+1) || blocks[k].numbered || blocks[k].bullet || !l.countedStep(m[2], m[3], run >= leastCounted) {
				break
			}
			run++
		}
		if run < leastCounted {
			continue
		}
		for k := i; k < i+run; k++ {
			blocks[k].text, blocks[k].numbered = bareNumber.FindStringSubmatch(blocks[k].text)[3], true
		}
		i += run - 1
	}
}

// countedStep tells whether what stands behind a figure is a step: it orders something, or goes on where others were
// counted, and is of some length where nothing but a space parts it from the figure.
func (l *layout) countedStep(mark, text string, further bool) bool {
	if further && len(strings.Fields(text)) > mostBare {
		return true // "4 Meanwhile, wilt the spinach"
	}
	marked := strings.ContainsAny(mark, dashes) && len(strings.Fields(text)) > mostBare // "3 – Meanwhile fry the sausage"
	return marked || (l.opensWithVerb(text) || nextSentence.MatchString(text)) && (strings.TrimSpace(mark) != "" || len(strings.Fields(text)) > mostBare)
}

// dashes part the figure of a step from its text.
const dashes = "-–—"

// mostBare is how many words a line of a list may have whose figure could be the number of a step.
const mostBare = 3

// hangs tells whether a line is set in under the item before it, as the rest
// of a wrapped step is. Under a bullet only lower case reads on: a capital or
// a figure may be an item of an inner list.
func hangs(item, line string, step bool) bool {
	text := strings.TrimSpace(line)
	if text == "" || strings.ContainsRune(bullets, []rune(text)[0]) || numberedLine.MatchString(text) {
		return false
	}
	if first := []rune(text)[0]; !step && !unicode.IsLower(first) && first != '(' {
		return false
	}
	return indent(line) >= indent(item)+2
}

func indent(line string) int {
	line = strings.ReplaceAll(line, "\t", "    ")
	return len(line) - len(strings.TrimLeft(line, " "))
}

// endsSentence tells whether a line closes with a full stop: what follows in a
// capital is then taken for a new paragraph.
func endsSentence(line string) bool {
	return strings.HasSuffix(line, ".") || strings.HasSuffix(line, "!") || strings.HasSuffix(line, "?")
}

// wrapWidth guesses the column at which a text was wrapped by hand, 0 when it
// was not: several lines of nearly the same greatest length.
func wrapWidth(lines []string) int {
	longest := 0
	for _, l := range lines {
		longest = max(longest, len([]rune(l)))
	}
	if longest < 40 || longest > 100 {
		return 0
	}
	near := 0
	for _, l := range lines {
		if len([]rune(l)) > longest-14 {
			near++
		}
	}
	if near < 3 {
		return 0
	}
	return longest
}

// figureFirst tells whether a line opens with a figure, as those of a list do.
func figureFirst(line string) bool { return unicode.IsDigit([]rune(line)[0]) }

// continues tells whether a line reads on from the one before: it begins in
// lower case or with a figure inside a sentence, and is no bullet or number.
func continues(line string) bool {
	if numberedLine.MatchString(line) || strings.ContainsRune(bullets, []rune(line)[0]) && !strings.HasPrefix(line, "+") {
		return false
	}
	r := []rune(line)[0]
	return !look(line).heading && (unicode.IsLower(r) || unicode.IsDigit(r) || unicode.IsUpper(r) || r == '(')
}

func look(line string) block {
	b := block{}
	if h := strings.TrimLeft(line, "#"); h != line {
		b.heading = true
		line = strings.TrimSpace(strings.TrimRight(h, "# "))
	}
	if strings.HasPrefix(line, "**") && strings.HasSuffix(strings.TrimRight(line, ": "), "**") && len(line) < 80 || strings.HasPrefix(line, "__") && strings.HasSuffix(line, "__") {
		b.heading = true
	}
	line = strings.ReplaceAll(strings.ReplaceAll(line, "**", ""), "__", "")
	for _, mark := range []string{"*", "_"} {
		if inner, ok := strings.CutPrefix(line, mark); ok && len(inner) > 1 && inner[0] != ' ' {
			if inner, ok = strings.CutSuffix(inner, mark); ok && !strings.Contains(inner, mark) {
				line = inner // set in italics
			}
		}
	}
	if m := numberedLine.FindStringSubmatch(line); m != nil {
		b.numbered = true
		b.number, _ = strconv.Atoi(m[1])
		line = strings.TrimSpace(line[len(m[0]):])
	} else if stripped := stripBullet(line); stripped != line {
		b.bullet = true
		line = stripped
	} else if m := stepWord.FindString(line); m != "" {
		b.numbered = true
		line = strings.TrimSpace(line[len(m):])
	}
	if strings.HasSuffix(line, ":") && len(line) < 70 {
		b.heading = true
	}
	b.text = strings.TrimSpace(line)
	return b
}
