package method

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/flow"
	"yembra/core/measure"
	"yembra/core/swap"
)

// What cards said wrongly once of eggs, sausages and a broth whose flesh is gone, and of what would brown twice.
func TestCardsOfKeptBrothAndOfWhatBrownsOnce(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"eggs that are peeled and mashed are boiled, whatever the text calls that": {
			"egg-mayo-cress-finger-sandwich", []string{"Mash the chopped black-salt tofu roughly with a fork"}, []string{"chickpea", "simmering"},
		},
		"sausages in a batter stay sausages": {
			"toad-hole-onion-gravy-chipolata", []string{"Put the bean sausage and oil in a roasting tin", "pour the batter into the tin around the bean sausage"}, []string{"beans and mushrooms"},
		},
		"the herbs of a poaching of which some is kept go on by themselves": {
			"mexican-tinga-chicken-tostada", []string{"Simmer half of the white onion and the bay leaves in water for 20 minutes.", "Keep 150 ml of the liquid.", "Blend the sauce with the reserved liquid"}, []string{"Poach", "Lift out", "and shred"},
		},
		"what lay in a marinade browns in the dish": {
			"bo-kho-vietnamese-beef-carrot", []string{"Season the mushroom pieces and the tempeh", "brown the mushrooms and tempeh, a few pieces at a time"}, []string{"Sear"},
		},
		"fat in a tin that gets smoking hot is no grease": {
			"yorkshire-puddings-beef-gravy", []string{"Put a teaspoon of oil in each hole of a 12-hole tin and heat for 10 minutes until smoking."}, []string{"baking paper"},
		},
	})
}

// What a stand-in became goes by its name when the card is read back: crumbed slabs are fried with their crumbs.
func TestTheCardFriesWhatWasCoated(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	d := c.reader.Read("Fish fingers\nServes 4\n\n500 g skinless cod fillet, cut into fingers\n50 g plain flour\n2 eggs, beaten\n100 g panko breadcrumbs\n3 tbsp sunflower oil\n\nMethod\n1. Roll the fish in the flour, dip in the egg, then coat in the breadcrumbs.\n2. Heat the oil in a large pan. Fry the fish for 3 minutes on each side until golden.", measure.Metric)
	dec, err := c.book.Propose(d, swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood}}, swap.Closest)
	require.NoError(t, err)
	a, err := c.Adapt(d, dec, false)
	require.NoError(t, err)
	k := c.asCard(&d, &a)
	c.reader.Dish(&k.dish)
	g := flow.Trace(c.book.Larder(), &k.dish)
	for i := range g.Nodes {
		if n := &g.Nodes[i]; n.Is("fry") {
			for at, l := range a.Components[0].Lines {
				if l.Name == "panko breadcrumbs" {
					require.Contains(t, n.Holds, g.Line(0, at))
					return
				}
			}
		}
	}
	require.Fail(t, "nothing is fried")
}
