package server

import (
	"context"
	"encoding/csv"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"slices"
	"strconv"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"
	"github.com/google/uuid"

	"yembra/core/character"
	"yembra/core/tasting"
	"yembra/formats"
	"yembra/store"
)

// Tasting is a table at which trials of a dish are tasted.
type Tasting struct {
	ID   string `json:"id"`
	Dish string `json:"dish"`
	Name string `json:"name"`
	Made int64  `json:"made"`
	// Served are the trials, or "original" for the guest's side pot.
	Served []Glass  `json:"served"`
	Traits []string `json:"traits"`
	Blind  bool     `json:"blind"`
	Closed int64    `json:"closed"`
}

// Glass is one thing that is served, under a letter.
type Glass struct {
	Letter string `json:"letter"`
	Trial  string `json:"trial"`
	Name   string `json:"name"`
	// Steps are how far each trait was foreseen.
	Steps map[string]float64 `json:"steps"`
}

// originalServed is what is served when it is the dish as it always was.
const originalServed = "original"

// Sheet is what one taster said at a tasting. Number is the order in which they
// came, from 0.
type Sheet struct {
	Tasting string       `json:"tasting"`
	Taster  string       `json:"taster"`
	Number  int          `json:"number"`
	Name    string       `json:"name"`
	Said    []SheetTrial `json:"said"`
	At      int64        `json:"at"`
}

// SheetTrial is what a taster said of one trial.
type SheetTrial struct {
	Letter string         `json:"letter"`
	Liking int            `json:"liking"`
	Traits map[string]int `json:"traits"`
	// Known tells whether they would have known: "no", "maybe", "yes".
	Known string `json:"known"`
	Words string `json:"words"`
}

// SheetView is what a taster is asked: the letters in the order they are served
// to this taster, and what was said before.
type SheetView struct {
	Name    string       `json:"name"`
	Dish    string       `json:"dish"`
	Letters []string     `json:"letters"`
	Names   []string     `json:"names"`
	Traits  []string     `json:"traits"`
	Closed  bool         `json:"closed"`
	Taster  string       `json:"taster"`
	Said    []SheetTrial `json:"said"`
	By      string       `json:"by"`
}

// Bounds of a tasting and its sheets.
const (
	mostServed    = 6
	mostAtTable   = 200
	mostSheetText = 500
	mostTasterKey = 64
)

// TastingRequest lays a table.
type TastingRequest struct {
	Name   string   `json:"name"`
	Trials []string `json:"trials"`
	// Traits are what the sheets ask for; left out, they are chosen.
	Traits []string `json:"traits"`
	Open   bool     `json:"open"`
}

func (k *Kitchen) makeTasting(c fiber.Ctx) error {
	var r TastingRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	t, err := k.LayTable(c.Context(), c.Params("id"), r)
	if err != nil {
		return err
	}
	return c.Status(fiber.StatusCreated).JSON(t)
}

// LayTable makes a tasting of trials of a dish.
func (k *Kitchen) LayTable(ctx context.Context, dish string, r TastingRequest) (Tasting, error) {
	var t Tasting
	d, err := k.open(ctx, dish)
	if err != nil {
		return t, err
	}
	all, err := k.trialsOf(ctx, d.ID)
	if err != nil {
		return t, err
	}
	if len(r.Trials) == 0 || len(r.Trials) > mostServed {
		return t, unprocessable("Choose what is tasted.", fieldError{"trials", fmt.Sprintf("must be between 1 and %d", mostServed)})
	}
	id, err := uuid.NewV7()
	if err != nil {
		return t, fmt.Errorf("make an id: %w", err)
	}
	t = Tasting{ID: id.String(), Dish: d.ID, Name: strings.TrimSpace(r.Name), Made: k.hearth.now().UnixMilli(), Served: []Glass{}, Traits: r.Traits, Blind: !r.Open}
	if t.Name == "" {
		t.Name = d.Document.Name
	}
	if len(t.Name) > mostDayName {
		return t, unprocessable("The name is too long.", fieldError{"name", fmt.Sprintf("holds more than %d letters", mostDayName)})
	}
	expected := map[string]float64{}
	for i, trial := range r.Trials {
		s := Glass{Letter: string(rune('A' + i)), Trial: trial, Name: "the original", Steps: map[string]float64{}}
		if trial != originalServed {
			at := slices.IndexFunc(all, func(x kept) bool { return x.id == trial })
			if at < 0 {
				return t, unprocessable("A trial of the table is not here.", fieldError{fmt.Sprintf("trials[%d]", i), "is no trial of this dish"})
			}
			s.Name, s.Steps = fmt.Sprintf("trial %d, %s", at+1, time.UnixMilli(all[at].trial.Kept).UTC().Format("2 January 2006")), all[at].dish.Traits
			for trait, steps := range s.Steps {
				if old, ok := expected[trait]; !ok || steps*steps > old*old {
					expected[trait] = steps
				}
			}
		}
		t.Served = append(t.Served, s)
	}
	if len(t.Traits) == 0 {
		t.Traits = tasting.Ask(d.Document.Decisions.Pins, expected)
	}
	if len(t.Traits) > tasting.MostTraits {
		return t, unprocessable("A sheet asks for few things.", fieldError{"traits", fmt.Sprintf("must be at most %d", tasting.MostTraits)})
	}
	for i, trait := range t.Traits {
		if _, ok := character.TraitNamed(trait); !ok {
			return t, unprocessable("A trait is not known.", fieldError{fmt.Sprintf("traits[%d]", i), fmt.Sprintf("%q is no trait", trait)})
		}
	}
	return t, k.saveTasting(ctx, t)
}

func (k *Kitchen) saveTasting(ctx context.Context, t Tasting) error {
	body, err := json.Marshal(t)
	if err != nil {
		return fmt.Errorf("encode the tasting: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.TastingEntry, t.ID, body)
}

func (k *Kitchen) tastingOf(ctx context.Context, id string) (Tasting, error) {
	var t Tasting
	e, err := k.Store.Entry(ctx, store.TastingEntry, id)
	if err != nil {
		return t, err
	}
	if err := json.Unmarshal(e.Body, &t); err != nil {
		return t, fmt.Errorf("decode tasting %s: %w", id, err)
	}
	return t, nil
}

// tastingsOf are the tastings of a dish, the newest first.
func (k *Kitchen) tastingsOf(ctx context.Context, dish string) ([]Tasting, error) {
	entries, err := k.Store.Entries(ctx, store.TastingEntry)
	if err != nil {
		return nil, err
	}
	out := []Tasting{}
	for _, e := range slices.Backward(entries) {
		var t Tasting
		if err := json.Unmarshal(e.Body, &t); err != nil {
			slog.Error("a tasting cannot be read", "tasting", e.Key, "cause", err)
			continue
		}
		if t.Dish == dish {
			out = append(out, t)
		}
	}
	return out, nil
}

func (k *Kitchen) tastings(c fiber.Ctx) error {
	list, err := k.tastingsOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	return c.JSON(list)
}

// sheetsOf are what was said at a tasting, by taster.
func (k *Kitchen) sheetsOf(ctx context.Context, id string) ([]Sheet, error) {
	rows, err := k.Store.Under(ctx, store.SheetEntry, id)
	if err != nil {
		return nil, err
	}
	at := map[string]int{}
	var out []Sheet
	for _, r := range rows {
		var s Sheet
		if err := json.Unmarshal(r.Body, &s); err != nil {
			slog.Error("a sheet cannot be read", "sheet", r.Key, "cause", err)
			continue
		}
		if i, known := at[s.Taster]; known {
			out[i] = s // the newest counts
			continue
		}
		at[s.Taster] = len(out)
		out = append(out, s)
	}
	return out, nil
}

// sheetFor is the sheet of a taster.
func (k *Kitchen) sheetFor(ctx context.Context, id, taster string) (*SheetView, error) {
	t, err := k.tastingOf(ctx, id)
	if err != nil {
		return nil, err
	}
	sheets, err := k.sheetsOf(ctx, id)
	if err != nil {
		return nil, err
	}
	d, err := k.open(ctx, t.Dish)
	if err != nil && !isNothing(err) {
		return nil, err
	}
	v := &SheetView{Name: t.Name, Dish: d.Document.Name, Traits: t.Traits, Closed: t.Closed > 0, Taster: taster, Said: []SheetTrial{}, Letters: []string{}, Names: []string{}}
	number := len(sheets)
	if at := slices.IndexFunc(sheets, func(s Sheet) bool { return s.Taster == taster }); at >= 0 {
		number, v.Said, v.By = sheets[at].Number, sheets[at].Said, sheets[at].Name
	}
	for _, at := range tasting.Order(len(t.Served), number) {
		v.Letters = append(v.Letters, t.Served[at].Letter)
		name := ""
		if !t.Blind {
			name = t.Served[at].Name
		}
		v.Names = append(v.Names, name)
	}
	return v, nil
}

// SheetRequest is a taster's sheet. Taster is drawn by the taster's own browser,
// so that a sheet can be changed and counts once.
type SheetRequest struct {
	Taster string       `json:"taster"`
	Name   string       `json:"name"`
	Said   []SheetTrial `json:"said"`
}

// fillSheet keeps what a taster says, until the tasting is closed.
func (k *Kitchen) fillSheet(c fiber.Ctx) error {
	var r SheetRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	l, err := k.linkOf(c, false)
	if err != nil {
		return err
	}
	if l.Kind != tastingLink {
		return problem{Title: "No sheet here", Status: fiber.StatusForbidden, Detail: "This link is for something else."}
	}
	if err := k.KeepSheet(store.WithScreen(c.Context(), "guest"), l.About, r); err != nil {
		return err
	}
	v, err := k.sheetFor(c.Context(), l.About, r.Taster)
	if err != nil {
		return err
	}
	return c.JSON(v)
}

// KeepSheet keeps what a taster says at a tasting.
func (k *Kitchen) KeepSheet(ctx context.Context, id string, r SheetRequest) error {
	k.changing.Lock()
	defer k.changing.Unlock()
	t, err := k.tastingOf(ctx, id)
	if err != nil {
		return err
	}
	if t.Closed > 0 {
		return problem{Title: "The tasting is over", Status: fiber.StatusConflict, Detail: "It was closed; what was said stays as it is."}
	}
	if err := r.check(&t); err != nil {
		return err
	}
	sheets, err := k.sheetsOf(ctx, t.ID)
	if err != nil {
		return err
	}
	s := Sheet{Tasting: t.ID, Taster: r.Taster, Number: len(sheets), Name: r.Name, Said: r.Said, At: k.hearth.now().UnixMilli()}
	if at := slices.IndexFunc(sheets, func(x Sheet) bool { return x.Taster == r.Taster }); at >= 0 {
		s.Number = sheets[at].Number
	} else if len(sheets) >= mostAtTable {
		return unprocessable("The table is full.", fieldError{"taster", fmt.Sprintf("is one beyond %d", mostAtTable)})
	}
	body, err := json.Marshal(s)
	if err != nil {
		return fmt.Errorf("encode the sheet: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.SheetEntry, store.Below(t.ID, int64(s.Number)), body)
}

func (r *SheetRequest) check(t *Tasting) error {
	wrong := func(field, detail string) error {
		return unprocessable("The sheet cannot be kept as it is.", fieldError{field, detail})
	}
	if r.Taster == "" || len(r.Taster) > mostTasterKey {
		return wrong("taster", "is missing or too long")
	}
	if len(r.Name) > mostScreen {
		return wrong("name", fmt.Sprintf("is longer than %d letters", mostScreen))
	}
	seen := map[string]bool{}
	for i, s := range r.Said {
		at := fmt.Sprintf("said[%d]", i)
		switch {
		case seen[s.Letter] || !slices.ContainsFunc(t.Served, func(x Glass) bool { return x.Letter == s.Letter }):
			return wrong(at+".letter", "must name each that is served once")
		case s.Liking != 0 && !whole(float64(s.Liking), 1, 9):
			return wrong(at+".liking", "must be a whole number from 1 to 9, or 0 for not said")
		case !slices.Contains([]string{"", "no", "maybe", "yes"}, s.Known):
			return wrong(at+".known", `must be "no", "maybe" or "yes"`)
		case len(s.Words) > mostSheetText:
			return wrong(at+".words", fmt.Sprintf("is longer than %d letters", mostSheetText))
		}
		seen[s.Letter] = true
		for trait, v := range s.Traits {
			if !slices.Contains(t.Traits, trait) || !whole(float64(v), -2, 2) {
				return wrong(at+".traits."+trait, "must be asked for, and a whole number from -2 to 2")
			}
		}
	}
	return nil
}

// TastingView is a tasting with what its sheets say.
type TastingView struct {
	Tasting  Tasting        `json:"tasting"`
	Sheets   []Sheet        `json:"sheets"`
	Answer   AnalyseAnswer  `json:"answer"`
	Said     []TrialSaid    `json:"said"`
	Compared []ComparedSaid `json:"compared"`
}

// TrialSaid is what the table said of one trial in words, the faults that cost
// most first.
type TrialSaid struct {
	Letter string   `json:"letter"`
	Trial  string   `json:"trial"`
	Say    []string `json:"say"`
	Known  []int    `json:"known"`
}

// ComparedSaid is how two trials were liked, in words.
type ComparedSaid struct {
	A   string `json:"a"`
	B   string `json:"b"`
	Say string `json:"say"`
}

// judged works out what the sheets of a tasting say.
func (k *Kitchen) judged(ctx context.Context, t Tasting) (TastingView, error) {
	sheets, err := k.sheetsOf(ctx, t.ID)
	if err != nil {
		return TastingView{}, err
	}
	v := TastingView{Tasting: t, Sheets: sheets, Said: []TrialSaid{}, Compared: []ComparedSaid{}}
	if v.Sheets == nil {
		v.Sheets = []Sheet{}
	}
	var r AnalyseRequest
	byLetter := map[string]*Glass{}
	known := map[string][]int{}
	for i := range t.Served {
		s := &t.Served[i]
		byLetter[s.Letter], known[s.Letter] = s, make([]int, 3)
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
			if byLetter[x.Letter] == nil {
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
			if at := slices.Index([]string{"no", "maybe", "yes"}, x.Known); at >= 0 {
				known[x.Letter][at]++
			}
		}
	}
	if v.Answer, err = Analyse(r); err != nil {
		return v, err
	}
	_, grouped := r.byTrial()
	for _, s := range t.Served {
		said := TrialSaid{Letter: s.Letter, Trial: s.Trial, Say: []string{}, Known: known[s.Letter]}
		type fault struct {
			cost float64
			say  string
		}
		var faults []fault
		for _, trait := range t.Traits {
			if j, ok := tasting.Judge(trait, grouped[s.Letter]); ok {
				cost := 0.0
				for _, p := range j.Penalties {
					cost = max(cost, p.Weighted)
				}
				faults = append(faults, fault{cost, tasting.Say(j)})
			}
		}
		slices.SortStableFunc(faults, func(a, b fault) int {
			switch {
			case a.cost > b.cost:
				return -1
			case a.cost < b.cost:
				return 1
			}
			return 0
		})
		for _, f := range faults {
			said.Say = append(said.Say, f.say)
		}
		v.Said = append(v.Said, said)
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
	k.changing.Lock()
	defer k.changing.Unlock()
	t, err := k.tastingOf(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	if t.Closed > 0 {
		t.Closed = 0
	} else {
		t.Closed = k.hearth.now().UnixMilli()
	}
	if err := k.saveTasting(c.Context(), t); err != nil {
		return err
	}
	return k.showTasting(c)
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
	for _, s := range sheets {
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
