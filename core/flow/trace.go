package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// deepened is what a way of working amounts to that goes on until deep golden,
// nil where it does not.
func (t *tracer) deepened(a *recipe.Action, tech *larder.Technique) *larder.Technique {
	if tech.Deep == "" || a.Cue == "" {
		return nil
	}
	said := strings.ReplaceAll(larder.Fold(a.Cue), "-", " ")
	if t.says(a.Cue, t.larder.Language().DeepWords) || slices.ContainsFunc(t.larder.Language().DeepColour, func(p string) bool { return strings.Contains(said, p) }) {
		return t.larder.Technique(tech.Deep)
	}
	return nil
}

// says tells whether a clause holds one of the words.
func (t *tracer) says(clause string, words map[string]bool) bool {
	return slices.ContainsFunc(strings.FieldsFunc(larder.Fold(clause), func(r rune) bool { return r == ' ' || r == ',' || r == '.' }), func(w string) bool { return words[w] })
}

// lines are those that a role's references reach.
func (t *tracer) lines(n *Node, refs []recipe.Ref, moved map[int]bool) []int {
	var out []int
	for _, r := range refs {
		switch {
		case r.Line != nil:
			if at, ok := t.refs[*r.Line]; ok {
				out, n.Named = append(out, at), append(n.Named, at)
				moved[at] = true
				if r.Share < 1 && n.Technique.Family == "cut" {
					n.shares = append(n.shares, at) // it lies there when the rest is cut in another way
				}
			}
		case r.Made != nil:
			out = append(out, t.made(n, r, moved)...)
		}
	}
	return out
}

// laidOn tells whether an action puts what it names onto a board, a plate or paper: "transfer the chicken to
// a board", out of its broth.
func (t *tracer) laidOn(n *Node) bool {
	words := strings.Fields(strings.ToLower(n.Action.Vessel))
	return n.Is(placeTechnique) && len(n.Action.With) == 0 && len(words) > 0 && t.larder.Language().Receiving[words[len(words)-1]]
}

// made are the lines of what an earlier action made, or the one of them that is
// meant.
func (t *tracer) made(n *Node, r recipe.Ref, moved map[int]bool) []int {
	from, ok := t.graph.index[*r.Made]
	if !ok {
		return nil
	}
	if !slices.Contains(n.Inputs, from) {
		n.Inputs = append(n.Inputs, from)
	}
	if of, known := t.refs[r.Of]; known {
		n.Named = append(n.Named, of)
		if n.Technique.Takes == "part" || t.laidOn(n) || t.graph.apart(from) || (n.Is(drainTechnique, restTechnique) || n.Technique.Family == "cut") && t.pours(from) && !larder.Pours(t.food(of)) {
			moved[of] = true
			return []int{of}
		}
		if r.Share <= littleOfIt && (t.graph.Nodes[from].Technique.Heat != "" || larder.Pours(t.food(of)) || n.Is("mash", "crush")) {
			return []int{of} // "two ladles of the beans", of a pot with more in it; spoons of a marinade, without what lies in it
		}
	}
	var out, around []int
	if n.Is(removeTechnique) && r.Share >= 1 && !takesVessel(n.Action) {
		around = t.around(from)
	}
	for _, line := range t.graph.Nodes[from].Holds {
		if slices.Contains(around, line) {
			continue // the stock in which the balls were poached
		}
		held := t.holder[line] == from || t.stayedInPan(line, from)
		if held || r.Share < 1 && !t.liftedOut(line, from) || slices.Contains(t.graph.Nodes[from].shares, line) {
			out = append(out, line)
			if held && r.Share >= 1 {
				moved[line] = true
			}
		}
	}
	return out
}

// takesVessel tells whether an action is done to a vessel, and so to all that is in it: "take the casserole from the oven".
func takesVessel(a *recipe.Action) bool {
	return slices.ContainsFunc(a.Words.Phrases, func(p recipe.Phrase) bool {
		return p.Role == "to" && slices.ContainsFunc(p.Nouns, func(n recipe.Noun) bool { return n.Vessel })
	})
}

// around are the lines of the liquid into which a mixture was put that cooks in it at a node.
func (t *tracer) around(node int) []int {
	n := &t.graph.Nodes[node]
	for n.Technique.Joins != "yes" {
		if len(n.Inputs) != 1 || len(n.Named) > 0 {
			return nil
		}
		n = &t.graph.Nodes[n.Inputs[0]]
	}
	a := n.Action
	if len(a.To) != 1 || a.To[0].Made == nil || len(a.Into) != 1 || len(n.Inputs) != 2 || len(n.To) < 2 || t.mostlyPours(n.To) || !t.mostlyPours(n.Into) || a.To[0].Share < 1 || a.Into[0].Share < 1 {
		return nil
	}
	return n.Into
}

// mostlyPours tells whether lines are more liquid than not.
func (t *tracer) mostlyPours(lines []int) bool {
	liquid, all := 0.0, 0.0
	for _, line := range lines {
		at := t.graph.Lines[line]
		mass := t.dish.Components[at.Component].Lines[at.Line].Mass()
		if all += mass; larder.Pours(t.food(line)) {
			liquid += mass
		}
	}
	return liquid > all/2
}

// liftedOut tells whether a line was taken out by its name of what an action made: the fish is not in "200 ml of the
// milk" that it was poached in.
func (t *tracer) liftedOut(line, from int) bool {
	h, ok := t.holder[line]
	for ok && h != from && len(t.graph.Nodes[h].Inputs) == 1 {
		if n := &t.graph.Nodes[h]; n.Technique.Takes == "part" && n.Inputs[0] == from {
			return true
		}
		h = t.graph.Nodes[h].Inputs[0]
	}
	return false
}

// stayedInPan tells whether a line is fat in which something was fried that has been lifted out of
// it since: the fat is in the pan still.
func (t *tracer) stayedInPan(line, from int) bool {
	h, ok := t.holder[line]
	if !ok || t.graph.Nodes[from].Technique.Family != "dry heat" {
		return false
	}
	if !larder.IsFat(t.food(line)) {
		return false
	}
	// "remove and keep" are two
	for out := &t.graph.Nodes[h]; (out.Technique.Takes == "part" || out.Is(placeTechnique, drainTechnique)) && len(out.Inputs) == 1; out = &t.graph.Nodes[out.Inputs[0]] {
		if out.Inputs[0] == from {
			return true
		}
	}
	return false
}

// pours tells whether a node holds a listed liquid.
func (t *tracer) pours(node int) bool {
	return slices.ContainsFunc(t.graph.Nodes[node].Holds, func(line int) bool { return larder.Pours(t.food(line)) })
}

// food is that of a line.
func (t *tracer) food(line int) *larder.Food {
	at := t.graph.Lines[line]
	return t.larder.Food(t.dish.Components[at.Component].Lines[at.Line].FoodID())
}

// apart tells whether what a node holds lies side by side; what was mixed and
// then left to stand does not.
func (g *Graph) apart(i int) bool {
	switch n := &g.Nodes[i]; n.Technique.Family {
	case "cut", "clean", "separate":
		return true
	case "rest":
		return !slices.ContainsFunc(n.Inputs, g.mixed)
	}
	return false
}

// mixed tells whether a node holds things mixed together, also where they were
// then covered or left to stand.
func (g *Graph) mixed(i int) bool {
	switch n := &g.Nodes[i]; n.Technique.Family {
	case "mix":
		return true
	case "rest", "assemble", "season":
		return slices.ContainsFunc(n.Inputs, g.mixed)
	}
	return false
}

// liquid tells whether an action works in a liquid.
func (t *tracer) liquid(a *recipe.Action, n *Node) bool {
	for _, r := range slices.Concat(a.With, a.Into) {
		if r.Named != nil && t.larder.Language().Loose[last(strings.Fields(strings.ToLower(*r.Named)))] {
			return true
		}
	}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if larder.Wets(t.food(line)) {
			return true
		}
	}
	return slices.ContainsFunc(n.Inputs, func(in int) bool {
		return t.graph.Nodes[in].Liquid && t.graph.Nodes[in].Technique.Leaves != "drained"
	})
}

// untilDry is how long an action lasts that is said to go on until something shows: no longer than
// the water in an open pan, a glaze and not what is in pieces, takes to boil away.
func (t *tracer) untilDry(a *recipe.Action, n *Node) float64 {
	n.tap = n.Liquid && slices.ContainsFunc(n.Inputs, func(in int) bool { return t.graph.Nodes[in].tap })
	for r := range a.Refs() {
		n.tap = n.tap || r.Named != nil && t.larder.Language().Loose[last(strings.Fields(strings.ToLower(*r.Named)))]
	}
	if a.Minutes != nil || n.tap || n.Covered || n.Technique.Lost == 0 {
		return n.Lasts
	}
	water := 0.0
	for _, line := range t.boilsAway(a, n) {
		if f := t.food(line); larder.GivesWater(f) {
			at := t.graph.Lines[line]
			water += t.dish.Components[at.Component].Lines[at.Line].Mass() * larder.Or(f.Per100.Water, 0) / 100
		}
	}
	if water == 0 {
		return n.Lasts
	}
	return min(n.Lasts, water/n.Technique.Lost)
}

// untilBound is how long an action lasts that goes on until a liquid has thickened, where starch went into it just before:
// that binds as soon as it is hot.
func (t *tracer) untilBound(a *recipe.Action, n *Node) float64 {
	starch := func(line int) bool { return t.food(line) != nil && t.food(line).Kind == "starch" }
	if n.Is("thicken") && a.Minutes == nil && slices.ContainsFunc(slices.Concat(n.Named, n.With), starch) {
		return min(n.Lasts, bindsIn) // "thicken with the slaked cornflour"
	}
	if a.Minutes != nil || n.Technique.Family != "wet heat" || len(n.Inputs) == 0 || !t.says(a.Cue, t.larder.Language().ThickWords) {
		return n.Lasts
	}
	in := &t.graph.Nodes[n.Inputs[0]]
	if in.Technique.Heat == "" && slices.ContainsFunc(slices.Concat(in.To, in.With), starch) && len(in.Into) > 0 {
		return min(n.Lasts, bindsIn)
	}
	return n.Lasts
}

// bindsIn is what hot liquid takes to thicken once starch is in it; an estimate.
const bindsIn = 2.0

// boilsAway are the lines whose water is to boil away: what was poured in just before, where the action
// goes on until that has gone, else all.
func (t *tracer) boilsAway(a *recipe.Action, n *Node) []int {
	if len(n.Inputs) == 1 && t.says(a.Cue, t.larder.Language().DriedWords) {
		if in := &t.graph.Nodes[n.Inputs[0]]; in.Technique.Joins == "yes" && len(in.Named) > 0 {
			return in.Named
		}
	}
	return n.Holds
}

// hotFat tells whether fat is heated to a frying temperature here, or was in
// what goes in.
func (t *tracer) hotFat(a *recipe.Action, n *Node) bool {
	if a.Celsius != nil && *a.Celsius >= fryingHeat && n.Technique.Family != "oven" {
		for _, line := range slices.Concat(n.To, n.With) {
			if larder.IsFat(t.food(line)) {
				return true
			}
		}
	}
	return slices.ContainsFunc(n.Inputs, func(in int) bool { return t.graph.Nodes[in].HotFat && t.graph.Nodes[in].Is("heat") })
}

// covered tells whether a lid is on: put on here or before, and not taken off.
func (t *tracer) covered(a *recipe.Action, n *Node) bool {
	lang := t.larder.Language()
	said := strings.Join(append([]string{a.Vessel}, a.Manner...), " ")
	switch {
	case t.says(said, lang.Uncovered):
		return false
	case n.Is("cover") && slices.ContainsFunc(n.With, func(line int) bool { return !t.wets([]int{line}) }): // "cover with the rest of the dough", "with pasta, then sauce"
	case t.says(said, lang.Covered), n.Is("cover"):
		return true
	}
	if n.Technique.Joins == "yes" || n.Technique.Family == "mix" || n.Is("uncover") {
		return false
	}
	if before := len(t.graph.Nodes) - 1; before >= 0 && t.graph.Nodes[before].Is("cover") && len(t.graph.Nodes[before].Holds) == 0 && t.graph.Nodes[before].At == n.At {
		return true // "cover with a lid and simmer the stock"
	}
	return slices.ContainsFunc(n.Inputs, func(in int) bool { return t.graph.Nodes[in].Covered })
}
