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

// Bridged says what a bridge last told of a real device.
type Bridged[T any] struct {
	mu    sync.Mutex
	last  T
	heard time.Time
}

// Tell takes a message of the bridge.
func (b *Bridged[T]) Tell(at time.Time, said T) {
	b.mu.Lock()
	defer b.mu.Unlock()
	b.last, b.heard = said, at
}

// Said is what the bridge last told; false where it has been silent for long.
func (b *Bridged[T]) Said(at time.Time) (T, bool) {
	b.mu.Lock()
	defer b.mu.Unlock()
	return b.last, !b.heard.IsZero() && at.Sub(b.heard) <= silentAfter
}
