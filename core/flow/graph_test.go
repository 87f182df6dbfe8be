package flow

import (
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// traced reads a dish of lines set apart by bars and follows them.
func traced(t *testing.T, lines, method string) (*recipe.Dish, *Graph) {
	t.Helper()
	d := read(t, "Dish\nServes 4\n\n"+strings.ReplaceAll(lines, "|", "\n")+"\n\nMethod\n1. "+method)
	return &d, Trace(reader(t).larder, &d)
}

// nodeOf is the first node of a technique.
func nodeOf(t *testing.T, g *Graph, technique string) *Node {
	t.Helper()
	at := slices.IndexFunc(g.Nodes, func(n Node) bool { return n.Is(technique) })
	require.GreaterOrEqual(t, at, 0, "nothing is worked by %s", technique)
	return &g.Nodes[at]
}

// What an action made carries its lines into the next.
func TestLinesAreFollowed(t *testing.T) {
	_, g := traced(t, "2 onions|1 tbsp oil|500 g beef|1 l stock", "Fry the onions in the oil. Add the beef and the stock and simmer for 2 hours.")
	simmer := nodeOf(t, g, "simmer")
	for line := range 4 {
		require.True(t, simmer.Reaches(line), "line %d is in the pot", line)
	}
	require.False(t, nodeOf(t, g, "fry").Reaches(2), "the beef came later")
	require.True(t, simmer.Liquid)
	require.False(t, nodeOf(t, g, "fry").Liquid)
	require.Equal(t, []int{slices.IndexFunc(g.Nodes, func(n Node) bool { return n.Is("add") })}, simmer.Inputs)
	require.True(t, g.Later(simmer.Inputs[0]))
}

// A part that is taken out is no longer worked with the rest.
func TestWhatIsTakenOutIsOut(t *testing.T) {
	_, g := traced(t, "500 g beef|2 onions|1 tbsp oil|1 l stock", "Brown the beef in the oil and take it out. Fry the onions. Boil the stock with the onions. Return the beef.")
	require.False(t, nodeOf(t, g, "boil").Reaches(0), "the beef lies on a plate")
	require.True(t, nodeOf(t, g, "return").Reaches(0))
}

func TestALidIsOnUntilItIsOff(t *testing.T) {
	for _, c := range []struct {
		method  string
		covered bool
	}{
		{"Simmer the beans in the water, covered, for 40 minutes.", true},
		{"Simmer the beans in the water with the lid on for 40 minutes.", true},
		{"Simmer the beans in the water under a lid for 40 minutes.", true},
		{"Simmer the beans in the water with the lid ajar for 40 minutes.", false},
		{"Simmer the beans in the water with the lid off for 40 minutes.", false},
		{"Simmer the beans in the water, uncovered, for 40 minutes.", false},
		{"Simmer the beans in the water for 40 minutes.", false},
	} {
		_, g := traced(t, "500 g beans|1 l water", c.method)
		require.Equal(t, c.covered, g.Nodes[0].Covered, c.method)
	}
}

// Fat at a frying temperature is known, however the text comes to speak of it.
func TestHotFatIsKnown(t *testing.T) {
	lines := "1 l sunflower oil|500 g tofu|50 g flour"
	for method, hot := range map[string]bool{
		"Heat the oil to 180 C and fry the tofu for 3 minutes.":             true,
		"Heat the oil to 350 F. Toss the tofu in flour. Slide it in.":       true,
		"Deep-fry the tofu in the oil.":                                     true,
		"Slide the tofu into hot oil.":                                      true,
		"Lower the tofu into smoking oil.":                                  true,
		"Drop spoonfuls into the deep fryer.":                               true,
		"Stir the oil into the flour and rest it.":                          false,
		"Bake the tofu in the oil at 180 C.":                                false,
		"Warm the oil gently and pour it over the tofu; leave for an hour.": false,
	} {
		_, g := traced(t, lines, method)
		require.Equal(t, hot, slices.ContainsFunc(g.Nodes, func(n Node) bool { return n.HotFat || n.Is("deep-fry") }), method)
	}
}

func TestCrispIsSaidByTheCue(t *testing.T) {
	_, g := traced(t, "500 g potatoes|2 tbsp oil", "Fry the potatoes in the oil until crisp.")
	require.True(t, nodeOf(t, g, "fry").Crisp)
	_, g = traced(t, "500 g potatoes|2 tbsp oil", "Fry the potatoes in the oil until soft.")
	require.False(t, slices.ContainsFunc(g.Nodes, func(n Node) bool { return n.Crisp }))
}
