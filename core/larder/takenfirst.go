package larder

import (
	"slices"
	"strings"
)

// firstRow names swaps that a cook of experience takes first for a kind of food, or one
// food, in a use, in some kitchens or all.
type firstRow struct {
	what, use       string
	swaps, kitchens []string
}

// TakenFirst lists the swaps that a cook of a kitchen takes first for a food in a use: a
// food's own row before its kind's, and a kitchen's before the one for all; none where
// nothing is said.
func (l *Larder) TakenFirst(f *Food, kind, use, kitchen string) []string {
	whats := []string{kind}
	if f != nil {
		whats = []string{"food:" + f.ID, kind}
	}
	for _, what := range whats {
		for _, home := range []string{kitchen, ""} {
			for i := range l.first {
				r := &l.first[i]
				here := home == "" && len(r.kitchens) == 0 || home != "" && slices.Contains(r.kitchens, home)
				if r.what == what && here && (r.use == "" || r.use == use) {
					return r.swaps
				}
			}
		}
	}
	return nil
}

func (l *Larder) loadTakenFirst(src Source) error {
	return eachRow(src, "taken_first.csv", func(r row) {
		l.first = append(l.first, firstRow{r.text("what"), r.text("use"), r.list("swaps"), r.list("kitchens")})
	})
}

// takenFirst names rows of swaps that are not there, that do not serve what the row
// speaks of, or that are not right for its use.
func (c *checker) takenFirst() {
	kitchens := map[string]bool{}
	for _, k := range c.larder.kitchens {
		kitchens[k.Name] = true
	}
	seen := map[string]bool{}
	for _, r := range c.larder.first {
		for _, home := range append([]string{""}, r.kitchens...) {
			if home != "" && !kitchens[home] {
				c.say("taken first for %s, %s: %q is no kitchen", r.what, r.use, home)
			}
			if key := r.what + " " + r.use + " " + home; (home != "" || len(r.kitchens) == 0) && seen[key] {
				c.say("taken first for %s, %s: said twice", r.what, r.use)
			} else if home != "" || len(r.kitchens) == 0 {
				seen[key] = true
			}
		}
		for _, id := range r.swaps {
			sw := c.larder.SwapNamed(id)
			switch {
			case sw == nil:
				c.say("taken first for %s, %s: no swap %q", r.what, r.use, id)
			case !c.serves(sw, r.what):
				c.say("taken first for %s, %s: %s does not serve it", r.what, r.use, id)
			case r.use != "" && (sw.Right != nil || len(sw.Uses) > 0) && !slices.Contains(sw.Rightly(), r.use):
				c.say("taken first for %s, %s: %s is not right for it", r.what, r.use, id)
			}
		}
	}
}

// serves tells whether a swap stands in for a kind, or for a food named as "food:ID".
func (c *checker) serves(sw *Swap, what string) bool {
	if slices.Contains(sw.Serves, what) {
		return true
	}
	if id, one := strings.CutPrefix(what, "food:"); one {
		f := c.larder.Food(id)
		return f != nil && sw.ServesFood(f.Kind, f)
	}
	return sw.ServesFood(what, nil)
}
