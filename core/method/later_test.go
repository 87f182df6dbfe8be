package method_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/swap"
)

// What fat, pans, pieces and parts become when the flesh they were for is gone or comes later, each on the
// least recipe that shows it.
func TestWhatWasForFleshGoesOn(t *testing.T) {
	const chunks = "mushroom-chunks-braise"
	reads(t, map[string]carried{
		"a fat goes into a pan that is cold now": {
			"Tofu\nServes 2\n\n400 g soft tofu, cubed\n100 g minced beef\n3 tbsp oil\n2 tbsp chilli bean paste\n\nMethod\n1. Heat a tablespoon of the oil in a wok and fry the beef until dark. Scoop it out.\n2. Add the remaining oil and fry the paste for a minute. Slide in the tofu and return the beef.",
			map[string]string{line("1"): "cauliflower-almond-mince"}, []string{"Heat the oil in a wok and fry the paste"}, []string{"Add the oil"},
		},
		"no word that joins is left at an end": {
			"Stew\nServes 4\n\n800 g beef, cubed\n2 tbsp oil\n2 carrots, sliced\n500 ml vegetable stock\n\nMethod\n1. Add the oil to the pot and, in batches, brown the beef. Take it out.\n2. Brown the carrots in the same fat. Pour in the stock, add the beef and simmer for 2 hours.",
			map[string]string{line("0"): "mushroom-chestnut-braise"}, nil, []string{" and.", " and,"},
		},
		"the meat of a stew is not its stock": {
			"Stew\nServes 4\n\n800 g beef, cubed\n400 ml beef stock\n2 carrots, sliced\n200 g mushrooms, sliced\n200 g bacon, diced\n\nMethod\n1. Simmer the beef and bacon with the carrots in the stock for 2 hours. Strain off the sauce and boil it down.\n2. Fry the mushrooms. Return the sauce to the meat with the mushrooms and simmer for 5 minutes.",
			map[string]string{line("0"): chunks, line("1"): "lentil-shiitake-stock", line("4"): "smoked-tofu-lardons"}, []string{"Return the sauce to the mushrooms and tempeh and the smoked tofu with the mushrooms"}, []string{"to the dark mushroom stock"},
		},
		"milk that only takes a taste is warmed": {
			"Pie\nServes 4\n\n400 ml oat milk\n1 onion, halved\n400 g cod fillet\n30 g flour\n\nMethod\n1. Pour the milk into a pan with the onion. Slip in the cod, bring to a simmer and poach for 8 minutes. Lift out the fish and strain the milk.\n2. Whisk the milk into the flour and simmer. Flake in the fish.",
			map[string]string{line("2"): "palm-heart-flakes"}, []string{"warm for 8 minutes"}, []string{"poach"},
		},
		"cheese that has run is spooned and tops": {
			"Bake\nServes 4\n\n500 g potatoes\n100 g cheddar, grated\n2 leeks\n\nMethod\n1. Boil the potatoes and leeks and put them in a dish. Sprinkle with the cheese and bake for 20 minutes until the cheese is golden.",
			map[string]string{line("1"): "potato-yeast-melt"}, []string{"Top with the potato melt", "until golden"}, []string{"prinkle", "cheese"},
		},
		"of what is made once, how much of all of it": {
			"Macaroni\nServes 4\n\n400 g macaroni\n500 ml oat milk\n250 g cheddar, grated\n100 g mozzarella\n\nMethod\n1. Boil the macaroni and drain. Warm the milk and beat in the mozzarella and all but a handful of the cheddar.\n2. Fold in the macaroni, tip into a dish, top with the rest of the cheddar and bake for 20 minutes.",
			map[string]string{line("2"): "white-bean-melt", line("3"): "white-bean-melt"}, []string{"beat in most of the cashew melt", "top with the rest of the cashew melt"}, []string{"melt and all"},
		},
		"the cheese, of two that were mixed": {
			"Boats\nMakes 4\n\n500 g bread dough\n300 g mozzarella, grated\n200 g feta, crumbled\n\nMethod\n1. Mix the two cheeses. Divide the dough into 4 ovals and pile a quarter of the cheese on each. Bake for 12 minutes.",
			map[string]string{line("1"): "white-bean-melt", line("2"): "brined-tofu-cheese"}, []string{"a quarter of the mixture"}, []string{"quarter of the brined"},
		},
		"the same pan, of work that goes": {
			"Veal\nServes 4\n\n600 g lamb shoulder, cubed\n2 tbsp oil\n1 onion, chopped\n250 g mushrooms, sliced\n150 ml white wine\n\nMethod\n1. Fry the lamb in the oil and put it on a plate. In the same pan sweat the onion and the mushrooms.\n2. Pour in the wine, simmer for 5 minutes and put the lamb back.",
			map[string]string{line("0"): "jackfruit-potato-braise"}, []string{"In a pan sweat the onion"}, []string{"same pan"},
		},
		"what was pushed into a bird goes in with what stands for it": {
			"Roast\nServes 4\n\n1 chicken (1.8 kg)\n1 lemon, halved\n4 sprigs thyme\n500 g potatoes\n2 tbsp olive oil\n\nMethod\n1. Smear the oil over the breast, push half the lemon and the thyme into the cavity and season all over. Sit the chicken in a tin and roast for 80 minutes. Boil the potatoes and serve with the chicken.",
			map[string]string{line("0"): "yuba-roast"}, []string{"Sit the pressed tofu skin in a tin with the olive oil, half of the lemon and the thyme and roast"}, []string{"cavity", "eason", "breast"},
		},
		"salt fish is scalded for its salt alone": {
			"Cod\nServes 4\n\n400 g salt cod, soaked\n500 g potatoes\n2 onions, sliced\n4 tbsp olive oil\n\nMethod\n1. Pour boiling water over the cod and leave for 10 minutes; tear it into threads.\n2. Fry the onions in the oil. Stir in the cod and cook for 5 minutes. Boil the potatoes and serve.",
			map[string]string{line("0"): "palm-heart-flakes"}, []string{"Stir in the palm heart flakes"}, []string{"boiling water over"},
		},
		"what is thrown away had gone in": {
			"Soup\nServes 4\n\n3 chicken breasts\n2 litres water\n2 spring onions\n1 kg potatoes, sliced\n\nMethod\n1. Put the chicken into a pot with the water and spring onions. Boil for 35 minutes. Lift out the chicken; throw away the onions. Add the potatoes and cook for 30 minutes.\n2. Shred the chicken and stir it in.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"the spring onions"}, nil,
		},
		"what is shredded on a board goes back in the end": {
			"Soup\nServes 6\n\n1 whole chicken\n3 litres water\n1 onion\n3 carrots, sliced\n200 g rice noodles\n\nMethod\n1. Simmer the chicken in the water with the onion for 75 minutes. Transfer the chicken to a cutting board and shred the meat.\n2. Strain the broth, add the carrots and simmer for 10 minutes. Add the noodles and cook for 8 minutes. Stir in the chicken.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"Stir in the torn mushrooms"}, []string{"board", "add the torn mushrooms"},
		},
		"balls that were meatballs": {
			"Pasta\nServes 4\n\nMeatballs\n400 g minced beef\n60 g breadcrumbs\n\nSauce\n2 tbsp oil\n400 g tomatoes\n\nMethod\n1. Mix the beef and crumbs and roll into balls.\n2. Brown the meatballs in the oil, add the tomatoes and simmer for 15 minutes.",
			map[string]string{line("0"): "lentil-oat-shaped"}, []string{"# Balls", "Brown the balls"}, []string{"Main pieces"},
		},
		"water of a broth is not boiled by itself for hours": {
			"Soup\nServes 6\n\n900 g lamb neck\n2.5 litres water\n3 carrots, sliced\n6 potatoes, halved\n\nMethod\n1. Put the lamb in a pan with the water and simmer for 2 hours. Let it cool, then chill.\n2. Bring the broth back to a simmer. Take out the lamb, strip the meat and put it back in. Add the carrots and simmer for 10 minutes, then the potatoes, 20 minutes.",
			map[string]string{line("0"): chunks}, []string{"Bring the water back to a simmer"}, []string{"40 minutes", "cool"},
		},
		"a pan that goes by the name of an animal": {
			"Pasta\nServes 2\n\n1 kg clams\n200 g spaghetti\n2 tbsp oil\n1 glass white wine\n\nMethod\n1. Boil the spaghetti. Heat the oil in a pan, tip in the clams and the wine and shake for 3 minutes.\n2. Drain the spaghetti and finish it in the clam pan.",
			map[string]string{line("0"): "whelk-mushroom"}, []string{"finish it in the pan"}, []string{"clam"},
		},
		"flour of dusting goes in while the sauce still boils, and no juices come back": {
			"Pieces\nServes 4\n\n500 g pork shoulder, cubed\n1 tbsp flour\n2 tbsp oil\n1 onion, sliced\n200 ml beef stock\n150 ml oat cream\n\nMethod\n1. Toss the pork with the flour. Heat the oil and fry the pork for 1 minute; transfer to a plate.\n2. Fry the onion until golden. Stir in the stock and simmer for 5 minutes, then take off the heat and stir in the oat cream. Return the pork and any resting juices and warm through.",
			map[string]string{line("0"): "jackfruit-potato-braise", line("4"): "lentil-shiitake-stock"}, []string{"smooth with a little of the dark mushroom stock. Stir in the dark", "Return the jackfruit pieces and warm"}, nil,
		},
		"bread that is spread is not greased": {
			"Pudding\nServes 6\n\n8 slices bread\n50 g butter\n500 ml oat milk\n\nMethod\n1. Butter the bread and lay it, buttered side up, in a buttered dish. Pour over the milk and bake for 40 minutes.",
			map[string]string{line("1"): "cashew-butter-enrich"}, []string{"spread side up, in a greased dish"}, nil,
		},
	})
}

// Fat that runs out of flesh, fat to spare, and shapes that flesh gives its name to.
func TestFatToSpareAndShapes(t *testing.T) {
	reads(t, map[string]carried{
		"of one fat twice, the one that fried flesh alone is not bought": {
			"Pie\nServes 4\n\n500 g chicken thighs, diced\n1 tbsp olive oil\n30 g butter\n1 leek, sliced\n2 tbsp flour\n300 ml vegetable stock\n\nMethod\n1. Heat the oil in a frying pan and brown the chicken for 5 minutes. Remove to a plate.\n2. Melt the butter in the same pan and cook the leek for 6 minutes. Stir in the flour and then the stock. Return the chicken and simmer for 10 minutes.",
			map[string]string{line("0"): "butter-bean-poultry", line("2"): "oil-for-butter"}, []string{"2 tbsp olive oil", "Heat the oil in a frying pan and cook the leek"}, []string{"1 tbsp olive oil", "dd the olive oil"},
		},
		"what lay on a slice goes from between two words": {
			"Toast\nServes 4\n\n250 g prawns\n6 slices bread\n1 spring onion, chopped\n4 tbsp sesame seeds\n\nMethod\n1. Blitz the prawns with the spring onion to a paste. Spread on the bread and press, prawn side down, into the sesame seeds.",
			map[string]string{line("0"): "king-oyster-scallop"}, []string{"and press into the sesame"}, nil,
		},
		"sausages are rolls": {
			"Pork\nServes 4\n\nSausages\n500 g minced pork\n60 g breadcrumbs\n1 onion, grated\n\nFor the pan\n2 tbsp oil\n\nMethod\n1. Knead the pork with the crumbs and onion. Form into 8 sausages.\n2. Fry the sausages in the oil for 10 minutes.",
			map[string]string{line("0"): "lentil-oat-shaped"}, []string{"# Rolls", "into 8 rolls", "ry the rolls"}, []string{"ausage"},
		},
		"onions after bacon whose fat ran": {
			"Pot\nServes 4\n\n150 g bacon, diced\n2 onions, chopped\n400 g potatoes, cubed\n500 ml vegetable stock\n400 g pork shoulder, cubed\n\nMethod\n1. Fry the bacon until its fat runs, then add the pork and brown it. Add the onions and cook for 8 minutes.\n2. Add the potatoes and the stock and simmer for 20 minutes.",
			map[string]string{line("0"): "smoked-tofu-lardons", line("4"): "mushroom-chunks-braise"}, []string{"eat the vegetable oil", "add the mushrooms and tempeh and brown them. Add the onions"}, nil,
		},
		"eggs that lie in soy for its taste": {
			"Bowls\nServes 2\n\n800 ml chicken stock\n60 ml soy sauce\n2 eggs\n240 g rice noodles\n1 tbsp mirin\n\nMethod\n1. Simmer the stock for 20 minutes. Boil the eggs for 6 minutes, chill in iced water, peel and leave in half the soy and the mirin for an hour.\n2. Boil the noodles for 2 minutes. Divide the remaining soy between two bowls, pour in the hot stock and add the drained noodles. Top with the halved eggs.",
			map[string]string{line("0"): "golden-leek-stock", line("2"): "tofu-piece-egg"}, []string{"Leave the black-salt tofu in half the soy and the mirin for an hour", "pour in the hot golden vegetable stock"}, []string{"iced water", "peel"},
		},
		"plates to coat from, set up behind a colon": {
			"Schnitzel\nServes 2\n\n4 pork escalopes\n80 g flour\n2 eggs\n2 tbsp oat milk\n150 g breadcrumbs\n50 g oil\n\nMethod\n1. Set up three plates: flour; eggs whisked with the milk; crumbs. Coat the escalopes in each in turn. Fry in the oil.",
			map[string]string{line("0"): "breaded-tofu", line("2"): "chickpea-batter-bind"}, []string{"three plates: flour; chickpea batter whisked with the milk; crumbs"}, []string{"Add the"},
		},
	})
}

// What a list says besides, and what is said without a verb or beside what comes ready.
func TestWhatIsSaidBesides(t *testing.T) {
	reads(t, map[string]carried{
		"more of a fat for the pan": {
			"Pancakes\nServes 4\n\n200 g flour\n300 ml oat milk\n30 g butter, melted, plus extra for frying\n\nMethod\n1. Whisk the flour with the milk and melted butter.\n2. Heat a little butter in a pan. Drop in spoonfuls of the batter and cook for 2 minutes.",
			map[string]string{line("2"): "oil-for-butter"}, []string{"olive oil, plus extra for frying", "Heat a little oil in a pan"}, []string{"little the"},
		},
		"more of a fat for which nuts stand": {
			"Pudding\nServes 6\n\n8 slices bread\n50 g butter, plus extra for the dish\n500 ml oat milk\n\nMethod\n1. Butter the bread and lay it, buttered side up, in a buttered dish. Pour over the milk and bake for 40 minutes.",
			map[string]string{line("1"): "cashew-butter-enrich"}, nil, []string{"plus extra"},
		},
		"bread that the list has soaked": {
			"Balls\nServes 4\n\n500 g minced beef\n1 slice of stale bread soaked in milk\n1 onion, grated\n\nMethod\n1. Knead the mince with the squeezed bread and onion. Shape into balls and fry for 8 minutes.",
			map[string]string{line("0"): "lentil-oat-shaped", line("2"): "soy-drink-for-milk"}, []string{"Soak the stale bread in the soy drink.\n"}, []string{"dd the soy drink"},
		},
		"butter and oil that are both oil": {
			"Hash\nServes 4\n\n1 kg potatoes\n1 onion\n15 g butter\n1 tbsp vegetable oil\n\nMethod\n1. Boil the potatoes. Fry the onion in the butter and oil and add the potatoes.",
			map[string]string{line("2"): "spoon-of-oil"}, []string{"1 tbsp vegetable oil", "Fry the onion in the oil"}, []string{"dd the oil", "tsp vegetable oil"},
		},
		"sugar goes into whites that come whipped": {
			"Mousse\nServes 4\n\n200 g dark chocolate\n3 eggs, separated\n2 tbsp sugar\n\nMethod\n1. Melt the chocolate and beat in the yolks. In a clean bowl whisk the whites until stiff, then whisk in the sugar.\n2. Fold the whites into the chocolate and chill for 3 hours.",
			map[string]string{line("1"): "aquafaba-lift"}, []string{"Whisk the sugar into the whipped aquafaba."}, []string{"Whisk in the sugar"},
		},
		"what follows without a verb, behind what goes in later": {
			"Stew\nServes 4\n\n100 g pancetta, diced\n1 onion\n2 carrots\n1 clove garlic\n1 tbsp tomato purée\n400 ml vegetable stock\n2 tbsp oil\n\nMethod\n1. Fry the pancetta in the oil until golden. Add the onion and carrots and cook for 10 minutes, then the garlic and tomato purée for 1 minute more. Pour in the stock and simmer for 35 minutes.",
			map[string]string{line("0"): "salt-cured-tempeh"}, []string{"more, then the garlic and tomato purée for 1 minute more"}, []string{"more and the garlic", "dd the garlic"},
		},
		"a sign of what is stirred in, beside what is replaced": {
			"Wok\nServes 2\n\n400 g chicken breast, in strips\n2 tbsp oil\n20 g basil\n1 tbsp soy sauce\n\nMethod\n1. Fry the chicken in the oil and season with the soy sauce. When it sizzles turn off the heat and stir in the basil until it wilts.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, []string{"stir in the basil until it wilts"}, nil,
		},
		"plates by their numbers": {
			"Katsu\nServes 2\n\n2 chicken breasts\n4 tbsp flour\n1 egg\n60 g panko\n50 g oil\n\nMethod\n1. Set out three plates: flour on the first, beaten egg on the second, panko on the third. Coat the chicken in each. Fry in the oil.",
			map[string]string{line("0"): "breaded-tofu", line("2"): "aquafaba-glaze"}, []string{"flour on the first, the aquafaba on the second, panko on the third"}, nil,
		},
	})
}

// What stands for eggs and flesh that had their own ways, and what goes by a name or a place of its own.
func TestWaysOfWhatIsGoneAreLeft(t *testing.T) {
	reads(t, map[string]carried{
		"shreds need no thin stream, and a stock no minutes of a bird": {
			"Soup\nServes 4\n\n1 chicken breast\n1 litre chicken stock\n400 g sweetcorn\n2 eggs, beaten\n\nMethod\n1. Poach the chicken in the stock for 12 minutes; lift out and shred. Add the corn and simmer for 5 minutes. Pour in the egg in a thin stream while stirring slowly, so it sets in ribbons. Return the chicken.",
			map[string]string{line("0"): "seared-mushroom-shreds", line("1"): "golden-leek-stock", line("3"): "tofu-egg-flakes"}, []string{"Warm the golden vegetable stock.", "Slip in the tofu shreds while stirring slowly."}, []string{"12 minutes", "stream", "ribbons"},
		},
		"it is fried on when it is turned": {
			"Salmon\nServes 2\n\n2 salmon fillets\n1 tbsp oil\n4 tbsp soy sauce\n2 tbsp mirin\n\nMethod\n1. Whisk the soy sauce and mirin. Marinate the salmon in half of it for 15 minutes.\n2. Heat the oil in a pan. Wipe the marinade off the salmon and fry for 4 minutes, then flip and fry 2 minutes more.\n3. Pour in the rest of the marinade.",
			map[string]string{line("0"): "lions-mane-fillet"}, []string{"Wipe the marinade off the mushroom fillets and fry for 4 minutes, then flip and fry 2 minutes more", "Pour in the rest of the marinade"}, nil,
		},
		"what was browned and taken out goes in where it is put back": {
			"Beans\nServes 4\n\n6 Toulouse sausages\n150 g smoked lardons\n1 onion, chopped\n800 g tinned haricot beans\n300 ml vegetable stock\n\nMethod\n1. Fry the lardons in a casserole until they give up their fat, then add the sausages and brown them. Take everything out.\n2. Soften the onion in the fat left in the pan. Add the beans and stock. Bury the lardons and sausages in the beans. Simmer for 10 minutes.",
			map[string]string{line("0"): "smoky-bean-sausage", line("1"): "smoky-shiitake-strips"}, []string{"Soften the onion in the vegetable oil.", "Bury the "}, []string{"left in the pan", "Add the smoky"},
		},
		"the cook's own oil, of no amount, fries what flesh would have": {
			"Bake\nServes 4\n\n3 aubergines\nolive oil\n500 g lamb mince\n1 onion, grated\n\nMethod\n1. Slice the aubergines, brush with oil and bake for 25 minutes.\n2. Brown the mince hard in a dry pan. Add the onion and cook till soft. Add 200 ml water and simmer for 20 minutes. Mix with the aubergines.",
			map[string]string{line("2"): "lentil-walnut-mince"}, []string{"Heat the olive oil in a pan"}, []string{"vegetable oil"},
		},
		"oil that is gone with its sausage is neither kept nor trickled": {
			"Soup\nServes 4\n\n1 tbsp olive oil\n1 onion\n800 g potatoes\n1 litre vegetable stock\n200 g chorizo, sliced\n\nMethod\n1. Soften the onion in the oil. Add the potatoes and stock and boil for 20 minutes.\n2. Fry the chorizo in a dry pan till crisp; keep the red oil.\n3. Ladle into bowls, put the chorizo in each and drizzle with the red oil.",
			map[string]string{line("4"): "smoky-bean-sausage"}, []string{"Ladle into bowls, put the smoky bean sausage in each."}, []string{"red oil", "drizzle"},
		},
		"flour that was seasoned for flesh goes into the sauce, and its spice with it": {
			"Pieces\nServes 4\n\n600 g pork shoulder, cubed\n2 tbsp plain flour\n1 tsp sweet paprika\n2 tbsp oil\n1 onion\n150 ml vegetable stock\n200 ml oat cream\n\nMethod\n1. Season the flour with the paprika and toss the pork in it.\n2. Heat half the oil and sear the pork for 1 minute. Tip onto a plate.\n3. Soften the onion in the remaining oil. Stir in the stock and bubble for 3 minutes. Stir in the cream, return the pork and heat gently without boiling.",
			map[string]string{line("0"): "jackfruit-potato-braise"}, []string{"stir the plain flour smooth with a little of the vegetable stock", "with the sweet paprika"}, []string{"plate", "Season the flour"},
		},
		"what comes back to a pot with others lets them go in": {
			"Ragu\nServes 4\n\n6 Italian sausages\n1 onion\n150 ml red wine\n400 g tin plum tomatoes\n1 sprig rosemary\n1 tbsp oil\n\nMethod\n1. Fry the sausages in the oil until browned. Lift out.\n2. Soften the onion in the same pan. Stir in the wine and reduce. Return the sausages with the tomatoes, rosemary and a tin of water. Simmer for 45 minutes.",
			map[string]string{line("0"): "smoky-bean-sausage"}, []string{"Add the tomatoes, the rosemary and a tin of water."}, []string{"everything", "Put the tomatoes"},
		},
		"what came of a skin goes with it": {
			"Curry\nServes 2\n\n2 roast duck legs, meat pulled off, skin kept\n400 ml coconut milk\n2 tbsp red curry paste\n\nMethod\n1. Fry the paste in a spoon of the milk. Add the rest of the milk and the duck meat. Simmer for 10 minutes.\n2. Crisp the duck skin in a dry pan and crumble it over to serve.",
			map[string]string{line("0"): "seared-mushroom-shreds"}, nil, []string{"crumble", "Crumble"},
		},
		"pieces that are flattened are wrapped round what is inside": {
			"Scotch eggs\nServes 6\n\n6 boiled eggs\n400 g pork mince\n1 tbsp chopped sage\n\nMethod\n1. Mix the mince with the sage and divide into 6. Flatten each piece, wrap it round an egg and seal well. Bake at 200 C for 20 minutes.",
			map[string]string{line("0"): "mushroom-piece-egg", line("1"): "lentil-oat-shaped"}, []string{"Flatten each piece, wrap it round the "}, nil,
		},
		"a part by its own name": {
			"Wraps\nServes 4\n\nKeema\n500 g lamb mince\n1 onion\n\nRaita\n200 g yogurt\n1/4 cucumber, grated\n\nWraps\n4 tortillas\n\nMethod\n1. Fry the onion and the mince.\n2. Squeeze the cucumber and stir it into the yogurt.\n3. Warm the tortillas. Spoon the keema over them and top with raita.",
			map[string]string{line("0"): "lentil-walnut-mince", "components[1].lines[0]": "soy-yoghurt-plain"}, []string{"top with cool sauce"}, []string{"top with the soy yoghurt"},
		},
		"a place of another wrapper": {
			"Dumplings\nServes 4\n\n250 g tofu\n30 wonton wrappers\n\nMethod\n1. Put a teaspoon of tofu in the centre of each wrapper and press to seal. Boil for 4 minutes.",
			map[string]string{line("1"): "wheat-wrapper"}, []string{"in the centre of each wrapper"}, nil,
		},
		"what comes next, with what goes in late": {
			"Ragu\nServes 4\n\n500 g lamb mince\n1 onion\n2 tbsp oil\n2 tbsp tomato purée\n400 g tinned tomatoes\n\nMethod\n1. Brown the mince hard in a dry pan. Add the onion and cook till soft. Purée and tomatoes next; let it simmer for 20 minutes.",
			map[string]string{line("0"): "lentil-walnut-mince"}, []string{"purée and tomatoes next"}, []string{" Purée"},
		},
	})
}

// The broth is what was strained, and not what is made ready last for something else.
func TestTheBrothIsNoPreparation(t *testing.T) {
	r, _, c := open(t)
	text := "Grandma Ilse's Königsberger Klopse\n\nYou'll want 500 g of mixed mince (beef and pork), 1 old bread roll, 125 ml of milk, 1 onion, 1 egg, 1 litre of beef broth, 1 bay leaf, 40 g of butter, 40 g of flour, 100 ml of cream and an egg yolk.\n\nSoak the roll in the milk. Chop the onion very small and cook it soft in a little of the butter. Squeeze out the roll and knead it with the mince, the onion, the egg; season. With wet hands form dumplings the size of a golf ball.\n\nBring the broth to a simmer with the bay leaf, slide in the dumplings and let them steep for 15 minutes without boiling. Lift them out and strain the broth.\n\nMake a pale roux with the rest of the butter and the flour, and gradually whisk in 600 ml of the broth. Let it cook for 10 minutes. Beat the yolk with the cream and stir it in off the heat. Warm the dumplings in the sauce, but don't let it boil again. Boiled potatoes go with it."
	swaps := map[string]string{line("0"): "lentil-oat-shaped", line("2"): "soy-drink-for-milk", line("4"): "potato-bind", line("5"): "lentil-shiitake-stock", line("7"): "olive-oil-roux", line("9"): "silken-cashew-cream", line("10"): "soy-starch-yolk"}
	a, err := c.Adapt(r.Read(text, measure.Metric), swap.Decisions{HouseRules: swap.HouseRules{Preset: "like-for-like"}, Swaps: swaps}, false)
	require.NoError(t, err)
	require.Len(t, a.Swaps, len(swaps))
	for _, s := range a.Components[0].Steps {
		require.Empty(t, s.Findings, s.Text)
	}
}
