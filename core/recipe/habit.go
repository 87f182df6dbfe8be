package recipe

import (
	"slices"
	"strings"
)

// Habit finds whose measures a recipe says it uses, nil when it does not say. Only plain
// statements count; a dialect word such as "courgette" does not.
func (r *Reader) Habit(text string) *MeasureHabit {
	lower := strings.ToLower(text)
	for _, h := range r.lines().Habits {
		if !slices.ContainsFunc(h.Any, func(w string) bool { return strings.Contains(lower, w) }) {
			continue
		}
		if said := h.Words.FindString(text); said != "" {
			return &MeasureHabit{System: h.System, Words: strings.TrimSpace(said)}
		}
	}
	return nil
}
