package method

import (
	"fmt"
	"maps"
	"slices"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/core/texts"
)

// ownPart is the number of preparing steps from which what a swap brings is a
// component of its own; what stands for a stock, sets on top, or is made of a
// food that the component holds besides is one with any.
const ownPart = 2

var ownPartUses = []string{"stock", "pale-stock", "set", "set-sweet"}

// Parts are the components of an adaptation as a cook would set them out: what
// was dropped is gone, and a swap that takes several steps to prepare (a broth,
// a set topping) is a component of its own before the one it goes into.
func Parts(l *larder.Larder, a swap.Adaptation) []swap.Component {
	p := parting{l: l, a: a, refs: map[string]string{}}
	var sets []set
	for i := range a.Components {
		from := len(p.out)
		p.component(i)
		sets = append(sets, set{from, len(p.out)})
	}
	for i := range p.out {
		for n := range p.out[i].Steps {
			p.out[i].Steps[n].Actions = referring(p.out[i].Steps[n].Actions, p.own[i], p.refs)
		}
	}
	p.inOrder(sets)
	p.madeOnce()
	return p.out
}

// parting takes an adaptation apart: refs are its lines by where they stood, own the same
// as the steps of each part mean them, where that differs.
type parting struct {
	l    *larder.Larder
	a    swap.Adaptation
	out  []swap.Component
	refs map[string]string
	own  []map[string]string
}

// component sets out one component, what is prepared apart before it.
func (p *parting) component(i int) {
	comp := p.a.Components[i]
	moved := map[int]string{} // lines by the swap they went away with
	apart := preparedApart(p.a, i)
	for _, id := range apart {
		p.prepared(i, id, moved)
	}
	main := swap.Component{Name: comp.Name, Lines: []swap.Line{}, Steps: []swap.Step{}}
	at := map[int]int{}
	stands := map[string]int{}
	for n, line := range comp.Lines {
		id, gone := moved[n]
		if k, said := stands[id]; gone && said {
			at[n] = k
			continue
		}
		if line.Change == swap.Dropped {
			continue
		}
		if gone {
			stands[id] = len(main.Lines)
			name := p.l.SwapNamed(id).Short
			line = swap.Line{Line: recipe.Line{
				Text: texts.Say("method.fromAbove", name), Form: larder.RawForm, Name: name, Alternatives: []recipe.Alternative{}, Origin: larder.FromPlant,
			}, From: line.From, Change: swap.Swapped, Made: id}
			if purpose := servesFor(comp.Lines, moved, id); purpose != "" {
				line.Text += ", " + purpose
			}
		}
		at[n] = len(main.Lines)
		main.Lines = append(main.Lines, line)
	}
	for _, s := range comp.Steps {
		if s.Change != swap.Dropped && (s.Prepares == "" || !slices.Contains(preparedApart(p.a, owner(s, i)), s.Prepares)) {
			main.Steps = append(main.Steps, renumbered(s, at))
		}
	}
	maps.Copy(p.refs, movedTo(i, len(p.out), at))
	p.out, p.own = append(p.out, main), append(p.own, nil)
}

// prepared sets out a swap of a component as a part of its own.
func (p *parting) prepared(i int, id string, moved map[int]string) {
	comp := &p.a.Components[i]
	part := swap.Component{Name: id, Lines: []swap.Line{}, Steps: []swap.Step{}}
	if s := p.l.SwapNamed(id); s != nil {
		part.Name = larder.Capital(s.Short)
	}
	at := map[int]int{}
	for n := range comp.Lines {
		if broughtBy(p.a, i, id, n) {
			at[n], moved[n] = gather(p.l, &part, comp.Lines[n]), id
		}
	}
	for k := range p.a.Components {
		for _, s := range p.a.Components[k].Steps {
			if s.Prepares == id && s.Change != swap.Dropped && takesOf(s, k, i) {
				if k != i {
					s.Lines = linesOf(s.Takes, i) // it stands in the part whose step wants it
				}
				part.Steps = append(part.Steps, renumbered(s, at))
			}
		}
	}
	p.own = append(p.own, movedTo(i, len(p.out), at))
	p.out = append(p.out, part)
}

// movedTo maps the outward names of a component's lines to those they have in a part.
func movedTo(component, part int, at map[int]int) map[string]string {
	out := map[string]string{}
	for n, k := range at {
		out[recipe.LineRef(component, n)] = recipe.LineRef(part, k)
	}
	return out
}

// referring are actions whose lines go by the names that they have in the parts: those of
// their own part first.
func referring(actions []recipe.Action, own, refs map[string]string) []recipe.Action {
	name := func(ref string) string {
		if to, ok := own[ref]; ok {
			return to
		}
		if to, ok := refs[ref]; ok {
			return to
		}
		return ref
	}
	in := func(list []recipe.Ref) []recipe.Ref {
		list = slices.Clone(list)
		for i := range list {
			if list[i].Line != nil {
				to := name(*list[i].Line)
				list[i].Line = &to
			}
			if list[i].Of != "" {
				list[i].Of = name(list[i].Of)
			}
		}
		return list
	}
	out := slices.Clone(actions)
	for i := range out {
		out[i].To, out[i].With, out[i].Into = in(out[i].To), in(out[i].With), in(out[i].Into)
	}
	return out
}

// gather adds a line to a part and returns its place: where the part holds the
// same in the same form already, because one swap stands for several lines, the
// amounts are added up.
func gather(l *larder.Larder, part *swap.Component, line swap.Line) int {
	at := slices.IndexFunc(part.Lines, func(o swap.Line) bool {
		return o.FoodID() == line.FoodID() && o.Form == line.Form && o.Preparation == line.Preparation
	})
	food := l.Food(line.FoodID())
	if at < 0 || food == nil || line.Mass() <= 0 {
		part.Lines = append(part.Lines, line)
		return len(part.Lines) - 1
	}
	sum := part.Lines[at].Mass() + line.Mass()
	span := measure.Exactly(sum)
	part.Lines[at].Grams, part.Lines[at].Amount = &span, &measure.Amount{Low: sum, High: sum, Unit: measure.Gram}
	part.Lines[at].Text = swap.Written(food, sum, line.Preparation)
	return at
}

// preparedApart lists the swaps of a component that are prepared as one of
// their own, in the order of their steps.
func preparedApart(a swap.Adaptation, component int) []string {
	count := map[string]int{}
	var out []string
	for _, s := range preparing(a, component) {
		least := ownPart
		if slices.ContainsFunc(a.Swaps, func(c swap.Chosen) bool {
			return c.Swap == s.Prepares && swap.ComponentOf(c.Replaces) == component && slices.Contains(ownPartUses, c.Use)
		}) || standsForSeveral(a, s.Prepares) || sharesFood(a, component, s.Prepares) && !falls(a, s.Prepares) || servesApart(a, s.Prepares) {
			least = 1
		}
		if count[s.Prepares]++; count[s.Prepares] == least {
			out = append(out, s.Prepares)
		}
	}
	return out
}

// owner is the component whose lines a step takes that prepares something: where one method stands
// behind the lists of all parts, that is not always the one it stands in.
func owner(s swap.Step, in int) int {
	if len(s.Takes) > 0 {
		return swap.ComponentOf(s.Takes[0])
	}
	return in
}

// takesOf tells whether a step of a component that prepares something takes lines of another, or of its own: one method
// may prepare for several lists at once.
func takesOf(s swap.Step, in, component int) bool {
	return owner(s, in) == component || slices.ContainsFunc(s.Takes, func(ref string) bool { return swap.ComponentOf(ref) == component })
}

// linesOf are the lines of a component among references.
func linesOf(refs []string, component int) []int {
	out := []int{}
	for _, ref := range refs {
		var of, line int
		if n, err := fmt.Sscanf(ref, "components[%d].lines[%d]", &of, &line); err == nil && n == 2 && of == component {
			out = append(out, line)
		}
	}
	return out
}

// preparing are the steps that prepare what stands in for lines of a component.
func preparing(a swap.Adaptation, component int) []swap.Step {
	var out []swap.Step
	for k := range a.Components {
		for _, s := range a.Components[k].Steps {
			if s.Prepares != "" && s.Change != swap.Dropped && takesOf(s, k, component) {
				out = append(out, s)
			}
		}
	}
	return out
}

// standsForSeveral tells whether one swap stands for several lines of a dish, so that it is
// made once for all of them.
func standsForSeveral(a swap.Adaptation, id string) bool {
	lines := 0
	for _, c := range a.Swaps {
		if c.Swap == id {
			lines++
		}
	}
	return lines > 1
}

// sharesFood tells whether a swap made of several things holds one that the
// component holds besides, so that "the cashews" of its preparation could be
// those or the others.
func sharesFood(a swap.Adaptation, component int, id string) bool {
	comp := a.Components[component]
	mine, others := map[string]bool{}, map[string]bool{}
	brought := 0
	for n, line := range comp.Lines {
		switch own := broughtBy(a, component, id, n); {
		case line.Change == swap.Dropped || line.FoodID() == waterFood:
		case own:
			mine[line.FoodID()] = true
			brought++
		default:
			others[line.FoodID()] = true
		}
	}
	for food := range mine {
		if others[food] && brought > 1 {
			return true
		}
	}
	return false
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
