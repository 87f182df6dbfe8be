package larder_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/larder"
)

// What is drunk pours, however much alcohol or sugar is in it; what is brewed or stirred into water does not.
func TestWhatIsDrunkPours(t *testing.T) {
	l := load(t)
	for _, id := range []string{"water", "sherry", "fortified-wine", "mirin", "rum", "vodka", "liqueur", "cola"} {
		require.True(t, larder.Pours(l.Food(id)), id)
	}
	for _, id := range []string{"matcha", "instant-coffee", "rooibos", "sugar", "honey", "tomato"} {
		require.False(t, larder.Pours(l.Food(id)), id)
	}
}
