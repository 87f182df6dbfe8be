package flow

import "unicode/utf8"

// letter tells where a word begins, counted in letters.
func (t *text) letter(i int) int {
	if len(t.runes) != len(t.words) {
		t.runes = make([]int, len(t.words))
		n, at := 0, 0
		for k, w := range t.words {
			n += utf8.RuneCountInString(t.source[at:w.Start])
			t.runes[k], at = n, w.Start
		}
	}
	return t.runes[i]
}

// span turns a run of words into offsets in characters.
func (t *text) span(from, upto int) (int, int) {
	if from >= len(t.words) {
		return 0, 0
	}
	upto = max(min(upto, len(t.words)), from+1)
	for upto > from+1 && t.mark(upto-1, ",") {
		upto--
	}
	start := t.letter(from)
	return start, start + utf8.RuneCountInString(t.source[t.words[from].Start:t.words[upto-1].End])
}
