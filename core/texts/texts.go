// Package texts holds what core says to people: each sentence by a key, in one table for each
// language. A key is named after the package that says it.
package texts

import (
	_ "embed"
	"encoding/json"
	"regexp"
	"strings"

	"github.com/goccy/go-yaml"
	"golang.org/x/text/feature/plural"
	"golang.org/x/text/language"
	"golang.org/x/text/message"
	"golang.org/x/text/message/catalog"
)

//go:embed en.yaml
var english []byte

var table = Read(english, language.English)

// Say is the text of a key, with what stands in its places as with fmt.
func Say(key string, args ...any) string { return table.Say(key, args...) }

// Table is what is said in one language, by key.
type Table struct {
	texts   map[string]text
	printer *message.Printer
}

// text is a sentence, or where the first figure decides its form, the one for one and for others.
type text struct{ One, Other string }

// UnmarshalYAML takes a bare sentence, or both forms.
func (t *text) UnmarshalYAML(read func(any) error) error {
	if err := read(&t.Other); err == nil {
		return nil
	}
	type forms text
	return read((*forms)(t))
}

func (t text) message() catalog.Message {
	if t.One == "" {
		return catalog.String(t.Other)
	}
	return plural.Selectf(1, "%g", plural.One, t.One, plural.Other, t.Other)
}

// Read reads a table; one that does not read is a fault of the program, found when it starts.
func Read(yamlTable []byte, of language.Tag) *Table {
	t := Table{texts: map[string]text{}}
	if err := yaml.Unmarshal(yamlTable, &t.texts); err != nil {
		panic("the table of texts does not read: " + err.Error())
	}
	b := catalog.NewBuilder(catalog.Fallback(of))
	for key, said := range t.texts {
		if err := b.Set(of, key, said.message()); err != nil {
			panic("the table of texts does not read: " + err.Error())
		}
	}
	t.printer = message.NewPrinter(of, message.Catalog(b))
	return &t
}

// Say is the text of a key, with what stands in its places as with fmt.
func (t *Table) Say(key string, args ...any) string {
	if len(args) == 0 {
		if said, ok := t.texts[key]; ok && !strings.Contains(said.Other, "%") {
			return said.Other
		}
	}
	return t.printer.Sprintf(key, args...)
}

// Keep is what is kept of a text in place of the sentence: its key with what stands in its places, so
// that every language can tell of it.
func (t *Table) Keep(key string, args ...any) string {
	if len(args) == 0 {
		return keptMark + key
	}
	with, err := json.Marshal(args)
	if err != nil {
		panic("what stands in a text cannot be kept: " + err.Error())
	}
	return keptMark + key + " " + string(with)
}

// keptMark begins what is kept by its key.
const keptMark = "@"

// Retold says what was kept in the words of today. What the cook wrote stands as it is, and so does
// what a screen keeps by a key of its own.
func (t *Table) Retold(text string) string {
	key, with, _ := strings.Cut(strings.TrimPrefix(text, keptMark), " ")
	said, known := t.texts[key]
	if !strings.HasPrefix(text, keptMark) || !known {
		return text
	}
	var args []any
	if with != "" && json.Unmarshal([]byte(with), &args) != nil {
		return text
	}
	for i, v := range verb.FindAllString(said.Other, -1) {
		if number, is := at(args, i).(float64); is && strings.HasSuffix(v, "d") {
			args[i] = int64(number)
		}
	}
	return t.Say(key, args...)
}

// verb is a place of a text.
var verb = regexp.MustCompile(`%[-+# 0]*[\d.]*[a-zA-Z]`)

func at(args []any, i int) any {
	if i >= len(args) {
		return nil
	}
	return args[i]
}
