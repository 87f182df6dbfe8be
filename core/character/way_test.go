package character

import (
	"sync"
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/knowledge"
)

// asShipped is the larder as it ships, loaded once for the tests from within.
var asShipped = sync.OnceValues(func() (*larder.Larder, error) { return larder.Load(knowledge.Shipped()) })

// traced reads a recipe and traces it.
func traced(t *testing.T, text string) *method {
	t.Helper()
	l, err := asShipped()
	require.NoError(t, err)
	d := flow.NewReader(l).Read(text, measure.Metric)
	return methodOf(l, &d)
}

// beside is what the rules of use may look at for one line.
func (m *method) beside(component, line int) *neighbourhood {
	return m.neighbourhood(component, line, m.larder.Food(m.dish.Components[component].Lines[line].FoodID()))
}

// nodeOf is the first action of a way of working.
func (m *method) nodeOf(t *testing.T, technique string) (int, *flow.Node) {
	t.Helper()
	for i := range m.graph.Nodes {
		if m.graph.Nodes[i].Is(technique) {
			return i, &m.graph.Nodes[i]
		}
	}
	t.Fatalf("no %s", technique)
	return 0, nil
}

// Every bound on amounts is held on both sides, and at itself.
func TestAmountsOfARuleAreBounds(t *testing.T) {
	n := traced(t, "Dough\n\n50 g butter\n100 g plain flour\n50 g sugar\n\nMethod\n1. Mix everything and bake for 20 minutes.").beside(0, 0)
	times := func(of string, by float64) *larder.Times { return &larder.Times{Of: of, Times: by} }
	for name, c := range map[string]struct {
		when larder.UseWhen
		want bool
	}{
		"as much as is asked is not more":       {larder.UseWhen{Beside: times("white-flour", 2)}, false},
		"more than is asked":                    {larder.UseWhen{Beside: times("white-flour", 1.99)}, true},
		"less than is asked":                    {larder.UseWhen{Beside: times("white-flour", 2.01)}, false},
		"as much as may be is not under it":     {larder.UseWhen{Under: times("white-flour", 2)}, false},
		"under what may be":                     {larder.UseWhen{Under: times("white-flour", 2.01)}, true},
		"above what may be":                     {larder.UseWhen{Under: times("white-flour", 1.99)}, false},
		"half of the flour is not over it":      {larder.UseWhen{MassOver: times("white-flour", 0.5)}, false},
		"over less than half of the flour":      {larder.UseWhen{MassOver: times("white-flour", 0.49)}, true},
		"not over more than half of the flour":  {larder.UseWhen{MassOver: times("white-flour", 0.51)}, false},
		"as many grams as are asked":            {larder.UseWhen{Grams: &larder.More{Of: "white-flour", More: 100}}, false},
		"more grams than are asked":             {larder.UseWhen{Grams: &larder.More{Of: "white-flour", More: 99}}, true},
		"as heavy as it may be":                 {larder.UseWhen{Mass: 50}, false},
		"lighter than it may be":                {larder.UseWhen{Mass: 51}, true},
		"as heavy as it has to be":              {larder.UseWhen{MassLeast: 50}, false},
		"heavier than it has to be":             {larder.UseWhen{MassLeast: 49}, true},
		"as great a share as it may be":         {larder.UseWhen{Share: 0.25}, false},
		"a smaller share than it may be":        {larder.UseWhen{Share: 0.26}, true},
		"what is not there is less than a part": {larder.UseWhen{Under: times("milk", 0.01)}, true},
	} {
		assert.Equal(t, c.want, n.masses(c.when), name)
	}
}

// Of a line whose shares part, the greater share says what it is for, if it is great enough.
func TestTheGreaterShareSaysWhatALineIsFor(t *testing.T) {
	m := traced(t, "Pie\n\n6 eggs\n400 g ricotta\n1 kg chard\n\nMethod\n1. Mix the ricotta with 1 egg. Fill a tin.\n2. Make five hollows, break the other 5 eggs into them and bake for 50 minutes.")
	at := m.graph.Line(0, 0)
	through := m.mostOf(0, 0, at)
	require.NotNil(t, through)
	mix, _ := m.nodeOf(t, "mix")
	bake, _ := m.nodeOf(t, "bake")
	assert.False(t, through[mix], "the one egg of the filling")
	assert.True(t, through[bake], "and what the five go on into")
	for name, text := range map[string]string{
		"all in one":     "Pie\n\n6 eggs\n400 g ricotta\n\nMethod\n1. Mix the ricotta with the eggs and bake for 50 minutes.",
		"half and half":  "Pie\n\n4 eggs\n400 g ricotta\n\nMethod\n1. Mix the ricotta with 2 eggs.\n2. Fry the other 2 eggs and serve.",
		"one share only": "Pie\n\n4 eggs\n400 g ricotta\n\nMethod\n1. Mix the ricotta with 3 eggs and bake for 50 minutes.",
	} {
		one := traced(t, text)
		assert.Nil(t, one.mostOf(0, 0, one.graph.Line(0, 0)), name)
	}
}

// Yolks go with the eggs that they are named with, and with none that go elsewhere.
func TestEggsThatGoTogether(t *testing.T) {
	for name, c := range map[string]struct {
		text       string
		line, want int
	}{
		"a yolk beside more eggs":        {"Cream\n\n3 eggs\n1 egg yolk\n500 ml milk\n\nMethod\n1. Whisk the eggs and the yolk. Stir in the milk.", 1, 0},
		"the eggs beside fewer yolks":    {"Cream\n\n3 eggs\n1 egg yolk\n500 ml milk\n\nMethod\n1. Whisk the eggs and the yolk. Stir in the milk.", 0, -1},
		"milk is no egg":                 {"Cream\n\n3 eggs\n1 egg yolk\n50 ml milk\n\nMethod\n1. Whisk the eggs and the milk.", 2, -1},
		"eggs beside more milk":          {"Cream\n\n1 egg\n500 ml milk\n\nMethod\n1. Whisk the egg and the milk.", 0, -1},
		"a yolk that is named by itself": {"Cream\n\n3 eggs\n1 egg yolk\n500 ml milk\n\nMethod\n1. Whisk the eggs. Stir in the milk. Brush with the yolk.", 1, -1},
		"named together, and one again":  {"Cream\n\n3 eggs\n2 egg yolks\n500 ml milk\n\nMethod\n1. Whisk the eggs and the yolks. Stir in the milk. Whisk in the eggs.", 1, -1},
	} {
		m := traced(t, c.text)
		assert.Equal(t, c.want, m.eggsBeside(0, c.line, m.larder.Food(m.dish.Components[0].Lines[c.line].FoodID())), name)
	}
}

// Which actions, parts and words of the steps count for a line, in a dish of two parts.
func TestWhatIsSaidOfALineOfTheSecondPart(t *testing.T) {
	m := traced(t, "Tart\n\nFor the pastry\n200 g plain flour\n100 g butter\n\nFor the filling\n300 ml cream\n2 eggs\n\nMethod\n1. For the pastry, rub the butter into the flour and knead it.\n2. For the filling, whisk the egg yolks with the cream. Poach the eggs.")
	eggs := m.beside(1, 1)
	whisk := eggs.named[0]
	assert.True(t, eggs.part(whisk, []string{"yolk"}))
	assert.False(t, eggs.part(whisk, []string{"white"}))
	assert.True(t, eggs.anywhere([]string{"whisk"}))
	assert.False(t, eggs.anywhere([]string{"knead"}), "which is done to the pastry")
	assert.True(t, m.beside(0, 0).anywhere([]string{"knead"}))
	assert.Contains(t, eggs.calledInSteps(), "yolks")
	assert.NotContains(t, eggs.calledInSteps(), "cream")
}

// What a line says of more of its thing is for other work, where it begins with an amount.
func TestWhatALineSaysOfMore(t *testing.T) {
	for text, want := range map[string]string{
		"50 g butter, plus extra for the tin": "50 g butter,",
		"50 g butter, chopped":                "50 g butter, chopped",
		"extra butter":                        "extra butter",
		"butter, extra for the tin":           "butter, extra for the tin",
	} {
		m := traced(t, "Cake\n\n"+text+"\n200 g flour\n\nMethod\n1. Mix the butter and the flour.")
		assert.Equal(t, want, m.beside(0, 0).withoutMore(), text)
	}
}

// Late is what is in for six minutes at most, and is named at all.
func TestLateIsSixMinutes(t *testing.T) {
	for text, want := range map[string]bool{
		"Simmer the stock for 20 minutes. Stir in the cream and simmer for 6 minutes.":                    true,
		"Simmer the stock for 20 minutes. Stir in the cream and simmer for 7 minutes.":                    false,
		"Simmer the stock for 20 minutes. Stir in the cream and warm it.":                                 true,
		"Simmer the stock for 20 minutes. Stir in the cream and bake.":                                    false,
		"Simmer the stock for 20 minutes. Stir in the cream. Simmer for 4 minutes. Simmer for 3 minutes.": false,
		"Simmer the stock for 20 minutes.":                                                                false,
	} {
		m := traced(t, "Soup\n\n100 ml double cream\n1 litre vegetable stock\n\nMethod\n1. "+text)
		assert.Equal(t, want, m.beside(0, 0).late(), text)
	}
}

// What meets something hot goes into a liquid that was cooked, and has not cooled since.
func TestWhatMeetsHeat(t *testing.T) {
	for text, want := range map[string]bool{
		"Boil the stock. Take it off the heat and slip in the cod.":     true,
		"Boil the stock. Let it cool. Slip in the cod.":                 false,
		"Boil the stock. Let it stand for 45 minutes. Slip in the cod.": false,
		"Boil the stock. Let it stand for 44 minutes. Slip in the cod.": true,
		"Whisk the stock. Slip in the cod.":                             false,
	} {
		m := traced(t, "Soup\n\n300 g cod\n1 litre vegetable stock\n\nMethod\n1. "+text)
		assert.Equal(t, want, m.beside(0, 0).meetsHeat(), text)
	}
}

// A dish is ready for as many as it serves; what has no food or no mass is left out; an egg eaten whole is a boiled one.
func TestADishMadeReady(t *testing.T) {
	l, err := asShipped()
	require.NoError(t, err)
	of := func(text string) Dish { return Of(l, flow.NewReader(l).Read(text, measure.Metric), nil) }
	assert.InDelta(t, 6, of("Soup\nServes 6\n\n1 onion\n\nMethod\n1. Boil.").Servings, 0)
	assert.InDelta(t, usualServings, of("Soup\n\n1 onion\n\nMethod\n1. Boil.").Servings, 0)
	d := flow.NewReader(l).Read("Soup\n\n1 onion\n\nMethod\n1. Boil.", measure.Metric)
	d.Serves = &measure.Span{}
	assert.InDelta(t, usualServings, Of(l, d, nil).Servings, 0, "nobody is served by none")
	assert.Len(t, of("Soup\n\n1 onion\n100 g quibbleroot\nsalt\n\nMethod\n1. Boil.").Parts[0].Items, 1)
	egg := of("Salad\n\n4 eggs\n1 lettuce\n\nMethod\n1. Boil the eggs for 9 minutes, peel and halve them. Lay them on the lettuce.").Parts[0].Items[0]
	assert.Equal(t, "piece", egg.Use.Name)
	assert.Equal(t, "boiled", egg.Form.Name)
	bound := of("Balls\n\n1 egg\n500 g beef mince\n\nMethod\n1. Mix the egg into the mince, shape into balls and fry.").Parts[0].Items[0]
	assert.NotEqual(t, "boiled", bound.Form.Name)
	wings := of("Wings\n\n1 kg chicken wings\n\nMethod\n1. Roast the wings for 40 minutes.").Parts[0].Items[0]
	assert.Less(t, wings.Grams, 1000.0, "the bones are not eaten")
}

// A batter or a dough is one of more than a ninth of flour, of what is known.
func TestABatterByItsFlour(t *testing.T) {
	l, err := asShipped()
	require.NoError(t, err)
	line := func(food string, grams float64) recipe.Line {
		return recipe.Line{Food: &food, Grams: &measure.Span{Low: grams, High: grams}}
	}
	flour := func(grams float64) recipe.Component {
		return recipe.Component{Lines: []recipe.Line{line("plain-flour", grams), line("whole-milk", 200-grams), {Name: "quibbleroot", Grams: &measure.Span{Low: 900, High: 900}}}}
	}
	assert.False(t, mostlyFlour(l, flour(200*batterFlour)))
	assert.True(t, mostlyFlour(l, flour(200*batterFlour+0.1)))
}
