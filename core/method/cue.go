package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// cueGone tells whether a cue speaks of something that was replaced.
func (p *plan) cueGone(n *flow.Node) bool {
	if n.Action.Cue == "" {
		return false
	}
	return p.gone(n, n.Action.Cue, pointsFirst(n)) || p.bareOfGone(n)
}

// bareOfGone tells whether a cue that does not say of what it is one can only be that of flesh which is not there: "until
// very tender", of a broth.
func (p *plan) bareOfGone(n *flow.Node) bool {
	if len(p.stand) == 0 || n.Technique.Family != "wet heat" && !p.braises(n) || slices.ContainsFunc(n.Action.Words.Signs, func(sign recipe.Sign) bool {
		said := larder.Words(sign.Text)
		if sign.Points != "" {
			said = larder.Words(sign.State)
			said = said[:min(len(said), 1)] // "until it is soft enough to cut with a spoon"
		}
		return sign.Says && sign.Points == "" || !slices.ContainsFunc(said, func(w string) bool { return p.l.Language().DoneWords[w] })
	}) {
		return false
	}
	flesh, at := false, p.graph.Number(n)
	for _, line := range n.To {
		f := p.l.Food(p.line(line).FoodID())
		switch s := p.stand[line]; {
		case s != nil && s.flesh() && (!p.there(line, at) || (s.is(larder.Ready) || s.unfired) && s.Done == 0):
			flesh = true // it is not there, or is tender once it is browned
		case s == nil && !p.flavours(line) && !p.seasonsPot(line) && f != nil && !(f.Tagged(larder.Potherb) && p.drainedAfter(at)) && p.l.BehaviourOf(f, p.line(line).Form).Done > 0 && !p.friedBefore(line, at):
			return false
		case s != nil && s.flesh():
			return false
		}
	}
	return flesh
}

// littleOf is up to which share of a part a line only seasons it; an estimate.
const littleOf = 0.03

// pointsFirst is the pronoun with which a cue begins, if it does.
func pointsFirst(n *flow.Node) string {
	if signs := n.Action.Words.Signs; len(signs) > 0 {
		return signs[0].Points
	}
	return ""
}

// still is the row of what shows that eggs have been beaten light.
const still = "still"

// beatsFlat tells whether something stands for eggs and takes up no air when it is beaten.
func (p *plan) beatsFlat(s *standIn) bool {
	return s.class == larder.Egg && s.chosen != nil && !s.gone && s.chosen.Use != liftUse
}

// liquid is the row of what shows that a fat has come to pour, where what stands for it pours already.
const liquid = "liquid"

// pouredAlready tells whether a fat's stand-in is a liquid and nothing else is with it that melts.
func (p *plan) pouredAlready(s *standIn, n *flow.Node) bool {
	return s.is(larder.LiquidFat) && !slices.ContainsFunc(slices.Concat(n.To, n.With, n.Into), func(line int) bool {
		f := p.l.Food(p.line(line).FoodID())
		if o := p.stand[line]; o != nil {
			return !o.gone && o.Solid
		}
		return f != nil && (f.Tagged(larder.Melts) || p.l.BehaviourOf(f, p.line(line).Form).Solid)
	})
}

// gone tells whether words that end an action, and point at something by a pronoun, speak of something
// that was replaced.
func (p *plan) gone(n *flow.Node, cue, points string) bool {
	lang := p.l.Language()
	words := p.withoutPlantNames(larder.Words(cue))
	if len(p.stand) > 0 && len(p.animalWords(cue)) > 0 || p.ownFatOfGone(n, cue) {
		return true
	}
	if s := p.fleshBefore(p.graph.Number(n)); s != nil && slices.ContainsFunc(words, func(w string) bool { return lang.Fleshly[w] && !(lang.Fats[w] && p.fatThere(n)) }) {
		return true
	}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		s := p.stand[line]
		if s == nil {
			continue
		}
		signs := lang.GoneSigns[string(s.class)]
		own, now := larder.Words(s.was.Name), larder.Words(s.name)
		for _, w := range words {
			if lang.Products[w] && len(own) > 1 {
				continue // "the sauce" is not the fish sauce
			}
			if signs[w] || p.beatsFlat(s) && beaten(n) && lang.GoneSigns[still][w] || lang.GoneSigns[liquid][w] && p.pouredAlready(s, n) || lang.GoneSigns[setSigns][w] && p.setBefore(s) || slices.Contains(own, w) && !slices.Contains(now, w) && lang.Prepositions[w] == "" && !lang.Conjunctions[w] {
				return true
			}
		}
		if slices.Contains(n.Named, line) || len(n.To) == 1 && n.To[0] == line || p.justAdded(n, line) {
			if points != "" && !s.gone && lang.Single[points] == s.plural {
				return true // "until it is ..." of what is more than one now
			}
		}
	}
	return false
}

// withoutPlantNames leaves out of words the names of plant foods of several words: "the colour of peanut butter".
func (p *plan) withoutPlantNames(words []string) []string {
	var out []string
	for i := 0; i < len(words); i++ {
		if m, ok := p.l.Index().At(words, i, true); ok && m.Used > 1 && m.Food.Origin == larder.FromPlant {
			i = m.End - 1
			continue
		}
		out = append(out, words[i])
	}
	return out
}

// justAdded tells whether an action goes on with what the one before added by name, and nothing else.
func (p *plan) justAdded(n *flow.Node, line int) bool {
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		before := &p.graph.Nodes[in]
		for before.Is("cover") && len(before.Inputs) == 1 {
			before = &p.graph.Nodes[before.Inputs[0]] // "return the chicken, cover and simmer until it is tender"
		}
		return before.Technique.Joins == "yes" && slices.Contains(before.To, line) && slices.Contains(before.Named, line) && onlyNamedTo(before) == line
	})
}

// onlyNamedTo is the one line that an action is done to by name, or by itself; -1 where there are several.
func onlyNamedTo(n *flow.Node) int {
	to := n.To
	if len(to) > 1 {
		to = slices.DeleteFunc(slices.Clone(n.To), func(line int) bool { return !slices.Contains(n.Named, line) })
	}
	if len(to) != 1 || len(n.Action.To) != 1 {
		return -1
	}
	return to[0]
}

// onlyToHeat tells whether a cue that is gone was that of flesh for which something stands
// that is done when it goes in.
func (w *writer) onlyToHeat(n *node) bool {
	flesh, at := false, w.graph.Number(n)
	for _, line := range slices.Concat(n.Named, n.To) {
		if s := w.stand[line]; s != nil && s.flesh() && !s.gone && s.enters <= at {
			if !s.is(larder.Ready) {
				return false
			}
			flesh = true
		}
	}
	return flesh
}

// restOfCue are those of the signs that a cue gives which are still there: "until the
// sauce is thick" of "until the duck is tender and the sauce is thick".
func (p *plan) restOfCue(n *flow.Node) string {
	words := p.c.words()
	var kept []string
	gone := false
	for k, s := range n.Action.Words.Signs {
		if s.But && len(kept) == 0 {
			continue // it limits what is gone
		}
		if now := p.subjectNow(n, s, n.Action.Words.Signs[k+1:]); now != "" {
			kept = append(kept, now)
			continue
		}
		if s.Says {
			if gone = p.gone(n, s.Text, s.Points); gone && (p.stillShows(n, s, false) || p.takesColour(n, s) && p.stillShows(n, s, true)) {
				gone = !p.stillShows(n, s, false) // "dark brown and nearly dry", of the beef
				kept = append(kept, p.signNow(n, s, len(kept) > 0)...)
				continue
			}
		} else if gone || p.gone(n, s.Text, s.Points) {
			continue // "nearly dry", of the beef
		}
		if !gone && s.But {
			kept[len(kept)-1] += " " + words.But + " " + s.Text
		} else if !gone {
			kept = append(kept, s.Text)
		}
	}
	for k := range kept {
		kept[k] = p.inNumber(n, kept[k])
	}
	text := words.Until + " " + strings.Join(kept, " "+words.And+" ")
	if len(kept) == 0 || text == n.Action.Cue {
		return ""
	}
	return text
}

// takesColour tells whether a sign is the look of a surface in dry heat, which flesh and what stands for it
// share: "golden", but not "tender".
func (p *plan) takesColour(n *flow.Node, sign recipe.Sign) bool {
	return (n.Technique.Family == "dry heat" || n.Technique.Family == "oven") && slices.ContainsFunc(larder.Words(sign.State), func(w string) bool { return p.l.Language().Surfaces[w] })
}

// stillShows tells whether a sign of something that was replaced shows on what stands for it
// as well: "golden", of the cheese on top.
func (p *plan) stillShows(n *flow.Node, sign recipe.Sign, flesh bool) bool {
	if sign.State == "" || p.gone(n, sign.State, "") {
		return false
	}
	words := larder.Words(sign.Text)
	return slices.ContainsFunc(n.Holds, func(line int) bool {
		s := p.stand[line]
		if s == nil || s.gone || s.flesh() != flesh || !p.there(line, p.graph.Number(n)) {
			return false
		}
		if s.is(larder.LiquidFat) && slices.ContainsFunc(larder.Words(sign.State), func(w string) bool { return p.l.Language().Surfaces[w] }) {
			return false // oil gets hot, and not nut-brown
		}
		own := larder.Words(s.was.Name)
		f := p.l.Food(s.was.FoodID())
		return len(own) > 0 && slices.Contains(words, own[len(own)-1]) || f != nil && slices.ContainsFunc(words, func(w string) bool { return slices.Contains(p.l.Language().Groups[w], f.Kind) })
	})
}

// ofFat is a sign with what it is one of where that is a fat beside other things: "the oil is smoking hot", of the fat
// in the tin; of all else the state alone.
func (p *plan) ofFat(n *flow.Node, sign recipe.Sign) string {
	lang := p.l.Language()
	if !slices.ContainsFunc(larder.Words(sign.Text), func(w string) bool { return lang.Fats[w] }) {
		return sign.State
	}
	being := slices.IndexFunc(strings.Fields(sign.Text), func(w string) bool { return lang.Being[strings.ToLower(w)] })
	for _, line := range slices.Concat(n.To, n.With) {
		if s := p.stand[line]; being > 0 && s != nil && !s.gone && !s.bare && p.fries(line) {
			return p.c.words().The + " " + s.name + " " + strings.Fields(sign.Text)[being] + " " + sign.State
		}
	}
	return sign.State
}

// setSigns is the row of what shows that egg sets, where what stands for it has set.
const setSigns = "set"

// setBefore tells whether something stands for egg and goes in as shreds or curds that have set.
func (p *plan) setBefore(s *standIn) bool {
	return s.class == larder.Egg && s.chosen != nil && !s.gone && (s.chosen.Use == flakesUse || s.chosen.Use == scrambleUse) && s.is(larder.Ready)
}

// howFar tells whether words say how far flesh is cooked for which something stands: "for medium-rare".
func (w *writer) howFar(n *node, text string) bool {
	words := larder.Words(text)
	return len(words) > 1 && w.l.Language().Prepositions[words[0]] == "for" && w.l.Language().DoneFar[words[1]] && w.l.Language().DoneFar[words[len(words)-1]] &&
		slices.ContainsFunc(n.To, func(line int) bool { return w.stand[line] != nil && w.stand[line].flesh() })
}
