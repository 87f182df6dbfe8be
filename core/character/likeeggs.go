package character

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
)

// eggsBeside is the line of eggs of which there are more and that goes in by the same words as a line of eggs,
// yolks or whites: what one does the other does; -1 where there is none.
func (m *method) eggsBeside(component, line int, food *larder.Food) int {
	if food.Animal != larder.Egg {
		return -1
	}
	lines := m.dish.Components[component].Lines
	for i := range lines {
		f := m.larder.Food(lines[i].FoodID())
		if i == line || f == nil || f.Animal != larder.Egg || lines[i].Mass() <= lines[line].Mass() {
			continue
		}
		at, other, together := m.graph.Line(component, line), m.graph.Line(component, i), false
		apart := slices.ContainsFunc(m.graph.Nodes, func(n flow.Node) bool {
			one, two := slices.Contains(n.Named, at), slices.Contains(n.Named, other)
			together = together || one && two
			return one != two
		})
		if together && !apart {
			return i
		}
	}
	return -1
}
