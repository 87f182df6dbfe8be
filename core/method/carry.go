// Package method carries the steps of an original over to its adaptation: each
// is kept, changed, dropped or added, and says why.
package method

import (
	"fmt"
	"regexp"
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
		c.own(&a.Components[i], i, dec.Wording)
		a.Components[i].Name = c.heading(a.Components[i].Name, c.replacements(d, a, i))
	}
	c.caution(&a)
	return a, nil
}

// heading is the name of a component without the animal in it: "Celeriac and
// walnut mince sauce" for "Meat sauce".
func (c *Carrier) heading(name string, here []replacement) string {
	s := c.reader.Step(name, nil)
	if name == "" || len(s.Animals) == 0 {
		return name
	}
	shorts := map[string]bool{}
	for _, r := range here {
		if r.book != nil && r.line.Origin == larder.FromAnimal {
			shorts[r.book.Short] = true
		}
	}
	flesh := slices.Contains([]larder.Animal{larder.Meat, larder.Poultry, larder.Fish, larder.Shellfish}, s.Animals[0].Animal)
	if len(larder.Words(name)) == 1 && len(shorts) > 1 && flesh {
		return "Main pieces" // "Meats", of several kinds
	}
	var words []string
	for _, w := range strings.Fields(c.reword(s, here, here)) {
		if len(words) == 0 || !strings.EqualFold(words[len(words)-1], w) {
			words = append(words, w)
		}
	}
	return larder.Capital(strings.Join(words, " "))
}

// caution puts each caution at the first step it fits; the grave ones at every
// step, so that nobody can miss them.
func (c *Carrier) caution(a *swap.Adaptation) {
	said := map[string]bool{}
	for i := range a.Components {
		comp := &a.Components[i]
		for n := range comp.Steps {
			s := &comp.Steps[n]
			s.Cautions = []larder.Caution{}
			if s.Change == swap.Dropped {
				continue
			}
			holds := func(foods, shelves, forms []string) bool {
				return slices.ContainsFunc(s.Lines, func(at int) bool {
					l := &comp.Lines[at]
					f := c.book.Larder().Food(l.FoodID())
					return f != nil && (slices.Contains(foods, f.ID) || slices.Contains(shelves, f.Aisle)) && (len(forms) == 0 || slices.Contains(forms, l.Form))
				})
			}
			for _, x := range c.book.Larder().Cautions() {
				if (x.Grave || !said[x.ID]) && x.Fits(s.Techniques, strings.ToLower(s.Text), holds) {
					said[x.ID] = true
					s.Cautions = append(s.Cautions, *x)
				}
			}
		}
	}
}

// own puts the cook's wording in place of what was written for a step, and
// reads its times and cue from it.
func (c *Carrier) own(comp *swap.Component, i int, wording map[string]string) {
	for n := range comp.Steps {
		s := &comp.Steps[n]
		if s.Key = stepKey(i, *s, comp); wording[s.Key] == "" {
			continue
		}
		lines, change, why, from, written := s.Lines, s.Change, s.Why, s.From, s.Text
		read := c.reader.Step(wording[s.Key], nil)
		read.Lines, read.Animals = lines, []recipe.Animal{}
		*s = swap.Step{Step: read, From: from, Change: change, Why: why, Key: s.Key, Own: true, Written: written}
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
				c.prepare(comp, alikeOf(here, r), prepared)
			}
		}
		comp.Steps = append(comp.Steps, c.step(step, d.Components[i].Lines, n, used, all, moved))
	}
	c.unprepared(comp, here, prepared)
	c.boosters(comp)
	c.attach(comp)
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

// attach gives every line of the component a step that uses it: one that names
// it in other words, or else one that says where it belongs.
func (c *Carrier) attach(comp *swap.Component) {
	for at := range comp.Lines {
		l := &comp.Lines[at]
		used := func(s swap.Step) bool { return s.Change != swap.Dropped && slices.Contains(s.Lines, at) }
		if l.Change == swap.Dropped || len(comp.Steps) == 0 || slices.ContainsFunc(comp.Steps, used) {
			continue
		}
		words := larder.Words(l.Name)
		named := slices.IndexFunc(comp.Steps, func(s swap.Step) bool {
			return s.Change != swap.Dropped && slices.ContainsFunc(larder.Words(s.Text), func(w string) bool { return slices.Contains(words, w) })
		})
		if named >= 0 {
			comp.Steps[named].Lines = append(comp.Steps[named].Lines, at)
			continue
		}
		s := c.reader.Step(fmt.Sprintf("Add the %s, tasting as you go.", l.Name), nil)
		s.Lines, s.Animals = []int{at}, []recipe.Animal{}
		comp.Steps = append(comp.Steps, swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: "The original lists it and does not say when it goes in."})
	}
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

// lastClause is a last clause that comes when the cue is reached: "Simmer the
// lentils until tender, then drain them."
var lastClause = regexp.MustCompile(`,? (?:and )?then (?:drain|strain|lift|rinse|add|season)\b[^,]*$`)

// preparations turns a swap's own preparation into added steps.
func (c *Carrier) preparations(r replacement) []swap.Step {
	var steps []swap.Step
	for _, p := range r.book.Prepare {
		text := strings.TrimSuffix(p.Text, ".")
		if p.Cue != "" && !strings.Contains(text, " until ") {
			if at := lastClause.FindStringIndex(text); at != nil {
				text = text[:at[0]] + " " + p.Cue + text[at[0]:]
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
		steps = append(steps, swap.Step{Step: s, From: []int{}, Change: swap.Added, Why: fmt.Sprintf("Prepares the %s, in place of the original's %s.", r.book.Short, strings.ToLower(r.line.Name))})
	}
	return steps
}

// overnight is the waiting in minutes from which a preparation is for the
// evening before.
const (
	overnight     = 240.0
	eveningBefore = "The evening before: "
)

func lowered(text string) string {
	r, n := utf8.DecodeRuneInString(text)
	return string(unicode.ToLower(r)) + text[n:]
}

// earliest puts what is for the evening before in front.
func earliest(steps []swap.Step) []swap.Step {
	slices.SortStableFunc(steps, func(a, b swap.Step) int {
		early := func(s swap.Step) int {
			if s.Change == swap.Added && strings.HasPrefix(s.Text, eveningBefore) {
				return 0
			}
			return 1
		}
		return early(a) - early(b)
	})
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
	if len(used) == 0 && len(s.Animals) == 0 {
		return out
	}
	if onlyBones(c.book.Larder(), s, lines, used) {
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
	out.Text, out.Cue = meatless(out.Text, s.Techniques)
	if short, minutes, ok := c.shorter(out.Text, s, lines, used); ok {
		out.Text, out.Minutes = short, minutes
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
var meatCues = []string{"pink", "bone", "juices", "opaque", "flakes", "fat runs", "flake easily", "fork-tender", "cooked through", "core", "renders", "the white is", "whites are", "the egg"}

// Cues that end a step in their place: dry heat colours, liquid soaks in.
const (
	plantCue = "until hot through and coloured at the edges"
	wetCue   = "until hot right through and the liquid has soaked in"
)

func cueFor(techniques []string) string {
	for _, t := range techniques {
		switch t {
		case "simmer", "poach", "braise", "stew", "boil", "steam", "pressure-cook":
			return wetCue
		}
	}
	return plantCue
}

// meatless drops sentences that only meat asks for and replaces cues that only
// it gives; it returns the text with the cue that now ends it.
func meatless(text string, techniques []string) (string, string) {
	var kept []string
	for _, sentence := range sentences(text) {
		lower := strings.ToLower(sentence)
		if strings.HasPrefix(lower, "skim") || strings.HasPrefix(lower, "spoon off the fat") || strings.HasPrefix(lower, "drain off the fat") {
			continue
		}
		kept = append(kept, unskimmed(sentence))
	}
	text = untilClause.ReplaceAllStringFunc(strings.Join(kept, " "), func(clause string) string {
		if slices.ContainsFunc(meatCues, func(w string) bool { return strings.Contains(strings.ToLower(clause), w) }) {
			return cueFor(techniques)
		}
		return clause
	})
	return text, recipe.Cue(text)
}

// untilClause is one cue within a sentence.
var untilClause = regexp.MustCompile(`\buntil [^,.;]*`)

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

// fallbackHead is more telling than the class where the name ends so.
var fallbackHead = map[string]string{
	"noodle": "wheat noodles", "pasta": "pasta without animal matter", "stock": "vegetable stock", "broth": "vegetable stock", "butter": "oil", "cream": "oat cream",
	"cheese": "yeast flakes", "yoghurt": "soy yoghurt", "parmesan": "yeast flakes", "ghee": "oil", "bechamel": "pale sauce",
}

func fallbackFor(a recipe.Animal) string {
	words := larder.Words(a.Name)
	if len(words) > 0 {
		if short, ok := fallbackHead[words[len(words)-1]]; ok {
			return short
		}
	}
	return fallback[a.Animal]
}

// reword puts the swaps' short names where the step names what they replace.
// Every animal word the reader finds in the new text is replaced, so that none
// is left behind.
func (c *Carrier) reword(s recipe.Step, used, all []replacement) string {
	text := c.rename(s, used)
	for _, a := range s.Animals {
		text = aside(text, used, func(rest string) string { return replaceWords(rest, a.Name, c.shortFor(a, text, used, all)) })
	}
	for round := 0; round < 4; round++ {
		left := c.reader.Step(text, nil).Animals
		if len(left) == 0 {
			break
		}
		for _, a := range left {
			short := c.shortFor(a, text, used, all)
			if slices.ContainsFunc(larder.Words(short), func(w string) bool { return slices.Contains(larder.Words(a.Name), w) }) {
				short = fallbackFor(a)
			}
			next := replaceWords(text, a.Name, short)
			if next == text {
				next = replaceWords(text, lastWord(a.Name), short)
			}
			text = next
		}
	}
	for _, r := range append(slices.Clone(used), all...) {
		if r.book != nil {
			text = smooth(text, r.book.Short, c.melts(r.book))
		}
	}
	return text
}

// aside works on a text with the short names already in it put aside, so that
// the butter of "plant butter" is not replaced again.
func aside(text string, used []replacement, work func(string) string) string {
	for i, r := range used {
		if r.book != nil {
			text = strings.ReplaceAll(text, r.book.Short, fmt.Sprintf("\x01%d\x01", i))
		}
	}
	text = work(text)
	for i, r := range used {
		if r.book != nil {
			text = strings.ReplaceAll(text, fmt.Sprintf("\x01%d\x01", i), r.book.Short)
		}
	}
	return text
}

// rename writes the short names of the swaps for the lines the step uses, where
// it calls them by their whole name or, when no kept line shares it, by the
// last word ("the bones", "the chops").
func (c *Carrier) rename(s recipe.Step, used []replacement) string {
	text := s.Text
	for _, r := range used {
		if r.book == nil {
			continue
		}
		words := larder.Words(r.line.Name)
		if slices.ContainsFunc(used, func(o replacement) bool { return o.index != r.index && slices.Equal(larder.Words(o.line.Name), words) }) {
			continue // two lines of one name: what is done with it tells which is meant
		}
		text = replaceWords(text, r.line.Name, r.book.Short)
		if len(words) < 2 || slices.Contains(larder.Words(r.book.Short), words[len(words)-1]) {
			continue
		}
		head := words[len(words)-1]
		shared := slices.ContainsFunc(used, func(o replacement) bool {
			other := larder.Words(o.line.Name)
			return o.index != r.index && slices.Contains(other, head)
		})
		if !shared && bodily[head] {
			text = replaceWords(text, head, r.book.Short)
		}
	}
	return text
}

// bodily are last words of animal names that steps use alone.
var bodily = map[string]bool{
	"bone": true, "chop": true, "fillet": true, "thigh": true, "drumstick": true, "wing": true, "breast": true, "leg": true, "shank": true, "escalope": true, "joint": true,
	"carcass": true, "loin": true, "shin": true, "belly": true, "shoulder": true, "rib": true, "liver": true, "kidney": true, "yolk": true, "white": true,
}

func lastWord(s string) string {
	words := strings.Fields(s)
	return words[len(words)-1]
}

// shortFor chooses the words for an animal name: the swap of the line whose
// name it shares most, the last word before others; then of a line of the same
// class, then a fallback. An egg that is brushed on is not the one cracked in.
func (c *Carrier) shortFor(a recipe.Animal, text string, used, all []replacement) string {
	words := larder.Words(a.Name)
	if len(words) == 1 && words[0] == "bechamel" {
		return fallbackFor(a) // what the dish makes itself, not what it is made with
	}
	brushed := strings.Contains(strings.ToLower(text), "brush") || strings.Contains(strings.ToLower(text), "glaze")
	best, most := "", 0
	for rank, group := range [][]replacement{used, all} {
		for _, r := range group {
			if r.book == nil {
				continue
			}
			score := likeness(words, larder.Words(r.line.Name))
			if score == 0 && r.line.Animal == a.Animal {
				score = 1
			}
			if score == 0 {
				continue
			}
			if glaze := r.chosen.Use == "glaze"; glaze == brushed {
				score++
			}
			if score = 2*score - rank; score > most {
				best, most = r.book.Short, score
			}
		}
	}
	if best == "" {
		return fallbackFor(a)
	}
	return best
}

// likeness counts the words that two names share, the last word thrice.
func likeness(name, line []string) int {
	score := 0
	for i, w := range name {
		if !slices.Contains(line, w) {
			continue
		}
		score += 2
		if i == len(name)-1 && line[len(line)-1] == w {
			score += 4
		}
	}
	return score
}

// solidFats melt as butter does.
var solidFats = []string{"coconut-oil", "vegan-butter", "creamed-coconut", "vegetable-shortening", "cocoa-butter"}

// melts tells whether a swap is a fat that melts.
func (c *Carrier) melts(s *larder.Swap) bool {
	f := c.book.Larder().MainFood(s)
	return f != nil && slices.Contains(solidFats, f.ID)
}

// plural tells whether a short name is more than one thing.
func plural(short string) bool {
	return strings.HasSuffix(short, "s") && !strings.HasSuffix(short, "ss") || strings.Contains(short, " and ")
}

// adjectives before a name that hold for the original's food only.
var adjectives = regexp.MustCompile(`(?i)\b(?:hard-boiled|soft-boiled|beaten|raw|boiled|melted|rendered|skinned|boned|whole hard-boiled|peeled hard-boiled) `)

// smooth mends the words around a swap's name: what was said of egg, meat or
// butter only, verbs that no longer fit, and the number of the verb.
func smooth(text, short string, melts bool) string {
	at := 0
	for {
		i := strings.Index(text[at:], short)
		if i < 0 {
			return text
		}
		i += at
		before, after := text[:i], text[i+len(short):]
		if m := adjectives.FindAllStringIndex(before, -1); m != nil && m[len(m)-1][1] == len(before) {
			before = before[:m[len(m)-1][0]]
		}
		for _, v := range verbs {
			if v.unlessMelts && melts {
				continue
			}
			if m := v.before.FindStringIndex(before); m != nil {
				before = before[:m[0]] + v.instead(before[m[0]:m[1]])
				break
			}
		}
		if plural(short) && strings.HasPrefix(after, " is ") {
			after = " are " + after[len(" is "):]
		}
		text = before + short + after
		at = len(before) + len(short)
	}
}

// verb is one that no longer fits before a name, with what stands instead;
// unlessMelts leaves it where the swap melts as butter does.
type verb struct {
	before      *regexp.Regexp
	to          string
	unlessMelts bool
}

// verbs that fit what was replaced and not what stands for it.
var verbs = []verb{
	{regexp.MustCompile(`(?i)\bcrack (?:an?|the|each|one)? ?$`), "spoon the ", false},
	{regexp.MustCompile(`(?i)\bbreak an? $`), "spoon the ", false},
	{regexp.MustCompile(`(?i)\bmince (?:the )?(?:boiled |cooked )?$`), "crumble the ", false},
	{regexp.MustCompile(`(?i)\bmelt the $`), "heat the ", true},
	{regexp.MustCompile(`(?i)\bmelt $`), "heat ", true},
	{regexp.MustCompile(`(?i)\bshell and $`), "", false},
}

// instead keeps a capital at the beginning of a sentence.
func (v verb) instead(was string) string {
	if r, _ := utf8.DecodeRuneInString(was); unicode.IsUpper(r) {
		return larder.Capital(v.to)
	}
	return v.to
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
	steps := comp.Steps
	comp.Steps = nil
	for _, r := range here {
		if r.book != nil && !prepared[r.chosen.Replaces] {
			c.prepare(comp, alikeOf(here, r), prepared)
		}
	}
	comp.Steps = append(comp.Steps, steps...)
}

// boosters adds one step for each booster of the component, in the words of
// the book and at its moment: with the first frying, or before the dish is
// filled, baked or served.
func (c *Carrier) boosters(comp *swap.Component) {
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
		comp.Steps = slices.Insert(comp.Steps, moment(comp.Steps, early), step)
	}
}

// frying is where early boosters go in, finishing what late ones must precede.
var (
	frying    = []string{"fry", "saute", "soften", "sweat", "brown", "caramelise", "toast", "temper"}
	finishing = []string{"bake", "roast", "grill", "gratinate", "layer", "stuff", "press", "serve", "deep-fry", "steam", "shape"}
)

// moment is the index at which a booster's step goes in.
func moment(steps []swap.Step, early bool) int {
	does := func(s swap.Step, what []string) bool {
		return s.Change != swap.Dropped && len(s.From) > 0 && slices.ContainsFunc(s.Techniques, func(t string) bool { return slices.Contains(what, t) })
	}
	if early {
		if at := slices.IndexFunc(steps, func(s swap.Step) bool { return does(s, frying) }); at >= 0 {
			return at + 1
		}
		return 0
	}
	at := len(steps)
	for at > 0 && (does(steps[at-1], finishing) || steps[at-1].Change == swap.Dropped) {
		at--
	}
	if at == 0 {
		return len(steps)
	}
	return at
}

// Long cooking was for meat: what stands in for it needs minutes. A step that
// cooks longer than longCooking is cut to plantCooking, unless something in it
// needs the time, or it is there to reduce; a stock takes stockCooking, after
// which hours add nothing more.
const (
	longCooking  = 45.0
	plantCooking = 30.0
	stockCooking = 45.0
)

var (
	longTime = regexp.MustCompile(`(?i)\bfor (?:about |at least )?(?:\d+(?:[.,]\d+)?(?:\s*(?:-|–|to)\s*\d+)?|an|one|two|three|four|five|six) ?(?:minutes?|mins?|hours?|hrs?)\b`)
	reduces  = regexp.MustCompile(`(?i)\buncovered|reduc|thick|dry\b|jammy|golden`)
	lifting  = regexp.MustCompile(`(?i) after (?:\d+|an|one|two|three) hours?\b`)
)

// shorter cuts the time of a step that only meat needed.
func (c *Carrier) shorter(text string, s recipe.Step, lines []recipe.Line, used []replacement) (string, *measure.Span, bool) {
	if s.Minutes == nil || s.Minutes.High <= longCooking || reduces.MatchString(s.Text) || len(used) == 0 {
		return "", nil, false
	}
	braised, minutes := false, plantCooking
	for _, r := range used {
		if r.book == nil {
			return "", nil, false
		}
		if r.chosen.Use == "stock" {
			minutes = stockCooking
		}
		animal := r.line.Animal == larder.Meat || r.line.Animal == larder.Poultry
		braised = braised || animal
		if f := c.book.Larder().MainFood(r.book); f != nil && f.Aisle == "pulses" && r.chosen.Use == "stock" {
			return "", nil, false // the broth of pulses takes its own time
		}
	}
	for _, j := range s.Lines {
		f := c.book.Larder().Food(lines[j].FoodID())
		if f != nil && (f.Aisle == "pulses" || f.Aisle == "grains") {
			return "", nil, false
		}
	}
	found := longTime.FindString(text)
	if !braised || found == "" || !slices.Contains(s.Techniques, "simmer") && !slices.Contains(s.Techniques, "braise") && !slices.Contains(s.Techniques, "stew") {
		return "", nil, false
	}
	text = strings.Replace(text, found, fmt.Sprintf("for %g minutes", minutes), 1)
	text = lifting.ReplaceAllString(text, " then")
	return text, &measure.Span{Low: minutes, High: minutes}, true
}
