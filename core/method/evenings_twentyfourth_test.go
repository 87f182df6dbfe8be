package method

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/swap"
)

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
		"salt by the spoon comes along": {
			"sancocho", []string{"the ground cumin and 2 teaspoons of salt in a big pot"}, nil,
		},
		"a border stays as far in as it was, and a cheese that is beaten is smooth": {
			"asparagus-prosciutto-tart", []string{"Score a border 2cm in from the edge", "Beat the tofu curd with"}, []string{"brined tofu"},
		},
		"a dough that baking powder lifts waits for its pot": {
			"stew-dumplings", []string{"put in for 30 minutes more.\n# Dumplings", "Shape into 12 balls.\nTake the casserole out"}, nil,
		},
		"tomatoes give their juice": {
			"som-tam-shrimp", []string{"then the tomatoes, pressing so that they give up some juice"}, nil,
		},
		"a fresh curd is no yoghurt": {
			"courgette-flowers", []string{"beat the soy curd with"}, []string{"soy yoghurt"},
		},
		"a pot is said behind the whole of a verb": {
			"poulet-basquaise", []string{"let them soften slowly for 15 minutes"}, nil,
		},
		"what the dish makes goes by its name": {
			"posset-shortbread", []string{"# Shortbread", "For the shortbread, rub the coconut fat into the flour"}, []string{"Mixture", "Rub into"},
		},
		"the paste is what was blended, and each gets some": {
			"ikan-bakar", []string{"Heat the 3 tbsp oil in a wok and fry the paste", "Put one of the mushroom fillets on each"}, nil,
		},
		"a list in a row has a long name, leeks do not melt, and the rest goes on top": {
			"leek-ham-quiche", []string{"# Shortcrust for a 25 cm tin", "- 225 g flour", "melt them in the oil, lid on", "Put the rest of the seed crumbs on top"}, []string{"Rest everything"},
		},
		"a soup of cream is no broth": {
			"tortilla-casserole", []string{"stir together the cashew cream, sour cashew cream"}, []string{"golden vegetable stock"},
		},
	})
}

// What cards of a first week of Advent said wrongly once.
func TestCardsOfAFirstAdventWeek(t *testing.T) {
	holdEvenings(t, map[string]evening{
		"what lies in a marinade is browned once, and everyone fills a leaf": {
			"bulgogi-wraps", []string{"Turn the mushroom slices in the soy sauce", "fill a lettuce leaf with rice, mushroom slices and a dab of ssamjang"}, []string{"Sear the"},
		},
		"mince is no order where the list has some": {
			"pastel-de-carne", []string{"and lentil mince, and fry, breaking it up, until golden"}, nil,
		},
		"leeks are sweated in oil, and what stands for smoked fish lies in its milk": {
			"haddock-sweetcorn-chowder", []string{"Lay the smoked palm hearts in a wide pan, pour over the soy drink and add the bay leaf. Bring just to a simmer", "heat the oil and sweat the leek for 5 minutes with a pinch of salt"}, []string{"almond butter"},
		},
		"what is simmered and then fried crisp is no stew, and a sign has its verb": {
			"ayam-penyet", []string{"until the liquid is almost gone", "Fry the mushrooms and tempeh two pieces at a time", "give them a whack with a pestle"}, []string{"butter beans"},
		},
		"how many it makes is no line, and an iron is a tool": {
			"sunday-waffles", []string{"Heat the waffle iron and oil it lightly", "until the steam stops and the waffles are crisp and golden"}, []string{"8 waffles", "pancakes"},
		},
		"all over, and now and then": {
			"coniglio-ligure", []string{"turning the pieces now and then and adding more broth"}, []string{"then and adding more broth as it dries out. Brown", ", and then and"},
		},
		"a curd that is set is cut up": {
			"matar-paneer", []string{"in a dish until firm and cut it into cubes"}, nil,
		},
		"what is filled is a case": {
			"kalamarakia-gemista", []string{"Fill the hollowed courgettes loosely with the rice", "until the rice is cooked"}, []string{"rings", "tentacles"},
		},
		"what is marinated and cooked on a griddle is browned there": {
			"souvlaki-potatoes", []string{"Season the mushroom pieces and the tempeh with", "cook the skewers for 10-12 minutes, turning often, until charred"}, []string{"Sear the"},
		},
		"what is marinated and grilled is browned there": {
			"tikka-skewers-mint", []string{"Season the mushroom pieces and the tempeh with"}, []string{"Sear the"},
		},
		"balls go by their shape, and a heat that was not turned down is raised": {
			"bakso", []string{"# Balls", "When all are shaped, raise the heat and cook until the balls float", "Share between bowls with the balls"}, []string{"with tapioca"},
		},
		"a parcel is baked in the oven that it goes into": {
			"salmon-papillote", []string{"lay the mushroom fillets on top", "into the oven: 15 min"}, []string{"cured tomato"},
		},
		"the paste of another part is fried": {
			"kari-kapitan", []string{"Heat the oil in a wide pot and fry the paste gently"}, []string{"tamarind paste gently"},
		},
		"what is tender once it is browned simmers no longer than it bears": {
			"bistek", []string{"then return the mushroom slices and simmer for 5 minutes. Add half the onions"}, []string{"until tender"},
		},
		"a sauce is poured into the cooker in which the meat would lie": {
			"slow-brisket", []string{"In a large frying pan fry the onions", "scraping up the bits. Pour into the slow cooker."}, []string{"In the slow cooker fry"},
		},
		"a fish slice is a tool": {
			"chorizo-hash", []string{"then turn with a fish slice and fry 5 minutes more"}, nil,
		},
		"ten pancakes are what it makes": {
			"crepes-jambon", []string{"make a hollow in the middle, spoon the"}, []string{"chickpea pancakes", "10 crêpes"},
		},
		"nothing is seasoned with tomatoes": {
			"lamb-aubergine-curry", []string{"bring to a simmer with the chopped tomatoes"}, []string{"Season with the chopped"},
		},
		"what turns pink is gone with its sign": {
			"char-kway-teow", []string{"and stir for 1 minute.\n"}, []string{"pink"},
		},
		"the soup is strained and not its noodles": {
			"ujhazi-soup", []string{"Strain the soup into a clean pot"}, []string{"Strain the wheat"},
		},
		"a cheese in a sweet filling is no salted one": {
			"mango-lassi-cheesecake", []string{"Beat the cashew curd with the soy yoghurt"}, []string{"almond curd"},
		},
		"lids are of pastry, and each is one of them": {
			"chicken-pot-pies-tarragon", []string{"lay the lids on and press to seal", "make a hole in each for the steam"}, []string{"hole in the soy glaze"},
		},
		"strips for a wok are slices": {
			"beef-oyster-broccoli", []string{"Stir-fry the mushroom slices for a minute"}, []string{"tempeh"},
		},
		"a cheese in a rubbed dough is dry": {
			"cheese-straws", []string{"then stir in the miso crumbs and the seed crumbs"}, []string{"cashew curd"},
		},
		"a fish that is baked in a lasagne is in pieces, and a pot of peas takes its smoke late": {
			"ham-hock-pea-soup", []string{"Serve topped with the rest of the tempeh dice"}, []string{"hock"},
		},
	})
}

// What cooks long and is not flesh goes on cooking in its liquid, and what stands for the flesh goes in when it bears the rest.
func TestStewsThatAreTold(t *testing.T) {
	list := "Stew\nServes 4\n\n800 g stewing beef\n3 tbsp flour\n2 tbsp oil\n2 carrots\n300 g rice\n1 litre {stock}\n\nMethod\n1. "
	late := "for 40 minutes, add the mushrooms and tempeh and "
	for name, x := range map[string]struct{ stock, method, has, hasNot string }{
		"a while of flesh that cooks for a shorter time now": {"beef stock", "Simmer the beef and the carrots in the stock for 2 hours. While simmering the beef, boil the rice. Serve.", "simmer for 30 minutes more. Boil the rice.", "While"},
		"a stock of no kind is steeped too":                  {"stock", "Simmer the beef and the carrots in the stock for 2 hours. Boil the rice. Serve.", "Simmer the carrots in the mushroom and kelp stock " + late, "kelp stock and simmer"},
		"a pot that is not named again":                      {"beef stock", "Simmer the beef in the stock with the carrots for 2 hours. Boil the rice. Serve.", "and the carrots " + late, "rice with the carrots"},
		"an oven braises what came back into its sauce":      {"beef stock", "Toss the beef in the flour and brown it in the oil. Set aside.\n2. Fry the carrots for 8 minutes. Pour in the stock. Return the beef to the pot and cook in the oven at 160C for 2 hours. Boil the rice and serve with the beef.", "Cook in the oven at 160C " + late, "2 hours"},
		"an oven bakes what no sauce was poured round":       {"beef stock", "Brown the beef in the oil. Cook in the oven at 160C for 40 minutes. Boil the rice in the stock with the carrots and serve with the beef.", "ook in the oven at 160C for 40 minutes.", "add the mushrooms"},
	} {
		t.Run(name, func(t *testing.T) {
			card, findings := wholeCard(t, strings.ReplaceAll(list, "{stock}", x.stock)+x.method, swap.WholeFood)
			require.Contains(t, card, x.has)
			require.NotContains(t, card, x.hasNot)
			require.Empty(t, findings)
		})
	}
}
