package recipe

import (
	"slices"
	"strings"

	"yembra/core/language"
)

// SaidOfAll is what a line says of all its foods: "to serve", but not "grated" before the first of them, of "grated cheddar and
// coriander".
func (l *Line) SaidOfAll(lang *language.Language) string {
	text := strings.ToLower(l.Text)
	names := strings.LastIndex(text, strings.ToLower(l.Name))
	return strings.Join(slices.DeleteFunc(strings.Split(l.Preparation, ", "), func(done string) bool {
		at, words := strings.Index(text, strings.ToLower(done)), strings.Fields(strings.ToLower(done))
		return at >= 0 && at < names && len(words) > 0 && slices.ContainsFunc(lang.Verb(words[0]), func(r language.Reading) bool { return r.Form == language.Past })
	}), ", ")
}
