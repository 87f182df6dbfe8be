package character

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// fate names what becomes of a line, the most telling sign first.
func (m *method) fate(line int, food *larder.Food, heated bool, minutes float64) string {
	animal := food.Origin == larder.FromAnimal
	solid := !isLiquid(food)
	steeps, onlyWhole := m.larder.Steeps(food.ID)
	switch {
	case food.Kind == "bones" && heated && !m.done(line, "shred", "pick", "flake"):
		if minutes >= bonesForHours {
			return "bones"
		}
		return "bones-brief"
	case steeps && heated && (!onlyWhole || m.whole(line)):
		return "steeped"
	case heated && !animal && m.liftedOut(line), heated && !animal && solid && m.strainedOut(line):
		return "steeped"
	case !animal && m.leftInMarinade(line):
		return "marinade"
	case m.wrungOut(line):
		return "squeezed"
	case m.boiledAndDrained(line) && food.ID == "water":
		return "cooking-water"
	case m.boiledAndDrained(line) && food.Kind == "salt":
		return "water-salt"
	case m.boiledAndDrained(line) && solid && food.Aisle != "oils":
		return "boiled-out"
	case animal && heated && m.fatPoured(line):
		return "fat-poured-off"
	case food.Taste.IMP > 0 && heated && minutes >= longCooking:
		return "long-heated"
	case food.Taste.IMP > 0 && heated:
		return "heated"
	}
	return "kept"
}

func isLiquid(f *larder.Food) bool {
	return larder.Or(f.Per100.Water, 0) > liquidWater && f.Aisle != "vegetables" && f.Aisle != "fruit"
}

// done tells whether a line that is named, or all that holds it, is worked in
// one of the ways.
func (m *method) done(line int, techniques ...string) bool {
	return slices.ContainsFunc(m.reaching(line), func(n *flow.Node) bool { return n.Is(techniques...) && slices.Contains(n.To, line) })
}

// whole tells whether a line has its spice whole, by the words of the line.
func (m *method) whole(line int) bool {
	at := m.graph.Lines[line]
	for _, w := range larder.Words(m.dish.Components[at.Component].Lines[at.Line].Text) {
		if m.larder.Language().WholeWords[w] {
			return true
		}
	}
	return false
}

// liftedOut tells whether a line that has cooked is taken out by itself and not
// used again.
func (m *method) liftedOut(line int) bool {
	cooked := false
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if !n.Reaches(line) {
			continue
		}
		if cooked && n.Is("remove", "discard") && slices.Contains(n.Named, line) && !m.graph.Later(i) {
			return true
		}
		cooked = cooked || n.Technique.Hot()
	}
	return false
}

// strainedOut tells whether a line that has cooked stays in the sieve: what holds
// it is strained, and nothing speaks of it afterwards.
func (m *method) strainedOut(line int) bool {
	cooked, strained := false, false
	for _, n := range m.reaching(line) {
		if strained && slices.Contains(n.Named, line) {
			return false
		}
		strained = strained || cooked && n.Is("strain")
		cooked = cooked || n.Technique.Hot()
	}
	return strained
}

// leftInMarinade tells whether a line only marinated another that is then taken
// out of it.
func (m *method) leftInMarinade(line int) bool {
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if !n.Is("marinate") || !n.Reaches(line) {
			continue
		}
		for _, user := range n.Users {
			u := &m.graph.Nodes[user]
			if u.Is("remove", "drain", "dry") && !m.marinadeKept(user) && m.seasonsOnly(line, n) {
				return true
			}
		}
	}
	return m.marinadeThrown(line)
}

// marinadeThrown tells whether the marinade that holds a line is thrown away by
// that name.
func (m *method) marinadeThrown(line int) bool {
	marinated := false
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if n.Is("marinate") && n.Reaches(line) && m.seasonsOnly(line, n) {
			marinated = true
		}
		if marinated && n.Is("discard", "pour-off") && (len(n.Action.To) == 0 || n.Action.To[0].Named != nil || n.Reaches(line)) {
			return true
		}
	}
	return false
}

// marinadeKept tells whether what was left behind is kept for later.
func (m *method) marinadeKept(node int) bool {
	for i := node + 1; i < len(m.graph.Nodes) && i <= node+2; i++ {
		if m.graph.Nodes[i].Is("reserve") {
			return true
		}
	}
	return false
}

// seasonsOnly tells whether a line is not what the marinade is for.
func (m *method) seasonsOnly(line int, n *flow.Node) bool {
	food := m.food(line)
	at := m.graph.Lines[line]
	mine := m.dish.Components[at.Component].Lines[at.Line].Mass()
	heaviest := 0.0
	for _, other := range n.Holds {
		o := m.graph.Lines[other]
		heaviest = max(heaviest, m.dish.Components[o.Component].Lines[o.Line].Mass())
	}
	return food != nil && mine < heaviest
}

// wrungOut tells whether a line is pressed or wrung by itself.
func (m *method) wrungOut(line int) bool {
	for _, n := range m.reaching(line) {
		if n.Is("press") && slices.Contains(n.To, line) && (slices.Contains(n.Named, line) || len(n.Holds) <= mostWrung) {
			return true
		}
	}
	return false
}

// mostWrung is how many lines may be wrung out together: vegetables and their
// salt.
const mostWrung = 3

// boiledAndDrained tells whether a line is boiled in water that is poured away
// and not used again.
func (m *method) boiledAndDrained(line int) bool {
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if !n.Reaches(line) || !n.Is("boil", "parboil", "blanch", "simmer", "cook", "poach") || !n.Liquid || !m.drained(i) {
			continue
		}
		if slices.Contains(n.Named, line) || len(n.Holds) <= mostBoiled {
			return true // what is inside a dumpling gives nothing to the water
		}
	}
	return false
}

// mostBoiled is how many lines may boil together that are not named: potatoes
// and the salt of their water.
const mostBoiled = 3

// fatPoured tells whether fat is skimmed or poured off what holds a line.
func (m *method) fatPoured(line int) bool {
	seen := false
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		seen = seen || n.Reaches(line)
		if seen && n.Is("skim", "pour-off") {
			return true
		}
	}
	return false
}
