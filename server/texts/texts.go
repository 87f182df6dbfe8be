// Package texts holds what the server says to people: each sentence by a key, in one table for
// each language.
package texts

import (
	_ "embed"

	"github.com/goccy/go-yaml"
	"golang.org/x/text/language"
	"golang.org/x/text/message"
	"golang.org/x/text/message/catalog"
)

//go:embed en.yaml
var english []byte

var printer = printerOf(english, language.English)

// printerOf reads a table; one that does not read is a fault of the program, found when it starts.
func printerOf(table []byte, of language.Tag) *message.Printer {
	texts := map[string]string{}
	if err := yaml.Unmarshal(table, &texts); err != nil {
		panic("the table of texts does not read: " + err.Error())
	}
	b := catalog.NewBuilder(catalog.Fallback(of))
	for key, text := range texts {
		if err := b.SetString(of, key, text); err != nil {
			panic("the table of texts does not read: " + err.Error())
		}
	}
	return message.NewPrinter(of, message.Catalog(b))
}

// Say is the text of a key, with what stands in its places as with fmt.
func Say(key string, args ...any) string { return printer.Sprintf(key, args...) }
