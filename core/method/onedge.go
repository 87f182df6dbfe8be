package method

import (
	"slices"

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
