package method

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// lentPhrases are the phrases of the verbs before that stand within the words of an action, whose object they share:
// "split and toast the muffins".
func (w *writer) lentPhrases(n *node) (out []recipe.Phrase) {
	a := n.Action
	for k := w.graph.Number(n) - 1; k >= 0 && w.graph.Nodes[k].At == n.At; k-- {
		before := w.graph.Nodes[k].Action
		for _, p := range before.Words.Phrases {
			if p.From >= max(a.From, before.Upto) && p.Upto <= a.Upto {
				out = append(out, p)
			}
		}
	}
	return out
}

// sharesWithGone tells whether what an action is done to is said behind a later verb that is not done any more:
// "season and brown the chicken".
func (w *writer) sharesWithGone(n *node) bool {
	a := n.Action
	return len(a.Words.Phrases) > 0 && a.Words.Phrases[0].Role == "to" && a.Words.Phrases[0].From >= a.Upto && slices.ContainsFunc(n.Users, func(k int) bool {
		next := &w.graph.Nodes[k]
		return next.At == n.At && a.Words.Phrases[0].From >= next.Action.From && a.Words.Phrases[0].Upto <= next.Action.Upto && w.deeds[k].drop
	})
}

// outcomes are what changes in the words for what comes of an action, what that is for, and the shape it gives.
func (w *writer) outcomes(n *node, d *deed) []edit {
	a := n.Action
	var out []edit
	made := len(w.animalWords(larder.Capital(a.Makes)+".")) > 0
	if at := a.Words.Outcome; at[1] > 0 && (made || len(w.animalWords(w.slice(at[0], at[1]))) > 0) {
		other := w.c.renamed(w.slice(at[0], at[1])) // "to make a thin omelette"
		if other == w.slice(at[0], at[1]) || made && n.Technique.Family == "mix" {
			other = "" // "to make a mayonnaise"
		}
		out = append(out, edit{at[0], at[1], other})
	}
	if at := a.Words.Aim; at[1] > at[0] && at[0] >= a.From {
		if said := w.slice(at[0], at[1]); w.aim(said) != said {
			out = append(out, edit{at[0], at[1], w.aim(said)})
		}
	}
	if at := a.Words.Purpose; at[1] > 0 && at[0] >= a.From && at[1] <= a.Upto && w.fleshBefore(w.graph.Number(n)) != nil {
		if words := larder.Words(w.slice(at[0], at[1])); slices.ContainsFunc(words, func(x string) bool { return w.l.Language().Fleshly[x] }) {
			out = append(out, edit{at[0], at[1], ""}) // "to crisp the skin"
		}
	}
	if at := a.Words.Purpose; at[1] > 0 && at[0] >= a.From && at[1] <= a.Upto && n.Technique.Heat != "" && w.donenessOfGone(n, w.slice(at[0], at[1])) {
		out = append(out, edit{at[0], at[1], ""}) // "for medium-rare"
	}
	if at := a.Words.Shape; at[1] > 0 {
		if said := w.slice(at[0], at[1]); d.say == w.c.words().Put {
			out = append(out, edit{w.behindObject(a, at[0]), at[1], ""}) // "break the fish into chunks into a dish"
		} else if w.c.renamed(said) != said {
			out = append(out, edit{at[0], at[1], w.c.renamed(said)}) // "into 8 sausages"
		}
	}
	return out
}

// donenessOfGone tells whether words say how far flesh is to be cooked that is gone.
func (w *writer) donenessOfGone(n *node, said string) bool {
	words := larder.Words(strings.ReplaceAll(said, "-", " "))
	return slices.ContainsFunc(n.To, func(line int) bool {
		s := w.stand[line]
		return s != nil && s.flesh() && slices.ContainsFunc(words, func(word string) bool { return w.l.Language().GoneSigns[string(s.class)][word] })
	})
}

// aim is what work is said to be for, by its name now where that is a dish of an animal: "for the raita".
func (w *writer) aim(said string) string {
	if len(w.animalWords(larder.Capital(said)+".")) == 0 {
		return said
	}
	return w.c.renamed(said)
}

// becomesNow is what something becomes under the name it has now, where the text speaks of that for the first time: "swirl into a
// thin omelette"; empty for all else.
func (w *writer) becomesNow(p recipe.Phrase, noun recipe.Noun) string {
	name, before := w.slice(noun.Name, noun.Upto), w.slice(noun.From, noun.Name)
	first, _, _ := strings.Cut(strings.ToLower(before), " ")
	lang := w.l.Language()
	if p.Role != "into" || noun.Pronoun || noun.Measured || !lang.Articles[first] || lang.Definite[first] {
		return ""
	}
	other := w.c.renamed(name)
	if own, now := strings.Fields(name), strings.Fields(other); len(own) == 0 || len(now) == 0 || own[len(own)-1] == now[len(now)-1] || len(w.animalWords(other)) > 0 {
		return "" // nor a spaetzle maker
	}
	return before + other
}
