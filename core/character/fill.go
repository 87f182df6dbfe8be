package character

import (
	"math"
)

// fewestPieces is the share of a component's mass below which its pieces do
// not say how it feels.
const fewestPieces = 0.05

// fatOfBody and solidsOfBody are the grams of fat and of dissolved solids in
// 100 g that give half the full body (estimate: single cream, a light syrup).
const (
	fatOfBody    = 25.0
	solidsOfBody = 22.0
)

// Evaluate reads every trait off the sums of the components, into p, whose
// space is used again.
func Evaluate(shapes []Shape, sums []Sums, p *Profile) {
	p.Mass = 0
	var whole Sums
	if cap(p.Parts) < len(sums) {
		p.Parts = make([]PartProfile, len(sums))
	}
	p.Parts = p.Parts[:len(sums)]
	for i := range sums {
		s := &sums[i]
		part := &p.Parts[i]
		part.Mass = shapes[i].Mass(s)
		p.Mass += part.Mass
		whole.Add(s, 1)
		part.fill(s, shapes[i])
	}
	if p.Mass <= 0 {
		p.Whole = [wholeTraits]float64{}
		return
	}
	per := 100 / p.Mass
	p.Whole = [wholeTraits]float64{
		Umami{whole[glutamate] * per, whole[aspartate] * per, whole[imp] * per, whole[gmp] * per, 0, whole[amp] * per}.EUC(),
		whole[salt] * per, whole[sweet] * per, whole[acid] * per, whole[heat] / p.Mass, whole[fat] * per,
		Rating(whole[smoke] * per), Rating(whole[sea] * per), Rating(whole[roast] * per), Rating(whole[dairy] * per),
		Rating(whole[egg] * per), Rating(whole[ferment] * per),
	}
}

// finishedWater is the share of water after the pot has lost some and dry food
// has drunk.
func finishedWater(s *Sums, finished float64) float64 {
	return max(0, 1-(s[mass]-s[water])/finished)
}

// Value is a trait of the whole dish by its name, 0 for others.
func (p *Profile) Value(trait string) float64 {
	for i := range p.Whole {
		if Traits[i].Name == trait {
			return p.Whole[i]
		}
	}
	return 0
}

func (part *PartProfile) fill(s *Sums, shape Shape) {
	part.Traits, part.Water = [12]float64{}, 0
	part.Held = [len(jobs)]float64{}
	for i, j := range jobs {
		part.Held[i] = s[j.adds]
		if j.adds == thicken {
			part.Held[i] -= s[lumped]
		}
	}
	if part.Mass <= 0 {
		return
	}
	part.Water = finishedWater(s, part.Mass)
	per := 100 / part.Mass
	if s[pieces] > fewestPieces*part.Mass {
		for i, q := range [...]quantity{chew, flake, crumble, crisp, juicy, melt} {
			part.Traits[i] = s[q] / s[pieces]
		}
	}
	if !shape.Kneaded {
		part.Traits[6] = Rating(s[thicken]/part.Mass + s[fat]*per/fatOfBody + s[dissolved]*per/solidsOfBody)
	}
	colours := 0.0
	for i, q := range [...]quantity{yellow, brown, red, green} {
		x := s[q] * per
		colours += x
		part.Traits[7+i] = Rating(x)
	}
	// Pale shows only as far as nothing colours.
	x := s[pale] * per
	part.Traits[11] = 10 * x / (1 + x + colours)
}

// savouryOf is the savouriness of sums in a finished mass.
func savouryOf(s *Sums, finished float64) float64 {
	if finished <= 0 {
		return 0
	}
	per := 100 / finished
	return math.Max(0, Umami{s[glutamate] * per, s[aspartate] * per, s[imp] * per, s[gmp] * per, 0, s[amp] * per}.EUC())
}
