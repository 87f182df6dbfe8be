package formats

import (
	"bytes"
	"strings"
	"unicode"
)

// What a cook types goes into files that other programs open. These keep a name
// from becoming something else there: a line of its own, a formula, the end of
// a script.

// oneLine joins the lines of a text and leaves out what only steers a terminal.
func oneLine(text string) string {
	return strings.Join(strings.FieldsFunc(text, func(r rune) bool { return unicode.IsControl(r) || r == '\u2028' || r == '\u2029' }), " ")
}

// lines ends the lines of a text all in the same way.
func lines(text string) string {
	text = strings.NewReplacer("\r\n", "\n", "\r", "\n", "\u2028", "\n", "\u2029", "\n").Replace(text)
	return strings.Map(func(r rune) rune {
		if r != '\n' && unicode.IsControl(r) {
			return -1
		}
		return r
	}, text)
}

// formulaMarks begin a formula in a spreadsheet.
const formulaMarks = "=+-@\t\r"

// Cell is a text as a cell of a table: one that a spreadsheet would take for a
// formula has an apostrophe before it.
func Cell(text string) string {
	if text != "" && strings.ContainsRune(formulaMarks, rune(text[0])) {
		return "'" + text
	}
	return text
}

// cellText is the text of a cell.
func cellText(cell string) string {
	if len(cell) > 1 && cell[0] == '\'' && strings.ContainsRune(formulaMarks, rune(cell[1])) {
		return cell[1:]
	}
	return cell
}

// inPage makes JSON safe to stand in a page: nothing in it ends a script. It
// stays the same JSON.
func inPage(data []byte) []byte {
	data = bytes.ReplaceAll(data, []byte("</"), []byte(`<\/`))
	return bytes.ReplaceAll(data, []byte("<!--"), []byte(`<\u0021--`))
}
