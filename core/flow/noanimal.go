package flow

import (
	"slices"
	"strings"

	"yembra/core/language"
	"yembra/core/larder"
	"yembra/core/recipe"
)

// runsOn tells whether a name that leaves out words between runs into another that goes on
// behind it: "brown the butter beans" is no brown butter.
func (s *mentions) runsOn(words []string, m larder.Match) bool {
	if m.Used == m.End-m.Start {
		return false
	}
	for k := m.Start + 1; k < m.End; k++ {
		if next, ok := s.reader.larder.Index().At(words, k, true); ok && next.End > m.End {
			return true
		}
	}
	return false
}

// ofPlant tells whether a word for a piece of meat is said to be one of a plant: "the ribs of
// the cabbage leaves", but not "the ribs of the lamb".
func (s *mentions) ofPlant(words []string, end int) bool {
	if end >= len(words) || s.reader.lang.Prepositions[words[end]] != "of" {
		return false
	}
	m, ok := s.reader.larder.Index().At(words, s.behindArticles(words, end+1), true)
	return ok && m.Food.Origin == larder.FromPlant
}

// inHand tells whether a part that plants have too is that of a plant which the step named before, of a list in
// which no animal's line goes by the word: "core the cabbage. ... Trim the thick ribs".
func (s *mentions) inHand(words []string, start int) bool {
	lang := s.reader.lang
	at := start - 1
	for at > start-3 && at > 0 && !lang.Definite[words[at]] {
		at--
	}
	if at < 0 || !lang.Definite[words[at]] {
		return false
	}
	plant := false
	for _, l := range s.lines {
		own := larder.Words(l.Name)
		if bodyCalled(&l, words[start]) {
			return false
		}
		plant = plant || l.Origin == larder.FromPlant && len(own) > 0 && slices.Contains(words[:start], own[len(own)-1])
	}
	return plant
}

// bodyCalled tells whether a line of an animal has a word in its name: "pork ribs".
func bodyCalled(l *recipe.Line, word string) bool {
	return l.Origin == larder.FromAnimal && slices.ContainsFunc(larder.Words(l.Name), func(w string) bool { return larder.Singular(w) == larder.Singular(word) })
}

func (s *mentions) behindArticles(words []string, at int) int {
	for at < len(words) && (s.reader.lang.Articles[words[at]] || s.reader.lang.Pointing[words[at]]) {
		at++
	}
	return at
}

// offPlantMilk tells whether what is called milk or cream is said to come off a milk of a plant: "the cream off the
// top of the coconut milk".
func (s *mentions) offPlantMilk(words []string, end int) bool {
	lang := s.reader.lang
	if !lang.StandIns[words[end-1]] {
		return false
	}
	at := end
	for at < len(words) && (lang.Prepositions[words[at]] == "of" || lang.Prepositions[words[at]] == "from") {
		if at = s.behindArticles(words, at+1); at < len(words) && lang.Places[words[at]] {
			at++ // "the top of"
		}
	}
	m, ok := s.reader.larder.Index().At(words, at, true)
	return at > end && ok && m.Food.Origin == larder.FromPlant && lang.StandIns[words[m.End-1]]
}

// measuredBy tells whether a word is only what something is as much as: "as thin as cream",
// "as big as an egg", but not "as soon as the chicken" nor "as well as bacon".
func (s *mentions) measuredBy(words []string, start int) bool {
	lang := s.reader.lang
	as := start - 1
	for as > 0 && lang.Articles[words[as]] && !lang.Definite[words[as]] {
		as--
	}
	return as > 1 && lang.Gauging[words[as-1]] && lang.Subordinators[words[as]] == "comparison" && words[as-2] == words[as]
}

// ordersWithin tells whether an order stands among words, so that what is behind it is no likeness any more:
// "when it begins to colour put in the squid".
func (s *mentions) ordersWithin(words []string) bool {
	lang := s.reader.lang
	for i := range max(len(words)-1, 0) {
		if lang.IsVerb(words[i]) && (lang.Articles[words[i+1]] || lang.Particles[words[i+1]]) {
			return true
		}
	}
	return false
}

// aTool tells whether the words at start are a tool that is called after what it is for: "with a fish slice", but "the fish
// slices".
func (s *mentions) aTool(words []string, start int) bool {
	lang := s.reader.lang
	if start == 0 || !lang.Articles[words[start-1]] || lang.Definite[words[start-1]] {
		return false
	}
	return slices.ContainsFunc(lang.CalledTools, func(name language.List) bool {
		return start+len(name) <= len(words) && slices.Equal(words[start:start+len(name)], name)
	})
}

// animalBeside is the animal matter that a line names beside the food it is read as, empty where it names none: a rib of celery is
// none.
func (r *Reader) animalBeside(l recipe.Line) string {
	for _, a := range r.Animals(r.beforePurpose(l.Text), []recipe.Line{l}) {
		if !r.lang.PlantParts[last(larder.Words(a.Name))] {
			return a.Name
		}
	}
	return ""
}

// beforePurpose is a line up to where it says what it is for, but not where that is to be eaten: "2 lemons, for the chicken", and
// all of "rice, to serve with butter".
func (r *Reader) beforePurpose(text string) string {
	words := strings.Fields(strings.ToLower(text))
	for i := 1; i+1 < len(words); i++ {
		if (r.lang.Purpose[words[i]] || r.lang.Prepositions[words[i]] == "for") && !r.eaten(words[i+1]) {
			return strings.Join(words[:i], " ")
		}
	}
	return text
}

// eaten tells whether a word is a verb, in any form, by which food comes to the table.
func (r *Reader) eaten(word string) bool {
	return slices.ContainsFunc(r.lang.Verb(word), func(v language.Reading) bool {
		return slices.ContainsFunc(r.lang.Orders(v.Lemma), func(name string) bool {
			t := r.larder.Technique(name)
			return t != nil && t.Closes == larder.ClosesTable
		})
	})
}
