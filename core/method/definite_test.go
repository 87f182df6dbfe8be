package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// A vessel is known where its words say so, in front or behind a preposition; no words say nothing.
func TestAVesselIsKnownByItsArticle(t *testing.T) {
	c, err := carrier()
	require.NoError(t, err)
	w := &writer{plan: &plan{c: c, l: c.book.Larder()}}
	for words, known := range map[string]bool{"to the pan": true, "the pan": true, "The pan": true, "in a pan": false, "a pan": false, "pan": false, "": false} {
		require.Equal(t, known, w.definite(words), words)
	}
}
