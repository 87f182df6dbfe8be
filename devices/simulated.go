package devices

import (
	"math"
	"math/rand/v2"
	"slices"
	"sync"
	"time"
)

// What the simulated devices are like; estimates.
const (
	// MostGrams is what the scale can weigh, to the gram.
	MostGrams   = 5000.0
	settles     = 350 * time.Millisecond // time constant after something was put on
	noise       = 0.4                    // grams, standard deviation
	noiseEvery  = 100 * time.Millisecond
	deadBattery = 1.0 // percent

	// The probe's range in Celsius, its lag and its noise.
	LeastCelsius, MostCelsius = -20.0, 300.0
	lag                       = 3 * time.Second
	flicker                   = 0.2
	kept                      = 200 // changes that are remembered
)

// change is what a simulated thing is from a moment on.
type change struct {
	at    time.Time
	value float64
}

// SimulatedScale is a scale that is driven by hand or by a scene. What it shows
// is a function of the moment and of what was put on it.
type SimulatedScale struct {
	mu      sync.Mutex
	loads   []change
	zero    float64
	battery float64
	// drift is in grams a minute since began.
	drift float64
	began time.Time
	seed  uint64
}

// NewScale returns an empty scale with a full battery.
func NewScale(at time.Time, seed uint64) *SimulatedScale {
	return &SimulatedScale{battery: 100, began: at, seed: seed, loads: []change{{at: at}}}
}

// Put makes the load on the scale so many grams from a moment on.
func (s *SimulatedScale) Put(at time.Time, grams float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.loads = later(s.loads, change{at, math.Max(0, grams)})
}

// Add puts so many grams more on the scale, below 0 takes them off.
func (s *SimulatedScale) Add(at time.Time, grams float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.loads = later(s.loads, change{at, math.Max(0, valueAt(s.loads, at)+grams)})
}

// Tare makes what stands on the scale count as nothing.
func (s *SimulatedScale) Tare(at time.Time) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.zero = valueAt(s.loads, at)
}

// Battery sets the charge in percent; at none the scale is off.
func (s *SimulatedScale) Battery(percent float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.battery = math.Min(100, math.Max(0, percent))
}

// Drift makes the scale wander by so many grams a minute.
func (s *SimulatedScale) Drift(at time.Time, gramsAMinute float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.drift, s.began = gramsAMinute, at
}

// Weigh says what the scale shows.
func (s *SimulatedScale) Weigh(at time.Time) Weight {
	s.mu.Lock()
	defer s.mu.Unlock()
	w := Weight{At: at, Battery: s.battery, Off: s.battery < deadBattery}
	if w.Off {
		return w
	}
	load := settled(s.loads, at, settles)
	if w.Overload = load > MostGrams; w.Overload {
		return w
	}
	load += s.drift*at.Sub(s.began).Minutes() + noise*normal(s.seed, at, noiseEvery) - s.zero
	w.Grams = math.Round(load)
	return w
}

// SimulatedProbe is a probe that is driven by hand or by a scene.
type SimulatedProbe struct {
	mu      sync.Mutex
	stands  []change
	rise    float64 // degrees a minute
	battery float64
	seed    uint64
}

// roomCelsius is what a probe shows that lies on the table.
const roomCelsius = 21.0

// NewProbe returns a probe at the heat of the room.
func NewProbe(at time.Time, seed uint64) *SimulatedProbe {
	return &SimulatedProbe{battery: 100, seed: seed, stands: []change{{at, roomCelsius}}}
}

// Into puts the probe into something so hot from a moment on.
func (p *SimulatedProbe) Into(at time.Time, celsius float64) {
	p.mu.Lock()
	defer p.mu.Unlock()
	p.rise = 0
	p.stands = later(p.stands, change{at, celsius})
}

// Rise makes what the probe is in hotter by so many degrees a minute.
func (p *SimulatedProbe) Rise(at time.Time, degrees float64) {
	p.mu.Lock()
	defer p.mu.Unlock()
	p.stands = later(p.stands, change{at, p.medium(at)})
	p.rise = degrees
}

// Battery sets the charge in percent; at none the probe is off.
func (p *SimulatedProbe) Battery(percent float64) {
	p.mu.Lock()
	defer p.mu.Unlock()
	p.battery = math.Min(100, math.Max(0, percent))
}

// medium is how hot it is around the probe.
func (p *SimulatedProbe) medium(at time.Time) float64 {
	now := p.stands[index(p.stands, at)]
	return now.value + p.rise*at.Sub(now.at).Minutes()
}

// Measure says what the probe shows: what is around it, a few seconds late.
func (p *SimulatedProbe) Measure(at time.Time) Temperature {
	p.mu.Lock()
	defer p.mu.Unlock()
	h := Temperature{At: at, Battery: p.battery, Off: p.battery < deadBattery}
	if h.Off {
		return h
	}
	celsius := settled(p.stands, at, lag) + p.rise*at.Add(-lag).Sub(p.stands[index(p.stands, at)].at).Minutes()
	if p.rise == 0 {
		celsius = settled(p.stands, at, lag)
	}
	celsius = math.Min(MostCelsius, math.Max(LeastCelsius, celsius+flicker*normal(p.seed, at, noiseEvery)))
	h.Celsius = math.Round(celsius*10) / 10
	return h
}

// later adds a change in the order of time and forgets the oldest of many.
func later(list []change, c change) []change {
	at, _ := slices.BinarySearchFunc(list, c.at, func(x change, t time.Time) int {
		if x.at.After(t) {
			return 1
		}
		return -1
	})
	list = slices.Insert(list, at, c)
	if len(list) > kept {
		list = slices.Delete(list, 0, len(list)-kept)
	}
	return list
}

// index is the place of what counts at a moment; what lies ahead does not.
func index(list []change, at time.Time) int {
	last := 0
	for i, c := range list {
		if !c.at.After(at) {
			last = i
		}
	}
	return last
}

func valueAt(list []change, at time.Time) float64 { return list[index(list, at)].value }

// settled is a value that follows its changes with a time constant.
func settled(list []change, at time.Time, constant time.Duration) float64 {
	value := list[0].value
	for i := 0; i <= index(list, at); i++ {
		upto := at
		if i < index(list, at) {
			upto = list[i+1].at
		}
		rest := math.Exp(-upto.Sub(list[i].at).Seconds() / constant.Seconds())
		value = list[i].value + (value-list[i].value)*rest
	}
	return value
}

// normal is noise that is the same whenever the same moment is asked for.
func normal(seed uint64, at time.Time, every time.Duration) float64 {
	return rand.New(rand.NewPCG(seed, uint64(at.UnixNano()/int64(every)))).NormFloat64()
}
