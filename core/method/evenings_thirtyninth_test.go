package method

import "testing"

// What cards said wrongly once of broths that are drained off, of what is left to crisp, and of words that hang on work that is gone.
func TestCardsOfWhatIsDrainedOffAndLeftToCrisp(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"nothing is cut into what animals are cut into": {
			"nigerian-catfish-pepper-soup", []string{"Sear the lion's mane slices", "Lower in the mushroom fillets"}, []string{"steaks"},
		},
		"what is stirred into an omelette has been browned": {
			"egg-fu-yung-prawns-gravy", []string{"sear them on both sides", "Stir in the mushroom discs, beansprouts and spring onions"}, nil,
		},
		"what was cooked with flesh goes on cooking where its broth is kept": {
			"mutton-pepper-fry-keralan", []string{"- 2 tsp ginger-garlic paste", "Simmer the turmeric, the ginger-garlic paste and the salt in 300 ml of water", "Keep the stock.", "add the curry leaves and, when they stop crackling, the shallots", "pour in the reserved stock"}, []string{"vegetable stock", "the curry leaves the shallots"},
		},
		"what is left in hot fat crisps there": {
			"slow-cooker-carnitas-bowls", []string{"Rub the torn mushrooms with the cumin, oregano", "Press in half of the torn mushrooms and leave without moving for 4 minutes until crisp underneath"}, []string{"sear them"},
		},
		"a schnitzel is what the dish is named by": {
			"pork-schnitzel-cucumber-salad", []string{"Season the tofu slabs, then dip them", "fry the schnitzels for 3 minutes"}, []string{"Beat", "cling film", "mushrooms and tempeh"},
		},
		"nothing is fried dry in oil": {
			"cilbir-spiced-lamb", []string{"fry the lentil mince with the cumin until crisp"}, []string{"dry-fry"},
		},
		"a condition goes with what hung on it, and no broth is heated in oil": {
			"old-fashioned-chicken-soup", []string{"Put the onions, half of the carrots, half of the celery", "Take the oyster mushrooms and tofu skin out. Strain the stock", "Bring the stock back to the boil", "Add the diced carrots and celery"}, []string{"cool enough", "Heat the vegetable oil, bring"},
		},
		"a measure of it, where there is less": {
			"cod-herb-crust-leek-mash", []string{"heat half of the oil and mix some of it with", "and the rest of the oil, then stir through the leeks"}, []string{"1 tbsp of it"},
		},
		"what is coated in the white of an egg browns in the pan all the same": {
			"cashew-chicken", []string{"Add the mushrooms and tempeh and stir-fry for 4 minutes"}, []string{"Sear the mushroom pieces"},
		},
		"the meat is what there is most of, beside bacon that waits": {
			"venison-juniper-shallot-casserole-dumplings", []string{"brown the mushrooms and tempeh in batches", "fry the shallots until golden"}, []string{"brown the smoked tofu"},
		},
		"what is stirred in goes in before the dish is served": {
			"toad-hole-onion-gravy-chipolata", []string{"Serve with the toad"}, nil,
		},
	})
}
