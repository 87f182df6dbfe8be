package method

import (
	"slices"

	"yembra/core/recipe"
)

// shareCut is how much of a line a noun means that speaks of it by how some of it was cut, where it is not cut any more: "the
// diced cheese", three quarters of it; 1 where it means no cut, or that is done.
func (w *writer) shareCut(noun recipe.Noun, k, line int) float64 {
	if k >= len(noun.Refs) || noun.Refs[k].Made == nil || noun.Refs[k].Of == "" {
		return 1
	}
	at := w.nodeOf(*noun.Refs[k].Made)
	if at < 0 || !w.deeds[at].drop || w.graph.Nodes[at].Technique.Family != "cut" {
		return 1
	}
	return w.shareAt(line, at)
}

// someNamed tells whether an action that is done has named a line before another, without being what cuts it.
func (w *writer) someNamed(line, at int) bool {
	for k := range at {
		if n := &w.graph.Nodes[k]; !w.deeds[k].drop && n.Technique.Family != "cut" && slices.Contains(n.Named, line) {
			return true
		}
	}
	return false
}

// lastShare tells whether what an action takes of a line without saying how much is all that was left of it by others.
func (w *writer) lastShare(line, at int) bool {
	all, last := 0.0, false
	for k := range w.graph.Nodes {
		n := &w.graph.Nodes[k]
		if w.deeds[k].drop || !slices.Contains(n.Named, line) {
			continue
		}
		for r := range n.Action.Refs() {
			if r.Line != nil && w.graph.Named(*r.Line) == line {
				all, last = all+r.Share, k == at
			}
		}
	}
	return last && all >= nearlyAll
}
