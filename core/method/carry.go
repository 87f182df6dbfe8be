// Package method carries the steps of an original over to its adaptation: each
// is kept, changed, dropped or added, and says why.
package method

import (
	"fmt"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
	"yembra/core/swap"
)

// Carrier writes the adapted method of dishes. It is read-only and safe to
// share.
type Carrier struct {
	book   *swap.Book
	reader *recipe.Reader
}

// NewCarrier returns a carrier over the book, which reads the steps it writes
// with the reader.
func NewCarrier(b *swap.Book, r *recipe.Reader) *Carrier { return &Carrier{b, r} }

// Adapt applies decisions and carries the method over: the whole answer.
func (c *Carrier) Adapt(d recipe.Dish, dec swap.Decisions, detail bool) (swap.Adaptation, error) {
	a, err := c.book.Apply(d, dec, detail)
	if err != nil {
		return swap.Adaptation{}, err
	}
	for i := range a.Components {
		c.component(d, &a, i)
	}
	return a, nil
}

// replacement is one swapped or open line with the words that stand for it.
type replacement struct {
	line   recipe.Line
	index  int // in the original component
	chosen *swap.Chosen
	book   *larder.Swap
	new    []int // adapted lines it brought
}

func (c *Carrier) component(d recipe.Dish, a *swap.Adaptation, i int) {
	comp := &a.Components[i]
	here := c.replacements(d, *a, i)
	all := here
	for j := range d.Components {
		if j != i {
			all = append(all, c.replacements(d, *a, j)...)
		}
	}
	moved := adaptedIndexes(*comp, i)
	prepared := map[string]bool{}
	for n, step := range d.Components[i].Steps {
		used := usedBy(here, step)
		for _, r := range used {
			if r.book != nil && !prepared[r.chosen.Replaces] {
				prepared[r.chosen.Replaces] = true
				comp.Steps = append(comp.Steps, c.preparations(r)...)
			}
		}
		comp.Steps = append(comp.Steps, c.step(step, n, used, all, moved))
	}
	c.unprepared(comp, here, prepared)
	c.boosters(comp)
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

// preparations turns a swap's own preparation into added steps.
func (c *Carrier) preparations(r replacement) []swap.Step {
	var steps []swap.Step
	for _, p := range r.book.Prepare {
		text := strings.TrimSuffix(p.Text, ".")
		if p.Cue != "" {
			text += ", " + p.Cue
		}
		s := c.reader.Step(text+".", nil)
		s.Cue, s.HandsOn, s.Lines = p.Cue, p.Hands > 0, slices.Clone(r.new)
		s.Minutes = nil
		if total := p.Hands + p.Wait; total > 0 {
			s.Minutes = &measure.Span{Low: total, High: total}
		}
		s.Animals = []recipe.Animal{}
		steps = append(steps, swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: fmt.Sprintf("Prepares the %s, in place of the original's %s.", r.book.Short, strings.ToLower(r.line.Name))})
	}
	return steps
}

// step carries one step over.
func (c *Carrier) step(s recipe.Step, n int, used, all []replacement, moved map[int][]int) swap.Step {
	out := swap.Step{Step: s, From: []int{n}, Change: swap.Kept}
	out.Lines = []int{}
	for _, j := range s.Lines {
		out.Lines = append(out.Lines, moved[j]...)
	}
	slices.Sort(out.Lines)
	out.Animals = []recipe.Animal{}
	if len(used) == 0 && len(s.Animals) == 0 {
		return out
	}
	if onlyBones(c.book.Larder(), s, used) {
		out.Change, out.Lines, out.Text = swap.Dropped, []int{}, c.reword(s, used, all)
		out.Why = "There are no bones to blanch or rinse."
		return out
	}
	if dropOnly(s) {
		out.Change, out.Text = swap.Dropped, s.Text
		out.Lines = []int{}
		out.Why = "Nothing renders or has to be skimmed off now."
		out.Text = c.reword(s, used, all)
		return out
	}
	out.Change = swap.Changed
	out.Text = c.reword(s, used, all)
	out.Text, out.Cue = meatless(out.Text)
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
func onlyBones(l *larder.Larder, s recipe.Step, used []replacement) bool {
	if len(used) == 0 || len(used) != len(s.Lines) || !slices.Contains(s.Techniques, "rinse") && !slices.Contains(s.Techniques, "blanch") {
		return false
	}
	return !slices.ContainsFunc(used, func(r replacement) bool {
		food := l.Food(r.line.FoodID())
		return food == nil || food.Kind != "bones"
	})
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

// meatCues end a step by signs that only meat or fish gives.
var meatCues = []string{"pink", "bone", "juices", "opaque", "flakes", "fat runs", "flake easily", "fork-tender", "cooked through", "core", "renders"}

// plantCue ends the step in their place.
const plantCue = "until hot through and coloured at the edges"

// meatless drops sentences that only meat asks for and replaces cues that only
// it gives; it returns the text with the cue that now ends it.
func meatless(text string) (string, string) {
	var kept []string
	for _, sentence := range sentences(text) {
		lower := strings.ToLower(sentence)
		if strings.HasPrefix(lower, "skim") || strings.HasPrefix(lower, "spoon off the fat") || strings.HasPrefix(lower, "drain off the fat") {
			continue
		}
		kept = append(kept, unskimmed(sentence))
	}
	text = strings.Join(kept, " ")
	cue := recipe.Cue(text)
	if slices.ContainsFunc(meatCues, func(w string) bool { return strings.Contains(strings.ToLower(cue), w) }) {
		text = strings.Replace(text, cue, plantCue, 1)
		cue = plantCue
	}
	return text, cue
}

// unskimmed takes a clause about skimming off the end of a sentence.
func unskimmed(sentence string) string {
	at := strings.Index(strings.ToLower(sentence), ", skimming")
	if at < 0 || len(strings.ToLower(sentence)) != len(sentence) {
		return sentence
	}
	rest := sentence[at+2:]
	if end := strings.IndexByte(rest, ','); end >= 0 {
		return sentence[:at] + rest[end:]
	}
	return sentence[:at] + "."
}

// sentences splits a step at full stops that end a sentence.
func sentences(text string) []string {
	var out []string
	for {
		i := strings.Index(text, ". ")
		if i < 0 {
			return append(out, text)
		}
		out = append(out, text[:i+1])
		text = strings.TrimSpace(text[i+2:])
	}
}

// fallback names what an animal word gives way to when no line of the recipe
// tells: matter that only the step mentions.
var fallback = map[larder.Animal]string{
	larder.Meat: "filling", larder.Poultry: "filling", larder.Fish: "flakes", larder.Shellfish: "pieces", larder.Dairy: "soy drink",
	larder.Egg: "soy drink", larder.Honey: "syrup", larder.Gelatine: "agar", larder.Fat: "oil", larder.Insect: "beetroot juice",
}

// reword puts the swaps' short names where the step names animal matter. Every
// animal word the reader finds in the new text is replaced, so that none is
// left behind.
func (c *Carrier) reword(s recipe.Step, used, all []replacement) string {
	text := s.Text
	for _, a := range s.Animals {
		text = replaceWords(text, a.Name, c.shortFor(a, used, all))
	}
	for round := 0; round < 4; round++ {
		left := c.reader.Step(text, nil).Animals
		if len(left) == 0 {
			break
		}
		for _, a := range left {
			short := c.shortFor(a, used, all)
			if slices.ContainsFunc(larder.Words(short), func(w string) bool { return slices.Contains(larder.Words(a.Name), w) }) {
				short = fallback[a.Animal]
			}
			next := replaceWords(text, a.Name, short)
			if next == text {
				next = replaceWords(text, lastWord(a.Name), short)
			}
			text = next
		}
	}
	return text
}

func lastWord(s string) string {
	words := strings.Fields(s)
	return words[len(words)-1]
}

// shortFor chooses the words for an animal name: the swap of the line that
// bears the name, then of a line of the same class, then a fallback.
func (c *Carrier) shortFor(a recipe.Animal, used, all []replacement) string {
	words := larder.Words(a.Name)
	for _, group := range [][]replacement{used, all} {
		for _, r := range group {
			if r.book != nil && slices.ContainsFunc(words, func(w string) bool { return slices.Contains(larder.Words(r.line.Name), w) }) {
				return r.book.Short
			}
		}
	}
	for _, group := range [][]replacement{used, all} {
		for _, r := range group {
			if r.book != nil && r.line.Animal == a.Animal {
				return r.book.Short
			}
		}
	}
	return fallback[a.Animal]
}

// replaceWords replaces each run of words that folds to the given name by the
// short name, keeping a capital at the beginning of a sentence and passing
// over repeats ("the fish ... the fish").
func replaceWords(text, name, short string) string {
	want := larder.Words(name)
	if len(want) == 0 {
		return text
	}
	var b strings.Builder
	rest := text
	for {
		start, end := findWords(rest, want)
		if start < 0 {
			b.WriteString(rest)
			return b.String()
		}
		b.WriteString(rest[:start])
		word := short
		if r, _ := utf8.DecodeRuneInString(rest[start:]); unicode.IsUpper(r) && (start == 0 || strings.HasSuffix(strings.TrimSpace(rest[:start]), ".")) {
			word = larder.Capital(short)
		}
		b.WriteString(word)
		rest = rest[end:]
	}
}

// findWords finds the first run of words in text that normalises to want.
func findWords(text string, want []string) (start, end int) {
	type word struct {
		norm       string
		start, end int
	}
	var words []word
	for i := 0; i < len(text); {
		r, n := utf8.DecodeRuneInString(text[i:])
		if !unicode.IsLetter(r) {
			i += n
			continue
		}
		j := i
		for j < len(text) {
			r, n := utf8.DecodeRuneInString(text[j:])
			if !unicode.IsLetter(r) && !unicode.Is(unicode.Mn, r) {
				break
			}
			j += n
		}
		words = append(words, word{larder.Normal(larder.Fold(text[i:j])), i, j})
		i = j
	}
	for i := 0; i+len(want) <= len(words); i++ {
		hit := true
		for k, w := range want {
			if words[i+k].norm != w {
				hit = false
				break
			}
		}
		if hit {
			return words[i].start, words[i+len(want)-1].end
		}
	}
	return -1, -1
}

// unprepared adds the preparation of swaps whose line no step names.
func (c *Carrier) unprepared(comp *swap.Component, here []replacement, prepared map[string]bool) {
	var first []swap.Step
	for _, r := range here {
		if r.book != nil && !prepared[r.chosen.Replaces] {
			first = append(first, c.preparations(r)...)
		}
	}
	comp.Steps = append(first, comp.Steps...)
}

// boosters adds one step for each booster of the component, in the words of
// the book: before the others or after them, as the book says.
func (c *Carrier) boosters(comp *swap.Component) {
	var first []swap.Step
	for at, l := range comp.Lines {
		if l.Change != swap.Booster {
			continue
		}
		text, early := fmt.Sprintf("Add the %s.", l.Name), false
		if b := c.book.Larder().BoosterNamed(l.FoodID()); b != nil {
			text, early = b.When, b.First
		}
		s := c.reader.Step(text, nil)
		s.Lines, s.Animals = []int{at}, []recipe.Animal{}
		step := swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: l.Why}
		if early {
			first = append(first, step)
		} else {
			comp.Steps = append(comp.Steps, step)
		}
	}
	comp.Steps = append(first, comp.Steps...)
}
