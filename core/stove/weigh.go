package stove

import (
	"fmt"
	"math"

	"yembra/core/texts"
)

// How a weighing ends by itself; estimates, in grams and milliseconds.
const (
	leastTolerance = 1.0
	partTolerance  = 0.03
	steadyWithin   = 1.5
	steadyFor      = 1200
	emptyBelow     = 2.0
)

// Tolerance is how far a weight may be from what is asked and be right.
func Tolerance(asked float64) float64 { return math.Max(leastTolerance, asked*partTolerance) }

// Reading is what a scale said at a moment, in grams.
type Reading struct {
	At    int64   `json:"at"`
	Grams float64 `json:"grams"`
}

// OnScale is what stands on a scale by its last readings.
func OnScale(readings []Reading) float64 {
	if len(readings) == 0 {
		return 0
	}
	mean, _ := steady(readings, 0)
	return mean
}

// steady is the mean of the last readings that lie close to each other, not before
// a moment, and since when they do.
func steady(readings []Reading, from int64) (mean float64, since int64) {
	last := readings[len(readings)-1]
	low, high, sum, n := last.Grams, last.Grams, 0.0, 0.0
	since = last.At
	for i := len(readings) - 1; i >= 0; i-- {
		r := readings[i]
		low, high = math.Min(low, r.Grams), math.Max(high, r.Grams)
		if high-low > steadyWithin*2 || r.At < from || last.At-r.At > steadyFor*2 {
			break
		}
		since, sum, n = r.At, sum+r.Grams, n+1
	}
	if n == 0 {
		return last.Grams, since
	}
	return sum / n, since
}

// Weight is how a weighing stands.
type Weight struct {
	// Grams is the weight without what stood on the scale before.
	Grams float64 `json:"grams"`
	// Short is what is still to come, below 0 what is too much.
	Short float64 `json:"short"`
	// Right tells that it is within the tolerance of what is asked.
	Right  bool `json:"right"`
	Steady bool `json:"steady"`
	// Ready tells that it is steady and right, so that the weighing can end.
	Ready bool   `json:"ready"`
	Say   string `json:"say"`
}

// Judge tells how a weighing stands by the readings since it began, oldest
// first. It ends by itself when the weight has been steady and within the
// tolerance of what is asked; where anything is right, when it is steady and
// there is something on the scale.
func Judge(w *Weighing, readings []Reading) Weight {
	var out Weight
	if len(readings) == 0 {
		out.Say = texts.Say("stove.waitingForTheScale")
		return out
	}
	last := readings[len(readings)-1]
	mean, since := steady(readings, w.Since)
	out.Grams = last.Grams - w.Zero
	if out.Steady = last.At-since >= steadyFor; out.Steady {
		out.Grams = mean - w.Zero
	}
	out.Grams = math.Round(out.Grams*10) / 10
	if w.Asked <= 0 {
		out.Ready = out.Steady && out.Grams > emptyBelow
		out.Say = fmt.Sprintf("%.0f g", math.Max(0, out.Grams))
		return out
	}
	out.Short = w.Asked - out.Grams
	switch off := math.Round(math.Abs(out.Short)); {
	case math.Abs(out.Short) <= Tolerance(w.Asked):
		out.Right, out.Ready, out.Say = true, out.Steady, texts.Say("stove.thatIsIt")
	case out.Short > 0:
		out.Say = texts.Say("stove.gMore", off)
	default:
		out.Say = texts.Say("stove.gTooMuch", off)
	}
	return out
}
