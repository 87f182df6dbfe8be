package swap

import (
	"maps"
	"slices"
	"strconv"
	"strings"

	"yembra/core/recipe"
)

// Placed are the decisions about a dish by the places its lines and parts have
// now, as everything that computes takes them; those about things that are gone
// are left out. Steps keep the names they have.
func (d Decisions) Placed(dish *recipe.Dish) Decisions {
	names := dish.Names()
	d.Swaps, d.Uses, d.Amounts, d.Order = renamed(d.Swaps, names.Place), renamed(d.Uses, names.Place), renamed(d.Amounts, names.Place), renamed(d.Order, names.Place)
	d.Reasons = renamed(d.Reasons, names.Place)
	d.Boosters = slices.Clone(d.Boosters)
	for i := range d.Boosters {
		if place, ok := names.Place(d.Boosters[i].Part); ok {
			d.Boosters[i].Component, _ = strconv.Atoi(place)
		}
	}
	return d
}

// Kept are the decisions about a dish by the lasting names of what they are
// about, as they are stored; those about things that are gone are left out.
func (d Decisions) Kept(dish *recipe.Dish) Decisions {
	names := dish.Names()
	d.Swaps, d.Uses, d.Amounts, d.Order = renamed(d.Swaps, names.ID), renamed(d.Uses, names.ID), renamed(d.Amounts, names.ID), renamed(d.Order, names.ID)
	d.Reasons = renamed(d.Reasons, names.ID)
	if d.Swaps == nil {
		d.Swaps = map[string]string{}
	}
	step := func(key string) (string, bool) { return stepID(key, names) }
	d.Wording, d.Figures = renamed(d.Wording, step), renamed(d.Figures, step)
	for part, keys := range d.Order {
		var kept []string
		for _, key := range keys {
			if id, ok := step(key); ok {
				kept = append(kept, id)
			}
		}
		d.Order[part] = kept
	}
	d.Boosters = slices.Clone(d.Boosters)
	for i := range d.Boosters {
		dose := &d.Boosters[i]
		if !strings.HasPrefix(dose.Why, toldMark) {
			dose.Why = "" // what it brings is told anew when it is asked
		}
		if _, there := names.Place(dose.Part); !there {
			dose.Part, _ = names.ID(strconv.Itoa(dose.Component))
		}
	}
	return d
}

// renamed is a map with its keys under other names, without those that have
// none.
func renamed[T any](of map[string]T, name func(string) (string, bool)) map[string]T {
	if of == nil {
		return nil
	}
	out := make(map[string]T, len(of))
	for _, key := range slices.Sorted(maps.Keys(of)) {
		if to, ok := name(key); ok {
			out[to] = of[key]
		}
	}
	return out
}

// AddedKey begins the key of a step that no step of the original stands for, in
// a part of that name.
func AddedKey(part string) string { return part + ".added" }

// stepID is the lasting name of a step of the adaptation: that of the step it
// comes from, or of its part and what it prepares, and its number behind.
func stepID(key string, names recipe.Names) (string, bool) {
	if part, rest, added := strings.Cut(key, ".added"); added {
		part = strings.TrimSuffix(strings.TrimPrefix(part, "components["), "]")
		id, ok := names.ID(part)
		return AddedKey(id) + rest, ok
	}
	step, rest, again := strings.Cut(key, " (")
	id, ok := names.ID(step)
	if again {
		id += " (" + rest
	}
	return id, ok
}
