package server

import (
	"context"
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/store"
)

// Settings are what the kitchen is like: its measures and who eats there.
type Settings struct {
	// Measures say whose cups and spoons are meant where a recipe does not.
	Measures measure.System `json:"measures"`
	Diners   []Diner        `json:"diners"`
	// HouseRules are what new dishes begin with.
	HouseRules swap.HouseRules `json:"houseRules"`
}

// Diner is someone who eats in the kitchen and what they cannot eat.
type Diner struct {
	Name      string   `json:"name"`
	CannotEat []string `json:"cannotEat"`
}

// Limits of the settings.
const (
	mostDiners      = 60
	mostDinerName   = 60
	mostExclusions  = 40
	settingsKey     = "settings"
	presetOfMeasure = measure.Metric
)

func (k *Kitchen) loadSettings(ctx context.Context) (Settings, error) {
	s := Settings{Measures: presetOfMeasure, Diners: []Diner{}, HouseRules: swap.HouseRules{Preset: swap.WholeFood, Off: []string{}}}
	entries, err := k.Store.Entries(ctx, store.KitchenEntry)
	if err != nil {
		return s, err
	}
	for _, e := range entries {
		if e.Key == settingsKey {
			if err := json.Unmarshal(e.Body, &s); err != nil {
				return s, fmt.Errorf("read the kitchen's settings: %w", err)
			}
		}
	}
	return s, nil
}

func (k *Kitchen) settings(c fiber.Ctx) error {
	s, err := k.loadSettings(c.Context())
	if err != nil {
		return err
	}
	return c.JSON(s)
}

func (k *Kitchen) saveSettings(c fiber.Ctx) error {
	var s Settings
	if err := decode(c, &s); err != nil {
		return err
	}
	if !s.Measures.Known() {
		return unprocessable("The system of measures is not known.", fieldError{"measures", "must be us, metric, imperial or australian"})
	}
	if len(s.Diners) > mostDiners {
		return unprocessable(fmt.Sprintf("A kitchen keeps at most %d diners.", mostDiners), fieldError{"diners", "are too many"})
	}
	for i := range s.Diners {
		d := &s.Diners[i]
		if d.Name = strings.TrimSpace(d.Name); d.Name == "" || len(d.Name) > mostDinerName || len(d.CannotEat) > mostExclusions {
			return unprocessable("A diner needs a name.", fieldError{fmt.Sprintf("diners[%d].name", i), "is empty or too long"})
		}
		if d.CannotEat == nil {
			d.CannotEat = []string{}
		}
	}
	if s.Diners == nil {
		s.Diners = []Diner{}
	}
	rules, err := swap.NewRules(s.HouseRules)
	if err != nil {
		return err
	}
	if s.HouseRules = rules.House; s.HouseRules.Off == nil {
		s.HouseRules.Off = []string{}
	}
	body, err := json.Marshal(s)
	if err != nil {
		return fmt.Errorf("encode the settings: %w", err)
	}
	if err := k.Store.SaveEntry(c.Context(), store.KitchenEntry, settingsKey, body); err != nil {
		return err
	}
	return c.JSON(s)
}

// switchOf is the house rule that leaves out what a diner cannot eat.
var switchOf = map[string]string{
	"soy": "soy", "gluten": "gluten", "nuts": "tree-nuts", "peanuts": "peanut", "sesame": "sesame", "mushrooms": "mushrooms", "alcohol": "alcohol",
}

// forGuests are the rules that a new dish begins with: the kitchen's, and
// without what anyone who eats there cannot eat.
func (s Settings) forGuests() swap.HouseRules {
	rules := s.HouseRules
	rules.Off = append([]string{}, rules.Off...)
	for _, d := range s.Diners {
		for _, what := range d.CannotEat {
			if off := switchOf[what]; off != "" && !slices.Contains(rules.Off, off) {
				rules.Off = append(rules.Off, off)
			}
			if what == "onion and garlic" && rules.Preset == swap.WholeFood {
				rules.Preset = swap.NoOnionGarlic
			}
		}
	}
	return rules
}

// lineHolds tells whether a line names a food, first or beside others.
func lineHolds(id string) func(recipe.Line) bool {
	return func(l recipe.Line) bool {
		if l.FoodID() == id {
			return true
		}
		for _, a := range l.Also {
			if a.Food == id {
				return true
			}
		}
		return false
	}
}
