package flow

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// still marks the actions at and after which the text forbids stirring: "shake the pan and do not stir
// again", for all of what is held there then, until a liquid comes to what was dry, and for the rest of the part where it is said by
// itself.
func (t *tracer) still() {
	for i := range t.graph.Nodes {
		n := &t.graph.Nodes[i]
		n.Still = n.Still || t.stillFrom(n)
		if !slices.ContainsFunc(n.Action.Manner, t.forbidsStirring) {
			continue
		}
		for k := i; k < len(t.graph.Nodes); k++ {
			if o := &t.graph.Nodes[k]; o.At.Component == n.At.Component && (n.Liquid || !o.Liquid) && slices.ContainsFunc(n.Holds, o.Reaches) {
				o.Still = true
			}
		}
	}
}

// stillFrom tells whether a remark before an action, or in its sentence, forbids stirring.
func (t *tracer) stillFrom(n *Node) bool {
	steps := t.dish.Components[n.At.Component].Steps[:n.At.Step+1]
	for i := range steps {
		if len(steps[i].Asides) == 0 {
			continue
		}
		text := []rune(steps[i].Text)
		if slices.ContainsFunc(steps[i].Asides, func(a recipe.Aside) bool {
			if a.Upto > len(text) || !t.forbidsStirring(string(text[a.From:a.Upto])) {
				return false
			}
			return i < n.At.Step || a.From < n.Action.Upto || !strings.ContainsAny(string(text[n.Action.Upto:a.From]), sentenceEnds)
		}) {
			return true
		}
	}
	return false
}

// forbidsStirring tells whether words say that nothing is stirred.
func (t *tracer) forbidsStirring(text string) bool {
	return t.larder.Language().Forbids(larder.Words(text), stirTechnique)
}

// stirTechnique moves about what is in a pan.
const stirTechnique = "stir"

// sentenceEnds are the marks at which one order is over.
const sentenceEnds = ".;"
