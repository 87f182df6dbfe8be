package method

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// ownPart is the number of preparing steps from which what a swap brings is a
// component of its own; what stands for a stock or sets on top is one with any.
const ownPart = 2

var ownPartUses = []string{"stock", "set"}

// Parts are the components of an adaptation as a cook would set them out: what
// was dropped is gone, and a swap that takes several steps to prepare (a broth,
// a set topping) is a component of its own before the one it goes into.
func Parts(l *larder.Larder, a swap.Adaptation) []swap.Component {
	var out []swap.Component
	for i := range a.Components {
		comp := a.Components[i]
		main := swap.Component{Name: comp.Name, Lines: []swap.Line{}, Steps: []swap.Step{}}
		moved := map[int]string{} // lines by the swap they went away with
		apart := preparedApart(a, i)
		for _, id := range apart {
			part := swap.Component{Name: id, Lines: []swap.Line{}, Steps: []swap.Step{}}
			if s := l.SwapNamed(id); s != nil {
				part.Name = larder.Capital(s.Short)
			}
			at := map[int]int{}
			for n := range comp.Lines {
				if broughtBy(a, i, id, n) {
					at[n], moved[n] = len(part.Lines), id
					part.Lines = append(part.Lines, comp.Lines[n])
				}
			}
			for _, s := range comp.Steps {
				if s.Prepares == id {
					part.Steps = append(part.Steps, renumbered(s, at))
				}
			}
			out = append(out, part)
		}
		at := map[int]int{}
		said := map[string]bool{}
		for n, line := range comp.Lines {
			id, gone := moved[n]
			switch {
			case line.Change == swap.Dropped || gone && said[id]:
				continue
			case gone:
				said[id] = true
				name := l.SwapNamed(id).Short
				line = swap.Line{Line: recipe.Line{
					Text: "the " + name + ", from above", Form: larder.RawForm, Name: name, Alternatives: []recipe.Alternative{}, Origin: larder.FromPlant,
				}, From: line.From, Change: swap.Swapped}
			}
			at[n] = len(main.Lines)
			main.Lines = append(main.Lines, line)
		}
		for n := range comp.Lines {
			if id, gone := moved[n]; gone {
				for m, k := range at {
					if moved[m] == id {
						at[n] = k
					}
				}
			}
		}
		for _, s := range comp.Steps {
			if s.Change != swap.Dropped && (s.Prepares == "" || !slices.Contains(apart, s.Prepares)) {
				main.Steps = append(main.Steps, renumbered(s, at))
			}
		}
		out = append(out, main)
	}
	return out
}

// preparedApart lists the swaps of a component that are prepared as one of
// their own, in the order of their steps.
func preparedApart(a swap.Adaptation, component int) []string {
	count := map[string]int{}
	var out []string
	for _, s := range a.Components[component].Steps {
		if s.Prepares == "" || s.Change == swap.Dropped {
			continue
		}
		least := ownPart
		if slices.ContainsFunc(a.Swaps, func(c swap.Chosen) bool {
			return c.Swap == s.Prepares && swap.ComponentOf(c.Replaces) == component && slices.Contains(ownPartUses, c.Use)
		}) {
			least = 1
		}
		if count[s.Prepares]++; count[s.Prepares] == least {
			out = append(out, s.Prepares)
		}
	}
	return out
}

// broughtBy says whether a swap brought a line of a component.
func broughtBy(a swap.Adaptation, component int, id string, line int) bool {
	return slices.ContainsFunc(a.Swaps, func(c swap.Chosen) bool {
		return c.Swap == id && slices.Contains(c.Lines, line) && swap.ComponentOf(c.Replaces) == component
	})
}

func renumbered(s swap.Step, at map[int]int) swap.Step {
	lines := []int{}
	for _, n := range s.Lines {
		if k, ok := at[n]; ok && !slices.Contains(lines, k) {
			lines = append(lines, k)
		}
	}
	slices.Sort(lines)
	s.Lines = lines
	return s
}
