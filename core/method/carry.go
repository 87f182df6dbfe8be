// Package method carries the steps of an original over to its adaptation: each
// is kept, changed, dropped or added, and says why.
package method

import (
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// Carrier writes the adapted method of dishes. It is read-only and safe to
// share.
type Carrier struct {
	book   *swap.Book
	reader *flow.Reader
}

// NewCarrier returns a carrier over the book, which reads the steps it writes
// with the reader.
func NewCarrier(b *swap.Book, r *flow.Reader) *Carrier { return &Carrier{b, r} }

// Adapt applies decisions and carries the method over: the whole answer.
func (c *Carrier) Adapt(d recipe.Dish, dec swap.Decisions, detail bool) (swap.Adaptation, error) {
	a, err := c.book.Apply(d, dec, detail)
	if err != nil {
		return swap.Adaptation{}, err
	}
	for i := range a.Components {
		c.component(d, &a, i, dec.Wording)
		name(&a.Components[i], i)
		c.cues(&a.Components[i])
		c.figures(&a.Components[i], dec.Figures)
		c.own(&a.Components[i], dec.Wording)
	}
	graph := c.reread(d, &a)
	for i := range a.Components {
		c.times(&a.Components[i])
		reorder(&a.Components[i], dec.Order[strconv.Itoa(i)])
		a.Components[i].Name = c.heading(a.Components[i].Name, c.replacements(d, a, i))
	}
	c.caution(&a, graph)
	if dec.SidePot != nil {
		a.SidePots = c.sidePots(d, a, dec.SidePot.Guests)
	}
	return a, nil
}

// own puts the cook's wording in place of what was written for a step, and
// reads its times and cue from it.
func (c *Carrier) own(comp *swap.Component, wording map[string]string) {
	for n := range comp.Steps {
		s := &comp.Steps[n]
		if wording[s.Key] == "" {
			continue
		}
		written := s.Text
		if s.Own {
			written = s.Written
		}
		read := c.reader.Step(wording[s.Key], nil)
		read.Lines, read.Animals = s.Lines, []recipe.Animal{}
		s.Step, s.Own, s.Written = read, true, written
		s.Heat, s.Kit = c.heatOf(read)
	}
}

// name gives every step its key, by which the cook's decisions find it again.
// A second step of the same key is numbered.
func name(comp *swap.Component, component int) {
	seen := map[string]int{}
	for n := range comp.Steps {
		s := &comp.Steps[n]
		s.Key = stepKey(component, *s, comp)
		if seen[s.Key]++; seen[s.Key] > 1 {
			s.Key += fmt.Sprintf(" (%d)", seen[s.Key])
		}
	}
}

// stepKey names a step of the adaptation so that the cook's wording finds it
// again: by the original step it comes from, or by what it prepares.
func stepKey(component int, s swap.Step, comp *swap.Component) string {
	if len(s.From) > 0 {
		return fmt.Sprintf("components[%d].steps[%d]", component, s.From[0])
	}
	words := larder.Words(s.Text)
	key := fmt.Sprintf("components[%d].added", component)
	for _, l := range s.Lines {
		if l < len(comp.Lines) {
			key += " " + comp.Lines[l].FoodID()
			break
		}
	}
	if len(words) > 0 {
		key += " " + words[0]
	}
	return key
}

// replacement is one swapped or open line with the words that stand for it.
type replacement struct {
	line   recipe.Line
	index  int // in the original component
	chosen *swap.Chosen
	book   *larder.Swap
	short  string // how steps speak of the swap; empty without one
	new    []int  // adapted lines it brought
}

func (c *Carrier) component(d recipe.Dish, a *swap.Adaptation, i int, wording map[string]string) {
	comp := &a.Components[i]
	here := c.replacements(d, *a, i)
	all := here
	for j := range d.Components {
		if j != i {
			all = append(all, c.replacements(d, *a, j)...)
		}
	}
	moved := adaptedIndexes(*comp, i)
	prepared, finished := map[string]bool{}, map[string]string{}
	for n, step := range d.Components[i].Steps {
		used := usedBy(here, step)
		for _, r := range used {
			if r.line.Animal == larder.Gelatine && soaksOnly(step) {
				continue // what sets instead goes into the liquid, later
			}
			if r.book != nil && !prepared[r.chosen.Replaces] {
				c.prepare(comp, alikeOf(here, r), prepared)
			}
		}
		comp.Steps = append(comp.Steps, c.split(c.step(step, d.Components[i].Lines, n, used, all, moved), used, comp)...)
		c.finishes(comp, i, used, finished, wording)
	}
	c.unfinished(comp, here, finished)
	c.unprepared(comp, here, prepared)
	c.boosters(comp, i, wording)
	c.attach(comp, elsewhere(d, i))
	comp.Steps = earliest(comp.Steps)
}

// alikeOf gathers the lines of a component that the same swap stands for: it
// is prepared for all of them at once.
func alikeOf(here []replacement, r replacement) []replacement {
	return slices.DeleteFunc(slices.Clone(here), func(o replacement) bool { return o.book != r.book })
}

// prepare adds the preparation of one swap, once for all lines it stands for.
func (c *Carrier) prepare(comp *swap.Component, alike []replacement, prepared map[string]bool) {
	all := alike[0]
	all.new = nil
	for _, r := range alike {
		prepared[r.chosen.Replaces] = true
		all.new = append(all.new, r.new...)
	}
	comp.Steps = append(comp.Steps, c.preparations(all)...)
}

// finishes adds, behind the sentence in which a swap stands for frying fat that
// it cannot be, the step in which it goes in; done keeps it from coming twice.
// What the sentence does besides frying ("and pour over the pierogi") comes
// after that step.
func (c *Carrier) finishes(comp *swap.Component, component int, used []replacement, done, wording map[string]string) {
	for _, r := range used {
		if r.book == nil || r.book.FinishFor(r.chosen.Use) == "" || done[r.chosen.Replaces] != "" {
			continue
		}
		at := len(comp.Steps) - 1
		for at > 0 && !strings.Contains(strings.ToLower(comp.Steps[at].Text), r.short) && len(comp.Steps[at-1].From) > 0 && comp.Steps[at-1].From[0] == comp.Steps[at].From[0] {
			at--
		}
		step := &comp.Steps[at]
		if !strings.Contains(strings.ToLower(step.Text), r.short) {
			continue // it is only meant, as one of all; another step names it
		}
		if wording[stepKey(component, *step, comp)] == "" {
			said := sentences(step.Text)
			last := slices.IndexFunc(said, func(s string) bool { return strings.Contains(strings.ToLower(s), r.short) })
			if last >= 0 {
				said = slices.Replace(said, last, last+1, servedApart(said[last])...)
				step.Text = strings.Join(said, " ")
				c.partAt(comp, at, last)
			}
		}
		done[r.chosen.Replaces] = r.book.ID
		comp.Steps = slices.Insert(comp.Steps, at+1, c.finish(r))
	}
}

// unfinished adds such a step before the dish is finished where no sentence
// named the fat.
func (c *Carrier) unfinished(comp *swap.Component, here []replacement, done map[string]string) {
	for _, r := range here {
		if r.book == nil || r.book.FinishFor(r.chosen.Use) == "" || done[r.chosen.Replaces] != "" {
			continue
		}
		comp.Steps = slices.Insert(comp.Steps, c.late(comp, func(int) bool { return false }), c.finish(r))
	}
}

// finish is the step in which what stands for a frying fat goes in.
func (c *Carrier) finish(r replacement) swap.Step {
	s := c.reader.Step(r.book.FinishFor(r.chosen.Use), nil)
	s.Lines, s.Animals = slices.Clone(r.new), []recipe.Animal{}
	return swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: r.book.Why}
}

// servedAlong is the end of a sentence that fries in which the food goes on:
// "and pour over the pierogi".
var servedAlong = regexp.MustCompile(`,? and (pour|spoon|tip|scatter|ladle) ((?:it |them )?(?:over|into|onto|on)\b.*)$`)

// servedApart parts such a sentence in two.
func servedApart(sentence string) []string {
	m := servedAlong.FindStringSubmatchIndex(sentence)
	if m == nil {
		return []string{sentence}
	}
	rest := sentence[m[4]:m[5]]
	if !strings.HasPrefix(rest, "it ") && !strings.HasPrefix(rest, "them ") {
		rest = "it " + rest
	}
	return []string{sentence[:m[0]] + ".", larder.Capital(sentence[m[2]:m[3]]) + " " + rest}
}

// replacements lists what happened to the lines of one component.
func (c *Carrier) replacements(d recipe.Dish, a swap.Adaptation, i int) []replacement {
	var out []replacement
	for j, line := range d.Components[i].Lines {
		ref := swap.Ref(i, j)
		r := replacement{line: line, index: j}
		at := slices.IndexFunc(a.Swaps, func(s swap.Chosen) bool { return s.Replaces == ref })
		open := slices.ContainsFunc(a.Unresolved, func(o swap.Open) bool { return o.Line == ref })
		switch {
		case at >= 0:
			r.chosen = &a.Swaps[at]
			r.book = c.book.Larder().SwapNamed(r.chosen.Swap)
			r.new = r.chosen.Lines
			if r.book != nil {
				r.short = r.book.CalledFor(r.chosen.Use)
			}
		case !open || line.Origin != larder.FromAnimal:
			continue
		}
		out = append(out, r)
	}
	return out
}

// adaptedIndexes maps original line indexes to the adapted lines that stand
// for them.
func adaptedIndexes(comp swap.Component, i int) map[int][]int {
	m := map[int][]int{}
	for at, l := range comp.Lines {
		if l.From == nil {
			continue
		}
		var c, j int
		if _, err := fmt.Sscanf(*l.From, "components[%d].lines[%d]", &c, &j); err == nil && c == i && l.Change != swap.Dropped {
			m[j] = append(m[j], at)
		}
	}
	return m
}

func usedBy(here []replacement, s recipe.Step) []replacement {
	var used []replacement
	for _, r := range here {
		if slices.Contains(s.Lines, r.index) {
			used = append(used, r)
		}
	}
	return used
}

// lastClause is a last clause that comes when the cue is reached: "Simmer the
// lentils until tender, then drain them."
var lastClause = regexp.MustCompile(`,? (?:and )?then (?:drain|strain|lift|rinse|add|season|toss|mix|stir|strew|sear)\b.*$`)

// preparations turns a swap's own preparation into added steps.
func (c *Carrier) preparations(r replacement) []swap.Step {
	var steps []swap.Step
	for _, p := range r.book.Prepare {
		text := strings.Replace(strings.TrimSuffix(p.Text, "."), "everything", "everything for the "+r.book.Short, 1)
		if p.Cue != "" && !strings.Contains(text, " until ") {
			if at := lastClause.FindStringIndex(text); at != nil {
				before := " "
				if strings.ContainsAny(text[:at[0]], ",;") {
					before = ", "
				}
				text = text[:at[0]] + before + p.Cue + text[at[0]:]
			} else if strings.ContainsAny(text, ",;") || strings.Count(text, " and ") > 1 {
				text += ", " + p.Cue
			} else {
				text += " " + p.Cue
			}
		}
		if p.Wait >= overnight {
			text = eveningBefore + lowered(text)
		}
		s := c.reader.Step(text+".", nil)
		s.Cue, s.HandsOn, s.Lines = p.Cue, p.Hands > 0, slices.Clone(r.new)
		s.Minutes = nil
		if total := p.Hands + p.Wait; total > 0 {
			s.Minutes = &measure.Span{Low: total, High: total}
		}
		s.Animals = []recipe.Animal{}
		steps = append(steps, swap.Step{Step: s, From: []int{}, Change: swap.Added, Prepares: r.chosen.Swap, Work: p.Hands, Wait: p.Wait, Why: fmt.Sprintf("Prepares the %s, in place of the original's %s.", r.book.Short, strings.ToLower(r.line.Name))})
	}
	return steps
}

// step carries one step over.
func (c *Carrier) step(s recipe.Step, lines []recipe.Line, n int, used, all []replacement, moved map[int][]int) swap.Step {
	out := swap.Step{Step: s, From: []int{n}, Change: swap.Kept}
	out.Lines = []int{}
	for _, j := range s.Lines {
		out.Lines = append(out.Lines, moved[j]...)
	}
	slices.Sort(out.Lines)
	out.Animals = []recipe.Animal{}
	if len(used) == 0 && len(s.Animals) == 0 && c.plants(s.Text, s, lines, used, all) == s.Text {
		return out
	}
	if onlyBones(c.book.Larder(), s, lines, used) {
		out.Change, out.Lines, out.Text = swap.Dropped, []int{}, c.reword(s, lines, used, all)
		out.Why = "There are no bones to blanch or rinse."
		return out
	}
	if dropOnly(s) && !browns(s, used) {
		out.Change, out.Lines, out.Text = swap.Dropped, []int{}, c.reword(s, lines, used, all)
		out.Why = "Nothing renders or has to be skimmed off now."
		return out
	}
	out.Change = swap.Changed
	out.Text = ungelled(c.reword(s, lines, used, all), used)
	if strings.Trim(out.Text, ". ") == "" {
		out.Change, out.Text, out.Lines = swap.Dropped, c.reword(s, lines, used, all), []int{}
		out.Why = "It is boiled in the liquid, not soaked and squeezed out."
		return out
	}
	out.Text, out.Cue = meatless(out.Text)
	if slices.ContainsFunc(used, func(r replacement) bool {
		return r.book != nil && (r.line.Animal == larder.Meat || r.line.Animal == larder.Poultry) && slices.Contains(restsAfter, r.chosen.Use)
	}) {
		if out.Text = strings.Trim(restingMeat.ReplaceAllString(out.Text, ""), " "); strings.Trim(out.Text, ".") == "" {
			out.Change, out.Text, out.Lines = swap.Dropped, s.Text, []int{}
			out.Why = "Nothing has to rest before it is cut."
			return out
		}
		out.Text = strings.TrimLeft(out.Text, ". ")
	}
	if text, minutes, ok := ownTime(out.Text, used); ok {
		out.Text, out.Minutes = text, minutes
	}
	if short, minutes, ok := c.shorter(out.Text, s, lines, used); ok {
		out.Text, out.Minutes = short, minutes
	}
	if out.Text == s.Text {
		out.Change = swap.Kept
		return out
	}
	var whys []string
	for _, r := range used {
		if r.book != nil {
			if why := r.book.Cook; why != "" && !slices.Contains(whys, why) {
				whys = append(whys, why)
			}
		} else {
			whys = append(whys, fmt.Sprintf("%s is still open: choose a swap.", larder.Capital(r.line.Name)))
		}
	}
	out.Why = strings.Join(whys, " ")
	if out.Why == "" {
		out.Why = "Reworded for what stands in its place."
	}
	return out
}

// onlyBones tells whether a step does nothing but clean bones.
func onlyBones(l *larder.Larder, s recipe.Step, lines []recipe.Line, used []replacement) bool {
	others := 0
	for _, j := range s.Lines {
		if f := l.Food(lines[j].FoodID()); f == nil || f.ID != "water" {
			others++
		}
	}
	if len(used) == 0 || len(used) != others || !slices.Contains(s.Techniques, "rinse") && !slices.Contains(s.Techniques, "blanch") {
		return false
	}
	return !slices.ContainsFunc(used, func(r replacement) bool {
		food := l.Food(r.line.FoodID())
		return food == nil || food.Kind != "bones"
	})
}

// gelling is what is done to leaves of gelatine only.
var gelling = regexp.MustCompile(`(?i)\b(?:soak|bloom|soften|squeeze|sponge)`)

// soaksOnly tells whether a step does nothing else.
func soaksOnly(s recipe.Step) bool {
	return gelling.MatchString(s.Text) && len(sentences(s.Text)) == 1
}

// ungelled leaves out the sentences that only deal with gelatine, for which
// something stands that is boiled.
func ungelled(text string, used []replacement) string {
	at := slices.IndexFunc(used, func(r replacement) bool { return r.book != nil && r.line.Animal == larder.Gelatine })
	if at < 0 {
		return text
	}
	said := slices.DeleteFunc(sentences(text), func(sentence string) bool {
		return gelling.MatchString(sentence) && strings.Contains(strings.ToLower(sentence), used[at].short)
	})
	return strings.Join(said, " ")
}

// restsAfter are the uses of meat that rests before it is cut, restingMeat the
// sentence that says so.
var (
	restsAfter  = []string{"slices", "grill", "roast", "braise"}
	restingMeat = regexp.MustCompile(`(?i)(?:^|(?:\. ?))(?:cover and )?(?:let (?:it|them|the \w+) |leave to )?rest (?:it |them )?for (?:about )?\d+[^.]*minutes?`)
)

// browns tells whether a step that renders does so to something that a swap
// stands for, which then browns instead.
func browns(s recipe.Step, used []replacement) bool {
	return slices.Contains(s.Techniques, "render") && slices.ContainsFunc(used, func(r replacement) bool { return r.book != nil })
}

// dropOnly tells whether a step only does what meat asks for.
func dropOnly(s recipe.Step) bool {
	if len(s.Techniques) == 0 || len(s.Text) > 160 {
		return false
	}
	for _, t := range s.Techniques {
		if t != "skim" && t != "render" {
			return false
		}
	}
	return true
}
