package character

import (
	"math"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// This file is the one place where steps become mass and retention.

// ReferencePot is the pot that the rates of evaporation in the table of
// techniques hold for: 24 cm across, holding 2.5 kg.
const (
	referencePotGrams = 2500.0
	referencePotCm    = 24.0
	// lidShare is what still escapes under a lid.
	lidShare = 0.05
	// longestOpenBoil bounds the minutes of one step that count as uncovered:
	// nobody boils a pot dry, longer times are topped up or covered.
	longestOpenBoil = 90
	// leastWaterKept bounds evaporation: a dish keeps at least this share of
	// its water.
	leastWaterKept = 0.55
)

// Shape is what the steps do to a component as a whole.
type Shape struct {
	Name string
	// Lost is the water in grams that its steps would drive off in the
	// reference pot.
	Lost float64
	// Across is the pot's width in cm where the steps name it, else 0.
	Across float64
	// Wet tells that something in it is cooked in liquid or baked, Kneaded that
	// it is a dough, Heated that it is cooked at all.
	Wet, Kneaded, Heated bool
}

// Mass is the finished mass of a component: what went in, plus water taken up
// by dry pulses and grains beyond the listed liquids, minus what cooks off.
func (s Shape) Mass(sum *Sums) float64 {
	in := sum[mass] + max(0, sum[thirst]-sum[liquid])
	if in <= 0 {
		return 0
	}
	surface := math.Pow(in/referencePotGrams, 2.0/3)
	if s.Across > 0 {
		surface = (s.Across / referencePotCm) * (s.Across / referencePotCm)
	}
	return in - min(s.Lost*surface, sum[water]*(1-leastWaterKept))
}

// Treatment is what the steps do to one line.
type Treatment struct {
	Fate *larder.Fate
	// Browned is the roast dose of each gram that stays, Crisped how crisp its
	// surface got; Softened tells that it then cooked in liquid.
	Browned, Crisped float64
	Softened         bool
	Heated           bool
}

// sentence is one sentence of a step in lower case, with its words.
type sentence struct {
	text          string
	words         []string
	lifts, wrings bool
}

// studied is a component with the sentences of its steps taken apart once.
type studied struct {
	recipe.Component
	sentences [][]sentence // by step
	steps     []stepSigns
}

// stepSigns are what the words of one step say, whatever they speak of.
type stepSigns struct {
	poursFat, losesMarinade, strains, drains, boilsFirst bool
}

func study(c recipe.Component) studied {
	s := studied{Component: c}
	for i := range c.Steps {
		text := strings.ToLower(c.Steps[i].Text)
		var all []sentence
		for _, one := range strings.FieldsFunc(text, func(r rune) bool { return r == '.' || r == ';' }) {
			all = append(all, sentence{one, larder.Words(one), liftsOut.MatchString(one), wrings.MatchString(one)})
		}
		s.sentences = append(s.sentences, all)
		signs := stepSigns{poursFat: poursFat.MatchString(text), losesMarinade: marinadeTo.MatchString(text), strains: strains.MatchString(text)}
		if at := drains.FindStringIndex(text); at != nil {
			signs.drains, signs.boilsFirst = true, boils.MatchString(text[:at[0]])
		}
		s.steps = append(s.steps, signs)
	}
	return s
}

func studyAll(d recipe.Dish) []studied {
	out := make([]studied, len(d.Components))
	for i, c := range d.Components {
		out[i] = study(c)
	}
	return out
}

// shapeOf reads what the steps do to a component as a whole.
func shapeOf(l *larder.Larder, c recipe.Component) Shape {
	s := Shape{Name: c.Name}
	for i := range c.Steps {
		step := &c.Steps[i]
		rate := 0.0
		for _, name := range step.Techniques {
			t := l.Technique(name)
			if t == nil {
				continue
			}
			rate = max(rate, t.Lost)
			s.Wet = s.Wet || t.Wet
			s.Heated = s.Heated || hot(t)
			s.Kneaded = s.Kneaded || slices.Contains(doughWork, name)
		}
		if m := potWidth.FindStringSubmatch(step.Text); m != nil && rate > 0 {
			if cm, err := strconv.ParseFloat(m[1], 64); err == nil && cm >= leastPot && cm <= mostPot {
				s.Across = cm
			}
		}
		if step.Minutes == nil {
			continue
		}
		if covered(step.Text) {
			rate *= lidShare
		}
		s.Lost += rate * min(step.Minutes.Mid(), longestOpenBoil)
	}
	return s
}

var doughWork = []string{"knead", "rub-in", "laminate"}

func hot(t *larder.Technique) bool {
	return t.Wet || t.Roast > 0 || t.Family == "wet heat" || t.Family == "dry heat" || t.Family == "oven" && t.Name != "preheat"
}

// potWidth finds "a 28 cm pan" in a step; widths outside these are no pots.
var potWidth = regexp.MustCompile(`(\d{2})[ -]?cm (?:wide )?(?:pot|pan|saucepan|casserole|skillet|wok)`)

const leastPot, mostPot = 12, 60

func covered(text string) bool {
	t := strings.ToLower(text)
	return (strings.Contains(t, "cover") && !strings.Contains(t, "uncover") && !strings.Contains(t, "to cover")) || strings.Contains(t, "lid on") || strings.Contains(t, "with a lid")
}

// usualBrowning is how long a step browns that the doses of the table of
// techniques speak of; longer and shorter counts in proportion within bounds.
const (
	usualBrowning                  = 10.0
	leastBrowning, longestBrowning = 0.5, 2.0
	longCooking                    = 60.0
	bonesForHours                  = 120.0
	deepFatShare                   = 0.10 // of the mass of what is fried
	wateryLiquid                   = 88.0
	mostlyFat                      = 60.0
)

// treatments reads what the steps do to each line of a component.
func treatments(l *larder.Larder, c studied) []Treatment {
	out := make([]Treatment, len(c.Lines))
	for j := range c.Lines {
		out[j] = Treatment{Fate: l.Fate("kept")}
		food := l.Food(c.Lines[j].FoodID())
		if food == nil {
			continue
		}
		out[j] = treatment(l, c, j, food)
	}
	deepFat(l, c.Component, out)
	return out
}

// treatment follows one line through the steps.
func treatment(l *larder.Larder, c studied, line int, food *larder.Food) Treatment {
	t := Treatment{}
	minutes := 0.0
	used := false
	for i := range c.Steps {
		s := &c.Steps[i]
		here := slices.Contains(s.Lines, line)
		used = used || here
		if !used {
			continue
		}
		length := 0.0
		if s.Minutes != nil {
			length = s.Minutes.Mid()
		}
		heats := false
		for _, name := range s.Techniques {
			tech := l.Technique(name)
			if tech == nil || !hot(tech) {
				continue
			}
			heats = true
			if here && tech.Roast > 0 && browns(food) {
				share := 1.0
				if length > 0 {
					share = min(longestBrowning, max(leastBrowning, length/usualBrowning))
				}
				t.Browned = max(t.Browned, share/tech.Roast)
			}
			if here && tech.Crisp > t.Crisped {
				t.Crisped, t.Softened = tech.Crisp, false
			}
			if tech.Family == "wet heat" {
				t.Softened = true
			}
		}
		if heats {
			minutes += length
		}
		t.Heated = t.Heated || heats
	}
	t.Fate = l.Fate(fateOf(c, line, food, t.Heated, minutes))
	return t
}

// browns tells whether a food has a surface to brown: liquids, fats, sugar and
// salt have none.
func browns(f *larder.Food) bool {
	return larder.Or(f.Per100.Water, 0) < wateryLiquid && larder.Or(f.Per100.Fat, 0) < mostlyFat && f.Origin != larder.FromMineral &&
		f.Aisle != "spices" && f.Aisle != "herbs" && f.Aisle != "condiments" && f.Aisle != "drinks" && f.Aisle != "sweet"
}

// steeping foods are lifted out before serving wherever they were cooked.
var steeping = []string{"bay-leaf", "bouquet-garni", "lemongrass", "salam-leaf", "pandan-leaf", "makrut-lime-leaf", "parmesan-rind", "vanilla-pod"}

// wholeSpices are lifted out when they are named whole.
var wholeSpices = []string{"cinnamon", "star-anise", "clove-spice", "black-cardamom", "cardamom", "allspice", "fennel-seed", "coriander-seed"}

// fateOf names what becomes of a line, the most telling sign first.
func fateOf(c studied, line int, food *larder.Food, heated bool, minutes float64) string {
	signs := signsOf(c, line, food)
	animal := food.Origin == larder.FromAnimal
	switch {
	case food.Kind == "bones" && heated && !signs.eaten:
		if minutes >= bonesForHours {
			return "bones"
		}
		return "bones-brief"
	case slices.Contains(steeping, food.ID) && heated, signs.lifted && heated, signs.strained && food.Kind != "stock" && !isLiquid(food) && heated:
		return "steeped"
	case slices.Contains(wholeSpices, food.ID) && heated && signs.whole:
		return "steeped"
	case signs.marinadeGone && !animal:
		return "marinade"
	case signs.wrung:
		return "squeezed"
	case signs.drainedWater && food.ID == "water":
		return "cooking-water"
	case signs.drainedWater && food.Kind == "salt":
		return "water-salt"
	case signs.drainedWater && !isLiquid(food) && food.Aisle != "oils":
		return "boiled-out"
	case signs.fatGone && animal && heated:
		return "fat-poured-off"
	case animal && heated && minutes >= longCooking:
		return "long-heated"
	case animal && heated:
		return "heated"
	}
	return "kept"
}

func isLiquid(f *larder.Food) bool {
	return larder.Or(f.Per100.Water, 0) > liquidWater && f.Aisle != "vegetables" && f.Aisle != "fruit"
}

// signs are what the words of the steps say about one line.
type signs struct {
	lifted, strained, whole, marinadeGone, wrung, drainedWater, fatGone, eaten bool
}

// The words by which steps say that something does not stay in the dish.
var (
	liftsOut   = regexp.MustCompile(`\b(?:lift(?:ed)? out|fish(?:ed)? out|take out|remove|discard|throw away|pick out)\b`)
	strains    = regexp.MustCompile(`\bstrain\b`)
	poursFat   = regexp.MustCompile(`\b(?:skim|spoon|pour|drain)(?:s|ming|ing)?(?: off)?(?: (?:most|all|any|some) of)?(?: the| any| excess)* fat\b|\bskim off\b`)
	marinadeTo = regexp.MustCompile(`\b(?:discard|throw away|pour away|shake off)\b[^.]*\bmarinade\b|\bout of (?:the|its) marinade\b`)
	wrings     = regexp.MustCompile(`\b(?:wring|squeeze (?:out|dry|hard)|squeezed? well)\b`)
	drains     = regexp.MustCompile(`\bdrain\b`)
	boils      = regexp.MustCompile(`\b(?:par)?boil|\bblanch`)
)

func signsOf(c studied, line int, food *larder.Food) signs {
	var s signs
	l := &c.Lines[line]
	own := larder.Words(l.Name)
	s.whole = strings.Contains(strings.ToLower(l.Text), "whole") || strings.Contains(strings.ToLower(l.Text), "stick") || strings.Contains(strings.ToLower(l.Text), "bruised")
	boiledIn, cooked := -1, false
	for i := range c.Steps {
		step := &c.Steps[i]
		here := slices.Contains(step.Lines, line)
		cooked = cooked || here && step.Minutes != nil
		said := c.steps[i]
		if said.poursFat {
			s.fatGone = s.fatGone || here || food.Animal == larder.Meat && i > 0
		}
		if here && said.losesMarinade || said.losesMarinade && i > 0 && slices.Contains(c.Steps[i-1].Lines, line) && slices.Contains(c.Steps[i-1].Techniques, "marinate") {
			s.marinadeGone = true
		}
		for _, one := range c.sentences[i] {
			if len(own) == 0 || !slices.Contains(one.words, own[len(own)-1]) {
				continue
			}
			if cooked && food.Origin != larder.FromAnimal && one.lifts {
				s.lifted = s.lifted || !eatenLater(c, i, line)
			}
			s.wrung = s.wrung || one.wrings
			s.eaten = s.eaten || strings.Contains(one.text, "shred")
		}
		if here && slices.Contains(step.Techniques, "strain") && said.strains && !eatenLater(c, i, line) {
			s.strained = true
		}
		// Boiled and drained within one step, or drained in the next.
		cooksInWater := slices.ContainsFunc(step.Techniques, func(t string) bool { return t == "boil" || t == "parboil" || t == "blanch" })
		switch {
		case said.drains && boiledIn >= 0 && i <= boiledIn+1 && (here || food.ID == "water"):
			s.drainedWater = true
		case said.drains && here && cooksInWater:
			s.drainedWater = said.boilsFirst
		}
		if here && cooksInWater {
			boiledIn = i
		}
	}
	return s
}

// eatenLater tells whether a later step still uses the line.
func eatenLater(c studied, step, line int) bool {
	for i := step + 1; i < len(c.Steps); i++ {
		if slices.Contains(c.Steps[i].Lines, line) {
			return true
		}
	}
	return false
}

// deepFat bounds the fat of a deep fryer by what its pieces take up.
func deepFat(l *larder.Larder, c recipe.Component, out []Treatment) {
	deep := false
	for i := range c.Steps {
		deep = deep || slices.Contains(c.Steps[i].Techniques, "deep-fry")
	}
	if !deep {
		return
	}
	pieces := 0.0
	for j := range c.Lines {
		if f := l.Food(c.Lines[j].FoodID()); f != nil && larder.Or(f.Per100.Fat, 0) < mostlyFat {
			pieces += c.Lines[j].Mass()
		}
	}
	for j := range c.Lines {
		f := l.Food(c.Lines[j].FoodID())
		if f == nil || larder.Or(f.Per100.Fat, 0) < mostlyFat || c.Lines[j].Mass() <= deepFatShare*pieces {
			continue
		}
		used := slices.ContainsFunc(c.Steps, func(s recipe.Step) bool {
			return slices.Contains(s.Lines, j) && slices.Contains(s.Techniques, "deep-fry")
		})
		if !used {
			continue
		}
		taken := deepFatShare * pieces / c.Lines[j].Mass()
		fate := *l.Fate("deep-fat")
		fate.Taken, fate.Soluble, fate.Fat, fate.Aroma, fate.Inosinate = taken, taken, taken, taken, taken
		out[j].Fate = &fate
	}
}

// inherited are fates that a stand-in shares with the line it stands for;
// others belong to bones and meat only.
var inherited = []string{"marinade", "deep-fat", "squeezed", "boiled-out"}

// ForSwap is the treatment of what stands in for a line.
func (t Treatment) ForSwap(l *larder.Larder) Treatment {
	if !slices.Contains(inherited, t.Fate.Name) {
		t.Fate = l.Fate("kept")
	}
	return t
}
