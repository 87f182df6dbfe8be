package method

import (
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
	own     [][]string // names of what the dish itself makes
	// capitals tells that the list begins every name with a capital.
	capitals bool
	// lasts are the minutes of actions that take no longer than what goes in late
	// anyhow, so that it goes in at once.
	lasts map[int]float64
	// arrives is the action with which a line goes in whose own is not done.
	arrives map[int]int
	// parted are the actions with which a stand-in for parted eggs has gone in.
	parted map[int]int
	// partSaid is the part of eggs of which was said first how much of what stands for them in bits it comes to.
	partSaid map[int]string
	// seasoned are lines that only season water in which nothing is cooked any more.
	seasoned map[int]bool
	// shares are how much of a line came along with dropped work, called the words by which that named it, where they say
	// which part of it.
	shares map[int]float64
	called map[int]string
	// described is what such work said behind a comma of what was done with it.
	described map[int]string
	// unfried are how much of what stands for a fat was to fry, and does not.
	unfried map[int]float64
	// brought are the lines of which some was fetched for work that had a fat of its own.
	brought map[int]bool
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
	// alongWords are what comes along that no list has, in the words of the text: "a tablespoon of salt".
	alongWords []string
	// slakes are thickeners stirred into some of the liquid that goes in.
	slakes []int
	// silent tells that nothing needs to be done for it though what it makes is there.
	silent bool
	// timeless tells that the time it took is that of what is gone, cueless that what its cue tells of is.
	timeless, cueless bool
	// broth tells that what was put in with flesh cooks in water from the tap by itself.
	broth bool
	// cueAfter is the cue that ends the last minutes of what goes in late, which lastly has before the action's own.
	cueAfter string
	lastly   bool
	// finish are what stands for the fat of this frying and cannot fry: it is stirred
	// in when the frying is done.
	finish []*standIn
	water  int // the action whose water from the tap is poured in here, as its own work is not done; -1 for none
	// boil are minutes that what goes in here still wants in the liquid.
	boil float64
	// braises are minutes that what goes back in here takes to be one with its sauce.
	braises float64
	// sets tells that what is shaped here is set in the oven before it goes into a liquid; thickens are the minutes in which a
	// batter cooks through that was poured into a pan here, where the text goes on without a fire.
	sets     bool
	thickens float64
	// bubbles tells that what was stirred in here has to bubble, which the text does not do.
	bubbles bool
}

// plan decides the whole method of a dish.
func (c *Carrier) plan(d *recipe.Dish, a *swap.Adaptation) *plan {
	p := &plan{c: c, l: c.book.Larder(), dish: d, own: c.reader.OwnNames(d), a: a, graph: flow.Trace(c.book.Larder(), d), stand: map[int]*standIn{}, arrives: map[int]int{}, lasts: map[int]float64{}, shares: map[int]float64{}, called: map[int]string{}, described: map[int]string{}, unfried: map[int]float64{}, brought: map[int]bool{}, parted: map[int]int{}, partSaid: map[int]string{}, seasoned: map[int]bool{}, animals: map[string][]recipe.Animal{}, capitals: capitalised(d)}
	for i := range d.Components {
		for _, s := range c.standIns(d, a, i) {
			s.node = p.graph.Line(i, s.line)
			p.stand[s.node] = s
		}
	}
	p.tellApart()
	p.leaveUnfired()
	for _, s := range p.inOrder() {
		if !s.gone {
			p.enter(s)
		}
	}
	p.decideAll()
	p.enterWhereDone()
	p.carryAlong()
	p.atOnce()
	// Now that it is known when what came along goes in, more may have nothing to work on.
	for known := -1; known < len(p.arrives); {
		known = len(p.arrives)
		p.decideAll()
		p.carryAlong()
	}
	p.waterStays()
	p.letIn()
	p.setFirst()
	p.cookInPan()
	p.boilUp()
	p.finishing()
	p.beforeLids()
	p.retime()
	p.brownLong()
	p.tellOther()
	return p
}

// decideAll decides every action.
func (p *plan) decideAll() {
	p.deeds = make([]deed, len(p.graph.Nodes))
	for i := range p.deeds {
		p.deeds[i].water = -1
	}
	clear(p.seasoned)
	for i := range p.graph.Nodes {
		p.decide(i)
		p.simmersAlone(i)
	}
	p.boilsForNothing()
	for i := range p.graph.Nodes {
		if p.heatsForNothing(i) || p.heatsOvenForNothing(i) || p.laidForNothing(i) || p.coversForNothing(i) || p.wipesForNothing(i) || p.dustsNothing(i) || p.turnsNothing(i) || p.stirsNoWater(i) || p.goesOnWithNothing(i) {
			p.deeds[i].drop = true
			p.dropWater(i)
		}
		if d := &p.deeds[i]; !d.drop && d.say == "" && p.intoColdPan(i) {
			d.say = p.c.words().HeatFat
		}
		p.fillsPot(i)
		p.staysIn(i)
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
func (p *plan) path(line int) []int { return p.graph.Path(line) }

// subjects are the lines that an action is really about: what is worked on, without
// the fat it was fried in.
func (p *plan) subjects(i int) []int {
	n := &p.graph.Nodes[i]
	dusted := (n.Technique.Family == "dry heat" || n.Technique.Family == "separate" || p.ontoPlate(i)) && p.onlyDusted(n.To)
	out := slices.DeleteFunc(slices.Clone(n.To), func(line int) bool {
		if slices.Contains(n.Named, line) {
			return false
		}
		return p.c.fatLine(p.line(line)) || p.washedWith(line, i) || dusted && p.dusts(line) || n.Is("rest") && larder.Pours(p.l.Food(p.line(line).FoodID()))
	})
	if len(out) == 0 {
		return n.To
	}
	return out
}

// onlyDusted tells whether what could be a coat among lines is no more than one, and
// not what the others are bound with or into: the flour of a batter.
func (p *plan) onlyDusted(lines []int) bool {
	coat, rest := 0.0, 0.0
	for _, line := range lines {
		if p.dusts(line) {
			coat += p.line(line).Mass()
		} else {
			rest += p.line(line).Mass()
		}
	}
	return coat <= mostCoat*rest
}

// mostCoat is how much a coat weighs at most beside what it is on; an estimate.
const mostCoat = 0.4

// dropped tells whether an action that works on a stand-in alone has no place any
// more.
func (p *plan) dropped(s *standIn, i int) bool {
	if !p.alone(i, s) {
		return false
	}
	return p.notDone(s, i) && !p.places(i) && !p.coated(s, i) && !p.mixesIn(i) && !slices.ContainsFunc(p.subjects(i), func(line int) bool {
		o := p.stand[line]
		return o != nil && !o.gone && o.book != s.book && !p.notDone(o, i) // the milk that is heated with the butter
	})
}

// notDone tells whether the table of carrying over has no place for an action on a stand-in.
func (p *plan) notDone(s *standIn, i int) bool {
	r := p.rule(s, i)
	return r != nil && r.Then == larder.CarryDrop
}

// places tells whether cutting something also puts it into a vessel: "flake the fish
// into a dish".
func (p *plan) places(i int) bool {
	n := &p.graph.Nodes[i]
	lang := p.l.Language()
	if n.Technique.Family == "cut" && n.Technique.Joins != "" && len(n.Into) > 0 {
		return true // "crumble the crackers on top"
	}
	return n.Technique.Family == "cut" && slices.ContainsFunc(n.Action.Words.Phrases, func(x recipe.Phrase) bool {
		return x.Role == "into" && !x.Encloses && slices.ContainsFunc(x.Nouns, func(noun recipe.Noun) bool {
			words := larder.Words(onlyNamed(noun))
			return noun.Vessel || len(words) > 0 && lang.Places[words[len(words)-1]] || slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool { return r.Made != nil })
		})
	})
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
	return !s.gone && (s.enters < i || s.enters == i && s.tail == 0 || s.visits(i))
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
