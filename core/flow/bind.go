package flow

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// roles gathers what a clause's nouns turned out to be while it is bound.
type roles struct {
	action   *recipe.Action
	inputs   []*thing
	portions []portion
	vessel   string
	fresh    bool     // something goes in that was not worked on before
	names    []string // what the text says it is for
	bare     bool     // a vessel stands among the objects
}

// bind turns a clause into an action.
func (b *bindings) bind(c *clause, id string) (*recipe.Action, string) {
	if c.repeats {
		if b.last == nil {
			return nil, ""
		}
		last := b.last
		if t := b.r.larder.Technique(last.Technique); b.lastAdded != nil && b.meantTo && t != nil && t.Joins != "yes" && len(last.With) == 0 {
			last = b.lastAdded // "Cook for 10 minutes. Then the cabbage"
		}
		c.lemma, c.said, c.sense.Technique = last.Verb, last.Verb, last.Technique
		if b.meantTo && len(b.last.With) > 0 && len(c.objects) > 0 {
			c.links = append(c.links, link{role: "with", word: "with", nouns: c.objects}) // "cover with rice, then mint"
			c.objects = nil
		}
	}
	a := &recipe.Action{ID: id, Verb: c.said, Technique: c.sense.Technique, To: []recipe.Ref{}, With: []recipe.Ref{}, Into: []recipe.Ref{}, Minutes: c.minutes, Celsius: c.temp, Heat: c.ring, Makes: c.makes, Parallel: c.parallel, Manner: c.manner}
	if c.cue[1] > 0 {
		a.Cue = b.text.slice(c.cue[0], c.cue[1])
	}
	t := b.r.larder.Technique(a.Technique)
	if t == nil {
		t = &larder.Technique{Name: a.Technique}
	}
	r := &roles{action: a}
	b.working, b.tech, b.shared = nil, t, map[*thing]bool{}
	c.dropKeys(b.text, t)
	b.objects(c, t, r)
	b.verbMatter(c, t, r)
	b.working = a
	for _, l := range c.links {
		b.tied(c, t, l, r)
	}
	b.meantTo = len(a.To) == 0
	question := b.meant(c, t, r)
	b.medium(t, r)
	b.meantFor(t, r)
	b.outcome(c, t, r)
	for _, refs := range [][]recipe.Ref{a.To, a.With, a.Into} {
		for i := range refs {
			if refs[i].Of == manyOf {
				refs[i].Of = ""
			}
		}
	}
	b.last = a
	if t.Joins == "yes" {
		b.lastAdded = a
	}
	return a, question
}

// refs resolves nouns and takes their shares; the role keeps the outcome.
func (b *bindings) refs(nouns []noun, r *roles, into *[]recipe.Ref) {
	for _, n := range nouns {
		if n.owner != nil && b.r.lang.Parts[n.head()] {
			r.names = append(r.names, n.head()) // the zest of a lemon goes by that name
		}
		for _, x := range b.resolve(n) {
			b.mention(n, x)
			switch {
			case x.made != nil:
				b.refMade(x.made, b.shareMade(n, x.made), r, into)
				if x.portion != nil {
					b.of(*x.portion, *into)
					r.portions = append(r.portions, *x.portion)
				}
			case x.portion != nil:
				b.refPortion(n, *x.portion, r, into)
			case x.vessel != "":
				r.vessel, r.bare = x.vessel, true
			case x.named != "":
				named := x.named
				*into = append(*into, recipe.Ref{Named: &named, Share: 1})
			}
		}
	}
}

// mention notes which lines a noun speaks of.
func (b *bindings) mention(n noun, x referent) {
	into := b.mentioned
	switch {
	case x.portion != nil:
		into[x.portion.line] = true
	case x.made != nil && x.vessel == "":
		if n.pronoun {
			into = b.meantLines
		}
		for p := range x.made.holds {
			into[p.line] = true
		}
	}
}

func (b *bindings) refMade(t *thing, share float64, r *roles, into *[]recipe.Ref) {
	if slices.ContainsFunc(*into, func(o recipe.Ref) bool { return o.Made != nil && *o.Made == t.id }) {
		return
	}
	id := t.id
	*into = append(*into, recipe.Ref{Made: &id, Share: round(share)})
	r.inputs = append(r.inputs, t)
	if share < 1 {
		b.shared[t] = true
	}
}

// of notes which line of what was made a reference means; where several are
// meant, the whole is.
func (b *bindings) of(p portion, refs []recipe.Ref) {
	if len(refs) == 0 {
		return
	}
	r := &refs[len(refs)-1]
	switch {
	case r.Made == nil:
	case r.Of == "":
		r.Of = b.lines[p.line].ref
	case r.Of != b.lines[p.line].ref:
		r.Of = manyOf
	}
}

// manyOf stands while an action is bound for several lines of one thing.
const manyOf = "*"

func (b *bindings) refPortion(n noun, p portion, r *roles, into *[]recipe.Ref) {
	share := b.shareOf(n, p)
	left := b.leftOf(p)
	if held := b.held(p); held != nil && (left == 0 || n.rest && left == 1) {
		b.refMade(held, 1, r, into)
		b.of(p, *into)
		r.portions = append(r.portions, p)
		return
	}
	if left == 0 {
		share = max(share, 1)
	}
	ref := b.lines[p.line].ref
	if slices.ContainsFunc(*into, func(o recipe.Ref) bool { return o.Line != nil && *o.Line == ref }) {
		return
	}
	*into = append(*into, recipe.Ref{Line: &ref, Share: round(share), Part: p.part})
	b.take(p, share)
	r.portions = append(r.portions, p)
	r.fresh = true
}

// shareMade is the share of a thing that a noun means.
func (b *bindings) shareMade(n noun, t *thing) float64 {
	switch {
	case n.rest && n.share == 0:
		return t.left
	case n.share > 0 && n.share < 1:
		t.left = max(t.left-n.share, 0.01)
		return n.share
	case n.amount[1] > 0 && !n.pronoun:
		t.left = max(t.left-someOfIt, 0.01)
		return someOfIt
	}
	return 1
}

// someOfIt stands for an amount of what has been made, which nobody has
// weighed; an estimate.
const someOfIt = 0.5

func round(share float64) float64 { return float64(int(share*1000+0.5)) / 1000 }

// objects binds what the verb is done to.
func (b *bindings) objects(c *clause, t *larder.Technique, r *roles) {
	for _, n := range c.objects {
		before := r.vessel
		r.vessel = ""
		b.refs([]noun{n}, r, &r.action.To)
		if r.vessel != "" && r.bare {
			named := b.words(n)
			if n.pronoun {
				named = r.vessel
			}
			r.action.To = append(r.action.To, recipe.Ref{Named: &named, Share: 1})
		}
		if r.vessel == "" {
			r.vessel = before
		}
		r.bare = false
	}
}

// tied binds what a preposition ties to the verb, by the role it plays and by
// what the technique makes of it.
func (b *bindings) tied(c *clause, t *larder.Technique, l link, r *roles) {
	n := l.nouns[0]
	vessel := b.vessel(n)
	role := l.role
	if b.r.lang.Places[n.head()] && role != "with" && !l.first && len(b.direct(n)) == 0 {
		return // "in the middle", "on top"
	}
	switch {
	case l.first && vessel == "" && b.particle(l, t):
		role = "to"
	case role == "" && len(c.objects) == 0:
		role = "to"
	case role == "from" && vessel == "" && (l.first && len(c.objects) == 0 || b.r.lang.Announcing[c.lemma]):
		role = "to"
	}
	switch role {
	case "to":
		b.refs(l.nouns, r, &r.action.To)
	case "with":
		b.accompanied(l, t, r, vessel)
	case "in", "within":
		b.inside(l, t, r, vessel)
	case "into":
		b.linkInto(l, t, r, &r.action.Into, vessel, true)
	case "for":
		if at := b.componentNamed(n.head()); at >= 0 {
			b.comp = at
		} else if vessel == "" && len(b.direct(n)) == 0 {
			r.names = append(r.names, n.head())
		}
	}
}

// accompanied binds what "with" leads to; tools and places are how it is done.
func (b *bindings) accompanied(l link, t *larder.Technique, r *roles, vessel string) {
	n := l.nouns[0]
	switch {
	case vessel != "" && t.Medium == "with":
		named := b.words(n)
		r.action.With = append(r.action.With, recipe.Ref{Named: &named, Share: 1})
	case vessel != "" && b.r.lang.Tools[vessel], slices.ContainsFunc(n.words, func(w string) bool { return b.r.lang.Tools[w] && vessel == "" && len(b.direct(n)) == 0 }), b.r.lang.Places[n.head()], b.r.lang.Places[b.text.low(n.upto-1)]:
	default:
		b.linkInto(l, t, r, &r.action.With, vessel, false)
	}
}

// particle tells whether a preposition behind a verb belongs to the verb: "stir
// in the cream", "pour over the stock".
func (b *bindings) particle(l link, t *larder.Technique) bool {
	if !b.r.lang.Particles[l.word] {
		return false
	}
	if l.role == "in" {
		return t.Joins != "" || t.Family == "assemble" && t.Medium != "with"
	}
	if b.flowsOver(l.nouns[0]) && t.Joins == "yes" {
		return true
	}
	if l.role != "into" || t.Joins == "" && t.Family != "assemble" && t.Family != "cut" {
		return false
	}
	n := l.nouns[0]
	found := b.resolve(n)
	if len(found) > 0 && found[0].portion != nil && b.forTable(found[0].portion.line) {
		return false
	}
	if b.r.lang.Places[n.head()] && n.owner == nil && len(b.direct(n)) == 0 {
		return false
	}
	if n.little || n.amount[1] > 0 || n.share > 0 && n.share < 1 {
		return true
	}
	return len(found) > 0 && (found[0].portion != nil && b.leftOf(*found[0].portion) > 0 || found[0].named != "")
}

// flowsOver tells whether a noun means a liquid that is not what is being worked
// on: "ladle over the soup".
func (b *bindings) flowsOver(n noun) bool {
	return slices.ContainsFunc(b.resolve(n), func(x referent) bool { return x.made != nil && x.made.liquid && x.made != b.base })
}

// inside binds what "in" leads to: a medium, a coat, a place.
func (b *bindings) inside(l link, t *larder.Technique, r *roles, vessel string) {
	switch {
	case vessel != "" && (t.Joins == "yes" || t.Family == "assemble" && t.Medium != "with"):
		b.linkInto(l, t, r, &r.action.Into, vessel, true)
	case vessel != "":
		r.action.Vessel, r.action.Across = b.words(l.nouns[0]), b.across(l.nouns[0])
		b.seen(l.nouns[0], vessel, r)
	case t.Joins == "yes" || t.Name == "place":
		b.refs(l.nouns, r, &r.action.Into)
	case t.Medium == "with":
		b.refs(l.nouns, r, &r.action.With)
	case len(r.action.To) == 0 && (t.Family == "assemble" || t.Family == "cut") && b.made(l.nouns[0]):
		b.refs(l.nouns, r, &r.action.To)
	case t.Medium == "liquid" && !l.nouns[0].little && b.pot(l.nouns[0]):
		b.refs(l.nouns, r, &r.action.Into)
	default:
		b.refs(l.nouns, r, &r.action.With)
	}
}

// made tells whether a noun means something that has been made.
func (b *bindings) made(n noun) bool {
	return slices.ContainsFunc(b.resolve(n), func(x referent) bool { return x.made != nil })
}

// pot tells whether a noun means the pot and all in it: several things boil
// there already.
func (b *bindings) pot(n noun) bool {
	for _, x := range b.resolve(n) {
		if x.made != nil && len(x.made.holds) > 1 {
			return true
		}
	}
	return false
}

// linkInto binds a place or a thing that something goes to.
func (b *bindings) linkInto(l link, t *larder.Technique, r *roles, into *[]recipe.Ref, vessel string, goes bool) {
	before := r.vessel
	b.refs(l.nouns, r, into)
	if vessel == "" {
		return
	}
	if b.r.lang.Receiving[vessel] && t.Family != "assemble" && t.Joins == "" {
		goes = false
	}
	r.action.Vessel, r.action.Across = b.words(l.nouns[0]), b.across(l.nouns[0])
	if goes && r.vessel != before && len(*into) == 0 {
		named := r.action.Vessel
		*into = append(*into, recipe.Ref{Named: &named, Share: 1})
	}
}

// across is the width of a vessel in centimetres: "a 28 cm pan".
func (b *bindings) across(n noun) float64 {
	for i := n.from; i < n.upto; i++ {
		if per := b.r.lang.Lengths[b.text.low(i)]; per > 0 && b.text.number(i-1) {
			return b.text.words[i-1].Value * per
		}
	}
	return 0
}

// seen makes the content of a pointed-at vessel what is worked on: "in the same
// pan".
func (b *bindings) seen(n noun, vessel string, r *roles) {
	r.vessel = vessel
	if t := b.vessels[vessel]; t != nil && n.pointed && b.open(t) && b.holdsFat(t) {
		b.base = t
	}
}

// meant fills in what the text leaves to the reader: what is worked on, and
// what is added to. It returns a question where nothing can be meant.
func (b *bindings) meant(c *clause, t *larder.Technique, r *roles) string {
	a := r.action
	joins := t.Joins == "yes" || t.Joins == "in" && (slices.Contains(c.particles, "in") || b.saidIn(c))
	if len(a.To) == 0 && t.Needs == "object" {
		target := b.focus
		if t.Name == "serve" && b.base != nil {
			target = b.base
		}
		switch {
		case target != nil && !slices.Contains(r.inputs, target):
			b.refMade(target, 1, r, &a.To)
		case target != nil:
		case len(a.With)+len(a.Into) == 0:
			return fmt.Sprintf("What does “%s” work on?", c.said)
		}
	}
	if joins && len(a.Into) == 0 && !b.onlyPlaces(a.To) {
		into := b.base
		if into != nil && slices.Contains(r.inputs, into) && (t.Joins != "yes" || len(c.particles) > 0) {
			into = b.latest(func(x *thing) bool { return !slices.Contains(r.inputs, x) && x.comp == b.comp })
		}
		switch {
		case b.onlyVessel != "":
			named := b.onlyVessel
			a.Into = append(a.Into, recipe.Ref{Named: &named, Share: 1})
			r.vessel = named
		case into != nil && !slices.Contains(r.inputs, into) && b.open(into):
			b.refMade(into, 1, r, &a.Into)
		}
	}
	return ""
}

// onlyPlaces tells whether an action only works on places of what is there:
// "fold in the sides".
func (b *bindings) onlyPlaces(refs []recipe.Ref) bool {
	return len(refs) > 0 && !slices.ContainsFunc(refs, func(r recipe.Ref) bool {
		return r.Named == nil || !b.r.lang.Places[last(strings.Fields(*r.Named))]
	})
}

// medium links what is fried to fat that was heated for it, and tells deep frying
// by its heat.
func (b *bindings) medium(t *larder.Technique, r *roles) {
	a := r.action
	fat := b.base
	for _, in := range r.inputs {
		if b.holdsFat(in) {
			fat = in
		}
	}
	if t.InHot != "" && (fat == nil || !b.holdsFat(fat)) {
		fat = b.latest(func(x *thing) bool { return b.holdsFat(x) && x.hot >= fryingHeat })
	}
	if fat == nil || !b.holdsFat(fat) || !b.open(fat) {
		return
	}
	if t.InHot != "" && fat.hot >= fryingHeat {
		a.Technique = t.InHot
	}
	if (t.Medium == "fat" || t.Name == "cook" || t.Name == "deep-fry") && len(a.With) == 0 && !slices.Contains(r.inputs, fat) {
		b.refMade(fat, 1, r, &a.With)
	}
}

// meantFor takes in the fat that the list says is for this work: "oil, for
// frying", "butter, for the basin".
func (b *bindings) meantFor(t *larder.Technique, r *roles) {
	if len(r.action.With) > 0 || t.Medium != "fat" && t.Name != "deep-fry" && t.Name != "grease" {
		return
	}
	for i := range b.lines {
		f := b.lines[i].food
		if f == nil || b.touched(i) || larder.Or(f.Per100.Fat, 0) < mostlyFat {
			continue
		}
		for w := range b.lines[i].said {
			if b.r.lang.Orders(w, t.Name, t.InHot) || t.Name == "grease" && b.r.lang.Vessels[w] {
				b.refPortion(noun{}, portion{i, ""}, r, &r.action.With)
				return
			}
		}
	}
}

// verbMatter takes in the food that a verb itself names: "flour the veal", "salt
// the slices".
func (b *bindings) verbMatter(c *clause, t *larder.Technique, r *roles) {
	n := noun{from: c.from, upto: c.from, words: larder.Words(c.lemma), pointed: true}
	if len(c.objects) == 0 || !b.text.foods(n.head()) || t.Family == "cut" || t.Family == "machine" || t.Name == "beat" {
		return
	}
	for _, x := range b.direct(n) {
		if b.leftOf(*x.portion) > 0 {
			b.refPortion(n, *x.portion, r, &r.action.With)
			return
		}
	}
	if t.Name == "season" || t.Name == "grease" || t.Name == "coat" {
		named := c.lemma
		r.action.With = append(r.action.With, recipe.Ref{Named: &named, Share: 1})
	}
}

// fryingHeat is the least temperature in Celsius at which fat is there to fry
// pieces in.
const fryingHeat = 140

// saidIn tells whether "in" stood right behind the verb.
func (b *bindings) saidIn(c *clause) bool {
	return slices.ContainsFunc(c.links, func(l link) bool {
		return l.first && (l.role == "in" || l.role == "into" && b.r.lang.Particles[l.word])
	})
}

// outcome notes what the action made.
func (b *bindings) outcome(c *clause, t *larder.Technique, r *roles) {
	a := r.action
	if t.Takes == "none" {
		return
	}
	names := append(r.names, a.Makes)
	b.onlyVessel = ""
	if a.Technique != reserveTechnique && b.works(a, r) {
		return
	}
	if t.Takes == "part" {
		b.takenOut(a, r)
		return
	}
	b.whereItIs(t, r)
	made := b.make(a.ID, r.inputs, r.portions, names...)
	made.apart = b.staysApart(t, r)
	made.liquid = (made.liquid || b.loose(a)) && t.Leaves != "drained"
	if a.Celsius != nil && b.holdsFat(made) {
		made.hot = *a.Celsius
	}
	b.focus, b.base = made, made
	b.stand(made, t, r)
}

// stand notes in which vessel a thing stands: the one named, or that of what
// went in, unless the work takes it out of there.
func (b *bindings) stand(made *thing, t *larder.Technique, r *roles) {
	made.vessel = r.vessel
	if leaves := t.Family == "cut" || t.Family == "machine" || t.Family == "separate" || t.Family == "clean"; r.vessel == "" && (!leaves || t.Takes == "some") {
		for _, in := range r.inputs {
			if in.vessel != "" && !b.shared[in] {
				made.vessel = in.vessel
			}
		}
	}
	if made.vessel != "" {
		b.vessels[made.vessel] = made
	}
}

// staysApart tells whether what an action worked on still lies side by side:
// things cut, soaked, drained or rinsed together do.
func (b *bindings) staysApart(t *larder.Technique, r *roles) bool {
	switch t.Family {
	case "cut", "clean", "separate", "rest":
		return !slices.ContainsFunc(r.inputs, func(in *thing) bool { return !in.apart && len(in.holds) > 1 })
	}
	return false
}

// takenOut notes a part that leaves what it was in, which stays what others are
// added to.
func (b *bindings) takenOut(a *recipe.Action, r *roles) {
	from := b.base
	var made *thing
	if len(r.portions) > 0 {
		made = b.make(a.ID, nil, r.portions)
	} else {
		made = b.make(a.ID, r.inputs, nil)
	}
	made.comp = b.comp
	for _, ref := range a.To {
		if ref.Named != nil {
			made.names[last(larder.Words(*ref.Named))] = true
		}
	}
	if len(r.portions)+len(r.inputs) == 0 {
		return // skin, paper, the liquid: what was worked on stays in hand
	}
	if a.Technique != reserveTechnique || slices.Contains(r.inputs, b.focus) {
		b.focus = made
	}
	if from != nil && !b.open(from) {
		b.base = nil
	}
}

// takesAway tells whether the action at hand takes something out of the rest.
func (b *bindings) takesAway() bool { return b.tech.Takes == "part" || b.tech.Takes == "none" }

// whereItIs keeps a thing whole of which only some is worked on where it
// stands: "mash a third of them in the pot".
func (b *bindings) whereItIs(t *larder.Technique, r *roles) {
	if t.Takes != "some" || len(r.inputs) != 1 || len(r.portions)+len(r.action.Into) > 0 {
		return
	}
	if in := r.inputs[0]; b.r.lang.Pots[in.vessel] && (r.vessel == "" || r.vessel == in.vessel) {
		delete(b.shared, in)
	}
}

// reserveTechnique keeps what its words name for later: "keep the liquid".
const reserveTechnique = "reserve"

// works tells whether an action leaves what is being made as it is: it greases
// a tin, or lets the excess drip off.
func (b *bindings) works(a *recipe.Action, r *roles) bool {
	if len(a.To) == 0 || len(r.inputs) > 0 {
		return false
	}
	vessels := true
	for _, ref := range a.To {
		if ref.Named == nil {
			return false
		}
		w := last(strings.Fields(*ref.Named))
		vessels = vessels && b.r.lang.Vessels[w]
		if !b.r.lang.Vessels[w] && !b.r.lang.Remains[w] && !b.r.lang.Places[w] {
			return false
		}
	}
	if t := b.tech; vessels && (len(r.portions) == 0 || t.Family == "coat") {
		b.onlyVessel = last(strings.Fields(*a.To[len(a.To)-1].Named))
		return true
	}
	return !vessels && len(r.portions) == 0
}

// loose tells whether water that nobody lists goes in.
func (b *bindings) loose(a *recipe.Action) bool {
	return slices.ContainsFunc(slices.Concat(a.To, a.With, a.Into), func(r recipe.Ref) bool {
		return r.Named != nil && b.r.lang.Loose[last(larder.Words(*r.Named))]
	})
}

// forTable tells whether a line is served with the dish and not worked into it.
func (b *bindings) forTable(line int) bool {
	for w := range b.r.lang.Serving {
		if b.lines[line].said[w] {
			return true
		}
	}
	return false
}

// dropKeys takes out of the objects what only gave the verb its meaning: "a
// well", "the edges", "the heat".
func (c *clause) dropKeys(t *text, tech *larder.Technique) {
	if len(c.sense.Keys) == 0 || tech.Name == "preheat" {
		return
	}
	c.links = slices.DeleteFunc(c.links, func(l link) bool {
		w := t.low(l.nouns[0].upto - 1)
		return t.lang.Vessels[w] && tech.Joins == "" && tech.Family != "assemble" && slices.ContainsFunc(c.sense.Keys, func(key []string) bool { return slices.Contains(key, w) })
	})
	c.objects = slices.DeleteFunc(c.objects, func(n noun) bool {
		return slices.ContainsFunc(c.sense.Keys, func(key []string) bool {
			w := t.low(n.upto - 1)
			return (slices.Contains(key, n.head()) || slices.Contains(key, w)) && (!t.lang.Vessels[w] || t.lang.Tools[w])
		})
	})
}

func last(words []string) string {
	if len(words) == 0 {
		return ""
	}
	return words[len(words)-1]
}
