package swap

import (
	"math"
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/texts"
)

// assumedMass stands in for a line without a known mass ("butter for the
// tin"): 10 g.
const assumedMass = 10.0

// leftOut keeps the place of a line that has no stand-in. It holds nothing, so
// it has no origin.
func leftOut(line recipe.Line, why string) recipe.Line {
	return recipe.Line{
		Text: texts.Say("swap.leftOpen", line.Name), Form: larder.RawForm, Name: line.Name, Preparation: "", Optional: line.Optional,
		Alternatives: []recipe.Alternative{}, Origin: larder.Unknown, Why: why,
	}
}

// fineAmounts tells whether rounding must not move a food much: spices, salt,
// leavening and setting agents.
func fineAmounts(f *larder.Food) measure.Care {
	switch f.Aisle {
	case "spices", "baking", "sea-vegetables", "herbs":
		return measure.Fine
	}
	return measure.Loose
}

// kitchenAmount writes grams as a cook measures them.
func kitchenAmount(f *larder.Food, grams float64) string {
	if leaf := f.Matter.Pieces[string(measure.Leaf)].Mid(); leaf > 0 && leaf == f.Matter.Pieces["piece"].Mid() && grams <= leaf*oneLeaf {
		return measure.Figure(math.Max(math.Round(grams/leaf*4), 1) / 4) // nobody measures a bay leaf by the spoon
	}
	return measure.ShowMatter(measure.Exactly(grams), f.Matter.Density, larder.Measured(f), fineAmounts(f))
}

// oneLeaf is up to how much of a leaf one is taken, where a piece of a food is a leaf; more of it is measured; an estimate.
const oneLeaf = 1.1

// Written is a line as a card has it: amount, food, preparation.
func Written(f *larder.Food, grams float64, preparation string) string {
	text := kitchenAmount(f, grams) + " " + f.Name
	if preparation != "" {
		text += ", " + preparation
	}
	return text
}

// more is what a line says of more of its thing for other work: "plus extra for frying". It is empty where
// that names anything besides.
func (x *bench) more(original recipe.Line) string {
	lang := x.larder.Language()
	words := strings.Fields(original.Preparation)
	at := slices.IndexFunc(words, func(w string) bool { return lang.Extras[strings.ToLower(w)] })
	if at < 0 || !x.onlyForWork(words[at:]) {
		return ""
	}
	return strings.Join(words[at:], " ")
}

// Serves is what a line says it is for at the end, where that is work at the table or the board: "to serve", of "whisked,
// to serve", or "to spread". What takes its place serves for the same.
func Serves(l *larder.Larder, preparation string) string {
	lang := l.Language()
	last := strings.TrimSpace(preparation[strings.LastIndex(preparation, ",")+1:])
	words := strings.Fields(strings.ToLower(last))
	if len(words) != 2 || words[0] != lang.Writing.To && lang.Prepositions[words[0]] != "for" || !slices.ContainsFunc(lang.Verb(words[1]), func(r language.Reading) bool {
		return slices.ContainsFunc(lang.Orders(r.Lemma), func(name string) bool {
			t := l.Technique(name)
			return t != nil && t.Family == "assemble"
		})
	}) {
		return ""
	}
	return last
}

// purpose is what a line says at its end that it is for, or that there is more of it for: no paste of nuts
// greases a tin.
func (x *bench) purpose(original recipe.Line) string {
	if more := x.more(original); strings.Contains(more, " ") && !x.fries(original) {
		return more
	}
	return Serves(x.larder, original.Preparation)
}

// adding adds to words what they serve for.
func adding(words, purpose string) string {
	if purpose == "" || strings.HasSuffix(words, purpose) {
		return words
	}
	return strings.TrimPrefix(words+", "+purpose, ", ")
}

// fries tells whether a line is of a fat, for which no paste of nuts stands where something is fried or greased.
func (x *bench) fries(l recipe.Line) bool {
	return larder.IsFat(x.larder.Food(l.FoodID()))
}

func (x *bench) partLine(p larder.Part, grams float64, original recipe.Line, alone bool) recipe.Line {
	f := x.rules.inPlace(p.Food)
	span := measure.Exactly(grams)
	why := f.Why
	if why == "" {
		why = texts.Say("swap.standsInFor", original.Name)
	}
	preparation := p.Preparation
	if more := x.more(original); more != "" && alone && (larder.IsFat(f) || !x.fries(original)) {
		preparation = adding(preparation, more)
	}
	if alone {
		preparation = adding(preparation, Serves(x.larder, original.Preparation))
	}
	line := recipe.Line{
		Text: Written(f, grams, preparation), Amount: &measure.Amount{Low: grams, High: grams, Unit: measure.Gram}, Grams: &span, Food: &f.ID, Form: p.Form,
		Name: f.Name, Preparation: preparation, Alternatives: []recipe.Alternative{}, Optional: original.Optional,
		Origin: f.Origin, Check: f.Check, Hidden: false, Why: why,
	}
	if alone && preparation == "" && x.unmeasured(original, f) {
		line.Preparation, line.Amount = strings.TrimSpace(original.Preparation), nil
		line.Text = larder.Capital(f.Name) + ", " + line.Preparation // as much as the work wants, whatever the figures take it for
	}
	return line
}

// unmeasured tells whether a fat stands for one of which the list says what it is for and not how much: "dripping, for
// the tin".
func (x *bench) unmeasured(original recipe.Line, f *larder.Food) bool {
	lang := x.larder.Language()
	words := strings.Fields(original.Preparation)
	return original.Grams == nil && original.Amount == nil && len(words) > 1 && lang.Prepositions[strings.ToLower(words[0])] == "for" &&
		larder.IsFat(f) && x.fries(original) && x.onlyForWork(words)
}

// onlyForWork tells whether words say nothing but what something is for, and how much more of it there is: "plus extra
// for frying", "for the tin".
func (x *bench) onlyForWork(words []string) bool {
	lang := x.larder.Language()
	return !slices.ContainsFunc(words, func(word string) bool {
		w := strings.ToLower(word)
		return !lang.Extras[w] && lang.Prepositions[w] == "" && !lang.Articles[w] && len(lang.Verb(w)) == 0 && !lang.Vessels[larder.Singular(w)]
	})
}

func formOr(form string) string {
	if form == "" {
		return larder.RawForm
	}
	return form
}

// Small is a line that the method wants and the original's list does not hold: a
// little oil for a tin, a drink to brush on.
func Small(f *larder.Food, grams float64, why string) Line {
	span := measure.Exactly(grams)
	return Line{Line: recipe.Line{
		Text: Written(f, grams, ""), Amount: &measure.Amount{Low: grams, High: grams, Unit: measure.Gram}, Grams: &span, Food: &f.ID, Form: larder.RawForm,
		Name: f.Name, Alternatives: []recipe.Alternative{}, Origin: f.Origin, Check: f.Check, Why: why,
	}, Change: Adjusted}
}
