package recipe

import (
	"regexp"
	"slices"
	"strings"

	"yembra/core/measure"
)

// habits are words by which recipes say whose measures they use. Only plain
// statements count; a dialect word such as "courgette" does not.
var habits = []struct {
	system measure.System
	// any are parts of words of which one must stand in the text.
	any   []string
	words *regexp.Regexp
}{
	{measure.Australian, []string{"ustralian", "20 ml", "20ml"}, regexp.MustCompile(`(?i)\baustralian (?:standard )?(?:measur|cup|tablespoon|spoon|tbsp)\w*|\b20 ?ml (?:metric )?(?:tablespoon|tbsp)s?|tablespoons? (?:is|are|=|of) 20 ?ml`)},
	{measure.Imperial, []string{"mperial ", "k measur", "k pint", "ritish "}, regexp.MustCompile(`(?i)\bimperial (?:measur|pint|cup|fluid)\w*|\b(?:uk|british) (?:measur|pint)\w*`)},
	{measure.US, []string{"us ", "u.s.", "merican ", "236", "237", "240"}, regexp.MustCompile(`(?i)\b(?:us|u\.s\.|american) (?:standard )?(?:measur|cup|pint|tablespoon|customary)\w*|cups? (?:is|are|=|of) 2(?:36|37|40) ?ml`)},
	{measure.Metric, []string{"etric ", "250"}, regexp.MustCompile(`(?i)\bmetric (?:measur|cup|spoon|tablespoon)\w*|cups? (?:is|are|=|of) 250 ?ml`)},
}

// Habit finds whose measures a recipe says it uses, nil when it does not say.
func Habit(text string) *MeasureHabit {
	lower := strings.ToLower(text)
	for _, h := range habits {
		if !slices.ContainsFunc(h.any, func(w string) bool { return strings.Contains(lower, w) }) {
			continue
		}
		if said := h.words.FindString(text); said != "" {
			return &MeasureHabit{System: h.system, Words: strings.TrimSpace(said)}
		}
	}
	return nil
}
