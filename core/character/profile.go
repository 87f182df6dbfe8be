package character

import (
	"math"
	"sort"

	"yembra/core/larder"
)

// Contribution is what one line gives to a trait, as a share of the whole.
type Contribution struct {
	Line  string  `json:"line"`
	Share float64 `json:"share"`
}

// Value is one trait of one dish; Component is empty for what is judged over
// the whole dish.
type Value struct {
	Trait     Trait
	Component string
	Amount    float64
}

// sums gathers what a part holds, in grams.
type sums struct {
	mass, salt, fat float64
	umami           Umami
	doses           [len(smelt)]float64 // grams over dose for clear
}

var smelt = [...]string{Smoke, Sea, Dairy, Egg}

func (s *sums) add(it Item, sign float64) {
	g := sign * it.asBought()
	c := it.Food.Per100
	s.salt += g * c.Salt() / 100
	s.fat += g * larder.Or(c.Fat, 0) / 100
	t := it.Food.Taste
	s.umami.Glutamate += g * t.Glutamate / 100
	s.umami.Aspartate += g * t.Aspartate / 100
	s.umami.IMP += g * t.IMP / 100
	s.umami.GMP += g * t.GMP / 100
	s.umami.AMP += g * t.AMP / 100
	for _, a := range it.Food.Aromas {
		if a.Dose <= 0 || a.Form != "" && a.Form != it.Form.Name {
			continue
		}
		for i, name := range smelt {
			if a.Trait == name {
				s.doses[i] += g / a.Dose
			}
		}
	}
}

// value reads one trait of the whole dish off the sums.
func (s *sums) value(name string) float64 {
	if s.mass <= 0 {
		return 0
	}
	per := 100 / s.mass
	switch name {
	case Savoury:
		u := s.umami
		return Umami{u.Glutamate * per, u.Aspartate * per, u.IMP * per, u.GMP * per, u.XMP * per, u.AMP * per}.EUC()
	case Salt:
		return s.salt * per
	case Richness:
		return s.fat * per
	}
	for i, n := range smelt {
		if n == name {
			return Rating(max(0, s.doses[i]) * per)
		}
	}
	return 0
}

func (d Dish) sums() sums {
	s := sums{mass: d.Mass()}
	for _, p := range d.Parts {
		for _, it := range p.Items {
			s.add(it, 1)
		}
	}
	return s
}

// Values computes every trait: tasted and smelt ones over the whole dish, felt
// ones component by component as the mass-weighted mean over the pieces.
func (d Dish) Values() []Value {
	s := d.sums()
	values := make([]Value, 0, len(Traits)+len(d.Parts))
	for _, t := range Traits {
		if t.Family == Felt {
			for _, p := range d.Parts {
				values = append(values, Value{t, p.Name, p.felt(t.Name)})
			}
			continue
		}
		values = append(values, Value{t, "", s.value(t.Name)})
	}
	return values
}

// felt is the mass-weighted mean rating over the pieces of the part, 0 when
// it has none.
func (p Part) felt(name string) float64 {
	mass, sum := 0.0, 0.0
	for _, it := range p.Items {
		if it.Form.Feel == nil {
			continue
		}
		m := it.Grams * it.Form.Yield
		mass += m
		sum += m * it.Form.Feel[name]
	}
	if mass == 0 {
		return 0
	}
	return sum / mass
}

// From splits a value into what each line contributes. For savouriness, where
// the parts multiply, a line's share is what would be lost without it.
func (d Dish) From(v Value) []Contribution {
	out := []Contribution{}
	total := 0.0
	whole := d.sums()
	for _, p := range d.Parts {
		for _, it := range p.Items {
			share := 0.0
			switch {
			case v.Trait.Family == Felt:
				if p.Name == v.Component && it.Form.Feel != nil {
					share = it.Grams * it.Form.Yield * it.Form.Feel[v.Trait.Name]
				}
			case v.Trait.Name == Savoury:
				without := whole
				without.add(it, -1)
				share = max(0, whole.value(Savoury)-without.value(Savoury))
			default:
				one := sums{mass: whole.mass}
				one.add(it, 1)
				share = one.linear(v.Trait.Name)
			}
			if share > 0 {
				out = append(out, Contribution{it.Ref, share})
				total += share
			}
		}
	}
	for i := range out {
		out[i].Share = math.Round(out[i].Share/total*1000) / 1000
	}
	sort.SliceStable(out, func(i, j int) bool { return out[i].Share > out[j].Share })
	return out
}

// linear is the additive part of a trait: grams, or dose before saturation.
func (s *sums) linear(name string) float64 {
	switch name {
	case Salt:
		return s.salt
	case Richness:
		return s.fat
	}
	for i, n := range smelt {
		if n == name {
			return s.doses[i]
		}
	}
	return 0
}

// Thread is one trait carried from original to adaptation.
type Thread struct {
	Trait     string         `json:"trait"`
	Family    Family         `json:"family"`
	Component string         `json:"component"`
	Original  float64        `json:"original"`
	Adapted   float64        `json:"adapted"`
	Unit      string         `json:"unit"`
	Steps     float64        `json:"steps"`
	Verdict   Verdict        `json:"verdict"`
	Pinned    bool           `json:"pinned"`
	From      []Contribution `json:"from"`
	// To says which adapted lines bring the trait.
	To []Contribution `json:"to"`
}

// Wishes is what the cook and the house rules say about traits.
type Wishes struct {
	Pins map[string]bool
	// Less names traits of which less is wanted.
	Less map[string]bool
}

// Compare sets two dishes side by side, trait by trait. Traits below notice in
// both are left out. detail asks for contributions, which cost more.
// before are the values of the original, which a caller that compares many
// adaptations works out once.
func Compare(original Dish, before []Value, adapted Dish, w Wishes, detail bool) []Thread {
	after := adapted.Values()
	var threads []Thread
	for _, v := range before {
		other := 0.0
		for _, a := range after {
			if a.Trait.Name == v.Trait.Name && a.Component == v.Component {
				other = a.Amount
			}
		}
		if v.Amount < v.Trait.Noticed && other < v.Trait.Noticed {
			continue
		}
		steps := v.Trait.Steps(v.Amount, other)
		t := Thread{
			Trait: v.Trait.Name, Family: v.Trait.Family, Component: v.Component, Original: v.Amount, Adapted: other,
			Unit: v.Trait.Unit, Steps: steps, Verdict: Judge(steps), Pinned: w.Pins[v.Trait.Name],
		}
		if steps < -1 && w.Less[v.Trait.Name] && !t.Pinned {
			t.Verdict = Wanted
		}
		t.From, t.To = []Contribution{}, []Contribution{}
		if detail {
			t.From = original.From(v)
			v.Amount = other
			t.To = adapted.From(v)
		}
		threads = append(threads, t)
	}
	return threads
}

// Tally sums a dish up as counts, with the trait that is furthest off.
type Tally struct {
	Kept   int    `json:"kept"`
	Near   int    `json:"near"`
	Short  int    `json:"short"`
	Over   int    `json:"over"`
	Wanted int    `json:"wanted"`
	Worst  string `json:"worst"`
}

// Count makes the tally of some threads. The worst is the pinned trait that is
// furthest off, or else any; it is empty when everything is kept.
func Count(threads []Thread) Tally {
	var t Tally
	worst := 0.0
	for _, th := range threads {
		switch th.Verdict {
		case Kept:
			t.Kept++
		case Near:
			t.Near++
		case Short:
			t.Short++
		case Over:
			t.Over++
		case Wanted:
			t.Wanted++
			continue
		}
		if th.Verdict == Kept {
			continue
		}
		off := math.Abs(th.Steps)
		if th.Pinned {
			off *= pinWeight
		}
		if off > worst {
			worst, t.Worst = off, th.Trait
		}
	}
	return t
}

// pinWeight makes a pinned trait count before an unpinned one.
const pinWeight = 100
