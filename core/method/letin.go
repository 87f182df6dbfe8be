package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
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

// leave decides anew what was to be done to a stand-in before it now goes in.
func (p *plan) leave(s *standIn) {
	for _, i := range p.path(s.node) {
		if i >= s.enters || p.deeds[i].drop || len(p.deeds[i].before)+len(p.deeds[i].late) > 0 {
			continue
		}
		if subjects := p.subjects(i); len(subjects) > 0 && !slices.ContainsFunc(subjects, func(line int) bool { return p.there(line, i) }) {
			p.withoutSubject(i)
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
		if s.gone || s.enters == never || !p.deeds[s.enters].drop || p.c.fatLine(s.was) || p.bathedOnly(s.node) {
			continue
		}
		k := p.nextWet(s)
		if k < 0 {
			k = p.nextOpen(s, true)
		}
		if k < 0 {
			k = p.joinedLater(s)
		}
		if k < 0 {
			k = p.nextOpen(s, false)
		}
		if k < 0 {
			continue
		}
		s.enters, s.tail = k, 0
		p.leave(s)
		if !slices.Contains(p.graph.Nodes[k].Named, s.node) {
			p.deeds[k].before = append(p.deeds[k].before, s)
		}
	}
}

// nextWet is the cooking that is done and would have had a liquid from an action that is not: the
// milk in which the fish was put is brought to a simmer. It is -1 where there is none.
func (p *plan) nextWet(s *standIn) int {
	if !larder.Pours(p.l.Food(s.was.FoodID())) {
		return -1
	}
	for _, k := range p.graph.Nodes[s.enters].Users {
		if n := &p.graph.Nodes[k]; n.Technique.Family == "wet heat" && !p.deeds[k].drop && slices.Contains(n.To, s.node) {
			return k
		}
	}
	return -1
}

// nextOpen is the next action of its part of the dish that is done and with which a
// stand-in can go in, -1 where there is none: not with what takes out, nor with what only
// seasons; in company only with what is done to something it was to be with.
func (p *plan) nextOpen(s *standIn, company bool) int {
	at := p.graph.Nodes[s.enters].At.Component
	named := p.namedLater(s)
	for k := s.enters + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if k < named || p.deeds[k].drop || n.At.Component != at || n.Technique.Family == "control" || n.Technique.Name == "preheat" {
			continue
		}
		if company && !slices.Contains(n.Named, s.node) && !p.inCompany(s, n) {
			continue
		}
		if !company && !slices.Contains(n.Named, s.node) && (n.Technique.Family == "cut" || n.Technique.Family == "clean") {
			continue // nobody adds to what is cut
		}
		if slices.Contains(n.Named, s.node) || n.Technique.Family != "separate" && !n.Is("season") {
			return k
		}
	}
	return -1
}

// joinedLater is the first later action, in any part, that brings to others what a stand-in
// would have been cooked with: a broth poured over what lies in the bowls.
func (p *plan) joinedLater(s *standIn) int {
	for k := s.enters + 1; k < len(p.graph.Nodes); k++ {
		n := &p.graph.Nodes[k]
		if !p.deeds[k].drop && n.Technique.Joins != "" && len(n.Into) > 0 && p.inCompany(s, n) {
			return k
		}
	}
	return -1
}

// inCompany tells whether an action is done to something that a stand-in's first action holds.
func (p *plan) inCompany(s *standIn, n *flow.Node) bool {
	first := &p.graph.Nodes[p.path(s.node)[0]]
	return slices.ContainsFunc(slices.Concat(n.To, n.Into), func(line int) bool { return line != s.node && first.Reaches(line) })
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

// enterWhereDone lets stand-ins go in with the next work that is done where that with which they were to
// go in is not, and none after it names them: what was to be cut with others, and goes back with them.
func (p *plan) enterWhereDone() {
	moved := false
	for _, s := range p.inOrder() {
		if s.gone || s.enters < 0 || s.enters >= len(p.deeds) || s.tail > 0 || !p.deeds[s.enters].drop {
			continue
		}
		to := -1
		for _, k := range p.path(s.node) {
			if k <= s.enters || p.deeds[k].drop {
				continue
			}
			if slices.Contains(p.graph.Nodes[k].Named, s.node) {
				to = -1
				break
			}
			n := &p.graph.Nodes[k]
			if to < 0 && (n.Technique.Joins == "yes" || n.Technique.Joins != "" && p.alone(k, s) || n.Technique.Heat != "" || n.Technique.Family == "mix" && len(n.Into) > 0) {
				to = k
			}
		}
		if to >= 0 {
			s.enters, moved = to, true
		}
	}
	if moved {
		p.decideAll()
	}
}
