package devices

import (
	_ "embed"
	"fmt"
	"slices"
	"sync"
	"time"

	"github.com/goccy/go-yaml"
)

//go:embed scenes.yaml
var scenesFile []byte

// Scene is a script of what happens at the bench.
type Scene struct {
	Name  string      `json:"name"`
	Says  string      `json:"says"`
	Steps []SceneStep `json:"steps"`
}

// SceneStep is one thing of a scene, so many seconds after it begins.
type SceneStep struct {
	After float64  `json:"after"`
	Put   *float64 `json:"put" yaml:"put" jsonschema:"nullable"`
	Add   *float64 `json:"add" yaml:"add" jsonschema:"nullable"`
	Into  *float64 `json:"into" yaml:"into" jsonschema:"nullable"`
	Rise  *float64 `json:"rise" yaml:"rise" jsonschema:"nullable"`
}

// Bench is the place where the devices stand: simulated ones, which give way to
// bridged ones as long as those speak.
type Bench struct {
	Scale        *SimulatedScale
	Probe        *SimulatedProbe
	BridgedScale Bridged[Weight]
	BridgedProbe Bridged[Temperature]
}

// scenes are those that ship, read once.
var scenes = sync.OnceValues(func() ([]Scene, error) {
	var list []Scene
	if err := yaml.UnmarshalWithOptions(scenesFile, &list, yaml.Strict()); err != nil {
		return nil, fmt.Errorf("read the scenes: %w", err)
	}
	return list, nil
})

// NewBench returns a bench whose noise is drawn from a seed.
func NewBench(at time.Time, seed uint64) *Bench {
	return &Bench{Scale: NewScale(at, seed), Probe: NewProbe(at, seed+1)}
}

// Scenes lists what can be played.
func Scenes() ([]Scene, error) { return scenes() }

// Weigh says what the scale at hand shows: the bridged one where it speaks.
func (b *Bench) Weigh(at time.Time) Weight {
	if w, speaks := b.BridgedScale.Said(at); speaks {
		return w
	}
	return b.Scale.Weigh(at)
}

// Measure says what the probe at hand shows.
func (b *Bench) Measure(at time.Time) Temperature {
	if t, speaks := b.BridgedProbe.Said(at); speaks {
		return t
	}
	return b.Probe.Measure(at)
}

// Play begins a scene; false when there is none of that name.
func (b *Bench) Play(at time.Time, name string) (bool, error) {
	list, err := scenes()
	found := slices.IndexFunc(list, func(s Scene) bool { return s.Name == name })
	if err != nil || found < 0 {
		return false, err
	}
	for _, step := range list[found].Steps {
		when := at.Add(time.Duration(step.After * float64(time.Second)))
		switch {
		case step.Put != nil:
			b.Scale.Put(when, *step.Put)
		case step.Add != nil:
			b.Scale.Add(when, *step.Add)
		case step.Into != nil:
			b.Probe.Into(when, *step.Into)
		case step.Rise != nil:
			b.Probe.Rise(when, *step.Rise)
		}
	}
	return true, nil
}
