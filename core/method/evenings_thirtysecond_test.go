package method

import "testing"

// What cards of the evenings of December said wrongly once.
func TestCardsOfTheEveningsOfDecember(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a gel goes in once, bit by bit": {
			"banana-bread-walnuts", []string{"Add the flax gel bit by bit."}, []string{"Add the flax gel.\n"},
		},
		"a part of yoghurt is called by what stands for it": {
			"lamb-kofta-minted", []string{"# Soy yoghurt\n"}, []string{"# Mixture"},
		},
		"a pot that was wiped out holds no stock, and what is left of the ham tops the soup": {
			"pea-ham-hock-soup", []string{"Wipe out the pot, heat the oil in it and sweat", "pour in the stock and simmer", "topping each one with the rest of the smoked tofu"}, []string{"pour in the cold water"},
		},
		"another 25 g is as much again, and no rest": {
			"fish-gratin-leeks", []string{"soften in a third of the olive oil", "Heat the rest of the olive oil in a saucepan"}, nil,
		},
		"a list may open with crumpets, and a booster goes into what they soak in": {
			"crumpet-eggy-bread", []string{"- 4 crumpets", "season with pepper.\nStir in the nutritional yeast.\nSoak the crumpets"}, []string{"Keep warm.\nStir in"},
		},
		"the chicken is no onion, and what roasts is not seared before": {
			"sheet-pan-shawarma", []string{"Stir the onion through the mushrooms and tempeh and tip everything", "# Garlic sauce\n", "Stir together all the ingredients for the sauce"}, []string{"Sear the mushroom pieces", "through the mushrooms and tempeh with red onion"},
		},
		"an egg that is brushed on is a glaze, whatever is kneaded beside it": {
			"pide-minced-beef", []string{"Brush the edges with the aquafaba"}, []string{"mashed potato"},
		},
		"potatoes go in without the sausage, and a soup stands when its meat has gone back": {
			"caldo-gallego-chorizo", []string{"Add the potatoes and the sweet paprika. After 20 minutes add the greens", "Let it stand for half an hour before eating"}, []string{"greens with the potatoes"},
		},
		"a custard of water and sugar is sweet": {
			"hong-kong-egg-tarts", []string{"tofu and starch cream with the cashew cream and vanilla"}, []string{"black salt", "foam"},
		},
		"nobody slips mince out of a skin, and a rind is not grated": {
			"tuscan-sausage-soup", []string{"Discard the bag of dried tomato and porcini", "Hand round the seed crumbs."}, []string{"Slip the", "Hand round the bag"},
		},
		"what simmers without its chicken is not poached": {
			"enchilada-soup", []string{"cover and simmer for 20 minutes"}, []string{"poach"},
		},
		"several are turned over, and what was not soaked is not drained": {
			"hake-green-sauce", []string{"carefully turn them over", "Add the konjac pieces to the pan"}, []string{"Drain the konjac"},
		},
		"what goes into dripping goes into oil, and the soup back into the pot": {
			"corn-chowder-bacon", []string{"Add onion and celery to the vegetable oil; cook until soft", "in a blender and return to the pot"}, []string{"drippings"},
		},
		"the garlic is fished out, and the oil stays": {
			"gnocchi-sorrentina", []string{"till the garlic is golden; remove the garlic."}, []string{"remove the olive oil"},
		},
		"filo is brushed with oil": {
			"curried-turkey-pie", []string{"Brush the filo sheets with the other oil"}, []string{"aquafaba"},
		},
		"a gravy is made with what is listed for it": {
			"rissoles-gravy", []string{"# Gravy\n", "Slowly stir in the dark mushroom stock and the date sauce"}, []string{"Add the date sauce"},
		},
		"the juices of what stewed in a sauce are the sauce": {
			"hunkar-begendi", []string{"spoon in the mushrooms and tempeh with its juices."}, nil,
		},
		"a fire is not turned up for mince that browns elsewhere": {
			"beef-ragu-gnocchi-bake", []string{"cook the onion and carrot for 8 minutes until soft. Add the garlic"}, []string{"Turn up the heat"},
		},
		"a frying pan that is rubbed with butter is no tin": {
			"chicken-quesadillas", []string{"Rub a large frying pan with the oil"}, []string{"baking paper"},
		},
		"what is cooked in a pan where sausage was to leave its fat gets oil": {
			"baked-eggs-chorizo", []string{"Heat the vegetable oil, add the onion and peppers"}, nil,
		},
		"fish that is baked in a filling is not cured": {
			"salmon-lasagne-rolls", nil, []string{"tomato, scalded", "cured tomato"},
		},
		"slices bear a sauce that bubbles until sticky": {
			"teriyaki-beef-skewers", []string{"let it bubble round the mushroom slices until sticky"}, []string{"Lay in the mushroom slices"},
		},
	})
}
