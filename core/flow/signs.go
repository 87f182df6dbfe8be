package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// signs takes a cue apart into what it waits for, without the word for until before it.
func (t *text) signs(cue [2]int) []recipe.Sign {
	from := cue[0]
	for t.is(from, t.lang.Until) {
		from++
	}
	if cue[1] <= from || from == cue[0] {
		return nil // "to soft peaks"
	}
	var out []recipe.Sign
	whole := t.slice(from, cue[1])
	for begin, i := from, from; i <= cue[1]; i++ {
		if i < cue[1] && !t.lang.Lines.And[t.low(i)] && !t.lang.Exceptions[t.low(i)] {
			continue
		}
		if text := strings.Trim(t.slice(begin, i), " ,"); i > begin && text != "" {
			s := recipe.Sign{Text: text, Says: t.saysOfWhat(text), But: len(out) > 0 && t.lang.Exceptions[t.low(begin-1)]}
			if !t.looksGoing(begin) {
				s.Text = t.withVerb(text, whole) // but "starting to brown"
			}
			if said := larder.Words(text); len(said) > 0 && t.lang.Pronouns[said[0]] {
				s.Points = said[0]
			}
			if words := strings.Fields(s.Text); s.Says {
				if at := slices.IndexFunc(words, func(w string) bool { return t.lang.Being[strings.ToLower(w)] }); at > 0 {
					s.State = strings.Join(words[at+1:], " ")
				}
			}
			out = append(out, s)
		}
		begin = i + 1
	}
	return out
}

// hedged is where the words for a cue begin with those that only hedge it: "just until they curl".
func (t *text) hedged(cue [2]int) [2]int {
	for cue[1] > cue[0] && cue[0] > 0 && t.is(cue[0]-1, t.lang.Barely) {
		cue[0]--
	}
	return cue
}

// saysOfWhat tells whether a sign says of what it is one: "the sauce is thick", but not "nearly dry", nor "is 52 degrees in
// the middle".
func (t *text) saysOfWhat(sign string) bool {
	if first, _, _ := strings.Cut(strings.ToLower(sign), " "); t.lang.Being[first] {
		return false
	}
	return slices.ContainsFunc(strings.Fields(strings.ToLower(sign)), func(w string) bool {
		return t.lang.Shares[w] == 0 && (t.lang.Articles[w] || t.lang.Pointing[w] || t.lang.Subjects[w] || t.lang.Pronouns[w])
	})
}

// withVerb gives a sign the verb that it shares with one before it: "the sauce is syrupy", of "the
// meat is tender and the sauce syrupy".
func (t *text) withVerb(sign, cue string) string {
	words := strings.Fields(sign)
	if t.hasVerb(words) {
		return sign
	}
	is := func(w string) bool { return t.lang.Being[strings.ToLower(w)] }
	all := strings.Fields(cue)
	at := slices.IndexFunc(all, is)
	if begin := strings.Index(cue, sign); at > 0 && begin >= 0 && len(strings.Fields(cue[:begin])) < at && !slices.ContainsFunc(words, is) && !t.onlyLook(words) {
		shared, _, _ := strings.Cut(strings.Join(t.untilNextSign(all[at:]), " "), ",")
		return sign + " " + shared // of "the ragù and the sheets are used up"
	}
	tied := func(w string) bool { return t.lang.Prepositions[strings.ToLower(w)] != "" } // "the sauce clings to it"
	if len(words) < 2 || at < 0 || slices.ContainsFunc(words, is) || slices.ContainsFunc(words[1:], tied) || slices.ContainsFunc(words, func(w string) bool {
		return !t.lang.DriedWords[w] && !t.lang.DoneWords[w] && slices.ContainsFunc(t.lang.Verb(w), func(r language.Reading) bool { return r.Form == language.Third || r.Form == language.Past })
	}) {
		return sign
	}
	verb, state := all[at], len(words)-1
	for state > 2 && (t.lang.Adverbs[words[state-1]] || strings.HasSuffix(words[state-1], t.lang.AdverbEnd)) {
		state-- // "the liquid is almost gone"
	}
	if last := strings.ToLower(words[state-1]); t.lang.BeingMany[verb] != "" && larder.Singular(last) != last {
		verb = t.lang.BeingMany[verb] // "the sauce is thick and the carrots are soft"
	} else if last == larder.Singular(last) {
		for one, many := range t.lang.BeingMany {
			if many == verb {
				verb = one
			}
		}
	}
	return strings.Join(slices.Insert(words, state, verb), " ")
}

// onlyLook tells whether a sign is no more than how something looks or feels: "golden", "lightly browned".
func (t *text) onlyLook(words []string) bool {
	return !slices.ContainsFunc(words, func(w string) bool {
		low := strings.ToLower(w)
		return !t.lang.Surfaces[low] && !t.lang.DoneWords[low] && !t.lang.AdjectiveVerbs[low] && !t.lang.Adverbs[low] && !strings.HasSuffix(low, t.lang.AdverbEnd)
	})
}

// untilNextSign is what is said up to where something else is said of another: "are tender", of "are tender and the oil rises".
func (t *text) untilNextSign(words []string) []string {
	for k, w := range words {
		rest := words[k+1:]
		if k > 0 && t.lang.Lines.And[strings.ToLower(w)] && (t.hasVerb(rest) || slices.ContainsFunc(rest, func(w string) bool { return t.lang.Being[strings.ToLower(w)] })) {
			return words[:k]
		}
	}
	return words
}

// hasVerb tells whether a sign has a verb of its own: "they float", "the seams split".
func (t *text) hasVerb(sign []string) bool {
	if len(sign) > 1 && t.lang.Pronouns[strings.ToLower(sign[0])] {
		return true
	}
	if len(sign) > 1 && slices.ContainsFunc(sign[1:], func(w string) bool { return t.lang.Seeming[strings.ToLower(w)] }) {
		return true // "the kitchen smells good"
	}
	return len(sign) > 2 && slices.ContainsFunc(sign[2:], func(w string) bool {
		return slices.ContainsFunc(t.lang.Verb(strings.ToLower(w)), func(r language.Reading) bool {
			return r.Form == language.Third || r.Form == language.Base && !t.foods(larder.Singular(strings.ToLower(w)))
		})
	})
}
