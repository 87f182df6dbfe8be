package flow

import (
	"cmp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// Graph is the method of a dish as what becomes of its lines: each action with
// the lines it works on, by itself or in what was made of them.
type Graph struct {
	Lines []LineAt
	Nodes []Node
	index map[string]int
	refs  map[string]int
}

// LineAt is the place of a line in a dish.
type LineAt struct{ Component, Line int }

// Node is one action with the lines it reaches. Lines are numbers into the
// graph's lines.
type Node struct {
	Action    *recipe.Action
	Technique *larder.Technique
	At        recipe.StepAt
	// said is the way of working that the text names, where it goes on so long that it
	// amounts to another.
	said *larder.Technique
	// To, With and Into are the lines that go in or are held by what goes in.
	To, With, Into []int
	// Named are the lines that the action speaks of by themselves; Holds those
	// in what it makes.
	Named, Holds []int
	// shares are the lines that it holds a share of, while the rest is elsewhere.
	shares []int
	// tap tells that water of which nobody knows how much has gone in.
	tap bool
	// Inputs are the nodes whose outcome goes in; Users those that take the
	// outcome of this one.
	Inputs, Users []int
	// Covered tells that a lid is on; HotFat that fat at a frying temperature is
	// heated or met.
	Covered, HotFat bool
	// Liquid tells that it works in a liquid, listed or from the tap; Crisp that
	// it goes on until crisp.
	Liquid, Crisp bool
	// Fire tells that it cooks, that the text says how high the ring is, or that it goes into what boils.
	Fire bool
	// Still tells that the text forbids stirring from here on or from before.
	Still bool
	// Lasts is how long it takes in minutes, said or usual.
	Lasts float64
}

// Reaches tells whether a line is worked on here.
func (n *Node) Reaches(line int) bool {
	return slices.Contains(n.To, line) || slices.Contains(n.With, line) || slices.Contains(n.Into, line)
}

// Is tells whether the action is one of the techniques, by its name or by what it amounts to: what
// is fried until deep golden is fried.
func (n *Node) Is(techniques ...string) bool {
	return n.Technique.Is(techniques...) || n.said.Is(techniques...)
}

// Line finds the number of a line, -1 when there is none.
func (g *Graph) Line(component, line int) int {
	at, found := slices.BinarySearchFunc(g.Lines, LineAt{component, line}, func(a, b LineAt) int {
		return cmp.Or(cmp.Compare(a.Component, b.Component), cmp.Compare(a.Line, b.Line))
	})
	if !found {
		return -1
	}
	return at
}

// Named is the number of the line that a reference names, -1 for none.
func (g *Graph) Named(ref string) int {
	if at, ok := g.refs[ref]; ok {
		return at
	}
	return -1
}

// Trace follows the lines of a dish through its method.
func Trace(l *larder.Larder, d *recipe.Dish) *Graph {
	refs := map[string]int{}
	g := &Graph{index: map[string]int{}, refs: refs}
	for c := range d.Components {
		for j := range d.Components[c].Lines {
			refs[recipe.LineRef(c, j)] = len(g.Lines)
			g.Lines = append(g.Lines, LineAt{c, j})
		}
	}
	t := tracer{larder: l, dish: d, graph: g, refs: refs, holder: map[int]int{}}
	method, actions := d.Method(), 0
	for _, at := range method {
		actions += len(d.Components[at.Component].Steps[at.Step].Actions)
	}
	g.Nodes = make([]Node, 0, actions)
	for _, at := range method {
		step := &d.Components[at.Component].Steps[at.Step]
		for i := range step.Actions {
			t.node(&step.Actions[i], at)
		}
	}
	t.still()
	return g
}

type tracer struct {
	larder *larder.Larder
	dish   *recipe.Dish
	graph  *Graph
	refs   map[string]int
	// holder is the node whose outcome holds a line now.
	holder map[int]int
	// hot tells whether the step of the last action speaks of hot fat at all.
	hot struct {
		at    recipe.StepAt
		known bool
		says  bool
	}
}

// node adds one action.
func (t *tracer) node(a *recipe.Action, at recipe.StepAt) {
	n := Node{Action: a, Technique: t.larder.Technique(a.Technique), At: at}
	if n.Technique == nil {
		n.Technique = &larder.Technique{Name: a.Technique}
	}
	id := len(t.graph.Nodes)
	moved := map[int]bool{}
	n.To = t.lines(&n, a.To, moved)
	n.With = t.lines(&n, a.With, moved)
	n.Into = t.lines(&n, a.Into, moved)
	looks := n.Technique.Takes == "none" || a.On != "" && n.Technique.Family == "separate" // what only loses its liquid stays what it was
	if a.On != "" {
		if on := t.made(&n, recipe.Ref{Made: &a.On, Share: 1}, moved); !looks {
			n.Into = append(n.Into, on...)
		}
	}
	if l := t.deepened(a, n.Technique); l != nil {
		n.said, n.Technique = n.Technique, l
	}
	n.Lasts = Lasts(t.larder, a, n.Technique)
	n.Fire = n.Technique.Hot() || a.Heat != "" && !n.Is("off-heat") || slices.ContainsFunc(a.Into, t.boiling)
	n.Crisp = t.says(a.Cue, t.larder.Language().CrispWords)
	n.Liquid = t.liquid(a, &n)
	n.Covered = t.covered(a, &n)
	n.HotFat = t.hotFat(a, &n) || t.saysHotFat(at, a)
	if !looks {
		for _, line := range slices.Concat(n.To, n.With, n.Into) {
			if !slices.Contains(n.Holds, line) {
				n.Holds = append(n.Holds, line)
				if !moved[line] {
					n.shares = append(n.shares, line)
				}
			}
		}
		for line := range moved {
			t.holder[line] = id
		}
	}
	n.Lasts = min(t.untilDry(a, &n), t.untilBound(a, &n))
	for _, in := range n.Inputs {
		t.graph.Nodes[in].Users = append(t.graph.Nodes[in].Users, id)
	}
	t.graph.index[a.ID] = id
	t.graph.Nodes = append(t.graph.Nodes, n)
}

// Said is what an action says besides the lines it works on: its verb, vessel,
// manner, cue and what only the words name.
func Said(a *recipe.Action) string {
	words := []string{a.Verb, a.Vessel, a.Cue, a.Makes, strings.Join(a.Manner, " ")}
	for r := range a.Refs() {
		if r.Named != nil {
			words = append(words, *r.Named)
		}
	}
	return strings.ToLower(strings.Join(words, " "))
}

// Later tells whether what a node makes is taken up again.
func (g *Graph) Later(node int) bool { return len(g.Nodes[node].Users) > 0 }

// Number is the number of a node of the graph, -1 for none of its own.
func (g *Graph) Number(n *Node) int {
	if at, ok := g.index[n.Action.ID]; ok {
		return at
	}
	return -1
}

// Node finds the number of an action by its id, -1 when there is none.
func (g *Graph) Node(id string) int {
	if at, ok := g.index[id]; ok {
		return at
	}
	return -1
}

// Path are the actions that reach a line, in the order in which they are done.
func (g *Graph) Path(line int) []int {
	var out []int
	for i := range g.Nodes {
		if g.Nodes[i].Reaches(line) {
			out = append(out, i)
		}
	}
	return out
}
