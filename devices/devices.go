// Package devices holds the kitchen's scale and probe: what they say, and
// simulated ones that ship with the program. A real one is reached over a small
// bridge that sends the same messages (docs/devices.md).
package devices

import (
	"sync"
	"time"
)

// Weight is what a scale says at a moment.
type Weight struct {
	At    time.Time `json:"at"`
	Grams float64   `json:"grams"`
	// Overload tells of more than the scale can weigh, Battery its charge in
	// percent. Off tells that it does not answer.
	Overload bool    `json:"overload"`
	Battery  float64 `json:"battery"`
	Off      bool    `json:"off"`
}

// Temperature is what a probe says at a moment.
type Temperature struct {
	At      time.Time `json:"at"`
	Celsius float64   `json:"celsius"`
	Battery float64   `json:"battery"`
	Off     bool      `json:"off"`
}

// Scale weighs.
type Scale interface{ Weigh(at time.Time) Weight }

// Probe measures temperatures.
type Probe interface {
	Measure(at time.Time) Temperature
}

// silentAfter is how long a bridged device may be silent before it counts as off.
const silentAfter = 5 * time.Second

// BridgedScale says what a bridge last told of a real scale.
type BridgedScale struct {
	mu   sync.Mutex
	last Weight
}

// Tell takes a message of the bridge.
func (b *BridgedScale) Tell(w Weight) {
	b.mu.Lock()
	defer b.mu.Unlock()
	b.last = w
}

// Heard tells whether a bridge has spoken lately.
func (b *BridgedScale) Heard(at time.Time) bool {
	b.mu.Lock()
	defer b.mu.Unlock()
	return !b.last.At.IsZero() && at.Sub(b.last.At) <= silentAfter
}

// Weigh says what the bridge last told.
func (b *BridgedScale) Weigh(at time.Time) Weight {
	b.mu.Lock()
	defer b.mu.Unlock()
	w := b.last
	w.Off = w.Off || at.Sub(w.At) > silentAfter
	return w
}

// BridgedProbe says what a bridge last told of a real probe.
type BridgedProbe struct {
	mu   sync.Mutex
	last Temperature
}

// Tell takes a message of the bridge.
func (b *BridgedProbe) Tell(h Temperature) {
	b.mu.Lock()
	defer b.mu.Unlock()
	b.last = h
}

// Heard tells whether a bridge has spoken lately.
func (b *BridgedProbe) Heard(at time.Time) bool {
	b.mu.Lock()
	defer b.mu.Unlock()
	return !b.last.At.IsZero() && at.Sub(b.last.At) <= silentAfter
}

// Measure says what the bridge last told.
func (b *BridgedProbe) Measure(at time.Time) Temperature {
	b.mu.Lock()
	defer b.mu.Unlock()
	h := b.last
	h.Off = h.Off || at.Sub(h.At) > silentAfter
	return h
}
