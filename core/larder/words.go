package larder

import (
	"strings"
	"sync"
	"unicode"
	"unicode/utf8"

	"yembra/core/language"
	"yembra/knowledge"
)

// Words splits text into normalised words: lower case, accents and
// possessives off, singular, one spelling. "Yogurts" and "yoghurt" are alike.
func Words(text string) []string {
	folded, spelt := Fold(text), spelling()
	words := make([]string, 0, strings.Count(folded, " ")+1)
	for at := 0; at < len(folded); {
		from := at
		r, n := utf8.DecodeRuneInString(folded[at:])
		for unicode.IsLetter(r) || unicode.IsDigit(r) {
			if at += n; at == len(folded) {
				break
			}
			r, n = utf8.DecodeRuneInString(folded[at:])
		}
		if from == at {
			at += n
			continue
		}
		word := folded[from:at]
		if len(words) > 0 && spelt.Possessive[word] {
			continue // of the word before
		}
		words = append(words, spelt.Same(spelt.Singular(word)))
	}
	return collapse(words)
}

// collapse joins "dairy free", "non dairy" and "plant based" to one word each,
// so that a negation is never read apart from what it negates.
func collapse(words []string) []string {
	out, spelt := words[:0], spelling()
	for _, w := range words {
		if n := len(out); n > 0 && spelt.Joins(out[n-1], w) {
			out[n-1] += w
			continue
		}
		out = append(out, w)
	}
	return out
}

// Normal brings one folded word to the form the index is kept in.
func Normal(word string) string {
	word = Singular(word)
	return spelling().Same(word)
}

// Singular takes the plural ending off a word. It need not be right for every word, only the
// same for all forms of one.
func Singular(w string) string { return spelling().Singular(w) }

// spelling is how words of the language are brought to one form, read once: the index and
// all that is looked up in it must agree on it.
var spelling = sync.OnceValue(func() *language.Spelling {
	s, err := language.LoadSpelling(knowledge.Shipped(), locale)
	if err != nil {
		panic(err) // a table that ships with the program, held by a test
	}
	return s
})

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
