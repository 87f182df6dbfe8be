// Package method carries the method of an original over to its adaptation. What
// is done is decided on the flow: which actions stay, which are done otherwise,
// which go, and when what stands in goes in; then each sentence is written anew
// where something in it changed, and the whole is read back.
package method

import (
	"slices"
	"strconv"
	"strings"
	"sync"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// Carrier writes the adapted method of dishes. It is read-only and safe to
// share.
type Carrier struct {
	book   *swap.Book
	reader *flow.Reader
	// browned holds for each swap whether its preparation browns it, least the grams of
	// which it can be made.
	browned, least sync.Map
}

// NewCarrier returns a carrier over the book, which reads the steps it writes
// with the reader.
func NewCarrier(b *swap.Book, r *flow.Reader) *Carrier { return &Carrier{book: b, reader: r} }

// Adapt applies decisions and carries the method over: the whole answer.
func (c *Carrier) Adapt(d recipe.Dish, dec swap.Decisions, detail bool) (swap.Adaptation, error) {
	a, err := c.book.Apply(d, dec, detail)
	if err != nil {
		return swap.Adaptation{}, err
	}
	asked := d
	d = cloned(d)
	c.reader.Dish(&d)
	p := c.plan(&d, &a)
	for _, other := range []func(*plan, swap.Decisions) (swap.Decisions, bool){c.stiffened, c.asPoured} {
		put, ok := other(p, dec)
		if !ok {
			continue
		}
		dec = put
		if a, err = c.book.Apply(asked, dec, detail); err != nil {
			return swap.Adaptation{}, err
		}
		p = c.plan(&d, &a)
	}
	p.number()
	for i := range a.Components {
		c.component(p, i, dec)
		p.lessFat(i)
		inMethod(&d.Components[i], &a.Components[i], p.entersElsewhere(i))
		name(&d.Components[i], &a.Components[i], i)
		a.Components[i].Heading = c.heading(p, i)
	}
	graph := c.readBack(&d, &a)
	c.decided(p, &a, dec, &graph)
	if err := c.heed(&a, dec.HouseRules); err != nil {
		return swap.Adaptation{}, err
	}
	for i := range a.Components {
		comp := &a.Components[i]
		c.finish(comp)
		reorder(comp, dec.Order[strconv.Itoa(i)])
		comp.Name, comp.Heading = c.heading(p, i), ""
	}
	c.caution(&a, graph)
	if dec.SidePot != nil {
		a.SidePots = c.sidePots(d, a, dec.SidePot.Guests)
	}
	return a, nil
}

// cloned copies a dish down to its steps, which are read anew.
func cloned(d recipe.Dish) recipe.Dish {
	d.Components = slices.Clone(d.Components)
	for i := range d.Components {
		d.Components[i].Steps = slices.Clone(d.Components[i].Steps)
	}
	return d
}

// component writes the steps of one component: its own, those that prepare what
// stands in, and those of what is added in small doses.
func (c *Carrier) component(p *plan, i int, dec swap.Decisions) {
	comp := &p.a.Components[i]
	prepared := map[string]bool{}
	var parts []part
	begin := make([]int, len(p.dish.Components[i].Steps))
	for n := range p.dish.Components[i].Steps {
		begin[n] = len(parts)
		step := &p.dish.Components[i].Steps[n]
		w := &writer{plan: p, step: step, text: []rune(step.Text), component: i}
		w.small = func(u *larder.SmallUse, act *recipe.Action) (string, bool) {
			return c.bring(p, i, u, dec.HouseRules, act)
		}
		own := w.parts(n)
		if open := w.openWhy(step); open != "" && len(own) > 0 {
			own[len(own)-1].whys = append(own[len(own)-1].whys, open)
		}
		var before []part
		for _, s := range p.enterHere(i, n) {
			before = append(before, c.prepare(p, i, s, prepared)...)
		}
		at := begin[n]
		if k := p.begunAt(i, n); k < n && len(before) > 0 {
			at = begin[k]
			for ; k < n; k++ {
				begin[k+1] += len(before)
			}
		}
		parts = append(slices.Insert(parts, at, before...), own...)
	}
	p.withoutUnsaid(comp, parts)
	parts = append(c.unprepared(p, i, prepared), parts...)
	parts = c.finishes(p, parts, i)
	for k := range p.a.Components {
		parts = c.boosters(p, parts, k, i)
	}
	comp.Steps = earliest(p.joined(parts))
}

// inMethod gives the steps of a component their places in the method of the whole dish,
// where the text goes to and fro between its parts: what is prepared, that of the step that
// it is prepared for, in whichever part that stands; what else is added, that of the step it is added to.
func inMethod(was *recipe.Component, comp *swap.Component, elsewhere map[string]int) {
	place := 0
	for n := len(comp.Steps) - 1; n >= 0; n-- {
		if from := comp.Steps[n].From; len(from) > 0 {
			place = 2 * was.Steps[from[0]].Order // with room between two for what goes in before
		}
		comp.Steps[n].Order = place
		if at, ok := elsewhere[comp.Steps[n].Prepares]; ok && (place == 0 || at < place) {
			comp.Steps[n].Order = at
		}
	}
	for n := range comp.Steps { // what ends it
		if s := &comp.Steps[n]; n > 0 && (s.Order == 0 || len(s.From) == 0 && s.Prepares == "") {
			s.Order = comp.Steps[n-1].Order
		}
	}
}

// home is the component whose steps work on what a component lists: itself, or
// where it has no steps the one that takes its lines.
func (p *plan) home(i int) int {
	if len(p.dish.Components[i].Steps) > 0 {
		return i
	}
	for j := range p.dish.Components[i].Lines {
		for _, at := range p.path(p.graph.Line(i, j)) {
			return p.graph.Nodes[at].At.Component
		}
	}
	return i
}

// enterHere lists the stand-ins of a component that go in with a step.
func (p *plan) enterHere(component, step int) []*standIn {
	var out []*standIn
	for _, s := range p.inOrder() {
		if s.gone || s.enters == never {
			continue
		}
		if at := p.graph.Nodes[s.first()].At; at.Component == component && at.Step == step {
			out = append(out, s)
		}
	}
	return out
}

// prepare is the preparation of one swap, once for all lines it stands for.
func (c *Carrier) prepare(p *plan, i int, s *standIn, prepared map[string]bool) []part {
	if s.book == nil || p.home(s.component) != i || prepared[s.book.ID] || s.boiledIn() {
		return nil
	}
	var lines []int
	var takes []string
	for _, o := range p.inOrder() {
		if o.book == nil || !madeAtOnce(o.book, s.book) || p.home(o.component) != i {
			continue
		}
		prepared[o.book.ID] = true
		for _, at := range o.lines {
			takes = append(takes, recipe.LineRef(o.component, at))
			if o.component == i {
				lines = append(lines, at)
			}
		}
	}
	steps := c.preparations(p, s, lines)
	for k := range steps {
		steps[k].Takes = takes
	}
	return added(steps...)
}

// added makes parts of new steps.
func added(steps ...swap.Step) []part {
	var out []part
	for i := range steps {
		out = append(out, part{step: -1, added: &steps[i]})
	}
	return out
}

// preparations turns a swap's own preparation into added steps.
func (c *Carrier) preparations(p *plan, s *standIn, lines []int) []swap.Step {
	var steps []swap.Step
	words := c.words()
	if len(s.book.Prepare) == 0 && s.mixed {
		return []swap.Step{c.mixes(p, s, lines)}
	}
	batch, early, all := c.batch(p, s), slices.ContainsFunc(s.book.Prepare, func(x larder.Preparation) bool { return x.Wait >= overnight }), s.prepares()
	for k, x := range all {
		text := x.Text
		if k == len(all)-1 {
			text += batch + p.rolledOut(s) + p.cutUp(s)
		}
		if early && k == 0 { // it begins with its first step, whichever stands overnight
			text = words.EveningBefore + lowered(text)
		}
		begins := ""
		if s.book.Prepare[k].Unfired != nil {
			begins = flow.FirstWord(s.book.Prepare[k].Text)
		}
		step := recipe.Step{Text: text, Cue: x.Cue, HandsOn: x.Hands > 0, Lines: slices.Clone(lines)}
		if step.Makes = s.book.Prepare[k].Makes; step.Makes == "" && k == len(all)-1 {
			step.Makes = s.book.Short
		}
		if total := x.Hands + x.Wait; total > 0 {
			step.Minutes = &measure.Span{Low: total, High: total}
		}
		steps = append(steps, swap.Step{Step: step, From: []int{}, Change: swap.Added, Prepares: s.book.ID, Begins: begins, Work: x.Hands, Wait: x.Wait, Why: c.preparesWhy(s)})
	}
	return steps
}

func (c *Carrier) preparesWhy(s *standIn) string {
	return strings.NewReplacer("{thing}", s.book.Short, "{was}", strings.ToLower(s.was.Name)).Replace(c.words().Prepares)
}

// mixes is the step for a stand-in of several things that has no preparation of
// its own: they are stirred together before they go in.
func (c *Carrier) mixes(p *plan, s *standIn, lines []int) swap.Step {
	var things []named
	for _, at := range s.lines {
		things = append(things, named{text: c.words().The + " " + lowered(p.a.Components[s.component].Lines[at].Name)})
	}
	text := larder.Capital(strings.ReplaceAll(c.words().Mix, "{things}", c.listing(things))) + "."
	step := recipe.Step{Text: text, HandsOn: true, Lines: slices.Clone(lines), Makes: s.book.Short}
	return swap.Step{Step: step, From: []int{}, Change: swap.Added, Prepares: s.book.ID, Work: mixMinutes, Why: c.preparesWhy(s)}
}

// mixMinutes is what stirring things together takes; an estimate.
const mixMinutes = 2.0

// unprepared is the preparation of what goes in with no step.
func (c *Carrier) unprepared(p *plan, i int, prepared map[string]bool) []part {
	var out []part
	for _, s := range p.inOrder() {
		if p.home(s.component) == i && !s.gone {
			out = append(out, c.prepare(p, i, s, prepared)...)
		}
	}
	return out
}

// finishes adds the step in which a stand-in for a frying fat goes in that cannot
// fry: when the cooking is done, before the dish is closed.
func (c *Carrier) finishes(p *plan, parts []part, i int) []part {
	done := map[string]bool{}
	for _, s := range p.inOrder() {
		if p.home(s.component) != i || s.gone || s.finished || s.book.FinishFor(s.chosen.Use) == "" || done[s.book.ID] {
			continue
		}
		done[s.book.ID] = true
		step := recipe.Step{Text: s.book.FinishFor(s.chosen.Use)}
		if s.component == i {
			step.Lines = slices.Clone(s.lines)
		}
		where, _ := p.moment(parts, larder.AtEnd, s.node)
		parts = slices.Insert(parts, where, added(swap.Step{Step: step, From: []int{}, Change: swap.Added, Why: s.book.Why})...)
	}
	return parts
}
