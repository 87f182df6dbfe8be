package character

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// Item is one line as the model sees it: so many grams of a food in a form.
type Item struct {
	// Ref names the line it stands for, "components[0].lines[3]".
	Ref   string
	Label string
	Food  *larder.Food
	Form  larder.Form
	Grams float64
	// Use is what an animal ingredient does here; see Uses.
	Use Use
}

// Part is one component with what its steps do to its mass.
type Part struct {
	Name  string
	Items []Item
	// Evaporated is the water its steps drive off, in grams.
	Evaporated float64
	// Wet tells that something in it is cooked in liquid or baked, so that dry
	// pulses and grains take up water.
	Wet bool
}

// Dish is a recipe made ready for evaluation.
type Dish struct {
	Parts    []Part
	Servings float64
}

// usualServings is taken when the recipe does not say for how many it is.
const usualServings = 4

// Of makes a recipe ready: lines without a known food or mass are left out of
// the sums, as nothing is known of them.
func Of(l *larder.Larder, d recipe.Dish) Dish {
	out := Dish{Servings: usualServings}
	if d.Serves != nil && d.Serves.Mid() > 0 {
		out.Servings = d.Serves.Mid()
	}
	for i, c := range d.Components {
		part := Part{Name: c.Name}
		for j := range c.Lines {
			line := &c.Lines[j]
			food := l.Food(line.FoodID())
			if food == nil || line.Mass() <= 0 {
				continue
			}
			part.Items = append(part.Items, Item{
				Ref: fmt.Sprintf("components[%d].lines[%d]", i, j), Label: line.Name,
				Food: food, Form: food.FormNamed(line.Form), Grams: line.Mass(), Use: UseOf(l, d, i, j),
			})
		}
		part.Evaporated, part.Wet = losses(c.Steps)
		out.Parts = append(out.Parts, part)
	}
	return out
}

// evaporation is how much water leaves an uncovered pan, in grams a minute, by
// technique: a gentle simmer in a 24 cm pot loses 0.5-0.8 kg an hour, a rolling
// boil 1.5-2.5; see docs/model.md. With a lid on little of it does.
var evaporation = map[string]float64{
	"simmer": 11, "boil": 33, "reduce": 25, "stew": 11, "braise": 4, "fry": 6, "saute": 6, "brown": 6, "sear": 6, "sweat": 4,
	"soften": 4, "caramelise": 6, "bake": 5, "roast": 6, "poach": 5, "thicken": 11,
}

// lidShare is what still escapes under a lid.
const lidShare = 0.05

// losses sums the water that the steps drive off and tells whether any of
// them cooks in liquid or bakes. It is the one place where steps become mass.
func losses(steps []recipe.Step) (grams float64, wet bool) {
	for _, s := range steps {
		rate := 0.0
		for _, t := range s.Techniques {
			rate = max(rate, evaporation[t])
			switch t {
			case "simmer", "boil", "bake", "stew", "braise", "steam", "poach", "pressure-cook", "parboil", "roast":
				wet = true
			}
		}
		if s.Minutes == nil {
			continue
		}
		minutes := min(s.Minutes.Mid(), longestOpenBoil)
		if covered(s.Text) {
			rate *= lidShare
		}
		grams += rate * minutes
	}
	return grams, wet
}

// longestOpenBoil bounds the minutes that count as uncovered: nobody boils a
// pot dry, longer times are topped up or covered.
const longestOpenBoil = 90

func covered(text string) bool {
	t := strings.ToLower(text)
	return (strings.Contains(t, "cover") && !strings.Contains(t, "uncover") && !strings.Contains(t, "to cover")) || strings.Contains(t, "lid on") || strings.Contains(t, "with a lid")
}

// mostDriedOff bounds evaporation by the water that is there: a dish keeps at
// least this share of it.
const leastWaterKept = 0.55

// Mass is the finished mass of the part in grams: what went in, plus water
// taken up by dry pulses and grains beyond the listed water, minus what cooks
// off. Item yields state the loss of a food by itself (mushrooms browned dry).
func (p Part) Mass() float64 {
	sum, water, listed, uptake := 0.0, 0.0, 0.0, 0.0
	for _, it := range p.Items {
		m := it.Grams * it.Form.Yield
		sum += m
		w := m * larder.Or(it.Food.Per100.Water, 0) / 100
		water += w
		if larder.Or(it.Food.Per100.Water, 0) > liquidWater {
			listed += w
		}
		if cooked, ok := it.Food.Forms["cooked"]; ok && p.Wet && it.Form.Base == 1 && cooked.Base > 0 && cooked.Base < 0.6 {
			uptake += it.Grams * (1/cooked.Base - 1)
		}
	}
	sum += max(0, uptake-listed)
	return sum - min(p.Evaporated, water*(1-leastWaterKept))
}

// liquidWater is the share of water above which a food counts as a liquid
// that pulses can drink.
const liquidWater = 86

// Mass is the finished mass of the whole dish.
func (d Dish) Mass() float64 {
	total := 0.0
	for _, p := range d.Parts {
		total += p.Mass()
	}
	return total
}

// fractionOf is the grams of the food as bought in an item, of which the
// larder's facts speak.
func (it Item) asBought() float64 { return it.Grams * it.Form.Base }

// Use is what an ingredient does in its dish, with the rule that said so.
type Use struct {
	Name string `json:"use"`
	Rule string `json:"rule"`
}

// UseOf reads what a line does from technique, neighbours and component; the
// most specific rule wins. It answers an empty use for plant lines.
func UseOf(l *larder.Larder, d recipe.Dish, component, line int) Use {
	c := d.Components[component]
	food := l.Food(c.Lines[line].FoodID())
	if food == nil || food.Origin != larder.FromAnimal && food.Origin != larder.Mixed {
		return Use{}
	}
	n := neighbourhood{larder: l, component: c, line: c.Lines[line], food: food}
	for i, s := range c.Steps {
		if slices.Contains(s.Lines, line) {
			n.steps = append(n.steps, c.Steps[i])
		}
	}
	if n.steps == nil {
		for _, other := range d.Components {
			for _, s := range other.Steps {
				if slices.ContainsFunc(s.Animals, func(a recipe.Animal) bool { return a.Animal == food.Animal }) {
					n.steps = append(n.steps, s)
				}
			}
		}
	}
	for _, rule := range useRules {
		if rule.kinds != "" && !slices.Contains(strings.Fields(rule.kinds), food.Kind) {
			continue
		}
		if rule.when == nil || rule.when(n) {
			return Use{rule.use, rule.why}
		}
	}
	return Use{}
}

// neighbourhood is what a use rule may look at.
type neighbourhood struct {
	larder    *larder.Larder
	component recipe.Component
	line      recipe.Line
	food      *larder.Food
	steps     []recipe.Step
}

func (n neighbourhood) technique(names ...string) bool {
	for _, s := range n.steps {
		for _, t := range s.Techniques {
			if slices.Contains(names, t) {
				return true
			}
		}
	}
	return false
}

// anywhere looks at every step of the component.
func (n neighbourhood) anywhere(names ...string) bool {
	for _, s := range n.component.Steps {
		for _, t := range s.Techniques {
			if slices.Contains(names, t) {
				return true
			}
		}
	}
	return false
}

func (n neighbourhood) says(words ...string) bool {
	for _, s := range n.steps {
		text := strings.ToLower(s.Text)
		for _, w := range words {
			if strings.Contains(text, w) {
				return true
			}
		}
	}
	return false
}

func (n neighbourhood) written(words ...string) bool {
	text := strings.ToLower(n.line.Text)
	for _, w := range words {
		if strings.Contains(text, w) {
			return true
		}
	}
	return false
}

// grams sums the component's foods of the given kinds (animal) or aisles.
func (n neighbourhood) grams(kinds ...string) float64 {
	total := 0.0
	for i := range n.component.Lines {
		f := n.larder.Food(n.component.Lines[i].FoodID())
		if f != nil && (slices.Contains(kinds, f.Kind) || slices.Contains(kinds, f.Aisle) || slices.Contains(kinds, f.ID)) {
			total += n.component.Lines[i].Mass()
		}
	}
	return total
}

// custardShare is how many times its mass in milk or cream an egg must stand
// beside to set it.
const custardShare = 1.2

// useRules are tried from the most specific down.
var useRules = []struct {
	kinds, use, why string
	when            func(neighbourhood) bool
}{
	{"egg yolk white", "glaze", "is brushed on", func(n neighbourhood) bool {
		return n.says("brush", "glaze", "egg wash") || n.written("glaze", "egg wash", "to brush", "for brushing")
	}},
	{"egg", "piece", "is boiled, poached or fried whole", func(n neighbourhood) bool {
		return n.written("hard-boiled", "hard boiled", "boiled egg", "poached") || n.line.Form == "boiled" || n.says("shell the eggs", "peel the eggs", "boiled eggs", "hard-boil")
	}},
	{"egg yolk", "bind", "is worked into mince", func(n neighbourhood) bool { return n.grams("mince") > n.line.Mass() }},
	{"egg yolk white", "set", "is beaten into milk or cream and cooked until it sets", func(n neighbourhood) bool {
		return n.grams("milk", "cream", "coconut-milk", "soy-milk", "yoghurt", "condensed-milk") > custardShare*n.line.Mass() && (n.anywhere("bake", "steam", "poach", "set") || n.says("custard", "set"))
	}},
	{"white", "lift", "is whisked stiff", func(n neighbourhood) bool { return n.technique("whisk", "fold", "beat") }},
	{"yolk", "emulsify", "is whisked into a sauce", func(n neighbourhood) bool { return n.technique("whisk") && !n.technique("knead", "mix") }},
	{"egg yolk white", "bind", "is worked into a dough, batter or mince", nil},
	{"butter fat", "grease", "only greases the dish", func(n neighbourhood) bool { return n.written("greas") || n.technique("grease") && n.line.Mass() < 20 }},
	{"butter fat", "shorten", "is rubbed or rolled into flour", func(n neighbourhood) bool {
		return n.technique("rub-in", "laminate") || n.grams("plain-flour", "wholemeal-flour") > n.line.Mass() && n.technique("knead", "roll")
	}},
	{"butter fat", "fry", "fries other ingredients", func(n neighbourhood) bool {
		return n.technique("fry", "sweat", "soften", "saute", "brown", "sear", "caramelise", "melt")
	}},
	{"butter fat", "enrich", "is melted over or stirred in", nil},
	{"milk cream soured-cream yoghurt buttermilk condensed-milk milk-powder", "custard", "is set with egg", func(n neighbourhood) bool {
		return n.grams("egg", "yolk") > 0 && n.line.Mass() > custardShare*n.grams("egg", "yolk") && n.anywhere("bake", "steam", "set")
	}},
	{"yoghurt buttermilk", "marinade", "marinates", func(n neighbourhood) bool { return n.technique("marinate") }},
	{"milk", "soak", "soaks bread or crumbs", func(n neighbourhood) bool { return n.grams("bread", "crumbs") > 0 && n.technique("soak") }},
	{"milk", "body", "is the main liquid", nil},
	{"cream soured-cream yoghurt", "finish", "enriches at the end", nil},
	{"cheese-melt cheese-grate", "melt", "melts on top or inside", func(n neighbourhood) bool { return n.technique("grill", "bake", "gratinate", "melt") }},
	{"mince", "shape", "is shaped", func(n neighbourhood) bool { return n.technique("shape") }},
	{"mince", "crumble", "is loose", nil},
	{"chunks", "braise", "is braised in pieces", nil},
	{"smoked-fish", "flake", "is flaked", nil},
	{"white-fish oily-fish", "flake", "is flaked or in pieces", nil},
	{"stock fish-stock", "stock", "is the cooking liquid", nil},
	{"smoked-meat", "smoke", "seasons with smoke and fat", nil},
	{"cured-meat", "cure", "seasons with salt and depth", nil},
	{"smoked-sausage sausage", "sausage", "is cooked in pieces", nil},
	{"fish-sauce fish-paste shellfish-paste", "season", "seasons", nil},
}
