package server

import (
	"encoding/json"
	"log/slog"
	"maps"
	"slices"
	"time"

	"yembra/core/balance"
	"yembra/core/character"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
	"yembra/store"
)

// DishSummary is a dish as the shelf shows it.
type DishSummary struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Place   string `json:"place"`
	Country string `json:"country"`
	Region  string `json:"region"`
	// State is how far it has come: original, adapting, decided, tried or settled.
	State   string    `json:"state"`
	Changed time.Time `json:"changed"`
	Open    int       `json:"open"`
	Swaps   int       `json:"swaps"`
	Trials  int       `json:"trials"`
	// Liking is the mean of all tables from 1 to 9, null where none has said.
	Liking    *float64 `json:"liking" jsonschema:"nullable"`
	Labels    []string `json:"labels"`
	Allergens []string `json:"allergens"`
	Family    string   `json:"family"`
	Variant   string   `json:"variant"`
	// Picture is the id of one of its plate, empty for none.
	Picture string `json:"picture"`
	// Missing are the foods it needs that are not in the house; it is told where that
	// was asked for.
	Missing []string `json:"missing"`
	// Stale tells that the knowledge has changed since this was worked out, and that it
	// is being worked out anew.
	Stale bool `json:"stale"`
	Away  bool `json:"away"`
	Worked
}

// Worked is the part of a summary that is computed from the dish.
type Worked struct {
	Tally character.Tally `json:"tally"`
	// Threads are the traits for the emblem: steps by trait.
	Threads []ThreadMark `json:"threads"`
	// Fault says what is wrong with it, empty where nothing is.
	Fault string `json:"fault"`
}

// ShelfView is a page of the shelf.
type ShelfView struct {
	Dishes []DishSummary `json:"dishes"`
	// All is how many dishes there are, of which this page begins with number From.
	All  int `json:"all"`
	From int `json:"from"`
	// Stale is how many of the whole shelf are still being worked out anew.
	Stale int `json:"stale"`
}

// ShelfFacets are what the shelf can be narrowed down by.
type ShelfFacets struct {
	// Countries, Regions and Kitchens count dishes by their state.
	Countries map[string]map[string]int `json:"countries"`
	Regions   map[string]map[string]int `json:"regions"`
	Kitchens  map[string]map[string]int `json:"kitchens"`
	Labels    []string                  `json:"labels"`
	Eaters    []string                  `json:"eaters"`
	Rules     []string                  `json:"rules"`
	Allergens []string                  `json:"allergens"`
	// World are all countries.
	World []larder.Country `json:"world"`
}

// Pages of the shelf.
const (
	usualPage = 40
	mostPage  = 200
	mostFrom  = 1_000_000
)

// states are how far a dish has come, in order.
var states = []string{"original", "adapting", "decided", "tried", "settled"}

// Stamp names the knowledge that summaries are worked out with now.
func (k *Kitchen) Stamp() string { return k.Knowledge + "/" + k.Core().Stamp }

// Summary works out what the shelf shows of a dish.
func (k *Kitchen) Summary(d store.Dish) store.Summary {
	core := k.Core()
	m := store.Summary{Stamp: k.Stamp(), Region: core.Larder.RegionOf(d.Document.Country), Kitchen: core.Larder.CountryOf(d.Document.Country).Kitchen}
	w := Worked{Threads: []ThreadMark{}, Fault: d.Damage}
	if d.Damage == "" {
		fault := guarded(d.ID, "summary", func() error { return core.summarise(&d.Document, &m, &w) })
		if fault != nil {
			w.Fault = fault.Text
		}
	}
	body, err := json.Marshal(w)
	if err != nil {
		slog.Error("what the shelf shows of a dish cannot be written", "dish", d.ID, "cause", err)
		body = []byte("{}")
	}
	m.Body = body
	return m
}

func (c *Core) summarise(doc *store.Document, m *store.Summary, w *Worked) error {
	c.Reader.Complete(&doc.Original)
	dec := doc.Placed()
	original, adapted, a, err := c.Book.Dishes(doc.Original, dec)
	if err != nil {
		return err
	}
	w.Tally, m.Open, m.Swaps = a.Tally, len(a.Unresolved), len(a.Swaps)
	for _, t := range a.Traits {
		w.Threads = append(w.Threads, ThreadMark{t.Trait, t.Verdict, t.Steps})
		if t.Strength >= strong && !slices.Contains(m.Lives, t.Trait) {
			m.Lives = append(m.Lives, t.Trait)
		}
	}
	sheet := balance.Of(c.Larder, original, adapted)
	m.Allergens = slices.Sorted(slices.Values(slices.Concat(sheet.Allergens.Come, sheet.Allergens.Both)))
	uses, needs := map[string]bool{}, map[string]bool{}
	for _, part := range doc.Original.Components {
		m.Lines += len(part.Lines)
		for i := range part.Lines {
			if id := part.Lines[i].FoodID(); id != "" {
				uses[id] = true
			}
			for _, other := range part.Lines[i].Also {
				uses[other.Food] = true
			}
		}
	}
	for _, part := range a.Components {
		for i := range part.Lines {
			if l := &part.Lines[i]; l.FoodID() != "" && l.Change != swap.Dropped {
				needs[l.FoodID()] = true
			}
		}
	}
	m.Uses, m.Needs = slices.Sorted(maps.Keys(uses)), slices.Sorted(maps.Keys(needs))
	names := doc.Original.Names()
	for _, x := range a.Swaps {
		place := x.Replaces
		if at, ok := names.Place(place); ok {
			place = at
		}
		if part, line, ok := recipe.ParseLineRef(place); ok && part < len(doc.Original.Components) && line < len(doc.Original.Components[part].Lines) {
			m.Chosen = append(m.Chosen, doc.Original.Components[part].Lines[line].FoodID()+"="+x.Swap)
		}
	}
	if m.Open == 0 { // else nobody knows yet what will stand there
		c.rulesKept(m)
	}
	return nil
}

// rulesKept notes by which switches and schools a dish could be eaten.
func (c *Core) rulesKept(m *store.Summary) {
	breaks := func(of func(*larder.Food) bool) bool {
		return slices.ContainsFunc(m.Needs, func(id string) bool { f := c.Larder.Food(id); return f != nil && of(f) })
	}
	for _, s := range c.Larder.Switches() {
		if ofFoods(&s) && !breaks(s.Breaks) {
			m.Rules = append(m.Rules, s.Rule)
		}
	}
	for _, x := range c.schools {
		if !breaks(func(f *larder.Food) bool { return x.rules.Breaks(f) != "" }) {
			m.Rules = append(m.Rules, x.name)
		}
	}
}

// strong is how strongly a trait must be perceived, of 1, for a dish to live from it.
const strong = 0.6

// ofFoods tells whether a switch can be told by the foods of a dish alone, whatever is
// done with them.
func ofFoods(s *larder.Switch) bool {
	return len(s.Bars) > 0 && !s.Raw && len(s.Kit)+len(s.Techniques)+len(s.Uses) == 0 && s.Heat == ""
}
