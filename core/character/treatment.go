package character

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Treatment is what the method does to one line.
type Treatment struct {
	Fate *larder.Fate
	// Browned is the roast dose of each gram that stays, Crisped how crisp its
	// surface got; Softened tells that it then cooked in liquid.
	Browned, Crisped float64
	Softened         bool
	Heated           bool
	// Raw tells that nothing is hot from where it goes in on, so that it is eaten as it is.
	Raw bool
	// OnlyWarmed tells that it goes into no more than what has just been cooked, off the heat.
	OnlyWarmed bool
	// Washed tells that it was soaked or rinsed, and so lost salt.
	Washed bool
}

// usualBrowning is how long an action browns that the doses of the table of
// techniques speak of; longer and shorter counts in proportion within bounds.
const (
	usualBrowning                  = 10.0
	leastBrowning, longestBrowning = 0.5, 2.0
	longCooking                    = 60.0
	bonesForHours                  = 120.0
	deepFatShare                   = 0.10 // of the mass of what is fried
	wateryLiquid                   = 88.0
	// unnamedShare is how much of a way of working reaches a line that its
	// action does not name: the underside of a pancake, the top of a bake.
	unnamedShare = 0.5
	// saidCrisp is how crisp something is that is cooked until it is crisp.
	saidCrisp = 5.0
)

// treatments reads what the method does to each line of a component.
func (m *method) treatments(component int) []Treatment {
	lines := m.dish.Components[component].Lines
	out := make([]Treatment, len(lines))
	for j := range lines {
		out[j] = Treatment{Fate: m.larder.Fate("kept")}
		if food := m.larder.Food(lines[j].FoodID()); food != nil {
			out[j] = m.treatment(m.graph.Line(component, j), food)
		}
	}
	m.deepFat(component, out)
	return out
}

// treatment follows one line through the method.
func (m *method) treatment(line int, food *larder.Food) Treatment {
	t := Treatment{}
	minutes := 0.0
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if !n.Reaches(line) || !n.Technique.Hot() {
			continue
		}
		t.Heated = true
		minutes += minutesOf(n)
		m.surface(&t, i, line, food)
	}
	t.Raw = !t.Heated && m.graph.StaysRaw(line)
	t.OnlyWarmed = !t.Heated && m.graph.OnlyWarmed(line)
	t.Fate = m.larder.Fate(m.fate(line, food, t.Heated, minutes))
	t.Washed = food.Washed > 0 && (m.done(line, "soak", "rinse") || m.standsInWater(line) || m.saidWashed(line))
	return t
}

// standsInWater tells whether a line is put into plain water and left there: "put the cod in cold water and leave it
// overnight".
func (m *method) standsInWater(line int) bool {
	fromTap := func(r recipe.Ref) bool { return flow.FromTap(m.larder, r) }
	return slices.ContainsFunc(m.reaching(line), func(n *flow.Node) bool {
		return slices.Contains(n.To, line) && slices.ContainsFunc(slices.Concat(n.Action.With, n.Action.Into), fromTap) &&
			slices.ContainsFunc(n.Users, func(k int) bool { return m.graph.Nodes[k].Technique.Family == "rest" })
	})
}

// saidWashed tells whether the words of a line say that its salt was washed out.
func (m *method) saidWashed(line int) bool {
	at := m.graph.Lines[line]
	return slices.ContainsFunc(larder.Words(m.dish.Components[at.Component].Lines[at.Line].Text), func(w string) bool { return m.larder.Language().WashedWords[w] })
}

// surface notes what a hot action does to the surface of a line.
func (m *method) surface(t *Treatment, node, line int, food *larder.Food) {
	n := &m.graph.Nodes[node]
	tech, share, reach := n.Technique, 1.0, 1.0
	if minutes := minutesOf(n); minutes > 0 {
		share = min(longestBrowning, max(leastBrowning, minutes/usualBrowning))
	}
	if !slices.Contains(n.Named, line) && len(n.Holds) > 1 {
		reach = unnamedShare
	}
	if tech.Roast > 0 && browns(food) && (tech.Family == "oven" || !n.Liquid) {
		t.Browned = max(t.Browned, reach*share/tech.Roast)
	}
	crisped := reach * tech.Crisp
	if n.Crisp {
		crisped = max(crisped, reach*saidCrisp)
	}
	if crisped > t.Crisped {
		t.Crisped, t.Softened = crisped, false
	}
	if tech.Family == "wet heat" && !m.drained(node) && !n.Crisp {
		t.Softened = true
	}
}

// browns tells whether a food has a surface to brown: liquids, fats, sugar and
// salt have none.
func browns(f *larder.Food) bool {
	return larder.Or(f.Per100.Water, 0) < wateryLiquid && !larder.IsFat(f) && f.Origin != larder.FromMineral &&
		f.Aisle != "spices" && (f.Aisle != "herbs" || f.ID == "ginger") && f.Aisle != "condiments" && f.Aisle != "drinks" && f.Aisle != "sweet"
}

// deepFat bounds the fat of a deep fryer by what its pieces take up.
func (m *method) deepFat(component int, out []Treatment) {
	for j := range out {
		line := m.graph.Line(component, j)
		food := m.food(line)
		if !larder.IsFat(food) {
			continue
		}
		pieces := m.friedIn(line)
		mass := m.dish.Components[component].Lines[j].Mass()
		if pieces == 0 || mass <= deepFatShare*pieces {
			continue
		}
		taken := deepFatShare * pieces / mass
		fate := *m.larder.Fate("deep-fat")
		fate.Taken, fate.Soluble, fate.Fat, fate.Aroma, fate.Inosinate = taken, taken, taken, taken, taken
		out[j].Fate = &fate
	}
}

// friedIn is the mass of what is deep-fried in a line of fat.
func (m *method) friedIn(line int) float64 {
	pieces := map[int]bool{}
	for i := range m.graph.Nodes {
		n := &m.graph.Nodes[i]
		if !n.Is("deep-fry") || !n.Reaches(line) {
			continue
		}
		for _, other := range n.Holds {
			if f := m.food(other); f != nil && !larder.IsFat(f) {
				pieces[other] = true
			}
		}
	}
	total := 0.0
	for other := range pieces {
		at := m.graph.Lines[other]
		total += m.dish.Components[at.Component].Lines[at.Line].Mass()
	}
	return total
}

// inherited are fates that a stand-in shares with the line it stands for;
// others belong to bones and meat only.
var inherited = []string{"marinade", "deep-fat", "squeezed", "boiled-out", "water-salt", "cooking-water"}

// ForSwap is the treatment of what stands in for a line.
func (t Treatment) ForSwap(l *larder.Larder) Treatment {
	if !slices.Contains(inherited, t.Fate.Name) {
		t.Fate = l.Fate("kept")
	}
	return t
}

// reaching lists the nodes that reach a line, in order.
func (m *method) reaching(line int) []*flow.Node {
	var out []*flow.Node
	for i := range m.graph.Nodes {
		if m.graph.Nodes[i].Reaches(line) {
			out = append(out, &m.graph.Nodes[i])
		}
	}
	return out
}
