package tasting_test

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/tasting"
)

func TestTraysAreDealtAtRandomAndEvenly(t *testing.T) {
	first := map[[3]int]int{}
	for _, name := range []string{"a", "b", "c", "d", "e", "f", "g", "h", "i", "j", "k", "l", "m", "n"} {
		odd := [4]int{}
		for block := range 3 {
			seen := map[[3]int]bool{}
			for i := range tasting.Trays {
				tray := tasting.Tray(name, block*tasting.Trays+i)
				require.Equal(t, tray, tasting.Tray(name, block*tasting.Trays+i), "dealt once")
				require.False(t, seen[tray])
				seen[tray] = true
				cup := tasting.OddCup(tray)
				odd[cup]++
				for at, x := range tray {
					if at+1 != cup {
						require.NotEqual(t, tray[cup-1], x, "%v", tray)
					}
				}
			}
		}
		require.Equal(t, [4]int{0, 6, 6, 6}, odd)
		first[tasting.Tray(name, 0)]++
	}
	require.Greater(t, len(first), 2, "another tasting deals otherwise: %v", first)
}

func TestATriangleIsToldWithItsNumber(t *testing.T) {
	require.Equal(t, "8 of 12 found the odd one; guessing alone finds it one time in three, and so many or more by chance 2 times in 100. About 50 in 100 can tell the two apart; it may be 2 to 85.", tasting.SayOdd(12, 8))
	require.Equal(t, "2 of 6 found the odd one; guessing alone finds it one time in three, and with 6 people so many can be chance. About 0 in 100 can tell the two apart; it may be 0 to 67.", tasting.SayOdd(6, 2))
	require.Equal(t, "Nobody has said yet which cup is the odd one.", tasting.SayOdd(0, 0))
}
