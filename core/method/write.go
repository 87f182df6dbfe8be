package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/language"
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
	leads      bool // it says what goes in with the clause behind it
	// objects are what the clause names as worked on, stands those of them that
	// stand for something.
	objects []named
	stands  []*standIn
	whys    []string
	// heads are what heads the list of what it adds.
	heads []*standIn
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
	// headedBy is what went in at the head of the list of the action at hand.
	headedBy []*standIn
	// component is the part of the dish it is written for, lines what that lists.
	component int
	lines     []recipe.Line
	// before is the clause written last in the step; emptied tells that nothing
	// was left of the one before.
	before  *clause
	emptied bool
	// lostVerb is the verb of a clause that is gone, which others are said without: "add the
	// cod and cook it, then the prawns".
	lostVerb string
	// done is where the text is written up to.
	done int
	// fatAt is where a fat ended in the cook's words that goes by another name now.
	fatAt int
	// thinned tells that it lost a thing that it took in.
	thinned bool
	// pot is where work that is not done any more was to be done: "in a large pot".
	pot string
	// fatPut tells that a fat was put into the pan with what fried in its own.
	fatPut bool
	// oiled tells that a fat is heated for the action at hand, which its own words do not have.
	oiled bool
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
	if d.drop || d.silent || w.hangsOn(n) {
		own.gone, own.changed = true, true
		w.leavesPot(n)
		w.lendsVerb(a, own)
		return []*clause{own}
	}
	out = append(w.heatsFat(i), w.slakedFor(i)...)
	before := w.unsaid(n, d.before)
	onto := w.ontoThem(n, before)
	if w.first, w.headedBy = nil, nil; onto != nil {
		before = nil // "add the sugar to the whipped aquafaba"
	} else if a.Verb == w.c.words().Add && len(a.Words.Phrases) > 0 && a.Words.Phrases[0].Role == "to" && !w.bitByBit(a) {
		w.first, w.headedBy, own.heads = before, before, before // they head the list of what is added
	} else if w.takesObject(n, before) {
		w.object = before // "season", of what went in before
	} else if len(before) > 0 {
		out = append(out, w.adds(before...))
		out[len(out)-1].leads = true
	} else {
		w.object = append(w.impliedLost(n), w.takenUnnamed(n)...)
	}
	edits, ok := w.edits(n, d, own)
	edits = slices.Concat(edits, onto, w.notDry(n))
	switch {
	case !ok:
		own.gone, own.changed = true, true
		w.leavesPot(n)
	case len(d.subject) == 0 && w.greasing(a) != "":
		own.text, own.changed = w.apply(a, append(edits, edit{a.Words.Verb[0], a.Words.Verb[1], w.greasing(a)})), true
	case a.Per > 0 && d.minutes != nil, len(d.subject) > 0, w.goesAlone(n), w.sharesWithGone(n), d.say != "" && w.animalVerb(a.Verb), w.verbOfGone(n):
		own.text, own.changed = w.plain(n, d, own), true
	case len(edits) == 0:
		own.text = strings.TrimLeft(w.slice(max(a.From, w.done), a.Upto), " ,")
	default:
		own.text, own.changed = w.apply(a, edits), true
		own.trimmed = slices.ContainsFunc(edits, func(e edit) bool { return e.upto == a.Upto && e.text == "" })
	}
	own.changed = own.changed || len(out) > 0 && a.Words.Verb[1] == 0 // "heat the oil and put garlic in"
	w.lendsVerb(a, own)
	if n.Technique.Joins == "yes" && len(d.before) > 0 && len(a.Words.Phrases) == 0 && !slices.ContainsFunc(n.To, func(line int) bool { return w.stand[line] == nil }) && !slices.ContainsFunc(a.Words.Phrases, func(x recipe.Phrase) bool { return x.Role == "to" }) {
		own.gone = true // what goes in has been said to
	} else if where, ok := w.saidToGoIn(n, own, d.before); ok && len(out) > 0 && out[len(out)-1].leads {
		adds := out[len(out)-1] // "put them back", of which all go in only now
		own.text, own.changed, own.stands = adds.text+where, true, append(own.stands, adds.stands...)
		out = out[:len(out)-1]
	}
	w.putWithFat(i, own)
	out = append(out, own)
	if !own.gone {
		w.before = own
	}
	out = append(append(out, w.poursOn(d, own)...), w.goesInLate(n, d, own)...)
	out = append(out, w.minutesBy(w.c.words().Boil, d.boil)...)
	return append(append(out, w.minutesBy(w.c.words().Simmer, d.braises)...), append(w.setsThem(d), w.bubbled(d)...)...)
}

// minutesBy is the clause that gives what has gone in some minutes by a verb; none where it wants none.
func (w *writer) minutesBy(verb string, minutes float64) []*clause {
	if minutes == 0 {
		return nil
	}
	return []*clause{{node: -1, changed: true, text: verb + " " + w.c.words().For + " " + w.c.spoken(measure.Exactly(minutes))}}
}

// lendsVerb gives a clause that is said without a verb the one that went with the clause before,
// and notes which verb went with this one.
func (w *writer) lendsVerb(a *recipe.Action, own *clause) {
	switch {
	case a.Words.Verb[1] > 0 || own.text == "":
	case w.emptied || w.lostVerb == a.Verb:
		if w.opensSentence(a) {
			own.text = lowered(own.text) // "Wine next"
		}
		verb := a.Verb
		if first, last, ok := strings.Cut(verb, " "); ok && slices.Contains(larder.Words(own.text), last) {
			verb = first // "garlic in" has its particle
		}
		own.text, own.changed = verb+" "+own.text, true // "then the carrots"
	case own.changed && w.opensSentence(a):
		verb, _, _ := strings.Cut(a.Verb, " ")
		own.text = verb + " " + lowered(own.text) // "Pecorino on the table"
	}
	switch said := a.Words.Verb[1] > 0; {
	case own.gone && said:
		w.lostVerb = a.Verb
	case !own.gone && w.lostVerb == a.Verb:
		w.lostVerb = ""
	}
}

// opensSentence tells whether the words of an action begin a sentence.
func (w *writer) opensSentence(a *recipe.Action) bool {
	before := strings.TrimRight(w.slice(0, a.From), " \n")
	return before == "" || strings.ContainsAny(before[len(before)-1:], ".!?")
}

// greasing is what is said for a verb in -ing that names an animal's fat: "buttering each"; empty
// for any other.
func (w *writer) greasing(a *recipe.Action) string {
	return w.c.words().DoneWith[strings.ToLower(w.slice(a.Words.Verb[0], a.Words.Verb[1]))]
}

// goesAlone tells whether an action is said only beside one that is not done any more:
// "lift out the chicken, scraping off the onions".
func (w *writer) goesAlone(n *node) bool {
	at := w.graph.Number(n)
	if at == 0 || w.graph.Nodes[at-1].At != n.At || !w.deeds[at-1].drop {
		return false
	}
	verb := strings.ToLower(w.slice(n.Action.Words.Verb[0], n.Action.Words.Verb[1]))
	return slices.ContainsFunc(w.l.Language().Verb(verb), func(r language.Reading) bool { return r.Form == language.Going })
}

// verbOfGone tells whether the verb itself names a line that was replaced: "flour the veal", with
// potato starch for the flour.
func (w *writer) verbOfGone(n *node) bool {
	verb := larder.Words(n.Action.Verb)
	return len(verb) == 1 && slices.ContainsFunc(n.With, func(line int) bool {
		s, own := w.stand[line], larder.Words(w.line(line).Name)
		return s != nil && !s.gone && len(own) > 0 && own[len(own)-1] == verb[0]
	})
}

// animalVerb tells whether a verb itself names animal matter: "butter the dish".
func (w *writer) animalVerb(verb string) bool {
	return len(w.animalWords(larder.Capital(verb)+" "+w.c.words().It+".")) > 0
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

// named are stand-ins as a sentence names them.
func (w *writer) named(stands []*standIn) []named {
	var out []named
	for _, s := range stands {
		out = append(out, w.c.stand(s, w.shareLost(s.node), false))
	}
	return out
}

// whollyNamed names all of each of some stand-ins.
func (w *writer) whollyNamed(stands []*standIn) []named {
	out := make([]named, len(stands))
	for k, s := range stands {
		out[k] = w.c.stand(s, 1, false)
	}
	return out
}

// shareLost is the share of a line that only dropped work names, or work before what stands
// for it goes in, where what is done later names the rest; else all of it.
func (w *writer) shareLost(line int) float64 {
	if at := w.takenAside(line); at >= 0 {
		return 1 - w.graph.Nodes[at].Action.To[0].Share
	}
	lost, kept := 0.0, false
	for k := range w.graph.Nodes {
		switch {
		case !slices.Contains(w.graph.Nodes[k].Named, line), w.merged(line, k):
		case w.deeds[k].drop, w.stand[line] != nil && w.stand[line].tail > 0 && k <= w.stand[line].enters:
			lost += w.shareAt(line, k)
		default:
			kept = true
		}
	}
	if !kept || lost >= nearlyAll || lost <= 0 {
		return 1
	}
	return lost
}
