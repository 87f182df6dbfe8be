package swap

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// beside are the foods that stood in one line with what is replaced: they stay, as the
// peppers of "sour cream and hot peppers, to serve" do, or are told as left out.
func (x *bench) beside(line recipe.Line, ref *string) []Line {
	var out []Line
	for _, o := range line.Also {
		f := x.larder.Food(o.Food)
		if f == nil || x.rules.Breaks(f) != "" {
			left := recipe.Line{Name: o.Name}
			out = append(out, Line{Line: leftOut(left, texts.Say("swap.itStoodInOneLineWith")), From: ref, Change: Dropped})
			continue
		}
		text, done := strings.TrimSpace(o.Name), x.saidOfAll(line)
		if done != "" {
			text += ", " + done
		}
		out = append(out, Line{Line: recipe.Line{
			Text: text, Food: &f.ID, Form: larder.RawForm, Name: o.Name, Preparation: done, Alternatives: []recipe.Alternative{},
			Origin: f.Origin, Check: f.Check, ToTaste: true, Optional: line.Optional, Why: texts.Say("swap.itStaysOfItsLine"),
		}, From: ref, Change: Adjusted})
	}
	return out
}

// saidOfAll is what a line says of all its foods: "to serve", but not "grated" before the first of them, of "grated cheddar and
// coriander".
func (x *bench) saidOfAll(line recipe.Line) string {
	text := strings.ToLower(line.Text)
	names := strings.LastIndex(text, strings.ToLower(line.Name))
	return strings.Join(slices.DeleteFunc(strings.Split(line.Preparation, ", "), func(done string) bool {
		at, words := strings.Index(text, strings.ToLower(done)), strings.Fields(strings.ToLower(done))
		return at >= 0 && at < names && len(words) > 0 && slices.ContainsFunc(x.larder.Language().Verb(words[0]), func(r language.Reading) bool { return r.Form == language.Past })
	}), ", ")
}
