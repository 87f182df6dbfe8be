package spent

import (
	"testing"
	"time"

	"github.com/stretchr/testify/require"
)

// busy works for a time of the processor.
func busy(d time.Duration) {
	for so := Start(); so() < d; {
		for i := range 1000 {
			_ = i * i
		}
	}
}

func TestOnlyWorkCounts(t *testing.T) {
	require.Less(t, On(func() { time.Sleep(200 * time.Millisecond) }), 100*time.Millisecond, "who sleeps spends little")
	require.GreaterOrEqual(t, On(func() { time.Sleep(200 * time.Millisecond) }), 50*time.Millisecond, "but waiting is not free")
	require.GreaterOrEqual(t, On(func() { busy(50 * time.Millisecond) }), 50*time.Millisecond)
}

func TestTooMuchIsTriedAgainAndStaysTooMuch(t *testing.T) {
	times := 0
	least := Within(20*time.Millisecond, func() {
		times++
		busy(30 * time.Millisecond)
	})
	require.Equal(t, Tries, times)
	require.GreaterOrEqual(t, least, 30*time.Millisecond)

	times = 0
	least = Within(200*time.Millisecond, func() {
		times++
		if times == 1 {
			busy(250 * time.Millisecond)
		}
	})
	require.Equal(t, 2, times, "what was once slow may be tried again")
	require.Less(t, least, 200*time.Millisecond)
}
