package larder

import (
	"maps"
	"slices"
)

// Price is what a kilogram of the food costs: on the kitchen's own list, else on
// the made-up one that ships with the program. It has no currency and serves to
// compare.
func (l *Larder) Price(f *Food) float64 {
	if p, ok := l.prices[f.ID]; ok {
		return p
	}
	return l.prices[AislePrefix+f.Aisle]
}

// Prices is the list as it counts, by food or by AislePrefix and the aisle.
func (l *Larder) Prices() map[string]float64 { return maps.Clone(l.prices) }

// Priced says whether a key of a price list names a food or an aisle.
func (l *Larder) Priced(key string) bool {
	return l.foods[key] != nil || slices.ContainsFunc(slices.Collect(maps.Values(l.foods)), func(f *Food) bool { return AislePrefix+f.Aisle == key })
}

// WithPrices is the larder with other prices before those it has.
func (l *Larder) WithPrices(own map[string]float64) *Larder {
	if len(own) == 0 {
		return l
	}
	c := *l
	c.prices = maps.Clone(l.prices)
	maps.Copy(c.prices, own)
	return &c
}

func (l *Larder) loadPrices(src Source) error {
	return eachRow(src, "prices.csv", func(r row) {
		l.prices[r.text("food")] = r.number("per_kg", 0)
	})
}
