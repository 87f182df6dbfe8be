package method

import (
	"fmt"
	"regexp"
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// cues completes what the steps say by what their techniques usually are: the
// heat, the kit, and for steps that are new or changed the cue that ends them.
func (c *Carrier) cues(comp *swap.Component) {
	for n := range comp.Steps {
		s := &comp.Steps[n]
		s.Heat, s.Kit = c.heatOf(s.Step)
		if s.Cue != "" || s.Change != swap.Changed && s.Change != swap.Added {
			continue
		}
		if t := c.deciding(s.Techniques); t != nil && t.Cue != "" {
			s.Cue = "until " + t.Cue
			if strings.Contains(t.Cue, "until") {
				s.Cue = t.Cue
			}
		}
	}
}

// deciding is the technique of a step whose end decides it: the last that
// heats, else the last.
func (c *Carrier) deciding(names []string) *larder.Technique {
	var last *larder.Technique
	for _, name := range names {
		if t := c.book.Larder().Technique(name); t != nil && (last == nil || t.Heat != "" || last.Heat == "") {
			last = t
		}
	}
	return last
}

var saidHeat = regexp.MustCompile(`(?i)\b(low|gentle|medium|moderate|high|fierce)(?:-high|-low)? heat\b`)

// ringHeats are what cooks call the heats of a ring.
var ringHeats = map[string]string{"low": "low", "gentle": "low", "medium": "medium", "moderate": "medium", "high": "high", "fierce": "high"}

// heatOf is the heat a step says, or the usual one of what decides it, and the
// kit its techniques take up.
func (c *Carrier) heatOf(s recipe.Step) (heat string, kit []string) {
	kit = []string{}
	for _, name := range s.Techniques {
		if t := c.book.Larder().Technique(name); t != nil {
			for _, k := range t.Kit {
				if !slices.Contains(kit, k) {
					kit = append(kit, k)
				}
			}
		}
	}
	if t := c.deciding(s.Techniques); t != nil {
		heat = t.Heat
	}
	if heat == "oven" || !strings.Contains(s.Text, "heat") {
		return heat, kit
	}
	if said := saidHeat.FindStringSubmatch(s.Text); said != nil {
		heat = ringHeats[strings.ToLower(said[1])]
	}
	return heat, kit
}

// figures puts the times, heats and cues that the cook has set into the words
// of the steps.
func (c *Carrier) figures(comp *swap.Component, set map[string]swap.Figures) {
	for n := range comp.Steps {
		s := &comp.Steps[n]
		f, ok := set[s.Key]
		if !ok || s.Change == swap.Dropped {
			continue
		}
		written := s.Text
		if f.Minutes != nil {
			s.Text = withFigure(s.Text, timePhrase, "for "+spokenMinutes(*f.Minutes), "Allow "+spokenMinutes(*f.Minutes)+".")
			s.Minutes = f.Minutes
		}
		if f.Celsius != nil {
			s.Text = withFigure(s.Text, heatPhrase, fmt.Sprintf("%g °C", *f.Celsius), fmt.Sprintf("The heat is %g °C.", *f.Celsius))
			s.Celsius = f.Celsius
		}
		if cue := strings.TrimSuffix(strings.TrimSpace(f.Cue), "."); cue != "" {
			if !strings.HasPrefix(cue, "until ") {
				cue = "until " + cue
			}
			s.Text = withFigure(s.Text, untilClause, cue, "Go on "+cue+".")
			s.Cue = cue
		}
		s.Own, s.Written = true, written
	}
}

var (
	timePhrase = regexp.MustCompile(`(?i)\b(?:for (?:about |at least |another )?)?(?:\d+(?:[.,]\d+)?(?:\s*(?:-|–|to)\s*\d+)?|an|one|two|three|four|five|six|ten|fifteen|twenty|thirty)[ \x{202f}]?(?:minutes?|mins?|min|hours?|hrs?)\b`)
	heatPhrase = regexp.MustCompile(`\d+ ?°? ?(?:C|F)\b(?: ?\(\d+ ?°? ?(?:C|F)\))?`)
)

// withFigure replaces the first phrase of its kind, or adds a sentence.
func withFigure(text string, phrase *regexp.Regexp, instead, added string) string {
	at := phrase.FindStringIndex(text)
	if at == nil {
		return strings.TrimSpace(text) + " " + added
	}
	if instead = strings.TrimPrefix(instead, "for "); strings.HasPrefix(strings.ToLower(text[at[0]:at[1]]), "for ") {
		instead = "for " + instead
	}
	return text[:at[0]] + instead + text[at[1]:]
}

func spokenMinutes(s measure.Span) string {
	one := func(m float64) string { return fmt.Sprintf("%g", m) }
	unit, low, high := " minutes", s.Low, s.High
	if s.Low >= 120 {
		unit, low, high = " hours", s.Low/60, s.High/60
	}
	if low == high {
		return one(low) + unit
	}
	return one(low) + " to " + one(high) + unit
}

// reorder puts the steps that the cook has ordered into that order, in the
// places they hold together.
func reorder(comp *swap.Component, keys []string) {
	if len(keys) == 0 {
		return
	}
	rank := func(s swap.Step) int { return slices.Index(keys, s.Key) }
	var places []int
	var named []swap.Step
	for n, s := range comp.Steps {
		if rank(s) >= 0 {
			places, named = append(places, n), append(named, s)
		}
	}
	slices.SortStableFunc(named, func(a, b swap.Step) int { return rank(a) - rank(b) })
	for k, n := range places {
		comp.Steps[n] = named[k]
	}
}

// split parts a step whose sentences deal with lines of different swaps, each
// with its own reason: "Brown the mince. Add the bacon and fry it crisp."
func (c *Carrier) split(s swap.Step, used []replacement, comp *swap.Component) []swap.Step {
	if s.Change != swap.Changed {
		return []swap.Step{s}
	}
	type group struct {
		text  string
		swaps []replacement
	}
	var groups []group
	for _, sentence := range sentences(s.Text) {
		var named []replacement
		for _, r := range used {
			if r.book != nil && strings.Contains(strings.ToLower(sentence), strings.ToLower(r.short)) {
				named = append(named, r)
			}
		}
		fresh := len(named) > 0 && len(groups) > 0 && len(groups[len(groups)-1].swaps) > 0 && !slices.ContainsFunc(named, func(r replacement) bool {
			return slices.ContainsFunc(groups[len(groups)-1].swaps, func(o replacement) bool { return o.book == r.book })
		})
		if len(groups) == 0 || fresh {
			groups = append(groups, group{sentence, named})
			continue
		}
		g := &groups[len(groups)-1]
		g.text += " " + sentence
		g.swaps = append(g.swaps, named...)
	}
	if len(groups) < 2 {
		return []swap.Step{s}
	}
	lines := make([]recipe.Line, len(comp.Lines))
	for i, l := range comp.Lines {
		lines[i] = l.Line
	}
	out := make([]swap.Step, len(groups))
	claimed := map[int]bool{}
	for k := len(groups) - 1; k >= 0; k-- {
		g := groups[k]
		read := c.reader.Step(g.text, lines)
		own := []int{}
		for _, at := range s.Lines {
			brought := func(r replacement) bool { return slices.Contains(r.new, at) }
			mine := slices.ContainsFunc(g.swaps, brought) || slices.Contains(read.Lines, at) && !slices.ContainsFunc(used, brought)
			if k == 0 && !claimed[at] || mine && !(k == 0 && claimed[at] && !slices.Contains(read.Lines, at)) {
				own = append(own, at)
				claimed[at] = true
			}
		}
		read.Lines, read.Animals = own, []recipe.Animal{}
		var whys []string
		for _, r := range g.swaps {
			if r.book.Cook != "" && !slices.Contains(whys, r.book.Cook) {
				whys = append(whys, r.book.Cook)
			}
		}
		out[k] = swap.Step{Step: read, From: s.From, Change: swap.Changed, Why: strings.Join(whys, " ")}
		if out[k].Why == "" {
			out[k].Why = "Reworded for what stands in its place."
		}
	}
	return out
}
