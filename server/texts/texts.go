// Package texts holds what the server says to people: each sentence by a key, in one table for
// each language.
package texts

import (
	_ "embed"

	"golang.org/x/text/language"

	"yembra/core/texts"
)

//go:embed en.yaml
var english []byte

var table = texts.Read(english, language.English)

// Say is the text of a key, with what stands in its places as with fmt.
func Say(key string, args ...any) string { return table.Say(key, args...) }

// Keep is what is kept of a text in place of the sentence, so that every language can tell of it.
func Keep(key string, args ...any) string { return table.Keep(key, args...) }

// Retold says what was kept in the words of today.
func Retold(text string) string { return table.Retold(text) }
