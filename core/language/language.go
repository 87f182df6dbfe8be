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

// Set is a set of words, in lower case without accents.
type Set map[string]bool

// Language is everything known of one language. It is not changed after Load.
type Language struct {
	Locale string

	Articles, Pointing, Pronouns, Conjunctions, Connectors, Parallel                                                                                               Set
	Adverbs, NoAdverbs, Particles, Until, Negations, Modals, Tells, Subjects                                                                                       Set
	Vessels, Holding, Tools, Receiving, Heats, HeatWords                                                                                                           Set
	Rests, Measures, Parts, Products, Whole, Remains, AdjectiveVerbs                                                                                               Set
	Causatives, SelfGoing, Shapes, Manner, TimeHedges, TimeTails, TimeAfter, TimeBefore                                                                            Set
	Sides                                                                                                                                                          Set
	Degrees, Celsius, Fahrenheit, Fan, Gas, GasMark                                                                                                                Set
	Ifs, Cooks, Announcing, Outcomes, Purpose                                                                                                                      Set
	NounVerbs, Qualifiers, Loose, Own, Pots, Extras, Serving, Possessives, Places                                                                                  Set
	Liquors, Ones, Extracts, TimeLess, StandIns, AtOnce, Constant, WholeWords, CrispWords, DeepWords, Covered, Uncovered, Utensils, AnimalVerbs, Likeness, Wishing Set
	GoingEnd                                                                                                                                                       string
	DeepColour                                                                                                                                                     []string
	HotFats                                                                                                                                                        []string
	RingHeats                                                                                                                                                      map[string]string
	Doling                                                                                                                                                         [][]string
	Exceptions, Sequence                                                                                                                                           Set
	// Prepositions gives the role that a preposition introduces.
	Prepositions map[string]string
	// Subordinators give what a clause under them is; Phrases are those of
	// several words, with what begins there.
	Subordinators map[string]string
	Phrases       []Phrase
	TimeUnits     map[string]float64 // minutes
	TimeWhole     map[string]float64
	FewTimes      map[string]float64
	Shares        map[string]float64
	Littles       map[string]float64
	Groups        map[string][]string
	ProductHolds  map[string][]string
	EggParts      map[string]float64
	Lengths       map[string]float64 // centimetres
	verbs         verbTable
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
	Negative   = "negative"
	Meanwhile  = "meanwhile"
	NoteOpener = "note"
)

type wordFile struct {
	Articles       string              `yaml:"articles"`
	Pointing       string              `yaml:"pointing"`
	Pronouns       string              `yaml:"pronouns"`
	Conjunctions   string              `yaml:"conjunctions"`
	Connectors     string              `yaml:"connectors"`
	Parallel       string              `yaml:"parallel"`
	Meanwhile      []string            `yaml:"parallelphrases"`
	Adverbs        string              `yaml:"adverbs"`
	NoAdverbs      string              `yaml:"noadverbs"`
	Particles      string              `yaml:"particles"`
	Prepositions   map[string]string   `yaml:"prepositions"`
	Subordinators  map[string]string   `yaml:"subordinators"`
	SubPhrases     map[string][]string `yaml:"subordinatephrases"`
	Until          string              `yaml:"until"`
	Negations      string              `yaml:"negations"`
	Negative       []string            `yaml:"negativephrases"`
	Modals         string              `yaml:"modals"`
	Tells          string              `yaml:"tells"`
	Notes          []string            `yaml:"notes"`
	Subjects       string              `yaml:"subjects"`
	Vessels        string              `yaml:"vessels"`
	Holding        string              `yaml:"holding"`
	Tools          string              `yaml:"tools"`
	Receiving      string              `yaml:"receiving"`
	Heats          string              `yaml:"heats"`
	HeatWords      string              `yaml:"heatwords"`
	TimeUnits      map[string]float64  `yaml:"timeunits"`
	TimeWhole      map[string]float64  `yaml:"timeswhole"`
	TimeHedges     string              `yaml:"timehedges"`
	TimeTails      string              `yaml:"timetails"`
	TimeAfter      string              `yaml:"timeafter"`
	TimeBefore     string              `yaml:"timebefore"`
	Sides          string              `yaml:"sides"`
	FewTimes       map[string]float64  `yaml:"fewtimes"`
	Shares         map[string]float64  `yaml:"shares"`
	Rests          string              `yaml:"rests"`
	Littles        map[string]float64  `yaml:"littles"`
	Measures       string              `yaml:"measures"`
	Parts          string              `yaml:"parts"`
	Products       string              `yaml:"products"`
	Whole          string              `yaml:"whole"`
	Groups         map[string]string   `yaml:"groups"`
	ProductHolds   map[string]string   `yaml:"productholds"`
	EggParts       map[string]float64  `yaml:"eggparts"`
	Remains        string              `yaml:"remains"`
	AdjectiveVerbs string              `yaml:"adjectiveverbs"`
	SelfGoing      string              `yaml:"selfgoing"`
	Causatives     string              `yaml:"causatives"`
	Shapes         string              `yaml:"shapes"`
	Manner         string              `yaml:"manner"`
	Degrees        string              `yaml:"degrees"`
	Celsius        string              `yaml:"celsius"`
	Fahrenheit     string              `yaml:"fahrenheit"`
	Fan            string              `yaml:"fan"`
	Gas            string              `yaml:"gas"`
	GasMark        string              `yaml:"gasmark"`
	Ifs            string              `yaml:"ifs"`
	IfPhrases      []string            `yaml:"ifphrases"`
	Cooks          string              `yaml:"cooks"`
	Announcing     string              `yaml:"announcing"`
	Outcomes       string              `yaml:"outcomes"`
	Purpose        string              `yaml:"purpose"`
	NounVerbs      string              `yaml:"nounverbs"`
	Qualifiers     string              `yaml:"qualifiers"`
	Loose          string              `yaml:"loose"`
	Own            string              `yaml:"own"`
	Pots           string              `yaml:"pots"`
	Extras         string              `yaml:"extras"`
	Serving        string              `yaml:"serving"`
	Exceptions     string              `yaml:"exceptions"`
	Sequence       string              `yaml:"sequence"`
	Possessives    string              `yaml:"possessives"`
	Liquors        string              `yaml:"liquors"`
	Ones           string              `yaml:"ones"`
	GoingEnd       string              `yaml:"goingend"`
	AtOnce         string              `yaml:"atonce"`
	HotFats        []string            `yaml:"hotfats"`
	Constant       string              `yaml:"constant"`
	RingHeats      map[string]string   `yaml:"ringheats"`
	WholeWords     string              `yaml:"wholewords"`
	CrispWords     string              `yaml:"crispwords"`
	DeepWords      string              `yaml:"deepwords"`
	DeepColour     []string            `yaml:"deepcolour"`
	Covered        string              `yaml:"covered"`
	Uncovered      string              `yaml:"uncovered"`
	Lengths        map[string]float64  `yaml:"lengths"`
	StandIns       string              `yaml:"standins"`
	Utensils       string              `yaml:"utensils"`
	AnimalVerbs    string              `yaml:"animalverbs"`
	Likeness       string              `yaml:"likeness"`
	Wishing        string              `yaml:"wishing"`
	Extracts       string              `yaml:"extracts"`
	TimeLess       string              `yaml:"timeless"`
	Doling         []string            `yaml:"doling"`
	Places         string              `yaml:"places"`
}

func set(list string) Set {
	s := Set{}
	for _, w := range strings.Fields(list) {
		s[w] = true
	}
	return s
}

// Load reads the tables of a language.
func Load(src Source, locale string) (*Language, error) {
	var f wordFile
	if err := src.Decode("language/"+locale+"/words.yaml", &f); err != nil {
		return nil, fmt.Errorf("load language %s: %w", locale, err)
	}
	l := &Language{
		Locale: locale, Articles: set(f.Articles), Pointing: set(f.Pointing), Pronouns: set(f.Pronouns),
		Conjunctions: set(f.Conjunctions), Connectors: set(f.Connectors), Parallel: set(f.Parallel), Adverbs: set(f.Adverbs),
		NoAdverbs: set(f.NoAdverbs), Particles: set(f.Particles), Until: set(f.Until), Negations: set(f.Negations),
		Modals: set(f.Modals), Tells: set(f.Tells), Subjects: set(f.Subjects), Vessels: set(f.Vessels), Holding: set(f.Holding),
		Tools: set(f.Tools), Receiving: set(f.Receiving), Heats: set(f.Heats), HeatWords: set(f.HeatWords), Rests: set(f.Rests),
		Measures: set(f.Measures), Parts: set(f.Parts), Products: set(f.Products), Whole: set(f.Whole), Remains: set(f.Remains),
		AdjectiveVerbs: set(f.AdjectiveVerbs), Causatives: set(f.Causatives), SelfGoing: set(f.SelfGoing), Shapes: set(f.Shapes), Manner: set(f.Manner),
		TimeHedges: set(f.TimeHedges), TimeTails: set(f.TimeTails), TimeAfter: set(f.TimeAfter), TimeBefore: set(f.TimeBefore),
		Degrees: set(f.Degrees), Celsius: set(f.Celsius), Fahrenheit: set(f.Fahrenheit), Fan: set(f.Fan), Gas: set(f.Gas), GasMark: set(f.GasMark),
		Ifs: set(f.Ifs), Cooks: set(f.Cooks), Announcing: set(f.Announcing), Outcomes: set(f.Outcomes), Purpose: set(f.Purpose),
		NounVerbs: set(f.NounVerbs), Qualifiers: set(f.Qualifiers), Loose: set(f.Loose), Own: set(f.Own), Pots: set(f.Pots), Extras: set(f.Extras), Serving: set(f.Serving), Exceptions: set(f.Exceptions), Sequence: set(f.Sequence), Possessives: set(f.Possessives), Liquors: set(f.Liquors), Ones: set(f.Ones), GoingEnd: f.GoingEnd, AtOnce: set(f.AtOnce), HotFats: f.HotFats, Constant: set(f.Constant), RingHeats: f.RingHeats, WholeWords: set(f.WholeWords), CrispWords: set(f.CrispWords), DeepWords: set(f.DeepWords), DeepColour: f.DeepColour, Covered: set(f.Covered), Uncovered: set(f.Uncovered), Lengths: f.Lengths, StandIns: set(f.StandIns), Utensils: set(f.Utensils), AnimalVerbs: set(f.AnimalVerbs), Likeness: set(f.Likeness), Wishing: set(f.Wishing), Extracts: set(f.Extracts), TimeLess: set(f.TimeLess), Places: set(f.Places),
		Sides: set(f.Sides), TimeUnits: f.TimeUnits, TimeWhole: f.TimeWhole, FewTimes: f.FewTimes, Shares: f.Shares, Littles: f.Littles,
		Groups:       map[string][]string{},
		ProductHolds: map[string][]string{}, EggParts: f.EggParts,
	}
	for word, list := range f.Groups {
		l.Groups[word] = strings.Fields(list)
	}
	for _, p := range f.Doling {
		l.Doling = append(l.Doling, strings.Fields(p))
	}
	for word, list := range f.ProductHolds {
		l.ProductHolds[word] = strings.Fields(list)
	}
	for kind, list := range f.SubPhrases {
		l.phrases(kind, list)
	}
	l.phrases(If, f.IfPhrases)
	l.phrases(Negative, f.Negative)
	l.phrases(Meanwhile, f.Meanwhile)
	l.phrases(NoteOpener, f.Notes)
	var err error
	if l.Prepositions, err = byWord(f.Prepositions); err != nil {
		return nil, fmt.Errorf("prepositions of %s: %w", locale, err)
	}
	if l.Subordinators, err = byWord(f.Subordinators); err != nil {
		return nil, fmt.Errorf("subordinators of %s: %w", locale, err)
	}
	slices.SortFunc(l.Phrases, func(a, b Phrase) int {
		return cmp.Or(cmp.Compare(len(b.Words), len(a.Words)), slices.Compare(a.Words, b.Words), strings.Compare(a.Kind, b.Kind))
	})
	return l, l.loadVerbs(src)
}

func (l *Language) phrases(kind string, list []string) {
	for _, p := range list {
		l.Phrases = append(l.Phrases, Phrase{strings.Fields(p), kind})
	}
}

// byWord turns "role: word word" round; a word of two roles is an error.
func byWord(lists map[string]string) (map[string]string, error) {
	out := map[string]string{}
	for role, list := range lists {
		for _, w := range strings.Fields(list) {
			if other, taken := out[w]; taken {
				return nil, fmt.Errorf("%q stands under %s and %s", w, role, other)
			}
			out[w] = role
		}
	}
	return out, nil
}
