package larder

// allergenWord is an allergen that a word of a name gives away, unless one of other
// words stands in the name too.
type allergenWord struct {
	allergen string
	unless   []string
}

func (l *Larder) loadAllergenWords(src Source) error {
	l.allergenWords = map[string][]allergenWord{}
	return eachRow(src, "allergen_words.csv", func(r row) {
		for _, w := range Words(r.text("word")) {
			l.allergenWords[w] = append(l.allergenWords[w], allergenWord{r.text("allergen"), r.list("unless")})
		}
	})
}
