package language

import (
	"fmt"
	"slices"
	"strings"
)

// Form is the shape in which a verb stands.
type Form int

// The forms that matter: the base orders work, -ing says how or meanwhile, the
// past describes.
const (
	Base Form = iota
	Going
	Past
	Third
)

// Reading is what a surface word can be: a verb in a form.
type Reading struct {
	Lemma string
	Form  Form
}

// Sense is one meaning of a verb: the technique it orders where one of its keys
// (words that must all stand in the same clause) is met, or always.
type Sense struct {
	Technique string
	Keys      [][]string
}

// The techniques of the table of verbs that are none: NoWork is that of verbs which order nothing ("leave the rest whole"),
// Inner that of those which only lead to another ("use it to line the tin").
const (
	NoWork = "-"
	Inner  = ">inner"
)

type verbTable struct {
	forms  map[string][]Reading
	longer map[string][][]string // verbs of several words, by the first
	senses map[string][]Sense
}

// Verb lists the readings of a word as a verb.
func (l *Language) Verb(word string) []Reading { return l.verbs.forms[word] }

// IsVerb tells whether a word is a verb of the table in its base form, or begins
// one of several words.
func (l *Language) IsVerb(word string) bool {
	for _, r := range l.verbs.forms[word] {
		if r.Form == Base {
			return true
		}
	}
	return len(l.verbs.longer[word]) > 0
}

// Orders lists the techniques that a word orders by itself, as a form of a verb:
// "frying", "chopped".
func (l *Language) Orders(word string) []string {
	var out []string
	for _, r := range l.verbs.forms[word] {
		for _, s := range l.verbs.senses[r.Lemma] {
			if len(s.Keys) == 0 {
				out = append(out, s.Technique)
			}
		}
	}
	return out
}

// Forbids tells whether words say that something is not done: "do not stir", "without boiling".
func (l *Language) Forbids(words []string, technique string) bool {
	not := false
	for _, w := range words {
		if not && slices.Contains(l.Orders(w), technique) {
			return true
		}
		not = not || l.Negations[w] || l.Lacking[w]
	}
	return false
}

// Longer lists the verbs of several words that begin with a word.
func (l *Language) Longer(word string) [][]string { return l.verbs.longer[word] }

// Senses lists the meanings of a verb, in the order of the table.
func (l *Language) Senses(lemma string) []Sense { return l.verbs.senses[lemma] }

// Verbs lists all verbs that the table knows, sorted.
func (l *Language) Verbs() []string {
	out := make([]string, 0, len(l.verbs.senses))
	for v := range l.verbs.senses {
		out = append(out, v)
	}
	slices.Sort(out)
	return out
}

func (l *Language) loadVerbs(src Source) error {
	l.verbs = verbTable{map[string][]Reading{}, map[string][][]string{}, map[string][]Sense{}}
	rows, err := src.Table("language/" + l.Locale + "/verbs.csv")
	if err != nil {
		return err
	}
	var inflection inflections
	if err := src.Decode("language/"+l.Locale+"/inflection.yaml", &inflection); err != nil {
		return err
	}
	for i, row := range rows[1:] {
		if len(row) != 3 {
			return fmt.Errorf("verbs.csv row %d: %d cells, not 3", i+2, len(row))
		}
		var keys [][]string
		for _, k := range strings.Split(row[2], "|") {
			if k != "" {
				keys = append(keys, strings.FieldsFunc(k, func(r rune) bool { return r == '+' || r == ' ' }))
			}
		}
		for _, v := range strings.Split(row[1], "|") {
			l.verbs.senses[v] = append(l.verbs.senses[v], Sense{row[0], keys})
			l.addForms(v, inflection)
		}
	}
	return nil
}

// inflections are how the verbs of a language change their shape.
type inflections struct {
	Rules     []spelling        `yaml:"rules"`
	Doubles   Set               `yaml:"doubles"`
	Irregular map[string]string `yaml:"irregular"`
}

func (l *Language) addForms(verb string, by inflections) {
	words := strings.Fields(verb)
	if len(words) > 1 {
		if !slices.ContainsFunc(l.verbs.longer[words[0]], func(o []string) bool { return slices.Equal(o, words) }) {
			l.verbs.longer[words[0]] = append(l.verbs.longer[words[0]], words)
		}
		return
	}
	if len(l.verbs.senses[verb]) > 1 {
		return
	}
	add := func(word string, form Form) {
		l.verbs.forms[word] = append(l.verbs.forms[word], Reading{verb, form})
	}
	add(verb, Base)
	going, past, third := regular(verb, by.Doubles[verb[strings.LastIndex(verb, "-")+1:]], by.Rules)
	if forms := strings.Fields(by.Irregular[verb]); len(forms) == 2 {
		past, going = forms[0], forms[1]
	}
	add(going, Going)
	add(past, Past)
	add(third, Third)
}

// spelling is how verbs that end so are inflected: the ending gives way to the
// others.
type spelling struct {
	Ends  string `yaml:"ends"`
	Going string `yaml:"going"`
	Past  string `yaml:"past"`
	Third string `yaml:"third"`
}

// regular inflects a verb by the first rule that fits its end.
func regular(verb string, double bool, rules []spelling) (going, past, third string) {
	for _, r := range rules {
		if stem, ok := strings.CutSuffix(verb, r.Ends); ok {
			going, past, third = stem+r.Going, stem+r.Past, stem+r.Third
			break
		}
	}
	if double {
		last := verb[len(verb)-1:]
		going, past = verb+last+strings.TrimPrefix(going, verb), verb+last+strings.TrimPrefix(past, verb)
	}
	return going, past, third
}
