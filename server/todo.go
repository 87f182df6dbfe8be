package server

import (
	"context"
	"fmt"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/server/texts"
	"yembra/store"
)

// TodoDish is a traditional dish that is still to do, or was begun.
type TodoDish struct {
	larder.Traditional
	// Wish tells that it stands on the list of wishes, Dish is the one that was begun
	// from it, empty where none was.
	Wish bool   `json:"wish"`
	Dish string `json:"dish"`
}

// mostTodo is how many are told at once.
const mostTodo = 400

// todo lists traditional dishes: of a country, of a region, by their words, or those
// wished for.
func (k *Kitchen) todo(c fiber.Ctx) error {
	l := k.Core().Larder
	wishes, err := k.wishes(c.Context())
	if err != nil {
		return err
	}
	begun, err := k.begun(c.Context())
	if err != nil {
		return err
	}
	words := strings.Fields(store.Folded(c.Query("q")))
	out := []TodoDish{}
	for _, t := range l.Traditional() {
		text := store.Folded(strings.Join([]string{t.Name, t.What, t.Place, strings.Join(t.Lives, " "), strings.Join(t.RestsOn, " ")}, " "))
		switch {
		case c.Query("country") != "" && t.Country != c.Query("country"), c.Query("region") != "" && l.RegionOf(t.Country) != c.Query("region"), c.Query("wishes") == "true" && !wishes[t.Key],
			slices.ContainsFunc(words, func(w string) bool { return !strings.Contains(text, w) }):
			continue
		}
		out = append(out, TodoDish{Traditional: t, Wish: wishes[t.Key], Dish: begun[t.Key]})
		if len(out) == mostTodo {
			break
		}
	}
	// What was begun stands behind what is still to do.
	still := slices.DeleteFunc(slices.Clone(out), func(t TodoDish) bool { return t.Dish != "" })
	done := slices.DeleteFunc(out, func(t TodoDish) bool { return t.Dish == "" })
	return c.JSON(append(still, done...))
}

// wishes are the keys of the dishes that are wished for.
func (k *Kitchen) wishes(ctx context.Context) (map[string]bool, error) {
	entries, err := k.Store.Entries(ctx, store.WishEntry)
	out := map[string]bool{}
	for _, e := range entries {
		out[e.Key] = true
	}
	return out, err
}

// begun are the dishes that were begun from a traditional one, by its key.
func (k *Kitchen) begun(ctx context.Context) (map[string]string, error) {
	entries, err := k.Store.Entries(ctx, store.BegunEntry)
	if err != nil {
		return nil, err
	}
	there, err := k.Store.OnShelf(ctx)
	out := map[string]string{}
	for _, e := range entries {
		if b, ok := readEntry[Begun]("a dish begun", e); ok && there[b.Dish] { // it may have been taken away
			out[e.Key] = b.Dish
		}
	}
	return out, err
}

// Begun says which dish was begun from a traditional one.
type Begun struct {
	Dish string `json:"dish"`
}

// WishRequest puts a dish on the list of wishes, or takes it off.
type WishRequest struct {
	Wish bool `json:"wish"`
}

func (k *Kitchen) traditional(c fiber.Ctx) (*larder.Traditional, error) {
	t := k.Core().Larder.TraditionalNamed(c.Params("key"))
	if t == nil {
		return nil, problem{Title: texts.Say("noSuchDish"), Status: fiber.StatusNotFound, Detail: texts.Say("theListOfTraditionalDishesHas")}
	}
	return t, nil
}

func (k *Kitchen) wish(c fiber.Ctx) error {
	var r WishRequest
	if err := decode(c, &r); err != nil {
		return err
	}
	t, err := k.traditional(c)
	if err != nil {
		return err
	}
	var body []byte
	if r.Wish {
		body = []byte("{}")
	}
	if err := k.Store.SaveEntry(c.Context(), store.WishEntry, t.Key, body); err != nil {
		return err
	}
	return c.SendStatus(fiber.StatusNoContent)
}

// beginTodo begins a traditional dish: an empty original, with what is known of it.
func (k *Kitchen) beginTodo(c fiber.Ctx) error {
	t, err := k.traditional(c)
	if err != nil {
		return err
	}
	made, err := k.BeginTraditional(c.Context(), t)
	if err != nil {
		return err
	}
	return k.answerDish(c, fiber.StatusCreated, made)
}

// BeginTraditional keeps an empty original with what is known of a traditional dish.
func (k *Kitchen) BeginTraditional(ctx context.Context, t *larder.Traditional) (store.Dish, error) {
	l := k.Core().Larder
	settings, err := k.loadSettings(ctx)
	if err != nil {
		return store.Dish{}, err
	}
	place := t.Place
	for _, x := range l.Countries() {
		if x.Code == t.Country && place != "" {
			place += ", " + x.Name
		} else if x.Code == t.Country {
			place = x.Name
		}
	}
	pins := []string{}
	for _, trait := range t.Lives {
		if _, known := character.TraitNamed(trait); known && len(pins) < 2 {
			pins = append(pins, trait)
		}
	}
	known := fmt.Sprintf("%s. Eaten: %s.", larder.Capital(t.What), t.When)
	if len(t.RestsOn) > 0 {
		known += fmt.Sprintf(" Rests on %s.", strings.Join(t.RestsOn, ", "))
	}
	made, err := k.NewDish(ctx, store.Document{
		Name: larder.Capital(t.Name), Place: place, Country: t.Country, Notes: map[string]string{"": known},
		Original: recipe.Dish{Name: larder.Capital(t.Name), Components: []recipe.Component{{Lines: []recipe.Line{}, Steps: []recipe.Step{}}}, Notices: []recipe.Notice{}},
		Decisions: swap.Decisions{HouseRules: settings.forGuests(l), Pins: pins, Swaps: map[string]string{}, Boosters: []swap.Dose{},
			LivesFrom: fmt.Sprintf("It lives from %s.", strings.Join(t.Lives, " and "))},
	})
	if err != nil {
		return made, err
	}
	return made, k.Store.SaveEntry(ctx, store.BegunEntry, t.Key, fmt.Appendf(nil, `{"dish":%q}`, made.ID))
}
