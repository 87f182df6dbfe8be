package swap

import (
	"strings"

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
		text, done := strings.TrimSpace(o.Name), line.SaidOfAll(x.larder.Language())
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
