package server

import (
	"cmp"
	"context"
	"encoding/json"
	"maps"
	"slices"
	"strings"
	"time"

	"github.com/gofiber/fiber/v3"

	"yembra/server/texts"
	"yembra/store"
)

// viewed is a dish of the shelf as it is shown.
func viewed(x store.Shelved) DishSummary {
	v := DishSummary{
		ID: x.ID, Name: x.Name, Place: x.Place, Country: x.Country, Region: x.Region, State: x.State, Open: x.Open, Swaps: x.Swaps, Trials: x.Trials, Liking: x.Liking, Labels: x.Labels,
		Allergens: x.Allergens, Family: x.Family, Variant: x.Variant, Picture: x.Picture, Missing: []string{}, Stale: x.Stale, Away: x.Away, Worked: Worked{Threads: []ThreadMark{}},
	}
	changed, err := time.Parse(time.RFC3339Nano, x.Changed)
	if err == nil {
		v.Changed = changed
		err = json.Unmarshal(x.Body, &v.Worked)
	}
	if err != nil {
		v.Fault = "What the shelf keeps of this dish cannot be read; it is worked out anew when the dish is changed."
	}
	if v.Threads == nil {
		v.Threads = []ThreadMark{}
	}
	if v.Name == "" {
		v.Name, v.Fault = "A dish that cannot be read", cmp.Or(v.Fault, "It cannot be read.")
	}
	return v
}

// wanted reads what is asked of the shelf.
func (k *Kitchen) wanted(c fiber.Ctx) (store.Wanted, error) {
	list := func(field string) []string {
		var out []string
		for _, x := range strings.Split(c.Query(field), ",") {
			if x = strings.TrimSpace(x); x != "" {
				out = append(out, x)
			}
		}
		return out
	}
	w := store.Wanted{
		Words: c.Query("q"), Country: c.Query("country"), Region: c.Query("region"), Kitchen: c.Query("kitchen"), State: c.Query("state"), Family: c.Query("family"), Without: list("without"), Rules: list("rules"), Labels: list("labels"),
		Eater: c.Query("eater"), Away: c.Query("away") == "true", Gone: c.Query("gone") == "true", Sort: store.Sorting(c.Query("sort")), Most: usualPage, Stamp: k.Stamp(),
	}
	if w.State != "" && !slices.Contains(states, w.State) {
		return w, unprocessable(texts.Say("thereIsNoSuchStateOf"), fieldError{"state", texts.Say("mustBeOneOf") + strings.Join(states, ", ")})
	}
	if w.Sort != "" && !store.Sorted(w.Sort) {
		return w, unprocessable(texts.Say("aShelfHasNoSuchOrder"), fieldError{"sort", texts.Say("mustBeChangedNamePlaceOr")})
	}
	for field, into := range map[string]*int{"from": &w.From, "most": &w.Most} {
		if c.Query(field) == "" {
			continue
		}
		n := fiber.Query(c, field, -1)
		if n < 0 || field == "most" && (n < 1 || n > mostPage) || n > mostFrom {
			return w, unprocessable(texts.Say("thereIsNoSuchPage"), fieldError{field, texts.Say("mustBeANumberUpTo", map[string]int{"from": mostFrom, "most": mostPage}[field])})
		}
		*into = n
	}
	return w, nil
}

func (k *Kitchen) dishes(c fiber.Ctx) error {
	w, err := k.wanted(c)
	if err != nil {
		return err
	}
	v := ShelfView{Dishes: []DishSummary{}, From: w.From}
	if c.Query("house") == "true" {
		if v.Dishes, v.All, err = k.fromTheHouse(c.Context(), w); err != nil {
			return err
		}
		return c.JSON(v)
	}
	list, all, err := k.Store.Shelf(c.Context(), w)
	if err != nil {
		return err
	}
	v.All = all
	for _, x := range list {
		v.Dishes = append(v.Dishes, viewed(x))
	}
	v.Stale = int(k.shelf.left.Load())
	return c.JSON(v)
}

// fromTheHouse lists dishes by how little of what they need is not in the house.
func (k *Kitchen) fromTheHouse(ctx context.Context, w store.Wanted) ([]DishSummary, int, error) {
	settings, err := k.loadSettings(ctx)
	if err != nil {
		return nil, 0, err
	}
	have := map[string]bool{"water": true}
	for _, id := range settings.House {
		have[id] = true
	}
	needs, err := k.Store.Needed(ctx, w)
	if err != nil {
		return nil, 0, err
	}
	missing := map[int64][]string{}
	numbers := []int64{}
	for n, foods := range needs {
		if len(foods) == 0 {
			continue // nothing is known of it yet
		}
		for _, id := range foods {
			if !have[id] {
				missing[n] = append(missing[n], id)
			}
		}
		numbers = append(numbers, n)
	}
	slices.SortFunc(numbers, func(a, b int64) int {
		return cmp.Or(cmp.Compare(len(missing[a]), len(missing[b])), cmp.Compare(b, a))
	})
	list, err := k.Store.Numbered(ctx, numbers[min(w.From, len(numbers)):min(w.From+w.Most, len(numbers))], w.Stamp)
	if err != nil {
		return nil, 0, err
	}
	out := []DishSummary{}
	for _, x := range list {
		v := viewed(x)
		for _, id := range missing[x.Number] {
			name := id
			if f := k.Core().Larder.Food(id); f != nil {
				name = f.Name
			}
			v.Missing = append(v.Missing, name)
		}
		out = append(out, v)
	}
	return out, len(numbers), nil
}

func (k *Kitchen) facets(c fiber.Ctx) error {
	have, err := k.Store.Facets(c.Context())
	if err != nil {
		return err
	}
	f := ShelfFacets{Countries: have.Countries, Regions: have.Regions, Kitchens: have.Kitchens, Labels: have.Labels, Eaters: have.Eaters}
	f.Rules, f.Allergens, f.World = []string{}, []string{}, k.Core().Larder.Countries()
	for _, x := range k.Core().schools {
		f.Rules = append(f.Rules, x.name)
	}
	for _, s := range k.Core().Larder.Switches() {
		if ofFoods(&s) {
			f.Rules = append(f.Rules, s.Rule)
		}
	}
	known := map[string]bool{}
	for _, food := range k.Core().Larder.Foods() {
		for _, a := range food.Allergen {
			known[a] = true
		}
	}
	f.Allergens = append(f.Allergens, slices.Sorted(maps.Keys(known))...)
	return c.JSON(f)
}
