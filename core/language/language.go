// Package language holds the words of one language that readers and writers of
// recipes need: verbs, prepositions, vessels, group words, shares. They are
// loaded from tables, one folder a language; none stands in code.
package language

import (
	"cmp"
	"fmt"
	"slices"
	"strings"
)

// Source hands over the tables of a language.
type Source interface {
	Table(name string) ([][]string, error)
	Decode(name string, into any) error
}

// Language is everything known of one language, in fields that bear the names
// of the keys in words.yaml, which say what they are for. It is not changed
// after Load.
type Language struct {
	Locale string `yaml:"-"`

	Articles, Pointing, Pronouns, Conjunctions, Connectors, Parallel                                                                                                       Set
	Adverbs, NoAdverbs, Particles, Until, Barely, Seeming, Enough, Diners, Inviting, Gashes, Negations, Modals, Tells, Subjects                                            Set
	Vessels, Holding, Tools, Receiving, Ovenware, Heats, HeatWords                                                                                                         Set
	Rests, Measures, Parts, Products, Whole, Remains, AdjectiveVerbs                                                                                                       Set
	Causatives, Continuing, Aspects, SelfGoing, Shapes, Manner, TimeHedges, TimeMore, TimeTails, TimeAfter, TimeBefore                                                     Set
	Sides, Pair, Single, Singly, Dealt, Lasts, FurtherTimes, DoneWords, ThickWords, SlightWords, DoneFar, GlazeWords, Packs, Comparatives, Sheets, SlowPots                Set
	Degrees, Celsius, Fahrenheit, Fan, Gas, GasMark                                                                                                                        Set
	Ifs, Cooks, Announcing, Outcomes, Purpose                                                                                                                              Set
	NounVerbs, Qualifiers, Spoons, Loose, Own, Pots, Extras, Serving, Possessives, Places                                                                                  Set
	Liquors, Ones, Whatever, Extracts, TimeLess, StandIns, AtOnce, Constant, Coming, Lacking                                                                               Set
	WholeWords, WashedWords, CrispWords, Surfaces, Lids, DeepWords, Covered, Uncovered, Utensils, AnimalVerbs, Likeness, Gauging, Wishing                                  Set
	Definite, Becoming, AnyMeat, Ingredients, Itself, Greaseless, PlantParts, Loaves, Dimensions, Lengthwise                                                               Set
	Comparers, Exceptions, Sequence, Fleshly, Fats, Being, CueShapes, Given, Whiles, Takes, Crosses, Again, Recurring, Brief, Relatives, Through, Lapping, Staying, Serves Set
	// GoneSigns are, by class, the words of cues that only what was replaced gives.
	GoneSigns                            map[string]Set
	GoingEnd, AdverbEnd                  string
	DeepColour, HotFats                  []string
	RingHeats                            map[string]string
	Doling, Remnants, Lefts, CalledTools []List
	Followed                             []List
	ExceptionPhrases                     []List
	// Verbless gives, by the particle behind a thing, the verb that is left out.
	Verbless map[string]string
	// BeingMany are words for being of one thing, with those of several: "is", "are".
	BeingMany map[string]string
	// VerblessHeat is the verb that an oven's heat stands for.
	VerblessHeat string
	// VerblessIn are the verbs that the places stand for into which something goes: "into the oven: 15 minutes".
	VerblessIn map[string]string
	// Another are those of the words for what is left that mean a second thing of the name.
	Another, Ordinals Set
	// Uncooked are words for what has not been cooked.
	Uncooked Set
	// Ladles are verbs of what is done to a liquid with what is in it.
	Ladles Set
	// Alongside stands before "with" and says no more than it: "together".
	Alongside Set
	// Additional says that some of a thing went in before: "more".
	Additional Set
	// Per stands between a time and the weight that takes so long.
	Per Set
	// OfBatter are what a batter becomes when it is cooked.
	OfBatter Set `yaml:"ofbatter"`
	// BesideVerb is the verb that is left out where a thing is said to stand beside a dish, Beside the
	// words for such places.
	BesideVerb string
	Beside     Set
	// Enclosing are prepositions of what lies on both sides of a thing while it is worked on.
	Enclosing Set
	// DriedWords tell in a cue that a liquid has boiled away.
	DriedWords Set
	// Prepositions gives the role that a preposition introduces, Subordinators
	// what a clause under them is.
	Prepositions, Subordinators Roles
	Phrases                     Phrases
	// TimeUnits and TimesWhole are in minutes, Lengths in centimetres.
	TimeUnits, TimesWhole, FewTimes, Lengths map[string]float64
	Shares, Littles, EggParts                map[string]float64
	Groups, ProductHolds, ProductLacks       map[string]List
	// MadeHere are, by shelf, the names of what a food is made from that no list has.
	MadeHere map[string]List

	// Headings are those of recipes.
	Headings Headings `yaml:"-"`
	// Lines are the words of ingredient lines.
	Lines Lines `yaml:"-"`
	// Writing holds the words by which a method is written.
	Writing Writing `yaml:"-"`

	verbs verbTable
}

// Headings stand above the parts of a recipe: its list, its method, what belongs to
// neither. Announcing ask for a list within a sentence; PartOf open the name of a part.
type Headings struct {
	Ingredients, Announcing, Method, After []string
	PartOf                                 []string `yaml:"partof"`
}

// Set is a set of words, in lower case without accents.
type Set map[string]bool

// UnmarshalYAML reads words set apart by blanks.
func (s *Set) UnmarshalYAML(read func(any) error) error {
	var words List
	if err := words.UnmarshalYAML(read); err != nil {
		return err
	}
	*s = Set{}
	for _, w := range words {
		(*s)[w] = true
	}
	return nil
}

// List is a run of words, in their order.
type List []string

// UnmarshalYAML reads words set apart by blanks.
func (l *List) UnmarshalYAML(read func(any) error) error {
	var text string
	if err := read(&text); err != nil {
		return err
	}
	*l = strings.Fields(text)
	return nil
}

// Roles give, by word, the one role that it plays.
type Roles map[string]string

// UnmarshalYAML turns "role: word word" round; a word of two roles is an error.
func (r *Roles) UnmarshalYAML(read func(any) error) error {
	var lists map[string]List
	if err := read(&lists); err != nil {
		return err
	}
	*r = Roles{}
	for role, words := range lists {
		for _, w := range words {
			if other, taken := (*r)[w]; taken {
				return fmt.Errorf("%q stands under %s and %s", w, min(role, other), max(role, other))
			}
			(*r)[w] = role
		}
	}
	return nil
}

// Phrase is a run of words that begins something: an aside of a kind, a note,
// a negation, work done meanwhile.
type Phrase struct {
	Words []string
	Kind  string
}

// The kinds of phrase besides those of asides.
const (
	If         = "if"
	Optional   = "optional"
	Negative   = "negative"
	Meanwhile  = "meanwhile"
	NoteOpener = "note"
)

// Phrases stand by their first word, the longest first.
type Phrases map[string][]Phrase

// UnmarshalYAML reads lists of phrases by their kind.
func (p *Phrases) UnmarshalYAML(read func(any) error) error {
	var lists map[string][]List
	if err := read(&lists); err != nil {
		return err
	}
	*p = Phrases{}
	for kind, list := range lists {
		for _, words := range list {
			if len(words) > 0 {
				(*p)[words[0]] = append((*p)[words[0]], Phrase{words, kind})
			}
		}
	}
	for _, same := range *p {
		slices.SortFunc(same, func(a, b Phrase) int {
			return cmp.Or(cmp.Compare(len(b.Words), len(a.Words)), slices.Compare(a.Words, b.Words), strings.Compare(a.Kind, b.Kind))
		})
	}
	return nil
}

// Load reads the tables of a language.
func Load(src Source, locale string) (*Language, error) {
	l := &Language{}
	if err := src.Decode("language/"+locale+"/words.yaml", l); err != nil {
		return nil, fmt.Errorf("load language %s: %w", locale, err)
	}
	if err := src.Decode("language/"+locale+"/writing.yaml", &l.Writing); err != nil {
		return nil, fmt.Errorf("load language %s: %w", locale, err)
	}
	if err := src.Decode("language/"+locale+"/headings.yaml", &l.Headings); err != nil {
		return nil, fmt.Errorf("load language %s: %w", locale, err)
	}
	l.Locale = locale
	if err := l.loadLines(src); err != nil {
		return nil, fmt.Errorf("load language %s: %w", locale, err)
	}
	return l, l.loadVerbs(src)
}
