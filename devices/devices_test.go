package devices_test

import (
	"math"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/devices"
)

var start = time.Date(2026, 12, 5, 17, 0, 0, 0, time.UTC)

func after(seconds float64) time.Time {
	return start.Add(time.Duration(seconds * float64(time.Second)))
}

func TestTheScaleSettlesAndFlickers(t *testing.T) {
	s := devices.NewScale(start, 1)
	require.InDelta(t, 0, s.Weigh(after(1)).Grams, 2)
	s.Put(after(1), 500)
	require.Less(t, s.Weigh(after(1.1)).Grams, 300.0, "it has not settled")
	seen := map[float64]bool{}
	for i := range 40 {
		w := s.Weigh(after(5 + float64(i)/10))
		require.InDelta(t, 500, w.Grams, 2)
		require.InDelta(t, w.Grams, math.Round(w.Grams), 0, "to the gram")
		seen[w.Grams] = true
		require.Equal(t, w, s.Weigh(after(5+float64(i)/10)), "the same moment shows the same")
	}
	require.Greater(t, len(seen), 1, "it flickers")
	s.Tare(after(9))
	require.InDelta(t, 0, s.Weigh(after(10)).Grams, 2)
	s.Add(after(10), 80)
	require.InDelta(t, 80, s.Weigh(after(13)).Grams, 2)
	s.Drift(after(13), 6)
	require.InDelta(t, 92, s.Weigh(after(133)).Grams, 2, "it wanders")
	s.Put(after(140), 5200)
	require.True(t, s.Weigh(after(145)).Overload)
	s.Battery(0)
	require.True(t, s.Weigh(after(146)).Off)
}

func TestTheProbeLagsBehind(t *testing.T) {
	p := devices.NewProbe(start, 1)
	require.InDelta(t, 21, p.Measure(after(1)).Celsius, 1)
	p.Into(after(1), 175)
	require.InDelta(t, 21+154*(1-math.Exp(-1)), p.Measure(after(4)).Celsius, 1.5, "a third is missing after one lag")
	require.InDelta(t, 175, p.Measure(after(20)).Celsius, 1)
	p.Into(after(20), 900)
	require.InDelta(t, devices.MostCelsius, p.Measure(after(60)).Celsius, 0)
	p.Into(after(60), 100)
	p.Rise(after(90), 30)
	require.InDelta(t, 100+30*57.0/60, p.Measure(after(150)).Celsius, 2)
	p.Battery(0)
	require.True(t, p.Measure(after(151)).Off)
}

func TestEverySceneDoesWhatItSays(t *testing.T) {
	for _, c := range []struct {
		name    string
		seconds float64
		grams   float64
		celsius float64
	}{
		{"club-evening", 30, 310, 72},
		{"bowl-and-flour", 3, 310, 21}, {"bowl-and-flour", 12, 510, 21},
		{"pot-boils-down", 4, 2510, 21}, {"pot-boils-down", 9, 0, 21}, {"pot-boils-down", 16, 2110, 21},
		{"tofu-pressed", 4, 400, 21}, {"tofu-pressed", 16, 345, 21},
		{"oil-too-hot", 15, 0, 175}, {"oil-too-hot", 29, 0, 192}, {"oil-too-hot", 50, 0, 176},
		{"cooling", 60, 0, 3},
	} {
		b := devices.NewBench(start, 3)
		played, err := b.Play(start, c.name)
		require.NoError(t, err)
		require.True(t, played, c.name)
		require.InDelta(t, c.grams, b.Weigh(after(c.seconds)).Grams, 3, "%s at %g", c.name, c.seconds)
		require.InDelta(t, c.celsius, b.Measure(after(c.seconds)).Celsius, 3, "%s at %g", c.name, c.seconds)
	}
	played, err := devices.NewBench(start, 3).Play(start, "earthquake")
	require.NoError(t, err)
	require.False(t, played)
	list, err := devices.Scenes()
	require.NoError(t, err)
	require.Len(t, list, 6)
}

func TestABridgedDeviceCountsWhileItSpeaks(t *testing.T) {
	b := devices.NewBench(start, 3)
	b.BridgedScale.Tell(start, devices.Weight{At: start, Grams: 77, Battery: 50})
	b.BridgedProbe.Tell(start, devices.Temperature{At: start, Celsius: 66, Battery: 50})
	require.InDelta(t, 77, b.Weigh(after(2)).Grams, 0)
	require.InDelta(t, 66, b.Measure(after(2)).Celsius, 0)
	require.InDelta(t, 0, b.Weigh(after(10)).Grams, 2, "silent for over five seconds: the simulated one")
	require.InDelta(t, 21, b.Measure(after(10)).Celsius, 1)
	_, speaks := b.BridgedScale.Said(after(10))
	require.False(t, speaks)
}
