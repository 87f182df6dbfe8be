package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What goes over, into or back to what stands by itself.
func TestWhatStandsByItselfIsPouredOverAndPutBack(t *testing.T) {
	hear(t, []way{
		{"a sauce is poured over what was transferred", "500 g sausage meat|1 tbsp oil|2 leeks|300 ml stock", "Roll the sausage meat into balls and brown them in the oil. Transfer to a pie dish. Soften the leeks. Add the stock, bring to the boil and pour over the balls.", []string{"a0 roll into balls/shape(0.0; makes ball)", "a1 brown/brown(@a0; with 0.1)", "a2 transfer/place(@a1; into 'pie dish)", "a3 soften/sweat(0.2)", "a4 add/add(0.3; into @a3)", "a5 bring to the boil/boil(@a4)", "a6 pour over/pour(@a5; into @a2)"}},
		{"the pod lies in the milk", "400 ml milk|1 vanilla pod|100 g sugar", "Split the pod and scrape the seeds into the milk. Bring the milk to the boil with the pod in it, then stir in the sugar.", []string{"a0 split/cut(0.1)", "a1 scrape into/place(@a0; into 0.0)", "a2 bring to the boil/boil(@a1; with @a1)", "a3 stir in/stir(0.2; into @a2)"}},
		{"the oil of a tin", "145 g tuna in olive oil|400 g beans", "Put the beans in a bowl. Flake in the tuna with some of its oil.", []string{"a0 put/place(0.1; into 'bowl)", "a1 flake in/flake(0.0; with 'oil; into @a0)"}},
		{"slices that the list has cut", "400 g beef sirloin, sliced very thinly|8 spring onions", "Overlap 3 slices of the beef on a board and lay the spring onions on top.", []string{"a0 overlap/place(0.0; into 'board)", "a1 lay on/add(0.1; into @a0)"}},
		{"slices of what is not cut yet", "800 g beef topside|1 onion", "Cut 2 slices of the beef.", []string{"a0 cut/cut(0.2×0.0)"}},
		{"what is left of the fat", "8 chicken thighs|1 tbsp oil|1 onion", "Fry the chicken in the oil for 8 minutes and lift onto a plate. Tip away all but a tablespoon of fat from the pan and soften the onion in it.", []string{"a0 fry/fry(0.0; with 0.1; 8-8 min)", "a1 lift/remove(@a0)", "a2 tip away/skim(0.1×@a0)", "a3 soften/sweat(0.2; with @a0)"}},
		{"a stock that was strained, and not the pan", "12 prawns|1 litre water|2 tomatoes|100 ml dry sherry|1 tbsp oil", "Peel the prawns. Fry the heads and shells in the oil for 3 minutes. Pour on the water, boil for 15 minutes and strain. Cook the tomatoes, stir in the sherry and boil until almost dry. Pour in the prawn stock, then add the prawn tails.", []string{"a0 peel/peel(0.0)", "a1 fry/fry('heads, 'shells; with 0.4; 3-3 min)", "a2 pour on/pour(0.1; into @a1)", "a3 boil/boil(@a2; 15-15 min)", "a4 strain/strain(@a3)", "a5 cook/cook(0.2)", "a6 stir in/stir(0.3; into @a5)", "a7 boil/boil(@a6; until almost dry)", "a8 pour in/pour(@a4; into @a7)", "a9 add/add(@a0; into @a8)"}},
		{"cream to serve is whipped where the other has gone in", "300 ml double cream|3 limes|100 ml whipping cream, to serve", "Whisk the double cream with the limes and chill for 3 hours. Whip the cream.", []string{"a0 whisk/whisk(0.0; with 0.1)", "a1 chill/chill(@a0; 180-180 min)", "a2 whip/whisk(0.2)"}},
		{"slices are beaten out", "4 slices of beef topside|100 g breadcrumbs", "Lay the slices of beef flat and beat them out a little with a rolling pin. Divide the breadcrumbs between them and roll up.", []string{"a0 lay/place(0.0; how: flat)", "a1 beat out/crush(@a0; how: with a rolling pin)", "a2 divide/divide(0.1; into @a1)", "a3 roll up/roll-up(@a2)"}},
	})
	d := read(t, "Beef olives\nServes 4\n\n500 g beef topside, in slices\n100 g breadcrumbs\n2 onions\n600 ml beef stock\n\nMethod\n1. Divide the breadcrumbs between the slices of beef, roll up and brown. Remove. Fry the onions and stir in the stock. Put the beef olives back in and cook for 90 minutes.")
	back := d.Components[0].Steps[0].Actions
	require.Equal(t, "return", back[len(back)-2].Technique)
	require.Equal(t, "c0.s0.a3", *back[len(back)-2].To[0].Made, "what was taken out, and not the stock of beef")
	d = read(t, "Noodles with mussels\nServes 4\n\n1 kg mussels, cleaned\n150 ml dry sherry\n300 g pasta\n700 ml fish stock\n2 tomatoes\n\nMethod\n1. Bring the sherry to the boil, add the mussels and cook for 4 minutes. Strain the juices into a jug and take most of the mussels out of their shells. Cook the tomatoes, stir in the pasta and pour in the stock and the mussel juices.")
	steps := d.Components[0].Steps[0].Actions
	juices := steps[len(steps)-1].To[1]
	require.Equal(t, "c0.s0.a3", *juices.Made)
	require.Empty(t, juices.Of, "the sherry that was strained, and not the mussels")
}
