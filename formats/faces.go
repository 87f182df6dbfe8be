package formats

import (
	"fmt"
	"strings"
	"sync"
	"unicode"

	"golang.org/x/image/font/sfnt"
)

// face is one cut of a family of type.
type face struct {
	name string
	data []byte
	// bold and title tell what it is for; any face may stand in.
	bold, title bool
	font        *sfnt.Font
}

// cardFaces are the faces of a card, in the order in which they are tried: the two
// families of the interface, and one for letters that these do not have.
var cardFaces = sync.OnceValues(func() ([]*face, error) {
	list := []*face{
		{name: "Fraunces-SemiBold", title: true},
		{name: "SourceSans3-Regular"},
		{name: "SourceSans3-SemiBold", bold: true},
		{name: "DejaVuSans"},
		{name: "DejaVuSans-Bold", bold: true},
	}
	for _, f := range list {
		var err error
		if f.data, err = fonts.ReadFile("fonts/" + f.name + ".ttf"); err != nil {
			return nil, fmt.Errorf("read the card's type: %w", err)
		}
		if f.font, err = sfnt.Parse(f.data); err != nil {
			return nil, fmt.Errorf("read the card's type %s: %w", f.name, err)
		}
	}
	return list, nil
})

// covers tells whether a face has all letters of a text.
func (f *face) covers(text string) bool {
	var b sfnt.Buffer
	for _, r := range text {
		if unicode.IsSpace(r) {
			continue
		}
		if g, err := f.font.GlyphIndex(&b, r); err != nil || g == 0 {
			return false
		}
	}
	return true
}

// pick chooses the first face that suits a style and has the letters; where a
// title's has not, a bold one.
func pick(faces []*face, st style, text string) *face {
	bold := st.bold || st.title
	for _, f := range faces {
		if (f.title && st.title || !f.title && f.bold == bold) && f.covers(text) {
			return f
		}
	}
	return faces[len(faces)-1]
}

// fractions are those that many faces lack, written out.
var fractions = map[rune]string{
	'⅓': "1/3", '⅔': "2/3", '⅛': "1/8", '⅜': "3/8", '⅝': "5/8", '⅞': "7/8", '⅕': "1/5", '⅖': "2/5", '⅗': "3/5", '⅘': "4/5", '⅙': "1/6", '⅚': "5/6",
}

// plainFractions writes rare fractions with a stroke: "1⅛" is "1 1/8".
func plainFractions(text string) string {
	if !strings.ContainsFunc(text, func(r rune) bool { return fractions[r] != "" }) {
		return text
	}
	var b strings.Builder
	digit := false
	for _, r := range text {
		if out := fractions[r]; out != "" {
			if digit {
				b.WriteRune(' ')
			}
			b.WriteString(out)
			digit = false
			continue
		}
		b.WriteRune(r)
		digit = unicode.IsDigit(r)
	}
	return b.String()
}
