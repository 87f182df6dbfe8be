package recipe

import (
	"cmp"
	"strings"
	"unicode/utf8"
)

// mostTitle is how many letters the first line may have to be the title.
const mostTitle = 200

func (l *layout) finish() Source {
	for i, w := range l.waiting {
		if w.text == "" || l.source.Name != "" {
			continue
		}
		if w.heading || len(w.text) <= 80 && !strings.HasSuffix(w.text, ".") || i == 0 && (len(w.text) <= 80 || utf8.RuneCountInString(w.text) <= mostTitle && !strings.HasSuffix(w.text, ".")) {
			l.source.Name = strings.Trim(w.text, " :*#_")
			if m := l.reader.yields.title.FindStringSubmatch(l.source.Name); m != nil && l.titleOf(l.source.Name) != "" {
				l.source.Name = l.titleOf(l.source.Name)
				if l.source.Yield == "" {
					l.source.Yield = m[1] + m[2]
				}
			}
		}
	}
	if l.source.Yield == "" {
		l.source.Yield = cmp.Or(l.yieldInSteps(), l.yieldTold())
	}
	// Steps given before any list belong to the first part that has lines.
	l.source.Sections = tidy(l.source.Sections)
	return l.source
}

// tidy drops empty sections and gives steps of a nameless section without
// lines to the parts they are about.
func tidy(sections []Section) []Section {
	var kept []Section
	for _, s := range sections {
		if len(s.Lines) == 0 && len(s.Steps) == 0 {
			continue
		}
		kept = append(kept, s)
	}
	return kept
}
