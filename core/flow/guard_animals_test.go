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

// A part that plants have too is that of the plant which the step named, and of an animal wherever one of the list goes
// by the word, the step named no plant, or nothing points at it.
func TestPartsOfAPlantInHandAreNoAnimals(t *testing.T) {
	r := reader(t)
	for w := range r.lang.PlantParts {
		bare := len(r.Animals("Trim the "+w+".", nil)) > 0
		for _, x := range []struct {
			list, step string
			heard      bool
		}{
			{"1 cabbage|500 g minced pork", "Core the cabbage. Trim the thick {}.", false},
			{"1 cabbage|500 g minced pork", "Trim the thick {}.", bare},
			{"1 cabbage|500 g pork {}", "Core the cabbage. Trim the thick {}.", bare},
			{"1 cabbage|500 g minced pork", "Core the cabbage. Serve with {}.", bare},
		} {
			d := r.Read("Rolls\n\n"+strings.ReplaceAll(strings.ReplaceAll(x.list, "|", "\n"), "{}", w)+"\n\nMethod\n1. Stir.", "metric")
			text := strings.ReplaceAll(x.step, "{}", w)
			heard := len(r.Animals(text, d.Components[0].Lines)) > 0
			if strings.Contains(x.list, "{}") {
				require.True(t, heard || !bare, text+" of "+x.list)
				continue
			}
			require.Equal(t, x.heard, heard, text+" of "+x.list)
		}
	}
}
