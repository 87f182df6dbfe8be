package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// spoonsMelt says otherwise what is done with a mixture that holds cheese for which something stands that runs: crumbs with
// it are not scattered.
func (p *plan) spoonsMelt(i int) {
	n, d := &p.graph.Nodes[i], &p.deeds[i]
	if len(n.With) > 0 {
		return // it is what something else is strewn over
	}
	for _, line := range n.To {
		s := p.stand[line]
		if d.say != "" || s == nil || s.gone || !s.is(larder.Melted) || !p.there(line, i) || p.rolledIn(line, i) {
			continue
		}
		if r := p.rule(s, i); r != nil && r.Then == larder.CarrySay {
			d.say, d.whys = r.Does(), append(d.whys, r.Why)
		}
	}
}

// rolledIn tells whether a line was filled, wrapped or rolled into something before an action: the cheese of tortillas.
func (p *plan) rolledIn(line, i int) bool {
	return slices.ContainsFunc(p.path(line), func(k int) bool {
		return k < i && !p.deeds[k].drop && p.graph.Nodes[k].Is("stuff", "wrap", "roll-up", "seal", "roll")
	})
}

// takesOutUncooked tells whether something is lifted out of the pan in which it is
// not cooked any more.
func (p *plan) takesOutUncooked(s *standIn, i int) bool {
	path := p.path(s.node)
	at := slices.Index(path, i)
	if p.graph.Nodes[i].Technique.Family != "separate" && !p.setsAside(path, at) {
		return false
	}
	if at == 0 || !p.deeds[path[at-1]].drop {
		return false
	}
	before := p.graph.Nodes[path[at-1]].Technique
	return before.Heat != "" || before.Family == "clean"
}

// takesOffBody tells whether an action takes flesh off what it has grown on: "take the meat off the bones".
func (p *plan) takesOffBody(i int) bool {
	n := &p.graph.Nodes[i]
	text := p.textOf(n)
	return n.Technique.Family == "separate" && slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return x.Role == "from" && slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			named := string(text[noun.Name:noun.Upto])
			return p.fleshly(named) && !p.wholePiece(named)
		})
	})
}
