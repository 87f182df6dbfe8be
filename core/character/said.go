package character

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// spoken lists the actions whose words may tell of the line: those that name it
// and those that take up what they made.
func (n *neighbourhood) spoken() []*flow.Node {
	out := slices.Clone(n.named)
	for _, x := range n.reached {
		if n.takesUp(x) && !slices.Contains(out, x) {
			out = append(out, x)
		}
	}
	return out
}

// takesUp tells whether an action works on what one that names the line made, at once or when it
// has been covered.
func (n *neighbourhood) takesUp(x *flow.Node) bool {
	return slices.ContainsFunc(x.Inputs, func(in int) bool {
		before := &n.graph.Nodes[in]
		return slices.Contains(n.named, before) || before.Is("cover") && n.takesUp(before)
	})
}

// told is what an action says, with the condition that stands right before it: "when it is almost set,
// fold it over".
func (n *neighbourhood) told(x *flow.Node) string {
	step := &n.dish.Components[x.At.Component].Steps[x.At.Step]
	text, said := []rune(step.Text), spoken(x)
	for _, a := range step.Asides {
		if a.Kind == recipe.Condition && a.Upto <= x.Action.From && a.Upto+closeBy >= x.Action.From {
			said += " " + larder.Fold(string(text[a.From:a.Upto]))
		}
	}
	return said
}

// spoken is what an action says of how, until when and to what.
func spoken(x *flow.Node) string {
	said := []string{x.Action.Cue, strings.Join(x.Action.Manner, " "), x.Action.Makes}
	for _, r := range x.Action.To {
		if r.Named != nil && x.Technique.Family == "cut" {
			said = append(said, *r.Named) // "cut a pocket in each"
		}
	}
	return larder.Fold(strings.Join(said, " "))
}

// contains tells whether a text holds words, whole.
func contains(text, words string) bool {
	padded := " " + strings.Join(strings.FieldsFunc(text, func(r rune) bool {
		return r == ' ' || r == ',' || r == '.' || r == ';' || r == ':' || r == '(' || r == ')'
	}), " ") + " "
	return strings.Contains(padded, " "+words+" ")
}

// closeBy is how many characters lie at most between a condition and the order that hangs on it.
const closeBy = 3

// withoutMore is what the line says up to what it says of more of its thing, which is for other work: "50 g
// butter, plus extra for the tin".
func (n *neighbourhood) withoutMore() string {
	words := strings.Fields(n.line.Text)
	extras := n.larder.Language().Extras
	for i, w := range words {
		if i > 0 && extras[strings.ToLower(w)] && n.line.Amount != nil {
			return strings.Join(words[:i], " ")
		}
	}
	return n.line.Text
}

// calledInSteps is what the steps call the line: "a poached egg".
func (n *neighbourhood) calledInSteps() string {
	ref := recipe.LineRef(n.home, n.at-n.graph.Line(n.home, 0))
	var out []string
	for _, x := range n.named {
		text := []rune(n.dish.Components[x.At.Component].Steps[x.At.Step].Text)
		for _, p := range x.Action.Words.Phrases {
			for _, noun := range p.Nouns {
				if noun.Upto <= len(text) && slices.ContainsFunc(noun.Refs, func(r recipe.Ref) bool { return r.Of == ref || r.Line != nil && *r.Line == ref }) {
					out = append(out, string(text[noun.From:noun.Upto]))
				}
			}
		}
	}
	return strings.Join(out, ", ")
}
