package character

import (
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// keptApart lists the lines of the component that never come together with a line as they are: what is
// baked or rolled out before, or only served beside what the line went into.
func (n *neighbourhood) keptApart() map[int]bool {
	if len(n.reached) == 0 {
		return nil // nobody knows
	}
	meets, seen := map[int]bool{n.at: true}, map[int]bool{}
	for _, x := range n.reached {
		cut := slices.ContainsFunc(x.Inputs, n.cutOnceCooked)
		finished := map[int]bool{}
		for _, in := range x.Inputs {
			if before := &n.graph.Nodes[in]; !before.Reaches(n.at) && (n.finished(in) || x.Is("serve") && !slices.Contains(x.Named, n.at)) {
				for _, line := range before.Holds {
					finished[line] = true
				}
			}
		}
		for _, line := range slices.Concat(x.To, x.With, x.Into) {
			if !seen[line] { // as it is when it first comes to it
				seen[line], meets[line] = true, meets[line] || !finished[line] && !cut
			}
		}
	}
	apart := map[int]bool{}
	for i := range n.component.Lines {
		if line := n.graph.Line(n.home, i); !meets[line] && len(n.graph.Path(line)) > 0 {
			apart[line] = true
		}
	}
	return apart
}

// finished tells whether what an action made was baked or rolled out, or is eggs that were boiled whole.
func (n *neighbourhood) finished(at int) bool {
	x := &n.graph.Nodes[at]
	boiled := x.Technique.Family == "wet heat" && len(x.Holds) > 0 && !slices.ContainsFunc(x.Holds, func(line int) bool {
		f := n.larder.Food(n.lineAt(line).FoodID())
		return f == nil || f.Animal != larder.Egg
	})
	return boiled || x.Technique.Family == "oven" || x.Is("roll", "line") || slices.ContainsFunc(x.Inputs, n.finished)
}

// cutOnceCooked tells whether what an action made is the line, by itself in what it was cooked in, and then cut: the
// ribbons of an omelette come together with the noodles as what they are.
func (n *neighbourhood) cutOnceCooked(at int) bool {
	cut := false
	for {
		x := &n.graph.Nodes[at]
		if !slices.Contains(x.To, n.at) || slices.ContainsFunc(x.Holds, func(line int) bool { return line != n.at && !larder.IsFat(n.larder.Food(n.lineAt(line).FoodID())) }) {
			return false
		}
		if cut = cut || x.Technique.Family == "cut"; cut && x.Technique.Hot() {
			return true
		}
		next := slices.IndexFunc(x.Inputs, func(in int) bool { return slices.Contains(n.graph.Nodes[in].To, n.at) })
		if next < 0 {
			return false
		}
		if cut && slices.ContainsFunc(x.Inputs, func(in int) bool { return n.graph.Nodes[in].Technique.Hot() }) {
			return true // "pour it into the hot oil"
		}
		at = x.Inputs[next]
	}
}

// lineAt is a line of the dish by its number in the flow.
func (n *neighbourhood) lineAt(line int) *recipe.Line {
	at := n.graph.Lines[line]
	return &n.method.dish.Components[at.Component].Lines[at.Line]
}

// cutOver tells whether an action cuts or grinds something over what the line is in, and so is not done to it.
func (n *neighbourhood) cutOver(x *flow.Node) bool {
	return x.Technique.Family == "cut" && len(x.Into) > 0 && len(x.To) > 0 && !slices.Contains(x.To, n.at) // but "cut slits in the lamb"
}
