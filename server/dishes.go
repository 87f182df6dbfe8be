package server

import (
	"context"
	"errors"
	"strconv"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/server/texts"
	"yembra/store"
)

func etag(edit int64) string { return `"` + strconv.FormatInt(edit, 10) + `"` }

func (k *Kitchen) answerDish(c fiber.Ctx, status int, d store.Dish) error {
	c.Set("ETag", etag(d.Edit))
	return c.Status(status).JSON(k.viewKept(d))
}

// CreateRequest asks for a new dish from the text of a recipe.
type CreateRequest struct {
	Text     string         `json:"text"`
	Measures measure.System `json:"measures"`
	Name     string         `json:"name"`
	Place    string         `json:"place"`
	Country  string         `json:"country"`
}

func (k *Kitchen) createDish(c fiber.Ctx) error {
	var r CreateRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	if err := checkNames(&r.Name, &r.Place, &r.Country, nil); err != nil {
		return err
	}
	if strings.TrimSpace(r.Text) == "" {
		return unprocessable(texts.Say("thereIsNoTextYetPaste"), fieldError{"text", texts.Say("isEmpty")})
	}
	d, err := k.Read(ReadRequest{Text: &r.Text, Measures: r.Measures})
	if err != nil {
		return err
	}
	lines := 0
	for _, comp := range d.Components {
		lines += len(comp.Lines)
	}
	if lines == 0 {
		return unprocessable(texts.Say("noListOfIngredientsWasFound"), fieldError{"text", texts.Say("holdsNoIngredientList")})
	}
	if r.Country == "" {
		r.Country = k.Core().Larder.CountryIn(r.Place)
	}
	doc := store.Document{Name: first(r.Name, d.Name, "Untitled dish"), Place: r.Place, Country: r.Country, Source: r.Text, Original: d,
		Decisions: swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood, Off: []string{}}, Pins: []string{}, Swaps: map[string]string{}, Boosters: []swap.Dose{}}}
	settings, err := k.loadSettings(c.Context())
	if err != nil {
		return err
	}
	doc.Decisions.HouseRules = settings.forGuests(k.Core().Larder)
	made, err := k.NewDish(c.Context(), doc)
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusCreated, made)
}

// NewDish keeps a dish. Its method is read once more, since actions are called
// after steps, which have their names from now on.
func (k *Kitchen) NewDish(ctx context.Context, doc store.Document) (store.Dish, error) {
	doc.Settle()
	k.Core().Reader.Dish(&doc.Original)
	return k.Store.Create(ctx, doc)
}

func first(options ...string) string {
	for _, o := range options {
		if o = strings.TrimSpace(o); o != "" {
			return o
		}
	}
	return ""
}

// open finds a dish, with all that is said of it; what cannot be said leaves it in reach all the same.
func (k *Kitchen) open(ctx context.Context, id string) (store.Dish, error) {
	d, err := k.Store.Dish(ctx, id)
	if err == nil {
		guarded(id, wordsPart, func() error { k.Core().Reader.Told(&d.Document.Original); return nil })
	}
	return d, err
}

func (k *Kitchen) dish(c fiber.Ctx) error {
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusOK, d)
}

// SaveRequest changes parts of a dish; what is left out stays as it is.
type SaveRequest struct {
	What      string          `json:"what"`
	Name      *string         `json:"name,omitempty"`
	Place     *string         `json:"place,omitempty"`
	Country   *string         `json:"country,omitempty"`
	Original  *recipe.Dish    `json:"original,omitempty"`
	Decisions *swap.Decisions `json:"decisions,omitempty"`
	// From, Labels, Notes, Disputed and Settled are what the cook says of the dish.
	From     *string           `json:"from,omitempty"`
	Labels   *[]string         `json:"labels,omitempty" jsonschema:"nullable"`
	Notes    map[string]string `json:"notes,omitempty"`
	Disputed *[]store.Disputed `json:"disputed,omitempty" jsonschema:"nullable"`
	Settled  *bool             `json:"settled,omitempty"`
}

// ifMatch reads the edit that the caller's copy of the dish has.
func ifMatch(c fiber.Ctx) (int64, error) {
	edit, err := strconv.ParseInt(strings.Trim(c.Get("If-Match"), `"`), 10, 64)
	if err != nil {
		return 0, problem{Title: texts.Say("whichVersionIsMeant"), Status: fiber.StatusPreconditionRequired, Detail: texts.Say("theRequestMustSayWithIf")}
	}
	return edit, nil
}

func (k *Kitchen) saveDish(c fiber.Ctx) error {
	var r SaveRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	edit, err := ifMatch(c)
	if err != nil {
		return err
	}
	d, err := k.open(c.Context(), c.Params("id"))
	if err != nil {
		return err
	}
	doc := d.Document
	if err := k.merge(&doc, r); err != nil {
		return err
	}
	// It is computed before it is kept, so that an answer that says nothing was
	// changed is true.
	d.Document = doc
	v := k.viewDish(d)
	if len(v.Faults) > 0 && r.Decisions != nil {
		return problem{Title: texts.Say("somethingWentWrongInTheKitchen"), Status: fiber.StatusInternalServerError, Detail: texts.Say("theDishCouldNotBeWorked") + v.Faults[0].Text}
	}
	saved, err := k.Store.Save(c.Context(), d.ID, edit, first(r.What, texts.Keep("changedTheDish")), doc)
	return k.afterChange(c, d.ID, saved, err)
}

func (k *Kitchen) merge(doc *store.Document, r SaveRequest) error {
	if err := checkNames(r.Name, r.Place, r.Country, &r.What); err != nil {
		return err
	}
	if r.Name != nil {
		if doc.Name = strings.TrimSpace(*r.Name); doc.Name == "" {
			return unprocessable(texts.Say("aDishNeedsAName"), fieldError{"name", texts.Say("isEmpty")})
		}
	}
	if r.Place != nil {
		doc.Place = strings.TrimSpace(*r.Place)
	}
	if r.Country != nil {
		doc.Country = *r.Country
	}
	if err := r.say(doc); err != nil {
		return err
	}
	if r.Original != nil {
		if err := k.checkOriginal(*r.Original); err != nil {
			return err
		}
		doc.Original = *r.Original
		k.Core().Reader.Dish(&doc.Original)
	}
	if r.Decisions != nil {
		if err := checkDecisions(k.Core().Larder, *r.Decisions); err != nil {
			return err
		}
		doc.Decisions = *r.Decisions
	}
	return nil
}

// afterChange answers with the changed dish, or with the newer one and status
// 412 when the change came too late.
func (k *Kitchen) afterChange(c fiber.Ctx, id string, d store.Dish, err error) error {
	if errors.Is(err, store.ErrChanged) {
		newer, err := k.open(c.Context(), id)
		if err != nil {
			return err
		}
		v := k.viewDish(newer)
		return problem{Title: texts.Say("changedElsewhere"), Status: fiber.StatusPreconditionFailed, Detail: texts.Say("thisDishWasChangedInAnother"), Current: &v}
	}
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusOK, d)
}

func (k *Kitchen) undo(c fiber.Ctx) error {
	edit, err := ifMatch(c)
	if err != nil {
		return err
	}
	d, err := k.Store.Undo(c.Context(), c.Params("id"), edit)
	return k.afterChange(c, c.Params("id"), d, err)
}

func (k *Kitchen) redo(c fiber.Ctx) error {
	edit, err := ifMatch(c)
	if err != nil {
		return err
	}
	d, err := k.Store.Redo(c.Context(), c.Params("id"), edit)
	return k.afterChange(c, c.Params("id"), d, err)
}
