package server

import (
	"cmp"
	"context"
	"encoding/csv"
	"errors"
	"fmt"
	"slices"
	"strconv"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/tasting"
	"yembra/formats"
)

// TastingView is a tasting with what its sheets say.
type TastingView struct {
	Tasting  Tasting        `json:"tasting"`
	Sheets   []Sheet        `json:"sheets"`
	Answer   AnalyseAnswer  `json:"answer"`
	Said     []TrialSaid    `json:"said"`
	Compared []ComparedSaid `json:"compared"`
	// Trays are what stands in the cups of a triangle, tray by tray, for who pours.
	Trays [][3]string `json:"trays"`
	// Odd is what a triangle has shown; it is told when the tasting is closed.
	Odd string `json:"odd"`
}

// TrialSaid is what the table said of one trial in words, the faults that cost
// most first.
type TrialSaid struct {
	Letter string   `json:"letter"`
	Trial  string   `json:"trial"`
	Say    []string `json:"say"`
	Known  []int    `json:"known"`
	// Tasted is how far each trait was found from the original, in steps.
	Tasted map[string]float64 `json:"tasted"`
}

// ComparedSaid is how two trials were liked, in words.
type ComparedSaid struct {
	A   string `json:"a"`
	B   string `json:"b"`
	Say string `json:"say"`
}

// saidOf is what a table said of one trial, the costliest fault first.
func (v *TastingView) saidOf(t *Tasting, s Glass, known []int) TrialSaid {
	said := TrialSaid{Letter: s.Letter, Trial: s.Trial, Say: []string{}, Known: known, Tasted: map[string]float64{}}
	type fault struct {
		cost float64
		say  string
	}
	var faults []fault
	at := slices.IndexFunc(v.Answer.Trials, func(x JudgedTrial) bool { return x.ID == s.Letter })
	for _, trait := range t.Traits {
		if j := v.Answer.Trials[at].trait(trait); j != nil {
			said.Tasted[trait] = tasting.InSteps(j.Mean)
			cost := 0.0
			for _, p := range j.Penalties {
				cost = max(cost, p.Weighted)
			}
			faults = append(faults, fault{cost, tasting.Say(j.judged())})
		}
	}
	slices.SortStableFunc(faults, func(a, b fault) int { return cmp.Compare(b.cost, a.cost) })
	for _, f := range faults {
		said.Say = append(said.Say, f.say)
	}
	return said
}

// judged works out what the sheets of a tasting say.
func (k *Kitchen) judged(ctx context.Context, t Tasting) (TastingView, error) {
	sheets, err := k.sheetsOf(ctx, t.ID)
	if err != nil {
		return TastingView{}, err
	}
	seats := len(sheets)
	sheets = slices.DeleteFunc(sheets, func(s Sheet) bool { return s.empty() })
	v := TastingView{Tasting: t, Sheets: sheets, Said: []TrialSaid{}, Compared: []ComparedSaid{}, Trays: [][3]string{}}
	if v.Sheets == nil {
		v.Sheets = []Sheet{}
	}
	r := asked(&t, sheets)
	known := map[string][]int{}
	for _, g := range t.Served {
		known[g.Letter] = make([]int, len(knownWords))
	}
	for _, s := range sheets {
		for _, x := range s.Said {
			if at := slices.Index(knownWords, x.Known); at >= 0 && known[x.Letter] != nil {
				known[x.Letter][at]++
			}
		}
	}
	if t.Triangle {
		r = AnalyseRequest{Triangle: v.pour(max(seats+1, len(t.Guests)))}
	}
	if v.Answer, err = Analyse(r); err != nil || t.Triangle {
		return v, err
	}
	_, grouped := r.byTrial()
	for _, s := range t.Served {
		v.Said = append(v.Said, v.saidOf(&t, s, known[s.Letter]))
	}
	for i := 0; i+1 < len(t.Served); i++ {
		for _, b := range t.Served[i+1:] {
			a := t.Served[i]
			if c, both := tasting.Compare(grouped[a.Letter], grouped[b.Letter]); both {
				v.Compared = append(v.Compared, ComparedSaid{a.Trial, b.Trial, tasting.SayCompared(c, a.Letter, b.Letter)})
			}
		}
	}
	return v, nil
}

// knownWords are the answers to whether they would have known.
var knownWords = []string{"no", "maybe", "yes"}

// asked is what is asked of the sheets of a tasting: of each thing under its letter what
// was foreseen of the traits on the sheet, and what each taster said.
func asked(t *Tasting, sheets []Sheet) AnalyseRequest {
	var r AnalyseRequest
	for i := range t.Served {
		s := &t.Served[i]
		steps := map[string]float64{}
		for trait, x := range s.Steps {
			if slices.Contains(t.Traits, trait) {
				steps[trait] = x
			}
		}
		r.Trials = append(r.Trials, AnalyseTrial{ID: s.Letter, Steps: steps})
	}
	for _, s := range sheets {
		for _, x := range s.Said {
			if !slices.ContainsFunc(t.Served, func(g Glass) bool { return g.Letter == x.Letter }) {
				continue
			}
			one := AnalyseSheet{Taster: s.Taster, Trial: x.Letter, Traits: map[string]float64{}}
			if x.Liking > 0 {
				liking := float64(x.Liking)
				one.Liking = &liking
			}
			for trait, val := range x.Traits {
				one.Traits[trait] = float64(val)
			}
			r.Sheets = append(r.Sheets, one)
		}
	}
	return r
}

// pour fills the trays of a triangle, six by six, and counts who was right once it is
// closed; before that nothing of it is told, nor which cup anybody named.
func (v *TastingView) pour(trays int) *AnalyseTriangle {
	t := &v.Tasting
	for i := range (trays + tasting.Trays - 1) / tasting.Trays * tasting.Trays {
		var cups [3]string
		for at, x := range tasting.Tray(t.ID, i) {
			cups[at] = t.Served[x].Name
		}
		v.Trays = append(v.Trays, cups)
	}
	if t.Closed == 0 {
		for i := range v.Sheets {
			v.Sheets[i].Odd = 0
		}
		return nil
	}
	right := 0
	for _, s := range v.Sheets {
		if s.Odd == tasting.OddCup(tasting.Tray(t.ID, s.Number)) {
			right++
		}
	}
	v.Odd = tasting.SayOdd(len(v.Sheets), right)
	if len(v.Sheets) == 0 {
		return nil
	}
	return &AnalyseTriangle{Tasters: len(v.Sheets), Correct: right}
}

// heard is the tasting that a request names, with what its sheets say.
func (k *Kitchen) heard(c fiber.Ctx) (TastingView, error) {
	t, err := k.tastingOf(c.Context(), c.Params("id"))
	if err != nil {
		return TastingView{}, err
	}
	return k.judged(c.Context(), t)
}

func (k *Kitchen) showTasting(c fiber.Ctx) error {
	v, err := k.heard(c)
	if err != nil {
		return err
	}
	return c.JSON(v)
}

// closeTasting ends a tasting; no sheet changes any more. Closed again, it opens.
func (k *Kitchen) closeTasting(c fiber.Ctx) error {
	t, err := k.CloseTasting(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	v, err := k.judged(c.Context(), t)
	if err != nil {
		return err
	}
	return c.JSON(v)
}

// CloseTasting ends a tasting, from which the kitchen then learns, or opens one that
// is over.
func (k *Kitchen) CloseTasting(ctx context.Context, id string) (Tasting, error) {
	k.changing.Lock()
	defer k.changing.Unlock()
	t, err := k.tastingOf(ctx, id)
	if err != nil {
		return t, err
	}
	if t.Closed > 0 {
		t.Closed = 0
	} else {
		t.Closed = k.hearth.now().UnixMilli()
	}
	if err := k.saveTasting(ctx, t); err != nil {
		return t, err
	}
	return t, k.Refresh(ctx)
}

// exportTasting hands the sheets on as CSV: a row for each taster and trial.
func (k *Kitchen) exportTasting(c fiber.Ctx) error {
	t, err := k.tastingOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	sheets, err := k.sheetsOf(c.Context(), t.ID)
	if err != nil {
		return err
	}
	var out strings.Builder
	w := csv.NewWriter(&out)
	rows := [][]string{append([]string{"taster", "name", "letter", "trial", "liking", "known", "words"}, t.Traits...)}
	if t.Triangle {
		rows = [][]string{{"taster", "name", "tray", "cup 1", "cup 2", "cup 3", "said odd"}}
	}
	for _, s := range sheets {
		if t.Triangle && !s.empty() {
			row := []string{strconv.Itoa(s.Number + 1), formats.Cell(s.Name), strconv.Itoa(s.Number + 1)}
			for _, x := range tasting.Tray(t.ID, s.Number) {
				row = append(row, t.Served[x].Name)
			}
			rows = append(rows, append(row, strconv.Itoa(s.Odd)))
		}
		for _, x := range s.Said {
			served := slices.IndexFunc(t.Served, func(y Glass) bool { return y.Letter == x.Letter })
			if served < 0 {
				continue
			}
			row := []string{strconv.Itoa(s.Number + 1), formats.Cell(s.Name), x.Letter, t.Served[served].Name, "", x.Known, formats.Cell(x.Words)}
			if x.Liking > 0 {
				row[4] = strconv.Itoa(x.Liking)
			}
			for _, trait := range t.Traits {
				cell := ""
				if v, said := x.Traits[trait]; said {
					cell = strconv.Itoa(v)
				}
				row = append(row, cell)
			}
			rows = append(rows, row)
		}
	}
	if err := errors.Join(w.WriteAll(rows), w.Error()); err != nil {
		return fmt.Errorf("write the sheets: %w", err)
	}
	return sendFile(c, t.Name, "csv", "text/csv; charset=utf-8", []byte(out.String()))
}
