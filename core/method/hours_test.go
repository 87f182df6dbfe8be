package method

import (
	"testing"

	"github.com/stretchr/testify/require"
)

// Hours are said as a cook would, however they were worked out.
func TestHoursAreSaidToAQuarter(t *testing.T) {
	for minutes, hours := range map[float64]float64{120: 2, 130: 2.25, 150: 2.5, 305: 5, 330: 5.5, 352: 5.75} {
		require.InDelta(t, hours, inHours(minutes), 0, "%v minutes", minutes)
	}
}
