package larder

import (
	"slices"
	"strings"
)

// Vocabulary is the reader's word lists, all normalised.
type Vocabulary struct {
	// Neutral words say how a food is cut, chosen or prepared, not what it is.
	Neutral map[string]bool
	// Joining words stand between two things and never inside the name of one.
	Joining map[string]bool
	// Parts follow a food's name without changing what it is ("cloves").
	Parts map[string]bool
	// Free words turn the matter before or after them into a plant stand-in.
	// The value lists the classes it clears; "all" clears every one.
	Free map[string][]string
	// PlantHeads are animal words that a plant before them makes a plant food
	// ("almond milk").
	PlantHeads map[string]bool
	// ListOnly words are also common words of method text; in steps they are
	// foods only when the ingredient list has them.
	ListOnly map[string]bool
	// BoneIn are words, each between blanks, by which a line of meat, fish or
	// shellfish is weighed with bone or shell, Boneless those by which it is not.
	// Portion are those by which one piece of a jointed animal is counted.
	BoneIn, Boneless, Portion []string
	// AnimalWords name animal matter by themselves, by class.
	AnimalWords map[string]Animal
}

// Technique is one way of working, as steps name it, and what it does to what
// is worked so.
type Technique struct {
	Name    string
	Family  string
	HandsOn bool
	// Lost is the water in grams a minute that leaves an open pot or pan of
	// the reference size (see character.LossRate).
	Lost float64
	// Roast is the grams worked so for ten minutes, in 100 g of dish, at which
	// a panel would rate roast 5 of 10; 0 where nothing browns.
	Roast float64
	// Crisp is how crisp it leaves the surface of pieces, 0-10.
	Crisp float64
	// Wet tells that it cooks in liquid, or slowly enough that dry food drinks.
	Wet bool
	// Heat is that of the ring ("low", "medium", "high") or "oven"; Kit is what
	// it takes up besides hands; Usual are the minutes for four and Cue what
	// ends it where a step says nothing, both estimates.
	Heat   string
	Kit    []string
	Usual  float64
	Cue    string
	Source string
	// Joins tells that what it is done to goes into what is there already,
	// always ("yes") or with "in" behind the verb;
	// Going that its -ing form only says how something else is done; Takes
	// "part" where it takes a part out, "back" where it takes back what was taken
	// out, "none" where it makes nothing and "some" where it may work on some of a
	// thing that stays where it stands;
	// Medium what "in" leads to, "fat" or "liquid"; Needs "object" where a step
	// must say or mean what it is done to.
	Going                       bool
	Joins, Takes, Medium, Needs string
	// InHot is what it is in fat heated to a frying temperature.
	InHot string
	// InTin is what it is in a tin or on a tray, which stand in the oven.
	InTin string
	// Firm is what it is of vegetables, which do not melt.
	Firm string
	// Like is what else it counts as where a rule speaks of that: what is sautéed is fried.
	Like string
	// OnFire is what it is of what boiled and whose fire was turned down.
	OnFire string
	// InFat is what it is of what just went into fat that was heated for it.
	InFat string
	// Deep is what it amounts to when it goes on until deep golden.
	Deep string
	// Keeps is how many minutes a dish may wait that was finished so.
	Keeps float64
	// Leaves is the state in which it leaves things.
	Leaves string
	// Closes tells that nothing can be added any more to what is worked on so,
	// always or only where nothing is cooked afterwards.
	Closes string
}

// When a technique closes what it works on.
const (
	ClosesAlways = "yes"
	ClosesLast   = "last"
	// ClosesTable is for what is then eaten.
	ClosesTable = "table"
)

// Shuts tells whether nothing can be added afterwards, whatever follows.
func (t *Technique) Shuts() bool { return t.Closes == ClosesAlways || t.Closes == ClosesTable }

// Hot tells whether it cooks what it works on.
func (t *Technique) Hot() bool {
	return t.Wet || t.Roast > 0 || t.Family == "wet heat" || t.Family == "gentle heat" || t.Family == "dry heat" || t.Family == "oven" && t.Name != "preheat"
}

// Fate is what a step leaves of a line in the dish, as shares of what went in.
type Fate struct {
	Name string
	// Taken is the share of its mass, Soluble that of salt, sugar, acid, heat
	// and what tastes savoury, Fat and Aroma theirs, Inosinate that of IMP.
	Taken, Soluble, Fat, Aroma, Inosinate float64
	// Says tells a cook what happens to it.
	Says   string
	Source string
}

// Technique finds a way of working by its name, nil when there is none.
func (l *Larder) Technique(name string) *Technique { return l.techniques[name] }

// Fate finds a fate by its name; the core and the table must agree on names,
// which Check looks at.
func (l *Larder) Fate(name string) *Fate { return l.fates[name] }

func (l *Larder) loadFates(src Source) error {
	return eachRow(src, "fates.csv", func(r row) {
		l.fates[r.text("fate")] = &Fate{
			Name: r.text("fate"), Taken: r.number("taken", 1), Soluble: r.number("soluble", 1), Fat: r.number("fat", 1), Aroma: r.number("aroma", 1),
			Inosinate: r.number("inosinate", 1), Says: r.text("says"), Source: r.text("source"),
		}
	})
}

// Steeps tells whether a food is lifted out wherever it was cooked, and whether
// only where it is whole.
func (l *Larder) Steeps(food string) (steeps, onlyWhole bool) {
	onlyWhole, steeps = l.steeping[food]
	return steeps, onlyWhole
}

func (l *Larder) loadSteeping(src Source) error {
	return eachRow(src, "steeping.csv", func(r row) { l.steeping[r.text("food")] = r.text("whole") == "yes" })
}

func (l *Larder) loadWords(src Source) error {
	var file struct {
		Neutral     string            `yaml:"neutral"`
		Joining     string            `yaml:"joining"`
		Parts       string            `yaml:"parts"`
		Free        map[string]string `yaml:"free"`
		PlantHeads  string            `yaml:"plantheads"`
		ListOnly    string            `yaml:"listonly"`
		BoneIn      []string          `yaml:"bonein"`
		Boneless    []string          `yaml:"boneless"`
		Portion     []string          `yaml:"portion"`
		AnimalWords map[Animal]string `yaml:"animalwords"`
	}
	if err := src.Decode("language/"+locale+"/foods.yaml", &file); err != nil {
		return err
	}
	set := func(list string) map[string]bool {
		m := map[string]bool{}
		for _, w := range strings.Fields(list) {
			for _, word := range Words(w) {
				m[word] = true
			}
		}
		return m
	}
	l.words = Vocabulary{
		Neutral: set(file.Neutral), Joining: set(file.Joining), Parts: set(file.Parts), PlantHeads: set(file.PlantHeads), ListOnly: set(file.ListOnly),
		AnimalWords: map[string]Animal{},
	}
	phrases := func(list []string) (out []string) {
		for _, p := range list {
			out = append(out, " "+strings.Join(Words(p), " ")+" ")
		}
		return out
	}
	l.words.BoneIn, l.words.Boneless, l.words.Portion = phrases(file.BoneIn), phrases(file.Boneless), phrases(file.Portion)
	l.words.Free = map[string][]string{}
	for word, classes := range file.Free {
		l.words.Free[word] = strings.Fields(classes)
	}
	for class, list := range file.AnimalWords {
		for _, w := range strings.Fields(list) {
			l.words.AnimalWords[Normal(Fold(w))] = class
		}
	}
	return eachRow(src, "techniques.csv", func(r row) {
		t := Technique{
			Name: r.text("technique"), Family: r.text("family"), HandsOn: r.text("hands") == "yes", Lost: r.number("lost", 0),
			Roast: r.number("roast", 0), Crisp: r.number("crisp", 0), Wet: r.text("wet") == "yes",
			Heat: r.text("heat"), Usual: r.number("usual", 0), Cue: r.text("cue"), Source: r.text("source"),
			Joins: r.text("joins"), Going: r.text("going") == "yes", Takes: r.text("takes"), Medium: r.text("medium"), Needs: r.text("needs"), InHot: r.text("inhot"), InTin: r.text("intin"), Firm: r.text("firm"), Keeps: r.number("keeps", 0), Deep: r.text("deep"), Leaves: r.text("leaves"), Closes: r.text("closes"), Like: r.text("like"), OnFire: r.text("onfire"), InFat: r.text("infat"),
		}
		if kit := r.text("kit"); kit != "" {
			t.Kit = strings.Split(kit, "+")
		}
		l.techniques[t.Name] = &t
	})
}

// Is tells whether it is one of some techniques, by its name or by what it counts as.
func (t *Technique) Is(techniques ...string) bool {
	return t != nil && (slices.Contains(techniques, t.Name) || t.Like != "" && slices.Contains(techniques, t.Like))
}

// CoreTemperature is what the middle of animal matter must reach, for a guest
// who eats the original.
type CoreTemperature struct {
	Animal  Animal
	Of      string // a kind or form; empty: any other
	Celsius float64
	Rest    float64 // minutes
	Source  string
}

// CoreTemperatureOf returns what an animal class must reach, of a kind of food in
// a form; false when none is laid down.
func (l *Larder) CoreTemperatureOf(a Animal, kind, form string) (CoreTemperature, bool) {
	for _, t := range l.cores {
		if t.Animal == a && (t.Of == "" || t.Of == kind || t.Of == form) {
			return t, true
		}
	}
	return CoreTemperature{}, false
}

func (l *Larder) loadCores(src Source) error {
	return eachRow(src, "core_temperatures.csv", func(r row) {
		l.cores = append(l.cores, CoreTemperature{Animal(r.text("animal")), r.text("of"), r.number("celsius", 0), r.number("rest", 0), r.text("source")})
	})
}
