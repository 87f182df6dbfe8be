package larder

import (
	"maps"
	"regexp"
	"slices"
	"sort"
	"strings"

	"yembra/core/measure"
	"yembra/core/texts"
)

// Ownership says whether a food is as the knowledge has it, corrected by the
// cook or the cook's own.
type Ownership string

// A food that is neither has an empty ownership.
const (
	Corrected Ownership = "corrected"
	Added     Ownership = "added"
)

// OwnSource is the source code of a figure that the cook gave.
const OwnSource = "own"

// Entry is what a cook says of a food: a correction when the larder has a food
// of that id, a food of their own when not. What is left out stays as it was.
type Entry struct {
	ID        string   `json:"id"`
	Name      string   `json:"name"`
	Aliases   []string `json:"aliases"` // beside the names the food already has
	Origin    Origin   `json:"origin"`
	Animal    Animal   `json:"animal"`
	Hidden    *bool    `json:"hidden,omitempty" jsonschema:"nullable"`
	Check     *bool    `json:"checkLabel,omitempty" jsonschema:"nullable"`
	Why       string   `json:"why"`
	Grade     Grade    `json:"grade"`
	Allergens []string `json:"allergens,omitempty" jsonschema:"nullable"`
	// Homes are the families of kitchens it is at home in; an empty list is all.
	Homes []string `json:"homes,omitempty" jsonschema:"nullable"`
	// Density in g/ml and Pieces in grams by unit or size.
	Density Figure             `json:"density,omitempty" jsonschema:"nullable"`
	Pieces  map[string]float64 `json:"pieces,omitempty" jsonschema:"nullable"`
	// Per100 holds figures by the names of Composition ("energy", "sodium").
	Per100 map[string]float64 `json:"per100,omitempty" jsonschema:"nullable"`
	// Note is where the cook has it from, in their own words.
	Note string `json:"note"`
}

// EntryError says which field of an entry cannot be taken and why.
type EntryError struct{ Field, Detail string }

func (e EntryError) Error() string { return e.Field + " " + e.Detail }

var entryID = regexp.MustCompile(`^[a-z0-9]+(-[a-z0-9]+)*$`)

// ownKinds gives an animal food of the cook's own the kind that most of its
// class have, so that swaps can be found for it.
var ownKinds = map[Animal]string{
	Meat: "chunks", Poultry: "poultry-pieces", Fish: "white-fish", Shellfish: "shellfish", Dairy: "milk", Egg: "egg",
	Honey: "honey", Gelatine: "gelatine", Fat: "fat", Insect: "insect",
}

// Limits of an entry.
const (
	mostNameLetters = 80
	mostAliases     = 40
	mostFigure      = 100000.0
)

// With returns a larder with the cook's entries worked in; the one it is
// called on stays as it is. The error is an EntryError when an entry cannot
// be taken.
func (l *Larder) With(entries []Entry) (*Larder, error) {
	if len(entries) == 0 {
		return l, nil
	}
	own := *l
	own.foods = maps.Clone(l.foods)
	own.sources = maps.Clone(l.sources)
	own.sources[OwnSource] = texts.Say("larder.theCookSOwnFigure")
	for _, e := range entries {
		f, err := l.amended(e)
		if err != nil {
			return nil, err
		}
		own.foods[f.ID] = f
	}
	own.order = slices.SortedFunc(maps.Values(own.foods), byName)
	own.index = buildIndex(ownFirst(own.order), &own.words)
	return &own, nil
}

// ownFirst puts the cook's foods before others, since the first to claim a
// name keeps it.
func ownFirst(foods []*Food) []*Food {
	sorted := slices.Clone(foods)
	sort.SliceStable(sorted, func(i, j int) bool { return sorted[i].Own != "" && sorted[j].Own == "" })
	return sorted
}

// amended makes the food an entry describes.
func (l *Larder) amended(e Entry) (*Food, error) {
	if err := e.sound(); err != nil {
		return nil, err
	}
	f := &Food{
		ID: e.ID, Aliases: []string{}, Aisle: "own", Allergen: []string{}, Grade: Whole, Edible: Edible{Share: 1}, Own: Added,
		Forms: map[string]Form{}, Aromas: []Aroma{}, Roles: []Role{}, Packs: []Pack{}, Confusables: []Confusable{}, Homes: []string{},
		Matter: measure.Matter{Pieces: map[string]measure.Span{}},
	}
	if base := l.foods[e.ID]; base != nil {
		copied := *base
		f = &copied
		f.Own, f.spelled = Corrected, nil
	} else if e.Name == "" || e.Origin == "" {
		return nil, EntryError{"name", texts.Say("larder.andOriginAreNeededForA")}
	}
	e.names(f)
	if e.Origin != "" {
		f.Origin, f.Animal = e.Origin, e.Animal
		if f.Kind == "" || f.Own == Added {
			f.Kind = ownKinds[e.Animal]
		}
		f.Check = f.Check || e.Origin == Mixed
	}
	if e.Hidden != nil {
		f.Hidden = *e.Hidden
	}
	if e.Check != nil {
		f.Check = *e.Check || f.Origin == Mixed
	}
	if e.Why != "" {
		f.Why = e.Why
	} else if f.Own == Added {
		f.Why = texts.Say("larder.addedByTheCook")
	}
	if e.Grade != "" {
		f.Grade = e.Grade
	}
	if e.Allergens != nil {
		f.Allergen = e.Allergens
	}
	if e.Homes != nil {
		for _, home := range e.Homes {
			if !slices.Contains(l.Kitchens(), home) {
				return nil, EntryError{"homes", texts.Say("larder.isNoFamilyOfKitchens", home)}
			}
		}
		f.Homes = e.Homes
	}
	f.Tags = l.tagsOf(f)
	if f.Own == Added {
		l.byItsNames(f, e.Allergens == nil)
	}
	e.weigh(f)
	e.figures(f)
	return f, nil
}

func (e Entry) names(f *Food) {
	if e.Name != "" && e.Name != f.Name {
		if f.Name != "" {
			f.Aliases = append(slices.Clone(f.Aliases), f.Name)
		}
		f.Name = e.Name
	}
	for _, a := range e.Aliases {
		if a = strings.TrimSpace(a); a != "" && !slices.Contains(f.Aliases, a) {
			f.Aliases = append(slices.Clone(f.Aliases), a)
		}
	}
}

func (e Entry) weigh(f *Food) {
	if e.Density == nil && len(e.Pieces) == 0 {
		return
	}
	m := measure.Matter{Density: f.Matter.Density, Pieces: maps.Clone(f.Matter.Pieces), Source: OwnSource}
	if m.Pieces == nil {
		m.Pieces = map[string]measure.Span{}
	}
	if e.Density != nil {
		m.Density = *e.Density
	}
	for unit, grams := range e.Pieces {
		m.Pieces[unit] = measure.Exactly(grams)
	}
	f.Matter = m
}

func (e Entry) figures(f *Food) {
	if len(e.Per100) == 0 {
		return
	}
	for name, into := range f.Per100.byName() {
		if v, ok := e.Per100[name]; ok {
			*into = &v
		}
	}
	f.Per100.Source, f.Per100.Estimate = OwnSource, false
}

// byName gives access to the figures under the names the tables use.
func (c *Composition) byName() map[string]*Figure {
	out := make(map[string]*Figure, len(figures))
	for name, of := range figures {
		out[name] = of(c)
	}
	return out
}

// figures find a figure of a composition by its name.
var figures = map[string]func(*Composition) *Figure{
	"energy":       func(c *Composition) *Figure { return &c.Energy },
	"protein":      func(c *Composition) *Figure { return &c.Protein },
	"fat":          func(c *Composition) *Figure { return &c.Fat },
	"saturated":    func(c *Composition) *Figure { return &c.Saturated },
	"carbohydrate": func(c *Composition) *Figure { return &c.Carbs },
	"sugars":       func(c *Composition) *Figure { return &c.Sugars },
	"fibre":        func(c *Composition) *Figure { return &c.Fibre },
	"water":        func(c *Composition) *Figure { return &c.Water },
	"sodium":       func(c *Composition) *Figure { return &c.Sodium },
	"potassium":    func(c *Composition) *Figure { return &c.Potassium },
	"calcium":      func(c *Composition) *Figure { return &c.Calcium },
	"iron":         func(c *Composition) *Figure { return &c.Iron },
	"zinc":         func(c *Composition) *Figure { return &c.Zinc },
	"b12":          func(c *Composition) *Figure { return &c.B12 },
	"vitaminD":     func(c *Composition) *Figure { return &c.VitaminD },
	"iodine":       func(c *Composition) *Figure { return &c.Iodine },
	"ala":          func(c *Composition) *Figure { return &c.ALA },
	"epaDha":       func(c *Composition) *Figure { return &c.Marine },
}

// sound checks an entry by itself.
func (e Entry) sound() error {
	switch {
	case !entryID.MatchString(e.ID) || len(e.ID) > mostNameLetters:
		return EntryError{"id", texts.Say("larder.mustBeLowerCaseWordsJoined")}
	case len(e.Name) > mostNameLetters || len(Words(e.Name)) == 0 && e.Name != "":
		return EntryError{"name", texts.Say("larder.mustHoldLettersAtMost", mostNameLetters)}
	case len(e.Aliases) > mostAliases:
		return EntryError{"aliases", texts.Say("larder.mayBeAtMost", mostAliases)}
	case e.Origin != "" && !slices.Contains([]Origin{FromAnimal, FromPlant, FromFungus, FromMineral, Mixed}, e.Origin):
		return EntryError{"origin", texts.Say("larder.isNoneOfAnimalPlantFungus", e.Origin)}
	case e.Animal != "" && ownKinds[e.Animal] == "":
		return EntryError{"animal", texts.Say("larder.isNoClassOfAnimalMatter", e.Animal)}
	case e.Origin != "" && (e.Origin == FromAnimal) != (e.Animal != "") && e.Origin != Mixed:
		return EntryError{"animal", texts.Say("larder.mustBeNamedForAnimalFood")}
	case e.Grade != "" && !slices.Contains([]Grade{Whole, Plain, Refined, Analogue}, e.Grade):
		return EntryError{"grade", texts.Say("larder.isNoneOfWholePlainRefined", e.Grade)}
	case e.Density != nil && (*e.Density < leastDensity || *e.Density > mostDensity):
		return EntryError{"density", texts.Say("larder.mustLieBetweenAndGMl", leastDensity, mostDensity)}
	}
	for unit, grams := range e.Pieces {
		if grams <= 0 || grams > mostFigure || unit == "" {
			return EntryError{"pieces." + unit, texts.Say("larder.mustBeAWeightInGrams")}
		}
	}
	names := (&Composition{}).byName()
	for name, v := range e.Per100 {
		if names[name] == nil {
			return EntryError{"per100." + name, texts.Say("larder.isNoFigureOfTheLarder")}
		}
		if v < 0 || v > mostFigure {
			return EntryError{"per100." + name, texts.Say("larder.mustBeAFigureFromUp")}
		}
	}
	return nil
}
