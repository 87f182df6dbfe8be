package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What cards of plain recipes said wrongly once.
func TestCardsOfPlainEvenings(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what the dish fries and takes out again is browned there, and goes in late": {
			"sausage-casserole", []string{"Heat the oil in a flameproof casserole and fry the smoky bean sausage for 8-10 minutes, turning, until browned all over. Transfer to a plate.", "Add the smoky bean sausage and the beans and cook uncovered for 10 minutes more"}, []string{"Fry the rolls", "crusted"},
		},
		"an oven browns what a batter bakes around": {
			"toad-in-the-hole", []string{"Put the bean sausage in a 20 x 30cm roasting tin with the oil and bake for 15 mins until browned", "pour in the batter", "Bake for 40 mins until risen and crisp"}, []string{"Brown them", "Add the sunflower oil"},
		},
		"what is drained of nothing, and three quarters of a cheese": {
			"quiche-lorraine-plain", []string{"and three quarters of the stretchy cashew curd over", "spoon over the rest of the stretchy cashew curd", "bake for 4-5 minutes more until the pastry is pale golden"}, []string{"Drain off", "continue cooking"},
		},
		"a broth goes back when it was strained, and no bones are there": {
			"avgolemono-plain", []string{"and strain the broth.\nReturn the broth to the pot, bring to the boil"}, []string{"Take the oyster"},
		},
		"what lies in a marinade of many pieces is lifted out as several": {
			"beef-noodle-stirfry", []string{"sear the mushroom slices for 2 minutes. Lift them out."}, nil,
		},
		"fillets are cut as the fish was, and nothing is stirred into bread": {
			"fish-tacos-plain", []string{"Cut the nori tofu into strips and toss", "sunflower cream.\nStir in the nutritional yeast.\nHeat the oil", "dry pan. Fill each"}, nil,
		},
		"no more oil than is fried in": {
			"pad-kra-pao-plain", []string{"- 1 tbsp (15 g) oil"}, []string{"2 tbsp oil"},
		},
		"smoked flakes are poached where the fish was, and not lifted out to be flaked": {
			"fish-chowder", []string{"lay the smoked palm hearts on top. Cover and poach for 6 minutes.\n"}, []string{"Lift out", "Crumble the nori"},
		},
		"what is cooked in its sauce and then browned is raw until then": {
			"pork-adobo", []string{"and marinate for 1 hour", "Take the mushrooms and tempeh out and boil the sauce down", "brown the mushrooms and tempeh on all sides"}, []string{"Sear the"},
		},
		"all of the flesh is rubbed, and crumbs are not shaved": {
			"caesar-salad", []string{"Rub the torn mushrooms with the remaining 1 tbsp olive oil", "Lay the torn mushrooms on the pan"}, []string{"Shave", "Rub half", "Scatter a handful"},
		},
		"a choice stays one": {
			"chicken-tikka-masala", []string{"serve with rice or the chapati"}, nil,
		},
		"a leaf of bay is counted": {
			"chicken-leek-pie", []string{"- ¼ bay leaf"}, []string{"tsp bay leaf"},
		},
		"a kitchen smells": {
			"lamb-tagine-apricot", []string{"stirring, until the kitchen smells good."}, []string{"have good"},
		},
		"onions that fry with mince stay": {
			"shepherds-pie-lentil-style", []string{"dry fry the onions for 10 minutes"}, nil,
		},
		"a remark on what is not done goes with it": {
			"pot-roast-beef", []string{"Heat the oil in a large casserole.\n"}, []string{"this takes about"},
		},
		"eggs that make pasta creamy are no gel": {
			"carbonara", []string{"Beat the yellow silken tofu with most of the walnut crumbs", "drain the spaghetti. Tip it into the pan"}, []string{"flax"},
		},
		"an omelette that is turned over is of a batter that sets": {
			"tortilla-espanola-plain", []string{"Beat the mung batter separately, then stir into the potatoes"}, []string{"starch cream"},
		},
		"what is squeezed onto skewers holds together": {
			"lamb-kofta-pitta", []string{"Put the lentil mix, onion, garlic", "squeeze onto metal skewers"}, []string{"lentil mince"},
		},
		"a slice lies with its spread side up": {
			"bread-butter-pudding-plain", []string{"spread-side up"}, []string{"greased-side"},
		},
		"what is crisp beside syrup is served": {
			"banana-pancakes", []string{"Serve in stacks with maple syrup and smoky shiitake."}, []string{"Add the smoky"},
		},
	})
}

// What bears less goes late into a pot that is opened, and nothing simmers on in a sauce longer than all in it bears.
func TestAllInThePotIsHeeded(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	require.Contains(t, saidUnder(t, c, "Irish stew\n1 kg neck of lamb, in pieces\n1 kg potatoes, half floury, half waxy\n3 onions, thickly sliced\n3 carrots\na sprig of thyme\n600 ml water\nPeel the potatoes; slice the floury ones and leave the waxy ones whole. Layer the meat, sliced potatoes and onions in a casserole, seasoning as you go. Tuck in the thyme and pour over the water. Cover and bring to a simmer. After an hour add the carrots and whole potatoes and cook another hour, or until the meat slips from the bone and the sliced potatoes have thickened the broth.", "fasting-day"), "cook 30 minutes, add the mushrooms and chestnuts and cook for 30 minutes more")
	require.Contains(t, saidUnder(t, c, recipeCalled(t, "coq-au-vin-plain"), "whole-food-no-oil"), "Add the butter beans and mushrooms, simmer for 5 minutes")
}
