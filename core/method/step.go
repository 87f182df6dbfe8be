package method

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
)

// sentence is a run of clauses of one step with the stretch of text it comes from.
type sentence struct {
	from, upto int
	clauses    []*clause
}

// apart makes two sentences of one, the second from a clause on.
func (s *sentence) apart(at int) (first, second *sentence) {
	first = &sentence{s.from, s.clauses[at].from, s.clauses[:at]}
	second = &sentence{s.clauses[at].from, s.upto, s.clauses[at:]}
	first.clauses[at-1].changed, second.clauses[0].changed = true, true
	return first, second
}

func (s *sentence) changed() bool {
	return slices.ContainsFunc(s.clauses, func(c *clause) bool { return c.changed })
}

// stands are what the sentence names that stands for something.
func (s *sentence) stands() []*standIn {
	var out []*standIn
	for _, c := range s.clauses {
		for _, x := range c.stands {
			if !slices.Contains(out, x) {
				out = append(out, x)
			}
		}
	}
	return out
}

// clauses writes all that a step says, in the order of its text.
func (w *writer) clauses() []*clause {
	var out []*clause
	for i := range w.step.Actions {
		at := w.nodeOf(w.step.Actions[i].ID)
		if at >= 0 {
			out = append(out, &clause{from: w.step.Actions[i].From, upto: w.step.Actions[i].Upto, node: at})
		}
	}
	for _, a := range w.step.Asides {
		if w.ofNoun(a) {
			continue
		}
		out = append(out, &clause{from: a.From, upto: a.Upto, node: -1, aside: true})
	}
	for _, q := range w.step.Questions {
		if !slices.ContainsFunc(out, func(c *clause) bool { return c.from <= q.From && q.From < c.upto }) {
			out = append(out, &clause{from: q.From, upto: q.Upto, node: -1, aside: true})
		}
	}
	slices.SortStableFunc(out, func(a, b *clause) int { return cmp.Compare(a.from, b.from) })
	var done []*clause
	for _, c := range out {
		if c.aside {
			c.text = w.slice(c.from, c.upto)
			if w.slice(c.from-1, c.from) == "(" && w.slice(c.upto, c.upto+1) == ")" {
				c.text = "(" + c.text + ")"
			}
			if other := w.c.renamed(c.text); len(w.animalWords(c.text)) > 0 && len(w.animalWords(other)) == 0 {
				c.text, c.changed = other, true // "as soon as the dumplings float", that the cook calls by a dish of eggs
			}
			if other := w.asideNow(c.text); other != c.text {
				c.text, c.changed = other, true
			}
			if w.speaksOfGone(c.text, done) || w.forbidsBoiling(c.text) || w.hangsInBrackets(c) || w.pointsToGone(c.text, c.from, done) {
				c.gone, c.changed = true, true
			}
			done = append(done, c)
			continue
		}
		written := w.action(c.node)
		w.done = max(w.done, c.upto)
		w.emptied, w.thinned = written[len(written)-1].gone, w.lostFlesh(c.node)
		done = append(done, written...)
	}
	w.keepAims(done)
	w.dropConditions(done)
	w.dropOthers(done)
	w.dropTurned(done)
	w.closeUntil(done)
	for _, c := range done {
		if text := w.c.words().Otherwise(c.text); text != c.text {
			c.text, c.changed = text, true
		}
	}
	return done
}

// lostFlesh tells whether an action took in flesh by name that is not there.
func (w *writer) lostFlesh(at int) bool {
	n := &w.graph.Nodes[at]
	return slices.ContainsFunc(n.To, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.flesh() && slices.Contains(n.Named, line) && !w.there(line, at)
	})
}

// sentences groups clauses by the marks that end sentences.
func (w *writer) sentences(clauses []*clause) []*sentence {
	var out []*sentence
	end := 0
	for k, c := range clauses {
		from := c.from
		fresh := len(out) == 0
		if next := k + 1; c.leads && next < len(clauses) && clauses[next].upto > clauses[next].from {
			if gap := w.slice(end, clauses[next].from); strings.ContainsAny(gap, ".!?") { // it goes in with what comes, and not behind what came
				fresh, from = true, end+len([]rune(gap[:strings.LastIndexAny(gap, ".!?")+1]))
				end = clauses[next].from
			}
		}
		if c.upto > c.from {
			if gap := w.slice(end, c.from); strings.ContainsAny(gap, ".!?") {
				fresh = true
				from = end + len([]rune(gap[:strings.LastIndexAny(gap, ".!?")+1]))
			}
			end = max(end, c.upto)
		}
		if fresh {
			out = append(out, &sentence{from: from})
		}
		s := out[len(out)-1]
		s.clauses = append(s.clauses, c)
	}
	for i, s := range out {
		s.upto = len(w.text)
		if i+1 < len(out) {
			s.upto = out[i+1].from
		}
		if i == 0 {
			s.from = 0
		}
	}
	return out
}

// compose puts a sentence together: the cook's own where nothing changed, else
// clause by clause.
func (w *writer) compose(s *sentence) string {
	if !s.changed() {
		return strings.TrimSpace(w.slice(s.from, s.upto))
	}
	var left []*clause
	for _, c := range s.clauses {
		if !c.gone && c.text != "" {
			left = append(left, c)
		}
	}
	working := slices.ContainsFunc(left, func(c *clause) bool { return !c.aside })
	if len(left) == 0 || !working && slices.ContainsFunc(s.clauses, func(c *clause) bool { return c.gone && !c.aside }) {
		return ""
	}
	var b strings.Builder
	for i, c := range left {
		text := strings.Trim(c.text, " ,")
		if i == 0 {
			if c == s.clauses[0] && c.upto > 0 {
				if before := strings.TrimSpace(w.slice(s.from, c.from)); before != "" {
					text = before + " " + text // "Lightly"
				}
			}
			b.WriteString(larder.Capital(text))
			continue
		}
		b.WriteString(w.between(s, left, i))
		if !strings.HasSuffix(strings.TrimSpace(b.String()), ".") && (c.upto == 0 || !left[i-1].aside && w.opens(s, c)) {
			text = lowered(text)
		}
		b.WriteString(text)
	}
	text := strings.TrimRight(strings.TrimSpace(b.String()), " ,;:")
	text = w.withoutJoint(text)
	if !strings.HasSuffix(text, ".") && !strings.HasSuffix(text, "!") && !strings.HasSuffix(text, "?") {
		text += "."
	}
	return text
}

// goesAlong tells whether a clause says what is done meanwhile: "adding the milk".
func (w *writer) goesAlong(c *clause) bool {
	first, _, _ := strings.Cut(strings.ToLower(strings.TrimSpace(c.text)), " ")
	return slices.ContainsFunc(w.l.Language().Verb(first), func(r language.Reading) bool { return r.Form == language.Going })
}

// opens tells whether a clause stood first in its sentence.
func (w *writer) opens(s *sentence, c *clause) bool {
	for _, o := range s.clauses {
		if o.upto > 0 {
			return o == c
		}
	}
	return false
}

// otherwiseWord is the word that stands before a clause where that is another way to do the
// same: "simmer for three hours, or bake".
func (w *writer) otherwiseWord(s *sentence, at int) string {
	c := s.clauses[at]
	for k := at - 1; k >= 0 && c.upto > 0; k-- {
		if before := s.clauses[k]; before.upto > 0 && before.upto <= c.from {
			words := strings.Fields(w.slice(before.upto, c.from))
			if len(words) > 0 && w.l.Language().Lines.Or[strings.ToLower(words[len(words)-1])] && !before.gone {
				return words[len(words)-1]
			}
			return ""
		}
	}
	return ""
}

// ownGap is what stood before a clause that goes on without a verb of its own, where what is written before it is
// new: ", then the garlic" behind what goes in later. It is empty for any other.
func (w *writer) ownGap(s *sentence, at int) string {
	c := s.clauses[at]
	if c.node < 0 || c.changed || w.graph.Nodes[c.node].Action.Words.Verb[1] > 0 {
		return ""
	}
	for k := at - 1; k >= 0; k-- {
		if o := s.clauses[k]; o.upto > 0 {
			gap := w.slice(o.upto, c.from)
			if o.gone || o.upto > c.from || strings.ContainsAny(gap, "().!?") {
				return ""
			}
			return gap
		}
	}
	return ""
}

// between is what joins a clause to the one before it: what stood there, where
// both are neighbours in the text, else a comma or "and".
func (w *writer) between(s *sentence, left []*clause, i int) string {
	prev, c := left[i-1], left[i]
	at := slices.Index(s.clauses, c)
	if at > 0 && !prev.trimmed && s.clauses[at-1] == prev && prev.upto > 0 && c.upto > 0 && prev.upto <= c.from {
		gap := w.slice(prev.upto, c.from)
		if !strings.ContainsAny(gap, "()") && !strings.HasPrefix(c.text, "(") && !strings.HasSuffix(prev.text, ")") {
			return gap
		}
	}
	if strings.HasPrefix(c.text, "(") {
		return " "
	}
	if gap := w.ownGap(s, at); gap != "" {
		return gap
	}
	if or := w.otherwiseWord(s, at); or != "" {
		return ", " + or + " "
	}
	if prev.aside || slices.ContainsFunc(left[i+1:], func(o *clause) bool { return !o.aside }) || w.goesAlong(c) {
		return ", "
	}
	return " " + w.c.words().And + " "
}
