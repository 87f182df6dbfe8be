package method

import (
	"math"
	"slices"
)

// finishing finds the frying after which what stands for its fat is stirred in,
// where nothing is cooked in liquid afterwards.
func (p *plan) finishing() {
	for _, s := range p.inOrder() {
		if !s.bare || s.gone || s.book.FinishFor(s.chosen.Use) == "" {
			continue
		}
		last, wet := -1, false
		for i := range p.graph.Nodes {
			n := &p.graph.Nodes[i]
			if p.deeds[i].drop || n.At.Component != s.component {
				continue
			}
			switch {
			case n.Technique.Family == "dry heat" && slices.Contains(slices.Concat(n.With, n.To), s.node):
				last, wet = i, false
			case n.Technique.Family == "wet heat":
				wet = true
			}
		}
		if last >= 0 && !wet {
			p.deeds[last].finish = append(p.deeds[last].finish, s)
			s.finished = true
		}
	}
}

// letIn gives a stand-in another way in where the action it was to go in with is
// not done: with the next that is.
func (p *plan) letIn() {
	for _, s := range p.inOrder() {
		if s.enters == never && !s.gone && s.flesh() {
			p.letInUnsaid(s)
			continue
		}
		if s.gone || s.enters == never || !p.deeds[s.enters].drop || p.c.fatLine(s.was) {
			continue
		}
		at := p.graph.Nodes[s.enters].At.Component
		named := p.namedLater(s)
		for k := s.enters + 1; k < len(p.graph.Nodes); k++ {
			n := &p.graph.Nodes[k]
			if k < named || p.deeds[k].drop || n.At.Component != at || n.Technique.Family == "control" || n.Technique.Name == "preheat" {
				continue
			}
			s.enters, s.tail = k, 0
			if !slices.Contains(n.Named, s.node) {
				p.deeds[k].before = append(p.deeds[k].before, s)
			}
			break
		}
	}
}

// namedLater is the next action that is done and names what a stand-in stands for, 0
// where there is none.
func (p *plan) namedLater(s *standIn) int {
	for k := s.enters + 1; k < len(p.graph.Nodes); k++ {
		if !p.deeds[k].drop && slices.Contains(p.graph.Nodes[k].Named, s.node) && !p.onlyItsBody(s, k) {
			return k
		}
	}
	return 0
}

// letInUnsaid gives a place to what stands for something that no step takes up by a
// name that could be read: the last cooking in liquid, as long as it bears.
func (p *plan) letInUnsaid(s *standIn) {
	for k := len(p.graph.Nodes) - 1; k >= 0; k-- {
		minutes := p.wetMinutes(k)
		if minutes == 0 || p.deeds[k].drop || p.graph.Nodes[k].At.Component != s.component {
			continue
		}
		s.enters = k
		if minutes > s.Bears*tolerated+tolerance {
			s.tail = math.Max(s.Bears, leastTail)
			p.deeds[k].late = append(p.deeds[k].late, s)
			return
		}
		p.deeds[k].before = append(p.deeds[k].before, s)
		return
	}
}
