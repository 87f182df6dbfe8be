package larder

import (
	"math"
	"slices"
	"strconv"
	"strings"
)

// Making says in which amounts something can be made.
type Making struct {
	// Techniques are the ways of working it speaks of, Makes the names of what they
	// must make, any where there are none.
	Techniques, Makes []string
	// Least is the share of water that a blend must hold to move, Smallest the
	// grams below which it cannot be made, Like by how much the liquid of a dough,
	// as a share of the rest, may differ from the original's, Grain the share of
	// grain from which it is a dough; 0 where it says nothing. From and Upto are how many times
	// its liquid it may be given to be like the original's.
	Least, Smallest, Like, Grain float64
	From, Upto                   float64
	small, dry, wet              string
	Source                       string
}

// Small says that something is too little to be made.
func (m *Making) Small(grams float64) string { return filledIn(m.small, grams) }

// Dry says that something holds too little liquid, or another part of it than the
// original.
func (m *Making) Dry(figures ...float64) string { return filledIn(m.dry, figures...) }

// Wet says that it holds more liquid than the original.
func (m *Making) Wet(figures ...float64) string { return filledIn(m.wet, figures...) }

func filledIn(text string, figures ...float64) string {
	for i, v := range figures {
		text = strings.ReplaceAll(text, "{"+strconv.Itoa(i)+"}", strconv.FormatFloat(math.Round(v), 'f', -1, 64))
	}
	return text
}

// Makings lists what can be made in which amounts.
func (l *Larder) Makings() []Making { return l.makings }

// Blade is the tag of what turns to a paste in a blender only where there is enough of it to reach the blade.
const Blade = "blade"

// BladeNeeds are the grams below which what is blended does not reach the blade.
func (l *Larder) BladeNeeds() float64 {
	least := 0.0
	for i := range l.makings {
		if slices.Contains(l.makings[i].Techniques, "blend") {
			least = max(least, l.makings[i].Smallest)
		}
	}
	return least
}

func (l *Larder) loadMakings(src Source) error {
	return eachRow(src, "makings.csv", func(r row) {
		m := Making{Techniques: strings.Split(r.text("techniques"), "+"), Makes: strings.Fields(r.text("makes")), Least: r.number("least", 0), Smallest: r.number("smallest", 0), Like: r.number("like", 0), Grain: r.number("grain", 0), From: r.number("from", 1), Upto: r.number("upto", 1), small: r.text("small"), dry: r.text("dry"), wet: r.text("wet"), Source: r.text("source")}
		for _, name := range m.Techniques {
			if l.Technique(name) == nil {
				r.fail("%s is no technique", name)
			}
		}
		if m.Least < 0 || m.Least >= 1 || m.Smallest < 0 || m.Like < 0 || m.Least+m.Smallest+m.Like == 0 {
			r.fail("it bounds nothing")
		}
		if m.From <= 0 || m.From > 1 || m.Upto < 1 {
			r.fail("its liquid cannot be from %g to %g times what it is", m.From, m.Upto)
		}
		if m.Least+m.Like > 0 && m.dry == "" || m.Smallest > 0 && m.small == "" || m.Like > 0 && m.wet == "" {
			r.fail("it has no words for what it finds")
		}
		l.makings = append(l.makings, m)
	})
}
