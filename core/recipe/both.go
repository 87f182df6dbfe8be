package recipe

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/measure"
)

// bothParts takes a line apart that asks for two parts of one thing, each with its amount: "zest of 2
// lemons and 75 ml of their juice". It is the line itself where it is no such line.
func (l *layout) bothParts(text string) []string {
	if parts := l.inAnother(text); parts != nil {
		return parts
	}
	if parts := l.doneWith(text); parts != nil {
		return parts
	}
	if parts := l.ofSeveralOrigins(text); parts != nil {
		return parts
	}
	if parts := l.animalBehind(text); parts != nil {
		return parts
	}
	if parts := l.andAgain(text); parts != nil {
		return parts
	}
	if parts := l.plusAnother(text); parts != nil {
		return parts
	}
	lang := l.reader.larder.Language()
	words := strings.Fields(text)
	for k := len(words) - 1; k > 1; k-- {
		tail := words[min(k+1, len(words)):]
		if !lang.Conjunctions[strings.ToLower(words[k])] || len(tail) < 2 || !l.quantityFirst(strings.Join(tail, " ")) {
			continue
		}
		part := tail[len(tail)-1]
		_, juice := l.reader.lines().Parts[strings.ToLower(part)]
		head := strings.TrimRight(strings.Join(words[:k], " "), ",")
		first := l.line(head)
		if !juice || first.Food == nil || first.Amount == nil || l.line(strings.Join(tail, " ")).Food != nil {
			return []string{text}
		}
		amount := tail[:len(tail)-1]
		for n := len(amount); n > 0 && (lang.Possessives[strings.ToLower(amount[n-1])] || lang.Articles[strings.ToLower(amount[n-1])] || lang.Prepositions[strings.ToLower(amount[n-1])] == "of"); n-- {
			amount = amount[:n-1]
		}
		named := larder.Singular(strings.ToLower(words[k-1]))
		if strings.Contains(head, ",") {
			named = strings.ToLower(first.Name) // "150 g kimchi, roughly chopped, plus 2 tbsp of its juice"
		}
		return []string{head, strings.Join(amount, " ") + " " + named + " " + part}
	}
	return []string{text}
}

// inAnother takes a line apart that puts one thing into an amount of another that comes from an animal:
// "a pinch of saffron in 4 tbsp warm milk", "1 yolk beaten with 1 tbsp cream". Both are bought.
func (l *layout) inAnother(text string) []string {
	lang := l.reader.larder.Language()
	words := strings.Fields(text)
	for k := len(words) - 2; k > 0; k-- {
		role := lang.Prepositions[strings.ToLower(words[k])]
		tail := strings.Join(words[k+1:], " ")
		if role != "in" && role != "with" || !l.quantityFirst(tail) {
			continue
		}
		head := strings.Join(words[:k], " ")
		first, second := l.line(head), l.line(tail)
		if first.Food == nil || first.Amount == nil || second.Food == nil || second.Origin != larder.FromAnimal || *first.Food == *second.Food {
			return nil
		}
		if second.Amount != nil {
			if d, known := measure.DimensionOf(second.Amount.Unit); !known || d == measure.Count {
				return nil // "kingfish, in 3 cm steaks"
			}
		}
		head = strings.TrimRight(head, " ,")
		if lemma := l.doneCold(words[k-1]); role == "with" && lemma != "" {
			if bare := strings.TrimRight(strings.Join(words[:k-1], " "), " ,"); l.line(bare).Food != nil {
				head, first = bare+", "+words[k-1], l.line(bare)
			}
			aim := l.aimBehind(tail)
			head, tail = head+aim, l.toDo(strings.TrimSuffix(tail, aim), lemma, first.Name)
		}
		return []string{head, tail}
	}
	return nil
}

// aimBehind is what a line says behind a comma that it is for, comma and all: ", to glaze".
func (l *layout) aimBehind(text string) string {
	lang := l.reader.larder.Language()
	for at := strings.Index(text, ","); at >= 0 && at+1 < len(text); {
		if words := strings.Fields(text[at+1:]); len(words) > 0 && (lang.Purpose[strings.ToLower(words[0])] || lang.Prepositions[strings.ToLower(words[0])] == "for") {
			return text[at:]
		}
		next := strings.Index(text[at+1:], ",")
		if next < 0 {
			return ""
		}
		at += 1 + next
	}
	return ""
}

// toDo is a line that says what is done with it to another: "milk, to soak the bread".
func (l *layout) toDo(text, lemma, other string) string {
	w := l.reader.larder.Language().Writing
	return strings.Join([]string{text + ",", w.To, lemma, w.The, other}, " ")
}

// doneWith takes a line apart that says with a word, or behind one, which animal matter was used on a food of
// plants: "12 slices buttered bread", "1 slice of bread soaked in milk". Both are bought.
func (l *layout) doneWith(text string) []string {
	lang := l.reader.larder.Language()
	words := strings.Fields(text)
	plant := func(part string) bool {
		f := l.line(part)
		return f.Food != nil && f.Origin != larder.FromAnimal
	}
	for k, w := range words {
		if by := lang.Lines.UsedOn[strings.ToLower(strings.TrimRight(w, ","))]; by != "" {
			if rest := strings.TrimRight(strings.Join(l.withoutWord(words, k), " "), ", "); plant(rest) {
				return []string{rest, by}
			}
		}
		role := lang.Prepositions[strings.ToLower(w)]
		if k < 2 || k+1 == len(words) || role != "in" && role != "with" {
			continue
		}
		lemma := l.doneCold(words[k-1])
		if lemma == "" {
			continue
		}
		head, tail := strings.TrimRight(strings.Join(words[:k], " "), " ,"), strings.Join(words[k+1:], " ")
		if second := l.line(tail); second.Food != nil && second.Origin == larder.FromAnimal && second.Amount == nil && l.namesOnly(tail, l.reader.larder.Food(*second.Food)) && plant(head) {
			if strings.HasSuffix(words[k-1], ",") {
				return []string{head, tail} // "3 apples, cored, with whipped cream"
			}
			return []string{head, l.toDo(tail, lemma, l.line(head).Name)}
		}
	}
	return nil
}

// withoutWord takes one word out of a line, with the "and" that joined it to another.
func (l *layout) withoutWord(words []string, k int) []string {
	lang, rest := l.reader.larder.Language(), slices.Clone(words)
	switch {
	case k+1 < len(words) && lang.Conjunctions[strings.ToLower(words[k+1])]:
		return slices.Delete(rest, k, k+2)
	case k > 1 && lang.Conjunctions[strings.ToLower(words[k-1])]:
		rest[k-2] += words[k][len(strings.TrimRight(words[k], ",")):]
		return slices.Delete(rest, k-1, k+1)
	}
	return slices.Delete(rest, k, k+1)
}

// doneCold is the verb of a word that says what was done to something without a fire: "soaked", but not
// "fried", of which it is empty.
func (l *layout) doneCold(word string) string {
	lang := l.reader.larder.Language()
	for _, r := range lang.Verb(strings.ToLower(strings.Trim(word, ","))) {
		if r.Form == language.Past && slices.ContainsFunc(lang.Orders(r.Lemma), func(name string) bool {
			t := l.reader.larder.Technique(name)
			return t != nil && t.Heat == ""
		}) {
			return r.Lemma
		}
	}
	return ""
}

// ofSeveralOrigins takes a line of several foods without amounts apart of which some come from an animal
// and some do not: "cucumber and tomato slices, prawn crackers".
func (l *layout) ofSeveralOrigins(text string) []string {
	if _, numbered := firstNumber(text); numbered || !strings.Contains(text, ",") || strings.ContainsAny(text, ".;:(") {
		return nil
	}
	var items []string
	animal, plant := false, false
	for part := range strings.SplitSeq(text, ",") {
		if part = l.behindAnd(part); part == "" {
			return nil
		}
		if len(items) > 0 && l.servesWith(part) {
			items[len(items)-1] += ", " + part
			continue
		}
		one := []string{part}
		if left, right, ok := l.cutAtAnd(part); ok && l.line(left).Origin != l.line(right).Origin {
			one = []string{left, right}
		}
		for _, item := range one {
			line := l.line(item)
			if line.Food == nil || line.Preparation != "" && !l.servesWith(line.Preparation) {
				return nil
			}
			animal = animal || line.Origin == larder.FromAnimal || line.Origin == larder.Mixed
			plant = plant || line.Origin == larder.FromPlant || line.Origin == larder.FromFungus || line.Origin == larder.FromMineral
		}
		items = append(items, one...)
	}
	if !animal || !plant || len(items) < leastRowItems {
		return nil
	}
	return items
}

// animalBehind takes a line apart that names a food from an animal behind a comma and another before:
// "400 g spaghetti, more Parmesan", "1 lettuce, some bacon".
func (l *layout) animalBehind(text string) []string {
	parts := strings.Split(text, ",")
	for k := len(parts) - 1; k > 0; k-- {
		head, tail := strings.TrimSpace(strings.Join(parts[:k], ",")), l.behindAnd(parts[k])
		if strings.ContainsAny(tail, "()") || strings.Count(head, "(") != strings.Count(head, ")") {
			continue
		}
		first, second := l.line(head), l.line(tail)
		if second.Food == nil || second.Origin != larder.FromAnimal || first.Food == nil || first.Origin == larder.FromAnimal || first.Origin == larder.Mixed {
			continue
		}
		if !l.namesOnly(tail, l.reader.larder.Food(*second.Food)) {
			continue
		}
		var rest []string
		if k+1 < len(parts) {
			if behind := strings.Join(parts[k+1:], ","); l.line(l.behindAnd(parts[k+1])).Food == nil {
				tail += "," + behind // "to serve"
			} else {
				rest = l.bothParts(l.behindAnd(behind))
			}
		}
		return append(append(l.bothParts(head), tail), rest...)
	}
	return nil
}

// namesOnly tells whether words name a food and say nothing else but that it is more, or some, of it, and
// what for.
func (l *layout) namesOnly(name string, f *larder.Food) bool {
	lang := l.reader.larder.Language()
	words := larder.Words(name)
	if at := slices.IndexFunc(words, func(w string) bool {
		return lang.Purpose[w] || lang.Prepositions[w] == "for" || lang.Prepositions[w] == "to"
	}); at > 0 {
		words = words[:at] // "to serve"
	}
	found := l.reader.match.name(words, false)
	return found.food == f && found.end == len(words) && !slices.ContainsFunc(words[:found.start], func(w string) bool {
		return !lang.Rests[w] && !lang.Extras[w] && !l.reader.lines().More[w] && !lang.Articles[w] && !l.reader.larder.Words().Neutral[w]
	})
}

// servesWith tells whether words only say what the food before them is for: "to serve", "for dipping", "to
// sprinkle", which is work here and no food, whatever else is called so.
func (l *layout) servesWith(text string) bool {
	lang := l.reader.larder.Language()
	words := larder.Words(text)
	if len(words) < 2 || lang.Prepositions[words[0]] != "for" && !lang.Purpose[words[0]] {
		return false
	}
	return lang.Purpose[words[0]] && lang.IsVerb(words[1]) || lang.Articles[words[1]] || l.line(text).Food == nil // "for the mash"
}
