// Package character works out what a dish lives from: how it tastes, smells,
// feels and holds, from the amounts of its lines and the facts of the larder,
// and how far an adaptation is from its original, in steps that can be noticed.
package character

import "math"

// Family groups the traits by how they are perceived.
type Family string

// The families of traits.
const (
	Tasted    Family = "tasted"
	Smelt     Family = "smelt"
	Felt      Family = "felt"
	Look      Family = "look"
	Structure Family = "structure"
)

// Trait is one quality a dish can keep or lose.
type Trait struct {
	Name   string
	Family Family
	Unit   string
	// Threshold holds for tasted traits, Noticed is the least value that is
	// listed when neither dish reaches it.
	Threshold Threshold
	Noticed   float64
	// Strong is a strength at which a bar is full: that of the most seasoned
	// dishes.
	Strong float64
}

// Strength is how strong a value of the trait is perceived, 0 to 1: rated
// traits in proportion, tasted ones by the steps from nothing.
func (t Trait) Strength(v float64) float64 {
	if t.Strong == 0 {
		return min(1, v/10)
	}
	return min(1, t.Steps(0, v)/t.Steps(0, t.Strong))
}

// Threshold holds the psychophysics of one tasted trait: the concentration at
// which it is first detected and the Weber fraction, the relative difference
// that is just noticeable. Both are orders of magnitude from the literature on
// taste; see docs/model.md.
type Threshold struct {
	Detect float64
	Weber  float64
}

// Steps returns how many just noticeable differences lie between original and
// adaptation for one tasted trait: positive when the adaptation has more. Both
// are concentrations in the trait's own unit, as eaten.
func (t Threshold) Steps(original, adapted float64) float64 {
	return math.Log((adapted+t.Detect)/(original+t.Detect)) / math.Log1p(t.Weber)
}

// The traits by name, in the order they are shown.
const (
	Savoury  = "savoury"
	Salt     = "salt"
	Sweet    = "sweet"
	Sour     = "sour"
	Heat     = "heat"
	Richness = "richness"

	Smoke   = "smoke"
	Sea     = "sea"
	Roast   = "roast"
	Dairy   = "dairy"
	Egg     = "egg"
	Ferment = "ferment"

	Chew    = "chew"
	Flake   = "flake"
	Crumble = "crumble"
	Crisp   = "crisp"
	Juicy   = "juicy"
	Melt    = "melt"
	Body    = "body"

	Yellow = "yellow"
	Brown  = "brown"
	Red    = "red"
	Green  = "green"
	Pale   = "pale"
)

// The ratings below which a rated trait is not listed: what a component feels
// and looks like has to be plainer than a smell to be remarked on.
const (
	noticedSmell = 0.5
	noticedPiece = 1.0
)

// Traits lists every trait the model computes, in the order they are shown:
// first those of the whole dish, then those of each component.
var Traits = []Trait{
	{Name: Savoury, Family: Tasted, Unit: "g MSG eq/100 g", Threshold: Threshold{0.03, 0.21}, Noticed: 0.03, Strong: 10},
	{Name: Salt, Family: Tasted, Unit: "g NaCl/100 g", Threshold: Threshold{0.05, 0.15}, Noticed: 0.05, Strong: 2},
	{Name: Sweet, Family: Tasted, Unit: "g sucrose eq/100 g", Threshold: Threshold{0.4, 0.17}, Noticed: 0.4, Strong: 30},
	{Name: Sour, Family: Tasted, Unit: "g citric eq/100 g", Threshold: Threshold{0.04, 0.22}, Noticed: 0.04, Strong: 1.5},
	{Name: Heat, Family: Tasted, Unit: "SHU", Threshold: Threshold{30, 0.35}, Noticed: 30, Strong: 3000},
	{Name: Richness, Family: Tasted, Unit: "g fat/100 g", Threshold: Threshold{1.0, 0.25}, Noticed: 1, Strong: 40},
	{Name: Smoke, Family: Smelt, Unit: "0-10", Noticed: noticedSmell},
	{Name: Sea, Family: Smelt, Unit: "0-10", Noticed: noticedSmell},
	{Name: Roast, Family: Smelt, Unit: "0-10", Noticed: noticedSmell},
	{Name: Dairy, Family: Smelt, Unit: "0-10", Noticed: noticedSmell},
	{Name: Egg, Family: Smelt, Unit: "0-10", Noticed: noticedSmell},
	{Name: Ferment, Family: Smelt, Unit: "0-10", Noticed: noticedSmell},
	{Name: Chew, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Flake, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Crumble, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Crisp, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Juicy, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Melt, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Body, Family: Felt, Unit: "0-10", Noticed: noticedPiece},
	{Name: Yellow, Family: Look, Unit: "0-10", Noticed: noticedPiece},
	{Name: Brown, Family: Look, Unit: "0-10", Noticed: noticedPiece},
	{Name: Red, Family: Look, Unit: "0-10", Noticed: noticedPiece},
	{Name: Green, Family: Look, Unit: "0-10", Noticed: noticedPiece},
	{Name: Pale, Family: Look, Unit: "0-10", Noticed: noticedPiece},
}

// wholeTraits is how many of Traits are judged over the whole dish; the others
// are judged component by component.
const wholeTraits = 12

// ByComponent tells whether a trait is judged component by component.
func (t Trait) ByComponent() bool { return t.Family == Felt || t.Family == Look }

// TraitNamed finds a trait; ok is false for an unknown name.
func TraitNamed(name string) (Trait, bool) {
	for _, t := range Traits {
		if t.Name == name {
			return t, true
		}
	}
	return Trait{}, false
}

// Umami holds concentrations of the taste-active amino acids and
// 5'-nucleotides, in g per 100 g.
type Umami struct {
	Glutamate, Aspartate float64
	IMP, GMP, XMP, AMP   float64
}

// The relative strengths of the formula and its constant of synergy.
const (
	aspartateStrength = 0.077
	gmpStrength       = 2.3
	xmpStrength       = 0.61
	ampStrength       = 0.18
	synergy           = 1218.0
)

// EUC is the equivalent umami concentration: the grams of monosodium glutamate
// per 100 g that would taste as savoury. Formula of Yamaguchi, Yoshikawa, Ikeda
// and Ninomiya, Journal of Food Science (1971).
func (u Umami) EUC() float64 {
	amino := u.Glutamate + aspartateStrength*u.Aspartate
	nucleotides := u.IMP + gmpStrength*u.GMP + xmpStrength*u.XMP + ampStrength*u.AMP
	return amino + synergy*amino*nucleotides
}

// levelHalf is the savouriness at which taste has levelled off by half.
const levelHalf = 10.0

// Levelled bends an equivalent umami concentration the way taste levels off,
// so that no swap chases a strength nobody can tell apart.
func Levelled(euc float64) float64 { return levelHalf * euc / (levelHalf + euc) }

// Rating turns a summed dose (1 = rated 5 of 10) into a rating that saturates
// at 10.
func Rating(dose float64) float64 { return 10 * dose / (1 + dose) }

// Steps compares two values of the trait.
func (t Trait) Steps(original, adapted float64) float64 {
	switch {
	case t.Name == Savoury:
		return t.Threshold.Steps(Levelled(original), Levelled(adapted))
	case t.Family == Tasted:
		return t.Threshold.Steps(original, adapted)
	}
	return adapted - original
}

// Verdict says in a word how a trait came over.
type Verdict string

// The verdicts of the model.
const (
	Kept   Verdict = "kept"
	Near   Verdict = "near"
	Short  Verdict = "short"
	Over   Verdict = "over"
	Wanted Verdict = "wanted"
)

// Judge turns steps into a verdict: up to one step is kept, up to two near.
func Judge(steps float64) Verdict {
	switch {
	case math.Abs(steps) <= 1:
		return Kept
	case math.Abs(steps) <= 2:
		return Near
	case steps < 0:
		return Short
	}
	return Over
}
