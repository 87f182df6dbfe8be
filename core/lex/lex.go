// Package lex splits the text of recipes into words, numbers and marks, and
// reads figures and ranges from them. Everything that reads text goes through
// it once.
package lex

import (
	"strconv"
	"strings"
	"unicode"
	"unicode/utf8"

	"yembra/core/larder"
	"yembra/core/measure"
)

// Kind tells words, numbers and marks apart.
type Kind int

const (
	Word Kind = iota
	Number
	Mark // one punctuation mark
)

// Token is one word, number or mark of a line. start and end are byte offsets
// into the text.
type Token struct {
	Kind       Kind
	Text       string // as written
	Norm       string // folded and normalised, for words
	Value      float64
	Start, End int
	// Glued tells that no space stands before the token.
	Glued bool
}

// Words appends the words that a word is made of, as larder.Words splits them: two of "self-raising".
func (t *Token) Words(to []string) []string {
	if strings.ContainsFunc(t.Text, func(r rune) bool { return !unicode.IsLetter(r) }) {
		return append(to, larder.Words(t.Text)...)
	}
	return append(to, t.Norm)
}

func (t Token) Is(mark string) bool { return t.Kind == Mark && t.Text == mark }

var fractionRunes = map[rune]float64{
	'½': 1.0 / 2, '⅓': 1.0 / 3, '⅔': 2.0 / 3, '¼': 1.0 / 4, '¾': 3.0 / 4, '⅕': 1.0 / 5, '⅖': 2.0 / 5, '⅗': 3.0 / 5,
	'⅘': 4.0 / 5, '⅙': 1.0 / 6, '⅚': 5.0 / 6, '⅐': 1.0 / 7, '⅛': 1.0 / 8, '⅜': 3.0 / 8, '⅝': 5.0 / 8, '⅞': 7.0 / 8, '⅑': 1.0 / 9, '⅒': 0.1,
}

// Scan splits a line into tokens. Numbers take in decimals with point or comma,
// thousands, slash and typographic fractions and mixed numbers ("1 1/2",
// "1-1/2", "1½"); a unit glued to a number becomes a token of its own, and a
// price is a word.
func Scan(text string) []Token {
	s := scanner{text: text, tokens: make([]Token, 0, len(text)/lettersOfToken+2)}
	for s.next() {
	}
	return s.tokens
}

// lettersOfToken is how many letters a token and what follows it take on average.
const lettersOfToken = 4

type scanner struct {
	text   string
	at     int
	tokens []Token
}

func (s *scanner) next() bool {
	start := s.at
	for s.at < len(s.text) {
		r, n := utf8.DecodeRuneInString(s.text[s.at:])
		if !unicode.IsSpace(r) && r != '\u200b' && r != '\ufeff' {
			break
		}
		s.at += n
	}
	if s.at >= len(s.text) {
		return false
	}
	glued := s.at == start && start > 0
	r, n := utf8.DecodeRuneInString(s.text[s.at:])
	switch {
	case isDigit(r) || fractionRunes[r] > 0 || r == '.' && s.at+1 < len(s.text) && isDigit(rune(s.text[s.at+1])):
		s.number(glued)
	case unicode.IsLetter(r):
		s.word(glued)
	case unicode.Is(unicode.Sc, r) && s.at+n < len(s.text) && isDigit(rune(s.text[s.at+n])):
		s.price(n, glued)
	default:
		s.emit(Token{Kind: Mark, Text: plainMark(r), Start: s.at, End: s.at + n, Glued: glued})
		s.at += n
	}
	return true
}

func (s *scanner) emit(t Token) { s.tokens = append(s.tokens, t) }

func isDigit(r rune) bool { return r >= '0' && r <= '9' }

func plainMark(r rune) string {
	switch r {
	case '–', '—', '−', '‐', '‑', '‒':
		return "-"
	case '⁄', '∕':
		return "/"
	case '×':
		return "x"
	}
	return string(r)
}

// word reads letters, inner apostrophes and inner hyphens ("all-purpose").
func (s *scanner) word(glued bool) {
	start := s.at
	for s.at < len(s.text) {
		r, n := utf8.DecodeRuneInString(s.text[s.at:])
		inner := (r == '\'' || r == '’' || r == '-' || r == '‐' || r == '‑' || r == '&') && s.at > start && s.letterAt(s.at+n)
		if !unicode.IsLetter(r) && !unicode.Is(unicode.Mn, r) && !inner {
			break
		}
		s.at += n
	}
	w := s.text[start:s.at]
	s.emit(Token{Kind: Word, Text: w, Norm: larder.Normal(larder.Fold(w)), Start: start, End: s.at, Glued: glued})
}

// price reads a sum of money, which is no amount of anything: "the thickness of a £1 coin".
func (s *scanner) price(sign int, glued bool) {
	start := s.at
	s.at += sign
	s.decimal()
	w := s.text[start:s.at]
	s.emit(Token{Kind: Word, Text: w, Norm: w, Start: start, End: s.at, Glued: glued})
}

func (s *scanner) letterAt(i int) bool {
	r, _ := utf8.DecodeRuneInString(s.text[i:])
	return i < len(s.text) && unicode.IsLetter(r)
}

func (s *scanner) number(glued bool) {
	start := s.at
	v, ok := s.fraction()
	if !ok {
		v = s.decimal()
		// A fraction after a whole number makes a mixed one.
		mark := s.at
		s.skipJoin()
		if f, ok := s.fraction(); ok && f < 1 && v == float64(int(v)) {
			v += f
		} else {
			s.at = mark
		}
	}
	if text := s.text[start:s.at]; v > measure.MostFigure {
		s.emit(Token{Kind: Word, Text: text, Norm: text, Start: start, End: s.at, Glued: glued}) // no amount of anything
		return
	}
	s.emit(Token{Kind: Number, Text: s.text[start:s.at], Value: v, Start: start, End: s.at, Glued: glued})
}

// skipJoin passes what may stand between the parts of a mixed number.
func (s *scanner) skipJoin() {
	if rest := s.text[s.at:]; strings.HasPrefix(rest, "-") || strings.HasPrefix(rest, "–") || strings.HasPrefix(rest, "‑") {
		_, n := utf8.DecodeRuneInString(rest)
		s.at += n
		return
	}
	for s.at < len(s.text) {
		r, n := utf8.DecodeRuneInString(s.text[s.at:])
		if r != ' ' && r != '\u00a0' && r != '\u2009' && r != '\u202f' {
			break
		}
		s.at += n
	}
	if strings.HasPrefix(s.text[s.at:], "& ") {
		s.at += len("& ")
	}
}

// fraction reads "½" or "1/2" at the current place.
func (s *scanner) fraction() (float64, bool) {
	if s.at >= len(s.text) {
		return 0, false
	}
	r, n := utf8.DecodeRuneInString(s.text[s.at:])
	if v := fractionRunes[r]; v > 0 {
		s.at += n
		return v, true
	}
	i := s.at
	top, i := digits(s.text, i)
	if top == "" || len(top) > 2 {
		return 0, false
	}
	r, n = utf8.DecodeRuneInString(s.text[i:])
	if r != '/' && r != '⁄' && r != '∕' {
		return 0, false
	}
	bottom, i := digits(s.text, i+n)
	a, _ := strconv.Atoi(top)
	b, _ := strconv.Atoi(bottom)
	if b < 2 || b > 16 || a >= 3*b || len(bottom) > 2 {
		return 0, false
	}
	s.at = i
	return float64(a) / float64(b), true
}

func digits(text string, i int) (string, int) {
	start := i
	for i < len(text) && isDigit(rune(text[i])) {
		i++
	}
	return text[start:i], i
}

// decimal reads "12", "1.5", "1,5" or "1,000".
func (s *scanner) decimal() float64 {
	whole, i := digits(s.text, s.at)
	if i < len(s.text) && (s.text[i] == '.' || s.text[i] == ',') {
		rest, j := digits(s.text, i+1)
		switch {
		case rest == "":
		case s.text[i] == ',' && len(rest) == 3 && whole != "0":
			whole, i = whole+rest, j
		default:
			s.at = j
			v, _ := strconv.ParseFloat(whole+"."+rest, 64)
			return v
		}
	}
	s.at = i
	v, _ := strconv.ParseFloat(whole, 64)
	return v
}
