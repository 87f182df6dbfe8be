package character_test

import (
	"fmt"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/character"
)

func ExampleUmami_EUC() {
	kelpAndShiitake := character.Umami{Glutamate: 0.20, GMP: 0.01}
	fmt.Printf("%.3f g MSG eq/100 g\n", kelpAndShiitake.EUC())
	// Output: 5.803 g MSG eq/100 g
}

func TestEquivalentUmami(t *testing.T) {
	for _, c := range []struct {
		name  string
		umami character.Umami
		want  float64
	}{
		{"glutamate alone", character.Umami{Glutamate: 0.20}, 0.200},
		{"with inosinate", character.Umami{Glutamate: 0.20, IMP: 0.02}, 5.072},
		{"with guanylate", character.Umami{Glutamate: 0.20, GMP: 0.01}, 5.803},
		{"everything", character.Umami{Glutamate: 0.10, Aspartate: 0.10, IMP: 0.01, GMP: 0.005, AMP: 0.02}, 3.400},
		{"nucleotides alone", character.Umami{IMP: 0.2}, 0},
	} {
		t.Run(c.name, func(t *testing.T) { require.InDelta(t, c.want, c.umami.EUC(), 0.0005) })
	}
}

func TestStepsApart(t *testing.T) {
	for _, c := range []struct {
		trait             string
		original, adapted float64
		steps             float64
		verdict           character.Verdict
	}{
		{character.Salt, 1.0, 0.8, -1.51, character.Near},
		{character.Savoury, 5.072, 3.5, -1.35, character.Near},
		{character.Savoury, 5.072, 0.2, -14.21, character.Short},
		{character.Richness, 12, 4, -4.28, character.Short},
		{character.Salt, 1.0, 1.0, 0, character.Kept},
		{character.Smoke, 3, 6, 3, character.Over},
	} {
		trait, ok := character.TraitNamed(c.trait)
		require.True(t, ok)
		steps := trait.Steps(c.original, c.adapted)
		require.InDelta(t, c.steps, steps, 0.005, "%s %v to %v", c.trait, c.original, c.adapted)
		require.Equal(t, c.verdict, character.Judge(steps))
	}
	// The traits of other kinds share the one formula.
	require.InDelta(t, -11.06, character.Threshold{Detect: 30, Weber: 0.35}.Steps(800, 0), 0.005)
	require.InDelta(t, 5.17, character.Threshold{Detect: 0.4, Weber: 0.17}.Steps(2, 5), 0.005)
}

func TestSavouryLevelsOff(t *testing.T) {
	trait, _ := character.TraitNamed(character.Savoury)
	require.Less(t, trait.Steps(30, 60), 2.0, "nobody tells 30 from 60 apart as they would 1 from 2")
	require.Greater(t, trait.Steps(1, 2), 3.0)
}

func TestRatingOfSmoke(t *testing.T) {
	require.InDelta(t, 3.33, character.Rating(6.0/12), 0.005, "6 g smoked bacon per 100 g")
	require.InDelta(t, 3.33, character.Rating(0.4/0.8), 0.005, "0.4 g smoked paprika per 100 g")
	require.Less(t, character.Rating(1000), 10.0)
}
