package server

import (
	"fmt"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/larder"
	"yembra/formats"
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
	name := strings.Join(larder.Words(d.Document.Name), "-")
	if name == "" {
		name = "dish"
	}
	c.Set(fiber.HeaderContentType, kind)
	c.Set(fiber.HeaderContentDisposition, fmt.Sprintf(`attachment; filename="%s.%s"`, name, ending))
	return c.Send(body)
}
