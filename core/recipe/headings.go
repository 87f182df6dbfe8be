package recipe

import (
	"strings"
	"unicode"

	"yembra/core/larder"
)

var ingredientHeads = []string{"ingredients", "ingredient list", "you will need", "you'll need", "what you need", "shopping list", "what you'll need", "for this you need", "what goes in", "you need", "things you need"}

// announcingHeads ask for a list within a sentence.
var announcingHeads = []string{"you will need", "you'll need", "you need", "you want", "you'll want", "i use", "we use", "it takes"}

var methodHeads = []string{"method", "directions", "instructions", "preparation", "steps", "procedure", "how to make it", "to make", "what to do", "how to make", "how to cook", "cooking", "cooking method", "cooking instructions", "making it", "prep", "the method", "the cooking", "how to do it", "to cook", "let's cook", "process", "how it goes", "cooking directions", "how we make it", "how to", "here's how", "how", "how i do it", "how i make it", "how i cook it", "how we do it", "how we cook it", "how you do it", "my way", "what i do", "what we do"}

var afterHeads = []string{"notes", "note", "tips", "tip", "nutrition", "nutritional information", "storage", "variations", "comments", "cook's notes", "cook's note", "recipe notes", "nutrition facts", "nutrition information", "to store", "equipment", "about this recipe", "faq", "make ahead", "serving suggestions", "you may also like", "chef's notes", "cook's tip", "cook's tips", "leftovers", "background", "story", "the story", "history", "source", "per serving", "did you make this", "share this", "related recipes"}

func isOneOf(text string, heads []string) bool {
	t := strings.ToLower(strings.Trim(text, " :.*#_-–—="))
	if _, second, ok := strings.Cut(t, " / "); ok && isOneOf(second, heads) {
		return true // said in two languages
	}
	for _, h := range heads {
		if t == h || strings.HasPrefix(t, h+" (") || (strings.HasPrefix(t, h+" for ") || strings.HasPrefix(t, h+" to ")) && len(t) < 60 || strings.HasPrefix(t, h+":") {
			return true
		}
	}
	return false
}

// labelled tells whether a text opens with a heading and a colon and goes on
// behind it: "Ingredients: 500 g cod; 8 limes".
func labelled(text string, heads []string) bool {
	label, rest, ok := strings.Cut(text, ":")
	label = strings.ToLower(strings.TrimSpace(label))
	if !ok || strings.TrimSpace(rest) == "" || label == "prep" || label == "cooking" {
		return false // "Prep: 20 mins" gives times
	}
	for _, h := range heads {
		if label == h {
			return true
		}
	}
	return false
}

// partName reads the part out of "Ingredients for the topping".
func partName(text string) string {
	lower := strings.ToLower(text)
	if i := strings.Index(lower, " for the "); i > 0 {
		return larder.Capital(strings.Trim(text[i+len(" for the "):], " :.*"))
	}
	if i := strings.Index(lower, " to "); i > 0 {
		return larder.Capital(strings.Trim(text[i+1:], " :.*"))
	}
	return ""
}

// partHeading tells whether a block names a part of the dish.
func (l *layout) partHeading(b block) bool {
	text := strings.TrimRight(b.text, ": ")
	lower := strings.ToLower(text)
	if len(text) > 60 || text == "" {
		return false
	}
	if b.leads {
		return true
	}
	if b.heading {
		_, hasNumber := firstNumber(text)
		return !hasNumber || strings.HasPrefix(lower, "for ")
	}
	if strings.HasPrefix(lower, "for the ") || strings.HasPrefix(lower, "to make the ") || strings.HasPrefix(lower, "to serve") && len(lower) < 12 {
		return len(strings.Fields(text)) <= 7 && !strings.Contains(text, ".")
	}
	upper := text == strings.ToUpper(text) && strings.ContainsFunc(text, unicode.IsUpper) && len(text) > 2
	if _, numbered := firstNumber(text); upper && b.blank && !b.bullet && !numbered && len(strings.Fields(text)) <= 4 {
		return true // "DOUGH", though dough is a food as well
	}
	return upper && !b.bullet && !l.ingredientLike(b)
}

func partTitle(text string) string {
	t := strings.Trim(text, " :*#_-–—=")
	lower := strings.ToLower(t)
	for _, p := range []string{"ingredients for the ", "for the ", "to make the ", "ingredients for ", "the ", "for "} {
		if strings.HasPrefix(lower, p) {
			t = t[len(p):]
			break
		}
	}
	if t == strings.ToUpper(t) {
		t = strings.ToLower(t)
	}
	return larder.Capital(strings.TrimSpace(t))
}
