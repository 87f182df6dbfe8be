package recipe

import (
	"slices"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
)

// andAgain takes a line of animal matter apart that asks for a second measure of it, for other work: "2 tsp fish sauce, plus
// 1 tbsp for the soup". What stands for the two need not be one thing.
func (l *layout) andAgain(text string) []string {
	lang := l.reader.larder.Language()
	words := strings.Fields(text)
	for k := len(words) - 2; k > 1; k-- {
		tail := strings.Join(words[k+1:], " ")
		if !lang.Extras[strings.ToLower(words[k])] || lang.Articles[strings.ToLower(words[k+1])] || !l.quantityFirst(tail) {
			continue
		}
		first, second := l.line(strings.TrimRight(strings.Join(words[:k], " "), " ,")), l.line(tail)
		if first.Food == nil || first.Amount == nil || second.Food != nil || second.Amount == nil || first.Origin != larder.FromAnimal {
			return nil
		}
		said := words[k+1:]
		at := slices.IndexFunc(said, func(w string) bool { return lang.Purpose[w] || lang.Prepositions[w] != "" })
		if d, known := measure.DimensionOf(second.Amount.Unit); !known || d == measure.Count && at != 1 {
			return nil // but "1 egg, plus 1 to glaze"
		}
		switch {
		case at < 0:
			at = len(said)
		case lang.Prepositions[said[at]] == "of":
			return nil // "plus 2 tbsp of its juice"
		}
		again := append(slices.Clone(said[:at]), first.Name)
		return []string{first.Text, strings.Join(append(again, said[at:]...), " ")}
	}
	return nil
}

// plusAnother takes a line apart that asks for an amount of another animal matter besides: "Parmesan rind, plus 30 g grated Parmesan".
func (l *layout) plusAnother(text string) []string {
	words := strings.Fields(text)
	for k := len(words) - 2; k > 0; k-- {
		tail := strings.Join(words[k+1:], " ")
		if !l.reader.larder.Language().Extras[strings.ToLower(words[k])] || !l.quantityFirst(tail) {
			continue
		}
		head := strings.TrimRight(strings.Join(words[:k], " "), " ,")
		first, second := l.line(head), l.line(tail)
		if first.Food == nil || second.Food == nil || second.Amount == nil || *first.Food == *second.Food || first.Origin != larder.FromAnimal || second.Origin != larder.FromAnimal {
			return nil
		}
		return []string{head, tail}
	}
	return nil
}

// otherwise tells whether an item offers another amount for its own: "1 crab, or about 100 g brown and 200 g white crabmeat".
func (r *Reader) otherwise(item string) bool {
	words := strings.Fields(item)
	for k := range words {
		if _, numbered := firstNumber(strings.Join(words[k+1:], " ")); numbered && r.lines().Or[words[k]] {
			return true
		}
	}
	return false
}
