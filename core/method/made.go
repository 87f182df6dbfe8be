package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// fired is what fire a swap's own preparation brings its main food to, if it has one: last tells that it ends with
// browning, ever that it comes near a dry fire at all, shaped that its last step does no more than fry or bake what was shaped before,
// rounds that it is made into pieces that lie in a pan by themselves.
type fired struct{ prepared, last, ever, shaped, rounds bool }

// fired reads the preparation of a swap once.
func (c *Carrier) fired(book *larder.Swap) fired {
	if known, ok := c.browned.Load(book.ID); ok {
		return known.(fired)
	}
	x := fired{}
	if d, main := c.made(book); main >= 0 {
		x.prepared = true
		last := true
		g := flow.Trace(c.book.Larder(), d)
		for k := len(g.Nodes) - 1; k >= 0; k-- {
			n := &g.Nodes[k]
			x.rounds = x.rounds || n.Is("shape") && n.Reaches(main)
			if n.Technique.Heat == "" || !n.Reaches(main) {
				continue
			}
			x.last = x.last || last && n.Technique.Family == "dry heat" && n.Technique.Roast > 0
			x.ever = x.ever || n.Technique.Family == "oven" || n.Technique.Roast > 0
			last = false
		}
		at := shapesThenFires(g, main)
		x.shaped = len(book.Prepare) > 1 && at >= 0 && g.Nodes[at].At.Step == len(book.Prepare)-1
	}
	c.browned.Store(book.ID, x)
	return x
}

// isBrowned tells whether what stands in is browned: its preparation ends so, or the form has it so that its figures are
// taken from, and the preparation does not leave it raw, as slabs that only lie in their marinade.
func (c *Carrier) isBrowned(book *larder.Swap, byForm bool) bool {
	x := c.fired(book)
	return x.last || byForm && (x.ever || !x.prepared)
}

// batch is what the preparation of a stand-in says where less is wanted than can be made;
// empty for others.
func (c *Carrier) batch(p *plan, s *standIn) string {
	grams := 0.0
	for _, o := range p.inOrder() {
		for _, at := range o.lines {
			if madeAtOnce(o.book, s.book) { // made once for all parts
				grams += p.a.Components[o.component].Lines[at].Mass()
			}
		}
	}
	if grams <= 0 || grams >= c.leastOf(s.book) {
		return ""
	}
	return " " + c.words().Batch
}

// leastOf is how many grams of a swap can be made at least, by what its preparation does.
func (c *Carrier) leastOf(book *larder.Swap) float64 {
	if known, ok := c.least.Load(book.ID); ok {
		return known.(float64)
	}
	least := 0.0
	if d, main := c.made(book); main >= 0 {
		g := flow.Trace(c.book.Larder(), d)
		for k := range g.Nodes {
			for _, m := range c.book.Larder().Makings() {
				if g.Nodes[k].Is(m.Techniques...) && !joinsOther(g, k) {
					least = math.Max(least, m.Smallest)
				}
			}
		}
	}
	c.least.Store(book.ID, least)
	return least
}

// joinsOther tells whether something that the swap does not bring is in what an action
// works on, such as the liquid of the dish: what was drained is not.
func joinsOther(g *flow.Graph, k int) bool {
	if g.Nodes[k].Is("drain") {
		return false
	}
	return tapped(&g.Nodes[k]) || slices.ContainsFunc(g.Nodes[k].Inputs, func(in int) bool { return joinsOther(g, in) })
}

// made is the preparation of a swap as a dish of its own, with the line of its main
// food, -1 where there is none.
func (c *Carrier) made(book *larder.Swap) (d *recipe.Dish, main int) {
	l, main := c.book.Larder(), -1
	food := l.MainFood(book)
	part := recipe.Component{}
	for i, p := range book.Formula {
		f := l.Food(p.Food)
		if f == nil {
			return nil, -1
		}
		if food != nil && f.ID == food.ID && main < 0 {
			main = i
		}
		part.Lines = append(part.Lines, recipe.Line{Food: &book.Formula[i].Food, Name: f.Name, Form: p.Form, Preparation: p.Preparation, Origin: f.Origin})
	}
	for _, x := range book.Prepare {
		part.Steps = append(part.Steps, recipe.Step{Text: x.Text})
	}
	d = &recipe.Dish{Components: []recipe.Component{part}}
	if main >= 0 && len(part.Steps) > 0 {
		c.reader.Dish(d)
		return d, main
	}
	return d, -1
}

// cutAlready tells whether a noun means nothing but what is cut when it is prepared, in a list of things that are
// cut here.
func (w *writer) cutAlready(n *node, lines []int, at int) bool {
	if n.Technique.Family != "cut" || n.Technique.Joins != "" || len(lines) == 0 || w.places(at) || w.deeds[at].say != "" || !slices.ContainsFunc(n.To, func(line int) bool { return w.stand[line] == nil && w.there(line, at) }) {
		return false
	}
	return !slices.ContainsFunc(lines, func(line int) bool {
		s := w.stand[line]
		return s == nil || !s.flesh() || !w.notDone(s, at) || s.enters == at && !w.namedAfter(s, at)
	})
}

// madeAtOnce tells whether two swaps are prepared as one: they are the same, or go by one name and are prepared in the
// same words.
func madeAtOnce(a, b *larder.Swap) bool {
	return a == b || a != nil && b != nil && a.Short == b.Short && len(a.Prepare) > 0 &&
		slices.EqualFunc(a.Prepare, b.Prepare, func(x, y larder.Preparation) bool { return x.Text == y.Text })
}
