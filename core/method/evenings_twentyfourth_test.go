package method

import "testing"

// What cards of a last week of November said wrongly once.
func TestCardsOfALastNovemberWeek(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"a minute or two each is a time, and what ran out of meat is not poured in": {
			"geschnetzeltes", []string{"in two batches, a minute or two each, so that it takes colour", "Add the golden vegetable stock and the cashew cream and cook down", "heat through without letting it boil"}, []string{"a minute or it", "caught juices"},
		},
		"a side is named by what lies on it now": {
			"prawn-toasts", []string{"press the slices, mushroom-side down, into the seeds", "in a food processor and whizz"}, []string{"king oyster"},
		},
		"what two lists have of one swap is made once, and each says its share": {
			"lemongrass-beef-salad", []string{"two thirds of the seaweed seasoning, from above", "the rest of the seaweed seasoning, from above"}, []string{"half of the"},
		},
		"nothing is stirred into a tin under its lid, and eight of ten are four fifths": {
			"bacon-egg-pie", []string{"Stir in the nutritional yeast.\nCool slightly, then scatter over the pastry base", "Put four fifths of the tofu custard over the filling"}, []string{"three quarters"},
		},
		"salt by the spoon comes along, and a pot from which only herbs are fished takes more": {
			"sancocho", []string{"the ground cumin and 2 teaspoons of salt in a big pot", "thickened a little.\nStir in the nutritional yeast."}, nil,
		},
		"a border stays as far in as it was, and a cheese that is beaten is smooth": {
			"asparagus-prosciutto-tart", []string{"Score a border 2cm in from the edge", "Beat the tofu curd with"}, []string{"brined tofu"},
		},
	})
}
