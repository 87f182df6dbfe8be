package language

import (
	"fmt"
	"strings"
)

// Spelling is how the words of a language are brought to one form.
type Spelling struct {
	Plurals    []Plural
	Possessive Set
	Spellings  map[string]List
	// Compounds are words that are read as one.
	Compounds Phrasing

	same map[string]string
	// leads are the first words of compounds.
	leads Set
	// lasts are the last letters of all plurals.
	lasts [256]bool
}

// Plural is an ending that gives way to another, in words of at least so many letters.
type Plural struct {
	Ends  string
	Gives string
	Least int
}

// Phrasing is a set of phrases.
type Phrasing map[string]bool

// UnmarshalYAML reads a list of phrases.
func (p *Phrasing) UnmarshalYAML(read func(any) error) error {
	var list []string
	if err := read(&list); err != nil {
		return err
	}
	*p = Phrasing{}
	for _, phrase := range list {
		(*p)[phrase] = true
	}
	return nil
}

// LoadSpelling reads how the words of a language are spelt.
func LoadSpelling(src Source, locale string) (*Spelling, error) {
	s := &Spelling{same: map[string]string{}}
	file := "language/" + locale + "/spelling.yaml"
	if err := src.Decode(file, s); err != nil {
		return nil, fmt.Errorf("load %s: %w", file, err)
	}
	for _, p := range s.Plurals {
		if p.Ends == "" {
			return nil, fmt.Errorf("%s: a plural without an ending", file)
		}
		s.lasts[p.Ends[len(p.Ends)-1]] = true
	}
	s.leads = Set{}
	for phrase := range s.Compounds {
		first, _, _ := strings.Cut(phrase, " ")
		s.leads[first] = true
	}
	for word, others := range s.Spellings {
		for _, other := range others {
			if have := s.same[other]; have != "" {
				return nil, fmt.Errorf("%s: %q stands under %s and %s", file, other, min(have, word), max(have, word))
			}
			s.same[other] = word
		}
	}
	return s, nil
}

// Joins tells whether two words are read as one.
func (s *Spelling) Joins(first, second string) bool {
	return s.leads[first] && s.Compounds[first+" "+second]
}

// shortestPlural is how many letters a word has at least that may be a plural.
const shortestPlural = 4

// Singular takes the plural ending off a word, by the first rule that fits.
func (s *Spelling) Singular(word string) string {
	if len(word) < shortestPlural || !s.lasts[word[len(word)-1]] {
		return word
	}
	for _, p := range s.Plurals {
		if stem, ok := strings.CutSuffix(word, p.Ends); ok && len(word) >= p.Least {
			return stem + p.Gives
		}
	}
	return word
}

// Same is the spelling that stands for a word.
func (s *Spelling) Same(word string) string {
	if same := s.same[word]; same != "" {
		return same
	}
	return word
}
