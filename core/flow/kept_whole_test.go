package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What a thing became goes by its name, and a share said behind a name is one.
func TestWhatAThingBecameGoesByItsName(t *testing.T) {
	hear(t, []way{
		{"half of one onion and its other half", "3 chicken breasts|1 onion, half left whole and half sliced|2 tbsp oil", "Poach the chicken with the onion half in water for 20 minutes. Fry the sliced onion in the oil.", []string{"a0 poach/poach(0.0; with 0.5×0.1, 'water; 20-20 min)", "a1 fry/fry(0.5×0.1; with 0.2)"}},
		{"half of two", "2 onions, half chopped, half sliced|2 tbsp oil", "Fry the sliced onions in the oil.", []string{"a0 fry/fry(0.5×0.0; with 0.1)"}},
		{"half-and-half is no half", "1 cup half-and-half|1 onion|500 ml water", "Simmer the onion in the water for 10 minutes. Stir in the half-and-half.", []string{"a0 simmer/simmer(0.1; with 0.2; 10-10 min)", "a1 stir in/stir(0.0; into @a0)"}},
		{"the sauce is what cooks, and no broth that was kept", "3 chicken breasts|1 onion|1 tbsp oil|400 g chopped tomatoes|2 tbsp chipotle in adobo|2 bay leaves", "Poach the chicken with the bay leaves in water for 20 minutes. Lift out. Keep 150 ml of the liquid. Fry the onion in the oil, add the tomatoes and chipotle and cook for 10 minutes. Blend the sauce until smooth.", []string{"a0 poach/poach(0.0; with 0.5, 'water; 20-20 min)", "a1 lift out/remove(@a0)", "a2 keep/reserve(0.5×@a0)", "a3 fry/fry(0.1; with 0.2)", "a4 add/add(0.3, 0.4; into @a3)", "a5 cook/cook(@a4; 10-10 min)", "a6 blend/blend(@a5; until smooth)"}},
	})
	d := read(t, "Chicken\nServes 4\n\n3 chicken breasts\n1 onion\n2 bay leaves\n\nMethod\n1. Poach the chicken with the onion and bay leaves in water for 20 minutes. Leave to cool in the liquid, then lift out and shred.")
	lifted := d.Components[0].Steps[0].Actions[2]
	require.Equal(t, "remove", lifted.Technique)
	require.Equal(t, "components[0].lines[0]", lifted.To[0].Of, "what cooled in its liquid is lifted out of it, and not the onion")
	d = read(t, "Fish fingers\nServes 4\n\n400 g white fish, in strips\n100 g flour\n2 eggs\n200 g breadcrumbs\n3 tbsp oil\n\nMethod\n1. Toss the fish in the flour, dip in the eggs and coat in the breadcrumbs.\n2. Heat the oil in a pan and fry the fish for 3 minutes.")
	fried := d.Components[0].Steps[1].Actions[1]
	require.Equal(t, "c0.s0.a2", *fried.To[0].Made)
}
