package character

import (
	"fmt"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// Item is one line as the model sees it: so many grams of a food in a form,
// and what the steps do to it.
type Item struct {
	// Ref names the line it stands for, "components[0].lines[3]".
	Ref   string
	Label string
	Food  *larder.Food
	Form  larder.Form
	Grams float64
	Treatment
	// Wet tells that its component cooks in liquid or bakes.
	Wet bool
	// Use is what an ingredient does here; see UseOf.
	Use Use
	// Solid tells that it stands in for pieces of flesh: what holds those together does nothing for what lies about them.
	Solid bool
}

// Eaten is how many grams of the food as bought reach the eater: of what is steeped and
// taken out again only what dissolves.
func (it *Item) Eaten(dissolves bool) float64 {
	share := it.Fate.Taken
	switch {
	case it.Form.Yield == 0 && dissolves:
		share = it.Form.Gives
	case it.Form.Yield == 0:
		share = 0
	}
	return it.Grams * it.Form.Base * share
}

// Part is one component with what its steps do to its mass.
type Part struct {
	Shape
	Items []Item
	// Treated is what the steps do to each line of the component, by its index.
	Treated []Treatment
}

// Sums adds up the items of the part.
func (p Part) Sums() Sums {
	var s Sums
	for i := range p.Items {
		one := p.Items[i].Sums()
		s.Add(&one, 1)
	}
	return s
}

// Mass is the finished mass of the part in grams.
func (p Part) Mass() float64 {
	s := p.Sums()
	return p.Shape.Mass(&s)
}

// Dish is a recipe made ready for evaluation.
type Dish struct {
	Parts    []Part
	Servings float64
}

// usualServings is taken when the recipe does not say for how many it is.
const usualServings = 4

// Of makes a recipe ready: lines without a known food or mass are left out of
// the sums, as nothing is known of them. corrections are uses that the cook has
// set right, by line.
func Of(l *larder.Larder, d recipe.Dish, corrections map[string]string) Dish {
	out := Dish{Servings: usualServings}
	if d.Serves != nil && d.Serves.Mid() > 0 {
		out.Servings = d.Serves.Mid()
	}
	m := methodOf(l, &d)
	for i, c := range d.Components {
		part := Part{Shape: m.shape(i), Treated: m.treatments(i)}
		part.Kneaded = part.Kneaded || mostlyFlour(l, c)
		for j := range c.Lines {
			line := &c.Lines[j]
			food := l.Food(line.FoodID())
			if food == nil || line.Mass() <= 0 {
				continue
			}
			ref := fmt.Sprintf("components[%d].lines[%d]", i, j)
			it := Item{
				Ref: ref, Label: line.Name, Food: food, Form: food.FormNamed(line.Form), Grams: line.Mass() * l.EatenShare(food, line.Text, line.Counted()),
				Treatment: part.Treated[j], Wet: part.Wet, Use: m.use(i, j, corrections[ref]),
			}
			if it.Use.Name == "piece" && it.Form.Name == larder.RawForm && food.Animal == larder.Egg {
				it.Form = food.FormNamed("boiled") // it is bitten into
			}
			part.Items = append(part.Items, it)
		}
		out.Parts = append(out.Parts, part)
	}
	return out
}

// batterFlour is the share of flour from which a component is a batter or dough.
const batterFlour = 0.11

// mostlyFlour tells whether a component is a batter or dough by its lines.
func mostlyFlour(l *larder.Larder, c recipe.Component) bool {
	flour, all := 0.0, 0.0
	for j := range c.Lines {
		f := l.Food(c.Lines[j].FoodID())
		if f == nil {
			continue
		}
		all += c.Lines[j].Mass()
		if f.Tagged("flours") {
			flour += c.Lines[j].Mass()
		}
	}
	return flour > batterFlour*all
}

// Shapes lists what the steps do to each component.
func (d Dish) Shapes() []Shape {
	shapes := make([]Shape, len(d.Parts))
	for i := range d.Parts {
		shapes[i] = d.Parts[i].Shape
	}
	return shapes
}

// Sums adds up each component.
func (d Dish) Sums() []Sums {
	sums := make([]Sums, len(d.Parts))
	for i := range d.Parts {
		sums[i] = d.Parts[i].Sums()
	}
	return sums
}

// Profile works out every trait of the dish.
func (d Dish) Profile() Profile {
	var p Profile
	Evaluate(d.Shapes(), d.Sums(), &p)
	return p
}

// Mass is the finished mass of the whole dish.
func (d Dish) Mass() float64 {
	total := 0.0
	for _, p := range d.Parts {
		total += p.Mass()
	}
	return total
}
