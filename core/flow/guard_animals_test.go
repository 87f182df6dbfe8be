package flow

import (
	"maps"
	"slices"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"
)

// Every animal word is heard wherever a sentence names the thing, and not where it is only
// what something is as much as.
func TestEveryAnimalWordIsHeard(t *testing.T) {
	r := reader(t)
	words := slices.Sorted(maps.Keys(r.larder.Words().AnimalWords))
	require.Greater(t, len(words), 50)
	for _, w := range words {
		bare := len(r.Animals("Take the "+w+" out.", nil)) > 0
		for _, frame := range []string{
			"Take it off as soon as the {} is done.", "Add the leeks as well as {}.", "Add the leeks as well as the {}.", "Go on as long as the {} is pink.",
			"Use as much as the {} needs.", "Add the {}, press it down and chill.", "Serve it as cold as the {}.", "Cut the leeks as thin as the {}.",
			"When it begins to colour put in the {}.", "When it looks ready add the {}.", "Once it smells like toast tip in the {}.",
		} {
			text := strings.ReplaceAll(frame, "{}", w)
			require.Equal(t, bare, len(r.Animals(text, nil)) > 0, text)
		}
		for _, frame := range []string{"Stir until it is as thin as {}.", "It should be as soft as {}.", "Shape balls as big as an {}."} {
			text := strings.ReplaceAll(frame, "{}", w)
			require.Empty(t, r.Animals(text, nil), text)
		}
		for frame, heard := range map[string]bool{"Cut out the {} of the cabbage.": bare && !r.lang.PlantParts[w], "Cut out the {} of the lamb.": true, "Cut out the {} and the cabbage.": bare} {
			text := strings.ReplaceAll(frame, "{}", w)
			require.Equal(t, heard, len(r.Animals(text, nil)) > 0, text)
		}
	}
}
