package larder

import "slices"

// Reference is what a day takes of a nutrient: the reference intake of an adult and
// the most that one should take in, each 0 where none is laid down.
type Reference struct {
	Nutrient     string
	Unit         string
	Amount, Most float64
	Source       string
	MostSource   string
	// Dissolves tells that it goes over into the water that a food is steeped in.
	Dissolves bool
}

// Reference is what a day takes of a nutrient.
func (l *Larder) Reference(nutrient string) Reference {
	at := slices.IndexFunc(l.references, func(r Reference) bool { return r.Nutrient == nutrient })
	if at < 0 {
		return Reference{Nutrient: nutrient}
	}
	return l.references[at]
}

// salt is the one nutrient of the table that no food lists under its own name.
const salt = "salt"

// Limited lists the nutrients of which a day should not take more than so much, salt
// apart, which cooks weigh by itself.
func (l *Larder) Limited() []Reference {
	var out []Reference
	for _, r := range l.references {
		if r.Most > 0 && r.Nutrient != salt {
			out = append(out, r)
		}
	}
	return out
}

// Limit is what of a food brings as much of a nutrient as a day should not pass.
type Limit struct {
	Nutrient string  `json:"nutrient"`
	Unit     string  `json:"unit"`
	Most     float64 `json:"most"`
	Grams    float64 `json:"grams"`
	Source   string  `json:"source"`
}

// plenty is more of a strong food than anyone eats in a day, in grams.
const plenty = 100.0

// Limits are the day's limits that a food can reach, salt among them.
func (l *Larder) Limits(f *Food) []Limit {
	out := []Limit{}
	for _, r := range l.references {
		per100 := Or(f.Per100.Named(r.Nutrient), 0)
		if r.Nutrient == salt && f.Per100.Sodium != nil {
			per100 = f.Per100.Salt()
		}
		if r.Most > 0 && per100 > 0 && r.Most/per100*100 < plenty {
			out = append(out, Limit{r.Nutrient, r.Unit, r.Most, r.Most / per100 * 100, l.SourceTitle(r.MostSource)})
		}
	}
	return out
}

// Named is a figure by the name that tables use, nil where it is not known.
func (c *Composition) Named(nutrient string) Figure {
	if of := figures[nutrient]; of != nil {
		return *of(c)
	}
	return nil
}

func (l *Larder) loadReferences(src Source) error {
	return eachRow(src, "reference.csv", func(r row) {
		l.references = append(l.references, Reference{Nutrient: r.text("nutrient"), Unit: r.text("unit"), Amount: r.number("amount", 0), Source: r.text("source"), Most: r.number("most", 0), MostSource: r.text("mostsource"), Dissolves: r.text("dissolves") == "yes"})
		if (r.number("most", 0) > 0) != (r.text("mostsource") != "") {
			r.fail("what a day should not pass has no source")
		}
	})
}
