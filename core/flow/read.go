// Package flow reads a method as what is done to what. A step is its actions in
// order; an action is one verb with what it is done to, with what, into what,
// how long, how hot and until when. Words that order no work are kept as what
// they are, and what could not be read is said as a question.
//
// It is the one place that looks into the text of a step; everybody else asks
// the flow.
package flow

import (
	"fmt"
	"slices"
	"strings"
	"unicode/utf8"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// Reader reads methods. It keeps no state between calls and may be used by many
// goroutines.
type Reader struct {
	*recipe.Reader
	larder *larder.Larder
	lang   *language.Language
}

// NewReader returns a reader of methods in the language of the larder.
func NewReader(l *larder.Larder) *Reader {
	return &Reader{recipe.NewReader(l), l, l.Language()}
}

// Dish reads the whole method of a dish: the actions, asides and questions of
// each step.
func (r *Reader) Dish(d *recipe.Dish) {
	r.takeUp(d, r.read(d, nil))
}

// read reads the whole method; takes says of actions what they take up besides what their words say. It tells which actions leave
// that open.
func (r *Reader) read(d *recipe.Dish, takes claims) map[string][]opening {
	b := r.bindings(d)
	b.claims = takes
	foods := r.foodWords(d)
	b.scanned = scan(d)
	b.terse = d.Terse || r.leavesOutArticles(b.scanned)
	d.Terse = b.terse
	b.rests, b.restsMeasured = r.restWords(b.scanned)
	b.kept, b.lettersLeft = map[string]bool{}, mostLetters
	parts := 0
	for _, c := range d.Components {
		for _, s := range c.Steps {
			for _, ref := range s.Takes {
				b.kept[ref] = true
			}
		}
		if len(c.Steps) > 0 {
			parts++
		}
	}
	b.oneMethod = parts == 1 && len(d.Components) > 1
	for k, at := range d.Method() {
		b.comp, b.hand, b.stepNo = at.Component, at.Component, k
		step := &d.Components[at.Component].Steps[at.Step]
		id := step.ID
		if id == "" {
			id = fmt.Sprintf("c%d.s%d", at.Component, at.Step)
		}
		r.step(b, step, foods, id)
	}
	return b.leftOpen
}

// step reads one step after those before it.
func (r *Reader) step(b *bindings, step *recipe.Step, foods foodWords, id string) {
	whole := step.Text
	read, rest := b.within(whole)
	defer func() {
		if step.Text = whole; rest > 0 {
			from := utf8.RuneCountInString(read)
			step.Questions = append(step.Questions, recipe.Question{Text: r.asks("rest", ""), From: from, Upto: from + rest})
		}
	}()
	step.Text = read
	t := r.textOf(b, step.Text, foods, rest > 0)
	b.when = [2]int{}
	b.text, b.mentioned, b.meantLines, b.home = t, map[int]bool{}, map[int]bool{}, b.comp
	b.takesUp(step.Takes)
	step.Actions, step.Asides, step.Questions = []recipe.Action{}, []recipe.Aside{}, []recipe.Question{}
	done := 0
	units := t.parse()
	for k, u := range units {
		b.ahead = units[k+1:]
		if u.clause != nil {
			u.from, u.upto = u.clause.from, u.clause.upto
		}
		from, upto := t.span(u.from, u.upto)
		switch begin, manner := t.between(done, u.from); {
		case begin >= u.from:
		case manner:
			from, _ = t.span(begin, u.upto)
			if u.clause != nil {
				u.clause.manner = append([]string{t.slice(begin, u.from)}, u.clause.manner...)
			}
		case slices.ContainsFunc(b.ahead, func(o unit) bool { return o.clause != nil && o.clause.from <= begin }): // "in a casserole (or a big pot), brown"
		default:
			b.tellsName(begin, u.from)
			step.Asides = append(step.Asides, t.remark(begin, u.from))
		}
		done = max(done, u.upto)
		switch {
		case remarkAt(step, from) && (u.clause != nil || u.question):
			step.Asides = append(step.Asides, recipe.Aside{Kind: recipe.Remark, From: from, Upto: upto})
		case u.clause != nil && (u.clause.repeats || u.clause.sense.Technique != ""):
			r.action(b, step, u.clause, id, from, upto)
		case u.question, u.clause != nil:
			step.Questions = append(step.Questions, recipe.Question{Text: r.asks("work", t.slice(u.from, u.upto)), From: from, Upto: upto})
		default:
			b.tellsName(u.from, u.upto)
			step.Asides = append(step.Asides, recipe.Aside{Kind: u.aside, From: from, Upto: upto})
			if u.aside == recipe.Condition {
				b.when = [2]int{u.from, u.upto}
			}
		}
	}
	if begin, _ := t.between(done, len(t.words)); begin < len(t.words) {
		b.tellsName(begin, len(t.words))
		step.Asides = append(step.Asides, t.remark(begin, len(t.words)))
	}
	if b.named(step.Makes) {
		b.focus, b.base = b.stood[0], b.stood[1] // it was made aside
	}
	b.sum(step)
}

// takesUp begins a step that prepares something of lines of its own, or one that prepares nothing, with what was in
// hand before what is prepared.
func (b *bindings) takesUp(takes []string) {
	if len(b.takes) == 0 {
		b.stood = [2]*thing{b.focus, b.base}
	} else if !slices.Equal(takes, b.takes) {
		b.focus, b.base = b.stood[0], b.stood[1]
	}
	b.takes = takes
}

// mostLetters is how much of a method is read, some twenty times a long one.
const mostLetters = 60_000

// asks is a question of the language about words.
func (r *Reader) asks(kind, about string) string {
	return strings.ReplaceAll(r.lang.Writing.Questions[kind], "{text}", about)
}

// within cuts a step to what is still read of the method, at the end of a word,
// and tells how many letters are left over.
func (b *bindings) within(text string) (read string, rest int) {
	if len(text) <= b.lettersLeft {
		b.lettersLeft -= len(text)
		return text, 0
	}
	read = text[:b.lettersLeft]
	read = read[:max(strings.LastIndexByte(read, ' '), 0)]
	b.lettersLeft = 0
	return read, utf8.RuneCountInString(text) - utf8.RuneCountInString(read)
}

// named gives what is being worked on a name that no words of the step say.
func (b *bindings) named(name string) bool {
	words := larder.Words(name)
	if len(words) == 0 || b.focus == nil {
		return false
	}
	b.focus.names[last(words)] = true
	b.focus.title = words
	b.aside(b.focus)
	if slices.ContainsFunc(words, func(w string) bool { return b.r.lang.Conjunctions[w] }) {
		b.titles = append(b.titles, words)
	}
	return true
}

// tellsName gives what is in hand the name that a remark tells: "this is your stock".
func (b *bindings) tellsName(from, upto int) {
	lang, t := b.r.lang, b.text
	if upto-from < leastTold || upto-from > mostTold || b.focus == nil || !lang.Pronouns[t.low(from)] || !lang.Being[t.low(from+1)] || !lang.Pointing[t.low(from+2)] && !lang.Articles[t.low(from+2)] {
		return
	}
	b.focus.names[t.low(upto-1)] = true
}

// leastTold and mostTold are how many words tell the name of a thing: "this is your stock", "this is the base for the sauce"
// does not.
const leastTold, mostTold = 4, 5

// aside takes something out of the vessels it was made in: it waits beside them, and "the pan"
// is another.
func (b *bindings) aside(made *thing) {
	for _, t := range b.things {
		if t.vessel == "" {
			continue
		}
		gone := true
		for p := range t.holds {
			gone = gone && b.holder[p] == made
		}
		if gone {
			if b.vessels[t.vessel] == t {
				delete(b.vessels, t.vessel)
			}
			t.vessel = ""
		}
	}
}

// action reads a clause as an action of a step, or keeps it as a remark where it
// orders nothing.
func (r *Reader) action(b *bindings, step *recipe.Step, c *clause, id string, from, upto int) {
	var a *recipe.Action
	question := ""
	focus, base := b.focus, b.base
	if c.sense.Technique == language.Inner && len(c.objects) > 0 && !c.onlyPronouns() && c.minutes == nil {
		c.sense.Technique = addTechnique // "use the cream as a topping", but not "use at once"
	}
	if c.sense.Technique != language.NoWork && c.sense.Technique != language.Inner {
		a, question = b.bind(c, fmt.Sprintf("%s.a%d", id, len(step.Actions)))
	}
	if a == nil {
		step.Asides = append(step.Asides, recipe.Aside{Kind: recipe.Remark, From: from, Upto: upto})
		return
	}
	if c.going && b.tech.Takes == "part" && focus != nil && b.open(focus) {
		b.focus, b.base = focus, base // "lift out the chicken, scraping off the onions"
	}
	a.From, a.Upto = from, upto
	b.mend(step, a)
	b.leftOnFire(step, a)
	b.inHotFat(step, a)
	if t := r.larder.Technique(a.Technique); t != nil {
		_, alone := attention(r.larder, a, t)
		a.Alone = alone > 0
	}
	b.onlyMoved(step, a)
	step.Actions = append(step.Actions, *a)
	if question != "" {
		step.Questions = append(step.Questions, recipe.Question{Text: question, From: from, Upto: upto})
	}
}

// onlyMoved makes of what was put in the oven no more than that, where the next order of the
// step says how long it bakes: "put it back in the oven. Bake for 30 minutes".
func (b *bindings) onlyMoved(step *recipe.Step, a *recipe.Action) {
	n := len(step.Actions) - 1
	if n < 0 || b.tech.Family != "oven" || a.Minutes == nil && a.Cue == "" || len(a.To) != 1 || a.To[0].Made == nil || *a.To[0].Made != step.Actions[n].ID {
		return
	}
	was := &step.Actions[n]
	if t := b.r.larder.Technique(was.Technique); t != nil && t.Family == "oven" && was.Minutes == nil && was.Cue == "" && was.Celsius == nil && !slices.Contains(b.r.lang.Orders(was.Verb), was.Technique) {
		was.Technique = placeTechnique
	}
}

// between finds where the words between two stretches that are read say more
// than that one follows the other ("and then"), and tells whether they only say
// how the second is done ("gently").
func (t *text) between(from, upto int) (int, bool) {
	for from < upto && t.joining(from) {
		from++
	}
	for i := from; i < upto; i++ {
		if !t.joining(i) && !t.adverb(i) {
			return from, false
		}
	}
	return from, from < upto
}

// joining tells whether a word only joins what stands on its two sides.
func (t *text) joining(i int) bool {
	return t.low(i) == "" || t.conj(i) || t.is(i, t.lang.Connectors) || t.is(i, t.lang.Parallel)
}

// remark keeps a run of words that nobody has read.
func (t *text) remark(from, upto int) recipe.Aside {
	a := recipe.Aside{Kind: recipe.Remark}
	a.From, a.Upto = t.span(from, upto)
	return a
}

// Step reads one step by itself, against lines if there are any.
func (r *Reader) Step(text string, lines []recipe.Line) recipe.Step {
	d := recipe.Dish{Components: []recipe.Component{{Lines: lines, Steps: []recipe.Step{{Text: strings.TrimSpace(text)}}}}}
	r.Dish(&d)
	return d.Components[0].Steps[0]
}
