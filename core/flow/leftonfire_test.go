package flow

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// What cooks on by itself, goes by its minutes, or is only wanted if need be.
func TestWhatCooksOnByItself(t *testing.T) {
	hear(t, []way{
		{"left on a fire that was turned down", "1 kg beef|1 l stock", "Bring the stock to the boil with the beef, turn down the heat, put the lid on and leave for 1 hour.", []string{"a0 bring to the boil/boil(0.1; with 0.0)", "a1 turn the heat/lower-heat()", "a2 put the lid/cover(@a0)", "a3 leave/simmer(@a2; 60-60 min)"}},
		{"left off the fire", "1 kg beef|1 l stock", "Bring the stock to the boil with the beef, take off the heat, put the lid on and leave for 1 hour.", []string{"a0 bring to the boil/boil(0.1; with 0.0)", "a1 take off the heat/off-heat(@a0)", "a2 put the lid/cover(@a1)", "a3 leave/rest(@a2; 60-60 min)"}},
		{"left when it boiled", "1 kg beef|1 l stock", "Bring the stock to the boil with the beef, cover and leave for 20 minutes.", []string{"a0 bring to the boil/boil(0.1; with 0.0)", "a1 cover/cover(@a0)", "a2 leave/rest(@a1; 20-20 min)"}},
		{"the oven by its minutes", "1 kg beef|1 l stock", "Put the beef and stock into a casserole. Cover, oven 2 hours.", []string{"a0 put/place(0.0, 0.1; into 'casserole)", "a1 cover/cover(@a0)", "a2 oven/bake(@a1; 120-120 min)"}},
		{"only degrees", "1 kg beef|1 l stock", "Roast the beef for 20 minutes, then lower to 160C and roast for 1 hour.", []string{"a0 roast/roast(0.0; 20-20 min)", "a1 lower to/preheat(; 160 C)", "a2 roast/roast(@a0; 60-60 min)"}},
		{"more of a fat if needed", "2 leeks|3 tbsp oil|1 l stock", "Add the leeks to the pan with a splash more oil if needed and cook for 8 minutes.", []string{"a0 add/add(0.0; with 0.1×0.1; into 'pan; how: if needed)", "a1 cook/cook(@a0; 8-8 min)"}},
		{"all of it if needed", "2 leeks|3 tbsp oil|1 l stock", "Fry the leeks in the oil. Add some stock if needed and simmer for 8 minutes.", []string{"a0 fry/fry(0.0; with 0.1)", "a1 simmer/simmer(@a0; 8-8 min)", "condition: Add some stock if needed"}},
	})
}

// A technique counts as what its row says besides, and as nothing else.
func TestATechniqueCountsAsAnother(t *testing.T) {
	l := reader(t).larder
	require.True(t, l.Technique("saute").Is("fry"))
	require.True(t, l.Technique("braise").Is("boil", "simmer"))
	require.False(t, l.Technique("fry").Is("saute"))
	require.False(t, l.Technique("saute").Is("deep-fry", ""))
}
