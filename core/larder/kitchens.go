package larder

import "slices"

// Kitchen is a family of kitchens with the foods by which a list shows that a dish is of it.
type Kitchen struct {
	Name  string
	Signs map[string]bool
}

// leastSigns is how many signs a list must show of a kitchen, and clearlyMore how many more
// than of any other, so that a dish is counted to it; estimates.
const (
	leastSigns  = 2
	clearlyMore = 1
)

// KitchenOf is the family of kitchens to which a list of foods clearly belongs, empty where
// it could be of several.
func (l *Larder) KitchenOf(foods map[string]bool) string {
	best, most, second := "", 0, 0
	for _, k := range l.kitchens {
		n := 0
		for id := range foods {
			if k.Signs[id] {
				n++
			}
		}
		switch {
		case n > most:
			best, most, second = k.Name, n, most
		case n > second:
			second = n
		}
	}
	if most < leastSigns || most-second < clearlyMore {
		return ""
	}
	return best
}

// fewHomes is up to how many kitchens know a food that is a stranger where the kitchen is
// not known.
const fewHomes = 3

// AtHome tells whether a food's taste belongs to a kitchen; what belongs to none by itself
// goes everywhere, and to a dish of which the kitchen is not known, what many know.
func (l *Larder) AtHome(f *Food, kitchen string) bool {
	homes := l.homes[f.ID]
	if kitchen == "" {
		return len(homes) == 0 || len(homes) > fewHomes
	}
	return len(homes) == 0 || slices.Contains(homes, kitchen)
}

func (l *Larder) loadKitchens(src Source) error {
	if err := eachRow(src, "kitchens.csv", func(r row) {
		k := Kitchen{Name: r.text("kitchen"), Signs: map[string]bool{}}
		for _, id := range r.list("signs") {
			if f := r.food(l, id); f != nil {
				k.Signs[id] = true
			}
		}
		l.kitchens = append(l.kitchens, k)
	}); err != nil {
		return err
	}
	l.homes = map[string][]string{}
	return eachRow(src, "at_home.csv", func(r row) {
		if f := r.food(l, r.text("food")); f != nil {
			l.homes[f.ID] = r.list("kitchens")
		}
	})
}

// kitchens names homes that are no kitchen, and kitchens that nothing is a sign of.
func (c *checker) kitchens() {
	known := map[string]bool{}
	for _, k := range c.larder.kitchens {
		if known[k.Name] || len(k.Signs) == 0 {
			c.say("kitchen %q: said twice, or nothing is a sign of it", k.Name)
		}
		known[k.Name] = true
	}
	for id, homes := range c.larder.homes {
		for _, home := range homes {
			if !known[home] {
				c.say("%s: at home in %q, which is no kitchen", id, home)
			}
		}
	}
}
