package method

import (
	"fmt"
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// decided gives lines that nothing takes a place, puts the cook's own figures and
// words in, and looks at the card as a whole; the card is read again where its
// words changed.
func (c *Carrier) decided(p *plan, a *swap.Adaptation, dec swap.Decisions, g **flow.Graph) {
	changed, taken := false, c.goneIn(p, *g)
	for i := range a.Components {
		comp := &a.Components[i]
		placed := c.attach(p, comp, i, p.withoutPlace(unused(*g, comp, i), i))
		if c.putsIn(p, comp, i, taken) || placed {
			inMethod(&p.dish.Components[i], comp, p.entersElsewhere(i))
			name(&p.dish.Components[i], comp, i)
			changed = true
		}
		changed = c.figures(comp, dec.Figures) || changed
		changed = own(comp, dec.Wording) || changed
	}
	if changed {
		*g = c.readBack(p.dish, a)
	}
	if c.silence(p, a) {
		*g = c.readBack(p.dish, a)
	}
	c.check(p, *g)
}

// withoutPlace leaves out what the original does not use either, and what the
// table or taste asks for.
func (p *plan) withoutPlace(lines []int, i int) []int {
	var out []int
	for _, n := range lines {
		l := &p.a.Components[i].Lines[n]
		if l.ToTaste || l.Optional || l.From != nil && (l.Change == swap.Kept || l.Change == swap.Adjusted) && !p.takenUp(*l.From) {
			continue
		}
		out = append(out, n)
	}
	return out
}

// takenUp tells whether the original's own method takes up a line.
func (p *plan) takenUp(ref string) bool {
	at := p.graph.Named(ref)
	return at >= 0 && len(p.path(at)) > 0
}

// silence takes the words from steps that, read with the rest of the card, still
// name an animal: the original's own stand beside them, to be looked at.
func (c *Carrier) silence(p *plan, a *swap.Adaptation) bool {
	any := false
	for i := range a.Components {
		for n := range a.Components[i].Steps {
			s := &a.Components[i].Steps[n]
			if s.Own || len(s.From) == 0 || !slices.ContainsFunc(s.Findings, func(f swap.Finding) bool { return f.Kind == swap.NamesAnimal }) {
				continue
			}
			s.Change, s.Text, s.Quote, any = swap.Changed, c.words().LookBare, p.dish.Components[i].Steps[s.From[0]].Text, true
		}
	}
	return any
}

// own puts the cook's wording in place of what was written for a step.
func own(comp *swap.Component, wording map[string]string) bool {
	changed := false
	for n := range comp.Steps {
		s := &comp.Steps[n]
		if wording[s.Key] == "" {
			continue
		}
		written := s.Text
		if s.Own {
			written = s.Written
		}
		s.Text, s.Own, s.Written, changed = wording[s.Key], true, written, true
	}
	return changed
}

// figures puts the times, heats and cues that the cook has set into the words of
// the steps, where the flow says that they speak of them.
func (c *Carrier) figures(comp *swap.Component, set map[string]swap.Figures) bool {
	changed := false
	for n := range comp.Steps {
		s := &comp.Steps[n]
		f, ok := set[s.Key]
		if !ok || s.Change == swap.Dropped {
			continue
		}
		written, words := s.Text, c.words()
		fill := func(say, otherwise string, where func(recipe.Words) [2]int) {
			read := c.reader.Step(s.Text, nil)
			for i := range read.Actions {
				a := &read.Actions[i]
				if at := where(a.Words); at[1] > at[0] && at[0] >= a.From && at[1] <= a.Upto {
					w := writer{text: []rune(s.Text)}
					s.Text = string(w.text[:at[0]]) + say + string(w.text[at[1]:])
					return
				}
			}
			s.Text = strings.TrimSpace(s.Text) + " " + otherwise
		}
		if f.Minutes != nil {
			say := c.spoken(*f.Minutes)
			fill(say, strings.ReplaceAll(words.Allow, "{time}", say), func(w recipe.Words) [2]int { return w.Time })
		}
		if f.Celsius != nil {
			say := fmt.Sprintf("%g °C", *f.Celsius)
			fill(say, strings.ReplaceAll(words.Heat, "{heat}", say), func(w recipe.Words) [2]int { return w.Heat })
		}
		if cue := strings.TrimSuffix(strings.TrimSpace(f.Cue), "."); cue != "" {
			if !strings.HasPrefix(cue, words.Until+" ") {
				cue = words.Until + " " + cue
			}
			fill(cue, strings.ReplaceAll(words.GoOn, "{cue}", cue), func(w recipe.Words) [2]int { return w.Cue })
		}
		s.Own, s.Written, changed = true, written, true
	}
	return changed
}

// finish completes what the steps say by what their techniques usually are: heat
// and kit, how long hands are busy, for steps that are new or changed the cue.
func (c *Carrier) finish(comp *swap.Component) {
	for n := range comp.Steps {
		s := &comp.Steps[n]
		s.Heat, s.Kit = c.heatOf(&s.Step)
		if s.From == nil {
			s.From = []int{}
		}
		if s.Cue == "" && (s.Change == swap.Changed || s.Change == swap.Added) {
			if t := c.deciding(s.Techniques); t != nil && t.Cue != "" {
				s.Cue = c.words().Until + " " + t.Cue
			}
		}
		if s.Change != swap.Dropped && (s.Prepares == "" || s.Own) {
			s.Work, s.Wait = c.timesOf(s)
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

// heatOf is the heat a step says, or the usual one of what decides it, and the
// kit its techniques take up.
func (c *Carrier) heatOf(s *recipe.Step) (heat string, kit []string) {
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
	for _, seg := range flow.Segments(c.book.Larder(), s) {
		if seg.Heat != "" && heat != "oven" {
			heat = seg.Heat
		}
	}
	return heat, kit
}

// leastWork is the least that a step asks of the hands; an estimate.
const leastWork = 1.0

// timesOf says how long a step keeps hands busy and how long it then goes on
// alone: by the minutes it says, else by what its techniques usually take.
func (c *Carrier) timesOf(s *swap.Step) (work, wait float64) {
	for _, seg := range flow.Segments(c.book.Larder(), &s.Step) {
		if seg.Hands {
			work += seg.Minutes
		} else {
			wait += seg.Minutes
		}
	}
	return max(work, leastWork), wait
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
		named[k].Order = comp.Steps[n].Order // its place among the other parts' steps
		comp.Steps[n] = named[k]
	}
}
