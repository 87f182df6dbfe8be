package method

import (
	"slices"
	"strings"

	"yembra/core/flow"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// subjectNow is what stands for the first of two things of which a cue says the same: "the coconut cream", of "the butter and
// chocolate have melted"; empty where the first is said something of by itself.
func (p *plan) subjectNow(n *flow.Node, sign recipe.Sign, next []recipe.Sign) string {
	words := strings.Fields(sign.Text)
	if !sign.Says || len(words) == 0 || len(next) == 0 || next[0].Says {
		return ""
	}
	other, k := strings.Fields(next[0].Text), len(words)
	for d := len(other) - len(words); k > 1 && k+d > 0 && words[k-1] == other[k+d-1]; {
		k--
	}
	if said := larder.Words(words[k-1]); k < len(words) && len(said) == 1 {
		for _, line := range n.Holds {
			s := p.stand[line]
			if own := larder.Words(p.line(line).Name); s != nil && !s.gone && !s.bare && !s.flesh() && p.there(line, p.graph.Number(n)) && len(own) > 0 && own[len(own)-1] == said[0] {
				return p.c.words().The + " " + s.name
			}
		}
	}
	return ""
}

// signNow is a sign of something that was replaced, as what stands for it shows it: behind another sign with its name, and not
// where that has melted before: "until the bread is golden and the cheese has melted".
func (p *plan) signNow(n *flow.Node, sign recipe.Sign, behind bool) []string {
	words := strings.Fields(sign.Text)
	for _, line := range n.Holds {
		s := p.stand[line]
		if !behind || s == nil || s.gone || s.bare || s.flesh() || !p.there(line, p.graph.Number(n)) {
			continue
		}
		own, food := larder.Words(s.was.Name), p.l.Food(s.was.FoodID())
		at := slices.IndexFunc(words, func(w string) bool {
			said := larder.Singular(larder.Fold(w))
			return len(own) > 0 && own[len(own)-1] == said || food != nil && slices.Contains(p.l.Language().Groups[said], food.Kind)
		})
		if at < 0 {
			continue
		}
		if s.is(larder.Melted) && p.saysMelted(sign.State) {
			return nil
		}
		if s.plural != (larder.Singular(larder.Fold(words[at])) != larder.Fold(words[at])) {
			break // "the eggs are set", of a custard
		}
		return []string{p.c.words().The + " " + s.name + " " + strings.Join(words[at+1:], " ")}
	}
	return []string{p.ofFat(n, sign)}
}

// saysMelted tells whether a state is that of what has melted.
func (p *plan) saysMelted(state string) bool {
	return slices.ContainsFunc(larder.Words(state), func(w string) bool { return slices.Contains(p.l.Language().Orders(w), "melt") })
}

// onlyThickens tells whether an action goes on for no time that is said, until its liquid is thick.
func (p *plan) onlyThickens(n *flow.Node) bool {
	return len(n.Action.Words.Signs) > 0 && !slices.ContainsFunc(n.Action.Words.Signs, func(sign recipe.Sign) bool {
		return !slices.ContainsFunc(larder.Words(sign.Text), func(w string) bool { return p.l.Language().ThickWords[w] })
	})
}

// ofLiquid tells whether an action goes on for a time that is said, and until a liquid looks as it should, which may be sooner: "for 35
// minutes, until the gravy has thickened".
func (p *plan) ofLiquid(n *flow.Node) bool {
	lang := p.l.Language()
	if n.Action.Minutes == nil || n.Is("steam") || len(n.Action.Words.Signs) == 0 {
		return false
	}
	return !slices.ContainsFunc(n.Action.Words.Signs, func(sign recipe.Sign) bool {
		if p.gone(n, sign.Text, sign.Points) {
			return false
		}
		words := larder.Words(sign.Text)
		at := slices.IndexFunc(words, func(w string) bool { return lang.Being[w] || lang.Orders(w) != nil })
		subject := slices.IndexFunc(words, func(w string) bool { return lang.Liquors[w] || lang.Fats[w] || lang.Products[w] && !lang.Shapes[w] })
		return !sign.Says || subject < 0 || at >= 0 && subject > at
	})
}

// inNumber gives a sign that begins with what one thing or several have the word for the number of what stands for flesh
// there: "its edges are crisp".
func (p *plan) inNumber(n *flow.Node, sign string) string {
	words := p.c.words()
	first, rest, ok := strings.Cut(sign, " ")
	one, many := strings.EqualFold(first, words.Its), strings.EqualFold(first, words.Their)
	if !ok || !one && !many {
		return sign
	}
	for _, line := range n.To {
		if s := p.stand[line]; s != nil && s.flesh() && !s.gone {
			if one && s.plural {
				return words.Their + " " + rest
			}
			if many && !s.plural {
				return words.Its + " " + rest
			}
		}
	}
	return sign
}

// ownFatOfGone tells whether a cue speaks of the fat that flesh gave of its own, of nothing else that is worked on: "until it
// releases its oil".
func (p *plan) ownFatOfGone(n *flow.Node, cue string) bool {
	if len(n.To) == 0 || slices.ContainsFunc(n.To, func(line int) bool { s := p.stand[line]; return s == nil || !s.flesh() }) {
		return false
	}
	words := strings.Fields(strings.ToLower(cue))
	for k := 1; k < len(words); k++ {
		if p.l.Language().Possessives[words[k-1]] && p.l.Language().Fats[strings.Trim(words[k], ",.")] {
			return true
		}
	}
	return false
}

// beaten tells whether how eggs look that were beaten can show at an action: not when they rest, in a dough that
// is kneaded or rises, or when they bake.
func beaten(n *flow.Node) bool {
	return n.Technique.Family != "rest" && n.Technique.Family != "dough" && n.Technique.Family != "oven" && n.Technique.Family != "dry heat"
}

// seasonsPot tells whether a line is so little of its part that it only seasons: ginger and garlic in a broth.
func (p *plan) seasonsPot(line int) bool {
	at, all := p.graph.Lines[line], 0.0
	for i := range p.dish.Components[at.Component].Lines {
		all += p.dish.Components[at.Component].Lines[i].Mass()
	}
	return p.line(line).Mass() < littleOf*all
}
