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
	// Simmered and Dried are the water in grams that its steps would drive off
	// in the reference pot, cooking in liquid and without.
	Simmered, Dried float64
	// Across is the pot's width in cm where the steps name it, else 0.
	Across float64
	// Wet tells that something in it is cooked in liquid or baked, Kneaded that
	// it is a dough, Heated that it is cooked at all.
	Wet, Kneaded, Heated bool
	// Clear tells that it is strained, so that nothing may cloud it.
	Clear bool
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
	lost := s.Dried
	if sum[liquid] > leastBroth*in {
		lost += s.Simmered
	}
	return in - min(lost*surface, sum[water]*(1-leastWaterKept))
}

// leastBroth is the share of liquid that a component must list for its boiling
// to cost it water: noodles and dumplings boil in water that nobody lists.
const leastBroth = 0.05

// Treatment is what the steps do to one line.
type Treatment struct {
	Fate *larder.Fate
	// Browned is the roast dose of each gram that stays, Crisped how crisp its
	// surface got; Softened tells that it then cooked in liquid.
	Browned, Crisped float64
	Softened         bool
	Heated           bool
}

// sentence is one sentence of a step in lower case, with its words, the ways of
// working it orders, and the lines it speaks of.
type sentence struct {
	text       string
	words      []string
	techniques []*larder.Technique
	lines      []int
	// implied tells that it names no line, so that it speaks of all so far.
	implied bool
	minutes float64
	covered bool
	crisp   bool
	lifted  string // what follows "lift out", up to the next verb
	wrings  bool
}

// studied is a component with the sentences of its steps taken apart once.
type studied struct {
	recipe.Component
	heads     []string     // the head word of each line's name
	sentences [][]sentence // by step
	steps     []stepSigns
}

// stepSigns are what the words of one step say, whatever they speak of.
type stepSigns struct {
	poursFat, losesMarinade, strains, drains bool
}

func study(l *larder.Larder, c recipe.Component) studied {
	s := studied{Component: c}
	for i := range c.Lines {
		head := ""
		if words := larder.Words(c.Lines[i].Name); len(words) > 0 {
			head = words[len(words)-1]
		}
		s.heads = append(s.heads, head)
	}
	var sofar []int
	for i := range c.Steps {
		step := &c.Steps[i]
		text := strings.ToLower(step.Text)
		all := s.sentencesOf(l, step, text, sofar)
		s.sentences = append(s.sentences, all)
		s.steps = append(s.steps, stepSigns{
			poursFat: (strings.Contains(text, "fat") || strings.Contains(text, "skim")) && poursFat.MatchString(text), losesMarinade: strings.Contains(text, "marinade") && marinadeTo.MatchString(text),
			strains: says(text, "strain"), drains: says(text, "drain"),
		})
		for _, j := range step.Lines {
			if !slices.Contains(sofar, j) {
				sofar = append(sofar, j)
			}
		}
	}
	return s
}

// sentencesOf takes one step apart. A line that the step uses and no sentence
// names belongs to all of them; a sentence that names no line speaks of those
// of the one before, or of all so far.
func (s studied) sentencesOf(l *larder.Larder, step *recipe.Step, text string, sofar []int) []sentence {
	var all []sentence
	named := map[int]bool{}
	for _, one := range strings.FieldsFunc(text, func(r rune) bool { return r == '.' || r == ';' }) {
		x := sentence{text: one, words: larder.Words(one), wrings: (strings.Contains(one, "wring") || strings.Contains(one, "squeeze")) && wrings.MatchString(one), covered: covered(one), crisp: says(one, "crisp") || says(one, "crunchy") || says(one, "crackling")}
		if at := liftsOut.FindStringIndex(one); at != nil {
			x.lifted = one[at[1]:]
			if end := nextVerb.FindStringIndex(x.lifted); end != nil {
				x.lifted = x.lifted[:end[0]]
			}
		}
		for _, j := range step.Lines {
			if s.heads[j] != "" && slices.Contains(x.words, s.heads[j]) {
				x.lines, named[j] = append(x.lines, j), true
			}
		}
		x.techniques = ordered(l, step, one)
		all = append(all, x)
	}
	minutes := 0.0
	if step.Minutes != nil {
		minutes = step.Minutes.Mid()
	}
	hotOnes := 0
	for i := range all {
		if slices.ContainsFunc(all[i].techniques, hot) {
			hotOnes++
		}
	}
	for i := range all {
		x := &all[i]
		if len(x.lines) == 0 {
			switch {
			case i > 0:
				x.lines = all[i-1].lines
			case len(step.Lines) == 0:
				x.lines, x.implied = sofar, true
			}
		}
		for _, j := range step.Lines {
			if !named[j] && !slices.Contains(x.lines, j) {
				x.lines = append(slices.Clone(x.lines), j)
			}
		}
		if m := sentenceMinutes(x.text); m > 0 {
			x.minutes = m
		} else if hotOnes == 1 && slices.ContainsFunc(x.techniques, hot) {
			x.minutes = minutes
		}
	}
	return all
}

// spans finds "for 10 minutes", "8-10 minutes", "2 hours" in a sentence.
var spans = regexp.MustCompile(`(\d+(?:\.\d+)?)(?:\s*(?:-|–|to)\s*(\d+(?:\.\d+)?))?\s*(minute|min\b|hour|hr\b)`)

// sentenceMinutes sums the times that a sentence states.
func sentenceMinutes(text string) float64 {
	total := 0.0
	if !strings.Contains(text, "min") && !strings.Contains(text, "hour") && !strings.Contains(text, "hr") {
		return 0
	}
	for _, m := range spans.FindAllStringSubmatch(text, -1) {
		low, _ := strconv.ParseFloat(m[1], 64)
		high, err := strconv.ParseFloat(m[2], 64)
		if err != nil {
			high = low
		}
		length := (low + high) / 2
		if strings.HasPrefix(m[3], "h") {
			length *= 60
		}
		total += length
	}
	return total
}

// ordered lists the ways of working that a sentence orders: "toast the nuts",
// not "add the toasted nuts". Onions that are cooked until deep golden are
// caramelised by whatever name.
func ordered(l *larder.Larder, step *recipe.Step, text string) []*larder.Technique {
	var out []*larder.Technique
	for _, name := range step.Techniques {
		t := l.Technique(name)
		if t == nil {
			continue
		}
		if slices.ContainsFunc(t.Words, func(w string) bool { return !strings.HasSuffix(w, "ed") && says(text, w) }) {
			out = append(out, t)
		}
	}
	if t := l.Technique("caramelise"); t != nil && (strings.Contains(text, "gold") || strings.Contains(text, "brown") || strings.Contains(text, "jammy") || strings.Contains(text, "caramel")) && deepGolden.MatchString(text) && !slices.ContainsFunc(out, func(o *larder.Technique) bool { return o.Family == "oven" }) {
		out = append(out, t)
	}
	return out
}

// says tells whether a text holds some words, whole.
func says(text, words string) bool {
	for from := 0; ; {
		at := strings.Index(text[from:], words)
		if at < 0 {
			return false
		}
		start, end := from+at, from+at+len(words)
		if (start == 0 || !letter(text[start-1])) && (end == len(text) || !letter(text[end])) {
			return true
		}
		from = end
	}
}

func letter(b byte) bool { return b >= 'a' && b <= 'z' || b >= 0x80 }

func studyAll(l *larder.Larder, d recipe.Dish) []studied {
	out := make([]studied, len(d.Components))
	for i, c := range d.Components {
		out[i] = study(l, c)
	}
	return out
}

// shapeOf reads what the steps do to a component as a whole.
func shapeOf(c studied) Shape {
	s := Shape{Name: c.Name}
	for i := range c.Steps {
		step := &c.Steps[i]
		s.Kneaded = s.Kneaded || slices.ContainsFunc(step.Techniques, func(t string) bool { return slices.Contains(doughWork, t) })
		s.Clear = s.Clear || c.steps[i].strains && slices.Contains(step.Techniques, "strain")
		for j := range c.sentences[i] {
			x := &c.sentences[i][j]
			simmered, dried := 0.0, 0.0
			for _, t := range x.techniques {
				if t.Family == "wet heat" {
					simmered = max(simmered, t.Lost)
				} else {
					dried = max(dried, t.Lost)
				}
				s.Wet = s.Wet || t.Wet
				s.Heated = s.Heated || hot(t)
			}
			if !strings.Contains(x.text, " cm ") && !strings.Contains(x.text, "-cm ") {
				// no pot is measured
			} else if m := potWidth.FindStringSubmatch(x.text); m != nil && simmered+dried > 0 {
				if cm, err := strconv.ParseFloat(m[1], 64); err == nil && cm >= leastPot && cm <= mostPot {
					s.Across = cm
				}
			}
			minutes := min(x.minutes, longestOpenBoil)
			if x.covered {
				minutes *= lidShare
			}
			switch {
			case simmered > 0 && c.steps[i].drains:
				// What boils away is cooking water that is poured off in the end.
			case simmered > 0:
				s.Simmered += simmered * minutes
			default:
				s.Dried += dried * minutes
			}
		}
	}
	return s
}

var doughWork = []string{"knead", "rub-in", "laminate"}

func hot(t *larder.Technique) bool {
	return t.Wet || t.Roast > 0 || t.Family == "wet heat" || t.Family == "gentle heat" || t.Family == "dry heat" || t.Family == "oven" && t.Name != "preheat"
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

// impliedShare is how much of a way of working reaches a line that its
// sentence does not name: the underside of a pancake, the top of a bake.
const impliedShare = 0.5

// treatment follows one line through the steps.
func treatment(l *larder.Larder, c studied, line int, food *larder.Food) Treatment {
	t := Treatment{}
	minutes := 0.0
	used := false
	for i := range c.sentences {
		for k := range c.sentences[i] {
			x := &c.sentences[i][k]
			here := slices.Contains(x.lines, line)
			if used = used || here; !used {
				continue
			}
			share, reach := 1.0, 1.0
			if x.minutes > 0 {
				share = min(longestBrowning, max(leastBrowning, x.minutes/usualBrowning))
			}
			if x.implied {
				reach = impliedShare
			}
			heats := false
			for _, tech := range x.techniques {
				if !hot(tech) {
					continue
				}
				heats = true
				if here && tech.Roast > 0 && browns(food) {
					t.Browned = max(t.Browned, reach*share/tech.Roast)
				}
				if crisped := reach * tech.Crisp; here && crisped > t.Crisped {
					t.Crisped, t.Softened = crisped, false
				}
				if tech.Family == "wet heat" && !c.steps[i].drains {
					t.Softened = true
				}
			}
			if here && heats && x.crisp {
				t.Crisped, t.Softened = max(t.Crisped, reach*saidCrisp), false
			}
			if heats {
				minutes += x.minutes
			}
			t.Heated = t.Heated || heats
		}
	}
	t.Fate = l.Fate(fateOf(c, line, food, t.Heated, minutes))
	return t
}

// saidCrisp is how crisp something is that is cooked until it is crisp.
const saidCrisp = 5.0

// browns tells whether a food has a surface to brown: liquids, fats, sugar and
// salt have none.
func browns(f *larder.Food) bool {
	return larder.Or(f.Per100.Water, 0) < wateryLiquid && larder.Or(f.Per100.Fat, 0) < mostlyFat && f.Origin != larder.FromMineral &&
		f.Aisle != "spices" && (f.Aisle != "herbs" || f.ID == "ginger") && f.Aisle != "condiments" && f.Aisle != "drinks" && f.Aisle != "sweet"
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
	case slices.Contains(steeping, food.ID) && heated, signs.lifted && heated, signs.strained && !animal && !isLiquid(food) && heated:
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
	case food.Taste.IMP > 0 && heated && minutes >= longCooking:
		return "long-heated"
	case food.Taste.IMP > 0 && heated:
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
	poursFat   = regexp.MustCompile(`\b(?:skim|spoon|pour|drain)(?:s|ming|ing)?(?: off)?(?: (?:most|all|any|some) of)?(?: the| any| excess)* fat\b|\bskim off\b`)
	marinadeTo = regexp.MustCompile(`\b(?:discard|throw away|pour away|shake off)\b[^.]*\bmarinade\b|\bout of (?:the|its) marinade\b`)
	wrings     = regexp.MustCompile(`\b(?:wring|squeeze (?:out|dry|hard)|squeezed? well)\b`)
	drains     = regexp.MustCompile(`\bdrain\b`)
	boils      = regexp.MustCompile(`\b(?:par)?boil|\bblanch`)
	// nextVerb ends what "remove the ..." speaks of.
	nextVerb   = regexp.MustCompile(`\b(?:stir|add|pour|season|slice|keep|return|then|serve|taste|mash|blend|shred|flake)\b`)
	deepGolden = regexp.MustCompile(`\b(?:deep gold|deep golden|golden brown|jammy|nut-brown|deep brown|caramel-coloured)`)
)

func signsOf(c studied, line int, food *larder.Food) signs {
	var s signs
	text := strings.ToLower(c.Lines[line].Text)
	s.whole = strings.Contains(text, "whole") || strings.Contains(text, "stick") || strings.Contains(text, "bruised") || strings.Contains(text, "pod")
	head := c.heads[line]
	boiled, cooked, used := false, false, false
	for i := range c.Steps {
		step := &c.Steps[i]
		said := c.steps[i]
		here := slices.Contains(step.Lines, line)
		used = used || here
		if said.poursFat {
			s.fatGone = s.fatGone || here || food.Animal == larder.Meat && i > 0
		}
		if said.losesMarinade && (here || i > 0 && slices.Contains(c.Steps[i-1].Lines, line) && slices.Contains(c.Steps[i-1].Techniques, "marinate")) {
			s.marinadeGone = true
		}
		for k := range c.sentences[i] {
			x := &c.sentences[i][k]
			named := head != "" && slices.Contains(x.words, head)
			if cooked && x.lifted != "" && food.Origin != larder.FromAnimal && slices.Contains(larder.Words(x.lifted), head) {
				s.lifted = s.lifted || !eatenLater(c, i, line)
			}
			if named {
				s.wrung = s.wrung || x.wrings
				s.eaten = s.eaten || strings.Contains(x.text, "shred")
				boils := slices.ContainsFunc(x.techniques, func(t *larder.Technique) bool { return t.Name == "boil" || t.Name == "parboil" || t.Name == "blanch" })
				if boils && said.drains && drainsAfter(c.sentences[i], k) {
					s.drainedWater = food.ID != "water" || !eatenLater(c, i, line)
				}
				boiled = boiled || boils
			}
			cooked = cooked || here && (step.Minutes != nil || slices.ContainsFunc(x.techniques, hot))
		}
		if boiled && said.drains && !here && food.ID == "water" && !eatenLater(c, i, line) {
			s.drainedWater = true
		}
		if said.strains && used && slices.Contains(step.Techniques, "strain") && !eatenLater(c, i, line) && (!here || namedIn(c.sentences[i], head)) {
			s.strained = s.strained || cooked
		}
	}
	return s
}

// drainsAfter tells whether a step drains once it has boiled in sentence k.
func drainsAfter(all []sentence, k int) bool {
	for i := k; i < len(all); i++ {
		if at := drains.FindStringIndex(all[i].text); at != nil && (i > k || boils.MatchString(all[i].text[:at[0]])) {
			return true
		}
	}
	return false
}

func namedIn(all []sentence, head string) bool {
	return slices.ContainsFunc(all, func(x sentence) bool { return says(x.text, "strain") && slices.Contains(x.words, head) })
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
