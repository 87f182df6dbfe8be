package language

import (
	"maps"
	"math"
	"slices"
	"strings"
	"unicode"
)

// Writing holds the words by which a method is written, in fields that bear the
// names of the keys in writing.yaml.
type Writing struct {
	The, Of, And, But, More, For, Until, It, Them, Everything, Mixture, To, In, With, Into, Inside, Add string
	Minute, Minutes, Hours, Again, Boil, Simmer, Mix, Put, Set, Thicken, Bubble                         string
	Lastly                                                                                              string
	StirIn                                                                                              string `yaml:"stir-in"`
	SamePan                                                                                             string `yaml:"samepan"`
	// Few are some of several things, Part some of one.
	Few, Part string
	// LittleOf is a little of what is listed, LittleMore of what is used up.
	LittleOf   string `yaml:"littleOf"`
	LittleMore string `yaml:"littleMore"`
	// PourWater and CoverWater pour on water that was to cover what is not there.
	PourWater  string `yaml:"pourWater"`
	CoverWater string `yaml:"coverWater"`
	// Slake stirs a thickener smooth before the liquid goes in.
	Slake         string
	Pan           string
	EveningBefore string `yaml:"eveningBefore"`
	// Batch stands behind the preparation of less than can be made.
	Batch   string `yaml:"batch"`
	LeftOut string `yaml:"leftOut"`
	// Look stands where no sentence reads back as it was meant; LookBare where
	// nothing is left to do it with.
	Look     string
	LookBare string `yaml:"lookBare"`
	Pieces   string
	// CookedWith is the heading of {thing} that is cooked with {other}.
	CookedWith string `yaml:"cookedwith"`
	// Reworded, Open, Prepares, Missing, DoneOn and Retimed say why a step is as it is.
	Reworded, Open, Prepares, Missing, Retimed string
	DoneOn                                     string `yaml:"doneOn"`
	FatTwice                                   string `yaml:"fatTwice"`
	// FatGone says why a fat is left out that fried what is gone.
	FatGone string `yaml:"fatGone"`
	// FatLess says why there is less of a fat, of which some fried what is gone.
	FatLess string `yaml:"fatLess"`
	// TasteGone says why something is left out that only gave its taste to a liquid that
	// is not boiled any more.
	TasteGone string `yaml:"tasteGone"`
	// WashGone says it of something with which only an animal was washed.
	WashGone string `yaml:"washGone"`
	// DustGone says it of flour in which something was turned that is not fried.
	DustGone string `yaml:"dustGone"`
	// Strew is how a small addition goes over a dish that has nothing to stir into.
	Strew string
	// BeforeShaped stands before how it goes into a mix that is shaped then.
	BeforeShaped string `yaml:"beforeshaped"`
	// AsStiff says why a dough takes another amount of its liquid.
	AsStiff string `yaml:"asStiff"`
	// AsPoured says why a dish takes less of a liquid in which nothing is cooked any more.
	AsPoured string `yaml:"asPoured"`
	// WantedMore and WantedLess say that a table asked for more or less of a trait.
	WantedMore string `yaml:"wantedMore"`
	WantedLess string `yaml:"wantedLess"`
	// Blend is said where something is only mixed into what needs no whipping.
	Blend string
	// Warm is said for melting something that does not melt with what does: "melt the butter with the syrup".
	Warm string
	// HotThrough is the cue of what is done and only has to get hot.
	HotThrough string `yaml:"hotThrough"`
	// HeatFat is the verb with which a fat comes into a pan that flesh would have greased.
	HeatFat string `yaml:"heatFat"`
	// InPan says where the first work is done whose own words point back to a pan of work that goes.
	InPan string `yaml:"inPan"`
	// Allow, Heat and GoOn say a figure of the cook's where no words of the step
	// can take it in.
	Allow, Heat string
	GoOn        string `yaml:"goOn"`
	// LiquidVerbs are said of a liquid that is cooked without what was to cook in it,
	// by technique.
	LiquidVerbs map[string]string `yaml:"liquidverbs"`
	// Findings say what reading back has found, by kind.
	Findings map[string]string
	// Questions ask what could not be read: what an action works on (object), what
	// words ask for (work), what stands beyond what is read (rest).
	Questions map[string]string
	// Other stands before the name of the second of two that are called alike.
	Other string
	// Renames are names of what dishes make, in place of those that name an animal.
	Renames map[string]string
	// RenamesMany are those of several.
	RenamesMany map[string]string `yaml:"renamesmany"`
	// Its and Their point back to one thing and to several.
	Its, Their string
	// Warmth says how warm a thing goes in; KeptBack that it was put by before.
	Warmth   Set
	KeptBack Set `yaml:"keptBack"`
	// RunsBy are the measures by which what runs goes in, by those of what is grated or crumbled.
	RunsBy map[string]string `yaml:"runsby"`
	// DoneWith are words that say with which animal matter something was done, and what
	// is said instead: "greased" for a buttered dish.
	DoneWith map[string]string `yaml:"donewith"`
	// Shares are said by the nearest of these, Some where none is near, Rest of
	// what is left; OneOf is said of pieces of which one goes to each.
	Shares            map[string]float64
	Some, Rest, OneOf string
	// Portions say how much is taken of what is made for several.
	Portions map[string]float64
}

// Portion says the nearest of the portions that a share comes to.
func (w *Writing) Portion(share float64) string {
	best, near := "", math.Inf(1)
	for _, said := range slices.Sorted(maps.Keys(w.Portions)) {
		if off := math.Abs(w.Portions[said] - share); off < near {
			best, near = said, off
		}
	}
	return best
}

// Otherwise says words otherwise that tell with which animal matter something was
// done: "a greased dish" for a buttered one.
func (w *Writing) Otherwise(text string) string {
	for said, other := range w.DoneWith {
		if strings.ContainsAny(said, " -") {
			text = strings.ReplaceAll(text, said, other) // "buttered side up", of what is spread with something else
		}
	}
	var b, word strings.Builder
	end := func() {
		said := word.String()
		if other := w.DoneWith[strings.ToLower(said)]; other != "" {
			said = other
		}
		b.WriteString(said)
		word.Reset()
	}
	for _, r := range text {
		if unicode.IsLetter(r) {
			word.WriteRune(r)
			continue
		}
		end()
		b.WriteRune(r)
	}
	end()
	return b.String()
}
