package formats

import (
	"bytes"
	"encoding/json"
	"fmt"
)

// ToCardCSV writes the card's lines and steps as a table.
func ToCardCSV(c Card) ([]byte, error) { return ToCSV(c.Name, c.handed()) }

// ToCardMarkdown writes the card with its notes.
func ToCardMarkdown(c Card) []byte {
	var b bytes.Buffer
	b.Write(ToMarkdown(c.Name, c.handed()))
	list := func(head string, items []string) {
		if len(items) == 0 {
			return
		}
		fmt.Fprintf(&b, "## %s\n\n", oneLine(head))
		for _, item := range items {
			b.WriteString("- " + oneLine(item) + "\n")
		}
		b.WriteString("\n")
	}
	if c.Weekday != "" {
		list("Weekday version", []string{c.Weekday})
	}
	list("Not finished", c.Open)
	list("To look at", c.Looks())
	var changed, cautions []string
	for _, x := range c.Changed {
		changed = append(changed, fmt.Sprintf("**%s**: %s", x.From, x.Words()))
	}
	for _, x := range c.Cautions {
		if x.Grave {
			cautions = append(cautions, "**"+x.Text+"**")
		} else {
			cautions = append(cautions, x.Text)
		}
	}
	list("What was changed", changed)
	list("Short of the original", c.Short)
	if cautions != nil {
		list("Take care", append(cautions, Deference))
	}
	list("Holds", c.Allergens)
	list("Labels to read", c.Labels)
	list("At this size", c.Sizing)
	list("As it was cooked", c.Cooked)
	list("What the table said", c.Table)
	list("As learned in this kitchen", c.Measured)
	list("Ahead and keeping", c.Keeping)
	for _, pot := range c.SidePots {
		list(pot.Title, append(append([]string{}, pot.Lines...), pot.Steps...))
	}
	list("A serving", c.Serving.notes())
	list("Sources of the figures", c.Sources)
	return b.Bytes()
}

// sodiumOfSalt is mg of sodium in a gram of salt (EU 1169/2011: salt = sodium x 2.5).
const sodiumOfSalt = 400

// ToCardJSONLD writes the card as a schema.org Recipe. It is called vegan only
// when no line is open.
func ToCardJSONLD(c Card) ([]byte, error) {
	plain, err := ToJSONLD(c.Name, c.handed())
	if err != nil {
		return nil, err
	}
	var out map[string]any
	if err := json.Unmarshal(plain, &out); err != nil {
		return nil, fmt.Errorf("extend JSON-LD: %w", err)
	}
	if len(c.Open) == 0 {
		out["suitableForDiet"] = "https://schema.org/VeganDiet"
	}
	if c.Lives != "" {
		out["description"] = c.Lives
	}
	if c.Place != "" {
		out["recipeCuisine"] = c.Place
	}
	out["nutrition"] = map[string]string{
		"@type": "NutritionInformation", "calories": fmt.Sprintf("%.0f kcal", c.Serving.Energy), "proteinContent": fmt.Sprintf("%.0f g", c.Serving.Protein),
		"fatContent": fmt.Sprintf("%.0f g", c.Serving.Fat), "carbohydrateContent": fmt.Sprintf("%.0f g", c.Serving.Carbohydrate), "fiberContent": fmt.Sprintf("%.0f g", c.Serving.Fibre),
		"sodiumContent": fmt.Sprintf("%.0f mg", c.Serving.Salt*sodiumOfSalt),
	}
	return indented(out)
}
