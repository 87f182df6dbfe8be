package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

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
	// sentence is what it was written of, and writer what wrote it.
	sentence *sentence
	writer   *writer
}

// parts writes a step of the original sentence by sentence; those of which nothing
// is left have no text.
func (w *writer) parts(n int) []part {
	var out []part
	for _, s := range w.sentences(w.clauses()) {
		out = append(out, w.part(n, s))
	}
	return out
}

// part writes one sentence of a step.
func (w *writer) part(n int, s *sentence) part {
	p := part{step: n, text: w.compose(s), change: swap.Kept, stands: s.stands(), quote: strings.TrimSpace(w.slice(s.from, s.upto)), sentence: s, writer: w}
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
	return p
}

// namesAnimal tells whether a sentence names animal matter, read against what the
// adaptation lists.
func (w *writer) namesAnimal(text string) bool {
	at := w.component
	if w.lines == nil {
		w.lines = make([]recipe.Line, 0, len(w.a.Components[at].Lines))
		for _, l := range w.a.Components[at].Lines {
			if l.Change != swap.Dropped {
				w.lines = append(w.lines, l.Line)
			}
		}
	}
	return len(w.c.besidesParts(w.dish, w.own, w.c.reader.Animals(text, w.lines))) > 0
}

// besidesParts leaves out of what words name the parts of the dish that go by their look: "the white
// sauce", which the list calls so; and the word for what the dish is.
func (c *Carrier) besidesParts(d *recipe.Dish, own [][]string, animals []recipe.Animal) []recipe.Animal {
	return slices.DeleteFunc(slices.Clone(animals), func(a recipe.Animal) bool {
		return slices.ContainsFunc(own, func(name []string) bool { return slices.Equal(larder.Words(a.Name), name) }) || slices.ContainsFunc(d.Components, func(part recipe.Component) bool {
			return strings.EqualFold(part.Name, a.Name) && c.calledByLook(part.Name)
		})
	})
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
	out := []swap.Step{}
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
	// A step may begin, or end, at a semicolon of the original.
	written := larder.Capital(strings.Join(texts, " "))
	if open := strings.TrimRight(written, ";,"); open != written {
		written = open + "."
	}
	if n := len(texts); n > 0 && !strings.ContainsAny(written[len(written)-1:], ".!?:)") && !strings.HasSuffix(strings.TrimSpace(p.stepText(parts[0])), texts[n-1]) {
		written += "." // a clause that ended at a semicolon
	}
	s.Text, s.Quote = written, strings.Join(quotes, " ")
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

// stepText is the original's step that a part comes from.
func (p *plan) stepText(x part) string {
	for _, at := range x.nodes {
		n := &p.graph.Nodes[at]
		return p.dish.Components[n.At.Component].Steps[n.At.Step].Text
	}
	return ""
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
