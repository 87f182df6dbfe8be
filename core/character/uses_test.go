package character_test

import (
	"testing"

	"github.com/stretchr/testify/assert"
	"github.com/stretchr/testify/require"

	"yembra/core/character"
)

// Every rule of the table of uses is the one that reads its own example, and
// none hides a rule below it.
func TestEveryRuleOfUseReadsItsExample(t *testing.T) {
	l, _ := read(t, "Soup\n\n1 onion\n\nMethod\n1. Boil.")
	require.NotEmpty(t, l.UseRules())
	for _, rule := range l.UseRules() {
		_, d := read(t, "Dish\n\n"+rule.Example)
		require.NotEmpty(t, d.Components, rule.Example)
		use := character.UseOf(l, d, 0, 0, "")
		assert.Equal(t, rule.Use, use.Name, rule.Example)
		assert.Equal(t, rule.Why, use.Rule, rule.Example)
	}
}

// What one word of a step says of an ingredient is weighed with the rest of its
// way: butter poured into a bowl to cool is not brushed on, flour folded into a
// cake makes no short dough, and eggs beaten into a sauce set it.
func TestUsesFollowTheWholeWay(t *testing.T) {
	for _, c := range []struct{ text, use string }{
		{"115 g butter\n3 bananas\n190 g plain flour\n1 tsp baking soda\n\nMethod\n1. Melt the butter. Pour into a bowl and cool.\n2. Mash in the bananas, fold in the flour and soda and bake for 55 minutes.", "melted"},
		{"2 eggs\n60 g butter\n60 g plain flour\n700 ml milk\n400 g macaroni\n\nMethod\n1. Melt the butter, stir in the flour, whisk in the milk and simmer. Off the heat beat in the eggs.\n2. Pour over the macaroni and bake for 45 minutes.", "set"},
		{"6 eggs\n600 g potatoes\n200 ml olive oil\n\nMethod\n1. Fry the potatoes in the oil and drain them. Beat the eggs and tip in the potatoes.\n2. Pour the eggs into the pan and cook over a low heat for 6 minutes until set at the edges.", "set"},
		{"4 eggs\n600 g cooked potatoes\n1 onion\n\nMethod\n1. Beat the eggs with the onion, pour over the potatoes and bake for 25 minutes until just set.", "set"},
		{"4 eggs\n600 g cooked potatoes\n1 onion\n\nMethod\n1. Beat the eggs with the onion, mash in the potatoes, shape into cakes and bake for 25 minutes until golden.", "bind"},
		{"60 g butter\n60 g plain flour\n600 ml milk\n\nMethod\n1. Melt the butter, stir in the flour, whisk in the milk and simmer.", "roux"},
		{"6 eggs\n1 kg chard\n400 g ricotta\n\nMethod\n1. Mix the chard with the ricotta and 1 egg. Fill a tin.\n2. Make five hollows and break an egg into each. Bake for 50 minutes.", "runny"},
		{"3 egg whites\n200 g quark\n\nMethod\n1. Stir the quark smooth. Beat the whites to snow and fold them in.", "lift"},
		{"300 g cooked beef, finely chopped\n80 g flour\n400 ml stock\n\nMethod\n1. Whisk the flour into the hot stock. Stir in the beef and chill.", "crumble"},
		{"3 eggs\n300 ml double cream\n200 g plain flour\n100 g lard\n\nMethod\n1. Rub the lard into the flour, roll out, line a tin and bake for 20 minutes.\n2. Beat the eggs with the cream, pour into the case and bake for 30 minutes until just set.", "set"},
		{"1 egg\n900 g lamb mince\n2 large eggs\n250 ml milk\n\nMethod\n1. Brown the mince and mix in 1 egg. Beat the large eggs with the milk, pour over the meat and bake for 30 minutes until set.", "bind"},
		{"20 g butter\n250 g mushrooms\n4 pork escalopes\n100 g breadcrumbs\n50 ml oil\n\nMethod\n1. Coat the escalopes in the crumbs. Fry the mushrooms in the butter.\n2. Fry the escalopes in the oil.", "fry"},
		{"75 g butter\n250 ml milk\n450 g flour\n\nMethod\n1. Warm the milk with the butter until the butter has melted. Add the flour and knead for 10 minutes.", "melted"},
		{"120 g butter, melted\n1 kg spinach\n300 g feta\n12 sheets filo pastry\n\nMethod\n1. Mix the spinach and feta. Lay in the pastry, brushing each sheet with the butter, spread the filling on top and fold the edges over. Bake for 45 minutes.", "brush"},
		{"25 g butter\n900 g potatoes\n500 ml stock\n\nMethod\n1. Lay the potatoes in the stock, brush with the butter, cover and bake for 90 minutes. Uncover and brown for 20 minutes.", "brush"},
		{"200 g butter\n200 g caster sugar\n4 eggs\n200 g self-raising flour\n\nMethod\n1. Beat the sugar, butter, eggs and flour together and bake for 20 minutes.", "creaming"},
		{"100 g butter\n140 g icing sugar\n\nMethod\n1. Beat the butter until creamy, then beat in the icing sugar.", "creaming"},
		{"100 ml double cream\n200 ml beef stock\n4 pork chops\n60 g flour\n50 ml oil\n\nMethod\n1. Simmer the stock, stir in the cream and simmer for 3 minutes.\n2. Coat the chops in the flour, fry in the oil and serve with the sauce.", "finish"},
		{"160 g tin tuna, drained\n2 potatoes\n60 g cheddar\n\nMethod\n1. Mix the tuna with the cheddar, pile onto the potatoes and grill for 4 minutes.", "flake"},
		{"400 ml milk\n3 eggs\n300 g cod\n50 g plain flour\n\nMethod\n1. Boil the eggs for 9 minutes and peel. Poach the cod in the milk.\n2. Whisk the milk into the flour and simmer. Pour over the cod and the eggs and bake for 30 minutes.", "body"},
		{"4 eggs\n200 g cabbage\n2 potatoes\n\nMethod\n1. Boil the eggs, shell and halve them. Chop the cabbage. Lay the eggs on the cabbage and crumble the potatoes over.", "piece"},
		{"2 hard-boiled eggs, chopped\n500 g minced beef\n\nMethod\n1. Mix the eggs with the beef.", "bits"},
		{"3 eggs\n15 g butter\n\nMethod\n1. Break the eggs into a bowl and beat. Melt the butter in a pan and tip in the eggs. Stir until they begin to set, then fold over and roll out on to a plate.", "omelette"},
		{"20 g butter\n3 eggs\n\nMethod\n1. Beat the eggs. Melt the butter in a non-stick pan, pour in the eggs and stir until just set underneath.", "fry"},
		{"20 g butter\n100 ml honey\n\nMethod\n1. Melt the butter in a saucepan and whisk in the honey.", "enrich"},
		{"300 g cod cheeks\n2 tbsp flour\n1 tbsp oil\n\nMethod\n1. Toss the cod cheeks in the flour. Heat the oil and fry the cheeks for 4 minutes.", "breaded"},
		{"300 g cod cheeks\n1 tbsp oil\n\nMethod\n1. Toss the cod cheeks in the oil and fry for 4 minutes.", "fillet"},
		{"6 pork sausages\n500 g potatoes\n\nMethod\n1. Brown the sausages and slice them. Boil the potatoes, add the sausages and mash.", "sausage"},
		{"15 g butter\n3 eggs\n\nMethod\n1. Break the eggs into a bowl and beat. Melt the butter in a pan and tip in the eggs. Stir until they begin to set, then fold over and roll out on to a plate.", "fry"},
		{"60 g butter\n800 g potatoes\n\nMethod\n1. Brush the potatoes with the butter and roast for 40 minutes.", "brush"},
	} {
		l, d := read(t, "Dish\n\n"+c.text)
		require.Equal(t, c.use, character.UseOf(l, d, 0, 0, "").Name, c.text)
	}
}
