// Package texts holds what the server says to people: each sentence by a key, in one table for
// each language.
package texts

import (
	_ "embed"
	"encoding/json"
	"strings"

	"github.com/goccy/go-yaml"
	"golang.org/x/text/language"
	"golang.org/x/text/message"
	"golang.org/x/text/message/catalog"
)

//go:embed en.yaml
var english []byte

var known = map[string]bool{}

var printer = printerOf(english, language.English)

// printerOf reads a table; one that does not read is a fault of the program, found when it starts.
func printerOf(table []byte, of language.Tag) *message.Printer {
	texts := map[string]string{}
	if err := yaml.Unmarshal(table, &texts); err != nil {
		panic("the table of texts does not read: " + err.Error())
	}
	b := catalog.NewBuilder(catalog.Fallback(of))
	for key, text := range texts {
		known[key] = true
		if err := b.SetString(of, key, text); err != nil {
			panic("the table of texts does not read: " + err.Error())
		}
	}
	return message.NewPrinter(of, message.Catalog(b))
}

// Say is the text of a key, with what stands in its places as with fmt.
func Say(key string, args ...any) string { return printer.Sprintf(key, args...) }

// Keep is what is kept of a text in place of the sentence: its key with what stands in its places, so
// that every language can tell of it.
func Keep(key string, args ...any) string {
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
func Retold(text string) string {
	key, with, _ := strings.Cut(strings.TrimPrefix(text, keptMark), " ")
	if !strings.HasPrefix(text, keptMark) || !known[key] {
		return text
	}
	var args []any
	if with != "" && json.Unmarshal([]byte(with), &args) != nil {
		return text
	}
	return Say(key, args...)
}
