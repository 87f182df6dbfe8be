package server

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"

	"github.com/gofiber/fiber/v3"

	"yembra/core/tasting"
	"yembra/server/texts"
	"yembra/store"
)

// sheetsOf are what was said at a tasting, by taster.
func (k *Kitchen) sheetsOf(ctx context.Context, id string) ([]Sheet, error) {
	rows, err := k.Store.Under(ctx, store.SheetEntry, id)
	if err != nil {
		return nil, err
	}
	at := map[string]int{}
	var out []Sheet
	for _, r := range rows {
		s, ok := readEntry[Sheet]("a sheet", r)
		if !ok {
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

// seated are the sheets of a table at which a taster has a seat: who looks first is
// dealt the next, so that the order in which things are served to them stays.
func (k *Kitchen) seated(ctx context.Context, t *Tasting, taster string) ([]Sheet, error) {
	k.changing.Lock()
	defer k.changing.Unlock()
	sheets, err := k.sheetsOf(ctx, t.ID)
	if err != nil || t.Closed > 0 || taster == "" || len(taster) > mostTasterKey || len(sheets) >= mostAtTable || slices.ContainsFunc(sheets, func(s Sheet) bool { return s.Taster == taster }) {
		return sheets, err
	}
	s := Sheet{Tasting: t.ID, Taster: taster, Number: len(sheets), Said: []SheetTrial{}, At: k.hearth.now().UnixMilli()}
	return append(sheets, s), k.saveSheet(ctx, s)
}

func (k *Kitchen) saveSheet(ctx context.Context, s Sheet) error {
	body, err := json.Marshal(s)
	if err != nil {
		return fmt.Errorf("encode the sheet: %w", err)
	}
	return k.Store.SaveEntry(ctx, store.SheetEntry, store.Below(s.Tasting, int64(s.Number)), body)
}

// sheetFor is the sheet of a taster.
func (k *Kitchen) sheetFor(ctx context.Context, id, taster string) (*SheetView, error) {
	t, err := k.tastingOf(ctx, id)
	if err != nil {
		return nil, err
	}
	sheets, err := k.seated(ctx, &t, taster)
	if err != nil {
		return nil, err
	}
	d, err := k.open(ctx, t.Dish)
	if err != nil && !isNothing(err) {
		return nil, err
	}
	v := &SheetView{Name: t.Name, Dish: d.Document.Name, Traits: t.Traits, Closed: t.Closed > 0, Taster: taster, Said: []SheetTrial{}, Letters: []string{}, Names: []string{}}
	if v.Guests = t.Guests; v.Guests == nil {
		v.Guests = []string{}
	}
	number := len(sheets)
	if at := slices.IndexFunc(sheets, func(s Sheet) bool { return s.Taster == taster }); at >= 0 {
		number, v.Said, v.By, v.Odd = sheets[at].Number, sheets[at].Said, sheets[at].Name, sheets[at].Odd
	}
	if t.Triangle {
		v.Triangle, v.Tray = true, number+1
		return v, nil
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
	Odd    int          `json:"odd"`
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
		return problem{Title: texts.Say("noSheetHere"), Status: fiber.StatusForbidden, Detail: texts.Say("thisLinkIsForSomethingElse")}
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
		return problem{Title: texts.Say("theTastingIsOver"), Status: fiber.StatusConflict, Detail: texts.Say("itWasClosedWhatWasSaid")}
	}
	if err := r.check(&t); err != nil {
		return err
	}
	sheets, err := k.sheetsOf(ctx, t.ID)
	if err != nil {
		return err
	}
	s := Sheet{Tasting: t.ID, Taster: r.Taster, Number: len(sheets), Name: r.Name, Said: r.Said, Odd: r.Odd, At: k.hearth.now().UnixMilli()}
	if at := slices.IndexFunc(sheets, func(x Sheet) bool { return x.Taster == r.Taster }); at >= 0 {
		s.Number = sheets[at].Number
	} else if len(sheets) >= mostAtTable {
		return unprocessable(texts.Say("theTableIsFull"), fieldError{"taster", texts.Say("isOneBeyond", mostAtTable)})
	}
	return k.saveSheet(ctx, s)
}

func (r *SheetRequest) check(t *Tasting) error {
	wrong := func(field, detail string) error {
		return unprocessable(texts.Say("theSheetCannotBeKeptAs"), fieldError{field, detail})
	}
	if r.Taster == "" || len(r.Taster) > mostTasterKey {
		return wrong("taster", "is missing or too long")
	}
	if len(r.Name) > mostScreen {
		return wrong("name", fmt.Sprintf("is longer than %d letters", mostScreen))
	}
	if t.Triangle && len(r.Said) > 0 {
		return wrong("said", "must be empty: a triangle asks for the odd cup only")
	}
	if r.Odd != 0 && (!t.Triangle || r.Odd < 1 || r.Odd > 3) {
		return wrong("odd", "must be the cup 1, 2 or 3 of a triangle, or 0 for not said")
	}
	seen := map[string]bool{}
	for i, s := range r.Said {
		at := fmt.Sprintf("said[%d]", i)
		switch {
		case seen[s.Letter] || !slices.ContainsFunc(t.Served, func(x Glass) bool { return x.Letter == s.Letter }):
			return wrong(at+".letter", "must name each that is served once")
		case s.Liking != 0 && !whole(float64(s.Liking), 1, 9):
			return wrong(at+".liking", "must be a whole number from 1 to 9, or 0 for not said")
		case s.Known != "" && !slices.Contains(knownWords, s.Known):
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
