package formats

import (
	"encoding/csv"
	"encoding/json"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
)

// A name that is meant to become something else stays a name in every file.
func TestNamesStayNames(t *testing.T) {
	const name = "=1+2 </script><script>x()</script><!--\n## Heading\r\n- item\rEND:VEVENT\u2028x\x00"
	d := recipe.Dish{Name: name, Components: []recipe.Component{{Name: name, Lines: []recipe.Line{{Text: name}, {Text: "@sum"}, {Text: "-5 g salt"}}, Steps: []recipe.Step{{Text: name}}}}}

	page, err := ToJSONLD(name, d)
	require.NoError(t, err)
	require.NotContains(t, string(page), "</script")
	require.NotContains(t, string(page), "<!--")
	var read map[string]any
	require.NoError(t, json.Unmarshal(page, &read))
	require.Equal(t, name, read["name"], "it is the same name when it is read")

	for line := range strings.Lines(string(ToMarkdown(name, d))) {
		require.False(t, strings.HasPrefix(line, "## Heading") || strings.HasPrefix(line, "- item"), line)
		require.NotContains(t, line, "\r")
	}

	table, err := ToCSV(name, d)
	require.NoError(t, err)
	rows, err := csv.NewReader(strings.NewReader(string(table))).ReadAll()
	require.NoError(t, err)
	for _, row := range rows {
		for _, cell := range row {
			require.False(t, cell != "" && strings.ContainsRune("=+-@\t\r", rune(cell[0])), cell)
		}
	}
	src, _, err := FromCSV(string(table))
	require.NoError(t, err)
	require.Equal(t, []string{"@sum", "-5 g salt"}, src.Sections[0].Lines[1:], "and comes back without its apostrophe")

	calendar := string(ToCalendar(name, time.Now(), []Event{{ID: name, Name: name, Text: name, Alarm: 5 * time.Minute}}))
	require.Equal(t, 1, strings.Count(calendar, "\nEND:VEVENT"))
	require.NotContains(t, strings.ReplaceAll(calendar, "\r\n", ""), "\r")
}
