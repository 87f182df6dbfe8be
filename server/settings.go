package server

import (
	"cmp"
	"context"
	"encoding/json"
	"fmt"
	"maps"
	"slices"
	"strings"

	"github.com/gofiber/fiber/v3"

	"yembra/core/day"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/swap"
	"yembra/server/texts"
	"yembra/store"
)

// Settings are what the kitchen is like: its measures and who eats there.
type Settings struct {
	// Measures say whose cups and spoons are meant where a recipe does not.
	Measures measure.System `json:"measures"`
	Diners   []Diner        `json:"diners"`
	// HouseRules are what new dishes begin with.
	HouseRules swap.HouseRules `json:"houseRules"`
	// Kit is what there is to cook with, and when; days begin with it.
	Kit day.Kitchen `json:"kit"`
	// Prices are the kitchen's own, per kilogram by food or "aisle:NAME";
	// where it has none the shipped, made-up list counts.
	Prices map[string]float64 `json:"prices"`
	// House are the foods that are in the house.
	House []string `json:"house,omitempty"`
	// Version is that of the settings, 0 where nothing has been said; Unfit are
	// foods of the kitchen's own that do not fit and are left out. Both are told
	// and not kept.
	Version int64    `json:"version"`
	Unfit   []string `json:"unfit"`
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
	mostPrice       = 100_000
	mostHouse       = 2000
	settingsKey     = "settings"
	presetOfMeasure = measure.Metric
)

// presetSettings are those of a kitchen about which nothing has been said.
func presetSettings() Settings {
	return Settings{
		Measures: presetOfMeasure, Diners: []Diner{}, HouseRules: swap.HouseRules{Preset: swap.WholeFood, Off: []string{}},
		Kit: day.Kitchen{
			Cooks: 1, Rings: 4, Ovens: []day.Oven{{Shelves: 2}}, Kit: map[string]int{"blender": 1, "pressure cooker": 1},
			Awake: &day.Awake{From: "07:00", To: "23:00"},
		},
		Prices: map[string]float64{},
	}
}

// fill gives what was left out as it is preset.
func (s *Settings) fill() {
	preset := presetSettings()
	if s.Kit.Kit == nil {
		s.Kit.Kit = preset.Kit.Kit
	}
	if s.Kit.Ovens == nil {
		s.Kit.Ovens = []day.Oven{}
	}
	if s.Prices == nil {
		s.Prices = preset.Prices
	}
	if s.Diners == nil {
		s.Diners = preset.Diners
	}
}

func (k *Kitchen) loadSettings(ctx context.Context) (Settings, error) {
	s := presetSettings()
	entries, err := k.Store.Entries(ctx, store.KitchenEntry)
	if err != nil {
		return s, err
	}
	s.Unfit = []string{}
	for _, e := range entries {
		if e.Key == settingsKey {
			s.Kit.Kit, s.Prices = nil, nil // maps would be added to
			if err := json.Unmarshal(e.Body, &s); err != nil {
				return s, fmt.Errorf("read the kitchen's settings: %w", err)
			}
			s.fill()
			s.Version, s.Unfit = e.Version, []string{}
		}
	}
	return s, nil
}

func (k *Kitchen) settings(c fiber.Ctx) error {
	return k.answerSettings(c)
}

func (k *Kitchen) answerSettings(c fiber.Ctx) error {
	s, err := k.loadSettings(c.Context())
	if err != nil {
		return err
	}
	if core := k.Core(); core.Unfit != nil {
		s.Unfit = core.Unfit
	}
	c.Set("ETag", etag(s.Version))
	return c.JSON(s)
}

func (k *Kitchen) saveSettings(c fiber.Ctx) error {
	s := presetSettings()
	s.Kit.Kit, s.Prices = nil, nil
	if err := decode(c, &s); err != nil {
		return err
	}
	if err := checkSettings(k.Core().Larder, &s); err != nil {
		return err
	}
	s.Version, s.Unfit = 0, nil
	err := k.changed(c, store.KitchenEntry, settingsKey, func() ([]byte, error) { return json.Marshal(s) })
	if err != nil {
		return err
	}
	return k.answerSettings(c)
}

// checkSettings refuses settings that make no sense and fills what was left
// out.
func checkSettings(l *larder.Larder, s *Settings) error {
	if !s.Measures.Known() {
		return unprocessable(texts.Say("theSystemOfMeasuresIsNot"), fieldError{"measures", texts.Say("mustBeUsMetricImperialOr")})
	}
	if len(s.Diners) > mostDiners {
		return unprocessable(texts.Say("aKitchenKeepsAtMostDiners", mostDiners), fieldError{"diners", texts.Say("areTooMany")})
	}
	for i := range s.Diners {
		d := &s.Diners[i]
		if d.Name = strings.TrimSpace(d.Name); d.Name == "" || len(d.Name) > mostDinerName || len(d.CannotEat) > mostExclusions {
			return unprocessable(texts.Say("aDinerNeedsAName"), fieldError{fmt.Sprintf("diners[%d].name", i), texts.Say("isEmptyOrTooLong")})
		}
		if d.CannotEat == nil {
			d.CannotEat = []string{}
		}
		for j, what := range d.CannotEat {
			if l.SwitchFor(what) == nil {
				return unprocessable(texts.Say("nothingHereLeavesOut", what), fieldError{fmt.Sprintf("diners[%d].cannotEat[%d]", i, j), texts.Say("isNoAllergenAndNoSwitch")})
			}
		}
	}
	if len(s.House) > mostHouse {
		return unprocessable(texts.Say("thatIsMoreThanAHouse"), fieldError{"house", texts.Say("mayBeFoods", mostHouse)})
	}
	rules, err := swap.NewRules(l, s.HouseRules)
	if err != nil {
		return err
	}
	if s.HouseRules = rules.House; s.HouseRules.Off == nil {
		s.HouseRules.Off = []string{}
	}
	s.fill()
	// A day without tasks is wrong only where its kitchen is.
	if _, err := Plan(context.Background(), day.Request{ServeAt: "2000-01-01T00:00:00Z", Kitchen: s.Kit}); err != nil {
		return err
	}
	for key, price := range s.Prices {
		if price < 0 || price > mostPrice {
			return unprocessable(texts.Say("aPriceIsNotPossible"), fieldError{"prices." + key, texts.Say("mustBeFrom0ToA", mostPrice)})
		}
		if !l.Priced(key) {
			return unprocessable(texts.Say("aPriceIsForNothingThat"), fieldError{"prices." + key, texts.Say("isNoFoodAndNoAisle")})
		}
	}
	return nil
}

// PriceView is one entry of the price list.
type PriceView struct {
	Key   string  `json:"key"`
	Name  string  `json:"name"`
	PerKg float64 `json:"perKg"`
	// Shipped is the made-up price that comes with the program, and what
	// counts again when the kitchen's own is taken back.
	Shipped float64 `json:"shipped"`
	Own     bool    `json:"own"`
}

// prices lists every aisle, and the foods that have a price of their own.
func (k *Kitchen) prices(c fiber.Ctx) error {
	s, err := k.loadSettings(c.Context())
	if err != nil {
		return err
	}
	shipped := k.shipped.Prices()
	keys := slices.Collect(maps.Keys(shipped))
	for key := range s.Prices {
		if _, ok := shipped[key]; !ok {
			keys = append(keys, key)
		}
	}
	list := make([]PriceView, 0, len(keys))
	for _, key := range keys {
		v := PriceView{Key: key, Shipped: shipped[key], PerKg: shipped[key]}
		if price, own := s.Prices[key]; own {
			v.PerKg, v.Own = price, true
		}
		if f := k.Core().Larder.Food(key); f != nil {
			v.Name = f.Name
			if _, ok := shipped[key]; !ok {
				v.Shipped = k.shipped.Price(f)
			}
		} else {
			v.Name = "all " + strings.ReplaceAll(strings.TrimPrefix(key, larder.AislePrefix), "-", " ")
		}
		list = append(list, v)
	}
	slices.SortFunc(list, func(a, b PriceView) int {
		return cmp.Or(cmp.Compare(strings.Index(b.Key, ":"), strings.Index(a.Key, ":")), cmp.Compare(a.Name, b.Name))
	})
	return c.JSON(list)
}

// forGuests are the rules that a new dish begins with: the kitchen's, and
// without what anyone who eats there cannot eat.
func (s Settings) forGuests(l *larder.Larder) swap.HouseRules {
	rules := s.HouseRules
	rules.Off = append([]string{}, rules.Off...)
	for _, d := range s.Diners {
		for _, what := range d.CannotEat {
			if off := l.SwitchFor(what); off != nil && !slices.Contains(rules.Off, off.ID) {
				rules.Off = append(rules.Off, off.ID)
			}
		}
	}
	return rules
}
