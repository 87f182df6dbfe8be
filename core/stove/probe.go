package stove

import "yembra/core/larder"

// Degree is what a probe said at a moment, in Celsius.
type Degree struct {
	At      int64   `json:"at"`
	Celsius float64 `json:"celsius"`
}

// inFor is how long a temperature must be on one side of a band's edge to count,
// in milliseconds; an estimate, against the flicker of a probe.
const inFor = 800

// Probed tells what the readings of a probe say of a band that is watched: that
// it was reached, that it was left again, or nothing new. Where a band must be
// reached within a time, being late counts as having left it.
func Probed(b *larder.Band, w Watched, readings []Degree) (Kind, bool) {
	if len(readings) == 0 {
		return "", false
	}
	last := readings[len(readings)-1]
	in := b.Holds(last.Celsius)
	since := last.At
	for i := len(readings) - 1; i >= 0 && b.Holds(readings[i].Celsius) == in; i-- {
		since = readings[i].At
	}
	switch {
	case last.At-since < inFor:
		return "", false
	case in && (w.Reached == 0 || w.Left > 0):
		return Reached, true
	case !in && w.Reached > 0 && w.Left == 0 && b.Stays:
		return Left, true
	case !in && w.Reached == 0 && w.Left == 0 && b.Within > 0 && float64(last.At-w.Since) > b.Within*minute:
		return Left, true
	}
	return "", false
}
