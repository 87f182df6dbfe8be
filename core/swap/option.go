package swap

import (
	"math"
	"slices"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

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

// option sums what a swap brings in place of a line.
func (x *bench) option(s slot, sw *larder.Swap) option {
	line := &x.dish.Components[s.component].Lines[s.line]
	o := option{swap: sw, part: s.component, main: x.larder.MainFood(sw)}
	hands, wait := sw.Minutes()
	o.hands = hands + wait*x.weights.WaitShare
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
	o.soft += x.rules.soft(&x.weights, it.Food, grade, it.Grams, servings)
	if s := x.larder.Signature(it.Food); s.Family != "" && !x.families[s.Family] && (s.Belongs == "" || x.before.Value(s.Belongs) < x.weights.BelongsFrom) {
		o.soft += x.weights.StrangerPenalty * math.Sqrt(min(x.weights.StrangerMost, bought/servings/x.weights.StrangerGrams))
	}
	if x.strange(it.Food) {
		o.soft += x.weights.ForeignPenalty
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
	mass := x.massOf(line) * x.picked(&s, line)
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

// massOf is the mass that a swap stands for: what of the line is eaten, or what a cook would
// take where it gives no amount.
func (x *bench) massOf(line *recipe.Line) float64 {
	food := x.larder.Food(line.FoodID())
	if line.Grams != nil {
		return x.eaten(line, food)
	}
	if line.Animal == larder.Meat || line.Animal == larder.Poultry || line.Animal == larder.Fish {
		if food == nil {
			return x.larder.UsualFlesh() * x.original.Servings // "8 pieces" of what the larder does not know
		}
		return math.Max(x.larder.Helping(food)*x.original.Servings, assumedMass)
	}
	return math.Max(x.larder.Helping(food)*x.helpings(), assumedMass)
}

// helpings are for how many helpings what is served with the dish is: as many as it serves, and fewer where that counts
// pieces that are no plateful.
func (x *bench) helpings() float64 {
	mass := 0.0
	for _, p := range x.original.Parts {
		mass += p.Mass()
	}
	if plate := x.larder.UsualPlate(); mass > 0 && plate > 0 {
		return min(x.original.Servings, mass/plate)
	}
	return x.original.Servings
}

// eaten is what of an original line's weight is eaten, in grams.
func (x *bench) eaten(line *recipe.Line, food *larder.Food) float64 {
	if food == nil {
		return line.Mass()
	}
	return line.Mass() * x.larder.EatenShare(food, line.Text, line.Counted())
}

// clouds is the tag of what would cloud a clear broth.
const clouds = "clouds"

// darkens is the tag of what turns a pale dish brown.
const darkens = "darkens"

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
		if f == nil || x.rules.Breaks(f) != "" || x.dessert && b.In == larder.InSavoury || !x.dessert && b.In == larder.InSweet || len(x.shapes) == 0 || x.holdsKin(f) || x.toTaste(f) || !x.heldPiece(b) || x.strange(f) && !x.pinned(b) {
			continue
		}
		home, known := homes[b.Traits[0]]
		if !known {
			home = x.original.Home(b.Traits[0])
			homes[b.Traits[0]] = home
		}
		if home < 0 || x.shapes[home].Clear && f.Tagged(clouds) || x.coated(home) || x.darkensPale(f, home) || b.NeedsHeat() && !x.shapes[home].Cooked || b.Moment != larder.AtTable && !x.shapes[home].Stirred {
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

// darkensPale tells whether a food would turn what is pale or yellow brown: ground mushrooms have no place in a
// white sauce, nor in one of yolks and butter.
func (x *bench) darkensPale(f *larder.Food, part int) bool {
	return f.Tagged(darkens) && (x.before.Leads(character.Pale, part) || x.before.Leads(character.Yellow, part) && x.ofEggsAndButter(part))
}

// mostlyEggs is the share of yolks, butter and milk from which a part has their colour; an estimate.
const mostlyEggs = 0.5

// ofEggsAndButter tells whether a part of the original is of eggs and of what milk gives for the most part.
func (x *bench) ofEggsAndButter(part int) bool {
	all, own := 0.0, 0.0
	for _, it := range x.original.Parts[part].Items {
		all += it.Grams
		if it.Food.Animal == larder.Egg || it.Food.Animal == larder.Dairy {
			own += it.Grams
		}
	}
	return own > mostlyEggs*all
}

// heldPiece tells whether the original held a piece of what a booster asks for, or the cook wants its
// taste: nobody strews seaweed over a stir-fry for its spoon of oyster sauce.
func (x *bench) heldPiece(b *larder.Booster) bool {
	if len(b.Piece) == 0 || x.pinned(b) {
		return true
	}
	for i := range x.dish.Components {
		for j := range x.dish.Components[i].Lines {
			f := x.larder.Food(x.dish.Components[i].Lines[j].FoodID())
			if f != nil && slices.Contains(b.Piece, string(f.Animal)) && !f.Tagged(larder.NoPiece) {
				return true
			}
		}
	}
	return false
}

// holdsKin tells whether the dish has another kind of a food that bears its name, so that more of
// that is what it wants: light soy sauce, of soy sauce.
func (x *bench) holdsKin(f *larder.Food) bool {
	own := f.NameWords()[0]
	for kept := range x.keptFoods {
		name := kept.NameWords()[0]
		if kept != f && len(name) > len(own) && slices.Equal(name[len(name)-len(own):], own) {
			return true
		}
	}
	return false
}

// toTaste tells whether the cook adds a food as the tongue says anyway: salt, in a list without an amount
// or named by the steps alone.
func (x *bench) toTaste(f *larder.Food) bool {
	same := func(o *larder.Food) bool { return o != nil && (o == f || f.Kind != "" && o.Kind == f.Kind) }
	for i := range x.dish.Components {
		c := &x.dish.Components[i]
		for j := range c.Lines {
			if c.Lines[j].Mass() <= 0 && same(x.larder.Food(c.Lines[j].FoodID())) {
				return true
			}
		}
		for _, s := range c.Steps {
			for _, a := range s.Actions {
				if slices.ContainsFunc(slices.Concat(a.To, a.With), func(r recipe.Ref) bool { return r.Named != nil && same(x.called(*r.Named)) }) {
					return true
				}
			}
		}
	}
	return false
}

// called is the food that words name, nil where they name none.
func (x *bench) called(words string) *larder.Food {
	if m, ok := x.larder.Index().At(larder.Words(words), 0, true); ok {
		return m.Food
	}
	return nil
}

// coated tells whether a component is pieces in a crust, into which nothing can
// be stirred.
func (x *bench) coated(component int) bool {
	return slices.ContainsFunc(x.slots, func(s slot) bool { return s.component == component && s.use.Name == "breaded" })
}

// booster sums one dose.
func (x *bench) booster(index int, d Dose) option {
	f := x.rules.inPlace(d.Food)
	part := x.partOf(d)
	o := option{dose: d, booster: index, part: part, main: f}
	x.bring(&o, x.item(part, -1, f, formOr(d.Form), measure.RoundGrams(d.Grams, fineAmounts(f)), false))
	return o
}
