package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What stays behind when something is lifted out of what it cooked in is still there to be
// worked on, by any of its names.
func TestWhatStaysBehindGoesOn(t *testing.T) {
	hear(t, []way{
		{"the juices after lifting out", "1 kg chicken|200 ml white wine|2 onions", "Simmer the chicken and onions in the wine. Lift out the chicken. Boil the juices until thick.", []string{"a0 simmer/simmer(0.0, 0.2; with 0.1)", "a1 lift out/remove(@a0)", "a2 boil/boil(@a0; until thick)"}},
		{"not what was stirred since", "1 kg chicken|200 ml white wine|100 ml cream|2 egg yolks", "Simmer the chicken in the wine. Take out the chicken. Beat the yolks with the cream. Reduce the juices by half.", []string{"a0 simmer/simmer(0.0; with 0.1)", "a1 take out/remove(@a0)", "a2 beat/beat(0.3; with 0.2)", "a3 reduce/reduce(@a0; how: by half)"}},
		{"lifted out of named water", "1 kg cod|1 l water|2 onions", "Boil the cod in the water. Lift out the cod. Add the onions to the broth.", []string{"a0 boil/boil(0.0; with 0.1)", "a1 lift out/remove(@a0)", "a2 add/add(0.2; into @a0)"}},
	})
}

// A part of which nothing is made yet is made of its own lines, not of another part's.
func TestAPartIsMadeOfItsOwnLines(t *testing.T) {
	d := read(t, "Buns\nServes 4\n\nFor the filling\n300 g mince\n1 onion\n\nFor the dough\n200 g plain flour\n100 ml water\n\nMethod\n\nFor the filling\n1. Fry the mince with the onion.\n\nFor the dough\n2. Mix the dough and roll it out.")
	require.Len(t, d.Components, 2)
	actions := d.Components[1].Steps[0].Actions
	require.Len(t, actions, 2)
	require.Equal(t, "mix/mix(1.0, 1.1)", show(actions[0])[len("c1.s0.a0 "):])
}
