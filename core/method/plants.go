package method

import (
	"regexp"
	"slices"
	"strings"
	"unicode"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// plants puts the swaps' short names where a text names a plant line that a
// house rule has replaced: by its whole name, or by the last word of it ("the
// oil", "the rice") where no other line of the step ends so. A line of another
// component is found by its last word only where none of this one ends so.
func (c *Carrier) plants(text string, s recipe.Step, lines []recipe.Line, used, all []replacement) string {
	for _, r := range all {
		words := larder.Words(r.line.Name)
		if r.book == nil || r.line.Origin == larder.FromAnimal || len(words) == 0 {
			continue
		}
		head := words[len(words)-1]
		mine := slices.ContainsFunc(used, func(o replacement) bool { return o.chosen == r.chosen })
		if !mine && !strange(head, lines) {
			continue
		}
		text = aside(text, all, func(rest string) string {
			if len(words) > 1 {
				rest = replaceWords(rest, r.line.Name, r.short)
			}
			if slices.Contains(larder.Words(r.short), head) || mine && c.sharesHead(head, r, s, lines, used) {
				return rest
			}
			return replaceHead(rest, head, r.short, func(before, after string) bool {
				return before == "own" || c.otherFood(r, before, head) || c.otherFood(r, head, after)
			})
		})
	}
	return text
}

// strange tells whether no line ends in a word.
func strange(head string, lines []recipe.Line) bool {
	return !slices.ContainsFunc(lines, func(l recipe.Line) bool {
		words := larder.Words(l.Name)
		return len(words) > 0 && words[len(words)-1] == head
	})
}

// sharesHead tells whether another line of the step, which something else or
// nothing stands for, ends in the same word.
func (c *Carrier) sharesHead(head string, r replacement, s recipe.Step, lines []recipe.Line, used []replacement) bool {
	return slices.ContainsFunc(s.Lines, func(j int) bool {
		if j >= len(lines) || j == r.index {
			return false
		}
		same := slices.ContainsFunc(used, func(o replacement) bool { return o.index == j && o.book == r.book })
		return !same && !strange(head, lines[j:j+1])
	})
}

// otherFood tells whether two words side by side name a food that the line is
// not: "rice vinegar" is no rice.
func (c *Carrier) otherFood(r replacement, first, second string) bool {
	if first == "" || second == "" {
		return false
	}
	m, ok := c.book.Larder().Index().At([]string{first, second}, 0, true)
	return ok && m.Used == 2 && m.Food.ID != r.line.FoodID()
}

// replaceHead replaces a single word unless its neighbours say that it is part
// of another name.
func replaceHead(text, head, short string, part func(before, after string) bool) string {
	var b strings.Builder
	rest := text
	for {
		start, end := findWords(rest, []string{head})
		if start < 0 {
			b.WriteString(rest)
			return b.String()
		}
		before, after := neighbour(rest[:start], -1), neighbour(rest[end:], 0)
		b.WriteString(rest[:start])
		if part(before, after) {
			b.WriteString(rest[start:end])
		} else if strings.TrimSpace(rest[:start]) == "" {
			b.WriteString(larder.Capital(short))
		} else {
			b.WriteString(short)
		}
		rest = rest[end:]
	}
}

// neighbour is the word next to a place in a sentence: the last (-1) or the
// first (0), empty where a mark stands between.
func neighbour(text string, which int) string {
	trimmed := strings.Trim(text, " ")
	words := strings.FieldsFunc(trimmed, func(r rune) bool { return r == ' ' })
	if len(words) == 0 {
		return ""
	}
	w := strings.TrimRight(words[0], ".,;:!?)")
	if which < 0 {
		w = words[len(words)-1]
	}
	if strings.ContainsFunc(w, func(r rune) bool { return !unicode.IsLetter(r) && r != '-' }) {
		return ""
	}
	if normal := larder.Words(w); len(normal) == 1 {
		return normal[0]
	}
	return ""
}

// unrepeated names a swap once in a list of things: several lines that one swap
// stands for read "the chestnuts and olives", not "the chestnuts, olives and
// chestnuts".
func unrepeated(text string, used []replacement) string {
	said := sentences(text)
	for i, sentence := range said {
		for _, r := range used {
			if r.short == "" || strings.Count(sentence, r.short) < 2 {
				continue
			}
			again := regexp.MustCompile(`(, and |, | and )(?:the )?` + regexp.QuoteMeta(r.short) + `\b`)
			first := strings.Index(sentence, r.short) + len(r.short)
			at := again.FindStringSubmatchIndex(sentence[first:])
			if at == nil {
				sentence = pronoun(sentence, first, r, used)
				continue
			}
			if !onlyNames(sentence[first:first+at[0]], used) {
				sentence = pronoun(sentence, first, r, used)
				continue
			}
			joined := sentence[first+at[2] : first+at[3]]
			head, tail := sentence[:first+at[0]], sentence[first+at[1]:]
			if comma := strings.LastIndex(head, ", "); strings.Contains(joined, "and") && comma >= first-len(r.short) {
				head = head[:comma] + " and " + head[comma+2:]
			}
			sentence = head + tail
		}
		said[i] = sentence
	}
	return strings.Join(said, " ")
}

// onlyNames tells whether a stretch of a sentence holds nothing but names of
// swaps, with commas and "and" between.
func onlyNames(text string, used []replacement) bool {
	for _, r := range used {
		if r.short != "" {
			text = strings.ReplaceAll(text, r.short, "")
		}
	}
	return !slices.ContainsFunc(larder.Words(text), func(w string) bool { return w != "and" && w != "the" })
}

// pronoun writes "it" or "them" for the second naming of a swap in a sentence
// that names no other between.
func pronoun(sentence string, first int, r replacement, used []replacement) string {
	at := strings.Index(sentence[first:], "the "+r.short)
	if at < 0 {
		return sentence
	}
	between := sentence[first : first+at]
	end := first + at + len("the ") + len(r.short)
	if strings.HasPrefix(sentence[end:], "-") || slices.ContainsFunc(used, func(o replacement) bool {
		return o.short != r.short && o.short != "" && strings.Contains(between, o.short)
	}) {
		return sentence
	}
	word := "it"
	if plural(r.short) {
		word = "them"
	}
	return sentence[:first+at] + word + sentence[end:]
}
