package swap

import (
	"math"
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// bench is an original made ready to try many decisions on. Everything that
// stays the same between two tries is worked out once, and what a swap or a
// booster brings is summed beforehand, so that a try only adds sums up.
type bench struct {
	*Book
	// work is what the search may still look at.
	work     int
	dish     recipe.Dish
	rules    Rules
	dec      Decisions
	wishes   character.Wishes
	slots    []slot
	at       map[string]int // slot by line
	original character.Dish
	shapes   []character.Shape
	before   character.Profile
	needs    []character.Need
	main     int  // the heaviest component that is no dough
	dessert  bool // the original is sweet, and takes no savoury boosters
	aim      Aim
	// families are the signatures that the original has.
	families map[string]bool
	// keptFoods are the foods of the lines that stay.
	keptFoods map[*larder.Food]bool

	options [][]option // by slot, in the order of its allowed swaps
	doses   [][]option // by booster, by number of kitchen doses
	kept    state      // the lines that stay, salt lines apart
	salts   []saltLine
	// saltBefore is the salt of the original in grams.
	saltBefore float64
	// limited are the nutrients with a limit for the day, dailyBefore what a serving of
	// the original holds of them.
	limited     []larder.Reference
	dailyBefore daily
	profile     character.Profile // scratch
	scratch     []character.Sums
}

// option is what one swap or one booster dose brings.
type option struct {
	swap    *larder.Swap
	dose    Dose
	booster int
	part    int
	sums    character.Sums
	lines   float64
	grams   float64
	hands   float64 // minutes of work, and a share of those of waiting
	cost    float64 // a serving, in the units of the price list
	protein float64 // grams a serving
	soft    float64
	// salt is what it brings beyond what it replaces, in grams.
	salt       float64
	vegetables float64 // ml
	grains     float64 // ml
	daily      daily
	// blends tells that nuts or seeds are soaked and blended for it.
	blends bool
	main   *larder.Food
}

// state is the running total of a try.
type state struct {
	sums                              []character.Sums
	lines, hands, cost, protein, soft float64
	salt, vegetables, grains          float64
	daily                             daily
}

// saltLine is a line of plain salt that gives way to salt from elsewhere.
type saltLine struct {
	component, line int
	grams           float64
	perGram         character.Sums
}

// sweetDish and lightlySalted are the grams of sucrose equivalents and of salt
// in 100 g that tell a dessert.
const (
	sweetDish     = 9.0
	lightlySalted = 0.6
	// fairlySweet and hardlySalted tell one where nothing savoury is in it.
	fairlySweet  = 4.5
	hardlySalted = 0.25
)

func (b *Book) prepare(d recipe.Dish, rules Rules, dec Decisions) *bench {
	x := &bench{Book: b, dish: d, rules: rules, dec: dec, at: map[string]int{}, original: character.Of(b.larder, d, dec.Uses), aim: Closest, work: workOfSearch}
	x.slots = b.slots(d, rules, x.original)
	x.wishes = wishes(dec, rules)
	for i, s := range x.slots {
		x.at[s.ref] = i
	}
	x.shapes = x.original.Shapes()
	x.before = x.original.Profile()
	x.needs = x.original.Needs()
	for _, s := range x.original.Sums() {
		x.saltBefore += s.Salt()
	}
	x.limited = b.larder.Limited()
	for _, p := range x.original.Parts {
		for _, it := range p.Items {
			one := x.dailyOf(it)
			x.dailyBefore.add(&one, 1)
		}
	}
	x.dessert = x.isDessert()
	most := -1.0
	for i, p := range x.before.Parts {
		m := p.Mass
		if x.shapes[i].Kneaded {
			m = 0
		}
		if m > most {
			x.main, most = i, m
		}
	}
	x.scratch = make([]character.Sums, len(x.shapes))
	x.families = map[string]bool{}
	for _, p := range x.original.Parts {
		for _, it := range p.Items {
			x.families[x.larder.Signature(it.Food).Family] = true
		}
	}
	return x
}

// isDessert tells whether the original is sweet: by far, or without anything savoury
// beside.
func (x *bench) isDessert() bool {
	sweet, salt := x.before.Value(character.Sweet), x.before.Value(character.Salt)
	if sweet > sweetDish && salt < lightlySalted {
		return true
	}
	for _, p := range x.original.Parts {
		for _, it := range p.Items {
			if flesh[it.Food.Animal] || it.Food.Tagged("savoury") || it.Food.Tagged("allium") {
				return false
			}
		}
	}
	return sweet > fairlySweet && salt < hardlySalted
}

// partOf is the component that a dose goes into; one that is not there gives
// way to the main one.
func (x *bench) partOf(d Dose) int {
	if d.Component < 0 || d.Component >= len(x.shapes) {
		return x.main
	}
	return d.Component
}

// item is a line of the adaptation as the model sees it. from is the line of
// the original it stands for, -1 for a booster.
func (x *bench) item(component, from int, food *larder.Food, form string, grams float64, stands bool) character.Item {
	part := &x.original.Parts[component]
	it := character.Item{Food: food, Form: food.FormNamed(form), Grams: grams, Wet: part.Wet}
	switch {
	case from < 0:
		it.Treatment = character.Treatment{Fate: x.larder.Fate("kept"), Heated: part.Heated}
	case stands:
		it.Treatment = part.Treated[from].ForSwap(x.larder)
		it.Heated = it.Heated || part.Heated
	default:
		it.Treatment = part.Treated[from]
	}
	return it
}

// ready sums what stays and what every swap and booster would bring, for
// search and ranking.
func (x *bench) ready() {
	x.kept, x.keptFoods = state{sums: make([]character.Sums, len(x.shapes))}, map[*larder.Food]bool{}
	for i, c := range x.dish.Components {
		for j := range c.Lines {
			line := &c.Lines[j]
			food := x.larder.Food(line.FoodID())
			at, decided := x.at[recipe.LineRef(i, j)]
			if food == nil && !decided {
				continue
			}
			if salty := x.plainSalt(i, j); salty != nil {
				one := x.item(i, j, salty, line.Form, 1, false).Sums()
				x.salts = append(x.salts, saltLine{i, j, x.saltGrams(i, j), one})
				if !decided {
					continue
				}
			}
			if decided {
				x.options = append(x.options, nil)
				for _, s := range x.slots[at].allowed {
					x.options[at] = append(x.options[at], x.option(x.slots[at], s))
				}
				continue
			}
			x.keptFoods[food] = true
			it := x.item(i, j, food, line.Form, x.eaten(line, food), false)
			sums, strong := it.Sums(), x.dailyOf(it)
			x.kept.sums[i].Add(&sums, 1)
			x.kept.daily.add(&strong, 1)
			v, g := plantVolume(food, line.Mass())
			x.kept.vegetables += v
			x.kept.grains += g
		}
	}
	x.weighBoosters()
}

// plainSalt is the food of a salt line that can be lowered: the line's own, or
// the only stand-in for it, where that is salt again; nil for other lines.
func (x *bench) plainSalt(component, line int) *larder.Food {
	food := x.larder.Food(x.dish.Components[component].Lines[line].FoodID())
	if food == nil || food.Kind != "salt" || x.dish.Components[component].Lines[line].Mass() <= 0 {
		return nil
	}
	at, decided := x.at[recipe.LineRef(component, line)]
	if !decided {
		return food
	}
	for _, s := range x.slots[at].allowed {
		if len(s.Formula) == 1 {
			return x.rules.inPlace(s.Formula[0].Food)
		}
	}
	return nil
}

// saltGrams is the mass of a salt line before it is lowered, as it is written.
func (x *bench) saltGrams(component, line int) float64 {
	if at, decided := x.at[recipe.LineRef(component, line)]; decided {
		for _, s := range x.slots[at].allowed {
			if len(s.Formula) == 1 {
				return x.grams(x.slots[at], s, s.Formula[0])
			}
		}
	}
	return x.dish.Components[component].Lines[line].Mass()
}

// option sums what a swap brings in place of a line.
func (x *bench) option(s slot, sw *larder.Swap) option {
	line := &x.dish.Components[s.component].Lines[s.line]
	o := option{swap: sw, part: s.component, main: x.larder.MainFood(sw)}
	hands, wait := sw.Minutes()
	o.hands = hands + wait*waitShare
	if x.plainSalt(s.component, s.line) != nil {
		return o // counted among the salt lines
	}
	for _, p := range sw.Formula {
		food := x.rules.inPlace(p.Food)
		o.blends = o.blends || food.Aisle == "nuts" && blended(sw)
		x.bring(&o, x.item(s.component, s.line, food, p.Form, x.grams(s, sw, p), true))
	}
	if food := x.larder.Food(line.FoodID()); food != nil {
		replaced := x.item(s.component, s.line, food, line.Form, x.eaten(line, food), false).Sums()
		o.salt -= replaced.Salt()
	}
	o.soft += x.unfit(&s, &o)
	return o
}

// blended tells whether a swap is made in a blender.
func blended(sw *larder.Swap) bool {
	return slices.ContainsFunc(sw.Prepare, func(p larder.Preparation) bool { return slices.Contains(p.Kit, "blender") })
}

// bring adds one food to an option.
func (x *bench) bring(o *option, it character.Item) {
	sums := it.Sums()
	o.sums.Add(&sums, 1)
	bought := it.Grams * it.Form.Base
	servings := x.original.Servings
	grade := it.Food.Grade
	if it.Form.Grade != "" {
		grade = it.Form.Grade
	}
	o.salt += sums.Salt()
	o.lines++
	o.grams += it.Grams
	o.cost += bought / 1000 * x.larder.Price(it.Food) / servings
	o.protein += bought * larder.Or(it.Food.Per100.Protein, 0) / 100 / servings
	o.soft += x.rules.soft(it.Food, grade, it.Grams, servings)
	if s := x.larder.Signature(it.Food); s.Family != "" && !x.families[s.Family] && (s.Belongs == "" || x.before.Value(s.Belongs) < belongsFrom) {
		o.soft += strangerPenalty * math.Sqrt(min(strangerMost, bought/servings/strangerGrams))
	}
	v, g := plantVolume(it.Food, it.Grams)
	o.vegetables += v
	o.grains += g
	strong := x.dailyOf(it)
	o.daily.add(&strong, 1)
}

// plantVolume is the millilitres of vegetable and of grain in a line.
func plantVolume(f *larder.Food, grams float64) (vegetables, grains float64) {
	density := f.Matter.Density
	if density <= 0 {
		density = usualDensity
	}
	switch f.Aisle {
	case "vegetables", "mushrooms":
		return grams / density, 0
	case "grains", "bakery":
		return 0, grams / density
	}
	return 0, 0
}

// usualDensity of cut vegetables, where the food's own is not known.
const usualDensity = 0.6

// grams is the mass of one food of a swap that stands for a line, rounded as
// it will be written.
func (x *bench) grams(s slot, sw *larder.Swap, p larder.Part) float64 {
	line := &x.dish.Components[s.component].Lines[s.line]
	mass := assumedMass
	if line.Grams != nil {
		mass = x.eaten(line, x.larder.Food(line.FoodID()))
	}
	food := x.larder.Food(p.Food)
	most := x.larder.MostServed(food, p.Form).Most * x.original.Servings
	grams := min(p.Grams*mass/sw.GramsPer(), most)
	if own, ok := x.dec.Amounts[s.ref]; ok && own > 0 {
		grams *= own
		most = math.Inf(1)
	}
	rounded := measure.RoundGrams(grams, fineAmounts(food))
	if rounded > most { // a spoon of it would be more than it may be
		return math.Floor(most*10) / 10
	}
	return rounded
}

// eaten is what of an original line's weight is eaten, in grams.
func (x *bench) eaten(line *recipe.Line, food *larder.Food) float64 {
	if food == nil {
		return line.Mass()
	}
	return line.Mass() * x.larder.EatenShare(food, line.Text, line.Counted())
}

// mostDoses is how many doses of a booster are tried.
const mostDoses = 6

// weighBoosters sums every allowed dose of every booster. It goes to the
// component where its first trait came from, and nothing that clouds goes into
// what is strained.
func (x *bench) weighBoosters() {
	homes := map[string]int{}
	for i, b := range x.larder.Boosters() {
		x.doses = append(x.doses, nil)
		f := x.rules.inPlace(b.Food)
		if f == nil || x.rules.Breaks(f) != "" || x.dessert && b.In == larder.InSavoury || !x.dessert && b.In == larder.InSweet || len(x.shapes) == 0 {
			continue
		}
		home, known := homes[b.Traits[0]]
		if !known {
			home = x.original.Home(b.Traits[0])
			homes[b.Traits[0]] = home
		}
		if home < 0 || x.shapes[home].Clear && clouds(f) || x.coated(home) {
			continue
		}
		mass := x.before.Parts[home].Mass
		// In a big pot several kitchen doses are taken together.
		step := b.Step * math.Max(1, math.Ceil(b.Most*mass/100/b.Step/mostDoses))
		most := min(b.Most*mass/100, x.larder.MostServed(f, b.Form).Most*x.original.Servings)
		for n := 1.0; n*step <= most; n++ {
			d := Dose{Food: b.Food, Form: b.Form, Grams: math.Round(n*step*100) / 100, Component: home}
			x.doses[i] = append(x.doses[i], x.booster(i, d))
		}
	}
}

// coated tells whether a component is pieces in a crust, into which nothing can
// be stirred.
func (x *bench) coated(component int) bool {
	return slices.ContainsFunc(x.slots, func(s slot) bool { return s.component == component && s.use.Name == "breaded" })
}

// clouds tells whether a booster would cloud a clear broth.
func clouds(f *larder.Food) bool {
	return slices.Contains([]string{"nuts", "pulses", "plant-dairy", "grains", "soy"}, f.Aisle) || f.Kind == "starch" || f.ID == "nutritional-yeast"
}

// booster sums one dose.
func (x *bench) booster(index int, d Dose) option {
	f := x.rules.inPlace(d.Food)
	part := x.partOf(d)
	o := option{dose: d, booster: index, part: part, main: f}
	x.bring(&o, x.item(part, -1, f, formOr(d.Form), measure.RoundGrams(d.Grams, fineAmounts(f)), false))
	return o
}

// add puts an option into a running total, or takes it out with a sign of -1.
func (st *state) add(o *option, sign float64) {
	st.sums[o.part].Add(&o.sums, sign)
	st.lines += sign * o.lines
	st.hands += sign * o.hands
	st.cost += sign * o.cost
	st.protein += sign * o.protein
	st.soft += sign * o.soft
	st.salt += sign * o.salt
	st.vegetables += sign * o.vegetables
	st.grains += sign * o.grains
	st.daily.add(&o.daily, sign)
}

func (st *state) clone() state {
	c := *st
	c.sums = slices.Clone(st.sums)
	return c
}

// leastSaltMoved is the salt in grams below which nothing is adjusted.
const leastSaltMoved = 0.3

// lowerSalt works out what is left of each salt line when extra grams of salt
// come from elsewhere and the house allows at most limit grams in all (0: no
// limit) with others grams in the rest of the dish.
func (x *bench) lowerSalt(extra, others float64) []float64 {
	left := make([]float64, len(x.salts))
	lines := 0.0
	for i, s := range x.salts {
		left[i] = s.grams
		lines += s.grams * s.perGram.Salt()
	}
	if limit := x.rules.House.SaltPerServing * x.original.Servings; limit > 0 {
		extra = max(extra, others+lines-limit)
	}
	for i, s := range x.salts {
		if extra < leastSaltMoved {
			break
		}
		per := s.perGram.Salt()
		if per <= 0 {
			continue
		}
		left[i] = min(s.grams, measure.RoundGrams(math.Max(0, s.grams-extra/per), measure.Fine))
		extra -= (s.grams - left[i]) * per
	}
	return left
}
