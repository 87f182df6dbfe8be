package character

import (
	"regexp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// Use is what an ingredient does in its dish, with the rule that said so.
type Use struct {
	Name string `json:"use"`
	// Rule completes the sentence "It ...", as in "is brushed on".
	Rule string `json:"rule"`
	// Corrected tells that the cook set it right.
	Corrected bool `json:"corrected"`
	// Others are the uses that the same kind of food can have, to choose from.
	Others []string `json:"others"`
}

// CorrectedRule stands as the rule of a use that the cook has set.
const CorrectedRule = "does what you said it does"

// UseOf reads what a line does from technique, neighbours and component; the
// most specific rule wins. A use that the cook has set comes before any rule.
// The answer is empty for foods that no rule speaks of.
func UseOf(l *larder.Larder, d recipe.Dish, component, line int, corrected string) Use {
	return useOf(l, studyAll(l, d), component, line, corrected)
}

func useOf(l *larder.Larder, components []studied, component, line int, corrected string) Use {
	c := components[component]
	food := l.Food(c.Lines[line].FoodID())
	if food == nil || food.Kind == "" {
		return Use{}
	}
	others := usesByKind[food.Kind]
	if slices.Contains(others, corrected) {
		return Use{corrected, CorrectedRule, true, others}
	}
	n := neighbourhood{larder: l, component: c.Component, line: c.Lines[line], food: food}
	names := append(larder.Words(n.line.Name), classWords[food.Animal]...)
	for i, s := range c.Steps {
		if slices.Contains(s.Lines, line) {
			n.add(c, i, names)
		}
	}
	if n.steps == nil && food.Animal != "" {
		for _, other := range components {
			for i, s := range other.Steps {
				if slices.ContainsFunc(s.Animals, func(a recipe.Animal) bool { return a.Animal == food.Animal }) {
					n.add(other, i, names)
				}
			}
		}
	}
	for i := range useRules {
		rule := &useRules[i]
		if slices.Contains(rule.kinds, food.Kind) && (rule.when == nil || rule.when(n)) {
			return Use{rule.use, rule.why, false, others}
		}
	}
	return Use{}
}

// add takes a step into the neighbourhood: of its sentences those that name
// the line, or all when none does.
func (n *neighbourhood) add(c studied, step int, names []string) {
	n.steps = append(n.steps, c.Steps[step])
	before := len(n.sentences)
	for _, s := range c.sentences[step] {
		if slices.ContainsFunc(names, func(w string) bool { return slices.Contains(s.words, w) }) {
			n.sentences = append(n.sentences, s.text)
		}
	}
	if len(n.sentences) == before {
		for _, s := range c.sentences[step] {
			n.sentences = append(n.sentences, s.text)
		}
	}
}

// usesByKind lists the uses that foods of a kind can have.
var usesByKind = map[string][]string{}

func init() {
	for _, rule := range useRules {
		for _, k := range rule.kinds {
			if !slices.Contains(usesByKind[k], rule.use) {
				usesByKind[k] = append(usesByKind[k], rule.use)
			}
		}
	}
}

// KnownUse tells whether any rule gives a use of that name.
func KnownUse(use string) bool {
	return slices.ContainsFunc(useRules, func(r useRule) bool { return r.use == use })
}

// neighbourhood is what a use rule may look at.
type neighbourhood struct {
	larder    *larder.Larder
	component recipe.Component
	line      recipe.Line
	food      *larder.Food
	steps     []recipe.Step
	// sentences are those of the steps that speak of the line, in lower case.
	sentences []string
}

// classWords are what steps call a food when they do not use its own name.
var classWords = map[larder.Animal][]string{
	larder.Egg: {"egg", "yolk", "white"}, larder.Meat: {"meat"}, larder.Fish: {"fish", "fillet"}, larder.Poultry: {"chicken", "bird", "meat"}, larder.Fat: {"fat"},
}

// technique looks at the steps that use the line.
func (n neighbourhood) technique(names ...string) bool { return worked(n.steps, names) }

// anywhere looks at every step of the component.
func (n neighbourhood) anywhere(names ...string) bool { return worked(n.component.Steps, names) }

func worked(steps []recipe.Step, names []string) bool {
	return slices.ContainsFunc(steps, func(s recipe.Step) bool {
		return slices.ContainsFunc(s.Techniques, func(t string) bool { return slices.Contains(names, t) })
	})
}

// says looks for words in the sentences that speak of the line.
func (n neighbourhood) says(pattern *regexp.Regexp) bool {
	return slices.ContainsFunc(n.sentences, pattern.MatchString)
}

// written looks at the line itself.
func (n neighbourhood) written(pattern *regexp.Regexp) bool {
	return pattern.MatchString(strings.ToLower(n.line.Text))
}

// grams sums the component's foods of the given kinds, aisles or ids.
func (n neighbourhood) grams(names ...string) float64 {
	total := 0.0
	for i := range n.component.Lines {
		f := n.larder.Food(n.component.Lines[i].FoodID())
		if f != nil && (slices.Contains(names, f.Kind) || slices.Contains(names, f.Aisle) || slices.Contains(names, f.ID)) {
			total += n.component.Lines[i].Mass()
		}
	}
	return total
}

// raisers are what makes a batter rise.
var raisers = []string{"baking-powder", "baking-soda", "self-raising-flour", "cream-of-tartar"}

// flours are what dough is made of.
var flours = []string{"white-flour", "wholemeal-flour", "spelt-flour", "atta", "rye-flour", "semolina", "cornmeal", "buckwheat-flour", "oat-flour"}

// custardShare is how many times its mass in milk or cream an egg must stand
// beside to set it; mayonnaiseShare how many times in fat to hold it.
const (
	custardShare    = 1.2
	mayonnaiseShare = 1.5
	greasingGrams   = 20.0
	// sweetenedPart is the part of its mass in sugar that makes a dessert of it.
	sweetenedPart = 10.0
	// brothShare is how many times its mass in broth an egg must stand beside
	// to set in flakes there.
	brothShare = 4.0
	// seasoningShare is the share of a component below which a dried fish or a
	// hard cheese only seasons.
	seasoningShare = 0.06
)

// milky is what an egg is beaten into for a custard.
var milky = []string{"milk", "cream", "coconut-milk", "soy-milk", "yoghurt", "condensed-milk"}

func words(list string) *regexp.Regexp { return regexp.MustCompile(`\b(?:` + list + `)`) }

var (
	brushing   = words(`brush|glaze|egg ?wash`)
	dipping    = words(`dip |dip the|dip in|dipped|crumb coat|into the breadcrumbs|coat them in|coat in`)
	wholeEggs  = words(`hard-boil|boiled egg|poach|fried egg|fry the egg|shell the eggs|peel the eggs|peeled egg|halve the eggs|quarter the eggs|boil the eggs|add the (?:hard-)?boiled|slip the eggs?|whole egg`)
	softYolk   = words(`crack an? egg|break an? egg|soft yolk|runny|sunny|soft-boil|poached egg|whites? (?:is|are) just set|stirring the egg|yolk on top|raw yolk`)
	inStreams  = words(`drizzle|stream|egg drop|ribbons|threads|shreds form`)
	stiff      = words(`until stiff|stiffly|soft peaks|peaks|whisk the whites|whip the whites|beat the whites|fold in the whites`)
	intoOil    = words(`mayonnaise|emulsi|thin stream|drop by drop|hollandaise`)
	creamy     = words(`until (?:it is |it turns |all is )?(?:creamy|silky|glossy)`)
	coating    = words(`thicken|coats? (?:the back of )?(?:a|the) spoon|without boiling|do not boil|do not let it boil|liaison|temper`)
	setting4   = words(`custard|set\b|sets\b|wobble|tremble`)
	greases    = words(`greas|butter (?:a|the) (?:dish|tin|tray|mould)|line a`)
	heatsFat   = words(`heat the (?:oil|butter|fat|lard|ghee)|melt the|frying pan|brush the slices`)
	crumbled   = words(`crumble|scatter|dollop|strew`)
	stirsFlour = words(`(?:stir|sprinkle|whisk|add|mix|beat) (?:in )?(?:the )?flour|roux|flour`)
	brushedOn  = words(`brush|toss|drizzle|trickle|rub `)
	charring   = words(`char|blacken|burn|over a flame`)
	strewn     = words(`top|scatter|strew|serve|garnish|salad|sprinkle|over the`)
	dressing   = words(`dress|vinaigrette|drizzle|trickle|pour over|marinade|whisk`)
	atTheEnd   = words(`finish|at the end|serve|dollop|spoon over|swirl|stir in|just before|on the side|top with|off the heat|warm through`)
	onTop      = words(`top with|on top|over the top|sprinkle|scatter|strew|cover with|grill|gratin|brown`)
	stuffing   = words(`fill|stuff|wrap|seal|spoon into|pleat|crimp|fold over|into the middle`)
	shreds     = words(`shred|pull apart|pull the meat|tear|falls apart|in threads`)
	forked     = regexp.MustCompile(`(?i)\b(?:shred|pull)[^.]* (?:with|using) (?:two |2 )?forks?\b`)
	rawCured   = words(`lime juice|lemon juice|ceviche|cure|raw|tartare|sushi|sashimi|poke`)
	thin       = words(`thin|slice|strips|shav|carpaccio`)
	wholePiece = words(`whole|joint|roast|carve`)
	breading   = words(`breadcrumb|panko|crumbs|batter|flour and fry|dust with flour|dredge|schnitzel|escalope`)
	minced     = words(`minced|pound|process|blitz|chopped finely|fishcake|patt|ball|dumpling`)
	rind       = words(`rind`)
	flaking    = words(`flake|break up|pick over`)
)

// useRule gives a use to foods of some kinds under a condition.
type useRule struct {
	kinds    []string
	use, why string
	when     func(neighbourhood) bool
}

func kinds(list string) []string { return strings.Fields(list) }

const (
	eggs        = "egg yolk white"
	fats        = "butter fat oil"
	souredDairy = "yoghurt buttermilk soured-cream"
	drinkDairy  = "milk cream condensed-milk milk-powder"
	cheeses     = "cheese-melt cheese-grate cheese-brined cheese-fresh"
	pieceMeat   = "chunks slices whole poultry-pieces poultry-whole"
	freshFish   = "white-fish oily-fish tinned-fish"
)

// useRules are tried from the most specific down; the first that fits wins.
var useRules = []useRule{
	{kinds(eggs), "glaze", "is brushed on", func(n neighbourhood) bool {
		return n.says(brushing) && n.line.Mass() < 80 && !n.anywhere("knead") || n.written(words(`glaz|egg ?wash|to brush|for brushing`)) || n.food.ID == "egg-wash"
	}},
	{kinds(eggs), "coat", "makes crumbs stick to the surface", func(n neighbourhood) bool {
		return n.says(dipping) && n.grams("crumbs") > 0
	}},
	{kinds("egg yolk"), "runny", "is cooked with its yolk still soft, to dip into or stir in", func(n neighbourhood) bool {
		return n.says(softYolk)
	}},
	{kinds(eggs), "piece", "is boiled, poached or fried whole", func(n neighbourhood) bool {
		return n.written(words(`hard-boiled|hard boiled|boiled|poached`)) || n.line.Form == "boiled" || n.says(wholeEggs)
	}},
	{kinds(eggs), "flakes", "is stirred into hot broth and sets in flakes", func(n neighbourhood) bool {
		return n.says(inStreams) && n.grams("stock", "fish-stock", "water", "stocks") > brothShare*n.line.Mass()
	}},
	{kinds(eggs), "bind", "is worked into mince", func(n neighbourhood) bool { return n.grams("mince") > n.line.Mass() }},
	{kinds("egg white"), "lift", "is whisked stiff", func(n neighbourhood) bool { return n.says(stiff) }},
	{kinds("egg yolk"), "emulsify", "holds oil or butter in a sauce", func(n neighbourhood) bool {
		return n.technique("whisk", "blend", "beat") && n.grams("oil", "butter") > mayonnaiseShare*n.line.Mass() && (n.says(intoOil) || n.grams("flours", "white-flour") == 0 && !n.anywhere("bake", "fry"))
	}},
	{kinds("egg yolk"), "emulsify", "is stirred into something hot until it turns creamy", func(n neighbourhood) bool {
		return n.says(creamy) && !n.anywhere("bake", "steam") && n.grams(flours...) == 0
	}},
	{kinds(eggs), "set", "is beaten into milk or cream and cooked until it sets", func(n neighbourhood) bool {
		return n.grams(milky...) > custardShare*n.line.Mass() && n.grams(flours...) < n.grams(milky...)/2 &&
			(n.anywhere("bake", "steam", "poach", "set", "roast") || n.says(setting4))
	}},
	{kinds("yolk egg"), "thicken", "is whisked warm into a sauce and thickens it", func(n neighbourhood) bool {
		return n.says(coating) && n.grams(flours...) < n.line.Mass()
	}},
	{kinds(eggs), "cream", "goes raw into a cream or mousse", func(n neighbourhood) bool {
		return n.grams("sugar", "sweet") > 0 && !n.anywhere("bake", "fry", "boil", "simmer", "steam", "poach", "roast", "grill", "deep-fry", "braise", "warm", "toast", "cook")
	}},
	{kinds("egg white"), "bind", "is worked into a leavened batter, which it binds and helps to rise", func(n neighbourhood) bool {
		return n.grams(raisers...) > 0
	}},
	{kinds(eggs), "bind", "is worked into a dough, batter or mince", nil},

	{kinds(fats), "grease", "only greases", func(n neighbourhood) bool {
		return n.written(greases) || n.technique("grease") && n.line.Mass() < greasingGrams || n.says(words(`greas`)) && n.line.Mass() < 2*greasingGrams
	}},
	{kinds(fats), "shorten", "is rubbed or rolled into flour", func(n neighbourhood) bool {
		return !n.written(words(`melted`)) && (n.technique("rub-in", "laminate") || n.grams(flours...) > n.line.Mass() && n.technique("knead", "roll", "fold") && !n.technique("fry", "deep-fry"))
	}},
	{kinds(fats), "deep-fry", "is the fat that pieces are fried in", func(n neighbourhood) bool { return n.technique("deep-fry") }},
	{kinds(fats), "roux", "is cooked with flour to thicken a sauce", func(n neighbourhood) bool {
		f := n.grams("white-flour")
		return f > 0.4*n.line.Mass() && f < 3*n.line.Mass() && n.says(stirsFlour) && !n.anywhere("knead") && n.anywhere("melt", "fry", "whisk", "simmer")
	}},
	{kinds(fats), "brush", "is brushed on or tossed with before the oven", func(n neighbourhood) bool {
		return n.says(brushedOn) && n.technique("roast", "bake", "grill") && !n.technique("fry", "sweat", "soften", "saute")
	}},
	{kinds(fats), "fry", "fries other ingredients", func(n neighbourhood) bool {
		return n.technique("fry", "sweat", "soften", "saute", "brown", "sear", "caramelise", "stir-fry", "toast", "temper", "roast") || n.says(heatsFat)
	}},
	{kinds("oil"), "dress", "dresses or moistens without heat", func(n neighbourhood) bool { return n.says(dressing) && !n.technique("bake") }},
	{kinds(fats), "enrich", "is melted over or stirred in", nil},

	{kinds(souredDairy + " " + drinkDairy), "custard", "is set with egg", func(n neighbourhood) bool {
		return n.grams(kinds(eggs)...) > 0 && n.line.Mass() > custardShare*n.grams(kinds(eggs)...) && n.grams(flours...) < n.line.Mass()/2 && n.anywhere("bake", "steam", "set", "poach")
	}},
	{kinds("yoghurt buttermilk"), "marinade", "marinates: it sours and makes tender", func(n neighbourhood) bool { return n.technique("marinate") }},
	{kinds(souredDairy), "lift", "raises with soda", func(n neighbourhood) bool { return n.grams(raisers...) > 0 }},
	{kinds(souredDairy), "dough", "goes into a dough", func(n neighbourhood) bool {
		return n.grams(flours...) > n.line.Mass()
	}},
	{kinds("milk"), "soak", "soaks bread or crumbs", func(n neighbourhood) bool { return n.grams("bread", "crumbs") > 0 && n.technique("soak") }},
	{kinds(drinkDairy), "dough", "makes a dough or batter tender and brown", func(n neighbourhood) bool {
		return n.grams(flours...) > n.line.Mass()*0.6 || n.anywhere("knead")
	}},
	{kinds("milk cream condensed-milk milk-powder"), "sweet", "sweetens and enriches a dessert", func(n neighbourhood) bool {
		return n.food.Kind == "condensed-milk" || n.grams("sugar") > n.line.Mass()/sweetenedPart
	}},
	{kinds("cream"), "whip", "is whipped", func(n neighbourhood) bool { return n.says(words(`whip|peaks`)) }},
	{kinds("cream soured-cream yoghurt buttermilk"), "finish", "enriches at the end", func(n neighbourhood) bool { return n.says(atTheEnd) }},
	{kinds("milk"), "finish", "enriches a soup at the end", func(n neighbourhood) bool {
		return n.says(atTheEnd) && n.grams("stock", "fish-stock", "water", "stocks") > 2*n.line.Mass()
	}},
	{kinds(drinkDairy), "body", "is the main liquid", nil},
	{kinds(souredDairy), "finish", "sours and gives body", nil},

	{kinds("cheese-grate"), "stock", "is a rind that flavours the broth", func(n neighbourhood) bool { return n.written(rind) || n.food.ID == "parmesan-rind" }},
	{kinds(cheeses), "piece", "is fried or grilled in pieces", func(n neighbourhood) bool {
		return slices.Contains([]string{"halloumi", "paneer"}, n.food.ID) && n.technique("fry", "grill", "sear", "brown", "simmer") || n.says(words(`cube|fry the cheese|fry the paneer|grill the halloumi`)) && n.food.Kind != "cheese-grate"
	}},
	{kinds("cheese-grate"), "season", "is grated and seasons with salt and depth", nil},
	{kinds(cheeses), "fill", "fills a dough or parcel, and melts there", func(n neighbourhood) bool {
		return !n.says(crumbled) && n.says(stuffing) || strings.Contains(strings.ToLower(n.component.Name), "fill")
	}},
	{kinds("cheese-melt"), "melt", "melts on top or inside", func(n neighbourhood) bool {
		return n.technique("grill", "bake", "gratinate", "melt") || n.says(onTop)
	}},
	{kinds("cheese-melt"), "melt", "melts into the dish", nil},
	{kinds("cheese-brined cheese-fresh"), "dessert", "makes a dessert creamy", func(n neighbourhood) bool { return n.grams("sugar") > n.line.Mass()/sweetenedPart }},
	{kinds("cheese-brined cheese-fresh"), "crumble", "is crumbled or spooned over", nil},

	{kinds("mince"), "shape", "is shaped, so the mix must bind", func(n neighbourhood) bool {
		return n.anywhere("shape", "stuff") || n.says(words(`shape|roll into|form|patt|meatball|kofta`))
	}},
	{kinds("mince"), "crumble", "is loose", nil},
	{kinds(pieceMeat), "crumble", "is minced once cooked", func(n neighbourhood) bool {
		return n.says(words(`mince the|mince it|minced|finely chop the meat|grind the`)) || n.written(words(`minced|ground`))
	}},
	{kinds(pieceMeat), "breaded", "is coated and fried in a flat piece", func(n neighbourhood) bool { return n.says(breading) && n.anywhere("fry", "deep-fry") }},
	{kinds(pieceMeat), "shred", "is cooked until it shreds", func(n neighbourhood) bool {
		return n.says(shreds) || n.written(words(`shredded|pulled`)) || slices.ContainsFunc(n.steps, func(s recipe.Step) bool { return forked.MatchString(s.Text) })
	}},
	{kinds("chunks slices poultry-pieces whole"), "slices", "is cut thin", func(n neighbourhood) bool {
		return (n.written(thin) || n.says(words(`thin`))) && !n.anywhere("stew", "braise")
	}},
	{kinds("whole poultry-whole"), "roast", "is cooked in one piece", func(n neighbourhood) bool {
		return n.technique("roast", "bake") || n.written(wholePiece) && !n.technique("simmer", "stew", "braise")
	}},
	{kinds("chunks whole slices poultry-whole poultry-pieces"), "braise", "is braised in pieces until tender", func(n neighbourhood) bool {
		return n.anywhere("simmer", "stew", "braise", "pressure-cook", "boil")
	}},
	{kinds("slices chunks poultry-pieces"), "grill", "is grilled, roasted or fried in pieces", nil},
	{kinds("whole poultry-whole"), "roast", "is cooked in one piece", nil},
	{kinds("offal"), "paste", "is minced or made into a paste", func(n neighbourhood) bool {
		return n.food.ID == "pate" || n.technique("blend", "mash") || n.says(minced)
	}},
	{kinds("offal"), "slices", "is fried or braised in pieces", nil},
	{kinds("bones"), "stock", "gives the broth depth and body", nil},
	{kinds("smoked-meat"), "smoke", "seasons with smoke, salt and fat", nil},
	{kinds("cured-meat"), "cure", "seasons with salt and depth", nil},
	{kinds("smoked-sausage sausage"), "sausage", "is cooked in pieces", nil},
	{kinds("stock"), "stock", "is the cooking liquid", nil},
	{kinds("fish-stock"), "stock", "is the cooking liquid", nil},
	{kinds("stock-cube"), "season", "seasons the liquid", nil},

	{kinds("smoked-fish"), "cured", "is eaten cold", func(n neighbourhood) bool {
		return !n.technique("poach", "simmer", "bake", "fry", "warm", "flake", "boil") && !n.says(flaking) && n.food.ID == "smoked-salmon"
	}},
	{kinds("smoked-fish"), "flake", "is flaked", nil},
	{kinds(freshFish), "shape", "is minced and shaped", func(n neighbourhood) bool { return n.anywhere("shape") && (n.says(minced) || n.anywhere("mash")) }},
	{kinds(freshFish), "breaded", "is coated and fried", func(n neighbourhood) bool { return n.says(breading) && n.anywhere("fry", "deep-fry") }},
	{kinds("white-fish oily-fish"), "cured", "is cured or eaten raw", func(n neighbourhood) bool {
		return n.says(rawCured) && !n.technique("poach", "simmer", "bake", "fry", "grill", "steam", "roast", "braise", "stew")
	}},
	{kinds("white-fish oily-fish"), "fillet", "is cooked as a piece that keeps its shape", func(n neighbourhood) bool {
		return !n.says(flaking) && (n.technique("fry", "bake", "grill", "steam", "roast", "sear") || n.written(words(`whole|steak`)))
	}},
	{kinds(freshFish), "flake", "is flaked or in pieces", nil},
	{kinds("cured-fish"), "cured", "is eaten cold", nil},
	{kinds("dried-fish"), "season", "seasons broth or sauce", func(n neighbourhood) bool {
		total := 0.0
		for i := range n.component.Lines {
			total += n.component.Lines[i].Mass()
		}
		return n.line.Mass() < seasoningShare*total
	}},
	{kinds("dried-fish"), "flake", "is soaked and flaked", nil},
	{kinds("shellfish"), "piece", "is in pieces to bite on", nil},
	{kinds("fish-sauce fish-paste shellfish-paste table-sauce"), "season", "seasons", nil},
	{kinds("roe"), "garnish", "is strewn or spooned over", nil},
	{kinds("gelatine"), "set", "sets clear and elastic", nil},
	{kinds("honey"), "glaze", "is brushed on and browns", func(n neighbourhood) bool { return n.says(brushing) }},
	{kinds("honey"), "moist", "sweetens, browns and keeps moist", func(n neighbourhood) bool { return n.anywhere("bake") && n.grams(flours...) > 0 }},
	{kinds("honey"), "sweeten", "sweetens", nil},

	{kinds("sugar"), "caramel", "is cooked to caramel or syrup", func(n neighbourhood) bool {
		return n.technique("caramelise") || n.says(words(`caramel|syrup`))
	}},
	{kinds("sugar"), "sweeten", "sweetens", nil},
	{kinds("white-flour"), "dough", "is what the dough or batter is made of", func(n neighbourhood) bool {
		return n.anywhere("knead", "roll", "prove") || n.line.Mass() > 100
	}},
	{kinds("white-flour"), "thicken", "thickens or coats", nil},
	{kinds("starch"), "thicken", "thickens", nil},
	{kinds("wine"), "cook", "is cooked with the dish", nil},
	{kinds("allium"), "char", "is charred, roasted or cooked in large pieces", func(n neighbourhood) bool {
		return n.says(charring) || n.written(words(`halved|quartered|in wedges`)) && n.technique("roast", "simmer", "boil", "grill", "stew", "braise")
	}},
	{kinds("allium"), "raw", "is eaten raw", func(n neighbourhood) bool {
		return n.says(strewn) && !n.technique("fry", "soften", "sweat", "saute", "brown", "sear", "stir-fry", "caramelise", "simmer", "boil", "braise", "stew", "roast", "bake", "steam", "blanch")
	}},
	{kinds("allium"), "soften", "softens into the base", nil},
	{kinds("bread"), "soak", "is soaked and worked in", func(n neighbourhood) bool { return n.technique("soak", "mash", "mix", "blend") }},
	{kinds("bread"), "serve", "is eaten with it", nil},
	{kinds("crumbs"), "coat", "coats or stretches", nil},
	{kinds("noodles egg-pasta"), "noodle", "is the noodle", nil},
	{kinds("mayonnaise"), "sauce", "is the sauce", nil},
	{kinds("chocolate"), "sweeten", "flavours and sweetens", nil},
}
