package larder

import (
	"strings"
	"unicode"
	"unicode/utf8"
)

// Words splits text into normalised words: lower case, accents and
// possessives off, singular, one spelling. "Yogurts" and "yoghurt" are alike.
func Words(text string) []string {
	fields := strings.FieldsFunc(Fold(text), func(r rune) bool {
		return !unicode.IsLetter(r) && !unicode.IsDigit(r)
	})
	words := fields[:0]
	for _, f := range fields {
		if f == "s" && len(words) > 0 {
			continue // the possessive of the word before
		}
		words = append(words, Normal(f))
	}
	return collapse(words)
}

// collapse joins "dairy free", "non dairy" and "plant based" to one word each,
// so that a negation is never read apart from what it negates.
func collapse(words []string) []string {
	out := words[:0]
	for _, w := range words {
		if n := len(out); n > 0 && joins[out[n-1]+" "+w] {
			out[n-1] += w
			continue
		}
		out = append(out, w)
	}
	return out
}

var joins = map[string]bool{
	"dairy free": true, "egg free": true, "meat free": true, "milk free": true, "fish free": true, "lactose free": false,
	"non dairy": true, "no egg": true, "plant based": true, "dairy less": true, "butter free": true, "cheese free": true,
	"animal free": true, "cruelty free": true, "honey free": true, "gelatine free": true, "no chicken": true, "no beef": true,
}

// Normal brings one folded word to the form the index is kept in.
func Normal(word string) string {
	word = Singular(word)
	if same, ok := spellings[word]; ok {
		return same
	}
	return word
}

// spellings maps variant spellings to the one the index uses.
var spellings = map[string]string{
	"yogurt": "yoghurt", "yoghourt": "yoghurt", "yogourt": "yoghurt",
	"chili": "chilli", "chile": "chilli", "chily": "chilli", "chilly": "chilli",
	"soya": "soy", "soja": "soy", "tumeric": "turmeric", "whisky": "whiskey",
	"ketchup": "ketchup", "catsup": "ketchup", "doughnut": "donut", "omelet": "omelette",
	"gelatin": "gelatine", "raddish": "radish", "brocoli": "broccoli", "brocolli": "broccoli",
	"zuchini": "zucchini", "courgete": "courgette", "mozarella": "mozzarella", "parmesean": "parmesan",
	"tomatoe": "tomato", "potatoe": "potato", "avacado": "avocado", "cinamon": "cinnamon",
	"vinager": "vinegar", "mayonaise": "mayonnaise", "worchestershire": "worcestershire",
	"worcester": "worcestershire", "shitake": "shiitake", "houmous": "hummus", "humus": "hummus",
	"filet": "fillet", "prawn": "prawn", "cardamon": "cardamom", "cummin": "cumin",
	"tahina": "tahini", "bulghur": "bulgur", "burghul": "bulgur", "cous": "couscous",
	"mincemeat": "mincemeat", "grey": "gray",
}

// Singular takes the plural ending off an English word. It need not be right
// for every word, only the same for all forms of one.
func Singular(w string) string {
	n := len(w)
	switch {
	case n < 4:
		return w
	case strings.HasSuffix(w, "ies") && n > 4:
		return w[:n-3] + "y"
	case strings.HasSuffix(w, "leaves"), strings.HasSuffix(w, "loaves"), strings.HasSuffix(w, "halves"), strings.HasSuffix(w, "calves"):
		return w[:n-3] + "f"
	case strings.HasSuffix(w, "knives"):
		return w[:n-3] + "fe"
	case strings.HasSuffix(w, "oes"), strings.HasSuffix(w, "ches"), strings.HasSuffix(w, "shes"),
		strings.HasSuffix(w, "sses"), strings.HasSuffix(w, "xes"):
		return w[:n-2]
	case strings.HasSuffix(w, "ss"), strings.HasSuffix(w, "us"), strings.HasSuffix(w, "is"):
		return w
	case strings.HasSuffix(w, "s"):
		return w[:n-1]
	}
	return w
}

// Fold lowers the case and drops accents, so that "Crème fraîche" and
// "creme fraiche" meet; typographic apostrophes become plain ones.
func Fold(text string) string {
	if !strings.ContainsFunc(text, func(r rune) bool { return r >= 0x80 || 'A' <= r && r <= 'Z' }) {
		return text
	}
	var b strings.Builder
	b.Grow(len(text))
	for _, r := range text {
		if r < 0x80 {
			b.WriteRune(unicode.ToLower(r))
			continue
		}
		r = unicode.ToLower(r)
		if plain, ok := accents[r]; ok {
			b.WriteString(plain)
			continue
		}
		if unicode.Is(unicode.Mn, r) {
			continue // a combining accent
		}
		b.WriteRune(r)
	}
	return b.String()
}

var accents = func() map[rune]string {
	m := map[rune]string{'’': "'", '‘': "'", 'ʼ': "'", '`': "'", 'æ': "ae", 'œ': "oe", 'ß': "ss", 'đ': "d", 'ł': "l", 'ø': "o", 'ı': "i"}
	for plain, marked := range map[string]string{
		"a": "áàâäãåāăąạảấầẩẫậắằẳẵặ", "c": "çćčĉ", "e": "éèêëēĕėęěẹẻẽếềểễệ", "g": "ğĝ", "i": "íìîïīĭįịỉĩ",
		"n": "ñńňņ", "o": "óòôöõōŏőọỏốồổỗộơớờởỡợ", "r": "řŕ", "s": "śšşș", "t": "ťţț", "u": "úùûüūŭůűųụủưứừửữựũ",
		"y": "ýÿỳỵỷỹ", "z": "źžż", "d": "ď", "l": "ľĺ",
	} {
		for _, r := range marked {
			m[r] = plain
		}
	}
	return m
}()

// Capital returns the text with its first letter as a capital.
func Capital(text string) string {
	first, size := utf8.DecodeRuneInString(text)
	if size == 0 {
		return text
	}
	return string(unicode.ToUpper(first)) + text[size:]
}
