package flow

import (
	"slices"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// sum says of a step as a whole what its actions say one by one: techniques,
// minutes, heat, cue, the lines it uses and the animal matter it names.
func (b *bindings) sum(step *recipe.Step) {
	step.Techniques, step.Lines, step.Cue, step.HandsOn = []string{}, b.linesOf(), "", false
	step.Minutes, step.Celsius = nil, nil
	for i := range step.Actions {
		a := &step.Actions[i]
		if a.Technique != "" && !slices.Contains(step.Techniques, a.Technique) {
			step.Techniques = append(step.Techniques, a.Technique)
		}
		if t := b.r.larder.Technique(a.Technique); t != nil && t.HandsOn {
			step.HandsOn = true
		}
		if a.Minutes != nil {
			if step.Minutes == nil {
				step.Minutes = &measure.Span{}
			}
			step.Minutes.Low, step.Minutes.High = step.Minutes.Low+a.Minutes.Low, step.Minutes.High+a.Minutes.High
		}
		if step.Celsius == nil {
			step.Celsius = a.Celsius
		}
		if step.Cue == "" {
			step.Cue = a.Cue
		}
	}
	step.Animals = b.animals()
}

// linesOf are the lines of the step's own component that it names, or that its
// pronouns mean.
func (b *bindings) linesOf() []int {
	from := b.mentioned
	if len(from) == 0 {
		from = b.meantLines
	}
	lines := []int{}
	first := slices.IndexFunc(b.lines, func(l bound) bool { return l.comp == b.home })
	for i := range from {
		if b.lines[i].comp == b.home {
			lines = append(lines, i-first)
		}
	}
	slices.Sort(lines)
	return lines
}

// animals finds the animal matter that a step names.
func (b *bindings) animals() []recipe.Animal {
	m := mentions{reader: b.r, tokens: b.text.tokens, lines: b.listed, names: b.listedNames, made: map[string]bool{}}
	for _, t := range b.things {
		for name := range t.names {
			m.made[name] = true
		}
	}
	if word := b.r.OwnWord(b.dish); word != "" {
		m.made[word] = true
	}
	m.read()
	if m.animals == nil {
		return []recipe.Animal{}
	}
	return m.animals
}
