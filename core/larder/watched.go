package larder

import (
	"maps"
	"math"
	"slices"
)

// Band is what a probe watches while something cooks, cools or is kept: the
// temperatures that it must reach and, where it stays, must not leave.
type Band struct {
	ID, Name string
	// Techniques and Foods tell where it belongs; HotFat that it belongs to fat at
	// a frying temperature.
	Techniques, Foods []string
	HotFat            bool
	Low, High         *float64
	// Within is how many minutes it may take to get there, 0 for any.
	Within               float64
	Stays                bool
	Say, Caution, Source string
}

// Chosen tells that no work asks for it by itself: the cook chooses it.
func (b *Band) Chosen() bool { return !b.HotFat && len(b.Techniques) == 0 }

// Holds tells whether a temperature lies in the band.
func (b *Band) Holds(celsius float64) bool {
	return (b.Low == nil || celsius >= *b.Low) && (b.High == nil || celsius <= *b.High)
}

// Bands lists what a probe watches.
func (l *Larder) Bands() []*Band { return l.bands }

// BandsFor lists what a probe watches of work by a technique on foods.
func (l *Larder) BandsFor(technique string, hotFat bool, foods []*Food) []string {
	var out []string
	for _, b := range l.bands {
		held := len(b.Foods) == 0 || slices.ContainsFunc(foods, func(f *Food) bool { return f != nil && slices.Contains(b.Foods, f.ID) })
		if held && (b.HotFat && hotFat || slices.Contains(b.Techniques, technique)) {
			out = append(out, b.ID)
		}
	}
	return out
}

func (l *Larder) loadBands(src Source) error {
	return eachRow(src, "bands.csv", func(r row) {
		b := &Band{ID: r.text("band"), Name: r.text("name"), Techniques: r.list("techniques"), Foods: r.list("foods"), HotFat: r.text("hotfat") == "yes",
			Low: r.figure("low"), High: r.figure("high"), Within: r.number("within", 0), Stays: r.text("stays") == "yes", Say: r.text("say"), Caution: r.text("caution"), Source: r.text("source")}
		for _, id := range b.Foods {
			r.food(l, id)
		}
		l.bands = append(l.bands, b)
	})
}

// Loss is a kind of loss of weight that a kitchen can weigh for itself.
type Loss struct {
	ID, Name          string
	Techniques, Foods []string
	// Forms are those of the foods whose base tells what is lost.
	Forms []string
	// Share is the part of its weight that a thing loses where no form tells, 0 where
	// the pot and the minutes do.
	Share float64
	// Spread is how far one measured loss lies from the true one, as a logarithm.
	Spread float64
	Source string
}

// Losses lists the kinds of loss that can be weighed.
func (l *Larder) Losses() []*Loss { return l.losses }

// Loss returns a kind of loss, nil when there is none.
func (l *Larder) Loss(id string) *Loss {
	if at := slices.IndexFunc(l.losses, func(x *Loss) bool { return x.ID == id }); at >= 0 {
		return l.losses[at]
	}
	return nil
}

// LossBy is the loss that work by a technique on foods brings, nil for none.
func (l *Larder) LossBy(technique string, foods []*Food) *Loss {
	for _, x := range l.losses {
		held := len(x.Foods) == 0 || slices.ContainsFunc(foods, func(f *Food) bool { return f != nil && slices.Contains(x.Foods, f.ID) })
		if held && slices.Contains(x.Techniques, technique) {
			return x
		}
	}
	return nil
}

func (l *Larder) loadLosses(src Source) error {
	return eachRow(src, "losses.csv", func(r row) {
		x := &Loss{ID: r.text("loss"), Name: r.text("name"), Techniques: r.list("techniques"), Foods: r.list("foods"), Forms: r.list("forms"), Share: r.number("share", 0), Spread: r.number("spread", 0), Source: r.text("source")}
		for _, id := range x.Foods {
			r.food(l, id)
		}
		l.losses = append(l.losses, x)
	})
}

// WithFactors returns the larder of a kitchen whose losses are these many times
// those that the book foresees.
func (l *Larder) WithFactors(own map[string]float64) *Larder {
	if len(own) == 0 {
		return l
	}
	c := *l
	c.factors = own
	c.foods = maps.Clone(l.foods)
	for _, x := range l.losses {
		for _, id := range x.Foods {
			if own[x.ID] > 0 && len(x.Forms) > 0 {
				c.foods[id] = c.foods[id].losing(x.Forms, own[x.ID])
			}
		}
	}
	c.order = slices.SortedFunc(maps.Values(c.foods), byName)
	return &c
}

// losing is a food whose forms lose so many times as much of it.
func (f *Food) losing(forms []string, times float64) *Food {
	c := *f
	c.Forms = maps.Clone(f.Forms)
	for _, name := range forms {
		if form, ok := c.Forms[name]; ok && form.Base > 1 {
			form.Base = 1 / (1 - math.Min(mostLost, times*(1-1/form.Base)))
			c.Forms[name] = form
		}
	}
	return &c
}

// mostLost bounds what a kitchen's weighings can make of a loss.
const mostLost = 0.9

// ShareLost is the part of their weight that foods lose by a loss, by the book
// alone; 0 where the pot and the minutes tell.
func (l *Larder) ShareLost(x *Loss, foods []*Food) float64 {
	for _, f := range foods {
		for _, name := range x.Forms {
			if f == nil || !slices.Contains(x.Foods, f.ID) {
				continue
			}
			if form, ok := f.Forms[name]; ok && form.Base > 1 {
				return (1 - 1/form.Base) / l.Factor(x.ID)
			}
		}
	}
	return x.Share
}

// Factor is how many times the loss foreseen a kitchen measures, 1 where it has
// measured none.
func (l *Larder) Factor(loss string) float64 {
	if f, ok := l.factors[loss]; ok {
		return f
	}
	return 1
}

// watched holds the bands and losses against the techniques and sources.
func (c *checker) watched() {
	techniques := func(where string, names []string) {
		for _, name := range names {
			if c.larder.Technique(name) == nil {
				c.say("%s: no technique %q", where, name)
			}
		}
	}
	for _, b := range c.larder.bands {
		where := "band " + b.ID
		techniques(where, b.Techniques)
		c.source(where, b.Source)
		if b.Low == nil && b.High == nil || b.Low != nil && b.High != nil && *b.Low >= *b.High {
			c.say("%s: holds no temperature", where)
		}
		if b.Say == "" || b.Caution == "" {
			c.say("%s: says nothing", where)
		}
	}
	for _, x := range c.larder.losses {
		where := "loss " + x.ID
		techniques(where, x.Techniques)
		c.source(where, x.Source)
		if x.Share < 0 || x.Share >= 1 || x.Spread <= 0 {
			c.say("%s: its share or spread cannot be", where)
		}
	}
}
