package method

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// sentence is a run of clauses of one step with the stretch of text it comes from.
type sentence struct {
	from, upto int
	clauses    []*clause
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
			if w.speaksOfGone(c.text) || w.hangsInBrackets(c) {
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
	return done
}

// hangsInBrackets tells whether an aside stands in brackets behind a cue that is
// gone.
func (w *writer) hangsInBrackets(c *clause) bool {
	if w.slice(c.from-1, c.from) != "(" {
		return false
	}
	return slices.ContainsFunc(w.step.Actions, func(a recipe.Action) bool {
		at := w.nodeOf(a.ID)
		return at >= 0 && w.deeds[at].cueless && a.From < c.from && c.from <= a.Upto+2
	})
}

// lostFlesh tells whether an action took in flesh by name that is not there.
func (w *writer) lostFlesh(at int) bool {
	n := &w.graph.Nodes[at]
	return slices.ContainsFunc(n.To, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.flesh() && slices.Contains(n.Named, line) && !w.there(line, at)
	})
}

// speaksOfGone tells whether an aside speaks of what was replaced.
func (w *writer) speaksOfGone(text string) bool {
	if len(w.animalWords(text)) > 0 {
		return true
	}
	words := larder.Words(text)
	lang := w.l.Language()
	for _, s := range w.stand {
		if signs := lang.GoneSigns[string(s.class)]; s.component == w.component && s.flesh() && slices.ContainsFunc(words, func(x string) bool { return signs[x] || lang.Fleshly[x] }) {
			return true
		}
		own := larder.Words(s.was.Name)
		if len(own) > 0 && slices.Contains(words, own[len(own)-1]) && !slices.Contains(larder.Words(s.name), own[len(own)-1]) {
			return true
		}
	}
	return false
}

// sentences groups clauses by the marks that end sentences.
func (w *writer) sentences(clauses []*clause) []*sentence {
	var out []*sentence
	end := 0
	for _, c := range clauses {
		from := c.from
		fresh := len(out) == 0
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
			if c == s.clauses[0] && c.upto > 0 && !c.aside {
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
	text := w.withoutJoint(strings.TrimRight(strings.TrimSpace(b.String()), " ,;:"))
	if !strings.HasSuffix(text, ".") && !strings.HasSuffix(text, "!") && !strings.HasSuffix(text, "?") {
		text += "."
	}
	return text
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

// between is what joins a clause to the one before it: what stood there, where
// both are neighbours in the text, else a comma or "and".
func (w *writer) between(s *sentence, left []*clause, i int) string {
	prev, c := left[i-1], left[i]
	at := slices.Index(s.clauses, c)
	if at > 0 && !prev.trimmed && s.clauses[at-1] == prev && prev.upto > 0 && c.upto > 0 && prev.upto <= c.from {
		gap := w.slice(prev.upto, c.from)
		if !strings.ContainsAny(gap, "()") {
			return gap
		}
	}
	if prev.aside || i < len(left)-1 {
		return ", "
	}
	return " " + w.c.words().And + " "
}

// part is one sentence of a step as it is written now.
type part struct {
	step   int // of the original
	text   string
	change swap.Change
	stands []*standIn
	whys   []string
	nodes  []int
	quote  string
	// look tells that no sentence could be written that says what was meant.
	look bool
	// added is a step that is new as a whole.
	added *swap.Step
}

// parts writes a step of the original sentence by sentence; those of which nothing
// is left have no text.
func (w *writer) parts(n int) []part {
	var out []part
	for _, s := range w.sentences(w.clauses()) {
		p := part{step: n, text: w.compose(s), change: swap.Kept, stands: s.stands(), quote: strings.TrimSpace(w.slice(s.from, s.upto))}
		for _, c := range s.clauses {
			p.whys = append(p.whys, c.whys...)
			if c.node >= 0 && !c.gone {
				p.nodes = append(p.nodes, c.node)
			}
		}
		if p.text != "" && (s.changed() || len(w.step.Animals) > 0) && w.namesAnimal(p.text) {
			p.text, p.look = w.otherwise(s)
		}
		switch {
		case p.text == "":
			p.change = swap.Dropped
		case s.changed() || p.look:
			p.change = swap.Changed
		}
		out = append(out, p)
	}
	return out
}

// namesAnimal tells whether a sentence names animal matter, read against what the
// adaptation lists.
func (w *writer) namesAnimal(text string) bool {
	at := w.component
	if w.lines == nil {
		w.lines = []recipe.Line{}
		for _, l := range w.a.Components[at].Lines {
			if l.Change != swap.Dropped {
				w.lines = append(w.lines, l.Line)
			}
		}
	}
	return len(w.c.reader.Animals(text, w.lines)) > 0
}

// otherwise writes a sentence in its plainest form, and where that still says what
// is not there, says only what it is about: it must be looked at.
func (w *writer) otherwise(s *sentence) (text string, look bool) {
	for _, c := range s.clauses {
		if c.gone || !w.namesAnimal(c.text) {
			continue
		}
		c.changed = true
		if c.node < 0 {
			c.gone = true
			continue
		}
		c.text = w.plain(&w.graph.Nodes[c.node], &w.deeds[c.node], c)
		c.gone = c.text == ""
	}
	if text := w.compose(s); text == "" || !w.namesAnimal(text) {
		return text, false
	}
	var things []named
	for _, c := range s.clauses {
		things = append(things, c.objects...)
	}
	things = slices.DeleteFunc(things, func(t named) bool { return w.namesAnimal(t.text) })
	if len(things) == 0 {
		return w.c.words().LookBare, true
	}
	return strings.ReplaceAll(w.c.words().Look, "{things}", w.c.listing(things)), true
}

// joined makes steps of parts: neighbours of one step stand together, but those
// that deal with different stand-ins by themselves, each with its own reason.
func (p *plan) joined(parts []part) []swap.Step {
	var out []swap.Step
	for i := 0; i < len(parts); {
		if parts[i].added != nil {
			out = append(out, *parts[i].added)
			i++
			continue
		}
		upto := i + 1
		stands := slices.Clone(parts[i].stands)
		for upto < len(parts) && parts[upto].added == nil && parts[upto].step == parts[i].step && !apartFrom(stands, parts[upto].stands) {
			stands = append(stands, parts[upto].stands...)
			upto++
		}
		out = append(out, p.joinOne(parts[i:upto], stands))
		i = upto
	}
	return out
}

// apartFrom tells whether two sentences deal with different stand-ins.
func apartFrom(a, b []*standIn) bool {
	return len(a) > 0 && len(b) > 0 && !slices.ContainsFunc(b, func(x *standIn) bool {
		return slices.ContainsFunc(a, func(o *standIn) bool { return o.book == x.book })
	})
}

// joinOne makes one step of neighbouring sentences.
func (p *plan) joinOne(parts []part, stands []*standIn) swap.Step {
	s := swap.Step{From: []int{parts[0].step}, Change: swap.Kept}
	var texts, whys, quotes []string
	changed := false
	for _, x := range parts {
		whys = append(whys, x.whys...)
		s.Nodes = append(s.Nodes, x.nodes...)
		changed = changed || x.change != swap.Kept
		if x.text != "" {
			texts = append(texts, x.text)
		}
		if x.look {
			quotes = append(quotes, x.quote)
		}
	}
	s.Text, s.Quote = strings.Join(texts, " "), strings.Join(quotes, " ")
	switch {
	case len(texts) == 0:
		s.Change, s.Text, s.Quote, s.Why = swap.Dropped, p.c.words().LeftOut, "", strings.Join(unique(whys), " ")
		if s.Why == "" {
			s.Why = p.c.words().Reworded
		}
	case changed:
		s.Change, s.Why = swap.Changed, p.why(stands, whys)
	}
	return s
}

// why gives the reasons of a changed step: how what stands in is cooked, and what
// was left out.
func (p *plan) why(stands []*standIn, whys []string) string {
	var out []string
	for _, s := range stands {
		if s.book != nil && s.book.Cook != "" {
			out = append(out, s.book.Cook)
		}
	}
	out = unique(append(out, whys...))
	if len(out) == 0 {
		return p.c.words().Reworded
	}
	return strings.Join(out, " ")
}

func unique(list []string) []string {
	var out []string
	for _, x := range list {
		if x != "" && !slices.Contains(out, x) {
			out = append(out, x)
		}
	}
	return out
}

// openWhy says which lines a step takes that are still open.
func (w *writer) openWhy(step *recipe.Step) string {
	var out []string
	for _, a := range step.Actions {
		at := w.nodeOf(a.ID)
		if at < 0 {
			continue
		}
		n := &w.graph.Nodes[at]
		for _, line := range slices.Concat(n.To, n.With, n.Into) {
			if s := w.stand[line]; s != nil && s.open && slices.Contains(n.Named, line) {
				out = append(out, strings.ReplaceAll(w.c.words().Open, "{thing}", larder.Capital(s.was.Name)))
			}
		}
	}
	return strings.Join(unique(out), " ")
}

// keyOf is the outward name of an original step.
func keyOf(component, step int) string {
	return fmt.Sprintf("components[%d].steps[%d]", component, step)
}
