package swap

import (
	"strconv"
	"strings"

	"yembra/core/character"
	"yembra/core/recipe"
)

// lineOf is the index of the original line that a line stands for, -1 for what
// is new.
func lineOf(l Line) int {
	if l.From == nil {
		return -1
	}
	at := strings.LastIndexByte(*l.From, '[')
	line, err := strconv.Atoi(strings.TrimSuffix((*l.From)[at+1:], "]"))
	if err != nil {
		return -1
	}
	return line
}

// dishOf makes the adapted lines ready for evaluation, with what the steps do
// taken over from the original.
func (x *bench) dishOf(a Adaptation) character.Dish {
	out := character.Dish{Servings: x.original.Servings, Parts: make([]character.Part, len(a.Components))}
	for i, c := range a.Components {
		part := character.Part{Shape: x.shapes[i], Items: make([]character.Item, 0, len(c.Lines))}
		for j := range c.Lines {
			l := &c.Lines[j]
			food := x.larder.Food(l.FoodID())
			if food == nil || l.Mass() <= 0 {
				continue
			}
			it := x.item(i, lineOf(*l), food, l.Form, l.Mass(), l.Change == Swapped)
			it.Ref, it.Label = recipe.LineRef(i, j), l.Name
			part.Items = append(part.Items, it)
		}
		out.Parts[i] = part
	}
	return out
}
