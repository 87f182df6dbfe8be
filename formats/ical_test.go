package formats_test

import (
	"bytes"
	"strings"
	"testing"
	"time"

	"github.com/emersion/go-ical"
	"github.com/stretchr/testify/require"

	"yembra/formats"
)

func TestTheCalendarIsReadBackByAStrictReader(t *testing.T) {
	at := time.Date(2026, 12, 5, 17, 5, 0, 0, time.UTC)
	long := strings.Repeat("Stir, taste; season: \"well\"\\ and phở Μουσακάς, ", 8) + "\nthen serve."
	data := formats.ToCalendar("Supper", at.Add(-time.Hour), []formats.Event{
		{ID: "a@yembra", Name: "Chop, then soak; slowly", Text: long, Start: at, End: at.Add(20 * time.Minute), Alarm: 5 * time.Minute},
		{ID: "b@yembra", Name: "Simmer", Text: "By itself.", Start: at.Add(time.Hour), End: at.Add(2 * time.Hour), Alarm: -1},
	})
	for _, line := range strings.Split(strings.TrimSuffix(string(data), "\r\n"), "\r\n") {
		require.LessOrEqual(t, len(line), 75, line)
		require.NotContains(t, line, "\n")
	}
	c, err := ical.NewDecoder(bytes.NewReader(data)).Decode()
	require.NoError(t, err)
	// Writing checks what must stand in a calendar and how often.
	require.NoError(t, ical.NewEncoder(&bytes.Buffer{}).Encode(c))
	events := c.Events()
	require.Len(t, events, 2)
	start, err := events[0].DateTimeStart(nil)
	require.NoError(t, err)
	require.True(t, start.Equal(at))
	text, err := events[0].Props.Text(ical.PropDescription)
	require.NoError(t, err)
	require.Equal(t, long, text)
	require.Len(t, events[0].Children, 1)
	require.Equal(t, "VALARM", events[0].Children[0].Name)
	require.Equal(t, "-PT5M", events[0].Children[0].Props.Get(ical.PropTrigger).Value)
	require.Empty(t, events[1].Children)
}
