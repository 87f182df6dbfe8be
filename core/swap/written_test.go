package swap

import (
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// Only foods of which a piece is a leaf are counted by the leaf, and little of them; the name then says what is counted.
func TestOnlyWhatIsALeafIsCountedByIt(t *testing.T) {
	b, _ := open(t)
	counted := map[string]bool{}
	for _, f := range b.Larder().Foods() {
		if f.Origin != larder.FromPlant {
			continue // nothing of it stands in
		}
		for _, grams := range []float64{0.05, 0.15, 0.3} {
			if said := kitchenAmount(f, grams); strings.HasPrefix(said, "¼") && !strings.Contains(said, "tsp") || said == "½" || said == "1" {
				counted[f.ID] = true
				require.True(t, strings.HasSuffix(f.Name, "leaf"), "%s of %s", said, f.Name)
			}
		}
	}
	require.True(t, counted["bay-leaf"])
	bay := b.Larder().Food("bay-leaf")
	require.Equal(t, "½", kitchenAmount(bay, 0.15))
	require.Contains(t, kitchenAmount(bay, 0.6), "tsp")
}
