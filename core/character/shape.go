package character

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// ReferencePot is the pot that the rates of evaporation in the table of
// techniques hold for: 24 cm across, holding 2.5 kg.
const (
	referencePotGrams = 2500.0
	referencePotCm    = 24.0
	// lidShare is what still escapes under a lid.
	lidShare = 0.05
	// longestOpenBoil bounds the minutes of one action that count as uncovered:
	// nobody boils a pot dry, longer times are topped up or covered.
	longestOpenBoil = 90
	// leastWaterKept bounds evaporation: a dish keeps at least this share of
	// its water.
	leastWaterKept = 0.55
	// Widths outside these are no pots.
	leastPot, mostPot = 12.0, 60.0
)

// Shape is what the method does to a component as a whole.
type Shape struct {
	Name string
	// Simmered and Dried are the water in grams that its actions would drive off
	// in the reference pot, cooking in liquid and without.
	Simmered, Dried float64
	// Across is the pot's width in cm where the text names it, else 0.
	Across float64
	// Wet tells that something in it is cooked in liquid or baked, Kneaded that
	// it is a dough, Heated that it is cooked at all.
	Wet, Kneaded, Heated bool
	// Clear tells that it is strained, so that nothing may cloud it.
	Clear bool
	// Stirred tells that several things are mixed or cooked together in it, so that more can be
	// stirred in; what is only laid, filled or poured takes nothing.
	Stirred bool
	// Cooked tells that what is mixed in it is over a fire then or later, and not drained.
	Cooked bool
}

// Mass is the finished mass of a component: what went in, plus water taken up
// by dry pulses and grains beyond the listed liquids, minus what cooks off.
func (s Shape) Mass(sum *Sums) float64 {
	in := sum[mass] + max(0, sum[thirst]-sum[liquid])
	if in <= 0 {
		return 0
	}
	surface := math.Pow(in/referencePotGrams, 2.0/3)
	if s.Across > 0 {
		surface = (s.Across / referencePotCm) * (s.Across / referencePotCm)
	}
	lost := s.Dried
	if sum[liquid] > leastBroth*in {
		lost += s.Simmered
	}
	return in - min(lost*surface, sum[water]*(1-leastWaterKept))
}

// leastBroth is the share of liquid that a component must list for its boiling
// to cost it water: noodles and dumplings boil in water that nobody lists.
const leastBroth = 0.05

// method is the flow of a dish, asked about its lines.
type method struct {
	larder *larder.Larder
	dish   *recipe.Dish
	graph  *flow.Graph
}

func methodOf(l *larder.Larder, d *recipe.Dish) *method { return &method{l, d, flow.Trace(l, d)} }

// food is that of a line of the graph, nil when unknown.
func (m *method) food(line int) *larder.Food {
	at := m.graph.Lines[line]
	return m.larder.Food(m.dish.Components[at.Component].Lines[at.Line].FoodID())
}

// home is the component that an action changes: that of most of its lines, or
// the one its step stands in.
func (m *method) home(n *flow.Node) int {
	count := map[int]int{}
	best, most := n.At.Component, 0
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		c := m.graph.Lines[line].Component
		if count[c]++; count[c] > most {
			best, most = c, count[c]
		}
	}
	return best
}

// shape reads what the method does to a component as a whole.
func (m *method) shape(component int) Shape {
	s := Shape{Name: m.dish.Components[component].Name}
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if m.home(n) != component {
			continue
		}
		t := n.Technique
		s.Kneaded = s.Kneaded || t.Leaves == "dough"
		s.Clear = s.Clear || n.Is("strain")
		s.Wet = s.Wet || t.Wet
		s.Heated = s.Heated || t.Hot()
		stirs := m.stirs(n)
		s.Stirred, s.Cooked = s.Stirred || stirs, s.Cooked || stirs && (t.Hot() && !m.drained(i) || m.heatedLater(i))
		if t.Lost == 0 {
			continue
		}
		if cm := n.Action.Across; cm >= leastPot && cm <= mostPot {
			s.Across = cm
		}
		minutes := min(minutesOf(n), longestOpenBoil) * escapes(n)
		switch {
		case t.Family == "wet heat" && m.drained(i):
			// What boils away is cooking water that is poured off in the end.
		case t.Family == "wet heat":
			s.Simmered += m.larder.Factor(simmered) * t.Lost * minutes
		default:
			s.Dried += m.larder.Factor(dried) * t.Lost * minutes
		}
	}
	return s
}

// heatedLater tells whether what an action makes goes over a fire or into an oven later.
func (m *method) heatedLater(node int) bool {
	return slices.ContainsFunc(m.graph.Nodes[node].Users, func(k int) bool { return m.graph.Nodes[k].Technique.Hot() || m.heatedLater(k) })
}

// stirs tells whether an action brings several things together that are no fat, or works in a liquid.
func (m *method) stirs(n *flow.Node) bool {
	switch n.Technique.Family {
	case "mix", "machine", "wet heat", "gentle heat", "dry heat":
	default:
		return false
	}
	if n.Is("deep-fry", "steam", "blanch", "toast", "grill") {
		return false
	}
	things := 0
	for _, line := range n.Holds {
		if !larder.IsFat(m.food(line)) {
			things++
		}
	}
	return things > 1 || things > 0 && n.Liquid && !n.Is("drain")
}

// The losses of water that a kitchen can weigh for itself.
const (
	simmered = "simmered"
	dried    = "dried"
)

// escapes is the share of what evaporates that gets away.
func escapes(n *flow.Node) float64 {
	if n.Covered {
		return lidShare
	}
	return 1
}

// LossRate is the water in grams that leaves the reference pot in a minute of an
// action.
func LossRate(n *flow.Node) float64 { return n.Technique.Lost * escapes(n) }

// Boiled is what a pot that weighs so many grams is foreseen to lose at a rate in
// so many minutes.
func Boiled(rate, minutes, grams float64) float64 {
	if grams <= 0 {
		return 0
	}
	return min(rate*min(minutes, longestOpenBoil)*math.Pow(grams/referencePotGrams, 2.0/3), grams*(1-leastWaterKept))
}

// minutesOf is how long an action goes on, 0 where the text does not say.
func minutesOf(n *flow.Node) float64 {
	if n.Action.Minutes == nil {
		return 0
	}
	return n.Action.Minutes.Mid()
}

// drained tells whether what a node makes is drained before it goes into anything else.
func (m *method) drained(node int) bool {
	for _, user := range m.graph.Nodes[node].Users {
		u := &m.graph.Nodes[user]
		if u.Is("drain") || !u.Is("strain") && len(u.Inputs) == 1 && u.Technique.Family != "separate" && m.drained(user) {
			return true
		}
	}
	return false
}
