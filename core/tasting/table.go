package tasting

import (
	"math"
	"slices"
	"strings"

	"yembra/core/texts"
)

// Order is the order in which a taster gets n trials, by the number of the taster
// from 0: the rows of a Williams design, in which every trial stands in every
// place, and comes after every other, equally often.
func Order(n, taster int) []int {
	if n <= 0 {
		return nil
	}
	rows := n
	if n%2 == 1 {
		rows = 2 * n
	}
	row := taster % rows
	out := make([]int, n)
	for i := range out {
		// 0, 1, n-1, 2, n-2 ... and each row one further.
		step := (i + 1) / 2
		if i%2 == 0 {
			step = (n - i/2) % n
		}
		out[i] = (step + row) % n
	}
	if row >= n { // the other half of an odd design is the first one backwards
		slices.Reverse(out)
	}
	return out
}

// MostTraits is how many traits a sheet asks for.
const MostTraits = 6

// Ask chooses the traits that a sheet asks for: pinned ones first, then those that
// the model expects furthest from the original or is least sure of. spread is how
// unsure it is of a trait, in steps; what no table has tasted has the widest.
func Ask(pinned []string, steps, spread map[string]float64) []string {
	worth := func(trait string) float64 {
		unsure, tasted := spread[trait]
		if !tasted {
			unsure = priorSpread
		}
		return math.Abs(steps[trait]) + unsure
	}
	out := slices.Clone(pinned)
	var rest []string
	for trait := range steps {
		if !slices.Contains(out, trait) {
			rest = append(rest, trait)
		}
	}
	slices.SortFunc(rest, func(a, b string) int {
		switch x, y := worth(a), worth(b); {
		case x > y:
			return -1
		case x < y:
			return 1
		}
		return strings.Compare(a, b)
	})
	out = append(out, rest...)
	return out[:min(len(out), MostTraits)]
}

// rare is how small a chance must be to be more than that at a small table.
const rare = 0.05

// Say tells what a table said of a trait, always with how many.
func Say(j Judged) string {
	n := j.Answers()
	var parts []string
	for _, side := range []struct {
		count int
		words string
		side  Side
	}{{j.TooLittle, texts.Say("tasting.tooLittle"), TooLittle}, {j.TooMuch, texts.Say("tasting.tooMuch"), TooMuch}} {
		if side.count == 0 {
			continue
		}
		text := texts.Say("tasting.ofSaid", side.count, n, side.words, j.Trait)
		if at := slices.IndexFunc(j.Penalties, func(p Penalty) bool { return p.Side == side.side }); at >= 0 {
			p := j.Penalties[at]
			text = texts.Say("tasting.andLikedItThanThoseWho", text, math.Abs(p.Drop), more(-p.Drop))
			if p.P > rare {
				text = texts.Say("tasting.withPeopleThatCanBeChance", text, n)
			}
		}
		parts = append(parts, text)
	}
	if parts == nil {
		return texts.Say("tasting.allFoundJustRight", n, j.Trait)
	}
	return capital(strings.Join(parts, ". ")) + "."
}

func capital(s string) string { return strings.ToUpper(s[:1]) + s[1:] }

// SayCompared tells how two trials were liked by those who tasted both.
func SayCompared(c Compared, a, b string) string {
	switch {
	case c.Difference == 0:
		return texts.Say("tasting.whoTastedBothLikedAndAlike", c.Tasters, a, b)
	case c.P > rare:
		return texts.Say("tasting.whoTastedBothLikedThanWith", c.Tasters, b, math.Abs(c.Difference), more(c.Difference), a)
	}
	return texts.Say("tasting.whoTastedBothLikedThan", c.Tasters, b, math.Abs(c.Difference), more(c.Difference), a)
}

func more(d float64) string {
	if d > 0 {
		return texts.Say("tasting.more")
	}
	return texts.Say("tasting.less")
}

// Version is a trial of a dish as it can be compared: its lines by what they hold
// and how much, its steps, and how far each trait was foreseen.
type Version struct {
	Lines []Line
	Steps []string
	Trait map[string]float64
}

// Line is a line of a version.
type Line struct {
	Food, Text string
	Grams      float64
}

// Changed is what differs between two versions, in words.
type Changed struct {
	Lines  []string `json:"lines"`
	Steps  []string `json:"steps"`
	Traits []string `json:"traits"`
}

// moved is by how many steps a trait must move to be worth a word, sameGrams by
// which part an amount.
const (
	traitMoved = 0.1
	sameGrams  = 0.01
)

// Between tells what changed from one version to another.
func Between(a, b Version) Changed {
	out := Changed{Lines: []string{}, Steps: []string{}, Traits: []string{}}
	used := map[int]bool{}
	for _, l := range a.Lines {
		at := -1
		for i, o := range b.Lines {
			if o.Food == l.Food && !used[i] {
				at = i
				break
			}
		}
		if at < 0 {
			out.Lines = append(out.Lines, "gone: "+l.Text)
			continue
		}
		used[at] = true
		if math.Abs(b.Lines[at].Grams-l.Grams) > sameGrams*math.Max(l.Grams, 1) {
			out.Lines = append(out.Lines, l.Text+" → "+b.Lines[at].Text)
		}
	}
	for i, l := range b.Lines {
		if !used[i] {
			out.Lines = append(out.Lines, "new: "+l.Text)
		}
	}
	for _, s := range a.Steps {
		if !slices.Contains(b.Steps, s) {
			out.Steps = append(out.Steps, "gone: "+s)
		}
	}
	for _, s := range b.Steps {
		if !slices.Contains(a.Steps, s) {
			out.Steps = append(out.Steps, texts.Say("tasting.newStep", s))
		}
	}
	var traits []string
	for t := range b.Trait {
		traits = append(traits, t)
	}
	slices.Sort(traits)
	for _, t := range traits {
		if was, is := a.Trait[t], b.Trait[t]; math.Abs(is-was) >= traitMoved {
			out.Traits = append(out.Traits, texts.Say("tasting.steps", t, was, is))
		}
	}
	return out
}
