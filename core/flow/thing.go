package flow

import (
	"slices"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// portion is a line or a part of it that goes its own way: the yolks of eggs,
// the zest of a lemon.
type portion struct {
	line int
	part string
}

// thing is what an action made.
type thing struct {
	id    string
	holds map[portion]bool
	names map[string]bool
	comp  int
	hot   float64 // the temperature that fat was heated to, 0 when none
	// liquid tells that it holds a liquid, left how much of it has not gone on.
	liquid bool
	left   float64
	// strained tells that its solids can be taken by themselves.
	strained bool
	// apart tells that what it holds lies side by side, so that one of them can
	// be taken by itself.
	apart bool
	// ofShare tells that it was made of a share of something that stays.
	ofShare bool
	// taken tells that it was taken out of what cooks on.
	taken bool
	// technique is what it was made by.
	technique string
	// spent tells that it has gone on as a whole.
	spent bool
	// putBy tells that it was reserved, and waits until it is asked for.
	putBy bool
	// title is its whole name where it has one of its own.
	title []string
	// fried tells that it was cooked without a liquid.
	fried bool
	// vessel is where it is, empty when nobody has said.
	vessel string
	// solids are what was cooked in the liquid that it holds too, and comes out of it
	// when it is lifted out.
	solids []portion
}

// bound is an ingredient line as the method sees it.
type bound struct {
	ref  string
	id   string
	comp int
	line *recipe.Line
	food *larder.Food
	name []string // words of the name
	also [][]string
	said map[string]bool // all words of the line
	// left is the share that has not gone in, by part.
	left map[string]float64
}

// bindings know, while a method is read, which lines are left, what has been
// made of which, and what is being worked on.
type bindings struct {
	r      *Reader
	dish   *recipe.Dish
	lines  []bound
	listed []recipe.Line // the same lines as they are written
	things []*thing
	// lettersLeft is how much of the method is still read.
	lettersLeft int
	// besideOthers tells that the clause at hand says with what it is done.
	besideOthers bool
	holder       map[portion]*thing
	// focus is what a pronoun means, base what others are added to.
	focus, base *thing
	vessels     map[string]*thing
	comp        int
	// last is the last action, lastAdded the last that added something.
	last, lastAdded *recipe.Action
	// particles are those of the last verb: "whisk in".
	particles []string
	text      *text
	// onlyVessel is the vessel that the last action was done to, when it was
	// done to nothing else.
	onlyVessel string
	// meantTo tells that the text left it open what the last action was done to.
	meantTo bool
	// working is the action being bound once it has its objects.
	working *recipe.Action
	// mentioned are the lines that the step at hand names, meantLines those that
	// its pronouns mean; home is its component.
	mentioned, meantLines map[int]bool
	home                  int
	// shared are the inputs of which only a share goes in.
	shared map[*thing]bool
	// goingInto tells that the noun at hand is what something goes into.
	goingInto bool
	// stepNo counts the steps of the method.
	stepNo int
	// rests are the words behind "the rest of", in the whole method.
	rests map[string]bool
	// phrase is where the text stands that is being bound, phrases all of the
	// action's.
	phrase  *recipe.Phrase
	phrases []recipe.Phrase
	// vesselAt is where it says in which vessel.
	vesselAt [2]int
	// takes are the only lines that the step at hand may mean, where that is known;
	// kept are the lines that are for such steps.
	takes []string
	kept  map[string]bool
	// several are further lines that are taken out of one thing together.
	several []recipe.Ref
	// tech is the technique of the action being bound.
	tech *larder.Technique
}

func (r *Reader) bindings(d *recipe.Dish) *bindings {
	b := &bindings{r: r, dish: d, holder: map[portion]*thing{}, vessels: map[string]*thing{}}
	for c := range d.Components {
		for j := range d.Components[c].Lines {
			l := &d.Components[c].Lines[j]
			one := bound{ref: recipe.LineRef(c, j), id: l.ID, comp: c, line: l, food: r.larder.Food(l.FoodID()), name: r.nameOf(l), said: map[string]bool{}, left: map[string]float64{}}
			for _, also := range l.Also {
				one.also = append(one.also, larder.Words(also.Name))
			}
			for _, alt := range l.Alternatives {
				one.also = append(one.also, larder.Words(alt.Name))
			}
			for _, w := range larder.Words(l.Text + " " + l.Name + " " + l.Preparation) {
				one.said[w] = true
			}
			b.lines, b.listed = append(b.lines, one), append(b.listed, *l)
		}
	}
	return b
}

// nameOf are the words that name a line, without what it comes in: "tuna" of "tuna in
// olive oil".
func (r *Reader) nameOf(l *recipe.Line) []string {
	words := larder.Words(l.Name)
	for i, w := range words {
		if i > 0 && r.lang.Prepositions[w] == "in" {
			return words[:i]
		}
	}
	return words
}

// leftOf is the share of a portion that has not gone in yet.
func (b *bindings) leftOf(p portion) float64 {
	l := &b.lines[p.line]
	if v, known := l.left[p.part]; known {
		return v
	}
	whole, known := l.left[""]
	if !known {
		whole = 1
	}
	if egg := b.r.lang.EggParts[p.part]; egg > 0 {
		return egg * whole
	}
	if p.part == "" {
		for part := range l.left {
			whole -= b.r.lang.EggParts[part]
		}
	}
	return max(whole, 0)
}

// take notes that a share of a portion has gone in.
func (b *bindings) take(p portion, share float64) {
	left := b.leftOf(p) - share
	if b.lines[p.line].line.Amount == nil {
		left = 1
	}
	if left < leastLeft {
		left = 0
	}
	b.lines[p.line].left[p.part] = left
}

// leastLeft is a share so small that nothing is left.
const leastLeft = 0.03

// touched tells whether any of a line has gone in.
func (b *bindings) touched(line int) bool { return len(b.lines[line].left) > 0 }

// held finds the thing that holds a portion now.
func (b *bindings) held(p portion) *thing {
	if t := b.holder[p]; t != nil {
		return t
	}
	if t := b.holder[portion{p.line, ""}]; t != nil {
		return t
	}
	if p.part != "" {
		return nil
	}
	for i := len(b.things) - 1; i >= 0; i-- {
		for q := range b.things[i].holds {
			if q.line == p.line && b.holder[q] == b.things[i] {
				return b.things[i]
			}
		}
	}
	return nil
}

// reserved finds what was put by of a portion and has not been used.
func (b *bindings) reserved(p portion) *thing {
	for i := len(b.things) - 1; i >= 0; i-- {
		if t := b.things[i]; t.putBy && !t.spent && t.holds[p] {
			return t
		}
	}
	return nil
}

// make adds what an action made: it holds all that its inputs held, and goes by
// the names of the first.
func (b *bindings) make(id string, inputs []*thing, portions []portion, names ...string) *thing {
	kept, own := map[portion]bool{}, map[portion]bool{} // what stays where it is, as only a share goes
	apart := map[*thing]bool{}
	t := &thing{id: id, holds: map[portion]bool{}, names: map[string]bool{}, comp: b.comp, left: 1}
	for _, in := range inputs {
		t.liquid, t.fried = t.liquid || in.liquid, t.fried || in.fried
		if named := slices.DeleteFunc(slices.Clone(portions), func(p portion) bool { return !in.holds[p] }); len(named) > 0 && (in.apart || in.strained && b.besideLiquid(in, named)) {
			apart[in] = true
			continue // only what is named goes
		}
		if b.shared[in] {
			for p := range in.holds {
				t.holds[p], kept[p], t.ofShare = true, true, true
			}
			continue
		}
		in.spent, t.ofShare = true, t.ofShare || in.ofShare
		for p := range in.holds {
			switch {
			case b.holder[p] == in:
				t.holds[p], own[p] = true, true
			case in.ofShare:
				t.holds[p], kept[p] = true, true
			}
		}
	}
	if len(inputs) > 0 && !apart[inputs[0]] {
		t.comp = inputs[0].comp
		if alone := len(inputs) == 1 && len(portions) == 0; alone || inputs[0].title == nil {
			for n := range inputs[0].names {
				t.names[n] = true
			}
			if alone {
				t.title = inputs[0].title
			}
		}
	}
	for _, p := range portions {
		t.holds[p] = true
	}
	t.liquid = t.liquid || b.mostlyLiquid(portions)
	for p := range t.holds {
		if own[p] || !kept[p] {
			b.holder[p] = t
		}
	}
	for _, n := range names {
		if n != "" {
			t.names[n] = true
		}
	}
	b.things = append(b.things, t)
	return t
}

// besideLiquid tells whether portions are solids of a thing that holds a liquid too:
// the clams of their broth.
func (b *bindings) besideLiquid(t *thing, named []portion) bool {
	liquid := func(p portion) bool { return larder.Pours(b.lines[p.line].food) && !b.fat(p) }
	if slices.ContainsFunc(named, liquid) {
		return false
	}
	for p := range t.holds {
		if liquid(p) {
			return true
		}
	}
	return false
}

// open tells whether a thing still is something by itself: it holds something
// that has not gone on into another.
func (b *bindings) open(t *thing) bool {
	for p := range t.holds {
		if b.holder[p] == t {
			return true
		}
	}
	return (len(t.holds) == 0 || t.ofShare) && !t.spent
}

func (b *bindings) byID(id string) *thing {
	at := slices.IndexFunc(b.things, func(t *thing) bool { return t.id == id })
	if at < 0 {
		return nil
	}
	return b.things[at]
}

// mostlyLiquid tells whether what goes in is more liquid than not.
func (b *bindings) mostlyLiquid(portions []portion) bool {
	liquid, all := 0.0, 0.0
	for _, p := range portions {
		mass := b.lines[p.line].line.Mass()
		all += mass
		if larder.Pours(b.lines[p.line].food) {
			liquid += mass
		}
	}
	return liquid > all/2
}

// holdsFat tells whether a thing is nothing but fat.
func (b *bindings) holdsFat(t *thing) bool {
	if t == nil || len(t.holds) == 0 {
		return false
	}
	for p := range t.holds {
		if !b.fat(p) {
			return false
		}
	}
	return true
}

// fat tells whether a portion is next to nothing but fat.
func (b *bindings) fat(p portion) bool {
	f := b.lines[p.line].food
	return f != nil && larder.Or(f.Per100.Fat, 0) >= mostlyFat
}

// mostlyFat is the fat in 100 g from which a food is one.
const mostlyFat = 60.0
