package larder

import (
	"slices"
	"strings"
)

// Kitchen is a family of kitchens with the foods by which a list shows that a dish is of it, and
// the kitchens of countries that belong to it.
type Kitchen struct {
	Name     string
	Families []string
	Signs    map[string]bool
}

// KitchenOf is the family of kitchens to which a dish belongs: that of the country the cook gave it, else of the
// places whose dish bears its name, else the one that its foods show. It is empty where it could be of several.
func (l *Larder) KitchenOf(name, country string, foods map[string]bool) string {
	if k := l.familyOf(l.CountryOf(country).Kitchen); k != "" {
		return k
	}
	if k := l.kitchenByName(name); k != "" {
		return k
	}
	return l.kitchenByFoods(foods)
}

// familyOf is the family that the kitchen of a country belongs to, empty where it stands between two.
func (l *Larder) familyOf(kitchen string) string {
	for _, k := range l.kitchens {
		if slices.Contains(k.Families, kitchen) {
			return k.Name
		}
	}
	return ""
}

// kitchenByName is the family of the traditional dish whose name is the longest within another: "Lamb rogan josh with
// rice". It is empty where none is, or dishes of several families bear it.
func (l *Larder) kitchenByName(name string) string {
	said, best, longest := " "+strings.Join(Words(name), " ")+" ", "", 0
	for i := range l.traditional {
		t := &l.traditional[i]
		if len(t.called) < longest || !strings.Contains(said, " "+t.called+" ") {
			continue
		}
		family := l.familyOf(l.CountryOf(t.Country).Kitchen)
		if len(t.called) == longest && family != best {
			family = ""
		}
		best, longest = family, len(t.called)
	}
	return best
}

// leastSigns is how many signs a list must show of a kitchen, and clearlyMore how many more
// than of any other, so that a dish is counted to it; estimates.
const (
	leastSigns  = 2
	clearlyMore = 1
)

// kitchenByFoods is the family of kitchens to which a list of foods clearly belongs, empty where
// it could be of several.
func (l *Larder) kitchenByFoods(foods map[string]bool) string {
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
	return atHome(f.Homes, kitchen)
}

func atHome(homes []string, kitchen string) bool {
	if kitchen == "" {
		return len(homes) == 0 || len(homes) > fewHomes
	}
	return len(homes) == 0 || slices.Contains(homes, kitchen)
}

// Kitchens lists the families of kitchens there are.
func (l *Larder) Kitchens() []string {
	out := []string{}
	for _, k := range l.kitchens {
		out = append(out, k.Name)
	}
	return out
}

// HomesOf lists the families of kitchens in which all that a swap brings is at home; empty
// where it goes everywhere.
func (l *Larder) HomesOf(s *Swap) []string {
	out := []string{}
	if !slices.ContainsFunc(s.Formula, func(p Part) bool { f := l.foods[p.Food]; return f != nil && len(f.Homes) > 0 }) {
		return out
	}
	for _, k := range l.kitchens {
		if !slices.ContainsFunc(s.Formula, func(p Part) bool { f := l.foods[p.Food]; return f != nil && !atHome(f.Homes, k.Name) }) {
			out = append(out, k.Name)
		}
	}
	return out
}

func (l *Larder) loadKitchens(src Source) error {
	if err := eachRow(src, "kitchens.csv", func(r row) {
		k := Kitchen{Name: r.text("kitchen"), Families: r.list("families"), Signs: map[string]bool{}}
		for _, id := range r.list("signs") {
			if f := r.food(l, id); f != nil {
				k.Signs[id] = true
			}
		}
		l.kitchens = append(l.kitchens, k)
	}); err != nil {
		return err
	}
	return eachRow(src, "at_home.csv", func(r row) {
		if f := r.food(l, r.text("food")); f != nil {
			f.Homes = r.list("kitchens")
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
	c.families()
	for _, f := range c.larder.order {
		for _, home := range f.Homes {
			if !known[home] {
				c.say("%s: at home in %q, which is no kitchen", f.ID, home)
			}
		}
	}
}

// families names kitchens of countries that no country has, or that belong to two families.
func (c *checker) families() {
	of := map[string]string{}
	for _, k := range c.larder.kitchens {
		for _, f := range k.Families {
			if !slices.ContainsFunc(c.larder.countries, func(x Country) bool { return x.Kitchen == f }) {
				c.say("kitchen %q: no country cooks by %q", k.Name, f)
			}
			if of[f] != "" {
				c.say("kitchen %q: %q belongs to %q too", k.Name, f, of[f])
			}
			of[f] = k.Name
		}
	}
}
