package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What is left out of all, parts of eggs that were boiled whole, and names that could be two things.
func TestWhatIsLeftOutAndWhatIsParted(t *testing.T) {
	const balls = "400 g minced pork|1 shallot|1 tbsp oil"
	const eggs = "4 eggs|3 tbsp mayonnaise|4 slices bread"
	all := []string{"a0 mix/mix(0.0, 0.1)", "a1 heat/heat(0.2)"}
	hear(t, []way{
		{"except", balls, "Mix all the ingredients except the oil. Heat the oil.", all},
		{"except, behind what it is for", balls, "Mix all the ingredients for the meatballs except the oil. Heat the oil.", all},
		{"apart from", balls, "Mix everything for the meatballs apart from the oil. Heat the oil.", all},
		{"behind a comma", balls, "Mix all the meatball ingredients, except the oil. Heat the oil.", all},
		{"yolks and whites of boiled eggs", eggs, "Boil the eggs for 9 minutes. Scoop out the yolks. Mash the yolks with the mayonnaise. Chop the whites and fold in. Spread the egg mixture on the bread.", []string{"a0 boil/boil(0.0; 9-9 min)", "a1 scoop out/remove(0.34×@a0)", "a2 mash/mash(@a1; with 0.1)", "a3 chop/chop(0.66×@a0)", "a4 fold in/fold(@a3; into @a2)", "a5 spread/spread(@a4; into 0.2)"}},
		{"both of them", eggs, "Boil the eggs for 9 minutes. Separate the yolks and whites. Mash the yolks with the mayonnaise. Fill the whites with the mixture.", []string{"a0 boil/boil(0.0; 9-9 min)", "a1 separate/divide(@a0)", "a2 mash/mash(0.34×@a1; with 0.1)", "a3 fill/stuff(0.66×@a1; with @a2)"}},
		{"a filling of egg is no egg to part", eggs, "Mash the eggs with the mayonnaise. Divide the egg filling between the bread.", []string{"a0 mash/mash(0.0; with 0.1)", "a1 divide/divide(@a0; into 0.2)"}},
		{"two words and one paste", "600 g lamb|1 tbsp ginger and garlic paste|1 tsp turmeric", "Mix the lamb with the ginger and garlic paste and turmeric.", []string{"a0 mix/mix(0.0; with 0.1, 0.2)"}},
		{"yoghurt is no ghee", "300 g bulgur|60 g ghee", "Fry the bulgur in the ghee. Eat with yoghurt.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 eat/serve(@a0; with 'yoghurt)"}},
		{"feta is the cheese", "300 g spinach|100 g feta", "Wilt the spinach. Crumble in the cheese.", []string{"a0 wilt/sweat(0.0)", "a1 crumble in/crush(0.1; into @a0)"}},
		{"cool enough", "1 chicken|2 litres water", "Simmer the chicken in the water for 1 hour. Lift out the chicken. When the chicken is cool enough to handle, pull off the meat.", []string{"a0 simmer/simmer(0.0; with 0.1; 60-60 min)", "a1 lift out/remove(@a0)", "a2 pull off/pick(@a1)", "condition: When the chicken is cool enough to handle"}},
		{"a little", "400 g chicken|1 litre stock", "Simmer the chicken in the stock. Lift out, cool a little and shred.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 cool/cool(@a1; how: a little)", "a3 shred/shred(@a2)"}},
		{"picked over", "450 g crabmeat", "Pick over the crab for bits of shell.", []string{"a0 pick over/peel(0.0)"}},
	})
}

// The word for what a dish is.
func TestTheOwnWordOfADish(t *testing.T) {
	r := reader(t)
	for name, want := range map[string]string{
		"Smoked mackerel pâté": "pate", "Chicken ravioli with sage": "ravioli", "Salmon fishcakes": "", "Pâté": "", "Roast chicken": "", "Leek soup": "",
	} {
		d := read(t, name+"\n\n200 g smoked mackerel\n100 g flour\n\nMethod\n1. Beat the mackerel with the flour.")
		require.Equal(t, want, r.OwnWord(&d), name)
	}
	own := read(t, "Smoked mackerel pâté\n\n200 g smoked mackerel\n100 g flour\n\nMethod\n1. Beat the mackerel with the flour.\n2. Serve the pâté.")
	require.Empty(t, own.Components[0].Steps[1].Animals)
	for name, step := range map[string]string{"Pasta pesto": "Toss the pasta with pesto.", "Best pasta pesto": "Stir in the pesto.", "Toast and pâté": "Spread the bread with the pâté."} {
		bought := read(t, name+"\n\n300 g dried pasta\n4 slices bread\n\nMethod\n1. Boil the pasta for 10 minutes.\n2. "+step)
		require.Empty(t, r.OwnWord(&bought), name)
		require.NotEmpty(t, bought.Components[0].Steps[1].Animals, "%s: it is bought, and of an animal", name)
	}
	d := read(t, "Baguettes and pâté\n\n100 g pâté\n2 baguettes\n\nMethod\n1. Spread the baguettes with the pâté.")
	require.Empty(t, r.OwnWord(&d), "it is of the list")
	require.NotEmpty(t, d.Components[0].Steps[0].Animals)
}

// A layer that covers something is no lid.
func TestALayerIsNoLid(t *testing.T) {
	for text, covered := range map[string]bool{
		"Press half of the mash into a tin. Spread the mince on it and cover with the rest. Bake for 40 minutes.": false,
		"Put the mince in a tin and cover. Bake for 40 minutes.":                                                  true,
		"Put the mince in a pot, cover with the stock and simmer for 40 minutes.":                                 true,
		"Spread the mince in a tin, cover with the stock and mash. Bake for 40 minutes.":                          false,
	} {
		d := read(t, "Bake\n\n500 g mash\n300 g mince\n1 litre stock\n\nMethod\n1. "+text)
		graph := Trace(reader(t).larder, &d)
		require.Equal(t, covered, graph.Nodes[len(graph.Nodes)-1].Covered, text)
	}
}
