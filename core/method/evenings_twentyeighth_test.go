package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What cards of another late autumn said wrongly once.
func TestCardsOfALateAutumn(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a pronoun behind other work names what it means": {
			"beef-mechado", []string{"keeping the marinade. Brown the mushrooms and tempeh in the oil"}, []string{"Brown it"},
		},
		"what the list beats an egg with is beaten in": {
			"chicken-schnitzel-potato", []string{"Beat the aquafaba with the soy drink."}, []string{"Add the soy drink"},
		},
		"a stock of shells that are not there is water, in its place": {
			"sopa-de-pescado-huelva", []string{"Pour in the water with the saffron", "add the konjac pieces and cook 2 minutes longer"}, []string{"for 10 minutes with the water"},
		},
		"whole spices are none of the ground ones, and a slow cooker takes its time": {
			"lamb-rogan-slow", []string{"Add the cardamom and cinnamon and fry for a minute", "with their marinade", "cook on low for 6 hours"}, []string{"its marinade", "60 minutes"},
		},
		"balls of plants are set before they go into a soup": {
			"turkey-meatball-soup", []string{"put on a tray and bake them at 200 °C for 20 minutes until firm", "sweat the vegetables 8 minutes", "Drop in the balls and the pasta"}, []string{"Add the onion, the carrots"},
		},
		"what is rubbed into a rind goes in with what stands for the meat, and a glaze goes over it": {
			"honey-mustard-pork-loin", []string{"sit the mushrooms and tempeh on top with the coarse salt", "brush it over the mushrooms and tempeh. Add the apples", "roast for 20 minutes"}, []string{"Rub the salt"},
		},
		"both are the one that is there and the one that goes in now": {
			"zurek-simple", []string{"Add the smoky shiitake and the onion to the stock", "some of the black-salt tofu each in the bowls"}, []string{"and both", "and each"},
		},
		"of each head several are packed": {
			"gratin-endive-ham", []string{"Roll each head in some of the smoked leek leaves and pack them side by side"}, []string{"pack it"},
		},
		"beaten eggs are swirled into a thin cake": {
			"salmon-egg-kedgeree", []string{"Pour in the soured chickpea batter, swirl into a thin pancake", "roll up on a board and shred"}, []string{"pumpkin"},
		},
		"cubes for skewers hold on them": {
			"paneer-tikka-skewers", []string{"Thread the tempeh on 8 metal skewers"}, []string{"loaf"},
		},
		"tubes are the squid, and juice is no order": {
			"octopus-potato-salad", []string{"Toss the mushroom rings with 1 tbsp oil", "with the garlic, chilli and remaining oil and juice"}, []string{"Slit the"},
		},
		"what was shredded waits for its own turn": {
			"persian-kookoo", []string{"Add the sweetcorn and cook 5 minutes. Blend half of the soup", "Stir in the cashew cream and torn mushrooms"}, []string{"torn mushrooms and the sweetcorn"},
		},
		"sausage meat is no roll": {
			"strata-breakfast", []string{"half the lentil mince and half of the cashew melt"}, []string{"the roll"},
		},
		"no loaf of lentils lies on lentils": {
			"torta-rustica", []string{"Serve the mushrooms and tempeh on a bed of lentils"}, []string{"loaf"},
		},
		"a loin that is nestled in stays in a piece": {
			"kotopoulo-lemonato", []string{"Season the mushroom fillets, nestle them in the broth"}, []string{"flakes"},
		},
		"a cut along the back is on the thing itself, and the paste is what was ground": {
			"singapore-chilli-prawns", []string{"Fry the paste in a wok in the oil for 5 minutes", "Add the mushroom discs and simmer for 3 minutes"}, []string{"Fry the oil"},
		},
		"a batter that is only stirred in its pan cooks through there": {
			"omelette-arnold", []string{"pour in the mung batter and stir and cook it for 5 minutes until set"}, []string{"agar"},
		},
		"fish that is grilled skin side up stays a fillet": {
			"fish-finger-wrap", []string{"Brush the mushroom fillets with oil, season, and grill for 4 minutes"}, []string{"Cured tomato"},
		},
		"a mixture goes by the cook's own thing in it": {
			"chocolate-eclair-cake", []string{"whisk in the chocolate mixture"}, []string{"whisk in the cashew cream"},
		},
		"what goes back goes in once": {
			"caldo-gallego", []string{"Add the brined tempeh and the spiced smoked tofu."}, []string{"smoked tofu and add"},
		},
		"slices lie in half of a sauce, and what is left of it bubbles until syrupy": {
			"ginger-pork-shogayaki", []string{"Put the mushroom slices in half of it for 10 minutes", "Pour in the rest of the sauce and let it bubble until syrupy."}, []string{"for the last 2 minutes"},
		},
	})
}

// Balls that hold by what sets in water, that are fried or wrapped, or go from the hand into the pot are not set in the oven before.
func TestOnlyWhatWouldFallApartIsSetInTheOven(t *testing.T) {
	const list = "500 g minced beef\n1 onion, grated\n2 tbsp oil\n1.5 litres water\n"
	for what, x := range map[string]struct {
		more, method string
		sets         bool
	}{
		"dropped into a soup":          {"", "Mix the beef with the onion and shape into balls.\n2. Boil the water, drop in the balls and simmer for 10 minutes.", true},
		"fried first":                  {"", "Mix the beef with the onion and shape into balls.\n2. Fry the balls in the oil for 8 minutes.\n3. Boil the water, add the balls and simmer for 10 minutes.", false},
		"from the hand into a pot":     {"", "Mix the beef with the onion.\n2. Boil the water, shape the mince into balls, drop them in and simmer for 10 minutes.", false},
		"bound by starch":              {"150 g potato starch\n", "Mix the beef with the onion and potato starch and shape into balls.\n2. Boil the water, drop in the balls and simmer for 10 minutes.", false},
		"only fried, in their own":     {"", "Mix the beef with the onion and shape into balls.\n2. Cook the balls in the oil for 8 minutes.", false},
		"wrapped in leaves of cabbage": {"8 cabbage leaves\n", "Mix the beef with the onion and shape into balls. Wrap each in a leaf.\n2. Simmer them in the water for 40 minutes.", false},
	} {
		said, _ := wholeCard(t, "Balls\n\n"+list+x.more+"\nMethod\n1. "+x.method, "")
		if x.sets {
			require.Contains(t, said, "bake them at 200 °C", what)
		} else {
			require.NotContains(t, said, "bake them at 200 °C", what)
		}
	}
}
