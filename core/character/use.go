package character

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Use is what an ingredient does in its dish, with the rule that said so.
type Use struct {
	Name string `json:"use"`
	// Rule completes the sentence "It ...", as in "is brushed on".
	Rule string `json:"rule"`
	// Corrected tells that the cook set it right.
	Corrected bool `json:"corrected"`
	// Others are the uses that the same kind of food can have, to choose from.
	Others []string `json:"others"`
}

// CorrectedRule stands as the rule of a use that the cook has set.
const CorrectedRule = "does what you said it does"

// UseOf reads what a line does from the flow of the method, by the table of
// uses; the most specific rule wins. A use that the cook has set comes before
// any rule. The answer is empty for foods that no rule speaks of.
func UseOf(l *larder.Larder, d recipe.Dish, component, line int, corrected string) Use {
	return methodOf(l, &d).use(component, line, corrected)
}

func (m *method) use(component, line int, corrected string) Use {
	c := &m.dish.Components[component]
	food := m.larder.Food(c.Lines[line].FoodID())
	if food == nil || food.Kind == "" {
		return Use{}
	}
	others := m.larder.UsesOf(food.Kind)
	if slices.Contains(others, corrected) {
		return Use{corrected, CorrectedRule, true, others}
	}
	if other := m.eggsBeside(component, line, food); other >= 0 {
		if u := m.use(component, other, ""); slices.Contains(others, u.Name) {
			return Use{u.Name, u.Rule, false, others} // "the eggs and the yolk"
		}
	}
	n := m.neighbourhood(component, line, food)
	for i := range m.larder.UseRules() {
		rule := &m.larder.UseRules()[i]
		if slices.Contains(rule.Kinds, food.Kind) && (len(rule.When) == 0 || slices.ContainsFunc(rule.When, n.holds)) {
			return Use{rule.Use, rule.Why, false, others}
		}
	}
	return Use{}
}

// neighbourhood is what a use rule may look at: the line, what is done to it and
// what stands beside it.
type neighbourhood struct {
	*method
	component *recipe.Component
	home      int
	line      *recipe.Line
	at        int
	food      *larder.Food
	// reached are the actions on the line or on what holds it, named those that
	// speak of it or directly go on from one that does.
	reached, named []*flow.Node
	// apart are the lines that never come together with it, or only when they are baked, or
	// rolled out, by themselves: the pastry of what it fills.
	apart map[int]bool
}

func (m *method) neighbourhood(component, line int, food *larder.Food) *neighbourhood {
	c := &m.dish.Components[component]
	n := &neighbourhood{method: m, component: c, home: component, line: &c.Lines[line], at: m.graph.Line(component, line), food: food}
	direct, most := map[int]bool{}, m.mostOf(component, line, n.at)
	for i := range m.graph.Nodes {
		node := &m.graph.Nodes[i]
		if !node.Reaches(n.at) || most != nil && !most[i] || n.cutOver(node) {
			continue
		}
		n.reached = append(n.reached, node)
		speaks := slices.Contains(node.Named, n.at)
		follows := slices.ContainsFunc(node.Inputs, func(in int) bool { return direct[in] }) && (len(node.Holds) == 1 || node.Technique.Family == "coat" && slices.Equal(node.To, []int{n.at}))
		if speaks || follows {
			direct[i] = true
			n.named = append(n.named, node)
		}
	}
	n.apart = n.keptApart()
	return n
}

// mostOf are the actions that the greater share of a line goes through, where its shares part:
// one egg binds the filling, five are baked whole. It is nil where they do not.
func (m *method) mostOf(component, line, at int) map[int]bool {
	ref := recipe.LineRef(component, line)
	best, most, parted := -1, 0.0, false
	for i := range m.graph.Nodes {
		node := &m.graph.Nodes[i]
		if !slices.Contains(node.Named, at) {
			continue
		}
		for r := range node.Action.Refs() {
			if r.Line == nil || *r.Line != ref || r.Share >= 1 || r.Part != "" {
				continue
			}
			if parted = parted || best >= 0; r.Share > most {
				best, most = i, r.Share
			}
		}
	}
	if !parted || most < greaterShare {
		return nil
	}
	through := map[int]bool{best: true}
	for i := best + 1; i < len(m.graph.Nodes); i++ {
		node := &m.graph.Nodes[i]
		if node.Reaches(at) && slices.ContainsFunc(node.Inputs, func(in int) bool { return through[in] }) {
			through[i] = true
		}
	}
	return through
}

// greaterShare is from which share on the rest of a line does not say what it is for; an estimate.
const greaterShare = 0.6

// holds tells whether a condition is met.
func (n *neighbourhood) holds(w larder.UseWhen) bool {
	in := func(nodes []*flow.Node, list []string) bool {
		return slices.ContainsFunc(nodes, func(x *flow.Node) bool { return x.Is(list...) })
	}
	role := func(list []string, lines func(*flow.Node) []int) bool {
		return len(list) == 0 || slices.ContainsFunc(n.reached, func(x *flow.Node) bool { return x.Is(list...) && slices.Contains(lines(x), n.at) })
	}
	return (len(w.Named) == 0 || in(n.named, w.Named)) &&
		(len(w.UnNamed) == 0 || !in(n.named, w.UnNamed)) &&
		(len(w.Next) == 0 || slices.ContainsFunc(n.named, func(x *flow.Node) bool { return n.next(x, w.Next) })) &&
		(len(w.Dry) == 0 || slices.ContainsFunc(n.reached, func(x *flow.Node) bool { return x.Is(w.Dry...) && !x.Liquid && n.rightAfter(x) })) &&
		(len(w.Reached) == 0 || in(n.reached, w.Reached)) &&
		(len(w.Unreached) == 0 || !in(n.reached, w.Unreached)) &&
		(len(w.Worked) == 0 || n.meetsWorked(w)) && (len(w.Moved) == 0 || n.moved(w.Moved)) &&
		role(w.To, func(x *flow.Node) []int { return intersect(x.To, x.Named, n.follows(x)) }) &&
		role(w.With, func(x *flow.Node) []int { return x.With }) &&
		role(w.Into, func(x *flow.Node) []int { return x.Into }) &&
		(len(w.Any) == 0 || n.anywhere(w.Any)) &&
		(len(w.None) == 0 || !n.anywhere(w.None)) &&
		n.words(w) && n.masses(w) && (!w.Late || n.late()) && (!w.Cold || !n.meetsHeat())
}

// follows tells whether an action goes straight on from one that names the line.
func (n *neighbourhood) follows(x *flow.Node) bool { return slices.Contains(n.named, x) }

// next tells whether the action that the step goes on with is worked in one of some ways.
func (n *neighbourhood) next(x *flow.Node, list []string) bool {
	at := n.graph.Number(x) + 1
	return at < len(n.graph.Nodes) && n.graph.Nodes[at].At == x.At && n.graph.Nodes[at].Is(list...)
}

// moved tells whether the line, or what was made of it, is what an action of some ways is done to, and not
// what that goes into.
func (n *neighbourhood) moved(list []string) bool {
	return slices.ContainsFunc(n.reached, func(x *flow.Node) bool { return x.Is(list...) && slices.Contains(x.To, n.at) })
}

// meetsWorked tells whether the work that takes the line takes with it what was worked in one of some ways
// before, or goes into that: the fat in which what was coated is fried, the cheese in rubbed crumbs.
func (n *neighbourhood) meetsWorked(w larder.UseWhen) bool {
	var worked func(in int) bool
	worked = func(in int) bool {
		return n.graph.Nodes[in].Is(w.Worked...) || slices.ContainsFunc(n.graph.Nodes[in].Inputs, worked)
	}
	return slices.ContainsFunc(n.reached, func(x *flow.Node) bool {
		return (len(w.With) == 0 || x.Is(w.With...)) && (slices.Contains(x.With, n.at) || len(x.Into) > 0 && slices.Contains(x.To, n.at) && slices.Contains(x.Named, n.at)) && slices.ContainsFunc(x.Inputs, worked)
	})
}

// rightAfter tells whether an action works on what an action made that speaks of the line.
func (n *neighbourhood) rightAfter(x *flow.Node) bool {
	return slices.ContainsFunc(x.Inputs, func(in int) bool { return slices.Contains(n.named, &n.graph.Nodes[in]) })
}

// intersect keeps of the lines those that are named, or all where the action
// goes straight on.
func intersect(lines, named []int, all bool) []int {
	if all {
		return lines
	}
	var out []int
	for _, l := range lines {
		if slices.Contains(named, l) {
			out = append(out, l)
		}
	}
	return out
}

// anywhere looks at every action of the component.
func (n *neighbourhood) anywhere(techniques []string) bool {
	for i := range n.graph.Nodes {
		x := &n.graph.Nodes[i]
		if x.Is(techniques...) && (x.At.Component == n.home || n.method.home(x) == n.home) {
			return true
		}
	}
	return false
}

// words holds what the line, its form and its actions say against a condition.
func (n *neighbourhood) words(w larder.UseWhen) bool {
	written := larder.Fold(n.withoutMore() + ", " + n.calledInSteps())
	has := func(text string, list []string) bool {
		return slices.ContainsFunc(list, func(s string) bool { return contains(text, s) })
	}
	return (len(w.Written) == 0 || has(written, w.Written) || slices.Contains(w.Form, n.line.Form)) &&
		(len(w.Unwritten) == 0 || !has(written, w.Unwritten)) &&
		(len(w.Component) == 0 || has(larder.Fold(n.component.Name), w.Component)) &&
		(len(w.Foods) == 0 || slices.Contains(w.Foods, n.food.ID)) &&
		(len(w.FoodsKind) == 0 || slices.Contains(w.FoodsKind, n.food.Kind)) &&
		(len(w.Verbs) == 0 || slices.ContainsFunc(n.spoken(), func(x *flow.Node) bool { return has(x.Action.Verb, w.Verbs) })) &&
		(len(w.Later) == 0 || slices.ContainsFunc(n.reached, func(x *flow.Node) bool { return has(x.Action.Verb, w.Later) })) &&
		(len(w.Vessel) == 0 || slices.ContainsFunc(n.named, func(x *flow.Node) bool { return has(vesselOf(x), w.Vessel) })) &&
		(len(w.Parts) == 0 || slices.ContainsFunc(n.named, func(x *flow.Node) bool { return n.part(x, w.Parts) })) &&
		(len(w.Told) == 0 || slices.ContainsFunc(n.reached, func(x *flow.Node) bool { return has(n.told(x), w.Told) })) &&
		(len(w.Said) == 0 || slices.ContainsFunc(n.spoken(), func(x *flow.Node) bool { return has(spoken(x), w.Said) }))
}

// part tells whether an action takes a part of the line.
func (n *neighbourhood) part(x *flow.Node, parts []string) bool {
	ref := recipe.LineRef(n.home, n.at-n.graph.Line(n.home, 0))
	return slices.ContainsFunc(slices.Concat(x.Action.To, x.Action.With, x.Action.Into), func(r recipe.Ref) bool {
		return (r.Line != nil && *r.Line == ref || r.Made != nil && r.Of == ref) && slices.Contains(parts, r.Part)
	})
}

// masses holds amounts against a condition.
func (n *neighbourhood) masses(w larder.UseWhen) bool {
	own := n.line.Mass()
	return (w.Beside == nil || n.grams(w.Beside.Of) > w.Beside.Times*own) &&
		(w.Under == nil || n.grams(w.Under.Of) < w.Under.Times*own) &&
		(w.MassOver == nil || own > w.MassOver.Times*n.grams(w.MassOver.Of)) &&
		(w.Grams == nil || n.grams(w.Grams.Of) > w.Grams.More) &&
		(w.Mass == 0 || own < w.Mass) &&
		(w.MassLeast == 0 || own > w.MassLeast) &&
		(w.Share == 0 || own < w.Share*n.total())
}

// grams sums the component's foods of the given kinds, aisles or ids.
func (n *neighbourhood) grams(of string) float64 {
	names := strings.Fields(of)
	total := 0.0
	for i := range n.component.Lines {
		f := n.larder.Food(n.component.Lines[i].FoodID())
		if f != nil && !n.apart[n.graph.Line(n.home, i)] && (slices.Contains(names, f.Kind) || slices.Contains(names, f.Aisle) || slices.Contains(names, f.ID) || slices.ContainsFunc(names, f.Tagged)) {
			total += n.component.Lines[i].Mass()
		}
	}
	return total
}

func (n *neighbourhood) total() float64 {
	total := 0.0
	for i := range n.component.Lines {
		total += n.component.Lines[i].Mass()
	}
	return total
}

// lateMinutes is how long something may still be cooked that enriches at the end.
const lateMinutes = 6.0

// late tells whether nothing is cooked for long once the line is in.
func (n *neighbourhood) late() bool {
	minutes, named := 0.0, false
	for _, x := range n.reached {
		named = named || slices.Contains(x.Named, n.at)
		if !x.Technique.Hot() {
			continue
		}
		m := minutesOf(x)
		if m == 0 && x.Technique.Family != "gentle heat" {
			m = x.Lasts
		}
		minutes += m
	}
	return named && minutes <= lateMinutes
}

// vesselOf is the vessel that an action names, be it what the action is done to: "grease a frying pan".
func vesselOf(n *flow.Node) string {
	if n.Action.Vessel != "" || len(n.Action.To) == 0 || n.Action.To[0].Named == nil {
		return n.Action.Vessel
	}
	return *n.Action.To[0].Named
}
