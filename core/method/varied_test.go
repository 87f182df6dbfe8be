package method_test

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// written is the adapted method of a recipe under chosen swaps, a step a line.
func written(t *testing.T, text string, swaps map[string]string) string {
	t.Helper()
	return writtenUnder(t, "like-for-like", text, swaps)
}

func writtenUnder(t *testing.T, preset, text string, swaps map[string]string) string {
	t.Helper()
	r, _, c := open(t)
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: preset}, Swaps: swaps}, false)
	require.NoError(t, err)
	require.Len(t, a.Swaps, len(swaps))
	var out []string
	for _, comp := range a.Components {
		for _, s := range comp.Steps {
			if s.Change != swap.Dropped {
				out = append(out, s.Text)
			}
		}
	}
	return strings.Join(out, "\n")
}

func line(n string) string { return "components[0].lines[" + n + "]" }

func TestFatThatCannotFryComesInAfterTheFrying(t *testing.T) {
	got := written(t, "Onions\n\n60 g butter\n2 onions, sliced\n400 g dumplings\n\nMethod\n1. Fry the onions in the butter for 12 minutes until golden and pour over the dumplings. Serve with dill.", map[string]string{line("0"): "cashew-butter-enrich"})
	require.Contains(t, got, "Fry the onions in spoonfuls of water for 12 minutes until golden, stir in the cashew paste off the heat until the pan is glossy again and pour over the dumplings. Serve with dill.")
	got = written(t, "Pan\n\n60 g butter\n2 onions, sliced\n\nMethod\n1. Melt half the butter and fry the onions.\n2. Stir in the rest of the butter.", map[string]string{line("0"): "oil-for-butter"})
	require.Contains(t, got, "Heat half of the oil")
}

func TestWhatRenderedBrownsAndItsFatIsGone(t *testing.T) {
	got := written(t, "Pasta\n\n400 g spaghetti\n150 g pancetta, diced\n\nMethod\n1. Render the pancetta in a pan for 8 minutes until crisp; keep the fat.\n2. Toss the spaghetti in the pancetta fat.", map[string]string{line("1"): "smoked-tofu-lardons"})
	require.Contains(t, got, "Add the smoked tofu and toss the spaghetti.")
	require.NotContains(t, got, "fat")
}

func TestMeatThatRestedDoesNot(t *testing.T) {
	got := written(t, "Steak\n\n600 g beef steak, in strips\n100 ml wine\n\nMethod\n1. Sear the beef in batches for 2 minutes, add the wine and return the beef with its juices. Rest for 5 minutes.\n2. Serve.", map[string]string{line("0"): "seared-mushroom-shreds"})
	require.NotContains(t, got, "Rest")
	require.NotContains(t, got, "juices")
}

func TestColdCuesStayCold(t *testing.T) {
	got := written(t, "Ceviche\n\n500 g sea bass fillets\n100 ml lime juice\n\nMethod\n1. Pour the lime juice over the sea bass and leave for 10 minutes until the fish turns opaque.", map[string]string{line("0"): "palm-cured"})
	require.Contains(t, got, "and leave for 10 minutes.")
}

func TestListsNameASwapOnce(t *testing.T) {
	got := written(t, "Stew\n\n200 g smoked bacon\n200 g salami\n200 g pork ribs\n1 litre water\n\nMethod\n1. Add the bacon, salami and pork ribs to the water and simmer for 20 minutes.", map[string]string{
		line("0"): "root-sausage-smoked", line("1"): "root-sausage-smoked", line("2"): "jackfruit-shreds"})
	require.Contains(t, got, "Add the pulled jackfruit to the water and simmer for 10 minutes, add the smoky chestnuts and simmer for 10 minutes more.")
}

func TestPlantLinesThatRulesReplaceAreReworded(t *testing.T) {
	rice := "Rice\n\n2 tbsp sunflower oil\n300 g white rice\n1 tsp rice vinegar\n1 onion\n\nMethod\n1. Heat the oil and fry the onion.\n2. Boil the rice for 12 minutes, drain it and stir in the rice vinegar."
	got := writtenUnder(t, "whole-food-no-oil", rice, map[string]string{line("0"): "dry-saute"})
	require.Contains(t, got, "Fry the onion in spoonfuls of stock.")
	got = writtenUnder(t, "fasting-day", strings.ReplaceAll(rice, "rice vinegar", "cider vinegar"), map[string]string{line("1"): "amaranth-for-grain"})
	require.Contains(t, got, "Boil the amaranth for 20 minutes")
	got = writtenUnder(t, "fasting-day", rice, map[string]string{line("1"): "amaranth-for-grain"})
	require.Contains(t, got, "stir in the rice vinegar", "part of another name")
}

func TestManyThingsAreThemAndMeatsStockIsNotBones(t *testing.T) {
	got := written(t, "Stew\n\n800 g beef shin, in chunks\n1 litre beef stock\n4 onions\n\nMethod\n1. Add the beef and turn it in the onions for 10 minutes until it is coated.\n2. Add the beef stock and simmer, covered, for 2 hours until the beef is tender.", map[string]string{
		line("0"): "mushroom-chestnut-braise", line("1"): "vegetable-stock-plain"})
	require.Contains(t, got, "simmer, covered, for 30 minutes.")
	require.Contains(t, got, "Add the vegetable stock")
}

// Whites that stand for the same thing as the yolks are in already: they are neither whipped
// nor folded in, and what the dish makes of all that keeps a name.
func TestWhitesThatAreInAreNotFoldedIn(t *testing.T) {
	got := written(t, "Layers\n\n4 eggs, separated\n100 g sugar\n500 g mascarpone\n300 g rye bread, sliced\n\nMethod\n1. Beat the yolks with the sugar until pale, then beat in the mascarpone. Whip the whites stiff and fold through the mascarpone in three goes. Lay half of the bread in a dish. Cover with half of the cream.", map[string]string{line("0"): "cashew-egg-cream", line("2"): "cashew-dessert-curd"})
	require.NotContains(t, strings.ToLower(got), "fold")
	require.Contains(t, got, "Cover with half of the mixture.")
}

func TestTheFleshIsThePieceItself(t *testing.T) {
	got := written(t, "Paste\n\n300 g smoked mackerel\n100 g soft cheese\n\nMethod\n1. Skin and bone the mackerel and mix the flesh with the cheese.", map[string]string{line("0"): "smoked-oyster-mushroom"})
	require.Contains(t, got, "with the")
	require.NotContains(t, got, "flesh")
}

func TestALiquidFromTheTapStaysWithWhatIsPutIntoIt(t *testing.T) {
	got := written(t, "Cold cuts\n\n1 kg veal\n1 carrot\n1 onion\n500 ml white wine\n\nMethod\n1. Put the veal in a pan with the carrot, onion, wine and enough water to cover. Poach for 50 minutes.", map[string]string{line("0"): "mushroom-chunks-braise"})
	require.Contains(t, got, "water")
	require.Contains(t, got, "the carrot")
}

func TestThePotOfWorkThatGoesIsSaid(t *testing.T) {
	got := written(t, "Tagine\n\n1 kg lamb shoulder, cubed\n1 onion\n3 tbsp olive oil\n1 l stock\n\nMethod\n1. Heat the oil in a heavy casserole. Sear the lamb in batches, removing each as it browns. Fry the onion in the same pan until soft, return the lamb, add the stock and simmer for 90 minutes.", map[string]string{line("0"): "mushroom-chestnut-braise"})
	require.Contains(t, got, "Heat the oil in a heavy casserole. Fry the onion in the same pan")
}

func TestWhatIsBrownedGoesToWhatWasFriedWithoutBrowningAgain(t *testing.T) {
	text := "Mince\n\n2 onions, chopped\n2 tbsp oil\n600 g beef mince\n3 carrots, sliced\n\nMethod\n1. Fry the onions in the oil for 8 minutes. Add the mince and brown it for 10 minutes, until no pink is left.\n2. Take off the heat. Press into a baking dish and bake for 20 minutes."
	got := written(t, text, map[string]string{line("2"): "root-nut-mince"})
	require.Contains(t, got, "Add the celeriac and walnut mince.")
	require.NotContains(t, got, "10 minutes")
	got = written(t, strings.Replace(text, "Add the mince", "Add the mince and the carrots", 1), map[string]string{line("2"): "root-nut-mince"})
	require.Contains(t, got, "10 minutes", "the carrots are raw")
	got = written(t, "Pancakes\n\n200 g plain flour\n300 ml water\n150 g pork belly, in thin slices\n2 tbsp oil\n\nMethod\n1. Whisk the flour and water to a batter. Heat the oil in a frying pan, spread a quarter of the batter to a thick pancake and lay the pork on top. Fry for 5 minutes until the underside is brown, turn over and fry for 6 minutes until the middle is cooked through.", map[string]string{line("2"): "thin-seared-mushroom"})
	require.Contains(t, got, "turn over and fry for 6 minutes", "the other side is raw")
}

// What is lifted out before a broth is strained and comes to no plate in the text goes in
// where the broth is poured, not into the sieve.
func TestNothingGoesInBeforeTheSieve(t *testing.T) {
	got := written(t, "Soup\n\n1 kg beef brisket\n3 litres water\n2 onions\n400 g rice noodles\n1 tsp salt\n\nMethod\n1. Simmer the brisket and onions in the water for 3 hours. Lift out the brisket after 2 hours and slice it thinly. Strain the broth and season with the salt.\n2. Boil the noodles, divide them among bowls and ladle over the boiling broth.", map[string]string{line("0"): "seared-mushroom-shreds"})
	require.Contains(t, got, "Strain the broth and season with the salt.")
	require.Contains(t, got, "add the torn mushrooms and ladle over the boiling broth")
}

// What is pressed into the dish it is baked in is stirred no more.
func TestSmallAdditionsGoInBeforeTheDishIsFilled(t *testing.T) {
	r, _, c := open(t)
	text := "Bake\n\n600 g potatoes, boiled\n2 onions\n60 g breadcrumbs\n2 tbsp oil\n\nMethod\n1. Fry the onions in the oil. Mix in the potatoes and crumbs.\n2. Press into a baking dish and top with parsley.\n3. Bake for 30 minutes."
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Boosters: []swap.Dose{{Food: "nutritional-yeast", Component: 0, Grams: 8}}}, false)
	require.NoError(t, err)
	var said []string
	for _, s := range a.Components[0].Steps {
		said = append(said, s.Text)
	}
	at := func(words string) int {
		return slices.IndexFunc(said, func(s string) bool { return strings.Contains(s, words) })
	}
	require.Less(t, at("nutritional yeast"), at("Press into"), said)
	require.Greater(t, at("nutritional yeast"), at("Fry the onions"), said)
}

func TestTheJuiceOfWhatIsInHandIsNoJuiceOfTheMeat(t *testing.T) {
	text := "Sour soup\n\n600 g pork belly, in chunks\n2 litres water\n100 g tamarind pulp\n\nMethod\n1. Boil the pork in the water for an hour.\n2. Soak the tamarind in a cup of the hot broth, mash it and strain the juice back into the pot."
	got := written(t, text, map[string]string{line("0"): "mushroom-chunks-braise"})
	require.Contains(t, got, "mash it and strain the juice back into the pot.")
}

// What stands in is marinated, and browned once more as that made it wet.
func TestTheSpicesOfAMarinadeFindAPot(t *testing.T) {
	text := "Rice\n\n6 chicken thighs\n2 tsp cumin\njuice of 1 lime\n2 tbsp oil\n1 onion, chopped\n400 g rice\n700 ml vegetable stock\n\nMethod\n1. Rub the chicken with the cumin, lime juice and some salt. Let it marinate for at least 1 hour.\n2. Heat the oil in a pot. Brown the chicken and set aside.\n3. Add the onion; cook until soft. Stir in the rice.\n4. Add the stock, nestle the chicken in the rice, cover and cook over low heat for 25 minutes."
	got := written(t, text, map[string]string{line("0"): "butter-bean-poultry"})
	require.Contains(t, got, "Rub the butter beans and mushrooms with the cumin, lime juice and some salt. Let them marinate for at least 1 hour.")
	require.Contains(t, got, "Brown the butter beans and mushrooms")
	require.NotContains(t, got, "cover with")
}

func TestSausagesAndTheirFatGoIntoTheTin(t *testing.T) {
	text := "Batter\n\n8 pork sausages\n2 tbsp lard\n1 litre thin batter\n\nMethod\n1. Put the sausages and lard in a roasting tin and cook for 15 minutes until browned.\n2. Pour the batter around the sausages and bake for 30 minutes at 220 C until puffed."
	got := written(t, text, map[string]string{line("0"): "bean-fennel-sausage", line("1"): "oil-for-frying-fat"})
	require.Contains(t, got, "Put the bean sausage and oil in a roasting tin")
}

// Less than can be blended or simmered is made as a batch, whatever it is wanted for.
func TestWhatIsTooLittleIsMadeAsABatch(t *testing.T) {
	soup := func(cream string) string {
		return written(t, "Soup\n\n500 g carrots\n"+cream+" ml double cream\n500 ml water\n\nMethod\n1. Simmer the carrots in the water for 20 minutes.\n2. Stir in the cream.", map[string]string{line("1"): "silken-cashew-cream"})
	}
	require.Contains(t, soup("5"), "make no less than a small cupful at a time, and keep the rest.")
	require.NotContains(t, soup("150"), "small cupful")
}

func TestTheFlourOfGoneMeatThickensWhatIsPoured(t *testing.T) {
	got := written(t, "Stew\n\n1 kg beef shin, in chunks\n3 tbsp plain flour\n2 tbsp oil\n2 onions\n500 ml stout\n\nMethod\n1. Toss the beef in the flour. Heat the oil in a pot and brown the beef. Set aside. Add the onions and cook for 10 minutes. Return the beef, pour in the stout and simmer for 2 hours.", map[string]string{line("0"): "mushroom-chestnut-braise"})
	require.Contains(t, got, "smooth with a little of the stout")
}

// What the last cards showed: pots that are gone with their work, long roasts of flesh that
// is ready, pieces named by their animal, and what sugar is added to.
func TestSmallThingsOfPotsAndPieces(t *testing.T) {
	got := written(t, "Green soup\n\n750 g potatoes\n1.5 l water\n200 g smoked sausage, sliced\n300 g kale\n\nMethod\n1. Boil the potatoes in the water for 20 minutes and mash them. Meanwhile fry the sausage in a small pan until crisp. Stir the kale into the simmering soup and cook for 4 minutes, no longer.\n2. Put a few slices of sausage into each bowl.", map[string]string{line("2"): "smoked-tofu-sausage"})
	require.Contains(t, got, "cook for 4 minutes, no longer.")
	got = written(t, "Pulled\n\n2 kg pork shoulder\n2 tbsp brown sugar\n300 ml cider\n\nMethod\n1. Rub the sugar into the pork. Put the pork in a deep tin, pour the cider round it, cover with foil and roast at 140 C for 6 hours, until it can be pulled apart. Shred it.", map[string]string{line("0"): "seared-mushroom-shreds"})
	require.Contains(t, got, "roast at 140 C for 35 minutes")
	require.NotContains(t, got, "6 hours")
	got = written(t, "Balls\n\n500 g beef mince\n50 g breadcrumbs\n2 tbsp oil\n400 ml water\n\nMethod\n1. Work the crumbs into the mince and roll into balls. Fry them in the oil until brown and lift onto a plate.\n2. Boil the water in the pan, slip the meatballs back in and simmer for 10 minutes.", map[string]string{line("0"): "tofu-walnut-shaped"})
	require.Contains(t, got, "slip the balls back in")
	got = written(t, "Foam\n\n4 egg whites\n200 g caster sugar\n\nMethod\n1. Whisk the whites to soft peaks, then add the caster sugar a spoonful at a time, whisking to stiff peaks.", map[string]string{line("0"): "aquafaba-lift"})
	require.Contains(t, got, "Add the caster sugar to the whipped aquafaba a spoonful at a time")
}
