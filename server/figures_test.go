package server

import (
	"encoding/json"
	"fmt"
	"strings"
	"testing"
	"time"

	"github.com/stretchr/testify/require"

	"yembra/core/day"
	"yembra/core/measure"
	"yembra/core/spent"
	"yembra/core/swap"
	"yembra/store"
)

// figuresOf lists the places of all figures in a JSON value, as a function that
// sets one.
func figuresOf(v any, at string, set func(any)) map[string]func(any) {
	out := map[string]func(any){}
	switch x := v.(type) {
	case float64:
		out[at] = set
	case []any:
		for i := range x {
			for k, f := range figuresOf(x[i], fmt.Sprintf("%s[%d]", at, i), func(n any) { x[i] = n }) {
				out[k] = f
			}
		}
	case map[string]any:
		for key := range x {
			for k, f := range figuresOf(x[key], at+"."+key, func(n any) { x[key] = n }) {
				out[k] = f
			}
		}
	}
	return out
}

// Whatever figure stands in a request, and however absurd, the answer comes soon
// and is none of the server's own faults.
func TestEveryFigureIsBounded(t *testing.T) {
	t.Parallel()
	k, app := kitchenIn(t, t.TempDir())
	d := keep(t, k, leekSoup)
	read := k.Core().Reader.Read(leekSoup, measure.Metric)
	gap := 5.0
	dec := swap.Decisions{HouseRules: swap.HouseRules{Preset: swap.WholeFood, SaltPerServing: 2}, Pins: []string{}, Swaps: map[string]string{"components[0].lines[1]": "spoon-of-oil"},
		Amounts: map[string]float64{"components[0].lines[1]": 2}, Boosters: []swap.Dose{{Food: "white-miso", Form: "raw", Grams: 5}},
		Figures: map[string]swap.Figures{"s5": {Minutes: &measure.Span{Low: 5, High: 6}, Celsius: &gap}}, SidePot: &swap.SidePot{Guests: 2}}
	_, body := ask(t, app, "GET", "/api/kitchen", "")
	settings := json.RawMessage(body)
	requests := []struct {
		method, path string
		body         any
		match        bool
	}{
		{"POST", "/api/adapt", AdaptRequest{Original: &read, HouseRules: dec.HouseRules}, false},
		{"POST", "/api/convert", ConvertRequest{Food: "leek", Amount: &measure.Amount{Low: 1, High: 2, Unit: measure.Gram}, To: measure.Cup}, false},
		{"POST", "/api/plan", day.Request{ServeAt: "2026-12-05T19:30:00Z", Kitchen: day.Kitchen{Cooks: 1, Rings: 2, Ovens: []day.Oven{{Shelves: 1}}, Kit: map[string]int{"pot": 1}},
			Tasks: []day.Task{{ID: "a", Minutes: 5, Hands: 1, Rings: 1, Oven: &day.OvenUse{Celsius: 180, Shelves: 1}, ServeWithin: &gap}, {ID: "b", Minutes: 5, Kit: []string{"pot"}, After: []day.After{{ID: "a", MinGap: 1, MaxGap: &gap}}}}}, false},
		{"PUT", "/api/dishes/" + d.ID, SaveRequest{Original: &d.Document.Original}, true},
		{"PUT", "/api/dishes/" + d.ID, SaveRequest{Decisions: &dec}, true},
		{"POST", "/api/dishes/" + d.ID + "/preview", PreviewRequest{Decisions: dec}, false},
		{"PUT", "/api/kitchen", settings, false},
	}
	for _, r := range requests {
		data, err := json.Marshal(r.body)
		require.NoError(t, err)
		send := func(what string, body string) {
			headers := []string{}
			if r.path == "/api/kitchen" {
				version, err := k.Store.EntryVersion(t.Context(), store.KitchenEntry, settingsKey)
				require.NoError(t, err)
				headers = []string{"If-Match", fmt.Sprint(version)}
			}
			if r.match {
				now, err := k.Store.Dish(t.Context(), d.ID)
				require.NoError(t, err)
				headers = []string{"If-Match", fmt.Sprint(now.Edit)}
			}
			so := spent.Start()
			status, answer := ask(t, app, r.method, r.path, body, headers...)
			require.Less(t, status, 500, "%s %s %s: %.300s", r.method, r.path, what, answer)
			require.Less(t, so(), 3*time.Second, "%s %s %s", r.method, r.path, what)
		}
		send("as it is", string(data))
		var value any
		require.NoError(t, json.Unmarshal(data, &value))
		for at, set := range figuresOf(value, "", nil) {
			for _, absurd := range []float64{1e308, -1e308, 1e18, 1e-300, 0} {
				var was any
				require.NoError(t, json.Unmarshal(data, &value))
				set = figuresOf(value, "", func(v any) { was = v })[at]
				require.NotNil(t, set, at)
				set(absurd)
				_ = was
				sent, err := json.Marshal(value)
				require.NoError(t, err)
				send(fmt.Sprintf("%s = %g", at, absurd), string(sent))
			}
		}
	}
}

// A recipe may hold any number; the reader says so instead of believing it.
func TestAbsurdNumbersInARecipe(t *testing.T) {
	_, app := kitchenIn(t, t.TempDir())
	for _, number := range []string{strings.Repeat("9", 309), "1e308", strings.Repeat("9", 40) + "/3", "9999999999999999 1/2", "1/0", "0/0"} {
		text, err := json.Marshal(map[string]string{"measures": "metric", "text": "Soup\nServes " + number + "\n\n" + number + " g leeks\n" + number + " onions\n2 tins (" + number + " g each) beans\n\nMethod\n1. Cook the leeks, onions and beans for " + number + " minutes at " + number + " °C."})
		require.NoError(t, err)
		status, body := ask(t, app, "POST", "/api/read", string(text))
		require.Equal(t, 200, status, "%.12s: %.200s", number, body)
		require.NotContains(t, body, "e+", "%.12s", number)
		status, body = ask(t, app, "POST", "/api/dishes", string(text))
		require.Contains(t, []int{201, 422}, status, "%.12s: %.200s", number, body)
	}
}
