package flow

import (
	"math"
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Segment is a stretch of a step in which hands are busy throughout, or not at
// all.
type Segment struct {
	Hands   bool
	Minutes float64
	// Heat is that of the ring, or "oven"; empty for none. Celsius is the oven's,
	// 0 where the text does not say.
	Heat    string
	Celsius float64
	Kit     []string
	// Actions are the indexes of the step's actions in it.
	Actions []int
}

// How attention is counted; estimates.
const (
	// attendedMinutes is how long hands stay at something that goes on longer
	// and only wants a stir now and then.
	attendedMinutes = 8.0
	// beginMinutes is what it takes to put on what then goes on alone.
	beginMinutes = 1.0
	// shortAlone is how long something must go on alone to be worth leaving.
	shortAlone = 4.0
	// leastHands is the least that any work takes, mostAside the most that
	// cutting and stirring along the way take in one stretch.
	leastHands, mostAside = 1.0, 20.0
)

// Segments takes a step apart into work by hand and what goes on alone, by the
// minutes its actions say, else by what their techniques usually take.
func Segments(l *larder.Larder, s *recipe.Step) []Segment {
	var out []Segment
	for i := range s.Actions {
		a := &s.Actions[i]
		t := l.Technique(a.Technique)
		if t == nil || t.Family == controlFamily || t.Name == "preheat" {
			continue
		}
		hands, alone := attention(l, a, t)
		seg := Segment{Heat: heatOf(l, a, t), Kit: kitOf(t), Actions: []int{i}}
		if a.Celsius != nil {
			seg.Celsius = *a.Celsius
		}
		if hands > 0 {
			work := seg
			work.Hands, work.Minutes = true, hands
			out = join(out, work)
		}
		if alone > 0 {
			seg.Minutes = alone
			out = append(out, seg)
		}
	}
	for i := range out {
		if out[i].Hands {
			out[i].Minutes = math.Max(out[i].Minutes, leastHands)
		}
	}
	return out
}

// controlFamily holds what is done to the fire and not to the food.
const controlFamily = "control"

// attention is how long an action keeps hands busy and how long it then goes on
// alone.
func attention(l *larder.Larder, a *recipe.Action, t *larder.Technique) (hands, alone float64) {
	minutes := Lasts(l, a, t)
	if constant(l, a) {
		return minutes, 0
	}
	if t.HandsOn {
		if t.Heat == "" || minutes <= attendedMinutes+shortAlone {
			return minutes, 0
		}
		return attendedMinutes, minutes - attendedMinutes
	}
	if minutes < shortAlone {
		return minutes, 0
	}
	return beginMinutes, minutes
}

// Lasts is how long an action takes in minutes: what its words say, else what its
// technique usually takes, or what a pot takes to get hot where that is all.
func Lasts(l *larder.Larder, a *recipe.Action, t *larder.Technique) float64 {
	first, _, _ := strings.Cut(a.Verb, " ")
	switch {
	case a.Minutes != nil:
		return a.Minutes.Mid()
	case a.Cue == "" && t.Usual > briefMinutes && slices.ContainsFunc(a.Manner, func(how string) bool { return l.Language().Brief[strings.ToLower(how)] }):
		return briefMinutes
	case t.Family == "wet heat" && endsIn(a, l.Language().GlazeWords):
		return math.Min(t.Usual, glazeMinutes)
	case t.Name == cookTechnique && endsIn(a, l.Language().Surfaces):
		return math.Min(t.Usual, l.Technique(fryTechnique).Usual)
	case t.Family == "wet heat" && thickensLittle(l, a):
		return math.Min(t.Usual, l.Technique(thickenTechnique).Usual)
	case a.Cue == "" && t.Family == "wet heat" && l.Language().Coming[first]:
		return math.Min(t.Usual, comesMinutes)
	}
	return t.Usual
}

// thickenTechnique lets a liquid thicken.
const thickenTechnique = "thicken"

// thickensLittle tells whether an action goes on until a liquid has thickened a little: "until slightly thickened".
func thickensLittle(l *larder.Larder, a *recipe.Action) bool {
	words := larder.Words(a.Cue)
	return slices.ContainsFunc(words, func(w string) bool { return l.Language().ThickWords[w] }) && slices.ContainsFunc(words, func(w string) bool { return l.Language().SlightWords[w] })
}

// endsIn tells whether an action goes on until a thing looks by one of some words. Glazes are those of a liquid that boils down onto
// what lies in it ("let it bubble until sticky"), surfaces those of dry heat ("cook until crisp").
func endsIn(a *recipe.Action, looks language.Set) bool {
	return slices.ContainsFunc(larder.Words(a.Cue), func(w string) bool { return looks[w] })
}

// glazeMinutes is what a little liquid takes to boil down onto what lies in it; an estimate.
const glazeMinutes = 3.0

// fryTechnique cooks in fat.
const fryTechnique = "fry"

// briefMinutes is how long "briefly" is; an estimate.
const briefMinutes = 2.0

// comesMinutes is what a pot takes to come to the boil; an estimate.
const comesMinutes = 8.0

// constant tells whether an action wants hands all the time: "stirring
// constantly".
func constant(l *larder.Larder, a *recipe.Action) bool {
	for _, how := range a.Manner {
		for _, w := range strings.Fields(strings.ToLower(how)) {
			if l.Language().Constant[strings.Trim(w, ",.;")] {
				return true
			}
		}
	}
	return false
}

// heatOf is the heat an action says, or the usual one of its technique.
func heatOf(l *larder.Larder, a *recipe.Action, t *larder.Technique) string {
	if t.Heat == "" || t.Heat == "oven" || a.Heat == "" {
		return t.Heat
	}
	for _, w := range strings.FieldsFunc(a.Heat, func(r rune) bool { return r == ' ' || r == '-' }) {
		if h := l.Language().RingHeats[w]; h != "" {
			return h
		}
	}
	return t.Heat
}

// kitOf is what a technique takes up besides a ring or an oven.
func kitOf(t *larder.Technique) []string {
	var kit []string
	for _, k := range t.Kit {
		if k != "ring" && k != "oven" {
			kit = append(kit, k)
		}
	}
	return kit
}

// join adds a stretch of work, into the one before it where that is work too.
func join(out []Segment, work Segment) []Segment {
	n := len(out)
	if n == 0 || !out[n-1].Hands || out[n-1].Heat == "oven" || work.Heat == "oven" {
		return append(out, work)
	}
	last := &out[n-1]
	last.Actions = append(last.Actions, work.Actions...)
	for _, k := range work.Kit {
		if !slices.Contains(last.Kit, k) {
			last.Kit = append(slices.Clone(last.Kit), k)
		}
	}
	aside := last.Heat == "" && work.Heat == ""
	last.Minutes += work.Minutes
	if aside {
		last.Minutes = math.Min(last.Minutes, mostAside)
	}
	if work.Heat != "" {
		last.Heat = work.Heat
	}
	return out
}

// Brief is what an action says in a few words, to be read on a bar.
func Brief(s *recipe.Step, actions []int) string {
	if len(actions) == 0 || actions[0] >= len(s.Actions) {
		return brief(s.Text)
	}
	a := &s.Actions[actions[0]]
	runes := []rune(s.Text)
	if a.From < 0 || a.Upto > len(runes) || a.From >= a.Upto {
		return brief(s.Text)
	}
	return brief(string(runes[a.From:a.Upto]))
}

// Words are what a step says of some of its actions, from the first word of the
// first to the last of the last; the whole step where that is not known.
func Words(s *recipe.Step, actions []int) string {
	runes := []rune(s.Text)
	from, upto := len(runes), 0
	for _, i := range actions {
		if i < len(s.Actions) {
			from, upto = min(from, s.Actions[i].From), max(upto, s.Actions[i].Upto)
		}
	}
	if from < 0 || upto > len(runes) || from >= upto {
		return s.Text
	}
	return larder.Capital(strings.Trim(string(runes[from:upto]), " ,;.")) + "."
}

// wordsOfBrief is how many words a bar has room for.
const wordsOfBrief = 7

func brief(text string) string {
	words := strings.Fields(text)
	if len(words) > wordsOfBrief {
		words = words[:wordsOfBrief]
	}
	out := strings.Join(words, " ")
	if at := strings.IndexAny(out, ".,;:("); at > 8 {
		out = out[:at]
	}
	for trimmed := true; trimmed; {
		trimmed = false
		if at := strings.LastIndex(out, " "); at > 0 && danglingWord(out[at+1:]) {
			out, trimmed = out[:at], true
		}
	}
	return larder.Capital(strings.TrimRight(out, ".,;:( "))
}

// danglingWord tells whether a few words cannot end on a word: short ones lead on.
func danglingWord(w string) bool { return len(w) <= 3 && strings.ToLower(w) == w }
