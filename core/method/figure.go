package method

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// figures are the verb, the time and the cue where they are others now, and what
// comes along, where it is not among the things that are said.
func (w *writer) figures(n *node, d *deed, said []named) []edit {
	a := n.Action
	words := w.c.words()
	var out []edit
	verb := w.withoutManner(a, d.say)
	if verb == "" && len(w.object) > 0 {
		verb = w.slice(a.Words.Verb[0], a.Words.Verb[1])
	}
	if verb != "" && a.Words.Verb[1] > 0 {
		if len(w.object) > 0 {
			said, behind := w.splitVerb(verb)
			verb = said + " " + w.c.listing(w.namedObject(n)) + behind
		}
		out = append(out, edit{a.Words.Verb[0], a.Words.Verb[1], verb})
	}
	out = append(out, w.neverOutEdits(n, d)...)
	if k := slices.IndexFunc(a.Words.Phrases, func(p recipe.Phrase) bool { return p.Role == "in" && len(p.Nouns) > 0 }); k >= 0 && d.say == words.Blend && len(n.Into) > 0 && len(said) == 0 {
		out = append(out, edit{a.Words.Phrases[k].From, a.Words.Phrases[k].Nouns[0].From, " "}) // "fold in the chocolate", into nothing
	}
	w.object = nil
	tail := ""
	if len(d.along) > 0 {
		along, object := w.comesAlong(n, d.along, said, len(d.before) == 0)
		switch at := w.behindThings(a); {
		case along == "":
		case object && a.Words.Verb[1] > a.From && (verb == "" || n.Technique.Family == "gentle heat"):
			out = append(out, edit{a.Words.Verb[1], a.Words.Verb[1], " " + along})
		case at > 0:
			out = append(out, edit{at, at, " " + along})
		default:
			tail = " " + along
		}
	}
	if d.minutes != nil {
		if at := a.Words.Time; at[1] > 0 && at[0] >= a.From && at[1] <= a.Upto {
			at, say := w.timeNow(a, d, at)
			out = append(out, edit{at[0], w.otherTime(a, at[1]), w.lastOf(at) + say})
		} else {
			tail += " " + words.For + " " + w.c.spoken(*d.minutes)
		}
	}
	out = append(out, w.furtherNoMore(n, d)...)
	if at := a.Words.Cue; d.cueless && at[1] > 0 && at[0] >= a.From && at[1] <= a.Upto {
		out = append(out, edit{at[0], at[1], strings.TrimSpace(tail + " " + w.otherCue(n, d))})
		tail = "" // said in its place
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

// timeNow is where a time stands that is another now, and what is said for it.
func (w *writer) timeNow(a *recipe.Action, d *deed, at [2]int) (where [2]int, say string) {
	say = w.c.spoken(*d.minutes)
	if side := w.eachSide(at); side != "" {
		say = w.c.spoken(d.minutes.Times(0.5)) + " " + side // half of it for each
	}
	if cue := a.Words.Cue; d.cueless && cue[1] > a.From && cue[1] <= at[0] {
		at[0], say = cue[0], w.c.words().For+" "+say // "until thick, about 10 minutes"
	}
	return at, say
}

// withoutManner is a verb that is said instead of another without the word for how it is done, where the action's own words
// say that too: "chop ... finely".
func (w *writer) withoutManner(a *recipe.Action, verb string) string {
	how, bare, ok := strings.Cut(verb, " ")
	if ok && slices.ContainsFunc(a.Words.Manners, func(m [2]int) bool {
		return slices.Contains(strings.Fields(strings.ToLower(w.slice(m[0], m[1]))), how)
	}) {
		return bare
	}
	return verb
}

// lastOf are the words of a time that say that it is the end of a longer one, with a blank behind: "the last ".
func (w *writer) lastOf(at [2]int) string {
	words := strings.Fields(w.slice(at[0], at[1]))
	k := slices.IndexFunc(words, func(word string) bool { return w.l.Language().Lasts[strings.ToLower(word)] })
	if k < 0 {
		return ""
	}
	return strings.Join(words[:k+1], " ") + " "
}

// eachSide are the words behind a time by which it is that of each side: "each side", "per side"; empty where it is that
// of all.
func (w *writer) eachSide(at [2]int) string {
	words := strings.Fields(w.slice(at[0], at[1]))
	lang := w.l.Language()
	k := len(words) - 1
	if k < 1 || !lang.Sides[strings.ToLower(words[k])] {
		return ""
	}
	for k > 0 && lang.TimeUnits[strings.ToLower(words[k-1])] == 0 {
		k--
	}
	return strings.Join(words[k:], " ")
}

// otherTime is where words end behind a time that give another for another heat, which goes with it: "for 8 hours, or
// High for 5"; where none stand there, it is the end of the time.
func (w *writer) otherTime(a *recipe.Action, from int) int {
	upto := a.Upto
	if cue := a.Words.Cue; cue[1] > 0 && cue[0] > from {
		upto = cue[0]
	}
	said := w.slice(from, upto)
	bare := strings.TrimLeft(said, ", ")
	first, rest, _ := strings.Cut(bare, " ")
	if !w.l.Language().Lines.Or[strings.ToLower(first)] {
		return from
	}
	rest, _, _ = strings.Cut(rest, ",")
	if len(strings.Fields(rest)) > mostOtherTime || !strings.ContainsFunc(rest, unicode.IsDigit) {
		return from
	}
	return from + utf8.RuneCountInString(said[:len(said)-len(bare)]) + utf8.RuneCountInString(first+" "+strings.TrimRight(rest, " "))
}

// mostOtherTime is of how many words such a time is at most: "High for 5 hours".
const mostOtherTime = 5

// behindThings is where the last thing that an action names ends, if it says behind it
// how the action is done; 0 where it does not.
func (w *writer) behindThings(a *recipe.Action) int {
	at := 0
	for _, p := range a.Words.Phrases {
		if p.Upto <= a.Upto {
			at = max(at, p.Upto)
		}
	}
	if at == 0 && a.Words.Verb[1] > a.From {
		at = a.Words.Verb[1] // "simmer for 20 minutes without stirring"
	}
	if at == 0 || !slices.ContainsFunc(a.Words.Manners, func(m [2]int) bool { return m[0] >= at && m[1] <= a.Upto }) {
		return 0
	}
	return at
}

// comesAlong says what an action takes in besides: a fat it fries in, or what
// else was to go in before. It is the object of a cooking that is open, that names none, where
// some of it pours.
func (w *writer) comesAlong(n *node, lines []int, said []named, open bool) (text string, object bool) {
	words := w.c.words()
	var things []named
	preposition := words.With
	object = open && n.Technique.Family == "wet heat" && len(n.Action.Words.Phrases) == 0
	melts := open && n.Technique.Family == "gentle heat" && !namesObject(n.Action) && !slices.ContainsFunc(lines, func(line int) bool { return !w.fries(line) })
	pours := false
	for _, line := range lines {
		if s := w.stand[line]; s != nil && s.bare && n.Technique.Family != "dry heat" {
			continue // only a frying has a use for spoonfuls of water
		}
		t, ok := w.ofLine(line, w.shares[line])
		if own := w.called[line]; ok && own != "" {
			t.text = own
		}
		t.text += w.described[line]
		if ok && !slices.ContainsFunc(said, func(o named) bool { return o.text == t.text }) {
			things = append(things, t)
			pours = pours || larder.Pours(w.l.Food(w.line(line).FoodID())) && !w.c.fatLine(w.line(line))
			if (n.Technique.Medium == "fat" || n.Is("cook") && cookedDry(n)) && w.c.fatLine(w.line(line)) && w.fries(line) {
				preposition = words.In
			}
		}
	}
	if len(things) == 0 {
		return "", false
	}
	for _, said := range w.deeds[w.graph.Number(n)].alongWords {
		things = append(things, named{text: said})
	}
	if melts {
		return w.c.listing(things), true // "heat the oil in a pan", for "cut the butter into cubes and melt in a pan"
	}
	if object && pours {
		return w.c.listing(things), true // "bring the water and the bay leaves to the boil"
	}
	return preposition + " " + w.c.listing(things), false
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
		at = e.upto
		if e.text == "" {
			before := b.String()
			trimmed := w.withoutJoint(strings.TrimRight(strings.TrimSuffix(strings.TrimRight(before, " ,–—"), " -"), " ,"))
			b.Reset()
			b.WriteString(trimmed)
			ends := func(x [2]int) bool { return x[1] > 0 && x[0] > at && x[0] <= at+2 }
			if strings.HasSuffix(strings.TrimRight(before, " "), ",") && w.slice(at, at+1) == "," && !ends(a.Words.Cue) && !ends(a.Words.Time) {
				at++ // "press, prawn side down, into the seeds"
			}
		} else {
			b.WriteString(e.text)
		}
	}
	b.WriteString(w.slice(at, a.Upto))
	return tidy(b.String())
}

// withoutJoint takes off a conjunction that now joins nothing: "or" before a cue
// that is gone.
func (w *writer) withoutJoint(text string) string {
	at := strings.LastIndexByte(text, ' ')
	if words := strings.Fields(strings.ToLower(text)); len(words) > 2 && w.l.Language().Recurring[strings.Join(words[len(words)-3:], "-")] {
		return text
	}
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

// spoken says a time.
func (c *Carrier) spoken(s measure.Span) string {
	words := c.words()
	unit, low, high := words.Minutes, s.Low, s.High
	if s.Low >= hoursFrom {
		unit, low, high = words.Hours, inHours(s.Low), inHours(s.High)
	}
	if low == high {
		if unit == words.Minutes && low == 1 {
			unit = words.Minute
		}
		return fmt.Sprintf("%g %s", low, unit)
	}
	return fmt.Sprintf("%g %s %g %s", low, words.To, high, unit)
}

// inHours are minutes in hours as they are said, to a quarter of one.
func inHours(minutes float64) float64 { return math.Round(minutes/60*4) / 4 }

// hoursFrom is the time in minutes from which hours are said.
const hoursFrom = 120
