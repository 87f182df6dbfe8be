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
