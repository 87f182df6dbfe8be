package server

import (
	"fmt"
	"slices"
	"strconv"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/balance"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/sizing"
	"yembra/core/swap"
	"yembra/formats"
	"yembra/store"
)

// exportOriginal hands an original on as JSON-LD, Markdown or CSV.
func (k *Kitchen) exportOriginal(c fiber.Ctx) error {
	d, err := k.Store.Dish(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	var body []byte
	var kind, ending string
	switch c.Params("format") {
	case "jsonld":
		kind, ending = "application/ld+json", "jsonld"
		body, err = formats.ToJSONLD(d.Document.Name, d.Document.Original)
	case "markdown":
		kind, ending = "text/markdown; charset=utf-8", "md"
		body = formats.ToMarkdown(d.Document.Name, d.Document.Original)
	case "csv":
		kind, ending = "text/csv; charset=utf-8", "csv"
		body, err = formats.ToCSV(d.Document.Name, d.Document.Original)
	default:
		return problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "An original is given out as jsonld, markdown or csv."}
	}
	if err != nil {
		return err
	}
	return sendFile(c, d.Document.Name, ending, kind, body)
}

// sendFile hands out a file named after a dish.
func sendFile(c fiber.Ctx, dish, ending, kind string, body []byte) error {
	name := strings.Join(larder.Words(dish), "-")
	if name == "" {
		name = "dish"
	}
	c.Set(fiber.HeaderContentType, kind)
	c.Set(fiber.HeaderContentDisposition, fmt.Sprintf(`attachment; filename="%s.%s"`, name, ending))
	return c.Send(body)
}

// exportCard hands an adapted dish on as PDF, Markdown, JSON-LD, CSV or a page.
func (k *Kitchen) exportCard(c fiber.Ctx) error {
	card, sized, err := k.sizedCard(c)
	if err != nil {
		return err
	}
	card.Dish, card.Sizing = sized.Dish, sized.Notes
	var body []byte
	var kind, ending string
	switch c.Params("format") {
	case "pdf":
		kind, ending = "application/pdf", "pdf"
		body, err = formats.ToPDF(card, map[string]string{"letter": formats.Letter}[c.Query("paper")])
	case "markdown":
		kind, ending = "text/markdown; charset=utf-8", "md"
		body = formats.ToCardMarkdown(card)
	case "jsonld":
		kind, ending = "application/ld+json", "jsonld"
		body, err = formats.ToCardJSONLD(card)
	case "csv":
		kind, ending = "text/csv; charset=utf-8", "csv"
		body, err = formats.ToCSV(card.Name, card.Dish)
	case "html":
		kind, ending = "text/html; charset=utf-8", "html"
		body, err = formats.ToCardHTML(card)
	default:
		return problem{Title: "Not found", Status: fiber.StatusNotFound, Detail: "A card is given out as pdf, markdown, jsonld, csv or html."}
	}
	if err != nil {
		return err
	}
	return sendFile(c, card.Name, ending, kind, body)
}

// sized answers with the adapted dish for as many as the request asks for.
func (k *Kitchen) sized(c fiber.Ctx) error {
	_, out, err := k.sizedCard(c)
	if err != nil {
		return err
	}
	return c.JSON(out)
}

// sizedCard is the card that a request names, and its dish at the size asked.
func (k *Kitchen) sizedCard(c fiber.Ctx) (formats.Card, sizing.Dish, error) {
	d, err := k.Store.Dish(c.Context(), c.Params("id"))
	if err != nil {
		return formats.Card{}, sizing.Dish{}, err
	}
	card, err := k.card(d)
	if err != nil {
		return formats.Card{}, sizing.Dish{}, err
	}
	sized, err := k.size(c, card.Dish)
	return card, sized, err
}

// size scales a dish to ?servings=, or by ?factor= where the recipe does not
// say for how many it is.
func (k *Kitchen) size(c fiber.Ctx, d recipe.Dish) (sizing.Dish, error) {
	factor := 1.0
	for _, field := range []string{"servings", "factor"} {
		text := c.Query(field)
		if text == "" {
			continue
		}
		v, err := strconv.ParseFloat(text, 64)
		if err != nil {
			return sizing.Dish{}, unsized(field, fmt.Sprintf("%q is no number", text))
		}
		if factor = v; field == "servings" {
			if d.Serves == nil || d.Serves.Mid() <= 0 {
				return sizing.Dish{}, unsized(field, "the recipe does not say for how many it is; give a factor instead")
			}
			factor = v / d.Serves.Mid()
		}
		out, err := sizing.Scale(k.Core().Larder, d, factor)
		if err != nil {
			return sizing.Dish{}, unsized(field, err.Error())
		}
		return out, nil
	}
	return sizing.Scale(k.Core().Larder, d, factor)
}

func unsized(field, why string) error {
	return problem{Title: "Cannot be sized", Status: fiber.StatusUnprocessableEntity, Detail: larder.Capital(why) + ".", Errors: []fieldError{{Field: field, Detail: why}}}
}

// card gathers what is handed on of a dish.
func (k *Kitchen) card(d store.Dish) (formats.Card, error) {
	core, doc := k.Core(), d.Document
	a, err := core.Carrier.Adapt(doc.Original, doc.Decisions, false)
	if err != nil {
		return formats.Card{}, err
	}
	original, adapted, _, err := core.Book.Dishes(doc.Original, doc.Decisions)
	if err != nil {
		return formats.Card{}, err
	}
	sheet := balance.Of(core.Larder, original, adapted)
	card := formats.Card{Name: doc.Name, Place: doc.Place, Lives: doc.Decisions.LivesFrom, Allergens: append(sheet.Allergens.Come, sheet.Allergens.Both...)}
	card.Dish = recipe.Dish{Name: doc.Name, Serves: doc.Original.Serves, Notices: []recipe.Notice{}}
	said := map[string]bool{}
	once := func(list []string, text string) []string {
		if text == "" || said[text] {
			return list
		}
		said[text] = true
		return append(list, text)
	}
	for _, comp := range a.Components {
		part := recipe.Component{Name: comp.Name, Lines: []recipe.Line{}, Steps: []recipe.Step{}}
		for _, l := range comp.Lines {
			if l.Change == swap.Dropped {
				continue
			}
			part.Lines = append(part.Lines, l.Line)
			if l.Check {
				card.Labels = once(card.Labels, l.Name+": "+l.Why)
			}
		}
		for _, s := range comp.Steps {
			if s.Change == swap.Dropped {
				continue
			}
			part.Steps = append(part.Steps, s.Step)
			for _, x := range s.Cautions {
				if !said[x.Text] {
					said[x.Text] = true
					card.Cautions = append(card.Cautions, formats.Caution{Text: x.Text, Grave: x.Grave})
				}
			}
		}
		card.Dish.Components = append(card.Dish.Components, part)
	}
	name := func(ref string) string {
		var i, j int
		if _, err := fmt.Sscanf(ref, "components[%d].lines[%d]", &i, &j); err != nil {
			return ref
		}
		return doc.Original.Components[i].Lines[j].Name
	}
	for _, x := range a.Swaps {
		card.Changed = append(card.Changed, formats.Change{From: name(x.Replaces), To: x.Name, Why: x.Why})
		for _, text := range x.Cautions {
			if !said[text] {
				said[text] = true
				card.Cautions = append(card.Cautions, formats.Caution{Text: text})
			}
		}
		if s := core.Larder.SwapNamed(x.Swap); s != nil && s.Ahead != "" {
			card.Keeping = once(card.Keeping, larder.Capital(s.Short)+": "+s.Ahead)
		}
	}
	for _, o := range a.Unresolved {
		card.Open = append(card.Open, fmt.Sprintf("in place of %s: %s.", name(o.Line), o.Why))
	}
	slices.SortStableFunc(card.Cautions, func(x, y formats.Caution) int {
		switch {
		case x.Grave == y.Grave:
			return 0
		case x.Grave:
			return -1
		}
		return 1
	})
	card.Tally = fmt.Sprintf("%d kept, %d near, %d short, %d over.", a.Tally.Kept, a.Tally.Near, a.Tally.Short, a.Tally.Over)
	for _, n := range sheet.Nutrients {
		switch n.Name {
		case "energy":
			card.Energy = n.Adapted
		case "protein":
			card.Protein = n.Adapted
		case "fat":
			card.Fat = n.Adapted
		case "carbohydrate":
			card.Carbohydrate = n.Adapted
		case "fibre":
			card.Fibre = n.Adapted
		case "salt":
			card.Salt = n.Adapted
		}
	}
	return card, nil
}
