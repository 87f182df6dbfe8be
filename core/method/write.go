package method

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

type node = flow.Node

// edit replaces a stretch of a step's text.
type edit struct {
	from, upto int
	text       string
}

// clause is one action or aside of a step on its way into the new text.
type clause struct {
	from, upto int // in the text it comes from; both 0 for what is new
	text       string
	node       int // -1 for an aside or what is new
	changed    bool
	gone       bool
	aside      bool
	trimmed    bool // words were taken off its end
	// objects are what the clause names as worked on, stands those of them that
	// stand for something.
	objects []named
	stands  []*standIn
	whys    []string
}

// writer writes one step anew from what is decided of its actions.
type writer struct {
	*plan
	step *recipe.Step
	text []rune
	// object are what an action is done to that its words leave open.
	object []*standIn
	// first are what goes in at the head of the next list.
	first []*standIn
	// component is the part of the dish it is written for, lines what that lists.
	component int
	lines     []recipe.Line
	// before is the clause written last in the step; emptied tells that nothing
	// was left of the one before.
	before  *clause
	emptied bool
	// done is where the text is written up to.
	done int
	// thinned tells that it lost a thing that it took in.
	thinned bool
	// small collects what only the words of the step name and a cook must buy.
	small func(*larder.SmallUse, *recipe.Action) (string, bool)
}

func (w *writer) slice(from, upto int) string {
	if from < 0 || upto > len(w.text) || from >= upto {
		return ""
	}
	return string(w.text[from:upto])
}

// action writes one action, and what goes in before it and during its last
// minutes.
func (w *writer) action(i int) []*clause {
	n, d := &w.graph.Nodes[i], &w.deeds[i]
	a := n.Action
	own := &clause{from: a.From, upto: a.Upto, node: i, whys: d.whys}
	var out []*clause
	if d.drop {
		own.gone, own.changed = true, true
		return []*clause{own}
	}
	if w.hangsOn(n) {
		own.gone, own.changed = true, true
		return []*clause{own}
	}
	before := w.unsaid(n, d.before)
	if w.first = nil; a.Verb == w.c.words().Add && len(a.Words.Phrases) > 0 && a.Words.Phrases[0].Role == "to" {
		w.first = before // they head the list of what is added
	} else if w.takesObject(n, before) {
		w.object = before // "season", of what went in before
	} else if len(before) > 0 {
		out = append(out, w.adds(before...))
	}
	edits, ok := w.edits(n, d, own)
	switch {
	case !ok:
		own.gone, own.changed = true, true
	case len(d.subject) > 0:
		own.text, own.changed = w.plain(n, d, own), true
	case len(edits) == 0:
		own.text = strings.TrimLeft(w.slice(max(a.From, w.done), a.Upto), " ,")
	default:
		own.text, own.changed = w.apply(a, edits), true
		own.trimmed = slices.ContainsFunc(edits, func(e edit) bool { return e.upto == a.Upto && e.text == "" })
	}
	if w.emptied && a.Words.Verb[1] == 0 && own.text != "" {
		own.text, own.changed = a.Verb+" "+own.text, true // "then the carrots"
	}
	if n.Technique.Joins == "yes" && len(d.before) > 0 && !slices.ContainsFunc(a.Words.Phrases, func(x recipe.Phrase) bool { return x.Role == "to" }) {
		own.gone = true // what goes in has been said to
	}
	out = append(out, own)
	if !own.gone {
		w.before = own
	}
	for k, s := range d.late {
		minutes := s.tail
		if k+1 < len(d.late) {
			minutes -= d.late[k+1].tail
		}
		own.changed = true
		if k == 0 || d.late[k-1].tail != s.tail {
			out = append(out, w.adds(slices.DeleteFunc(slices.Clone(d.late), func(o *standIn) bool { return o.tail != s.tail })...))
		}
		if minutes >= 1 {
			out = append(out, w.goesOn(n, roundMinutes(minutes)))
			if k+1 == len(d.late) && d.cueAfter != "" {
				out[len(out)-1].text += " " + d.cueAfter
			}
		}
	}
	for _, s := range d.finish {
		own.changed = true
		text := lowered(strings.TrimSuffix(s.book.FinishFor(s.chosen.Use), "."))
		out = append(out, &clause{node: -1, changed: true, text: text, stands: []*standIn{s}})
	}
	if d.boil > 0 {
		words := w.c.words()
		out = append(out, &clause{node: -1, changed: true, text: words.Boil + " " + words.For + " " + w.c.spoken(measure.Exactly(d.boil))})
	}
	return out
}

// saysPlaces tells whether an action names nothing that it is done to, or no more
// than a side of it.
func (w *writer) saysPlaces(n *node) bool {
	for _, p := range n.Action.Words.Phrases {
		for _, noun := range p.Nouns {
			name := onlyNamed(noun)
			words := larder.Words(name)
			if name == "" || len(words) == 0 || !w.l.Language().Places[words[len(words)-1]] {
				return false
			}
		}
	}
	return true
}

// unsaid are those of what goes in before an action that its own words do not name.
func (w *writer) unsaid(n *node, before []*standIn) []*standIn {
	return slices.DeleteFunc(slices.Clone(before), func(s *standIn) bool {
		return slices.ContainsFunc(n.Action.Words.Phrases, func(p recipe.Phrase) bool {
			return p.Role == "to" && slices.ContainsFunc(p.Nouns, func(noun recipe.Noun) bool {
				lines, made := w.meant(noun)
				name := w.slice(noun.Name, noun.Upto)
				if noun.Pronoun {
					return len(lines) == 1 && lines[0] == s.node
				}
				return slices.Contains(lines, s.node) && (!made || len(w.animalWords(name)) > 0 || w.ownName(name, lines))
			})
		})
	})
}

// hangsOn tells whether an action without words of its own for what it is done to
// was done to what the clause before took in, of which nothing is left: "add the
// pork and seal".
func (w *writer) hangsOn(n *node) bool {
	if !w.emptied && !w.thinned || !w.saysPlaces(n) || n.Action.Minutes != nil || n.Action.Cue != "" && !w.deeds[w.graph.Number(n)].cueless {
		return false
	}
	f := n.Technique.Family
	return f == "dry heat" || f == "assemble" || f == "cut" || n.Is("turn", "shake")
}

// takesObject tells whether an action whose words leave its object open can be said
// of what goes in with it.
func (w *writer) takesObject(n *node, before []*standIn) bool {
	a := n.Action
	if len(before) == 0 || a.Words.Verb[1] == 0 || n.Technique.Joins == "yes" || n.Technique.Family == "wet heat" || n.Technique.Family == "control" {
		return false
	}
	return !slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role == "to" }) && !slices.ContainsFunc(w.subjects(w.graph.Number(n)), func(line int) bool { return w.stand[line] == nil })
}

// named are stand-ins as a sentence names them.
func (w *writer) named(stands []*standIn) []named {
	var out []named
	for _, s := range stands {
		out = append(out, w.c.stand(s, 1, false))
	}
	return out
}

// adds is the clause with which stand-ins go in.
func (w *writer) adds(stands ...*standIn) *clause {
	things := w.named(stands)
	c := &clause{node: -1, changed: true, text: w.c.words().Add + " " + w.c.listing(things), objects: things, stands: stands}
	w.before = c
	return c
}

// goesOn is the clause that gives the last minutes of a cooking.
func (w *writer) goesOn(n *node, minutes float64) *clause {
	words := w.c.words()
	return &clause{node: -1, changed: true, text: fmt.Sprintf("%s %s %s %s", n.Action.Verb, words.For, w.c.spoken(measure.Exactly(minutes)), words.More)}
}

// edits are what changes in the words of an action; not ok where nothing of it is
// left to do.
func (w *writer) edits(n *node, d *deed, own *clause) ([]edit, bool) {
	a := n.Action
	var out []edit
	kept, objects := len(a.Words.Phrases) == 0, 0
	for _, p := range a.Words.Phrases {
		if p.From < a.From || p.Upto > a.Upto {
			kept = true
			continue
		}
		text, changed, things := w.phrase(n, p, own)
		if len(things) > 0 || !changed {
			kept = true
		}
		if p.Role == "to" {
			own.objects = append(own.objects, things...)
			objects++
		}
		if !changed {
			continue
		}
		from := p.From
		if len(things) > 0 {
			from = p.Nouns[0].From
		}
		out = append(out, edit{from, p.Upto, text})
	}
	out = append(out, w.brackets(a)...)
	for _, at := range a.Words.Manners {
		if at[0] >= a.From && at[1] <= a.Upto && w.gonePlay(n, w.slice(at[0], at[1])) {
			out = append(out, edit{at[0], at[1], ""})
		}
	}
	if objects > 0 && len(own.objects) == 0 && len(d.subject) == 0 {
		return nil, false // all that it was done to is gone
	}
	if n.Technique.Medium == "with" && !kept && len(own.objects) == 0 {
		return nil, false // "dip in ..."
	}
	if !kept && len(d.subject) == 0 && !w.impliesWork(n) {
		return nil, false
	}
	return append(out, w.figures(n, d)...), true
}

// brackets are what stands in brackets within the words of an action and is written
// by itself.
func (w *writer) brackets(a *recipe.Action) []edit {
	var out []edit
	cut := func(from, upto int) {
		if from > a.From && upto <= a.Upto && w.slice(from-1, from) == "(" {
			out = append(out, edit{from - 1, min(upto+1, a.Upto), ""})
		}
	}
	for i := range w.step.Actions {
		cut(w.step.Actions[i].From, w.step.Actions[i].Upto)
	}
	for _, x := range w.step.Asides {
		cut(x.From, x.Upto)
	}
	return out
}

// gonePlay tells whether words that say how something is done speak of what only
// a body has, where none is.
func (w *writer) gonePlay(n *node, text string) bool {
	if w.fleshAt(w.graph.Number(n)) == nil {
		return false
	}
	lang := w.l.Language()
	signs := lang.GoneSigns[string(w.fleshAt(w.graph.Number(n)).class)]
	return slices.ContainsFunc(larder.Words(text), func(word string) bool { return lang.Fleshly[word] || signs[word] })
}

// impliesWork tells whether an action is done to something that is there though
// its words do not name it.
func (w *writer) impliesWork(n *node) bool {
	at := w.nodeOf(n.Action.ID)
	return slices.ContainsFunc(n.To, func(line int) bool { return !slices.Contains(n.Named, line) && w.there(line, at) })
}

// figures are the verb, the time and the cue where they are others now, and what
// comes along.
func (w *writer) figures(n *node, d *deed) []edit {
	a := n.Action
	words := w.c.words()
	var out []edit
	verb := d.say
	if verb == "" && len(w.object) > 0 {
		verb = w.slice(a.Words.Verb[0], a.Words.Verb[1])
	}
	if verb != "" && a.Words.Verb[1] > 0 {
		if len(w.object) > 0 {
			verb += " " + w.c.listing(w.named(w.object))
		}
		out = append(out, edit{a.Words.Verb[0], a.Words.Verb[1], verb})
	}
	w.object = nil
	tail := ""
	if len(d.along) > 0 {
		if along := w.comesAlong(n, d.along); along != "" {
			tail = " " + along
		}
	}
	if d.minutes != nil {
		if at := a.Words.Time; at[1] > 0 && at[0] >= a.From && at[1] <= a.Upto {
			say := w.c.spoken(*d.minutes)
			if cue := a.Words.Cue; d.cueless && cue[1] > a.From && cue[1] <= at[0] {
				at[0], say = cue[0], words.For+" "+say // "until thick, about 10 minutes"
			}
			out = append(out, edit{at[0], at[1], say})
		} else {
			tail += " " + words.For + " " + w.c.spoken(*d.minutes)
		}
	}
	if at := a.Words.Cue; d.cueless && at[1] > 0 && at[0] >= a.From && at[1] <= a.Upto {
		out = append(out, edit{at[0], at[1], w.otherCue(n, d)})
	}
	if tail != "" {
		at := a.Upto
		if c := a.Words.Cue; c[1] > 0 && c[0] > a.From {
			at = c[0]
			tail = strings.TrimPrefix(tail, " ") + " "
		}
		out = append(out, edit{at, at, tail})
	}
	return out
}

// otherCue ends an action whose own cue is gone: by what its technique usually
// ends with, unless minutes are said.
func (w *writer) otherCue(n *node, d *deed) string {
	if rest := w.restOfCue(n); rest != "" && len(d.late) == 0 {
		return rest
	}
	if n.Action.Minutes != nil || d.minutes != nil || n.Technique.Cue == "" || n.Technique.Heat == "" {
		return ""
	}
	return w.c.words().Until + " " + n.Technique.Cue
}

// restOfCue are those of the signs that a cue gives which are still there: "until the
// sauce is thick" of "until the duck is tender and the sauce is thick".
func (w *writer) restOfCue(n *node) string {
	words := w.c.words()
	text := strings.TrimPrefix(n.Action.Cue, words.Until+" ")
	var kept []string
	for _, part := range strings.Split(text, " "+words.And+" ") {
		if part = strings.Trim(part, " ,"); part != "" && !w.gone(n, words.Until+" "+part) {
			kept = append(kept, part)
		}
	}
	if len(kept) == 0 || len(kept) == len(strings.Split(text, " "+words.And+" ")) {
		return ""
	}
	return words.Until + " " + strings.Join(kept, " "+words.And+" ")
}

// comesAlong says what an action takes in besides: a fat it fries in, or what
// else was to go in before.
func (w *writer) comesAlong(n *node, lines []int) string {
	words := w.c.words()
	var things []named
	preposition := words.With
	for _, line := range lines {
		if s := w.stand[line]; s != nil && s.bare && n.Technique.Family != "dry heat" {
			continue // only a frying has a use for spoonfuls of water
		}
		if t, ok := w.ofLine(line, w.shares[line]); ok {
			things = append(things, t)
			if n.Technique.Medium == "fat" && w.c.fatLine(w.line(line)) {
				preposition = words.In
			}
		}
	}
	if len(things) == 0 {
		return ""
	}
	return preposition + " " + w.c.listing(things)
}

// apply puts edits into the words of an action.
func (w *writer) apply(a *recipe.Action, edits []edit) string {
	slices.SortStableFunc(edits, func(x, y edit) int { return x.from - y.from })
	var b strings.Builder
	at := a.From
	for _, e := range edits {
		if e.from < at {
			continue
		}
		b.WriteString(w.slice(at, e.from))
		if e.text == "" {
			trimmed := w.withoutJoint(strings.TrimRight(b.String(), " ,"))
			b.Reset()
			b.WriteString(trimmed)
		} else {
			b.WriteString(e.text)
		}
		at = e.upto
	}
	b.WriteString(w.slice(at, a.Upto))
	return tidy(b.String())
}

// withoutJoint takes off a conjunction that now joins nothing: "or" before a cue
// that is gone.
func (w *writer) withoutJoint(text string) string {
	at := strings.LastIndexByte(text, ' ')
	if at > 0 && w.l.Language().Conjunctions[strings.ToLower(text[at+1:])] {
		return strings.TrimRight(text[:at], " ,")
	}
	return text
}

// tidy closes up the blanks that are left where words were taken out.
func tidy(text string) string {
	text = strings.Join(strings.Fields(text), " ")
	for _, mark := range []string{",", ".", ";", ":"} {
		text = strings.ReplaceAll(text, " "+mark, mark)
	}
	return strings.Trim(strings.ReplaceAll(text, ",,", ","), " ,")
}

// plain writes an action from its parts alone: verb, what it is done to, with
// what, how long.
func (w *writer) plain(n *node, d *deed, own *clause) string {
	a := n.Action
	words := w.c.words()
	at := w.nodeOf(a.ID)
	verb := a.Verb
	if d.say != "" {
		verb = d.say
	} else if len(w.animalWords(larder.Capital(verb)+" "+w.c.words().It+".")) > 0 {
		verb = strings.ReplaceAll(n.Technique.Name, "-", " ") // "butter the dish"
	}
	var to, with []named
	for _, line := range d.subject {
		if t, ok := w.ofLine(line, 1); ok && len(d.subject) <= mostSubjects {
			to = append(to, t)
		}
	}
	if len(d.subject) == 0 {
		to = w.things(a.To, at)
		with = w.things(slices.DeleteFunc(slices.Clone(a.With), func(r recipe.Ref) bool { return r.Made != nil && r.Of == "" }), at)
	}
	own.objects = to
	text := verb
	if len(to) > 0 {
		text += " " + w.c.listing(to)
	}
	if len(with) > 0 {
		preposition := words.With
		if n.Technique.Medium == "fat" || n.Technique.Medium == "liquid" {
			preposition = words.In
		}
		text += " " + preposition + " " + w.c.listing(with)
	}
	minutes := a.Minutes
	if d.minutes != nil {
		minutes = d.minutes
	}
	if minutes != nil {
		text += " " + words.For + " " + w.c.spoken(*minutes)
	}
	if a.Cue != "" && !d.cueless {
		text += " " + a.Cue
	}
	return text
}

// things names what references mean, as far as it is there.
func (w *writer) things(refs []recipe.Ref, at int) []named {
	var out []named
	for _, r := range refs {
		switch {
		case r.Line != nil:
			line := w.lineNumber(*r.Line)
			if line >= 0 && w.there(line, at) {
				if t, ok := w.ofLine(line, r.Share); ok {
					out = append(out, t)
				}
			}
		case r.Named != nil:
			if len(w.animalWords(*r.Named)) == 0 && !w.fleshly(*r.Named) {
				out = append(out, named{text: w.c.words().The + " " + *r.Named})
			}
		case r.Made != nil:
			if t, ok := w.madeThing(r, at); ok {
				out = append(out, t)
			}
		}
	}
	return out
}

// madeThing names what an action made: the one thing of it that is meant, what
// it holds where that is little, or everything.
func (w *writer) madeThing(r recipe.Ref, at int) (named, bool) {
	lines, _ := w.meant(recipe.Noun{Refs: []recipe.Ref{r}})
	var out []named
	for _, line := range lines {
		if !w.there(line, at) {
			continue
		}
		if t, ok := w.ofLine(line, 1); ok {
			out = append(out, t)
		}
	}
	switch {
	case len(out) == 0:
		return named{}, false
	case len(out) > mostNamed:
		return named{text: w.c.words().Everything}, true
	}
	return named{text: w.c.listing(out), plural: len(out) > 1 || out[0].plural, stand: out[0].stand}, true
}

// mostSubjects is how many things are named that are cooked without what was; the
// content of a pot needs no name.
const mostSubjects = 2

// mostNamed is how many things are named one by one where the text says "it".
const mostNamed = 3

// spoken says a time.
func (c *Carrier) spoken(s measure.Span) string {
	words := c.words()
	unit, low, high := words.Minutes, s.Low, s.High
	if s.Low >= hoursFrom {
		unit, low, high = words.Hours, s.Low/60, s.High/60
	}
	if low == high {
		if unit == words.Minutes && low == 1 {
			unit = words.Minute
		}
		return fmt.Sprintf("%g %s", low, unit)
	}
	return fmt.Sprintf("%g %s %g %s", low, words.To, high, unit)
}

// hoursFrom is the time in minutes from which hours are said.
const hoursFrom = 120
