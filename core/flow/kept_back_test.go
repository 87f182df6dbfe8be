package flow

import "testing"

// What stands beside the pan, goes back into it or is kept for later, each on the least recipe that shows it.
func TestWhatStandsBesideThePanIsTold(t *testing.T) {
	hear(t, []way{
		{"set out beside what is in hand", "2 chicken breasts|50 g flour|2 eggs|100 g breadcrumbs", "Flatten the breasts. Put the flour, eggs and crumbs in three bowls. Dip the breasts in the eggs.", []string{"a0 flatten/crush(0.0)", "a1 put bowls/serve(0.1, 0.2, 0.3)", "a2 dip/dip(@a0; with @a1)"}},
		{"all the meat", "2 chicken breasts|30 g bacon", "Brown the bacon and remove it. Brown the breasts. Return all the meat to the pot.", []string{"a0 brown/brown(0.1)", "a1 remove/remove(@a0)", "a2 brown/brown(0.0)", "a3 return/return(@a2, @a1; into 'pot)"}},
		{"all the time", "300 ml milk|50 g flour", "Heat the milk, stirring all the time. Whisk in the flour.", []string{"a0 heat/heat(0.0; how: stirring all the time)", "a1 whisk in/whisk(0.1; into @a0)"}},
		{"all the way", "500 g beef|2 onions", "Cook the beef all the way through. Turn the onions all the time.", []string{"a0 cook/cook(0.0; how: all the way through)", "a1 turn/turn(0.1; how: all the time)"}},
		{"what it comes to do of its own", "100 g chorizo|2 onions", "Cook the chorizo until it starts to crisp and release its oil. Add the onions.", []string{"a0 cook/cook(0.0; until it starts to crisp and release its oil)", "a1 add/add(0.1; into @a0)"}},
		{"another spoon of it", "100 g breadcrumbs|3 tbsp oil|2 onions", "Heat 1 tbsp of the oil. Fry the crumbs. Add another tablespoon of oil and fry the onions.", []string{"a0 heat/heat(0.333×0.1)", "a1 fry/fry(0.0; with @a0)", "a2 add/add(0.333×0.1; into @a1)", "a3 fry/fry(0.2)"}},
		{"back to the wok that was emptied onto a plate", "100 g bacon|2 onions|100 g breadcrumbs", "Fry the bacon in a wok, then tip onto a plate. Fry the onions in the wok. Tip onto the plate with the bacon. Fry the crumbs. Return the bacon and onions to the wok.", []string{"a0 fry/fry(0.0)", "a1 tip onto a plate/place(@a0; into 'plate)", "a2 fry/fry(0.1)", "a3 tip onto the plate/place(@a2; with @a1; into @a1)", "a4 fry/fry(0.2)", "a5 return/return(@a3; into @a4)"}},
		{"what you kept", "100 g bacon|2 eggs", "Fry the bacon. Lift out half of it and keep. Fry the eggs with the bacon. Sprinkle with the bacon you kept.", []string{"a0 fry/fry(0.0)", "a1 lift out/remove(0.5×@a0)", "a2 keep/reserve(@a1)", "a3 fry/fry(0.1; with @a0)", "a4 sprinkle/sprinkle(@a3; with @a2)"}},
	})
}
