package flow

import "testing"

// What rests lies out of what it was cooked in, which stays where it is; "rest" before an article is work, and no
// word for what is left.
func TestWhatRestsLiesOutside(t *testing.T) {
	lines := "1 kg pork shoulder|1 onion|200 ml cider|100 ml tomato sauce"
	roast := "Put the pork and onion in a tin, pour the cider around and roast for 2 hours. Rest the pork for 10 minutes, then shred it. "
	begun := []string{"a0 put/place(0.0, 0.1; into 'tin)", "a1 pour/pour(0.2; into @a0)", "a2 roast/roast(@a1; 120-120 min)", "a3 rest/rest(@a2; 10-10 min)", "a4 shred/shred(@a3)"}
	hear(t, []way{
		{"what is left in the tin", lines, roast + "Spoon off the fat and stir the sauce into what's left. Mix this through the meat.", append(begun[:5:5], "a5 spoon off/skim('fat)", "a6 stir into/stir(0.3; into @a2)", "a7 mix/mix(@a6; into @a4)")},
		{"the juices that are skimmed", lines, roast + "Skim the fat from the juices and stir in the sauce.", append(begun[:5:5], "a5 skim/skim('fat)", "a6 stir in/stir(0.3; into @a2)")},
		{"the rest of a pot out of which more is lifted", lines, roast + "Lift out the onion, then stir the sauce into the rest.", append(begun[:5:5], "a5 lift out/remove(@a2)", "a6 stir into/stir(0.3; into @a2)")},
		{"what is stirred in while the meat rests", lines, "Put the pork and onion in a tin, pour the cider around and roast for 2 hours. Rest the pork for 10 minutes. Stir in the sauce.", append(begun[:4:4], "a4 stir in/stir(0.3; into @a2)")},
		{"meat that rests is not divided", "1 kg pork shoulder|2 tsp paprika|2 onions", "Rub the paprika all over the pork. Scatter the onions over the base of a tin, sit the pork on top and roast for 2 hours. Rest the pork for 10 minutes.", []string{"a0 rub/rub(0.1; into 0.0; how: all)", "a1 scatter/sprinkle(0.2; into 'tin)", "a2 sit on/add(@a0; into @a1)", "a3 roast/roast(@a2; 120-120 min)", "a4 rest/rest(@a3; 10-10 min)"}},
	})
}

// What took a little of a thing goes by no name of it, and a name that calls for several means what has most of them.
func TestNamesStayWithWhatTheyAreOf(t *testing.T) {
	hear(t, []way{
		{"a broth of which a ladle went elsewhere", "1 kg beef shin|2 l water|1 onion|3 pickled cucumbers|200 g ham", "Simmer the beef in the water for 2 hours. Remove the meat and dice it. Strain the broth back into the pot. Fry the onion. Stir in the cucumbers with a ladle of broth. Add the ham to the broth.", []string{"a0 simmer/simmer(0.0; with 0.1; 120-120 min)", "a1 remove/remove(@a0)", "a2 dice/dice(@a1)", "a3 strain/strain(@a0; into 'pot)", "a4 fry/fry(0.2)", "a5 stir in/stir(0.3; with 0.1×@a3; into @a4)", "a6 add/add(0.4; into @a3)"}},
		{"a dressing is what has oil and vinegar in it", "1 lettuce|2 tbsp wine vinegar|3 tbsp oil|2 eggs|1 tbsp white vinegar", "Put the lettuce in a bowl. Whisk the oil and wine vinegar. Poach the eggs in water with the white vinegar for 3 minutes, then lift out. Pour the cold dressing over the leaves.", []string{"a0 put/place(0.0; into 'bowl)", "a1 whisk/whisk(0.2, 0.1)", "a2 poach/poach(0.3; with 'water, 0.4; 3-3 min)", "a3 lift out/remove(@a2)", "a4 pour/pour(@a1; into @a0)"}},
		{"to one side of the wok", "200 g rice noodles|2 tbsp oil|200 g tofu", "Fry the noodles in half the oil. Push the noodles to one side of the wok. Add the remaining oil and the tofu.", []string{"a0 fry/fry(0.0; with 0.5×0.1)", "a1 push/place(@a0)", "a2 add/add(0.5×0.1, 0.2; into @a1)"}},
		{"half a teaspoon is little", "300 g minced beef|200 g flour", "Season the beef. Fill the flour with half a teaspoon of the beef.", []string{"a0 season/season(0.0)", "a1 fill/stuff(0.1; with 0.025×@a0)"}},
	})
}
