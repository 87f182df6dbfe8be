package method

import (
	"math"
	"slices"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// plan is what is decided of every action of an original: what stays, what is
// done otherwise, what goes and where what stands in goes in.
type plan struct {
	c     *Carrier
	l     *larder.Larder
	dish  *recipe.Dish
	a     *swap.Adaptation
	graph *flow.Graph
	// stand is what takes the place of a line, by its number in the graph.
	stand map[int]*standIn
	deeds []deed
	// animals are the animal matter that words name, of those asked about so far.
	animals map[string][]recipe.Animal
	// lasts are the minutes of actions that take no longer than what goes in late
	// anyhow, so that it goes in at once.
	lasts map[int]float64
	// arrives is the action with which a line goes in whose own is not done.
	arrives map[int]int
	// parted are the actions with which a stand-in for parted eggs has gone in.
	parted map[int]int
	// shares are how much of a line came along with dropped work.
	shares map[int]float64
}

// deed is what becomes of one action.
type deed struct {
	drop bool
	whys []string
	// say is the verb that is said instead of the text's.
	say string
	// minutes are what it takes now, nil where that is as before.
	minutes *measure.Span
	// late are what goes in during its last minutes, those first that take most;
	// before what goes in just before it.
	late, before []*standIn
	// subject are the lines that are worked on now that what was is not there;
	// along those that come along from work that was dropped.
	subject, along []int
	// cueless tells that what its cue tells of is gone.
	cueless bool
	// cueAfter is the cue that ends the last minutes of what goes in late.
	cueAfter string
	// finish are what stands for the fat of this frying and cannot fry: it is stirred
	// in when the frying is done.
	finish []*standIn
	// boil are minutes that what goes in here still wants in the liquid.
	boil float64
}

// plan decides the whole method of a dish.
func (c *Carrier) plan(d *recipe.Dish, a *swap.Adaptation) *plan {
	p := &plan{c: c, l: c.book.Larder(), dish: d, a: a, graph: flow.Trace(c.book.Larder(), d), stand: map[int]*standIn{}, arrives: map[int]int{}, lasts: map[int]float64{}, shares: map[int]float64{}, parted: map[int]int{}, animals: map[string][]recipe.Animal{}}
	for i := range d.Components {
		for _, s := range c.standIns(d, a, i) {
			s.node = p.graph.Line(i, s.line)
			p.stand[s.node] = s
		}
	}
	for _, s := range p.inOrder() {
		if !s.gone {
			p.enter(s)
		}
	}
	p.decideAll()
	p.carryAlong()
	p.atOnce()
	p.decideAll() // now that it is known when what came along goes in
	p.carryAlong()
	p.letIn()
	p.finishing()
	p.retime()
	return p
}

// decideAll decides every action.
func (p *plan) decideAll() {
	p.deeds = make([]deed, len(p.graph.Nodes))
	for i := range p.graph.Nodes {
		p.decide(i)
	}
}

// finishing finds the frying after which what stands for its fat is stirred in,
// where nothing is cooked in liquid afterwards.
func (p *plan) finishing() {
	for _, s := range p.inOrder() {
		if !s.bare || s.gone || s.book.FinishFor(s.chosen.Use) == "" {
			continue
		}
		last, wet := -1, false
		for i := range p.graph.Nodes {
			n := &p.graph.Nodes[i]
			if p.deeds[i].drop || n.At.Component != s.component {
				continue
			}
			switch {
			case n.Technique.Family == "dry heat" && slices.Contains(slices.Concat(n.With, n.To), s.node):
				last, wet = i, false
			case n.Technique.Family == "wet heat":
				wet = true
			}
		}
		if last >= 0 && !wet {
			p.deeds[last].finish = append(p.deeds[last].finish, s)
			s.finished = true
		}
	}
}

// letIn gives a stand-in another way in where the action it was to go in with is
// not done: with the next that is.
func (p *plan) letIn() {
	for _, s := range p.inOrder() {
		if s.gone || s.enters == never || !p.deeds[s.enters].drop || p.c.fatLine(s.was) {
			continue
		}
		at := p.graph.Nodes[s.enters].At.Component
		for k := s.enters + 1; k < len(p.graph.Nodes); k++ {
			n := &p.graph.Nodes[k]
			if p.deeds[k].drop || n.At.Component != at || n.Technique.Family == "control" || n.Technique.Name == "preheat" {
				continue
			}
			s.enters, s.tail = k, 0
			if !slices.Contains(n.Named, s.node) {
				p.deeds[k].before = append(p.deeds[k].before, s)
			}
			break
		}
	}
}

// inOrder lists the stand-ins by their lines.
func (p *plan) inOrder() []*standIn {
	var out []*standIn
	for line := range p.graph.Lines {
		if s := p.stand[line]; s != nil {
			out = append(out, s)
		}
	}
	return out
}

// path are the actions that reach a line, in the order in which they are done.
func (p *plan) path(line int) []int {
	var out []int
	for i := range p.graph.Nodes {
		if p.graph.Nodes[i].Reaches(line) {
			out = append(out, i)
		}
	}
	return out
}

// enter finds the action with which a stand-in goes in: the first that is still
// done to it, and late enough for what it bears.
func (p *plan) enter(s *standIn) {
	path := p.path(s.node)
	if len(path) == 0 {
		return
	}
	start := 0
	if s.is(larder.Ready) && !s.is(larder.Steeped) {
		start = p.afterReturn(s, path)
	}
	if s.is(larder.Steeped) {
		start = p.afterWashing(s, path)
	}
	for start < len(path)-1 && (p.dropped(s, path[start]) || s.is(larder.Ready) && s.flesh() && (p.takesOut(path[start]) || start > 0 && p.liftsOut(s, path[start]))) {
		start++
	}
	start = p.namedSoon(s, path, start)
	s.enters = path[start]
	left := s.Bears
	if p.isTheSauce(s) {
		left = math.Inf(1)
	}
	for i := len(path) - 1; i >= start; i-- {
		minutes := p.wetMinutes(path[i])
		if minutes == 0 || minutes <= left*tolerated+tolerance {
			left -= minutes
			continue
		}
		if p.boundBefore(s, path[start:i]) {
			shorter := math.Max(math.Max(left, leastBase), math.Min(p.wants(path[i]), minutes))
			if p.lasts[path[i]] == 0 || p.lasts[path[i]] > shorter {
				p.lasts[path[i]] = shorter
			}
			left = math.Max(left-shorter, 0)
			continue
		}
		p.enterLate(s, path, i, math.Max(left, 0))
		return
	}
}

// boundBefore tells whether something was put together with others before it is
// cooked, so that it cannot go in later: marinated, coated, filled or laid in.
func (p *plan) boundBefore(s *standIn, path []int) bool {
	return slices.ContainsFunc(path, func(i int) bool {
		n := &p.graph.Nodes[i]
		if !slices.Contains(n.Named, s.node) {
			return false
		}
		t := n.Technique
		return t.Name == "marinate" || t.Family == "coat" || t.Closes == larder.ClosesAlways && t.Name != "serve" && t.Name != "top"
	})
}

// liftsOut tells whether an action takes nothing but a stand-in out of a pan.
func (p *plan) liftsOut(s *standIn, i int) bool {
	return p.graph.Nodes[i].Technique.Family == "separate" && p.alone(i, s)
}

// takesOut tells whether an action lifts, drains or cleans something without a word
// for what, or nothing but flesh.
func (p *plan) takesOut(i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "separate" && n.Technique.Family != "clean" {
		return false
	}
	return len(n.Action.Words.Phrases) == 0
}

// namedSoon moves on from an action that does not name a stand-in to the next that
// does, where nothing is heated between.
func (p *plan) namedSoon(s *standIn, path []int, start int) int {
	if slices.Contains(p.graph.Nodes[path[start]].Named, s.node) {
		return start
	}
	for k := start; k < len(path); k++ {
		n := &p.graph.Nodes[path[k]]
		if n.Technique.Heat != "" || n.Technique.Closes != "" || n.Technique.Family == "coat" {
			break
		}
		if slices.Contains(n.Named, s.node) && slices.Contains(n.To, s.node) {
			return k
		}
	}
	return start
}

// isTheSauce tells whether something pours and is most of the liquid it goes into,
// or is no more than a coat: it cannot come later.
func (p *plan) isTheSauce(s *standIn) bool {
	if !s.Dissolves {
		return false
	}
	mine, others := p.line(s.node).Mass(), 0.0
	n := &p.graph.Nodes[s.enters]
	if n.Technique.Family != "mix" && n.Technique.Family != "wet heat" && n.Technique.Family != "gentle heat" {
		return true
	}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		if l := p.line(line); line != s.node && larder.Pours(p.l.Food(l.FoodID())) {
			others += l.Mass()
		}
	}
	return mine >= others
}

// How far a time may pass what a stand-in bears; estimates.
const (
	tolerated, tolerance = 1.25, 3.0
	leastTail            = 2.0
)

// enterLate lets a stand-in go in during the last minutes of an action that
// takes too long for it, or right after it.
func (p *plan) enterLate(s *standIn, path []int, i int, left float64) {
	s.enters = path[i]
	if left < leastTail && i+1 < len(path) {
		s.enters = path[i+1]
		return
	}
	s.tail = math.Max(math.Min(left, math.Max(mostTail, s.Done)), leastTail)
}

// mostTail is how long something that is done already cooks along at the end;
// an estimate.
const mostTail = 30.0

// wetMinutes is how long an action keeps what it works on in a bubbling liquid.
func (p *plan) wetMinutes(i int) float64 {
	n := &p.graph.Nodes[i]
	t := n.Technique
	wet := t.Family == "wet heat" && t.Wet || t.Family == "oven" && n.Liquid && n.Covered
	if !wet {
		return 0
	}
	minutes := t.Usual
	if n.Action.Minutes != nil {
		minutes = n.Action.Minutes.Mid()
	}
	if t.Name == "pressure-cook" {
		minutes *= pressureFactor
	}
	return minutes
}

// pressureFactor is how much faster a pressure cooker cooks; an estimate.
const pressureFactor = 3.0

// afterReturn is where on its path something goes back in that was cooked, taken
// out and cut up by itself, 0 where it was not.
func (p *plan) afterReturn(s *standIn, path []int) int {
	start, wet := 0, false
	for i, at := range path {
		n := &p.graph.Nodes[at]
		out := n.Technique.Takes == "part" || n.Technique.Family == "separate"
		wet = wet || p.wetMinutes(at) > 0 || n.Technique.Medium == "liquid"
		if out && wet && n.Technique.Name != "discard" && p.alone(at, s) && i+1 < len(path) {
			start = i + 1
		}
	}
	return start
}

// alone tells whether an action works on nothing but what was replaced, in the
// same way as one of them.
func (p *plan) alone(i int, s *standIn) bool {
	to := p.subjects(i)
	if !slices.Contains(to, s.node) {
		return false
	}
	others := to
	if n := &p.graph.Nodes[i]; n.Technique.Family == "wet heat" {
		others = slices.Concat(to, n.With, n.Into) // in a sauce that is eaten
	}
	return !slices.ContainsFunc(others, func(line int) bool {
		o := p.stand[line]
		return (o == nil || o.class != s.class && !(o.flesh() && s.flesh())) && p.line(line).FoodID() != "water"
	})
}

// subjects are the lines that an action is really about: what is worked on, without
// the fat it was fried in.
func (p *plan) subjects(i int) []int {
	n := &p.graph.Nodes[i]
	out := slices.DeleteFunc(slices.Clone(n.To), func(line int) bool {
		if slices.Contains(n.Named, line) {
			return false
		}
		return p.c.fatLine(p.line(line)) || (n.Technique.Family == "dry heat" || n.Technique.Family == "separate") && p.dusts(line) || n.Is("rest") && larder.Pours(p.l.Food(p.line(line).FoodID()))
	})
	if len(out) == 0 {
		return n.To
	}
	return out
}

// dropped tells whether an action that works on a stand-in alone has no place any
// more.
func (p *plan) dropped(s *standIn, i int) bool {
	if !p.alone(i, s) {
		return false
	}
	r := p.rule(s, i)
	return r != nil && r.Then == larder.CarryDrop && !p.places(i) && !p.coated(s, i)
}

// coated tells whether something is cooked in a coat that it was given before: the
// coat wants the pan though the piece does not.
func (p *plan) coated(s *standIn, i int) bool {
	if p.graph.Nodes[i].Technique.Family != "dry heat" {
		return false
	}
	for _, k := range p.path(s.node) {
		if k >= i {
			break
		}
		if n := &p.graph.Nodes[k]; n.Technique.Family == "coat" && !n.Is("baste", "brush", "rub", "dust") {
			return true
		}
	}
	return false
}

// places tells whether cutting something also puts it into a vessel: "flake the fish
// into a dish".
func (p *plan) places(i int) bool {
	n := &p.graph.Nodes[i]
	return n.Technique.Family == "cut" && slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return x.Role == "into" && slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool { return noun.Vessel })
	})
}

// rule is what the table of carrying over says of work on a stand-in.
func (p *plan) rule(s *standIn, i int) *larder.CarryRule {
	n := &p.graph.Nodes[i]
	use := ""
	if s.chosen != nil {
		use = s.chosen.Use
	}
	return p.l.CarryRuleFor(n.Technique, n.Action.Verb, use, s.class, s.states)
}

// there tells whether a line is in the pot when an action begins: what stands for
// it has gone in, or goes in with it.
func (p *plan) there(line, i int) bool {
	if at, late := p.arrives[line]; late && i < at {
		return false
	}
	s := p.stand[line]
	if s == nil {
		return true
	}
	return !s.gone && (s.enters < i || s.enters == i && s.tail == 0)
}

// decide says what becomes of one action.
func (p *plan) decide(i int) {
	n := &p.graph.Nodes[i]
	d := &p.deeds[i]
	subjects, replaced, there := p.subjects(i), 0, 0
	for _, line := range subjects {
		if p.stand[line] != nil {
			replaced++
		}
		if p.there(line, i) && !p.merged(line, i) {
			there++
		}
	}
	switch {
	case p.onBodies(i):
		d.drop = true
	case len(subjects) == 0:
		p.decideNamed(i)
	case there == 0, p.impliesGone(i):
		p.withoutSubject(i)
	case replaced == len(subjects):
		p.decideAlone(i)
	case n.Is("discard", "skim") && p.fleshAt(i) != nil && !p.fleshAt(i).is(larder.Steeped) && !p.namesOne(n):
		d.drop = true
	}
	if d.drop {
		return
	}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		s := p.stand[line]
		if s == nil || s.gone || s.enters != i {
			continue
		}
		switch {
		case s.tail > 0 && !slices.Contains(d.late, s):
			d.late = append(d.late, s)
		case s.tail == 0 && !slices.Contains(n.Named, line) && !slices.Contains(d.before, s) && !p.c.fatLine(s.was):
			d.before = append(d.before, s)
		}
	}
	d.cueless = p.cueGone(n)
}

// namesOne tells whether an action names a thing that it works on: "discard the bay
// leaf", not "discard any that stay closed".
func (p *plan) namesOne(n *flow.Node) bool {
	return slices.ContainsFunc(n.Action.To, func(r recipe.Ref) bool { return r.Line != nil || r.Of != "" })
}

// onBodies tells whether an action is done to nothing but what a body has, and the
// body is not there: "fry the shells".
func (p *plan) onBodies(i int) bool {
	n := &p.graph.Nodes[i]
	text := []rune(p.dish.Components[n.At.Component].Steps[n.At.Step].Text)
	any := false
	for _, x := range n.Action.Words.Phrases {
		if x.Role != "to" {
			continue
		}
		for _, noun := range x.Nouns {
			if noun.Pronoun || noun.Upto > len(text) || !p.fleshly(string(text[noun.Name:noun.Upto])) {
				return false
			}
			any = true
		}
	}
	s := p.fleshAt(i)
	return any && s != nil && !s.is(larder.Steeped)
}

// impliesGone tells whether an action is meant for flesh that is not there though
// other things lie beside it: "drain and pat dry", after a marinade.
func (p *plan) impliesGone(i int) bool {
	n := &p.graph.Nodes[i]
	if slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool { return x.Role == "to" }) {
		return false
	}
	dusted := n.Technique.Family == "dry heat" && !slices.ContainsFunc(n.To, func(line int) bool { return p.there(line, i) && !p.dusts(line) })
	if !dusted && (len(n.Action.Words.Phrases) > 0 || !slices.Contains(ofFlesh, n.Technique.Family)) {
		return false
	}
	return slices.ContainsFunc(n.To, func(line int) bool { return p.stand[line] != nil && p.stand[line].flesh() && !p.there(line, i) })
}

// dusts tells whether a line is no more than a coat or seasoning of a piece: flour,
// spice, salt, fat.
func (p *plan) dusts(line int) bool {
	f := p.l.Food(p.line(line).FoodID())
	return f != nil && (f.Aisle == "spices" || f.Kind == "white-flour" || f.Kind == "starch" || f.Kind == "salt" || p.c.fatLine(p.line(line)))
}

// merged tells whether an action works on a part of eggs for which one thing stands
// that has gone in with another part already.
func (p *plan) merged(line, i int) bool {
	s := p.stand[line]
	if s == nil || s.class != larder.Egg {
		return false
	}
	first := -1
	for k := range p.graph.Nodes {
		if p.partOf(line, k) {
			first = k
			break
		}
	}
	return first >= 0 && i > first && p.partOf(line, i)
}

// partOf tells whether an action names the yolk or the white of a line.
func (p *plan) partOf(line, i int) bool {
	a := p.graph.Nodes[i].Action
	at := p.graph.Lines[line]
	ref := recipe.LineRef(at.Component, at.Line)
	return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool {
		return p.l.Language().EggParts[r.Part] > 0 && r.Line != nil && *r.Line == ref
	})
}

// ofFlesh are ways of working that a text leaves without an object only where it
// means the piece in hand.
var ofFlesh = []string{"separate", "clean", "cut", "rest"}

// decideAlone follows the table where only stand-ins are worked on.
func (p *plan) decideAlone(i int) {
	d := &p.deeds[i]
	for _, line := range p.subjects(i) {
		s := p.stand[line]
		if s == nil || !p.there(line, i) {
			continue
		}
		r := p.rule(s, i)
		switch {
		case r == nil && p.takesOutUncooked(s, i):
			d.drop = true
		case r == nil:
			return
		case r.Then == larder.CarryDrop && p.coated(s, i):
			return
		case r.Then == larder.CarryDrop && p.places(i):
			d.say = p.c.words().Put
			return
		case r.Then == larder.CarryDrop:
			d.drop, d.whys = true, append(d.whys, r.Why)
		case r.Then == larder.CarrySay:
			d.say, d.whys = r.Say, append(d.whys, r.Why)
			return
		default:
			d.drop = false
			return
		}
	}
}

// takesOutUncooked tells whether something is lifted out of the pan in which it is
// not cooked any more.
func (p *plan) takesOutUncooked(s *standIn, i int) bool {
	n := &p.graph.Nodes[i]
	if n.Technique.Family != "separate" {
		return false
	}
	path := p.path(s.node)
	at := slices.Index(path, i)
	return at > 0 && p.deeds[path[at-1]].drop && p.graph.Nodes[path[at-1]].Technique.Heat != ""
}

// afterWashing is where on its path the work begins that is left: bones are covered,
// boiled up, drained and rinsed first, which what gives its taste to a broth
// instead does not want.
func (p *plan) afterWashing(s *standIn, path []int) int {
	start := 0
	for k, at := range path {
		if !p.alone(at, s) {
			break
		}
		if p.dropped(s, at) {
			start = k + 1
		}
	}
	return min(start, len(path)-1)
}

// withoutSubject decides an action whose subject is gone or not there yet: a
// liquid that is there is cooked without it, everything else goes.
func (p *plan) withoutSubject(i int) {
	n := &p.graph.Nodes[i]
	d := &p.deeds[i]
	if n.Technique.Family == "wet heat" {
		for _, line := range slices.Concat(n.Into, n.With) {
			if p.there(line, i) && !slices.Contains(d.subject, line) && p.goesOn(line, i) {
				d.subject = append(d.subject, line)
			}
		}
		if len(d.subject) > 0 && p.holdsLiquid(d.subject) {
			return
		}
		d.subject = nil
	}
	d.drop = true
	for _, line := range n.To {
		s := p.stand[line]
		if s == nil {
			continue
		}
		if r := p.rule(s, i); r != nil && r.Then == larder.CarryDrop && !s.gone && !slices.Contains(d.whys, r.Why) {
			d.whys = append(d.whys, r.Why)
		}
	}
}

// goesOn tells whether a line is taken up again after an action.
func (p *plan) goesOn(line, i int) bool {
	for k := i + 1; k < len(p.graph.Nodes); k++ {
		if p.graph.Nodes[k].Reaches(line) {
			return true
		}
	}
	return false
}

func (p *plan) holdsLiquid(lines []int) bool {
	return slices.ContainsFunc(lines, func(line int) bool { return larder.Pours(p.l.Food(p.line(line).FoodID())) })
}

// line is a line of the original by its number in the graph.
func (p *plan) line(n int) *recipe.Line {
	at := p.graph.Lines[n]
	return &p.dish.Components[at.Component].Lines[at.Line]
}

// decideNamed decides an action that works only on what its words name: bones and
// skin that are not there are not thrown away.
func (p *plan) decideNamed(i int) {
	n := &p.graph.Nodes[i]
	if n.Is("reserve") && p.liquorGone(i) {
		p.deeds[i].drop = true
		return
	}
	named := 0
	if n.Is("discard") && p.fleshAt(i) != nil && !p.fleshAt(i).is(larder.Steeped) {
		p.deeds[i].drop = true
		return
	}
	for _, r := range n.Action.To {
		if r.Named == nil || !p.fleshly(*r.Named) {
			return
		}
		named++
	}
	if named == 0 || n.Technique.Family == "coat" {
		return
	}
	if s := p.fleshBefore(i); s != nil && !s.is(larder.Steeped) {
		p.deeds[i].drop = true
		if r := p.rule(s, i); r != nil && r.Why != "" {
			p.deeds[i].whys = append(p.deeds[i].whys, r.Why)
		}
	}
}

// liquorGone tells whether what is kept is the liquid of a cooking that is not done
// any more.
func (p *plan) liquorGone(i int) bool {
	for _, r := range p.graph.Nodes[i].Action.To {
		if r.Named == nil || !p.isLiquor(*r.Named) {
			return false
		}
	}
	return len(p.graph.Nodes[i].Action.To) > 0 && p.cookingGone(i)
}

func (p *plan) isLiquor(named string) bool {
	words := larder.Words(named)
	return len(words) > 0 && p.l.Language().Liquors[words[len(words)-1]]
}

// cookingGone tells whether a cooking in liquid before an action is not done any
// more, and none since.
func (p *plan) cookingGone(i int) bool {
	for k := i - 1; k >= 0; k-- {
		n := &p.graph.Nodes[k]
		if n.At.Component == p.graph.Nodes[i].At.Component && p.deeds[k].drop && (n.Technique.Family == "wet heat" || n.Technique.Family == "rest" && n.Technique.Medium == "liquid" || p.fromTheTap(n)) {
			return true
		}
	}
	return false
}

// fromTheTap tells whether an action takes water that nobody lists.
func (p *plan) fromTheTap(n *flow.Node) bool {
	return slices.ContainsFunc(slices.Concat(n.Action.With, n.Action.Into), func(r recipe.Ref) bool {
		words := []string{}
		if r.Named != nil {
			words = larder.Words(*r.Named)
		}
		return len(words) > 0 && p.l.Language().Loose[words[len(words)-1]]
	})
}

// fleshly tells whether words name what only a body has.
func (p *plan) fleshly(named string) bool {
	words := larder.Words(named)
	return len(words) > 0 && p.l.Language().Fleshly[words[len(words)-1]]
}

// fleshBefore is a stand-in for flesh that was worked on before an action in the
// same component, nil where there is none.
func (p *plan) fleshBefore(i int) *standIn {
	return p.fleshAmong(i-1, p.graph.Nodes[i].At.Component)
}

// fleshAt is one that was worked on before an action or is there.
func (p *plan) fleshAt(i int) *standIn {
	return p.fleshAmong(i, p.graph.Nodes[i].At.Component)
}

func (p *plan) fleshAmong(upto, component int) *standIn {
	for k := upto; k >= 0; k-- {
		n := &p.graph.Nodes[k]
		if n.At.Component != component {
			continue
		}
		for _, line := range slices.Concat(n.To, n.Into) {
			if s := p.stand[line]; s != nil && s.flesh() {
				return s
			}
		}
	}
	return nil
}

// cueGone tells whether a cue speaks of something that was replaced.
func (p *plan) cueGone(n *flow.Node) bool {
	if n.Action.Cue == "" {
		return false
	}
	return p.gone(n, n.Action.Cue)
}

// gone tells whether words that end an action speak of something that was replaced.
func (p *plan) gone(n *flow.Node, cue string) bool {
	lang := p.l.Language()
	words := larder.Words(cue)
	if len(p.stand) > 0 && len(p.animalWords(cue)) > 0 {
		return true
	}
	if s := p.fleshBefore(p.graph.Number(n)); s != nil && slices.ContainsFunc(words, func(w string) bool { return lang.Fleshly[w] }) {
		return true
	}
	for _, line := range slices.Concat(n.To, n.With, n.Into) {
		s := p.stand[line]
		if s == nil {
			continue
		}
		signs := lang.GoneSigns[string(s.class)]
		own := larder.Words(s.was.Name)
		for _, w := range words {
			if signs[w] || slices.Contains(own, w) {
				return true
			}
		}
		if slices.Contains(n.Named, line) || len(n.To) == 1 {
			if len(words) > 1 && lang.Pronouns[words[1]] && !s.gone && s.plural != p.c.plural(s.was.Name) {
				return true // "until it is ..." of what is more than one now
			}
		}
	}
	return false
}
