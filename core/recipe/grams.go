package recipe

import (
	"cmp"
	"fmt"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/texts"
)

// The forms of the larder that words of a line choose: pulses out of a tin, drained; what is
// cooked or boiled.
const (
	tinnedForm = "tinned"
	cookedForm = "cooked"
	boiledForm = "boiled"
)

// formOf chooses the form of the food that the words or the pack call for.
func (r *Reader) formOf(food *larder.Food, q quantity, n nameRead) string {
	tinned := q.amount != nil && q.amount.Unit == measure.Can
	best := larder.RawForm
	for _, w := range n.words {
		w = strings.TrimSuffix(w, ".")
		switch _, form := food.Forms[w]; {
		case r.lines().Tinned[w]:
			tinned = true
		case w == boiledForm && form:
			return boiledForm
		case r.lines().Dried[w]:
			tinned = false
			if _, ok := food.Forms[cookedForm]; ok {
				return larder.RawForm
			}
		}
		if _, ok := food.Forms[w]; ok && w != larder.RawForm {
			best = w
		}
	}
	if _, ok := food.Forms[tinnedForm]; ok && tinned {
		return tinnedForm
	}
	return best
}

// gramsOf works the mass of a line out, where it is one that a kitchen has.
func gramsOf(food *larder.Food, form string, q quantity, sys measure.System) (*measure.Span, *measure.Basis) {
	grams, basis := massOf(food, form, q, sys)
	if grams != nil && !grams.Within(0, measure.MostGrams) {
		return nil, nil
	}
	return grams, basis
}

// massOf works a mass out: stated grams first, then pack sizes, then the measure
// itself.
func massOf(food *larder.Food, form string, q quantity, sys measure.System) (*measure.Span, *measure.Basis) {
	if q.grams != nil {
		return q.grams, &measure.Basis{Text: texts.Say("recipe.asTheRecipeStates"), Source: measure.SourceUnits}
	}
	if q.amount == nil {
		return nil, nil
	}
	var m measure.Matter
	if food != nil {
		m = food.MatterOf(form)
	}
	density := m.Density
	if q.each != nil {
		g := q.amount.Span().Over(*q.each)
		text := texts.Say("recipe.packSizeAsTheRecipeStates")
		if share := drainedShare(food, form, *q.each); share < 1 {
			g = g.Times(share)
			text = texts.Say("recipe.packSizeLessTheLiquidDrained", share*100)
		}
		return &g, &measure.Basis{Text: text, Source: measure.SourceUnits}
	}
	if q.ml != nil && density > 0 {
		g := q.amount.Span().Over(*q.ml).Times(density)
		return &g, &measure.Basis{Text: texts.Say("recipe.packVolumeAsTheRecipeStates"), Source: m.Source, Estimate: m.Estimate}
	}
	amount := *q.amount
	if q.sole {
		amount.Low, amount.High = 1, 1
	}
	if each, ok := m.Pieces["thumb"]; ok && q.inches > 0 {
		g := amount.Span().Over(each).Times(q.inches)
		return &g, &measure.Basis{Text: texts.Say("recipe.anInchG", each.Low, each.High), Source: m.Source, Estimate: m.Estimate}
	}
	if amount.Unit == measure.Stick && (food == nil || food.Kind != "butter" && food.Kind != "fat" && food.Kind != "oil") {
		for _, u := range []string{"stick", "stalk", "piece"} {
			if each, ok := m.Pieces[u]; ok {
				g := amount.Span().Over(each)
				return &g, &measure.Basis{Text: fmt.Sprintf("1 %s = %g g", u, each.Low), Source: m.Source, Estimate: m.Estimate}
			}
		}
		return nil, nil
	}
	if countUnit(amount.Unit) && q.volume != nil && density > 0 {
		g := q.volume.Times(density)
		return &g, &measure.Basis{Text: texts.Say("recipe.volumeAsTheRecipeStates"), Source: m.Source, Estimate: m.Estimate}
	}
	if food == nil {
		d, _ := measure.DimensionOf(amount.Unit)
		if d != measure.Mass {
			return nil, nil
		}
	}
	g, basis, err := measure.Grams(amount, q.size, m, cmp.Or(q.whose, sys))
	if err != nil {
		return nil, nil
	}
	return &g, &basis
}

// leastDrained is the pack size in g from which a stated one counts the liquid
// too; smaller ones are usually stated drained.
const leastDrained = 300

// drainedShare is what a pack of the stated size holds without its liquid, by
// the larder's usual pack: 240 g of a 400 g tin. It is 1 where nothing is
// poured off.
func drainedShare(food *larder.Food, form string, each measure.Span) float64 {
	if food == nil || form != tinnedForm || each.Mid() <= leastDrained {
		return 1
	}
	for _, p := range food.Packs {
		if p.Drained != nil {
			return *p.Drained / p.Grams
		}
	}
	return 1
}
