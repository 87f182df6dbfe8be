package method

import (
	"math"
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// stateSaid is the word by which a noun says how its thing is when it goes in, where that holds
// for what stands in too: "hot", or "reserved" where some is kept; empty where it says none.
func (w *writer) stateSaid(noun recipe.Noun, line, at int) string {
	words := w.c.words()
	for _, said := range strings.Fields(strings.ToLower(w.slice(noun.From, noun.Upto))) {
		if words.Warmth[said] {
			return said
		}
		if words.KeptBack[said] && slices.ContainsFunc(w.graph.Nodes[:at], func(n flow.Node) bool {
			return n.Is("reserve") && slices.Contains(n.To, line) && !w.deeds[w.graph.Number(&n)].drop
		}) {
			return said
		}
		if slices.ContainsFunc(w.graph.Nodes[:at], func(n flow.Node) bool {
			d := &w.deeds[w.graph.Number(&n)]
			return n.Technique.Heat != "" && n.Reaches(line) && !d.drop && !d.cueless && !w.cueGone(&n) && slices.Contains(strings.FieldsFunc(strings.ToLower(n.Action.Cue), func(r rune) bool { return r == ' ' || r == ',' }), said)
		}) && len(w.animalWords(said)) == 0 && !w.ownName(said, []int{line}) && !w.l.Language().Articles[said] {
			return said // "the crisp noodles", that were fried until crisp
		}
	}
	return ""
}

// inState says how the only thing is that stands for a noun, as the text does.
func (w *writer) inState(noun recipe.Noun, lines []int, at int, things []named) []named {
	if len(things) != 1 || len(lines) != 1 || things[0].stand == nil || things[0].stand.bare || things[0].stand.node != lines[0] {
		return things
	}
	the := w.c.words().The + " "
	if state := w.stateSaid(noun, lines[0], at); state != "" && !slices.Contains(larder.Words(things[0].text), state) {
		things[0].text = strings.TrimSuffix(things[0].text, the+things[0].stand.name) + the + state + " " + things[0].stand.name
	}
	return things
}

// measureOf is a name with the measure of the text: "a few of the mushroom slices", where the
// text has a few slices.
func (w *writer) measureOf(measure, name string) string {
	said, named := strings.Fields(measure), larder.Words(name)
	if n := len(said) - 2; n > 0 && len(named) > 0 && larder.Singular(strings.ToLower(said[n])) == larder.Singular(named[len(named)-1]) {
		return strings.Join(slices.Delete(said, n, n+1), " ") + " " + w.c.words().The + " " + name
	}
	return measure + name
}

// byMeasure is a stand-in by the measure of the text: but of what has run there are no slices.
func (w *writer) byMeasure(measure string, s *standIn) string {
	if s.is(larder.Melted) && w.inCuts(measure) {
		return w.c.words().Some + " " + w.c.words().The + " " + s.name
	}
	return w.measureOf(measure, s.name)
}

// inCuts tells whether a measure is one of pieces that are cut: "2 slices of".
func (w *writer) inCuts(measure string) bool {
	return slices.ContainsFunc(larder.Words(measure), func(word string) bool { return w.l.Language().Shapes[word] })
}

// ownMeasure is how much of a thing a text says by a measure, in its own words; empty
// where it says a share.
func (w *writer) ownMeasure(noun recipe.Noun) string {
	return w.measureSaid(w.slice(noun.From, noun.Name), noun)
}

// measureSaid is the measure among the words before a name: "a spoonful of"; empty where they say a share.
func (p *plan) measureSaid(words string, noun recipe.Noun) string {
	lang := p.l.Language()
	if noun.Rest || !noun.Measured {
		return ""
	}
	measured := false
	for _, x := range strings.Fields(strings.ToLower(words)) {
		if lang.Shares[x] > 0 || lang.Rests[x] {
			return ""
		}
		measured = measured || lang.Measures[x] || lang.Littles[x] > 0
	}
	if !measured {
		return ""
	}
	return strings.TrimSpace(words) + " "
}

// asMuch tells whether about as much stands in as there was, so that a measure of one is one of the other; of less oil than there
// was butter, only a share is, and of more a spoonful still is one, but no slice.
func (w *writer) asMuch(s *standIn, measure string) bool {
	was, now := s.was.Mass(), 0.0
	most := 1 + aboutAsMuch
	if lang := w.l.Language(); slices.ContainsFunc(strings.Fields(strings.ToLower(measure)), func(x string) bool { return lang.Measures[x] && !lang.Shapes[x] }) {
		most = 1 + muchMore
	}
	for _, k := range s.lines {
		if l := &w.a.Components[s.component].Lines[k]; !w.c.strainedOut(l) || larder.Pours(w.l.Food(l.FoodID())) {
			now += l.Mass()
		}
	}
	return was == 0 || now == 0 || now/was >= 1-aboutAsMuch && now/was <= most && !w.otherBulk(s)
}

// lessThanMeasured tells whether a pronoun means a measure of one line for which less stands than that: "1 tbsp of it", of oil for
// butter.
func (w *writer) lessThanMeasured(noun recipe.Noun, lines []int) bool {
	measure := w.ownMeasure(noun)
	return measure != "" && len(lines) == 1 && w.stand[lines[0]] != nil && !w.asMuch(w.stand[lines[0]], measure)
}

// otherBulk tells whether a cup of a stand-in that runs weighs another amount by far than one of what it stands for, which
// the list has by volume: grated cheese lies loosely.
func (p *plan) otherBulk(s *standIn) bool {
	a := s.was.Amount
	if a == nil || !s.is(larder.Melted) {
		return false
	}
	if d, known := measure.DimensionOf(a.Unit); !known || d != measure.Volume {
		return false
	}
	ml := (a.Low + a.High) / 2 * measure.MillilitresOf(a.Unit, measure.Metric)
	return ml > 0 && s.was.Mass() < loosely*ml
}

// loosely is the most that a millilitre of something in loose bits weighs, in grams; an estimate.
const loosely = 0.7

// aboutAsMuch is by what share less there may be of what is measured alike, muchMore by what share more, of which some is left
// or boils away; estimates.
const (
	aboutAsMuch = 0.2
	muchMore    = 0.5
)

// resized is the share of a line of the cook's own that a noun means by a measure, where another amount of it is listed
// now: "a teaspoon of the salt", of which there is less; none where that is not so.
func (w *writer) resized(noun recipe.Noun, lines []int, made bool) []named {
	if made || len(lines) != 1 || len(noun.Refs) != 1 || noun.Refs[0].Line == nil || w.stand[lines[0]] != nil || w.ownMeasure(noun) == "" || noun.Refs[0].Share >= nearlyAll {
		return nil
	}
	now := 0.0
	for _, l := range w.nowOf(lines[0]) {
		now += l.Mass()
	}
	if was := w.line(lines[0]).Mass(); now == 0 || was == 0 || math.Abs(now-was) < shareError*was {
		return nil
	}
	t, _ := w.ofLine(lines[0], noun.Refs[0].Share)
	return []named{t}
}

// onEach tells whether an action is done to each of several, so that none gets a share of its own: "brushing each one with
// butter".
func (w *writer) onEach(at int) bool {
	return slices.ContainsFunc(w.graph.Nodes[at].Action.Words.Phrases, func(p recipe.Phrase) bool {
		return p.Role == "to" && slices.ContainsFunc(p.Nouns, func(n recipe.Noun) bool {
			return w.eachOfAll(w.slice(n.From, n.Upto))
		})
	})
}

// steakUse is that of flat pieces, one for each.
const steakUse = "steak"

// eachOfMade tells whether a pronoun means one by one the pieces into which something is cut or shaped still, "cut it into
// rectangles, roll each one out", or those that stand for pieces of flesh: "cut a pocket in each breast, spread pesto in each".
func (w *writer) eachOfMade(noun recipe.Noun) bool {
	first, _, _ := strings.Cut(strings.ToLower(w.slice(noun.From, noun.Upto)), " ")
	if !w.l.Language().Dealt[first] || len(noun.Refs) != 1 || noun.Refs[0].Made == nil {
		return false
	}
	at := w.nodeOf(*noun.Refs[0].Made)
	if at >= 0 && w.l.Language().Singly[first] && !w.lost(noun) && slices.ContainsFunc(w.graph.Nodes[at].Holds, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.inPieces() && s.chosen != nil && s.chosen.Use == steakUse && w.c.stand(s, 1, false).plural
	}) {
		return true
	}
	return at >= 0 && !w.deeds[at].drop && w.deeds[at].say == "" && w.graph.Nodes[at].Action.Makes != ""
}

// runsBy changes the measure by which words say that something goes in, where what stands for it runs: "by the handful", of cheese
// for which a sauce stands.
func (w *writer) runsBy(n *node, from, upto int) (out []edit) {
	at := w.graph.Number(n)
	runs := slices.ContainsFunc(n.To, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.is(larder.Melted) && w.there(line, at)
	})
	if !runs {
		return nil
	}
	i := from
	for word := range strings.FieldsFuncSeq(w.slice(from, upto), func(r rune) bool { return r == ' ' || r == ',' }) {
		before, _, _ := strings.Cut(w.slice(i, upto), word)
		i += utf8.RuneCountInString(before)
		if other := w.c.words().RunsBy[strings.ToLower(word)]; other != "" {
			out = append(out, edit{i, i + utf8.RuneCountInString(word), other})
		}
		i += utf8.RuneCountInString(word)
	}
	return out
}
