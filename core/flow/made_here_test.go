package flow

import "testing"

// A food that no list has is what was made of a dough, where it is pointed at; the side of a thing is how it lies.
func TestWhatIsMadeOfADoughGoesByItsName(t *testing.T) {
	lines := "400 g plain flour|200 ml water|200 g Emmental"
	made := []string{"a0 beat/beat(0.0, 0.1; makes batter)", "a1 press/press(@a0; into 'boiling water)"}
	hear(t, []way{
		{"noodles of a batter", lines, "Beat the flour and water to a batter. Press the batter into boiling water. Layer the spaetzle with the cheese.", append(made[:2:2], "a2 layer/layer(@a1; with 0.2)")},
		{"bread beside it is bought", lines, "Beat the flour and water to a batter. Press the batter into boiling water. Serve with naan.", append(made[:2:2], "a2 serve/serve(@a1; with 'naan)")},
		{"the fat side of the meat", "1 kg lamb|1 cabbage", "Layer the lamb in a pot, fat side of the meat down first. Add the cabbage.", []string{"a0 layer/layer(0.0; into 'pot; how: fat side of the meat down first)", "a1 add/add(0.1; into @a0)"}},
	})
}

// What is strewn meanwhile is used; the water of a list goes in with what it is listed with; what is lifted out by its
// name is no more than that; and what more of is taken went in before.
func TestWhatIsSaidAlongIsUsed(t *testing.T) {
	hear(t, []way{
		{"strewn between layers", "1 kg carrots|2 tsp salt|1 tbsp flour", "Layer the carrots in a pot, sprinkling salt and flour between the layers.", []string{"a0 layer/layer(0.0; into 'pot)", "a1 sprinkle/sprinkle(0.1, 0.2; into @a0; how: between the layers)"}},
		{"basted meanwhile", "600 g tempeh|20 g ghee", "Grill the tempeh for 12 minutes, turning once and basting with the ghee.", []string{"a0 grill/grill(0.0; 12-12 min; how: turning once)", "a1 baste/baste(@a0; with 0.1)"}},
		{"strewn with what is in hand", "1 kg carrots|2 tsp salt", "Salt the carrots. Fry, spooning them over.", []string{"a0 salt/season(0.0; with 0.1)", "a1 fry/fry(@a0; how: spooning them over)"}},
		{"water of a list, and more from the tap", "600 g carrots|2 stalks lemongrass|1.2 litres water|3 tbsp flour", "Put the carrots, lemongrass and water in a pan and boil for 10 minutes. Mix the flour with 200 ml of cold water.", []string{"a0 put/place(0.0, 0.1, 0.2; into 'pan)", "a1 boil/boil(@a0; 10-10 min)", "a2 mix/mix(0.3; with 'water)"}},
		{"more of a herb", "500 g minced beef|2 tbsp chopped dill|2 tbsp chopped parsley", "Knead the mince with the herbs. Serve with more dill.", []string{"a0 knead/knead(0.0; with 0.1, 0.2)", "a1 serve/serve(@a0; with 'dill)"}},
	})
}
