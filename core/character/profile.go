package character

import (
	"math"
	"sort"
)

// Contribution is what one line gives to a trait, as a share of the whole.
type Contribution struct {
	Line  string  `json:"line"`
	Share float64 `json:"share"`
}

// Value is one trait of one dish; Component is empty for what is judged over
// the whole dish, and Part its index.
type Value struct {
	Trait     Trait
	Component string
	Part      int
	Amount    float64
}

// Values lists every trait of the dish.
func (d Dish) Values() []Value {
	p := d.Profile()
	values := make([]Value, 0, wholeTraits+len(d.Parts)*(len(Traits)-wholeTraits))
	for i, t := range Traits[:wholeTraits] {
		values = append(values, Value{Trait: t, Amount: p.Whole[i]})
	}
	for i, t := range Traits[wholeTraits:] {
		for j := range d.Parts {
			values = append(values, Value{t, d.Parts[j].Name, j, p.Parts[j].Traits[i]})
		}
	}
	return values
}

// linearOf is what of a trait adds up over the items; savoury has none.
var linearOf = map[string]quantity{
	Salt: salt, Sweet: sweet, Sour: acid, Heat: heat, Richness: fat, Smoke: smoke, Sea: sea, Roast: roast, Dairy: dairy, Egg: egg, Ferment: ferment,
	Chew: chew, Flake: flake, Crumble: crumble, Crisp: crisp, Juicy: juicy, Melt: melt,
	Yellow: yellow, Brown: brown, Red: red, Green: green, Pale: pale,
}

// source is one item with its sums, made ready to share values out.
type source struct {
	ref  string
	part int
	sums Sums
}

// Sources makes a dish ready for From: it sums every item once.
type Sources struct {
	items []source
	whole Sums
	mass  float64
}

// Sources sums every item of the dish.
func (d Dish) Sources() Sources {
	s := Sources{mass: d.Mass()}
	count := 0
	for _, p := range d.Parts {
		count += len(p.Items)
	}
	s.items = make([]source, 0, count)
	for i, p := range d.Parts {
		for _, it := range p.Items {
			one := it.Sums()
			s.items = append(s.items, source{it.Ref, i, one})
			s.whole.Add(&one, 1)
		}
	}
	return s
}

// leastShare is the share below which a line is not named.
const leastShare = 0.005

// From splits a value into what each line contributes. For savouriness, where
// the parts multiply, a line's share is what would be lost without it.
func (s Sources) From(v Value) []Contribution {
	out := []Contribution{}
	total := 0.0
	for i := range s.items {
		it := &s.items[i]
		share := 0.0
		switch {
		case v.Trait.ByComponent() && it.part != v.Part:
		case v.Trait.Name == Savoury:
			without := s.whole
			without.Add(&it.sums, -1)
			share = savouryOf(&s.whole, s.mass) - savouryOf(&without, s.mass)
		case v.Trait.Name == Body:
			share = it.sums[thicken]/100 + it.sums[fat]/fatOfBody + it.sums[dissolved]/solidsOfBody
		default:
			share = it.sums[linearOf[v.Trait.Name]]
		}
		if share > 0 {
			out = append(out, Contribution{it.ref, share})
			total += share
		}
	}
	kept := out[:0]
	for _, c := range out {
		if c.Share = math.Round(c.Share/total*1000) / 1000; c.Share >= leastShare {
			kept = append(kept, c)
		}
	}
	sort.SliceStable(kept, func(i, j int) bool { return kept[i].Share > kept[j].Share })
	return kept
}

// Thread is one trait carried from original to adaptation.
type Thread struct {
	Trait     string  `json:"trait"`
	Family    Family  `json:"family"`
	Component string  `json:"component"`
	Original  float64 `json:"original"`
	Adapted   float64 `json:"adapted"`
	Unit      string  `json:"unit"`
	Steps     float64 `json:"steps"`
	// Learned is the part of the steps that this kitchen's tables have taught.
	Learned float64        `json:"learned,omitempty"`
	Verdict Verdict        `json:"verdict"`
	Pinned  bool           `json:"pinned"`
	From    []Contribution `json:"from"`
	// To says which adapted lines bring the trait.
	To []Contribution `json:"to"`
	// Part is the index of the component, 0 for what is judged over the dish.
	Part int `json:"part"`
	// Strength is how strong the original's value is perceived, 0 to 1.
	Strength float64 `json:"strength"`
}

// Wishes is what the cook and the house rules say about traits.
type Wishes struct {
	Pins map[string]bool
	// Less names traits of which less is wanted.
	Less map[string]bool
	// Off are by how many steps this kitchen's tables have found traits from what
	// the model foresees of an adaptation.
	Off map[string]float64
	// Scale says how much traits count; the usual where it is not set.
	Scale *Scale
}

// scale is how much traits count.
func (w Wishes) scale() Scale {
	if w.Scale != nil {
		return *w.Scale
	}
	return UsualScale()
}

// steps compares an adapted value with the original's, as this kitchen tastes it.
// What nothing was done to is tasted as it is.
func (w Wishes) steps(t *Trait, original, adapted float64) (steps, off float64) {
	steps = w.tasted(t).Steps(original, adapted)
	if steps == 0 {
		return 0, 0
	}
	return steps + w.Off[t.Name], w.Off[t.Name]
}

// judge turns steps into a verdict under the wishes.
func (w Wishes) judge(trait string, steps float64) Verdict {
	if steps < -1 && w.Less[trait] && !w.Pins[trait] {
		return Wanted
	}
	return Judge(steps)
}

// Compare sets two dishes side by side, trait by trait. Traits below notice in
// both are left out. detail asks for contributions, which cost more.
func Compare(original, adapted Dish, w Wishes, detail bool) []Thread {
	threads := []Thread{}
	after := adapted.Values()
	var from, to Sources
	if detail {
		from, to = original.Sources(), adapted.Sources()
	}
	for i, v := range original.Values() {
		other := after[i]
		if v.Amount < v.Trait.Noticed && other.Amount < v.Trait.Noticed {
			continue
		}
		steps, learned := w.steps(&v.Trait, v.Amount, other.Amount)
		t := Thread{
			Trait: v.Trait.Name, Family: v.Trait.Family, Component: v.Component, Part: v.Part, Original: v.Amount, Adapted: other.Amount,
			Unit: v.Trait.Unit, Steps: steps, Learned: learned, Verdict: w.judge(v.Trait.Name, steps), Pinned: w.Pins[v.Trait.Name],
			From: []Contribution{}, To: []Contribution{}, Strength: v.Trait.Strength(v.Amount),
		}
		if detail {
			t.From, t.To = from.From(v), to.From(other)
		}
		threads = append(threads, t)
	}
	return threads
}

// Distance is how far a profile is from the original's as the model minds it,
// for pinned traits and for others: the squares of the steps beyond one, others
// counting a third, those of a component by its share of the dish.
func (p *Profile) Distance(original *Profile, w Wishes) (pinned, others float64) {
	scale := w.scale()
	add := func(t *Trait, before, after, weight float64) {
		if before < t.Noticed && after < t.Noticed {
			return
		}
		steps, _ := w.steps(t, before, after)
		off := math.Abs(steps) - 1
		if off <= 0 {
			return
		}
		switch {
		case w.Pins[t.Name]:
			pinned += weight * off * off
		case steps < 0 && w.Less[t.Name]:
		case t.Family == Look:
			others += scale.Look * scale.Unpinned * weight * off * off
		default:
			others += scale.Unpinned * weight * off * off
		}
	}
	for i := range p.Whole {
		add(&Traits[i], original.Whole[i], p.Whole[i], 1)
	}
	for j := range p.Parts {
		share := 1.0
		if original.Mass > 0 {
			share = max(scale.LeastPart, original.Parts[j].Mass/original.Mass)
		}
		for i := range p.Parts[j].Traits {
			add(&Traits[wholeTraits+i], original.Parts[j].Traits[i], p.Parts[j].Traits[i], share)
		}
	}
	return pinned, others
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
			continue
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
