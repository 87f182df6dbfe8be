package larder

// Price is what a kilogram of the food costs on the made-up price list that
// ships with the program; it has no currency and serves to compare.
func (l *Larder) Price(f *Food) float64 {
	if p, ok := l.prices[f.ID]; ok {
		return p
	}
	return l.prices[aislePrefix+f.Aisle]
}

func (l *Larder) loadPrices(src Source) error {
	return eachRow(src, "prices.csv", func(r row) {
		l.prices[r.text("food")] = r.number("per_kg", 0)
	})
}

// Reference is the daily reference intake of a nutrient and its source, 0 where
// none is laid down.
func (l *Larder) Reference(nutrient string) (amount float64, source string) {
	r := l.references[nutrient]
	return r.amount, r.source
}

type reference struct {
	amount float64
	source string
}

func (l *Larder) loadReferences(src Source) error {
	return eachRow(src, "reference.csv", func(r row) {
		l.references[r.text("nutrient")] = reference{r.number("amount", 0), r.text("source")}
	})
}
