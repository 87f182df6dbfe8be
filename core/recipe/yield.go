package recipe

import (
	"regexp"
	"strings"

	"yembra/core/lex"
)

var (
	servesLine  = regexp.MustCompile(`(?i)\b(?:serves|servings?|serving size|yields?|makes|feeds|portions?|^for)\b[^\d]{0,14}(\d+|two|three|four|five|six|eight|ten|twelve)`)
	forPeople   = regexp.MustCompile(`(?i)^for (?:\d+|two|three|four|five|six|eight|ten|twelve)\b`)
	servesStart = regexp.MustCompile(`(?i)^(?:serves|servings?|yields?|makes|feeds)\b`)
	servesAfter = regexp.MustCompile(`(?i)^\W*(\d+)\s*(?:-|–|to)?\s*(\d+)?\s*(?:servings?|portions?|people|persons?)\b`)
)

// serves takes a line that says for how many the dish is.
func (l *layout) serves(b block) bool {
	if row := strings.Split(b.text, "|"); len(row) > 1 && l.mode == before {
		// "Time: 3 hours | For six"
		for _, cell := range row {
			if l.serves(block{text: strings.TrimSpace(cell)}) {
				return true
			}
		}
		return false
	}
	if len(b.text) > 60 || b.bullet && !servesStart.MatchString(b.text) || b.numbered && l.mode == method || l.mode == after {
		return false
	}
	if servesAfter.MatchString(b.text) || servesLine.MatchString(b.text) && (l.mode != method || l.onlyYield(b)) && !strings.HasPrefix(strings.ToLower(b.text), "for the ") {
		lower := strings.ToLower(b.text)
		if strings.HasPrefix(lower, "for ") && !strings.HasSuffix(strings.TrimRight(lower, ":. "), "people") && !servesOnly(lower) {
			return false
		}
		if l.source.Yield == "" {
			l.source.Yield = b.text
		}
		return true
	}
	return false
}

// onlyYield tells whether a block below the method gives no more than for how many the
// dish is: "Makes 6".
func (l *layout) onlyYield(b block) bool {
	return servesStart.MatchString(b.text) && len(strings.Fields(b.text)) <= mostYield && l.source.Yield == "" && l.steps > 0
}

// mostYield is of how many words such a block is at most: "Serves 4 to 6".
const mostYield = 4

// servesOnly tells whether "for 4" is all there is.
func servesOnly(lower string) bool {
	rest := strings.Trim(strings.TrimPrefix(lower, "for "), " .:0123456789-–")
	return rest == "" || rest == "persons" || rest == "to" || lex.NumberWords[rest] > 0
}

// titleYield is for how many a dish is at the end of its name: "Stroganoff for
// 4", "Carbonara — 4 portions".
var titleYield = regexp.MustCompile(`(?i)[\s,–—-]+(?:(?:for|serves|feeds) (\d+|two|three|four|five|six|eight|ten|twelve)(?: people| persons)?|(\d+|two|four|six|eight) (?:portions?|servings?|people|persons))\s*$`)

// titleOf is a name without its yield.
func (l *layout) titleOf(text string) string { return titleYield.ReplaceAllString(text, "") }
