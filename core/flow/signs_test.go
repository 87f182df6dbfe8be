package flow

import (
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/measure"
	"yembra/core/recipe"
)

// A cue is what it waits for, one by one: each with the verb that it shares, what it is a sign of, and what
// that has become.
func TestWhatACueWaitsFor(t *testing.T) {
	r := reader(t)
	for cue, want := range map[string][]recipe.Sign{
		"until golden":                                            {{Text: "golden"}},
		"till the rim is dark in spots":                           {{Text: "the rim is dark in spots", Says: true, State: "dark in spots"}},
		"until it is soft":                                        {{Text: "it is soft", Says: true, Points: "it", State: "soft"}},
		"until the beef is tender and the sauce syrupy":           {{Text: "the beef is tender", Says: true, State: "tender"}, {Text: "the sauce is syrupy", Says: true, State: "syrupy"}},
		"until the beef is tender and the carrots soft":           {{Text: "the beef is tender", Says: true, State: "tender"}, {Text: "the carrots are soft", Says: true, State: "soft"}},
		"until the carrots and beef are tender and the oil rises": {{Text: "the carrots are tender", Says: true, State: "tender"}, {Text: "beef are tender"}, {Text: "the oil rises", Says: true}},
		"to a soft paste":                                         nil,
		"until the cheese is golden and starting to brown":        {{Text: "the cheese is golden", Says: true, State: "golden"}, {Text: "starting to brown"}},
	} {
		d := r.Read("Stew\n\n500 g beef\n60 g cheese\n500 ml stock\n\nMethod\n1. Simmer the beef and the cheese in the stock "+cue+".", measure.Metric)
		a := d.Components[0].Steps[0].Actions
		require.Len(t, a, 1, cue)
		require.Equal(t, want, a[0].Words.Signs, cue)
	}
	// What only hedges a cue goes with it.
	text := "Cook the beef, stirring, just until no longer pink, about 4 minutes."
	a := r.Read("Stew\n\n500 g beef\n\nMethod\n1. "+text, measure.Metric).Components[0].Steps[0].Actions[0]
	require.Equal(t, "until no longer pink", a.Cue)
	require.Equal(t, "just until no longer pink", text[a.Words.Cue[0]:a.Words.Cue[1]])
	// What is no sign by a word for until is none of several.
	whip := r.Read("Cream\n\n300 ml cream\n\nMethod\n1. Whip the cream to soft peaks.", measure.Metric).Components[0].Steps[0].Actions[0]
	require.Equal(t, "to soft peaks", whip.Cue)
	require.Empty(t, whip.Words.Signs)
}
