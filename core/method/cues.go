package method

import (
	"fmt"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"yembra/core/larder"
	"yembra/core/measure"
	"yembra/core/recipe"
)

// meatCues end a step by signs that only meat or fish gives.
var meatCues = []string{"pink", "bone", "juices", "opaque", "flakes", "fat runs", "flake easily", "fork-tender", "cooked through", "core", "renders", "the white is", "whites are", "the egg"}

// Cues that end a step in their place: dry heat colours, a sauce seasons, plain
// liquid only heats.
const (
	plantCue   = "until hot through and coloured at the edges"
	wetCue     = "until hot right through"
	braisedCue = "until tender and seasoned to the middle"
	coldCue    = "until seasoned through"
)

// cueFor is the cue for the way of cooking that stands last before it.
func cueFor(before string) string {
	if said := wetVerbs.FindAllString(strings.ToLower(before), -1); said != nil {
		switch said[len(said)-1] {
		case "poach", "boil", "steam":
			return wetCue
		}
		return braisedCue
	}
	if coldVerbs.MatchString(strings.ToLower(before)) && !hotVerbs.MatchString(strings.ToLower(before)) {
		return coldCue
	}
	return plantCue
}

var (
	coldVerbs = regexp.MustCompile(`\b(?:leave|marinat|chill|stand|rest|steep|cure|macerat|toss|season)`)
	hotVerbs  = regexp.MustCompile(`\b(?:fry|sear|brown|grill|roast|bak|char|cook|heat|saut|toast|barbecue)`)
)

var wetVerbs = regexp.MustCompile(`\b(?:poach|boil|steam|simmer|brais|stew|pressure)`)

// fatCue ends a step by the fat that stands apart, which nothing does where
// only water or stock is in the pan.
var fatCue = regexp.MustCompile(`(?i)\b(?:oil|fat|ghee|butter) (?:separates?|stands|parts|rises|floats|runs|splits|surfaces)`)

const dryCue = "until it darkens and smells sweet"

// fatless replaces cues of fat where none of what stands for it is fat.
func (c *Carrier) fatless(text string, used []replacement) string {
	dry := slices.ContainsFunc(used, func(r replacement) bool {
		if r.book == nil || r.chosen.Use != "fry" {
			return false
		}
		main := c.book.Larder().MainFood(r.book)
		return r.short == r.book.Pan || main == nil || main.Aisle == "stocks"
	})
	if !dry {
		return text
	}
	return untilClause.ReplaceAllStringFunc(text, func(clause string) string {
		if fatCue.MatchString(clause) {
			return dryCue
		}
		return clause
	})
}

// meatless drops sentences that only meat asks for and replaces cues that only
// it gives; it returns the text with the cue that now ends it.
func meatless(text string) (string, string) {
	var kept []string
	for _, sentence := range sentences(text) {
		lower := strings.ToLower(sentence)
		if strings.HasPrefix(lower, "skim") || strings.HasPrefix(lower, "spoon off the fat") || strings.HasPrefix(lower, "drain off the fat") {
			continue
		}
		sentence = unskimmed(sentence)
		kept = append(kept, untilClause.ReplaceAllStringFunc(sentence, func(clause string) string {
			if slices.ContainsFunc(meatCues, func(w string) bool { return strings.Contains(strings.ToLower(clause), w) }) {
				return cueFor(sentence[:strings.Index(sentence, clause)])
			}
			return clause
		}))
	}
	text = skinSide.ReplaceAllString(strings.Join(kept, " "), "")
	text = keptFat.ReplaceAllString(rendering.ReplaceAllStringFunc(text, func(verb string) string {
		if strings.HasPrefix(verb, "R") {
			return "Brown"
		}
		return "brown"
	}), "")
	return text, firstCue(text)
}

// firstCue is the first cue of a text.
func firstCue(text string) string { return strings.TrimSpace(untilClause.FindString(text)) }

// rendering is what only fat does; keptFat what then becomes of it.
var (
	rendering = regexp.MustCompile(`\b[Rr]ender(?: the fat (?:from|out of)| down| out)?\b`)
	keptFat   = regexp.MustCompile(`(?i)[,;]? (?:and |then )*(?:keep|keeping|reserve|reserving|save|saving|pour off|pouring off|drain off|draining off|discard|discarding) (?:all but \w+ \w+ of )?the (?:rendered )?fat\b`)
)

// skinSide is how a piece with a skin lies in the pan.
var skinSide = regexp.MustCompile(`(?i),? (?:skin|fat)[- ]side (?:first|down|up)(?: first)?`)

// untilClause is one cue within a sentence.
var untilClause = regexp.MustCompile(`\buntil [^,.;]*`)

// unskimmed takes a clause about skimming off the end of a sentence.
func unskimmed(sentence string) string {
	at := strings.Index(strings.ToLower(sentence), ", skimming")
	if at < 0 || len(strings.ToLower(sentence)) != len(sentence) {
		return sentence
	}
	rest := sentence[at+2:]
	if end := strings.IndexByte(rest, ','); end >= 0 {
		return sentence[:at] + rest[end:]
	}
	return sentence[:at] + "."
}

// sentences splits a step at full stops that end a sentence.
func sentences(text string) []string {
	var out []string
	for {
		i := strings.Index(text, ". ")
		if i < 0 {
			return append(out, text)
		}
		out = append(out, text[:i+1])
		text = strings.TrimSpace(text[i+2:])
	}
}

// Long cooking was for meat: what stands in for it needs minutes. A step that
// cooks longer than longCooking is cut to plantCooking, unless something in it
// needs the time, or it is there to reduce; a stock takes stockCooking, after
// which hours add nothing more.
const (
	longCooking  = 45.0
	plantCooking = 30.0
	stockCooking = 45.0
)

var (
	longTime = regexp.MustCompile(`(?i)\bfor (?:about |at least )?(?:\d+(?:[.,]\d+)?(?:\s*(?:-|–|to)\s*\d+)?|an|one|two|three|four|five|six) ?(?:minutes?|mins?|hours?|hrs?)\b`)
	reduces  = regexp.MustCompile(`(?i)\buncovered|reduc|thick|dry\b|jammy|golden`)
	lifting  = regexp.MustCompile(`(?i) after (?:\d+|an|one|two|three) hours?\b`)
)

// longest is the phrase of a text that gives the longest time.
func longest(text string) string {
	best, most := "", 0.0
	for _, phrase := range longTime.FindAllString(text, -1) {
		n := 1.0
		if m := figureIn.FindAllString(phrase, -1); m != nil {
			n, _ = strconv.ParseFloat(strings.ReplaceAll(m[len(m)-1], ",", "."), 64)
		}
		if hourly.MatchString(phrase) {
			n *= 60
		}
		if n > most {
			best, most = phrase, n
		}
	}
	return best
}

var (
	figureIn = regexp.MustCompile(`\d+(?:[.,]\d+)?`)
	hourly   = regexp.MustCompile(`(?i)\b(?:hours?|hrs?)\b`)
)

// shorter cuts the time of a step that only meat needed.
func (c *Carrier) shorter(text string, s recipe.Step, lines []recipe.Line, used []replacement) (string, *measure.Span, bool) {
	if s.Minutes == nil || s.Minutes.High <= longCooking || reduces.MatchString(s.Text) || len(used) == 0 {
		return "", nil, false
	}
	braised, minutes := false, plantCooking
	for _, r := range used {
		if r.book == nil {
			return "", nil, false
		}
		if f := c.book.Larder().Food(r.line.FoodID()); f != nil && f.Kind == "bones" {
			minutes = stockCooking
		}
		animal := r.line.Animal == larder.Meat || r.line.Animal == larder.Poultry
		braised = braised || animal
		if f := c.book.Larder().MainFood(r.book); f != nil && f.Aisle == "pulses" && r.chosen.Use == "stock" {
			return "", nil, false // the broth of pulses takes its own time
		}
	}
	for _, j := range s.Lines {
		f := c.book.Larder().Food(lines[j].FoodID())
		if f != nil && (f.Aisle == "pulses" || f.Aisle == "grains") {
			return "", nil, false
		}
	}
	found := longest(text)
	if !braised || found == "" || !slices.Contains(s.Techniques, "simmer") && !slices.Contains(s.Techniques, "braise") && !slices.Contains(s.Techniques, "stew") {
		return "", nil, false
	}
	text = strings.Replace(text, found, fmt.Sprintf("for %g minutes", minutes), 1)
	text = lifting.ReplaceAllString(text, " then")
	return text, &measure.Span{Low: minutes, High: minutes}, true
}

// ownTime puts the time that a swap takes in liquid in place of the original's,
// in the sentence that names it.
func ownTime(text string, used []replacement) (string, *measure.Span, bool) {
	said := sentences(text)
	for _, r := range used {
		if r.book == nil || r.book.CookMinutes == 0 {
			continue
		}
		for i, sentence := range said {
			found := longTime.FindString(sentence)
			if found == "" || !strings.Contains(strings.ToLower(sentence), r.short) || !boils.MatchString(sentence) {
				continue
			}
			m := r.book.CookMinutes
			said[i] = strings.Replace(sentence, found, fmt.Sprintf("for %g minutes", m), 1)
			return strings.Join(said, " "), &measure.Span{Low: m, High: m}, true
		}
	}
	return "", nil, false
}

var boils = regexp.MustCompile(`(?i)\b(?:boil|simmer|steam|cook)\b`)
