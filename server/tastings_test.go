package server_test

import (
	"encoding/csv"
	"encoding/json"
	"fmt"
	"strings"
	"sync"
	"testing"

	"github.com/stretchr/testify/require"

	"yembra/core/recipe"
	"yembra/core/stove"
	"yembra/server"
)

// table lays a tasting of two trials of a dish, and returns it with the path of
// its guests' link.
func (a app) table() (dish server.DishView, t server.Tasting, path string) {
	a.t.Helper()
	d := a.newDish(skink)
	for _, words := range []string{"Thin.", "Better."} {
		status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/trials", server.TrialRequest{Words: words, Different: "more salt\n\nlid on"})
		require.Equal(a.t, 201, status, string(data))
	}
	_, _, data := a.ask("GET", "/api/dishes/"+d.ID+"/trials", nil)
	trials := into[[]server.TrialView](a.t, data)
	require.Len(a.t, trials, 2)
	require.Len(a.t, trials[0].Different, 2)
	require.NotEmpty(a.t, trials[0].Traits)
	status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/tastings", server.TastingRequest{Trials: []string{trials[0].ID, trials[1].ID}, Traits: []string{"smoke", "salt"}})
	require.Equal(a.t, 201, status, string(data))
	t = into[server.Tasting](a.t, data)
	status, _, data = a.ask("POST", "/api/links", server.LinkRequest{Kind: "tasting", About: t.ID, Hours: 3})
	require.Equal(a.t, 201, status, string(data))
	url := into[server.ShownCode](a.t, data).URL
	return d, t, "/api/guest/" + url[strings.LastIndex(url, "/")+1:]
}

func TestATableOfTastersIsHeard(t *testing.T) {
	a := open(t)
	_, table, path := a.table()
	require.True(t, table.Blind)
	// The figures of a table: liking, smoke, salt of the first trial, and of the second.
	first := [][3]int{{8, 0, 0}, {7, 0, 1}, {5, -1, 0}, {6, -1, 0}, {4, -2, 0}, {7, 0, 1}}
	second := map[int][2]int{0: {8, 0}, 2: {7, 0}, 3: {7, 0}, 4: {6, -1}, 5: {6, 1}}
	var all sync.WaitGroup
	for i := range first {
		all.Go(func() {
			taster := fmt.Sprint("guest ", i+1)
			_, _, data := a.ask("GET", path+"?taster="+strings.ReplaceAll(taster, " ", "+"), nil)
			v := into[server.GuestView](t, data).Sheet
			require.ElementsMatch(t, []string{"A", "B"}, v.Letters)
			require.Equal(t, []string{"", ""}, v.Names, "blind")
			said := []server.SheetTrial{{Letter: "A", Liking: first[i][0], Traits: map[string]int{"smoke": first[i][1], "salt": first[i][2]}, Known: "maybe", Words: "=HYPERLINK(x)"}}
			if s, both := second[i]; both {
				said = append(said, server.SheetTrial{Letter: "B", Liking: s[0], Traits: map[string]int{"smoke": s[1]}})
			}
			status, _, data := a.ask("POST", path+"/sheet", server.SheetRequest{Taster: taster, Said: said})
			require.Equal(t, 200, status, string(data))
		})
	}
	all.Wait()
	_, _, data := a.ask("GET", "/api/tastings/"+table.ID, nil)
	v := into[server.TastingView](t, data)
	require.Len(t, v.Sheets, 6, "nobody's sheet is lost")
	smoke := v.Answer.Trials[0].Traits
	at := 0
	for smoke[at].Trait != "smoke" {
		at++
	}
	require.InDelta(t, -0.6667, smoke[at].Mean, 1e-4)
	require.InDelta(t, 2.3333, smoke[at].Penalties[0].Drop, 1e-4)
	require.InDelta(t, 0.05, smoke[at].Penalties[0].P, 1e-9)
	require.InDelta(t, 0.8, v.Answer.Comparisons[0].Difference, 1e-9)
	require.Equal(t, "3 of 6 said too little smoke and liked it 2.3 less than those who found it right.", v.Said[0].Say[0], "what costs most stands first")
	require.Equal(t, []int{0, 6, 0}, v.Said[0].Known)
	require.InDelta(t, -1, v.Said[0].Tasted["smoke"], 1e-9, "a point and a half a step")
	require.Contains(t, v.Compared[0].Say, "5 who tasted both liked B 0.8 more than A; with so few that can be chance.")

	_, _, data = a.ask("GET", "/api/tastings/"+table.ID+"/next", nil)
	next := into[[]server.NextChange](t, data)
	require.NotEmpty(t, next)
	require.Equal(t, "B", next[0].Letter, "the newest trial is mended")
	require.Equal(t, "smoke", next[0].Trait)
	require.Equal(t, 5, next[0].N)

	// Who only looks has a seat and an order of their own that stays, and no sheet.
	order := func(taster string) []string {
		_, _, data := a.ask("GET", path+"?taster="+taster, nil)
		return into[server.GuestView](t, data).Sheet.Letters
	}
	seventh, eighth := order("seventh"), order("eighth")
	require.NotEqual(t, seventh, eighth, "balanced over those who look")
	require.Equal(t, seventh, order("seventh"))
	_, _, data = a.ask("GET", "/api/tastings/"+table.ID, nil)
	require.Len(t, into[server.TastingView](t, data).Sheets, 6)

	// A sheet can be changed until the tasting is closed, and counts once.
	status, _, _ := a.ask("POST", path+"/sheet", server.SheetRequest{Taster: "guest 1", Said: []server.SheetTrial{{Letter: "A", Liking: 9}}})
	require.Equal(t, 200, status)
	_, _, data = a.ask("GET", "/api/tastings/"+table.ID, nil)
	require.Len(t, into[server.TastingView](t, data).Sheets, 6)
	status, head, data := a.ask("GET", "/api/tastings/"+table.ID+"/csv", nil)
	require.Equal(t, 200, status)
	require.Contains(t, head.Get("Content-Type"), "text/csv")
	rows, err := csv.NewReader(strings.NewReader(string(data))).ReadAll()
	require.NoError(t, err)
	require.Len(t, rows, 1+6+4)
	require.NotContains(t, string(data), ",=HYPERLINK")
	status, _, _ = a.ask("POST", "/api/tastings/"+table.ID+"/close", nil)
	require.Equal(t, 200, status)
	status, _, _ = a.ask("POST", path+"/sheet", server.SheetRequest{Taster: "late", Said: nil})
	require.Equal(t, 409, status)
}

func TestTrialsAreComparedAndFrozen(t *testing.T) {
	a, _ := openIn(t, t.TempDir())
	v := a.cook(skink, 1)
	dish := v.Program.Dishes[0].ID
	// The dish changes while it is cooked; what is kept is what was cooked.
	status, _, data := a.ask("PUT", "/api/dishes/"+dish, `{"what": "less onion", "original": `+with(t, a, dish, "1 onion", "3 onions")+`}`, "If-Match", `"1"`)
	require.Equal(t, 200, status, string(data))
	a.through(v.ID)
	a.tap(v.ID, stove.Event{Kind: stove.End})
	status, _, data = a.ask("POST", "/api/stove/"+v.ID+"/keep", server.KeepRequest{Words: "First."})
	require.Equal(t, 200, status, string(data))
	status, _, data = a.ask("POST", "/api/dishes/"+dish+"/trials", server.TrialRequest{Words: "Second."})
	require.Equal(t, 201, status, string(data))
	trials := into[[]server.TrialView](t, data)
	require.Equal(t, []string{"First.", "Second."}, []string{trials[0].Words, trials[1].Words})
	_, _, data = a.ask("GET", "/api/dishes/"+dish+"/trials/between?a="+trials[0].ID+"&b="+trials[1].ID, nil)
	between := into[server.BetweenView](t, data)
	require.Contains(t, strings.Join(between.Lines, "|"), "1 onion → 3 onions", "the first is as it was")
	for field, query := range map[string]string{"a": "a=none&b=" + trials[0].ID, "b": "a=" + trials[0].ID} {
		status, _, data = a.ask("GET", "/api/dishes/"+dish+"/trials/between?"+query, nil)
		require.Equal(t, 422, status)
		require.Contains(t, string(data), `"field":"`+field+`"`)
	}
}

// with is a dish's original in which a line reads otherwise.
func with(t *testing.T, a app, dish, line, instead string) string {
	t.Helper()
	_, _, data := a.ask("POST", "/api/lines", server.LineRequest{Text: instead, Measures: "metric"})
	_, _, whole := a.ask("GET", "/api/dishes/"+dish, nil)
	d := into[server.DishView](t, whole)
	for i := range d.Document.Original.Components {
		for j := range d.Document.Original.Components[i].Lines {
			l := &d.Document.Original.Components[i].Lines[j]
			if l.Text == line {
				id := l.ID
				*l = into[recipe.Line](t, data)
				l.ID = id
			}
		}
	}
	body, err := json.Marshal(d.Document.Original)
	require.NoError(t, err)
	return string(body)
}

func TestSheetsThatMakeNoSenseAreRefused(t *testing.T) {
	a := open(t)
	d, table, path := a.table()
	said := func(s server.SheetTrial) server.SheetRequest {
		return server.SheetRequest{Taster: "x", Said: []server.SheetTrial{s}}
	}
	for _, c := range []struct {
		path   string
		body   any
		status int
		field  string
	}{
		{path + "/sheet", server.SheetRequest{}, 422, "taster"},
		{path + "/sheet", said(server.SheetTrial{Letter: "Z"}), 422, "said[0].letter"},
		{path + "/sheet", said(server.SheetTrial{Letter: "A", Liking: 10}), 422, "said[0].liking"},
		{path + "/sheet", said(server.SheetTrial{Letter: "A", Traits: map[string]int{"smoke": 3}}), 422, "said[0].traits.smoke"},
		{path + "/sheet", said(server.SheetTrial{Letter: "A", Traits: map[string]int{"sweet": 1}}), 422, "said[0].traits.sweet"},
		{path + "/sheet", said(server.SheetTrial{Letter: "A", Known: "surely"}), 422, "said[0].known"},
		{"/api/guest/none/sheet", said(server.SheetTrial{Letter: "A"}), 404, ""},
		{"/api/dishes/" + d.ID + "/tastings", server.TastingRequest{}, 422, "trials"},
		{"/api/dishes/" + d.ID + "/tastings", server.TastingRequest{Trials: []string{"none"}}, 422, "trials[0]"},
		{"/api/dishes/" + d.ID + "/tastings", server.TastingRequest{Trials: []string{"original"}, Traits: []string{"charm"}}, 422, "traits[0]"},
		{"/api/dishes/none/tastings", server.TastingRequest{Trials: []string{"original"}}, 404, ""},
		{"/api/tastings/none/close", nil, 404, ""},
		{"/api/links", server.LinkRequest{Kind: "tasting", About: "none"}, 404, ""},
	} {
		status, _, data := a.ask("POST", c.path, c.body)
		require.Equal(t, c.status, status, "%s: %s", c.path, data)
		if c.field != "" {
			require.Contains(t, string(data), `"field":"`+c.field+`"`)
		}
	}
	status, _, data := a.ask("POST", "/api/dishes/"+d.ID+"/tastings", server.TastingRequest{Trials: []string{"original"}, Open: true})
	require.Equal(t, 201, status, string(data))
	require.Equal(t, "the original", into[server.Tasting](t, data).Served[0].Name)
	_, _, data = a.ask("GET", "/api/dishes/"+d.ID+"/tastings", nil)
	require.Len(t, into[[]server.Tasting](t, data), 2)
	require.Equal(t, table.ID, into[[]server.Tasting](t, data)[1].ID, "the newest first")
}
