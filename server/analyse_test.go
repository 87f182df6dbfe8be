package server_test

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/server"
)

func TestSheetsAreAnalysed(t *testing.T) {
	a := open(t)
	var sheets []string
	for i, v := range [][3]int{{8, 0, 0}, {7, 0, 1}, {5, -1, 0}, {6, -1, 0}, {4, -2, 0}, {7, 0, 1}} {
		sheets = append(sheets, fmt.Sprintf(`{"taster":"%d","trial":"t1","liking":%d,"traits":{"smoke":%d,"salt":%d}}`, i+1, v[0], v[1], v[2]))
	}
	for i, taster := range []int{1, 3, 4, 5, 6} {
		v := [][2]int{{8, 0}, {7, 0}, {7, 0}, {6, -1}, {6, 1}}[i]
		sheets = append(sheets, fmt.Sprintf(`{"taster":"%d","trial":"t2","liking":%d,"traits":{"smoke":%d}}`, taster, v[0], v[1]))
	}
	sheets = append(sheets, `{"taster":"9","trial":"t3","liking":null,"traits":{}}`)
	body := `{"trials":[{"id":"t1","steps":{"smoke":-1.2}},{"id":"t2","steps":{"smoke":-0.3,"sea":1}},{"id":"t0","steps":{}}],"sheets":[` + strings.Join(sheets, ",") + `],"triangle":{"tasters":12,"correct":8}}`
	status, _, data := a.ask("POST", "/api/analyse", body)
	require.Equal(t, 200, status, string(data))
	got := into[server.AnalyseAnswer](t, data)
	require.Len(t, got.Trials, 4)
	require.Equal(t, []string{"t1", "t2", "t0", "t3"}, []string{got.Trials[0].ID, got.Trials[1].ID, got.Trials[2].ID, got.Trials[3].ID})
	require.Equal(t, 6, got.Trials[0].Tasters)
	require.InDelta(t, 37.0/6, got.Trials[0].Liking.Mean, 1e-9)
	require.Nil(t, got.Trials[3].Liking)
	require.Len(t, got.Trials[0].Traits, 2)
	require.Len(t, got.Comparisons, 1)
	require.InDelta(t, 0.375, got.Comparisons[0].P, 1e-9)
	require.Len(t, got.Corrections, 1, "sea was foreseen and never asked")
	require.InDelta(t, 0.20377, got.Corrections[0].Correction, 1e-5)
	require.Equal(t, 2, got.Corrections[0].Tastings)
	require.InDelta(t, 0.018758, got.Triangle.P, 1e-6)

	status, _, data = a.ask("POST", "/api/analyse", `{"sheets":[]}`)
	require.Equal(t, 200, status)
	require.JSONEq(t, `{"trials":[],"comparisons":[],"corrections":[],"triangle":null}`, string(data))
	for body, field := range map[string]string{
		`{"sheets":[{"taster":"a","trial":"t","liking":10,"traits":{}}]}`:                            "sheets[0].liking",
		`{"sheets":[{"taster":"a","trial":"t","liking":6.5,"traits":{}}]}`:                           "sheets[0].liking",
		`{"sheets":[{"taster":"a","trial":"t","traits":{"smoke":3}}]}`:                               "sheets[0].traits.smoke",
		`{"sheets":[{"taster":"a","trial":"t","traits":{"smoke":0.5}}]}`:                             "sheets[0].traits.smoke",
		`{"sheets":[{"taster":"a","trial":"t","traits":{"charm":0}}]}`:                               "sheets[0].traits.charm",
		`{"sheets":[{"taster":"","trial":"t","traits":{}}]}`:                                         "sheets[0].taster",
		`{"sheets":[{"taster":"a","trial":"t","traits":{}},{"taster":"a","trial":"t","traits":{}}]}`: "sheets[1]",
		`{"trials":[{"id":"t","steps":{}},{"id":"t","steps":{}}],"sheets":[]}`:                       "trials[1].id",
		`{"trials":[{"id":"t","steps":{"charm":1}}],"sheets":[]}`:                                    "trials[0].steps.charm",
		`{"sheets":[],"triangle":{"tasters":3,"correct":4}}`:                                         "triangle",
		`{"sheets":[],"triangle":{"tasters":0,"correct":0}}`:                                         "triangle",
	} {
		status, _, data := a.ask("POST", "/api/analyse", body)
		require.Equal(t, 422, status, "%s: %s", body, data)
		var p struct {
			Errors []struct{ Field string } `json:"errors"`
		}
		require.NoError(t, json.Unmarshal(data, &p))
		require.Equal(t, field, p.Errors[0].Field, body)
	}
}

// Names and counts are taken up to their bounds and not beyond.
func TestTheBoundsOfATasting(t *testing.T) {
	a := open(t)
	name := func(n int) string { return strings.Repeat("a", n) }
	for body, want := range map[string]int{
		`{"sheets":[{"taster":"` + name(200) + `","trial":"t","traits":{}}]}`: 200,
		`{"sheets":[{"taster":"` + name(201) + `","trial":"t","traits":{}}]}`: 422,
		`{"sheets":[{"taster":"a","trial":"` + name(200) + `","traits":{}}]}`: 200,
		`{"sheets":[{"taster":"a","trial":"` + name(201) + `","traits":{}}]}`: 422,
		`{"sheets":[{"taster":"a","trial":"","traits":{}}]}`:                  422,
		`{"trials":[{"id":"` + name(200) + `","steps":{}}],"sheets":[]}`:      200,
		`{"trials":[{"id":"` + name(201) + `","steps":{}}],"sheets":[]}`:      422,
		`{"sheets":[{"taster":"a","trial":"t","liking":1,"traits":{}}]}`:      200,
		`{"sheets":[{"taster":"a","trial":"t","liking":9,"traits":{}}]}`:      200,
		`{"sheets":[{"taster":"a","trial":"t","liking":0,"traits":{}}]}`:      422,
		`{"sheets":[],"triangle":{"tasters":3,"correct":3}}`:                  200,
		`{"sheets":[],"triangle":{"tasters":3,"correct":-1}}`:                 422,
	} {
		status, _, data := a.ask("POST", "/api/analyse", body)
		require.Equal(t, want, status, "%.60s: %.200s", body, data)
	}
}
