package larder

import (
	"slices"
	"strings"
)

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

// impliedBy lists the allergens that the words of a name give away.
func (l *Larder) impliedBy(words []string) []string {
	var out []string
	for _, w := range words {
		for _, x := range l.allergenWords[w] {
			if !slices.ContainsFunc(words, func(o string) bool { return slices.Contains(x.unless, o) || strings.HasSuffix(o, "free") }) {
				out = append(out, x.allergen)
			}
		}
	}
	return out
}

// claims finds what a text says is left out: an allergen by one of its words, or foods
// that rules know by their tag. Such words are computed and never typed.
func (l *Larder) claims(text string) string {
	for _, clause := range strings.FieldsFunc(strings.ToLower(text), func(r rune) bool { return r == '.' || r == ';' || r == ':' }) {
		words := Words(clause)
		from := slices.IndexFunc(words, func(w string) bool { return l.language.Lacking[w] })
		if from < 0 {
			continue
		}
		for _, w := range words[from+1:] {
			if len(l.allergenWords[w]) > 0 || l.tags[w] != nil || slices.ContainsFunc(l.switches, func(s Switch) bool {
				return !l.language.Lacking[w] && !l.language.Conjunctions[w] && slices.Contains(Words(s.Rule), w)
			}) {
				return w
			}
		}
	}
	return ""
}
