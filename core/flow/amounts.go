package flow

import (
	"maps"
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/lex"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// Sized writes the masses and volumes that the words of a step say anew: show is
// asked for each. Lengths, times and heats are none.
func Sized(lang *language.Language, text string, show func(measure.Amount) string) string {
	tokens := wordsOf(lex.Scan(text))
	var b strings.Builder
	done := 0
	for i := 0; i+1 < len(tokens); i++ {
		if tokens[i].Kind != lex.Number {
			continue
		}
		unit, ok := lang.Lines.Unit(tokens[i+1].Text)
		if d, known := measure.DimensionOf(unit); !ok || !known || d == measure.Count || !bySize[unit] {
			continue
		}
		b.WriteString(text[done:tokens[i].Start])
		b.WriteString(show(measure.Amount{Low: tokens[i].Value, High: tokens[i].Value, Unit: unit}))
		done = tokens[i+1].End
	}
	return b.String() + text[done:]
}

// bySize are the units whose amounts in a step grow with the dish.
var bySize = map[measure.Unit]bool{measure.Gram: true, measure.Kilogram: true, measure.Millilitre: true, measure.Litre: true}

// FirstWord is the first word of a step, normalised; empty where there is none.
func FirstWord(text string) string {
	if words := larder.Words(text); len(words) > 0 {
		return words[0]
	}
	return ""
}

// Beginning is the first words of a step, which name it wherever it is shown.
func Beginning(text string) string {
	const words = 6
	all := strings.Fields(text)
	return strings.TrimRight(strings.Join(all[:min(words, len(all))], " "), ",.;:")
}

// byWeight works out how long something takes that is said for so much of it: "15 minutes per 450 g",
// of the heaviest that is worked on.
func (b *bindings) byWeight(c *clause, r *roles) {
	if c.per <= 0 || c.minutes == nil {
		return
	}
	most := 0.0
	for _, p := range r.portions {
		most = max(most, b.lines[p.line].line.Mass())
	}
	for _, in := range r.inputs {
		for p := range in.holds {
			most = max(most, b.lines[p.line].line.Mass())
		}
	}
	if all := c.minutes.Times(most / c.per); most > 0 && all.Within(0, measure.MostMinutes) {
		r.action.Minutes, r.action.Per = &all, c.per
	}
}

// rubs tells rubbing spices in from rubbing fat into flour.
func (b *bindings) rubs(t *larder.Technique, r *roles) *larder.Technique {
	if t.Name != rubInTechnique || len(r.portions) == 0 {
		return t
	}
	dough := func(p portion) bool {
		f := b.lines[p.line].food
		return b.fat(p) || f == nil || f.Aisle == "grains"
	}
	inDough := slices.ContainsFunc(r.portions, dough) || slices.ContainsFunc(r.inputs, func(in *thing) bool {
		return slices.ContainsFunc(slices.Collect(maps.Keys(in.holds)), dough)
	})
	if rub := b.r.larder.Technique(rubTechnique); !inDough && rub != nil {
		r.action.Technique, b.tech = rub.Name, rub
		if b.focus != nil && b.open(b.focus) && len(r.action.Into) == 0 && !slices.Contains(r.inputs, b.focus) {
			b.refMade(b.focus, 1, r, &r.action.Into)
		}
		return rub
	}
	return t
}

// spreads tells buttering bread from greasing a tin.
func (b *bindings) spreads(t *larder.Technique, r *roles) *larder.Technique {
	if t.Name != greaseTechnique || len(r.action.To) == 0 || slices.ContainsFunc(r.action.To, func(x recipe.Ref) bool { return x.Line == nil && x.Made == nil }) {
		return t
	}
	spread := b.r.larder.Technique(spreadTechnique)
	if spread == nil {
		return t
	}
	r.action.Technique, b.tech = spread.Name, spread
	return spread
}

// rubInTechnique rubs fat into flour, rubTechnique something into what is cooked with it.
const (
	rubInTechnique = "rub-in"
	rubTechnique   = "rub"
)

// spreadTechnique spreads something on food.
const spreadTechnique = "spread"

// cutTo tells whether a list has a line cut to the pieces that a unit counts: "beef, sliced very thinly".
func (b *bindings) cutTo(line int, unit string) bool {
	return b.r.lang.Shapes[unit] && slices.ContainsFunc(b.lines[line].prepared, func(w string) bool {
		return slices.ContainsFunc(b.r.lang.Verb(w), func(r language.Reading) bool { return r.Form == language.Past && r.Lemma == unit })
	})
}
