package method

import (
	"slices"
)

// afterReturn is where on its path something goes back in that was cooked, taken
// out and cut up by itself, 0 where it was not.
func (p *plan) afterReturn(s *standIn, path []int) int {
	start, wet, boiled := 0, false, false
	for i, at := range path {
		n := &p.graph.Nodes[at]
		boiled = boiled || p.wetMinutes(at) > 0
		out := n.Technique.Takes == "part" || n.Technique.Family == "separate" || boiled && p.setsAside(path, i) && p.joinsLater(s, path[i+1:])
		wet = wet || p.wetMinutes(at) > 0 || n.Technique.Medium == "liquid" && n.Technique.Family != "rest"
		if out && wet && n.Technique.Name != "discard" && p.alone(at, s) && i+1 < len(path) {
			start = i + 1
		}
	}
	return start
}

// joinsLater tells whether a stand-in goes into something else by one of some actions.
func (p *plan) joinsLater(s *standIn, path []int) bool {
	return slices.ContainsFunc(path, func(k int) bool {
		n := &p.graph.Nodes[k]
		return slices.Contains(n.To, s.node) && len(n.Into) > 0 && n.Technique.Family == "mix"
	})
}

// afterWashing is where on its path the work begins that is left: bones are covered,
// boiled up, drained and rinsed first, which what gives its taste to a broth
// instead does not want.
func (p *plan) afterWashing(s *standIn, path []int) int {
	start := 0
	for k, at := range path {
		if !p.alone(at, s) {
			break
		}
		if p.dropped(s, at) {
			start = k + 1
		}
	}
	return min(start, len(path)-1)
}
