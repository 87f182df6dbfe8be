package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/lex"
)

// Step reads one paragraph of the method against the lines of its component.
func (r *Reader) Step(text string, lines []Line) Step { return r.stepAfter(text, lines, past{}) }

// stepAfter reads a step that follows others.
func (r *Reader) stepAfter(text string, lines []Line, before past) Step {
	text = strings.TrimSpace(text)
	tokens := lex.Scan(text)
	step := Step{Text: text, Techniques: []string{}, Lines: []int{}, Animals: []Animal{}, Cue: Cue(text)}
	step.Minutes = minutes(tokens)
	step.Celsius = celsius(tokens)
	step.Techniques, step.HandsOn = r.techniques(tokens)
	sp := stepNames{reader: r, tokens: tokens, lines: lines, before: before}
	sp.read()
	step.Lines = append(step.Lines, r.referred(larder.Words(text), lines, sp.used, before.lines)...)
	if sp.animals != nil {
		step.Animals = sp.animals
	}
	return step
}

// techniques lists the techniques named, in order of first mention.
func (r *Reader) techniques(tokens []lex.Token) (names []string, hands bool) {
	names = []string{}
	vocab := r.larder.Words().Techniques
	for i := 0; i < len(tokens); i++ {
		if tokens[i].Kind != lex.Word {
			continue
		}
		phrase := ""
		var hit *larder.Technique
		for n := 0; n < 6 && i+n < len(tokens) && tokens[i+n].Kind == lex.Word; n++ {
			if n > 0 {
				phrase += " "
			}
			phrase += larder.Fold(tokens[i+n].Text)
			if t, ok := vocab[phrase]; ok {
				hit = &t
			}
		}
		if hit != nil && r.insideName(tokens, i) {
			continue // "egg wash" washes nothing
		}
		if hit == nil || strings.HasSuffix(strings.ToLower(tokens[i].Text), "ing") && i+1 < len(tokens) && vessels[strings.ToLower(tokens[i+1].Text)] {
			continue
		}
		hands = hands || hit.HandsOn
		if !slices.Contains(names, hit.Name) {
			names = append(names, hit.Name)
		}
	}
	return names, hands
}

// insideName tells whether the word at i ends the name of a food that begins
// with the word before.
func (r *Reader) insideName(tokens []lex.Token, i int) bool {
	if i == 0 || tokens[i-1].Kind != lex.Word {
		return false
	}
	words := append(larder.Words(tokens[i-1].Text), larder.Words(tokens[i].Text)...)
	m, ok := r.larder.Index().At(words, 0, true)
	return ok && m.Used == 2 && m.End == len(words)
}

// vessels after a word in -ing make it a thing: "baking dish", "frying pan".
var vessels = map[string]bool{
	"dish": true, "dishes": true, "tray": true, "trays": true, "sheet": true, "sheets": true, "pan": true, "pans": true, "tin": true, "tins": true,
	"paper": true, "parchment": true, "powder": true, "soda": true, "stone": true, "bowl": true, "bowls": true, "pin": true, "rack": true, "board": true,
	"plate": true, "plates": true, "liquid": true, "juices": true, "platter": true, "spoon": true, "water": true, "stock": true, "oil": true, "bag": true,
	"temperature": true, "point": true, "time": true, "times": true, "cup": true, "basket": true, "mat": true, "foil": true, "machine": true,
}

// Cue returns the clause that tells when the step is done: "until the onions
// are translucent".
func Cue(text string) string {
	folded := strings.ToLower(text)
	best := -1
	for _, mark := range []string{"until ", "till ", "or until "} {
		if i := strings.Index(folded, mark); i >= 0 && (best < 0 || i < best) && (i == 0 || folded[i-1] == ' ' || folded[i-1] == '(') {
			best = i
		}
	}
	if best < 0 || len(folded) != len(text) {
		return ""
	}
	clause := text[best:]
	if end := strings.IndexAny(clause, ".;!()"); end > 0 {
		clause = clause[:end]
	}
	for _, stop := range []string{", then ", ", stirring", ", about ", ", turning", ", around "} {
		if end := strings.Index(strings.ToLower(clause), stop); end > 0 {
			clause = clause[:end]
		}
	}
	return strings.TrimRight(strings.TrimPrefix(clause, "or "), ", ")
}
