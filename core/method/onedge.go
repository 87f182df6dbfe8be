package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
)

// stoodOnBody tells whether flesh is no more than stood, laid or turned onto what a body has, and the body is not there: "stand
// them on their fat edge".
func (p *plan) stoodOnBody(i int) bool {
	n, lang := &p.graph.Nodes[i], p.l.Language()
	if n.Technique.Family != "rest" && !n.Is("place", "turn") || n.Liquid || p.fleshBefore(i) == nil {
		return false
	}
	words := larder.Words(string(p.textOf(n)[n.Action.From:n.Action.Upto]))
	for k, w := range words {
		if lang.Prepositions[w] != "into" || lang.Purpose[w] {
			continue
		}
		place := words[k+1 : min(k+1+placeWords, len(words))]
		body := slices.IndexFunc(place, func(w string) bool { return lang.Fleshly[w] })
		if body >= 0 && !slices.ContainsFunc(place[:body], func(w string) bool { return lang.Vessels[w] || lang.Receiving[w] || lang.Tools[w] }) {
			return true // but "lay it on a tray, skin side up"
		}
	}
	return false
}

// placeWords are within how many words behind "on" the place is named: "on their thick fat edge".
const placeWords = 4

// pushedIn tells whether things are put into cuts that flesh was given just before, where what stands for it is not there and
// gets none: "make small cuts in the lamb and push in the garlic".
func (p *plan) pushedIn(n *flow.Node) bool {
	at := p.graph.Number(n)
	if len(n.Action.Into) == 1 && n.Action.Into[0].Named != nil && p.cutBefore(at) {
		words := larder.Words(*n.Action.Into[0].Named)
		return len(words) > 0 && p.l.Language().Gashes[words[len(words)-1]]
	}
	return n.Is("place") && len(n.Into) == 1 && len(n.Inputs) == 1 && p.graph.Nodes[n.Inputs[0]].Technique.Family == "cut" && p.stand[n.Into[0]] != nil && p.stand[n.Into[0]].flesh() &&
		!p.stand[n.Into[0]].gone && p.stand[n.Into[0]].enters > at
}

// cutBefore tells whether flesh was cut into in the step of an action before it, and that is not done.
func (p *plan) cutBefore(at int) bool {
	for k := at - 1; k >= 0 && p.graph.Nodes[k].At == p.graph.Nodes[at].At; k-- {
		if p.graph.Nodes[k].Technique.Family == "cut" {
			return p.deeds[k].drop && p.fleshBefore(at) != nil
		}
	}
	return false
}

// cutsPieces tells whether an action cuts nothing but what stands for flesh and is called after the pieces it comes in: nobody
// slices mushroom slices.
func (p *plan) cutsPieces(i int) bool {
	n := &p.graph.Nodes[i]
	verb, _, _ := strings.Cut(strings.ToLower(n.Action.Verb), " ")
	if n.Technique.Family != "cut" || n.Technique.Joins != "" || len(n.To) == 0 || !p.l.Language().Shapes[verb] {
		return false
	}
	pieces := false
	other := slices.ContainsFunc(p.subjects(i), func(line int) bool {
		s := p.stand[line]
		if s == nil || s.gone || !s.flesh() {
			f := p.l.Food(p.line(line).FoodID())
			return f == nil || f.Aisle == "vegetables" || f.Aisle == "fruit" || f.Aisle == "bakery" // and not what it was coated with
		}
		name := larder.Words(s.name)
		pieces = len(name) > 0 && name[len(name)-1] == verb
		return !pieces
	})
	return pieces && !other
}
