package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What went wrong on cards of an evening after that, each with what the rules that mended it now give.
func TestCardsOfAnEveningAfter(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"another stock where what gave it is not boiled, and a leaf of bay makes none": {
			"pabellon", []string{"200 ml vegetable stock", "the date sauce and the vegetable stock and cook"}, []string{"Simmer in a pot for about 2 hours", "Keep 200 ml"},
		},
		"as much of the liquid as was said": {
			"shchi", []string{"pour in a ladleful of the water", "Put the potatoes in the water"}, []string{"pour in the water"},
		},
		"the stock of what is poached still stays, though shells that went into it are gone": {
			"pancit", []string{"This is your stock.", "Pour 500 ml of the stock into the wok"}, []string{"for 15 minutes, add the mushroom discs"},
		},
		"what goes in last is said behind the sign": {
			"pancit", []string{"until they have drunk up all the liquid, adding the mushroom discs for the last 2 minutes."}, nil,
		},
		"no weight goes on an empty pan, and nothing is seared while it is hot": {
			"chkmeruli", []string{"then mix in the butter beans and nutritional yeast.\nHeat the vegetable oil"}, []string{"weight"},
		},
		"a pot and a fat that stood with a browning": {
			"kalops", []string{"Heat the olive oil in a cast-iron pot, add the onion and let it colour."}, []string{"colour in the olive oil"},
		},
		"rolls with something that runs in them are laid": {
			"enchiladas-rojas", []string{"Fill each with the mixture", "roll up and lay seam-side down"}, []string{"spoon seam-side"},
		},
		"juice is that of the tomatoes": {
			"kedjenou", []string{"If there is a lot of juice, boil for five minutes with the lid off."}, nil,
		},
		"pieces into which something is cut are meant one by one": {
			"salmon-leek-parcels", []string{"Roll each one out a little"}, []string{"Roll it out a little"},
		},
		"raw mushrooms are no bird in the oven, and what fills a baked bun need not bind": {
			"hoisin-bao", []string{"Roast on a rack at 170C for 30 minutes, until crisp. Let them rest.", "Open the buns, fill them with oyster mushrooms"}, []string{"1 hour 30", "finely chop"},
		},
		"half of a fat foams in its pan, and the rest goes in after": {
			"hachee", []string{"Let half of the oil foam in a heavy pan and brown the mushrooms and tempeh all over, then scoop them out", "Put the rest of the oil in the pan, add the onions"}, []string{"Sear the mushroom"},
		},
		"vegetables are stewed in oil, and in no nut paste": {
			"hachee", []string{"stew the cabbage with the apple, the oil, the sugar"}, []string{"cashew"},
		},
		"butter that is the sauce is what pours": {
			"cod-egg-sauce", []string{"heat the oil for the sauce over a low heat", "for about 15 minutes.\n"}, []string{"cashew paste into", "until is"},
		},
		"an egg of another part is not in the filling": {
			"chicken-empanadas", []string{"add the olives and chopped black-salt tofu, season"}, []string{"and soy glaze, season"},
		},
		"what is wet goes into what was mixed dry": {
			"chocolate-muffins", []string{"Pour the wet mix into the dry"}, []string{"into the cashew chocolate"},
		},
		"shells are gone and the liquid is strained still": {
			"vongole-zucchine", []string{"Strain the liquid through a cloth.", "in the pan with the liquid"}, []string{"Strain the vegetable stock", "clam"},
		},
		"nothing is measured by what is not there": {
			"negimaki", []string{"Cut them.\n"}, []string{"beef"},
		},
		"nothing is kept of a cooking that is not done": {
			"plokkfiskur", []string{"Little by little, add the cashew milk and the vegetable stock"}, []string{"Keep the vegetable stock"},
		},
		"the second of two comes first, and is no rest": {
			"okra-soup", []string{"Blend the red peppers and the Scotch bonnets with the second onion."}, nil,
		},
		"eggs in a thin stream through a fork are shreds": {
			"egg-drop-soup", []string{"Slip the tofu shreds in through a fork"}, []string{"flax"},
		},
		"nothing slides off a skin that it has not": {
			"salmon-tahini", []string{"Slide the mushroom fillets onto a platter"}, []string{"skin"},
		},
	})
}

// What stands behind a fat that is left out has an article of its own.
func TestASpoonfulBehindAFatThatGoes(t *testing.T) {
	card, _ := wholeCard(t, recipeCalled(t, "kaiserschmarrn"), "whole-food-no-oil")
	require.Contains(t, card, "Add a spoonful of icing sugar and toss")
	card, findings := wholeCard(t, recipeCalled(t, "kofta-curry"), "whole-food-no-oil")
	require.Contains(t, card, "Brown the koftas in a dry non-stick pan in two batches")
	require.Empty(t, findings)
}
