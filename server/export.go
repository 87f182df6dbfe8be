package server

import (
	"fmt"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/formats"
	"yembra/server/texts"
)

// exportOriginal hands an original on as JSON-LD, Markdown or CSV.
func (k *Kitchen) exportOriginal(c fiber.Ctx) error {
	d, err := k.open(c.Context(), c.Params("id"))
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
		return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("anOriginalIsGivenOutAs")}
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
	card, err := k.sizedCard(c)
	if err != nil {
		return err
	}
	return sendCard(c, card)
}

// sendCard hands a card out in the form that the path names.
func sendCard(c fiber.Ctx, card formats.Card) error {
	var body []byte
	var kind, ending string
	var err error
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
		body, err = formats.ToCardCSV(card)
	case "html":
		kind, ending = "text/html; charset=utf-8", "html"
		body, err = formats.ToCardHTML(card)
	default:
		return problem{Title: texts.Say("notFound"), Status: fiber.StatusNotFound, Detail: texts.Say("aCardIsGivenOutAs")}
	}
	if err != nil {
		return err
	}
	return sendFile(c, card.Name, ending, kind, body)
}

// showCard answers with the card at the size that the request asks for.
func (k *Kitchen) showCard(c fiber.Ctx) error {
	card, err := k.sizedCard(c)
	if err != nil {
		return err
	}
	return c.JSON(card)
}
