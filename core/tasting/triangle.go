package tasting

import (
	"hash/fnv"
	"math/rand/v2"

	"yembra/core/texts"
)

// trays are the six ways to fill three cups with two things, both used.
var trays = [][3]int{{0, 0, 1}, {0, 1, 0}, {1, 0, 0}, {1, 1, 0}, {1, 0, 1}, {0, 1, 1}}

// Trays is how many ways there are to fill a tray: after as many tasters each was
// served once.
const Trays = 6

// Tray is which of two things stands in each of a taster's three cups, by the name of
// the tasting and the number of the taster from 0: at random, yet so that of every six
// tasters each gets another of the six trays.
func Tray(tasting string, taster int) [3]int {
	h := fnv.New64a()
	_, _ = h.Write([]byte(tasting)) // never fails
	order := rand.New(rand.NewPCG(h.Sum64(), uint64(taster/Trays))).Perm(Trays)
	return trays[order[taster%Trays]]
}

// OddCup is the cup of a tray, from 1, that is not like the other two.
func OddCup(tray [3]int) int {
	switch {
	case tray[0] == tray[1]:
		return 3
	case tray[0] == tray[2]:
		return 2
	}
	return 1
}

// SayOdd tells what a triangle has shown, with its number.
func SayOdd(tasters, right int) string {
	if tasters == 0 {
		return texts.Say("tasting.nobodyHasSaidYetWhichCup")
	}
	t := Odd(tasters, right)
	say := texts.Say("tasting.ofFoundTheOddOneGuessing", right, tasters)
	switch {
	case t.P <= rare:
		say = texts.Say("tasting.andSoManyOrMoreBy", say, max(1, 100*t.P))
	default:
		say = texts.Say("tasting.andWithPeopleSoManyCan", say, tasters)
	}
	return texts.Say("tasting.aboutInCanTellTheTwo", say, 100*t.Discriminators, 100*t.Low, 100*t.High)
}
