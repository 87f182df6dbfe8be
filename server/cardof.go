package server

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"yembra/core/swap"
	"yembra/server/texts"

	"github.com/gofiber/fiber/v3"

	"yembra/core/balance"
	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/method"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/formats"
	"yembra/store"
)

// sizedCard is the card that a request names, at the size it asks for.
func (k *Kitchen) sizedCard(c fiber.Ctx) (formats.Card, error) {
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return formats.Card{}, err
	}
	work := k.card
	if c.Query("weekday") == "true" {
		work = k.weekdayCard
	}
	card, err := work(d)
	if err != nil {
		return formats.Card{}, err
	}
	factor, field, err := factorOf(c, card.Dish)
	if err != nil {
		return formats.Card{}, err
	}
	settings, err := k.loadSettings(c.Context())
	if err != nil {
		return formats.Card{}, err
	}
	if err := k.sizeCard(&card, factor, settings.Measures); err != nil {
		return formats.Card{}, unsized(field, err.Error())
	}
	pictures, err := k.Store.Pictures(c.Context(), dishPicture, d.ID)
	if err != nil || len(pictures) == 0 {
		return card, err
	}
	card.Picture = pictures[0].ID
	if c.Params("format") == "pdf" {
		card.Plate, err = k.Store.PictureBody(c.Context(), card.Picture, false)
	}
	return card, err
}

// sizeCard scales a card and gives its amounts in both measures.
func (k *Kitchen) sizeCard(card *formats.Card, factor float64, measures measure.System) error {
	sized, err := sizing.Scale(k.Core().Larder, card.Dish, factor)
	if err != nil {
		return err
	}
	card.Dish, card.Sizing, card.Factor = sized.Dish, sized.Notes, factor
	card.Beside, card.Bought = make([][]string, len(card.Dish.Components)), make([][]string, len(card.Dish.Components))
	for i, comp := range card.Dish.Components {
		card.Beside[i], card.Bought[i] = make([]string, len(comp.Lines)), make([]string, len(comp.Lines))
		for j, l := range comp.Lines {
			if f := k.Core().Larder.Food(l.FoodID()); f != nil {
				card.Beside[i][j] = sizing.Beside(l, f.MatterOf(l.Form), measures)
				if bought := sizing.AsBought(l, f); bought != "" {
					card.Bought[i][j] = bought
					card.Beside[i][j] = strings.TrimPrefix(card.Beside[i][j]+", "+bought, ", ")
				}
			}
		}
	}
	return nil
}

// factorOf is how many times the recipe a request asks for: by ?servings=, by
// ?factor=, by the grams there are (?have=) of a ?line=0.3 (component and line
// of the card), or by a ?pan= in place of the recipe's own ?from=, compared ?by=
// area or volume.
func factorOf(c fiber.Ctx, d recipe.Dish) (factor float64, field string, err error) {
	number := func(field string) (float64, error) {
		v, err := strconv.ParseFloat(c.Query(field), 64)
		if err != nil {
			return 0, unsized(field, fmt.Sprintf("%q is no number", c.Query(field)))
		}
		return v, nil
	}
	switch {
	case c.Query("servings") != "":
		v, err := number("servings")
		if err != nil {
			return 0, "", err
		}
		if d.Serves == nil || d.Serves.Mid() <= 0 {
			return 0, "", unsized("servings", "the recipe does not say for how many it is; give a factor instead")
		}
		return v / d.Serves.Mid(), "servings", nil
	case c.Query("have") != "":
		v, err := number("have")
		if err != nil {
			return 0, "", err
		}
		var component, line int
		if _, err := fmt.Sscanf(c.Query("line"), "%d.%d", &component, &line); err != nil {
			return 0, "", unsized("line", "name the line by its component and number, such as 0.3")
		}
		factor, err := sizing.HaveFactor(d, component, line, v)
		if err != nil {
			return 0, "", unsized("line", err.Error())
		}
		return factor, "have", nil
	case c.Query("pan") != "":
		from, err := sizing.ParsePan(c.Query("from"))
		if err != nil {
			return 0, "", unsized("from", err.Error())
		}
		to, err := sizing.ParsePan(c.Query("pan"))
		if err != nil {
			return 0, "", unsized("pan", err.Error())
		}
		factor, err := sizing.PanFactor(from, to, c.Query("by"))
		if err != nil {
			return 0, "", unsized("by", err.Error())
		}
		return factor, "pan", nil
	case c.Query("factor") != "":
		factor, err = number("factor")
		return factor, "factor", err
	}
	return 1, "factor", nil
}

func unsized(field, why string) error {
	return problem{Title: texts.Say("cannotBeSized"), Status: fiber.StatusUnprocessableEntity, Detail: larder.Capital(why) + ".", Errors: []fieldError{{Field: field, Detail: why}}}
}

// card gathers what is handed on of a dish.
func (k *Kitchen) card(d store.Dish) (formats.Card, error) {
	core, doc := k.Core(), d.Document
	a, err := core.Carrier.Adapt(doc.Original, doc.Placed(), false)
	if err != nil {
		return formats.Card{}, err
	}
	original, adapted, _, err := core.Book.Dishes(doc.Original, doc.Placed())
	if err != nil {
		return formats.Card{}, err
	}
	sheet := balance.Of(core.Larder, original, adapted)
	b := cardMaker{core: core, doc: &doc, said: map[string]bool{}, card: formats.Card{
		Name: doc.Name, Place: doc.Place, Lives: doc.Decisions.LivesFrom, Allergens: append(sheet.Allergens.Come, sheet.Allergens.Both...),
		Open: []string{}, Changed: []formats.Replaced{}, Findings: []formats.CardFinding{}, Short: []string{}, Cautions: []formats.CardCaution{}, Labels: []string{}, Cooked: []string{}, Table: []string{}, Keeping: []string{}, SidePots: []formats.Pot{}, Sources: []string{},
	}}
	card := &b.card
	slices.Sort(card.Allergens)
	card.Dish = recipe.Dish{Name: doc.Name, Serves: doc.Original.Serves, Notices: []recipe.Notice{}}
	for i, comp := range method.Parts(core.Larder, a) {
		b.part(i, comp)
	}
	b.swaps(&a)
	slices.SortStableFunc(card.Cautions, func(x, y formats.CardCaution) int {
		switch {
		case x.Grave == y.Grave:
			return 0
		case x.Grave:
			return -1
		}
		return 1
	})
	card.Measured = append(core.measuredFor(&card.Dish), core.tastedFor(&d.Document.Original, &a)...)
	card.Tally = fmt.Sprintf("%d kept, %d near, %d short, %d over.", a.Tally.Kept, a.Tally.Near, a.Tally.Short, a.Tally.Over)
	for _, pot := range a.SidePots {
		title := fmt.Sprintf("Side pot for %g who eat the original", pot.Guests)
		if pot.Component != "" {
			title += ": " + strings.ToLower(pot.Component)
		}
		card.SidePots = append(card.SidePots, formats.Pot{Title: title, Lines: pot.Lines, Steps: append(slices.Clone(pot.Steps), pot.Core...)})
	}
	card.Sources = append(card.Sources, "swap amounts, times and what else has no source: estimates of the book")
	b.serving(sheet.Nutrients)
	return *card, nil
}

// cardMaker fills a card; what it says once it does not say again.
type cardMaker struct {
	core *Core
	doc  *store.Document
	card formats.Card
	said map[string]bool
}

// once adds a text that the card does not say yet.
func (b *cardMaker) once(list []string, text string) []string {
	if text == "" || b.said[text] {
		return list
	}
	b.said[text] = true
	return append(list, text)
}

func (b *cardMaker) caution(text string, grave bool) {
	if !b.said[text] {
		b.said[text] = true
		b.card.Cautions = append(b.card.Cautions, formats.CardCaution{Text: text, Grave: grave})
	}
}

// part adds a part of the dish with what is to be looked at in it.
func (b *cardMaker) part(i int, comp swap.Component) {
	part := recipe.Component{Name: comp.Name, Lines: []recipe.Line{}, Steps: []recipe.Step{}}
	for _, l := range comp.Lines {
		part.Lines = append(part.Lines, l.Line)
		if l.Check {
			b.card.Labels = b.once(b.card.Labels, l.Name+": "+l.Why)
		}
		if f := b.core.Larder.Food(l.FoodID()); f != nil && f.Per100.Source != "" {
			if code, _, _ := strings.Cut(f.Per100.Source, ":"); code != larder.Estimate {
				b.card.Sources = b.once(b.card.Sources, b.core.Larder.SourceTitle(code))
			}
		}
	}
	for n, s := range comp.Steps {
		part.Steps = append(part.Steps, s.Step)
		for _, f := range s.Findings {
			b.card.Findings = append(b.card.Findings, formats.CardFinding{Part: i, Step: n, Kind: string(f.Kind), Text: f.Text, Quote: s.Quote})
		}
		for _, x := range s.Cautions {
			b.caution(x.Text, x.Grave)
		}
	}
	b.card.Dish.Components = append(b.card.Dish.Components, part)
}

// swaps adds what was changed for what, what is open and what stayed short.
func (b *cardMaker) swaps(a *swap.Adaptation) {
	name := func(ref string) string {
		i, j, ok := recipe.ParseLineRef(ref)
		if !ok {
			return ref
		}
		return b.doc.Original.Components[i].Lines[j].Name
	}
	for _, x := range a.Swaps {
		b.card.Changed = append(b.card.Changed, formats.Replaced{From: name(x.Replaces), To: x.Name, Why: x.Why, Limits: x.Limits})
		for _, text := range x.Cautions {
			b.caution(text, false)
		}
		if s := b.core.Larder.SwapNamed(x.Swap); s != nil && s.Ahead != "" {
			b.card.Keeping = b.once(b.card.Keeping, larder.Capital(s.Short)+": "+s.Ahead)
		}
	}
	for _, o := range a.Unresolved {
		b.card.Open = append(b.card.Open, fmt.Sprintf("In place of %s: %s.", name(o.Line), o.Why))
	}
	for _, t := range a.Traits {
		if t.Pinned && t.Verdict == character.Short {
			b.card.Short = b.once(b.card.Short, fmt.Sprintf("%s, which you pinned, stays short by %.1f steps.", larder.Capital(t.Trait), -t.Steps))
		}
	}
}

// serving adds what a serving gives.
func (b *cardMaker) serving(nutrients []balance.Nutrient) {
	s := &b.card.Serving
	into := map[string]*float64{"energy": &s.Energy, "protein": &s.Protein, "fat": &s.Fat, "carbohydrate": &s.Carbohydrate, "fibre": &s.Fibre, "salt": &s.Salt}
	for _, n := range nutrients {
		if v := into[n.Name]; v != nil {
			*v = n.Adapted
		}
	}
}
