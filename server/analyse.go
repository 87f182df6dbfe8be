package server

import (
	"fmt"
	"math"
	"slices"

	"github.com/gofiber/fiber/v3"

	"yembra/core/character"
	"yembra/core/tasting"
	"yembra/server/texts"
)

// AnalyseRequest asks what sheets of tasters say.
type AnalyseRequest struct {
	// Trials say how many steps apart from the original each trait was foreseen.
	Trials   []AnalyseTrial   `json:"trials"`
	Sheets   []AnalyseSheet   `json:"sheets"`
	Triangle *AnalyseTriangle `json:"triangle" jsonschema:"nullable"`
}

// AnalyseTrial is a trial with the steps foreseen, by trait.
type AnalyseTrial struct {
	ID    string             `json:"id"`
	Steps map[string]float64 `json:"steps"`
}

// AnalyseSheet is what one taster said of one trial: liking 1 to 9, traits -2 to 2.
type AnalyseSheet struct {
	Taster string             `json:"taster"`
	Trial  string             `json:"trial"`
	Liking *float64           `json:"liking" jsonschema:"nullable"`
	Traits map[string]float64 `json:"traits"`
}

// AnalyseTriangle is how many of how many found the odd one of three.
type AnalyseTriangle struct {
	Tasters int `json:"tasters"`
	Correct int `json:"correct"`
}

// AnalyseAnswer is what the sheets say, each figure with its numbers.
type AnalyseAnswer struct {
	Trials      []JudgedTrial     `json:"trials"`
	Comparisons []ComparedTrials  `json:"comparisons"`
	Corrections []TraitCorrection `json:"corrections"`
	Triangle    *TriangleAnswer   `json:"triangle" jsonschema:"nullable"`
}

// JudgedTrial is a trial as its tasters judged it.
type JudgedTrial struct {
	ID      string        `json:"id"`
	Tasters int           `json:"tasters"`
	Liking  *MeanLiking   `json:"liking" jsonschema:"nullable"`
	Traits  []JudgedTrait `json:"traits"`
}

// trait is how a trait was judged, nil where nobody said anything of it.
func (t *JudgedTrial) trait(name string) *JudgedTrait {
	at := slices.IndexFunc(t.Traits, func(x JudgedTrait) bool { return x.Trait == name })
	if at < 0 {
		return nil
	}
	return &t.Traits[at]
}

// Answers is how many judged the trait.
func (t *JudgedTrait) Answers() int { return t.TooLittle + t.JustRight + t.TooMuch }

// judged is a trait as what is said of it in words is made from.
func (t *JudgedTrait) judged() tasting.Judged {
	j := tasting.Judged{Trait: t.Trait, TooLittle: t.TooLittle, JustRight: t.JustRight, TooMuch: t.TooMuch, Mean: t.Mean}
	for _, p := range t.Penalties {
		j.Penalties = append(j.Penalties, tasting.Penalty{Side: p.Side, Share: p.Share, Drop: p.Drop, Weighted: p.Weighted, P: p.P, Exact: p.Exact})
	}
	return j
}

// MeanLiking is the mean of those who said how they liked it.
type MeanLiking struct {
	Mean float64 `json:"mean"`
}

// JudgedTrait counts what was said of a trait.
type JudgedTrait struct {
	Trait     string         `json:"trait"`
	TooLittle int            `json:"tooLittle"`
	JustRight int            `json:"justRight"`
	TooMuch   int            `json:"tooMuch"`
	Mean      float64        `json:"mean"`
	Penalties []TraitPenalty `json:"penalties"`
}

// TraitPenalty is what a side of just right costs in liking.
type TraitPenalty struct {
	Side     tasting.Side `json:"side"`
	Share    float64      `json:"share"`
	Drop     float64      `json:"drop"`
	Weighted float64      `json:"weighted"`
	P        float64      `json:"p"`
	Exact    bool         `json:"exact"`
}

// ComparedTrials are a trial and the next one, by those who tasted both.
type ComparedTrials struct {
	A          string  `json:"a"`
	B          string  `json:"b"`
	Tasters    int     `json:"tasters"`
	Difference float64 `json:"difference"`
	P          float64 `json:"p"`
	Exact      bool    `json:"exact"`
}

// TraitCorrection is by how many steps the model is off in this kitchen.
type TraitCorrection struct {
	Trait      string  `json:"trait"`
	Tastings   int     `json:"tastings"`
	Sheets     int     `json:"sheets"`
	Correction float64 `json:"correction"`
	Low        float64 `json:"low"`
	High       float64 `json:"high"`
}

// TriangleAnswer is what a triangle has shown.
type TriangleAnswer struct {
	P              float64 `json:"p"`
	Discriminators float64 `json:"discriminators"`
	Low            float64 `json:"low"`
	High           float64 `json:"high"`
}

// Limits of what is analysed, far above any table.
const (
	mostSheets       = 5000
	mostTrials       = 500
	mostTasters      = 100_000
	mostForeseen     = 100.0 // steps
	mostTasterLetter = 200
)

// Analyse answers an analyse request; errors are problems.
func Analyse(r AnalyseRequest) (AnalyseAnswer, error) {
	if wrong := r.wrong(); wrong != nil {
		return AnalyseAnswer{}, unprocessable(texts.Say("theSheetsCannotBeAnalysedAs"), wrong...)
	}
	out := AnalyseAnswer{Trials: []JudgedTrial{}, Comparisons: []ComparedTrials{}, Corrections: []TraitCorrection{}}
	order, sheets := r.byTrial()
	for _, id := range order {
		t := JudgedTrial{ID: id, Tasters: len(sheets[id]), Traits: []JudgedTrait{}}
		if mean, said := tasting.Liking(sheets[id]); said {
			t.Liking = &MeanLiking{mean}
		}
		for _, trait := range character.Traits {
			if j, said := tasting.Judge(trait.Name, sheets[id]); said {
				t.Traits = append(t.Traits, judgedTrait(j))
			}
		}
		out.Trials = append(out.Trials, t)
	}
	for i := 0; i+1 < len(order); i++ {
		if c, both := tasting.Compare(sheets[order[i]], sheets[order[i+1]]); both {
			out.Comparisons = append(out.Comparisons, ComparedTrials{order[i], order[i+1], c.Tasters, c.Difference, c.P, c.Exact})
		}
	}
	for _, trait := range character.Traits {
		var tastings []tasting.Tasted
		for _, t := range r.Trials {
			at := slices.IndexFunc(out.Trials, func(x JudgedTrial) bool { return x.ID == t.ID })
			j := out.Trials[at].trait(trait.Name)
			if foreseen, known := t.Steps[trait.Name]; known && j != nil {
				tastings = append(tastings, tasting.Tasted{Sheets: j.Answers(), Mean: j.Mean, Foretold: foreseen})
			}
		}
		if tastings != nil {
			c := tasting.Correct(trait.Name, tastings)
			out.Corrections = append(out.Corrections, TraitCorrection{c.Trait, c.Tastings, c.Sheets, c.Correction, c.Low, c.High})
		}
	}
	if r.Triangle != nil {
		odd := tasting.Odd(r.Triangle.Tasters, r.Triangle.Correct)
		out.Triangle = &TriangleAnswer{odd.P, odd.Discriminators, odd.Low, odd.High}
	}
	return out, nil
}

func judgedTrait(j tasting.Judged) JudgedTrait {
	t := JudgedTrait{j.Trait, j.TooLittle, j.JustRight, j.TooMuch, j.Mean, []TraitPenalty{}}
	for _, p := range j.Penalties {
		t.Penalties = append(t.Penalties, TraitPenalty{p.Side, p.Share, p.Drop, p.Weighted, p.P, p.Exact})
	}
	return t
}

// byTrial sorts the sheets by trial, the trials in the order given and then of
// first mention.
func (r AnalyseRequest) byTrial() (order []string, sheets map[string][]tasting.Sheet) {
	sheets = map[string][]tasting.Sheet{}
	for _, t := range r.Trials {
		order = append(order, t.ID)
	}
	for _, s := range r.Sheets {
		if !slices.Contains(order, s.Trial) {
			order = append(order, s.Trial)
		}
		one := tasting.Sheet{Taster: s.Taster, Trial: s.Trial, Traits: map[string]int{}}
		if s.Liking != nil {
			one.Liking = int(*s.Liking)
		}
		for trait, v := range s.Traits {
			one.Traits[trait] = int(v)
		}
		sheets[s.Trial] = append(sheets[s.Trial], one)
	}
	return order, sheets
}

// wrong lists what is wrong with a request.
func (r AnalyseRequest) wrong() (faults []fieldError) {
	fault := func(field, detail string, a ...any) {
		faults = append(faults, fieldError{field, fmt.Sprintf(detail, a...)})
	}
	if len(r.Sheets) > mostSheets || len(r.Trials) > mostTrials {
		fault("sheets", "are too many: at most %d sheets of %d trials", mostSheets, mostTrials)
		return faults
	}
	trials := map[string]bool{}
	for i, t := range r.Trials {
		at := fmt.Sprintf("trials[%d]", i)
		if t.ID == "" || len(t.ID) > mostTasterLetter || trials[t.ID] {
			fault(at+".id", "must name each trial once")
		}
		trials[t.ID] = true
		for trait, steps := range t.Steps {
			if _, ok := character.TraitNamed(trait); !ok {
				fault(at+".steps."+trait, "%q is no trait", trait)
			}
			if math.Abs(steps) > mostForeseen {
				fault(at+".steps."+trait, "must lie within %g steps", mostForeseen)
			}
		}
	}
	type pair struct{ taster, trial string }
	said := map[pair]bool{}
	for i, s := range r.Sheets {
		at := fmt.Sprintf("sheets[%d]", i)
		if s.Taster == "" || len(s.Taster) > mostTasterLetter {
			fault(at+".taster", "must name the taster")
		}
		if s.Trial == "" || len(s.Trial) > mostTasterLetter {
			fault(at+".trial", "must name the trial")
		}
		if p := (pair{s.Taster, s.Trial}); said[p] {
			fault(at, "%q has a sheet of %q already", s.Taster, s.Trial)
		} else {
			said[p] = true
		}
		if s.Liking != nil && !whole(*s.Liking, 1, 9) {
			fault(at+".liking", "must be a whole number from 1 to 9")
		}
		for trait, v := range s.Traits {
			if _, ok := character.TraitNamed(trait); !ok {
				fault(at+".traits."+trait, "%q is no trait", trait)
			}
			if !whole(v, -2, 2) {
				fault(at+".traits."+trait, "must be a whole number from -2 to 2")
			}
		}
	}
	if t := r.Triangle; t != nil && (t.Tasters < 1 || t.Tasters > mostTasters || t.Correct < 0 || t.Correct > t.Tasters) {
		fault("triangle", "must have at least one taster, and no more right than there are")
	}
	return faults
}

func whole(v, least, most float64) bool { return v == math.Trunc(v) && v >= least && v <= most }

func (k *Kitchen) analyse(c fiber.Ctx) error {
	var r AnalyseRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	return answerOnce(k, c, func() (AnalyseAnswer, error) { return Analyse(r) })
}
