package server

import (
	"errors"
	"fmt"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/formats"
	"yembra/server/texts"
)

func (k *Kitchen) health(c fiber.Ctx) error {
	return c.JSON(fiber.Map{"status": "ok", "version": k.Version, "knowledge": k.Knowledge})
}

// ReadRequest asks to read a recipe.
type ReadRequest struct {
	Text     *string        `json:"text"`
	Format   string         `json:"format"`
	Measures measure.System `json:"measures"`
}

// Read answers a read request; errors are problems.
func (k *Kitchen) Read(r ReadRequest) (recipe.Dish, error) {
	if r.Text == nil {
		return recipe.Dish{}, badRequest(texts.Say("theTextOfTheRecipeIs"), fieldError{"text", texts.Say("isRequired")})
	}
	if r.Measures == "" {
		r.Measures = measure.US
	}
	if !r.Measures.Known() {
		return recipe.Dish{}, badRequest(texts.Say("theSystemOfMeasuresIsNot"), fieldError{"measures", texts.Say("mustBeUsMetricImperialOr")})
	}
	text := strings.ToValidUTF8(*r.Text, "\uFFFD")
	format := r.Format
	if format == "" || format == "auto" {
		format = formats.Detect(text)
	}
	switch format {
	case formats.Text, "markdown":
		return k.Core().Reader.Read(text, r.Measures), nil
	case formats.JSONLD:
		src, err := formats.FromJSONLD(text)
		if errors.Is(err, formats.ErrNoRecipe) {
			return k.Core().Reader.Read("", r.Measures), nil
		}
		if err != nil {
			return recipe.Dish{}, badRequest(texts.Say("theTextIsNotValidJson"), fieldError{"text", err.Error()})
		}
		return k.Core().Reader.Source(src, r.Measures), nil
	case formats.CSV:
		return k.readTable(text, r.Measures)
	case formats.HTML:
		src, words, err := formats.FromHTML(text)
		if err != nil {
			return recipe.Dish{}, badRequest(texts.Say("thePageCannotBeRead"), fieldError{"text", err.Error()})
		}
		if src != nil {
			return k.Core().Reader.Source(*src, r.Measures), nil
		}
		return k.Core().Reader.Read(words, r.Measures), nil
	}
	return recipe.Dish{}, badRequest(texts.Say("theFormatIsNotKnown"), fieldError{"format", texts.Say("mustBeAutoTextMarkdownJsonld")})
}

// readTable reads a CSV table; lines whose food the table names otherwise than
// the reader would are taken as the table says.
func (k *Kitchen) readTable(text string, sys measure.System) (recipe.Dish, error) {
	src, foods, err := formats.FromCSV(text)
	if err != nil {
		return recipe.Dish{}, badRequest(texts.Say("theTableCannotBeRead"), fieldError{"text", err.Error()})
	}
	d := k.Core().Reader.Source(src, sys)
	said := map[string]string{} // a line of the table can be several of the dish
	for i, s := range src.Sections {
		for j, line := range s.Lines {
			said[k.Core().Reader.Line(line, sys).Text] = foods[i][j]
		}
	}
	for _, c := range d.Components {
		for j := range c.Lines {
			l := &c.Lines[j]
			if f := k.Core().Larder.Food(said[l.Text]); f != nil && f.ID != l.FoodID() {
				*l = k.Core().Reader.LineAs(l.Text, f, sys)
			}
		}
	}
	k.Core().Reader.Dish(&d)
	return d, nil
}

func (k *Kitchen) read(c fiber.Ctx) error {
	var r ReadRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	return answerOnce(k, c, func() (recipe.Dish, error) { return k.Read(r) })
}

// LineRequest asks to read one ingredient line, with the food named by the
// cook when it was not understood.
type LineRequest struct {
	Text     string         `json:"text"`
	Food     string         `json:"food"`
	Measures measure.System `json:"measures"`
}

func (k *Kitchen) readLine(c fiber.Ctx) error {
	var r LineRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if len(r.Text) > mostLineBytes || strings.TrimSpace(r.Text) == "" {
		return unprocessable(texts.Say("aLineHoldsBetweenOneLetter"), fieldError{"text", texts.Say("isEmptyOrTooLong")})
	}
	if !r.Measures.Known() {
		r.Measures = measure.Metric
	}
	if r.Food == "" {
		return c.JSON(k.Core().Reader.Line(r.Text, r.Measures))
	}
	f := k.Core().Larder.Food(r.Food)
	if f == nil {
		return unprocessable(texts.Say("theFoodIsNotInThe"), fieldError{"food", texts.Say("isNotKnown", r.Food)})
	}
	return c.JSON(k.Core().Reader.LineAs(r.Text, f, r.Measures))
}

const mostLineBytes = 2000

// StepRequest asks to read one step against the texts of its component's
// lines.
type StepRequest struct {
	Text  string        `json:"text"`
	Lines []recipe.Line `json:"lines"`
}

// mostStepBytes bounds one step.
const mostStepBytes = 10000

func (k *Kitchen) readStep(c fiber.Ctx) error {
	var r StepRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if len(r.Text) > mostStepBytes || strings.TrimSpace(r.Text) == "" {
		return unprocessable(texts.Say("aStepHoldsBetweenOneLetter"), fieldError{"text", texts.Say("isEmptyOrTooLong")})
	}
	if len(r.Lines) > mostLines {
		return unprocessable(texts.Say("aComponentMayHoldLinesAt", mostLines), fieldError{"lines", texts.Say("areTooMany")})
	}
	return c.JSON(k.Core().Reader.Step(r.Text, r.Lines))
}

// ConvertRequest asks to express an amount of a food in another unit.
type ConvertRequest struct {
	Food     string          `json:"food"`
	Form     string          `json:"form"`
	Amount   *measure.Amount `json:"amount"`
	To       measure.Unit    `json:"to"`
	Measures measure.System  `json:"measures"`
}

// ConvertAnswer is the converted amount with the figure it rests on.
type ConvertAnswer struct {
	Amount   measure.Amount `json:"amount"`
	Shown    string         `json:"shown"`
	Source   string         `json:"source"`
	Estimate bool           `json:"estimate"`
	Basis    string         `json:"basis"`
}

func (k *Kitchen) convert(c fiber.Ctx) error {
	var r ConvertRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	a, err := k.Convert(r)
	if err != nil {
		return err
	}
	return c.JSON(a)
}

// Convert answers a convert request; errors are problems.
func (k *Kitchen) Convert(r ConvertRequest) (ConvertAnswer, error) {
	var wrong []fieldError
	note := func(bad bool, field, detail string) {
		if bad {
			wrong = append(wrong, fieldError{field, detail})
		}
	}
	food := k.Core().Larder.Food(r.Food)
	_, knownTo := measure.DimensionOf(r.To)
	note(r.Amount == nil, "amount", "is required")
	if r.Amount != nil {
		_, known := measure.DimensionOf(r.Amount.Unit)
		note(!known, "amount.unit", fmt.Sprintf("%q is no unit", r.Amount.Unit))
		note(!r.Amount.Span().Within(0, measure.MostFigure), "amount", fmt.Sprintf("must be a range of figures from 0 to %g", float64(measure.MostFigure)))
	}
	note(!knownTo, "to", fmt.Sprintf("%q is no unit", r.To))
	note(r.Measures != "" && !r.Measures.Known(), "measures", "must be us, metric, imperial or australian")
	if wrong != nil {
		return ConvertAnswer{}, badRequest(texts.Say("theAmountCannotBeRead"), wrong...)
	}
	if r.Measures == "" {
		r.Measures = measure.US
	}
	var m measure.Matter
	if food != nil {
		m = food.MatterOf(r.Form)
	}
	a, basis, err := measure.Convert(*r.Amount, "", m, r.To, r.Measures)
	if err != nil {
		reason := fmt.Sprintf("No density or piece weight is known that turns %s into %s.", r.Amount.Unit, r.To)
		if food == nil && r.Food != "" {
			reason = fmt.Sprintf("%q is not in the larder, so its weight is not known.", r.Food)
		}
		return ConvertAnswer{}, unprocessable(reason, fieldError{"food", err.Error()})
	}
	return ConvertAnswer{a, shown(a), k.Core().Larder.SourceTitle(basis.Source), basis.Estimate, basis.Text}, nil
}

func shown(a measure.Amount) string {
	if g := measure.GramsOf(a.Unit); g > 0 && (a.Unit == measure.Gram || a.Unit == measure.Kilogram) {
		return strings.ReplaceAll(measure.ShowGrams(a.Span().Times(g), measure.Loose), measure.ThinSpace, " ")
	}
	return strings.ReplaceAll(a.String(), measure.ThinSpace, " ")
}

// Limits on what an original may hold, far above any real recipe.
const (
	mostLines      = 400
	mostComponents = 60
)
