package method

import (
	"fmt"
	"regexp"
	"slices"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/recipe"
)

// heading is the name of a component without the animal in it: "Celeriac and
// walnut mince sauce" for "Meat sauce".
func (c *Carrier) heading(name string, here []replacement) string {
	s := c.reader.Step(name, nil)
	if name == "" || len(s.Animals) == 0 {
		return name
	}
	shorts := map[string]bool{}
	for _, r := range here {
		if r.book != nil && r.line.Origin == larder.FromAnimal {
			shorts[r.short] = true
		}
	}
	flesh := slices.Contains([]larder.Animal{larder.Meat, larder.Poultry, larder.Fish, larder.Shellfish}, s.Animals[0].Animal)
	if len(larder.Words(name)) == 1 && len(shorts) > 1 && flesh {
		return "Main pieces" // "Meats", of several kinds
	}
	var words []string
	for _, w := range strings.Fields(c.reword(s, nil, here, here)) {
		if len(words) == 0 || !strings.EqualFold(words[len(words)-1], w) {
			words = append(words, w)
		}
	}
	return larder.Capital(strings.Join(words, " "))
}

// fallback names what an animal word gives way to when no line of the recipe
// tells: matter that only the step mentions.
var fallback = map[larder.Animal]string{
	larder.Meat: "filling", larder.Poultry: "filling", larder.Fish: "flakes", larder.Shellfish: "pieces", larder.Dairy: "soy drink",
	larder.Egg: "soy drink", larder.Honey: "syrup", larder.Gelatine: "agar", larder.Fat: "oil", larder.Insect: "beetroot juice",
}

// fallbackHead is more telling than the class where the name ends so.
var fallbackHead = map[string]string{
	"noodle": "wheat noodles", "pasta": "pasta without animal matter", "stock": "vegetable stock", "broth": "vegetable stock", "butter": "oil", "cream": "oat cream",
	"cheese": "yeast flakes", "yoghurt": "soy yoghurt", "parmesan": "yeast flakes", "ghee": "oil", "bechamel": "pale sauce",
}

func fallbackFor(a recipe.Animal) string {
	words := larder.Words(a.Name)
	if len(words) > 0 {
		if short, ok := fallbackHead[words[len(words)-1]]; ok {
			return short
		}
	}
	return fallback[a.Animal]
}

// reword puts the swaps' short names where the step names what they replace.
// Every animal word the reader finds in the new text is replaced, so that none
// is left behind.
func (c *Carrier) reword(s recipe.Step, lines []recipe.Line, used, all []replacement) string {
	text := c.fatless(c.rename(s, used), used)
	text = c.plants(text, s, lines, used, all)
	for _, a := range s.Animals {
		text = aside(text, used, func(rest string) string { return replaceWords(rest, a.Name, c.shortFor(a, text, used, all)) })
	}
	for round := 0; round < 4; round++ {
		left := c.reader.Step(text, nil).Animals
		if len(left) == 0 {
			break
		}
		for _, a := range left {
			short := c.shortFor(a, text, used, all)
			if slices.ContainsFunc(larder.Words(short), func(w string) bool { return slices.Contains(larder.Words(a.Name), w) }) {
				short = fallbackFor(a)
			}
			next := replaceWords(text, a.Name, short)
			if next == text {
				next = replaceWords(text, lastWord(a.Name), short)
			}
			text = next
		}
	}
	for _, r := range all {
		if r.book != nil && strings.Contains(text, r.short) {
			text = smooth(text, r.short, c.melts(r.book))
		}
	}
	return unrepeated(text, used)
}

// aside works on a text with the short names already in it put aside, so that
// the butter of "plant butter" is not replaced again.
func aside(text string, used []replacement, work func(string) string) string {
	for i, r := range used {
		if r.book != nil {
			text = strings.ReplaceAll(text, r.short, fmt.Sprintf("\x01%d\x01", i))
		}
	}
	text = work(text)
	for i, r := range used {
		if r.book != nil {
			text = strings.ReplaceAll(text, fmt.Sprintf("\x01%d\x01", i), r.short)
		}
	}
	return text
}

// rename writes the short names of the swaps for the lines the step uses, where
// it calls them by their whole name or, when no kept line shares it, by the
// last word ("the bones", "the chops").
func (c *Carrier) rename(s recipe.Step, used []replacement) string {
	text := s.Text
	for _, r := range used {
		if r.book == nil {
			continue
		}
		words := larder.Words(r.line.Name)
		if slices.ContainsFunc(used, func(o replacement) bool { return o.index != r.index && slices.Equal(larder.Words(o.line.Name), words) }) {
			continue // two lines of one name: what is done with it tells which is meant
		}
		text = replaceWords(text, r.line.Name, r.short)
		if len(words) < 2 || slices.Contains(larder.Words(r.short), words[len(words)-1]) {
			continue
		}
		head := words[len(words)-1]
		shared := slices.ContainsFunc(used, func(o replacement) bool {
			other := larder.Words(o.line.Name)
			return o.index != r.index && slices.Contains(other, head)
		})
		if !shared && bodily[head] {
			text = replaceWords(text, head, r.short)
		}
	}
	return text
}

// bodily are last words of animal names that steps use alone.
var bodily = map[string]bool{
	"bone": true, "chop": true, "fillet": true, "thigh": true, "drumstick": true, "wing": true, "breast": true, "leg": true, "shank": true, "escalope": true, "joint": true,
	"carcass": true, "loin": true, "shin": true, "belly": true, "shoulder": true, "rib": true, "liver": true, "kidney": true, "yolk": true, "white": true,
}

func lastWord(s string) string {
	words := strings.Fields(s)
	return words[len(words)-1]
}

// shortFor chooses the words for an animal name: the swap of the line whose
// name it shares most, the last word before others; then of a line of the same
// class, then a fallback. An egg that is brushed on is not the one cracked in.
func (c *Carrier) shortFor(a recipe.Animal, text string, used, all []replacement) string {
	words := larder.Words(a.Name)
	if len(words) == 1 && words[0] == "bechamel" {
		return fallbackFor(a) // what the dish makes itself, not what it is made with
	}
	brushed := strings.Contains(strings.ToLower(text), "brush") || strings.Contains(strings.ToLower(text), "glaze")
	best, most := "", 0
	for rank, group := range [][]replacement{used, all} {
		for _, r := range group {
			score := likeness(words, larder.Words(r.line.Name))
			if r.book == nil {
				// Still open: nothing stands for it, and another line's swap does not.
				if score = 2*score - rank; score > most {
					best, most = "", score
				}
				continue
			}
			lineWords := larder.Words(r.line.Name)
			if score == 0 && r.line.Animal == a.Animal && !(len(lineWords) > 0 && slices.Contains(extracts, lineWords[len(lineWords)-1])) {
				score = 1
			}
			if score == 0 {
				continue
			}
			if glaze := r.chosen.Use == "glaze"; glaze == brushed {
				score++
			}
			if score = 2*score - rank; score > most {
				best, most = r.short, score
			}
		}
	}
	if best == "" {
		return fallbackFor(a)
	}
	return best
}

// extracts are last words of what is made from an animal and is none of it: a
// step's "chicken" is not the stock.
var extracts = []string{"stock", "broth", "bouillon", "cube", "sauce", "paste", "powder", "granule", "fat", "dripping", "stock pot"}

// likeness counts the words that two names share, the last word thrice.
func likeness(name, line []string) int {
	if len(line) == 0 || slices.Contains(extracts, line[len(line)-1]) && !slices.Contains(name, line[len(line)-1]) {
		return 0
	}
	score := 0
	for i, w := range name {
		if !slices.Contains(line, w) {
			continue
		}
		score += 2
		if i == len(name)-1 && line[len(line)-1] == w {
			score += 4
		}
	}
	return score
}

// solidFats melt as butter does.
var solidFats = []string{"coconut-oil", "vegan-butter", "creamed-coconut", "vegetable-shortening", "cocoa-butter"}

// melts tells whether a swap is a fat that melts.
func (c *Carrier) melts(s *larder.Swap) bool {
	f := c.book.Larder().MainFood(s)
	return f != nil && slices.Contains(solidFats, f.ID)
}

// plural tells whether a short name is more than one thing.
func plural(short string) bool {
	return strings.HasSuffix(short, "s") && !strings.HasSuffix(short, "ss") || strings.Contains(short, " and ")
}

// adjectives before a name that hold for the original's food only.
var adjectives = regexp.MustCompile(`(?i)\b(?:hard-boiled|soft-boiled|beaten|raw|boiled|melted|rendered|skinned|boned|whole hard-boiled|peeled hard-boiled) `)

// ofTheBody follows the name of meat only: "the bacon fat".
var ofTheBody = regexp.MustCompile(`^(?:['’]s)? (?:fat|drippings?|juices|(?:and|with) (?:its|their|any|all the) (?:resting )?juices)\b`)

// workedOn is what follows a name when the sentence goes on with it: "the beef
// and turn it in the onions until it is coated".
var (
	workedOn = regexp.MustCompile(`^ and (turn|brown|cook|fry|toss|stir|sear|coat|simmer|braise|warm) (it)\b`)
	itIs     = regexp.MustCompile(`\buntil it is `)
)

// smooth mends the words around a swap's name: what was said of egg, meat or
// butter only, verbs that no longer fit, and the number of the verb.
func smooth(text, short string, melts bool) string {
	at := 0
	for {
		i := strings.Index(text[at:], short)
		if i < 0 {
			return text
		}
		i += at
		// What matters before a name stands right before it.
		begin := max(0, i-mostBefore)
		for begin > 0 && !utf8.RuneStart(text[begin]) {
			begin--
		}
		before, after := text[begin:i], text[i+len(short):]
		if m := adjectives.FindAllStringIndex(before, -1); m != nil && m[len(m)-1][1] == len(before) {
			before = before[:m[len(m)-1][0]]
		}
		for _, v := range verbs {
			if v.unlessMelts && melts {
				continue
			}
			if m := v.before.FindStringIndex(before); m != nil {
				kept := v.before.ReplaceAllString(before[m[0]:m[1]], "$1")
				before = before[:m[0]] + v.instead(before[m[0]:m[1]]) + kept
				break
			}
		}
		after = ofTheBody.ReplaceAllString(after, "")
		if plural(short) {
			if strings.HasPrefix(after, " is ") {
				after = " are " + after[len(" is "):]
			} else if m := workedOn.FindStringSubmatchIndex(after); m != nil {
				after = after[:m[4]] + "them" + itIs.ReplaceAllString(after[m[5]:], "until they are ")
			}
		}
		at = begin + len(before) + len(short)
		text = text[:begin] + before + short + after
	}
}

// mostBefore is how many bytes before a name are looked at.
const mostBefore = 64

// verb is one that no longer fits before a name, with what stands instead, and
// behind that what its pattern holds in brackets;
// unlessMelts leaves it where the swap melts as butter does.
type verb struct {
	before      *regexp.Regexp
	to          string
	unlessMelts bool
}

// verbs that fit what was replaced and not what stands for it.
var verbs = []verb{
	{regexp.MustCompile(`(?i)\bcrack (?:an?|the|each|one)? ?$`), "spoon the ", false},
	{regexp.MustCompile(`(?i)\bbreak an? $`), "spoon the ", false},
	{regexp.MustCompile(`(?i)\bmince (?:the )?(?:boiled |cooked )?$`), "crumble the ", false},
	{regexp.MustCompile(`(?i)\bmelt ((?:half |a third of |a quarter of |most of |the rest of )?(?:the )?(?:remaining |other half of the )?)$`), "heat ", true},
	{regexp.MustCompile(`(?i)\bshell and $`), "", false},
	{regexp.MustCompile(`(?i)\bcooks (?:the )?$`), "heats the ", false},
	{regexp.MustCompile(`(?i)\bslices? of (?:the )?$`), "the ", false},
}

// instead keeps a capital at the beginning of a sentence.
func (v verb) instead(was string) string {
	if r, _ := utf8.DecodeRuneInString(was); unicode.IsUpper(r) {
		return larder.Capital(v.to)
	}
	return v.to
}

// replaceWords replaces each run of words that folds to the given name by the
// short name, keeping a capital at the beginning of a sentence and passing
// over repeats ("the fish ... the fish").
func replaceWords(text, name, short string) string {
	want := larder.Words(name)
	if len(want) == 0 {
		return text
	}
	var b strings.Builder
	rest := text
	for {
		start, end := findWords(rest, want)
		if start < 0 {
			b.WriteString(rest)
			return b.String()
		}
		b.WriteString(rest[:start])
		word := short
		if r, _ := utf8.DecodeRuneInString(rest[start:]); unicode.IsUpper(r) && (start == 0 || strings.HasSuffix(strings.TrimSpace(rest[:start]), ".")) {
			word = larder.Capital(short)
		}
		b.WriteString(word)
		rest = rest[end:]
	}
}

// findWords finds the first run of words in text that normalises to want.
func findWords(text string, want []string) (start, end int) {
	type word struct {
		norm       string
		start, end int
	}
	var words []word
	for i := 0; i < len(text); {
		r, n := utf8.DecodeRuneInString(text[i:])
		if !unicode.IsLetter(r) {
			i += n
			continue
		}
		j := i
		for j < len(text) {
			r, n := utf8.DecodeRuneInString(text[j:])
			if !unicode.IsLetter(r) && !unicode.Is(unicode.Mn, r) {
				break
			}
			j += n
		}
		words = append(words, word{larder.Normal(larder.Fold(text[i:j])), i, j})
		i = j
	}
	for i := 0; i+len(want) <= len(words); i++ {
		hit := true
		for k, w := range want {
			if words[i+k].norm != w {
				hit = false
				break
			}
		}
		if hit {
			return words[i].start, words[i+len(want)-1].end
		}
	}
	return -1, -1
}
